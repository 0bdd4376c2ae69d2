"""A bench sheet as it was read: one visit to one motor, and what was entered on it, in both sights."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, replace
from datetime import datetime
from functools import cached_property
from types import MappingProxyType
from typing import Any, Literal, TypeVar, cast

from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Earlier, Given, Kind, Sight
from norvash.core.stacks.part import StackPart

# Where an entry stands: its field, its place (0 where there is only one), and its sight.
Spot = tuple[str, int, Sight]
T = TypeVar("T")
_NONE: Mapping[str, str] = MappingProxyType({})


@dataclass(frozen=True, slots=True, kw_only=True)
class Baseline:
    """How a motor ran after its last good repair: on which sheet and in which way; None where nobody measured it.

    Units: volts [V], amps [A], rpm [r/min], sparks 0 to 4, rise_k [K] over the air, coast_s [s].
    """

    sheet: int
    how: str
    volts: float | None = None
    amps: float | None = None
    rpm: float | None = None
    sparks: int | None = None
    rise_k: float | None = None
    coast_s: float | None = None
    noise: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Gone:
    """A figure that a motor, or its type, had once and that somebody took away: in words, who, and whether nobody else
    signs in here who could say so too.
    """

    words: str
    person: str
    alone: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Lent:
    """A part as an earlier visit left it, before the part at another place where it lies so; `out` where it never went
    back, `by` whose visit it was, in words.
    """

    part: StackPart
    before: int = 0
    out: bool = False
    by: str = ""


@dataclass(frozen=True, kw_only=True)
class Sheet:
    """One visit to one motor, with everything that is written on it.

    `together` names for a field the one that it belongs to: read anew, that one takes its companions with it; of those
    `apart` only the companions at the same place. `earlier` is of fields that are compared, `lent` what earlier visits
    lend to the stacks, `baseline` how it ran after the last good repair, `first_run` how where there was no figure to
    hold that against, `gone` figures of a run that it had once and `stated_here` those first stated since it was
    opened, `answers` how it was answered whether the complaint is gone, in order. `view` tells what is looked at: the
    motor as it is now, or as it was found.
    """

    id: str
    number: int
    kind: Kind
    at: datetime
    person: str
    facts: Facts
    written: Mapping[Spot, Given]
    signed_at: datetime | None = None
    together: Mapping[str, str] = field(default_factory=lambda: _NONE)
    apart: frozenset[str] = frozenset()
    earlier: Mapping[tuple[str, int], Earlier] = field(default_factory=lambda: MappingProxyType({}))
    lent: Mapping[tuple[str, int], Lent] = field(default_factory=lambda: MappingProxyType({}))
    baseline: Baseline | None = None
    first_run: Baseline | None = None
    gone: tuple[Gone, ...] = ()
    stated_here: frozenset[str] = frozenset()
    answers: tuple[Given, ...] = ()
    view: Literal["now", "found"] = "now"

    @cached_property
    def entries(self) -> Mapping[tuple[str, int], Given]:
        """Return what counts in this view, by field and place: now it is what was left, where that is known, else what
        was found.
        """
        found = {(f, p): g for (f, p, sight), g in self.written.items() if sight == "found"}
        if self.view == "found":
            return found
        left = {(f, p): g for (f, p, sight), g in self.written.items() if sight == "left" and g.stands}
        anew = {f for f, _ in left} - self.apart
        stands = {
            (f, p): g
            for (f, p), g in found.items()
            if (with_it := self.together.get(f)) not in anew and (with_it not in self.apart or (with_it, p) not in left)
        }
        return stands | left

    @cached_property
    def worked_out(self) -> dict[str, Any]:
        """Return what was worked out from this sheet already, by the name of what works it out: it never changes."""
        return {}

    def by_rules(self, name: str, rules: object, made: Callable[[], T]) -> T:
        """Return what was worked out from this sheet by the rules at hand, made where it was not yet."""
        known = self.worked_out.get(name)
        if known is None or known[0] is not rules:
            known = self.worked_out[name] = (rules, made())
        return cast("T", known[1])

    @cached_property
    def said(self) -> frozenset[str]:
        """Return the fields in which something stands, at any place."""
        return frozenset(f for (f, _), given in self.entries.items() if given.stands)

    @cached_property
    def as_found(self) -> "Sheet":
        """Return the sheet as the motor was found, before anybody worked on it."""
        return self if self.view == "found" or not self.worked_on else replace(self, view="found")

    def of_one_sight(self, *spots: tuple[str, int]) -> bool:
        """Tell whether what stands in fields was read in one sight: values of one test are never mixed."""
        return len({self.entries[spot].sight for spot in spots}) < 2

    @property
    def still_at(self) -> datetime | None:
        """Return when it was said last that the complaint is still there, None where nobody has."""
        return max((g.at for g in self.answers if g.word == "still"), default=None)

    @property
    def worked_on(self) -> bool:
        """Tell whether anything was entered as it was left."""
        return any(sight == "left" for _, _, sight in self.written)

    def given(self, field_id: str, place: int, sight: Sight) -> Given | None:
        """Return what stands in a field in one sight, None where nothing does or it was emptied again."""
        there = self.written.get((field_id, place, sight))
        return there if there is not None and there.stands else None
