"""Use that no counter tells: the look that it asks for until every brush is measured again, and what stays."""

from datetime import timedelta
from math import exp

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due
from norvash.core.text.words import day_words, use_words
from norvash.core.use.rate import day_of, rate_sd

UNREAD, AT_THE_LATEST = "unread counter", "at the latest: what has run is at least what is counted"
HALF_OF_IT = "line.look"
# To how many standard deviations of its week a motor may have run while no counter told it.
_MOST_SDS = 2.0


def look_after_gap(state: MotorState, rules: MotorRules) -> Due | None:
    """Return the look that is due because a counter was changed at a figure nobody knows, None where none was since
    every brush was measured.

    Half of what is left at the most that can have run; where nothing is known of what is left, at once.
    Source: rules line.look, use.hours-a-day, use.starts-a-day
    """
    gap = state.gap
    if gap is None:
        return None
    most = state.now_units + _unseen_at_most(state, rules)
    left = 0.0 if state.ahead is None else max(state.ahead.p10_units - most, 0.0)
    at, last = state.now_units + rules[HALF_OF_IT] * left, state.entries[-1]
    return Due(
        name=UNREAD,
        at_units=at,
        on=last.at.date() if state.rate is None else day_of(at, last, state.rate),
        why=f"a counter was changed by {day_words(gap.at.date())} at a figure nobody knows, and the set may have run"
        f" {use_words(most - state.current.fitted_units, state.unit)}: half of what that leaves, at the earliest",
        rule_id=HALF_OF_IT,
    )


def _unseen_at_most(state: MotorState, rules: MotorRules) -> float:
    """Return what may have run beside what was counted, where counters were changed since every brush was measured."""
    a_day = rules["use.hours-a-day" if state.unit == "hours" else "use.starts-a-day"]
    found, since = 0.0, state.known[-1]
    for entry in state.entries[len(state.known) :]:
        if entry.basis == "least":
            days = (entry.at - since.at) / timedelta(days=1)
            most, rate = a_day * days, state.rate
            if rate is not None:
                usual = rate.per_week * days / 7
                most = min(most, usual * exp(_MOST_SDS * rate_sd(rate, days / 7)))
            found += max(most - (entry.total_units - since.total_units), 0.0)
        since = entry
    return found


def gap_words(state: MotorState) -> str:
    """Return what is said of use that no counter tells, empty where every brush was measured since."""
    gap = state.gap
    if gap is None or under(state.now_units, state.current.fitted_units):
        return ""
    ran = use_words(state.now_units - state.current.fitted_units, state.unit)
    return (
        f"A counter was changed by {day_words(gap.at.date())} at a figure nobody knows: the set has run at least {ran}."
        " Days that stood before stay, at the latest, until every brush is measured; ask whoever may know the figure."
    )
