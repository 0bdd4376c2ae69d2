"""Days as people type them: the year first, or the day before the month."""

import re
from datetime import date, datetime, time, timedelta

from norvash.core.text.words import day_words

_FORMS = ("%Y-%m-%d", "%d/%m/%Y", "%d.%m.%Y", "%d %B %Y", "%d %b %Y")
_CLOCK = re.compile("([01]?[0-9]|2[0-3]):([0-5][0-9])")
_WEEK = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")


def day_of(text: str) -> date | None:
    """Return the day that was typed, None where no day can be read; of numbers the day stands before the month.

    >>> day_of("3/6/2025"), day_of("3 June 2025"), day_of("6/31/2025")
    (datetime.date(2025, 6, 3), datetime.date(2025, 6, 3), None)
    """
    bare = " ".join(text.split())
    for form in _FORMS:
        try:
            return datetime.strptime(bare, form).date()
        except ValueError:
            continue
    return None


def near_day(text: str, today: date) -> date | None:
    """Return the day that was typed, also today and yesterday, None where no day can be read."""
    back = {"today": 0, "yesterday": 1}.get(text.strip().lower())
    return day_of(text) if back is None else today - timedelta(days=back)


def day_and_time(text: str, today: date) -> tuple[date, time | None] | None:
    """Return the day that was typed and the time of day behind it, where there is one; a time alone is of today. None
    where no day can be read.

    >>> day_and_time("3/6/2025 14:30", date(2026, 12, 1)), day_and_time("7:05", date(2026, 12, 1))
    ((datetime.date(2025, 6, 3), datetime.time(14, 30)), (datetime.date(2026, 12, 1), datetime.time(7, 5)))
    """
    of_day, _, last = text.strip().rpartition(" ")
    found = _CLOCK.fullmatch(last)
    if found is None:
        day = near_day(text, today)
        return None if day is None else (day, None)
    day = near_day(of_day, today) if of_day.strip() else today
    return None if day is None else (day, time(int(found[1]), int(found[2])))


def taken_for(text: str, today: date) -> str:
    """Return which day a typed one is taken for, with its day of the week, so that a mistaken one is seen; empty where
    no day can be read.

    >>> taken_for("3/6/2025", date(2026, 12, 1)), taken_for("2024", date(2026, 12, 1))
    ('Tuesday 3 June 2025', '')
    """
    found = day_and_time(text, today)
    if found is None:
        return ""
    day, at = found
    return f"{_WEEK[day.weekday()]} {day_words(day)}" + ("" if at is None else f", {at:%H:%M}")
