"""Findings that follow from what was picked and measured on bearings, shaft, seals, drive and solenoid."""

from collections.abc import Iterator
from dataclasses import replace
from functools import partial

from norvash.core.bearings.designation import CLEARANCES, decode
from norvash.core.bearings.fitting import FitLine, housing_line, shaft_line, shim_mm, squeeze, worn_bush_lines
from norvash.core.bearings.lasting import renew_anyway
from norvash.core.bearings.vibration import Shaken, Stands, judge_vibration
from norvash.core.edges import over, within
from norvash.core.findings import Finding
from norvash.core.part_findings import said
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.part_fields import FIELDS
from norvash.core.sheet.sheet import Sheet
from norvash.core.supply.cables import solenoid_allowed_v
from norvash.errors import InputError

_PICKED = {
    ("b-feel", "dry"): "bearing.dry",
    ("b-feel", "rough"): "bearing.rough",
    ("b-feel", "notchy"): "bearing.rough",
    ("b-feel", "locked"): "bearing.locked",
    ("b-noise", "hiss"): "bearing.noisy",
    ("b-noise", "rumble"): "bearing.noisy",
    ("b-noise", "click"): "bearing.noisy",
    ("b-play", "clear"): "bearing.loose",
    ("b-seal", "hard"): "bearing.seal",
    ("b-seal", "torn"): "bearing.seal",
    ("b-grease", "dark"): "bearing.grease",
    ("b-grease", "none"): "bearing.grease",
    ("b-grease", "washed"): "bearing.grease",
    ("b-seat", "spun"): "bearing.loose",
    ("b-seat", "corroded"): "bearing.corroded",
    ("bush-state", "dry"): "bush.dry",
}
_DRIVEN = {
    ("teeth", "worn"): "drive.worn",
    ("teeth", "chipped"): "drive.worn",
    ("clutch", "slips"): "drive.worn",
    ("clutch", "jams"): "drive.jammed",
    ("belt", "cracked"): "drive.belt",
    ("belt", "off"): "drive.belt",
    ("cushions", "hard"): "drive.worn",
    ("plunger", "sticks"): "solenoid.bad",
}


def drive_voices(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return what was picked and measured on bearings, shaft, seals, drive and solenoid."""
    for place, end in enumerate(BEARINGS, start=1):
        for (name, word), finding in _PICKED.items():
            if sheet.word(name, place) == word:
                yield said(finding, f"{end}: {_answer(name, word)}")
        yield from _measured_bearing(sheet, place, end, rules)
    for (name, word), finding in _DRIVEN.items():
        if sheet.word(name) == word:
            yield said(finding, _answer(name, word))
    yield from _shaft(sheet, rules)


def _answer(name: str, word: str) -> str:
    asked = next(f for f in FIELDS if f.id == name)
    return f"{asked.label.lower()} {dict(asked.choices)[word]}"


def _measured_bearing(sheet: Sheet, place: int, end: str, rules: MotorRules) -> Iterator[Finding]:
    def at(name: str) -> float | None:
        return sheet.number_of(name, place)

    why = renew_anyway(at("b-hours"), at("b-life"), at("b-years"), rules)
    if why:
        yield said("bearing.aged", f"{end}: {why}")
    for line in bush_lines(sheet, place, rules):
        if not line.fits:
            yield said("bush.worn", f"{end}: {line.words.lower()}, {line.clearance_mm:.3f} mm, {line.says}")
    for line in kit_lines(sheet, place, rules):
        if not line.fits:
            yield said("kit.mismatch", f"{end}: {line.words.lower()}, {line.clearance_mm:+.3f} mm, {line.says}")


def bush_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return how the plain bush of one end stands to its limit of wear and to the air gap, nothing while a side is not
    measured.
    """
    journal, bush = sheet.number_of("journal", place), sheet.number_of("bush", place)
    if journal is None or bush is None:
        return []
    return worn_bush_lines(journal, bush, sheet.facts.figures.stated("air_gap_mm"), rules)


def kit_lines(sheet: Sheet, place: int, rules: MotorRules) -> list[FitLine]:
    """Return how the new bearing of one end fits shaft and housing, of the pairs that are measured and in the table."""
    at = partial(sheet.number_of, place=place)
    shaft, bore, housing, outside = at("kit-shaft"), at("kit-bore"), at("kit-housing"), at("kit-outside")
    held = sheet.facts.figures.word("located_end")
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
    own = sheet.facts.figures.word("bearing_drive" if place == 1 else "bearing_other")
    try:
        return decode(sheet.word("b-number", place) or own).clearance == CLEARANCES["C3"]
    except InputError:
        return False


def _shaft(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    figures, play, shake = sheet.facts.figures, sheet.number_of("end-float"), sheet.number_of("vibration")
    low, high = figures.stated("end_float_low_mm") or 0.0, figures.stated("end_float_high_mm")
    if play is not None and high is not None and shim_mm(play, low, high):
        shim = shim_mm(play, low, high)
        yield said(
            "float.out",
            f"end float {play:.2f} mm, {low:g} to {high:g} mm allowed: {'add' if shim > 0 else 'take out'}"
            f" {abs(shim):.2f} mm of shim",
        )
    shaken = shaken_now(sheet, rules)
    if shaken is not None and shaken.grade != "fit":
        words = f"vibration {shake:g} mm/s, {shaken.words}"
        finding = said("vibration.watch" if shaken.grade == "watch" else "vibration.high", words)
        yield replace(finding, grade=shaken.grade)
    section, groove = sheet.number_of("ring-section"), sheet.number_of("ring-groove")
    if (
        section is not None
        and groove is not None
        and not within(rules["ring.squeeze-low"], squeeze(section, groove), rules["ring.squeeze-high"])
    ):
        yield said("ring.squeeze", f"O-ring squeezed by {squeeze(section, groove):.0%}")
    drop = sheet.number_of("solenoid-v")
    if drop is not None:
        most, _ = solenoid_allowed_v(sheet.number_of("cranking-a"), rules)
        if over(drop, most):
            yield said("solenoid.bad", f"solenoid contact drops {drop:g} V, {most:g} V allowed")


def shaken_now(sheet: Sheet, rules: MotorRules) -> Shaken | None:
    """Return the vibration of the housing, judged; None where it was not measured, or no line holds for the machine."""
    shake, facts = sheet.number_of("vibration"), sheet.facts
    if shake is None or facts.motor_class == "tool":
        return None
    earlier = sheet.earlier.get("vibration")
    stands = Stands(facts.figures.stated("rated_w"), facts.figures.word("mounting") == "flexible", facts.carries)
    try:
        return judge_vibration(shake, earlier.given.number or None if earlier else None, stands, rules)
    except InputError:
        return None
