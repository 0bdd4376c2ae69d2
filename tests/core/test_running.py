"""Figures of the trade mended again: running, field, heat, insulation and earth, springs, output, line by line."""

from dataclasses import replace
from datetime import date
from typing import Any

import pytest

from norvash.core.brush.springs import SpringsHeld, band_of, judge_springs
from norvash.core.judging.measuring import measured_at, measured_on
from norvash.core.judging.noted import noted
from norvash.core.judging.prove.run import judge_run
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_reading import check_together
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.running.excitation import FieldPlate, field_a, judge_field
from norvash.core.running.speed import SpeedPlate, judge_unloaded, noload_rpm, permitted, unloaded_share
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Earlier, Given
from norvash.core.stages.before.stage import STAGE as BEFORE
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.gates import POWER
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.windings.insulation import PARTED, circuits_of
from norvash.core.stages.windings.withstand import refuse_withstand
from norvash.core.visit.typed import place_of, read_entry
from norvash.core.windings.field_coils import OPEN_OHM, CoilTest, judge_coils
from norvash.core.windings.heat import HeatHeld, judge_heat
from norvash.core.windings.insulation import EarthTest, judge_insulation
from norvash.core.windings.withstand import withstand_v
from norvash.errors import InputError
from small_sheets import NOON, facts, sheet

RULES = shipped()
about = pytest.approx

# fmt: off
# Permitted, plate and unloaded speed; construction; what it must not pass, and why.
PERMITTED = {
    "as stated": (SpeedPlate(permitted_rpm=1800, rated_rpm=1500), "shunt", 1800, "as permitted"),
    "by its plate": (SpeedPlate(rated_rpm=900), "separately excited", 1080, "1.2 times its plate speed"),
    "by its speed without load": (SpeedPlate(rated_rpm=1000, noload_rpm=1200), "permanent-magnet", 1380, "1.15 times its speed without load"),
    "at most one and a half": (SpeedPlate(rated_rpm=1000, noload_rpm=1400), "compound", 1500, "1.5 times its plate speed"),
    "universal, built in": (SpeedPlate(rated_rpm=9000, noload_rpm=20000), "universal", 23000, "1.15 times its speed without load"),
    "universal, nothing known": (SpeedPlate(rated_rpm=9000), "universal", None, ""),
    "shunt, only unloaded": (SpeedPlate(noload_rpm=1600), "shunt", 1840, "speed without load"),
    "nothing known": (SpeedPlate(), "shunt", None, ""),
}
# Speed without load of one of 1 500 r/min by its plate, with or without its own; the grade.
UNLOADED = {
    "as its plate": (1650, None, "good"),
    "unknown": (1651, None, "not judged"),
    "still unknown": (1950, None, "not judged"),
    "too fast": (1951, None, "plan"),
    "the edge": (2250, None, "plan"),
    "far too fast": (2251, None, "stop"),
    "as it is": (1760, 1600.0, "good"),
    "over a tenth": (1761, 1600.0, "plan"),
}
# Coils, construction, usual and the meter's step; states, and the grade.
COILS = {
    "agree": ([10, 10.4, 9.6], "shunt", None, None, ["good"] * 3, "fit"),
    "a little low": ([10, 10, 9.2], "shunt", None, None, ["good", "good", "low"], "watch"),
    "at the edge of low": ([10, 10, 9.0], "shunt", None, None, ["good", "good", "low"], "watch"),
    "a little high": ([10, 10, 12.5], "shunt", None, None, ["good", "good", "high"], "watch"),
    "a poor joint": ([10, 10, 13], "series", None, None, ["good", "good", "joint"], "plan"),
    "twice as much": ([10, 10, 20.1], "series", None, None, ["good", "good", "open"], "stop"),
    "shorted on a shunt motor": ([29.1, 29.4, 29.2, 29.3, 25.9, 29.2], "shunt", None, None, ["good"] * 4 + ["shorted", "good"], "stop"),
    "shorted on a series motor": ([10, 10, 5], "series", None, None, ["good", "good", "shorted"], "change"),
    "open among tens": ([10, 10, 999999], "universal", None, None, ["good", "good", "open"], "stop"),
    "over all a meter shows": ([10, 10, OPEN_OHM], "universal", None, None, ["good", "good", "open"], "stop"),
    "two open of four": ([10, 10, OPEN_OHM, OPEN_OHM], "shunt", None, None, ["good", "good", "open", "open"], "stop"),
    "of two the lower": ([10, 8], "compound", None, None, ["good", "shorted"], "stop"),
    "of two one open": ([10, OPEN_OHM], "shunt", None, None, ["not judged", "open"], "stop"),
    "of two one a hundred times": ([10, 1001], "shunt", 10.1, None, ["good", "open"], "stop"),
    "one alone, by its type": ([8.0], "separately excited", 10.0, None, ["shorted"], "stop"),
    "one alone, nothing known": ([8.0], "shunt", None, None, ["not judged"], "fit"),
    "a coarse meter": ([0.5, 0.5, 0.4], "series", None, 0.1, ["not judged"] * 3, "fit"),
}
# Winding and air, class, stated rise, only that; by what; the grade, and what is said.
HEAT = {
    "as it may": (99.9, 24.0, "F", None, False, "resistance", "fit", "at most 105 K, class F"),
    "class not known": (99.9, 24.0, "", None, False, "resistance", "fit", "class not known, so as class B"),
    "over its class": (125.0, 40.0, "B", None, False, "resistance", "plan", "at most 80 K"),
    "over it by twenty": (140.0, 40.0, "B", None, False, "resistance", "plan", "100.0 K"),
    "far over it": (195.0, 40.0, "B", None, False, "resistance", "stop", "155.0 K"),
    "by thermometer": (112.0, 40.0, "B", None, False, "thermometer", "plan", "at most 70 K"),
    "air not measured, over any air": (198.0, None, "", None, False, "resistance", "stop", "enter the air"),
    "air not measured": (100.0, None, "", None, False, "resistance", "fit", "not judged without it"),
    "stated only, none": (190.0, 20.0, "F", None, True, "resistance", "fit", "not judged: say the rise"),
    "as stated": (190.0, 20.0, "F", 150.0, True, "resistance", "plan", "as stated"),
}
# Volts, machine, circuit, reading [MΩ], temperature; the grade.
INSULATION = {
    "a drive of 220 V": (220, "other", "whole", 3.2, 18, "stop"),
    "warm and enough": (220, "other", "whole", 5.0, 40, "fit"),
    "middling": (220, "other", "whole", 1.22, 40, "watch"),
    "a generator of 60 V": (60, "other", "whole", 1.05, 40, "stop"),
    "an armature alone": (220, "other", "armature", 4.9, 40, "stop"),
    "a bar to the shaft": (220, "other", "shaft", 5.0, 40, "fit"),
    "a field alone": (220, "other", "field", 4.0, 40, "watch"),
    "a double insulated appliance": (230, "double", "whole", 1.4, 20, "stop"),
    "an earthed one": (230, "earthed", "whole", 1.4, 20, "fit"),
    "twelve volts": (12, "other", "whole", 0.5, 20, "watch"),
    "twelve volts, bad": (12, "other", "whole", 0.019, 20, "stop"),
    "twenty-four volts": (24, "other", "whole", 0.0239, 20, "stop"),
    "forty-eight": (48, "other", "whole", 1.0, 20, "fit"),
    "a truck's battery": (80, "vehicle", "whole", 0.08, 20, "watch"),
    "a truck's battery, bad": (80, "vehicle", "whole", 0.079, 20, "stop"),
    "over 120 V": (144, "vehicle", "whole", 1.1, 40, "stop"),
    "a restacked post": (12, "other", "post", 0.99, 20, "stop"),
    "a good post": (12, "other", "post", 6.0, 20, "fit"),
    "volts not known": (None, "other", "whole", 1.9, 40, "stop"),
    "volts not known, a tool": (None, "double", "whole", 2.0, 20, "fit"),
}
# Forces by position; nominal, section; grades.
SPRINGS = {
    "a pair, one dead": ({1: 6.0, 2: 0.4}, None, None, {1: "fit", 2: "stop"}),
    "a pair, one weak": ({1: 6.0, 2: 5.3}, None, None, {1: "fit", 2: "plan"}),
    "a pair, one far off": ({1: 6.0, 2: 4.7}, None, None, {1: "fit", 2: "change"}),
    "no pressure": ({1: 6.0, 2: 0.0}, None, None, {1: "fit", 2: "stop"}),
    "no pressure, alone": ({1: 0.0}, None, None, {1: "stop"}),
    "nothing to hold it against": ({1: 6.0}, None, None, {1: "fit"}),
    "four, the stronger half": ({1: 6.0, 2: 6.2, 3: 0.4, 4: 6.1}, None, None, {1: "fit", 2: "fit", 3: "stop", 4: "fit"}),
    "by its nominal": ({1: 7.69, 2: 5.2}, 6.0, None, {1: "change", 2: "plan"}),
    "under half of its nominal": ({1: 6.0, 2: 2.9}, 6.0, None, {1: "fit", 2: "stop"}),
    "by its band": ({1: 5.6, 2: 0.2}, None, (9.0, 18.0), {1: "fit", 2: "stop"}),
    "under the band": ({1: 2.4}, None, (9.0, 18.0), {1: "plan"}),
    "inside, and half of its fellow": ({1: 8.0, 2: 3.9}, None, (9.0, 18.0), {1: "fit", 2: "watch"}),
    "too strong for the set only": ({1: 6.0, 2: 12.0, 3: 12.0}, None, None, {1: "change", 2: "fit", 3: "fit"}),
}
DRIVE = facts("industrial", 4, construction="shunt", rated_v=220.0, rated_rpm=1500.0, rated_a=20.0, rated_w=4000.0)
MAGNET = facts("appliance", 2, construction="permanent-magnet", rated_v=24.0, rated_rpm=3000.0)
IDLER = facts("appliance", 2, construction="universal", rated_v=230.0, rated_a=5.0)
DYNAMO = facts("generator", 2, rated_v=12.0)
VEHICLES = facts("generator", 2, rated_v=12.0, rated_rpm=1500.0)
PERMITTED_PLANT = facts("generator", 4, rated_v=220.0, rated_rpm=1450.0, permitted_rpm=1750.0)
PLANT = facts("generator", 4, rated_v=220.0, rated_rpm=1450.0)
# A motor, what its run read, what it finds and how grave, what is said of it, and what it lacks as a proof.
RUNS: dict[str, tuple[Facts, dict[str, Any], str, str, str]] = {
    "over its permitted speed, with load": (DRIVE, {"run_how": "load", "run_rpm": (1801.0,)}, "run.overspeed stop", "at most 1 800", ""),
    "a shunt motor at 2 600 without load": (DRIVE, {"run_how": "free", "run_rpm": (2600.0,)}, "run.overspeed stop", "173% of its plate", ""),
    "a little too fast": (DRIVE, {"run_how": "free", "run_rpm": (2000.0,)}, "run.speed plan", "weak field", ""),
    "not to be judged": (DRIVE, {"run_how": "free", "run_rpm": (1900.0,), "run_a": (4.0,)}, "", "not judged: say its speed", "its field by ohms or amps"),
    "not to be judged, and its field read": (DRIVE, {"run_how": "free", "run_rpm": (1900.0,), "run_a": (4.0,), "field_a": 0.6}, "", "up to 30% is usual", ""),
    "not to be judged, and no amps": (MAGNET, {"run_how": "free", "run_rpm": (3800.0,)}, "", "not judged: say its speed", "its current without load"),
    "a magnet motor at 5 000": (MAGNET, {"run_how": "free", "run_rpm": (5000.0,)}, "run.overspeed stop", "167%", ""),
    "more than its plate without load": (DRIVE, {"run_how": "free", "run_a": (60.0,)}, "run.overload stop", "300% of its plate", ""),
    "much without load": (DRIVE, {"run_how": "free", "run_a": (6.1,)}, "run.amps plan", "up to 30%", ""),
    "little without load": (DRIVE, {"run_how": "free", "run_a": (6.0,)}, "", "up to 30% is usual", ""),
    "a vacuum cleaner by its amps": (IDLER, {"run_how": "load", "run_a": (4.8,), "run_rpm": (26000.0,)}, "", "say its speed without load", ""),
    "nothing to judge it by": (facts("tool"), {"run_how": "free", "run_a": (2.0,)}, "", "not known", "a figure to judge it by"),
    "a starter by its throw only": (facts("starter", 4), {"run_how": "clamped", "run_a": (60.0,), "run_v": (11.0,)}, "", "", "proves the throw only"),
    "a starter far too fast": (facts("starter", 4), {"run_how": "clamped", "run_rpm": (15001.0,)}, "run.overspeed stop", "for a starter", "throw only"),
    "a dead dynamo": (DYNAMO, {"run_rpm": (1100.0, 2200.0), "run_v": (0.05, 0.1)}, "output.dead change", "residual", ""),
    "a dynamo that reaches its plate": (DYNAMO, {"run_rpm": (900.0, 1900.0), "run_v": (5.6, 13.4)}, "", "13.4 V at 1 900 r/min", ""),
    "a dynamo that does not": (DYNAMO, {"run_rpm": (900.0, 1900.0), "run_v": (5.6, 11.0)}, "", "not judged", "the speed of its plate"),
    "a generator a little fast": (PLANT, {"run_rpm": (800.0, 1600.0), "run_v": (110.0, 225.0)}, "run.speed plan", "110.3% of its plate's", ""),
    "a generator far too fast": (PLANT, {"run_rpm": (800.0, 1750.0), "run_v": (110.0, 225.0)}, "run.overspeed stop", "120.7% of its plate's", ""),
    "a generator over its permitted speed": (PERMITTED_PLANT, {"run_rpm": (800.0, 1800.0), "run_v": (110.0, 225.0)}, "run.overspeed stop", "at most 1", ""),
    "a generator whose maker permits it": (PERMITTED_PLANT, {"run_rpm": (800.0, 1745.0), "run_v": (110.0, 225.0)}, "run.speed plan", "120.3%", ""),
    "a vehicle's dynamo over its plate": (VEHICLES, {"run_rpm": (900.0, 1900.0), "run_v": (5.6, 13.4)}, "", "say its permitted speed", ""),
    "a dynamo with no plate": (facts("generator"), {"run_rpm": (900.0, 1900.0), "run_v": (5.6, 11.0)}, "", "not judged", "the volts and the speed"),
}
# fmt: on


@pytest.mark.parametrize(("plate", "construction", "rpm", "why"), PERMITTED.values(), ids=PERMITTED)
def test_the_speed_that_must_not_be_passed(plate: SpeedPlate, construction: str, rpm: float | None, why: str) -> None:
    found = permitted(plate, construction, RULES)
    assert (found.rpm if found else None) == (about(rpm) if rpm else None)
    assert found is None or why in found.why


@pytest.mark.parametrize(("rpm", "own", "grade"), UNLOADED.values(), ids=UNLOADED)
def test_a_speed_without_load_where_nothing_usual_is_stated(rpm: float, own: float | None, grade: str) -> None:
    found = judge_unloaded(rpm, SpeedPlate(rated_rpm=1500, noload_rpm=own), RULES)
    assert found.grade == grade
    assert ("say its speed without load" in found.words) is (grade == "not judged")


def test_the_speed_without_load_follows_from_the_plate() -> None:
    plate = {"armature_ohm": 0.32, "drop_v": 2.0}
    assert noload_rpm(1500, 220, 48, **plate, noload_a=4.2) == about(1603.7505)
    assert noload_rpm(1500, 220, 48, **plate, noload_a=48) == about(1500)
    assert judge_unloaded(1500, SpeedPlate(), RULES).grade == "not judged"
    for amps, idle in ((700.0, 4.2), (48.0, 60.0)):
        with pytest.raises(InputError, match="contradict"):
            noload_rpm(1500, 220, amps, **plate, noload_a=idle)
    shares = [unloaded_share(w, RULES, heavy=h) for w, h in ((1000, False), (999, True), (None, True), (None, False))]
    assert shares == [0.3, 0.6, 0.3, 0.6]


def test_a_field_carries_four_fifths_of_its_current_before_the_armature_gets_volts() -> None:
    assert field_a(220, 180, 60, RULES) == about(1.056189)
    plate = FieldPlate(current_a=2.5, volts=440)
    warm = FieldPlate(volts=220, ohm_20=180)
    cases = {
        "right": (judge_field(2.45, None, None, plate, RULES), "98.0% of 2.5 A on its plate"),
        "weak": (judge_field(1.90, None, None, plate, RULES), "76.0%"),
        "right at its least": (judge_field(2.0, None, None, plate, RULES), "80.0%"),
        "right at half its volts": (judge_field(1.2, 220, None, plate, RULES), "at these volts"),
        "weak by its resistance": (judge_field(0.8449, None, 60, warm, RULES), "resistance at 60 °C"),
        "right by it": (judge_field(0.845, None, 60, warm, RULES), "1.06 A"),
        "right by what was measured": (judge_field(2.45, 440, None, FieldPlate(ohm_now=176), RULES), "98.0% of 2.5 A"),
        "weak by it": (judge_field(1.9, 440, None, FieldPlate(ohm_now=176), RULES), "76.0%"),
        "not judged": (judge_field(1.0, None, None, FieldPlate(), RULES), "say its field's resistance"),
    }
    for name, (found, words) in cases.items():
        assert found.answer == (name if name == "not judged" else name.split()[0]), name
        assert words in found.words


@pytest.mark.parametrize(("each", "construction", "usual", "step", "states", "grade"), COILS.values(), ids=COILS)
def test_field_coils(
    *, each: list[float], construction: str, usual: float | None, step: float | None, states: list[str], grade: str
) -> None:
    test = CoilTest(construction=construction, usual_ohm=usual, step_ohm=step)
    found = judge_coils(each, 20, test, RULES)
    assert (list(found.states), found.grade) == (states, grade)
    two = len([s for s in states if s != "open"]) == 2
    assert ("the suspect" in found.words) is (two and "shorted" in states)
    assert judge_coils([x * 1.1965 for x in each], 70, test, RULES).states == found.states or OPEN_OHM in each or step


@pytest.mark.parametrize(("winding", "air", "of", "stated", "only", "by", "grade", "words"), HEAT.values(), ids=HEAT)
def test_how_hot_a_winding_may_be(
    *, winding: float, air: float | None, of: str, stated: float | None, only: bool, by: Any, grade: str, words: str
) -> None:
    held = HeatHeld(insulation_class=of, stated_k=stated, stated_only=only)
    found = judge_heat(winding, air, held, by, RULES)
    assert found.grade == grade
    assert words in found.words


def test_classes_of_insulation_by_resistance_and_by_thermometer() -> None:
    most = {by: [RULES[f"rise.{by}-{c}"] for c in "AEBFH"] for by in ("resistance", "thermometer")}
    assert most == {"resistance": [60, 75, 80, 105, 125], "thermometer": [50, 65, 70, 85, 105]}


@pytest.mark.parametrize(
    ("volts", "machine", "circuit", "megohm", "warm", "grade"), INSULATION.values(), ids=INSULATION
)
def test_insulation_by_machine_volts_and_circuit(
    *, volts: float | None, machine: str, circuit: str, megohm: float, warm: float, grade: str
) -> None:
    tested = EarthTest(rated_v=volts, machine=machine, circuit=circuit, parted=True)
    assert judge_insulation(megohm, warm, None, tested, RULES).grade == grade


def test_a_trend_is_corrected_both_ways_and_the_judgement_stays_on_the_safe_side() -> None:
    found = judge_insulation(3.0, 55.0, 9.0, EarthTest(rated_v=440, parted=True), RULES)
    assert found.share == about(0.943, abs=1e-3)
    assert (found.fallen, found.judged_megohm) == (False, 3.0)
    cold = judge_insulation(34.0, 22.0, 31.0, EarthTest(rated_v=440, parted=True), RULES)
    assert cold.share == about(0.314966, abs=1e-5)
    assert cold.fallen


@pytest.mark.parametrize(("forces", "nominal", "section", "grades"), SPRINGS.values(), ids=SPRINGS)
def test_springs_of_a_set(
    forces: dict[int, float], nominal: float | None, section: tuple[float, float] | None, grades: dict[int, str]
) -> None:
    industrial = MotorRules(rulebook_with(()), "industrial")
    band = band_of(industrial, magnets=True)
    assert list(band) == [15, 50]
    found = judge_springs(forces, SpringsHeld(nominal_n=nominal, section_mm=section, band_kpa=band), industrial)
    assert {n: s.grade for n, s in found.items()} == grades


@pytest.mark.parametrize(("motor", "read", "finds", "said", "lacks"), RUNS.values(), ids=RUNS)
def test_what_a_run_says(motor: Facts, read: dict[str, Any], finds: str, said: str, lacks: str) -> None:
    run = judge_run(sheet(motor, bump="right", turned="right", **read), MotorRules(RULES.book, motor.motor_class))
    assert " ".join(f"{f.id} {f.grade}" for f in run.found) == finds
    assert said in " ".join([*(s.words for s in run.said), *(f.words for f in run.found)])
    assert lacks in " ".join(run.lacks)
    assert lacks or not any("figure to judge" in x or "plate" in x or "throw" in x for x in run.lacks)


# By motor: whether an earth is asked for, what is parted first, and the circuits that are kept.
HAS = {
    "a traction motor on a line": (facts("traction", 4, rated_v=600.0), True, "parted-capacitors", (0, 1, 2, 3)),
    "a truck on its battery": (facts("traction", 4, rated_v=80.0), False, "parted-capacitors", (0, 1, 2, 3)),
    "a generator of 220 V": (facts("generator", 4, rated_v=220.0), True, "", (0, 1, 2, 3)),
    "a dynamo": (
        facts("generator", 2, rated_v=12.0, construction="shunt"),
        False,
        "parted-brushes parted-field",
        (0, 1, 2, 3),
    ),
    "a washer": (facts("appliance", 2, rated_v=230.0), True, "parted-capacitors", (0, 1, 2)),
    "a double insulated one": (
        facts("appliance", 2, rated_v=230.0, protection="double insulated"),
        False,
        "parted-capacitors",
        (0, 1, 2),
    ),
    "a drive of 48 V": (facts("industrial", 4, rated_v=48.0), False, "parted-capacitors", (0, 1, 2)),
    "a drive of 50 V": (facts("industrial", 4, rated_v=50.0), True, "parted-capacitors", (0, 1, 2)),
    "a starter": (facts("starter", 4), False, "parted-brushes parted-field parted-solenoid", (0, 1, 2, 3)),
    "a magnet starter": (
        facts("starter", 4, construction="permanent-magnet"),
        False,
        "parted-brushes parted-solenoid",
        (0, 1, 3),
    ),
    "a starter without solenoid": (
        facts("starter", 4, has_solenoid="no"),
        False,
        "parted-brushes parted-field",
        (0, 1, 2, 3),
    ),
}


@pytest.mark.parametrize(("motor", "earth", "parted", "circuits"), HAS.values(), ids=HAS)
def test_only_what_a_motor_has_is_asked(motor: Facts, *, earth: bool, parted: str, circuits: tuple[int, ...]) -> None:
    assert EARTH_OHM.is_offered(motor, RULES) is earth
    assert ("earth" in {s.id for s in POWER.steps(motor, RULES)}) is earth
    assert " ".join(t.id for t, _ in PARTED if t.is_offered(motor, RULES)) == parted
    assert circuits_of(motor) == circuits
    read = sheet(motor, insulation_mohm=50.0, insulation_c=20.0)
    words = " ".join(m.words for m in measured_on(read, RULES) if m.standing == "not judged")
    assert ("solenoid" in words) is ("solenoid" in parted)


def test_every_circuit_is_judged_for_itself() -> None:
    made = sheet(DRIVE, insulation_mohm=(6.0, 0.9), insulation_c=(40.0, 40.0), parted_capacitors="yes")
    assert [(n, f.id) for n, f in noted(made, RULES)] == [(2, "insulation.low")]
    words = [m.words for m in measured_on(made, RULES) if m.findings]
    assert words[0].startswith("Insulation, field alone: 0.9 MΩ")


def test_a_winding_is_held_to_its_volts_once() -> None:
    cases = {
        ("rewound", 48.0, 500.0): 596.0,
        ("rewound", 48.0, 1000.0): 1500.0,
        ("rewound", 440.0, 30000.0): 1880.0,
        ("rewound", 110.0, 500.0): 1500.0,
        ("partly", 440.0, 30000.0): 1410.0,
        ("overhauled", 440.0, None): 1000.0,
        ("overhauled", 750.0, None): 1125.0,
        ("overhauled", 100.0, None): 1000.0,
        ("overhauled", 99.0, None): 500.0,
    }
    assert {k: withstand_v(v, w, after, RULES) for k in cases for after, v, w in [k]} == cases
    made = sheet(DRIVE, withstand_after=("rewound",), withstand_v=(1500.0,), withstand=("broke",))
    assert [(f.id, f.grade) for _, f in noted(made, RULES)] == [("withstand.broke", "stop")]
    assert (noted(made, RULES)[0][0], noted(made, RULES)[0][1].words) == (
        1,
        "broke down in the withstand test at 1500 V",
    )
    for place, volts, words in ((1, 1501.0, "is held to 1500 V"), (2, 100.0, "what was done to it")):
        with pytest.raises(InputError, match=words):
            refuse_withstand(made, place, volts, RULES)
    then = Earlier(3, Given(id="w", typed="1000 V", word="", number=1000.0, person="Ines", at=NOON))
    again = replace(sheet(DRIVE, withstand_after=("overhauled",)), earlier={("withstand-v", 1): then})
    with pytest.raises(InputError, match="1000 V on sheet 3: once"):
        refuse_withstand(again, 1, 1000.0, RULES)


# What cannot be, typed in the new fields and figures.
BAD = [
    ("field-a", 0, "-1"),
    ("field-a", 0, "lots"),
    ("field-a", 0, "1e999"),
    ("insulation-mohm", 1, "-4"),
    ("insulation-mohm", 9, "4"),
    ("winding-c", 0, "900"),
    ("winding-c", 0, "4 mm"),
    ("coils-step", 0, "-0.1"),
    ("withstand-v", 0, "nan"),
    ("force", 1, "-3 N"),
    ("run-where", 0, "somewhere"),
    ("field-ohm", 0, "12 °C"),
]


@pytest.mark.parametrize(("field_id", "place", "text"), BAD)
def test_what_cannot_be_is_refused_at_its_place(field_id: str, place: int, text: str) -> None:
    field = field_of(field_id)
    assert field is not None

    def enter() -> None:
        place_of(field, place, DRIVE)
        read_entry(field, text, {}, facts=DRIVE, rules=RULES, today=date(2026, 3, 1))

    with pytest.raises(InputError):
        enter()


def test_other_units_are_read_and_no_pressure_is_a_reading() -> None:
    typed = {"field-a": "950 mA", "insulation-mohm": "3 GΩ", "winding-c": "100 °C", "force": "0", "field-ohm": "OL"}
    read = {}
    for name, text in typed.items():
        field = field_of(name)
        assert field is not None
        read[name] = read_entry(field, text, {}, facts=DRIVE, rules=RULES, today=date(2026, 3, 1)).number
    assert read == {
        "field-a": about(0.95),
        "insulation-mohm": 3000,
        "winding-c": about(100),
        "force": 0,
        "field-ohm": OPEN_OHM,
    }


def test_figures_of_a_motor_that_contradict_each_other_are_refused() -> None:
    for figures, field in (
        ({"rated_rpm": 1500.0, "permitted_rpm": 1400.0}, "permitted_rpm"),
        ({"field_v": 220.0, "field_ohm": 180.0, "field_a": 2.5}, "field_a"),
        ({"construction": "separately excited", "excitation": "self-excited"}, "excitation"),
    ):
        with pytest.raises(InputError) as refused:
            check_together(facts("industrial", 4, **figures).figures)
        assert refused.value.field == field
    check_together(facts("industrial", 4, field_v=220.0, field_ohm=180.0, field_a=1.05).figures)


@pytest.mark.parametrize(
    ("rpm", "own", "says", "found"),
    [
        (4300.0, True, "10.4% slower", True),
        (4320.0, True, "10.0% slower", True),
        (4330.0, True, "9.8% slower", False),
        (4560.0, True, "5.0% slower", False),
        (4570.0, True, "", False),
        (4300.0, False, "", False),
    ],
)
def test_a_motor_with_a_usual_speed_of_its_own_is_held_to_it_before_opening(
    rpm: float, own: bool, says: str, found: bool, rules: MotorRules
) -> None:
    lent = {"new_mm": 22.0, "limit_mm": 8.0}
    usual = {"noload_rpm": 4800.0}
    figures = Figures({**lent, **(usual if own else {})}, {} if own else usual, TEMPLATES["tool"].lends)
    made = sheet(Facts("tool", figures, even_positions(2)), noload_rpm=rpm)
    words = " ".join(m.words for m in measured_at(BEFORE, made, rules))
    assert (says in words, "slower" in words) == (True, bool(says))
    assert ({(0, f.id) for _, f in noted(made, rules)} == {(0, "run.speed")}) is found
