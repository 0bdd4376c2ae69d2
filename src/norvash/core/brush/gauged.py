"""What a depth or protrusion gauge shows of a length, and of which gauges that is known."""

from norvash.core.motor.figure_fields import (
    DEPTH_CONSTANT_MM,
    DEPTH_LIMIT_MM,
    DEPTH_NEW_MM,
    MEASURED_BY,
    NEW_MM,
    PROTRUSION_CONSTANT_MM,
)
from norvash.core.motor.figures import Figures

# A gauge that nobody zeroed on new brushes is laid on the scale of length with its limit at half a new brush: what is
# left to the limit and what has worn between two readings are true, and nothing is said of a share of the carbon.
_FLOATING_LIMIT = 0.5


def is_floating(figures: Figures) -> bool:
    """Tell whether a motor is measured by a depth whose limit is known, and not what it was when new."""
    known = DEPTH_CONSTANT_MM.of(figures) is not None or DEPTH_NEW_MM.of(figures) is not None
    return MEASURED_BY.of(figures) == "depth" and not known and DEPTH_LIMIT_MM.of(figures) is not None


def depth_and_length_mm(figures: Figures) -> float | None:
    """Return what a depth and the length at it add up to [mm], None where nothing tells.

    The gauge's constant, else what it showed when new, else its limit.
    Units: -> [mm]
    Source: depth plus length is a constant of the holder
    """
    constant, depth_new, depth_limit = (f.of(figures) for f in (DEPTH_CONSTANT_MM, DEPTH_NEW_MM, DEPTH_LIMIT_MM))
    if constant is not None:
        return constant
    if depth_new is not None:
        return NEW_MM.need(figures) + depth_new
    return None if depth_limit is None else depth_limit + _FLOATING_LIMIT * NEW_MM.need(figures)


def on_the_gauge_mm(length_mm: float, figures: Figures, method: str) -> float | None:
    """Return what a depth or protrusion gauge shows of a length [mm].

    Units: length_mm [mm] -> [mm]
    None for the other ways of measuring, and while the gauge's figures are not known.
    Source: the gauge's own constant, depth plus length or length minus protrusion
    """
    if method == "depth":
        both = depth_and_length_mm(figures)
        return None if both is None else both - length_mm
    constant = PROTRUSION_CONSTANT_MM.of(figures) if method == "protrusion" else None
    return None if constant is None else length_mm - constant
