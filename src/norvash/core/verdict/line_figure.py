"""One figure under the line."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date


@dataclass(frozen=True, slots=True)
class LineFigure:
    """One figure of the line: its value with its unit, what it is of, and what stands beside it, which may be empty.

    One that is only said before a day has that day in `until`, as 2027-03-04.
    """

    value: str
    words: str
    beside: str = ""
    until: str = ""

    def as_plain(self) -> dict[str, str]:
        """Return it as JSON has it."""
        return {"value": self.value, "words": self.words, "beside": self.beside, "until": self.until}


def figures_on(kept: Iterable[Mapping[str, str]], today: date) -> tuple[LineFigure, ...]:
    """Return the figures that were kept as JSON has them, as far as they are still said on a day."""
    return tuple(f for f in (LineFigure(**k) for k in kept) if not f.until or today.isoformat() < f.until)
