"""Measure a set: keep each reading at once, answer doubts, note what is seen, close the round."""

from dataclasses import dataclass
from datetime import datetime
from typing import NoReturn

from norvash.core.brush.doubts import Doubt
from norvash.core.brush.gauged import measured_words
from norvash.core.brush.readings import Reading, read
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH
from norvash.core.motor.positions import PositionPlan
from norvash.core.motor.round import Round
from norvash.core.names.changed import name_now
from norvash.core.record.entries import BrushRead, BrushSeen
from norvash.core.sheet.given import Sight
from norvash.core.sheet.stages.brushes.stage import BY_SIGHT
from norvash.core.sheet.stages.shared import CONTOUR_FACES
from norvash.core.sheet.visit.done import done_tasks, last_work, worked_on
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import forecasts, rounds, seen
from norvash.store.database import Connection
from norvash.store.rounds import RoundRow
from norvash.work.acting import Act, Change, prepared
from norvash.work.as_measured import as_measured
from norvash.work.context import Context, Prepared
from norvash.work.gate_holding import hold_at_gate
from norvash.work.loading import load
from norvash.work.settling import doubt_about
from norvash.work.sheets import NOT_SAID, sheet_of, unsigned
from norvash.work.sighting import Seeing, sight_for, slip
from norvash.work.standing import Judged, foresee, judge, keep


def record(
    conn: Connection,
    act: Act,
    sheet_id: str,
    *,
    position: int,
    text: str,
    method: str = "",
    instrument: str = "",
    replaces: str = "",
    seeing: Seeing = NOT_SAID,
) -> str:
    """Keep one reading at once, doubted or not, and judge the motor anew; return the reading's id.

    A brush that came new at this visit is read as left, the one before it as found. `replaces` is the reading that the
    person saw at this position; another one there is not overwritten. Raises: InputError for what cannot be read,
    NeedsAnswer where it could be a slip, Conflict for a reading that somebody else made meanwhile.
    """

    def prepare() -> _Reading:
        context = _open(conn, sheet_id, act.at)
        plan = _plan(context, position)
        touched = position in context.state.told.new or carbon_worked(context, position)
        sight = sight_for(seeing, touched=touched)
        row = _round_for(context, sheet_id, sight)
        method_used = method or MEASURED_BY.of(context.figures)
        instrument_used = instrument or MEASURED_WITH.of(context.figures)
        try:
            reading = read(text, context.figures, context.rules, method_used, instrument_used)
        except InputError as error:
            raise error.at(error.field or "value") from None
        doubt = doubt_about(context, row, plan, reading)
        measured = as_measured(reading, act.id, doubt)
        said = BrushRead(round_id=row.id, position=position, measured=measured, sight=sight)
        after = context if sight == "asked" else context.after(said)
        judged = foresee(conn, [after], act.at.date())[0]
        there = row.found.get(position) if sight == "found" and position in row.left else row.readings.get(position)
        if there is not None and there.id == replaces and sight != "asked":
            before, stood = judge(context, act.at.date()).found.lives, measured_words(there)

            def worked() -> bool:
                since = rounds.fetch_reading(conn, there.id)[0].at
                return last_work(sheet_of(conn, context, sheet_id)) > since if sight == "left" else touched

            slip(before, judged.found.lives, stood, seeing, sight=sight, worked=worked)
        return _Reading(
            context=context,
            row=row,
            sight=sight,
            plan=plan,
            reading=reading,
            method=method_used,
            instrument=instrument_used,
            doubt=doubt,
            judged=judged,
        )

    def body(act: Act, made: _Reading) -> Change:
        reading, doubt = made.reading, made.doubt
        before = rounds.add_reading(
            conn,
            act.id,
            made.row.id,
            position=position,
            reading=reading,
            method=made.method,
            instrument=made.instrument,
            doubt=doubt,
            sight=made.sight,
            act_id=act.id,
        )
        if before is not None and before[0] != replaces and made.sight != "asked":
            _meanwhile(conn, before[0], made.plan)
        keep(conn, made.judged, why=seeing.why)
        after = {
            "position": made.plan.label,
            "typed": reading.typed,
            "length_mm": reading.length_mm,
            **({"bare_mm": reading.bare_mm} if reading.bare_mm is not None else {}),
            "doubt": doubt.kind if doubt else "",
        }
        was = {"typed": before[1], "length_mm": before[2]} if before else {}
        return Change(act.id, was, after, made.judged.context.motor.id)

    typed = {
        "round": sheet_id,
        "position": position,
        "text": text,
        "method": method,
        "instrument": instrument,
        "replaces": replaces,
        **seeing.typed,
    }
    return prepared(conn, act, "measure", typed=typed, prepare=prepare, body=body)


@dataclass(frozen=True, kw_only=True)
class _Reading(Prepared):
    """A reading that is read and judged, and not kept yet."""

    row: Round
    sight: Sight
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


def _open(conn: Connection, sheet_id: str, now: datetime) -> Context:
    """Return the motor of a sheet that takes readings.

    Raises: Conflict for a signed one, or while its gate is open.
    """
    context = load(conn, unsigned(conn, sheet_id).motor_id)
    hold_at_gate(sheet_of(conn, context, sheet_id), "safe", context, now)
    return context


def carbon_worked(context: Context, position: int) -> bool:
    """Tell whether work of this visit has moved what the brush at a position reads: it was found held, and freed, or
    its face has been given a new curve.
    """
    told = context.state.told
    if told.sheet is None:
        return False
    held = [f for (n, _), f in told.found.items() if n == position and f.holds_brush]
    return CONTOUR_FACES in done_tasks(told.sheet) or any(worked_on(f, position, told.sheet, told.new) for f in held)


def _round_for(context: Context, sheet_id: str, sight: Sight) -> Round:
    """Return the round to which a reading of one sight belongs: that of a set fitted on the sheet for one as left."""
    of_sheet = [r for s in context.sets for r in s.rounds if r.sheet_id == sheet_id]
    return of_sheet[-1] if sight == "left" else of_sheet[0]


def _plan(context: Context, position: int) -> PositionPlan:
    for plan in context.state.positions:
        if plan.number == position:
            return plan
    raise NotFound(f"This motor has no position {position}.", "Choose one in the end view.", "position")


def note(
    conn: Connection,
    act: Act,
    sheet_id: str,
    position: int,
    noticed: str,
    *,
    gone: bool = False,
    answer: str = "",
    why: str = "",
) -> str:
    """Keep what was seen on a brush, or take it back; return the sheet's id.

    What is seen after work on it is as left. Raises: InputError for a finding that is not in the list, NeedsAnswer
    where taking it back would end one that is to be decided, Conflict for a signed sheet.
    """
    found = BY_SIGHT.get(name_now("finding", noticed))
    if found is None:
        raise InputError("This finding is not known.", "Choose one from the list.", "seen")

    def prepare() -> _Noted:
        context = _open(conn, sheet_id, act.at)
        plan, finding = _plan(context, position), found
        sheet, told = sheet_of(conn, context, sheet_id), context.state.told
        touched = worked_on(finding, position, sheet, told.new)
        row = _round_for(context, sheet_id, "left" if touched else "found")
        sight: Sight = "left" if touched else "found"
        if gone and not row.shows(position, finding.id, sight):
            sight = "found"
        said = BrushSeen(round_id=row.id, position=position, finding=finding, sight=sight, gone=gone)
        judged = judge(context.after(said), act.at.date())
        if gone and row.shows(position, finding.id, sight):
            before = judge(context, act.at.date()).found.lives

            def worked() -> bool:
                return (
                    last_work(sheet) > seen.seen_at(conn, row.id, position, finding.id, sight)
                    if sight == "left"
                    else touched
                )

            slip(before, judged.found.lives, finding.words, Seeing(answer=answer, why=why), sight=sight, worked=worked)
        return _Noted(context, plan, row, sight, judged)

    def body(act: Act, made: _Noted) -> Change:
        if gone:
            seen.strike_finding(conn, made.row.id, position=position, seen=found.id, sight=made.sight, act_id=act.id)
        else:
            seen.add_finding(conn, act.id, made.row.id, position=position, seen=found, sight=made.sight, act_id=act.id)
        keep(conn, made.judged, why=why)
        after = {"position": made.plan.label, "seen": noticed, "taken back": gone, **({"why": why} if why else {})}
        return Change(sheet_id, {}, after, made.context.motor.id)

    answered = {k: v for k, v in {"answer": answer, "why": why}.items() if v}
    typed = {"round": sheet_id, "position": position, "seen": noticed, "gone": gone, **answered}
    return prepared(conn, act, "note a finding", typed=typed, prepare=prepare, body=body)


@dataclass(frozen=True)
class _Noted(Prepared):
    """A finding on a brush, and the motor judged with it."""

    plan: PositionPlan
    row: Round
    sight: Sight
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
