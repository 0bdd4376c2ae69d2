"""Past forecasts against what came: when a set really reached its limit, and whether the bands held."""

import itertools
from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

from norvash.core.brush.limits import Limit
from norvash.core.edges import over, under, within
from norvash.core.state.motor_state import BrushSet

_NEAR = 0.15
_MOST_VISITS = 5


@dataclass(frozen=True, slots=True, kw_only=True)
class Outcome:
    """One forecast, as it stood after so many rounds, and the use at which the limit was reached; use from fitting."""

    tag: str
    set_number: int
    visits: int
    made_units: float
    p05_units: float
    p10_units: float
    p50_units: float
    p90_units: float
    p95_units: float
    look_units: float
    reached_units: float

    @property
    def held(self) -> bool:
        """Tell whether the band of eight in ten held."""
        return within(self.p10_units, self.reached_units, self.p90_units)

    @property
    def held_wide(self) -> bool:
        """Tell whether the band of nine in ten held."""
        return within(self.p05_units, self.reached_units, self.p95_units)

    @property
    def late(self) -> bool:
        """Tell whether the look would have come after the limit."""
        return over(self.look_units, self.reached_units)


def reached(brush_set: BrushSet, limit: Limit, new_mm: float) -> float | None:
    """Return the total use at which a set's first brush reached its limit, None where that cannot be told.

    Between two rounds by proportion; a set that came out with less than 15 % of its carbon left is followed on at its
    own last rate.
    """
    points = [(r.total_units, min(m.length_mm for m in r.readings.values())) for r in brush_set.rounds if r.readings]
    if brush_set.fitted_known and (not points or over(points[0][0], brush_set.fitted_units)):
        points.insert(0, (brush_set.fitted_units, new_mm))
    for (u1, mm1), (u2, mm2) in itertools.pairwise(points):
        if not over(mm2, limit.limit_mm) and under(limit.limit_mm, mm1):
            return u1 + (mm1 - limit.limit_mm) / (mm1 - mm2) * (u2 - u1)
    if len(points) < 2 or brush_set.ended_units is None:
        return None
    (u0, mm0), (u2, mm2) = points[max(len(points) - 3, 0)], points[-1]
    near = not over(mm2 - limit.limit_mm, _NEAR * (new_mm - limit.limit_mm))
    if not near or u2 <= u0 or mm2 >= mm0:
        return None
    return u2 + (mm2 - limit.limit_mm) / (mm0 - mm2) * (u2 - u0)


@dataclass(frozen=True, slots=True)
class Score:
    """How many bands held after so many rounds; the spread is what chance alone would do with so few."""

    visits: int
    count: int
    held: float
    held_wide: float
    late: float

    @property
    def spread(self) -> float:
        """Return one standard deviation of the share of bands of eight in ten that hold by chance."""
        return sqrt(0.8 * 0.2 / self.count)


def scores(outcomes: Sequence[Outcome]) -> tuple[Score, ...]:
    """Return the scores by number of rounds, the last for five and more."""
    made = []
    for visits in range(1, _MOST_VISITS + 1):
        some = [o for o in outcomes if o.visits == visits or (visits == _MOST_VISITS and o.visits > visits)]
        if some:
            n = len(some)
            made.append(
                Score(
                    visits,
                    n,
                    sum(o.held for o in some) / n,
                    sum(o.held_wide for o in some) / n,
                    sum(o.late for o in some) / n,
                )
            )
    return tuple(made)
