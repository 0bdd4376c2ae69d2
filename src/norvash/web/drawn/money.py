"""What the pages of sums of money draw: ways and packs on one scale."""

from dataclasses import replace

from norvash.core.money.here import currency_of
from norvash.core.money.money import exactly
from norvash.core.money.packs import Pack, cheapest
from norvash.core.money.ways import Compared, PartPrice, Way, compared
from norvash.core.rules.book import MotorRules
from norvash.core.sums.money.money import LandedIn, LandedOut, PacksIn, PacksOut, minor_of
from norvash.core.sums.money.repair import RepairIn, RepairOut, ways_of
from norvash.drawing.scales.way_bars import way_bars
from norvash.drawing.svg import Drawing


def landed_drawn(given: LandedIn, _result: LandedOut, rules: MotorRules, width: float) -> Drawing:
    """Return a price with its freight and tax as a bar.

    Units: width [px].
    """
    here = currency_of(rules)
    part = PartPrice("price", minor_of(given.price, "price", here))
    way = Way(name="landed", parts=(part,), freight=minor_of(given.freight, "freight", here), tax=exactly(given.tax))
    return way_bars(_side_by_side((way,), rules), None, width, here)


def packs_drawn(given: PacksIn, _result: PacksOut, rules: MotorRules, width: float) -> Drawing:
    """Return the packs that are bought over each kind of pack alone.

    Units: width [px].
    """
    here = currency_of(rules)
    sold = [Pack(p.pieces, minor_of(p.price, "packs", here)) for p in given.packs]
    needed = given.needed or max(p.pieces for p in sold)
    choices = [("the cheapest", sold)] + ([(f"packs of {p.pieces}", [p]) for p in sold] if len(sold) > 1 else [])
    return way_bars(
        _side_by_side(tuple(_bought(name, packs, needed) for name, packs in choices), rules), None, width, here
    )


def _bought(name: str, packs: list[Pack], needed: int) -> Way:
    counts = cheapest(packs, needed).counts
    parts = (PartPrice(f"{p.pieces} pieces", p.price, n) for p, n in zip(packs, counts, strict=True) if n)
    return Way(name=name, parts=tuple(parts))


def repair_drawn(given: RepairIn, _result: RepairOut, rules: MotorRules, width: float) -> Drawing:
    """Return the ways side by side.

    Units: width [px].
    """
    here = currency_of(rules)
    return way_bars(compared(ways_of(given, here), exactly(rules["money.share"])), None, width, here)


def _side_by_side(ways: tuple[Way, ...], rules: MotorRules) -> Compared:
    """Return bills side by side that are no ways to choose between: nothing is proposed, and nothing is a share."""
    found = compared(ways, exactly(rules["money.share"]))
    return replace(found, proposed=None, by="", whole=None, notch=None, shares=tuple(None for _ in ways))
