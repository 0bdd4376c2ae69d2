"""Enter things on a sheet."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from norvash.core.record.record import SheetRow
from norvash.core.record.sheet import Entered
from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.judging.commutator.whole_map import of_painting
from norvash.core.sheet.judging.refusing import refuse
from norvash.core.sheet.putting_off import Asked, By
from norvash.core.sheet.records import PaintedMap, SlotTime
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.stages.commutator.cut import CUT_DONE, CUT_MINUTES
from norvash.core.sheet.stages.gates import GATES, SAFE
from norvash.core.sheet.visit.done import done_tasks, last_work, overtaken, read_anew, touched, work_beside
from norvash.core.sheet.visit.entry_read import Read
from norvash.core.sheet.visit.typed import place_of, read_entry
from norvash.errors import Conflict, InputError, NotFound, StopForbids, StopHolds
from norvash.store import people, sheets
from norvash.store.database import Connection
from norvash.store.records import kept
from norvash.work.acting import Act, Change
from norvash.work.asked_for import check_asked, check_come_back, names_nothing
from norvash.work.context import Context
from norvash.work.entered import entered, told
from norvash.work.gate_holding import hold_entry
from norvash.work.loading import load
from norvash.work.putting import Put, There, put
from norvash.work.saying import Saying, say
from norvash.work.sheet_state import put_together
from norvash.work.sighting import AGAIN, Seeing, sight_for
from norvash.work.standing import Judged, foresee, judge
from norvash.work.taken_on_stop import comes_later, given_on_stop, refuse_by_hand, taken_on_stop

NOT_SAID = Seeing()


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

    def prepare(now: Act, seeing: Seeing = seeing) -> Saying:
        context = load(conn, unsigned(conn, sheet_id).motor_id)
        sheet = sheet_of(conn, context, sheet_id)
        field = _field(field_id, place, context, taken_back=not text.strip())
        refuse_by_hand(now, field)
        again = seeing.answer in (AGAIN, "left")
        person = people.fetch_person(conn, now.person_id).name
        touching = _touched(context, sheet, field, place)
        alone = len(people.list_people(conn)) < 2
        value = _Entry(
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
            placed = put(context, value, seeing, sight=sight, replaces=replaces, now=now.at)
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
    return say(conn, act, "enter", typed=typed, prepare=prepare)


@dataclass(frozen=True, slots=True, kw_only=True)
class _Entry:
    """What was typed for one field at one place, `touched` by work of this visit or not."""

    conn: Connection
    now: Act
    context: Context
    sheet: Sheet
    field: Field
    place: int
    text: str
    more: Mapping[str, str]
    touched: bool
    by: By

    @property
    def person(self) -> str:
        return "" if comes_later(self.now) else self.by.person

    def there(self, sight: Sight) -> There | None:
        given = self._given(sight)
        if given is None:
            return None
        return There(given.id, given.typed, given.person if given.typed != self.text.strip() else "")

    def _given(self, sight: Sight) -> Given | None:
        return self.sheet.written.get((self.field.id, self.place, sight))

    def made(self, sight: Sight, *, slip: bool = False) -> Entered:
        more = of_painting(self.more, self._given(sight))
        read = _read(self.field, self.place, self.text, more, context=self.context, sheet=self.sheet, by=self.by)
        check_asked(self.context, self.field, self.place, read, self.now.at.date())
        check_come_back(self.conn, self.context, self.field, read.word, self.now.at.date())
        given = Given(
            id=self.now.id,
            typed=read.typed,
            word=read.word,
            number=read.number,
            person=self.by.person,
            at=self.now.at,
            record=read.record,
            sight=sight,
            slip=slip,
        )
        return entered(self.context, self.field, (self.field.id, self.place, sight), given)

    def judged(self, said: Put) -> Judged | None:
        if not isinstance(said, Entered) or said.spot[2] == "asked" or not (self.field.marks or self.field.judged):
            return None
        after, today = told(self.conn, self.context, said), self.now.at.date()
        return foresee(self.conn, [after], today)[0] if self.field.marks else judge(after, today)

    def taken(self, there: There, said: Put) -> There | None:
        given = said.given if isinstance(said, Entered) else None
        if given is None or not _overwrites(self.field, self._given(given.sight), given, self.sheet):
            return None
        return there

    def worked(self, sight: Sight) -> bool:
        if sight == "left":
            return overtaken(self.field, self.sheet, self.place)
        return self.touched or bool(work_beside(self.field, done_tasks(self.sheet)))

    def meanwhile(self, there: There) -> Conflict:
        given = next(g for g in self.sheet.written.values() if g.id == there.id)
        return Conflict(
            f"{given.person} has entered “{given.typed or 'empty'}” here meanwhile.",
            "Yours is kept in the field: enter it again to replace it.",
            "value",
        )


def _told_of(said: Put) -> dict[str, object]:
    """Return what an act tells of an entry."""
    given = said.given if isinstance(said, Entered) else None
    if given is None:
        return {}
    return {"typed": given.typed, **({} if given.sight == "found" else {"sight": given.sight}), **kept(given.record)}


def _overwrites(field: Field, there: Given | None, given: Given, sheet: Sheet) -> bool:
    """Tell whether an entry takes the place of what stands there: not where it only completes it, as a map is painted
    mark by mark, nor where that is of a run before the last work.
    """
    if there is None or not there.stands or not field.sighted:
        return False
    if field.after_work and there.at < last_work(sheet) and given.sight == "left":
        return False
    before, after = there.record, given.record
    if isinstance(before, PaintedMap) and isinstance(after, PaintedMap):
        return any(not marks <= after.conditions.get(bar, frozenset()) for bar, marks in before.conditions.items())
    return True


def _touched(context: Context, sheet: Sheet, field: Field, place: int) -> bool:
    """Tell whether work of this visit has touched the place of a field."""
    return field.sighted and touched(field, done_tasks(sheet), context.state.told.new, place)


def _sight(field: Field, seeing: Seeing, *, touched: bool, beside: bool) -> Sight:
    """Return the sight of a value; one that is said to be as left may be so where its part was worked on."""
    if field.records_work:
        return "left"
    said = seeing.says_left and beside
    return sight_for(seeing, touched=touched or said) if field.sighted else "found"


def _read(
    field: Field, place: int, text: str, more: Mapping[str, str], *, context: Context, sheet: Sheet, by: By
) -> Read:
    read = read_entry(field, text, more, facts=context.facts, rules=context.rules, today=by.today)
    asked = Asked(word=read.word, number=read.number, record=read.record, by=by)
    read = replace(read, record=refuse(field, place, asked, sheet=sheet, told=context.state.told, rules=context.rules))
    if field is CUT_MINUTES and read.number is not None:
        from norvash.core.sheet.judging.commutator.slots_here import cut_minutes

        planned = cut_minutes(sheet.as_found, context.rules)
        return read if planned is None else replace(read, record=SlotTime(float(f"{planned:g}")))
    if field is not CUT_DONE or read.number is None:
        return read
    from norvash.core.sheet.judging.commutator.cut_made import cut_record

    return replace(read, record=cut_record(sheet, read.number, context.rules))


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
    there = any(spot[:2] == (field_id, place) for spot in context.written)
    unknown = field is not None and taken_back and not there and names_nothing(field)
    if field is None or field is SAFE.confirmed or unknown:
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
