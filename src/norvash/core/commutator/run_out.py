"""Run-out of a commutator: the fitted circle, ovality, high and low bars, and whether the setting up is to blame."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import atan2, cos, degrees, hypot, pi, sin
from statistics import median

from norvash.core.commutator.run_out_limits import allowed
from norvash.core.commutator.tools import TURNED
from norvash.core.edges import over, under
from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import listed
from norvash.errors import InputError

_MAD_TO_SD = 1.4826
_SHOWN_MM = 0.001


@dataclass(frozen=True, slots=True, kw_only=True)
class Fit:
    """The readings as c + first and second harmonic; remainders at the angles measured, None where nothing was."""

    mean_mm: float
    eccentricity_mm: float
    high_point_deg: float
    ovality_mm: float
    oval_point_deg: float
    remainders_mm: tuple[float | None, ...]
    uncentred_mm: float

    @property
    def leans(self) -> bool:
        """Tell whether it is off centre by as much as is shown: without that a high point is noise."""
        return not under(self.eccentricity_mm, _SHOWN_MM / 2)

    @property
    def words(self) -> str:
        """Return in words how far it is off centre, and where its high point is if it has one."""
        if not self.leans:
            return f"on centre within {_SHOWN_MM} mm; oval by {self.ovality_mm:.3f} mm"
        return (
            f"off centre by {self.eccentricity_mm:.3f} mm, high point at {self.high_point_deg:.0f}°; oval by"
            f" {self.ovality_mm:.3f} mm"
        )


@dataclass(frozen=True, slots=True, kw_only=True)
class RunOut:
    """A circle of readings, judged. `uncentred_mm` of the fit is the run-out that centring alone would leave.

    `far` tells that it is so far over the limit that a machine which carries people or loads is stopped, `coarse`
    that the indicator is too coarse for a pass, `assumed` which speed the limits come from where it is not known.
    """

    readings_mm: tuple[float | None, ...]
    fit: Fit
    tir_mm: float
    step_mm: float | None
    step_at: int
    odd_mm: tuple[tuple[int, float], ...]
    speed_m_per_s: float | None
    tir_limit_mm: float
    step_limit_mm: float
    band: str
    cause: str
    words: str
    far: bool
    coarse: bool
    assumed: str

    @property
    def over(self) -> bool:
        """Tell whether the total run-out or the step is over its limit."""
        return over(self.tir_mm, self.tir_limit_mm) or over(self.step_mm or 0.0, self.step_limit_mm)

    @property
    def bars_out(self) -> bool:
        """Tell whether single bars stand out, or the step from one to the next is over its limit."""
        return bool(self.odd_mm) or over(self.step_mm or 0.0, self.step_limit_mm)

    @property
    def passes(self) -> bool:
        """Tell whether it is within its limits, and was measured finely enough to say so."""
        return not self.over and not self.coarse

    @property
    def largest(self) -> tuple[int, float]:
        """Return the reading, from 1, that is farthest from the fit, and by how much [mm]."""
        far = [(i, r) for i, r in enumerate(self.fit.remainders_mm, start=1) if r is not None]
        return max(far, key=lambda p: abs(p[1]))


@dataclass(frozen=True, slots=True)
class Turned:
    """How a circle was read: diameter [mm], speed of the machine [r/min], where it turned, the indicator's finest step
    [mm].

    None, or empty, where it is not known; `after_cut` holds it to what a fresh cut must reach.
    """

    diameter_mm: float | None = None
    speed_rpm: float | None = None
    on: str = ""
    step_mm: float | None = None
    after_cut: bool = False


def fit_circle(readings_mm: Sequence[float | None]) -> Fit:
    """Return the least-squares fit of two harmonics to readings at equal angles; the first lies at 0°.

    Units: [mm]. Shape: at least six readings that are not None.
    Source: least squares on the first two harmonics of a turn
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
    return Fit(
        mean_mm=mean,
        eccentricity_mm=hypot(a1, b1),
        high_point_deg=degrees(atan2(b1, a1)) % 360,
        ovality_mm=hypot(a2, b2),
        oval_point_deg=degrees(atan2(b2, a2)) / 2 % 180,
        remainders_mm=left,
        uncentred_mm=max(centred) - min(centred),
    )


def judge_run_out(readings_mm: Sequence[float | None], per_bar: bool, turned: Turned, rules: MotorRules) -> RunOut:
    """Return a circle of readings with its limits and the likeliest reason.

    Units: readings_mm [mm] at equal angles, None where one is missing.
    `per_bar` says that there is one reading for each bar. Raises: InputError for too few readings, or too many missing.
    Source: rules runout.*
    """
    given = tuple(readings_mm)
    known = [x for x in given if x is not None]
    least = int(rules["runout.least"])
    if len(known) < least or len(known) < 0.75 * len(given):
        raise InputError(
            f"{len(known)} of {len(given)} readings are too few to fit a circle.",
            f"Give at least {least} at equal angles, and at most one in four missing.",
            "readings_mm",
        )
    most = allowed(turned.diameter_mm, turned.speed_rpm, rules, after_cut=turned.after_cut)
    tir_limit, step_limit = most.tir_mm, most.step_mm
    fit, tir = fit_circle(given), max(known) - min(known)
    step, step_at = _step(given) if per_bar else (None, 0)
    odd = _odd(given, fit, step_limit, rules) if per_bar else ()
    cause, words = _cause(
        given, fit, tir, limit_mm=tir_limit, odd_mm=odd, step_over=over(step or 0.0, step_limit), on=turned.on
    )
    finest = min(tir_limit, step_limit) if per_bar else tir_limit
    coarse = turned.step_mm is not None and over(turned.step_mm, finest / 2)
    if coarse and cause == "true":
        cause, words = (
            "not fine enough",
            f"not measured finely enough: steps of {turned.step_mm:g} mm for a limit of {finest:g} mm",
        )
    return RunOut(
        readings_mm=given,
        fit=fit,
        tir_mm=tir,
        step_mm=step,
        step_at=step_at,
        odd_mm=odd,
        speed_m_per_s=most.speed_m_per_s,
        tir_limit_mm=tir_limit,
        step_limit_mm=step_limit,
        band=most.band,
        cause=cause,
        words=words,
        far=over(tir, rules["runout.stop"] * tir_limit),
        coarse=coarse,
        assumed=most.assumed,
    )


def _step(given_mm: Sequence[float | None]) -> tuple[float | None, int]:
    """Return the greatest step between neighbours that were both read, last to first included, and the first of the
    two.
    """
    steps = [
        (abs(b - a), i)
        for i, (a, b) in enumerate(zip(given_mm, (*given_mm[1:], given_mm[0]), strict=True), start=1)
        if a is not None and b is not None
    ]
    return max(steps, default=(None, 0))


def _odd(
    given_mm: Sequence[float | None], fit: Fit, step_limit_mm: float, rules: MotorRules
) -> tuple[tuple[int, float], ...]:
    """Return bars that stand out of the fit, from 1, high ones positive [mm].

    One in the midst of a steady rise does not.
    """
    left = [r for r in fit.remainders_mm if r is not None]
    middle = median(left)
    sd = _MAD_TO_SD * median([abs(r - middle) for r in left])
    found = []
    for i, r in enumerate(fit.remainders_mm):
        x, before, after = given_mm[i], given_mm[i - 1], given_mm[(i + 1) % len(given_mm)]
        if r is None or x is None or not over(abs(r), max(rules["runout.outlier"] * sd, step_limit_mm)):
            continue
        if before is not None and after is not None and min(before, after) < x < max(before, after):
            continue
        found.append((i + 1, r))
    return tuple(found)


def _cause(
    given_mm: Sequence[float | None],
    fit: Fit,
    tir_mm: float,
    *,
    limit_mm: float,
    odd_mm: Sequence[tuple[int, float]],
    step_over: bool,
    on: str,
) -> tuple[str, str]:
    """Return the likeliest reason: off centre is the set-up's only where it turned between centres or in a chuck."""
    left = fit.uncentred_mm
    stand_out = (
        f"{'bar' if len(odd_mm) == 1 else 'bars'} {listed([str(n) for n, _ in odd_mm])}"
        f" stand{'s' * (len(odd_mm) == 1)} out"
        if odd_mm
        else ""
    )
    what = stand_out or "the step from bar to bar is too great" if odd_mm or step_over else ""
    if not over(tir_mm, limit_mm):
        if what:
            return "bars", f"round, but {what}: see whether bars are tight before anything is cut"
        return "true", "it runs true"
    beside = f"; beside it {what}: see whether bars are tight" if what else ""
    if not over(left, limit_mm) and over(2 * fit.eccentricity_mm, left):
        off = f"it is round but runs off centre by {fit.eccentricity_mm:.3f} mm"
        if on == "centres":
            return (
                "set-up",
                (
                    f"{off}; centred, {left:.3f} mm would be left: check set-up and bearing seats before anything is"
                    f" cut{beside}"
                ),
            )
        where = TURNED[on] if on else "not said whether between centres, so taken as on its own seats"
        return "off centre", f"{off}, {where}: it is real, look at seats, shaft and bearings{beside}"
    bare = [x for i, x in enumerate(given_mm, start=1) if x is not None and i not in {n for n, _ in odd_mm}]
    if odd_mm and not over(max(bare) - min(bare), limit_mm):
        return "bars", f"{stand_out}: see whether they are tight before anything is cut"
    shape = "oval" if over(2 * fit.ovality_mm, left / 2) else "out of round"
    return "out of round", f"it is {shape}: centring would leave {left:.3f} mm, so it needs a cut{beside}"


def run_out_grade(found: RunOut, *, carries: bool) -> Grade:
    """Return how grave a run-out is; `carries` is whether the machine hangs a load or carries people, or is of a heavy
    class.
    """
    if found.far and carries:
        return "stop"
    if found.over:
        return "watch" if found.cause == "set-up" and not found.bars_out else "plan"
    return "watch" if found.coarse else "fit"
