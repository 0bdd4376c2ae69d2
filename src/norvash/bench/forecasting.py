"""What forecasting a fleet costs, beside least squares in a loop; run by itself so that its memory can be told."""

import json
import resource
import time
from datetime import date, timedelta
from math import sqrt
from random import Random

import numpy as np
from scipy.special import stdtrit
from scipy.stats import linregress

from norvash.core.forecast.case import Case, PastRound, Usage
from norvash.core.forecast.model import forecast, forecasts

MOTORS, BRUSHES, VISITS = 10_000, 4, 5
_NEW_MM, _LIMIT_MM, _LIFE_H = 16.0, 6.0, 150.0
_TODAY = date(2026, 11, 24)


def fleet() -> list[Case]:
    """Return motors of four brushes with five visits each."""
    random, made = Random(1), []
    for _ in range(MOTORS):
        rate = (_NEW_MM - _LIMIT_MM) / _LIFE_H * random.lognormvariate(0, 0.4)
        rates = [rate * random.lognormvariate(0, 0.15) for _ in range(BRUSHES)]
        visits = tuple(
            PastRound(h, 0.05, tuple(max(_NEW_MM - r * h + random.gauss(0, 0.05), 0.1) for r in rates))
            for h in (20.0 * (j + 1) for j in range(VISITS))
        )
        made.append(
            Case(
                new_mm=_NEW_MM,
                limit_mm=_LIMIT_MM,
                brushes=BRUSHES,
                expected_life=_LIFE_H,
                visits=visits,
                usage=Usage(80, 480, 6.0),
            )
        )
    return made


def _points(case: Case) -> tuple[list[float], list[float]]:
    """Return use and length of the worst brush, its new length included."""
    last = case.visits[-1].lengths_mm
    worst = min(range(BRUSHES), key=lambda b: last[b] or 0.0)
    return [0.0, *(v.use for v in case.visits)], [case.new_mm, *(v.lengths_mm[worst] or 0.0 for v in case.visits)]


def _days(case: Case, low: float, middle: float, high: float) -> tuple[float, float, float, date, date, date]:
    """Return hours and their days at the logged rate."""
    usage, now = case.usage, case.visits[-1].use
    per_week = (usage.use_logged + 20 * (usage.declared_per_week or 0.0)) / (usage.weeks_logged + 20)
    a, b, c = (_TODAY + timedelta(weeks=min(max((h - now) / per_week, -500.0), 5000.0)) for h in (low, middle, high))
    return low, middle, high, a, b, c


def by_linregress(case: Case) -> tuple[float, float, float, date, date, date]:
    """Return the 80 % band by the statistics package's line through the worst brush, with its days."""
    use, length = _points(case)
    fit = linregress(use, length)
    middle = (case.limit_mm - fit.intercept) / fit.slope
    spread = sqrt(fit.intercept_stderr**2 + (middle * fit.stderr) ** 2) / abs(fit.slope)
    half = float(stdtrit(len(use) - 2, 0.9)) * spread
    return _days(case, middle - half, middle, middle + half)


def by_polyfit(case: Case) -> tuple[float, float, float, date, date, date]:
    """Return the same by the array package's polynomial fit, the leanest usual way."""
    use, length = _points(case)
    (slope, at_zero), spread = np.polyfit(use, length, 1, cov=True)
    middle = (case.limit_mm - at_zero) / slope
    var = spread[0, 0] * middle**2 + 2 * spread[0, 1] * middle + spread[1, 1]
    half = float(stdtrit(len(use) - 2, 0.9)) * sqrt(max(var, 0.0)) / abs(slope)
    return _days(case, middle - half, middle, middle + half)


def main() -> None:
    """Print the figures as JSON."""
    cases = fleet()
    forecasts(cases[:300])
    started = time.perf_counter()
    forecasts(cases)
    ours = time.perf_counter() - started
    memory_mb = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss / 1024
    started = time.perf_counter()
    for case in cases:
        by_linregress(case)
    line = time.perf_counter() - started
    started = time.perf_counter()
    for case in cases:
        by_polyfit(case)
    lean = time.perf_counter() - started
    single = []
    for case in cases[:50]:
        started = time.perf_counter()
        forecast(case)
        single.append((time.perf_counter() - started) * 1000)
    print(
        json.dumps(
            {
                "fleet_s": ours,
                "linregress_x": line / ours,
                "polyfit_x": lean / ours,
                "memory_mb": memory_mb,
                "one_ms": sorted(single)[len(single) // 2],
            }
        )
    )


if __name__ == "__main__":
    main()
