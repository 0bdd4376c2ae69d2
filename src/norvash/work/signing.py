"""Sign a sheet: close its round, keep what it says, put off what is put off; add to it later."""

from dataclasses import dataclass, replace
from datetime import date

from norvash.core.sheet.field import YES, Tick
from norvash.core.sheet.gates import SERVICE
from norvash.core.sheet.given import Given
from norvash.core.sheet.matter import Matter
from norvash.core.sheet.matters import RENEW
from norvash.core.sheet.noted import GONE
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.signing import Hold
from norvash.core.sheet.stages.brushes.holders import GAP_CUT
from norvash.core.sheet.stages.call_in import settled
from norvash.core.sheet.stages.decide import OUTCOME, decision
from norvash.core.sheet.stages.rework import HOLDER_SET, TEMPORARY
from norvash.core.sheet.stages.sign import ADDITION, NEXT_LOOK
from norvash.core.sheet.typed import MOST_TEXT
from norvash.core.text.texts import clean
from norvash.errors import Conflict, InputError
from norvash.store import entries, people, rounds, sheets
from norvash.store.database import Connection
from norvash.store.sheets import DeferredRow
from norvash.work.acting import Act, Change, in_order, once, prepared
from norvash.work.context import Prepared, load
from norvash.work.measuring import keep_forecast
from norvash.work.sheet_page import SheetPage, shown
from norvash.work.sheets import after_entry, unsigned
from norvash.work.standing import Judged, foresee, judge, keep


def sign(conn: Connection, act: Act, sheet_id: str, why: str = "", *, service: bool = False) -> str:
    """Sign a sheet and return its motor's id; what is still open needs a reason.

    `service` confirms the last gate of a quick look. Raises: InputError at “why” for a sheet that is not clean,
    Conflict.
    """

    def body(act: Act, made: _Signing) -> Change:
        row, page = made.page.row, made.page
        a_round = rounds.fetch_round(conn, sheet_id)
        for tick in made.ticks:
            entries.add_entry(
                conn, tick.given.id, sheet_id, field=tick.field.id, place=0, given=tick.given, act_id=act.id
            )
        rounds.finish_round(conn, sheet_id, act.at)
        for deferred_id in made.left.closed:
            sheets.close_deferred(conn, deferred_id, act.id)
        for added in made.left.added:
            sheets.add_deferred(conn, row.motor_id, added, act.id)
        sheets.sign_sheet(conn, sheet_id, act.at, made.signed)
        keep(conn, made.judged)
        if not a_round.finished:
            keep_forecast(conn, a_round, made.judged.context, act.at)
        after = {
            "sheet": row.number,
            "clean": not page.holds,
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
    return _Tick(field, Given(id=f"{act.id}.{field.id}", typed=YES, word=YES, number=None, person=person, at=act.at))


@dataclass(frozen=True, slots=True)
class _Left:
    """What a signature does to what is put off: closed, added, and all that is open then.

    And whether the holders are set now.
    """

    closed: tuple[str, ...]
    added: tuple[DeferredRow, ...]
    put_off: tuple[DeferredRow, ...]
    holders_set: bool


@dataclass(frozen=True, kw_only=True)
class _Signing(Prepared):
    """A sheet as it is to be signed: what it says, what it puts off, and its motor judged after it."""

    page: SheetPage
    ticks: tuple[_Tick, ...]
    left: _Left
    signed: dict[str, object]
    judged: Judged


def _prepare(conn: Connection, act: Act, sheet_id: str, why: str, *, service: bool) -> _Signing:
    now, row = in_order(conn, act), unsigned(conn, sheet_id)
    person = people.fetch_person(conn, act.person_id).name
    context = read = load(conn, row.motor_id)
    ticks = [_tick(now, SERVICE.confirmed, person)] if service and row.kind == "quick" else []
    for tick in ticks:
        context = after_entry(conn, context, tick.field, 0, tick.given)
    page = shown(conn, row, judge(context, now.at.date()))
    reason = _reason(page, why)
    left = _register(act, page)
    if left.holders_set:
        ticks.append(_tick(now, HOLDER_SET, page.sheet.person))
        context = after_entry(conn, context, HOLDER_SET, 0, ticks[-1].given)
    signed = _signed(page, reason, person)
    after = context.with_signature(replace(row, signed_at=now.at, signed=signed), left.put_off)
    return _Signing(
        context=read,
        page=page,
        ticks=tuple(ticks),
        left=left,
        signed=signed,
        judged=foresee(conn, [after], now.at.date())[0],
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


def _signed(page: SheetPage, reason: str, person: str) -> dict[str, object]:
    """Return what the sheet says for good: verdict, reasons, next look, work, and what was left open and why."""
    look = page.look
    return {
        "person": person,
        "sentence": page.said.sentence,
        "word": page.said.word,
        "stage": page.found.grade,
        "reasons": [r.text for r in page.said.reasons],
        "open": [h.words for h in _left(page.holds, reason)],
        "why": reason,
        "work": [w.task.what for w in page.work],
        "look_on": look.on,
        "look_at": look.at,
        "look_by": look.by,
        "sooner": NEXT_LOOK.of(page.sheet),
    }


def _left(holds: tuple[Hold, ...], reason: str) -> tuple[Hold, ...]:
    return holds if reason else ()


def _register(act: Act, page: SheetPage) -> _Left:
    """Return what is put off or undecided now, and what was put off before and is mended."""
    sheet = page.sheet
    open_now = {d.id: d for d in page.deferred}
    known = {(d.position, d.finding): d for d in page.deferred}
    mended = {GAP_CUT.id} if decision(GAP_CUT.id).of(sheet) == "done" else set[str]()
    for d in page.deferred:
        if settled(d.id).of(sheet) or decision(d.finding).of(sheet, d.position) in GONE:
            del open_now[d.id]
            known.pop((d.position, d.finding), None)
            mended.add(d.finding)
    added = []
    for i, m in enumerate(page.matters if sheet.kind == "full" else ()):
        finding = "" if m.finding.id == RENEW else m.finding.id
        earlier = known.get((m.position, finding)) if finding else None
        made = _put_off(sheet, m, finding, f"{act.id}.{i}", earlier)
        if made is not None:
            added.append(made)
            if earlier is not None:
                open_now.pop(earlier.id, None)
    for n in TEMPORARY.places(sheet):
        given = TEMPORARY.given(sheet, n)
        if given is not None:
            words = f"temporary repair: {given.word}"
            added.append(
                DeferredRow(
                    id=f"{act.id}.t{n}",
                    sheet_id=sheet.id,
                    position=0,
                    finding="",
                    words=words,
                    who=given.put_off.who if given.put_off else "",
                    due_on=given.put_off.day if given.put_off else None,
                )
            )
    closed = tuple(d.id for d in page.deferred if d.id not in open_now)
    put_off = sorted((*open_now.values(), *added), key=lambda d: (d.due_on is None, d.due_on or date.max, d.id))
    return _Left(closed, tuple(added), tuple(put_off), GAP_CUT.id in mended and not HOLDER_SET.of(sheet))


def _put_off(sheet: Sheet, m: Matter, finding: str, new_id: str, earlier: DeferredRow | None) -> DeferredRow | None:
    """Return what is put off of one matter, None where it is settled or stands as it was put off before."""
    decided = m.decided
    closed = earlier is not None if decided is None else decided.word in GONE
    if closed:
        return None
    put_off = decided.put_off if decided is not None else None
    words = f"{m.place}: {m.finding.words}; {m.finding.decision}"
    return DeferredRow(
        id=new_id,
        sheet_id=sheet.id,
        position=m.position,
        finding=finding,
        words=words,
        who=put_off.who if put_off else "",
        due_on=put_off.day if put_off else None,
    )


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
        number = sum(f == ADDITION.id for f, _ in entries.list_entries(conn, sheet_id)) + 1
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
