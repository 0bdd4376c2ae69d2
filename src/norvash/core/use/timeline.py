"""Days and use laid against each other: where a day falls on the axis of use."""

from bisect import bisect_right
from collections.abc import Sequence
from datetime import date, datetime, time
from functools import lru_cache

from norvash.core.edges import over, under
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate


def use_on(day: date, entries: Sequence[Entry], rate: Rate | None) -> float | None:
    """Return total use on a day: between entries by proportion, after the last at the present rate.

    None before the record, or after it without a rate.
    """
    if not entries:
        return None
    at = datetime.combine(day, time(12))
    i = bisect_right(entries, at, key=lambda e: e.at)
    if i == 0:
        return None
    older = entries[i - 1]
    if i == len(entries):
        if rate is None:
            return None
        weeks = (at - older.at).total_seconds() / 604800
        if rate.season is not None:
            weeks = rate.season.active_days(older.at.date(), day) / 7
        return older.total_units + rate.per_week * weeks
    newer = entries[i]
    share = (at - older.at) / (newer.at - older.at) if newer.at > older.at else 0.0
    return older.total_units + share * (newer.total_units - older.total_units)


@lru_cache(16)  # a page draws the same axis for a wide and for a narrow window
def date_marks(
    low: float, high: float, entries: tuple[Entry, ...], rate: Rate | None, most: int = 7
) -> tuple[tuple[float, str], ...]:
    """Return marks (use, words) of years, quarters or months that fall within a range of use."""
    if not entries:
        return ()
    first = entries[0].at.date()
    found: tuple[tuple[float, str], ...] = ()
    for months in (12, 6, 3, 1):
        marks = []
        year, month = first.year, 1
        for _ in range(40 * 12 // months):
            total = use_on(date(year, month, 1), entries, rate)
            if total is not None and over(total, high):
                break
            if total is not None and not under(total, low):
                words = str(year) if months == 12 or month == 1 else f"{date(year, month, 1):%b}"
                marks.append((total, words))
            month += months
            year, month = year + (month - 1) // 12, (month - 1) % 12 + 1
        if len(marks) > most and found:
            return found
        found = tuple(marks)
    return found
