"""One brush as its last reading has it."""

from norvash.core.brush.carbon import usable_carbon
from norvash.core.brush.gauged import is_floating
from norvash.core.brush.limits import Limit
from norvash.core.brush.straight_line import Point, rate_mm_per_kh
from norvash.core.grades import Graded, grade_of, grade_of_line, worst
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import BrushNow
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.set_clock import start_of


def brush_now(state: MotorState, current: BrushSet, index: int, limit: Limit, rules: MotorRules) -> BrushNow:
    """Return a brush of a set by its last reading, its grade by length or line."""
    plan = state.positions[index]
    start = start_of(state, current, plan.number, rules)
    having = [r for r in current.rounds if plan.number in r.readings]
    newest = next((r for r in reversed(current.rounds) if r.readings), None)
    if not having:
        return BrushNow(
            number=plan.number,
            label=plan.label,
            start=start,
            last=None,
            in_round=False,
            wear_mm=None,
            usable=None,
            left_mm=None,
            rate_mm_per_kh=None,
            graded=None,
            next_mm=None,
        )
    last_round = having[-1]
    last = last_round.readings[plan.number]
    usable: float | None = usable_carbon(last.length_mm, NEW_MM.need(state.figures), limit.limit_mm)
    graded = grade_of(usable or 0.0, rules)
    if is_floating(state.figures):  # nothing is known of its share: its limit by the gauge, and the days, decide
        graded = graded if graded.grade == "stop" else Graded("fit", "depth")
        usable = None
    if last.lines is not None:
        graded = worst([grade_of_line(last.lines), *([graded] if graded.grade == "stop" else [])]) or graded
    now = Point(last.length_mm, last_round.total_units, last.sd_mm)
    since_new = current.fitted_known or is_floating(state.figures)
    new_mm = start.length_mm if since_new else NEW_MM.need(state.figures)
    return BrushNow(
        number=plan.number,
        label=plan.label,
        start=start,
        last=last,
        in_round=last_round is newest,
        wear_mm=new_mm - last.length_mm,
        usable=usable,
        left_mm=last.length_mm - limit.limit_mm,
        rate_mm_per_kh=rate_mm_per_kh(start, now),
        graded=graded,
        next_mm=None,
    )
