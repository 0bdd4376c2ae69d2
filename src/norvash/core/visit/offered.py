"""Prices of earlier visits that are offered again: of the same way as a whole, of each part by its words."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date

from norvash.core.money.ways import PartPrice
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.records_of_parts import Bill


@dataclass(frozen=True, slots=True)
class Known:
    """What a part cost when it was last asked for; an `old` price is asked again.

    Units: the part's price in minor units of a currency with `decimals`.
    """

    part: PartPrice
    decimals: int
    on: date
    old: bool


@dataclass(frozen=True, slots=True)
class Offered:
    """The newest bill of the same way that is not too old, and what each part cost when it was last asked for."""

    bill: Bill | None
    known: tuple[Known, ...]


def offered(bills: Iterable[tuple[int, Bill]], place: int, today: date, rules: MotorRules) -> Offered:
    """Return what is offered for a way of bills by their places, the newest first.

    Source: rule money.price-age
    """
    age, same, known = rules["money.price-age"], None, dict[str, Known]()
    for at, bill in bills:
        if bill.on is None:
            continue
        old = (today - bill.on).days > age
        if at == place and same is None and not old:
            same = bill
        for part in bill.parts:
            known.setdefault(part.name.casefold(), Known(part, bill.decimals, bill.on, old))
    return Offered(same, tuple(known.values()))
