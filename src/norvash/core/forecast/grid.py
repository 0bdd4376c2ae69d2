"""The wear rate on a grid, with the length of the set at every node: a filter over the visits."""

from dataclasses import dataclass, fields, replace
from typing import TypeVar

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
_JUMPED_SHARE = KIND(0.68)
_JUMPED_SD = KIND(0.185)
_MOST_JUMP = 0.3
_SPARED_SHARE = KIND(0.5)
_SPARED_SD = KIND(0.3)
_LEAST_ODDS = 0.01  # under one in a hundred a jump moves nothing that is said
_BEDDING = 0.01
_UNSEEN = 0.2
_NOTHING = KIND(1e-30)
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
        moved, moved_level, moved_variance = _moved(weight, level, variance)
        left = _Left(
            weight=weight,
            level=level,
            variance=variance,
            moved=moved,
            moved_level=moved_level,
            moved_variance=moved_variance,
            chance=chance,
            spared=c["spared"][:, None],
        )
        heard = _without_gain(left, step, _heard(left, step))
        both = heard.kept + heard.risen
        total = both.sum(1)
        jumped = heard.risen.sum(1) / total
        kept = _merged(heard.plain, heard.spared, heard.less / np.maximum(heard.kept, _NOTHING))
        level, variance = _merged(kept, heard.shaken, heard.risen / np.maximum(both, _NOTHING))
        weight, before = np.maximum(both / total[:, None], _LEAST_WEIGHT), batch.use[:, j]
    return Believed(g=g, weight=weight, level=level, variance=variance, tail=tail, jumped=jumped, step=width)


@dataclass(frozen=True, slots=True, kw_only=True)
class _Left:
    """What is believed before a reading: weights (N, nodes) with level and variance, the same after a jump, and how
    likely a jump and a spared interval are (N, 1).
    """

    weight: Array
    level: Array
    variance: Array
    moved: Array
    moved_level: Array
    moved_variance: Array
    chance: Array
    spared: Array


@dataclass(frozen=True, slots=True, kw_only=True)
class _Heard:
    """What a reading says to each branch: level, variance, log likelihood; and their weights at every rate: those of
    the spared one, of it and the unchanged one, of the jumped one.
    """

    plain: tuple[Array, Array, Array]
    spared: tuple[Array, Array, Array]
    shaken: tuple[Array, Array, Array]
    less: Array
    kept: Array
    risen: Array


def _heard(left: _Left, step: _Interval) -> _Heard:
    variance = left.variance + step.added_var
    plain = _update(left.level - step.wear - step.settled, variance, step)
    spared = _update(
        left.level - _SPARED_SHARE * step.wear - step.settled, variance + (_SPARED_SD * step.wear) ** 2, step
    )
    shaken = _update(
        left.moved_level - _JUMPED_SHARE * step.wear - step.settled,
        left.moved_variance + step.added_var + (_JUMPED_SD * step.wear) ** 2,
        step,
    )
    top = np.maximum(np.maximum(plain[2], spared[2]), shaken[2]).max(1, keepdims=True)
    less = left.spared * left.weight * _likely(spared[2] - top)
    kept = (1 - left.chance - left.spared) * left.weight * _likely(plain[2] - top) + less
    risen = left.chance * left.moved * _likely(shaken[2] - top)
    return _Heard(plain=plain, spared=spared, shaken=shaken, less=less, kept=kept, risen=risen)


def _without_gain(left: _Left, step: _Interval, heard: _Heard) -> _Heard:
    """Return what was heard, with no more weight on a jump than a reading as expected would give it where the interval
    wore less: a slow interval never speaks for a jump.
    """
    odds = heard.risen.sum(1) / heard.kept.sum(1)
    rows = np.flatnonzero(odds > _LEAST_ODDS)
    if not len(rows):
        return heard
    left, step, odds = _of(left, rows), _of(step, rows), odds[rows]
    expected = (left.weight[:, None, :] * (left.level - step.wear - step.settled)).sum(2, keepdims=True)
    slow = (step.on * (step.read - expected)).sum((1, 2)) > 0
    usual = _heard(left, replace(step, read=expected))
    most = usual.risen.sum(1) / usual.kept.sum(1)
    risen = heard.risen.copy()
    risen[rows] *= np.where(slow, np.minimum(most / odds, 1), 1)[:, None]
    return replace(heard, risen=risen)


R = TypeVar("R", _Left, _Interval)


def _of(values: R, rows: NDArray[np.intp]) -> R:
    """Return the same of some sets only."""
    return replace(values, **{f.name: getattr(values, f.name)[rows] for f in fields(values)})


def _likely(log: Array) -> Array:
    likely: Array = np.exp(np.maximum(log, _LEAST_LOG))
    return likely


def _merged(one: tuple[Array, ...], other: tuple[Array, ...], share: Array) -> tuple[Array, Array]:
    """Return level and variance of two branches at the same rates as one, by moments; `share` is that of the other."""
    by_group = share[:, None, :]
    apart = other[0] - one[0]
    return one[0] + by_group * apart, one[1] + by_group * (other[1] - one[1] + (1 - by_group) * apart * apart)


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
    return _Interval(
        wear=wear,
        settled=settled,
        added_var=added,
        read=found.mean[:, j, :, None],
        read_var=found.mean_var[:, j, :, None],
        on=found.measured[:, j, :, None],
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


def _update(level: Array, variance: Array, step: _Interval) -> tuple[Array, Array, Array]:
    """Return level, variance and log likelihood (summed over groups) after a reading, where there is one."""
    total = variance + step.read_var
    gain = step.on * variance / total
    away = step.read - level
    likelihood = (step.on * (away * away / total + np.log(total))).sum(1) * KIND(-0.5)
    return level + gain * away, variance * (1 - gain), likelihood
