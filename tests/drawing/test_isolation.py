"""The way from what feeds a motor to what it turns: solid is only what somebody said, for every way to isolate it."""

import re
from itertools import product

import pytest

from norvash.core.motor.classes import TEMPLATES
from norvash.core.stages.gates import METHODS, SAFE, usual_method
from norvash.drawing.running.isolation import Place, isolation
from norvash.web.stages.safe import PLACES
from small_sheets import facts

AT = ("source", "terminals", "capacitors", "shaft", "turned")


@pytest.mark.parametrize("method", METHODS)
@pytest.mark.parametrize("narrow", [False, True])
def test_what_nobody_said_stays_in_pencil(method: str, narrow: bool) -> None:
    bare = isolation(method, method, tuple(Place(at, at, done=False) for at in AT), narrow=narrow)
    seen = {bare.svg()}
    for done in product((False, True), repeat=len(AT)):
        places = tuple(Place(at, at, d) for at, d in zip(AT, done, strict=True))
        drawn = isolation(method, method, places, narrow=narrow)
        assert [said for _, said in drawn.rows] == ["yes" if d else "no" for d in done]
        assert drawn.svg().count(">not said<") == done.count(False)
        assert all(f"{at}" in drawn.description for at, d in zip(AT, done, strict=True) if not d)
        assert ("gone" in drawn.svg()) == (not all(done))
        xs = [float(x) for x in re.findall(r'<text[^>]* x="([\d.]+)"', drawn.svg())]
        assert all(30 <= x <= drawn.width - 30 for x in xs)
        seen.add(drawn.svg())
    assert len(seen) == 2 ** len(AT)


@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_the_usual_way_of_a_class_is_drawn_where_nobody_has_said_it(motor_class: str) -> None:
    usual = usual_method(facts(motor_class, 4))
    places = (Place("source", "apart", done=False),)
    assert isolation("", usual, places).svg() == isolation(usual, "", places).svg()
    others = {isolation("", m, places).svg() for m in METHODS}
    assert len(others) == 5  # a battery is drawn one way, whatever is taken off it


def test_every_place_is_named_by_a_step_of_the_gate() -> None:
    assert {step for known in PLACES.values() for step in known} <= {s.id for s in SAFE.every}
