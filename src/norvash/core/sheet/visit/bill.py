"""What a way costs, as it is typed: parts with their prices, time, tax, freight, how long it lasts."""

import re
from collections.abc import Mapping
from fractions import Fraction

from norvash.core.money.money import Currency, exactly, read_money
from norvash.core.money.ways import Part
from norvash.core.sheet.records import Bill
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError

_MOST_PARTS, _LONG_NAME = 20, 80
_PART = re.compile(r"^(?P<name>.*?\D)\s*(?P<price>\d[\d .,'\u202f\u00a0]*)(?:\s*[x×]\s*(?P<pieces>\d{1,3}))?$")
_SHARES = {"tax": (0.0, 1.0), "redo": (0.0, 0.99)}


def read_bill(more: Mapping[str, str], currency: Currency) -> Bill:
    """Return what a way costs, from what was typed with it.

    Raises: InputError at the part of it that cannot be.
    """
    return Bill(
        parts=read_parts(more.get("bill", ""), currency),
        labour_h=_number(more, "hours", "hours", 10_000),
        labour_rate=_amount(more, "rate", currency),
        freight=_amount(more, "freight", currency) or 0,
        tax=_share(more, "tax"),
        redo=_share(more, "redo"),
        life=_number(more, "life", "scale", 1_000_000, above=True),
        said=" ".join(clean(more.get("said", ""), "said", note=True).split())[:_LONG_NAME],
    )


def read_parts(text: str, currency: Currency) -> tuple[Part, ...]:
    """Return parts as typed: “holder 42.00; brushes 15.50 x 2”.

    Raises: InputError at `bill`.
    """
    rows = [row.strip() for row in clean(text, "bill", note=True).replace("\n", ";").split(";") if row.strip()]
    if len(rows) > _MOST_PARTS:
        raise InputError(f"{len(rows)} parts are too many.", f"Give at most {_MOST_PARTS}.", "bill")
    return tuple(_part(row, currency) for row in rows)


def _part(row: str, currency: Currency) -> Part:
    found = _PART.match(row)
    if found is None:
        raise InputError(f"“{row[:40]}” has no price.", "Write each part with its price, like holder 42.00.", "bill")
    name = found["name"].strip(" :,")
    if name.endswith(("-", "−")):
        raise InputError(f"“{row[:40]}” is below 0.", "Give what it costs.", "bill")
    price = read_money(found["price"], currency, "bill")
    if not name or len(name) > _LONG_NAME:
        raise InputError(f"“{row[:40]}” names no part.", "Write what it is, then its price.", "bill")
    if price == 0:
        raise InputError(f"“{name}” costs nothing.", "Give its price, or leave it out.", "bill")
    return Part(name, price, int(found["pieces"] or 1))


def _amount(more: Mapping[str, str], name: str, currency: Currency) -> int | None:
    text = more.get(name, "").strip()
    return read_money(text, currency, name) if text else None


def _number(more: Mapping[str, str], name: str, dimension: str, most: float, *, above: bool = False) -> Fraction | None:
    text = more.get(name, "").strip()
    if not text:
        return None
    try:
        value = parse(text, dimension).value
    except InputError as error:
        raise error.at(name) from None
    if not (value > 0 if above else value >= 0) or value > most:
        bounds = f"{'more than' if above else 'from'} 0 to {most:.0f}"
        raise InputError(f"{value:g} is not possible.", f"Give {bounds}.", name)
    return exactly(float(f"{value:.9g}"))


def _share(more: Mapping[str, str], name: str) -> Fraction:
    text = more.get(name, "").strip()
    if not text:
        return Fraction()
    low, high = _SHARES[name]
    try:
        value = parse(text if "%" in text else f"{text} %", "share").value
    except InputError as error:
        raise error.at(name) from None
    if not low <= value <= high:
        raise InputError(f"{value:.0%} is not possible.", f"Give {low:.0%} to {high:.0%}.", name)
    return exactly(float(f"{value:.9g}"))
