"""What a depth or protrusion gauge shows of a length, and of which gauges that is known."""

from collections.abc import Mapping
from dataclasses import replace

from norvash.core.motor.figure_fields import (
    DEPTH_CONSTANT_MM,
    DEPTH_LIMIT_MM,
    DEPTH_NEW_MM,
    MEASURED_BY,
    NEW_MM,
    PROTRUSION_CONSTANT_MM,
)
from norvash.core.motor.figures import Figures
from norvash.core.motor.record import BrushSet, Measured

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


def measured_words(measured: Measured) -> str:
    """Return a reading in words: the length, else the depth that was read where nothing tells which length that is."""
    bare = measured.bare_mm
    return f"{measured.length_mm:g} mm" if bare is None else f"{bare:g} mm deep"


def laid(measured: Measured, both_mm: float | None) -> Measured:
    """Return a reading on the scale that the figures give today: what a depth gauge showed stays what it was, and what
    length that is follows from what is stated now.

    Units: both_mm [mm], what depth and length add up to, None where nothing tells.
    Source: depth plus length is a constant of the holder
    """
    if measured.bare_mm is None or both_mm is None:
        return measured
    by = both_mm - measured.bare_mm - measured.length_mm
    length, low, high = (x + by for x in (measured.length_mm, measured.low_mm, measured.high_mm))
    return replace(measured, length_mm=length, low_mm=low, high_mm=high)


def sets_laid(sets: tuple[BrushSet, ...], figures: Figures) -> tuple[BrushSet, ...]:
    """Return sets with what depth gauges showed on the scale that the figures give today."""
    if not any(
        m.bare_mm is not None for s in sets for r in s.rounds for m in (*r.readings.values(), *r.found.values())
    ):
        return sets
    both = depth_and_length_mm(figures)

    def all_laid(there: Mapping[int, Measured]) -> dict[int, Measured]:
        return {n: laid(m, both) for n, m in there.items()}

    return tuple(
        replace(s, rounds=tuple(replace(r, readings=all_laid(r.readings), found=all_laid(r.found)) for r in s.rounds))
        for s in sets
    )


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
