"""Each thing that can be said of a motor or on a sheet: one model, whether it comes as a form, as JSON or in a file.

The envelope is apart: who says it and when, by which act, and what they saw where it goes.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Annotated, Any, Self

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from norvash.errors import InputError

_LONGEST, _LONG_NAME = 20_000, 200
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


class Told(BaseModel):
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


class Use(Told):
    """Use is logged: a counter's value or, by `mode`, an increment."""

    value: Words = ""
    mode: Words = "counter"
    day: Words = ""
    answer: Words = ""


class Open(Told):
    """A sheet is opened."""

    kind: Words = "full"
    round: Words = "check"
    counter: Words = ""
    answer: Words = ""
    safe: bool = False


class Enter(Told):
    """One field of a stage; an empty value takes it back. Without a sight it is the one that the sheet proposes."""

    field: Words = ""
    place: int = 0
    sight: Words = ""
    value: Value = ""
    with_it: dict[Words, Value] = Field(default={}, alias="with")
    answer: Words = ""
    why: Words = ""


class Measure(Told):
    """The length of a brush."""

    place: int = 0
    sight: Words = ""
    value: Words = ""
    method: Words = ""
    instrument: Words = ""
    answer: Words = ""
    why: Words = ""


class See(Told):
    """What is seen on a brush, by the id of the finding; `gone` takes it back."""

    place: int = 0
    value: Words = ""
    gone: bool = False
    answer: Words = ""
    why: Words = ""


class Doubt(Told):
    """The answer to a doubted length; `why` where it was mistyped."""

    place: int = 0
    answer: Words = ""
    why: Words = ""


class Confirm(Told):
    """A change of a figure, a rule or a school, by its name, is confirmed by somebody else, or given its `source`."""

    name: Words = ""
    source: Words = ""


class Fit(Told):
    """A new set is fitted, on the sheet while one is open: by position a length, “nominal”, or nothing."""

    reason: Words = ""
    lengths: Lengths = {}
    part: Words = ""
    variant: Words = ""
    also: Annotated[tuple[Words, ...], Field(max_length=40)] = ()
    counter: Words = ""
    answer: Words = ""


class Renew(Told):
    """Single brushes are renewed while the others stay."""

    reason: Words = ""
    lengths: Lengths = {}
    counter: Words = ""
    answer: Words = ""


class Whole(Told):
    """A look goes on as a whole sheet."""


class Sign(Told):
    """The sheet is signed; `why` where something is open, `service` confirms the last gate of a look."""

    why: Value = ""
    service: bool = False


class Add(Told):
    """Something is added below the signature."""

    value: Value = ""
