"""Sums of turning a motor by its own power for the first time: run-in, and a series motor without its load."""

from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.motor.figure_fields import CONSTRUCTIONS
from norvash.core.rules.book import MotorRules
from norvash.core.running.bedding import bedding, most_a
from norvash.core.running.series import LowRun, SeriesMotor, series_motor
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives


@dataclass(frozen=True, slots=True, kw_only=True)
class SafeIn:
    """A series motor out of its machine, run twice at low voltage; what it is to get."""

    runs: list[LowRun] = ask("Runs at low voltage", "rows", hint="v 4; a 38; rpm 420 | v 7; a 46; rpm 830")
    resistance_ohm: float = ask("Resistance of armature and field", "resistance", above_low=True, high=1000)
    brush_drop_v: float = ask("Drop of the pair of brushes", "voltage", default=2.0, high=10)
    permitted_rpm: float | None = ask("Permitted speed", "speed", default=None, above_low=True, high=200_000)
    test_v: float = ask("Volts of the test", "voltage", above_low=True, high=10_000)


@dataclass(frozen=True, slots=True, kw_only=True)
class SafeOut:
    """What the runs tell, the speed at the volts of the test, whether that is allowed, and the most volts; None where
    nobody states a permitted speed.
    """

    k_v_s_per_a: float = gives("flux a current, V·s/A")
    friction_nm: float = gives("friction")
    drag_nm_s: float = gives("drag, N·m·s")
    turns: bool = gives("it turns")
    speed_rpm: float = gives("speed of the machine")
    allowed: bool | None = gives("allowed")
    most_v: float | None = gives("at most")
    advice: str
    rules: tuple[str, ...]


def motor_of(given: SafeIn, rules: MotorRules) -> SeriesMotor:
    """Return the motor that the runs show."""
    return series_motor(given.runs, given.resistance_ohm, given.brush_drop_v, rules)


def safe_speed(given: SafeIn, rules: MotorRules) -> SafeOut:
    """Return how fast a series motor turns without load at a voltage, and the most that it may get.

    Raises: InputError for runs of which nothing follows.
    """
    motor = motor_of(given, rules)
    speed = motor.rpm_at(given.test_v)
    most_rpm = None if given.permitted_rpm is None else rules["lowrun.share"] * given.permitted_rpm
    allowed = None if most_rpm is None else not over(speed, most_rpm)
    most_v = None if most_rpm is None else motor.volts_at(most_rpm)
    if most_rpm is None:
        say = "no permitted speed is stated: a quarter of the plate's volts at most, read r/min at every step"
    else:
        say = f"{'allowed' if allowed else 'refused'}: {most_rpm:.0f} r/min are reached at {most_v:.1f} V"
    return SafeOut(
        k_v_s_per_a=motor.k,
        friction_nm=motor.friction,
        drag_nm_s=motor.drag,
        turns=speed > 0,
        speed_rpm=speed,
        allowed=allowed,
        most_v=most_v,
        advice=f"{speed:.0f} r/min at {given.test_v:g} V without load; {say}",
        rules=("lowrun.share", "lowrun.apart"),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class RunInIn:
    """A motor with new faces."""

    motor_class: str | None = ask_class()
    construction: str | None = ask("Construction", "word", default=None, choices=tuple((c, c) for c in CONSTRUCTIONS))
    rated_v: float = ask("Plate volts", "voltage", above_low=True, high=50_000)
    rated_a: float = ask("Plate current", "current", above_low=True, high=100_000)
    contact_share: float = ask("Contact, the least of its prints", "share", default=0.25, high=1)
    noload_a: float | None = ask("Current without load at those volts", "current", default=None, high=100_000)
    stated_share: float | None = ask("The maker's share of volts", "share", default=None, above_low=True, high=1)
    bare: bool = ask("It is out of its machine", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class RunInOut:
    """Volts and amps of a run-in, None where it is done otherwise; the print that releases the load."""

    volts_v: float | None = gives("volts")
    most_a: float = gives("at most")
    release_share: float = gives("print that releases the load")
    advice: str
    rules: tuple[str, ...]


def run_in(given: RunInIn, rules: MotorRules) -> RunInOut:
    """Return how new faces are run in."""
    own = for_class(rules, given.motor_class)
    plan = bedding(
        given.motor_class or "", given.construction or "", own, stated_share=given.stated_share, built_in=not given.bare
    )
    volts = None if plan.volts_share is None else plan.volts_share * given.rated_v
    amps = most_a(given.rated_a, given.contact_share, given.noload_a, own)
    counted = own["runin.least"]
    least = f" (counted as {counted:.0%} of contact)" if over(counted, given.contact_share) else ""
    at = f"{volts:.3g} V, " if volts is not None else ""
    return RunInOut(
        volts_v=volts,
        most_a=amps,
        release_share=plan.release,
        advice=f"{at}{plan.how}; at most {amps:.3g} A{least}; full load from a print of {plan.release:.0%}",
        rules=("runin.share", "runin.series", "runin.least", "seating.ready"),
    )


SUMS = (
    Sum(
        name="run-in",
        title="Run-in",
        words="At how many volts and amps new faces bed, and the print that releases the load.",
        inputs=RunInIn,
        compute=run_in,
        example={
            "motor_class": "appliance",
            "construction": "universal",
            "rated_v": 230.0,
            "rated_a": 3.2,
            "contact_share": 0.35,
        },
    ),
    Sum(
        name="safe-speed",
        title="Series motor without load",
        words="How fast it turns at a voltage, from two runs at low voltage, and the most volts that it may get.",
        inputs=SafeIn,
        compute=safe_speed,
        example={
            "runs": [{"v": 4.0, "a": 38.0, "rpm": 420.0}, {"v": 7.0, "a": 46.0, "rpm": 830.0}],
            "resistance_ohm": 0.021,
            "brush_drop_v": 1.2,
            "permitted_rpm": 3200.0,
            "test_v": 16.0,
        },
    ),
)
