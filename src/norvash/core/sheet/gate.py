"""A gate: what must be done before something is allowed, step by step."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from functools import cached_property, lru_cache
from typing import Literal

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Pick, Text, Tick
from norvash.core.sheet.fields_made import text, tick
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.held import Held

GateState = Literal["open", "passed", "waived"]
# What undoes a step: nothing; an act that fed the motor; any work on it; work inside it, or on what is joined to it.
UndoneBy = Literal["nothing", "feed", "work", "closing"]


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do at a gate: the act, the caution that belongs to it, and which acts of a visit undo it."""

    id: str
    act: str
    caution: str
    undone_by: UndoneBy = "nothing"


@dataclass(frozen=True, slots=True, kw_only=True)
class Waived:
    """A hold that somebody waived: its id and words, who, when, and why."""

    id: str
    words: str
    person: str
    at: datetime
    why: str


@dataclass(frozen=True, slots=True, kw_only=True)
class GateNow:
    """A gate's state, who settled it and when, the reason of a waiver; what is still to be done, and what figures and
    findings hold it shut. `waived` are the holds that somebody waived, `fallen` says which waivers and ticks count no
    longer; `again` is what was said before it was undone, where that is all that is to be done: said again together.
    """

    state: GateState
    person: str = ""
    at: datetime | None = None
    why: str = ""
    to_do: tuple[str, ...] = ()
    held: tuple[Held, ...] = ()
    waived: tuple[Waived, ...] = ()
    fallen: tuple[str, ...] = ()
    again: tuple[str, ...] = ()

    @property
    def is_open(self) -> bool:
        """Tell whether it is neither passed nor waived."""
        return self.state == "open"

    @property
    def missing(self) -> tuple[str, ...]:
        """Return everything that keeps it shut: what holds it first, then what is to be done."""
        return (*(h.words for h in self.held), *self.to_do) if self.is_open else ()


def _always(_facts: Facts, _rules: MotorRules) -> bool:
    return True


def _never_offered(_facts: Facts, _rules: MotorRules) -> bool:
    return False


def _by_name(_facts: Facts, _rules: MotorRules) -> str:
    return "This gate is not waived as a whole: only what is not known is waived, each by its name."


@dataclass(frozen=True, kw_only=True, eq=False)
class Gate:
    """A gate with `every` step that it can have, each once, and its steps for a motor; `how` is what must be said
    beside them, its words, and what undoes it.

    That it is confirmed `proves` what an earlier sheet was signed over. Where what was ticked is asked again,
    `anew_words` say since what. One that is not `whole` is waived hold by hold, and only where something is not known;
    with one `by_hold` its own waiver is that of one of its holds.
    """

    id: str
    words: str
    every: tuple[Step, ...]
    steps: Callable[[Facts, MotorRules], tuple[Step, ...]]
    how: Pick | None = None
    how_words: str = ""
    how_undone_by: UndoneBy = "nothing"
    anew_words: str = ""
    proves: tuple[Finding, ...] = ()
    whole: bool = False
    by_hold: bool = False

    @cached_property
    def waived(self) -> Text:
        """Return the field that waives it with a reason, of one that is not waived as a whole as it once was."""
        offered = _always if self.whole or self.by_hold else _never_offered
        return text(
            f"waive.{self.id}",
            "Waived",
            f"{self.words}: waived because",
            placed=True,
            offered=offered,
            why_not=_by_name,
        )

    @cached_property
    def confirmed(self) -> Tick:
        """Return the tick that confirms all of its steps at once."""
        return tick(f"confirm.{self.id}", "Confirmed", self.words, placed=True, proves=self.proves)

    @cached_property
    def again(self) -> Tick:
        """Return the tick that says again, together, what was said before it was undone; each time stands by itself."""
        return tick(f"again.{self.id}", self.words, "All of it again", per="number", placed=True)

    def step(self, step_id: str, label: str = "") -> Tick:
        """Return the tick of one of its steps."""
        known = next((s.act for s in self.every if s.id == step_id), step_id)
        return _step(f"step.{self.id}.{step_id}", self.words, label or known)

    def named(self, field_id: str) -> Tick | None:
        """Return the tick of a step by the id of its entry, None for another field."""
        start, _, step_id = field_id.partition(f"step.{self.id}.")
        return self.step(step_id) if step_id and not start else None

    def asks(self, field_id: str, facts: Facts, rules: MotorRules) -> bool:
        """Tell whether a motor is asked for a step, by the id of its entry."""
        return any(self.step(s.id).id == field_id for s in self.steps(facts, rules))


@lru_cache(maxsize=1024)
def _step(field_id: str, group: str, label: str) -> Tick:
    return tick(field_id, group, label)
