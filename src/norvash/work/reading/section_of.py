"""What is stated of a motor that its section is drawn from, and which of it is to scale."""

from norvash.core.judging.drive.ends import bearing_at
from norvash.core.motor.figure_fields import (
    AIR_GAP_MM,
    BARS,
    BEARING_SPAN_MM,
    COMMUTATOR_D_MM,
    COMMUTATOR_NOW_MM,
    IT_TURNS,
    LIMIT_MM,
    NEW_MM,
    SHAFT_D_MM,
    THICKNESS_MM,
    TRACK_MM,
    WIDTH_MM,
)
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.sheet import Sheet
from norvash.core.state.findings import Findings
from norvash.drawing.cutaway.built import Seat, Stated
from norvash.errors import InputError

_FEET = ("industrial", "generator")
_LENT = {"appliance": 24, "tool": 28}
_BARS = 29


def stated_of(sheet: Sheet, found: Findings) -> tuple[Stated, tuple[str, ...]]:
    """Return what is stated of a motor, and what of its section is to scale, in words."""
    facts, figures = sheet.facts, sheet.facts.figures
    diameter = _stated_d(figures)
    other, drive = (_seat(sheet, place) for place in (2, 1))
    brush = (THICKNESS_MM.stated(figures), WIDTH_MM.stated(figures), NEW_MM.stated(figures))
    stated = Stated(
        motor_class=facts.motor_class,
        commutator_d=diameter,
        bars=int(BARS.stated(figures) or _LENT.get(facts.motor_class, _BARS)),
        track=TRACK_MM.stated(figures),
        shaft_d=SHAFT_D_MM.stated(figures),
        span=BEARING_SPAN_MM.stated(figures),
        gap=AIR_GAP_MM.stated(figures),
        other=other,
        drive=drive,
        brush=brush,
        limit=LIMIT_MM.stated(figures) if brush[2] is not None else None,
        lengths=_lengths(facts.positions, found),
        arms=len({p.arm for p in facts.positions}),
        magnets=facts.magnets,
        turns=_turns(facts),
        solenoid=facts.solenoid,
        feet=facts.motor_class in _FEET,
    )
    said = (
        (other is not None or drive is not None, "bearings"),
        (diameter is not None, "commutator"),
        (None not in brush, "brushes"),
        (stated.shaft_d is not None, "shaft"),
    )
    return stated, tuple(words for known, words in said if known)


def _stated_d(figures: Figures) -> float | None:
    """Return the diameter of the commutator now where anybody states it or a cut left it [mm]."""
    known = COMMUTATOR_NOW_MM.of(figures) or COMMUTATOR_D_MM.stated(figures)
    return track_d_mm(figures) if known else None


def _seat(sheet: Sheet, place: int) -> Seat | None:
    try:
        found = bearing_at(sheet, place)
    except InputError:
        return None
    return None if found is None else Seat(found.bore_mm, float(found.outside_mm), float(found.width_mm), known=True)


def _lengths(positions: tuple[PositionPlan, ...], found: Findings) -> tuple[float | None, float | None]:
    read = {b.number: b.last.length_mm for b in found.brushes if b.last is not None and b.last.bare_mm is None}
    above, below = across(positions)
    return read.get(above), read.get(below)


def across(positions: tuple[PositionPlan, ...]) -> tuple[int, int]:
    """Return the numbers of the brush above the axis and of the one that stands most nearly across from it."""
    if not positions:
        return 0, 0
    first = positions[0]
    other = max(positions, key=lambda p: (min((p.angle_deg - first.angle_deg) % 360, 180.0), -p.number))
    return first.number, other.number


def _turns(facts: Facts) -> str:
    said = IT_TURNS.of(facts.figures) or ""
    return said if said in ("belt", "gears", "fan", "chain") else ""
