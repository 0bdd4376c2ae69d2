"""What is said of a motor or on a sheet, whether it comes as a form, as JSON or in a file; and its envelope, apart: who
says it and when, by which act, and what they saw where it goes.
"""

import json
from abc import ABC, abstractmethod
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Annotated, Any, ClassVar, Self

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from norvash.core.use.happened import Happened
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import use
from norvash.store.record.people import Done
from norvash.work.act.acting import Act
from norvash.work.on_sheet.sighting import Seeing

_LONGEST, _LONG_NAME = 20_000, 200
Plain = dict[str, Any]
# Where a line stands that is of no stage.
RECORD = "record"
Value = Annotated[str, Field(max_length=_LONGEST)]
Words = Annotated[str, Field(max_length=_LONG_NAME)]
Lengths = Annotated[dict[str, Words], Field(max_length=40)]


@dataclass(frozen=True, slots=True)
class Seen:
    """What whoever says something saw where it goes: the value that it replaces, and whether work had touched the
    place, None where they did not say; or that a program sends it.
    """

    replaces: str = ""
    touched: bool | None = None
    program: bool = False

    def seeing(self, sight: str, answer: str, why: str) -> Seeing:
        """Return what comes with a value of a sight, with the answer to what was asked and why it was a slip."""
        return Seeing(sight=sight, touched=self.touched, program=self.program, answer=answer, why=why)


class MotorTold(BaseModel):
    """The motor of a visit; its tag finds it, the rest registers it where there is none with this tag."""

    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)

    tag: Words
    name: Words = ""
    place: Words = ""
    motor_class: Words = Field(default="", alias="class")
    brushes: Words = ""
    figures: dict[Words, Words] = {}


@dataclass(frozen=True, slots=True)
class At:
    """Of which motor something is said, on which sheet, empty without one, and what was seen there.

    A file says nothing of that, and has the motor as it `describes` it: it replaces what stands there.
    """

    conn: Connection
    motor_id: str
    sheet_id: str
    seen: Seen | None = None
    describes: MotorTold | None = None

    @property
    def motor(self) -> MotorTold:
        """Return the motor as its file describes it."""
        if self.describes is None:
            raise LookupError("only a file describes its motor")
        return self.describes


class Statement(BaseModel, ABC):
    """What is said, whatever it is."""

    model_config = ConfigDict(frozen=True, populate_by_name=True)

    @classmethod
    def of(cls, typed: Mapping[str, str], **named: Any) -> Self:
        """Return it from a form, with what that calls by other names than the model does.

        Raises: InputError at the field.
        """
        same = {k: v for k, v in typed.items() if k in cls.model_fields and k not in named}
        try:
            return cls.model_validate(same | named)
        except ValidationError as error:
            first = error.errors(include_url=False)[0]
            at = str(first["loc"][0]) if first["loc"] else ""
            raise InputError("That cannot be kept.", f"{first['msg']}.", at) from None

    @abstractmethod
    def done(self, act: Act, at: At) -> str:
        """Do the job that it stands for, and return what came of it; raise what that raises."""


class OfCounter(Statement, ABC):
    """What is said with a counter's value: what happened to it, beside the answer to what was asked."""

    old_last: Words = ""
    new_first: Words = ""
    said_by: Words = ""
    since: Words = ""

    def happened(self, answer: str) -> Happened:
        """Return what happened to the counter, as the jobs take it."""
        return Happened(
            answer=answer, old_last=self.old_last, new_first=self.new_first, said_by=self.said_by, since=self.since
        )


class Line(BaseModel):
    """What every line of a file has: when, and by whom.

    It stands `at_stage` of a sheet; of its members those that came `later` count only where they are said. `job` is
    what its act is called, of which `lines_of` makes it again.
    """

    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)
    at_stage: ClassVar[str] = RECORD
    later: ClassVar[tuple[str, ...]] = ()
    job: ClassVar[str] = ""

    at: datetime
    by: Words

    @classmethod
    def lines_of(cls, _conn: Connection, _act: Done, _labels: Mapping[str, int]) -> Iterator[Plain]:
        """Yield it from the act that it stands for, none of an act that no file tells; `labels` are the positions by
        their names.
        """
        yield from ()


def plain_of(text: str) -> dict[str, Any]:
    """Return what an act keeps of before or after it."""
    made: dict[str, Any] = json.loads(text)
    return made


def counter_typed(conn: Connection, act: Done) -> Plain:
    """Return what was typed as the counter with an act, if anything, and what happened to it."""
    typed = use.typed_of(conn, f"{act.id}.use")
    return {"counter": typed, **use.happened_of(conn, f"{act.id}.use").told} if typed else {}
