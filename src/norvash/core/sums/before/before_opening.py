"""Sums before the motor is opened: speed ladder, cable drop, battery, cause."""

from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.core.supply.battery import Battery, judge_battery
from norvash.core.supply.cables import Laid, cable_drop_v, carried, drop_allowed_v
from norvash.core.supply.settings import Ladder, speed_ladder
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class LadderIn:
    """Measured voltages of the speed settings, lowest first, and the share of the supply that each should have."""

    supply_v: float = ask("Supply", "voltage", above_low=True, high=50000)
    steps_v: list[float] = ask("Volts at each setting", "voltage", high=50000, hint="lowest first")
    expected_share: list[float | None] | None = ask(
        "Expected of each, share of the supply", "share", default=None, high=2
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class LadderOut(Ladder):
    """The ladder with its rules."""

    share: tuple[float, ...] = gives("as a share", share=True)
    expected_share: tuple[float | None, ...] = gives("expected", share=True)
    deviation: tuple[float | None, ...] = gives("off the nominal force", share=True)
    rising: bool = gives("rises from step to step")
    top_drop_share: float = gives("top step under the supply", share=True)
    top_ok: bool = gives("top step right")
    bad_steps: tuple[int, ...] = gives("bad steps")
    dead_steps: tuple[int, ...] = gives("dead steps")
    rules: tuple[str, ...]


def ladder(given: LadderIn, rules: MotorRules) -> LadderOut:
    """Return the ladder, judged.

    Raises: InputError that names the field which cannot be so.
    """
    expected = given.expected_share if given.expected_share is not None else [None] * len(given.steps_v)
    if any(e == 0 for e in expected):
        raise InputError("A setting cannot be expected to give nothing.", "Leave it out with a dash.", "expected_share")
    found = speed_ladder(given.supply_v, given.steps_v, expected, rules)
    values = {n: getattr(found, n) for n in Ladder.__dataclass_fields__}
    return LadderOut(**values, rules=("taps.top", "taps.step", "taps.dead"))


@dataclass(frozen=True, slots=True, kw_only=True)
class CableIn:
    """A copper cable that carries a current, for long or in bursts."""

    current_a: float = ask("Current", "current", high=50000)
    length_m: float = ask("Length, one way", "metres", above_low=True, high=10000)
    section_mm2: float = ask("Section of the copper", "area", above_low=True, high=5000)
    ways: int = ask("Ways: 2 there and back, 1 a single lead", "count", default=2, low=1, high=2)
    temperature_c: float = ask(
        "Temperature of the copper", "temperature", default=20.0, low=-60, high=250, also=("temp_c",)
    )
    rated_v: float = ask("Voltage of the circuit", "voltage", default=12.0, above_low=True, high=50000)
    burst_s: float | None = ask(
        "Seconds in one burst", "count", default=None, above_low=True, high=86400, hint="empty: it flows for long"
    )
    rest_s: float | None = ask(
        "Seconds of rest between", "count", default=None, above_low=True, high=86400, hint="empty: by the rulebook"
    )
    insulated: bool = ask("One side of it lies in thermal insulation", "yes", default=False)
    surrounded: bool = ask("Insulation all round it over more than 0.5 m", "yes", default=False)
    cord: bool = ask("It is a cord of two cores in air", "yes", default=False)
    circuits: int = ask("Circuits laid together", "count", default=1, low=1, high=3)
    air_c: float = ask("Air around it", "temperature", default=30.0, low=-60, high=60)


@dataclass(frozen=True, slots=True, kw_only=True)
class CableOut:
    """The drop of a cable, what it may carry, and whether both are allowed."""

    drop_v: float = gives("drop")
    drop_share: float = gives("share of the voltage", share=True)
    allowed_v: float = gives("allowed")
    drop_ok: bool = gives("inside what is allowed")
    loss_w: float = gives("heat in the cable")
    steady_a: float = gives("current that it carries on average")
    load_a: float = gives("current that it may carry for long")
    burst_section_mm2: float | None = gives("least section for the burst")
    load_ok: bool = gives("thick enough for it")
    advice: str
    rules: tuple[str, ...]


def cable(given: CableIn, rules: MotorRules) -> CableOut:
    """Return the drop of a cable and what it carries; a single lead may lose one side's share, a pair both.

    Raises: InputError for what the table of loads does not know.
    """
    if given.rest_s is not None and given.burst_s is None:
        raise InputError("A rest says nothing without a burst.", "Give the seconds of a burst, or neither.", "burst_s")
    drop = cable_drop_v(
        given.current_a, given.length_m, given.section_mm2, ways=given.ways, temp_c=given.temperature_c, rules=rules
    )
    allowed = drop_allowed_v(given.rated_v, rules) * given.ways
    fine = not over(drop, allowed)
    rest = rules["cable.rest"] if given.rest_s is None else given.rest_s
    laid = Laid(given.insulated, given.circuits, given.air_c, given.surrounded, given.cord)
    load = carried(given.current_a, given.section_mm2, given.burst_s, rest_s=rest, laid=laid, rules=rules)
    said = [] if fine else [f"it loses {drop:.2g} V, {allowed:.2g} V allowed: shorten it or take a thicker one"]
    if not load.enough:
        said.append(f"too thin: {load.words}")
    shown = (
        f"it loses {drop:.2g} V of {allowed:.2g} V allowed, and carries {load.steady_a:.3g} A of {load.load_a:.3g} A"
    )
    how = "for long" if load.burst_mm2 is None else "in such bursts"
    return CableOut(
        drop_v=drop,
        drop_share=drop / given.rated_v,
        allowed_v=allowed,
        drop_ok=fine,
        loss_w=drop * given.current_a,
        steady_a=load.steady_a,
        load_a=load.load_a,
        burst_section_mm2=load.burst_mm2,
        load_ok=load.enough,
        advice="; ".join(said) or f"thick enough {how}: {shown}",
        rules=(
            "drop.side",
            "drop.low-voltage",
            "drop.share",
            "copper.resistivity",
            "copper.coefficient",
            "cable.burst",
            "cable.rest",
        ),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class BatteryIn:
    """A battery at rest and while cranking."""

    rest_v: float | None = ask("Volts at rest", "voltage", default=None, high=1000)
    cranking_v: float | None = ask("Volts while cranking", "voltage", default=None, high=1000)
    current_a: float | None = ask("Current while cranking", "current", default=None, above_low=True, high=50000)
    rated_v: float = ask("Nominal voltage", "voltage", default=12.0, above_low=True, high=1000)
    temperature_c: float = ask(
        "Temperature of the battery", "temperature", default=20.0, low=-60, high=80, also=("temp_c",)
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class BatteryOut(Battery):
    """The battery with its rules."""

    rest_ok: bool | None = gives("rest voltage right")
    cranking_ok: bool | None = gives("cranking voltage right")
    least_v: float | None = gives("least while cranking")
    inner_mohm: float | None = gives("inner resistance")
    rules: tuple[str, ...]


def battery(given: BatteryIn, rules: MotorRules) -> BatteryOut:
    """Return the battery, judged.

    Raises: InputError that names the field which cannot be so.
    """
    if given.rest_v is None and given.cranking_v is None:
        raise InputError("Nothing is measured.", "Give the volts at rest or while cranking.", "rest_v")
    found = judge_battery(
        given.rated_v,
        given.rest_v,
        given.cranking_v,
        current_a=given.current_a,
        temperature_c=given.temperature_c,
        rules=rules,
    )
    values = {n: getattr(found, n) for n in Battery.__dataclass_fields__}
    return BatteryOut(
        **values,
        rules=("battery.rest", "battery.cranking", "battery.cranking-zero", "battery.cranking-frost", "battery.fall"),
    )


SUMS = (
    Sum(
        name="speed-ladder",
        title="Speed ladder",
        words="The voltage of every speed setting against what it should be; names the bad step.",
        inputs=LadderIn,
        compute=ladder,
        example={"supply_v": 36.2, "steps_v": [16.4, 22.3, 28.8, 35.9], "expected_share": [0.45, 0.62, 0.8, 1.0]},
    ),
    Sum(
        name="cable-drop",
        title="Cable: drop and load",
        words="Volts lost in a copper cable, what it may carry for long and in bursts, and whether that is too much.",
        inputs=CableIn,
        compute=cable,
        example={"current_a": 180, "length_m": 1.6, "section_mm2": 35, "burst_s": 8},
    ),
    Sum(
        name="battery",
        title="Battery while cranking",
        words="Whether the battery holds up before a starter is condemned.",
        inputs=BatteryIn,
        compute=battery,
        example={"rest_v": 12.6, "cranking_v": 9.8, "current_a": 210, "temperature_c": 5},
    ),
)
