"""Look, plan and limit in words: at what the counter shows, on which day, by whom, and how far past."""

from datetime import date
from math import ceil

from norvash.core.edges import whole_down
from norvash.core.planning.policies import OWN
from norvash.core.planning.second_line import SECOND_LINE
from norvash.core.state.marks import FORECAST, LINE, PUT_OFF, Mark
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due
from norvash.core.text.words import UNIT_WORDS, day_words, use_figure, use_words


def at_counter(units: float, state: MotorState) -> str:
    """Return a total use as the counter will show it, or has shown it: one that was in then, of a use that is past."""
    return f"{counter_figure(units, state)} {UNIT_WORDS[state.unit]}"


def counter_figure(units: float, state: MotorState) -> str:
    """Return the same without its unit."""
    return use_figure(state.counter_at(units), state.unit, units - state.now_units)


def on_counter(words: str, state: MotorState) -> str:
    """Return words that say of a count in years that it stands on the counter: years from now are another thing."""
    return f"{words}, on the counter" if state.unit == "years" else words


def mark_at(mark: Mark | Due, state: MotorState) -> str:
    """Return at which counter something comes, empty where only a day is known: what was worked out from wear as
    rounded as that is, what somebody asked for to the unit.
    """
    if mark.at_units is None:
        return ""
    if mark.rule_id in (OWN, SECOND_LINE):
        return at_counter(mark.at_units, state)
    step = 0.1 if state.unit == "years" else 1.0
    return use_words(whole_down(state.counter_at(mark.at_units) / step) * step, state.unit)


def by_whom(mark: Mark | Due) -> str:
    """Return who says so: “by the forecast”, “for the maker's interval”."""
    if mark.name.endswith(PUT_OFF):
        return f"for {mark.name}"
    return f"by the {mark.name}" if mark.name in (FORECAST, LINE) else f"for the {mark.name}"


def when_said(mark: Mark | Due, state: MotorState) -> str:
    """Return by when it is, by counter and day, as far as both are known."""
    at = mark_at(mark, state)
    return ", ".join(x for x in (at and on_counter(at, state), day_words(mark.on) if mark.on else "") if x)


def late_words(mark: Mark, past_units: float, state: MotorState) -> str:
    """Return by how much a look is overdue by use, and by whom; what is spent is rounded up.

    Units: past_units in the motor's own unit of use
    """
    late = use_words(past_units if state.unit == "years" else ceil(past_units), state.unit)
    return f"the look is {late} overdue, {by_whom(mark)}"


def past_words(mark: Mark, state: MotorState, today: date) -> str:
    """Return by how much a mark is past: by use where that was reached, else in days; empty where it is not.

    What is spent is rounded up.
    """
    past = None if state.unit == "years" else mark.past_units(state.ran_by(today))
    if past:
        return use_words(ceil(past), state.unit)
    end = mark.end[1]
    days = (today - end).days if end is not None else 0
    return f"{days} day{'s' * (days != 1)}" if days > 0 else ""
