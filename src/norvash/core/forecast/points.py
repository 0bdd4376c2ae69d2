"""Fixed quasi-random points: the same data give the same forecast."""

from functools import cache
from importlib.resources import files

import numpy as np
from scipy.special import ndtri

from norvash.core.forecast.batch import KIND, Array

POINTS = 512
MOST_BRUSHES = 16
MOST_GROUPS = 3
COLUMNS = (
    "rate",
    "drift",
    "weeks",
    "jump",
    "jump-at",
    "jump-factor",
    *(f"level-{k}" for k in range(MOST_GROUPS)),
    *(f"brush-{b}" for b in range(MOST_BRUSHES)),
)


@cache
def _table() -> Array:
    with (files("norvash.core.forecast") / "points.npy").open("rb") as file:
        table: Array = np.load(file, allow_pickle=False)
    return table


@cache
def uniform(column: str) -> Array:
    """Return one coordinate of the points, in (0, 1)."""
    return np.ascontiguousarray(_table()[:, COLUMNS.index(column)])


@cache
def normal(column: str) -> Array:
    """Return one coordinate of the points as standard normal values."""
    values: Array = ndtri(uniform(column).astype(float)).astype(KIND)
    return values
