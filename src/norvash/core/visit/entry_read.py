"""An entry as it was typed, and what it means."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date

from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.records import Record


@dataclass(frozen=True, slots=True)
class Read:
    """What an entry means: its word or its number in the SI unit, and what belongs to it."""

    typed: str
    word: str = ""
    number: float | None = None
    record: Record | None = None


@dataclass(frozen=True, slots=True)
class AskedEntry:
    """An entry before it is read: what was typed, what belongs to it, and what it is read by."""

    text: str
    more: Mapping[str, str]
    facts: Facts
    rules: MotorRules
    today: date

    def unit_of(self, dimension: str) -> str | None:
        """Return the unit of a bare number, None for the first of its dimension."""
        return LENGTH_UNIT.of(self.facts.figures) if dimension == "length" else None
