"""Figures beside the straight line that put wear into proportion."""

from norvash.core.brush.wear_measures import dust_g, line_rate_mm_per_kh, rubbed_km, seeming_left_h
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
from norvash.core.motor.record import MotorState
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import grouped, rate_figure, use_words
from norvash.core.verdict.values import Findings


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
    brush, first_seen = found.governing, dict[int, float]()
    if brush is None:
        return ""
    for a_round in state.current.rounds:
        lines = a_round.readings[brush.number].lines if brush.number in a_round.readings else None
        if lines:
            first_seen.setdefault(lines, a_round.total_units + state.offset_units)
    seen = sorted(first_seen)[-2:]
    if len(seen) < 2 or seen[1] - seen[0] != 1 or first_seen[seen[1]] <= first_seen[seen[0]]:
        return ""
    spacing = _spacing_mm(state, seen[0])
    rate = line_rate_mm_per_kh(spacing, first_seen[seen[0]], first_seen[seen[1]])
    unit = "mm per year" if state.unit == "years" else "mm per 1000"
    words = (
        f"Brush {brush.label} showed wear line {seen[0]} at {use_words(first_seen[seen[0]], state.unit)} and line"
        f" {seen[1]} at {use_words(first_seen[seen[1]], state.unit)}: {rate_figure(rate, state.unit):.2f} {unit}"
    )
    if seen[1] == 3:
        return f"{words}."
    ahead = _spacing_mm(state, seen[1])
    return f"{words}; line {seen[1] + 1} at about {use_words(first_seen[seen[1]] + ahead / rate * 1000, state.unit)}."


def _spacing_mm(state: MotorState, line: int) -> float:
    """Return the length between a wear line and the next one [mm]; lines count from 1."""
    return WEAR_LINES[line - 1].need(state.figures) - WEAR_LINES[line].need(state.figures)


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
