"""A visit as a file: what it can hold."""

from typing import Annotated, Literal, get_args

from pydantic import BaseModel, ConfigDict, Field

from norvash.exchange.said.brushes import DoubtLine, FitLine, MeasureLine, RenewLine, SeeLine
from norvash.exchange.said.motor import ConfirmLine, FigureLine, MoveLine, RegisterLine, RenameLine, RuleLine, UseLine
from norvash.exchange.said.policy import PolicyLine
from norvash.exchange.said.sheet import AddLine, EnterLine, OpenLine, SignLine, WholeLine
from norvash.exchange.said.told import Line, MotorTold, Words

FORMAT, SCHEMA = "norvash visit", 1
_MOST_PEOPLE = 100
_MOST_MEASURED = 20_000


class _Strict(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True, populate_by_name=True)


class Person(_Strict):
    """Somebody whose name reads or looks like that of somebody else: the answer “another” says that it is not."""

    name: Words
    answer: Literal["another"]


class MeasuredTold(BaseModel):
    """A measured value as it was kept with the signature of a sheet: to be read, and compared when it is played."""

    model_config = ConfigDict(extra="ignore", frozen=True)

    stage: str
    id: str
    spot: int
    sight: str
    what: str
    said: str
    standing: str
    grade: str | None
    words: str


Entry = (
    RegisterLine
    | UseLine
    | OpenLine
    | EnterLine
    | MeasureLine
    | SeeLine
    | DoubtLine
    | FigureLine
    | RuleLine
    | PolicyLine
    | ConfirmLine
    | MoveLine
    | RenameLine
    | FitLine
    | RenewLine
    | WholeLine
    | SignLine
    | AddLine
)
ENTRIES: dict[str, type[Line]] = {get_args(line.model_fields["do"].annotation)[0]: line for line in get_args(Entry)}


class VisitFile(_Strict):
    """A visit as a file: who is in it, the motor, and what was done, in order; what was measured, as it was kept with
    the signature, is there to be read: playing never takes it, and says where it comes to something else.
    """

    format: Literal["norvash visit"]
    schema_: int = Field(alias="schema")
    people: Annotated[tuple[Words | Person, ...], Field(min_length=1, max_length=_MOST_PEOPLE)]
    motor: MotorTold
    entries: Annotated[tuple[Annotated[Entry, Field(discriminator="do")], ...], Field(min_length=1)]
    measured: Annotated[tuple[MeasuredTold, ...], Field(max_length=_MOST_MEASURED)] = ()

    @property
    def names(self) -> tuple[str, ...]:
        """Return the names of those who are in it."""
        return tuple(p if isinstance(p, str) else p.name for p in self.people)

    @property
    def others(self) -> frozenset[str]:
        """Return the names of those of whom it is said that they are nobody else."""
        return frozenset(p.name for p in self.people if isinstance(p, Person))
