"""The wear rate on a grid, with the length of the set at every node: a filter over the visits."""

from dataclasses import dataclass, fields

import numpy as np
from numpy.typing import NDArray
from scipy.special import ndtr

from norvash.core.forecast.batch import KIND, Array, Batch
from norvash.core.forecast.deviations import Deviations

NODES = 48
STEP = 0.09
_WIDE_STEP = 0.12  # before the first visit the far ends of the prior are looked at too
_PLACES = (np.arange(NODES) - (NODES - 1) / 2).astype(KIND)
_FACTORS = np.linspace(2.0, 4.0, 9)
_MOST_JUMP = 0.3
# An interval went on at the rate, was spared, or jumped: the share of the rate's wear that it brought, with its sd.
_WENT_ON, _SPARED, _JUMPED = 0, 1, 2
_SHARES = np.array([1.0, 0.5, 0.68], KIND)[:, None, None, None]
_SHARE_SDS = np.array([0.0, 0.3, 0.185], KIND)[:, None, None, None]
_LEAST_ODDS = 0.01  # under one in a hundred a jump moves nothing that is said
_BEDDING = 0.01
_UNSEEN = 0.2
_NOTHING = KIND(1e-30)
_UNREAD_VAR = KIND(1e30)  # what was not read says nothing, the same to every branch
_LEAST_WEIGHT = KIND(1e-9)  # far below what any answer shows, far above the numbers that a processor is slow with
_LEAST_LOG = KIND(-40)


def _moves() -> Array:
    """Return the matrix that moves weights up the grid by a factor uniform between ×2 and ×4; shape (from, to)."""
    moves = np.zeros((NODES, NODES), KIND)
    for shift in np.log(_FACTORS) / STEP:
        whole = int(shift)
        for i in range(NODES):
            moves[i, min(i + whole, NODES - 1)] += (1 - (shift - whole)) / len(_FACTORS)
            moves[i, min(i + whole + 1, NODES - 1)] += (shift - whole) / len(_FACTORS)
    return moves


_MOVES = _moves()


@dataclass(frozen=True, slots=True, kw_only=True)
class Believed:
    """After the last visit: log rates g and weights (N, nodes), level and its variance (N, K, nodes), tail,
    jump (N).
    """

    g: Array
    weight: Array
    level: Array
    variance: Array
    tail: Array
    jumped: Array
    step: float


@dataclass(frozen=True, slots=True, kw_only=True)
class _Interval:
    """What happens between two visits: wear (N, K, nodes), settling in bedding (N, K, 1), their variance, the
    reading.
    """

    wear: Array
    settled: Array
    added_var: Array
    read: Array
    read_var: Array
    on: Array


def bedding_left(batch: Batch, use: Array) -> Array:
    """Return the share of bedding-in still to come for every group at a use; shape (N, K)."""
    tau = _BEDDING * batch.usable / np.exp(batch.loc)
    return np.exp(-np.maximum(use[:, None] - batch.fitted, 0) / tau[:, None])


def _start(batch: Batch, found: Deviations, step: float) -> tuple[Array, Array]:
    """Return the grid, centred where readings or prior suggest, and its prior weights.

    Wear that is not visible yet says at least how slow a set is: the grid lies no higher than what could have hidden.
    """
    centre = batch.loc + KIND(_UNSEEN)
    if batch.use.shape[1]:
        worn, ran = found.worn[:, 0], batch.last_use - batch.fitted[:, 0]
        hidden, has_run = batch.constants["visible"] * np.sqrt(found.mean_var[:, -1, 0]), ran > 0
        visible = (worn > hidden) & has_run
        seen = np.log(np.where(has_run, np.where(visible, worn, np.maximum(worn, 0) + hidden), 1)) - np.log(
            np.where(has_run, ran, 1)
        )
        centre = np.where(visible, seen, np.where(has_run, np.minimum(centre, seen), centre))
    g = centre[:, None] + _PLACES * KIND(step)
    z = (g - batch.loc[:, None]) / batch.scale[:, None]
    weight = (1 + z * z / batch.df[:, None]) ** (-(batch.df[:, None] + 1) / 2)
    return g, weight / weight.sum(1, keepdims=True)


def believe(batch: Batch, found: Deviations) -> Believed:
    """Run the filter over all visits.

    An interval went on at the rate, wore less without the rate being lower (idle hours, a light load), or raised it.

    Source: grid over the rate with a Kalman level per node; three branches merged by moments
    """
    width = STEP if batch.use.shape[1] else _WIDE_STEP
    g, weight = _start(batch, found, width)
    rate, c = np.exp(g), batch.constants
    n, k = batch.fitted.shape
    level = np.broadcast_to(batch.new[:, None, None], (n, k, NODES))
    variance: Array = (c["new_sd_mm"] ** 2)[:, None, None] + _of_fitting(batch, rate)
    tail, jumped, before = np.full(n, 0.5, KIND), np.zeros(n, KIND), np.zeros(n, KIND)
    for j in range(batch.use.shape[1]):
        step = _interval(batch, found, rate, before, j)
        mean_wear = (batch.use[:, j] - before) * (weight * rate).sum(1)
        chance = np.minimum(c["jumps_a_life"] * mean_wear / batch.usable, _MOST_JUMP)[:, None]
        if not found.measured[:, j + 1 :, 0].any(1).all():
            tail = np.where(step.on[:, 0, 0] > 0, _tail(weight, level, variance, step), tail)
        branches = _branches((weight, level, variance), step, chance=chance, spared=c["spared"][:, None])
        weights = _without_gain(branches, step, _heard(branches, step.read))
        both = weights.sum(0)
        total = both.sum(1)
        jumped = weights[_JUMPED].sum(1) / total
        level, variance = _merged(branches, step, weights / np.maximum(both, _NOTHING))
        weight, before = np.maximum(both / total[:, None], _LEAST_WEIGHT), batch.use[:, j]
    return Believed(g=g, weight=weight, level=level, variance=variance, tail=tail, jumped=jumped, step=width)


@dataclass(frozen=True, slots=True, kw_only=True)
class _Branches:
    """What an interval may have been before its reading is heard; first on the axis that went on, spared, jumped:
    weights (3, N, nodes), level, its variance and that of a reading of it (3, N, K, nodes).
    """

    weight: Array
    level: Array
    variance: Array
    total: Array

    def of(self, rows: NDArray[np.intp]) -> "_Branches":
        """Return the same of some sets only."""
        return _Branches(**{f.name: getattr(self, f.name)[:, rows] for f in fields(self)})


def _branches(believed: tuple[Array, Array, Array], step: _Interval, *, chance: Array, spared: Array) -> _Branches:
    weight, level, variance = believed
    moved, moved_level, moved_variance = _moved(weight, level, variance)
    varied = np.array([variance, variance, moved_variance]) + ((_SHARE_SDS * step.wear) ** 2 + step.added_var)
    return _Branches(
        weight=np.array([(1 - chance - spared) * weight, spared * weight, chance * moved]),
        level=np.array([level, level, moved_level]) - (_SHARES * step.wear + step.settled),
        variance=varied,
        total=varied + step.read_var,
    )


def _heard(branches: _Branches, read: Array) -> Array:
    """Return the weights of the branches after a reading, up to a factor for each set; shape (3, N, nodes)."""
    away = read - branches.level
    log = (away * away / branches.total + np.log(branches.total)).sum(2) * KIND(-0.5)
    weights: Array = branches.weight * np.exp(np.maximum(log - log.max((0, 2))[:, None], _LEAST_LOG))
    return weights


def _without_gain(branches: _Branches, step: _Interval, weights: Array) -> Array:
    """Return the weights with no more on a jump than a reading as expected would give it where the interval wore less:
    a slow interval never speaks for a jump.
    """
    odds = _odds(weights)
    rows = np.flatnonzero(odds > _LEAST_ODDS)
    if not len(rows):
        return weights
    before = branches.weight[_WENT_ON, rows]
    before = (before / before.sum(1, keepdims=True))[:, None, :]
    expected = (before * branches.level[_WENT_ON, rows]).sum(2, keepdims=True)
    slow = (step.on[rows] * (step.read[rows] - expected)).sum((1, 2)) > 0
    rows, expected = rows[slow], expected[slow]
    if not len(rows):
        return weights
    most = _odds(_heard(branches.of(rows), expected))
    weights[_JUMPED, rows] *= np.minimum(most / odds[rows], 1)[:, None]
    return weights


def _odds(weights: Array) -> Array:
    """Return how likely a jump is over no jump; shape (N)."""
    by_branch = weights.sum(2)
    odds: Array = by_branch[_JUMPED] / (by_branch[_WENT_ON] + by_branch[_SPARED])
    return odds


def _merged(branches: _Branches, step: _Interval, share: Array) -> tuple[Array, Array]:
    """Return level and variance (N, K, nodes) after a reading, the branches at the same rates as one, by moments."""
    gain = branches.variance / branches.total
    level = branches.level + gain * (step.read - branches.level)
    variance = branches.variance * (1 - gain)
    by_group = share[:, :, None, :]
    merged = (by_group * level).sum(0)
    return merged, (by_group * (variance + (level - merged) ** 2)).sum(0)


def _of_fitting(batch: Batch, rate: Array) -> Array:
    """Return the variance [mm²] of a set that was fitted some time within a span, at each rate; shape (N, K, nodes).

    A brush that came in later has a day of its own.
    """
    first = (batch.fitted <= 0).astype(KIND)[:, :, None]
    span: Array = first * (rate * batch.fitted_sd[:, None])[:, None, :] ** 2
    return span


def _interval(batch: Batch, found: Deviations, rate: Array, before: Array, j: int) -> _Interval:
    now, c, usable = batch.use[:, j], batch.constants, batch.usable
    ran = np.maximum(now[:, None] - np.maximum(before[:, None], batch.fitted), 0)
    bed = (bedding_left(batch, before) - bedding_left(batch, now))[:, :, None]
    wear = ran[:, :, None] * rate[:, None, :]
    by_class = (c["bedding_sd"] * usable)[:, None, None]
    added = (c["drift"] ** 2 * usable)[:, None, None] * wear + (by_class * bed) ** 2
    settled = (c["bedding"] * usable)[:, None, None] * bed
    on = found.measured[:, j, :, None]
    return _Interval(
        wear=wear,
        settled=settled,
        added_var=added,
        read=found.mean[:, j, :, None],
        read_var=np.where(on > 0, found.mean_var[:, j, :, None], _UNREAD_VAR),
        on=on,
    )


def _tail(weight: Array, level: Array, variance: Array, step: _Interval) -> Array:
    """Return the chance of at least the wear that was read, had nothing changed; of the oldest group."""
    expected = level[:, 0] - step.wear[:, 0] - step.settled[:, 0]
    sd = np.sqrt(variance[:, 0] + step.added_var[:, 0] + step.read_var[:, 0])
    chance: Array = (weight * ndtr((step.read[:, 0] - expected) / sd)).sum(1)
    return chance


def _moved(weight: Array, level: Array, variance: Array) -> tuple[Array, Array, Array]:
    """Return weights, levels and variances after a jump of the rate, by moments about the mean level."""
    shape = level.shape
    heavy = weight[:, None, :]
    about = (heavy * level).sum(2, keepdims=True)
    away = level - about
    first = heavy * away
    moved = weight @ _MOVES
    per_node = np.maximum(moved, _NOTHING)[:, None, :]
    mean = (first.reshape(-1, NODES) @ _MOVES).reshape(shape) / per_node
    square = ((heavy * variance + first * away).reshape(-1, NODES) @ _MOVES).reshape(shape) / per_node
    return moved, mean + about, np.maximum(square - mean * mean, variance)
