"""The figures of a motor: what it has of its own, what its type says, what its class lends."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.motor.figure_fields import BY_NAME, FigureField
from norvash.core.motor.figure_tables import speed_taps, spring_table
from norvash.core.rules.book import GEARED
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.core.use.season import read_months
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Known:
    """A figure with the place it was taken from."""

    value: float | str
    basis: str


class Figures:
    """The figures in force for one motor: its own first, then its type's, then its class's defaults."""

    def __init__(
        self, own: Mapping[str, float | str], of_type: Mapping[str, float | str], lent: Mapping[str, float | str]
    ) -> None:
        self.known: dict[str, Known] = {}
        for source, basis in ((lent, "class default"), (of_type, "type"), (own, "this motor")):
            self.known.update({name: Known(value, basis) for name, value in source.items()})

    @property
    def own(self) -> dict[str, float | str]:
        """Return what the motor states itself."""
        return {name: known.value for name, known in self.known.items() if known.basis == "this motor"}

    def changed(self, values: Mapping[str, float], basis: str) -> "Figures":
        """Return the figures with some of them replaced, and where those come from."""
        made = Figures({}, {}, {})
        made.known = {**self.known, **{name: Known(value, basis) for name, value in values.items()}}
        return made

    @property
    def track_d_mm(self) -> float | None:
        """Return the commutator's diameter now [mm]: after the last recorded cut, else when new."""
        return self.number("commutator_now_mm") or self.number("commutator_d_mm")

    def number(self, name: str) -> float | None:
        """Return a figure as a number, None where nothing is known."""
        known = self.known.get(name)
        return float(known.value) if known is not None else None

    def stated(self, name: str) -> float | None:
        """Return a figure only if the motor or its type states it, not when the class lends it."""
        known = self.known.get(name)
        return None if known is None or known.basis == "class default" else float(known.value)

    def stated_word(self, name: str) -> str:
        """Return a word only if the motor or its type states it, empty when the class lends it."""
        return "" if self.basis(name) == "class default" else self.word(name)

    def need(self, name: str) -> float:
        """Return a figure that the motor must have.

        Raises: InputError that says which figure is missing.
        """
        value = self.number(name)
        if value is None:
            label = BY_NAME[name].label
            raise InputError(
                f"“{label}” is not known for this motor.", "Give it under Figures on the motor's page.", name
            )
        return value

    def word(self, name: str) -> str:
        """Return a figure as a word, empty where nothing is known."""
        known = self.known.get(name)
        return str(known.value) if known is not None else ""

    def basis(self, name: str) -> str:
        """Return where a figure comes from, empty where nothing is known."""
        known = self.known.get(name)
        return known.basis if known is not None else ""


def variant_of(motor_class: str, figures: Figures) -> str:
    """Return the kind of machine inside its class whose defaults differ, empty without one."""
    return GEARED if motor_class == "starter" and figures.word("gear_reduction") == "yes" else ""


def read_figure(name: str, text: str) -> float | str:
    """Return a figure as typed, checked against what it can be.

    Raises: InputError at the field.
    """
    field = BY_NAME[name]
    if field.is_text:
        return _word(field, clean(text, name))
    try:
        value = parse(text, field.dimension).value
    except InputError as error:
        raise error.at(name) from None
    if not field.low <= value <= field.high:
        raise InputError(
            f"{field.label}: “{text.strip()}” cannot be right.",
            f"Give a value from {field.low:g} to {field.high:g}.",
            name,
        )
    return value


def _word(field: FigureField, text: str) -> str:
    if field.name == "spring_table":
        spring_table(text)
    if field.name == "speed_taps":
        speed_taps(text)
    if field.name == "active_months":
        read_months(text)
    if field.choices and text not in field.choices:
        raise InputError(
            f"“{text}” is no choice for “{field.label}”.", "Use " + ", ".join(field.choices) + ".", field.name
        )
    if len(text) > 120:
        raise InputError(f"{field.label} is too long.", "Use at most 120 characters.", field.name)
    return text


def check_together(figures: Figures) -> None:
    """Refuse figures that contradict each other.

    Raises: InputError at the field to mend.
    """
    new_mm, limit_mm = figures.need("new_mm"), figures.number("limit_mm")
    if limit_mm is not None and not limit_mm < new_mm:
        raise InputError(
            f"The limit of {limit_mm:g} mm is not below the new length of {new_mm:g} mm.",
            "Correct one of them, or say that the limit is unknown.",
            "limit_mm",
        )
    d_new, d_least = figures.stated("commutator_d_mm"), figures.stated("commutator_d_min_mm")
    if d_new is not None and d_least is not None and not d_least < d_new:
        raise InputError(
            f"The least diameter of {d_least:g} mm is not under the new one of {d_new:g} mm.",
            "Check which of the two is wrong.",
            "commutator_d_min_mm",
        )
    depth_new, depth_limit = figures.number("depth_new_mm"), figures.number("depth_limit_mm")
    if depth_new is not None and depth_limit is not None and not depth_limit > depth_new:
        raise InputError(
            "The depth limit is not beyond the depth when new.",
            "A depth grows as the brush wears: check the two.",
            "depth_limit_mm",
        )
    lines = [figures.number(f"wear_line_{i}_mm") for i in (1, 2, 3)]
    seen = [x for x in lines if x is not None]
    if seen != sorted(seen, reverse=True) or len(set(seen)) != len(seen) or any(x >= new_mm for x in seen):
        raise InputError(
            "The wear lines do not fall from the new length.",
            "The first line shows first: it has the greatest length.",
            "wear_line_1_mm",
        )
