"""When in the year a machine runs: the months it was said to, what two years of log show, or the house's dark weeks."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from functools import lru_cache
from itertools import pairwise

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.text.texts import compared
from norvash.core.text.words import MONTHS
from norvash.core.use.log_entry import Entry
from norvash.errors import InputError

WEEKS = 52
_MOST_YEARS = 60
_DAY = timedelta(days=1)


@dataclass(frozen=True, slots=True, kw_only=True)
class Window:
    """Days on which the house is dark: machines stand still and can be worked on; `place` empty means everywhere."""

    id: str
    name: str
    first_on: date
    last_on: date
    yearly: bool
    place: str

    def covers(self, place: str) -> bool:
        """Tell whether the window holds for a motor's place."""
        return not self.place or compared(self.place) in compared(place)

    def spans(self, first: date, last: date) -> list[tuple[date, date]]:
        """Return the window's first and last days that touch a stretch of time, in order."""
        if not self.yearly:
            return [(self.first_on, self.last_on)] if self.last_on >= first and self.first_on <= last else []
        made = []
        length = self.last_on - self.first_on
        for year in range(first.year - 1, min(last.year, first.year + _MOST_YEARS) + 1):
            start = _in_year(self.first_on, year)
            if start + length >= first and start <= last and start >= _in_year(self.first_on, self.first_on.year):
                made.append((start, start + length))
        return made


def _in_year(day: date, year: int) -> date:
    return date(year, day.month, min(day.day, 28) if day.month == 2 else day.day)


@dataclass(frozen=True, slots=True)
class Season:
    """The days on which a machine runs: by month, by dark windows, or both; `words` says where that is known from."""

    months: frozenset[int]
    windows: tuple[Window, ...]
    words: str

    def active_days(self, first: date, last: date) -> int:
        """Return how many days from `first` up to, not including, `last` the machine runs on."""
        return self._in_months(first, last) - sum(self._in_months(a, b) for a, b in self._dark(first, last))

    def _in_months(self, first: date, last: date) -> int:
        return sum(days for month, days in by_month(first, last) if month in self.months)

    def _dark(self, first: date, last: date) -> list[tuple[date, date]]:
        """Return the dark stretches within a stretch of time, joined where they overlap, each without its last day."""
        spans = sorted((max(a, first), min(b + _DAY, last)) for w in self.windows for a, b in w.spans(first, last))
        joined: list[tuple[date, date]] = []
        for a, b in spans:
            if joined and a <= joined[-1][1]:
                joined[-1] = (joined[-1][0], max(b, joined[-1][1]))
            elif a < b:
                joined.append((a, b))
        return joined

    def pattern(self, first: date) -> tuple[float, ...]:
        """Return the share of each of the next 52 weeks on which the machine runs."""
        return _pattern(self, first)


@lru_cache(maxsize=1024)
def _pattern(season: Season, first: date) -> tuple[float, ...]:
    """Return the pattern of a season: it is asked for at each judgement, and the same for every machine of a house."""
    starts = (first + timedelta(weeks=i) for i in range(WEEKS))
    return tuple(season.active_days(s, s + timedelta(weeks=1)) / 7 for s in starts)


def by_month(first: date, last: date) -> Iterator[tuple[int, int]]:
    """Yield month and days of every month that a stretch of days touches, its last day left out."""
    while first < last:
        ends = min(date(first.year + first.month // 12, first.month % 12 + 1, 1), last)
        yield first.month, (ends - first).days
        first = ends


def weeks_ahead(active: float, pattern: Sequence[float]) -> float:
    """Return the weeks from now in which so many active weeks are done; infinite in a year without any.

    >>> weeks_ahead(3.0, [1.0, 0.0] * 26)
    5.0
    """
    year = sum(pattern)
    if year <= 0:
        return float("inf")
    whole = int(active / year)
    left, weeks = active - whole * year, 0.0
    for share in pattern:
        if share >= left:
            return whole * len(pattern) + weeks + (left / share if left > 0 else 0.0)
        left, weeks = left - share, weeks + 1
    return whole * len(pattern) + weeks


def read_months(text: str) -> frozenset[int]:
    """Return months typed as numbers and ranges, like 9-6 or 1-3, 10-12.

    Raises: InputError when it cannot be read.
    """
    found: set[int] = set()
    for part in text.replace(" ", "").replace("–", "-").split(","):
        ends = part.split("-")
        if not 1 <= len(ends) <= 2 or not all(e.isascii() and e.isdigit() and 1 <= int(e) <= 12 for e in ends):
            raise InputError(
                f"“{text}” names no months.", "Write them as numbers, like 9-6 or 1-3, 10-12.", "active_months"
            )
        first, last = int(ends[0]), int(ends[-1])
        found.update((first + i - 1) % 12 + 1 for i in range((last - first) % 12 + 1))
    return frozenset(found)


def month_words(months: frozenset[int]) -> str:
    """Return months as ranges in words.

    >>> month_words(frozenset({9, 10, 11, 12, 1, 2}))
    'September to February'
    """
    if len(months) == 12:
        return "the whole year"
    starts = sorted(m for m in months if (m - 2) % 12 + 1 not in months)
    made = []
    for first in starts:
        last = first
        while last % 12 + 1 in months:
            last = last % 12 + 1
        made.append(MONTHS[first - 1] if first == last else f"{MONTHS[first - 1]} to {MONTHS[last - 1]}")
    return ", ".join(made)


def season_of(
    declared: str, entries: Sequence[Entry], windows: Sequence[Window], place: str, rules: MotorRules
) -> Season | None:
    """Return a motor's season from the best that is known, None for a machine that runs all the year.

    What was declared comes first, then what two years of log show, then the windows of the house.
    Raises: InputError for months that cannot be read.
    """
    if declared:
        months = read_months(declared)
        return None if len(months) == 12 else Season(months, (), f"runs {month_words(months)}, as declared")
    learned = _learned(entries, rules)
    if learned is not None and len(learned) < 12:
        return Season(learned, (), f"runs {month_words(learned)}, as its log of two years shows")
    here = tuple(w for w in windows if w.covers(place))
    if here and learned is None:
        return Season(frozenset(range(1, 13)), here, "stands still when the house is dark")
    return None


def _learned(entries: Sequence[Entry], rules: MotorRules) -> frozenset[int] | None:
    """Return the months with use worth counting, None before the log has two whole years."""
    if len(entries) < 2 or (entries[-1].at - entries[0].at).days < 7 * rules["use.season-log"]:
        return None
    used, days = dict.fromkeys(range(1, 13), 0.0), dict.fromkeys(range(1, 13), 0)
    for older, newer in pairwise(entries):
        first, last = older.at.date(), max(newer.at.date(), older.at.date() + _DAY)
        per_day = (newer.total_units - older.total_units) / (last - first).days
        for month, count in by_month(first, last):
            used[month] += per_day * count
            days[month] += count
    mean = sum(used.values()) / max(sum(days.values()), 1)
    return frozenset(m for m in used if days[m] == 0 or not under(used[m] / days[m], rules["use.idle-share"] * mean))
