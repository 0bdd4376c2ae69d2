"""How fast use runs, and on which day a use is reached."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from itertools import pairwise
from math import floor, sqrt

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.use.log_entry import Entry
from norvash.core.use.season import WEEKS, Season, weeks_ahead

# By how much a logged week differs from the declared one that it overrules, as a share of that.
_FAR = 0.2


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

    `spread` is how it spreads. Use in years runs `by_calendar`: a week is a week, whatever runs in it.
    """

    per_week: float
    weeks: float
    logged_units: float
    declared: float | None
    season: Season | None = None
    spread: UseSpread = UseSpread()
    by_calendar: bool = False

    @property
    def units_a_year(self) -> float:
        """Return the use of a year of the calendar, standstill included."""
        share = 1.0 if self.season is None else sum(self.season.pattern(date(2001, 1, 1))) / WEEKS
        return self.per_week * share * 365.25 / 7

    @property
    def overruled(self) -> bool:
        """Tell whether the log outweighs a declared use that lies far from it."""
        if self.declared is None or not over(self.weeks, self.spread.declared_weeks):
            return False
        return over(abs(self.logged_units / self.weeks - self.declared), _FAR * self.declared)

    @property
    def words(self) -> str:
        """Return the basis in a few words."""
        if self.by_calendar:
            return "use counted in years is the calendar"
        active = " active" if self.season else ""
        log_words = f"{self.weeks:.0f}{active} weeks of log" if self.weeks else "no log yet"
        words = log_words
        if self.overruled:
            words = f"{log_words} overrule the {self.declared:g} a week that was declared"
        elif self.declared is not None:
            words = f"{log_words} and {self.declared:g} a week as declared"
        return f"{words}; {self.season.words}" if self.season else words


# Use in years: as fast as the calendar, and as sure.
CALENDAR_RATE = Rate(
    per_week=7 / 365.25,
    weeks=0.0,
    logged_units=0.0,
    declared=7 / 365.25,
    spread=UseSpread(least_sd=0.0, weekly_var=0.0),
    by_calendar=True,
)


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
            active = days if under(active, rules["use.least-days"]) else active  # it ran while it was to stand still
            unread, unread_days = _unread(entries, first, season)
            logged, weeks = entries[-1].total_units - first.total_units - unread, max(active - unread_days, 0.0) / 7
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


def _unread(entries: Sequence[Entry], first: Entry, season: Season | None) -> tuple[float, float]:
    """Return the use and the active days after an entry of which no counter tells all: they teach no rate."""
    units = days = 0.0
    for older, newer in pairwise(entries):
        if newer.basis and newer.at > first.at:
            units += newer.total_units - older.total_units
            span = (newer.at - older.at).total_seconds() / 86400
            days += span if season is None else season.active_days(older.at.date(), newer.at.date())
    return units, days


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
