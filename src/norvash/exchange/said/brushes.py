"""What is said of brushes: what they read, what is seen on them, that they came new."""

from collections.abc import Iterator, Mapping
from typing import Annotated, ClassVar, Literal, TypedDict

from pydantic import Field

from norvash.core.use.happened import ENDS, Happened
from norvash.errors import InputError, NotFound
from norvash.exchange.said.told import (
    At,
    Lengths,
    Line,
    OfCounter,
    Plain,
    Seen,
    Statement,
    Words,
    counter_typed,
    plain_of,
)
from norvash.store.file.database import Connection
from norvash.store.record import rounds, sets
from norvash.store.record.people import Done
from norvash.work.act.acting import Act
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.new_set import Fitting, fit_new_set
from norvash.work.on_sheet.renewing import renew_brushes
from norvash.work.on_sheet.settling import settle_doubt
from norvash.work.reading.loading import load


class Measure(Statement):
    """The length of a brush."""

    place: int = 0
    sight: Words = ""
    value: Words = ""
    method: Words = ""
    instrument: Words = ""
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        seen, sight = (at.seen, self.sight) if at.seen is not None else _there(self, at)
        return record(
            at.conn,
            act,
            at.sheet_id,
            position=self.place,
            text=self.value,
            method=self.method,
            instrument=self.instrument,
            replaces=seen.replaces,
            seeing=seen.seeing(sight, self.answer, self.why),
        )


class MeasureLine(Measure, Line):
    at_stage: ClassVar[str] = "brushes"
    later: ClassVar[tuple[str, ...]] = ("why",)
    job: ClassVar[str] = "measure"
    do: Literal["measure"]
    place: int = Field(ge=1, le=40)
    sight: Literal["", "found", "left", "asked"] = ""
    value: Words

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        reading, _ = rounds.fetch_reading(conn, act.id)
        made = {"do": "measure", "place": labels[after["position"]], "sight": reading.sight, "value": reading.typed}
        made |= {"method": reading.method, "instrument": reading.instrument}
        yield made | ({"answer": "again"} if plain_of(act.before_json) else {})


class See(Statement):
    """What is seen on a brush, by the id of the finding; `gone` takes it back."""

    place: int = 0
    value: Words = ""
    gone: bool = False
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        return note(at.conn, act, at.sheet_id, self.place, self.value, gone=self.gone, answer=self.answer, why=self.why)


class SeeLine(See, Line):
    at_stage: ClassVar[str] = "brushes"
    later: ClassVar[tuple[str, ...]] = ("why",)
    job: ClassVar[str] = "note a finding"
    do: Literal["see"]
    place: int = Field(ge=1, le=40)
    value: Words

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        gone = {"gone": True, "answer": "mistyped", "why": after.get("why", "")} if after["taken back"] else {}
        yield {"do": "see", "place": labels[after["position"]], "value": after["seen"], **gone}


class Doubt(Statement):
    """The answer to a doubted length: `right`, `mistyped` with its `why`, `new set`, or `swapped N` of a brush that was
    at position N before, and changed places with the one there.
    """

    place: int = 0
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        for a_round in reversed(rounds.rounds_of(at.conn, at.sheet_id)):
            reading = rounds.list_readings(at.conn, a_round.id).get(self.place)
            if reading is not None:
                return settle_doubt(at.conn, act, reading.id, self.answer, self.why)
        raise NotFound("There is no reading at this place.", "Measure it first.", "place")


class DoubtLine(Doubt, Line):
    at_stage: ClassVar[str] = "brushes"
    later: ClassVar[tuple[str, ...]] = ("why",)
    job: ClassVar[str] = "settle a doubt"
    do: Literal["doubt"]
    place: int = Field(ge=1, le=40)
    answer: Words

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        before, after = plain_of(act.before_json), plain_of(act.after_json)
        there = rounds.list_typed(conn, act.result_id, before["typed"])
        reading = next((r for r in there if r.id == before.get("reading")), there[0])
        yield {"do": "doubt", "place": reading.position_number, "answer": after["answer"], "why": after.get("why", "")}


class _Typed(TypedDict):
    counter: str
    reason: str
    lengths: dict[int, str]
    happened: Happened


class _New(OfCounter):
    """Brushes came new: why, by position what they measure, and the counter then."""

    reason: Words = ""
    lengths: Lengths = {}
    counter: Words = ""
    answer: Words = ""

    def typed(self, at: At) -> _Typed:
        """Return it as both jobs take it."""
        lengths = _lengths(self.lengths, at)
        return {
            "counter": self.counter,
            "reason": self.reason,
            "lengths": lengths,
            "happened": self.happened(self.answer),
        }


class Fit(_New):
    """A new set is fitted, on the sheet while one is open: by position a length, “nominal”, or nothing."""

    part: Words = ""
    variant: Words = ""
    also: Annotated[tuple[Words, ...], Field(max_length=40)] = ()

    def done(self, act: Act, at: At) -> str:
        return fit_new_set(
            at.conn,
            act,
            at.motor_id,
            **self.typed(at),
            stated=Fitting(part=self.part, variant=self.variant, also=self.also),
        )


class FitLine(Fit, Line):
    later: ClassVar[tuple[str, ...]] = ENDS
    at_stage: ClassVar[str] = "brushes"
    job: ClassVar[str] = "fit a new set"
    do: Literal["fit"]
    reason: Words

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        nominal = sets.nominal_of(conn, act.id)
        made: Plain = {"do": "fit", "reason": after["reason"], "lengths": {}}
        for label, number in labels.items():
            if label in after["lengths_mm"]:
                made["lengths"][label] = rounds.fetch_reading(conn, f"{act.id}.{number}")[0].typed
            elif number in nominal:
                made["lengths"][label] = "nominal"
        yield made | {k: after[k] for k in ("part", "variant", "also") if k in after} | counter_typed(conn, act)


class Renew(_New):
    """Single brushes are renewed while the others stay."""

    def done(self, act: Act, at: At) -> str:
        return renew_brushes(at.conn, act, at.motor_id, **self.typed(at))


class RenewLine(Renew, Line):
    later: ClassVar[tuple[str, ...]] = ENDS
    at_stage: ClassVar[str] = "brushes"
    job: ClassVar[str] = "renew brushes"
    do: Literal["renew"]
    reason: Words
    lengths: Lengths

    @classmethod
    def lines_of(cls, conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        lengths = {label: "" if mm is None else f"{mm:.9g} mm" for label, mm in after["renewed"].items()}
        made = {"do": "renew", "reason": after["reason"], "lengths": lengths} | counter_typed(conn, act)
        if "answer" in after:
            made["answer"] = f"{made['answer']}+{after['answer']}" if "answer" in made else after["answer"]
        yield made


def _there(entry: Measure, at: At) -> tuple[Seen, str]:
    """Return which reading a file would have seen, and its sight."""
    sight = "" if entry.sight == "asked" else entry.sight
    there = [
        g
        for r in rounds.rounds_of(at.conn, at.sheet_id)
        for g in rounds.list_sighted(at.conn, r.id)
        if g.position_number == entry.place and g.sight == (sight or "found")
    ]
    return Seen(there[-1].id if there else ""), sight


def _lengths(typed: dict[str, str], at: At) -> dict[int, str]:
    """Return lengths by the number of their position; in a file they stand by label or by number."""
    by_label = at.seen is None
    labels = {p.label: p.number for p in load(at.conn, at.motor_id).positions} if by_label else {}
    made = {}
    for place, text in typed.items():
        number = labels.get(place) or (int(place) if place.isdecimal() else None)
        if number is None:
            raise InputError(f"There is no position “{place}”.", "Name one by its label or number.", "lengths")
        made[number] = text
    return made
