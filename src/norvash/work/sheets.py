"""Enter things on a sheet."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import partial

from norvash.core.record.entries import Entered
from norvash.core.record.record import SheetRow
from norvash.core.sheet.field import YES, Field
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.judging.refusing import refuse
from norvash.core.sheet.putting_off import Asked, By
from norvash.core.sheet.records import PaintedMap
from norvash.core.sheet.sheet import Sheet, Spot
from norvash.core.sheet.stages.brushes.carbon import SHORTEST_ONLY
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.core.sheet.stages.gates import GATES, SAFE
from norvash.core.sheet.visit.done import done_tasks, last_work, overtaken, touched
from norvash.core.sheet.visit.typed import Read, place_of, read_entry
from norvash.errors import Conflict, InputError, NotFound
from norvash.store import entries, people, sheets
from norvash.store.database import Connection
from norvash.store.records import kept
from norvash.work.acting import Act, Change, prepared
from norvash.work.asked_for import check_asked
from norvash.work.context import Context, Prepared
from norvash.work.gate_holding import hold_entry
from norvash.work.loading import load
from norvash.work.marks import mark_of
from norvash.work.sheet_state import compared_with, compares, put_together
from norvash.work.sighting import Seeing, sight_for, slip
from norvash.work.standing import Judged, foresee, judge, keep

NOT_SAID = Seeing()


@dataclass(frozen=True)
class _Entered(Prepared):
    """An entry as it is to be kept: its field, what stood there, the entry, and the motor judged by it, None where
    nothing follows from it.
    """

    field_id: str
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
    seeing: Seeing = NOT_SAID,
) -> str:
    """Keep one entry at once and return its id; an empty text empties the place.

    `replaces` is the entry that the person saw there; another one is not overwritten. `seeing` says of which sight it
    speaks. Raises: InputError for what cannot be, NeedsAnswer where it could be a slip or a second measurement,
    Conflict for a closed gate, a signed sheet, or what somebody else entered meanwhile.
    """

    def prepare() -> _Entered:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        sheet = sheet_of(conn, context, sheet_id)
        field = _field(field_id, place, context, taken_back=not text.strip())
        hold_entry(sheet, field, context, act.at, taken_back=not text.strip())
        touching = _touched(context, sheet, field, place)
        sight = _sight(field, seeing, touched=touching)
        there = sheet.written.get((field.id, place, sight))
        if sight != "asked":
            _unseen(there, replaces)
        person, alone = people.fetch_person(conn, act.person_id).name, len(people.list_people(conn)) < 2
        by = By(person, act.at.date(), alone)
        read = _read(field, place, text, more or {}, context=context, sheet=sheet, by=by)
        check_asked(context, field, place, read.word, act.at.date())
        given = Given(
            id=act.id,
            typed=read.typed,
            word=read.word,
            number=read.number,
            person=person,
            at=act.at,
            record=read.record,
            sight=sight,
        )
        if sight == "asked":
            return _Entered(context, field.id, there, given, None)
        judged, stood = _judged_by(conn, context, field, place, given), _overwritten(field, there, given, sheet)
        if judged is not None and stood is not None:
            before = judge(context, act.at.date()).found.lives
            worked = partial(overtaken, field, sheet, place) if sight == "left" else partial(bool, touching)
            was_slip, sight_now = slip(before, judged.found.lives, stood.typed, seeing, sight=sight, worked=worked)
            if (was_slip, sight_now) != (given.slip, given.sight):
                given = replace(given, slip=was_slip, sight=sight_now)
                there = sheet.written.get((field.id, place, sight_now))
                judged = _judged_by(conn, context, field, place, given)
        return _Entered(context, field.id, there, given, judged)

    def body(act: Act, made: _Entered) -> Change:
        motor_id, given = made.context.motor.id, made.given
        entries.add_entry(conn, act.id, sheet_id, field=made.field_id, place=place, given=given, act_id=act.id)
        if made.judged is not None:
            keep(conn, made.judged, why=seeing.why if given.slip else "")
        sighted = {} if given.sight == "found" else {"sight": given.sight}
        why = {"slip": seeing.why} if given.slip and seeing.why else {}
        after = {"field": made.field_id, "place": place, "typed": given.typed, **sighted, **kept(given.record), **why}
        return Change(act.id, {"typed": made.before.typed} if made.before else {}, after, motor_id)

    typed = {
        "sheet": sheet_id,
        "field": field_id,
        "place": place,
        "text": text,
        "replaces": replaces,
        "more": dict(more or {}),
        **seeing.typed,
    }
    return prepared(conn, act, "enter", typed=typed, prepare=prepare, body=body)


def _overwritten(field: Field, there: Given | None, given: Given, sheet: Sheet) -> Given | None:
    """Return what an entry takes the place of, None where it only completes it, as a map is painted mark by mark, and
    where what stands there is of a run before the last work.
    """
    if there is None or not there.stands or not field.sighted:
        return None
    if field.after_work and there.at < last_work(sheet) and given.sight == "left":
        return None
    before, after = there.record, given.record
    if isinstance(before, PaintedMap) and isinstance(after, PaintedMap):
        kept_all = all(marks <= after.conditions.get(bar, frozenset()) for bar, marks in before.conditions.items())
        return None if kept_all else there
    return there


def _touched(context: Context, sheet: Sheet, field: Field, place: int) -> bool:
    """Tell whether work of this visit has touched the place of a field."""
    return field.sighted and touched(field, done_tasks(sheet), context.state.told.new, place)


def _sight(field: Field, seeing: Seeing, *, touched: bool) -> Sight:
    if field.records_work:
        return "left"
    return sight_for(seeing, touched=touched) if field.sighted else "found"


def _read(
    field: Field, place: int, text: str, more: Mapping[str, str], *, context: Context, sheet: Sheet, by: By
) -> Read:
    read = read_entry(field, text, more, facts=context.facts, rules=context.rules, today=by.today)
    asked = Asked(word=read.word, number=read.number, record=read.record, by=by)
    read = replace(read, record=refuse(field, place, asked, sheet=sheet, told=context.state.told, rules=context.rules))
    if field is not CUT_DONE or read.number is None:
        return read
    from norvash.core.sheet.judging.commutator.cut_made import cut_record

    return replace(read, record=cut_record(sheet, read.number, context.rules))


def _judged_by(conn: Connection, context: Context, field: Field, place: int, given: Given) -> Judged | None:
    """Return the motor as it is judged once an entry stands on its sheet, None where nothing follows from it."""
    if field.marks:
        return foresee(conn, [after_entry(conn, context, field, place, given)], given.at.date())[0]
    if field.judged:
        return judge(after_entry(conn, context, field, place, given), given.at.date())
    return None


def after_entry(conn: Connection, context: Context, field: Field, place: int, given: Given) -> Context:
    """Return a motor after something was entered on its newest sheet: cuts, comparisons and findings follow."""
    return changed(conn, context, field, (field.id, place, given.sight), given)


def changed(conn: Connection, context: Context, field: Field, spot: Spot, given: Given | None) -> Context:
    """Return a motor after another entry stands at one place of its newest sheet, or none any more."""
    row = context.row
    if row is None:
        raise LookupError("nothing can be entered without a sheet")
    leaves = given if field.marks and given is not None and given.stands else None
    mark = mark_of(field, row.number, leaves) if leaves is not None else None
    shortest = given is not None and given.word == YES if field is SHORTEST_ONLY else None
    made = context.after(Entered(spot=spot, given=given, marks=field.marks, mark=mark, shortest=shortest))
    return replace(made, compared=compared_with(conn, row, made.written)) if compares(field.id) else made


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


def _field(field_id: str, place: int, context: Context, *, taken_back: bool) -> Field:
    field = field_of(field_id)
    if field is None or field is SAFE.confirmed:
        raise NotFound(f"A sheet has no “{field_id[:60]}”.", "Enter it on the sheet's page.", "field")
    if not field.is_offered(context.facts, context.rules) and not taken_back:
        raise InputError(
            field.why_not(context.facts, context.rules) or f"“{field.label}” is not offered for this motor.",
            "Its class and figures decide what is asked for.",
            "value",
        )
    gate = next((g for g in GATES.values() if g.named(field.id) is not None), None)
    if gate is not None and not taken_back and not gate.asks(field.id, context.facts, context.rules):
        raise InputError(
            f"This step of “{gate.words}” is not asked of this motor.", "Tick those that are shown.", "value"
        )
    place_of(field, place, context.facts)
    return field


def _unseen(there: Given | None, replaces: str) -> None:
    if there is not None and there.id != replaces:
        said = there.typed or "empty"
        raise Conflict(
            f"{there.person} has entered “{said}” here meanwhile.",
            "Yours is kept in the field: enter it again to replace it.",
            "value",
        )
