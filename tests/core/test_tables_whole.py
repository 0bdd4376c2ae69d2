"""What stands in the tables of the core, as it is kept: a value, a weight, a flag or a grade that moves is seen."""

import pkgutil
from collections.abc import Iterator, Mapping
from importlib import import_module

import norvash.core
from norvash.core.diagnosis.causes import CAUSES
from norvash.core.diagnosis.signs import SIGNS
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import FIELDS as FIGURES
from norvash.core.rules.catalogue import RULES
from norvash.core.sheet.field import Column, Field, Quantity
from norvash.core.sheet.finding import Finding
from norvash.core.stages.catalogue import FIELDS, FINDINGS, TASKS
from whole import assert_nothing_moved

KINDS = ("never-runs", "ends-in-cut", "of-brush", "holds-brush", "by-test")
MARKS = ("needs", "per", "whole", "judged", "after_work", "work", "compared", "marks", "record", "classes")


def plain(value: object) -> object | None:
    """Return a table as it can be kept, None for one that holds anything but figures, flags and words."""
    if isinstance(value, bool | int | float | str):
        return value
    if isinstance(value, frozenset):
        return sorted(map(str, value))
    if isinstance(value, tuple | list):
        made = [plain(x) for x in value]
        return None if None in made else made
    if isinstance(value, Mapping):
        held = {k.id if isinstance(k, Finding) else str(k): plain(x) for k, x in value.items()}
        return None if None in held.values() else held
    return None


def tables() -> Iterator[list[object]]:
    """Yield every table and figure of a module by its name, each once."""
    for found in pkgutil.walk_packages(norvash.core.__path__, "norvash.core."):
        for name, value in sorted(vars(import_module(found.name)).items()):
            kept = plain(value) if name.isupper() and not isinstance(value, str) else None
            if kept not in (None, [], {}):
                yield [f"{found.name.removeprefix('norvash.core.')}.{name}", kept]


def test_no_figure_of_a_table_moves() -> None:
    assert_nothing_moved("tables.json", list(tables()), rel=1e-9)


def declared(field: Field) -> list[object]:
    bounds = [field.low, field.high, field.dimension] if isinstance(field, Quantity | Column) else []
    return [field.id, *(plain(getattr(field, m)) for m in MARKS), *bounds, [t.id for t in field.tells]]


def graded(finding: Finding) -> list[object]:
    kinds = [k in finding.kinds or "" for k in KINDS]
    return [finding.id, finding.grade, *kinds, plain(finding.shows or ""), [t.id for t in finding.tasks]]


def test_no_flag_or_weight_of_a_declaration_moves() -> None:
    told: list[object] = [graded(f) for f in FINDINGS.values()]
    told += [declared(f) for f in FIELDS]
    told += [[t.id, t.minutes, t.renews, t.looks, list(t.schools)] for t in TASKS.values()]
    told += [[f.name, f.low, f.high, f.dimension] for f in FIGURES if isinstance(f, Number)]
    told += [[r.id, r.default, r.low, r.high, r.unit, dict(r.by_class)] for r in RULES.values()]
    told += [[s.id, s.silent, list(s.dead), [[a.id, a.weights, a.usual or 0] for a in s.answers]] for s in SIGNS]
    told += [[c.id, dict(c.common)] for c in CAUSES]
    assert_nothing_moved("declared.json", told, rel=1e-9)
