"""A series motor without its load: what two runs at low voltage tell of its speed at any other."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import pi, sqrt

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_HALVINGS, _FASTEST = 90, 1e5
_RAD = 2 * pi / 60


@dataclass(frozen=True, slots=True, kw_only=True)
class LowRun:
    """One run without load at low voltage. Units: v [V], a [A], rpm [r/min]."""

    v: float
    a: float
    rpm: float


@dataclass(frozen=True, slots=True, kw_only=True)
class SeriesMotor:
    """A series motor as its low runs show it: flux in proportion to the current.

    Units: k [V·s/A], friction [N·m], drag [N·m·s], resistance [Ω], drop of the pair of brushes [V].
    """

    k: float
    friction: float
    drag: float
    ohm: float
    drop_v: float

    def rpm_at(self, volts: float) -> float:
        """Return its speed without load at a voltage [r/min], 0 where it does not turn."""
        free_v = volts - self.drop_v
        if free_v <= 0 or not over(self.k * (free_v / self.ohm) ** 2, self.friction):
            return 0.0
        low, high = 0.0, _FASTEST * _RAD
        for _ in range(_HALVINGS):
            middle = (low + high) / 2
            amps = free_v / (self.k * middle + self.ohm)
            if self.k * amps**2 > self.friction + self.drag * middle:
                low = middle
            else:
                high = middle
        return low / _RAD

    def volts_at(self, rpm: float) -> float:
        """Return the voltage at which it turns so fast without load [V]."""
        speed = rpm * _RAD
        return self.drop_v + sqrt((self.friction + self.drag * speed) / self.k) * (self.k * speed + self.ohm)


def series_motor(runs: Sequence[LowRun], ohm: float, drop_v: float, rules: MotorRules) -> SeriesMotor:
    """Return a series motor from its runs at low voltage: the smallest flux that they show, friction and drag by the
    line through the slowest and the fastest.

    Units: [Ω], [V]. Raises: InputError for fewer than two runs, runs that lie too near each other, or that the
    resistance eats up. Source: rule lowrun.apart
    """
    if len(runs) < 2:
        raise InputError("One run tells nothing of the next.", "Give two runs at low voltage.", "runs")
    slow, fast = min(runs, key=lambda r: r.rpm), max(runs, key=lambda r: r.rpm)
    if any(not (r.v > 0 and r.a > 0 and r.rpm > 0) for r in runs):
        raise InputError("A run without volts, amps or speed says nothing.", "Give what was read.", "runs")
    if under(fast.rpm, slow.rpm * (1 + rules["lowrun.apart"])):
        raise InputError(
            f"The runs are too near each other: {slow.rpm:g} and {fast.rpm:g} r/min.",
            f"Take one at least {rules['lowrun.apart']:.0%} faster.",
            "runs",
        )
    k = min((r.v - drop_v - r.a * ohm) / (r.a * r.rpm * _RAD) for r in runs)
    if k <= 0:
        raise InputError(
            "The resistance eats these volts up: it could not turn.", "Check resistance and drop.", "resistance_ohm"
        )
    torques = (k * slow.a**2, k * fast.a**2)
    speeds = (slow.rpm * _RAD, fast.rpm * _RAD)
    drag = (torques[1] - torques[0]) / (speeds[1] - speeds[0])
    friction = torques[0] - drag * speeds[0]
    if drag < 0:
        drag, friction = 0.0, torques[1]
    elif friction < 0:
        drag, friction = torques[1] / speeds[1], 0.0
    return SeriesMotor(k=k, friction=friction, drag=drag, ohm=ohm, drop_v=drop_v)
