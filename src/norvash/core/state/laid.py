"""Readings and sets laid on the scale of length that the figures of a motor give today."""

from dataclasses import replace

from norvash.core.brush.gauged import length_today_mm, reference_mm
from norvash.core.motor.figures import Figures
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Measured


def measured_words(measured: Measured) -> str:
    """Return a reading in words: the length, else the depth that was read where nothing tells which length that is."""
    bare = measured.bare_mm
    return f"{measured.length_mm:g} mm" if bare is None else f"{bare:g} mm deep"


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
