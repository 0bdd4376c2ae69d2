"""Enter things on a sheet, take the last one back."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import date, datetime

from norvash.core.sheet.field import Field
from norvash.core.sheet.gates import GATES, SAFE, unfit
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.core.sheet.stages.decide import decided_finding
from norvash.core.sheet.typed import Read, place_of, read_entry
from norvash.core.sheet.walk import open_permits, permitted
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import entries, people, rounds, sheets
from norvash.store.database import Connection
from norvash.store.records import kept
from norvash.store.sheets import SheetRow
from norvash.work.acting import Act, Change, prepared
from norvash.work.context import Context, Prepared, load, mark_of
from norvash.work.sheet_state import put_together, unsettled
from norvash.work.standing import Judged, foresee, judge, keep


@dataclass(frozen=True)
class _Entered(Prepared):
    """An entry as it is to be kept: what stood there, the entry, and the motor judged by it, None where nothing follows
    from it.
    """

    before: Given | None
    given: Given
    judged: Judged | None


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
) -> str:
    """Keep one entry at once and return its id; an empty text empties the place.

    `replaces` is the entry that the person saw there; another one is not overwritten.
    Raises: InputError for what cannot be, Conflict for a closed gate, a signed sheet, or what somebody else entered
    meanwhile.
    """

    def prepare() -> _Entered:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        sheet = sheet_of(conn, context, sheet_id)
        field = _field(field_id, place, context)
        hold_at_gate(sheet, field.needs, context, act.at)
        _unseen(sheet, field, place, replaces)
        read = _read(field, text, more or {}, context=context, sheet=sheet, today=act.at.date())
        person = people.fetch_person(conn, act.person_id)
        given = Given(
            id=act.id,
            typed=read.typed,
            word=read.word,
            number=read.number,
            person=person.name,
            at=act.at,
            record=read.record,
        )
        judged = _judged_by(conn, context, field, place, given)
        return _Entered(context, field.given(sheet, place), given, judged)

    def body(act: Act, made: _Entered) -> Change:
        motor_id, given = made.context.motor.id, made.given
        entries.add_entry(conn, act.id, sheet_id, field=field_id, place=place, given=given, act_id=act.id)
        if made.judged is not None:
            keep(conn, made.judged)
        after = {"field": field_id, "place": place, "typed": given.typed, **kept(given.record)}
        return Change(act.id, {"typed": made.before.typed} if made.before else {}, after, motor_id)

    typed = {
        "sheet": sheet_id,
        "field": field_id,
        "place": place,
        "text": text,
        "replaces": replaces,
        "more": dict(more or {}),
    }
    return prepared(conn, act, "enter", typed=typed, prepare=prepare, body=body)


def _read(field: Field, text: str, more: Mapping[str, str], *, context: Context, sheet: Sheet, today: date) -> Read:
    read = read_entry(field, text, more, facts=context.facts, rules=context.rules, today=today)
    if field is not CUT_DONE or read.number is None:
        return read
    from norvash.core.sheet.stages.commutator.cut_made import cut_record

    return replace(read, record=cut_record(sheet, read.number, context.rules))


def _judged_by(conn: Connection, context: Context, field: Field, place: int, given: Given) -> Judged | None:
    """Return the motor as it is judged once an entry stands on its sheet, None where nothing follows from it."""
    if field.marks:
        return foresee(conn, [after_entry(conn, context, field, place, given)], given.at.date())[0]
    if field.judged:
        return judge(after_entry(conn, context, field, place, given), given.at.date())
    return None


def after_entry(conn: Connection, context: Context, field: Field, place: int, given: Given | None) -> Context:
    """Return a motor after something was entered on its newest sheet, or taken back: cuts, comparisons and findings
    follow.
    """
    row, marks = context.row, context.marks
    if row is None:
        raise LookupError("nothing can be entered without a sheet")
    if field.marks:
        marks = tuple(m for m in marks if (m.sheet, m.kind) != (row.number, field.marks))
        if given is not None and given.stands:
            marks += (mark_of(field, row.number, given),)
    made = context.with_entry(field.id, place, given, marks)
    if field.compared:
        return replace(made, sheet=put_together(conn, row, made.facts, made.written))
    if decided_finding(field):
        return made.with_seen(row.id, unsettled(rounds.list_noted(conn, row.id), made.written))
    return made


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


def _field(field_id: str, place: int, context: Context) -> Field:
    field = field_of(field_id)
    if field is None or field_id == SAFE.confirmed.id:
        raise NotFound(f"A sheet has no “{field_id[:60]}”.", "Enter it on the sheet's page.", "field")
    if not field.is_offered(context.facts, context.rules):
        raise InputError(
            f"“{field.label}” is not offered for this motor.", "Its class and figures decide what is.", "value"
        )
    place_of(field, place, context.facts)
    return field


def hold_at_gate(sheet: Sheet, needs: str, context: Context, now: datetime) -> None:
    """Refuse what needs a gate that is open, or a test with power on that is not opened.

    Raises: Conflict.
    """
    if needs == "permit":
        if not open_permits(sheet):
            raise Conflict(
                "This is measured with power on.",
                "Open a test with power on first: why, who, barriers, how long.",
                "value",
            )
        if not permitted(sheet, now):
            raise Conflict(
                "The test with power on has run over its time.",
                "Close it, make sure of power and people, and open it anew.",
                "value",
            )
    elif needs and GATES[needs].now(sheet, context.rules).is_open:
        raise Conflict(
            f"The gate “{GATES[needs].words}” is not passed yet.",
            "Settle it first, or waive it with a reason; what you typed is kept in its field.",
            "value",
        )
    elif needs == "power":
        _hold_unfit(context)


def _hold_unfit(context: Context) -> None:
    """Refuse to run what burns in seconds or flies: a shorted or open armature, a loose bar, a lifted binding."""
    found = unfit(context.state.noted)
    if found is not None:
        raise Conflict(f"Power waits: {found.words}.", f"{found.decision[0].upper()}{found.decision[1:]}.", "value")


def _unseen(sheet: Sheet, field: Field, place: int, replaces: str) -> None:
    there = sheet.entries.get((field.id, place))
    if there is not None and there.id != replaces:
        said = there.typed or "empty"
        raise Conflict(
            f"{there.person} has entered “{said}” here meanwhile.",
            "Yours is kept in the field: enter it again to replace it.",
            "value",
        )


def undo(conn: Connection, act: Act, sheet_id: str) -> str:
    """Take back what this person entered last on a sheet; return the id of what was taken back.

    Raises: Conflict when there is nothing left to take back.
    """

    def prepare() -> _Undone:
        row = unsigned(conn, sheet_id)
        last = entries.last_of(conn, sheet_id, act.person_id)
        if last is None:
            raise Conflict("There is nothing of yours to take back on this sheet.", "Change it where it stands.")
        context = load(conn, row.motor_id)
        return _Undone(context, last, foresee(conn, [_without(conn, context, sheet_id, last)], act.at.date())[0])

    def body(act: Act, made: _Undone) -> Change:
        last, motor_id = made.last, made.context.motor.id
        if last.kind == "entry":
            entries.undo_entry(conn, last.id)
        elif last.kind == "reading":
            entries.undo_reading(conn, last.id)
        else:
            rounds.strike_finding(conn, sheet_id, last.place, last.field, act.id)
        keep(conn, made.judged)
        before = {"kind": last.kind, "field": last.field, "place": last.place, "typed": last.typed}
        return Change(last.id, before, {}, motor_id)

    return prepared(conn, act, "undo", typed={"sheet": sheet_id}, prepare=prepare, body=body)


@dataclass(frozen=True)
class _Undone(Prepared):
    """What a person entered last on a sheet, and the motor judged without it."""

    last: entries.LastDone
    judged: Judged


def _without(conn: Connection, context: Context, sheet_id: str, last: entries.LastDone) -> Context:
    """Return a motor without what was entered last on its newest sheet: what that replaced counts again."""
    if last.kind == "entry":
        return after_entry(conn, context, kept_field(last.field), last.place, entries.entry_behind(conn, last.id))
    if last.kind == "reading":
        return context.with_reading(sheet_id, last.place, rounds.reading_behind(conn, last.id))
    left = tuple(s for s in rounds.list_seen(conn, sheet_id) if (s[0], s[1].id) != (last.place, last.field))
    return context.with_seen(sheet_id, left)
