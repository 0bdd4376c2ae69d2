"""Brushes of a set that changed places: what was read of them before follows them to where they are now."""

from collections.abc import Mapping
from dataclasses import replace
from math import hypot
from types import MappingProxyType

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Measured, Round

_SWAPPED = "swapped "
_MOST_OFFERED = 3


def swapped_answer(position: int) -> str:
    """Return the answer to a doubt that says: this brush was at another position before.

    >>> swapped_answer(3)
    'swapped 3'
    """
    return f"{_SWAPPED}{position}"


def swapped_with(answer: str) -> int:
    """Return the position at which a brush was before by an answer, 0 where the answer is another one.

    >>> swapped_with("swapped 3"), swapped_with("right"), swapped_with("swapped x")
    (3, 0, 0)
    """
    number = answer.removeprefix(_SWAPPED)
    return int(number) if number != answer and number.isdecimal() else 0


def in_places(brush_set: BrushSet) -> BrushSet:
    """Return a set with all that was read and seen of each brush at the position where it is now.

    Two brushes change places at the round in which that is said; what is older is read the other way round.
    """
    if not any(m.swapped for r in brush_set.rounds for m in r.readings.values()):
        return brush_set
    now: dict[int, int] = {}
    rounds, renewed = list[Round](), {x: x.position for x in brush_set.renewed}
    for a_round in reversed(brush_set.rounds):
        rounds.append(_moved(a_round, now))
        for here, there in _pairs(a_round):
            now[here], now[there] = now.get(there, there), now.get(here, here)
            renewed |= {x: now.get(x.position, x.position) for x in renewed if x.total_units < a_round.total_units}
    nominal = frozenset(now.get(n, n) for n in brush_set.nominal)
    moved = tuple(replace(x, position=n) for x, n in renewed.items())
    return replace(brush_set, rounds=tuple(reversed(rounds)), renewed=moved, nominal=nominal)


def _pairs(a_round: Round) -> list[tuple[int, int]]:
    """Return which positions changed places at a round, each pair once."""
    said = {tuple(sorted((n, m.swapped))) for n, m in a_round.readings.items() if m.swapped}
    return sorted((low, high) for low, high in said)


def _moved(a_round: Round, now: Mapping[int, int]) -> Round:
    if not now:
        return a_round

    def at(readings: Mapping[int, Measured]) -> dict[int, Measured]:
        return dict(sorted((now.get(n, n), m) for n, m in readings.items()))

    return replace(
        a_round,
        readings=at(a_round.readings),
        found=MappingProxyType(at(a_round.found)),
        left=frozenset(now.get(n, n) for n in a_round.left),
        seen=tuple((now.get(n, n), f) for n, f in a_round.seen),
        seen_left=frozenset((now.get(n, n), f) for n, f in a_round.seen_left),
        seen_both=frozenset((now.get(n, n), f) for n, f in a_round.seen_both),
    )


def could_be_of(brush_set: BrushSet, position: int, reading: Measured, rules: MotorRules) -> tuple[int, ...]:
    """Return the positions whose brush a reading could be of: those that were not shorter the last time, beyond the
    joint error, nearest first.

    Source: rules doubt.noise
    """
    last: dict[int, Measured] = {}
    for a_round in brush_set.rounds:
        last |= {n: m for n, m in a_round.readings.items() if m.id != reading.id and not _beside(a_round, reading)}
    fits = {n: m.length_mm - reading.length_mm for n, m in last.items() if n != position and _fits(reading, m, rules)}
    return tuple(sorted(fits, key=lambda n: abs(fits[n]))[:_MOST_OFFERED])


def _beside(a_round: Round, reading: Measured) -> bool:
    """Tell whether a reading is of this round, as found or as left."""
    return any(m.id == reading.id for m in (*a_round.readings.values(), *a_round.found.values()))


def _fits(reading: Measured, before: Measured, rules: MotorRules) -> bool:
    """Tell whether a brush can have worn from one length to another."""
    return not over(reading.length_mm, before.length_mm + rules["doubt.noise"] * hypot(reading.sd_mm, before.sd_mm))
