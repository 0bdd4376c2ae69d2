"""The first crossing: when the first brush of a set reaches its limit, drawn at fixed nodes."""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from norvash.core.forecast.batch import KIND, Array, Batch
from norvash.core.forecast.deviations import Deviations
from norvash.core.forecast.grid import NODES, Believed, bedding_left
from norvash.core.forecast.points import MOST_BRUSHES, MOST_GROUPS, POINTS, normal, uniform

_LEAST_ROOM = KIND(0.001)
_LEAST_SHARE = 0.3
_LEAST_FACTOR, _MOST_FACTOR = KIND(2.0), KIND(4.0)


@dataclass(frozen=True, slots=True)
class Crossing:
    """Use from the last visit to the first crossing at every point (N, points), and the position with least
    room (N).
    """

    ahead: Array
    worst_position: NDArray[np.intp]


def first_crossing(batch: Batch, found: Deviations, believed: Believed) -> Crossing:
    """Return the use until the first brush is at its limit, at every point; a jump of the rate may still come."""
    rate, level = _drawn(believed)
    usable, c = batch.usable, batch.constants
    to_bed = (c["bedding"] * usable)[:, None] * bedding_left(batch, batch.last_use)
    room, worst = _least_room(batch, found, believed, level - (batch.limit[:, None] + to_bed)[:, :, None])
    room = np.maximum(room, (_LEAST_ROOM * usable)[:, None])
    spread = np.log1p((c["drift"] ** 2 * usable)[:, None] / room)
    ahead = room / rate * np.exp(np.sqrt(spread) * normal("drift") - spread / 2)
    at, factor = uniform("jump-at"), _LEAST_FACTOR + (_MOST_FACTOR - _LEAST_FACTOR) * uniform("jump-factor")
    jumps = uniform("jump") < (c["jumps_a_life"] / usable)[:, None] * room
    return Crossing(np.where(jumps, ahead * (at + (1 - at) / factor), ahead), worst)


def _drawn(believed: Believed) -> tuple[Array, Array]:
    """Return rates (N, points) by the inverse of the grid's distribution and levels (N, K, points) at them.

    The points are in order of their first coordinate, so that every node of the grid stands for a run of them.
    """
    n, k, _ = believed.level.shape
    upto = np.cumsum(believed.weight, axis=1)
    upto /= upto[:, -1:]
    u = uniform("rate")
    reached = u.searchsorted(upto, side="right")
    reached[:, -1] = POINTS
    runs = reached.copy()
    runs[:, 1:] -= reached[:, :-1]

    def spread(values: Array, runs: NDArray[np.intp]) -> Array:
        return np.repeat(values.ravel(), runs.ravel()).reshape(*values.shape[:-1], POINTS)

    edge = spread(believed.g + KIND(believed.step / 2), runs)
    per_share = KIND(believed.step) / np.maximum(believed.weight, KIND(1e-30))
    rate = np.exp(np.clip(edge - (spread(upto, runs) - u) * spread(per_share, runs), edge - KIND(believed.step), None))
    runs_k = np.broadcast_to(runs[:, None, :], (n, k, NODES))
    z = np.array([normal(f"level-{min(i, MOST_GROUPS - 1)}") for i in range(k)])
    return rate, spread(believed.level, runs_k) + spread(np.sqrt(believed.variance), runs_k) * z


def _least_room(batch: Batch, found: Deviations, believed: Believed, room: Array) -> tuple[Array, NDArray[np.intp]]:
    """Return the room of the brush with least of it at every point [mm of mean wear], and which brush that is.

    What a brush had lost before its clock started is not there to be worn: its own rate counts for the rest only. Of
    more than 16 brushes the 16 with least room expected are looked at.
    """
    worn = (batch.member @ found.worn[:, :, None])[:, :, 0]
    middle = (believed.level * believed.weight[:, None, :]).sum(2) - batch.limit[:, None]
    slope = np.maximum(1 + found.u, _LEAST_SHARE)
    offset = found.a - worn * found.u - batch.shift
    expected = ((batch.member @ middle[:, :, None])[:, :, 0] + offset) / slope
    cov = found.cov - worn * found.var_u
    drift = (batch.constants["brush_drift"] ** 2 * batch.usable)[:, None]
    fixed = np.maximum(found.var_a - 2 * worn * found.cov + worn * worn * found.var_u, 0) / slope**2
    linear, square = (drift - 2 * cov / slope) / slope**2, found.var_u / slope**4
    order = np.argsort(expected, axis=1, kind="stable")
    group, rows = batch.member.argmax(2), np.arange(len(order))
    least = np.full((len(order), room.shape[2]), np.inf, room.dtype)
    left, alike = least, room.shape[1] == 1 and not batch.shift.any()
    for place in range(min(order.shape[1], MOST_BRUSHES)):
        b = order[:, place]
        own = room[:, 0] if room.shape[1] == 1 else room[rows, group[rows, b]]
        left = left if alike and place else np.maximum(own - batch.shift[rows, b, None], 0)
        mine = left * square[rows, b, None]
        mine += linear[rows, b, None]
        mine *= left
        mine += fixed[rows, b, None]
        np.sqrt(np.maximum(mine, 0, out=mine), out=mine)
        mine *= normal(f"brush-{place}")
        mine += own * (1 / slope)[rows, b, None]
        mine += (offset / slope)[rows, b, None]
        np.minimum(least, mine, out=least)
    return least, order[:, 0]
