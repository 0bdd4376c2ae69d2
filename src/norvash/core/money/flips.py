"""Where another way wins: the labour rate, the life and the price at which two ways cost the same."""

from dataclasses import dataclass
from fractions import Fraction

from norvash.core.money.ways import Compared, Way


@dataclass(frozen=True, slots=True)
class Flip:
    """Where the proposed way and another one are worth the same: at a labour `rate`, a `life` or a `price` of one.

    Units: a rate in minor units an hour, a price in minor units, a life in the unit of use.
    """

    of: str
    way: Way
    other: Way
    value: Fraction


def _line(way: Way, found: Compared) -> tuple[Fraction, Fraction]:
    """Return what a way is compared by, as a sum without labour and hours of labour, in minor units and hours."""
    fixed, hours = Fraction(way.total - way.labour), way.labour_h or Fraction(0)
    if found.by != "unit":
        weight = found.threshold if way is found.whole else Fraction(1)
        return fixed * weight, hours * weight
    expected = way.expected or Fraction(1)
    weight = 1 / (1 - way.redo) / expected
    return fixed * weight, hours * weight


def rate_flips(found: Compared) -> tuple[Flip, ...]:
    """Return the labour rates at which another way wins, the least first; of ways whose labour counts.

    Units: minor units an hour.
    """
    made = []
    for way, other in _pairs(found):
        (fixed, hours), (other_fixed, other_hours) = _line(way, found), _line(other, found)
        if way.labour_h is None or other.labour_h is None or hours == other_hours:
            continue
        rate = (other_fixed - fixed) / (hours - other_hours)
        if rate > 0:
            made.append(Flip("rate", way, other, rate))
    return tuple(sorted(made, key=lambda f: (f.value, f.other.name)))


def life_flips(found: Compared) -> tuple[Flip, ...]:
    """Return the life of each other way at which it would cost as much a unit as the proposed one.

    Units: the unit of use.
    """
    if found.proposed is None or found.by != "unit" or found.proposed.per_unit is None:
        return ()
    least = found.proposed.per_unit
    return tuple(
        Flip("life", other, found.proposed, other.with_redo / least / other.condition)
        for _, other in _pairs(found)
        if least > 0
    )


def price_flips(found: Compared) -> tuple[Flip, ...]:
    """Return what the parts of each other way, and of the proposed one, may cost, landed, before the answer turns.

    Units: minor units.
    """
    made = []
    for way, other in _pairs(found):
        for one, against in ((other, way), (way, other)):
            landed = _even(one, against, found)
            if landed is not None and landed > 0:
                made.append(Flip("price", one, against, landed))
    return tuple(made)


def _even(way: Way, against: Way, found: Compared) -> Fraction | None:
    """Return what the parts of a way would cost, landed, were it worth as much as another one."""
    own = _weighted(way, found)
    if not own:
        return None
    once = way.with_redo * _weighted(against, found) / own * (1 - way.redo)
    return once - (way.total - way.landed)


def _weighted(way: Way, found: Compared) -> Fraction:
    """Return what a way is compared by, in minor units."""
    if found.by == "unit":
        return way.per_unit or Fraction(0)
    return way.total * (found.threshold if way is found.whole else Fraction(1))


def _pairs(found: Compared) -> list[tuple[Way, Way]]:
    """Return the proposed way with each other one that is not barred; by share only with what it is a share of."""
    way = found.proposed
    if way is None:
        return []
    others = [w for w in found.ways if w is not way and not w.barred]
    if found.by == "share":
        others = [w for w in others if found.whole in (way, w)]
    return [(way, other) for other in others]
