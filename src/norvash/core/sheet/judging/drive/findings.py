"""Findings that follow from what was picked and measured on bearings, shaft, seals, drive and solenoid."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.bearings.designation import CLEARANCES, decode
from norvash.core.bearings.fitting import FitLine, housing_line, shaft_line, shim_mm, squeeze, worn_bush_lines
from norvash.core.bearings.lasting import renew_anyway
from norvash.core.bearings.vibration import Shaken, Stands, judge_vibration
from norvash.core.edges import over, under, within
from norvash.core.motor.figure_fields import (
    AIR_GAP_MM,
    BEARING_AT,
    END_FLOAT_HIGH_MM,
    END_FLOAT_LOW_MM,
    LOCATED_END,
    MOUNTING,
    PINION_GAP_LOW_MM,
    RATED_W,
)
from norvash.core.parts.compare import compare_numbers
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.judging.drive.pinion import pinion_said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.before.fields import CRANKING_A
from norvash.core.sheet.stages.drive.bearings import (
    BEARING_AGED,
    BEARING_HOURS,
    BEARING_LIFE,
    BEARING_NUMBER,
    BEARING_OPEN,
    BEARING_TIGHT,
    BEARING_WRONG,
    BEARING_YEARS,
    BUSH_BORE,
    BUSH_WORN,
    JOURNAL,
    KIT_BORE,
    KIT_HOUSING,
    KIT_MISMATCH,
    KIT_OUTSIDE,
    KIT_SHAFT,
)
from norvash.core.sheet.stages.drive.seen import GEAR_DRY
from norvash.core.sheet.stages.drive.shaft import (
    END_FLOAT,
    FLOAT_OUT,
    PINION_GAP,
    PINION_OFF,
    PINION_UNDER,
    RING_GROOVE,
    RING_SECTION,
    RING_SQUEEZE,
    SOLENOID_BAD,
    SOLENOID_V,
    VIBRATION,
    VIBRATION_HIGH,
    VIBRATION_WATCH,
)
from norvash.core.sheet.stages.prove.run_fields import POINT
from norvash.core.supply.cables import solenoid_allowed_v
from norvash.errors import InputError


def findings(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what was measured on bearings, shaft, seals and solenoid."""
    for place in range(1, len(BEARINGS) + 1):
        yield from ((place, f) for f in _measured_bearing(sheet, place, rules))
    yield from ((0, f) for f in _shaft(sheet, rules))


def _measured_bearing(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Finding]:
    why = renew_anyway(
        BEARING_HOURS.of(sheet, place), BEARING_LIFE.of(sheet, place), BEARING_YEARS.of(sheet, place), rules
    )
    if why:
        yield BEARING_AGED.saying(why)
    yield from _numbered(sheet, place)
    for line in bush_lines(sheet, place, rules):
        if not line.fits:
            yield BUSH_WORN.saying(f"{line.words.lower()}, {line.clearance_mm:.3f} mm, {line.says}")
    for line in kit_lines(sheet, place, rules):
        if not line.fits:
            yield KIT_MISMATCH.saying(f"{line.words.lower()}, {line.clearance_mm:+.3f} mm, {line.says}")


def _numbered(sheet: Sheet, place: int) -> Iterator[Finding]:
    """Yield what the number of the bearing that is in there says against the one that came off, else the motor's own;
    of one that came with the motor only its clearance.
    """
    given, came = BEARING_NUMBER.given(sheet, place), sheet.given(BEARING_NUMBER.id, place, "found")
    own, left = BEARING_AT[place - 1].of(sheet.facts.figures), given is not None and given.sight == "left"
    before = [came.word] if came is not None and left else []
    try:
        new = decode(given.word) if given is not None else None
        olds = [decode(number) for number in (*before, own) if number]
    except InputError:
        return
    if new is None or not olds:
        return
    if left and olds[0].size != new.size:
        yield BEARING_WRONG.saying(next(compare_numbers(new, olds[0])).words)
        return
    points = [p for old in olds if old.size == new.size for p in compare_numbers(new, old)]
    tight = next((p.words for p in points if p.about == "clearance" and p.answer == "do not use"), "")
    if tight:
        yield BEARING_TIGHT.saying(tight)
    sealed = next((p.words for p in points if p.about == "seal"), "") if left else ""
    if sealed:
        yield BEARING_OPEN.saying(sealed)


def bush_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return how the plain bush of one end stands to its limit of wear and to the air gap, nothing while a side is not
    measured.
    """
    journal, bush = JOURNAL.of(sheet, place), BUSH_BORE.of(sheet, place)
    if journal is None or bush is None:
        return []
    return worn_bush_lines(journal, bush, AIR_GAP_MM.stated(sheet.facts.figures), rules)


def kit_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return how the new bearing of one end fits shaft and housing, of the pairs that are measured and in the table."""
    shaft, bore, housing, outside = (f.of(sheet, place) for f in (KIT_SHAFT, KIT_BORE, KIT_HOUSING, KIT_OUTSIDE))
    held = LOCATED_END.of(sheet.facts.figures)
    made = []
    try:
        if shaft is not None and bore is not None:
            made.append(shaft_line(shaft, bore, rules, c3=_has_c3(sheet, place)))
        if housing is not None and outside is not None:
            located = held == BEARINGS[place - 1] if held else None
            made.append(housing_line(housing, outside, rules, located=located))
    except InputError:
        return made
    return made


def _has_c3(sheet: Sheet, place: int) -> bool:
    """Tell whether the bearing of one end is marked with more clearance than normal."""
    own = BEARING_AT[place - 1].of(sheet.facts.figures)
    try:
        return decode(BEARING_NUMBER.of(sheet, place) or own).clearance == CLEARANCES["C3"]
    except InputError:
        return False


def _shaft(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    figures, play, shake = sheet.facts.figures, END_FLOAT.of(sheet), VIBRATION.of(sheet)
    low, high = END_FLOAT_LOW_MM.stated(figures) or 0.0, END_FLOAT_HIGH_MM.stated(figures)
    if play is not None and high is not None and shim_mm(play, low, high):
        shim = shim_mm(play, low, high)
        said = FLOAT_OUT.saying(
            f"end float {play:.2f} mm, {low:g} to {high:g} mm allowed: {'add' if shim > 0 else 'take out'}"
            f" {abs(shim):.2f} mm of shim"
        )
        yield replace(said, stops_carried=over(play, 2 * high))
    if GEAR_DRY.seen(sheet) and _run_since(sheet, GEAR_DRY):
        yield replace(GEAR_DRY.saying(f"{GEAR_DRY.words}, and run so"), grade="change")
    shaken = shaken_now(sheet, rules)
    if shaken is not None and shaken.grade != "fit":
        words = f"vibration {shake:g} mm/s, {shaken.words}"
        finding = (VIBRATION_WATCH if shaken.grade == "watch" else VIBRATION_HIGH).saying(words)
        yield replace(finding, grade=shaken.grade)
    section, groove = RING_SECTION.of(sheet), RING_GROOVE.of(sheet)
    if (
        section is not None
        and groove is not None
        and not within(rules["ring.squeeze-low"], squeeze(section, groove), rules["ring.squeeze-high"])
    ):
        yield RING_SQUEEZE.saying(f"O-ring squeezed by {squeeze(section, groove):.0%}")
    pinion = pinion_said(sheet)
    if pinion is not None and pinion.right is False:
        under_least = under(PINION_GAP.of(sheet) or 0.0, PINION_GAP_LOW_MM.stated(figures) or 0.0)
        yield (PINION_UNDER if under_least or not PINION_GAP.of(sheet) else PINION_OFF).saying(pinion.words)
    drop = SOLENOID_V.of(sheet)
    if drop is not None:
        most, _ = solenoid_allowed_v(CRANKING_A.of(sheet), rules)
        if over(drop, most):
            yield SOLENOID_BAD.saying(f"solenoid contact drops {drop:g} V, {most:g} V allowed")


def _run_since(sheet: Sheet, finding: Finding) -> bool:
    """Tell whether it was run after something was seen on it."""
    seen = sheet.entries.get((finding.look, 0))
    ran = (g.at for f in POINT for p in f.places(sheet) if (g := f.given(sheet, p)) is not None)
    return seen is not None and max(ran, default=seen.at) > seen.at


def shaken_now(sheet: Sheet, rules: MotorRules) -> Shaken | None:
    """Return the vibration of the housing, judged; None where it was not measured, or no line holds for the machine."""
    shake, facts = VIBRATION.of(sheet), sheet.facts
    if shake is None or facts.motor_class == "tool":
        return None
    earlier = VIBRATION.earlier(sheet)
    stands = Stands(RATED_W.stated(facts.figures), MOUNTING.of(facts.figures) == "flexible", facts.carries)
    try:
        return judge_vibration(shake, earlier.given.number or None if earlier else None, stands, rules)
    except InputError:
        return None
