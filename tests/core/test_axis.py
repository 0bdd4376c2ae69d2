"""The parts on the axis: whatever is looked for, measured, found or done inside a motor has its place there."""

import pytest

from norvash.core.motor.classes import TEMPLATES
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.part import BESIDE
from norvash.core.stages.axis import BEARING, LOOKED, WALKED, at_field, at_finding, axis_of, looked, on
from norvash.core.stages.catalogue import FIELD_BY_ID, FINDINGS, STAGE_BY_ID
from norvash.drawing.cutaway.parts import DRAW
from small_sheets import facts

ALL = set(DRAW)
# What stands beside the parts of a stage that is walked by them.
NO_PART = ("remark.", "skip.", "sound.", "looked.", "together.")


def test_every_finding_lies_on_a_part_or_beside_the_motor() -> None:
    lost = [f.id for f in FINDINGS.values() if not at_finding(f) and f.part not in BESIDE]
    assert lost == []
    assert {at_finding(f) for f in FINDINGS.values()} <= {*ALL, BEARING, ""}
    assert at_finding(FINDINGS["drive.belt"]) == "drive"


@pytest.mark.parametrize("stage", WALKED)
def test_every_field_of_a_stage_that_is_walked_lies_on_a_part(stage: str) -> None:
    fields = [f for f in STAGE_BY_ID[stage].all_fields if not f.id.startswith(NO_PART)]
    places = {"bearing": (1, 2), "circuit": (0, 1, 2, 3)}
    lies = {(f.id, n): at_field(f, n) for f in fields for n in places.get(f.per, (0,))}
    by_sight = {i for i, _ in lies if i.startswith("seen.")}
    assert [at for at, part in lies.items() if part not in {*ALL, BEARING}] == []
    assert {at_finding(FIELD_BY_ID[i].tells[0]) for i in by_sight} <= {*ALL, BEARING}


@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_every_class_has_its_parts_in_order_and_all_that_lies_on_them(motor_class: str) -> None:
    motor = facts(motor_class, TEMPLATES[motor_class].brushes)
    parts = axis_of(motor)
    named = {p.id: p for p in parts}
    assert parts[0].words.endswith("commutator end")
    assert len({p.words for p in parts}) == len(parts) <= len(ALL)
    for finding in FINDINGS.values():
        at = at_finding(finding)
        assert not at or at == BEARING or on(at, named) in named, finding.id
    rules = MotorRules(shipped().book, motor_class)
    for part in parts:
        tick = looked(part)
        assert (tick is not None) == (part.stage in WALKED)
        assert tick is None or tick.is_offered(motor, rules)
    offered = {i for i, t in LOOKED.items() if t.is_offered(motor, rules)}
    assert offered == {p.id for p in parts if p.id in LOOKED}


def test_a_part_is_called_what_it_is_on_its_motor() -> None:
    def words(motor_class: str, **figures: str) -> list[str]:
        return [p.words for p in axis_of(facts(motor_class, 2, **figures))]

    assert {"clutch and pinion", "bush, nose", "nose and frame", "solenoid and lever"} <= set(words("starter"))
    assert "solenoid and lever" not in words("starter", has_solenoid="no")
    assert "belt and pulley" in words("tool", it_turns="belt")
    assert "magnets" in words("industrial", construction="permanent-magnet")
    assert "field" in words("industrial", construction="shunt")
