"""The currency of the site, as its rulebook has it."""

from types import MappingProxyType

from norvash.core.money.money import Currency, Mark
from norvash.core.rules.book import MotorRules

_DECIMALS = MappingProxyType({"none": 0, "two": 2, "three": 3})
_MARKS: MappingProxyType[str, Mark] = MappingProxyType({"comma": ",", "point": "."})


def currency_of(rules: MotorRules) -> Currency:
    """Return the currency of the site: its decimals, and which mark parts thousands where that was said.

    Source: schools money-decimals, money-mark
    """
    decimals, mark = rules.choice("school.money-decimals").key, rules.choice("school.money-mark").key
    return Currency(decimals=_DECIMALS[decimals], thousands=_MARKS.get(mark, ""))
