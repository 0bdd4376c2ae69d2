"""What is typed into the forms, field by field; a missing field is an empty one."""

from collections.abc import Mapping
from typing import Self

from pydantic import BaseModel, ConfigDict

from norvash.core.motor.figure import Number
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.sheet.field import Quantity
from norvash.core.text.quantities import LENGTHS
from norvash.core.text.shares import asked_sign, in_per_cent, with_sign
from norvash.errors import InputError


def whole(text: str) -> int | None:
    """Return a plain whole number of at most nine digits as a program sent it, None for anything else."""
    return int(text) if text.isascii() and text.isdigit() and len(text) < 10 else None


def with_unit(value: str, unit: str) -> str:
    """Return a reading with the unit that was chosen for it, where bare numbers are meant in one."""
    edges = [part.strip() for part in value.split(";")]
    plain = all(part and all(c in "0123456789.,+- /" for c in part) for part in edges)
    return "; ".join(f"{part} {unit}" for part in edges) if unit in LENGTHS and plain else value


def as_per_cent(field: object, text: str) -> str:
    """Return what was typed for a share of a whole with its sign.

    Raises: InputError at “value” where it could be a share or per cent.
    """
    if not (isinstance(field, Quantity | Number) and in_per_cent(field.dimension, field.high)):
        return text
    asked_sign(text)
    return with_sign(text)


def figures_typed(typed: Mapping[str, str], shown: Mapping[str, str]) -> dict[str, str]:
    """Return the figures of a form with the sign of their shares; those that stand as they were shown are left.

    Raises: InputError at the field.
    """
    made = dict(typed)
    for name, text in typed.items():
        if name in BY_NAME and text.strip() != shown.get(name, ""):
            try:
                made[name] = as_per_cent(BY_NAME[name], text)
            except InputError as error:
                raise error.at(name) from None
    return made


def numbered(typed: Mapping[str, str], name: str) -> dict[str, str]:
    """Return the fields of a form that are called `name`, an underscore and a number, by that number."""
    found = ((n.removeprefix(f"{name}_"), text) for n, text in typed.items() if n.startswith(f"{name}_"))
    return {str(whole(n)): text for n, text in found if whole(n) is not None}


class Form(BaseModel):
    """A form; fields that it does not know are left aside."""

    model_config = ConfigDict(extra="ignore", frozen=True)

    @classmethod
    def of(cls, typed: dict[str, str]) -> Self:
        """Return the form as typed."""
        return cls.model_validate({k: v for k, v in typed.items() if k in cls.model_fields})


class MotorForm(Form):
    """A new motor."""

    tag: str = ""
    name: str = ""
    place: str = ""
    motor_class: str = ""
    type_id: str = ""
    brushes: str = ""
    new_length: str = ""
    limit: str = ""
    limit_source: str = ""
    unit_of_use: str = ""
    use_now: str = ""
    set_is_new: str = ""
    use_a_week: str = ""
    set_lasts: str = ""


class TypeForm(Form):
    """A type."""

    name: str = ""
    motor_class: str = ""
    brushes: str = ""


class RuleForm(Form):
    """A figure or a school of the site's own: `target` is site, class:…, type:… or motor, which then has a tag."""

    value: str = ""
    target: str = "site"
    tag: str = ""
    why: str = ""
    clear: str = ""

    @property
    def scope(self) -> tuple[str, str]:
        """Return the scope and what it is about."""
        scope, _, of = self.target.partition(":")
        return (scope, self.tag.strip() if scope == "motor" else of)
