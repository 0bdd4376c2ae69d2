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
import table_mutants
from mutmut.mutation import file_mutation, mutators

ROOT = Path(__file__).parent.parent
DOCS = ROOT / "docs/testing.md"
_HEAD = "| part | died | tried | tables: died | tried |\n|---|---|---|---|---|\n"
_CORE = "src/norvash/core"
_TABLES = "core/tables_whole"  # holds what stands in all of them
# What belongs to each part of the core, and the tests that are to kill its mutants; both by the ends of their paths.
PARTS: dict[str, tuple[str, str]] = {
    "limits": (
        "brush/limits brush/motor_limit brush/gauged state/laid edges known",
        "core/carbon core/verdict core/rulebook core/edges core/readings",
    ),
    "loading": ("brush/loading brush/on_copper", "core/fitting core/sums"),
    "running": ("running/* brush/springs", "core/running core/laws"),
    "stacks": ("stacks/*", "core/off_and_back core/sums"),
    "supply": ("supply/*", "core/supply core/sheet core/sums"),
    "cut-plan": ("commutator/skim commutator/cut commutator/slots commutator/after_cut", "core/cut core/commutator"),
    "carbon": (
        (
            "brush/carbon grades brush/spread brush/straight_line brush/seating"
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
            " commutator/surface judging/commutator/map_read judging/commutator/map_says commutator/result_words"
            " commutator/run_out_limits commutator/tools"
        ),
        "core/commutator core/commutator_whole core/armatures",
    ),
    "windings": (
        "windings/* text/columns commutator/figures_after_cut bearings/*",
        "core/running core/turning core/parts_edges core/commutator core/sums core/sheet_whole",
    ),
    "verdict": (
        (
            "verdict/judging state/component verdict/set_read state/findings verdict/set_grade verdict/components"
            " verdict/as_found verdict/before_work"
            " verdict/set_line verdict/old_rate verdict/line_sightings"
            " state/rising state/motor_state state/set_clock state/swapped forecast/set_forecast"
        ),
        (
            "core/verdict core/verdict_edges core/rulebook core/edges core/policies core/forecasting core/sheet"
            " core/swapped"
        ),
    ),
    "words": (
        (
            "verdict/sentence verdict/reasons verdict/brush_now verdict/line_figure verdict/line_figures"
            " verdict/sheet_line verdict/closing_line verdict/retired verdict/uneven verdict/forecast_words"
            " verdict/when_words"
            " verdict/proportion verdict/lead verdict/machine_line"
            " state/ruler text/words text/texts text/alike"
        ),
        "core/verdict core/rulebook core/texts core/words_whole drawing/drawings",
    ),
    "planning": (
        "planning/* use/* state/policy state/since state/marks",
        "core/policies core/use core/use_whole core/forecasting core/sums web/outlook work/counters",
    ),
    "diagnosis": ("diagnosis/*", "core/diagnosis core/edges core/sheet"),
    "forecast": (
        (
            "forecast/batch forecast/case forecast/crossing forecast/deviations forecast/grid forecast/laying"
            " forecast/learning forecast/points forecast/proof forecast/proof_table"
            " forecast/model forecast/plain forecast/prior planning/forecast_of_motor"
        ),
        "core/forecast core/forecast_whole core/forecasting core/edges",
    ),
    "sheet": (
        "sheet/* stages/* visit/* judging/*",
        "core/sheet core/sheet_whole core/sheet_edges work/sheets work/copper_jobs",
    ),
    "record": ("record/* state/round", "work/record_folds work/any_order work/as_measured work/sheets"),
    "money": ("money/* text/rows", "core/money core/bills core/sums"),
    "parts": ("parts/* motor/matrix", "core/offered core/sums"),
    "sums": ("sums/*", "core/sums core/sums_moved core/named_faults core/named_refusals"),
    "rules": (
        (
            "rules/* kept_names text/quantities text/shares text/days motor/figure motor/figures motor/figure_fields"
            " motor/figure_reading"
            " motor/figure_tables motor/use_typed motor/implausible motor/in_force motor/notes motor/positions"
            " motor/classes forecast/past_set forecast/simulation brush/gauge_line"
        ),
        (
            "core/quantities core/readings core/carbon core/sums core/verdict core/rulebook core/forecast"
            " core/forecasting core/sheet core/gauge_line devices/gauge core/edges core/kept_names work/unknown_names"
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


def write_row(part: str, kind: str, killed: int, tried: int, *, whole: bool) -> None:
    """Write what a part has come to into the table of docs/testing.md: of its functions, or of its tables."""
    rows = {}
    before, _, rest = DOCS.read_text().partition(_HEAD)
    lines, _, after = rest.partition("\n\n")
    for line in lines.strip().splitlines():
        name, *cells = (c.strip() for c in line.strip("|").split("|"))
        rows[name] = cells
    cells = rows.setdefault(part, ["", "", "", ""])
    at = 0 if kind == "functions" else 2
    share = f"{killed / tried:.0%}".replace("%", " %") if tried else "–"
    cells[at : at + 2] = [share, f"{'all ' if whole else ''}{tried}"]
    made = "\n".join(f"| {name} | {' | '.join(rows[name])} |" for name in rows)
    DOCS.write_text(f"{before}{_HEAD}{made}\n\n{after}")


def of_functions(place: Path, given: argparse.Namespace) -> tuple[int, list[str]]:
    """Try the mutants of functions; return how many were tried, and the changes that lived."""
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
    tried, _, lived = tally(place)
    return tried, [f"# {name}\n{get_diff_for_mutant(name)}" for name in lived]


def of_tables(place: Path, given: argparse.Namespace) -> tuple[int, list[str]]:
    """Try a sample of the mutants of tables; return how many were tried, and the changes that lived."""
    modules, tests = PARTS[given.part]
    core = place / _CORE
    wanted = [p for m in modules.split() for p in sorted(core.glob(f"{m.replace('/*', '/**/*')}.py"))]
    places = [place, *(place.with_name(f"{place.name}-{n}") for n in range(1, given.workers))]
    for other in places[1:]:
        shutil.rmtree(other, ignore_errors=True)
        shutil.copytree(place, other)
    return table_mutants.run(
        places,
        [str(p.relative_to(place)) for p in wanted],
        [f"tests/{t.replace('/', '/test_')}.py" for t in (_TABLES, *tests.split())],
        given.most,
    )


def main() -> None:
    """Run one part; the survivors with their changes are left in `.mutants/PART/survivors.txt`."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("part", choices=PARTS)
    parser.add_argument("--workers", type=int, default=os.cpu_count() or 1)
    parser.add_argument("--ending", default="", help="only mutants whose number ends so: 7 is a sample of a tenth")
    parser.add_argument("--tables", action="store_true", help="mutants of what stands in tables")
    parser.add_argument("--most", type=int, default=300, help="how many mutants of tables are tried")
    given = parser.parse_args()
    place, kind = workspace(given.part), "tables" if given.tables else "functions"
    tried, lived = (of_tables if given.tables else of_functions)(place, given)
    (place / "survivors.txt").write_text("\n".join(lived))
    write_row(given.part, kind, tried - len(lived), tried, whole=not (given.ending or given.tables))
    print(
        f"\n{given.part}, {kind}: {tried - len(lived)} of {tried} mutants died, {1 - len(lived) / max(tried, 1):.0%};"
        f" {len(lived)} lived: .mutants/{given.part}/survivors.txt"
    )


if __name__ == "__main__":
    main()
