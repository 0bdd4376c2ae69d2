"""Sums of money as people type and read them: whole minor units of the one currency of a site."""

import re
from dataclasses import dataclass
from fractions import Fraction
from typing import Literal

from norvash.errors import InputError

Mark = Literal["", ",", "."]
MOST_MINOR = 10**11
_SPACES = str.maketrans("", "", " \u00a0\u2009\u202f'’_")
_GROUPED = re.compile(r"^\d{1,3}([.,])\d{3}$")
_PLAIN = re.compile(r"^(\d+)(?:[.,](\d*))?$")


@dataclass(frozen=True, slots=True)
class Currency:
    """The currency of a site: what it is called, how many decimals it has, and which mark parts thousands there, empty
    until somebody has said so.
    """

    sign: str = ""
    decimals: int = 2
    thousands: Mark = ""

    @property
    def unit(self) -> int:
        """Return how many minor units one of it has."""
        return int(10**self.decimals)


def read_money(text: str, currency: Currency, field: str = "price") -> int:
    """Return a typed sum of money in minor units.

    Units: minor units of the currency.
    Raises: InputError for what is no sum of money, below 0, too great, of more decimals than the currency has, of
    another one, or where a mark may part thousands or decimals and nobody has said which.
    """
    bare = text.strip().translate(_SPACES)
    bare = _without_sign(bare, currency, text, field)
    if bare.startswith(("-", "−")):
        raise InputError(f"“{text.strip()}” is below 0.", "Type what is paid; a return is left out.", field)
    bare = _with_point(bare, currency, text, field)
    found = _PLAIN.match(bare)
    if found is None:
        raise InputError(f"“{text.strip()}” cannot be read as a price.", "Write it like 1 250 or 12.50.", field)
    whole, part = found.group(1), (found.group(2) or "").rstrip("0")
    if len(part) > currency.decimals:
        raise InputError(
            f"“{text.strip()}” has more decimals than the {currency.decimals} of this currency.",
            "Round it as the bill does.",
            field,
        )
    minor = int(whole) * currency.unit + int(part.ljust(currency.decimals, "0") or 0)
    if minor > MOST_MINOR:
        raise InputError(f"“{text.strip()}” is more than any part costs.", "Check the figure.", field)
    return minor


def _without_sign(bare: str, currency: Currency, text: str, field: str) -> str:
    """Return a sum without the currency's own sign, before or after it; any other is refused."""
    letters = "".join(c for c in bare if not (c.isdigit() or c in ".,-−"))
    if not letters:
        return bare
    if letters.casefold() == currency.sign.casefold():
        return bare.replace(letters, "")
    said = currency.sign or "the site's own currency"
    raise InputError(f"“{text.strip()}” is not in {said}.", f"Give it in {said}, without another sign.", field)


def _with_point(bare: str, currency: Currency, text: str, field: str) -> str:
    """Return a sum with a point for its decimals and nothing between its thousands."""
    if "," in bare and "." in bare:  # the last of them parts the decimals
        grouping = "." if bare.rindex(",") > bare.rindex(".") else ","
        return bare.replace(grouping, "").replace(",", ".")
    mark = next((m for m in ",." if m in bare), "")
    if not mark:
        return bare
    if bare.count(mark) > 1 or (currency.thousands == mark and _GROUPED.match(bare)):
        return bare.replace(mark, "")
    if _GROUPED.match(bare) and not currency.thousands and currency.decimals != 3:
        raise InputError(
            f"“{text.strip()}” may be {bare.replace(mark, '')} or {bare.replace(mark, '.')}.",
            f"Write {bare.replace(mark, '')}, or with other decimals; the rulebook can say once how it is read here.",
            field,
        )
    return bare.replace(",", ".")


def shown(minor: int | Fraction, currency: Currency) -> str:
    """Return a sum of money as it is shown, rounded once, half up.

    Units: minor in minor units of the currency.
    """
    cents = rounded(minor)
    whole, part = divmod(abs(cents), currency.unit)
    minus = "−" if cents < 0 else ""
    decimals = f".{part:0{currency.decimals}d}" if currency.decimals else ""
    return f"{minus}{whole:,}".replace(",", "\u202f") + decimals


def rounded(minor: int | Fraction) -> int:
    """Return whole minor units, rounded half up.

    Units: minor in minor units of the currency.
    """
    return minor if isinstance(minor, int) else (2 * minor.numerator + minor.denominator) // (2 * minor.denominator)


def exactly(value: float) -> Fraction:
    """Return a number as it is written, not as a float holds it: 0.19 is nineteen hundredths.

    Units: any, kept. Source: the shortest decimal that a float is written with
    """
    return Fraction(repr(value))


def rescaled(minor: int, decimals: int, currency: Currency) -> int:
    """Return a sum that was typed with other decimals in the minor units of a currency, rounded half up.

    Units: minor in minor units of a currency with those decimals.
    """
    return rounded(Fraction(minor * currency.unit, 10**decimals))
