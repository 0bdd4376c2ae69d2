"""What a depth or protrusion gauge shows of a length, and of which gauges that is known."""

from dataclasses import replace
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
from norvash.core.motor.record import BrushSet
from norvash.core.motor.round import Measured

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


def measured_words(measured: Measured) -> str:
    """Return a reading in words: the length, else the depth that was read where nothing tells which length that is."""
    bare = measured.bare_mm
    return f"{measured.length_mm:g} mm" if bare is None else f"{bare:g} mm deep"


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


def laid(measured: Measured, figures: Figures) -> Measured:
    """Return a reading on the scale that the figures give today."""
    length_mm = length_today_mm(measured, figures)
    if length_mm == measured.length_mm:
        return measured
    by = length_mm - measured.length_mm
    now = reference_mm(measured.method, figures) if measured.reference_mm is not None else None
    low, high = measured.low_mm + by, measured.high_mm + by
    return replace(measured, length_mm=length_mm, low_mm=low, high_mm=high, reference_mm=now)


def sets_laid(sets: tuple[BrushSet, ...], figures: Figures) -> tuple[BrushSet, ...]:
    """Return sets on the scale that the figures give today: the fitted one, and of those before it what a depth gauge
    showed of which nothing told the length.
    """
    return tuple(_set_laid(s, figures, fitted=s is sets[-1]) for s in sets)


def _set_laid(of_set: BrushSet, figures: Figures, *, fitted: bool) -> BrushSet:
    every = [m for r in of_set.rounds for m in (*r.readings.values(), *r.found.values())]
    if not any(m.bare_mm is not None or (fitted and m.reference_mm is not None) for m in every):
        return of_set
    rounds = (
        replace(
            r,
            readings={n: laid(m, figures) for n, m in r.readings.items()},
            found={n: laid(m, figures) for n, m in r.found.items()},
        )
        for r in of_set.rounds
    )
    return replace(of_set, rounds=tuple(rounds))


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
