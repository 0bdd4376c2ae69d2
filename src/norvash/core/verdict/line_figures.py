"""The figures under the line: what comes by when, and how sure that is, each with its word."""

from datetime import date, timedelta

from norvash.core.forecast.set_forecast import Ahead
from norvash.core.planning.policies import OWN
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import Findings
from norvash.core.state.marks import Mark
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import UNIT_WORDS, day_words, use_figure
from norvash.core.verdict.forecast_words import far_off
from norvash.core.verdict.line_figure import LineFigure
from norvash.core.verdict.when_words import at_counter, by_whom, counter_figure, mark_at, on_counter, past_words


def line_figures(found: Findings, state: MotorState, rules: MotorRules, today: date) -> tuple[LineFigure, ...]:
    """Return limit, look, plan and sureness of a motor, as far as they may be said."""
    ahead = found.ahead
    if found.grade == "stop" or found.unknown:
        return ()
    if ahead is None:
        return (LineFigure("…", "the forecast is being worked out"),)
    return () if found.missing else _foreseen(found, ahead, state, rules, today)


def _foreseen(
    found: Findings, ahead: Ahead, state: MotorState, rules: MotorRules, today: date
) -> tuple[LineFigure, ...]:
    if found.round is None:
        return (*_of_a_kind(ahead, state), *_marked(found.look, state, today))
    # A look that is brought to the plan, or to the change itself, is that visit.
    look = () if found.look is not None and found.look.brought else _marked(found.look, state, today)
    if far_off(found, today, rules):
        return (LineFigure(f"over {rules['line.horizon']:g} years", "limit about, from now"), *look)
    ahead_of = (*look, *_plan(found, state, today))
    return (*_end(ahead, found, state), *ahead_of, _sure(ahead, state))


def _limit(ahead: Ahead, state: MotorState) -> tuple[LineFigure, ...]:
    on = day_words(ahead.p50_on) if ahead.p50_on else ""
    return (LineFigure(at_counter(ahead.p50_units, state), on_counter("limit about", state), on),)


def _end(ahead: Ahead, found: Findings, state: MotorState) -> tuple[LineFigure, ...]:
    """Return what ends the set: its limit, or the change that an interval asks for where that comes first."""
    limit = found.when.limit
    if limit is None or limit.due is None or limit.at_units is None:
        return _limit(ahead, state)
    on = day_words(limit.on) if limit.on else ""
    return (LineFigure(mark_at(limit, state), on_counter(f"change by, for the {limit.name}", state), on),)


def _marked(mark: Mark | None, state: MotorState, today: date, also: str = "") -> tuple[LineFigure, ...]:
    """Return by when a look or a plan is, and for whom where that is not the forecast; of one that is past by how much.

    One that will be past on a day to come is said until then. What comes `also` by then is named with it.
    """
    if mark is None or not mark.known or mark.stop:
        return ()
    words = f"{mark.kind}{also} by" if mark.rule_id == OWN else f"{mark.kind}{also} by, {by_whom(mark)}"
    at, on = mark_at(mark, state), day_words(mark.on) if mark.on else ""
    past, late = past_words(mark, state, today), "overdue" if mark.kind == "look" else "past"
    both = ", ".join(x for x in (at, on) if x)
    if past:
        return (LineFigure(f"{past} {late}", words, both),)
    value, beside = (at, on) if at and mark.kind == "look" else (on or at, at if on else "")
    said, end = on_counter(words, state) if value == at else words, mark.end[1]
    if end is None:
        return (LineFigure(value, said, beside),)
    turns = (end + timedelta(days=1)).isoformat()
    return (LineFigure(value, said, beside, until=turns), LineFigure(late, words, both, since=turns))


def _plan(found: Findings, state: MotorState, today: date) -> tuple[LineFigure, ...]:
    """Return by when a change is to be planned, or what was put off mended, where that is not the limit itself."""
    plan, limit = found.when.plan, found.when.limit
    at_its_limit = plan is not None and plan.due is not None and plan.due.overdue_units is None
    if at_its_limit and limit is not None and limit.due is not None:
        return ()
    look = found.look
    return _marked(plan, state, today, " and look" if look is not None and look.brought else "")


def _sure(ahead: Ahead, state: MotorState) -> LineFigure:
    low, high = counter_figure(ahead.p10_units, state), at_counter(ahead.p90_units, state)
    return LineFigure("8 in 10", "how sure", on_counter(f"{low} to {high}", state))


def _of_a_kind(ahead: Ahead, state: MotorState) -> tuple[LineFigure, ...]:
    """Return how long half of such sets last, before anything is measured on this one."""
    started = state.current.fitted_units
    low, high = (use_figure(x - started, state.unit, x - started) for x in (ahead.p25_units, ahead.p75_units))
    past = ahead.past_sets
    basis = f"from {past} earlier set{'s' * (past > 1)} of this kind" if past else "from the expected life only"
    return (LineFigure(f"{low} to {high} {UNIT_WORDS[state.unit]}", "half of such sets last", basis),)
