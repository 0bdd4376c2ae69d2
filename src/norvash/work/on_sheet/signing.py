"""Sign a sheet: close its rounds, keep what it says and what becomes of every finding; add to it later."""

from dataclasses import replace
from datetime import datetime, time

from norvash.core.judging.signing import Hold, left_open, signed_as, standing
from norvash.core.record.record import Retired
from norvash.core.record.sheet import Entered, Signed
from norvash.core.sheet.field import YES, Tick
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.decide import OUTCOME, RETIRED, RUNS
from norvash.core.stages.gates import SERVICE
from norvash.core.stages.sign import ADDITION, NEXT_LOOK, NEXT_LOOK_AT
from norvash.core.text.texts import clean
from norvash.core.visit.permit import MOST_TEXT
from norvash.core.visit.ways import buys_new, retires_on
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.store.record import entries, people, rounds, sheets
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.entered import entered, told
from norvash.work.on_sheet.sheets import unsigned
from norvash.work.reading.context import Context
from norvash.work.reading.forecast_left import forecast_left
from norvash.work.reading.loading import load
from norvash.work.reading.measured_table import values_now
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.sheet_now import SheetNow, shown
from norvash.work.reading.standing import foresee, judge
from norvash.work.told.signed_how import check_closes
from norvash.work.told.visit import visit_told


def sign(conn: Connection, act: Act, sheet_id: str, why: str = "", *, service: bool = False) -> str:
    """Sign a sheet and return its motor's id; what is still open needs a reason.

    `service` confirms the last gate of a look. Raises: InputError at “why” for a sheet that is not clean,
    Conflict.
    """

    def prepare(now: Act) -> Saying:
        row, person = unsigned(conn, sheet_id), people.fetch_person(conn, now.person_id).name
        check_closes(conn, now, row.person)
        context, today = load(conn, row.motor_id), now.at.date()
        ticks = (_back_in_service(context, now, person),) if service and row.kind == "quick" else ()
        ticked = judge(told(conn, context, *ticks), today)
        page = shown(conn, row, ticked, today)
        signed = _signed(conn, page, _reason(page, why), person)
        found = (*page.found.lives, *left_open(page.visit))
        entry = Signed(
            row=replace(row, signed_at=now.at, signed=signed),
            at=now.at,
            found=found,
            retired=_retired(page.sheet, now, person),
            measured=values_now(conn, page),
        )
        judged = foresee(conn, [ticked.context.after(entry)], today)[0]
        newest = rounds.rounds_of(conn, sheet_id)[-1]
        after = {
            "sheet": row.number,
            "clean": not page.holds,
            "as": signed["signed_as"],
            "why": signed["why"],
            "outcome": OUTCOME.of(page.sheet),
        }
        return Saying(
            context=context,
            said=(*ticks, entry),
            change=Change(row.motor_id, {}, after, row.motor_id),
            judged=judged,
            first=replace(ticked, found=replace(ticked.found, lives=found)),
            made=None if newest.finished else forecast_left(newest, judged.context, now.at),
        )

    typed = {"sheet": sheet_id, "why": why, "service": service}
    return say(conn, act, "sign a sheet", typed=typed, prepare=prepare)


def _back_in_service(context: Context, now: Act, person: str) -> Entered:
    """Return the tick that a signature sets by itself: the last gate of a look."""
    field, sight = SERVICE.confirmed, _sight(SERVICE.confirmed)
    given = Given(id=f"{now.id}.{field.id}", typed=YES, word=YES, number=None, person=person, at=now.at, sight=sight)
    return entered(context, field, (field.id, 0, sight), given)


def _retired(sheet: Sheet, now: Act, person: str) -> Retired | None:
    """Return since when a motor is used no more: from now on where that is its outcome, or where a new unit takes its
    place and it does not go back; on the day that was named where there is one; None where it stays in use.
    """
    if OUTCOME.of(sheet) == RETIRED:
        return Retired(now.at, person)
    if not buys_new(sheet):
        return None
    on = retires_on(sheet)
    if on is not None and on > now.at.date():
        return Retired(datetime.combine(on, time()), person)
    return None if OUTCOME.of(sheet) in RUNS else Retired(now.at, person)


def _sight(field: Tick) -> Sight:
    return "left" if field.records_work else "found"


def _reason(page: SheetNow, why: str) -> str:
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


def _signed(conn: Connection, page: SheetNow, reason: str, person: str) -> dict[str, object]:
    """Return what the sheet says for good: verdict, reasons, next look, work, and what was left open and why."""
    look = page.look
    return {
        "person": person,
        "sentence": page.said.sentence,
        "figures": [f.as_plain() for f in page.said.figures],
        "word": page.said.word,
        "stage": page.found.machine,
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

    def prepare(now: Act) -> Saying:
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
        person = people.fetch_person(conn, now.person_id).name
        given = Given(id=now.id, typed=words, word=words, number=None, person=person, at=now.at)
        said = Entered(sheet_id=sheet_id, spot=(ADDITION.id, number, "found"), given=given)
        change = Change(sheet_id, {}, {"sheet": row.number, "added": words}, row.motor_id)
        return Saying(context=load(conn, row.motor_id), said=(said,), change=change)

    return say(conn, act, "add to a sheet", typed={"sheet": sheet_id, "text": text}, prepare=prepare)
