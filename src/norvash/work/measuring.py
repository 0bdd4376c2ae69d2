"""Measure a set: keep each reading at once, answer doubts, note what is seen, close the round."""

from datetime import datetime

from norvash.core.doubts import ANSWERS, Doubt, doubt_of
from norvash.core.findings import BY_ID
from norvash.core.positions import PositionPlan
from norvash.core.readings import Reading, read
from norvash.core.renewal import Carbon
from norvash.core.state import Round, motor_limit, start_of
from norvash.core.straight_line import Point
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import forecasts, rounds, sheets
from norvash.store.database import Connection
from norvash.store.rounds import RoundRow
from norvash.work.acting import Act, Change, once
from norvash.work.context import Context, load
from norvash.work.sheet_state import put_together
from norvash.work.sheets import hold_at_gate
from norvash.work.standing import judge, refresh


def record(
    conn: Connection, act: Act, round_id: str, position: int, text: str, method: str = "", instrument: str = "",
    replaces: str = "",
) -> str:  # fmt: skip
    """Keep one reading at once, doubted or not, and judge the motor anew; return the reading's id.

    `replaces` is the reading that the person saw at this position; another one there is not overwritten.
    Raises: InputError for what cannot be read, Conflict for a reading that somebody else made meanwhile.
    """

    def body(act: Act) -> Change:
        row, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        there = rounds.list_readings(conn, round_id).get(position)
        if there is not None and there.id != replaces:
            raise Conflict(f"{there.person} has already measured {plan.label}: {there.said}.",
                           f"Your value is kept in the field: enter it again to replace {there.said}.", "value")  # fmt: skip
        method_used = method or context.figures.word("method")
        instrument_used = instrument or context.figures.word("instrument")
        try:
            reading = read(text, context.figures, context.rules, method_used, instrument_used)
        except InputError as error:
            raise error.at(error.field or "value") from None
        doubt = doubt_about(context, row, plan, reading)
        rounds.add_reading(conn, act.id, round_id, position, reading, method_used, instrument_used, doubt, act.id)  # fmt: skip
        refresh(conn, row.motor_id, act.at.date())
        before = {"typed": there.typed, "length_mm": there.length_mm} if there else {}
        after = {
            "position": plan.label,
            "typed": reading.typed,
            "length_mm": reading.length_mm,
            "doubt": doubt.kind if doubt else "",
        }
        return Change(act.id, before, after, row.motor_id)

    typed = {"round": round_id, "position": position, "text": text, "method": method, "instrument": instrument,
             "replaces": replaces}  # fmt: skip
    return once(conn, act, "measure", typed, body)


def _open(conn: Connection, round_id: str, now: datetime) -> tuple[RoundRow, Context]:
    """Return a round that takes readings, with its motor.

    Raises: Conflict for a finished one, or while the gate of its sheet is open.
    """
    row = rounds.fetch_round(conn, round_id)
    if row.finished:
        raise Conflict("This round is finished.", "Start a new sheet on the motor's page to measure again.", "value")
    context = load(conn, row.motor_id)
    hold_at_gate(put_together(conn, sheets.fetch_sheet(conn, round_id), context.facts), "safe", context, now)
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

    def body(act: Act) -> Change:
        reading, round_id = rounds.fetch_reading(conn, reading_id)
        row = rounds.fetch_round(conn, round_id)
        counts = rounds.list_readings(conn, round_id).get(reading.position_number)
        if not reading.doubt_answer or counts is None or counts.id != reading_id:
            raise Conflict("This answer stands no more.", "Look at the round as it is now.")
        rounds.answer_doubt(conn, reading_id, "")
        refresh(conn, row.motor_id, act.at.date())
        return Change(
            row.motor_id, {"typed": reading.typed, "answer": reading.doubt_answer}, {"answer": ""}, row.motor_id
        )

    return once(conn, act, "take back an answer", {"reading": reading_id}, body)


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

    def body(act: Act) -> Change:
        reading, round_id = rounds.fetch_reading(conn, reading_id)
        row = rounds.fetch_round(conn, round_id)
        counts = rounds.list_readings(conn, round_id).get(reading.position_number)
        if counts is None or counts.id != reading_id:
            raise Conflict(
                "This reading counts no longer: it was replaced or withdrawn.", "Look at the round as it is now."
            )
        if answer == "mistyped":
            rounds.withdraw_reading(conn, reading_id)
        else:
            rounds.answer_doubt(conn, reading_id, answer)
        refresh(conn, row.motor_id, act.at.date())
        return Change(round_id, {"typed": reading.typed, "doubt": reading.doubt}, {"answer": answer}, row.motor_id)

    return once(conn, act, "settle a doubt", {"reading": reading_id, "answer": answer}, body)


def note(conn: Connection, act: Act, round_id: str, position: int, seen: str, *, gone: bool = False) -> str:
    """Keep what was seen on a brush, or take it back; return the round's id.

    Raises: InputError for a finding that is not in the list, Conflict for a finished round.
    """
    if seen not in BY_ID:
        raise InputError("This finding is not known.", "Choose one from the list.", "seen")

    def body(act: Act) -> Change:
        row, context = _open(conn, round_id, act.at)
        plan = _plan(context, position)
        if gone:
            rounds.strike_finding(conn, round_id, position, seen, act.id)
        else:
            rounds.add_finding(conn, act.id, round_id, position, seen, act.id)
        judge(conn, row.motor_id, act.at.date())
        return Change(round_id, {}, {"position": plan.label, "seen": seen, "taken back": gone}, row.motor_id)

    return once(
        conn, act, "note a finding", {"round": round_id, "position": position, "seen": seen, "gone": gone}, body
    )


def keep_forecast(conn: Connection, row: RoundRow, context: Context, at: datetime) -> None:
    """Keep the forecast as it stands when a round is closed, to be held against what comes; the caller holds the transaction."""
    ahead = context.state.ahead
    if ahead is not None and ahead.visits:
        forecasts.save_made(conn, forecasts.Made(
            row.id, row.set_id, row.motor_id, at, ahead.visits, ahead.p05_units, ahead.p10_units, ahead.p50_units,
            ahead.p90_units, ahead.p95_units, ahead.look_units, ahead.tail,
        ))  # fmt: skip
