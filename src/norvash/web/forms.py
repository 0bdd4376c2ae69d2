"""What is typed into the forms, field by field; a missing field is an empty one."""

from typing import Self

from pydantic import BaseModel, ConfigDict


def whole(text: str) -> int | None:
    """Return a plain whole number of at most nine digits as a program sent it, None for anything else."""
    return int(text) if text.isascii() and text.isdigit() and len(text) < 10 else None


class Form(BaseModel):
    """A form; fields that it does not know are left aside."""

    model_config = ConfigDict(extra="ignore", frozen=True)

    @classmethod
    def of(cls, typed: dict[str, str]) -> Self:
        """Return the form as typed."""
        return cls.model_validate({k: v for k, v in typed.items() if k in cls.model_fields})


class UseForm(Form):
    """One entry of use."""

    value: str = ""
    mode: str = "counter"
    day: str = ""
    answer: str = ""


class RoundForm(Form):
    """The head of a round."""

    counter: str = ""
    kind: str = "check"
    answer: str = ""


class ReadingForm(Form):
    """One reading."""

    position: str = ""
    value: str = ""
    method: str = ""
    instrument: str = ""
    replaces: str = ""


class SetForm(Form):
    """A new set; its lengths come as length_1, length_2, …"""

    counter: str = ""
    reason: str = ""
    answer: str = ""


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
    unit_of_use: str = ""
    use_now: str = ""
    set_is_new: str = ""


class TypeForm(Form):
    """A type."""

    name: str = ""
    motor_class: str = ""
    brushes: str = ""


class RuleForm(Form):
    """A site figure for a rule."""

    value: str = ""
    motor_class: str = ""
    why: str = ""
    clear: str = ""
