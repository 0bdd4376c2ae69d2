"""A day to come, as it is typed."""

from datetime import date, datetime

from norvash.errors import InputError

_DAYS = ("%Y-%m-%d", "%d/%m/%Y", "%d.%m.%Y", "%d %B %Y")


def read_day(text: str, today: date, field: str) -> date:
    """Return a day from today on.

    Raises: InputError for a day that cannot be read, or that has passed.
    """
    for form in _DAYS:
        try:
            day = datetime.strptime(text, form).date()
        except ValueError:
            continue
        if day < today:
            raise InputError(f"{text} has passed.", "Give a day from today on.", field)
        return day
    raise InputError(f"“{text[:40]}” is not a day.", f"Write it like {today:%Y-%m-%d} or {today:%d/%m/%Y}.", field)
