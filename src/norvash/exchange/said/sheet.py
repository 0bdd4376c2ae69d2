"""What is said on a sheet: that it is open, what stands on it, that it is signed."""

from pydantic import Field

from norvash.core.sheet.stages.catalogue import field_of
from norvash.core.sheet.visit.done import done_tasks, sight_of
from norvash.errors import Conflict, NotFound
from norvash.exchange.said.told import At, Seen, Told, Value, Words
from norvash.store import sheets
from norvash.work.acting import Act
from norvash.work.loading import load
from norvash.work.opening import make_whole, open_sheet
from norvash.work.sheets import enter
from norvash.work.signing import add_to_signed, sign


class Open(Told):
    """A sheet is opened."""

    kind: Words = "full"
    round: Words = "check"
    counter: Words = ""
    answer: Words = ""
    safe: bool = False

    def done(self, act: Act, at: At) -> str:
        left = sheets.open_sheet_of(at.conn, at.motor_id) if at.seen is None else None
        if left is not None:
            raise Conflict(
                f"Sheet {left.number} of this motor is open, {left.person} has begun it.", "Sign that one first.", "do"
            )
        return open_sheet(
            at.conn,
            act,
            at.motor_id,
            kind=self.kind,
            counter=self.counter,
            round_kind=self.round,
            answer=self.answer,
            safe=self.safe,
        )


class Enter(Told):
    """One field of a stage; an empty value takes it back. Without a sight it is the one that the sheet proposes."""

    field: Words = ""
    place: int = 0
    sight: Words = ""
    value: Value = ""
    with_it: dict[Words, Value] = Field(default={}, alias="with")
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        seen, sight = (at.seen, self.sight) if at.seen is not None else _proposed(self, at)
        return enter(
            at.conn,
            act,
            at.sheet_id,
            field_id=self.field,
            place=self.place,
            text=self.value,
            replaces=seen.replaces,
            more=self.with_it,
            seeing=seen.seeing(sight, self.answer, self.why),
        )


class Whole(Told):
    """A look goes on as a whole sheet."""

    def done(self, act: Act, at: At) -> str:
        return make_whole(at.conn, act, at.sheet_id)


class Sign(Told):
    """The sheet is signed; `why` where something is open, `service` confirms the last gate of a look."""

    why: Value = ""
    service: bool = False

    def done(self, act: Act, at: At) -> str:
        return sign(at.conn, act, at.sheet_id, self.why, service=self.service)


class Add(Told):
    """Something is added below the signature."""

    value: Value = ""

    def done(self, act: Act, at: At) -> str:
        return add_to_signed(at.conn, act, at.sheet_id, self.value)


def _proposed(entry: Enter, at: At) -> tuple[Seen, str]:
    """Return what a file would have seen, and the sight that the sheet proposes where it names none."""
    field, context = field_of(entry.field), load(at.conn, at.motor_id)
    sheet = context.open_sheet
    if field is None:
        raise NotFound(f"A sheet has no “{entry.field[:60]}”.", "Name one that is documented.", "field")
    if entry.sight == "asked" or sheet is None:
        return Seen(), ""
    proposed = sight_of(field, done_tasks(sheet), context.state.told.new, entry.place)
    sight = entry.sight or proposed
    there = next((g for at, g in context.written.items() if at == (entry.field, entry.place, sight)), None)
    return Seen(there.id if there is not None else "", proposed == "left"), sight
