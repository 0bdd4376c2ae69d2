"""Looks, plans and limits of a motor as they are named: which rules, and which stand behind."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date
from typing import Literal

from norvash.core.edges import over
from norvash.core.state.policy import Due

FORECAST, LINE = "forecast", "straight line"
# What stands behind the name of a part whose mending was put off.
PUT_OFF = ", put off"
Kind = Literal["look", "plan", "limit"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Mark:
    """A look, a plan or a limit as one of those who speak names it, by use, by day or both; `stop` means now.

    Units: at_units on the motor's own scale of total use, early and late ones too: the band of a limit, the high end
    of a range. One that stands `aside` does not compete, with its reason. A look that would come after the plan is
    `brought` to it, and a plan after the limit to that. `due` is what a policy asks for, where it comes from one.
    """

    kind: Kind
    name: str
    at_units: float | None = None
    on: date | None = None
    why: str = ""
    rule_id: str = ""
    aside: str = ""
    stop: bool = False
    brought: bool = False
    early_units: float | None = None
    early_on: date | None = None
    late_units: float | None = None
    late_on: date | None = None
    due: Due | None = None

    @property
    def known(self) -> bool:
        """Tell whether it has a use or a day, or means now."""
        return self.stop or self.at_units is not None or self.on is not None

    @property
    def speaks(self) -> bool:
        """Tell whether it may rule: it is known, and does not stand aside."""
        return self.known and not self.aside

    @property
    def end(self) -> tuple[float | None, date | None]:
        """Return use and day past which it is overdue: of a range that asks for a look its high end."""
        if self.kind == "look" and (self.late_units is not None or self.late_on is not None):
            return self.late_units, self.late_on
        return self.at_units, self.on

    def due_by(self, ran_units: float, today: date) -> bool:
        """Tell whether it has come, by day or by what has run. Units: ran_units on the motor's own scale"""
        by_use = self.at_units is not None and not over(self.at_units, ran_units)
        return self.stop or bool(self.on and self.on <= today) or by_use

    def past_units(self, ran_units: float) -> float | None:
        """Return by how much use it has been passed, 0 at it, None before. Units: the motor's own unit of use"""
        end = self.end[0]
        return None if end is None or over(end, ran_units) else max(ran_units - end, 0.0)


@dataclass(frozen=True, slots=True, kw_only=True)
class When:
    """Looks, plans and limits of a motor: of each kind the one that rules first, then all others as they come.

    `asked` is the look that comes first of those that were asked for, before it was brought to the plan.
    """

    looks: tuple[Mark, ...] = ()
    plans: tuple[Mark, ...] = ()
    limits: tuple[Mark, ...] = ()
    asked: Mark | None = None

    @property
    def look(self) -> Mark | None:
        """Return the look that rules."""
        return ruling(self.looks)

    @property
    def plan(self) -> Mark | None:
        """Return the plan that rules: by then the change is to be planned, or what was put off mended."""
        return ruling(self.plans)

    @property
    def limit(self) -> Mark | None:
        """Return the limit that rules."""
        return ruling(self.limits)

    def all(self) -> tuple[Mark, ...]:
        """Return every mark, those that rule first."""
        return (*self.looks, *self.plans, *self.limits)


def ruling(marks: Sequence[Mark]) -> Mark | None:
    """Return the mark that rules of its kind, None where nothing does."""
    return marks[0] if marks and marks[0].speaks else None
