"""Figures that no sense refuses and that are hardly ever so: a slip of the pen makes them more often than a maker."""

import math

from norvash.core.edges import over, under
from norvash.core.motor.figure_fields import (
    COMMUTATOR_D_MIN_MM,
    COMMUTATOR_D_MM,
    CONSTRUCTION,
    LEAD_ROOT_DEPTH_MM,
    LIMIT_MM,
    NEW_MM,
    PERMITTED_RPM,
    RATED_RPM,
)
from norvash.core.motor.figures import Figures

# Makers' limits lie between a quarter and two thirds of the new length, and turning takes a tenth of a diameter.
_LEAST_LIMIT = 0.1
_LEAST_DIAMETER = 0.5
# Without its maker's word nothing whose field holds its speed turns faster than this, nor is a brush worn nearer to its
# lead.
_MOST_PERMITTED, _OVER_ROOT_MM = 1.5, 2.0
_HELD = ("shunt", "compound", "separately excited", "permanent-magnet")


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
    most = _MOST_PERMITTED * (RATED_RPM.stated(figures) or math.inf)
    permitted, held = PERMITTED_RPM.stated(figures) or 0.0, CONSTRUCTION.stated(figures) in _HELD
    if held and over(permitted, most):
        said.append(f"A permitted speed of {permitted:g} r/min is over {_MOST_PERMITTED:g} times that of its plate.")
    root = LEAD_ROOT_DEPTH_MM.stated(figures)
    if limit_mm is not None and root is not None and under(limit_mm, root + _OVER_ROOT_MM):
        said.append(f"A limit of {limit_mm:g} mm is not {_OVER_ROOT_MM:g} mm over the root of its lead, {root:g} mm.")
    return " ".join(said)
