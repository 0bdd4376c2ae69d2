"""The stages of a sheet: what is declared belongs to one, shows what is known, and is drawn."""

import ast
import pkgutil
from collections.abc import Iterator
from importlib import import_module
from importlib.util import find_spec
from pathlib import Path
from types import ModuleType

import pytest

import norvash.core
import norvash.web
import norvash.work
from norvash.core import stages
from norvash.core.diagnosis.signs import BY_ID as SIGNS
from norvash.core.judging.measuring import measured_on
from norvash.core.motor.figure_fields import PINION_GAP_HIGH_MM
from norvash.core.rules.catalogue import SCHOOLS_BY_ID, shipped
from norvash.core.sheet.field import Column, Decision, Field, Pick, Quantity, Text, Tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import PARTS
from norvash.core.sheet.task import Task
from norvash.core.stages.catalogue import FIELDS, FINDINGS, STAGES, TASKS, field_of, stage_of
from norvash.core.stages.gates import GATES
from norvash.core.stages.sign import ADDITION
from small_sheets import facts, sheet

# Signs that follow from the last round and from speed settings and drops, not from a finding.
FROM_FIGURES = {"short-brush", "uneven"}


def declared() -> Iterator[tuple[ModuleType, str, object]]:
    for found in pkgutil.walk_packages(stages.__path__, f"{stages.__name__}."):
        module = import_module(found.name)
        yield from ((module, name, value) for name, value in vars(module).items() if name.isupper())


def test_nothing_is_declared_that_no_stage_has() -> None:
    values = [value for _, _, value in declared()]
    fields = {f for f in values if isinstance(f, Field)}
    findings = {f.id for f in values if isinstance(f, Finding)}
    tasks = {t.id for t in values if isinstance(t, Task)}
    assert fields - {ADDITION} <= set(FIELDS)
    assert findings == set(FINDINGS)
    assert tasks == set(TASKS)
    assert len({f.id for f in FIELDS}) == len(FIELDS)
    assert len({s.id for s in STAGES}) == len(STAGES)
    assert {p for s in STAGES for p in s.parts} == set(PARTS)
    assert {s.gate for s in STAGES if s.gate} == set(GATES.values())


def test_a_finding_is_a_sign_that_can_be_and_every_sign_inside_follows_from_one() -> None:
    shown = {f.shows for f in FINDINGS.values() if f.shows}
    assert all(answer in SIGNS[sign].known for sign, answer in shown)
    inside = {s.id: stage for stage in STAGES if stage.inside for s in stage.signs}
    assert set(inside) - {sign for sign, _ in shown} == FROM_FIGURES
    assert {s.id for stage in STAGES for s in stage.signs} == set(SIGNS)
    assert all(sign in inside and inside[sign] is stage for stage in STAGES for sign in stage.clears)
    denied = {stage.id: stage.clears for stage in STAGES if stage.clears}
    assert denied == {
        "commutator": ("track", "surface", "mica", "slots", "flashed"),
        "windings": ("burnt", "wire-broken", "core-rubbed", "interpole-hot", "magnets"),
        "drive": ("bearing-bad", "shaft-bad", "fan-bad", "drive-bad", "belt-bad"),
    }


def test_a_field_that_finds_something_is_judged_by_answers_that_it_has() -> None:
    for field in FIELDS:
        if isinstance(field, Pick):
            known = {answer for answer, _ in field.choices}
            assert field.finds.keys() | field.refused.keys() <= known, field.id
            assert field.judged or not field.finds, field.id
        if isinstance(field, Quantity):
            assert field.low < field.high, field.id
    assert all(school in SCHOOLS_BY_ID for s in STAGES for school in s.schools)


def test_what_is_named_as_it_comes_is_found_again() -> None:
    for name, stage in (
        ("decide.lead.taut", "decide"),
        ("step.power.guards", "prove"),
        ("settle.act-1.2", "call-in"),
        ("step.safe.dead", "safe"),
    ):
        field, owner = field_of(name), stage_of(name)
        assert field is not None and owner is not None  # noqa: PT018
        assert (field.id, owner.id) == (name, stage)
    assert isinstance(field_of("decide.anything"), Decision)
    for ghost in ("decide.", "step.safe.", "step.nothing.x", "settle.", "seen.ghost", "addition", ""):
        assert (field_of(ghost), stage_of(ghost)) == (None, None), ghost


def test_every_stage_has_a_view_and_a_template_of_its_name() -> None:
    folder = Path(norvash.web.__path__[0]) / "templates/stages"
    names = {s.name for s in STAGES}
    assert {p.stem for p in folder.glob("*.html")} == names
    assert all(find_spec(f"norvash.web.stages.{name}") for name in names)
    assert all(find_spec(f"norvash.core.stages.{name}") for name in names)


def test_what_is_asked_for_is_read_or_is_only_a_record() -> None:
    """A value that is taken and that nothing reads would be kept and never judged."""
    read = set(_read_names())
    named: dict[int, set[str]] = {}
    for _, name, value in declared():
        if isinstance(value, Field):
            named.setdefault(id(value), set()).add(name)
    asked = [f for f in FIELDS if isinstance(f, Quantity | Tick | Column | Pick) and id(f) in named]
    taken = [f for f in asked if not (f.does or f.ends or getattr(f, "finds", None))]
    unread = {f.id for f in taken if not named[id(f)] & read}
    assert unread == {f.id for f in FIELDS if f.record and not isinstance(f, Text)}
    assert len(taken) > 70
    assert not [f.id for f in FIELDS if f.record and (f.judged or f.tells)]


def _read_names() -> Iterator[str]:
    """Yield every name that the core or a job reads outside the tables in which fields are declared."""
    for path in (*Path(norvash.core.__path__[0]).rglob("*.py"), *Path(norvash.work.__path__[0]).rglob("*.py")):
        for node in ast.parse(path.read_text()).body:
            if isinstance(node, ast.AnnAssign) and getattr(node.target, "id", "") == "FIELDS":
                continue
            yield from (n.id for n in ast.walk(node) if isinstance(n, ast.Name) and isinstance(n.ctx, ast.Load))
            yield from (n.attr for n in ast.walk(node) if isinstance(n, ast.Attribute))


PINION: dict[str, tuple[dict[str, float | str], float, bool | None]] = {
    "inside": ({"pinion_gap_low_mm": 0.5, "pinion_gap_high_mm": 3.0}, 2.0, True),
    "on its edge": ({"pinion_gap_low_mm": 0.5, "pinion_gap_high_mm": 3.0}, 3.0, True),
    "too little": ({"pinion_gap_low_mm": 0.5, "pinion_gap_high_mm": 3.0}, 0.4, False),
    "too much": ({"pinion_gap_high_mm": 3.0}, 3.1, False),
    "none at all": ({}, 0.0, False),
    "nobody says what is allowed": ({"pinion_gap_low_mm": 0.5}, 3.1, None),
}


@pytest.mark.parametrize(("own", "gap_mm", "right"), PINION.values(), ids=PINION)
def test_the_pinion_is_judged_by_its_makers_figure(
    own: dict[str, float | str], gap_mm: float, right: bool | None
) -> None:
    made = sheet(facts("starter", 2, **own), pinion_gap=gap_mm)
    (said,) = measured_on(made, shipped())
    assert (said.right, [f.words for f in said.findings]) == (right, [said.words] if right is False else [])
    drive = next(s for s in STAGES if s.id == "drive")
    assert PINION_GAP_HIGH_MM in drive.asks_of(made.facts)
    assert PINION_GAP_HIGH_MM not in drive.asks_of(facts("tool"))
