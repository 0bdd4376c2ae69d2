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
from norvash.core.sheet.given import Given
from norvash.core.sheet.held import Held, held
from norvash.core.sheet.sheet import Sheet

GateState = Literal["open", "passed", "waived"]


@dataclass(frozen=True, slots=True)
class Step:
    """One thing to do at a gate: the act, and the caution that belongs to it."""

    id: str
    act: str
    caution: str


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
    longer.
    """

    state: GateState
    person: str = ""
    at: datetime | None = None
    why: str = ""
    to_do: tuple[str, ...] = ()
    held: tuple[Held, ...] = ()
    waived: tuple[Waived, ...] = ()
    fallen: tuple[str, ...] = ()

    @property
    def is_open(self) -> bool:
        """Tell whether it is neither passed nor waived."""
        return self.state == "open"

    @property
    def missing(self) -> tuple[str, ...]:
        """Return everything that keeps it shut: what holds it first, then what is to be done."""
        return (*(h.words for h in self.held), *self.to_do) if self.is_open else ()


def _never(_sheet: Sheet) -> datetime | None:
    return None


def _always(_facts: Facts, _rules: MotorRules) -> bool:
    return True


def _never_offered(_facts: Facts, _rules: MotorRules) -> bool:
    return False


def _by_name(_facts: Facts, _rules: MotorRules) -> str:
    return "This gate is not waived as a whole: only what is not known is waived, each by its name."


def _nothing(_sheet: Sheet) -> str:
    return ""


@dataclass(frozen=True, kw_only=True, eq=False)
class Gate:
    """A gate with `every` step that it can have, each once, and its steps for a motor; `how` is what must be said
    beside them, and its words.

    What was ticked before `anew_since` is asked again, and `anew_words` say since what; while something is `suspended`
    by, it does not stand, whoever has ticked or waived what. One that is not `whole` is waived hold by hold, and only
    where something is not known; with one `by_hold` its own waiver is that of one of its holds.
    """

    id: str
    words: str
    every: tuple[Step, ...]
    steps: Callable[[Facts, MotorRules], tuple[Step, ...]]
    how: Pick | None = None
    how_words: str = ""
    anew_since: Callable[[Sheet], datetime | None] = _never
    anew_words: str = ""
    suspended: Callable[[Sheet], str] = _nothing
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
        return tick(f"confirm.{self.id}", "Confirmed", self.words, placed=True)

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

    def ticked(self, sheet: Sheet, rules: MotorRules) -> GateNow:
        """Return how it stands by what people said: every step ticked or all confirmed at once, waived with a reason,
        or open.
        """
        suspended = self.suspended(sheet)
        if suspended:
            return GateNow(state="open", held=(held(suspended),))
        since, waived = self.anew_since(sheet), None
        if self.whole or sheet.signed_at is not None:
            waived = self.fresh(self.waived.given(sheet), sheet) if self.whole else self.waived.given(sheet)
        confirmed = _fresh(self.confirmed.given(sheet), since)
        if waived is not None:
            return GateNow(state="waived", person=waived.person, at=waived.at, why=waived.word)
        if confirmed is not None:
            return GateNow(state="passed", person=confirmed.person, at=confirmed.at)
        steps = self.steps(sheet.facts, rules)
        done = [_fresh(self.step(s.id).given(sheet), since) for s in steps]
        how = _fresh(self.how.given(sheet), since) if self.how is not None else None
        to_do = tuple(s.act for s, d in zip(steps, done, strict=True) if d is None)
        if self.how is not None and how is None:
            to_do = (*to_do, self.how_words)
        before = (self.step(s.id).given(sheet) for s in steps)
        emptied = since is not None and any(g is not None and g.at < since for g in before)
        why = (f"{self.anew_words} {since:%H:%M}: what was ticked before that is asked again",) if emptied else ()
        return GateNow(state="open", to_do=to_do, fallen=why) if to_do else _last((*done, how))

    def fresh(self, given: Given | None, sheet: Sheet) -> Given | None:
        """Return what was said if it still counts, None where it is asked anew."""
        return _fresh(given, self.anew_since(sheet))


@lru_cache(maxsize=1024)
def _step(field_id: str, group: str, label: str) -> Tick:
    return tick(field_id, group, label)


def _fresh(given: Given | None, since: datetime | None) -> Given | None:
    return given if given is None or since is None or given.at >= since else None


def _last(done: tuple[Given | None, ...]) -> GateNow:
    """Return a gate that was passed by the last of its steps."""
    last = max((d for d in done if d is not None), key=lambda d: d.at)
    return GateNow(state="passed", person=last.person, at=last.at)
