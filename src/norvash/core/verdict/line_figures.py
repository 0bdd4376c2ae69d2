"""The figures under the line: what comes by when, and how sure that is, each with its word."""

from collections.abc import Iterable, Iterator
from dataclasses import replace
from datetime import date

from norvash.core.edges import over
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.grades import GRADES
from norvash.core.planning.policies import OWN
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import UNIT_WORDS, day_words, use_figure
from norvash.core.verdict.forecast_words import at_counter, counter_figure, due_at, far_off, on_counter
from norvash.core.verdict.line_figure import LineFigure


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
        return (*_of_a_kind(ahead, state), *_look(found, state))
    if far_off(found, today, rules):
        return (LineFigure(f"over {rules['line.horizon']:g} years", "limit about, from now"), *_look(found, state))
    if found.grade == "change":
        return (*_end(ahead, found, state), _sure(ahead, state))
    ahead_of = (*_look(found, state), *_plan(found, today))
    return (*_end(ahead, found, state), *_until_changed(ahead_of, found), _sure(ahead, state))


def _until_changed(figures: Iterable[LineFigure], found: Findings) -> Iterator[LineFigure]:
    """Yield what is said until its own day, and no longer than until the motor asks to be changed."""
    change_on = min((r.on.isoformat() for r in found.own_rises if GRADES[r.rank] == "change"), default="")
    for figure in figures:
        days = [day for day in (figure.until, change_on) if day]
        yield replace(figure, until=min(days, default=""))


def _limit(ahead: Ahead, state: MotorState) -> tuple[LineFigure, ...]:
    on = day_words(ahead.p50_on) if ahead.p50_on else ""
    return (LineFigure(at_counter(ahead.p50_units, state), on_counter("limit about", state), on),)


def _end(ahead: Ahead, found: Findings, state: MotorState) -> tuple[LineFigure, ...]:
    """Return what ends the set: its limit, or the change that an interval asks for where that comes first."""
    due = found.change
    if due is None or due.at_units is None or over(due.at_units, ahead.p50_units):
        return _limit(ahead, state)
    on = day_words(due.on) if due.on else ""
    return (LineFigure(due_at(due, state), on_counter(f"change by, for the {due.name}", state), on),)


def _look(found: Findings, state: MotorState) -> tuple[LineFigure, ...]:
    """Return by when to look again, and for what where it is not the forecast."""
    look = found.look
    if look is None:
        return ()
    on = day_words(look.on) if look.on else ""
    words = "look by" if look.rule_id == OWN else f"look by, for the {look.name}"
    at = due_at(look, state)
    if not at:
        return (LineFigure(on, words),) if on else ()
    return (LineFigure(at, on_counter(words, state), on),)


def _plan(found: Findings, today: date) -> tuple[LineFigure, ...]:
    """Return the day from which a motor asks for its change to be planned, while that is still to come."""
    plan_on, change_on = found.plan_on, (found.change.on if found.change is not None else None) or date.max
    if plan_on is None or not today < plan_on < change_on:
        return ()
    return (LineFigure(day_words(plan_on), "plan by", until=plan_on.isoformat()),)


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
