"""What is typed into the forms, field by field; a missing field is an empty one."""

from typing import Self

from pydantic import BaseModel, ConfigDict

from norvash.core.text.quantities import LENGTHS


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


class SheetForm(Form):
    """The head of a sheet."""

    sheet_kind: str = "quick"
    counter: str = ""
    kind: str = "check"
    answer: str = ""
    safe: str = ""


class ReadingForm(Form):
    """One reading; a bare number is meant in `unit` where one was chosen."""

    place: str = ""
    value: str = ""
    unit: str = ""
    method: str = ""
    instrument: str = ""
    replaces: str = ""

    @property
    def text(self) -> str:
        """Return the reading with the unit that was chosen for it."""
        edges = [part.strip() for part in self.value.split(";")]
        plain = all(part and all(c in "0123456789.,+- /" for c in part) for part in edges)
        return "; ".join(f"{part} {self.unit}" for part in edges) if self.unit in LENGTHS and plain else self.value


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
    use_a_week: str = ""
    set_lasts: str = ""
    since_day: str = ""
    since_counter: str = ""
    since_ran: str = ""
    since_lengths: str = ""


class SinceForm(Form):
    """Since when a set has run, as far as it is known."""

    since_day: str = ""
    since_counter: str = ""
    since_ran: str = ""
    since_lengths: str = ""


class PastSetForm(Form):
    """A set that is gone; its last lengths come as end_1, end_2, …"""

    ended: str = ""
    fitted: str = ""
    ended_counter: str = ""
    fitted_counter: str = ""
    lasted: str = ""
    gone: str = ""
    why: str = ""
    answer: str = ""


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
