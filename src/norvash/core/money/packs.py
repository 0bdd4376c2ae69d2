"""Packs: the cheapest whole ones for a number of pieces."""

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction

from norvash.errors import InputError

MOST_NEEDED = 10_000


@dataclass(frozen=True, slots=True)
class Pack:
    """A pack as it is sold.

    Units: price in minor units.
    """

    pieces: int
    price: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Bought:
    """How many of each pack are bought, in their order, for how much, and what is left over; `saving` is how much less
    a piece of the best pack costs than one of the dearest, as a share.

    Units: cost in minor units.
    """

    counts: tuple[int, ...]
    pieces: int
    cost: int
    spare: int
    each: tuple[Fraction, ...]
    saving: Fraction


def cheapest(packs: Sequence[Pack], needed: int) -> Bought:
    """Return the whole packs that give at least what is needed at the least cost; of equal cost those with more pieces.

    Raises: InputError for a pack of nothing, a price of nothing, or no need.
    """
    _check(packs, needed)
    costs = _costs(packs, needed + max(p.pieces for p in packs) - 1)
    cost, minus = min((costs[n][0], -n) for n in range(needed, len(costs)) if costs[n][1] is not None)
    counts, left = [0] * len(packs), -minus
    while left:
        kind = costs[left][1]
        if kind is None:
            raise LookupError("a number of pieces that no packs make")
        counts[kind] += 1
        left -= packs[kind].pieces
    each = tuple(Fraction(p.price, p.pieces) for p in packs)
    return Bought(
        counts=tuple(counts),
        pieces=-minus,
        cost=cost,
        spare=-minus - needed,
        each=each,
        saving=1 - min(each) / max(each),
    )


def _check(packs: Sequence[Pack], needed: int) -> None:
    if not packs or any(p.pieces < 1 for p in packs):
        raise InputError("A pack holds at least one piece.", "Give how many are in it.", "packs")
    if any(p.price <= 0 for p in packs):
        raise InputError("A pack costs more than 0.", "Give what it costs.", "packs")
    if not 1 <= needed <= MOST_NEEDED:
        raise InputError(f"{needed} pieces are not bought in packs.", f"Give 1 to {MOST_NEEDED}.", "needed")


def _costs(packs: Sequence[Pack], most: int) -> list[tuple[int, int | None]]:
    """Return by number of pieces what exactly so many cost at least, and one pack of them, None where none make it."""
    made: list[tuple[int, int | None]] = [(0, None)]
    for pieces in range(1, most + 1):
        ways = (
            (made[pieces - p.pieces][0] + p.price, kind)
            for kind, p in enumerate(packs)
            if p.pieces == pieces or (p.pieces < pieces and made[pieces - p.pieces][1] is not None)
        )
        made.append(min(ways, default=(0, None)))
    return made
