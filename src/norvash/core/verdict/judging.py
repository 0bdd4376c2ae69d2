"""The verdict on a motor: what to do, why, how sure, by when, and by which rules."""

from dataclasses import replace
from datetime import date
from math import inf

from norvash.core.brush.gauged import is_floating, shows_depths
from norvash.core.brush.spread import Spread
from norvash.core.edges import over, under
from norvash.core.grades import Graded, rank_of, worst
from norvash.core.motor.figure_fields import NEW_MM
from norvash.core.planning.policies import OWN, dues, incomplete, last_check, nobody_knows
from norvash.core.planning.second_line import second_line
from norvash.core.planning.unread_use import look_after_gap
from norvash.core.planning.when import when
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Life
from norvash.core.state.findings import BrushNow, Days, Findings, OpenDoubt
from norvash.core.state.marks import When
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.policy import Due
from norvash.core.state.rising import Rise, by_change, by_limit, by_lives, by_look, grade_on
from norvash.core.state.swapped import could_be_of
from norvash.core.verdict.before_work import by_carbon_found, worn, worn_as_found, worn_then
from norvash.core.verdict.components import MOTOR, components_of, conditions_of, motor_grade
from norvash.core.verdict.set_grade import by_interval, follows_symptoms, raised
from norvash.core.verdict.set_line import days_of, since_read
from norvash.core.verdict.set_read import SetRead, set_read
from norvash.core.verdict.uneven import spread_of, uneven_as_found, uneven_now
from norvash.core.verdict.when_words import late_words
from norvash.core.visit.lives import lives


def past_limit(state: MotorState, today: date) -> bool:
    """Tell whether the middle of the forecast has been passed by what has run since a round."""
    ahead = state.ahead
    return ahead is not None and ahead.visits > 0 and not over(ahead.p50_units, state.ran_by(today))


def _by_day(found: When, state: MotorState, rules: MotorRules, *, symptoms: bool) -> tuple[Rise, ...]:
    """Return on which days limit, change and look raise the motor; a school that follows `symptoms` is exempt."""
    if symptoms:
        return ()
    early_on = min((m.early_on for m in found.limits if m.speaks and m.due is None and m.early_on), default=None)
    change = next((m.due for m in found.plans if m.due is not None and m.speaks), None)
    return (*by_limit(early_on, rules), *by_change(change, rules), *by_look(found.asked, last_check(state).on))


def _overdue(found: When, state: MotorState, today: date) -> Graded | None:
    """Return how grave a look is that is overdue by use, None where none is or where use says nothing: to be planned,
    or to be done now where the limit may have come since or it is later than its own interval again.
    """
    ran, since = state.ran_by(today), last_check(state).units
    carbon = (m.early_units for m in found.limits if m.speaks and m.due is None and m.early_units is not None)
    early = min(carbon, default=inf)
    ranges = (m for m in found.looks if m.late_units is not None and m.speaks and not m.brought)
    for mark in (found.asked, *ranges):
        end = mark.end[0] if mark is not None else None
        if mark is not None and end is not None and under(end, ran):
            again = end + max(end - since, 0.0)
            return Graded("plan" if under(ran, min(early, again)) else "change", late_words(mark, ran - end, state))
    return None


def findings(state: MotorState, rules: MotorRules, today: date) -> Findings:
    """Return what the readings of the fitted set say today.

    Raises: InputError when the motor's figures contradict each other.
    """
    read = set_read(state, rules)
    line_days = days_of(state, read.line)
    asked = incomplete(_dues(state, rules), read.missing)
    too_short, out = read.latest is not None and _too_short(state, rules), any(d.stop for d in asked)
    by_all = _by_all(state, rules, read, late=past_limit(state, today) or too_short, out=out)
    spread, lived = _lived(state, rules, read, by_all)
    due_graded = by_interval(asked, state, rules, today)
    by_use = worst([g for g in (by_all, due_graded) if g])
    conditions = conditions_of(state, read.since, lived, by_use)
    symptoms = follows_symptoms(rules)
    stopped = (by_use is not None and by_use.grade == "stop") or any(
        c.finding.grade == "stop" for c in conditions if not c.finding.part.outside
    )
    at = when(
        replace(state, away=state.away or stopped),
        rules,
        asked,
        by_line=(read.line, line_days),
        lives=lived,
        measured=read.is_whole,
        symptoms=symptoms,
    )
    components = components_of(by_use, conditions, state.overrules, _overdue(at, state, today))
    graded, whole = motor_grade(components, state.overrules)
    base = graded.grade if graded else None
    ruled = {c.id for c in components if c.overruled is not None}
    before = next((c for c in conditions if c.finding.part.outside and c.finding.grave), None)
    machine_base = max((base, before.finding.grade if before else None), key=rank_of)
    rises = (*_by_day(at, state, rules, symptoms=symptoms), *by_lives(lived))
    rises = tuple(r for r in rises if r.outside or (whole is None and r.part not in ruled))
    return Findings(
        grade=grade_on(base, (r for r in rises if not r.outside), today),
        base=base,
        rises=rises,
        before=before,
        machine=grade_on(machine_base, rises, today),
        machine_base=machine_base,
        lives=lived,
        new=state.told.new,
        graded=read.by_length,
        by_all=by_use,
        unknown=nobody_knows(state),
        taken=_taken(state, state.current),
        due_graded=due_graded,
        limit=read.limit,
        brushes=read.brushes,
        missing=read.missing,
        held=read.held,
        governing=read.governing,
        line=read.line,
        days=_days(at),
        spread=spread,
        round=read.latest,
        complete_before=read.complete_before if read.missing else None,
        doubts=_doubts(read.brushes, state.current, rules),
        conditions=conditions,
        components=components,
        overruled=whole,
        fallen=next((o for o in state.overrules if o.component == MOTOR), None) if whole is None else None,
        line_days=line_days,
        old_rate=read.old,
        old_days=days_of(state, read.old),
        since_read=since_read(read.brushes, state, read.latest, rules, today),
        ahead=None if nobody_knows(state) else state.ahead,
        dues=asked,
        when=at,
        too_short=too_short,
        tabled_out=out,
    )


def _by_all(state: MotorState, rules: MotorRules, read: SetRead, *, late: bool, out: bool) -> Graded | None:
    """Return the grade of the carbon by its lengths, its doubts, and what is `late` or `out` by table."""
    last = [b.last for b in read.brushes if b.last]
    return raised(read.by_length, last, NEW_MM.need(state.figures), rules, late=late, out=out)


def _lived(
    state: MotorState, rules: MotorRules, read: SetRead, by_all: Graded | None
) -> tuple[Spread | None, tuple[Life, ...]]:
    """Return how evenly the set has worn, None where it is not all read, and the lives of what was found."""
    # While only a part of the set is measured its days say nothing for good: its lengths alone begin a life.
    half = state.told.sheet is not None and not state.told.measured and not state.told.new
    by_carbon_now = read.by_length if half else by_all
    whole = read.is_whole and not read.shortest_only
    spread = spread_of(read.brushes, state, rules) if whole else None
    worn_found, worn_now = worn_as_found(state, rules, by_carbon_now), worn(by_carbon_now)
    worn_before = worn_then(state, worn_found, worn_now) if state.grounds else {}
    uneven = uneven_now(spread, state)
    set_found = {**uneven_as_found(state, rules, uneven), **by_carbon_found(worn_found)}
    return spread, lives(state.told, set_found, {**uneven, **by_carbon_found(worn_now)}, worn_before)


def _dues(state: MotorState, rules: MotorRules) -> tuple[Due, ...]:
    """Return what the forecast and every policy ask for."""
    ahead = state.ahead
    asked = tuple(d for d in (second_line(state, rules), look_after_gap(state, rules)) if d is not None)
    for on, units in ((state.asked_on, None), (None, state.asked_units)):
        if on is not None or units is not None:
            by_use = None if units is None else state.day_at(units)
            asked = (
                *asked,
                Due(
                    name="date that its sheet asks for" if on is not None else "look that its sheet asks for",
                    at_units=units,
                    on=on or by_use,
                    why="asked for when the sheet was signed",
                ),
            )
    if ahead is None or nobody_knows(state):
        return (*dues(state, state.policies, rules), *asked) if ahead is not None else asked
    risk = rules[OWN] * 100
    own = Due(
        name="forecast",
        at_units=ahead.look_units,
        on=ahead.look_on,
        why=f"at most {risk:g} chances in 100 per interval that the limit is passed before",
        rule_id=OWN,
    )
    others = dues(state, state.policies, rules)
    if is_floating(state.figures) and ahead.visits < 2 and any(d.at_units is not None for d in others):
        own = replace(own, aside="fewer than two rounds of wear by a gauge that nobody zeroed on new brushes")
    return (own, *others, *asked)


def _days(found: When) -> Days:
    """Return the days of what rules, with the early bound of all limits that speak, and the late one."""
    limit, plan, look = found.limit, found.plan, found.look
    early = min((m.early_on for m in found.limits if m.speaks and m.early_on is not None), default=None)
    return Days(
        limit_on=limit.on if limit is not None else None,
        plan_on=plan.on if plan is not None else None,
        look_on=look.on if look is not None else None,
        early_on=early,
        late_on=limit.late_on if limit is not None else None,
    )


def _too_short(state: MotorState, rules: MotorRules) -> bool:
    """Tell whether the next interval, counted from the last round, would not be worth while, of the life of a set; of
    one whose gauge nobody zeroed no life is known.
    """
    ahead = state.ahead
    if ahead is None or ahead.visits == 0 or is_floating(state.figures):
        return False
    return under(ahead.look_units - ahead.seen_units, rules["forecast.stop"] * ahead.life_units)


def _taken(state: MotorState, current: BrushSet) -> bool:
    """Tell whether nobody has measured a new set, and every length was taken from the part: of one that is spoken of in
    depths that says nothing.
    """
    whole = {p.number for p in state.positions} <= current.nominal and not any(r.readings for r in current.rounds)
    return whole and not shows_depths(state.figures)


def _doubts(brushes: tuple[BrushNow, ...], current: BrushSet, rules: MotorRules) -> tuple[OpenDoubt, ...]:
    labels = {b.number: b.label for b in brushes}
    return tuple(
        OpenDoubt(
            number=b.number,
            label=b.label,
            words=b.last.doubt,
            rule_id=b.last.doubt_rule,
            reading_id=b.last.id,
            swaps=tuple((n, labels[n]) for n in could_be_of(current, b.number, b.last, rules) if n in labels),
        )
        for b in brushes
        if b.last and b.last.doubt
    )
