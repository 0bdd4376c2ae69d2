"""What bearings, shaft and drive show: what they say, sections of the bearings, and fits on their bands."""

from dataclasses import dataclass

from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM, END_FLOAT_LOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.judging.drive.says import bearing_at, drive_says, end_float_of, fits_of
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.shaft import END_FLOAT
from norvash.drawing.band_scale import Banded, band_scale
from norvash.drawing.bearing_section import bearing_section
from norvash.drawing.svg import Drawing
from norvash.errors import InputError
from norvash.web.stages.at import DRAWN, At
from norvash.web.stages.axis import AxisShown, axis_shown


@dataclass(frozen=True, slots=True)
class Drive:
    """What bearings, shaft and drive say, their drawings, and the figures that are asked for first."""

    says: list[Said]
    drawn: list[Drawing]
    asks: tuple[str, ...]
    axis: AxisShown


def view(at: At) -> Drive:
    """Return the bearings by number, fits and clearances of a sheet."""
    sheet, rules = at.shown.sheet, at.shown.context.rules
    sections = [d for place in range(1, len(BEARINGS) + 1) for d in _section(sheet, place)]
    rows = _bands(sheet, rules)
    scale = [band_scale("Play and clearances, negative where it is tight", rows, DRAWN)] if rows else []
    unknown = END_FLOAT.of(sheet) is not None and end_float_of(sheet) is None
    asks = (END_FLOAT_LOW_MM.name, END_FLOAT_HIGH_MM.name) if unknown else ()
    return Drive(drive_says(sheet, rules), [*sections, *scale], asks, axis_shown(at))


def _section(sheet: Sheet, place: int) -> list[Drawing]:
    try:
        found = bearing_at(sheet, place)
    except InputError:
        return []
    return [bearing_section(found.bore_mm, found.outside_mm, found.width_mm, found.seal, 240)] if found else []


def _bands(sheet: Sheet, rules: MotorRules) -> list[Banded]:
    rows = [
        Banded(words=f"{end}: {x.words.lower()}", unit="mm", value=x.clearance_mm, low=x.low_mm, high=x.high_mm)
        for place, end in enumerate(BEARINGS, start=1)
        for x in fits_of(sheet, place, rules)
    ]
    play = end_float_of(sheet)
    if play is not None:
        rows.append(Banded(words="End float", unit="mm", value=play.play_mm, low=play.low_mm, high=play.high_mm))
    return rows
