"""One figure of a motor: how it is asked for, and how it is read from the figures in force."""

from dataclasses import dataclass
from typing import ClassVar

from norvash.core.motor.figures import Figures
from norvash.core.text.quantities import UNITS
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Figure:
    """One figure that a type or a motor can carry: its name in the record, its label and its group.

    A stage asks for it only of its `classes`, of every class where none is named.
    """

    is_text: ClassVar[bool] = False

    name: str
    group: str
    label: str
    classes: tuple[str, ...] = ()

    def basis(self, figures: Figures) -> str:
        """Return where it comes from, empty where nothing is known."""
        known = figures.known.get(self.name)
        return known.basis if known is not None else ""

    @property
    def asked(self) -> str:
        """Return its label as it is asked for."""
        return self.label


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Number(Figure):
    """A figure that is a number in the first unit of its dimension, between two bounds."""

    dimension: str
    low: float = 0.0
    high: float = 1e6

    def of(self, figures: Figures) -> float | None:
        """Return its value, None where nothing is known."""
        known = figures.known.get(self.name)
        return float(known.value) if known is not None else None

    def stated(self, figures: Figures) -> float | None:
        """Return its value only if the motor or its type states it, not when the class lends it."""
        known = figures.known.get(self.name)
        return None if known is None or known.lent else float(known.value)

    def need(self, figures: Figures) -> float:
        """Return the value that a motor must have.

        Raises: InputError that says which figure is missing.
        """
        value = self.of(figures)
        if value is None:
            raise InputError(
                f"“{self.label}” is not known for this motor.", "Give it under Figures on the motor's page.", self.name
            )
        return value

    @property
    def asked(self) -> str:
        """Return its label with the unit that a bare number is in: “Voltage, V”."""
        unit = next(iter(UNITS.get(self.dimension, ())), "")
        return f"{self.label}, {unit}" if unit else self.label


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Word(Figure):
    """A figure that is a word, one of its choices where it has some, or `several` of them with “;” between."""

    is_text: ClassVar[bool] = True

    choices: tuple[str, ...] = ()
    several: bool = False

    def allows(self, text: str) -> bool:
        """Tell whether a word can be said of it."""
        return not self.choices or all(x in self.choices for x in (parts(text) if self.several else (text,)))

    def ordered(self, text: str) -> str:
        """Return several choices each once, in their order; one word as it is."""
        said = parts(text)
        return "; ".join(c for c in self.choices if c in said) if self.several else text

    def all_of(self, figures: Figures) -> tuple[str, ...]:
        """Return every choice that is said of it."""
        return parts(self.of(figures))

    def of(self, figures: Figures) -> str:
        """Return its word, empty where nothing is known."""
        known = figures.known.get(self.name)
        return str(known.value) if known is not None else ""

    def stated(self, figures: Figures) -> str:
        """Return its word only if the motor or its type states it, empty when the class lends it."""
        known = figures.known.get(self.name)
        return "" if known is None or known.lent else str(known.value)


def parts(text: str) -> tuple[str, ...]:
    """Return the words between semicolons."""
    return tuple(x for x in map(str.strip, text.split(";")) if x)


def number(
    name: str,
    group: str,
    label: str,
    dimension: str,
    *,
    low: float = 0.0,
    high: float = 1e6,
    classes: tuple[str, ...] = (),
) -> Number:
    """Return a figure that is a number."""
    return Number(name=name, group=group, label=label, dimension=dimension, low=low, high=high, classes=classes)


def word(name: str, group: str, label: str, *, choices: tuple[str, ...] = (), classes: tuple[str, ...] = ()) -> Word:
    """Return a figure that is a word."""
    return Word(name=name, group=group, label=label, choices=choices, classes=classes)


def words(name: str, group: str, label: str, *, choices: tuple[str, ...]) -> Word:
    """Return a figure that is several words of its choices."""
    return Word(name=name, group=group, label=label, choices=choices, several=True)
