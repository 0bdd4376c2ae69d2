"""Figures that no sense refuses and that are hardly ever so: a slip of the pen makes them more often than a maker."""

from norvash.core.edges import under
from norvash.core.motor.figure_fields import COMMUTATOR_D_MIN_MM, COMMUTATOR_D_MM, LIMIT_MM, NEW_MM
from norvash.core.motor.figures import Figures

# Makers' limits lie between a quarter and two thirds of the new length, and turning takes a tenth of a diameter.
_LEAST_LIMIT = 0.1
_LEAST_DIAMETER = 0.5


def implausible(figures: Figures) -> str:
    """Return what is hardly so of stated figures, in words that end with a full stop; empty where nothing is.

    Source: the shares of new length and diameter between which makers' limits lie.
    """
    said = []
    new_mm, limit_mm = NEW_MM.of(figures), LIMIT_MM.of(figures)
    if new_mm is not None and limit_mm is not None and under(limit_mm, _LEAST_LIMIT * new_mm):
        said.append(f"A limit of {limit_mm:g} mm on a brush of {new_mm:g} mm leaves next to nothing to hold it.")
    d_new, d_least = COMMUTATOR_D_MM.stated(figures), COMMUTATOR_D_MIN_MM.stated(figures)
    if d_new is not None and d_least is not None and under(d_least, _LEAST_DIAMETER * d_new):
        said.append(f"A least diameter of {d_least:g} mm is under half of the new one, {d_new:g} mm.")
    return " ".join(said)
