"""Sign a sheet: close its rounds, keep what it says and what becomes of every finding; add to it later."""

from dataclasses import dataclass, replace
from datetime import datetime

from norvash.core.record.entries import Signed
from norvash.core.record.record import Retired
from norvash.core.sheet.field import YES, Tick
from norvash.core.sheet.given import Given
from norvash.core.sheet.judging.signing import Hold, signed_as, standing
from norvash.core.sheet.life import KeptLife, Withdrawn
from norvash.core.sheet.stages.decide import OUTCOME, RETIRED
from norvash.core.sheet.stages.gates import SERVICE
from norvash.core.sheet.stages.sign import ADDITION, NEXT_LOOK, NEXT_LOOK_AT
from norvash.core.sheet.visit.permit import MOST_TEXT
from norvash.core.text.texts import clean
from norvash.errors import Conflict, InputError
from norvash.store import entries, lives, people, rounds, sheets
from norvash.store.database import Connection
from norvash.store.retired import retire
from norvash.work.acting import Act, Change, in_order, once, prepared
from norvash.work.context import Prepared
from norvash.work.loading import load
from norvash.work.measuring import keep_forecast
from norvash.work.sheet_page import SheetPage, shown
from norvash.work.sheets import after_entry, unsigned
from norvash.work.standing import Judged, foresee, judge, keep, keep_found
from norvash.work.visit_told import visit_told


def sign(conn: Connection, act: Act, sheet_id: str, why: str = "", *, service: bool = False) -> str:
    """Sign a sheet and return its motor's id; what is still open needs a reason.

    `service` confirms the last gate of a look. Raises: InputError at “why” for a sheet that is not clean,
    Conflict.
    """

    def body(act: Act, made: _Signing) -> Change:
        row, page = made.page.row, made.page
        of_sheet = rounds.rounds_of(conn, sheet_id)
        for tick in made.ticks:
            entries.add_entry(
                conn, tick.given.id, sheet_id, field=tick.field.id, place=0, given=tick.given, act_id=act.id
            )
        for a_round in of_sheet:
            rounds.finish_round(conn, a_round.id, act.at)
        keep_found(conn, page.context, page.found.lives)
        lives.sign_lives(conn, sheet_id, page.found.lives, act.id)
        sheets.sign_sheet(conn, sheet_id, act.at, made.signed)
        if made.judged.context.motor.retired is not None:
            retire(conn, row.motor_id, made.judged.context.motor.retired)
        keep(conn, made.judged)
        if not of_sheet[-1].finished:
            keep_forecast(conn, of_sheet[-1], made.judged.context, act.at)
        after = {
            "sheet": row.number,
            "clean": not page.holds,
            "as": made.signed["signed_as"],
            "why": made.signed["why"],
            "outcome": OUTCOME.of(page.sheet),
        }
        return Change(row.motor_id, {}, after, row.motor_id)

    return prepared(
        conn,
        act,
        "sign a sheet",
        typed={"sheet": sheet_id, "why": why, "service": service},
        prepare=lambda: _prepare(conn, act, sheet_id, why, service=service),
        body=body,
    )


@dataclass(frozen=True, slots=True)
class _Tick:
    """A tick that a signature sets by itself."""

    field: Tick
    given: Given


def _tick(act: Act, field: Tick, person: str) -> _Tick:
    given = Given(id=f"{act.id}.{field.id}", typed=YES, word=YES, number=None, person=person, at=act.at)
    return _Tick(field, replace(given, sight="left") if field.records_work else given)


@dataclass(frozen=True, kw_only=True)
class _Signing(Prepared):
    """A sheet as it is to be signed: what it says, and its motor judged after it."""

    page: SheetPage
    ticks: tuple[_Tick, ...]
    signed: dict[str, object]
    judged: Judged


def _prepare(conn: Connection, act: Act, sheet_id: str, why: str, *, service: bool) -> _Signing:
    now, row = in_order(conn, act), unsigned(conn, sheet_id)
    person = people.fetch_person(conn, act.person_id).name
    context = read = load(conn, row.motor_id)
    ticks = [_tick(now, SERVICE.confirmed, person)] if service and row.kind == "quick" else []
    for tick in ticks:
        context = after_entry(conn, context, tick.field, 0, tick.given)
    page = shown(conn, row, judge(context, now.at.date()), now.at.date())
    reason = _reason(page, why)
    signed = _signed(conn, page, reason, person)
    retired = Retired(now.at, person) if OUTCOME.of(page.sheet) == RETIRED else None
    row = replace(row, signed_at=now.at, signed=signed)
    after = context.after(Signed(row=row, lives=_kept(sheet_id, page, now.at), retired=retired))
    return _Signing(
        context=read, page=page, ticks=tuple(ticks), signed=signed, judged=foresee(conn, [after], now.at.date())[0]
    )


def _kept(sheet_id: str, page: SheetPage, at: datetime) -> tuple[KeptLife, ...]:
    """Return the lives that go on after a signature, as the record will have them."""
    return tuple(
        KeptLife(
            id=x.kept.id if x.kept is not None else lives.life_id(sheet_id, x),
            sheet_id=x.kept.sheet_id if x.kept is not None else sheet_id,
            position=x.position,
            finding=x.finding,
            state=x.kept.state if rests and x.kept is not None else "open" if rests else x.state,
            put_off=x.put_off if x.state == "put off" or rests else x.waits_for,
            why=x.why,
            withdrawn=Withdrawn(at=at, moves=x.moves) if rests else None,
        )
        for x in page.found.lives
        for rests in [x.state == "withdrawn" and bool(x.moves)]
        if x.stands or rests
    )


def _reason(page: SheetPage, why: str) -> str:
    """Return why a sheet is signed with things open, empty for a clean one.

    Raises: InputError where there is no reason.
    """
    if not page.holds:
        return ""
    reason = " ".join(clean(why, "why", note=True).split())[:MOST_TEXT]
    if not reason:
        raise InputError(
            "It cannot be signed clean: " + "; ".join(h.words for h in page.holds) + ".",
            "Settle this, or say why it is signed with it open.",
            "why",
        )
    return reason


def _signed(conn: Connection, page: SheetPage, reason: str, person: str) -> dict[str, object]:
    """Return what the sheet says for good: verdict, reasons, next look, work, and what was left open and why."""
    look = page.look
    return {
        "person": person,
        "sentence": page.said.sentence,
        "figures": [f.as_plain() for f in page.said.figures],
        "word": page.said.word,
        "stage": page.found.grade,
        "reasons": [r.text for r in page.said.reasons],
        "open": [h.words for h in _left(page.holds, reason)],
        "standing": list(standing(page.visit)),
        "why": reason,
        "work": [w.task.what for w in page.work],
        "signed_as": signed_as(page.visit),
        "told": visit_told(conn, page),
        "look_on": look.on,
        "look_at": look.at,
        "look_by": look.by,
        "look_counter": look.counter,
        "sooner": NEXT_LOOK.of(page.sheet),
        "sooner_at": NEXT_LOOK_AT.of(page.sheet),
    }


def _left(holds: tuple[Hold, ...], reason: str) -> tuple[Hold, ...]:
    return holds if reason else ()


def add_to_signed(conn: Connection, act: Act, sheet_id: str, text: str) -> str:
    """Add a remark below the signature of a sheet; return the sheet's id.

    Raises: Conflict while it is not signed, InputError.
    """
    words = " ".join(clean(text, "addition", note=True).split())

    def body(act: Act) -> Change:
        row = sheets.fetch_sheet(conn, sheet_id)
        if row.signed_at is None:
            raise Conflict("This sheet is not signed yet.", "Enter it on its page.", "addition")
        if not words or len(words) > MOST_TEXT:
            raise InputError(
                "Nothing was typed." if not words else "That is too long.",
                f"Use up to {MOST_TEXT} characters.",
                "addition",
            )
        number = sum(f == ADDITION.id for f, _, _ in entries.list_entries(conn, sheet_id)) + 1
        person = people.fetch_person(conn, act.person_id)
        entries.add_entry(
            conn,
            act.id,
            sheet_id,
            field=ADDITION.id,
            place=number,
            given=Given(id="", typed=words, word=words, number=None, person=person.name, at=act.at),
            act_id=act.id,
        )
        return Change(sheet_id, {}, {"sheet": row.number, "added": words}, row.motor_id)

    return once(conn, act, "add to a sheet", typed={"sheet": sheet_id, "text": text}, body=body)
