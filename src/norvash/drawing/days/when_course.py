"""The stretch of days on which look, plan and limit of one motor are drawn, and how thick its bar is on each."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.forecast.set_forecast import Ahead
from norvash.core.known import all_known
from norvash.core.state.findings import Findings
from norvash.core.state.marks import Mark
from norvash.core.text.words import MONTHS, short_day

_MARGIN = 0.05
_LEAST_DAYS, _BEHIND = 28, 0.4
_APART_PX = 38.0


@dataclass(frozen=True, slots=True)
class Course:
    """Days from the first to the last one drawn, laid between two places [px]."""

    first: date
    last: date
    low: float
    high: float

    def at(self, day: date) -> float:
        """Return the place of a day, held within the stretch [px]."""
        share = (day - self.first).days / max((self.last - self.first).days, 1)
        return self.low + min(max(share, 0.0), 1.0) * (self.high - self.low)

    def holds(self, day: date) -> bool:
        """Tell whether a day lies on the stretch."""
        return self.first <= day <= self.last

    def months(self) -> list[tuple[date, str]]:
        """Return the first days of its months, each with its word; of its years where those stand too close."""
        close = 30 * (self.high - self.low) / max((self.last - self.first).days, 1) < _APART_PX
        made, month = [], self.first.replace(day=1)
        while (month := (month + timedelta(days=32)).replace(day=1)) <= self.last:
            if month.month == 1 or not close:
                made.append((month, f"{month.year}" if month.month == 1 else MONTHS[month.month - 1][:3]))
        return made


def course_of(found: Findings, since: date, today: date, low: float, high: float) -> Course:
    """Return the stretch that holds today, what rules, and the band of the limit; a look years on does not widen it."""
    when = found.when
    ruling = [m.on for m in (when.look, when.plan, when.limit) if m is not None and m.on is not None]
    limit = when.limit
    band = [d for d in (limit.early_on, limit.late_on) if d is not None] if limit is not None else []
    ends = max([today + timedelta(days=_LEAST_DAYS), *ruling, *band])
    earliest = max(today - (ends - today) * _BEHIND, since)
    behind = [m.on for m in when.all() if m.on is not None and earliest <= m.on < today]
    begins = min([today, *(max(d, since) for d in ruling if d < today), *behind])
    margin = timedelta(days=max(round((ends - begins).days * _MARGIN), 2))
    return Course(begins - margin, ends + margin, low, high)


def thickness(ahead: Ahead) -> tuple[tuple[date, float], ...]:
    """Return the chance that the limit is not yet passed on the days of the forecast's quantiles, empty without days.

    Shape: (day, chance) from that of 1 in 20 on. Source: the quantiles in use, laid between those with a day
    """
    known = all_known(ahead.p10_on, ahead.p50_on, ahead.p90_on)
    if known is None:
        return ()
    early, middle, late = known
    first = _between(ahead.p50_units, middle, ahead.p10_units, early)
    second = _between(ahead.p50_units, middle, ahead.p90_units, late)
    return (
        (first(ahead.p05_units), 0.95),
        (early, 0.9),
        (first(ahead.p25_units), 0.75),
        (middle, 0.5),
        (second(ahead.p75_units), 0.25),
        (late, 0.1),
        (second(ahead.p95_units), 0.05),
    )


@dataclass(frozen=True, slots=True)
class _Laid:
    from_units: float
    from_on: date
    days_a_unit: float

    def __call__(self, units: float) -> date:
        return self.from_on + timedelta(days=round((units - self.from_units) * self.days_a_unit))


def _between(units: float, on: date, other: float, other_on: date) -> _Laid:
    return _Laid(units, on, (other_on - on).days / (other - units) if other != units else 0.0)


def speakers(found: Findings) -> list[tuple[str, list[Mark]]]:
    """Return who names a look, a plan or a limit, each with what they name, those that rule first."""
    by_name: dict[str, list[Mark]] = {}
    for mark in found.when.all():
        if mark.on is not None and not mark.brought:
            by_name.setdefault(mark.name, []).append(mark)
    rules = {id(m) for m in (found.when.look, found.when.plan, found.when.limit)}
    order = sorted(by_name.items(), key=lambda x: not any(id(m) in rules for m in x[1]))
    return [(name, sorted(marks, key=lambda m: m.on or date.max)) for name, marks in order]


def rules(found: Findings, mark: Mark) -> bool:
    """Tell whether a mark is the one that rules of its kind."""
    return any(mark is m for m in (found.when.look, found.when.plan, found.when.limit))


def day_said(day: date, today: date) -> str:
    """Return a day for a drawing, with its year where that is another one."""
    return short_day(day) if day.year != today.year else f"{day.day} {MONTHS[day.month - 1][:3]}"


def staggered(spans: Sequence[tuple[float, float]]) -> list[int]:
    """Return for stretches [px] in order on which row each stands, so that none covers another.

    >>> staggered([(0.0, 100.0), (60.0, 160.0), (300.0, 400.0)])
    [0, 1, 0]
    """
    made: list[int] = []
    for i, (low, high) in enumerate(spans):
        beside = {made[j] for j, (a, b) in enumerate(spans[:i]) if a < high and low < b}
        made.append(next(row for row in range(len(spans)) if row not in beside))
    return made
