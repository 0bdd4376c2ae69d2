"""How hot a winding may be over the air, by its insulation class and the way it was measured."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import over
from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules
from norvash.core.rules.windings import RISE_BY_RESISTANCE, RISE_BY_THERMOMETER

HeatBy = Literal["resistance", "thermometer"]
# The air that a limit of rise allows for: where the air was not measured, it was at most that.
AIR_AT_MOST_C = 40.0


@dataclass(frozen=True, slots=True, kw_only=True)
class HeatHeld:
    """What a rise is held to: the insulation class, empty where nobody states it, or a stated rise [K].

    One of traction, a starter, or of short duty is held to its stated rise only.
    """

    insulation_class: str = ""
    stated_k: float | None = None
    stated_only: bool = False


@dataclass(frozen=True, slots=True)
class HeatJudged:
    """A winding's heat: its temperature [°C], its rise over the air [K], the most allowed [K], grade and words."""

    winding_c: float
    rise_k: float
    most_k: float | None
    grade: Grade
    words: str


def rise_most_k(held: HeatHeld, by: HeatBy, rules: MotorRules) -> float | None:
    """Return how much hotter than the air a winding may be, None where nothing says.

    Units: -> [K]. Source: rules rise.*
    """
    if held.stated_k is not None:
        return held.stated_k
    family = RISE_BY_RESISTANCE if by == "resistance" else RISE_BY_THERMOMETER
    return None if held.stated_only else rules[family.of(held.insulation_class or "B")]


def judge_heat(winding_c: float, air_c: float | None, held: HeatHeld, by: HeatBy, rules: MotorRules) -> HeatJudged:
    """Return how hot a winding is against what it may be, after a run at or near its rated load.

    Where the air was not measured it counts as 40 °C: what is too hot over that is too hot over any air.

    Units: winding_c, air_c [°C]. Source: rules rise.*
    """
    air = AIR_AT_MOST_C if air_c is None else air_c
    rise, most = winding_c - air, rise_most_k(held, by, rules)
    of = "the air" if air_c is not None else f"air of {AIR_AT_MOST_C:g} °C at most; enter the air"
    said = f"the winding is at {winding_c:.0f} °C by {by}, {rise:.1f} K over {of}"
    if most is None:
        return HeatJudged(winding_c, rise, None, "fit", f"{said}; not judged: say the rise that is allowed")
    basis = _basis(held)
    grade: Grade = "fit"
    if over(rise, most):
        grade = "stop" if over(rise, most + rules["rise.stop"]) else "plan"
    elif air_c is None:
        return HeatJudged(winding_c, rise, most, "fit", f"{said}; at most {most:g} K, {basis}: not judged without it")
    return HeatJudged(winding_c, rise, most, grade, f"{said}, at most {most:g} K, {basis}")


def _basis(held: HeatHeld) -> str:
    if held.stated_k is not None:
        return "as stated"
    return f"class {held.insulation_class}" if held.insulation_class else "class not known, so as class B"
