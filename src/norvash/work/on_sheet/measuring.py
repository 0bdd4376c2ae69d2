"""Measure a set: keep each reading at once, answer doubts, note what is seen, close the round."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.brush.readings import read
from norvash.core.kept_names import name_now
from norvash.core.motor.figure_fields import MEASURED_BY, MEASURED_WITH
from norvash.core.motor.positions import PositionPlan
from norvash.core.record.brushes import BrushRead, BrushSeen
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Sight
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.state.laid import measured_words
from norvash.core.state.round import Round
from norvash.core.use.counter_meant import counter_meant
from norvash.core.visit.done import last_work, worked_on
from norvash.errors import Conflict, InputError, NotFound
from norvash.store.file.database import Connection
from norvash.store.record import people, rounds, seen
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.entry_value import NOT_SAID
from norvash.work.on_sheet.gate_holding import hold_at_gate
from norvash.work.on_sheet.putting import Put, There, put
from norvash.work.on_sheet.settling import doubt_about
from norvash.work.on_sheet.sheets import sheet_of, unsigned
from norvash.work.on_sheet.sighting import Seeing, sight_for
from norvash.work.on_sheet.taken_on_stop import comes_later
from norvash.work.reading.brush_lines import carbon_worked
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import Judged, foresee, judge


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

    def prepare(now: Act) -> Saying:
        context = _open(conn, sheet_id, now.at)
        plan = _plan(context, position)
        touched = position in context.state.told.new or carbon_worked(context, position)
        ways = (method or MEASURED_BY.of(context.figures), instrument or MEASURED_WITH.of(context.figures))
        value = _Length(
            conn=conn, now=now, context=context, sheet_id=sheet_id, plan=plan, text=text, ways=ways, touched=touched
        )
        sight = sight_for(seeing, touched=touched)
        placed = put(context, value, seeing, sight=sight, replaces=replaces, now=now.at)
        was, said = {}, placed.said
        if placed.there is not None and placed.sight != "asked":
            before, _ = rounds.fetch_reading(conn, placed.there.id)
            was = {"typed": before.typed, "length_mm": before.length_mm}
        change = Change(now.id, was, _told_of(said, plan), context.motor.id)
        return Saying(context=context, said=(said,), change=change, judged=placed.judged, why=seeing.why)

    typed = {
        "round": sheet_id,
        "position": position,
        "text": text,
        "method": method,
        "instrument": instrument,
        "replaces": replaces,
        **seeing.typed,
    }
    return say(conn, act, "measure", typed=typed, prepare=prepare)


@dataclass(frozen=True, slots=True, kw_only=True)
class _Length:
    """What was typed as the length of a brush, with the method and the instrument; `touched` by work or not."""

    conn: Connection
    now: Act
    context: Context
    sheet_id: str
    plan: PositionPlan
    text: str
    ways: tuple[str, str]
    touched: bool

    @property
    def person(self) -> str:
        return "" if comes_later(self.now) else people.fetch_person(self.conn, self.now.person_id).name

    def there(self, sight: Sight) -> There | None:
        row, position = _round_for(self.context, self.sheet_id, sight), self.plan.number
        again = position in row.left
        stands = row.found if sight == "found" and again else row.readings if again == (sight == "left") else {}
        found = stands.get(position)
        if found is None:
            return None
        read_then = rounds.fetch_reading(self.conn, found.id)[0]
        return There(found.id, measured_words(found), read_then.person if read_then.typed != self.text.strip() else "")

    def made(self, sight: Sight, *, slip: bool = False) -> BrushRead:
        del slip  # of a length both values stand in the record, whichever it was
        row, (method, instrument) = _round_for(self.context, self.sheet_id, sight), self.ways
        try:
            reading = read(self.text, self.context.figures, self.context.rules, method, instrument)
        except InputError as error:
            meant = counter_meant(self.text, self.context.entries, self.now.at, self.context.unit)
            raise InputError(error.problem, meant, "value") if meant else error.at(error.field or "value") from None
        return BrushRead(
            id=self.now.id,
            round_id=row.id,
            position=self.plan.number,
            reading=reading,
            instrument=instrument,
            doubt=doubt_about(self.context, row, self.plan, reading),
            sight=sight,
        )

    def judged(self, said: Put) -> Judged:
        return foresee(self.conn, [self.context.after(said)], self.now.at.date())[0]

    @property
    def twice(self) -> bool:
        return False  # a length that disagrees with what was read is doubted by itself

    def taken(self, there: There, _said: Put) -> There:
        return there

    def worked(self, sight: Sight) -> bool:
        there = self.there(sight)
        if sight != "left" or there is None:
            return self.touched
        since = rounds.fetch_reading(self.conn, there.id)[0].at
        return last_work(sheet_of(self.conn, self.context, self.sheet_id)) > since

    def meanwhile(self, there: There) -> Conflict:
        before, _ = rounds.fetch_reading(self.conn, there.id)
        return Conflict(
            f"{before.person} has already measured {self.plan.label}: {before.said}.",
            f"Your value is kept in the field: enter it again to replace {before.said}.",
            "value",
        )


def _told_of(said: Put, plan: PositionPlan) -> dict[str, object]:
    """Return what an act tells of a length."""
    if not isinstance(said, BrushRead):
        return {}
    reading = said.reading
    return {
        "position": plan.label,
        "typed": reading.typed,
        "length_mm": reading.length_mm,
        **({"bare_mm": reading.bare_mm} if reading.bare_mm is not None else {}),
        "doubt": said.doubt.kind if said.doubt is not None else "",
    }


def _open(conn: Connection, sheet_id: str, now: datetime) -> Context:
    """Return the motor of a sheet that takes readings.

    Raises: Conflict for a signed one, or while its gate is open.
    """
    context = load(conn, unsigned(conn, sheet_id).motor_id)
    hold_at_gate(sheet_of(conn, context, sheet_id), "safe", context, now)
    return context


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

    def prepare(now: Act) -> Saying:
        context = _open(conn, sheet_id, now.at)
        plan, told = _plan(context, position), context.state.told
        sheet = sheet_of(conn, context, sheet_id)
        touched = worked_on(found, position, sheet, told.new)
        row = _round_for(context, sheet_id, "left" if touched else "found")
        sight: Sight = "left" if touched and not (gone and not row.shows(position, found.id, "left")) else "found"
        value = _Seen(
            conn=conn,
            now=now,
            context=context,
            sheet=sheet,
            row=row,
            at=(position, found),
            sight=sight,
            gone=gone,
            touched=touched,
        )
        seeing = Seeing(answer=answer, why=why)
        placed = put(context, value, seeing, sight=sight, replaces="", now=now.at)
        after = {"position": plan.label, "seen": noticed, "taken back": gone, **({"why": why} if why else {})}
        change = Change(sheet_id, {}, after, context.motor.id)
        return Saying(context=context, said=(placed.said,), change=change, judged=placed.judged, why=why)

    answered = {k: v for k, v in {"answer": answer, "why": why}.items() if v}
    typed = {"round": sheet_id, "position": position, "seen": noticed, "gone": gone, **answered}
    return say(conn, act, "note a finding", typed=typed, prepare=prepare)


@dataclass(frozen=True, slots=True, kw_only=True)
class _Seen:
    """What is seen on a brush in a round, or is `gone`; `touched` by work or not."""

    conn: Connection
    now: Act
    context: Context
    sheet: Sheet
    row: Round
    at: tuple[int, Finding]
    sight: Sight
    gone: bool
    touched: bool

    @property
    def person(self) -> str:
        return ""  # what is seen on a brush adds to what others saw; taking it back is asked about by itself

    def there(self, sight: Sight) -> There | None:
        position, finding = self.at
        return There("", finding.words) if self.gone and self.row.shows(position, finding.id, sight) else None

    def made(self, _sight: Sight, *, slip: bool = False) -> BrushSeen:
        del slip  # what is taken back is struck where it stood, whichever it was
        position, finding = self.at
        return BrushSeen(
            id=self.now.id, round_id=self.row.id, position=position, finding=finding, sight=self.sight, gone=self.gone
        )

    def judged(self, said: Put) -> Judged:
        return judge(self.context.after(said), self.now.at.date())

    @property
    def twice(self) -> bool:
        return False

    def taken(self, there: There, _said: Put) -> There:
        return there

    def worked(self, sight: Sight) -> bool:
        if sight != "left":
            return self.touched
        position, finding = self.at
        return last_work(self.sheet) > seen.seen_at(self.conn, self.row.id, position, finding.id, sight)

    def meanwhile(self, there: There) -> Conflict:
        raise LookupError(there)  # nobody is in the way of anybody
