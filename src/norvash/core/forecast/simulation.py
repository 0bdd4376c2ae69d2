"""A seeded simulator: what a set really does, what an instrument reads of it, and how a machine is used.

It is richer than the forecast's model on purpose: rates drift, brushes of one polarity keep together, rates jump,
readings of one round share an error, weeks are idle and houses go dark.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import count
from math import exp, sqrt
from random import Random

_STEPS = 120
_MOST_LIVES = 6.0
_RETURN = 12.0  # how often in a life a rate that strays comes back


@dataclass(frozen=True, slots=True, kw_only=True)
class Nature:
    """How sets of one family behave; log spreads and shares without a unit, lengths in mm.

    trend: how much the rate of a set rises or falls over its life; wander: how much it strays on the way;
    jumps: sudden rises by two to four times in a life.
    """

    brush_sd: float = 0.12
    polarity_sd: float = 0.06
    trend: float = 0.20
    wander: float = 0.18
    jumps: float = 0.12
    bedding: float = 0.018
    bedding_sd: float = 0.5
    new_sd_mm: float = 0.08
    batch_sd_mm: float = 0.05


QUIET = Nature(brush_sd=0.06, polarity_sd=0.02, trend=0.08, wander=0.04, jumps=0.0)
LIVELY = Nature()


@dataclass(frozen=True, slots=True)
class Worn:
    """A simulated set: the true length of every brush [mm] at each step of use, the first when new."""

    step_units: float
    lengths_mm: tuple[tuple[float, ...], ...]

    def length_mm(self, index: int, used_units: float) -> float:
        """Return a brush's true length after some use."""
        place = min(used_units / self.step_units, len(self.lengths_mm) - 1.000001)
        at = int(place)
        before, after = self.lengths_mm[at][index], self.lengths_mm[at + 1][index]
        return before + (place - at) * (after - before)

    def crossing(self, limit_mm: float) -> tuple[float, int] | None:
        """Return the use at which the first brush reaches a limit, and which brush; None if none does."""
        for at, row in enumerate(self.lengths_mm):
            below = [i for i, length in enumerate(row) if length <= limit_mm]
            if below and at:
                last = self.lengths_mm[at - 1]
                shares = [((last[i] - limit_mm) / (last[i] - row[i]), i) for i in below]
                share, first = min(shares)
                return (at - 1 + share) * self.step_units, first
        return None


def simulate_set(
    random: Random, brushes: int, new_mm: float, *, usable_mm: float, life_units: float, nature: Nature = QUIET
) -> Worn:
    """Return a set whose mean brush would last life_units at a steady rate.

    Units: new_mm, usable_mm [mm], life_units in the motor's unit of use.
    """
    step = life_units / _STEPS
    batch = random.gauss(0.0, nature.batch_sd_mm)
    row = [new_mm + batch + random.gauss(0.0, nature.new_sd_mm) for _ in range(brushes)]
    side = random.gauss(0.0, nature.polarity_sd)
    factors = [exp(random.gauss(0.0, nature.brush_sd) + (side if i % 2 else -side)) for i in range(brushes)]
    mean = sum(factors) / brushes
    bedding = nature.bedding * usable_mm * exp(random.gauss(-(nature.bedding_sd**2) / 2, nature.bedding_sd))
    rise = random.gauss(0.0, nature.trend)
    stray, jumped, path = 0.0, 1.0, [tuple(row)]
    for at in range(int(_STEPS * _MOST_LIVES)):
        share = (at + 0.5) / _STEPS
        stray += random.gauss(0.0, nature.wander * sqrt(2 * _RETURN / _STEPS)) - stray * _RETURN / _STEPS
        if random.random() < nature.jumps / _STEPS:
            jumped = min(jumped * random.uniform(2.0, 4.0), 8.0)
        wear = usable_mm / _STEPS * exp(stray + rise * (min(share, 1.5) - 0.5)) * jumped
        settling = bedding * (exp(-at / _STEPS * 100) - exp(-(at + 1) / _STEPS * 100))
        row = [x - wear * f / mean - settling for x, f in zip(row, factors, strict=True)]
        path.append(tuple(row))
        if max(row) < new_mm - 1.6 * usable_mm:
            break
    return Worn(step, tuple(path))


def read_with(random: Random, true_mm: float, sd_mm: float, step_mm: float, shared_mm: float = 0.0) -> float:
    """Return what an instrument shows of a true length, to its own step [mm].

    Shared_mm is this round's common error.
    """
    return round(random.gauss(true_mm + shared_mm, sd_mm) / step_mm) * step_mm


@dataclass(frozen=True, slots=True)
class Habit:
    """How a machine is used: use in a usual active week, and the 52-week pattern of the year it follows, if any."""

    per_week: float
    idle: float = 0.08
    spread: float = 0.6
    pattern: tuple[float, ...] | None = None


def simulate_weeks(random: Random, habit: Habit) -> Iterator[float]:
    """Yield the use of week after week, in the motor's unit; idle weeks and those without activity are 0."""
    level = 0.0
    for week in count():
        level += random.gauss(0.0, 0.03) - 0.02 * level
        active = 1.0 if habit.pattern is None else habit.pattern[week % 52]
        idle = random.random() < habit.idle
        share = exp(random.gauss(-(habit.spread**2) / 2, habit.spread) + level)
        yield 0.0 if idle else habit.per_week / (1 - habit.idle) * active * share
