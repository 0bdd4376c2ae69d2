"""Rules of the house: sizes, layers' words, what ships, and the command line."""

import ast
import json
import re
import subprocess
import sys
from collections.abc import Iterator
from fnmatch import fnmatch
from functools import cache
from graphlib import TopologicalSorter
from importlib import import_module
from pathlib import Path
from pkgutil import iter_modules

import pytest

from norvash.core import rules as rules_room
from norvash.core.kept_names import RETIRED
from norvash.core.motor.figure_fields import INSTRUMENTS
from norvash.core.rules.book import Family
from norvash.core.rules.catalogue import FAMILIES, RULES, SCHOOLS_BY_ID
from norvash.core.rules.fitting import CONTACT_DROP, GRADE_FAMILIES
from norvash.core.rules.readings import INSTRUMENT
from norvash.core.stages.catalogue import FINDINGS, field_of
from norvash.core.sums.catalogue import SUMS
from norvash.drawing.inks import stylesheet
from norvash.errors import NotFound
from norvash.web.app import create_app

ROOT = Path(__file__).parent.parent
SOURCE = ROOT / "src/norvash"
MODULES = sorted(SOURCE.rglob("*.py"))
WEB = [p for p in (SOURCE / "web").rglob("*") if p.suffix in (".html", ".css", ".js") and "vendor" not in p.parts]


@pytest.mark.parametrize("path", WEB, ids=lambda p: p.name)
def test_pages_carry_no_inline_code_and_no_foreign_address(path: Path) -> None:
    text = path.read_text()
    assert not re.search(r"<style|\sstyle=|<script(?![^>]*src=)|\son(click|load|change|input|submit)=", text)
    assert not re.search(r"https?://(?!www\.w3\.org)", text)


def test_the_browser_finds_things_as_a_person_does() -> None:
    asked = re.compile(r"""(?:locator|querySelector(?:All)?|wait_for_selector)\(\s*f?(["'])(.+?)\1""")
    tests = [*(ROOT / "tests/browser").glob("*.py"), ROOT / "tests/seen.py"]
    found = [selector for p in tests for _, selector in asked.findall(p.read_text())]
    by_mark = [s for s in found if re.search(r"[.#\[]", s) and not re.search(r"\bsvg\b|^\.(dark|fan|straight)$", s)]
    assert len(found) > 20
    assert len(by_mark) <= 20, by_mark


def test_no_thing_on_a_page_is_inked() -> None:
    """A class that a page's own element has would hand its ink down to every drawing inside that element."""
    pages = (SOURCE / "web/templates").rglob("*.html")
    classes = (m for p in pages for m in re.findall(r'class="([^"]*)"', p.read_text()))
    on_pages = {name for words in classes for name in re.findall(r"[a-z][a-z0-9-]*", words)}
    bare = {line[1:-2] for line in stylesheet().splitlines() if re.fullmatch(r"\.[a-z0-9-]+ {", line)}
    assert not bare & on_pages
    assert len(bare) > 50


def test_colours_are_named_once() -> None:
    """Pages and drawings have them from one list; the styles of the browser are written from it by `make styles`."""
    styles = SOURCE / "web/static/styles"
    assert (styles / "inks.css").read_text() == stylesheet()
    own = [*styles.glob("*.css"), *(p for p in (SOURCE / "drawing").rglob("*.py"))]
    hex_colour = re.compile(r"#[0-9a-fA-F]{3}(?:[0-9a-fA-F]{3})?\b")
    assert {p.name for p in own if hex_colour.search(p.read_text())} == {"inks.css", "inks.py"}


def test_vendored_files_match_their_manifest() -> None:
    done = subprocess.run(
        [sys.executable, ROOT / "scripts/vendor.py", "--check"], capture_output=True, text=True, check=False
    )
    assert done.returncode == 0, done.stderr
    manifest = json.loads((SOURCE / "web/static/vendor/manifest.json").read_text())
    licences = {m["package"] for name, m in manifest.items() if "LICENCE" in name}
    assert licences == {m["package"] for m in manifest.values()}


def test_every_rule_is_used_by_the_code() -> None:
    text = "".join(p.read_text() for p in MODULES if "rules" not in p.parts)
    formed = {rule_id for family in FAMILIES for rule_id in family.ids}
    assert [r for r in RULES if f'"{r}"' not in text and f"['{r}']" not in text and r not in formed] == []


def test_an_id_that_is_put_together_comes_from_a_family_whose_members_all_exist() -> None:
    assert [rule_id for family in FAMILIES for rule_id in family.ids if rule_id not in RULES] == []
    assert [p.name for p in MODULES if re.search(r"(rules\[|figure\(|rule\()f[\"']", p.read_text())] == []
    starts = {family.pattern.partition("{")[0] for family in FAMILIES}
    put_together = re.compile(rf"f[\"']({'|'.join(map(re.escape, starts))})\{{")
    assert [p.name for p in MODULES if put_together.search(p.read_text())] == []
    assert (CONTACT_DROP.members, INSTRUMENT.members) == (GRADE_FAMILIES, tuple(INSTRUMENTS))
    with pytest.raises(NotFound, match=r"no “drop\.side”"):
        CONTACT_DROP.of("side")


def test_what_the_docs_list_from_the_code_is_current() -> None:
    from norvash.core.rules.listing import listing
    from norvash.exchange.visit_documented import documented

    assert (ROOT / "docs/rules.md").read_text() == listing()
    assert (ROOT / "docs/visits.md").read_text() == documented()


def test_every_rule_that_code_names_is_in_the_rulebook() -> None:
    """A rule is looked up by a word of the code or of a family: each word that looks like one is known."""
    shape, groups = re.compile(r"[a-z]+([.][a-z0-9-]+)+"), {r.partition(".")[0] for r in (*RULES, *SCHOOLS_BY_ID)}
    known = {
        *RULES,
        *(r for f in FAMILIES for r in f.ids),
        *SCHOOLS_BY_ID,
        *FINDINGS,
        "permit.open",
        "permit.close",
        *RETIRED["rule"],
    }
    words = {n.value for n in _nodes() if isinstance(n, ast.Constant) and isinstance(n.value, str)}
    named = {w for w in words if shape.fullmatch(w) and w.partition(".")[0] in groups and not w.endswith(".html")}
    assert len(named & set(RULES)) > 200
    assert sorted(w for w in named - known if field_of(w) is None) == []


def test_an_id_is_put_together_by_a_family_alone_and_every_member_is_in_the_rulebook() -> None:
    """Elsewhere an id is written out whole: then the test above finds it, also where one of two is picked."""
    modules = [import_module(f"{rules_room.__name__}.{m.name}") for m in iter_modules(rules_room.__path__)]
    families = {f for m in modules for f in vars(m).values() if isinstance(f, Family)}
    assert len(families) >= 11
    assert {i for family in families for i in family.ids} <= set(RULES)
    rooms = {rule_id.split(".")[0] for rule_id in (*RULES, *SCHOOLS_BY_ID)}
    begun = re.compile(rf"(?:{'|'.join(rooms)})\.(?:[a-z0-9-]+\.)*(?:\{{.*)?")
    joined = []
    for node in _nodes():
        words = [p.value for p in _pieces(node) if isinstance(p, ast.Constant) and isinstance(p.value, str)]
        joined += [ast.unparse(node) for word in words if begun.fullmatch(word)]
    assert joined == []


def _pieces(node: ast.AST) -> list[ast.expr]:
    """Return what a text is put together from, by any way of doing so."""
    if isinstance(node, ast.JoinedStr):
        return node.values
    if isinstance(node, ast.BinOp) and isinstance(node.op, ast.Add | ast.Mod):
        return [node.left, node.right]
    called = node.func if isinstance(node, ast.Call) else None
    return [called.value] if isinstance(called, ast.Attribute) and called.attr in ("format", "join") else []


def test_no_rule_is_looked_up_by_a_word_put_together() -> None:
    """A rule's id is a word, a name for one, a choice of words, or of a family, which refuses what it has not."""
    asked = [n.slice for n in _nodes() if isinstance(n, ast.Subscript) and ast.unparse(n.value) in _BOOKS]
    named = [n.value for n in _nodes() if isinstance(n, ast.Assign) and ast.unparse(n.targets[0]) in _IDS]
    bands = [a for n in _nodes() if isinstance(n, ast.Call) and ast.unparse(n.func) == "by_rule" for a in n.args[1:]]
    assert (len(asked) > 200, len(named) > 5, len(bands) > 20) == (True, True, True)
    assert [ast.unparse(n) for n in (*asked, *named, *bands) if _is_put_together(n)] == []


_BOOKS, _IDS = ("rules", "self.rules"), ("rule_id", "rule", "ids")


def _is_put_together(node: ast.AST) -> bool:
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Attribute) and node.func.attr == "of":
        return False
    return isinstance(node, ast.JoinedStr | ast.BinOp) or any(map(_is_put_together, ast.iter_child_nodes(node)))


def test_every_module_of_the_core_is_mutated_by_a_part_with_tests_that_are_there() -> None:
    tree = ast.parse((ROOT / "scripts/mutants.py").read_text())
    table = next(n.value for n in tree.body if isinstance(n, ast.AnnAssign) and ast.unparse(n.target) == "PARTS")
    parts: dict[str, tuple[str, str]] = ast.literal_eval(table or ast.Dict([], []))
    core = SOURCE / "core"
    names = {str(p.relative_to(core).with_suffix("")) for p in core.rglob("*.py") if p.name != "__init__.py"}
    patterns = [word for modules, _ in parts.values() for word in modules.split()]
    assert [x for x in patterns if not any(fnmatch(name, x) for name in names)] == []
    assert sorted(n for n in names if not any(fnmatch(n, x) for x in patterns)) == []
    tests = {word for _, named in parts.values() for word in named.split()}
    assert [t for t in sorted(tests) if not (ROOT / f"tests/{t.replace('/', '/test_')}.py").exists()] == []


@cache
def _nodes() -> list[ast.AST]:
    return [n for p in MODULES for n in ast.walk(ast.parse(p.read_text()))]


def run(*words: str, text: str = "") -> subprocess.CompletedProcess[str]:
    return subprocess.run(
        [sys.executable, "-c", "from norvash.cli import main; main()", *words],
        input=text,
        capture_output=True,
        text=True,
        check=False,
    )


@pytest.mark.long
def test_the_command_for_sums() -> None:
    good = run("sum", "usable-carbon", text='{"length_mm": 12, "new_mm": 16, "limit_mm": 6}')
    assert (good.returncode, json.loads(good.stdout)["usable"]) == (0, pytest.approx(0.6))
    refused = run("sum", "seating", text='{"commutator_d_mm": 62, "thickness_mm": 9, "face_radius_mm": 30}')
    assert (refused.returncode, json.loads(refused.stdout)["allowed"]) == (0, False)
    assert "straight-line" in run("sum").stdout
    for name, text in (
        ("usable-carbon", "{"),
        ("usable-carbon", '{"length_mm": "x"}'),
        ("none", "{}"),
        ("seating", "[" * 100000),
    ):
        bad = run("sum", name, text=text)
        assert (bad.returncode, bad.stdout, bad.stderr.startswith("norvash: ")) == (2, "", True)
        assert "Traceback" not in bad.stderr


def test_serving_a_file_that_is_no_database(tmp_path: Path) -> None:
    (tmp_path / "x.db").write_text("words " * 400)
    bad = run("serve", "--db", str(tmp_path / "x.db"))
    assert (bad.returncode, "not a database" in bad.stderr) == (2, True)


# What the start imports of the rooms that judge and draw: declarations of stages, values, and what the bench shows.
AT_THE_START = """
core.brush.gauge_line core.commutator.bars core.commutator.figures_after_cut core.commutator.tools
core.diagnosis.causes core.diagnosis.checks core.diagnosis.sign core.diagnosis.signs core.forecast.set_forecast
core.state.marks core.state.motor_state core.state.policy core.state.rising core.state.round core.state.ruler
core.use.log_entry core.use.rate core.use.season core.verdict.line_figure core.windings.circuits drawing.brush
drawing.brush.carbon_ruler drawing.brush.finding_picture drawing.days drawing.days.date_span drawing.inks
drawing.scales drawing.scales.grade_mark drawing.svg
"""
ROOMS = (
    "bearings",
    "brush",
    "commutator",
    "diagnosis",
    "forecast",
    "planning",
    "state",
    "supply",
    "sums",
    "use",
    "verdict",
)


# What a module of the core imports inside a function, and why that is put off.
PUT_OFF = {
    ("state.ruler", "brush.gauged"): "drawing",
    ("judging.refusing", "judging.commutator.cut_made"): "judging",
    ("judging.refusing", "judging.commutator.slots_here"): "judging",
    ("planning.shop_table", "forecast.model"): "numpy and scipy",
    ("judging.before.stage", "judging.before.measured"): "judging",
    ("judging.brushes.stage", "judging.brushes.values"): "judging",
    ("judging.commutator.stage", "judging.commutator.copper_now"): "judging",
    ("judging.commutator.stage", "judging.commutator.values"): "judging",
    ("judging.drive.stage", "judging.drive.values"): "judging",
    ("judging.prove.stage", "judging.prove.points"): "judging",
    ("judging.prove.stage", "judging.prove.run"): "judging",
    ("judging.prove.stage", "judging.prove.values"): "judging",
    ("judging.windings.stage", "judging.windings.values"): "judging",
    ("judging.windings.stage", "judging.windings.measured"): "judging",
    ("stages.commutator.cut", "commutator.after_cut"): "judging",
    ("stages.windings.withstand", "windings.withstand"): "judging",
}


def _imported(path: Path, *, inside: bool) -> Iterator[str]:
    """Yield the modules of the core that a module imports, inside its functions only or at all."""
    tree = ast.parse(path.read_text())
    functions = (f for f in ast.walk(tree) if isinstance(f, ast.FunctionDef))
    nodes = (n for f in functions for n in ast.walk(f)) if inside else ast.walk(tree)
    core = "norvash.core."
    for node in nodes:
        if isinstance(node, ast.ImportFrom) and node.module is not None and node.module.startswith(core):
            whole = node.module.removeprefix(core)
            names = [f"{whole}.{a.name}" for a in node.names]
            yield from {n if (SOURCE / "core" / f"{n.replace('.', '/')}.py").exists() else whole for n in names}


def test_the_core_has_no_circle_and_puts_off_only_what_is_heavy() -> None:
    core = SOURCE / "core"
    modules = {".".join(p.relative_to(core).with_suffix("").parts): p for p in core.rglob("*.py")}
    put_off = {(name, to) for name, path in modules.items() for to in _imported(path, inside=True)}
    assert put_off == PUT_OFF.keys()
    TopologicalSorter({n: set(_imported(p, inside=False)) - {n} for n, p in modules.items()}).prepare()


def test_the_start_imports_declarations_and_nothing_heavy() -> None:
    code = "import sys, norvash.web.app; print(*sys.modules)"
    done = subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, check=True)
    loaded = set(done.stdout.split())
    assert not loaded & {"scipy", "numpy", "playwright", "norvash.demo"}
    rooms = tuple(
        f"norvash.{r}." for r in ("drawing", "web.stages", *(f"core.{room}" for room in (*ROOMS, "windings")))
    )
    assert sorted(m for m in loaded if m.startswith(rooms)) == [f"norvash.{m}" for m in AT_THE_START.split()]
    judging = {m for m in loaded if m.startswith("norvash.core.judging.")}
    assert not {m for m in judging if m.endswith((".findings", ".judged", ".measured", ".says", ".copper_now"))}
    assert callable(create_app)


def test_one_name_is_one_class() -> None:
    table = (ROOT / "docs/words.md").read_text().partition("## In code")[2]
    names = [n for n in re.findall(r"^\| (\w+) \|", table, re.MULTILINE) if n[0].isupper()]
    classes = [n.name for p in MODULES for n in ast.walk(ast.parse(p.read_text())) if isinstance(n, ast.ClassDef)]
    assert len(names) > 10
    assert {n: classes.count(n) for n in names if classes.count(n) != (n != "Row")} == {}


def test_the_docs_name_tests_that_are_there_and_rows_as_wide_as_their_tables() -> None:
    wrong = []
    for path in (*(ROOT / "docs").rglob("*.md"), ROOT / "README.md", ROOT / "CONTRIBUTING.md"):
        text = path.read_text()
        wrong += [(path.name, t) for t in re.findall(r"`(tests/[\w/]+\.py)`", text) if not (ROOT / t).exists()]
        for table in re.findall(r"(?:^\|.*\n)+", text, re.MULTILINE):
            widths = {len(re.findall(r"(?<!\\)\|", row)) for row in table.splitlines()}
            wrong += [(path.name, table[:60])] if len(widths) > 1 else []
    assert wrong == []
    counted = re.search(r"\*\*Sums\*\*: ([\w-]+) single calculations", (ROOT / "README.md").read_text())
    assert counted is not None
    assert (counted[1], len(SUMS)) == ("forty-four", 44)


def test_every_test_that_is_called_long_is_there() -> None:
    listed = (ROOT / "tests/data/long.txt").read_text().split()
    gone = [
        n for n in listed if f"def {n.partition('::')[2]}(" not in (ROOT / "tests" / n.partition("::")[0]).read_text()
    ]
    assert gone == []
    assert listed == sorted(listed)
