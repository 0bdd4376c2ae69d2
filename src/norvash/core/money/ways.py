"""Repair or buy: what each way costs, landed and fitted, by itself and for each unit of its expected use."""

from collections.abc import Sequence
from dataclasses import dataclass, field
from fractions import Fraction
from functools import cached_property
from typing import Literal

from norvash.core.money.money import rounded
from norvash.core.money.packs import Bought, Pack, cheapest
from norvash.errors import InputError

_ONE = Fraction(1)
By = Literal["unit", "share", "bar", ""]


@dataclass(frozen=True, slots=True)
class PartPrice:
    """Something that is bought for a way: pieces at a price, or where it is sold in `packs` the cheapest whole ones.

    Units: price in minor units a piece, of packs that of the first.
    """

    name: str
    price: int
    pieces: int = 1
    packs: tuple[Pack, ...] = ()

    @property
    def bought(self) -> Bought | None:
        """Return which packs are bought, None where it is not sold in packs."""
        return cheapest(self.packs, self.pieces) if self.packs else None

    @property
    def cost(self) -> int:
        """Return what all its pieces cost, in minor units."""
        return self.price * self.pieces if self.bought is None else self.bought.cost


@dataclass(frozen=True, kw_only=True)
class Way:
    """One way to go on: its parts, labour, and how long it is expected to last.

    `tax` is added to parts and freight; nothing where prices are as they were typed. Labour counts where hours and a
    rate are known. `redo` is the chance that it must be done again, `condition` what of the expected life is left to
    it; a life, in its `unit`, counts for the decision where it was `stated`, or accepted by a person. One that buys a
    `new` unit is what the others are a share of, one of an `armature` what is at risk; one that is not `complete`
    leaves something undone. It is `barred` by a reason.

    Units: freight, labour_rate, consumables, downtime_rate in minor units, an hour where they are rates; labour_h,
    downtime_h in hours; life in any unit of use, the same for all.
    """

    name: str
    parts: tuple[PartPrice, ...] = ()
    freight: int = 0
    tax: Fraction = field(default_factory=Fraction)
    labour_h: Fraction | None = None
    labour_rate: Fraction | None = None
    consumables: int = 0
    downtime_h: Fraction = field(default_factory=Fraction)
    downtime_rate: Fraction = field(default_factory=Fraction)
    redo: Fraction = field(default_factory=Fraction)
    life: Fraction | None = None
    unit: str = ""
    condition: Fraction = _ONE
    stated: bool = False
    new: bool = False
    armature: bool = False
    complete: bool = True
    barred: str = ""

    def __post_init__(self) -> None:
        _inside(self)

    @cached_property
    def landed(self) -> int:
        """Return what its parts cost here, with freight and tax, in minor units."""
        return rounded((sum(p.cost for p in self.parts) + self.freight) * (1 + self.tax))

    @cached_property
    def labour(self) -> int:
        """Return what its labour costs, in minor units; nothing where hours or rate are not known."""
        if self.labour_h is None or self.labour_rate is None:
            return 0
        return rounded(self.labour_h * self.labour_rate)

    @cached_property
    def downtime(self) -> int:
        """Return what standing still costs meanwhile, in minor units."""
        return rounded(self.downtime_h * self.downtime_rate)

    @cached_property
    def total(self) -> int:
        """Return what it costs once, landed and fitted, in minor units."""
        return self.landed + self.labour + self.consumables + self.downtime

    @cached_property
    def with_redo(self) -> Fraction:
        """Return what it costs on average, as often as it must be done, in minor units."""
        return self.total / (1 - self.redo)

    @cached_property
    def expected(self) -> Fraction | None:
        """Return how long it is expected to last in its condition, in the unit of its life."""
        return None if self.life is None else self.life * self.condition

    @cached_property
    def per_unit(self) -> Fraction | None:
        """Return what a unit of its expected use costs, in minor units, with the chance of doing it again."""
        return None if self.expected is None else self.with_redo / self.expected


def _inside(way: Way) -> None:
    """Refuse what no way can have."""
    if not 0 <= way.redo < 1:
        raise InputError("A repair that must always be done again never ends.", "Give a chance from 0 to 99 %.", "redo")
    if not 0 <= way.tax <= 1:
        raise InputError("Tax is 0 to 100 %.", "Give it as a share of the price.", "tax")
    if way.life is not None and way.life <= 0:
        raise InputError("Nothing lasts no time at all.", "Give how long it will last, or leave it empty.", "life")
    if not 0 < way.condition <= 1:
        raise InputError("A condition is a share of the life, from above 0 to 100 %.", "Correct it.", "condition")
    for amount, name in ((way.freight, "freight"), (way.consumables, "consumables"), (way.labour_h or 0, "labour")):
        if amount < 0:
            raise InputError("An amount lies below 0.", "Correct it.", name)
    if any(p.price <= 0 or p.pieces < 1 for p in way.parts):
        raise InputError("A part costs more than 0, and is at least one piece.", "Correct it.", "price")


@dataclass(frozen=True, slots=True, kw_only=True)
class Compared:
    """Ways side by side: which one is proposed, None without any, by what (cost a `unit` of use, `share` of the new
    one, or because a `bar` leaves no other), each one's share, what that is a share of, and the sum of money at the
    threshold.
    """

    ways: tuple[Way, ...]
    proposed: Way | None
    by: By
    shares: tuple[Fraction | None, ...]
    whole: Way | None
    threshold: Fraction
    notch: Fraction | None

    @property
    def at_risk(self) -> tuple[Fraction | None, ...]:
        """Return what each way is of a new armature, landed, where one is priced beside a new unit: what is at risk
        when nothing is done. None for ways that buy either, and where one is barred: it is lost already.
        """
        armature = next((w for w in self.ways if w.armature and w.landed and w is not self.whole), None)
        if armature is None or any(w.barred for w in self.ways):
            return tuple(None for _ in self.ways)
        return tuple(None if w.armature or w.new else Fraction(w.total, armature.landed) for w in self.ways)

    @property
    def by_share(self) -> Way | None:
        """Return what the share alone would propose."""
        return _by_share(self.ways, self.shares, self.threshold, self.whole)


def compared(ways: Sequence[Way], threshold: Fraction) -> Compared:
    """Return ways side by side, and the one that is proposed.

    A hard stop bars a way before money. Cost a unit decides where every life that counts was stated or accepted, the
    share else: the least dear way that is no more than the threshold, and the new one where none is.
    """
    whole = _whole(ways)
    shares = tuple(_share(w, whole) for w in ways)
    free = [w for w in ways if not w.barred]
    by: By = "bar" if len(free) == 1 and len(ways) > 1 else "share"
    proposed = free[0] if len(free) == 1 else _by_share(ways, shares, threshold, whole)
    alike = len({w.unit for w in free}) == 1
    if len(free) > 1 and alike and all(w.stated and w.per_unit is not None for w in free):
        by, proposed = "unit", min(free, key=_per_unit)
    if proposed is None or (by == "share" and whole is None):
        by = ""
    notch = whole.total * threshold if whole is not None else None
    return Compared(
        ways=tuple(ways), proposed=proposed, by=by, shares=shares, whole=whole, threshold=threshold, notch=notch
    )


def _per_unit(way: Way) -> tuple[Fraction, str]:
    if way.per_unit is None:
        raise LookupError(way.name)
    return way.per_unit, way.name


def _whole(ways: Sequence[Way]) -> Way | None:
    """Return the new unit, without one that is priced the dearest complete way; None where there is only one way."""
    new = [w for w in ways if w.new and w.total > 0]
    if new:
        return min(new, key=lambda w: (w.total, w.name))
    complete = [w for w in ways if w.complete and w.total > 0]
    return max(complete, key=lambda w: (w.total, w.name)) if len(complete) > 1 else None


def _share(way: Way, whole: Way | None) -> Fraction | None:
    return None if whole is None or way is whole else Fraction(way.total, whole.total)


def _by_share(
    ways: Sequence[Way], shares: Sequence[Fraction | None], threshold: Fraction, whole: Way | None
) -> Way | None:
    """Return the least dear way inside the threshold; what the others are a share of, where none is."""
    inside = [w for w, s in zip(ways, shares, strict=True) if s is not None and s <= threshold and not w.barred]
    inside = [w for w in inside if not w.new]
    if inside:
        return min(inside, key=lambda w: (w.total, w.name))
    return whole if whole is not None and not whole.barred else None
