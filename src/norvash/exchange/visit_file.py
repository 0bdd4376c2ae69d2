"""A visit as a file: what it can hold."""

from datetime import datetime
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from norvash.exchange.said import brushes, motor, sheet
from norvash.exchange.said.told import Lengths, MotorTold, Value, Words

FORMAT, SCHEMA = "norvash visit", 1
_MOST_PEOPLE = 100


# Of which sight a value is said to be; nothing where the sheet proposes it.
Sight = Literal["", "found", "left", "asked"]


class _Strict(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)


class Person(_Strict):
    """Somebody whose name reads or looks like that of somebody else: the answer “another” says that it is not."""

    name: Words
    answer: Literal["another"]


class _Act(_Strict):
    """What every entry has: when, and by whom."""

    at: datetime
    by: Words


class Register(motor.Register, _Act):
    do: Literal["register"]


class Use(motor.Use, _Act):
    do: Literal["use"]
    value: Words
    mode: Literal["counter", "increment"] = "counter"


class Open(sheet.Open, _Act):
    do: Literal["open"]
    kind: Literal["full", "quick"] = "full"
    round: Literal["check", "bedded"] = "check"


class Enter(sheet.Enter, _Act):
    do: Literal["enter"]
    stage: Words = ""
    field: Words
    place: int = Field(default=0, ge=0, le=99)
    sight: Sight = ""
    value: Value


class Measure(brushes.Measure, _Act):
    do: Literal["measure"]
    place: int = Field(ge=1, le=40)
    sight: Sight = ""
    value: Words


class See(brushes.See, _Act):
    do: Literal["see"]
    place: int = Field(ge=1, le=40)
    value: Words


class Doubt(brushes.Doubt, _Act):
    do: Literal["doubt"]
    place: int = Field(ge=1, le=40)
    answer: Words


class Figure(motor.Figure, _Act):
    do: Literal["figure"]


class Rule(motor.Rule, _Act):
    do: Literal["rule"]


class Confirm(motor.Confirm, _Act):
    do: Literal["confirm"]
    name: Words


class Fit(brushes.Fit, _Act):
    do: Literal["fit"]
    reason: Words


class Renew(brushes.Renew, _Act):
    do: Literal["renew"]
    reason: Words
    lengths: Lengths


class Whole(sheet.Whole, _Act):
    do: Literal["whole"]


class Sign(sheet.Sign, _Act):
    do: Literal["sign"]


class Add(sheet.Add, _Act):
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
