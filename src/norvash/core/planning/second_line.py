"""The second wear line: the change is to be hastened, within half of what the spacing to the last line leaves."""

from norvash.core.edges import over
from norvash.core.motor.figure_fields import NEW_MM, WEAR_LINE_1_MM, WEAR_LINE_2_MM, WEAR_LINE_3_MM
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due
from norvash.core.state.round import Round
from norvash.core.text.words import use_words

SECOND_LINE = "line.second"


def second_line(state: MotorState, rules: MotorRules) -> Due | None:
    """Return when a set that showed its second wear line is to be changed, None where it has not.

    What the spacing to the last line leaves, halved, from when the second was first seen: by how long it took to follow
    the first, where both were seen, else at the rate that is known.
    Source: rule line.second
    """
    second, third = WEAR_LINE_2_MM.of(state.figures), WEAR_LINE_3_MM.of(state.figures)
    seen = [r for r in state.current.rounds if any((m.lines or 0) == 2 for m in r.readings.values())]
    if second is None or third is None or not seen:
        return None
    spacing = _by_sightings(state, seen[0], second, third)
    rate = _rate_mm(state, second, seen[0].total_units)
    if spacing is None and not rate:
        return None
    left = rules[SECOND_LINE] * (spacing if spacing is not None else (second - third) / (rate or 1.0))
    at = seen[0].total_units + left
    why = (
        f"the second wear line showed; half of what the spacing to the last one leaves is {use_words(left, state.unit)}"
    )
    return Due(name="second wear line", at_units=at, on=state.day_at(at), why=why, rule_id=SECOND_LINE, change=True)


def _by_sightings(state: MotorState, showed: Round, second_mm: float, third_mm: float) -> float | None:
    """Return what the spacing to the last line leaves [units of use], by the brushes whose first line was seen too."""
    first_mm = WEAR_LINE_1_MM.of(state.figures)
    if first_mm is None or not over(first_mm, second_mm):
        return None
    took = []
    for n in (n for n, m in showed.readings.items() if m.lines == 2):
        before = [r for r in state.current.rounds if n in r.readings and r.readings[n].lines == 1]
        if before and showed.total_units > before[0].total_units:
            took.append(showed.total_units - before[0].total_units)
    return min(took) * (second_mm - third_mm) / (first_mm - second_mm) if took else None


def _rate_mm(state: MotorState, second_mm: float, seen_units: float) -> float | None:
    """Return the wear rate [mm per unit of use]: as believed from all readings, else from new to the second line."""
    if state.ahead is not None and state.ahead.visits:
        return state.ahead.rate_mm_per_unit
    ran = seen_units - state.current.fitted_units
    return (NEW_MM.need(state.figures) - second_mm) / ran if ran > 0 and state.current.fitted_known else None
