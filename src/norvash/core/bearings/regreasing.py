"""When a bearing is greased again, with how much; and how far a rotor may be out of balance."""

from math import pi, sqrt
from typing import Literal

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules

Kind = Literal["ball", "roller", "spherical"]
_KIND: dict[Kind, float] = {"ball": 10.0, "roller": 5.0, "spherical": 1.0}
KINDS = tuple(_KIND)
_SPEED, _BORE, _GRAMS = 14e6, 4.0, 200.0


def regrease_h(
    kind: Kind, bore_mm: float, speed_rpm: float, *, temperature_c: float, vertical: bool, rules: MotorRules
) -> float:
    """Return after how many hours an open bearing is greased again; 0 or less asks to look it up.

    Units: [mm], [r/min], [°C] -> [h]. Source: rules regrease.*
    """
    hours = _KIND[kind] * (_SPEED / (speed_rpm * sqrt(bore_mm)) - _BORE * bore_mm)
    warmer = max(temperature_c - rules["regrease.warm"], 0.0)
    hours *= float(0.5 ** (warmer / rules["regrease.half"]))
    hours *= 0.5 if vertical else 1.0
    return float(min(hours, rules["regrease.most"]))


def grease_g(outside_mm: float, width_mm: float) -> float:
    """Return how much grease goes in [g]; more than that reaches the commutator.

    Units: [mm], [mm] -> [g]. Source: 0.005 times outside times width
    """
    return outside_mm * width_mm / _GRAMS


def unbalance_g_mm(mass_kg: float, speed_rpm: float, grade_mm_s: float) -> float:
    """Return the unbalance that a rotor may keep, of both planes together.

    Units: [kg], [r/min], grade as speed of its centre of mass [mm/s] -> [g·mm]
    Source: mass times the grade over the angular speed

    >>> round(unbalance_g_mm(18, 1500, 2.5), 2)
    286.48
    """
    return grade_mm_s * mass_kg * 1000 / (speed_rpm * 2 * pi / 60)


def too_slow_to_say(hours: float) -> bool:
    """Tell whether the sum for greasing has no answer: the bearing is too large or too fast for it.

    Units: [h]. Source: the interval that the sum gives ends there
    """
    return not over(hours, 0.0)
