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
# What belongs to each part of the core, and the tests that are to kill its mutants; both by the ends of their paths.
PARTS: dict[str, tuple[str, str]] = {
    "limits": ("brush/limits brush/motor_limit", "core/carbon core/verdict core/rulebook"),
    "loading": ("brush/loading", "core/fitting core/sums"),
    "supply": ("supply/settings supply/battery", "core/supply core/sheet"),
    "cut-plan": ("commutator/skim commutator/cut commutator/slots commutator/after_cut", "core/cut core/commutator"),
    "carbon": (
        (
            "brush/carbon verdict/grades brush/spread brush/straight_line brush/seating"
            " brush/holders brush/wear_measures brush/renewal brush/doubts brush/readings"
        ),
        (
            "core/carbon core/carbon_edges core/carbon_whole core/fitting core/readings core/straight_line core/verdict"
            " core/edges"
        ),
    ),
    "commutator": (
        (
            "commutator/bars commutator/armature commutator/bar_testing commutator/pattern commutator/run_out"
            "commutator/surface commutator/map_read commutator/map_says"
        ),
        "core/commutator core/commutator_whole core/armatures",
    ),
    "windings": (
        "windings/resistance text/columns commutator/figures_after_cut bearings/*",
        "core/turning core/parts_edges core/commutator core/sums",
    ),
    "verdict": (
        "verdict/judging verdict/values verdict/set_grade verdict/components motor/record forecast/set_forecast",
        "core/verdict core/verdict_edges core/rulebook core/edges core/policies core/forecasting core/sheet",
    ),
    "words": (
        "verdict/sentence verdict/reasons brush/ruler text/words verdict/forecast_words verdict/proportion text/texts",
        "core/verdict core/rulebook core/texts core/words_whole drawing/drawings",
    ),
    "planning": ("planning/* use/*", "core/policies core/use core/use_whole core/forecasting core/sums web/outlook"),
    "diagnosis": ("diagnosis/*", "core/diagnosis core/edges core/sheet"),
    "forecast": (
        (
            "forecast/batch forecast/case forecast/crossing forecast/deviations forecast/grid forecast/laying"
            "forecast/model forecast/plain forecast/prior forecast/of_motor"
        ),
        "core/forecast core/forecast_whole core/forecasting core/edges",
    ),
    "sheet": ("sheet/*", "core/sheet core/sheet_whole core/sheet_edges work/sheets work/copper_jobs"),
    "sums": ("sums/*", "core/sums core/sums_moved core/named_faults core/named_refusals"),
    "rules": (
        (
            "rules/book text/quantities motor/figures motor/figure_fields"
            " motor/positions motor/classes forecast/past_set forecast/simulation brush/gauge_line"
        ),
        (
            "core/quantities core/readings core/carbon core/sums core/verdict core/rulebook core/forecast"
            " core/forecasting core/sheet core/gauge_line devices/gauge core/edges"
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
    modules, tests = (words.split() for words in PARTS[part])
    wanted = [f"{_CORE}/{m}.py" for m in modules]
    settings = {
        "source_paths": ["src"],
        "only_mutate": wanted,
        "pytest_add_cli_args_test_selection": [f"tests/{t.replace('/', '/test_')}.py" for t in tests],
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
