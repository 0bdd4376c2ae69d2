"""Before the motor is blamed: every way in which speed settings, cables and batteries can be right or wrong, at
their edges too.
"""

from typing import Any

import pytest

from norvash.core.rules.book import MotorRules
from norvash.core.supply.battery import judge_battery, least_cranking_v
from norvash.core.supply.cables import (
    Laid,
    cable_drop_v,
    carried,
    drop_allowed_v,
    load_a,
    solenoid_allowed_v,
    terminal_by_drop,
    terminal_by_ohm,
)
from norvash.core.supply.settings import speed_ladder
from norvash.errors import InputError

KNOWN = (0.45, 0.62, 1.0)
NOBODY_KNOWS = (None, None, None)
# Of 100 V: steps, what is expected, steps that are bad, steps that are dead, whether they rise and the top is right,
# fault, words.
LADDERS: dict[str, tuple[Any, ...]] = {
    "as they should": ((45, 62, 100), KNOWN, (), (), True, True, "", "rise as they should"),
    "one off": ((45, 70, 100), KNOWN, (2,), (), True, True, "one", "step 2 is off"),
    "one dead": ((45, 0, 100), KNOWN, (2,), (2,), False, True, "one", "step 2 is dead"),
    "all low": ((30, 45, 80), KNOWN, (1, 2, 3), (), True, False, "low", "every setting is low"),
    "both of two low": ((40, 80), (0.5, 1.0), (1, 2), (), True, False, "low", "every setting is low"),
    "the only one low": ((80,), (1.0,), (1,), (), True, False, "low", "the one setting is low"),
    "the only one high": ((110,), (1.0,), (1,), (), True, False, "one", "step 1 is off, the only one"),
    "falling, the top among them": (
        (100, 80, 60),
        (0.45, 0.62, 1.0),
        (1, 2, 3),
        (),
        False,
        False,
        "miswired",
        "do not rise",
    ),
    "falling, nothing known": ((100, 80, 60), NOBODY_KNOWS, (3,), (), False, False, "miswired", "do not rise"),
    "all missing": ((0, 1, 2), KNOWN, (1, 2, 3), (1, 2, 3), True, False, "missing", "supply, fuse and switch"),
    "two of three": ((45, 80, 90), KNOWN, (2, 3), (), True, False, "one", "steps 2 and 3 are off"),
    "two of three low": ((45, 50, 80), KNOWN, (2, 3), (), True, False, "one", "steps 2 and 3 are off"),
    "all off, one of them high": ((30, 80, 90), KNOWN, (1, 2, 3), (), True, False, "one", "steps 1, 2 and 3 are off"),
    "one dead where nothing was expected": (
        (4, 30, 80),
        (0.04, 0.45, 1.0),
        (1, 2, 3),
        (1,),
        True,
        False,
        "one",
        "steps 1, 2 and 3",
    ),
    "low, and one dead of which nobody knows": (
        (0, 45, 80),
        (None, 0.62, 1.0),
        (1, 2, 3),
        (1,),
        True,
        False,
        "low",
        "every setting is low",
    ),
    "falling": ((62, 45, 100), NOBODY_KNOWS, (), (), False, True, "miswired", "do not rise"),
    "two alike": ((50, 50, 100), NOBODY_KNOWS, (), (), False, True, "miswired", "do not rise"),
    "top low, nothing known": ((30, 50, 90), NOBODY_KNOWS, (3,), (), True, False, "one", "step 3 is off"),
    "top at its edge": ((45, 97), (0.45, 1.0), (), (), True, True, "", "rise as they should"),
    "top just under it": ((45, 96.9), (0.45, 1.0), (2,), (), True, False, "one", "step 2 is off"),
    "a step at its edge": ((54, 100), (0.5, 1.0), (), (), True, True, "", "rise as they should"),
    "a step just over it": ((54.1, 100), (0.5, 1.0), (1,), (), True, True, "one", "step 1 is off"),
    "at the edge of dead": ((5, 100), (None, 1.0), (), (), True, True, "", "rise as they should"),
    "nothing expected": ((5, 100), (0.0, 1.0), (), (), True, True, "", "rise as they should"),
}


@pytest.mark.parametrize(
    ("steps", "expected", "bad", "dead", "rising", "top", "fault", "words"), LADDERS.values(), ids=LADDERS
)
def test_speed_settings(
    *,
    steps: tuple[float, ...],
    expected: tuple[float | None, ...],
    bad: tuple[int, ...],
    dead: tuple[int, ...],
    rising: bool,
    top: bool,
    fault: str,
    words: str,
    rules: MotorRules,
) -> None:
    found = speed_ladder(100, steps, expected, rules)
    assert (found.bad_steps, found.dead_steps, found.rising, found.top_ok) == (bad, dead, rising, top)
    assert found.fault == fault
    assert words in found.advice
    assert found.expected_share == expected
    assert found.share == tuple(pytest.approx(s / 100) for s in steps)
    assert found.deviation == tuple(
        pytest.approx(s / 100 / e - 1) if e else None for s, e in zip(steps, expected, strict=True)
    )
    assert found.top_drop_share == pytest.approx(1 - steps[-1] / 100)


def test_ladders_that_cannot_be_judged(rules: MotorRules) -> None:
    assert speed_ladder(0.5, (0.5,), (1.0,), rules).fault == ""
    for supply, steps, expected in ((0, (1,), (1.0,)), (36, (), ()), (36, (16, 36), (0.5,))):
        with pytest.raises(InputError):
            speed_ladder(supply, steps, expected, rules)


def test_a_ladder_of_thousands_of_steps_is_judged_in_no_time(rules: MotorRules) -> None:
    found = speed_ladder(100, [i / 50 for i in range(5000)], [0.5] * 5000, rules)
    assert len(found.bad_steps) > 4000
    assert len(found.advice) < 200


def test_cables_and_the_volts_that_may_be_lost(rules: MotorRules) -> None:
    assert cable_drop_v(100, 5, 25, ways=2, temp_c=20, rules=rules) == pytest.approx(0.70)
    assert cable_drop_v(100, 5, 25, ways=1, temp_c=60, rules=rules) == pytest.approx(0.35 * 1.156)
    assert cable_drop_v(40, 3, 10, ways=2, temp_c=0, rules=rules) == pytest.approx(0.42 * 0.922)
    assert [drop_allowed_v(v, rules) for v in (12, 24, 6, 48, 48.1)] == [0.5, 1.0, 0.25, 2.0, pytest.approx(0.962)]
    volts = {
        (12, 20): 9.6,
        (12, 35): 9.6,
        (12, 10): 9.35,
        (12, 0): 9.1,
        (12, -9): 8.8,
        (12, -18): 8.5,
        (24, 0): 18.2,
        (6, 20): 4.8,
    }
    assert {k: least_cranking_v(*k, rules) for k in volts} == {k: pytest.approx(v) for k, v in volts.items()}
    assert least_cranking_v(12, -18.1, rules) is None


def test_what_a_cable_carries(rules: MotorRules) -> None:
    table = {
        1.5: 17,
        2.5: 24,
        4: 32,
        6: 41,
        10: 57,
        16: 76,
        25: 101,
        35: 125,
        50: 151,
        70: 192,
        95: 232,
        5: 32,
        120: 232,
    }
    assert {s: load_a(s, Laid(), rules) for s in table} == table
    laid = {
        Laid(True): 0.75,
        Laid(False, 2): 0.8,
        Laid(False, 3): 0.7,
        Laid(air_c=30): 1,
        Laid(air_c=31): 0.87,
        Laid(air_c=40): 0.87,
        Laid(air_c=50): 0.71,
        Laid(air_c=60): 0.5,
        Laid(True, 2, 45): 0.75 * 0.8 * 0.71,
    }
    assert {x: load_a(10, x, rules) for x in laid} == {x: pytest.approx(57 * share) for x, share in laid.items()}
    for section, odd in ((1.4, Laid()), (10, Laid(air_c=61)), (10, Laid(circuits=4))):
        with pytest.raises(InputError):
            load_a(section, odd, rules)
    assert not carried(60, 1.5, None, rest_s=120, laid=Laid(), rules=rules).enough
    assert carried(17, 1.5, None, rest_s=120, laid=Laid(), rules=rules).enough
    burst = carried(901.960784, 25, 4.0, rest_s=120, laid=Laid(), rules=rules)
    assert [burst.burst_mm2, burst.steady_a] == pytest.approx([21.222607, 161.996939])
    assert (burst.enough, carried(901.960784, 70, 4.0, rest_s=120, laid=Laid(), rules=rules).enough) == (False, True)
    thin = carried(170, 4, 10.0, rest_s=3600, laid=Laid(), rules=rules)
    assert (thin.steady_a < thin.load_a, thin.enough, "asks for 6.32 mm²" in thin.words) == (True, False, True)
    assert carried(170, 4, 10.1, rest_s=3600, laid=Laid(), rules=rules).burst_mm2 is None


# Ohm, current, volts of the plate, kind, step of the meter: the limit, whether it is right.
# Ohms, current, kind, step of the meter, what is stated at most; the limit, and whether it is right.
TERMINALS: dict[str, tuple[float, float | None, str, float | None, float | None, float | None, bool | None]] = {
    "little current": (0.1, 0.9, "", None, None, 0.1, True),
    "too much there": (0.101, 0.9, "", None, None, 0.1, False),
    "a little more current": (0.034, 3.0, "", None, None, 0.1 / 3, False),
    "more current": (0.02, 3.1, "", None, None, 0.1 / 3.1, True),
    "heat decides": (0.0026, 20.0, "press-in", None, None, 0.0025, False),
    "bolted": (0.005, 20.0, "bolted", None, None, 0.005, True),
    "bolted, too hot": (0.0031, 32.0, "bolted", None, None, 3 / 32**2, False),
    "current not known": (0.010, None, "", None, None, 0.010, True),
    "current not known, more": (0.011, None, "", None, None, 0.010, None),
    "current not known, the most": (0.1, None, "", None, None, 0.010, None),
    "current not known, too much": (0.4, None, "", None, None, 0.1, False),
    "as stated": (0.4, None, "", None, 0.5, 0.5, True),
    "over what is stated": (0.02, 0.5, "", None, 0.01, 0.01, False),
    "a coarse meter": (0.002, 20.0, "", 0.001, None, 0.0025, None),
    "just fine enough": (0.002, 20.0, "", 0.0025 / 3, None, 0.0025, True),
    "coarse, but bad for sure": (0.5, 20.0, "", 0.01, None, 0.0025, False),
    "open on a coarse meter": (1000.0, None, "", 10.0, None, 0.1, False),
}


@pytest.mark.parametrize(("ohm", "amps", "kind", "step", "most", "limit", "right"), TERMINALS.values(), ids=TERMINALS)
def test_terminals(
    *,
    ohm: float,
    amps: float | None,
    kind: str,
    step: float | None,
    most: float | None,
    limit: float | None,
    right: bool | None,
    rules: MotorRules,
) -> None:
    found = terminal_by_ohm(ohm, amps, kind=kind, step_ohm=step, rules=rules, most_ohm=most)
    assert (found.limit, found.right) == (None if limit is None else pytest.approx(limit), right)
    assert [terminal_by_drop(v, rules).right for v in (0.1, 0.101)] == [True, False]
    assert [solenoid_allowed_v(a, rules)[0] for a in (None, 400, 401)] == [0.2, 0.2, 0.3]


# Rated volts, at rest, while cranking, current, temperature: rest right, cranking right, inner resistance, what to do.
BATTERIES: dict[str, tuple[Any, ...]] = {
    "good": (12, 12.7, 10.4, 90, 20, True, True, 1000 * 2.3 / 90, "holds up"),
    "at the edge at rest": (12, 12.4, 9.6, 100, 20, True, True, 28.0, "holds up"),
    "just under it": (12, 12.39, 9.6, None, 20, False, True, None, "charge the battery"),
    "of 24 V at the edge": (24, 24.8, 19.2, 200, 20, True, True, 28.0, "holds up"),
    "of 24 V under it": (24, 24.7, 19.2, 0, 20, False, True, None, "charge the battery"),
    "weak": (12, 12.6, 9.59, 100, 20, True, False, 30.1, "battery, cables and joints first"),
    "weak, but it is cold": (12, 12.6, 9.0, 100, -10, True, True, 36.0, "holds up"),
    "a hair too weak for that": (12, 12.6, 8.76, 100, -10, True, False, 38.4, "battery, cables and joints first"),
    "too cold": (12, 12.6, 9.0, 100, -19, True, None, 36.0, "says nothing"),
    "no sag at all": (12, 12.6, 12.6, 100, 20, True, None, None, "no heavy current flowed"),
    "hardly any sag": (12, 12.6, 12.41, 100, 20, True, None, None, "no heavy current flowed"),
    "just enough sag": (12, 12.6, 12.4, 100, 20, True, True, 2.0, "holds up"),
    "only at rest": (12, 12.6, None, 100, 20, True, None, None, "volts at rest prove little"),
    "only cranking": (12, None, 9.2, 100, 20, None, False, None, "battery, cables and joints first"),
    "only cranking, right": (12, None, 9.8, 100, 20, None, True, None, "holds up"),
    "nothing": (12, None, None, None, 20, None, None, None, "volts at rest prove little"),
}


@pytest.mark.parametrize(
    ("rated", "rest", "cranking", "amps", "temp", "rest_ok", "ok", "inner", "words"), BATTERIES.values(), ids=BATTERIES
)
def test_batteries(
    *,
    rated: float,
    rest: float | None,
    cranking: float | None,
    amps: float | None,
    temp: float,
    rest_ok: bool | None,
    ok: bool | None,
    inner: float | None,
    words: str,
    rules: MotorRules,
) -> None:
    found = judge_battery(rated, rest, cranking, current_a=amps, temperature_c=temp, rules=rules)
    assert (found.rest_ok, found.cranking_ok) == (rest_ok, ok)
    assert found.inner_mohm == (None if inner is None else pytest.approx(inner))
    least = least_cranking_v(rated, temp, rules)
    assert found.least_v == (None if least is None else pytest.approx(least))
    assert words in found.advice
    with pytest.raises(InputError):
        judge_battery(rated, 12.0, 12.01, current_a=amps, temperature_c=temp, rules=rules)


@pytest.mark.parametrize(
    ("rated", "rest", "cranking"),
    [(12, 24.8, 19.2), (12, None, 19.2), (12, 15.1, None), (24, 12.6, 10.0), (12, 8.3, None)],
)
def test_a_battery_of_another_voltage_is_asked_for(
    rated: float, rest: float | None, cranking: float | None, rules: MotorRules
) -> None:
    with pytest.raises(InputError) as caught:
        judge_battery(rated, rest, cranking, current_a=100, temperature_c=20, rules=rules)
    assert caught.value.field == "rated_v"
