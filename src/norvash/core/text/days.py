"""Days as people type them: the year first, or the day before the month."""

from datetime import date, datetime, timedelta

from norvash.core.text.words import day_words

_FORMS = ("%Y-%m-%d", "%d/%m/%Y", "%d.%m.%Y", "%d %B %Y", "%d %b %Y")
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


def taken_for(text: str, today: date) -> str:
    """Return which day a typed one is taken for, with its day of the week, so that a mistaken one is seen; empty where
    no day can be read.

    >>> taken_for("3/6/2025", date(2026, 12, 1)), taken_for("2024", date(2026, 12, 1))
    ('Tuesday 3 June 2025', '')
    """
    day = near_day(text, today)
    return "" if day is None else f"{_WEEK[day.weekday()]} {day_words(day)}"
