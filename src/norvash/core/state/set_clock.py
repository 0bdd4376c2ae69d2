"""Where the clock of a brush and of its set starts."""

from norvash.core.brush.gauged import is_floating
from norvash.core.brush.straight_line import Point
from norvash.core.motor.figure_fields import NEW_MM, NEW_TOLERANCE_MM
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet, MotorState


def begins_at_first_reading(state: MotorState) -> bool:
    """Tell whether the clock of the fitted set starts at its first round and not when it was new."""
    return not state.current.fitted_known or is_floating(state.figures)


def start_of(state: MotorState, brush_set: BrushSet, position: int, rules: MotorRules) -> Point:
    """Return where a brush's clock starts: after bedding-in, as measured at fitting, else at its nominal length.

    Of a set that was in the motor before the record began, and by a gauge that does not say what it showed when the
    brushes were new, the clock starts at the first reading.
    """
    renewal = brush_set.renewal_of(position)
    if renewal is not None:
        tolerance = NEW_TOLERANCE_MM.of(state.figures) or rules["new.tolerance"]
        return Point(
            renewal.length_mm or NEW_MM.need(state.figures), renewal.total_units, renewal.sd_mm or tolerance / 2
        )
    since_new = brush_set.fitted_known and not is_floating(state.figures)
    kinds = ("bedded", "fitting") if since_new else ("bedded", "fitting", "check")
    for kind in kinds:
        for a_round in brush_set.rounds:
            found = a_round.readings.get(position)
            if a_round.kind == kind and found is not None:
                after = bedded_units(state, brush_set) if kind == "fitting" else 0.0
                return Point(found.length_mm, a_round.total_units + after, found.sd_mm)
    figures = state.figures
    tolerance = NEW_TOLERANCE_MM.of(figures) or rules["new.tolerance"]
    return Point(NEW_MM.need(figures), brush_set.fitted_units + bedded_units(state, brush_set), tolerance / 2)


def bedded_units(state: MotorState, brush_set: BrushSet) -> float:
    """Return what of a set's use went into running its faces in: that is no steady wear. Only hours are known of it,
    and never more than half of what it had run when it was next looked at.

    Units: -> [h]. Source: the clock of wear starts after bedding-in
    """
    if state.unit != "hours" or not brush_set.bedded_h:
        return 0.0
    later = (r.total_units for r in brush_set.rounds if r.readings and r.total_units > brush_set.fitted_units)
    return min(brush_set.bedded_h, (next(later, brush_set.fitted_units) - brush_set.fitted_units) / 2)
