"""What is said of brushes: what they read, what is seen on them, that they came new."""

from typing import Annotated

from pydantic import Field

from norvash.errors import InputError, NotFound
from norvash.exchange.said.told import At, Lengths, Seen, Told, Words
from norvash.store import rounds
from norvash.work.acting import Act
from norvash.work.loading import load
from norvash.work.measuring import note, record
from norvash.work.new_set import Fitting, fit_new_set
from norvash.work.renewing import renew_brushes
from norvash.work.settling import settle_doubt


class Measure(Told):
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


class See(Told):
    """What is seen on a brush, by the id of the finding; `gone` takes it back."""

    place: int = 0
    value: Words = ""
    gone: bool = False
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        return note(at.conn, act, at.sheet_id, self.place, self.value, gone=self.gone, answer=self.answer, why=self.why)


class Doubt(Told):
    """The answer to a doubted length; `why` where it was mistyped."""

    place: int = 0
    answer: Words = ""
    why: Words = ""

    def done(self, act: Act, at: At) -> str:
        for a_round in reversed(rounds.rounds_of(at.conn, at.sheet_id)):
            reading = rounds.list_readings(at.conn, a_round.id).get(self.place)
            if reading is not None:
                return settle_doubt(at.conn, act, reading.id, self.answer, self.why)
        raise NotFound("There is no reading at this place.", "Measure it first.", "place")


class Fit(Told):
    """A new set is fitted, on the sheet while one is open: by position a length, “nominal”, or nothing."""

    reason: Words = ""
    lengths: Lengths = {}
    part: Words = ""
    variant: Words = ""
    also: Annotated[tuple[Words, ...], Field(max_length=40)] = ()
    counter: Words = ""
    answer: Words = ""

    def done(self, act: Act, at: At) -> str:
        return fit_new_set(
            at.conn,
            act,
            at.motor_id,
            counter=self.counter,
            reason=self.reason,
            lengths=_lengths(self.lengths, at),
            answer=self.answer,
            stated=Fitting(part=self.part, variant=self.variant, also=self.also),
        )


class Renew(Told):
    """Single brushes are renewed while the others stay."""

    reason: Words = ""
    lengths: Lengths = {}
    counter: Words = ""
    answer: Words = ""

    def done(self, act: Act, at: At) -> str:
        return renew_brushes(
            at.conn,
            act,
            at.motor_id,
            counter=self.counter,
            reason=self.reason,
            lengths=_lengths(self.lengths, at),
            answer=self.answer,
        )


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
