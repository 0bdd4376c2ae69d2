"""Figures beside the straight line that put wear into proportion."""

from norvash.core.brush.wear_measures import dust_g, rubbed_km, seeming_left_h
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import (
    COMMUTATOR_D_MM,
    GRADE_FAMILY,
    NEW_MM,
    RATED_RPM,
    THICKNESS_MM,
    WEAR_LINES,
    WIDTH_MM,
)
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import grouped, rate_figure, use_words
from norvash.core.verdict.line_sightings import sightings, spacing_mm


def remarks(found: Findings, state: MotorState, rules: MotorRules) -> tuple[str, ...]:
    """Return short lines: length against usable carbon, wear by distance, and the dust to be expected."""
    made = (_by_length(found, state), _by_lines(found, state), _by_distance(found, state), _dust(found, state, rules))
    return tuple(line for line in made if line)


def _by_length(found: Findings, state: MotorState) -> str:
    brush, line = found.governing, found.line
    if brush is None or brush.last is None or brush.usable is None:
        return ""
    if line is None or not line.left_h or not brush.rate_mm_per_kh:
        return ""
    share = brush.last.length_mm / NEW_MM.need(state.figures)
    seems = use_words(seeming_left_h(brush.last.length_mm, brush.rate_mm_per_kh), state.unit)
    return (
        f"Half the length is not half the life: brush {brush.label} has {share:.0%} of its length, which looks like"
        f" {seems} more, but {max(brush.usable, 0):.0%} of its usable carbon, which is"
        f" {use_words(line.left_h, state.unit)}."
    )


def _by_lines(found: Findings, state: MotorState) -> str:
    """Say what two wear lines seen at known uses tell of the rate and of the next line."""
    brush = found.governing
    seen = sightings(state.current.rounds, brush.number, state.figures) if brush is not None else None
    if brush is None or seen is None:
        return ""
    unit = "mm per year" if state.unit == "years" else "mm per 1000"
    before, then = (use_words(state.counter_at(x), state.unit) for x in (seen.before_units, seen.units))
    words = (
        f"Brush {brush.label} showed wear line {seen.line - 1} at {before} and line {seen.line} at {then}:"
        f" {rate_figure(seen.rate_mm_per_kh, state.unit):.2f} {unit}"
    )
    if seen.line == len(WEAR_LINES):
        return f"{words}."
    ahead = spacing_mm(state.figures, seen.line) / seen.rate_mm_per_kh * 1000
    return f"{words}; line {seen.line + 1} at about {use_words(seen.units + state.offset_units + ahead, state.unit)}."


def _by_distance(found: Findings, state: MotorState) -> str:
    track = all_known(RATED_RPM.stated(state.figures), COMMUTATOR_D_MM.stated(state.figures))
    brush = found.governing
    if state.unit != "hours" or track is None:
        return ""
    if brush is None or not brush.rate_mm_per_kh:
        return ""
    speed, diameter = track
    per_km = brush.rate_mm_per_kh / rubbed_km(diameter, speed, 1000.0) * 1000
    return (
        f"Brush {brush.label} wears {per_km:.3f} mm per 1000 km rubbed, at {grouped(speed)} r/min on {diameter:g} mm."
    )


def _dust(found: Findings, state: MotorState, rules: MotorRules) -> str:
    wear = [b.wear_mm for b in found.brushes if b.wear_mm is not None]
    section = all_known(THICKNESS_MM.stated(state.figures), WIDTH_MM.stated(state.figures))
    if section is None or len(wear) < len(found.brushes) or not state.current.fitted_known:
        return ""
    thickness, width = section
    grams = dust_g(thickness * width, wear, GRADE_FAMILY.of(state.figures), rules)
    return f"About {grams:.1f} g of carbon has worn off this set; clearly more dust than that has another source."
