"""The bar of time: as thick on each day as the chance that the limit is not passed by then, lying or upright."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import date
from itertools import pairwise

from norvash.core.state.findings import Findings
from norvash.drawing.days.when_course import Course, thickness
from norvash.drawing.svg import Element, el

# From a place along the bar and a share of its thickness to the point there.
Point = Callable[[float, float], str]


@dataclass(frozen=True, slots=True)
class Bar:
    """A bar over a course of days: its quantiles as days with their chance, and where its points lie."""

    course: Course
    points: tuple[tuple[date, float], ...]
    today: date
    point: Point

    def share(self, day: date) -> float:
        """Return the chance that the limit is not passed on a day, 1 well before the first quantile."""
        known = [(min(self.today, self.points[0][0]), 1.0), *self.points]
        for (before, high), (after, low) in pairwise(known):
            if day <= after:
                return high + (low - high) * max((day - before).days, 0) / max((after - before).days, 1)
        return known[-1][1]

    def between(self, ink: str, first: date, last: date, *, hatched: bool = False) -> list[Element]:
        """Return the bar from one day to another, nothing where that is no stretch."""
        days = [first, *(d for d, _ in self.points if first < d < last), last]
        return self._filled(ink, [(d, self.share(d)) for d in days], hatched=hatched)

    def full(self, ink: str, first: date, last: date, *, hatched: bool = False) -> list[Element]:
        """Return a stretch of the bar at its whole thickness."""
        return self._filled(ink, [(first, 1.0), (last, 1.0)], hatched=hatched)

    def _filled(self, ink: str, edge: Sequence[tuple[date, float]], *, hatched: bool) -> list[Element]:
        if edge[-1][0] <= edge[0][0]:
            return []
        places = [(self.course.at(day), share) for day, share in edge]
        ends = ((places[0][0], 0.0), *places, (places[-1][0], 0.0))
        path = "M" + "L".join(self.point(x, share) for x, share in ends) + "Z"
        made = [el("path", ink, d=path)]
        return [*made, el("path", fill="url(#hatching)", d=path)] if hatched else made


def bar_of(found: Findings, course: Course, today: date, point: Point) -> list[Element]:
    """Return the bar: outlined where it is behind, marked where its plan is past, solid to the early bound of the
    limit, hatched through its band, a tail after that; nothing without a day of the limit.
    """
    points = thickness(found.ahead) if found.ahead is not None and found.when.limit is not None else ()
    if not points:
        return []
    bar, plan = Bar(course, points, today, point), found.when.plan
    early, late, last = points[1][0], points[5][0], points[6][0]
    made = bar.full("gone", course.first, today)
    if plan is not None and plan.on is not None:
        made += bar.full("late", max(plan.on, course.first), today, hatched=True)
    made += bar.between("carbon", today, early)
    made += bar.between("carbon", max(early, today), late, hatched=True)
    return [*made, *bar.between("carbon-old", max(late, today), last)]
