"""A policy beside the forecast, and what it asks for."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date


@dataclass(frozen=True, slots=True)
class Policy:
    """A policy of a type or a motor: its kind, its name, and its figures by name."""

    id: str
    kind: str
    name: str
    figures: Mapping[str, object]
    of_type: bool = False

    def number(self, name: str) -> float:
        """Return one of its figures."""
        return float(self.figures[name])  # type: ignore[arg-type]

    @property
    def of_change(self) -> bool:
        """Tell whether it asks for a change of the set, counted from its fitting, and not for a look."""
        return self.figures.get("asks") == "change"


@dataclass(frozen=True, slots=True, kw_only=True)
class Due:
    """When a policy or the forecast wants the next look, or the change, why, and whether it means out of service now.

    Units: at_units on the motor's own scale of total use; overdue_units where a range ends, reached on `late_on`; cell
    of a table from 0. What is `aside`, with its reason, does not compete with the others.
    """

    name: str
    at_units: float | None
    on: date | None
    why: str
    rule_id: str = ""
    overdue_units: float | None = None
    late_on: date | None = None
    change: bool = False
    stop: bool = False
    cell: tuple[int | None, int | None] = (None, None)
    aside: str = ""

    @property
    def asks(self) -> str:
        """Return what it asks for: a look, or a change of the set."""
        return "change" if self.change else "look"
