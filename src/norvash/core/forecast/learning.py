"""Learning from a fleet: how much wear wanders, checked by how surprising the last reading of each set was."""

from collections.abc import Sequence
from dataclasses import replace
from statistics import median

from norvash.core.forecast.case import Case
from norvash.core.forecast.model import forecasts

LEAST_SETS = 100
LOW, HIGH = 0.045, 0.14
_RIGHT = 0.25
_STEPS = 7


def surprise(cases: Sequence[Case], drift: float) -> float:
    """Return the median distance of the tails from a half at a drift.

    A quarter is right, more means bands too narrow.
    """
    tried = [replace(c, constants=replace(c.constants, drift=drift)) for c in cases]
    return median(abs(f.tail - 0.5) for f in forecasts(tried))


def fitted_drift(cases: Sequence[Case]) -> float:
    """Return the drift within its bounds at which the fleet's tails are as they should be, to three digits.

    Source: bisection on the median of the tails
    """
    low, high = LOW, HIGH
    for _ in range(_STEPS):
        middle = (low + high) / 2
        if surprise(cases, middle) > _RIGHT:
            low = middle
        else:
            high = middle
    return round((low + high) / 2, 3)
