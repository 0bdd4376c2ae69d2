"""What a way costs, as it is typed: parts with their prices or packs, time, tax, freight, how long it lasts."""

import re
import unicodedata
from collections.abc import Mapping
from datetime import date
from fractions import Fraction

from norvash.core.money.money import Currency, exactly, read_money
from norvash.core.money.packs import Pack
from norvash.core.money.ways import PartPrice
from norvash.core.sheet.records_of_parts import Beside, Bill
from norvash.core.text.days import day_of
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError

_MOST_PARTS, _LONG_NAME, _MOST_PACKS = 20, 80, 8
_MOST_HOURS, _MOST_LIFE = 10_000, 1_000_000
# A price; a number before it, parted by a blank, is of the name unless both read as thousands.
_MONEY = r"(?:[1-9]\d{0,2}(?:[ '\u202f\u00a0]\d{3})+|\d+(?:[.,]\d{3})*)(?:[.,]\d+)?"
_PART = re.compile(rf"^(?P<name>.*?\D)(?P<price>{_MONEY})(?:\s*[x×]\s*(?P<pieces>\d{{1,3}}))?$")
_PACK = re.compile(rf"(?P<pieces>\d{{1,4}})\s+for\s+(?P<price>{_MONEY})")
_PACKS = re.compile(
    rf"^(?P<name>.*?\D)(?P<packs>\d+\s+for\s+{_MONEY}(?:\s*or\s+\d+\s+for\s+{_MONEY})*)(?:\s*[x×]\s*(?P<pieces>\d{{1,3}}))?$"
)
_NO_NAME = re.compile(r"^\d+\s+for$")
_SHARES = {"tax": (0.0, 1.0), "redo": (0.0, 0.99), "condition": (0.01, 1.0)}
_WORDS: Mapping[str, Beside] = {
    "in": "in",
    "in it": "in",
    "included": "in",
    "on top": "on top",
    "without": "on top",
    "without tax": "on top",
    "extra": "on top",
}
_LIVES = (("h", "hours"), ("starts", "starts"), ("years", "years"))
_ON_TOP = re.compile(r"\s+(?:on top|extra)$", re.IGNORECASE)  # a share of tax is never in the prices
_DAY = re.compile(r"\d{4}-\d{2}-\d{2}|\d{1,2}[./]\d{1,2}[./]\d{4}")


def read_bill(more: Mapping[str, str], currency: Currency, today: date) -> Bill:
    """Return what a way costs, from what was typed with it; its prices are of today where no other day is named.

    Raises: InputError at the part of it that cannot be.
    """
    said = " ".join(clean(more.get("said", ""), "said", note=True).split())[:_LONG_NAME]
    tax_word, freight_word = (_word(more.get(name, "")) for name in ("tax", "freight"))
    life, life_unit = _life(more.get("life", ""))
    return Bill(
        parts=read_parts(more.get("bill", ""), currency),
        labour_h=_number(more, "hours", _MOST_HOURS),
        labour_rate=_amount(more, "rate", currency),
        freight=None if freight_word else _amount(more, "freight", currency),
        freight_word=freight_word,
        tax=None if tax_word else _share(more, "tax"),
        tax_word=tax_word,
        consumables=_amount(more, "consumables", currency) or 0,
        downtime_h=_number(more, "downtime", _MOST_HOURS) or Fraction(),
        redo=_share(more, "redo") or Fraction(),
        life=life,
        life_unit=life_unit,
        condition=_share(more, "condition"),
        said=said,
        on=_said_on(said, today),
        decimals=currency.decimals,
    )


def _said_on(said: str, today: date) -> date:
    """Return the day that is named with prices, today without one.

    Raises: InputError for a day to come.
    """
    found = _DAY.search(said)
    day = day_of(found.group()) if found is not None else None
    if day is not None and day > today:
        raise InputError(f"{day:%Y-%m-%d} is still to come.", "Give the day on which the prices were asked.", "said")
    return day or today


def read_parts(text: str, currency: Currency) -> tuple[PartPrice, ...]:
    """Return parts as typed: “holder 42.00; brushes 15.50 x 2; brushes 2 for 6.90 or 4 for 10.20 x 2”.

    Raises: InputError at `bill`.
    """
    rows = [row.strip() for row in clean(text, "bill", note=True).replace("\n", ";").split(";") if row.strip()]
    if len(rows) > _MOST_PARTS:
        raise InputError(f"{len(rows)} parts are too many.", f"Give at most {_MOST_PARTS}.", "bill")
    return tuple(_part(row, currency) for row in rows)


def _part(row: str, currency: Currency) -> PartPrice:
    sign = next((c for c in row if unicodedata.category(c) == "Sc"), "")
    if sign:
        raise InputError(f"“{sign}” is not needed.", "Give prices in the site's own currency, without a sign.", "bill")
    in_packs = _PACKS.match(row)
    found = in_packs or _PART.match(row)
    if found is None:
        raise InputError(f"“{row[:40]}” has no price.", "Write each part with its price, like holder 42.00.", "bill")
    name, pieces = found["name"].strip(" :=,"), int(found["pieces"] or 1)
    if name.endswith(("-", "−")):
        raise InputError(f"“{row[:40]}” is below 0.", "Give what it costs.", "bill")
    if not name or len(name) > _LONG_NAME or _NO_NAME.match(name):
        raise InputError(f"“{row[:40]}” names no part.", "Write what it is, then its price.", "bill")
    if pieces < 1:
        raise InputError(f"“{name}” is bought no times.", "Give how many, or leave it out.", "bill")
    if in_packs is None:
        return PartPrice(name, _price(found["price"], name, currency), pieces)
    packs = tuple(_pack(m, name, currency) for m in _PACK.finditer(in_packs["packs"]))
    if len(packs) > _MOST_PACKS:
        raise InputError(f"{len(packs)} packs are too many.", f"Give at most {_MOST_PACKS}.", "bill")
    return PartPrice(name, packs[0].price, pieces, packs)


def _pack(found: re.Match[str], name: str, currency: Currency) -> Pack:
    if int(found["pieces"]) < 1:
        raise InputError(f"A pack of “{name}” holds at least one piece.", "Give how many are in it.", "bill")
    return Pack(int(found["pieces"]), _price(found["price"], name, currency))


def _price(text: str, name: str, currency: Currency) -> int:
    price = read_money(text, currency, "bill")
    if price == 0:
        raise InputError(f"“{name}” costs nothing.", "Give its price, or leave it out.", "bill")
    return price


def _word(text: str) -> Beside:
    """Return what was said of tax or freight in a word, empty where it was not."""
    return _WORDS.get(" ".join(text.split()).casefold(), "")


def _amount(more: Mapping[str, str], name: str, currency: Currency) -> int | None:
    text = more.get(name, "").strip()
    return read_money(text, currency, name) if text else None


def _number(more: Mapping[str, str], name: str, most: float) -> Fraction | None:
    text = more.get(name, "").strip()
    if not text:
        return None
    try:
        value = parse(text, "hours").value
    except InputError as error:
        raise error.at(name) from None
    if not 0 <= value <= most:
        raise InputError(f"{value:g} h is not possible.", f"Give from 0 to {most:.0f} h.", name)
    return exactly(float(f"{value:.9g}"))


def _life(text: str) -> tuple[Fraction | None, str]:
    """Return how long a way is expected to last, and in which unit; none where only a number stands."""
    bare = text.strip()
    if not bare:
        return None, ""
    unit, dimension = "", "scale"
    if bare[-1].isalpha():
        unit, dimension = next(((u, d) for u, d in _LIVES if _reads(bare, d)), ("", ""))
    if not dimension:
        raise InputError(
            f"“{bare[:40]}” cannot be read as a life.", "Give hours, starts or years, like 1200 h or 7 years.", "life"
        )
    try:
        value = parse(bare, dimension).value
    except InputError as error:
        raise error.at("life") from None
    if not 0 < value <= _MOST_LIFE:
        raise InputError(f"{value:g} is not possible.", f"Give more than 0 to {_MOST_LIFE}.", "life")
    return exactly(float(f"{value:.9g}")), unit


def _reads(text: str, dimension: str) -> bool:
    try:
        parse(text, dimension)
    except InputError:
        return False
    return True


def _share(more: Mapping[str, str], name: str) -> Fraction | None:
    text = more.get(name, "").strip()
    if name == "tax":
        text = _ON_TOP.sub("", text)
    if not text:
        return None
    low, high = _SHARES[name]
    try:
        value = parse(text if "%" in text else f"{text} %", "share").value
    except InputError as error:
        remedy = f"Give {low:.0%} to {high:.0%}{', “in it” or “on top”' if name == 'tax' else ''}."
        raise InputError(error.problem, remedy, name) from None
    if not low <= value <= high:
        raise InputError(f"{value:.0%} is not possible.", f"Give {low:.0%} to {high:.0%}.", name)
    return exactly(float(f"{value:.9g}"))
