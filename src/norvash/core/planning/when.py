"""When a motor is looked at, changed and at its limit: who says so first, and who stands behind.

This says it once: line, reasons, pages, lists, calendar, paper and JSON print what stands here.
"""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import replace
from datetime import date, timedelta

from norvash.core.brush.straight_line import StraightLine
from norvash.core.edges import over
from norvash.core.planning.policies import OWN
from norvash.core.planning.unread_use import AT_THE_LATEST, UNREAD
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.life import Life
from norvash.core.state.findings import Days
from norvash.core.state.marks import FORECAST, LINE, PUT_OFF, Kind, Mark, When, ruling
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due

BEHIND_FORECAST = "the forecast speaks"
_ENDS: tuple[Kind, Kind] = ("plan", "limit")


def when(
    state: MotorState,
    rules: MotorRules,
    asked: Sequence[Due],
    *,
    by_line: tuple[StraightLine | None, Days],
    lives: Iterable[Life],
    measured: bool,
    symptoms: bool,
) -> When:
    """Return when a motor is looked at, changed and at its limit.

    `asked` is what policies and the forecast ask for, `by_line` the straight line with its days; `measured` tells
    whether the whole set was: else nothing from carbon has a day. A motor that runs until it shows `symptoms` is not
    changed by use or day. What is out of service or sent away has none of all this.
    """
    if state.away:
        return When()
    own = next((d.aside for d in asked if d.rule_id == OWN), "")
    carbon = tuple(_of_carbon(state, rules, *by_line, aside=own)) if measured else ()
    changes = tuple(_of_change(d, symptoms=symptoms) for d in asked if d.change)
    wanted = tuple(of_look(d) for d in asked if not d.change)
    if state.gap is not None:
        changes = tuple((at_the_latest(p), at_the_latest(e)) for p, e in changes)
        carbon, wanted = (tuple(map(at_the_latest, found)) for found in (carbon, wanted))
    put_off = tuple(_of_life(x) for x in lives if x.stands and x.due_on is not None)
    looks = [*wanted, *(m for m in carbon if m.kind == "look")]
    plans = [m for m in carbon if m.kind == "plan"] + [p for p, _ in changes] + list(put_off)
    limits = [m for m in carbon if m.kind == "limit"] + [e for _, e in changes]
    limit = ordered(limits)
    if rules.choice("school.when").key == "interval":
        limit = tuple(sorted(limit, key=lambda m: not (m.speaks and m.due is not None)))
    plan = ordered(plans, limit)
    return When(looks=ordered(looks, plan), plans=plan, limits=limit, asked=ruling(ordered(looks)))


def at_the_latest(mark: Mark) -> Mark:
    """Return a mark by use while no counter tells all of that; the look that it asks for itself is at the earliest."""
    own = mark.at_units is None or mark.name == UNREAD
    return mark if own else replace(mark, why=f"{mark.why}; {AT_THE_LATEST}".removeprefix("; "))


def ordered(marks: Iterable[Mark], end: Sequence[Mark] = ()) -> tuple[Mark, ...]:
    """Return marks as they come, what does not compete last; the first is brought to the end that it must not pass."""
    found = sorted((m for m in marks if m.known or m.aside), key=_rank)
    last = ruling(end)
    first = ruling(found)
    if last is None or first is None or not _after(first, last):
        return tuple(found)
    at = min((u for u in (first.at_units, last.at_units) if u is not None), default=None)
    on = last.on if last.on is not None else first.on
    brought = replace(first, name=last.name, at_units=at, on=on, rule_id=last.rule_id, brought=True)
    due = first.due if first.name == last.name else None
    why = f"not after its {last.kind}"
    rest = found[1:] if due is not None else found
    return (replace(brought, why=why, due=due, late_units=None, late_on=None), *rest)


def _rank(mark: Mark) -> tuple[bool, int, float]:
    if mark.stop:
        return not mark.speaks, 0, 0.0
    if mark.on is None:
        return not mark.speaks, 1, mark.at_units or 0.0
    return not mark.speaks, 2, float(mark.on.toordinal())


def _after(mark: Mark, end: Mark) -> bool:
    """Tell whether a mark comes after another, by day, else by use where both have that."""
    if mark.stop:
        return False
    if mark.on is not None and end.on is not None:
        return mark.on > end.on
    return mark.at_units is not None and end.at_units is not None and over(mark.at_units, end.at_units)


def of_look(due: Due) -> Mark:
    """Return the look that a policy or the forecast asks for."""
    return replace(_of_due("look", due), stop=due.stop, late_units=due.overdue_units, late_on=due.late_on)


def _of_change(due: Due, *, symptoms: bool) -> tuple[Mark, Mark]:
    """Return plan and limit of a change that is asked for: of a range its low end and its high one."""
    aside = "it runs until it shows symptoms" if symptoms else due.aside
    plan, limit = (replace(_of_due(kind, due), aside=aside) for kind in _ENDS)
    limit = replace(limit, early_units=due.at_units, early_on=due.on)
    return plan, limit if due.overdue_units is None else replace(limit, at_units=due.overdue_units, on=due.late_on)


def _of_due(kind: Kind, due: Due) -> Mark:
    """Return what a policy or the forecast asks for as one of a kind."""
    return Mark(
        kind=kind,
        name=due.name,
        at_units=due.at_units,
        on=due.on,
        why=due.why,
        rule_id=due.rule_id,
        aside=due.aside,
        due=due,
    )


def _of_life(life: Life) -> Mark:
    """Return by when what was put off is to be mended."""
    who = f", {life.put_off.who}" if life.put_off is not None else ""
    place = f"{life.place[0].lower()}{life.place[1:]}"
    name = f"{place if life.position else f'the {place}'}{PUT_OFF}"
    return Mark(kind="plan", name=name, on=life.due_on, why=f"{life.finding.words}; put off{who}")


def _of_carbon(
    state: MotorState, rules: MotorRules, line: StraightLine | None, days: Days, *, aside: str
) -> Iterator[Mark]:
    """Yield what forecast and straight line say: the line stands behind where there is a forecast. Where that does not
    count for a look, with its reason `aside`, it does not for the plan.

    Source: rules act.lead-days, line.plan, line.look
    """
    ahead, rate = state.ahead, state.rate
    if ahead is not None:
        lead = rules["act.lead-days"]
        early = None if ahead.p10_on is None else ahead.p10_on - timedelta(days=lead)
        before = rate.per_week * lead / 7 if rate is not None else 0.0
        why = f"{lead:g} days before the limit may come"
        at = ahead.p10_units - before
        yield Mark(kind="plan", name=FORECAST, at_units=at, on=early, why=why, rule_id=OWN, aside=aside)
        yield Mark(
            kind="limit",
            name=FORECAST,
            at_units=ahead.p50_units,
            on=ahead.p50_on,
            why="8 times in 10 inside its band",
            rule_id=OWN,
            early_units=ahead.p10_units,
            early_on=ahead.p10_on,
            late_units=ahead.p90_units,
            late_on=ahead.p90_on,
        )
    if line is None or line.do_not_exceed_h is None:
        return
    behind, shift = BEHIND_FORECAST if ahead is not None else "", state.offset_units
    said: tuple[tuple[Kind, float | None, date | None, str], ...] = (
        ("look", line.look_again_h, days.look_on, "line.look"),
        ("plan", line.plan_by_h, days.plan_on, "line.plan"),
        ("limit", line.do_not_exceed_h, days.limit_on, ""),
    )
    for kind, at_h, on, rule_id in said:
        if at_h is not None:
            mark = Mark(kind=kind, name=LINE, at_units=at_h - shift, on=on, rule_id=rule_id, aside=behind)
            low = None if line.plan_by_h is None else line.plan_by_h - shift
            yield mark if kind != "limit" else replace(mark, early_units=low, early_on=days.plan_on)
