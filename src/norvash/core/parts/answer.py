"""What is said of a part that is offered: one answer, its reasons, and what is not known."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

Answer = Literal["drop-in", "fits by what is known", "after transfer", "after dressing", "do not use"]
# From the mildest on; what must be transferred and dressed is said as dressed, with both reasons.
ANSWERS: tuple[Answer, ...] = ("drop-in", "fits by what is known", "after transfer", "after dressing", "do not use")
REFUSED: Answer = "do not use"


@dataclass(frozen=True, slots=True, kw_only=True)
class Point:
    """One thing that was compared: what it is `about`, its words, the answer that it alone gives, and its rules; what
    differs of voltage or variant stops a motor that runs with it. One that is `unknown` says what would have to be
    known.
    """

    words: str
    about: str = ""
    answer: Answer = "drop-in"
    stops: bool = False
    unknown: bool = False
    rules: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Answered:
    """The answer on a part as a whole, with every point that was compared."""

    answer: Answer
    points: tuple[Point, ...]

    @property
    def refused(self) -> bool:
        """Tell whether it must not be used."""
        return self.answer == REFUSED

    @property
    def refused_about(self) -> frozenset[str]:
        """Return what it is refused for."""
        return frozenset(p.about for p in self.points if p.answer == REFUSED and p.about)

    @property
    def unknown_about(self) -> frozenset[str]:
        """Return what of it is not known."""
        return frozenset(p.about for p in self.points if p.unknown and p.about)

    @property
    def stops(self) -> bool:
        """Tell whether the motor must not run with it."""
        return any(p.stops and p.answer == REFUSED for p in self.points)

    @property
    def reasons(self) -> tuple[str, ...]:
        """Return what was compared in words, what decides first."""
        known = [p for p in self.points if not p.unknown]
        return tuple(p.words for p in sorted(known, key=lambda p: -ANSWERS.index(p.answer)))

    @property
    def unknown(self) -> tuple[str, ...]:
        """Return what is not known."""
        return tuple(p.words for p in self.points if p.unknown)

    @property
    def rules(self) -> tuple[str, ...]:
        """Return the rules that decided."""
        return tuple(dict.fromkeys(r for p in self.points for r in p.rules))


def answered(points: Iterable[Point]) -> Answered:
    """Return the gravest of what the points say: one that fits, but of which something is not known, says so."""
    every = tuple(points)
    worst: Answer = max((p.answer for p in every), key=ANSWERS.index, default="fits by what is known")
    if worst == "drop-in" and any(p.unknown for p in every):
        worst = "fits by what is known"
    return Answered(answer=worst, points=every)
