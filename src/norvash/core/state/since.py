"""Since when a set has run, from whatever is known of it: a day, month or year, a counter, the use since."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import date, datetime, time, timedelta
from math import sqrt

from norvash.core.edges import over, under
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.text.words import MONTHS, counter_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate, rate_sd
from norvash.core.use.spans import Span, middle, span_words
from norvash.errors import InputError

YEAR_DAYS = 365.25
NO_DAY = "a day nobody knows"
_NOON = time(12)
_AGREE = 0.02  # how far two ways of saying the same use may differ before one of them is wrong
_SURE_SPAN = 0.1  # a day known to a tenth of the time since is a reading of the log


@dataclass(frozen=True, slots=True, kw_only=True)
class Since:
    """What is known of when a set was new; any of it may be missing.

    Units: counter_units what the counter showed then, ran_units what has run since, in the motor's unit of use.
    """

    days: Span | None = None
    counter_units: float | None = None
    ran_units: float | None = None

    @property
    def says_nothing(self) -> bool:
        """Tell whether nothing is known."""
        return self.days is None and self.counter_units is None and self.ran_units is None


@dataclass(frozen=True, slots=True, kw_only=True)
class Fitting:
    """When a set was new, on the motor's own scale of use: the likeliest, and the span it may lie in.

    `known` is False where its use is not known; `entry` is what that adds to the log of use, if anything.
    """

    at: datetime
    units: float
    known: bool
    span_on: Span | None = None
    span_units: tuple[float, float] | None = None
    entry: Entry | None = None


def fitting_of(said: Since, now: datetime, entries: Sequence[Entry], rate: Rate | None, unit: str) -> Fitting:
    """Return when a set was new from what is known of it, against the use that is logged.

    A first statement is taken as it is said: it is no reading that would be held against the hours of its days.
    Raises: InputError at the field where two statements contradict each other.
    """
    last = entries[-1]
    units = _units(said, entries, unit)
    if units is not None:
        at = _at(said, now, last.total_units - units, rate)
        return Fitting(at=at, units=units, known=True, span_on=said.days, entry=_entry(said, at, units, now, last))
    if said.days is None:
        return Fitting(at=now, units=last.total_units, known=False)
    at = datetime.combine(middle(said.days), _NOON)
    if rate is None:
        return Fitting(at=min(at, now), units=last.total_units, known=False, span_on=said.days)
    most, least = (_ran_between(day, now.date(), rate) for day in said.days)
    ran = (most + least) / 2
    sd = sqrt((most - least) ** 2 / 12 + (ran * rate_sd(rate, ran / rate.per_week)) ** 2)
    units, half = last.total_units - ran, min(sqrt(3) * sd, ran)
    return Fitting(at=min(at, now), units=units, known=True, span_on=said.days, span_units=(units - half, units + half))


def counted_from(fitting: Fitting) -> Fitting:
    """Return a fitting on a scale of use that starts at it."""
    shift, entry, span = fitting.units, fitting.entry, fitting.span_units
    return replace(
        fitting,
        units=0.0,
        span_units=None if span is None else (span[0] - shift, span[1] - shift),
        entry=None if entry is None else Entry(entry.at, entry.total_units - shift, 0.0, noted=True),
    )


def _units(said: Since, entries: Sequence[Entry], unit: str) -> float | None:
    """Return the use at which the set was new, None where neither counter nor use since is known."""
    last, by_counter = entries[-1], None
    if said.counter_units is not None:
        shown = next((e for e in entries if not under(e.counter_units, said.counter_units)), None)
        if shown is None:
            raise InputError(
                f"The counter shows {counter_words(last.counter_units, unit)} now, less than the"
                f" {counter_words(said.counter_units, unit)} when they were new.",
                "If the counter was changed since, leave this empty and give what they have run since.",
                "since_counter",
            )
        by_counter = shown.total_units - (shown.counter_units - said.counter_units)
    if said.ran_units is None:
        return by_counter
    by_use = last.total_units - said.ran_units
    if by_counter is not None and over(abs(by_counter - by_use), max(_AGREE * said.ran_units, 1.0)):
        ran = counter_words(last.total_units - by_counter, unit)
        raise InputError(
            f"By the counter they have run {ran} since, and not {counter_words(said.ran_units, unit)}.",
            "Correct one of the two, or leave one empty.",
            "since_ran",
        )
    return by_use if by_counter is None else by_counter


def _at(said: Since, now: datetime, ran: float, rate: Rate | None) -> datetime:
    """Return the day on which a set was new, of which the use is known: as said, else by the usual use."""
    if said.days is not None:
        return min(datetime.combine(middle(said.days), _NOON), now)
    if rate is None or ran <= 0:
        return now
    return now - timedelta(days=min(ran / rate.per_week * _calendar_weeks(rate, now.date()) * 7, 36500))


def _calendar_weeks(rate: Rate, today: date) -> float:
    """Return how many weeks of the calendar hold one active week."""
    if rate.season is None:
        return 1.0
    active = rate.season.active_days(today - timedelta(days=365), today)
    return 365 / active if active else 1.0


def _ran_between(first: date, last: date, rate: Rate) -> float:
    """Return the use between two days at the usual rate, standstill counted as such."""
    days = (last - first).days if rate.season is None else rate.season.active_days(first, last)
    return rate.per_week * days / 7


def _entry(said: Since, at: datetime, units: float, now: datetime, last: Entry) -> Entry | None:
    """Return what a fitting of known day and use adds to the log: nothing where the day is too vague."""
    if said.days is None or at >= now:
        return None
    width = (said.days[1] - said.days[0]).days
    if width > _SURE_SPAN * max((now.date() - at.date()).days, 1):
        return None
    counter = said.counter_units
    if counter is None:
        counter = max(last.counter_units - (last.total_units - units), 0.0)
    return Entry(at, units, counter, noted=True)


def in_years(first: datetime, last: datetime) -> float:
    """Return the years of the calendar between two moments."""
    return (last - first).total_seconds() / 86400 / YEAR_DAYS


def since_words(fitting: Fitting, ran: float, unit: str) -> str:
    """Return in words since when a set has run: the day, month or year as it was said; one that follows from its use
    is no day that anybody knows.
    """
    since = "" if fitting.span_on is None else f"since {_span_said(fitting.span_on)}"
    if not fitting.known:
        return since or "since when is not known"
    used = counter_words(round(ran, 1), unit)
    if since:
        return f"{used} {since}"
    if unit == "years":
        return f"{used} since about {MONTHS[fitting.at.month - 1]} {fitting.at.year}"
    return f"{used} since {NO_DAY}" if ran > 0 else used


def _span_said(span: Span) -> str:
    return span_words(span).removeprefix("on ").removeprefix("in ")


def has_no_day(brush_set: BrushSet, state: MotorState) -> bool:
    """Tell whether the day on which a set was fitted only follows from its use: nobody said or logged it."""
    first_known = brush_set.number > 1 or not state.entries
    said = brush_set.span_on is not None or not brush_set.fitted_known
    return not (said or first_known) and under(brush_set.fitted_units, state.entries[0].total_units)


def has_day(brush_set: BrushSet, state: MotorState) -> bool:
    """Tell whether it is known on which single day a set was fitted."""
    span = brush_set.span_on
    if span is not None:
        return span[0] == span[1]
    return brush_set.fitted_known and not has_no_day(brush_set, state)


def fitted_words(brush_set: BrushSet, state: MotorState) -> str:
    """Return in words when a set was fitted: as it was said or logged; where its day only follows from its use, that
    nobody knows it, or about when by the calendar.
    """
    if brush_set.span_on is not None:
        return _span_said(brush_set.span_on)
    if not brush_set.fitted_known:
        return "before the record"
    at = brush_set.fitted_at
    if not has_no_day(brush_set, state):
        return f"{at:%Y-%m-%d}"
    return f"about {MONTHS[at.month - 1]} {at.year}" if state.unit == "years" else NO_DAY
