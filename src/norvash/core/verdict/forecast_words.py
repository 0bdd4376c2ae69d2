"""What a forecast is said as: a middle, a band that holds, a look before it, and what would narrow it."""

from datetime import date, timedelta

from norvash.core.edges import over, under, whole_down, within
from norvash.core.forecast.set_forecast import Ahead
from norvash.core.known import all_known
from norvash.core.motor.figure_fields import RUN_LENGTH_UNITS
from norvash.core.planning.policies import OWN, runs_left, whole_runs
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import Findings, Reason
from norvash.core.state.marks import Mark
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.policy import Due
from norvash.core.text.words import counter_words, day_words, ordinal, use_words
from norvash.core.verdict.when_words import at_counter, by_whom, counter_figure, on_counter, when_said

_FIRST_LOOK = 0.35
# Eight times in ten to this factor is narrow; of a set with this share of its usable carbon gone nothing was left.
_NARROW, _WORN_OUT = 2.0, 0.9


def range_words(found: Findings, state: MotorState) -> list[Reason]:
    """Return the band of eight in ten in use and in days, on what it rests, and what would narrow it."""
    ahead = found.ahead
    if ahead is None or found.grade == "stop":
        return []
    started = state.current.fitted_units
    if found.round is None:
        first = started + min(_FIRST_LOOK * (ahead.p50_units - started), ahead.look_units - started)
        when = f"at about {on_counter(at_counter(first, state), state)}" if over(first, state.now_units) else "now"
        return [Reason(f"One measurement {when} narrows this about four times.")]
    guess = "; the limit is an estimate" if found.limit.estimated else ""
    made = [] if found.missing else [Reason(f"{_band(ahead, state)}, from {_basis(ahead, state)}{guess}.")]
    if ahead.coarse:
        made.append(Reason("Read by rule or eye: a caliper would narrow this range by about a fifth."))
    vague = state.rate is None or (not state.rate.by_calendar and _is_vague(state))
    if vague and not found.missing:
        sure = f"The {state.unit} are known better than the date" if _is_narrow(ahead) else "The date is not sure"
        made.append(Reason(f"{sure}: tell Norvash which months this machine runs."))
    return made


def _is_narrow(ahead: Ahead) -> bool:
    """Tell whether what is left is known to a factor of two, eight times in ten."""
    low, high = ahead.p10_units - ahead.seen_units, ahead.p90_units - ahead.seen_units
    return low > 0 and not over(high, _NARROW * low)


def _band(ahead: Ahead, state: MotorState) -> str:
    low, high = counter_figure(ahead.p10_units, state), at_counter(ahead.p90_units, state)
    words = on_counter(f"The first brush is at its limit 8 times in 10 between {low} and {high}", state)
    days = all_known(ahead.p10_on, ahead.p90_on)
    return words if days is None else f"{words}, {day_words(days[0])} to {day_words(days[1])}"


def _basis(ahead: Ahead, state: MotorState) -> str:
    """Return on what a forecast rests."""
    rounds = f"{ahead.visits} round{'s' * (ahead.visits != 1)}{_from_notes(state)} and " if ahead.visits else ""
    return f"{rounds}{_past(ahead)}"


def _from_notes(state: MotorState) -> str:
    """Say how many of the rounds of the fitted set are from notes."""
    rounds = [r for r in state.current.rounds if r.readings and r.kind == "check"]
    noted = sum(r.noted for r in rounds)
    if not noted:
        return ""
    return " from notes" if noted == len(rounds) else f", {noted} of them from notes,"


def _past(ahead: Ahead) -> str:
    return f"{ahead.past_sets} earlier set{'s' * (ahead.past_sets != 1)}" if ahead.past_sets else "the expected life"


def _is_vague(state: MotorState) -> bool:
    """Tell whether no use is logged, or it has idle spells."""
    return state.rate is None or state.rate.weeks == 0 or _idles(state)


def _idles(state: MotorState) -> bool:
    """Tell whether the log has an idle spell of two months or more that no season explains."""
    if state.rate is None or state.rate.season is not None or len(state.entries) < 2:
        return False
    since = state.entries[-1].at - timedelta(days=365)
    idle_from = None
    for older, newer in zip(state.entries, state.entries[1:], strict=False):
        if newer.at < since:
            continue
        if newer.total_units - older.total_units > 1e-9:
            idle_from = None
        else:
            idle_from = idle_from or older.at
            if (newer.at - idle_from).days >= 60:
                return True
    return False


def forecast_reasons(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    """Return the forecast's reasons: the band, abnormal wear, what else asks for a look, whole runs."""
    ahead, made = found.ahead, range_words(found, state)
    nothing_known = ahead is None and not found.unknown
    if nothing_known or (found.grade == "stop" and not found.tabled_out):
        return made
    made += _as_the_last_set(found, state)
    if ahead is not None and ahead.visits >= 2 and under(ahead.tail, rules["forecast.watch"]):
        made.append(_abnormal(ahead, rules))
    if found.too_short:
        made.append(
            Reason(
                "The next interval would be shorter than is worth while: change it at this visit.",
                (rules.figure("forecast.stop"),),
            )
        )
    for due in found.dues:
        when, first = when_said(due, state), _place(due, found, state)
        said = by_whom(due)
        lead = f"{'Change' if due.change else 'Look'} by {when} {said}" if when else f"By the {due.name}"
        figures = (rules.figure(due.rule_id),) if due.rule_id else ()
        made.append(Reason(f"{lead}: {due.why}{first}.", figures))
    made += _ruling(found, state, rules)
    runs = _whole_runs(found, state)
    return made if runs is None else [*made, runs]


def _place(due: Due, found: Findings, state: MotorState) -> str:
    """Say which look and which change comes first, and what does not count."""
    if due.aside:
        return f"; not counted: {due.aside}"
    look = found.look
    if look is not None and due is look.due:
        brought = f", and not after the plan: {when_said(look, state)}" if look.brought else ""
        return f"; this look comes first{brought}"
    if due is found.change:
        return "; this change comes first"
    return "; later" if due.at_units is not None or due.on is not None else ""


def _as_the_last_set(found: Findings, state: MotorState) -> list[Reason]:
    """Say what the last set of this motor ran, and whether the forecast of this one agrees with it."""
    ahead, gone = found.ahead, [s for s in state.sets[:-1] if s.ended_units is not None and s.fitted_known]
    if ahead is None or not gone or not state.current.fitted_known:
        return []
    last, started = gone[-1], state.current.fitted_units
    ran = (last.ended_units or 0.0) - last.fitted_units
    if ran <= 0 or not ahead.visits or found.missing:
        return []
    if not _came_out_worn(last):
        says = "it came out before it was worn, so that bounds no life"
    elif within(ahead.p10_units, started + ran, ahead.p90_units):
        says = "this agrees"
    else:
        says = f"this one wears {'faster' if over(started + ran, ahead.p90_units) else 'more slowly'}"
    how = {"about": "about ", "least": "at least "}.get(last.lasted, "")
    return [Reason(f"The last set ran {how}{use_words(ran, state.unit)}: {says}.")]


def _came_out_worn(gone: BrushSet) -> bool:
    """Tell whether a set came out at the end of its carbon: only then does its use say how long a set lasts."""
    if gone.noted:
        return gone.gone_share is None or not under(gone.gone_share, _WORN_OUT)
    return gone.end_reason == "at its limit"


def _ruling(found: Findings, state: MotorState, rules: MotorRules) -> list[Reason]:
    """Say by when the change is to be planned where the forecast says so, and which look is brought to it."""
    plan, look = found.when.plan, found.look
    made = []
    if plan is not None and plan.rule_id == OWN:
        figures = (rules.figure("act.lead-days"),)
        made.append(Reason(f"Plan the change by {when_said(plan, state)} {by_whom(plan)}: {plan.why}.", figures))
    if look is not None and look.brought and look.due is None:
        made.append(Reason(f"No look comes after the plan: look by {when_said(look, state)}."))
    return made


def _whole_runs(found: Findings, state: MotorState) -> Reason | None:
    """Return how many whole runs are left before the plan, None where it can stop midway: looks do not limit them, and
    one that falls inside a run is named.
    """
    run, plan = RUN_LENGTH_UNITS.of(state.figures), found.when.plan
    due = _units_of(plan, state) if plan is not None and state.entries else None
    if not run or plan is None or due is None:
        return None
    shift, now = state.offset_units, state.entries[-1].total_units
    left = whole_runs(now + shift, run, due + shift)
    said = left.words(_as_shown(due + shift, state), _who(plan))
    words = f"In whole runs of {counter_words(run, state.unit)}: {said}."
    look = found.look.at_units if found.look is not None else None
    inside = runs_left(look - now, run) if look is not None and over(look, now) else left.runs
    before = f" Look before the {ordinal(inside + 1)}." if inside < left.runs else ""
    return Reason(f"{words}{before} Nobody stops in the middle of one.")


def _as_shown(counter: float, state: MotorState) -> float:
    """Return what a counter shows when something is due: rounded down, for what is printed adds up."""
    return counter if state.unit == "years" else float(whole_down(counter))


def _who(plan: Mark) -> str:
    return "the plan by the forecast" if plan.rule_id == OWN else plan.name


def _units_of(mark: Mark, state: MotorState) -> float | None:
    """Return at which use a mark comes: its own, or that of its day at the usual rate."""
    if mark.at_units is not None or mark.on is None or state.rate is None:
        return mark.at_units
    last = state.entries[-1]
    return last.total_units + max((mark.on - last.at.date()).days, 0) / 7 * state.rate.per_week


def _abnormal(ahead: Ahead, rules: MotorRules) -> Reason:
    chance = f"{ahead.tail:.1%}"
    if under(ahead.tail, rules["forecast.abnormal"]):
        return Reason(
            f"Abnormal wear: had nothing changed, so much wear would come {chance} of the time. Find the cause before "
            "trusting the date; the forecast now leans on the last interval.",
            (rules.figure("forecast.abnormal"),),
        )
    return Reason(
        f"Watch: had nothing changed, so much wear would come {chance} of the time. Check load, commutator and"
        " springs.",
        (rules.figure("forecast.watch"),),
    )


def far_off(found: Findings, today: date, rules: MotorRules) -> bool:
    """Tell whether even the early end of the band is so far off that something other than carbon ends the motor."""
    early = found.ahead.p10_on if found.ahead else found.days.limit_on
    return early is not None and early > today + timedelta(days=365.25 * rules["line.horizon"])
