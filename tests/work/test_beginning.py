"""Beginning in the middle: since when a set has run, in whatever way somebody knows it."""

from datetime import date, datetime
from typing import Any

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.diagnosis.sign import NOT_SO
from norvash.core.motor.figure_fields import EXPECTED_LIFE_UNITS, LIMIT_MM
from norvash.core.motor.in_force import figures_in_force
from norvash.core.use.spans import read_span, span_words
from norvash.errors import Conflict, InputError, NorvashError, SeveralErrors
from norvash.store.record import weeks_ahead
from norvash.store.record.stamps import stamp_of
from norvash.work.motors.stating import SinceTyped, state_since
from norvash.work.pages.bench import bench
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_now import sheet_now

WEEKLY = {"use_per_week_units": "20"}
SPANS: dict[str, tuple[str, str, str]] = {
    "a day": ("2024-03-05", "2024-03-05", "on 5 March 2024"),
    "a day in words": ("5 March 2024", "2024-03-05", "on 5 March 2024"),
    "a month": ("March 2024", "2024-03-31", "in March 2024"),
    "a month in figures": ("02/2024", "2024-02-29", "in February 2024"),
    "a year": ("2023", "2023-12-31", "in 2023"),
}


@pytest.mark.parametrize(("text", "last", "words"), SPANS.values(), ids=SPANS)
def test_a_day_a_month_or_a_year_is_a_span(text: str, last: str, words: str) -> None:
    span = read_span(text, date(2026, 1, 1), "day")
    assert span[1] == date.fromisoformat(last)
    assert span_words(span) == words


YEARS = {"unit_of_use": "years", "use_now": ""}
Span = tuple[float, float] | None
# What is said of the set on 30 September 2025 at 100 h; the use at its fitting, whether its age is known, the span.
SAID: dict[str, tuple[SinceTyped, dict[str, Any], tuple[float, bool, Span]]] = {
    "what has run since": (SinceTyped(ran="140"), {}, (-40, True, None)),
    "a long run at once": (SinceTyped(ran="4000 h"), {}, (-3900, True, None)),
    "the counter then": (SinceTyped(counter="60"), {}, (60, True, None)),
    "a day and the counter": (SinceTyped(day="2024-06-01", counter="40"), {}, (40, True, None)),
    "a day and the use a week": (SinceTyped(day="2024-06-01"), {"figures": WEEKLY}, (-1289, True, (-2041, -536))),
    "years and the use a week": (SinceTyped(ran="2 years"), {"figures": WEEKLY}, (-1987, True, None)),
    "only a year": (SinceTyped(day="2022"), {}, (100, False, None)),
    "a year and the use a week": (SinceTyped(day="2022"), {"figures": WEEKLY}, (-3289, True, (-4900, -1700))),
    "nothing": (SinceTyped(), {"set_is_new": False}, (100, False, None)),
    "years where years are counted": (SinceTyped(ran="4.5"), YEARS, (0, True, None)),
    "a year of a motor that is older": (SinceTyped(ran="4.5"), YEARS | {"use_now": "9"}, (0, True, None)),
    "a year where years are counted": (SinceTyped(day="2022"), YEARS, (0, True, (-0.499, 0.499))),
}


@pytest.mark.parametrize(("said", "more", "wanted"), SAID.values(), ids=SAID)
def test_a_first_statement_is_taken_as_far_as_it_goes(
    shop: Shop, said: SinceTyped, more: dict[str, Any], wanted: tuple[float, bool, Span]
) -> None:
    units, known, span = wanted
    motor = shop.motor(**({"set_is_new": False, "since": said} | more))
    made = load(shop.conn, motor).sets[0]
    assert made.fitted_units == pytest.approx(units, abs=0.02 * abs(units) + 0.01)
    assert made.fitted_known == known
    if span is not None:
        assert made.span_units is not None
        assert made.span_units == pytest.approx(span, rel=0.15)
        assert made.fitted_sd > 0
    shop.later(days=30)
    page = shop.page(motor)
    assert ("age unknown" in page.said.flags) == (not known)
    assert (page.found.days.early_on is None) == (not known or page.found.round is None)
    if not known:
        assert page.said.act in ("Measure it at the next opportunity.", "Measure it now, or change the set.")
        assert page.said.figures == ()


WRONG: dict[str, tuple[SinceTyped, dict[str, Any], str]] = {
    "a day to come": (SinceTyped(day="2027-01-01"), {}, "since_day"),
    "no day": (SinceTyped(day="when the roof leaked"), {}, "since_day"),
    "more on the counter then than now": (SinceTyped(counter="160"), {}, "since_counter"),
    "counter and use that differ": (SinceTyped(counter="60", ran="140"), {}, "since_ran"),
    "years without a use a week": (SinceTyped(ran="2 years"), {}, "since_ran"),
    "below 0": (SinceTyped(ran="-3"), {}, "since_ran"),
    "new, and run": (SinceTyped(ran="3"), {"set_is_new": True}, "since_day"),
    "three lengths of two": (SinceTyped(ran="3", lengths="22; 22; 22"), {}, "since_lengths"),
    "a length that is not possible": (SinceTyped(ran="3", lengths="488"), {}, "since_lengths"),
}


@pytest.mark.parametrize(("said", "more", "field"), WRONG.values(), ids=WRONG)
def test_what_cannot_be_is_refused_at_its_field_and_nothing_is_kept(
    shop: Shop, said: SinceTyped, more: dict[str, Any], field: str
) -> None:
    with pytest.raises((InputError, NorvashError)) as refused:
        shop.motor(**({"set_is_new": False, "since": said} | more))
    error = refused.value
    errors = error.errors if isinstance(error, SeveralErrors) else [error]
    assert field in {e.field for e in errors}
    assert shop.conn.execute("select count(*) from motor").fetchone()[0] == 0


def test_a_first_statement_is_no_reading_and_its_day_makes_a_log(shop: Shop) -> None:
    """The set began 69 weeks ago at 40 h, and the counter shows 100 h now: a little under an hour a week."""
    motor = shop.motor(set_is_new=False, since=SinceTyped(day="2024-06-01", counter="40", lengths="21.9; 22.1"))
    context = load(shop.conn, motor)
    assert [(e.total_units, e.noted) for e in context.entries] == [(40, True), (100, False)]
    assert context.state.rate is not None
    assert context.state.rate.per_week == pytest.approx(60 / 69.4, rel=0.01)
    first = context.sets[0].rounds[0]
    assert (first.kind, first.noted, sorted(m.length_mm for m in first.readings.values())) == (
        "fitting",
        True,
        [21.9, 22.1],
    )
    shop.later(days=1).measure(motor, "103", "19.5", "19.4")
    found = shop.page(motor).found
    assert found.line is not None
    assert found.line.brushes[0] is not None
    assert found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(1000 * 2.4 / 63)
    assert found.days.early_on is not None


def test_it_is_said_later_and_everything_is_judged_anew(shop: Shop) -> None:
    motor = shop.motor(set_is_new=False)
    shop.later(days=20).measure(motor, "150", "18", "18.2")
    before, stamp = shop.page(motor).found, stamp_of(shop.conn, motor)
    assert before.line is None
    state_since(shop.conn, shop.act(), motor, SinceTyped(ran="400"))
    after = shop.page(motor)
    assert stamp_of(shop.conn, motor) != stamp
    assert after.found.line is not None
    assert after.found.line.brushes[0] is not None
    assert after.found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(10)
    assert "said of set 1 that it has run 400 h since" in after.history[0].words
    shop.later(days=9).log(motor, "190")
    with pytest.raises(InputError, match="measured on"):
        state_since(shop.conn, shop.act(), motor, SinceTyped(ran="20"))
    with pytest.raises(InputError, match="Nothing is said"):
        state_since(shop.conn, shop.act(), motor, SinceTyped())
    shop.later(days=20).new_set(motor, "200", "22", "22")
    with pytest.raises(Conflict, match="stands in the record"):
        state_since(shop.conn, shop.act(), motor, SinceTyped(ran="20"))


def test_a_statement_takes_the_place_of_the_one_before(shop: Shop) -> None:
    motor = shop.motor(set_is_new=False, since=SinceTyped(day="2024-06-01", counter="40", lengths="21.9; 22.1"))
    said = SinceTyped(day="2024-12-02", counter="60", lengths="21.5")
    for _ in range(2):
        state_since(shop.conn, shop.act(), motor, said)
    context = load(shop.conn, motor)
    assert [(e.at.date(), e.total_units) for e in context.entries if e.noted] == [(date(2024, 12, 2), 60)]
    assert [[m.length_mm for m in r.readings.values()] for r in context.sets[0].rounds] == [[21.5, 21.5]]
    state_since(shop.conn, shop.act(), motor, SinceTyped(ran="30"))
    context = load(shop.conn, motor)
    assert (context.sets[0].fitted_units, context.sets[0].rounds) == (70, ())
    assert [e.noted for e in context.entries] == [False]


def test_worn_brushes_at_no_use_are_asked_for_their_hours(shop: Shop) -> None:
    motor = shop.motor()
    shop.measure(motor, "", "15", "15")
    doubts = shop.page(motor).found.doubts
    assert len(doubts) == 2
    assert "For how long has it run?" in doubts[0].words
    state_since(shop.conn, shop.act(), motor, SinceTyped(ran="300"))
    assert shop.page(motor).found.line is not None


def test_a_set_of_unknown_age_that_runs_comes_after_change_and_before_plan(shop: Shop) -> None:
    tags = {"unknown, idle": False, "unknown, runs": True}
    for tag, runs in tags.items():
        motor = shop.motor(tag=tag, set_is_new=False)
        if runs:
            shop.later(days=30).log(motor, "300")
    for tag, mm in (("to plan", "11"), ("to change", "9")):
        shop.measure(shop.motor(tag=tag, set_is_new=False), "", mm, mm)
    order = [r.listed.tag for r in bench(shop.conn, shop.now.date(), 1).rows]
    assert order == ["to change", "unknown, runs", "to plan", "unknown, idle"]
    assert (
        weeks_ahead.list_outlook(shop.conn, weeks_ahead.Sought(today=shop.now.date()), 9, 0)[-1].standing.early_on
        is None
    )


LIVES: dict[str, tuple[str, dict[str, float | str], dict[str, float | str], float]] = {
    "as the class counts": ("starter", {}, {}, 22000),
    "hours of the engine": ("starter", {"unit_of_use": "hours", "starts_per_hour": 4.0}, {}, 5500),
    "hours of running": ("starter", {"unit_of_use": "hours", "seconds_per_start": 3.0}, {}, 22000 * 3 / 3600),
    "hours, nothing said": ("starter", {"unit_of_use": "hours"}, {}, 11000),
    "years at a stated week": ("tool", {"unit_of_use": "years", "use_per_week_units": 4.0}, {}, 160 / (4 * 365.25 / 7)),
    "years of a season": (
        "tool",
        {"unit_of_use": "years", "use_per_week_units": 4.0, "active_months": "1-6"},
        {},
        160 / (2 * 365.25 / 7),
    ),
    "years, nothing said": ("industrial", {"unit_of_use": "years"}, {}, 6500 / (40 * 365.25 / 7)),
    "its own": ("tool", {"unit_of_use": "years", "expected_life_units": 3.0}, {}, 3),
    "its type's": ("tool", {"unit_of_use": "years", "use_per_week_units": 4.0}, {"expected_life_units": 320.0}, 1.533),
    "a type in years": (
        "tool",
        {"unit_of_use": "hours", "use_per_week_units": 4.0},
        {"unit_of_use": "years", "expected_life_units": 2.0},
        417.4,
    ),
}


@pytest.mark.parametrize(("motor_class", "own", "of_type", "life"), LIVES.values(), ids=LIVES)
def test_a_life_is_never_mixed_up_between_units(
    motor_class: str, own: dict[str, float | str], of_type: dict[str, float | str], life: float
) -> None:
    assert EXPECTED_LIFE_UNITS.of(figures_in_force(motor_class, own, of_type)) == pytest.approx(life, rel=1e-3)


def test_a_motor_in_years_goes_by_the_calendar(shop: Shop) -> None:
    motor = shop.motor(unit_of_use="years", use_now="", set_is_new=False, since=SinceTyped(ran="4.5"))
    with pytest.raises(InputError, match="there is nothing to log"):
        shop.log(motor, "5")
    shop.later(days=73).measure(motor, "", "16.3", "16.5")
    page = shop.page(motor)
    assert page.found.line is not None
    assert page.found.line.brushes[0] is not None
    assert page.found.line.brushes[0].life_rate_mm_per_kh == pytest.approx(1000 * 5.7 / 4.7, rel=1e-3)
    assert page.context.ahead is not None
    assert page.context.ahead.p50_on is not None
    weeks = (page.context.ahead.p50_on - shop.now.date()).days / 7
    years = page.context.ahead.p50_units - page.context.entries[-1].total_units
    assert weeks * 7 / 365.25 == pytest.approx(years, abs=0.01)
    assert " years" in page.said.figures[0].value
    shop.later(days=365)
    assert load(shop.conn, motor).state.ran_by(shop.now.date()) == pytest.approx(4.5 + 0.2 + 1.0, abs=0.01)


LIMITS: dict[str, tuple[dict[str, Any], float]] = {
    "a share of the stated length": ({"new_length": "22", "limit": "20 %"}, 4.4),
    "a share of the class's length": ({"new_length": "", "limit": "25%"}, 8.0),
    "a figure": ({"new_length": "22", "limit": "8"}, 8.0),
}


@pytest.mark.parametrize(("typed", "mm"), LIMITS.values(), ids=LIMITS)
def test_a_limit_may_be_a_share(shop: Shop, typed: dict[str, Any], mm: float) -> None:
    context = load(shop.conn, shop.motor(**typed))
    assert LIMIT_MM.of(context.figures) == pytest.approx(mm)
    assert ("share of the new length" in shop.page(context.motor.id).found.limit.source) == ("%" in typed["limit"])


def test_a_depth_without_a_depth_when_new_has_a_limit_a_rate_and_no_share(shop: Shop) -> None:
    depth = {"method": "depth", "instrument": "depth-gauge", "depth_limit_mm": "34.6"}
    depth = {**depth, "instrument": "micrometer"}
    motor = shop.motor(limit="", figures=depth, set_is_new=False)
    shop.later(days=30).measure(motor, "200", "28.0", "28.2")
    first = shop.page(motor).found
    assert [round(b.left_mm or 0, 2) for b in first.brushes] == [6.6, 6.4]
    assert [b.usable for b in first.brushes] == [None, None]
    assert first.line is None
    shop.later(days=60).measure(motor, "600", "29.0", "29.3")
    page = shop.page(motor)
    assert page.found.line is not None
    assert page.found.line.brushes[1] is not None
    assert page.found.line.brushes[1].life_rate_mm_per_kh == pytest.approx(1000 * 1.1 / 400)
    assert page.found.days.early_on is not None
    assert "%" not in page.said.why
    shop.later(days=60).measure(motor, "900", "34.6", "30.1")
    assert shop.page(motor).found.grade == "stop"


def test_it_is_dated_only_by_what_is_known(shop: Shop) -> None:
    """A first round of a set of unknown age starts its clock: from then on there is a band, and a date."""
    motor = shop.motor(set_is_new=False, figures=WEEKLY)
    assert shop.page(motor).found.days.look_on is None  # it is at the next opportunity
    shop.later(days=3).measure(motor, "", "15", "15.2")
    page = shop.page(motor)
    assert page.found.unknown is False
    assert page.found.days.early_on is not None
    assert datetime.combine(page.found.days.early_on, datetime.min.time()) > shop.now


# What the line says of brushes whose day only follows from their use, by the use a week and by the calendar.
UNDATED: dict[str, tuple[dict[str, object], str]] = {
    "long past its life": (
        {"motor_class": "tool", "use_now": "210", "since": SinceTyped(counter="0", lengths="20")},
        "had 20.0 mm at 0 h, and may be used up now, limit 7.0 mm.",
    ),
    "well within it": (
        {"use_now": "300", "since": SinceTyped(counter="0", lengths="20")},
        "had 20.0 mm at 0 h, about 19.2 mm now, limit 7.0 mm.",
    ),
    "said to the day": (
        {"motor_class": "tool", "use_now": "20", "since": SinceTyped(day="2025-03-01", counter="0", lengths="20")},
        "had 20.0 mm on 1 March 2025 at 0 h, about 17.7 mm now, limit 7.0 mm.",
    ),
}


@pytest.mark.parametrize(("given", "wanted"), UNDATED.values(), ids=UNDATED)
def test_no_day_is_told_that_nobody_said_and_no_length_below_nothing(
    shop: Shop, given: dict[str, object], wanted: str
) -> None:
    motor = shop.motor(set_is_new=False, new_length="20", limit="7", figures=WEEKLY, **given)
    assert shop.page(motor).said.sentence.endswith(wanted)
    read = shop.page(motor).found.since_read
    assert read is not None
    assert min(read.now_mm.values()) >= 0


def test_carbon_to_spare_when_it_was_read_is_no_sign_against_worn_brushes_long_after(shop: Shop) -> None:
    for use, spared in (("120", True), ("210", False)):
        since = SinceTyped(counter="0" if use == "210" else "115", lengths="20")
        motor = shop.motor(tag=f"X-{use}", motor_class="tool", set_is_new=False, use_now=use, since=since)
        at = sheet_now(shop.conn, Bench(shop, motor).id, shop.now.date())
        assert (at.signs.get("short-brush") == NOT_SO) is spared, use
