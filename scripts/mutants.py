"""Mutate one part of the core, run its tests against every mutant, and say what lived.

Texts are left out: what is only said, names of errors and words in lists. Works in a copy below `.mutants/`.
"""

import argparse
import json
import os
import shutil
import subprocess
import sys
from collections.abc import Iterable, Iterator
from pathlib import Path

import libcst as cst
from mutmut.mutation import file_mutation, mutators

ROOT = Path(__file__).parent.parent
_CORE = "src/norvash/core"
_EDGES = "tests/core/test_edges.py"
# What belongs to each part, and the tests that are to kill its mutants.
PARTS: dict[str, tuple[tuple[str, ...], tuple[str, ...]]] = {
    "limits": (("limits",), ("tests/core/test_carbon.py", "tests/core/test_verdict.py")),
    "loading": (("loading",), ("tests/core/test_fitting.py", "tests/core/test_sums.py")),
    "supply": (("supply",), ("tests/core/test_supply.py", "tests/core/test_sheet.py")),
    "cut-plan": (
        ("commutator/skim", "commutator/after_cut"),
        ("tests/core/test_cut.py", "tests/core/test_commutator.py"),
    ),
    "carbon": (
        ("brushes", "grades", "spread", "straight_line", "seating", "holders", "wear", "renewal", "doubts", "readings"),
        (
            "tests/core/test_carbon.py",
            "tests/core/test_carbon_edges.py",
            "tests/core/test_carbon_whole.py",
            "tests/core/test_fitting.py",
            "tests/core/test_readings.py",
            "tests/core/test_straight_line.py",
            "tests/core/test_verdict.py",
            _EDGES,
        ),
    ),
    "commutator": (
        (
            "commutator/bars",
            "commutator/bar_testing",
            "commutator/pattern",
            "commutator/run_out",
            "commutator/surface",
            "commutator/map_says",
        ),
        ("tests/core/test_commutator.py", "tests/core/test_commutator_whole.py", "tests/core/test_armatures.py"),
    ),
    "windings": (
        ("windings", "columns", "sunk", "bearings/*"),
        (
            "tests/core/test_turning.py",
            "tests/core/test_parts_edges.py",
            "tests/core/test_commutator.py",
            "tests/core/test_sums.py",
        ),
    ),
    "verdict": (
        ("verdict", "state", "when", "components", "ahead"),
        (
            "tests/core/test_verdict.py",
            "tests/core/test_verdict_edges.py",
            _EDGES,
            "tests/core/test_policies.py",
            "tests/core/test_forecasting.py",
            "tests/core/test_sheet.py",
        ),
    ),
    "words": (
        ("sentence", "ruler", "words", "forecast_words", "remarks", "texts"),
        (
            "tests/core/test_verdict.py",
            "tests/core/test_texts.py",
            "tests/core/test_words_whole.py",
            "tests/drawing/test_drawings.py",
        ),
    ),
    "planning": (
        (
            "policies",
            "policy",
            "interval_table",
            "shop_table",
            "outlook",
            "hindsight",
            "season",
            "use",
            "use_log",
            "use_typed",
            "timeline",
        ),
        (
            "tests/core/test_policies.py",
            "tests/core/test_use.py",
            "tests/core/test_use_whole.py",
            "tests/core/test_forecasting.py",
            "tests/core/test_sums.py",
            "tests/web/test_outlook.py",
        ),
    ),
    "diagnosis": (("diagnosis/*",), ("tests/core/test_diagnosis.py", _EDGES, "tests/core/test_sheet.py")),
    "forecast": (
        (
            "forecast/batch",
            "forecast/case",
            "forecast/crossing",
            "forecast/deviations",
            "forecast/grid",
            "forecast/laying",
            "forecast/model",
            "forecast/plain",
            "forecast/prior",
            "forecasting",
        ),
        ("tests/core/test_forecast.py", "tests/core/test_forecast_whole.py", "tests/core/test_forecasting.py", _EDGES),
    ),
    "sheet": (
        ("sheet/*",),
        (
            "tests/core/test_sheet.py",
            "tests/work/test_sheets.py",
            "tests/work/test_copper_jobs.py",
            "tests/core/test_sheet_whole.py",
            "tests/core/test_sheet_edges.py",
        ),
    ),
    "sums": (("sums/*",), ("tests/core/test_sums.py", "tests/core/test_sums_moved.py")),
    "rules": (
        ("rules/book", "quantities", "figures", "positions", "classes", "past_set", "simulation", "gauge_line"),
        (
            "tests/core/test_quantities.py",
            "tests/core/test_readings.py",
            "tests/core/test_carbon.py",
            "tests/core/test_sums.py",
            "tests/core/test_verdict.py",
            "tests/core/test_forecast.py",
            "tests/core/test_forecasting.py",
            "tests/core/test_sheet.py",
            "tests/devices/test_gauge.py",
            _EDGES,
        ),
    ),
}
_TEXTS = (cst.SimpleString, cst.FormattedString, cst.ConcatenatedString)


def _without_texts(node: cst.Call) -> Iterator[cst.CSTNode]:
    """Yield a call without each of its arguments in turn, but for those that are words."""
    words = [isinstance(a.value, _TEXTS) for a in node.args]
    for i, arg in enumerate(node.args):
        if words[i]:
            continue
        if arg.star == "" and not (isinstance(arg.value, cst.Name) and arg.value.value == "None"):
            yield node.with_changes(
                args=[*node.args[:i], arg.with_changes(value=cst.Name("None")), *node.args[i + 1 :]]
            )
        if len(node.args) > 1:
            yield node.with_changes(args=[*node.args[:i], *node.args[i + 1 :]])


def _no_text(node: cst.Assign | cst.AnnAssign) -> Iterable[cst.CSTNode]:
    return () if isinstance(node.value, _TEXTS) else mutators.operator_assignment(node)


def _leave_texts_out() -> None:
    """Take what only changes words out of the mutations, and what stands inside a formatted text or an error."""
    instead = {
        mutators.operator_string: None,
        mutators.operator_arg_removal: _without_texts,
        mutators.operator_assignment: _no_text,
    }
    mutators.mutation_operators[:] = [  # type: ignore[index]
        (kind, instead.get(operator, operator))
        for kind, operator in mutators.mutation_operators
        if instead.get(operator, operator) is not None
    ]
    visitor = file_mutation.MutationVisitor
    skip = visitor._skip_node_and_children

    def skip_texts(self: file_mutation.MutationVisitor, node: cst.CSTNode) -> bool:
        return isinstance(node, cst.FormattedString | cst.Raise) or skip(self, node)

    visitor._skip_node_and_children = skip_texts  # type: ignore[method-assign]


def workspace(part: str) -> Path:
    """Return a fresh copy of what the tests need, set up for a part."""
    place = ROOT / ".mutants" / part
    shutil.rmtree(place, ignore_errors=True)
    listed = subprocess.run(
        ["git", "ls-files", "-co", "--exclude-standard", "src", "tests", "docs", "scripts"],
        cwd=ROOT,
        capture_output=True,
        text=True,
        check=True,
    )
    for name in listed.stdout.split():
        if not name.endswith(".png") and (ROOT / name).exists():
            (place / name).parent.mkdir(parents=True, exist_ok=True)
            shutil.copy(ROOT / name, place / name)
    modules, tests = PARTS[part]
    wanted = [f"{_CORE}/{m}.py" for m in modules]
    settings = {
        "source_paths": ["src"],
        "only_mutate": wanted,
        "pytest_add_cli_args_test_selection": list(tests),
        "also_copy": ["docs", "scripts"],
    }
    lines = [f"{k} = {json.dumps(v)}" for k, v in settings.items()]
    own = (ROOT / "pyproject.toml").read_text() + "\n[tool.mutmut]\n" + "\n".join(lines) + "\n"
    (place / "pyproject.toml").write_text(own)
    return place


def tally(place: Path) -> tuple[int, int, list[str]]:
    """Return how many mutants there were and how many died, and the names of those that lived."""
    codes: dict[str, int | None] = {}
    for meta in sorted((place / "mutants").rglob("*.meta")):
        codes |= json.loads(meta.read_text())["exit_code_by_key"]
    lived = [name for name, code in codes.items() if code in (0, 33)]
    tried = [name for name, code in codes.items() if code is not None]
    return len(tried), len(tried) - len(lived), lived


def main() -> None:
    """Run one part; the survivors with their changes are left in `.mutants/PART/survivors.txt`."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("part", choices=PARTS)
    parser.add_argument("--workers", type=int, default=os.cpu_count() or 1)
    parser.add_argument("--ending", default="", help="only mutants whose number ends so: 7 is a sample of a tenth")
    given = parser.parse_args()
    place = workspace(given.part)
    os.chdir(place)
    _leave_texts_out()
    from mutmut.__main__ import cli
    from mutmut.mutation.diff_apply import get_diff_for_mutant

    sys.argv = ["mutmut", "run", "--max-children", str(given.workers)]
    if given.ending:
        sys.argv.append(f"*__mutmut_*{given.ending}")
    try:
        cli()
    except SystemExit as end:
        if end.code:
            raise
    tried, killed, lived = tally(place)
    (place / "survivors.txt").write_text("\n".join(f"# {name}\n{get_diff_for_mutant(name)}" for name in lived))
    print(
        f"\n{given.part}: {killed} of {tried} mutants died, {killed / max(tried, 1):.0%};"
        f" {len(lived)} lived: .mutants/{given.part}/survivors.txt"
    )


if __name__ == "__main__":
    main()
