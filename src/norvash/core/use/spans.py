"""Days as people remember them: a day, a month or a year, each a span from its first to its last day."""

import re
from calendar import monthrange
from datetime import date, datetime

from norvash.core.text.days import day_of
from norvash.core.text.words import MONTHS, day_words
from norvash.errors import InputError

Span = tuple[date, date]
_MONTHS = ("%Y-%m", "%m/%Y", "%m.%Y", "%B %Y", "%b %Y")
_YEAR = re.compile("[1-9][0-9]{3}")
_OLDEST = 1900


def read_span(text: str, today: date, field: str) -> Span:
    """Return the first and the last day that a typed day, month or year can mean, none of them after today.

    Raises: InputError at the field for what names no day, or one to come.

    >>> read_span("March 2024", date(2026, 1, 1), "day")
    (datetime.date(2024, 3, 1), datetime.date(2024, 3, 31))
    """
    bare = " ".join(text.split())
    found = _today_or_year(bare, today) or _day(bare) or _month(bare)
    if found is None:
        raise InputError(
            f"“{text.strip()[:30]}” names no day.",
            f"Write a day like {today:%Y-%m-%d}, a month like {MONTHS[today.month - 1]} {today.year}, or a year.",
            field,
        )
    if found[0] > today:
        raise InputError(f"{day_words(found[0])} is in the future.", "Give a day that has been.", field)
    if found[0].year < _OLDEST:
        raise InputError(f"{found[0].year} cannot be right.", f"Give a year from {_OLDEST} on.", field)
    return found[0], min(found[1], today)


def _today_or_year(bare: str, today: date) -> Span | None:
    """Return today, or a year of four digits; None for anything else."""
    if bare.lower() == "today":
        return today, today
    if not _YEAR.fullmatch(bare):
        return None
    return date(int(bare), 1, 1), date(int(bare), 12, 31)


def _day(bare: str) -> Span | None:
    found = day_of(bare)
    return None if found is None else (found, found)


def _month(bare: str) -> Span | None:
    for form in _MONTHS:
        try:
            found = datetime.strptime(bare, form).date()
        except ValueError:
            continue
        return found, found.replace(day=monthrange(found.year, found.month)[1])
    return None


def span_words(span: Span) -> str:
    """Return a span as it would be said.

    >>> span_words((date(2024, 3, 1), date(2024, 3, 31))), span_words((date(2023, 1, 1), date(2023, 12, 31)))
    ('in March 2024', 'in 2023')
    """
    first, last = span
    if first == last:
        return f"on {day_words(first)}"
    if (first.month, first.day, last.month, last.day) == (1, 1, 12, 31) and first.year == last.year:
        return f"in {first.year}"
    if (first.year, first.month) == (last.year, last.month):
        return f"in {MONTHS[first.month - 1]} {first.year}"
    return f"between {day_words(first)} and {day_words(last)}"


def middle(span: Span) -> date:
    """Return the day in the middle of a span."""
    return span[0] + (span[1] - span[0]) / 2
