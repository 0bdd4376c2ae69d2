"""Sums on what the copper does to a brush: its surface speed, and the volts from bar to bar."""

from dataclasses import dataclass

from norvash.core.brush.on_copper import BAR_VOLTS_OF, mean_bar_v, most_bar_v, most_m_per_s
from norvash.core.commutator.run_out_limits import surface_speed_m_per_s
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.sums.brush.loading import ask_class
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class SpeedIn:
    """A commutator under brushes of a grade."""

    commutator_d_mm: float = ask("Commutator diameter", "length", above_low=True, high=5000)
    speed_rpm: float = ask("Speed", "speed", above_low=True, high=200_000)
    grade: str | None = ask("Grade family", "word", default=None, hint=", ".join(GRADE_FAMILIES))
    maker_most_m_s: float | None = ask(
        "The maker's most", "area speed", default=None, above_low=True, high=200, hint="it goes before the grade's"
    )
    motor_class: str | None = ask_class()


@dataclass(frozen=True, slots=True, kw_only=True)
class SpeedOut:
    """The surface speed against what the grade bears, None where neither grade nor maker says."""

    speed_m_s: float = gives("surface speed")
    most_m_s: float | None = gives("at most")
    allowed: bool | None = gives("allowed")
    advice: str
    rules: tuple[str, ...]


def surface_speed(given: SpeedIn, rules: MotorRules) -> SpeedOut:
    """Return the surface speed, and whether the grade bears it: over it, watch."""
    speed = surface_speed_m_per_s(given.commutator_d_mm, given.speed_rpm)
    most, ids = most_m_per_s(given.grade, given.motor_class, rules)
    most, ids = (given.maker_most_m_s, ()) if given.maker_most_m_s is not None else (most, ids)
    allowed = None if most is None else not over(speed, most)
    against = (
        "neither its grade nor its maker says what it bears"
        if most is None
        else f"{'inside' if allowed else 'over'} the {most:g} m/s that it bears{'' if allowed else ': watch it'}"
    )
    return SpeedOut(speed_m_s=speed, most_m_s=most, allowed=allowed, advice=f"{speed:.2f} m/s, {against}", rules=ids)


@dataclass(frozen=True, slots=True, kw_only=True)
class BarVoltsIn:
    """A machine by its plate."""

    rated_v: float = ask("Plate volts", "voltage", above_low=True, high=50_000)
    pole_pairs: int = ask("Pole pairs", "count", low=1, high=50)
    bars: int = ask("Bars", "count", low=3, high=2000)
    interpoles: bool = ask("It has interpoles", "yes", default=False)
    motor_class: str | None = ask_class()


@dataclass(frozen=True, slots=True, kw_only=True)
class BarVoltsOut:
    """The mean volts from bar to bar against what the class bears."""

    mean_v: float = gives("mean volts from bar to bar")
    most_v: float = gives("at most")
    within: bool = gives("inside it")
    advice: str
    rules: tuple[str, ...]


def bar_volts(given: BarVoltsIn, rules: MotorRules) -> BarVoltsOut:
    """Return the mean volts from bar to bar: over the most, look for marks of a flashover.

    Raises: InputError that names the field which cannot be so.
    """
    if given.bars < 2 * given.pole_pairs:
        raise InputError("There are fewer bars than poles.", "Check bars and pole pairs.", "bars")
    mean = mean_bar_v(given.rated_v, given.pole_pairs, given.bars)
    most, rule = most_bar_v(rules, interpoles=given.interpoles)
    within = not over(mean, most)
    asked = "" if given.motor_class is None or given.motor_class in BAR_VOLTS_OF else "; of this class it is not judged"
    words = f"inside {most:g} V" if within else f"over {most:g} V: look for marks of a flashover"
    return BarVoltsOut(
        mean_v=mean, most_v=most, within=within, advice=f"{mean:.1f} V from bar to bar, {words}{asked}", rules=(rule,)
    )


SUMS = (
    Sum(
        name="surface-speed",
        title="Surface speed",
        words="How fast the copper runs under its brushes, against what their grade bears.",
        inputs=SpeedIn,
        compute=surface_speed,
        example={"commutator_d_mm": 160, "speed_rpm": 1450, "grade": "electrographite"},
    ),
    Sum(
        name="bar-volts",
        title="Volts from bar to bar",
        words="The mean volts between two bars, against what a commutator bears.",
        inputs=BarVoltsIn,
        compute=bar_volts,
        example={"rated_v": 440, "pole_pairs": 2, "bars": 117, "interpoles": True},
    ),
)
