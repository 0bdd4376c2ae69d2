"""Answer a registered sum from JSON or from a typed form; wrong input names its field."""

from dataclasses import MISSING, asdict, fields
from functools import cache
from types import UnionType
from typing import Annotated, Any, get_args, get_origin

from pydantic import BaseModel, ConfigDict, Field, ValidationError, create_model

from norvash.core.columns import is_column, read_column
from norvash.core.quantities import parse
from norvash.core.rules.book import MotorRules
from norvash.core.sums.catalogue import SUMS
from norvash.core.sums.registry import Ask, find
from norvash.errors import InputError, NorvashError, SeveralErrors

_PLAIN = ("word", "sign")


def answer(name: str, given: object, rules: MotorRules) -> dict[str, Any]:
    """Return the result of a sum as plain data.

    Raises: NotFound for an unknown sum, InputError or SeveralErrors naming the fields.
    """
    return {"sum": name, **asdict(work_out(name, given, rules)[1])}


def work_out(name: str, given: object, rules: MotorRules, *, typed: bool = False) -> tuple[Any, Any]:
    """Return a sum's inputs as checked and its result; raises as `answer` does, by label where it was typed into a form."""
    entry = find(SUMS, name)
    if not isinstance(given, dict):
        raise InputError("The inputs are not a JSON object.", 'Send {"name": value, …}.')
    try:
        checked = model(name).model_validate(given)
    except ValidationError as error:
        asked = {f.name: f.metadata["ask"] for f in fields(entry.inputs)} if typed else {}
        raise SeveralErrors([_plain(e, asked) for e in error.errors()]) from None
    inputs = entry.inputs(**dict(checked))
    return inputs, entry.compute(inputs, rules)


def work_out_typed(name: str, typed: dict[str, str], rules: MotorRules) -> tuple[Any, Any]:
    """Return a sum's inputs and result from what was typed into its form, units and fractions included."""
    given: dict[str, Any] = {}
    errors: list[NorvashError] = []
    for field in fields(find(SUMS, name).inputs):
        text = typed.get(field.name, "").strip()
        if not text:
            continue
        try:
            given[field.name] = _read(text, field.metadata["ask"], _takes_list(field.type), _takes_one(field.type))
        except NorvashError as error:
            errors.append(error.at(field.name))
    if errors:
        raise SeveralErrors(errors)
    return work_out(name, given, rules, typed=True)


def _read(text: str, asked: Ask, many: bool, one: bool) -> Any:
    if asked.dimension in _PLAIN:
        return text.split() if many else text
    if asked.dimension == "yes":
        return _yes(text)
    if not many or (one and not is_column(text)):
        return parse(text, asked.dimension).value
    if "|" in text:
        return [_read(row, asked, True, False) for row in text.split("|")]
    return read_column(text, asked.dimension)


def _yes(text: str) -> bool:
    if text.lower() not in ("yes", "no", "true", "false"):
        raise InputError(f"“{text}” is neither yes nor no.", "Write yes or no.")
    return text.lower() in ("yes", "true")


def _members(kind: Any) -> tuple[Any, ...]:
    return get_args(kind) if isinstance(kind, UnionType) else (kind,)


def _takes_list(kind: Any) -> bool:
    return any(get_origin(m) is list for m in _members(kind))


def _takes_one(kind: Any) -> bool:
    return any(m in (float, int) for m in _members(kind))


@cache
def model(name: str) -> type[BaseModel]:
    """Return the model of a sum's JSON input, made from its input dataclass."""
    entry = find(SUMS, name)
    made: dict[str, Any] = {}
    for field in fields(entry.inputs):
        asked: Ask = field.metadata["ask"]
        required = ... if field.default is MISSING else field.default
        made[field.name] = (
            _bounded(field.type, asked),
            Field(required, description=f"{asked.label} {asked.hint}".strip()),
        )
    config = ConfigDict(extra="forbid", allow_inf_nan=False, strict=False, frozen=True)
    return create_model(f"sum_{name}".replace("-", "_"), __config__=config, **made)


def _bounded(kind: Any, asked: Ask) -> Any:
    """Return the type with the bounds on its numbers, inside lists too; strings never pass for numbers."""
    if kind in (float, int):
        low: dict[str, Any] = {"gt" if asked.above_low else "ge": asked.low}
        return Annotated[kind, Field(strict=kind is float, le=asked.high, **low)]
    if get_origin(kind) is list:
        return list[_bounded(get_args(kind)[0], asked)]  # type: ignore[misc]
    if isinstance(kind, UnionType):
        union = _bounded(_members(kind)[0], asked)
        for member in _members(kind)[1:]:
            union = union | _bounded(member, asked)
        return union
    return kind


def _plain(error: Any, asked: dict[str, Ask]) -> NorvashError:
    """Return one of Pydantic's errors in our words, at its field; by its label where it is known how it was asked for."""
    name = str(error["loc"][0]) if error["loc"] else ""
    if error["type"] == "extra_forbidden":
        return InputError(
            f"“{name}” is not an input of this sum.", "Leave it out, or see the sum's page for its names.", name
        )
    if error["type"] == "missing":
        return InputError(f"{asked[name].label if name in asked else name} is missing.", "Give it a value.", name)
    if name in asked:
        return _beside_label(error, name, asked[name])
    got = repr(error["input"])
    return InputError(f"{name}: {got[:60]} does not fit ({error['msg'][0].lower()}{error['msg'][1:]}).",
                      "Give a plain number in the unit of the field's name.", name)  # fmt: skip


def _beside_label(error: Any, name: str, asked: Ask) -> NorvashError:
    got = error["input"]
    if got is None:
        return InputError(
            f"{asked.label}: a value is missing.", "Give a number for each; a dash does not do here.", name
        )
    if error["type"].startswith("int"):
        return InputError(f"{asked.label}: “{got:g}” is no whole number.", "Give a whole number.", name)
    low = f"more than {asked.low:g}" if asked.above_low else f"{asked.low:g}"
    return InputError(f"{asked.label}: {got:g} cannot be.", f"Give from {low} to {asked.high:g}.", name)
