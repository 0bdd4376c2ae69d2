"""How tight: a torque as somebody writes it, its band in three units, its three rounds, an estimate by the thread."""

import re
from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.rules.closing import TORQUE
from norvash.core.text.quantities import UNITS, parse
from norvash.errors import InputError

_APART = re.compile(r"(?<=[0-9A-Za-z·])\s*(?:–|—|\bto\b|(?<=[0-9])-(?=\s*[0-9]))\s*(?=[0-9.,])")
_UNIT = re.compile(r"[A-Za-z][A-Za-z·.*\s-]*$")
_MOST_NM = 1000.0
INTO = ("steel", "aluminium", "plastic")


@dataclass(frozen=True, slots=True)
class Band:
    """A torque from low to high [N·m]; of a single figure both are the same."""

    low_nm: float
    high_nm: float

    @property
    def half_nm(self) -> float:
        """Return the second of three rounds: half of the middle [N·m]."""
        return (self.low_nm + self.high_nm) / 4

    def in_unit(self, unit: str) -> tuple[float, float]:
        """Return it in another unit of torque."""
        size = UNITS["torque"][unit]
        return self.low_nm / size, self.high_nm / size

    @property
    def words(self) -> str:
        """Return it in the three units that torque wrenches carry."""
        return ", ".join(_band(*self.in_unit(unit), unit) for unit in ("N·m", "in·lb", "ft·lb"))


def _band(low: float, high: float, unit: str) -> str:
    return f"{low:.3g} {unit}" if f"{low:.3g}" == f"{high:.3g}" else f"{low:.3g} to {high:.3g} {unit}"


def read_band(text: str, unit: str = "") -> Band:
    """Return a torque as it was typed: one figure or a band, in one unit of torque or in each its own.

    Raises: InputError at “value” for a torque of 0, a band that runs down, or another unit.

    >>> read_band("26–31 in·lb").words
    '2.94 to 3.5 N·m, 26 to 31 in·lb, 2.17 to 2.58 ft·lb'
    """
    parts = [p.strip() for p in _APART.split(text.strip()) if p.strip()]
    if not 1 <= len(parts) <= 2:
        raise InputError(f"“{text[:40]}” is not a torque.", "Write it like 5 N·m or 26–31 in·lb.", "value")
    last = _UNIT.search(parts[-1])
    unit = unit or (last[0].strip() if last else "")
    values = [_torque(p if _UNIT.search(p) or not unit else f"{p} {unit}") for p in parts]
    low, high = values[0], values[-1]
    if low > high:
        raise InputError(f"The band runs from {parts[0]} down to {parts[1]}.", "Write the lower figure first.", "value")
    return Band(low, high)


def _torque(text: str) -> float:
    try:
        value = parse(text, "torque").value
    except InputError as error:
        raise error.at("value") from None
    if not 0 < value <= _MOST_NM:
        raise InputError(f"{value:g} N·m is not possible.", f"Give a torque over 0, up to {_MOST_NM:g} N·m.", "value")
    return value


def estimated(thread: str, into: str, rules: MotorRules) -> Band | None:
    """Return what a thread like M6 bears where no maker says it [N·m], None for one that the table does not hold, or
    into plastic: finger tight and an eighth of a turn.

    Source: rules torque.*
    """
    if into == "plastic" or thread not in TORQUE.members:
        return None
    most = rules[TORQUE.of(thread)] * (rules["torque.soft"] if into == "aluminium" else 1.0)
    return Band(0.85 * most, most)


def cross_order(count: int) -> tuple[int, ...]:
    """Return the order in which so many screws round a cover are tightened, from 1: each as far from those before it as
    can be.

    >>> cross_order(4), cross_order(6)
    ((1, 3, 2, 4), (1, 4, 2, 5, 3, 6))
    """
    half = count // 2
    if count % 2:
        return tuple(i * max(half, 1) % count + 1 for i in range(count))
    return tuple(n for first in cross_order(half) for n in (first, first + half)) if half else ()
