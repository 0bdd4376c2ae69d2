"""What is said on a sheet: that it is open, what stands on it, that it is signed."""

from collections.abc import Iterator, Mapping
from typing import ClassVar, Literal

from pydantic import Field

from norvash.core.parts.sizes import LABELS
from norvash.core.stages.catalogue import field_of, stage_of
from norvash.core.stages.gates import SERVICE
from norvash.core.use.happened import ENDS
from norvash.core.visit.done import done_tasks, sight_of
from norvash.core.visit.offering import PLACE
from norvash.errors import Conflict, NotFound
from norvash.exchange.said.told import (
    At,
    Line,
    OfCounter,
    Plain,
    Seen,
    Statement,
    Value,
    Words,
    counter_typed,
    plain_of,
)
from norvash.store.file.database import Connection
from norvash.store.record import entries, sheets
from norvash.store.record.people import Done
from norvash.work.act.acting import Act
from norvash.work.on_sheet.opening import make_whole, open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.signing import add_to_signed, sign
from norvash.work.reading.loading import load
from norvash.work.reading.sheet_state import new_brushes

# What comes with an entry, under the names that it is typed by.
_WITH = {
    "who": "who",
    "day": "day",
    "why": "why",
    "barriers": "barriers",
    "minutes": "minutes",
    "took": "minutes",
    "expected": "minutes",
    "touches": "touches",
    "parts": "parts",
    "part": "part",
    "turns": "turns",
    "volts": "volts",
    "rpm": "rpm",
    "at_stop": "at_stop",
    "way": "way",
    "mends": "mends",
    **{
        n: n
        for n in ("bill", "hours", "rate", "freight", "tax", "consumables", "downtime", "redo", "life", "condition")
    },
    "said": "said",
    **{n: n for n in ("count", "long", "across", "size", "round", "material", "stays", "before", "ends")},
    **{f"{which}-{n}": f"{which}-{n}" for which in ("new", "old") for n in LABELS},
    **{f"at-{n}": f"at-{n}" for n in PLACE},
}
MAY_COME = frozenset(_WITH.values())


class Open(OfCounter):
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
            happened=self.happened(self.answer),
            safe=self.safe,
        )


class OpenLine(Open, Line):
    later: ClassVar[tuple[str, ...]] = ENDS
    at_stage: ClassVar[str] = "opened"
    job: ClassVar[str] = "open a sheet"
    do: Literal["open"]
    kind: Literal["full", "quick"] = "full"
    round: Literal["check", "bedded"] = "check"

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        if "look" not in after:
            return  # it went on with the sheet that was open: nothing was opened
        safe = {"safe": True} if entries.fetch_entry(conn, f"{act.id}.safe") is not None else {}
        yield {"do": "open", "kind": after["look"], "round": after["kind"], **counter_typed(conn, act), **safe}


class Enter(Statement):
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


class EnterLine(Enter, Line):
    later: ClassVar[tuple[str, ...]] = ("why",)
    job: ClassVar[str] = "enter"
    do: Literal["enter"]
    stage: Words = ""
    field: Words
    place: int = Field(default=0, ge=0, le=99)
    sight: Literal["", "found", "left", "asked"] = ""
    value: Value

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after, given = plain_of(act.after_json), entries.fetch_entry(conn, act.id)
        stage, behind = stage_of(after["field"]), entries.entry_behind(conn, act.id)
        made: Plain = {
            "do": "enter",
            "stage": stage.id if stage is not None else "",
            "field": after["field"],
            "place": after["place"],
            "sight": given.sight if given is not None else "",
            "value": after["typed"],
        }
        more = {_WITH[k]: str(x) for k, x in after.items() if k in _WITH and k not in ("field", "place", "typed")}
        made |= {"with": more} if more else {}
        if given is not None and behind is not None and behind.stands:
            made["answer"] = "mistyped" if given.slip else "again"
        yield made | ({"why": after["slip"]} if "slip" in after else {})


class Whole(Statement):
    """A look goes on as a whole sheet."""

    def done(self, act: Act, at: At) -> str:
        return make_whole(at.conn, act, at.sheet_id)


class WholeLine(Whole, Line):
    at_stage: ClassVar[str] = "sign"
    job: ClassVar[str] = "make it a whole sheet"
    do: Literal["whole"]

    @classmethod
    def lines_of(cls, _conn: Connection, _act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        yield {"do": "whole"}


class SignSheet(Statement):
    """The sheet is signed; `why` where something is open, `service` confirms the last gate of a look."""

    why: Value = ""
    service: bool = False

    def done(self, act: Act, at: At) -> str:
        return sign(at.conn, act, at.sheet_id, self.why, service=self.service)


class SignLine(SignSheet, Line):
    at_stage: ClassVar[str] = "sign"
    job: ClassVar[str] = "sign a sheet"
    do: Literal["sign"]

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        service = entries.fetch_entry(conn, f"{act.id}.{SERVICE.confirmed.id}") is not None
        why = plain_of(act.after_json).get("why", "")
        yield {"do": "sign"} | ({"why": why} if why else {}) | ({"service": True} if service else {})


class Add(Statement):
    """Something is added below the signature."""

    value: Value = ""

    def done(self, act: Act, at: At) -> str:
        return add_to_signed(at.conn, act, at.sheet_id, self.value)


class AddLine(Add, Line):
    at_stage: ClassVar[str] = "sign"
    job: ClassVar[str] = "add to a sheet"
    do: Literal["add"]
    value: Value

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        yield {"do": "add", "value": plain_of(act.after_json)["added"]}


def _proposed(entry: Enter, at: At) -> tuple[Seen, str]:
    """Return what a file would have seen, and the sight that the sheet proposes where it names none."""
    field, context = field_of(entry.field), load(at.conn, at.motor_id)
    sheet = context.open_sheet
    if field is None:
        raise NotFound(f"A sheet has no “{entry.field[:60]}”.", "Name one that is documented.", "field")
    if entry.sight == "asked" or sheet is None:
        return Seen(), ""
    new = new_brushes(sheet.id, context.sets, [p.number for p in context.positions])
    proposed = sight_of(field, done_tasks(sheet), new, entry.place)
    sight = entry.sight or proposed
    spot = (entry.field, entry.place, sight)
    there = next((given for stands, given in context.written.items() if stands == spot), None)
    return Seen(there.id if there is not None else "", proposed == "left"), sight
