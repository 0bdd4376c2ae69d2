"""The end float of a shaft: by its maker's band, else by what is usual for what it runs in."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.bearings.fitting import shim_mm
from norvash.core.edges import over
from norvash.core.grades import Grade
from norvash.core.motor.figure_fields import BEARING_AT, END_FLOAT_HIGH_MM, END_FLOAT_LOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import BEARINGS
from norvash.core.sheet.measured import Derived, Measured, by_rule, judged, value_of
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.drive.bearings import BEARING_FEEL, BEARING_NUMBER, BUSH_BORE, BUSH_STATE, JOURNAL
from norvash.core.stages.drive.shaft import END_FLOAT, FLOAT_IN, FLOAT_OUT

# What it runs in, in words, and the rules of its band.
_USUAL = {
    "starter": ("a starter", "float.starter-low", "float.starter-high"),
    "bush": ("plain bushes", "float.bush-low", "float.bush-high"),
    "ball": ("ball bearings", "float.ball-low", "float.ball-high"),
}


def end_float_told(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield the end float; where its maker's band is not stated by what is usual. Source: rules float.*"""
    play, figures = END_FLOAT.of(sheet), sheet.facts.figures
    if play is None:
        return
    low, high = END_FLOAT_LOW_MM.stated(figures) or 0.0, END_FLOAT_HIGH_MM.stated(figures)
    if high is None:
        yield _by_usual(sheet, play, rules)
        return
    band = f"end float {play:.2f} mm, {low:g} to {high:g} mm allowed"
    yield _held(play, (low, high), band, "maker", ("end_float_low_mm", "end_float_high_mm"))


def runs_in(sheet: Sheet) -> str:
    """Return what a shaft runs in: starter, bush, ball, or ball bearings that a spring holds, preloaded; as it was
    said, else by what was read of it; empty where nothing tells.
    """
    said = FLOAT_IN.of(sheet)
    if said or sheet.facts.motor_class == "starter":
        return said or "starter"
    places = range(1, len(BEARINGS) + 1)
    if any(f.given(sheet, n) is not None for f in (JOURNAL, BUSH_BORE, BUSH_STATE) for n in places):
        return "bush"
    read = any(f.given(sheet, n) is not None for f in (BEARING_NUMBER, BEARING_FEEL) for n in places)
    return "ball" if read or any(f.of(sheet.facts.figures) for f in BEARING_AT) else ""


def _by_usual(sheet: Sheet, play: float, rules: MotorRules) -> Measured:
    kind = runs_in(sheet)
    if kind == "preloaded":
        words = f"end float {play:.2f} mm, held by a spring: turning tells whether it binds"
        return value_of(END_FLOAT, words, "recorded", value=play, unit="mm")
    if not kind:
        words = f"end float {play:.2f} mm: say what it runs in, or its maker's band"
        return value_of(END_FLOAT, words, "not judged", value=play, unit="mm")
    words, *ids = _USUAL[kind]
    low, high = (rules[i] for i in ids)
    band = f"end float {play:.2f} mm, {low:g} to {high:g} mm is usual for {words}"
    rests_on = (*ids, "float.plan", "float.change", "bearing_drive", "bearing_other")
    return _held(play, (low, high), band, by_rule(rules, *ids), rests_on, grade=_grade(play, high, rules))


def _held(
    play: float, held: tuple[float, float], band: str, basis: str, rests_on: tuple[str, ...], *, grade: Grade = "plan"
) -> Measured:
    """Return the end float held against a band, with the shim that brings it to the middle. Units: [mm]"""
    low, high = held
    shim = shim_mm(play, low, high)
    off = replace(
        FLOAT_OUT.worded(f"{band}: {_does(shim)}"),
        grade=grade,
        kinds=FLOAT_OUT.kinds | {"stops-carried"} if over(play, 2 * high) else FLOAT_OUT.kinds,
    )
    return judged(
        END_FLOAT,
        f"{band}: {_asks(shim)}",
        value=play,
        unit="mm",
        low=low,
        high=high,
        basis=basis,
        derived=(Derived("shim", shim, "mm"),) if shim else (),
        off=off if shim else None,
        rests_on=rests_on,
    )


def _grade(play: float, high: float, rules: MotorRules) -> Grade:
    if over(play, rules["float.change"] * high):
        return "change"
    return "plan" if over(play, rules["float.plan"] * high) else "watch"


def _does(shim: float) -> str:
    return f"{'put in' if shim > 0 else 'take out'} {abs(shim):.2f} mm of shim"


def _asks(shim: float) -> str:
    return f"{_does(shim)}; Sums tell which of those in the box" if shim else "leave the shims as they are"
