"""Writes the forecast's fixed points: a scrambled Sobol sequence with a fixed seed, sorted by its first coordinate."""

from pathlib import Path

import numpy as np
from scipy.stats import qmc

from norvash.core.forecast.points import COLUMNS, POINTS

TARGET = Path(__file__).parent.parent / "src/norvash/core/forecast/points.npy"
SEED = 168

points = qmc.Sobol(len(COLUMNS), scramble=True, seed=SEED).random(POINTS)
points = points[np.argsort(points[:, 0])]
np.save(TARGET, np.clip(points, 1e-6, 1 - 1e-6).astype(np.float32), allow_pickle=False)
