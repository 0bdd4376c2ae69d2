"""What is known of one motor at one moment: the input of every verdict."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime

from norvash.core.brush.straight_line import Point
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM, NEW_TOLERANCE_MM, THICKNESS_MM, UNIT_OF_USE, WIDTH_MM
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.planning.policy import Policy
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.use.counting import Rate
from norvash.core.use.log_entry import Entry
from norvash.core.verdict.grades import Grade


@dataclass(frozen=True, slots=True, kw_only=True)
class Measured:
    """One position's reading in a round, as a length with its uncertainty [mm], any open doubt, and its id."""

    length_mm: float
    sd_mm: float
    low_mm: float
    high_mm: float
    lines: int | None = None
    doubt: str = ""
    doubt_rule: str = ""
    id: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Round:
    """One measured round of a set; total_units is the use when it was measured, `seen` are findings by position."""

    id: str
    at: datetime
    total_units: float
    kind: str
    finished: bool
    readings: dict[int, Measured]
    seen: tuple[Noted, ...] = ()


@dataclass(frozen=True, slots=True)
class Renewal:
    """One brush that was renewed while the others stayed: use then, and its length if it was measured [mm]."""

    position: int
    total_units: float
    length_mm: float | None
    sd_mm: float | None


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushSet:
    """A set of brushes with its rounds in order; ended_units is None while it runs.

    Of a brush that was renewed its rounds only hold readings since.
    """

    number: int
    fitted_at: datetime
    fitted_units: float
    fitted_known: bool
    ended_at: datetime | None
    ended_units: float | None
    end_reason: str
    rounds: tuple[Round, ...]
    id: str = ""
    renewed: tuple[Renewal, ...] = ()

    def renewal_of(self, position: int) -> Renewal | None:
        """Return the last renewal of one brush while the others stayed, None where there was none."""
        return next((r for r in reversed(self.renewed) if r.position == position), None)

    def complete(self, positions: Sequence[PositionPlan]) -> list[Round]:
        """Return the rounds in which every brush was measured that is older than the round.

        One renewed since counts as seen.
        """
        since = {r.position: r.total_units for r in self.renewed}
        return [
            r
            for r in self.rounds
            if r.readings
            and all(p.number in r.readings or since.get(p.number, -1.0) > r.total_units for p in positions)
        ]


@dataclass(frozen=True, slots=True)
class Overrule:
    """What a person decided over a component's verdict, or over the motor's, and why."""

    component: str
    grade: Grade
    person: str
    why: str
    day: date


@dataclass(frozen=True, slots=True)
class BrushSize:
    """The size of a brush when new: length, along the rotation, along the shaft [mm]."""

    new_mm: float
    thickness_mm: float
    width_mm: float


@dataclass(frozen=True, slots=True, kw_only=True)
class MotorState:
    """Everything that a verdict on one motor rests on; sets in the order in which they were fitted.

    `noted` are findings by position, 0 for the whole motor, from the open sheet and from what was put off;
    `asked_on` is a look that was asked for on the last sheet.
    """

    figures: Figures
    positions: tuple[PositionPlan, ...]
    sets: tuple[BrushSet, ...]
    entries: tuple[Entry, ...]
    rate: Rate | None
    ahead: Ahead | None = None
    policies: tuple[Policy, ...] = ()
    noted: tuple[Noted, ...] = ()
    overrules: tuple[Overrule, ...] = ()
    asked_on: date | None = None

    @property
    def unit(self) -> str:
        """Return the unit of use: hours or starts."""
        return UNIT_OF_USE.of(self.figures)

    @property
    def length_unit(self) -> str:
        """Return the unit in which a bare length of this motor is meant."""
        return LENGTH_UNIT.of(self.figures)

    @property
    def brush(self) -> BrushSize:
        """Return the size of its brushes."""
        figures = self.figures
        return BrushSize(NEW_MM.need(figures), THICKNESS_MM.need(figures), WIDTH_MM.need(figures))

    @property
    def current(self) -> BrushSet:
        """Return the set that is fitted now."""
        return self.sets[-1]

    def ran_by(self, today: date) -> float:
        """Return the total use logged up to a day, 0 without a log."""
        return next((e.total_units for e in reversed(self.entries) if e.at.date() <= today), 0.0)

    @property
    def offset_units(self) -> float:
        """Return what the counter shows more than the total use, now."""
        return self.entries[-1].counter_units - self.entries[-1].total_units if self.entries else 0.0


def start_of(state: MotorState, brush_set: BrushSet, position: int, rules: MotorRules) -> Point:
    """Return where a brush's clock starts: after bedding-in, as measured at fitting, else at its nominal length.

    Of a set that was in the motor before the record began, the clock starts at the first reading.
    """
    renewal = brush_set.renewal_of(position)
    if renewal is not None:
        tolerance = NEW_TOLERANCE_MM.of(state.figures) or rules["new.tolerance"]
        return Point(
            renewal.length_mm or NEW_MM.need(state.figures), renewal.total_units, renewal.sd_mm or tolerance / 2
        )
    kinds = ("bedded", "fitting") if brush_set.fitted_known else ("bedded", "fitting", "check")
    for kind in kinds:
        for a_round in brush_set.rounds:
            found = a_round.readings.get(position)
            if a_round.kind == kind and found is not None:
                return Point(found.length_mm, a_round.total_units, found.sd_mm)
    figures = state.figures
    tolerance = NEW_TOLERANCE_MM.of(figures) or rules["new.tolerance"]
    return Point(NEW_MM.need(figures), brush_set.fitted_units, tolerance / 2)
