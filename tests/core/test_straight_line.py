"""The straight line: the hand calculation as a table, and laws."""

from dataclasses import replace
from math import hypot

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.straight_line import Point, Track, brush_line, counter_at, straight_line
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.errors import InputError


def track(
    now: float,
    run: float,
    *,
    start: float = 22.0,
    at: float = 0.0,
    limit: float = 8.0,
    before: tuple[float, float] | None = None,
    sd: float = 0.05,
) -> Track:
    previous = Point(before[0], before[1], sd) if before else None
    return Track(Point(start, at, sd), previous, Point(now, run, sd), limit)


CASES = {
    "pair, the worse governs": ([track(16, 500), track(17, 500)], 666.666667, 1166, 1033, 833, 1, "line"),
    "last interval faster": ([track(16, 500, before=(20, 300))], 400, 900, 820, 700, 1, "line"),
    "last interval slower": ([track(16, 500, before=(17, 300))], 666.666667, 1166, 1033, 833, 1, "line"),
    "clock started after bedding-in": ([track(16, 513, start=21, at=13)], 800, 1313, 1153, 913, 1, "line"),
    "at the limit": ([track(8, 500), track(12, 500)], 0, 500, 500, 500, 1, "at the limit"),
    "past the limit": ([track(7, 500), track(12, 500)], 0, 500, 500, 500, 1, "at the limit"),
    "not enough wear": ([track(21.9, 50)], None, None, None, None, 1, "not enough wear yet"),
    "no wear at all": ([track(22.0, 50), track(22.1, 50)], None, None, None, None, None, "not enough wear yet"),
    "no use yet": ([track(20, 0)], None, None, None, None, None, "not enough wear yet"),
    "one not measured": ([track(16, 500), None], None, None, None, None, 1, "incomplete"),
    "whole hours are kept": ([track(15, 500)], 500, 1000, 900, 750, 1, "line"),
}


@pytest.mark.parametrize(
    ("tracks", "left", "end", "plan", "look", "governs", "answer"), CASES.values(), ids=CASES.keys()
)
def test_the_hand_calculation(
    *,
    tracks: list[Track | None],
    left: float | None,
    end: int | None,
    plan: int | None,
    look: int | None,
    governs: int | None,
    answer: str,
    rules: MotorRules,
) -> None:
    found = straight_line(tracks, rules)
    assert found.left_h == (None if left is None else pytest.approx(left))
    assert (found.do_not_exceed_h, found.plan_by_h, found.look_again_h) == (end, plan, look)
    assert (found.governing_position, found.answer) == (governs, answer)


def test_a_missing_position_still_shows_the_figures_of_the_others(rules: MotorRules) -> None:
    found = straight_line([None, track(16, 500), None], rules)
    assert found.missing == (1, 3)
    assert found.brushes[1] is not None
    assert found.brushes[1].life_rate_mm_per_kh == pytest.approx(12)


@pytest.mark.parametrize(("before", "noted"), [((20.0, 300.0), True), ((18.5, 300.0), False), (None, False)])
def test_speeding_up_is_noted(before: tuple[float, float] | None, noted: bool, rules: MotorRules) -> None:
    assert straight_line([track(16, 500, before=before)], rules).faster_note is noted


def test_a_steel_rule_needs_more_wear_before_it_draws_a_line(rules: MotorRules) -> None:
    assert straight_line([track(21, 100, sd=0.05)], rules).answer == "line"
    assert straight_line([track(21, 100, sd=0.4)], rules).answer == "not enough wear yet"


def test_readings_in_the_wrong_order_are_refused(rules: MotorRules) -> None:
    with pytest.raises(InputError, match="before an earlier one"):
        track(16, 500, before=(17, 600))
    with pytest.raises(InputError, match="no brush"):
        straight_line([], rules)


@given(st.floats(9, 20), st.floats(0.2, 5), st.floats(50, 5000))
def test_a_brush_that_wears_faster_never_lasts_longer(now: float, more: float, run: float) -> None:
    rules = shipped()
    slow, fast = straight_line([track(now, run)], rules), straight_line([track(now - more, run)], rules)
    assert slow.do_not_exceed_h is not None
    assert fast.do_not_exceed_h is not None
    assert fast.do_not_exceed_h <= slow.do_not_exceed_h
    assert run - 1 <= (fast.look_again_h or 0) <= (fast.plan_by_h or 0) <= fast.do_not_exceed_h


@given(st.floats(10, 20), st.floats(100, 5000), st.floats(0, 10000))
def test_the_zero_of_the_counter_changes_nothing(now: float, run: float, shift: float) -> None:
    rules = shipped()
    plain, moved = straight_line([track(now, run)], rules), straight_line([track(now, run + shift, at=shift)], rules)
    assert plain.left_h == pytest.approx(moved.left_h)
    assert counter_at(100.0, 0.0) == 100


def test_one_brush_keeps_its_rates_and_what_the_readings_leave_uncertain() -> None:
    rules = shipped()
    plain = brush_line(track(16, 500, sd=0.1), rules)
    assert (plain.wear_mm, plain.life_rate_mm_per_kh, plain.interval_rate_mm_per_kh, plain.left_mm) == (6, 12, None, 8)
    spread = hypot(0.1 * (1 + 8 / 6), 0.1 * 8 / 6)
    assert plain.left_h == pytest.approx(8 / 12 * 1000)
    assert plain.left_sd_h == pytest.approx(1000 / 12 * spread)
    unlike = replace(track(16, 500, before=(20, 300)), start=Point(22.0, 0.0, 0.9), previous=Point(20.0, 300, 0.3))
    quick = brush_line(unlike, rules)
    assert (quick.life_rate_mm_per_kh, quick.interval_rate_mm_per_kh, quick.rate_mm_per_kh) == (12, 20, 20)
    assert quick.left_sd_h == pytest.approx(1000 / 20 * hypot(0.05 * (1 + 8 / 4), 0.3 * 8 / 4))
    slow = brush_line(replace(unlike, previous=Point(17.0, 300, 0.3)), rules)
    assert slow.left_sd_h == pytest.approx(1000 / 12 * hypot(0.05 * (1 + 8 / 6), 0.9 * 8 / 6))
    times = rules["line.faster"]
    for before, faster in ((16 + 0.2 * 12 * times - 1e-6, False), (16 + 0.2 * 12 * times + 1e-6, True)):
        assert brush_line(track(16, 500, before=(before, 300)), rules).faster_note is faster


def test_at_the_limit_and_without_wear_the_rates_are_kept() -> None:
    done = brush_line(track(8, 500, before=(14, 300)), shipped())
    assert (done.life_rate_mm_per_kh, done.interval_rate_mm_per_kh, done.rate_mm_per_kh) == (28, 30, 30)
    assert (done.left_h, done.left_sd_h, done.faster_note) == (0.0, 0.0, False)
    grown = brush_line(track(22.5, 500, before=(22.2, 300)), shipped())
    assert grown.life_rate_mm_per_kh == -1
    assert grown.interval_rate_mm_per_kh == pytest.approx(-1.5)
    assert (grown.left_h, grown.left_sd_h, grown.faster_note) == (None, None, False)
    burst = straight_line([track(16, 500, before=(21, 300)), None], shipped())
    assert (burst.answer, burst.faster_note) == ("incomplete", True)
