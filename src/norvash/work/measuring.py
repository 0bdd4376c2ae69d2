"""Measure a set: keep each reading at once, answer doubts, note what is seen, close the round."""

from dataclasses import dataclass
from datetime import datetime
from typing import NoReturn

from norvash.core.brush.doubts import Doubt
from norvash.core.brush.readings import Reading, read
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.record import Measured
from norvash.core.sheet.stages.brushes.stage import BY_SIGHT
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import forecasts, rounds
from norvash.store.database import Connection
from norvash.store.rounds import RoundRow
from norvash.work.acting import Act, Change, prepared
from norvash.work.context import Context, Prepared, load
from norvash.work.settling import doubt_about
from norvash.work.sheet_state import unsettled
from norvash.work.sheets import hold_at_gate, sheet_of
from norvash.work.standing import Judged, foresee, judge, keep


def record(
    conn: Connection,
    act: Act,
    round_id: str,
    *,
    position: int,
    text: str,
    method: str = "",
    instrument: str = "",
    replaces: str = "",
) -> str:
    """Keep one reading at once, doubted or not, and judge the motor anew; return the reading's id.

    `replaces` is the reading that the person saw at this position; another one there is not overwritten.
    Raises: InputError for what cannot be read, Conflict for a reading that somebody else made meanwhile.
    """

    def prepare() -> _Reading:
        row, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        method_used = method or MEASURED_BY.of(context.figures)
        instrument_used = instrument or MEASURED_WITH.of(context.figures)
        try:
            reading = read(text, context.figures, context.rules, method_used, instrument_used)
        except InputError as error:
            raise error.at(error.field or "value") from None
        doubt = doubt_about(context, row, plan, reading)
        measured = Measured(
            length_mm=reading.length_mm,
            sd_mm=reading.sd_mm,
            low_mm=reading.low_mm,
            high_mm=reading.high_mm,
            lines=reading.lines,
            doubt=doubt.words if doubt else "",
            doubt_rule=doubt.rule_id if doubt else "",
            id=act.id,
        )
        after = context.with_reading(round_id, position, measured)
        return _Reading(
            context=context,
            plan=plan,
            reading=reading,
            method=method_used,
            instrument=instrument_used,
            doubt=doubt,
            judged=foresee(conn, [after], act.at.date())[0],
        )

    def body(act: Act, made: _Reading) -> Change:
        reading, doubt = made.reading, made.doubt
        before = rounds.add_reading(
            conn,
            act.id,
            round_id,
            position=position,
            reading=reading,
            method=made.method,
            instrument=made.instrument,
            doubt=doubt,
            act_id=act.id,
        )
        if before is not None and before[0] != replaces:
            _meanwhile(conn, before[0], made.plan)
        keep(conn, made.judged)
        after = {
            "position": made.plan.label,
            "typed": reading.typed,
            "length_mm": reading.length_mm,
            "doubt": doubt.kind if doubt else "",
        }
        was = {"typed": before[1], "length_mm": before[2]} if before else {}
        return Change(act.id, was, after, made.judged.context.motor.id)

    typed = {
        "round": round_id,
        "position": position,
        "text": text,
        "method": method,
        "instrument": instrument,
        "replaces": replaces,
    }
    return prepared(conn, act, "measure", typed=typed, prepare=prepare, body=body)


@dataclass(frozen=True, kw_only=True)
class _Reading(Prepared):
    """A reading that is read and judged, and not kept yet."""

    plan: PositionPlan
    reading: Reading
    method: str
    instrument: str
    doubt: Doubt | None
    judged: Judged


def _meanwhile(conn: Connection, reading_id: str, plan: PositionPlan) -> NoReturn:
    there, _ = rounds.fetch_reading(conn, reading_id)
    raise Conflict(
        f"{there.person} has already measured {plan.label}: {there.said}.",
        f"Your value is kept in the field: enter it again to replace {there.said}.",
        "value",
    )


def _open(conn: Connection, round_id: str, now: datetime) -> tuple[RoundRow, Context]:
    """Return a round that takes readings, with its motor.

    Raises: Conflict for a finished one, or while the gate of its sheet is open.
    """
    row = rounds.fetch_round(conn, round_id)
    if row.finished:
        raise Conflict("This round is finished.", "Start a new sheet on the motor's page to measure again.", "value")
    context = load(conn, row.motor_id)
    hold_at_gate(sheet_of(conn, context, round_id), "safe", context, now)
    return row, context


def _plan(context: Context, position: int) -> PositionPlan:
    for plan in context.state.positions:
        if plan.number == position:
            return plan
    raise NotFound(f"This motor has no position {position}.", "Choose one in the end view.", "position")


def note(conn: Connection, act: Act, round_id: str, position: int, seen: str, *, gone: bool = False) -> str:
    """Keep what was seen on a brush, or take it back; return the round's id.

    Raises: InputError for a finding that is not in the list, Conflict for a finished round.
    """
    if seen not in BY_SIGHT:
        raise InputError("This finding is not known.", "Choose one from the list.", "seen")

    def prepare() -> _Noted:
        _, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        this = (position, BY_SIGHT[seen])
        there = {s for s in rounds.list_noted(conn, round_id) if s != this}
        now = sorted(there if gone else there | {this}, key=lambda s: (s[0], s[1].id))
        after = context.with_seen(round_id, unsettled(now, context.written))
        return _Noted(context, plan, judge(after, act.at.date()))

    def body(act: Act, made: _Noted) -> Change:
        if gone:
            rounds.strike_finding(conn, round_id, position, seen, act.id)
        else:
            rounds.add_finding(conn, act.id, round_id, position=position, seen=seen, act_id=act.id)
        keep(conn, made.judged)
        after = {"position": made.plan.label, "seen": seen, "taken back": gone}
        return Change(round_id, {}, after, made.context.motor.id)

    typed = {"round": round_id, "position": position, "seen": seen, "gone": gone}
    return prepared(conn, act, "note a finding", typed=typed, prepare=prepare, body=body)


@dataclass(frozen=True)
class _Noted(Prepared):
    """A finding on a brush, and the motor judged with it."""

    plan: PositionPlan
    judged: Judged


def keep_forecast(conn: Connection, row: RoundRow, context: Context, at: datetime) -> None:
    """Keep the forecast as it stands when a round is closed, to be held against what comes.

    The caller holds the transaction.
    """
    ahead = context.state.ahead
    if ahead is not None and ahead.visits:
        forecasts.save_made(
            conn,
            forecasts.Made(
                round_id=row.id,
                set_id=row.set_id,
                motor_id=row.motor_id,
                at=at,
                visits=ahead.visits,
                p05_units=ahead.p05_units,
                p10_units=ahead.p10_units,
                p50_units=ahead.p50_units,
                p90_units=ahead.p90_units,
                p95_units=ahead.p95_units,
                look_units=ahead.look_units,
                tail=ahead.tail,
            ),
        )
