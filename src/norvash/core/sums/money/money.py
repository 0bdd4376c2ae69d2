"""Sums of money: what a part costs here, and the cheapest packs."""

from dataclasses import dataclass
from fractions import Fraction

from norvash.core.money.here import currency_of
from norvash.core.money.money import Currency, exactly, shown
from norvash.core.money.packs import Pack, cheapest
from norvash.core.money.ways import PartPrice, Way
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.core.text.words import listed
from norvash.errors import InputError

MOST = 1e9


def minor_of(value: float, name: str, here: Currency) -> int:
    """Return an amount in minor units.

    Raises: InputError for one with more decimals than money has.
    """
    exact = exactly(value) * here.unit
    if exact.denominator != 1:
        raise InputError(f"{value:g} has more than {here.decimals} decimals.", "Round it as the bill does.", name)
    return int(exact)


def money_of(minor: int | Fraction, here: Currency) -> float:
    """Return an amount of minor units as a number of the currency."""
    return float(Fraction(minor) / here.unit)


@dataclass(frozen=True, slots=True, kw_only=True)
class LandedIn:
    """A price with what it takes to have the part here."""

    price: float = ask("Price", "money", high=MOST, above_low=True)
    freight: float = ask("Freight of the order", "money", high=MOST, default=0.0)
    tax: float = ask("Tax on both", "share", high=1.0, default=0.0)


@dataclass(frozen=True, slots=True, kw_only=True)
class LandedOut:
    """What it costs here."""

    landed: float = gives("it costs here", money=True)
    advice: str


def landed_price(given: LandedIn, rules: MotorRules) -> LandedOut:
    """Return what a part costs here, rounded once.

    Raises: InputError that names the field which cannot be so.
    """
    here = currency_of(rules)
    way = Way(
        name="it",
        parts=(PartPrice("it", minor_of(given.price, "price", here)),),
        freight=minor_of(given.freight, "freight", here),
        tax=exactly(given.tax),
    )
    return LandedOut(landed=money_of(way.landed, here), advice=f"It costs {shown(way.landed, here)} here")


@dataclass(frozen=True, slots=True, kw_only=True)
class PackIn:
    """A pack as it is sold."""

    pieces: int
    price: float


@dataclass(frozen=True, slots=True, kw_only=True)
class PacksIn:
    """Packs, and how many pieces are needed."""

    packs: list[PackIn] = ask("Packs", "rows", hint="as pieces 2; price 6.40 | pieces 4; price 10.90")
    needed: int | None = ask("Pieces needed", "count", low=1, high=10_000, default=None)


@dataclass(frozen=True, slots=True, kw_only=True)
class PacksOut:
    """What a piece costs in each pack, and the packs to buy; without a need only the first."""

    price_each: list[float] = gives("a piece, in each pack", money=True)
    saving_share: float = gives("saved a piece", share=True)
    packs: list[int] | None = gives("packs to buy")
    pieces: int | None = gives("pieces")
    cost: float | None = gives("together", money=True)
    spare: int | None = gives("left over")
    advice: str


def pack_price(given: PacksIn, rules: MotorRules) -> PacksOut:
    """Return the cheapest whole packs; of equal cost those with more pieces.

    Raises: InputError that names the field which cannot be so.
    """
    here = currency_of(rules)
    packs = [Pack(p.pieces, minor_of(p.price, "packs", here)) for p in given.packs]
    bought = cheapest(packs, given.needed or 1)
    each = [money_of(e, here) for e in bought.each]
    saving = float(bought.saving)
    best = packs[min(range(len(packs)), key=lambda i: bought.each[i])]
    saves = f", {saving:.1%} less a piece than the dearest" if saving else ""
    if given.needed is None:
        advice = f"The pack of {best.pieces} is the cheapest a piece{saves}"
        return PacksOut(
            price_each=each, saving_share=saving, packs=None, pieces=None, cost=None, spare=None, advice=advice
        )
    counted = [f"{n} of {p.pieces}" for n, p in zip(bought.counts, packs, strict=True) if n]
    over = f", {bought.spare} left over" if bought.spare else ""
    return PacksOut(
        price_each=each,
        saving_share=saving,
        packs=list(bought.counts),
        pieces=bought.pieces,
        cost=money_of(bought.cost, here),
        spare=bought.spare,
        advice=f"Buy {listed(counted)}: {shown(bought.cost, here)} for {bought.pieces} pieces{over}",
    )


SUMS = (
    Sum(
        name="landed-price",
        title="What it costs here",
        words="A price with freight and tax.",
        inputs=LandedIn,
        compute=landed_price,
        example={"price": 640.0, "freight": 58.0, "tax": 0.19},
    ),
    Sum(
        name="pack-price",
        title="Packs",
        words="What a piece costs in each pack, and the cheapest whole packs for a number of pieces.",
        inputs=PacksIn,
        compute=pack_price,
        example={"packs": [{"pieces": 2, "price": 6.4}, {"pieces": 4, "price": 10.9}], "needed": 6},
    ),
)
