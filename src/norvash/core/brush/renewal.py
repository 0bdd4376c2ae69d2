"""Was this brush changed without a record? Two explanations of a reading held against each other."""

from dataclasses import dataclass
from math import exp, pi, sqrt

from norvash.core.brush.straight_line import Point
from norvash.core.rules.book import MotorRules

_AGES = tuple(0.05 + 0.9 * i / 7 for i in range(8))
_LEAST = 1e-12
_MOVED_MM, _SAME_SHARE = 0.02, 0.35
_NEW_MM, _NEW_SHARE, _BEDDED, _BEDDED_SD = 0.1, 0.3, 0.01, 0.02


@dataclass(frozen=True, slots=True)
class Carbon:
    """What a brush starts from and wears at: new length and limit [mm], rate [mm per unit of use]."""

    new_mm: float
    limit_mm: float
    rate_mm_per_unit: float


def renewed(
    length_mm: float, sd_mm: float, previous: Point, *, run_units: float, carbon: Carbon, rules: MotorRules
) -> float:
    """Return the chance that a brush was changed at an unknown time since its last reading.

    Units: length_mm, sd_mm [mm]; run is the use at the reading, on the scale of `previous`.
    Source: rule doubt.renewed-prior; Bayes between "the same brush" and "changed since"
    """
    wear = max(run_units - previous.run_h, 0.0) * carbon.rate_mm_per_unit
    usable = carbon.new_mm - carbon.limit_mm
    same = (
        _normal(length_mm, previous.length_mm - wear, 2 * sd_mm**2 + _MOVED_MM**2 + (_SAME_SHARE * wear) ** 2) + _LEAST
    )
    changed = sum(
        _normal(
            length_mm,
            carbon.new_mm - _BEDDED * usable - age * wear,
            sd_mm**2 + _NEW_MM**2 + (_NEW_SHARE * age * wear) ** 2 + (_BEDDED_SD * usable) ** 2,
        )
        for age in _AGES
    ) / len(_AGES)
    prior = rules["doubt.renewed-prior"]
    return prior * changed / (prior * changed + (1 - prior) * same)


def _normal(x: float, mean: float, variance: float) -> float:
    return exp(-0.5 * (x - mean) ** 2 / variance) / sqrt(2 * pi * variance)
