"""What names and docstrings of the core promise: units in the names of values, units, sources and errors said."""

import ast
import re
from collections.abc import Iterator
from functools import cache
from pathlib import Path

CORE = Path(__file__).parent.parent / "src/norvash/core"
# The parts of the core in which lengths, radii, forces and speeds stand side by side.
MEASURED = ("brush", "commutator", "supply", "windings")
# The parts of it that reckon: each formula says its units and where it comes from.
RECKONED = (*MEASURED, "bearings", "money", "running", "stacks")
UNITS = [
    "m",
    "mm",
    "radial_mm",
    "diameter_mm",
    "axial_mm",
    "mm2",
    "rpm",
    "n",
    "v",
    "ohm",
    "mohm",
    "megohm",
    "a",
    "a_per_cm2",
    "c",
    "h",
    "kh",
    "units",
    "km",
    "kpa",
    "k",
    "g",
    "deg",
    "min",
    "s",
    "kw",
    "w",
    "bars",
    "m_per_s",
    "m_per_min",
    "mm_per_rev",
    "mm_per_kh",
    "mm_per_unit",
    "n_per_mm",
]
# Ratios, chances and shares have no unit; what is read in a unit that stands beside it is named for what it is.
RATIOS = {
    "share",
    "ratio",
    "ratios",
    "factor",
    "spread",
    "scatter",
    "band",
    "off",
    "deviation",
    "deviations",
    "chance",
    "corrected",
    "hidden",
    "mean",
    "variance",
    "x",
}
BESIDE_THEIR_UNIT = {"before", "after", "value", "limit", "raw", "raw_value", "readings", "median", "terms", "worst"}
RAISED = {"InputError", "Conflict", "NotFound"}


@cache
def modules() -> dict[str, ast.Module]:
    return {str(p.relative_to(CORE)): ast.parse(p.read_text()) for p in sorted(CORE.rglob("*.py"))}


def measured() -> Iterator[tuple[str, ast.Module]]:
    return ((name, tree) for name, tree in modules().items() if name.split("/")[0] in MEASURED)


def is_float(annotation: ast.expr | None) -> bool:
    words = "" if annotation is None else ast.unparse(annotation)
    return bool(re.search(r"\bfloat\b", words)) and not words.startswith("Callable")


def values(tree: ast.Module) -> Iterator[str]:
    """Yield the names of all members and parameters that hold floats."""
    for node in ast.walk(tree):
        if isinstance(node, ast.ClassDef):
            members = [x for x in node.body if isinstance(x, ast.AnnAssign) and isinstance(x.target, ast.Name)]
            yield from (ast.unparse(x.target) for x in members if is_float(x.annotation))
        elif isinstance(node, ast.FunctionDef):
            yield from (a.arg for a in (*node.args.args, *node.args.kwonlyargs) if is_float(a.annotation))


def says_its_unit(name: str) -> bool:
    known = name in RATIOS | BESIDE_THEIR_UNIT or name.endswith(("_share", "_shares", "_ratio", "_factor", "_limit"))
    return known or any(name == unit or name.endswith(f"_{unit}") for unit in UNITS)


def test_what_is_measured_says_its_unit_in_its_name() -> None:
    found = {(module, name) for module, tree in measured() for name in values(tree)}
    assert len(found) > 200
    assert {(module, name) for module, name in found if not says_its_unit(name)} == set()
    assert not says_its_unit("diameter")
    assert {name for _, name in found if name in RATIOS | BESIDE_THEIR_UNIT} == RATIOS | BESIDE_THEIR_UNIT


def public(tree: ast.Module) -> Iterator[ast.FunctionDef]:
    return (n for n in tree.body if isinstance(n, ast.FunctionDef) and not n.name.startswith("_"))


def takes_or_gives_floats(function: ast.FunctionDef) -> bool:
    annotations = [a.annotation for a in (*function.args.args, *function.args.kwonlyargs)]
    return any(is_float(a) for a in (*annotations, function.returns))


def test_a_formula_says_its_units_and_its_source() -> None:
    rooms = ((n, tree) for n, tree in modules().items() if n.split("/")[0] in RECKONED)
    asked = [(name, f) for name, tree in rooms for f in public(tree) if takes_or_gives_floats(f)]
    assert len(asked) > 90
    silent = {
        (name, f.name): word
        for name, f in asked
        for word in ("Units:", "Source")
        if word not in (ast.get_docstring(f) or "")
    }
    assert silent == {}


def raised_by(function: ast.FunctionDef, own: dict[str, ast.FunctionDef], seen: frozenset[str]) -> set[str]:
    """Return the errors that a function raises, itself or by the functions of its own module, and does not catch."""
    if function.name in seen:
        return set()
    return {e for statement in function.body for e in raised_in(statement, own, seen | {function.name})}


def raised_in(node: ast.AST, own: dict[str, ast.FunctionDef], seen: frozenset[str]) -> set[str]:
    if isinstance(node, ast.Try):
        caught = {n.id for h in node.handlers if h.type for n in ast.walk(h.type) if isinstance(n, ast.Name)}
        tried = {e for x in node.body for e in raised_in(x, own, seen)} - caught
        rest = (*node.orelse, *node.finalbody, *(x for h in node.handlers for x in h.body))
        return tried | {e for x in rest for e in raised_in(x, own, seen)}
    found: set[str] = set()
    if isinstance(node, ast.FunctionDef | ast.Lambda):
        return found  # what it raises is raised where it is called
    if isinstance(node, ast.Raise) and node.exc is not None:
        words = ast.unparse(node.exc)
        found |= {"InputError"} if re.match(r"\w+\.at\(", words) else {words.split("(")[0]} & RAISED
    if isinstance(node, ast.Call) and isinstance(node.func, ast.Name) and node.func.id in own:
        found |= raised_by(own[node.func.id], own, seen)
    return found | {e for child in ast.iter_child_nodes(node) for e in raised_in(child, own, seen)}


def test_what_a_function_raises_stands_in_its_docstring() -> None:
    said = 0
    for name, tree in modules().items():
        own = {n.name: n for n in tree.body if isinstance(n, ast.FunctionDef)}
        for function in public(tree):
            doc, raised = ast.get_docstring(function) or "", raised_by(function, own, frozenset())
            assert all(error in doc.partition("Raises:")[2] for error in raised), (name, function.name, raised)
            said += len(raised)
    assert said > 40
