"""The straight line of a new set: at the rate of the set before, until it has worn enough to have one of its own."""

from norvash.core.brush.gauged import is_floating
from norvash.core.brush.limits import Limit
from norvash.core.brush.straight_line import Point, counter_at, rate_mm_per_kh
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import OldRate
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.set_clock import start_of
from norvash.core.text.words import step_of
from norvash.core.verdict.line_sightings import sightings


def line_by_old_rate(state: MotorState, limit: Limit, rules: MotorRules) -> OldRate | None:
    """Return the straight line of the fitted set at the rate of the last set that was measured as it wore.

    None where there was no such set, and where its own start or its limit is not known.
    Units: -> counter values in the motor's unit of use, rounded down to a step of it
    Source: rules line.plan, line.look
    """
    current = state.current
    if not current.fitted_known or is_floating(state.figures) or limit.gauge_mm is not None:
        return None
    old = next((r for r in (_rate(s, state, rules) for s in reversed(state.sets[:-1])) if r is not None), None)
    if old is None:
        return None
    of_set, rate, worn_mm, sd_mm = old
    starts = [start_of(state, current, p.number, rules) for p in state.positions]
    left_h, now_h = min(((s.length_mm - limit.limit_mm) / rate * 1000, s.run_h) for s in starts)
    if left_h <= 0:
        return None
    step, at = step_of(state.unit), now_h + state.offset_units
    return OldRate(
        of_set=of_set,
        rate_mm_per_kh=rate,
        worn_mm=worn_mm,
        sd_mm=sd_mm,
        at_h=at,
        left_h=left_h,
        do_not_exceed_h=counter_at(at, left_h, step),
        plan_by_h=counter_at(at, rules["line.plan"] * left_h, step),
        look_again_h=counter_at(at, rules["line.look"] * left_h, step),
    )


def _rate(of_set: BrushSet, state: MotorState, rules: MotorRules) -> tuple[BrushSet, float, float, float] | None:
    """Return the rate of the worst brush of a set that is gone [mm per 1000 units], what it wore and how sure that is
    [mm]; None where it did not wear enough to tell it from the instrument.
    """
    made: list[tuple[float, float, float]] = []
    for plan in state.positions:
        start = start_of(state, of_set, plan.number, rules)
        last = next((r for r in reversed(of_set.rounds) if plan.number in r.readings), None)
        if last is None:
            continue
        read, seen = last.readings[plan.number], sightings(of_set.rounds, plan.number, state.figures)
        now = Point(read.length_mm, last.total_units, read.sd_mm)
        if seen is not None:
            _, now = seen.track(last.total_units, read.sd_mm, state.figures)
        rate, worn_mm = rate_mm_per_kh(start, now), start.length_mm - now.length_mm
        if rate is not None and rate > 0 and not under(worn_mm, rules["line.least-wear"] * read.sd_mm):
            made.append((rate, worn_mm, read.sd_mm))
    return (of_set, *max(made)) if made else None
