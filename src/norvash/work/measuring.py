"""Measure a set: keep each reading at once, answer doubts, note what is seen, close the round."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from datetime import date, datetime
from typing import NoReturn

from norvash.core.doubts import ANSWERS, Doubt, doubt_of
from norvash.core.findings import BY_ID
from norvash.core.positions import PositionPlan
from norvash.core.readings import Reading, read
from norvash.core.renewal import Carbon
from norvash.core.state import Measured, Round, motor_limit, start_of
from norvash.core.straight_line import Point
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import forecasts, rounds
from norvash.store.database import Connection
from norvash.store.rounds import ReadingRow, RoundRow
from norvash.work.acting import Act, Change, prepared
from norvash.work.context import Context, Prepared, load
from norvash.work.sheet_state import unsettled
from norvash.work.sheets import hold_at_gate, sheet_of
from norvash.work.standing import Judged, foresee, judge, keep


def record(
    conn: Connection, act: Act, round_id: str, position: int, text: str, method: str = "", instrument: str = "",
    replaces: str = "",
) -> str:  # fmt: skip
    """Keep one reading at once, doubted or not, and judge the motor anew; return the reading's id.

    `replaces` is the reading that the person saw at this position; another one there is not overwritten.
    Raises: InputError for what cannot be read, Conflict for a reading that somebody else made meanwhile.
    """

    def prepare() -> _Reading:
        row, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        method_used = method or context.figures.word("method")
        instrument_used = instrument or context.figures.word("instrument")
        try:
            reading = read(text, context.figures, context.rules, method_used, instrument_used)
        except InputError as error:
            raise error.at(error.field or "value") from None
        doubt = doubt_about(context, row, plan, reading)
        measured = Measured(reading.length_mm, reading.sd_mm, reading.low_mm, reading.high_mm, reading.lines,
                            doubt.words if doubt else "", doubt.rule_id if doubt else "", act.id)  # fmt: skip
        after = context.with_reading(round_id, position, measured)
        return _Reading(
            context, plan, reading, method_used, instrument_used, doubt, foresee(conn, [after], act.at.date())[0]
        )

    def body(act: Act, made: _Reading) -> Change:
        reading, doubt = made.reading, made.doubt
        before = rounds.add_reading(
            conn, act.id, round_id, position, reading, made.method, made.instrument, doubt, act.id
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

    typed = {"round": round_id, "position": position, "text": text, "method": method, "instrument": instrument,
             "replaces": replaces}  # fmt: skip
    return prepared(conn, act, "measure", typed, prepare, body)


@dataclass(frozen=True)
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
    raise Conflict(f"{there.person} has already measured {plan.label}: {there.said}.",
                   f"Your value is kept in the field: enter it again to replace {there.said}.", "value")  # fmt: skip


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


def doubt_about(context: Context, row: RoundRow, plan: PositionPlan, reading: Reading) -> Doubt | None:
    """Return the doubt about a reading, against this set's start, its last round and its partners."""
    state, current = context.state, context.state.current
    this = next(r for r in current.rounds if r.id == row.id)
    start = start_of(state, current, plan.number, context.rules)
    if start.run_h >= row.total_units and not current.fitted_known:
        start = Point(state.figures.need("new_mm"), row.total_units, start.sd_mm)
    new_mm, limit = state.figures.need("new_mm"), motor_limit(state.figures, context.rules)
    rate = (
        state.ahead.rate_mm_per_unit
        if state.ahead
        else (new_mm - limit.limit_mm) / state.figures.need("expected_life_units")
    )
    return doubt_of(reading, start, _previous(current.rounds, this, plan.number), row.total_units,
                    _partners(context, this, plan.number), context.rules, Carbon(new_mm, limit.limit_mm, rate))  # fmt: skip


def take_back_answer(conn: Connection, act: Act, reading_id: str) -> str:
    """Open a doubt again that was answered with “it is right”; return the motor's id.

    Raises: Conflict when there is no such answer to take back.
    """

    def prepare() -> _Answered:
        found = _answered(conn, reading_id, act.at.date(), lambda row, now: replace(now, doubt=row.doubt))
        if found is None or not found.reading.doubt_answer:
            raise Conflict("This answer stands no more.", "Look at the round as it is now.")
        return found

    def body(_: Act, made: _Answered) -> Change:
        reading, motor_id = made.reading, made.judged.context.motor.id
        rounds.answer_doubt(conn, reading_id, "")
        keep(conn, made.judged)
        return Change(motor_id, {"typed": reading.typed, "answer": reading.doubt_answer}, {"answer": ""}, motor_id)

    return prepared(conn, act, "take back an answer", {"reading": reading_id}, prepare, body)


@dataclass(frozen=True)
class _Answered(Prepared):
    """A reading whose doubt is answered, with its motor judged by that, and not kept yet."""

    reading: ReadingRow
    round_id: str
    judged: Judged


def _answered(
    conn: Connection, reading_id: str, today: date, changed: Callable[[ReadingRow, Measured], Measured | None]
) -> _Answered | None:
    """Return a reading with its motor judged as it is changed, None where it counts no longer."""
    reading, round_id = rounds.fetch_reading(conn, reading_id)
    context = load(conn, rounds.fetch_round(conn, round_id).motor_id)
    counting = rounds.list_readings(conn, round_id).get(reading.position_number)
    if counting is None or counting.id != reading_id:
        return None
    of_round = next(r for s in context.sets for r in s.rounds if r.id == round_id)
    now = of_round.readings.get(reading.position_number)  # of a brush that was renewed since it counts for nothing
    made = changed(reading, now) if now is not None else None
    after = context.with_reading(round_id, reading.position_number, made)
    return _Answered(context, reading, round_id, foresee(conn, [after], today)[0])


def _previous(all_rounds: tuple[Round, ...], this: Round, position: int) -> Point | None:
    earlier = [
        r for r in all_rounds if r.id != this.id and position in r.readings and r.total_units <= this.total_units
    ]
    if not earlier:
        return None
    found = earlier[-1].readings[position]
    return Point(found.length_mm, earlier[-1].total_units, found.sd_mm)


def _partners(context: Context, this: Round, position: int) -> list[Point]:
    """Return the wear of the other brushes of this round, as points."""
    partners = []
    for number, measured in this.readings.items():
        if number == position or measured.doubt:
            continue
        start = start_of(context.state, context.state.current, number, context.rules)
        worn = start.length_mm - measured.length_mm
        if start.run_h >= this.total_units:
            worn = context.figures.need("new_mm") - measured.length_mm
        partners.append(Point(worn, this.total_units, measured.sd_mm))
    return partners


def settle_doubt(conn: Connection, act: Act, reading_id: str, answer: str) -> str:
    """Keep what the person says about a doubted reading; a mistyped one is withdrawn, from a finished round too.

    Return the round's id. Raises: Conflict for a reading that counts no longer.
    """
    if answer not in dict(ANSWERS):
        raise InputError("This answer is not known.", "Choose one of the answers.", "answer")

    gone = answer == "mistyped"

    def prepare() -> _Answered:
        found = _answered(conn, reading_id, act.at.date(), lambda _, now: None if gone else replace(now, doubt=""))
        if found is None:
            raise Conflict(
                "This reading counts no longer: it was replaced or withdrawn.", "Look at the round as it is now."
            )
        return found

    def body(_: Act, made: _Answered) -> Change:
        if gone:
            rounds.withdraw_reading(conn, reading_id)
        else:
            rounds.answer_doubt(conn, reading_id, answer)
        keep(conn, made.judged)
        before = {"typed": made.reading.typed, "doubt": made.reading.doubt}
        return Change(made.round_id, before, {"answer": answer}, made.judged.context.motor.id)

    return prepared(conn, act, "settle a doubt", {"reading": reading_id, "answer": answer}, prepare, body)


def note(conn: Connection, act: Act, round_id: str, position: int, seen: str, *, gone: bool = False) -> str:
    """Keep what was seen on a brush, or take it back; return the round's id.

    Raises: InputError for a finding that is not in the list, Conflict for a finished round.
    """
    if seen not in BY_ID:
        raise InputError("This finding is not known.", "Choose one from the list.", "seen")

    def prepare() -> _Noted:
        _, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        there = {s for s in rounds.list_noted(conn, round_id) if s != (position, seen)}
        now = sorted(there if gone else there | {(position, seen)})
        after = context.with_seen(round_id, unsettled(now, context.written))
        return _Noted(context, plan, judge(after, act.at.date()))

    def body(act: Act, made: _Noted) -> Change:
        if gone:
            rounds.strike_finding(conn, round_id, position, seen, act.id)
        else:
            rounds.add_finding(conn, act.id, round_id, position, seen, act.id)
        keep(conn, made.judged)
        after = {"position": made.plan.label, "seen": seen, "taken back": gone}
        return Change(round_id, {}, after, made.context.motor.id)

    typed = {"round": round_id, "position": position, "seen": seen, "gone": gone}
    return prepared(conn, act, "note a finding", typed, prepare, body)


@dataclass(frozen=True)
class _Noted(Prepared):
    """A finding on a brush, and the motor judged with it."""

    plan: PositionPlan
    judged: Judged


def keep_forecast(conn: Connection, row: RoundRow, context: Context, at: datetime) -> None:
    """Keep the forecast as it stands when a round is closed, to be held against what comes; the caller holds the transaction."""
    ahead = context.state.ahead
    if ahead is not None and ahead.visits:
        forecasts.save_made(conn, forecasts.Made(
            row.id, row.set_id, row.motor_id, at, ahead.visits, ahead.p05_units, ahead.p10_units, ahead.p50_units,
            ahead.p90_units, ahead.p95_units, ahead.look_units, ahead.tail,
        ))  # fmt: skip
