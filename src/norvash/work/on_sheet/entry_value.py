"""A value that was typed for one field at one place, on its way to its sheet."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from norvash.core.judging.commutator.whole_map import of_painting
from norvash.core.judging.refusing import refuse
from norvash.core.record.sheet import Entered
from norvash.core.sheet.field import Field, Quantity, second_of
from norvash.core.sheet.given import Given, Sight
from norvash.core.sheet.putting_off import Asked, By
from norvash.core.sheet.records import PaintedMap
from norvash.core.sheet.sheet import Sheet
from norvash.core.visit.done import asked_since, done_tasks, overtaken, work_beside
from norvash.core.visit.entry_read import Read
from norvash.core.visit.typed import read_entry
from norvash.errors import Conflict, NeedsAnswer
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act
from norvash.work.on_sheet.asked_for import check_asked, check_come_back
from norvash.work.on_sheet.entered import entered, told
from norvash.work.on_sheet.putting import Placed, Put, There, put
from norvash.work.on_sheet.sighting import MISTYPED, ONCE_MORE, Seeing
from norvash.work.on_sheet.taken_on_stop import comes_later
from norvash.work.reading.context import Context
from norvash.work.reading.standing import Judged, foresee, judge

NOT_SAID = Seeing()


@dataclass(frozen=True, slots=True, kw_only=True)
class EntryValue:
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
        """Return whose it is, empty for one that tells of what was done before it was sent."""
        return "" if comes_later(self.now) else self.by.person

    @property
    def twice(self) -> bool:
        """Tell whether it may be measured once more with no work between."""
        return isinstance(self.field, Quantity) and self.field.sighted

    def there(self, sight: Sight) -> There | None:
        """Return what stands there in a sight."""
        given = self._given(sight)
        if given is None:
            return None
        return There(given.id, given.typed, given.person if given.typed != self.text.strip() else "")

    def _given(self, sight: Sight) -> Given | None:
        return self.sheet.written.get((self.field.id, self.place, sight))

    def made(self, sight: Sight, *, slip: bool = False) -> Entered:
        """Return it as an entry of a sight; with `slip` what stood there was mistyped."""
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
        """Return its motor judged with it, None where nothing follows from it."""
        if not isinstance(said, Entered) or said.spot[2] == "asked" or not (self.field.marks or self.field.judged):
            return None
        after, today = told(self.conn, self.context, said), self.now.at.date()
        return foresee(self.conn, [after], today)[0] if self.field.marks else judge(after, today)

    def taken(self, there: There, said: Put) -> There | None:
        """Return what it takes the place of, None where it only adds to that."""
        given = said.given if isinstance(said, Entered) else None
        if given is None or not _overwrites(self.field, self._given(given.sight), given, self.sheet):
            return None
        return there

    def worked(self, sight: Sight) -> bool:
        """Tell whether work has touched the place since what stands there was entered."""
        if sight == "left":
            return overtaken(self.field, self.sheet, self.place)
        return self.touched or bool(work_beside(self.field, done_tasks(self.sheet)))

    def meanwhile(self, there: There) -> Conflict:
        """Return what is said where somebody else has put something there."""
        given = next(g for g in self.sheet.written.values() if g.id == there.id)
        return Conflict(
            f"{given.person} has entered “{given.typed or 'empty'}” here meanwhile.",
            "Yours is kept in the field: enter it again to replace it.",
            "value",
        )


def put_entry(value: EntryValue, seeing: Seeing, *, sight: Sight, replaces: str) -> tuple[Field, Seeing, Placed]:
    """Return a value as it is to be kept, with its field and how that is answered. One that was measured once more with
    no work between and is milder stands beside what it disagrees with; a third that agrees with it takes both places.

    Raises: what putting it raises.
    """
    sheet, field, at = value.sheet, value.field, value.now.at
    try:
        return field, seeing, put(value.context, value, seeing, sight=sight, replaces=replaces, now=at)
    except NeedsAnswer:
        there = sheet.written.get((field.id, value.place, sight))
        second = second_of(field) if isinstance(field, Quantity) and not value.worked(sight) else None
        if seeing.answer != ONCE_MORE or second is None or there is None:
            raise
    before = second.given(sheet, value.place)
    if before is None or before.at <= there.at:
        aside, known = replace(value, field=second), before.id if before is not None else ""
        return second, NOT_SAID, put(value.context, aside, NOT_SAID, sight="found", replaces=known, now=at)
    why = f"measured three times: {there.typed}, then {before.typed} ({before.person}) and {value.text.strip()}"
    agreed = replace(seeing, answer=MISTYPED, why=why)
    return field, agreed, put(value.context, value, agreed, sight=sight, replaces=replaces, now=at)


def _overwrites(field: Field, there: Given | None, given: Given, sheet: Sheet) -> bool:
    """Tell whether an entry takes the place of what stands there: not where it only completes it, as a map is painted
    mark by mark, nor where that is of a run before the last work.
    """
    if there is None or not there.stands or not field.sighted:
        return False
    if field.after_work and there.at < asked_since(field, sheet) and given.sight == "left":
        return False
    before, after = there.record, given.record
    if isinstance(before, PaintedMap) and isinstance(after, PaintedMap):
        return any(not marks <= after.conditions.get(bar, frozenset()) for bar, marks in before.conditions.items())
    return True


def _read(
    field: Field, place: int, text: str, more: Mapping[str, str], *, context: Context, sheet: Sheet, by: By
) -> Read:
    read = read_entry(field, text, more, facts=context.facts, rules=context.rules, today=by.today)
    asked = Asked(word=read.word, number=read.number, record=read.record, by=by)
    return replace(read, record=refuse(field, place, asked, sheet=sheet, told=context.state.told, rules=context.rules))
