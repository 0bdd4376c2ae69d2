"""What was measured on bearings, shaft, seals, drive and solenoid."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.bearings.fitting import squeeze
from norvash.core.bearings.vibration import Shaken, Stands, judge_vibration
from norvash.core.edges import over, under, within
from norvash.core.judging.drive.end_float import end_float_told
from norvash.core.judging.drive.ends import bearing_known, end_measured
from norvash.core.motor.figure_fields import MOUNTING, PINION_GAP_HIGH_MM, PINION_GAP_LOW_MM, RATED_W
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import CRANKING_A
from norvash.core.stages.drive.seen import GEAR_DRY
from norvash.core.stages.drive.shaft import (
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
from norvash.core.stages.prove.run_fields import POINT
from norvash.core.supply.cables import solenoid_allowed_v
from norvash.errors import InputError


def measured(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Measured]:
    """Yield what was measured on bearings, shaft, seals and solenoid, end by end."""
    for place in range(1, len(BEARINGS) + 1):
        yield from end_measured(sheet, place, rules)
    yield from end_float_told(sheet, rules)
    if GEAR_DRY.seen(sheet) and _run_since(sheet, GEAR_DRY):
        off = replace(GEAR_DRY.worded(f"{GEAR_DRY.words}, and run so"), grade="change")
        yield Measured(id="gear-run", of=((GEAR_DRY.look, 0),), words=off.words, standing="off", findings=(off,))
    yield from _vibration(sheet, rules)
    yield from _ring(sheet, rules)
    yield from _pinion(sheet)
    yield from _solenoid(sheet, rules)


def told_first(sheet: Sheet, rules: MotorRules) -> tuple[str, ...]:
    """Return what is known of the bearings, and how one is pressed on, warmed and kept clean.

    Source: rules bearing.grease, bearing.heat, bearing.heat-closed
    """
    known = (bearing_known(sheet, place, rules) for place in range(1, len(BEARINGS) + 1))
    return (*filter(None, known), _how_to_press(rules))


def _how_to_press(rules: MotorRules) -> str:
    return (
        "Press only on the ring with the tight fit, squarely, with a sleeve; warm an open one to"
        f" {rules['bearing.heat']:g} °C at most, one with seals or shields to {rules['bearing.heat-closed']:g} °C"
        " or fit it cold; one pulled off through its balls is scrap. No grease, oil or silicone near brushes and"
        " commutator."
    )


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


def _vibration(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    shake, shaken = VIBRATION.of(sheet), shaken_now(sheet, rules)
    if shake is None:
        return
    if shaken is None:
        words = (
            f"vibration {shake:g} mm/s: no line holds here, neither for a tool in the hand nor over"
            f" {rules['vibration.large']:g} kW; look it up"
        )
        yield value_of(VIBRATION, words, "not judged", value=shake, unit="mm/s", rests_on=("vibration.large",))
        return
    words, fine = f"vibration {shake:g} mm/s, {shaken.words}", shaken.grade == "fit"
    off = replace((VIBRATION_WATCH if shaken.grade == "watch" else VIBRATION_HIGH).worded(words), grade=shaken.grade)
    yield judged(
        VIBRATION,
        words,
        value=shake,
        unit="mm/s",
        high=shaken.lines[0],
        basis=by_rule(rules, *shaken.rules),
        derived=() if shaken.grown is None else (Derived("grown since last time", shaken.grown, "share"),),
        off=None if fine else off,
        rests_on=(*shaken.rules, "vibration.", "rated_w", "mounting"),
    )


def _ring(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    section, groove = RING_SECTION.of(sheet), RING_GROOVE.of(sheet)
    if not section or groove is None:
        return
    share, low, high = squeeze(section, groove), rules["ring.squeeze-low"], rules["ring.squeeze-high"]
    words, fine = f"O-ring squeezed by {share:.0%}", within(low, share, high)
    yield Measured(
        id="ring-squeeze",
        of=((RING_SECTION.id, 0), (RING_GROOVE.id, 0)),
        words=f"{words}, {low:.0%} to {high:.0%} is right",
        standing=standing_of(fine),
        value=100 * share,
        unit="%",
        low=100 * low,
        high=100 * high,
        basis=by_rule(rules, "ring.squeeze-low", "ring.squeeze-high"),
        findings=() if fine else (RING_SQUEEZE.worded(words),),
        rests_on=("ring.squeeze-low", "ring.squeeze-high"),
    )


def _pinion(sheet: Sheet) -> Iterator[Measured]:
    """Yield the clearance of a starter's pinion at full throw; without the maker's figure it is not judged.

    Where only the most is stated, the least is nothing.
    """
    gap, figures = PINION_GAP.of(sheet), sheet.facts.figures
    low, high = PINION_GAP_LOW_MM.stated(figures) or 0.0, PINION_GAP_HIGH_MM.stated(figures)
    if gap is None:
        return
    words = f"pinion clearance at full throw {gap:.2f} mm"
    if high is None and gap > 0:
        yield value_of(PINION_GAP, f"{words}: not judged, say the maker's figure", "not judged", value=gap, unit="mm")
        return
    right = high is not None and within(low, gap, high) and gap > 0
    band = f"{words}, {low:g} to {high or 0:g} mm by the maker{'' if right else ': set it'}"
    said = f"{words}: it strikes its stop, set it" if high is None else band
    off = (PINION_UNDER if under(gap, low) or not gap else PINION_OFF).worded(said)
    yield judged(
        PINION_GAP,
        said,
        value=gap,
        unit="mm",
        low=low,
        high=high,
        basis="maker",
        off=None if right else off,
        rests_on=("pinion_gap_low_mm", "pinion_gap_high_mm"),
    )


def _solenoid(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    drop = SOLENOID_V.of(sheet)
    if drop is None:
        return
    most, rule = solenoid_allowed_v(CRANKING_A.of(sheet), rules)
    words, fine = f"solenoid contact drops {drop:g} V, {most:g} V allowed", not over(drop, most)
    yield judged(
        SOLENOID_V,
        words,
        value=drop,
        unit="V",
        low=0.0,
        high=most,
        basis=by_rule(rules, rule),
        off=None if fine else SOLENOID_BAD.worded(words),
        rests_on=(rule, "solenoid.heavy", "rated_v"),
    )
