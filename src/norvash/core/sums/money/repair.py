"""Repair or buy, as a sum: what each way costs, which one is proposed, and where another wins."""

from collections.abc import Callable
from dataclasses import dataclass
from fractions import Fraction

from norvash.core.money.here import currency_of
from norvash.core.money.money import Currency, exactly
from norvash.core.money.said import flip_words, proposed_words
from norvash.core.money.ways import PartPrice, Way, compared
from norvash.core.rules.book import MotorRules
from norvash.core.sums.money.money import MOST, minor_of, money_of
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

_MOST_WAYS = 20


@dataclass(frozen=True, slots=True, kw_only=True)
class WayIn:
    """One way: its parts together, what it takes to have and to fit them, and how long it lasts."""

    name: str
    parts: float = 0.0
    freight: float = 0.0
    tax: float = 0.0
    labour_h: float | None = None
    labour_per_h: float | None = None
    consumables: float = 0.0
    downtime_h: float = 0.0
    downtime_per_h: float = 0.0
    redo: float = 0.0
    life: float | None = None
    condition: float = 1.0
    new: bool = False
    barred: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class RepairIn:
    """A new unit and a repair, or any number of ways; lives in one unit of use, years unless all are typed in another.

    Tax and freight are those of the new unit; the parts of the repair are as they were typed.
    """

    price: float | None = ask("Price of the new unit", "money", high=MOST, default=None, above_low=True)
    freight: float = ask("Freight of the new unit", "money", high=MOST, default=0.0)
    tax: float = ask("Tax on both", "share", high=1.0, default=0.0)
    new_fitting_h: float | None = ask("Time to fit it", "hours", high=10_000, default=None)
    labour_per_h: float | None = ask("Labour rate", "money", high=MOST, default=None, hint="an hour")
    new_life_y: float | None = ask("Life of the new unit", "years", high=1000, default=None, above_low=True)
    repair_parts: float | None = ask("Parts of the repair", "money", high=MOST, default=None, above_low=True)
    repair_labour_h: float | None = ask("Time of the repair", "hours", high=10_000, default=None)
    repair_life_y: float | None = ask("Life after the repair", "years", high=1000, default=None, above_low=True)
    redo: float = ask("Chance that it must be done again", "share", high=0.99, default=0.0)
    armature: float | None = ask("Also the armature at risk", "money", high=MOST, default=None, above_low=True)
    ways: list[WayIn] | None = ask(
        "or ways", "rows", default=None, hint="as name kit; parts 65 | name new unit; parts 75.50; new yes"
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class RepairOut:
    """What each way costs, what is proposed and why, and where another way wins."""

    new_landed: float | None = gives("the new one, here", money=True)
    new_total: float | None = gives("the new one, fitted", money=True)
    repair_total: float | None = gives("the repair", money=True)
    share: float | None = gives("as a share", share=True)
    repair_with_redo: float | None = gives("the repair, with its chance to be done again", money=True)
    new_per_y: float | None = gives("the new one, each year", money=True)
    repair_per_y: float | None = gives("the repair, each year", money=True)
    cheaper_per_y: str = gives("cheaper each year")
    armature_share: float | None = gives("the repair, of a new armature", share=True)
    proposed: str = gives("proposed")
    decided_by: str = gives("decided by")
    totals: list[float] = gives("each way", money=True)
    shares: list[float | None] = gives("of the new one", share=True)
    per_unit: list[float | None] = gives("each unit of use", money=True)
    flips: list[str] = gives("where it turns")
    advice: str
    rules: tuple[str, ...] = ("money.share",)


def repair_or_replace(given: RepairIn, rules: MotorRules) -> RepairOut:
    """Return what each way costs and which one is proposed: hard stops first, then cost a unit, else the share.

    Raises: InputError that names the field which cannot be so.
    """
    here = currency_of(rules)
    ways = ways_of(given, here)
    found = compared(ways, exactly(rules["money.share"]))
    new = next((w for w in ways if w.new), None)
    repair = next((w for w in ways if not w.new), None) if given.ways is None else None
    return RepairOut(
        new_landed=_of(new, lambda w: w.landed, here),
        new_total=_of(new, lambda w: w.total, here),
        repair_total=_of(repair, lambda w: w.total, here),
        share=next((float(s) for s in found.shares if s is not None), None) if repair is not None else None,
        repair_with_redo=_of(repair, lambda w: w.with_redo, here),
        new_per_y=_of(new, lambda w: w.per_unit, here),
        repair_per_y=_of(repair, lambda w: w.per_unit, here),
        cheaper_per_y=_cheaper(ways),
        armature_share=_of_armature(repair, given.armature, here),
        proposed=found.proposed.name if found.proposed is not None else "",
        decided_by=found.by,
        totals=[money_of(w.total, here) for w in ways],
        shares=[None if s is None else float(s) for s in found.shares],
        per_unit=[None if w.per_unit is None else money_of(w.per_unit, here) for w in ways],
        flips=list(flip_words(found, here)),
        advice=proposed_words(found, here).removesuffix("."),
    )


def ways_of(given: RepairIn, here: Currency) -> tuple[Way, ...]:
    """Return the ways that are compared.

    Raises: InputError that names the field which cannot be so.
    """
    if given.ways is not None:
        if not 1 <= len(given.ways) <= _MOST_WAYS:
            raise InputError(f"{len(given.ways)} ways are not compared.", f"Give 1 to {_MOST_WAYS}.", "ways")
        return tuple(_way(w, given.labour_per_h, here) for w in given.ways)
    if given.price is None or given.repair_parts is None:
        missing = "price" if given.price is None else "repair_parts"
        raise InputError("Two ways are compared.", "Give the new unit and the repair, or ways.", missing)
    new = WayIn(
        name="new",
        parts=given.price,
        freight=given.freight,
        tax=given.tax,
        labour_h=given.new_fitting_h,
        life=given.new_life_y,
        new=True,
    )
    repair = WayIn(
        name="repair",
        parts=given.repair_parts,
        labour_h=given.repair_labour_h,
        life=given.repair_life_y,
        redo=given.redo,
    )
    return _way(repair, given.labour_per_h, here), _way(new, given.labour_per_h, here)


def _way(given: WayIn, rate: float | None, here: Currency) -> Way:
    per_h = given.labour_per_h if given.labour_per_h is not None else rate
    parts = (PartPrice(given.name, minor_of(given.parts, "ways", here)),) if given.parts else ()
    return Way(
        name=given.name,
        parts=parts,
        freight=minor_of(given.freight, "freight", here),
        tax=exactly(given.tax),
        labour_h=exactly(given.labour_h) if given.labour_h is not None else None,
        labour_rate=exactly(per_h) * here.unit if per_h is not None else None,
        consumables=minor_of(given.consumables, "ways", here),
        downtime_h=exactly(given.downtime_h),
        downtime_rate=exactly(given.downtime_per_h) * here.unit,
        redo=exactly(given.redo),
        life=exactly(given.life) if given.life is not None else None,
        condition=exactly(given.condition),
        stated=given.life is not None,
        new=given.new,
        barred=given.barred,
    )


def _of(way: Way | None, what: Callable[[Way], int | Fraction | None], here: Currency) -> float | None:
    """Return an amount of a way as a number, None without one."""
    amount = what(way) if way is not None else None
    return None if amount is None else money_of(amount, here)


def _of_armature(repair: Way | None, price: float | None, here: Currency) -> float | None:
    """Return what a repair is of the armature that is at risk without it, None where that or it is not given."""
    if repair is None or price is None:
        return None
    return float(Fraction(repair.total, minor_of(price, "armature", here)))


def _cheaper(ways: tuple[Way, ...]) -> str:
    """Return the way that costs least a unit, empty where not every life is given."""
    known = [(w.per_unit, w.name) for w in ways if w.per_unit is not None]
    return min(known)[1] if len(known) == len(ways) else ""


SUMS = (
    Sum(
        name="repair-or-replace",
        title="Repair or buy",
        words="What each way costs, once and for each unit of its use, and where another way wins.",
        inputs=RepairIn,
        compute=repair_or_replace,
        example={
            "price": 412.0,
            "freight": 37.0,
            "tax": 0.19,
            "new_fitting_h": 1.25,
            "labour_per_h": 47.0,
            "new_life_y": 8.6,
            "repair_parts": 117.0,
            "repair_labour_h": 3.1,
            "repair_life_y": 4.3,
            "redo": 0.14,
        },
    ),
)
