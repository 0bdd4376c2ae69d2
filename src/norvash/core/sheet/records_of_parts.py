"""What belongs to an entry of a price, of a part that is offered, came off or went back, of a task that was added."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date
from fractions import Fraction
from typing import Literal

from norvash.core.money.ways import PartPrice
from norvash.core.stacks.part import StackPart

# What was said of tax or freight of a price: nothing, that it is in it, or that it comes on top.
Beside = Literal["", "in", "on top"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Bill:
    """What a way to go on costs, as it was typed; `said` is the source of its prices, `on` their day.

    Tax and freight are `in` the prices, come `on top` as the site has them, are named, or nothing was said of them.
    Units: rate, freight, consumables in minor units of a currency with `decimals`, the rate an hour; labour_h,
    downtime_h in hours; life in its unit, empty for the one that all ways have.
    """

    parts: tuple[PartPrice, ...] = ()
    labour_h: Fraction | None = None
    labour_rate: int | None = None
    freight: int | None = None
    freight_word: Beside = ""
    tax: Fraction | None = None
    tax_word: Beside = ""
    consumables: int = 0
    downtime_h: Fraction = field(default_factory=Fraction)
    redo: Fraction = field(default_factory=Fraction)
    life: Fraction | None = None
    life_unit: str = ""
    condition: Fraction | None = None
    said: str = ""
    on: date | None = None
    decimals: int = 2

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(p.name for p in self.parts)


@dataclass(frozen=True, slots=True, kw_only=True)
class TakenFor:
    """The name of a way that was taken, why beside its cost, on which day it happens where that is not the signature,
    and what every way came to then.
    """

    name: str = ""
    why: str = ""
    day: date | None = None
    prices: str = ""

    @property
    def words(self) -> str:
        """Return it in words."""
        return ", ".join(filter(None, (self.why, f"on {self.day}" if self.day is not None else "")))


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferRecord:
    """A part that is offered: what is known of the new one, of the old one, and of the place that it goes to, by their
    names, as they are kept.
    """

    new: Mapping[str, str] = field(default_factory=dict)
    old: Mapping[str, str] = field(default_factory=dict)
    place: Mapping[str, str] = field(default_factory=dict)

    @property
    def words(self) -> str:
        """Return it in words."""
        return " ".join(filter(None, (self.new.get("part", ""), self.new.get("batch", ""))))


@dataclass(frozen=True, slots=True, kw_only=True)
class AddedTask:
    """A task that somebody has added: the minutes that it is thought to take, None where nobody says, and the ids of
    the parts that it touches.
    """

    minutes: float | None = None
    touches: tuple[str, ...] = ()

    @property
    def words(self) -> str:
        """Return it in words."""
        took = f"{self.minutes:g} min" if self.minutes is not None else ""
        return ", ".join(filter(None, (took, f"touches {' and '.join(self.touches)}" if self.touches else "")))


@dataclass(frozen=True, slots=True, kw_only=True)
class OffRecord:
    """A part that came off, the place before which it lies where that is not the order of entry (0 else), and why it
    was counted anew once it was back.
    """

    part: StackPart
    before: int = 0
    why: str = ""

    @property
    def words(self) -> str:
        """Return what is not in its text: why it was counted anew."""
        return self.why


Ends = Literal["", "renewed", "left"]


@dataclass(frozen=True, slots=True, kw_only=True)
class BackRecord:
    """How a part that went back differs from what came off, nothing where it does not; or that it was renewed, or left
    out, and why.
    """

    count: int | None = None
    long_mm: float | None = None
    across_mm: float | None = None
    size: str = ""
    round: str = ""
    ends: Ends = ""
    why: str = ""

    @property
    def words(self) -> str:
        """Return what is not in its text: why."""
        return self.why
