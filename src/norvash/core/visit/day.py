"""A day to come, as it is typed."""

from datetime import date

from norvash.core.text.days import day_of
from norvash.errors import InputError


def read_day(text: str, today: date, field: str) -> date:
    """Return a day from today on.

    Raises: InputError for a day that cannot be read, or that has passed.
    """
    day = day_of(text)
    if day is not None and day < today:
        raise InputError(f"{text} has passed.", "Give a day from today on.", field)
    if day is not None:
        return day
    raise InputError(f"“{text[:40]}” is not a day.", f"Write it like {today:%Y-%m-%d} or {today:%d/%m/%Y}.", field)
