"""Answer a registered sum from JSON or from a typed form; wrong input names its field."""

from collections.abc import Callable, Mapping
from dataclasses import MISSING, asdict, fields
from functools import cache
from types import UnionType
from typing import Annotated, Any, get_args, get_origin

from pydantic import BaseModel, ConfigDict, Field, ValidationError, create_model

from norvash.core.money.here import currency_of
from norvash.core.money.money import read_money
from norvash.core.rules.book import MotorRules
from norvash.core.sums.catalogue import SUMS
from norvash.core.sums.registry import Ask, find
from norvash.core.text.columns import is_column, read_column
from norvash.core.text.quantities import UNITS, parse
from norvash.core.text.rows import read_rows
from norvash.errors import InputError, NorvashError, SeveralErrors

_PLAIN = ("word", "sign")
MOST_VALUES = 5000


def answer(name: str, given: object, rules: MotorRules) -> dict[str, Any]:
    """Return the result of a sum as plain data, with what it was given.

    Raises: NotFound for an unknown sum, InputError or SeveralErrors naming the fields.
    """
    inputs, result = work_out(name, given, rules)
    told = {f.name: value for f in fields(inputs) if (value := asdict(inputs)[f.name]) != f.default}
    return {"sum": name, "given": told, **asdict(result)}


def work_out(name: str, given: object, rules: MotorRules, *, typed: bool = False) -> tuple[Any, Any]:
    """Return a sum's inputs as checked and its result.

    Raises as `answer` does, by label where it was typed into a form.
    """
    entry = find(SUMS, name)
    if not isinstance(given, dict):
        raise InputError("The inputs are not a JSON object.", 'Send {"name": value, …}.')
    asked = {f.name: f.metadata["ask"] for f in fields(entry.inputs)}
    try:
        checked = model(name).model_validate(_by_name(given, asked))
    except ValidationError as error:
        raise SeveralErrors([_plain(e, entry.inputs, typed=typed) for e in error.errors()]) from None
    inputs = entry.inputs(**dict(checked))
    _chosen(inputs, asked)
    return inputs, entry.compute(inputs, rules)


def _by_name(given: Mapping[str, Any], asked: Mapping[str, Ask]) -> dict[str, Any]:
    """Return the inputs under their own names; other names that an input is known by are read beside them.

    Raises: InputError where two names of one input say different things.
    """
    made = dict(given)
    for name, ask in asked.items():
        for other in ask.also:
            if other not in made:
                continue
            value = made.pop(other)
            if made.setdefault(name, value) != value:
                raise InputError(f"“{name}” and “{other}” are the same input and differ.", "Give one of them.", name)
    return made


def _chosen(inputs: Any, asked: Mapping[str, Ask]) -> None:
    """Refuse a word that is none of an input's choices.

    Raises: InputError at the field.
    """
    for name, ask in asked.items():
        value = getattr(inputs, name)
        known = [key for key, _ in ask.choices]
        if known and isinstance(value, str) and value not in ("", *known):
            raise InputError(
                f"“{value[:40]}” is not an answer to “{ask.label}”.",
                "Use " + ", ".join(filter(None, known)) + ".",
                name,
            )


def work_out_typed(name: str, typed: dict[str, str], rules: MotorRules) -> tuple[Any, Any]:
    """Return a sum's inputs and result from what was typed into its form, units and fractions included."""
    given: dict[str, Any] = {}
    errors: list[NorvashError] = []
    here = currency_of(rules)
    for field in fields(find(SUMS, name).inputs):
        text = typed.get(field.name, "").strip()
        if not text:
            continue
        try:
            ask = field.metadata["ask"]
            if ask.dimension == "money":
                given[field.name] = read_money(text, here) / here.unit
            else:
                given[field.name] = _read(text, ask, _takes_list(field.type), _takes_one(field.type))
        except NorvashError as error:
            errors.append(error.at(field.name))
    if errors:
        raise SeveralErrors(errors)
    return work_out(name, given, rules, typed=True)


def _read(text: str, asked: Ask, many: bool, one: bool) -> Any:
    if asked.dimension in _PLAIN:
        return text.split() if many else text
    if asked.dimension in _READERS:
        return _READERS[asked.dimension](text)
    if not many or (one and not is_column(text)):
        return parse(text, asked.dimension).value
    if "|" in text:
        return [_read(row, asked, True, False) for row in text.split("|")]
    return read_column(text, asked.dimension)


def _yes(text: str) -> bool:
    if text.lower() not in ("yes", "no", "true", "false"):
        raise InputError(f"“{text}” is neither yes nor no.", "Write yes or no.")
    return text.lower() in ("yes", "true")


_READERS: Mapping[str, Callable[[str], Any]] = {"yes": _yes, "rows": read_rows}


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
        return Annotated[list[_bounded(get_args(kind)[0], asked)], Field(max_length=MOST_VALUES)]  # type: ignore[misc]
    if isinstance(kind, UnionType):
        union = _bounded(_members(kind)[0], asked)
        for member in _members(kind)[1:]:
            union = union | _bounded(member, asked)
        return union
    return kind


def _plain(error: Any, inputs: type[Any], *, typed: bool) -> NorvashError:
    """Return one of Pydantic's errors in our words, at its field: by its label where it was typed into a form, else by
    its name.
    """
    name = str(error["loc"][0]) if error["loc"] else ""
    if error["type"] == "extra_forbidden":
        return InputError(
            f"“{name}” is not an input of this sum.", "Leave it out, or see the sum's page for its names.", name
        )
    field = next(f for f in fields(inputs) if f.name == name)
    asked: Ask = field.metadata["ask"]
    shown = asked.label if typed else name
    if error["type"] == "missing":
        return InputError(f"{shown} is missing.", f"Give {expected(field.type, asked)}.", name)
    if error["type"] == "too_long":
        return InputError(
            f"{shown}: {error['ctx']['actual_length']} values are too many.", f"Give at most {MOST_VALUES}.", name
        )
    if error["input"] is None:
        return InputError(f"{shown}: a value is missing.", "Give a number for each; a dash does not do here.", name)
    wrong = _wrong(error["type"], error["input"])
    return InputError(f"{shown}: {wrong}.", f"Give {expected(field.type, asked)}.", name)


_OUT_OF_BOUNDS = ("greater_than", "greater_than_equal", "less_than", "less_than_equal")


def _wrong(kind: str, got: Any) -> str:
    """Return in words what is wrong with what was given."""
    if kind.startswith("int") and isinstance(got, float):
        return f"“{got:g}” is not a whole number"
    if isinstance(got, int | float) and not isinstance(got, bool) and kind in _OUT_OF_BOUNDS:
        return f"{got:g} is not possible"
    return f"{repr(got)[:60]} does not fit here"


def expected(kind: Any, asked: Ask) -> str:
    """Return what an input takes, in words: its type and its bounds."""
    if asked.choices:
        return "one of " + ", ".join(key for key, _ in asked.choices if key)
    if asked.dimension == "yes":
        return "true or false"
    if asked.dimension in _PLAIN:
        return "words"
    if asked.dimension == "rows":
        return "rows of named values"
    low = f"more than {asked.low:g}" if asked.above_low else f"from {asked.low:g}"
    whole = any(m is int or get_args(m) == (int,) for m in _members(kind))
    many = _takes_list(kind)
    number = f"{'' if many else 'a '}{'whole ' if whole else ''}number{'s' if many else ''}"
    unit = next(iter(UNITS[asked.dimension]), "") if asked.dimension in UNITS else ""
    return f"{number} {low} to {asked.high:g}{' ' + unit if unit else ''}{', as a list' if many else ''}"
