"""Run-out of a commutator: the fitted circle, ovality, high and low bars, and whether the setting up is to blame."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, pi, sin
from statistics import median

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_MAD_TO_SD = 1.4826


@dataclass(frozen=True, slots=True)
class Fit:
    """The readings as c + first and second harmonic; remainders at the angles measured, None where nothing was."""

    mean_mm: float
    eccentricity_mm: float
    high_point_deg: float
    ovality_mm: float
    oval_point_deg: float
    remainders_mm: tuple[float | None, ...]
    uncentred_mm: float


@dataclass(frozen=True, slots=True)
class RunOut:
    """A circle of readings, judged. `uncentred_mm` of the fit is the run-out that centring alone would leave.

    `far` tells that it is so far over the limit that a machine which carries people or loads is stopped.
    """

    readings_mm: tuple[float | None, ...]
    fit: Fit
    tir_mm: float
    step_mm: float | None
    step_at: int
    odd: tuple[tuple[int, float], ...]
    speed_m_per_s: float | None
    tir_limit_mm: float
    step_limit_mm: float
    cause: str
    words: str
    far: bool

    @property
    def over(self) -> bool:
        """Tell whether the total run-out or the step is over its limit."""
        return self.tir_mm > self.tir_limit_mm + 1e-9 or (self.step_mm or 0.0) > self.step_limit_mm + 1e-9

    @property
    def largest(self) -> tuple[int, float]:
        """Return the reading, from 1, that is farthest from the fit, and by how much [mm]."""
        far = [(i, r) for i, r in enumerate(self.fit.remainders_mm, start=1) if r is not None]
        return max(far, key=lambda p: abs(p[1]))


def surface_speed_m_per_s(diameter_mm: float, speed_rpm: float) -> float:
    """Return the speed of the surface.

    Units: diameter_mm [mm], speed_rpm [r/min] -> [m/s]

    >>> round(surface_speed_m_per_s(132.0, 1480.0), 3)
    10.229
    """
    return pi * diameter_mm / 1000 * speed_rpm / 60


def limits_mm(speed_m_per_s: float | None, rules: MotorRules) -> tuple[float, float, str]:
    """Return the total run-out and the step allowed at a surface speed [mm], with the band they come from.

    Source: rules runout.*
    """
    if speed_m_per_s is None or speed_m_per_s < rules["runout.middle"]:
        return rules["runout.tir-slow"], rules["runout.step-slow"], "slow"
    if speed_m_per_s <= rules["runout.fast"]:
        return rules["runout.tir-middle"], rules["runout.step-middle"], "middle"
    return rules["runout.tir-fast"], rules["runout.step-fast"], "fast"


def fit_circle(readings_mm: Sequence[float | None]) -> Fit:
    """Return the least-squares fit of two harmonics to readings at equal angles; the first lies at 0°.

    Units: [mm]. Shape: at least six readings that are not None.
    """
    import numpy as np

    count = len(readings_mm)
    at = [(2 * pi * i / count, x) for i, x in enumerate(readings_mm) if x is not None]
    rows = np.array([[1.0, cos(t), sin(t), cos(2 * t), sin(2 * t)] for t, _ in at])
    mean, a1, b1, a2, b2 = (float(v) for v in np.linalg.lstsq(rows, np.array([x for _, x in at]), rcond=None)[0])

    def first(i: int) -> float:
        t = 2 * pi * i / count
        return mean + a1 * cos(t) + b1 * sin(t)

    def both(i: int) -> float:
        t = 2 * pi * i / count
        return first(i) + a2 * cos(2 * t) + b2 * sin(2 * t)

    left = tuple(None if x is None else x - both(i) for i, x in enumerate(readings_mm))
    centred = [x - first(i) for i, x in enumerate(readings_mm) if x is not None]
    return Fit(mean, hypot(a1, b1), degrees(atan2(b1, a1)) % 360, hypot(a2, b2), degrees(atan2(b2, a2)) / 2 % 180,
               left, max(centred) - min(centred))  # fmt: skip


def judge_run_out(
    readings_mm: Sequence[float | None], per_bar: bool, diameter_mm: float | None, speed_rpm: float | None, rules: MotorRules
) -> RunOut:  # fmt: skip
    """Return a circle of readings with its limits and the likeliest reason.

    Units: readings_mm [mm] at equal angles, None where one is missing; diameter_mm [mm], speed_rpm [r/min].
    `per_bar` says that there is one reading for each bar. Raises: InputError for too few readings, or too many missing.
    """
    given = tuple(readings_mm)
    known = [x for x in given if x is not None]
    least = int(rules["runout.least"])
    if len(known) < least or len(known) < 0.75 * len(given):
        raise InputError(f"{len(known)} of {len(given)} readings are too few to fit a circle.",
                         f"Give at least {least} at equal angles, and at most one in four missing.", "readings_mm")  # fmt: skip
    speed = None if diameter_mm is None or speed_rpm is None else surface_speed_m_per_s(diameter_mm, speed_rpm)
    tir_limit, step_limit, _ = limits_mm(speed, rules)
    fit, tir = fit_circle(given), max(known) - min(known)
    step, step_at = _step(given) if per_bar else (None, 0)
    odd = _odd(given, fit, step_limit, rules) if per_bar else ()
    cause, words = _cause(given, fit, tir, tir_limit, odd, (step or 0.0) > step_limit + 1e-9)
    return RunOut(
        given,
        fit,
        tir,
        step,
        step_at,
        odd,
        speed,
        tir_limit,
        step_limit,
        cause,
        words,
        tir > rules["runout.stop"] * tir_limit + 1e-9,
    )


def _step(given: Sequence[float | None]) -> tuple[float | None, int]:
    """Return the greatest step between neighbours that were both read, last to first included, and the first of the two."""
    steps = [
        (abs(b - a), i)
        for i, (a, b) in enumerate(zip(given, (*given[1:], given[0]), strict=True), start=1)
        if a is not None and b is not None
    ]
    return max(steps, default=(None, 0))


def _odd(
    given: Sequence[float | None], fit: Fit, step_limit: float, rules: MotorRules
) -> tuple[tuple[int, float], ...]:
    """Return bars that stand out of the fit, from 1, high ones positive [mm]; one in the midst of a steady rise does not."""
    left = [r for r in fit.remainders_mm if r is not None]
    middle = median(left)
    sd = _MAD_TO_SD * median([abs(r - middle) for r in left])
    found = []
    for i, r in enumerate(fit.remainders_mm):
        x, before, after = given[i], given[i - 1], given[(i + 1) % len(given)]
        if r is None or x is None or abs(r) <= max(rules["runout.outlier"] * sd, step_limit):
            continue
        if before is not None and after is not None and (before < x < after or before > x > after):
            continue
        found.append((i + 1, r))
    return tuple(found)


def _cause(
    given: Sequence[float | None], fit: Fit, tir: float, limit: float, odd: Sequence[tuple[int, float]], step_over: bool
) -> tuple[str, str]:
    left = fit.uncentred_mm
    if tir <= limit + 1e-9:
        if odd or step_over:
            return "bars", "round, but single bars stand out: see whether they are tight before anything is cut"
        return "true", "it runs true"
    if left <= limit + 1e-9 and 2 * fit.eccentricity_mm > left:
        return "set-up", (f"it is round but runs off centre by {fit.eccentricity_mm:.3f} mm; centred, {left:.3f} mm would be left: "
                          "check set-up and bearing seats before anything is cut")  # fmt: skip
    bare = [x for i, x in enumerate(given, start=1) if x is not None and i not in {n for n, _ in odd}]
    if odd and max(bare) - min(bare) <= limit + 1e-9:
        return "bars", "single bars stand out: see whether they are tight before anything is cut"
    shape = "oval" if 2 * fit.ovality_mm > left / 2 else "out of round"
    return "out of round", f"it is {shape}: centring would leave {left:.3f} mm, so it needs a cut"
