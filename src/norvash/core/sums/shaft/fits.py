"""The sum on one fit: a ball bearing on its shaft or in its housing, a needle, a bush, a seal, each by its own band."""

from dataclasses import dataclass

from norvash.core.bearings.fitting import (
    FitLine,
    housing_line,
    lip_line,
    needle_line,
    new_bush_line,
    recess_line,
    shaft_line,
)
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

SHAFT, HOUSING, NEEDLE, BUSH = (
    "ball bearing on shaft",
    "ball bearing in housing",
    "needle over shaft",
    "bush on shaft",
)
LIP, RECESS = "seal lip on shaft", "seal in recess"
KINDS = (SHAFT, HOUSING, NEEDLE, BUSH, LIP, RECESS)
# What a fit is, and what follows where it is none: what is pressed is not even tried.
WAYS = {SHAFT: "press", HOUSING: "sliding", NEEDLE: "running", BUSH: "running", LIP: "sealing", RECESS: "press"}


@dataclass(frozen=True, slots=True, kw_only=True)
class OneFitIn:
    """Two sizes that meet: of what is outside its inside, of what is inside its outside, as they are measured."""

    kind: str = ask("What fits where", "word", hint=", ".join(KINDS), choices=tuple((k, k) for k in KINDS))
    inside_mm: float = ask("Inside of the outer part", "length", above_low=True, high=2000)
    outside_mm: float = ask("Outside of the inner part", "length", above_low=True, high=2000)
    c3: bool = ask("The bearing has clearance C3", "yes", default=False)
    located: bool | None = ask("It holds the shaft at this end", "yes", default=None)
    starter: bool = ask("The bush is of a starter", "yes", default=False)
    metal_case: bool = ask("The seal has a metal case", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class OneFitOut:
    """The clearance, positive loose, what is allowed, and whether it fits."""

    clearance_mm: float = gives("clearance")
    low_mm: float = gives("allowed from")
    high_mm: float = gives("allowed up to")
    fits: bool = gives("it fits")
    way: str = gives("kind of fit")
    advice: str
    rules: tuple[str, ...]


def fit_line(given: OneFitIn, rules: MotorRules) -> FitLine:
    """Return one fit, judged by its kind.

    Raises: InputError for a kind that is not known, or a size over its table.
    """
    inside, outside = given.inside_mm, given.outside_mm
    if given.kind not in KINDS:
        raise InputError(f"“{given.kind[:40]}” is not a fit here.", f"Use one of: {', '.join(KINDS)}.", "kind")
    if given.kind == SHAFT:
        return shaft_line(outside, inside, rules, c3=given.c3)
    if given.kind == HOUSING:
        return housing_line(inside, outside, rules, located=given.located)
    if given.kind == NEEDLE:
        return needle_line(outside, inside, rules)
    if given.kind == BUSH:
        return new_bush_line(outside, inside, rules, starter=given.starter)
    if given.kind == LIP:
        return lip_line(outside, inside, rules)
    return recess_line(inside, outside, rules, metal=given.metal_case)


def fit(given: OneFitIn, rules: MotorRules) -> OneFitOut:
    """Return whether two parts fit; a press fit that is refused says that the old part stays in.

    Raises: InputError that names the field which cannot be so.
    """
    try:
        line = fit_line(given, rules)
    except InputError as error:  # the tables name the sizes of a kit
        raise error.at(error.field if error.field == "kind" else "outside_mm") from None
    way = WAYS[given.kind]
    held = f"{line.clearance_mm:+.3f} mm where {line.low_mm:+.3f} to {line.high_mm:+.3f} mm is right"
    stays = "do not take the old part out: " if way == "press" and not line.fits else ""
    return OneFitOut(
        clearance_mm=line.clearance_mm,
        low_mm=line.low_mm,
        high_mm=line.high_mm,
        fits=line.fits,
        way=way,
        advice=f"{stays}{line.says}, {held}",
        rules=line.rules,
    )


SUMS = (
    Sum(
        name="fit",
        title="One fit",
        words="Whether two parts fit, each kind by its own band and its size; clearance is positive.",
        inputs=OneFitIn,
        compute=fit,
        example={"kind": NEEDLE, "inside_mm": 14.02, "outside_mm": 14.0},
    ),
)
