"""What is said of a motor: that it is there, what it is, its use, and what it is judged by."""

from collections.abc import Iterator, Mapping
from dataclasses import replace
from typing import ClassVar, Literal

from norvash.core.kept_names import name_now
from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.rules.catalogue import SCHOOLS_BY_ID
from norvash.core.sheet.moved import Explained
from norvash.core.text.quantities import UNITS
from norvash.core.use.counting import EVENTS
from norvash.core.use.happened import ENDS, STOOD_STILL
from norvash.errors import NotFound
from norvash.exchange.said.told import At, Line, OfCounter, Plain, Statement, Words, plain_of
from norvash.store.file.database import Connection
from norvash.store.record import motors, sheets
from norvash.store.record.people import Done
from norvash.store.record.stood import MOVE, RENAME
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import ASKED, change_figures, state_figures
from norvash.work.motors.confirming import confirm, rests_on
from norvash.work.motors.logging_use import log_use
from norvash.work.motors.moving import move, rename
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.motors.ruling import clear_rule, set_rule, set_school
from norvash.work.motors.stating import SinceTyped
from norvash.work.reading.loading import load
from norvash.work.reading.standing import judge


class Register(Statement):
    """The motor is registered, its counter at a value; nothing where its tag is there already.

    Of a set that is not new, `ran` is what it has run since it was, and `new_on` the day, month or year. The answer
    “another” says that it is another motor than the one whose tag looks like its own.
    """

    counter: Words = "0"
    set_is_new: bool = True
    new_on: Words = ""
    ran: Words = ""
    answer: Words = ""

    def done(self, act: Act, at: At) -> str:
        given = NewMotor(
            tag=at.motor.tag,
            name=at.motor.name,
            place=at.motor.place,
            motor_class=at.motor.motor_class,
            type_id="",
            brushes=at.motor.brushes,
            new_length="",
            limit="",
            unit_of_use="",
            use_now=self.counter,
            set_is_new=self.set_is_new,
            figures=at.motor.figures,
            since=SinceTyped(day=self.new_on, ran=self.ran),
            answer=self.answer,
        )
        return add_motor(at.conn, act, given)


class RegisterLine(Register, Line):
    later: ClassVar[tuple[str, ...]] = ("answer",)
    do: Literal["register"]


class Use(OfCounter):
    """Use is logged: a counter's value or, by `mode`, an increment."""

    value: Words = ""
    mode: Words = "counter"
    day: Words = ""
    answer: Words = ""

    def done(self, act: Act, at: At) -> str:
        said = {"text": self.value, "mode": self.mode, "day": self.day}
        return log_use(at.conn, act, at.motor_id, **said, happened=self.happened(self.answer))


class UseLine(Use, Line):
    later: ClassVar[tuple[str, ...]] = ENDS
    job: ClassVar[str] = "log use"
    do: Literal["use"]
    value: Words
    mode: Literal["counter", "increment"] = "counter"

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        clock = f" {after['time']}" if "time" in after else ""
        day = {"day": f"{after['day']}{clock}"} if clock or after["day"] != act.at.date().isoformat() else {}
        answer = {"answer": after["event"]} if after["event"] in (*EVENTS, STOOD_STILL) else {}
        answer |= {k: after[k] for k in ENDS if k in after}
        yield {"do": "use", "value": f"{after['counter']:.9g}", **day, **answer}


class Figure(Statement):
    """A figure of the motor is stated, or erased by an empty value; where that ends or softens what was found the
    `answer` (“read”, “first”, “ours”) and the `source` say which change it is.
    """

    name: Words
    value: Words
    answer: Words = ""
    source: Words = ""

    def done(self, act: Act, at: At) -> str:
        own, name = load(at.conn, at.motor_id).stated.own_words, name_now("figure", self.name)
        act = replace(act, explained=Explained(self.answer, self.source))
        if at.sheet_id and name in ASKED and sheets.fetch_sheet(at.conn, at.sheet_id).signed_at is None:
            return state_figures(at.conn, act, at.sheet_id, {name: self.value}, {name: own.get(name, "")})
        version = motors.fetch_motor(at.conn, at.motor_id).version
        return change_figures(at.conn, act, at.motor_id, {**own, name: self.value}, version)


class FigureLine(Figure, Line):
    job: ClassVar[str] = "change figures"
    do: Literal["figure"]

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        before, after = plain_of(act.before_json), plain_of(act.after_json)
        said = after.get("explained", {})
        for name in dict.fromkeys((*before, *after)):
            if name in BY_NAME and before.get(name) != after.get(name):
                value = figure_typed(name, after[name]) if name in after else ""
                yield {"do": "figure", "name": name, "value": value, **said}


def figure_typed(name: str, value: float | str) -> str:
    """Return a figure as it would be typed; one that another version knew as it stands."""
    field = BY_NAME.get(name)
    if not isinstance(field, Number):
        return str(value)
    unit = next(iter(UNITS[field.dimension]))
    return f"{float(value):.9g} {unit}".strip()


class Rule(Statement):
    """A rule or a school is set for this motor, or goes back to what else holds by an empty value; `answer` and
    `source` as of a figure.
    """

    name: Words
    value: Words
    why: Words = ""
    answer: Words = ""
    source: Words = ""

    def done(self, act: Act, at: At) -> str:
        act, conn = replace(act, explained=Explained(self.answer, self.source)), at.conn
        if not self.value:
            return clear_rule(conn, act, self.name, "motor", at.motor.tag)
        of = {"scope": "motor", "scope_id": at.motor.tag, "why": self.why}
        if self.name in SCHOOLS_BY_ID:
            return set_school(conn, act, self.name, key=self.value, **of)
        return set_rule(conn, act, self.name, text=self.value, **of)


class RuleLine(Rule, Line):
    do: Literal["rule"]


class Move(Statement):
    """The motor stands elsewhere from a day on, today where none is given."""

    place: Words = ""
    day: Words = ""

    def done(self, act: Act, at: At) -> str:
        return move(at.conn, act, at.motor_id, place=self.place, day=self.day)


class MoveLine(Move, Line):
    job: ClassVar[str] = MOVE
    do: Literal["move"]
    place: Words

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        yield {"do": "move", "place": after["place"], "day": after["day"]}


class Rename(Statement):
    """The motor is called otherwise."""

    name: Words = ""

    def done(self, act: Act, at: At) -> str:
        return rename(at.conn, act, at.motor_id, name=self.name)


class RenameLine(Rename, Line):
    job: ClassVar[str] = RENAME
    do: Literal["rename"]
    name: Words

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        yield {"do": "rename", "name": plain_of(act.after_json)["name"]}


class Confirm(Statement):
    """A change of a figure, a rule or a school, by its name, is confirmed by somebody else, or given its `source`."""

    name: Words = ""
    source: Words = ""

    def done(self, act: Act, at: At) -> str:
        judged = judge(load(at.conn, at.motor_id), act.at.date())
        there = next((r.change for r in rests_on(at.conn, judged) if r.change.name == self.name), None)
        if there is None:
            raise NotFound(
                f"Nothing of this motor rests on a change of “{self.name}”.", "Name one that it does.", "name"
            )
        return confirm(at.conn, act, at.motor_id, there.id, self.source)


class ConfirmLine(Confirm, Line):
    job: ClassVar[str] = "confirm a change"
    do: Literal["confirm"]
    name: Words

    @classmethod
    def lines_of(cls, _conn: Connection, act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        after = plain_of(act.after_json)
        yield {"do": "confirm", "name": after["name"], "source": after["source"]}
