"""What bearings, shaft and drive say of themselves: numbers, fits, clearances, end float and vibration."""

from dataclasses import dataclass

from norvash.core.bearings.designation import Bearing, decode
from norvash.core.bearings.fitting import FitLine, shim_mm, squeeze
from norvash.core.edges import within
from norvash.core.motor.figure_fields import BEARING_AT, END_FLOAT_HIGH_MM, END_FLOAT_LOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.judging.drive.findings import bush_lines, kit_lines, shaken_now
from norvash.core.sheet.judging.drive.pinion import pinion_said
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.bearings import BEARING_NUMBER
from norvash.core.sheet.stages.drive.shaft import END_FLOAT, RING_GROOVE, RING_SECTION, VIBRATION
from norvash.errors import InputError


def drive_says(sheet: Sheet, rules: MotorRules) -> list[Said]:
    """Return what was worked out of bearings, fits, end float and vibration of a sheet."""
    says: list[Said] = []
    for place, end in enumerate(BEARINGS, start=1):
        says += _numbered(sheet, place, end, rules)
        says += [
            Said(
                f"{end}: {x.words.lower()} {x.clearance_mm:+.3f} mm, {x.low_mm:g} to {x.high_mm:g} allowed: {x.says}",
                x.fits,
                x.rules,
            )
            for x in fits_of(sheet, place, rules)
        ]
    pinion = pinion_said(sheet)
    return [*says, *_end_float(sheet), *_shaft(sheet, rules), *([pinion] if pinion else []), _pressing(rules)]


def bearing_at(sheet: Sheet, place: int) -> Bearing | None:
    """Return the bearing of one end by the number on its ring, or by the motor's figures; None where neither is known.

    Raises: InputError for a number that cannot be read.
    """
    own = BEARING_AT[place - 1].of(sheet.facts.figures)
    number = BEARING_NUMBER.of(sheet, place) or own
    return decode(number) if number else None


def fits_of(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return the fits and clearances of one end, of what was measured."""
    return [*kit_lines(sheet, place, rules), *bush_lines(sheet, place, rules)]


def _numbered(sheet: Sheet, place: int, end: str, rules: MotorRules) -> list[Said]:
    try:
        found = bearing_at(sheet, place)
    except InputError as error:
        return [Said(f"{end}: {error.problem} {error.remedy}", False)]
    if found is None:
        return []
    words = (
        f"{end}: {found.designation}, {found.bore_mm:g} × {found.outside_mm:g} × {found.width_mm:g} mm,"
        f" {found.seal}, clearance {found.clearance}; {_takes(found, rules)}"
    )
    return [Said(words, None, ("bearing.grease",))]


def _takes(found: Bearing, rules: MotorRules) -> str:
    """Return how much grease a bearing takes, and why none."""
    if found.greased:
        return f"{rules['bearing.grease'] * found.outside_mm * found.width_mm:.2g} g of grease"
    return "perhaps sealed: no grease, look" if found.perhaps else "sealed, never greased"


@dataclass(frozen=True, slots=True)
class EndFloat:
    """The end float as measured and as it is allowed, and the shim that it asks for, negative to take out [mm]."""

    play_mm: float
    low_mm: float
    high_mm: float
    shim_mm: float


def end_float_of(sheet: Sheet) -> EndFloat | None:
    """Return the end float against what is allowed, None where it was not measured or nobody knows what is."""
    play, figures = END_FLOAT.of(sheet), sheet.facts.figures
    low, high = END_FLOAT_LOW_MM.stated(figures) or 0.0, END_FLOAT_HIGH_MM.stated(figures)
    return None if play is None or high is None else EndFloat(play, low, high, shim_mm(play, low, high))


def _end_float(sheet: Sheet) -> list[Said]:
    play, found = END_FLOAT.of(sheet), end_float_of(sheet)
    if play is None:
        return []
    if found is None:
        return [Said(f"end float {play:.2f} mm: what is allowed is not known yet")]
    asks = (
        f"{'put in' if found.shim_mm > 0 else 'take out'} {abs(found.shim_mm):.2f} mm of shim; Sums tell which of those"
        " in the box"
        if found.shim_mm
        else "leave the shims as they are"
    )
    words = f"end float {play:.2f} mm, {found.low_mm:g} to {found.high_mm:g} mm allowed: {asks}"
    return [Said(words, found.shim_mm == 0)]


def _shaft(sheet: Sheet, rules: MotorRules) -> list[Said]:
    """Return vibration and the squeeze of an O-ring, as far as they were measured."""
    made = list[Said]()
    shake, section, groove = (f.of(sheet) for f in (VIBRATION, RING_SECTION, RING_GROOVE))
    shaken = shaken_now(sheet, rules)
    if shaken is not None:
        made.append(Said(f"vibration {shake:g} mm/s, {shaken.words}", shaken.grade == "fit", shaken.rules))
    elif shake is not None:
        made.append(
            Said(
                f"vibration {shake:g} mm/s: no line holds here, neither for a tool in the hand nor over"
                f" {rules['vibration.large']:g} kW; look it up",
                None,
                ("vibration.large",),
            )
        )
    if section and groove is not None:
        share = squeeze(section, groove)
        inside = within(rules["ring.squeeze-low"], share, rules["ring.squeeze-high"])
        made.append(Said(f"O-ring squeezed by {share:.0%}", inside, ("ring.squeeze-low", "ring.squeeze-high")))
    return made


def _pressing(rules: MotorRules) -> Said:
    return Said(
        "Press only on the ring with the tight fit, squarely, with a sleeve; warm an open one to"
        f" {rules['bearing.heat']:g} °C at most, one with seals or shields to {rules['bearing.heat-closed']:g} °C"
        " or fit it cold; one pulled off through its balls is scrap. No grease, oil or silicone near brushes and"
        " commutator.",
        None,
        ("bearing.heat", "bearing.heat-closed"),
    )
