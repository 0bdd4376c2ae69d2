"""One figure under the line."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from datetime import date


@dataclass(frozen=True, slots=True)
class LineFigure:
    """One figure of the line: its value with its unit, what it is of, and what stands beside it, which may be empty.

    One that is only said before a day has that day in `until`, as 2027-03-04; one that is only said from a day on in
    `since`: it says by how many days that is past.
    """

    value: str
    words: str
    beside: str = ""
    until: str = ""
    since: str = ""

    def as_plain(self) -> dict[str, str]:
        """Return it as JSON has it."""
        return {n: str(getattr(self, n)) for n in self.__dataclass_fields__}


def figures_on(kept: Iterable[Mapping[str, str]], today: date) -> tuple[LineFigure, ...]:
    """Return the figures that were kept as JSON has them, as far as they are said on a day."""
    return said_on([LineFigure(**k) for k in kept], today)


def said_on(figures: Iterable[LineFigure], today: date) -> tuple[LineFigure, ...]:
    """Return the figures that are said on a day, with the days by which they are past."""
    day = today.isoformat()
    on = (f for f in figures if (not f.until or day < f.until) and f.since <= day)
    return tuple(replace(f, value=f"{_days(f.since, today)} {f.value}", since="") if f.since else f for f in on)


def _days(since: str, today: date) -> str:
    days = (today - date.fromisoformat(since)).days + 1
    return f"{days} day{'s' * (days != 1)}"
