"""What was measured on the bearings: at each end its number, its age, bush and journal, what a new one fits."""

from collections.abc import Iterator

from norvash.core.bearings.designation import CLEARANCES, Bearing, decode
from norvash.core.bearings.fitting import FitLine, housing_line, shaft_line, worn_bush_lines
from norvash.core.bearings.lasting import renew_anyway
from norvash.core.motor.figure_fields import AIR_GAP_MM, BEARING_AT, LOCATED_END
from norvash.core.parts.compare import compare_numbers
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS, Field
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Derived, Measured, standing_of, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.drive.bearings import (
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
from norvash.errors import InputError

_OWN = ("bearing_drive", "bearing_other")


def end_measured(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Measured]:
    """Yield what was measured on the bearing of one end."""
    yield from _number(sheet, place, rules)
    yield from _age(sheet, place, rules)
    for line in bush_lines(sheet, place, rules):
        yield _fit(line, place, (JOURNAL, BUSH_BORE), BUSH_WORN, ("bush.", "air_gap_mm"))
    for pair, line in kit_lines(sheet, place, rules):
        yield _fit(line, place, pair, KIT_MISMATCH, ("fit.", *_OWN, "shaft_d_mm"))


def bearing_at(sheet: Sheet, place: int) -> Bearing | None:
    """Return the bearing of one end by the number on its ring, or by the motor's figures; None where neither is known.

    Raises: InputError for a number that cannot be read.
    """
    number = BEARING_NUMBER.of(sheet, place) or BEARING_AT[place - 1].of(sheet.facts.figures)
    return decode(number) if number else None


def _number(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Measured]:
    """Yield what the number on a ring says, and against the one that was there. Source: rule bearing.grease"""
    if BEARING_NUMBER.given(sheet, place) is None:
        return
    end = BEARINGS[place - 1]
    try:
        bearing = bearing_at(sheet, place)
    except InputError as error:
        yield value_of(BEARING_NUMBER, f"{end}: {error.problem} {error.remedy}", "not judged", place, spot=place)
        return
    if bearing is None:
        return
    found = tuple(_against(sheet, place))
    yield value_of(
        BEARING_NUMBER,
        "; ".join((f"{end}: {_words(bearing, rules)}", *(f.words for f in found))),
        standing_of(False if found else None),
        place,
        spot=place,
        findings=found,
        rests_on=("bearing.grease", *_OWN),
    )


def bearing_known(sheet: Sheet, place: int, rules: MotorRules) -> str:
    """Return what the figures of the motor say of the bearing of one end, empty where its number was read here."""
    own = BEARING_AT[place - 1].of(sheet.facts.figures)
    if not own or BEARING_NUMBER.given(sheet, place) is not None:
        return ""
    try:
        return f"{BEARINGS[place - 1]}: {_words(decode(own), rules)}"
    except InputError as error:
        return f"{BEARINGS[place - 1]}: {error.problem} {error.remedy}"


def _words(bearing: Bearing, rules: MotorRules) -> str:
    size = f"{bearing.bore_mm:g} × {bearing.outside_mm:g} × {bearing.width_mm:g} mm"
    return f"{bearing.designation}, {size}, {bearing.seal}, clearance {bearing.clearance}; {_takes(bearing, rules)}"


def _takes(bearing: Bearing, rules: MotorRules) -> str:
    """Return how much grease a bearing takes, and why none."""
    if bearing.greased:
        return f"{rules['bearing.grease'] * bearing.outside_mm * bearing.width_mm:.2g} g of grease"
    return "perhaps sealed: no grease, look" if bearing.perhaps else "sealed, never greased"


def _against(sheet: Sheet, place: int) -> Iterator[Finding]:
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
        yield BEARING_WRONG.worded(next(compare_numbers(new, olds[0])).words)
        return
    points = [p for old in olds if old.size == new.size for p in compare_numbers(new, old)]
    tight = next((p.words for p in points if p.about == "clearance" and p.answer == "do not use"), "")
    if tight:
        yield BEARING_TIGHT.worded(tight)
    sealed = next((p.words for p in points if p.about == "seal"), "") if left else ""
    if sealed:
        yield BEARING_OPEN.worded(sealed)


def _age(sheet: Sheet, place: int, rules: MotorRules) -> Iterator[Measured]:
    """Yield how far a bearing is in its life. Source: rules bearing.hours-share, bearing.years"""
    fields = (BEARING_HOURS, BEARING_LIFE, BEARING_YEARS)
    of = tuple((f.id, place) for f in fields if f.given(sheet, place) is not None)
    run, life, years = (f.of(sheet, place) for f in fields)
    why, share = renew_anyway(run, life, years, rules), run / life if run is not None and life else None
    if years is None and share is None:
        return
    least = f"{share:.0%} of its expected life" if share is not None else f"{years or 0:.0f} years"
    yield Measured(
        id="bearing-age",
        of=of,
        words=f"{BEARINGS[place - 1]}: {why or f'{least}: it may stay'}",
        standing=standing_of(not why),
        spot=place,
        findings=(BEARING_AGED.worded(why),) if why else (),
        derived=() if share is None else (Derived("of its life", share, "share"),),
        rests_on=("bearing.hours-share", "bearing.years", *_OWN, "rated_rpm"),
    )


def bush_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return how the plain bush of one end stands to its limit of wear and to the air gap, nothing while a side is not
    measured.
    """
    journal, bush = JOURNAL.of(sheet, place), BUSH_BORE.of(sheet, place)
    if journal is None or bush is None:
        return []
    return worn_bush_lines(journal, bush, AIR_GAP_MM.stated(sheet.facts.figures), rules)


def kit_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[tuple[tuple[Field, Field], FitLine]]:
    """Return how the new bearing of one end fits shaft and housing, of the pairs that are measured and in the table,
    each with its pair.
    """
    shaft, bore, housing, outside = (f.of(sheet, place) for f in (KIT_SHAFT, KIT_BORE, KIT_HOUSING, KIT_OUTSIDE))
    held = LOCATED_END.of(sheet.facts.figures)
    made: list[tuple[tuple[Field, Field], FitLine]] = []
    try:
        if shaft is not None and bore is not None:
            made.append(((KIT_SHAFT, KIT_BORE), shaft_line(shaft, bore, rules, c3=_has_c3(sheet, place))))
        if housing is not None and outside is not None:
            located = held == BEARINGS[place - 1] if held else None
            made.append(((KIT_HOUSING, KIT_OUTSIDE), housing_line(housing, outside, rules, located=located)))
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


def _fit(line: FitLine, place: int, pair: tuple[Field, Field], bad: Finding, rests: tuple[str, ...]) -> Measured:
    signed = "+" if bad is KIT_MISMATCH else ""
    said = bad.worded(f"{line.words.lower()}, {line.clearance_mm:{signed}.3f} mm, {line.says}")
    band = f"{line.low_mm:g} to {line.high_mm:g} allowed"
    return Measured(
        id=line.id,
        of=tuple((f.id, place) for f in pair),
        words=f"{BEARINGS[place - 1]}: {line.words.lower()} {line.clearance_mm:+.3f} mm, {band}: {line.says}",
        standing=standing_of(line.fits),
        spot=place,
        value=line.clearance_mm,
        unit="mm",
        low=line.low_mm,
        high=line.high_mm,
        basis="rule",
        findings=() if line.fits else (said,),
        rests_on=(*line.rules, *rests),
    )
