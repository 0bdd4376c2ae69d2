"""What two wear lines that were seen one after the other tell of a brush: how fast it wears, and how long it is now."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.brush.straight_line import Point
from norvash.core.brush.wear_measures import line_rate_mm_per_kh
from norvash.core.motor.figure_fields import WEAR_LINES
from norvash.core.motor.figures import Figures
from norvash.core.state.round import Round


@dataclass(frozen=True, slots=True, kw_only=True)
class Sightings:
    """The last two wear lines that a brush has shown, when each was first seen [units of use], and the rate between
    them [mm per 1000 units]; lines count from 1.
    """

    line: int
    before_units: float
    units: float
    rate_mm_per_kh: float

    def track(self, at_units: float, sd_mm: float, figures: Figures) -> tuple[Point, Point]:
        """Return the brush as it showed the earlier line, and as it is at a use: never under the line that it does not
        show yet.

        Units: [mm]. Source: straight line between two sightings
        """
        marks = [line.need(figures) for line in WEAR_LINES]
        worn = marks[self.line - 1] - self.rate_mm_per_kh * (at_units - self.units) / 1000
        length = max(worn, marks[self.line]) if self.line < len(marks) else worn
        return Point(marks[self.line - 2], self.before_units, sd_mm), Point(length, at_units, sd_mm)


def sightings(rounds: Sequence[Round], position: int, figures: Figures) -> Sightings | None:
    """Return the last two wear lines that were first seen on a brush one after the other, None without two.

    Source: straight line between two sightings
    """
    first: dict[int, float] = {}
    for a_round in rounds:
        line = a_round.readings[position].lines if position in a_round.readings else None
        if line:
            first.setdefault(line, a_round.total_units)
    seen = sorted(first)[-2:]
    if len(seen) < 2 or seen[1] - seen[0] != 1 or first[seen[1]] <= first[seen[0]]:
        return None
    spacing = spacing_mm(figures, seen[0])
    rate = line_rate_mm_per_kh(spacing, first[seen[0]], first[seen[1]])
    return Sightings(line=seen[1], before_units=first[seen[0]], units=first[seen[1]], rate_mm_per_kh=rate)


def spacing_mm(figures: Figures, line: int) -> float:
    """Return the length between a wear line and the next one [mm]; lines count from 1."""
    return WEAR_LINES[line - 1].need(figures) - WEAR_LINES[line].need(figures)
