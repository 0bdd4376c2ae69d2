"""What a depth or protrusion gauge shows of a length, and of which gauges that is known."""

from typing import Protocol

from norvash.core.motor.figure_fields import (
    DEPTH_CONSTANT_MM,
    DEPTH_LIMIT_MM,
    DEPTH_NEW_MM,
    MEASURED_BY,
    NEW_MM,
    PROTRUSION_CONSTANT_MM,
    SUNK_MM,
)
from norvash.core.motor.figures import Figures

# A gauge that nobody zeroed on new brushes is laid on the scale of length with its limit at half a new brush: what is
# left to the limit and what has worn between two readings are true, and nothing is said of a share of the carbon.
_FLOATING_LIMIT = 0.5


class AsRead(Protocol):
    """A reading with what it was counted from: its way of measuring, and what then stood for that."""

    @property
    def method(self) -> str:
        """Return the way of measuring."""

    @property
    def length_mm(self) -> float:
        """Return the length that followed [mm]."""

    @property
    def bare_mm(self) -> float | None:
        """Return the depth that was read where nothing told which length that is [mm]."""

    @property
    def reference_mm(self) -> float | None:
        """Return what it was counted from [mm], None for a length, and where that was not kept."""


def is_floating(figures: Figures) -> bool:
    """Tell whether a motor is measured by a depth whose limit is known, and not what it was when new."""
    known = DEPTH_CONSTANT_MM.of(figures) is not None or DEPTH_NEW_MM.of(figures) is not None
    return MEASURED_BY.of(figures) == "depth" and not known and DEPTH_LIMIT_MM.of(figures) is not None


def shows_depths(figures: Figures) -> bool:
    """Tell whether a motor is spoken of in depths: nobody stated which length one is, at most the depth of a new brush
    of which nobody stated the length.
    """
    by_depth = MEASURED_BY.of(figures) == "depth" and DEPTH_LIMIT_MM.of(figures) is not None
    return by_depth and not tells_length(figures)


def tells_length(figures: Figures) -> bool:
    """Tell whether it is stated which length a depth is."""
    new_known = DEPTH_NEW_MM.of(figures) is not None and NEW_MM.stated(figures) is not None
    return new_known or DEPTH_CONSTANT_MM.of(figures) is not None


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


def reference_mm(method: str, figures: Figures) -> float | None:
    """Return what a reading is counted from by what is stated, without what the surface has sunk since [mm].

    Units: -> [mm]
    None for a length, and where nobody stated it.
    Source: depth plus length, and length minus protrusion, are constants of the holder; a share is one of a new brush
    """
    sunk = SUNK_MM.of(figures) or 0.0
    if method == "depth" and not shows_depths(figures):
        both = depth_and_length_mm(figures)
        return None if both is None else both - sunk
    if method == "protrusion":
        constant = PROTRUSION_CONSTANT_MM.of(figures)
        return None if constant is None else constant - sunk
    return NEW_MM.of(figures) if method == "compare" else None


def length_today_mm(read: AsRead, figures: Figures) -> float:
    """Return the length of a reading by what is stated today [mm]: what was read stays, and which length that is
    follows from it.

    Units: -> [mm]
    Source: depth plus length is a constant of the holder
    """
    if read.bare_mm is not None:
        both = depth_and_length_mm(figures)
        return read.length_mm if both is None else both - read.bare_mm
    now, then = reference_mm(read.method, figures), read.reference_mm
    if now is None or then is None:
        return read.length_mm
    return read.length_mm * now / then if read.method == "compare" else read.length_mm + now - then


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
