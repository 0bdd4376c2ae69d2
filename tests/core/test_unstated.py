"""What is judged where nobody states a figure: heat of a case, end float, a field by its ohms, a fan, an earth's cord."""

from typing import Any

import pytest

from norvash.core.judging.measuring import measured_on
from norvash.core.judging.prove.field_proof import field_lacks
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.records import Readings
from small_sheets import NOON, facts, sheet

RULES = shipped()
# fmt: off
MIXER = facts("appliance", rated_v=230.0)
DRIVE = facts("industrial", rated_v=220.0, rated_a=20.0, rated_w=4000.0, construction="shunt", short_duty="no")
SMALL = facts("industrial", rated_v=220.0, rated_a=5.0, rated_w=999.0, construction="shunt")
HOT = {"run_air_c": 20.0, "run_a": 8.0}
# A motor, what was read, the value's name, its standing, the grade of what it is, and words of it.
CASES: dict[str, tuple[Facts, dict[str, Any], str, str, str, str]] = {
    "a case as it may be": (DRIVE, {**HOT, "run_c": 80.0, "run_min": 15.0}, "run heat", "right", "", "60 K over the air, up to 60 K is usual"),
    "a case to be looked into": (DRIVE, {**HOT, "run_c": 80.1, "run_min": 15.0}, "run heat", "off", "plan", "60.1 K"),
    "a case to be mended": (DRIVE, {**HOT, "run_c": 100.1, "run_min": 15.0}, "run heat", "off", "change", "80.1 K"),
    "a case that must not run": (DRIVE, {**HOT, "run_c": 130.1, "run_min": 15.0}, "run heat", "off", "stop", "110.1 K"),
    "not long enough": (DRIVE, {**HOT, "run_c": 130.1, "run_min": 14.9}, "run heat", "not judged", "", "say how long it ran, from 15 min"),
    "as hot as five minutes before": (DRIVE, {**HOT, "run_c": 90.0, "run_c_before": 88.0}, "run heat", "off", "plan", "70 K"),
    "still rising": (DRIVE, {**HOT, "run_c": 90.0, "run_c_before": 87.9}, "run heat", "not judged", "", "5 min before"),
    "made for short duty": (facts("tool", short_duty="yes"), {**HOT, "run_c": 130.0, "run_min": 15.0}, "run heat", "not judged", "", "not known"),
    "as stated, however short": (facts("tool", rise_most_k=40.0), {**HOT, "run_c": 70.0}, "run heat", "off", "change", "at most 40 K"),
    "metal that is held": (MIXER, {"touched_c": 60.1, "touched": "metal", "run_a": 1.0}, "run touched", "off", "plan", "at most 60 °C of metal"),
    "a plastic grip": (MIXER, {"touched_c": 75.0, "touched": "other", "run_a": 1.0}, "run touched", "right", "", "at most 75 °C"),
    "too hot a grip": (MIXER, {"touched_c": 75.1, "run_a": 1.0}, "run touched", "off", "plan", "plastic, wood or rubber"),
    "a grip of something": (MIXER, {"touched_c": 65.0, "run_a": 1.0}, "run touched", "not judged", "", "say whether that is metal"),
    "a starter's float": (facts("starter", 4), {"end_float": 1.0}, "end-float", "right", "", "0.1 to 1 mm is usual for a starter"),
    "a little over": (facts("starter", 4), {"end_float": 1.1}, "end-float", "off", "watch", "put in 0.55 mm"),
    "twice that": (facts("starter", 4), {"end_float": 2.01}, "end-float", "off", "plan", ""),
    "four times": (facts("starter", 4), {"end_float": 4.01}, "end-float", "off", "change", ""),
    "too little": (facts("starter", 4), {"end_float": 0.05}, "end-float", "off", "watch", "take out 0.50 mm"),
    "in plain bushes": (DRIVE, {"end_float": 0.8, "float_in": "bush"}, "end-float", "right", "", "plain bushes"),
    "in bushes, as one was read": (DRIVE, {"end_float": 0.9, "bush_state": ("oiled",)}, "end-float", "off", "watch", "plain bushes"),
    "in ball bearings": (DRIVE, {"end_float": 0.61, "float_in": "ball"}, "end-float", "off", "plan", "ball bearings"),
    "in the bearing that its figures name": (facts("tool", bearing_drive="6202"), {"end_float": 0.3}, "end-float", "right", "", "ball bearings"),
    "held by a spring": (DRIVE, {"end_float": 3.0, "float_in": "preloaded"}, "end-float", "recorded", "", "turning tells"),
    "nobody knows in what": (DRIVE, {"end_float": 0.4}, "end-float", "not judged", "", "say what it runs in"),
    "by its maker": (facts("industrial", end_float_high_mm=0.2), {"end_float": 0.9, "float_in": "ball"}, "end-float", "off", "plan", "0 to 0.2 mm allowed"),
    "a field as usual": (DRIVE, {"field_ohm": 55.0}, "field-ohm", "right", "", "20.0% of the plate's current"),
    "a field that takes much": (DRIVE, {"field_ohm": 54.9}, "field-ohm", "off", "plan", "0.5% to 20% is usual"),
    "a small motor's": (SMALL, {"field_ohm": 110.0}, "field-ohm", "right", "", "40.0%"),
    "a field nearly open": (DRIVE, {"field_ohm": 2250.0}, "field-ohm", "off", "change", "nearly open"),
    "a field with its ohms stated": (
        facts("industrial", rated_v=220.0, rated_a=20.0, construction="shunt", field_ohm=40.0),
        {"field_ohm": 40.0},
        "field-ohm",
        "right",
        "",
        "",
    ),
    "a plate without amps": (facts("industrial", rated_v=220.0, construction="shunt"), {"field_ohm": 40.0}, "field-ohm", "not judged", "", ""),
    "a fan that has room": (MIXER, {"shroud_gaps": (0.5, 3.0)}, "shroud-gaps", "right", "", "0.5 mm from its shroud"),
    "a fan too near": (MIXER, {"shroud_gaps": (3.0, 0.49)}, "shroud-gaps", "off", "plan", "at least 0.5 mm"),
    "a fan that rubs": (MIXER, {"shroud_gaps": (3.0, 0.0)}, "shroud-gaps", "off", "change", "rubs"),
    "an earth without its cord": (facts("appliance", protection="protective earth"), {"earth_ohm": 0.12}, "earth-ohm", "off", "stop", "allowed 0.1"),
    "an earth with its cord": (
        facts("appliance", protection="protective earth", cord_mm=1250.0, cord_mm2=0.75),
        {"earth_ohm": 0.129},
        "earth-ohm",
        "right",
        "",
        "allowed 0.129, 0.029 Ω of it its cord",
    ),
    "a cord by its ohms": (facts("appliance", protection="protective earth", cord_ohm=0.03), {"earth_ohm": 0.131}, "earth-ohm", "off", "stop", "allowed 0.13"),
}
# fmt: on


def read(motor: Facts, given: dict[str, Any], name: str) -> Measured:
    gaps = given.get("shroud_gaps")
    if gaps:
        typed = "; ".join(map(str, gaps))
        given = {
            **given,
            "shroud_gaps": Given(
                id="g", typed=typed, word=typed, number=None, person="Ines", at=NOON, record=Readings(gaps)
            ),
        }
    found = measured_on(sheet(motor, run_how="free", **given), MotorRules(RULES.book, motor.motor_class), ())
    (one,) = [m for m in found if m.id == name]
    return one


@pytest.mark.parametrize(("motor", "given", "name", "standing", "grade", "words"), CASES.values(), ids=CASES)
def test_what_nobody_states_is_judged_by_what_is_usual(
    *, motor: Facts, given: dict[str, Any], name: str, standing: str, grade: str, words: str
) -> None:
    found = read(motor, given, name)
    assert (found.standing, "".join(f.grade for f in found.findings)) == (standing, grade)
    assert words in found.words


def test_a_field_that_takes_much_is_read_by_its_amps_before_the_armature_gets_volts() -> None:
    rules = MotorRules(RULES.book, "industrial")
    without = facts("industrial", rated_v=220.0, rated_a=20.0, construction="shunt", field_leads="no")
    assert field_lacks(sheet(without, field_ohm=55.0), rules) == ""
    assert "the total at a tenth of the volts" in field_lacks(sheet(without, field_ohm=50.0), rules)
    assert field_lacks(sheet(without, field_ohm=50.0, field_tenth_a=1.1), rules) == ""
    assert field_lacks(sheet(DRIVE, field_ohm=50.0, field_a=4.4), rules) == ""
