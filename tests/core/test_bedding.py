"""Run-in and safe volts: laws over invented motors, what is refused, grease and balance."""

from dataclasses import replace
from typing import Any

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from norvash.core.bearings.regreasing import grease_g, regrease_h, too_slow_to_say
from norvash.core.rules.catalogue import shipped
from norvash.core.running.bedding import bedding, most_a
from norvash.core.running.plan import ToBed, run_in_plan
from norvash.core.running.series import LowRun, SeriesMotor, series_motor
from norvash.core.sums.brush.loading import for_class
from norvash.core.sums.running.proving import InrushIn, inrush
from norvash.core.sums.running.running_in import SafeIn, safe_speed
from norvash.core.sums.shaft.turning import RegreaseIn, regrease
from norvash.core.supply.inrush import Standstill, section_mm2, standstill_ohm
from norvash.errors import InputError

RULES = shipped()
POSITIVE = st.floats(0.2, 5)


@st.composite
def motors(draw: st.DrawFn) -> SeriesMotor:
    return SeriesMotor(
        k=0.001 * draw(POSITIVE),
        friction=draw(POSITIVE),
        drag=0.01 * draw(POSITIVE),
        ohm=0.02 * draw(POSITIVE),
        drop_v=draw(st.floats(0, 2)),
    )


def low_run(motor: SeriesMotor, rpm: float) -> LowRun:
    volts = motor.volts_at(rpm)
    speed = rpm * 3.14159265358979 / 30
    return LowRun(v=volts, a=(volts - motor.drop_v) / (motor.k * speed + motor.ohm), rpm=rpm)


@given(motors(), st.floats(100, 600), st.floats(1.3, 3), st.floats(800, 6000))
def test_two_low_runs_give_the_motor_and_its_speed_at_any_volts(
    motor: SeriesMotor, slow: float, times: float, rpm: float
) -> None:
    found = series_motor([low_run(motor, slow), low_run(motor, slow * times)], motor.ohm, motor.drop_v, RULES)
    assert found.volts_at(rpm) == pytest.approx(motor.volts_at(rpm), rel=1e-3)
    assert found.rpm_at(motor.volts_at(rpm)) == pytest.approx(rpm, rel=1e-3)


@given(motors(), st.floats(800, 6000), st.floats(1, 200))
def test_what_is_allowed_never_passes_nine_tenths_of_the_permitted_speed(
    motor: SeriesMotor, permitted: float, test_v: float
) -> None:
    runs = [low_run(motor, 300), low_run(motor, 600)]
    given_ = SafeIn(
        runs=runs, resistance_ohm=motor.ohm, brush_drop_v=motor.drop_v, permitted_rpm=permitted, test_v=test_v
    )
    told = safe_speed(given_, RULES)
    assert told.most_v is not None
    assert told.allowed == (told.speed_rpm <= 0.9 * permitted * (1 + 1e-9))
    assume(abs(test_v - told.most_v) > 1e-6 * test_v)
    assert told.allowed == (test_v < told.most_v)


def test_runs_of_which_nothing_follows_are_refused() -> None:
    one, near = LowRun(v=4, a=38, rpm=420), LowRun(v=4.4, a=39, rpm=480)
    for runs, words in (
        ([one], "One run"),
        ([one, near], "too near"),
        ([one, LowRun(v=0, a=1, rpm=900)], "says nothing"),
    ):
        with pytest.raises(InputError, match=words):
            series_motor(runs, 0.021, 1.2, RULES)
    with pytest.raises(InputError, match="eats these volts"):
        series_motor([one, LowRun(v=7, a=46, rpm=830)], 2.0, 1.2, RULES)
    with pytest.raises(InputError, match="half or more"):
        standstill_ohm(Standstill(v=2, a=10, drop_v=2))
    with pytest.raises(InputError, match="all of the plate"):
        inrush(InrushIn(rated_v=1.0, locked_v=6.0, locked_a=10.0, brush_drop_v=2.0), RULES)
    assert section_mm2(999, 10, RULES) is None


CLASSES = ("appliance", "tool", "starter", "industrial", "traction", "generator")
BUILT = ("universal", "series", "shunt", "compound", "separately excited", "permanent-magnet", "")


@given(st.sampled_from(CLASSES), st.sampled_from(BUILT), st.booleans(), st.floats(0, 1), st.floats(0.1, 500))
def test_a_run_in_never_gets_more_than_its_share(
    motor_class: str, construction: str, built_in: bool, contact: float, rated_a: float
) -> None:
    plan = bedding(motor_class, construction, RULES, built_in=built_in)
    if motor_class not in ("starter", "generator"):
        assert plan.volts_share is not None
        runs_away = construction in ("series", "universal") and not (motor_class in ("appliance", "tool") and built_in)
        assert plan.volts_share <= (0.25 if runs_away else 0.5)
    amps = most_a(rated_a, contact, None, RULES)
    assert 0.25 * rated_a <= amps <= rated_a
    assert most_a(rated_a, contact, 2 * rated_a, RULES) == 2 * rated_a


def test_grease_halves_with_heat_and_upright_and_ends_somewhere() -> None:
    usual = regrease_h("ball", 45, 1500, temperature_c=70, vertical=False, rules=RULES)
    assert regrease_h("ball", 45, 1500, temperature_c=85, vertical=False, rules=RULES) == pytest.approx(usual / 2)
    assert regrease_h("ball", 45, 1500, temperature_c=40, vertical=True, rules=RULES) == pytest.approx(usual / 2)
    assert regrease_h("ball", 10, 100, temperature_c=40, vertical=False, rules=RULES) == 30_000
    assert too_slow_to_say(regrease_h("ball", 400, 6000, temperature_c=70, vertical=False, rules=RULES))
    assert grease_g(100, 25) == 12.5
    size: dict[str, Any] = {"bore_mm": 45.0, "outside_mm": 100.0, "width_mm": 25.0, "speed_rpm": 1500.0}
    assert regrease(RegreaseIn(**size, sealed=True), RULES).interval_h is None
    assert "look it up" in regrease(RegreaseIn(**{**size, "bore_mm": 90.0, "speed_rpm": 90_000.0}), RULES).advice
    with pytest.raises(InputError, match="swapped"):
        regrease(RegreaseIn(**{**size, "bore_mm": 120.0}), RULES)


CLASSES = ("appliance", "tool", "industrial", "traction", "starter", "generator")
BUILDS = ("universal", "series", "shunt", "compound", "separately excited", "permanent-magnet")


@st.composite
def to_bed(draw: st.DrawFn) -> ToBed:
    maybe = st.none() | st.floats(0.02, 1)
    return ToBed(
        motor_class=draw(st.sampled_from(CLASSES)),
        construction=draw(st.sampled_from(BUILDS)),
        rated_v=draw(st.none() | st.floats(6, 600)),
        rated_a=draw(st.none() | st.floats(0.1, 500)),
        noload_a=draw(st.none() | st.floats(0.1, 50)),
        least_print=draw(maybe),
        stated_share=draw(maybe),
        stated_min=draw(st.none() | st.floats(1, 300)),
        safe_v=draw(st.none() | st.floats(1, 100)),
        built_in=draw(st.booleans()),
        reverses=draw(st.booleans()),
        lowered=draw(st.booleans()),
    )


@given(to_bed())
def test_no_step_before_the_print_is_over_the_share_of_the_plate(known: ToBed) -> None:
    plan = run_in_plan(known, RULES)
    limit = known.stated_share or (1.0 if known.motor_class == "starter" or not known.lowered else 0.5)
    for step in (s for s in plan.steps if not s.waits):
        if step.most_v is not None and known.rated_v is not None:
            assert step.most_v <= max(limit, 0.0 if known.lowered else 1.0) * known.rated_v * (1 + 1e-9)
            away = known.construction in ("series", "universal") and not known.built_in and known.lowered
            if away and known.motor_class not in ("starter", "generator"):
                assert step.most_v <= 0.25 * known.rated_v * (1 + 1e-9)
                assert known.safe_v is None or step.most_v <= known.safe_v
        if step.most_a is not None and known.rated_a is not None:
            counted = max(known.least_print or 0, 0.25)
            assert step.most_a <= max(known.rated_a * counted, known.noload_a or 0) * (1 + 1e-9)
    assert [s.from_min for s in plan.steps] == [0.0, *(s.to_min for s in plan.steps)][: len(plan.steps)]
    assert plan.release >= 0.75


def test_plans_are_those_of_the_trade() -> None:
    """A maker's share, magnets on a print of 40 %, what reverses, what cannot be lowered, bursts, a driven one."""
    base = ToBed(motor_class="appliance", construction="universal", rated_v=230, rated_a=3.2)
    assert run_in_plan(base, RULES).most_v == 115
    assert run_in_plan(replace(base, stated_share=0.4), RULES).most_v == 92
    magnets = ToBed(motor_class="industrial", construction="permanent-magnet", rated_v=170, rated_a=12, least_print=0.4)
    plan = run_in_plan(magnets, for_class(RULES, "industrial"))
    assert plan.most_a == pytest.approx(4.8)
    assert (plan.most_v, plan.release) == (85, 0.8)
    ways = run_in_plan(replace(magnets, reverses=True, stated_min=80), RULES)
    assert [(s.words, s.to_min) for s in ways.steps[:2]] == [("forward", 40), ("backward", 80)]
    assert "short unloaded runs" in run_in_plan(replace(magnets, lowered=False, motor_class="tool"), RULES).how
    shunt = replace(magnets, construction="shunt", lowered=False)
    assert run_in_plan(shunt, RULES).steps == ()
    starter = run_in_plan(ToBed(motor_class="starter", construction="series", rated_v=12, rated_a=None), RULES)
    assert starter.steps[0].words == "5 bursts of 10 s at most, 120 s of rest between"
    driven = run_in_plan(replace(base, motor_class="generator"), RULES)
    assert (driven.most_v, driven.steps[0].words) == (None, "driven at half speed, no load")
