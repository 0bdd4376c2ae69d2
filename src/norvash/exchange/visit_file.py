"""A visit as a file: what it can hold."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

FORMAT, SCHEMA = "norvash visit", 1
_MOST_PEOPLE = 100
_LONGEST, _LONG_NAME = 20_000, 200
Value = Annotated[str, Field(max_length=_LONGEST)]
Words = Annotated[str, Field(max_length=_LONG_NAME)]
Lengths = Annotated[dict[str, Words], Field(max_length=40)]


class _Strict(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)


class MotorTold(_Strict):
    """The motor of a visit; its tag finds it, the rest registers it where there is none with this tag."""

    tag: Words
    name: Words = ""
    place: Words = ""
    motor_class: Words = Field(default="", alias="class")
    brushes: Words = ""
    figures: dict[Words, Words] = {}


class Person(_Strict):
    """Somebody whose name reads or looks like that of somebody else: the answer “another” says that it is not."""

    name: Words
    answer: Literal["another"]


class _Act(_Strict):
    """What every entry has: when, and by whom."""

    at: datetime
    by: Words


class Register(_Act):
    """The motor is registered, its counter at a value; nothing where its tag is there already.

    Of a set that is not new, `ran` is what it has run since it was, and `new_on` the day, month or year. The answer
    “another” says that it is another motor than the one whose tag looks like its own.
    """

    do: Literal["register"]
    counter: Words = "0"
    set_is_new: bool = True
    new_on: Words = ""
    ran: Words = ""
    answer: Words = ""


class Use(_Act):
    """Use is logged: a counter's value or, by `mode`, an increment."""

    do: Literal["use"]
    value: Words
    mode: Literal["counter", "increment"] = "counter"
    day: Words = ""
    answer: Words = ""


class Open(_Act):
    """A sheet is opened."""

    do: Literal["open"]
    kind: Literal["full", "quick"] = "full"
    round: Literal["check", "bedded"] = "check"
    counter: Words = ""
    answer: Words = ""
    safe: bool = False


class Enter(_Act):
    """One field of a stage; an empty value takes it back. Without a sight it is the one that the sheet proposes."""

    do: Literal["enter"]
    stage: Words = ""
    field: Words
    place: int = Field(default=0, ge=0, le=99)
    sight: Literal["", "found", "left", "asked"] = ""
    value: Value
    with_it: dict[Words, Value] = Field(default={}, alias="with")
    answer: Words = ""
    why: Words = ""


class Measure(_Act):
    """The length of a brush."""

    do: Literal["measure"]
    place: int = Field(ge=1, le=40)
    sight: Literal["", "found", "left", "asked"] = ""
    value: Words
    method: Words = ""
    instrument: Words = ""
    answer: Words = ""
    why: Words = ""


class See(_Act):
    """What is seen on a brush, by the id of the finding; `gone` takes it back."""

    do: Literal["see"]
    place: int = Field(ge=1, le=40)
    value: Words
    gone: bool = False
    answer: Words = ""
    why: Words = ""


class Doubt(_Act):
    """The answer to a doubted length; `why` where it was mistyped."""

    do: Literal["doubt"]
    place: int = Field(ge=1, le=40)
    answer: Words
    why: Words = ""


class Figure(_Act):
    """A figure of the motor is stated, or erased by an empty value; where that ends or softens what was found the
    `answer` (“read”, “first”, “ours”) and the `source` say which change it is.
    """

    do: Literal["figure"]
    name: Words
    value: Words
    answer: Words = ""
    source: Words = ""


class Rule(_Act):
    """A rule or a school is set for this motor, or goes back to what else holds by an empty value; `answer` and
    `source` as of a figure.
    """

    do: Literal["rule"]
    name: Words
    value: Words
    why: Words = ""
    answer: Words = ""
    source: Words = ""


class Confirm(_Act):
    """A change of a figure, a rule or a school, by its name, is confirmed by somebody else, or given its `source`."""

    do: Literal["confirm"]
    name: Words
    source: Words = ""


class Fit(_Act):
    """A new set is fitted, on the sheet while one is open: by position a length, “nominal”, or nothing."""

    do: Literal["fit"]
    reason: Words
    lengths: Lengths = {}
    part: Words = ""
    variant: Words = ""
    also: Annotated[tuple[Words, ...], Field(max_length=40)] = ()
    counter: Words = ""
    answer: Words = ""


class Renew(_Act):
    """Single brushes are renewed while the others stay."""

    do: Literal["renew"]
    reason: Words
    lengths: Lengths
    counter: Words = ""
    answer: Words = ""


class Whole(_Act):
    """A look goes on as a whole sheet."""

    do: Literal["whole"]


class Sign(_Act):
    """The sheet is signed; `why` where something is open, `service` confirms the last gate of a look."""

    do: Literal["sign"]
    why: Value = ""
    service: bool = False


class Add(_Act):
    """Something is added below the signature."""

    do: Literal["add"]
    value: Value


Entry = (
    Register | Use | Open | Enter | Measure | See | Doubt | Figure | Rule | Confirm | Fit | Renew | Whole | Sign | Add
)
ENTRIES: dict[str, type[_Act]] = {
    "register": Register,
    "use": Use,
    "open": Open,
    "enter": Enter,
    "measure": Measure,
    "see": See,
    "doubt": Doubt,
    "figure": Figure,
    "rule": Rule,
    "confirm": Confirm,
    "fit": Fit,
    "renew": Renew,
    "whole": Whole,
    "sign": Sign,
    "add": Add,
}


class VisitFile(_Strict):
    """A visit as a file: who is in it, the motor, and what was done, in order."""

    format: Literal["norvash visit"]
    schema_: int = Field(alias="schema")
    people: Annotated[tuple[Words | Person, ...], Field(min_length=1, max_length=_MOST_PEOPLE)]
    motor: MotorTold
    entries: Annotated[tuple[Annotated[Entry, Field(discriminator="do")], ...], Field(min_length=1)]

    @property
    def names(self) -> tuple[str, ...]:
        """Return the names of those who are in it."""
        return tuple(p if isinstance(p, str) else p.name for p in self.people)

    @property
    def others(self) -> frozenset[str]:
        """Return the names of those of whom it is said that they are nobody else."""
        return frozenset(p.name for p in self.people if isinstance(p, Person))
