"""Hours and starts: what a counter may show, what it means when it falls, and how fast use runs."""

from bisect import bisect_left, bisect_right
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from math import floor, log, sqrt

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import counter_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.season import Season, weeks_ahead
from norvash.errors import Conflict, InputError, NeedsAnswer


@dataclass(frozen=True, slots=True)
class Counted:
    """What a new entry means: total use, counter value, and the event that explains a step."""

    total_units: float
    counter_units: float
    event: str


def neighbours(entries: Sequence[Entry], at: datetime) -> tuple[Entry | None, Entry | None]:
    """Return the entries before (or at) and after a moment, of entries in order of time."""
    place = bisect_right(entries, at, key=_moment)
    return (entries[place - 1] if place else None), (entries[place] if place < len(entries) else None)


def _moment(entry: Entry) -> datetime:
    return entry.at


def read_counter(
    value: float,
    at: datetime,
    now: datetime,
    *,
    entries: Sequence[Entry],
    unit: str,
    rules: MotorRules,
    answer: str = "",
) -> Counted:
    """Judge a counter value against the log.

    Units: value in the motor's unit of use.
    Raises: InputError for the impossible, Conflict for another value at the same moment,
    NeedsAnswer when the counter went down and nobody has said why.
    """
    _not_future(at, now)
    before, _ = neighbours(entries, at)
    if before is None:
        counted = Counted(value, value, "first")
    elif before.at == at and before.counter_units != value:
        raise Conflict(
            f"At that moment the counter was already logged as {counter_words(before.counter_units, unit)}.",
            "Take that entry back first, or give another time.",
            "value",
        )
    elif value >= before.counter_units:
        counted = Counted(before.total_units + (value - before.counter_units), value, "")
    else:
        counted = _explained(value, before, entries, unit=unit, at=at, rules=rules, answer=answer)
    _possible(counted.total_units, at, entries, unit, rules)
    return counted


def read_increment(
    value: float, at: datetime, now: datetime, *, entries: Sequence[Entry], unit: str, rules: MotorRules
) -> Counted:
    """Judge an amount of use since the last entry.

    Raises: InputError for the impossible or for an amount before later entries.
    """
    _not_future(at, now)
    if value < 0:
        raise InputError(
            f"{counter_words(value, unit)} is less than nothing.", "Give what it ran since the last entry.", "value"
        )
    before, after = neighbours(entries, at)
    if after is not None:
        raise InputError(
            f"There is a later entry, of {after.at:%Y-%m-%d}.",
            "Log the counter value of that day instead, or take the later entry back.",
            "value",
        )
    total, counter = (before.total_units + value, before.counter_units + value) if before else (value, value)
    _possible(total, at, entries, unit, rules)
    return Counted(total, counter, "increment")


def weighted(counted: Counted, weight: float, at: datetime, entries: Sequence[Entry]) -> Counted:
    """Return what was counted with the use since the entry before weighted, as by the speed it ran at.

    The counter is as read.
    """
    before, _ = neighbours(entries, at)
    if weight == 1 or before is None:
        return counted
    return Counted(
        before.total_units + weight * (counted.total_units - before.total_units), counted.counter_units, counted.event
    )


def _not_future(at: datetime, now: datetime) -> None:
    if at > now:
        raise InputError(
            f"{at:%Y-%m-%d} is in the future.", f"Today is {now:%Y-%m-%d}: give that or an earlier day.", "day"
        )


EVENTS = {
    "rolled over": "It rolled over",
    "replaced": "New counter, started at 0",
    "reset": "It was reset to 0",
    "slip": "Slip of the pen: I type it again",
    "last was wrong": "The last entry was wrong: take that back",
}


def _explained(
    value: float, before: Entry, entries: Sequence[Entry], *, unit: str, at: datetime, rules: MotorRules, answer: str
) -> Counted:
    last = before.counter_units
    if answer == "rolled over":
        return Counted(before.total_units + (rollover(last) - last + value), value, answer)
    if answer in ("replaced", "reset"):
        return Counted(before.total_units + value, value, answer)
    raise _went_down(value, before, entries, unit=unit, at=at, rules=rules)


def rollover(last: float) -> float:
    """Return the value at which a counter that showed `last` starts again at 0.

    >>> rollover(9987.0)
    10000.0
    """
    return float(10 ** len(str(floor(last))))


def _went_down(
    value: float, before: Entry, entries: Sequence[Entry], *, unit: str, at: datetime, rules: MotorRules
) -> NeedsAnswer:
    """Return the question, with the likeliest answer by the use that each would imply."""
    last = before.counter_units
    per_day = daily_rate(entries)
    days = max((at - before.at).total_seconds() / 86400, 0.5)
    implied = {"rolled over": rollover(last) - last + value, "replaced": value}
    likely, best = "slip", -6.0
    for key, ran in implied.items():
        if per_day and ran > 0:
            score = -0.5 * (log(ran / (per_day * days)) / rules["use.slip"]) ** 2
            likely, best = (key, score) if score > best else (likely, best)
    return NeedsAnswer(
        f"The counter showed {counter_words(last, unit)} on {before.at:%Y-%m-%d} and shows {counter_words(value, unit)}"
        " now.",
        "Say which it is; what you typed is kept.",
        "value",
        tuple(EVENTS.items()),
        likely,
    )


def daily_rate(entries: Sequence[Entry]) -> float | None:
    """Return use per day over a whole log, None without two different days."""
    if len(entries) < 2:
        return None
    days = (entries[-1].at - entries[0].at).total_seconds() / 86400
    return (entries[-1].total_units - entries[0].total_units) / days if days > 0 else None


def _possible(total: float, at: datetime, entries: Sequence[Entry], unit: str, rules: MotorRules) -> None:
    """Refuse more use than the days between two entries have, on either side of the new one."""
    most = rules["use.hours-a-day"] if unit == "hours" else rules["use.starts-a-day"]
    midnight = datetime.combine(at.date(), time())
    place = bisect_left(entries, midnight, key=_moment)
    first_today = entries[place : place + 1] if place < len(entries) and entries[place].at.date() == at.date() else ()
    _, later = neighbours(entries, at)
    for entry in (*entries[max(place - 1, 0) : place], *first_today, *((later,) if later else ())):
        days = max(abs((at.date() - entry.at.date()).days), 1)
        ran = abs(total - entry.total_units)
        if over(ran, most * days):
            raise InputError(
                f"{counter_words(ran, unit)} between {min(at, entry.at):%Y-%m-%d} and {max(at, entry.at):%Y-%m-%d} is"
                f" more than {counter_words(most * days, unit)}, all that {days} day{'s' * (days > 1)} can hold.",
                "Check the value and the day.",
                "value",
            )
    if later and total > later.total_units:
        raise InputError(
            f"That is more than the {counter_words(later.total_units, unit)} logged later, on {later.at:%Y-%m-%d}.",
            "Check the value and the day.",
            "value",
        )


@dataclass(frozen=True, slots=True)
class UseSpread:
    """How a rate of use spreads: weeks of log that a declared one counts for, and log deviations of rate and week."""

    declared_weeks: float = 20.0
    least_sd: float = 0.05
    weekly_var: float = 1.5


def spread_of(rules: MotorRules) -> UseSpread:
    """Return how a rate of use spreads, as the rulebook has it for a motor."""
    return UseSpread(rules["use.declared-weight"], rules["use.rate-sd"], rules["use.week-var"])


@dataclass(frozen=True, slots=True, kw_only=True)
class Rate:
    """Use per active week with its basis: active weeks of log, logged use, what was declared, the season if any.

    `spread` is how it spreads.
    """

    per_week: float
    weeks: float
    logged_units: float
    declared: float | None
    season: Season | None = None
    spread: UseSpread = UseSpread()

    @property
    def words(self) -> str:
        """Return the basis in a few words."""
        active = " active" if self.season else ""
        log_words = f"{self.weeks:.0f}{active} weeks of log" if self.weeks else "no log yet"
        words = log_words if self.declared is None else f"{log_words} and {self.declared:g} a week as declared"
        return f"{words}; {self.season.words}" if self.season else words


def rate_of_use(
    entries: Sequence[Entry], declared: float | None, rules: MotorRules, season: Season | None = None
) -> Rate | None:
    """Return use per active week from the log of the last months, leaning on the declared use while the log is short.

    Source: rules use.least-days, use.window, use.declared-weight
    """
    logged, weeks = 0.0, 0.0
    if len(entries) >= 2:
        since = entries[-1].at - timedelta(weeks=rules["use.window"])
        first = ([entries[0]] + [e for e in entries if e.at <= since])[-1]
        days = (entries[-1].at - first.at).total_seconds() / 86400
        if not under(days, rules["use.least-days"]):
            active = days if season is None else season.active_days(first.at.date(), entries[-1].at.date())
            active = days if active < rules["use.least-days"] else active  # it ran while it was to stand still
            logged, weeks = entries[-1].total_units - first.total_units, active / 7
    spread = spread_of(rules)
    if declared is not None:
        prior = spread.declared_weeks
        per_week = (logged + prior * declared) / (weeks + prior) if weeks + prior else declared
        if per_week <= 0:
            return None
        return Rate(
            per_week=per_week, weeks=weeks, logged_units=logged, declared=declared, season=season, spread=spread
        )
    if logged <= 0 or weeks <= 0:
        return None
    per_week = logged / weeks
    return Rate(per_week=per_week, weeks=weeks, logged_units=logged, declared=None, season=season, spread=spread)


def rate_sd(rate: Rate, active_weeks: float) -> float:
    """Return the log standard deviation of the use in so many coming weeks: the mean is not known, and weeks differ.

    Source: rules use.declared-weight, use.rate-sd, use.week-var
    """
    spread = rate.spread
    known = 1 / (rate.weeks + spread.declared_weeks)
    return sqrt(spread.least_sd**2 + spread.weekly_var * (known + 1 / (active_weeks + 4)))


def day_of(total_units: float, last: Entry, rate: Rate) -> date | None:
    """Return the day on which a total is reached at the present rate, laid along the season.

    None beyond the calendar.
    """
    return day_after((total_units - last.total_units) / rate.per_week, last, rate.season)


def day_after(active_weeks: float, last: Entry, season: Season | None) -> date | None:
    """Return the day after so many active weeks from the last entry, None beyond the calendar."""
    weeks = active_weeks
    if season is not None and active_weeks > 0:
        weeks = weeks_ahead(active_weeks, season.pattern(last.at.date()))
    return in_weeks(weeks, last.at.date())


def in_weeks(weeks: float, start: date) -> date | None:
    """Return the day so many weeks on, None beyond the calendar.

    >>> in_weeks(1.5, date(2026, 11, 25))
    datetime.date(2026, 12, 5)
    """
    return start + timedelta(days=floor(weeks * 7)) if -5200 < weeks < 26000 else None
