"""The use log: what a counter may show, questions when it falls, and the rate of use."""

from datetime import date, datetime, timedelta

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.motor.figures import Figures
from norvash.core.motor.use_typed import read_use
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.state.since import YEAR_DAYS
from norvash.core.use.counting import Counted, neighbours, read_counter, read_increment, weighted
from norvash.core.use.happened import Happened
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import CALENDAR_RATE, Rate, day_of, rate_of_use
from norvash.core.use.timeline import date_marks, use_on
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError

DAY = datetime(2026, 3, 2, 12)
NOW = DAY + timedelta(days=30)


def log(*values: tuple[float, float]) -> list[Entry]:
    return [Entry(DAY + timedelta(days=d), v, v) for d, v in values]


WEEKLY = log((0, 100), (7, 120), (14, 140))


def on(day: float) -> datetime:
    return DAY + timedelta(days=day)


GOOD = {
    "first": ([], 5000, 0, 5000, "first"),
    "on": (WEEKLY, 160, 21, 160, ""),
    "the same": (WEEKLY, 140, 21, 140, ""),
    "between two": (WEEKLY, 130, 10, 130, ""),
    "before the first": (WEEKLY, 90, -7, 90, "first"),
    "all day long": (WEEKLY, 140 + 24 * 7, 21, 308, ""),
}


@pytest.mark.parametrize(("entries", "value", "day", "total", "event"), GOOD.values(), ids=GOOD.keys())
def test_counters_are_read(
    *, entries: list[Entry], value: float, day: float, total: float, event: str, rules: MotorRules
) -> None:
    counted = read_counter(value, on(day), NOW, entries=entries, unit="hours", rules=rules)
    assert (counted.total_units, counted.event) == (total, event)


REFUSED = {
    "future": (WEEKLY, 160, 31, InputError, "future"),
    "more than the days hold": (WEEKLY, 140 + 24 * 7 + 1, 21, InputError, "all that 7 days can hold"),
    "more than a day holds": (WEEKLY, 165, 14.2, InputError, "can hold"),
    "another value at the same moment": (WEEKLY, 141, 14, Conflict, "already logged"),
    "over a later entry": (WEEKLY, 150, 10, InputError, "logged later"),
    "gone down": (WEEKLY, 12, 21, NeedsAnswer, "showed 140"),
}


@pytest.mark.parametrize(("entries", "value", "day", "kind", "words"), REFUSED.values(), ids=REFUSED.keys())
def test_the_impossible_is_refused_with_the_reason(
    *, entries: list[Entry], value: float, day: float, kind: type[NorvashError], words: str, rules: MotorRules
) -> None:
    with pytest.raises(kind, match=words) as caught:
        read_counter(value, on(day), NOW, entries=entries, unit="hours", rules=rules)
    assert caught.value.remedy


FALLS = {
    "rolled over": (log((0, 9940), (7, 9960), (14, 9980)), 5, 21, "rolled over", 10005, "rolled over"),
    "replaced": (WEEKLY, 22, 21, "replaced", 162, "replaced"),
    "reset": (WEEKLY, 22, 21, "replaced", 162, "reset"),
    "slip": (log((0, 1000), (7, 1020), (14, 1040)), 104, 21, "slip", None, ""),
}


@pytest.mark.parametrize(("entries", "value", "day", "likely", "total", "answer"), FALLS.values(), ids=FALLS.keys())
def test_a_fallen_counter_is_asked_about_and_the_likeliest_comes_first(
    *, entries: list[Entry], value: float, day: float, likely: str, total: float | None, answer: str, rules: MotorRules
) -> None:
    with pytest.raises(NeedsAnswer) as caught:
        read_counter(value, on(day), NOW, entries=entries, unit="hours", rules=rules)
    assert caught.value.likely == likely
    if total is not None:
        assert (
            read_counter(
                value, on(day), NOW, entries=entries, unit="hours", rules=rules, said=Happened(answer=answer)
            ).total_units
            == total
        )


def test_increments(rules: MotorRules) -> None:
    assert read_increment(12, on(21), NOW, entries=WEEKLY, unit="hours", rules=rules).total_units == 152
    assert read_increment(12, on(21), NOW, entries=[], unit="hours", rules=rules).counter_units == 12
    for value, day, words in ((-1, 21, "below 0"), (5, 10, "later entry"), (200, 21, "can hold"), (5, 40, "future")):
        with pytest.raises(InputError, match=words):
            read_increment(value, on(day), NOW, entries=WEEKLY, unit="hours", rules=rules)


@given(st.lists(st.floats(0, 100), min_size=1, max_size=12))
def test_totals_never_fall(steps: list[float]) -> None:
    rules, entries, counter = shipped(), list[Entry](), 0.0
    for i, step in enumerate(steps):
        counter += step
        counted = read_counter(counter, on(i * 7), on(400), entries=entries, unit="hours", rules=rules)
        entries.append(Entry(on(i * 7), counted.total_units, counted.counter_units))
    totals = [e.total_units for e in entries]
    assert totals == sorted(totals)
    assert neighbours(entries, on(400)) == (entries[-1], None)


def test_the_rate_of_use(rules: MotorRules) -> None:
    assert rate_of_use(log((0, 100)), None, rules) is None
    assert rate_of_use(log((0, 100), (6, 120)), None, rules) is None
    found = rate_of_use(WEEKLY, None, rules)
    assert found is not None
    assert found.per_week == pytest.approx(20)
    declared = rate_of_use(WEEKLY, 10, rules)
    assert declared is not None
    assert declared.per_week == pytest.approx((40 + 20 * 10) / 22)
    far = rate_of_use(log((0, 0), (364, 520), (728, 2600)), None, rules)
    assert far is not None
    assert far.per_week == pytest.approx(40)
    assert rate_of_use(log((0, 5), (70, 5)), None, rules) is None


def test_days_from_use() -> None:
    rate = Rate(per_week=21, weeks=10, logged_units=210, declared=None)
    assert day_of(140 + 42, WEEKLY[-1], rate) == date(2026, 3, 30)
    assert day_of(140 + 44, WEEKLY[-1], rate) == date(2026, 3, 30)
    assert day_of(1e12, WEEKLY[-1], rate) is None


def test_the_axis_of_dates() -> None:
    assert use_on(date(2026, 3, 12), WEEKLY, None) == pytest.approx(100 + 20 * 10 / 7)
    assert use_on(date(2026, 2, 1), WEEKLY, None) is None
    assert use_on(date(2026, 4, 1), WEEKLY, None) is None
    assert use_on(
        date(2026, 3, 23), WEEKLY, Rate(per_week=20, weeks=2, logged_units=40, declared=None)
    ) == pytest.approx(160)
    marks = date_marks(100, 400, tuple(WEEKLY), Rate(per_week=20, weeks=2, logged_units=40, declared=None))
    assert [w for _, w in marks] == ["Apr", "May", "Jun"]
    assert [u for u, _ in marks] == sorted(u for u, _ in marks)


OWN_USE: dict[str, float | str] = {"reference_rpm": 1500.0, "seconds_per_start": 9.0, "starts_per_hour": 4.0}
TYPED_USE: dict[str, tuple[str, str, float, float]] = {
    "plain": ("12.5", "hours", 12.5, 1.0),
    "at half speed": ("12 h @ 750", "hours", 12.0, 0.5),
    "starts of a motor that counts hours": ("400 starts", "hours", 1.0, 1.0),
    "hours of the engine": ("3 h", "starts", 12.0, 1.0),
}
BAD_USE = {
    "no speed": ("12 @", "hours", OWN_USE),
    "ten times too fast": ("12 @ 90000", "hours", OWN_USE),
    "not weighted": ("12 @ 900", "hours", {}),
    "starts of unknown length": ("40 starts", "hours", {}),
    "half a start": ("1.5", "starts", OWN_USE),
    "below 0": ("-3", "hours", OWN_USE),
    "letters": ("twelve", "hours", OWN_USE),
}


@pytest.mark.parametrize(("text", "unit", "value", "weight"), TYPED_USE.values(), ids=TYPED_USE)
def test_use_is_typed_in_other_units_or_with_its_speed(text: str, unit: str, value: float, weight: float) -> None:
    found = read_use(text, unit, Figures(OWN_USE, {}, {}))
    assert (found.value, found.weight) == (value, weight)


@pytest.mark.parametrize(("text", "unit", "own"), BAD_USE.values(), ids=BAD_USE)
def test_use_that_cannot_be_read_is_refused(text: str, unit: str, own: dict[str, float | str]) -> None:
    with pytest.raises(InputError) as refused:
        read_use(text, unit, Figures(own, {}, {}))
    assert refused.value.field == "value"


def test_use_at_half_the_speed_counts_half_and_the_counter_stays_as_read() -> None:
    before = Entry(datetime(2026, 1, 1), 100.0, 900.0)
    found = weighted(Counted(112.0, 912.0, ""), 0.5, datetime(2026, 1, 3), (before,))
    assert (found.total_units, found.counter_units) == (106.0, 912.0)
    assert weighted(found, 1.0, datetime(2026, 1, 3), ()) is found


def test_use_in_years_runs_as_the_calendar_does() -> None:
    year = 365.25 / 7 * CALENDAR_RATE.per_week
    assert year == pytest.approx(1)
    assert (CALENDAR_RATE.declared, CALENDAR_RATE.weeks, CALENDAR_RATE.logged_units) == (CALENDAR_RATE.per_week, 0, 0)
    assert (CALENDAR_RATE.spread.least_sd, CALENDAR_RATE.spread.weekly_var, CALENDAR_RATE.by_calendar) == (0, 0, True)
    assert YEAR_DAYS == 365.25
