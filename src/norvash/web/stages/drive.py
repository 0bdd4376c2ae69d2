"""What bearings, shaft and drive show: sections of the bearings, how one is pressed, the figures that are missing."""

from dataclasses import dataclass

from norvash.core.judging.drive.ends import bearing_at
from norvash.core.judging.drive.values import told_first
from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM, END_FLOAT_LOW_MM
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.drive.shaft import END_FLOAT
from norvash.drawing.shaft.bearing_section import bearing_section
from norvash.drawing.svg import Drawing
from norvash.errors import InputError
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.axis import AxisShown, axis_shown


@dataclass(frozen=True, slots=True)
class Drive:
    """What is to be minded, the sections of the bearings, and the figures that are asked for first."""

    notes: tuple[str, ...]
    drawn: list[Drawing]
    asks: tuple[str, ...]
    axis: AxisShown


def view(at: At) -> Drive:
    """Return the bearings of a sheet by their numbers."""
    sheet = at.shown.sheet
    sections = [d for place in range(1, len(BEARINGS) + 1) for d in _section(sheet, place)]
    unknown = END_FLOAT.of(sheet) is not None and END_FLOAT_HIGH_MM.stated(sheet.facts.figures) is None
    asks = (END_FLOAT_LOW_MM.name, END_FLOAT_HIGH_MM.name) if unknown else ()
    return Drive(told_first(sheet, at.shown.context.rules), sections, asks, axis_shown(at))


def _section(sheet: Sheet, place: int) -> list[Drawing]:
    try:
        found = bearing_at(sheet, place)
    except InputError:
        return []
    return [bearing_section(found.bore_mm, found.outside_mm, found.width_mm, found.seal, 240)] if found else []
