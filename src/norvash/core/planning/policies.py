"""Policies beside the forecast: fixed intervals, ranges, calendar limits, makers' tables.

The earliest wins and is named.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.brush.gauged import on_the_gauge_mm
from norvash.core.edges import over, whole_down
from norvash.core.motor.figure_fields import WHERE_IT_STANDS
from norvash.core.planning.interval_table import table_from
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import MotorState
from norvash.core.state.policy import Due, Policy
from norvash.core.state.round import Round
from norvash.core.state.since import has_no_day
from norvash.core.text.words import UNIT_WORDS, counted, grouped, listed, ordinal, use_words

KINDS = {
    "interval": "every so many hours or starts",
    "range": "every so many to so many hours or starts",
    "calendar": "at the latest every so many months",
    "table": "by a table of use and wear",
}
ASKS = {"look": "a look, counted from the last complete one", "change": "a new set, counted from the fitting"}
# By this rule the forecast asks for its own look.
OWN = "forecast.risk"
_WORKS_LATE = ("wet", "salt", "mostly idle")


def months_on(day: date, months: int) -> date:
    """Return the day so many months on, the last of its month where that has fewer days.

    >>> months_on(date(2026, 11, 30), 3)
    datetime.date(2027, 2, 28)
    """
    year, month = divmod(day.year * 12 + day.month - 1 + months, 12)
    last = (date(year + month // 11, (month + 1) % 12 + 1, 1) - date.resolution).day
    return date(year, month + 1, min(day.day, last))


@dataclass(frozen=True, slots=True)
class Checked:
    """Where what asks for a look is counted from: use and day of the last complete round, else of the fitting."""

    units: float
    on: date
    words: str


def last_check(state: MotorState) -> Checked:
    """Return the last complete round, or the fitting."""
    current = state.current
    complete = current.complete(state.positions)
    if complete:
        return Checked(complete[-1].total_units, complete[-1].at.date(), "the last complete look")
    words = "the fitting, for nobody has looked yet"
    if has_no_day(current, state):
        by_use = current.fitted_at < state.entries[0].at
        known = "the fitting, dated by its use alone" if by_use else "the record began"
        words = f"{known}: nobody knows its day, or has looked yet"
    return Checked(current.fitted_units, current.fitted_at.date(), words)


def dues(state: MotorState, policies: Sequence[Policy], rules: MotorRules) -> tuple[Due, ...]:
    """Return what each policy asks for, and the calendar limit that every motor has; one of a kind that only another
    version knows asks for nothing here. Of a set that nobody measured and of which nobody knows since when it runs no
    look has a day: it is at the next opportunity.
    """
    since = last_check(state)
    found = [_due(p, state, since) for p in policies if p.kind in KINDS]
    if nobody_knows(state):
        return tuple(replace(d, at_units=None, on=None) for d in found if d is not None and d.change)
    if not any(p.kind == "calendar" for p in policies):
        hard = not set(_WORKS_LATE).isdisjoint(WHERE_IT_STANDS.all_of(state.figures))
        limit = rules.figure("look.calendar-hard" if hard else "look.calendar")
        months = int(limit.value)
        found.append(
            Due(
                name="calendar limit",
                at_units=None,
                on=months_on(since.on, months),
                why=f"{months} months since {since.words}: low use is not health",
                rule_id=limit.rule_id,
            )
        )
    return tuple(d for d in found if d is not None)


def nobody_knows(state: MotorState) -> bool:
    """Tell whether a set is of unknown age and not measured: it may be anywhere in its life, and has no day."""
    return not state.current.fitted_known and not any(r.readings for r in state.current.rounds)


def _due(policy: Policy, state: MotorState, since: Checked) -> Due | None:
    if policy.kind == "calendar":
        months = int(policy.number("months"))
        return Due(
            name=policy.name, at_units=None, on=months_on(since.on, months), why=f"{months} months since {since.words}"
        )
    if policy.kind == "table":
        return _by_table(policy, state)
    return _by_interval(policy, state, since)


def _by_interval(policy: Policy, state: MotorState, since: Checked) -> Due:
    """Return when an interval is due: a change from the fitting, whatever was measured since; a look from the last."""
    if policy.of_change and not state.current.fitted_known:
        why = "it counts from the fitting, and since when this set runs is not known: no day from it"
        return Due(name=policy.name, at_units=None, on=None, why=why, change=True)
    since_units = state.current.earliest_units if policy.of_change else since.units
    every = policy.number("every" if policy.kind == "interval" else "low")
    words, late = f"every {use_words(every, state.unit)}", None
    if policy.kind == "range":
        high = policy.number("high")
        late = since_units + high
        words = f"every {grouped(every)} to {use_words(high, state.unit)}: due at the low end, overdue at the high one"
    from_what = "the fitting" if policy.of_change else since.words
    at = since_units + every
    return Due(
        name=policy.name,
        at_units=at,
        on=state.day_at(at),
        why=f"{words}, counted from {from_what}",
        overdue_units=late,
        late_on=None if late is None else state.day_at(late),
        change=policy.of_change,
    )


def _by_table(policy: Policy, state: MotorState) -> Due | None:
    """Return what a table answers for the last complete round of the fitted set, by its worst brush."""
    table = table_from(policy.figures)
    complete = state.current.complete(state.positions)
    if not complete or not state.entries:
        return _before_any_check(policy, state, table.notes.longest)
    last = complete[-1]
    values = _values(last, state, table.quantity)
    if values is None:
        return Due(
            name=policy.name,
            at_units=None,
            on=None,
            why="the table goes by depth, and this motor's depth and length are not linked",
        )
    if not state.current.fitted_known:
        why = "the table goes by use since the fitting, and that is not known: no answer from the table"
        return Due(name=policy.name, at_units=None, on=None, why=why)
    run = max(last.total_units - state.current.latest_units, 0.0)
    cell = table.look_up(run, table.worst(values), UNIT_WORDS[state.unit])
    if cell.interval is None:
        return Due(
            name=policy.name,
            at_units=None,
            on=None,
            why=cell.words,
            stop=cell.answer == "out of service",
            cell=(cell.row, cell.column),
        )
    at = last.total_units + cell.interval
    return Due(name=policy.name, at_units=at, on=state.day_at(at), why=cell.words, cell=(cell.row, cell.column))


def _before_any_check(policy: Policy, state: MotorState, longest: float | None) -> Due | None:
    """Return the table's longest interval as it runs from the fitting while nothing was checked yet."""
    if longest is None or not state.entries:
        return None
    at = state.current.earliest_units + longest
    why = f"never more than {use_words(longest, state.unit)}, counted from the fitting: nothing was checked yet"
    return Due(name=policy.name, at_units=at, on=state.day_at(at), why=why)


def _values(a_round: Round, state: MotorState, quantity: str) -> list[float] | None:
    lengths = [m.length_mm for m in a_round.readings.values()]
    if quantity == "length":
        return lengths
    depths = [on_the_gauge_mm(x, state.figures, "depth") for x in lengths]
    return None if any(d is None for d in depths) else [d for d in depths if d is not None]


def incomplete(found: Sequence[Due], missing: Sequence[str]) -> tuple[Due, ...]:
    """Return what is asked for of a set of which some brushes are not measured: what intervals, tables and the calendar
    ask for stays, the forecast's look waits for them, for its day would be one of the measured ones alone.

    Source: a set lives as long as its worst brush
    """
    if not missing:
        return tuple(found)
    why = f"a date wants the whole set, and {listed(list(missing))} {'is' if len(missing) == 1 else 'are'} not measured"
    return tuple(replace(d, at_units=None, on=None, aside=why) if d.rule_id == OWN else d for d in found)


def overdue(due: Due, state: MotorState, today: date) -> bool:
    """Tell whether the high end of a range has been passed."""
    return due.overdue_units is not None and not over(due.overdue_units, state.ran_by(today))


@dataclass(frozen=True, slots=True, kw_only=True)
class Runs:
    """Whole runs before something is due: how many, the use at which they end, and where one more would end."""

    runs: int
    ends_at: float
    next_would_end_at: float

    def words(self, due: float, why: str = "") -> str:
        """Return them in words: “2 runs, ending at 419; the third would end at 443, past 420 (maker's interval)”."""
        end = f"the {ordinal(self.runs + 1)} would end at {counted(self.next_would_end_at)}, past {counted(due)}"
        ends = f", ending at {counted(self.ends_at)}" if self.runs else ""
        return f"{self.runs} run{'s' * (self.runs != 1)}{ends}; {end}{f' ({why})' if why else ''}"


def whole_runs(use_now: float, run: float, due: float) -> Runs:
    """Return how many whole runs fit before a use at which something is due.

    Units: use_now, run and due in the motor's unit of use.
    Source: whole numbers only, for nobody stops in the middle of a run

    >>> whole_runs(188.0, 3.5, 200.0).runs
    3
    """
    runs = runs_left(due - use_now, run)
    return Runs(runs=runs, ends_at=use_now + runs * run, next_would_end_at=use_now + (runs + 1) * run)


def runs_left(left_units: float, run_units: float) -> int:
    """Return how many whole runs fit into the use that is left, for nobody stops in the middle of one.

    >>> runs_left(377.0, 8.0)
    47
    """
    return max(whole_down(left_units / run_units), 0)
