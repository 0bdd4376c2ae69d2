"""Enter things on a sheet."""

from collections.abc import Mapping
from dataclasses import replace

from norvash.core.record.record import SheetRow
from norvash.core.record.sheet import Entered
from norvash.core.sheet.field import Field, Tick
from norvash.core.sheet.given import Sight
from norvash.core.sheet.putting_off import By
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.gates import GATES, SAFE
from norvash.core.visit.done import done_tasks, read_anew, touched, work_beside
from norvash.core.visit.typed import place_of
from norvash.errors import Conflict, InputError, JudgedAgainst, NotFound, StopForbids, StopHolds
from norvash.store.file.database import Connection
from norvash.store.record import people, sheets
from norvash.store.record.records import kept
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.asked_for import names_nothing
from norvash.work.on_sheet.entry_value import NOT_SAID, EntryValue, put_entry
from norvash.work.on_sheet.gate_holding import hold_entry
from norvash.work.on_sheet.putting import Put
from norvash.work.on_sheet.refused_kept import keep_refused
from norvash.work.on_sheet.sighting import AGAIN, Seeing, sight_for
from norvash.work.on_sheet.taken_on_stop import comes_later, given_on_stop, refuse_by_hand, taken_on_stop
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.sheet_state import put_together


def enter(
    conn: Connection,
    act: Act,
    sheet_id: str,
    *,
    field_id: str,
    place: int,
    text: str,
    replaces: str = "",
    more: Mapping[str, str] | None = None,
    seeing: Seeing = NOT_SAID,
) -> str:
    """Keep one entry at once and return its id; an empty text empties the place.

    `replaces` is the entry that the person saw there; another one is not overwritten. `seeing` says of which sight it
    speaks. Raises: InputError for what cannot be, NeedsAnswer where it could be a slip or a second measurement,
    Conflict for a closed gate, a signed sheet, or what somebody else entered meanwhile. What a judgement refuses by
    hand is kept as that.
    """

    def prepare(now: Act, seeing: Seeing = seeing) -> Saying:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        sheet = sheet_of(conn, context, sheet_id)
        field = _field(field_id, place, context, taken_back=not text.strip(), later=comes_later(now))
        refuse_by_hand(now, field)
        again = seeing.answer in (AGAIN, "left")
        person = people.fetch_person(conn, now.person_id).name
        touching = _touched(context, sheet, field, place)
        alone = len(people.list_people(conn)) < 2
        value = EntryValue(
            conn=conn,
            now=now,
            context=context,
            sheet=sheet,
            field=field,
            place=place,
            text=text,
            more=more or {},
            touched=touching,
            by=By(person, now.at.date(), alone, now.at),
        )
        sight = _sight(field, seeing, touched=touching, beside=bool(work_beside(field, done_tasks(sheet))))
        if not seeing.answer and sight == "left" and read_anew(field, sheet, place):
            seeing = replace(seeing, answer=AGAIN)
        try:
            hold_entry(sheet, field, place, context, now.at, taken_back=not text.strip(), again=again)
            field, seeing, placed = put_entry(value, seeing, sight=sight, replaces=replaces)
        except (StopHolds, StopForbids) as stop:
            if not comes_later(now):
                raise
            return taken_on_stop(context, sheet, given_on_stop(now, person, field, text, stop))
        why = seeing.why if placed.slip else ""
        after = {"field": field.id, "place": place, **_told_of(placed.said), **({"slip": why} if why else {})}
        before = {"typed": placed.there.words} if placed.there is not None else {}
        change = Change(now.id, before, after, context.motor.id)
        return Saying(context=context, said=(placed.said,), change=change, judged=placed.judged, why=why)

    typed = {
        "sheet": sheet_id,
        "field": field_id,
        "place": place,
        "text": text,
        "replaces": replaces,
        "more": dict(more or {}),
        **seeing.typed,
    }
    try:
        return say(conn, act, "enter", typed=typed, prepare=prepare)
    except JudgedAgainst as no:
        if act.record is None:
            keep_refused(conn, act, sheet_id, field_id=field_id, place=place, text=text, no=no)
        raise


def _told_of(said: Put) -> dict[str, object]:
    """Return what an act tells of an entry."""
    given = said.given if isinstance(said, Entered) else None
    if given is None:
        return {}
    return {"typed": given.typed, **({} if given.sight == "found" else {"sight": given.sight}), **kept(given.record)}


def _touched(context: Context, sheet: Sheet, field: Field, place: int) -> bool:
    """Tell whether work of this visit has touched the place of a field."""
    return field.sighted and touched(field, done_tasks(sheet), context.state.told.new, place)


def _sight(field: Field, seeing: Seeing, *, touched: bool, beside: bool) -> Sight:
    """Return the sight of a value; one that is said to be as left may be so where its part was worked on."""
    if field.records_work:
        return "left"
    said = seeing.says_left and beside
    return sight_for(seeing, touched=touched or said) if field.sighted else "found"


def sheet_of(conn: Connection, context: Context, sheet_id: str) -> Sheet:
    """Return a sheet of a motor that was read: its newest one as it was read, an older one from the record."""
    if context.sheet is not None and context.sheet.id == sheet_id:
        return context.sheet
    return put_together(conn, sheets.fetch_sheet(conn, sheet_id), context.facts)


def unsigned(conn: Connection, sheet_id: str) -> SheetRow:
    """Return a sheet that may still be written on.

    Raises: NotFound, Conflict for a signed one.
    """
    row = sheets.fetch_sheet(conn, sheet_id)
    if row.signed_at is not None:
        raise Conflict(
            "This sheet is signed and is not edited any more.",
            "Add to it below the signature, or start a new sheet.",
            "value",
        )
    return row


def kept_field(field_id: str) -> Field:
    """Return the field of an entry that was kept."""
    field = field_of(field_id)
    if field is None:
        raise LookupError(field_id)
    return field


def _only_said(field: Field) -> bool:
    """Tell whether a field is a tick by which nothing is found or proven: it does no harm where it is not asked."""
    return isinstance(field, Tick) and not (field.tells or field.proves or field.does)


def _field(field_id: str, place: int, context: Context, *, taken_back: bool, later: bool) -> Field:
    """Return the field of an entry; a tick that is not asked of this motor is taken where it comes `later`, of what was
    done before it was sent: it is kept, and named so.
    """
    field = field_of(field_id)
    there = any(spot[:2] == (field_id, place) for spot in context.written)
    unknown = field is not None and taken_back and not there and names_nothing(field)
    if field is None or field is SAFE.confirmed or unknown:
        raise NotFound(f"A sheet has no “{field_id[:60]}”.", "Enter it on the sheet's page.", "field")
    if not (field.is_offered(context.facts, context.rules) or taken_back or (later and _only_said(field))):
        raise InputError(
            field.why_not(context.facts, context.rules) or f"“{field.label}” is not offered for this motor.",
            "Its class and figures decide what is asked for.",
            "value",
        )
    gate = next((g for g in GATES.values() if g.named(field.id) is not None), None)
    if gate is not None and not (taken_back or later) and not gate.asks(field.id, context.facts, context.rules):
        raise InputError(
            f"This step of “{gate.words}” is not asked of this motor.", "Tick those that are shown.", "value"
        )
    place_of(field, place, context.facts)
    return field
