"""The points of a run: what was read at each, and the one that the run is judged at."""

from dataclasses import dataclass

from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import POINT, RUN_A, RUN_RPM, RUN_V, SPARKS
from norvash.core.stages.prove.unstated import RUN_MIN, RUN_REST


@dataclass(frozen=True, slots=True, kw_only=True)
class Point:
    """One point of a run, None where nothing was read: volts [V], current [A], speed [r/min], sparks 0 to 4, how
    long it ran and how long it had rested before [min].
    """

    place: int
    volts: float | None
    amps: float | None
    rpm: float | None
    sparks: int | None
    minutes: float | None = None
    rest: float | None = None

    @property
    def measured(self) -> bool:
        """Tell whether anything was measured at it; sparks are seen."""
        return any(x is not None for x in (self.volts, self.amps, self.rpm))


def points_of(sheet: Sheet) -> tuple[Point, ...]:
    """Return the points of a run in their order."""
    made = []
    for place in sorted({p for f in POINT for p in f.places(sheet)}):
        volts, amps, rpm = (f.of(sheet, place) for f in (RUN_V, RUN_A, RUN_RPM))
        sparks = SPARKS.of(sheet, place)
        seen = int(sparks) if sparks else None
        ran, rest = RUN_MIN.of(sheet, place), RUN_REST.of(sheet, place)
        point = Point(place=place, volts=volts, amps=amps, rpm=rpm, sparks=seen, minutes=ran, rest=rest)
        made += [point] if point.measured or seen is not None else []
    return tuple(made)


def judged_at(points: tuple[Point, ...]) -> Point | None:
    """Return the point that a run is judged at: that with the most volts, of several the last."""
    return max((p for p in points if p.measured), key=lambda p: (p.volts or 0.0, p.place), default=None)
