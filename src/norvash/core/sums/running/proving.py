"""Sums of the proof: speed without load, standstill, pulleys, the field before power."""

from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.running.excitation import field_a
from norvash.core.running.speed import noload_rpm
from norvash.core.sums.registry import Sum, ask, gives
from norvash.core.supply.cables import burst_mm2, steady_a
from norvash.core.supply.inrush import Standstill, inrush_a, section_mm2, standstill_ohm
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class NoLoadIn:
    """A shunt or magnet motor by its plate."""

    rated_v: float = ask("Plate volts", "voltage", above_low=True, high=50_000)
    rated_rpm: float = ask("Plate speed", "speed", above_low=True, high=200_000)
    rated_a: float = ask("Plate current", "current", above_low=True, high=100_000)
    no_load_a: float = ask("Current without load", "current", default=0.0, high=100_000)
    armature_ohm: float = ask("Resistance of the armature", "resistance", above_low=True, high=1e6)
    drop_v_per_brush: float = ask("Drop of one brush", "voltage", default=1.0, high=10)


@dataclass(frozen=True, slots=True, kw_only=True)
class NoLoadOut:
    """The speed without load that follows from the plate."""

    no_load_rpm: float = gives("speed without load")
    advice: str
    rules: tuple[str, ...]


def no_load_speed(given: NoLoadIn, _rules: MotorRules) -> NoLoadOut:
    """Return the speed without load. Raises: InputError where the plate contradicts itself."""
    rpm = noload_rpm(
        given.rated_rpm,
        given.rated_v,
        given.rated_a,
        armature_ohm=given.armature_ohm,
        drop_v=2 * given.drop_v_per_brush,
        noload_a=given.no_load_a,
    )
    return NoLoadOut(no_load_rpm=rpm, advice=f"{rpm:.0f} r/min without load, at constant field", rules=())


@dataclass(frozen=True, slots=True, kw_only=True)
class FieldIn:
    """A field of its own."""

    field_v: float = ask("Volts at the field", "voltage", above_low=True, high=10_000)
    field_ohm_20: float = ask("Its resistance at 20 °C", "resistance", above_low=True, high=1e6)
    temperature_c: float = ask("Its temperature", "temperature", default=20.0, low=-40, high=250)


@dataclass(frozen=True, slots=True, kw_only=True)
class FieldOut:
    """The current that it carries then, and the least before the armature gets volts."""

    field_a: float = gives("field current")
    least_a: float = gives("least before power")
    advice: str
    rules: tuple[str, ...]


def field_current(given: FieldIn, rules: MotorRules) -> FieldOut:
    """Return the current of a field, and the least of it before power."""
    amps = field_a(given.field_v, given.field_ohm_20, given.temperature_c, rules)
    least = rules["field.least"] * amps
    return FieldOut(
        field_a=amps,
        least_a=least,
        advice=f"{amps:.3g} A; under {least:.3g} A the armature gets no volts: it would run away",
        rules=("field.least", "field.coefficient"),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class PulleyIn:
    """Two pulleys on one belt."""

    driver_rpm: float = ask("Speed of the driving one", "speed", above_low=True, high=200_000)
    driver_d_mm: float = ask("Its diameter", "length", above_low=True, high=10_000)
    driven_d_mm: float = ask("Diameter of the driven one", "length", above_low=True, high=10_000)


@dataclass(frozen=True, slots=True, kw_only=True)
class PulleyOut:
    """The speed of the driven pulley."""

    driven_rpm: float = gives("speed of the driven one")
    advice: str
    rules: tuple[str, ...]


def pulley(given: PulleyIn, _rules: MotorRules) -> PulleyOut:
    """Return the speed of a driven pulley, without slip."""
    rpm = given.driver_rpm * given.driver_d_mm / given.driven_d_mm
    return PulleyOut(driven_rpm=rpm, advice=f"{rpm:.0f} r/min, a belt that does not slip", rules=())


@dataclass(frozen=True, slots=True, kw_only=True)
class InrushIn:
    """A motor held at standstill at low voltage, and what it is started from."""

    rated_v: float = ask("Plate volts", "voltage", above_low=True, high=10_000)
    locked_v: float = ask("Volts, held at standstill", "voltage", above_low=True, high=10_000)
    locked_a: float = ask("Current then", "current", above_low=True, high=100_000)
    brush_drop_v: float = ask("Drop of the pair of brushes", "voltage", default=0.0, high=10, hint="0: at least")
    source_ohm: float = ask("Resistance of the source", "resistance", default=0.0, high=100)
    cables_ohm: float = ask("Resistance of the cables", "resistance", default=0.0, high=100)
    burst_s: float = ask("A burst lasts", "seconds", default=10.0, above_low=True, high=60)
    rest_s: float = ask("It rests", "seconds", default=120.0, high=86_400)


@dataclass(frozen=True, slots=True, kw_only=True)
class InrushOut:
    """The resistance of the whole circuit, the current of a start, and the cable that bears its bursts."""

    resistance_ohm: float = gives("resistance of the whole circuit")
    inrush_a: float = gives("start at full volts")
    burst_section_mm2: float = gives("least section for the burst")
    steady_a: float = gives("current that it carries on average")
    section_mm2: float | None = gives("cable of the table")
    advice: str
    rules: tuple[str, ...]


def inrush(given: InrushIn, rules: MotorRules) -> InrushOut:
    """Return what a start draws at full volts, and its cable.

    Raises: InputError where the test was at too few volts.
    """
    own = standstill_ohm(Standstill(v=given.locked_v, a=given.locked_a, drop_v=given.brush_drop_v))
    ohm = own + given.source_ohm + given.cables_ohm
    if not over(given.rated_v, given.brush_drop_v):
        raise InputError("The brushes take all of the plate's volts.", "Check the drop.", "brush_drop_v")
    amps = inrush_a(given.rated_v, ohm, given.brush_drop_v)
    burst, steady = burst_mm2(amps, given.burst_s, rules), steady_a(amps, given.burst_s, given.rest_s)
    section = section_mm2(burst, steady, rules)
    lead = f"{section:g} mm² bear its bursts" if section is not None else "over the table: look its cable up"
    least = "" if given.brush_drop_v else "at least "
    return InrushOut(
        resistance_ohm=ohm,
        inrush_a=amps,
        burst_section_mm2=burst,
        steady_a=steady,
        section_mm2=section,
        advice=f"{least}{amps:.0f} A at {given.rated_v:g} V; {lead}",
        rules=("cable.burst",),
    )


SUMS = (
    Sum(
        name="inrush",
        title="Standstill and start",
        words="What a start draws at full volts, from a test held at standstill, and the cable that bears it.",
        inputs=InrushIn,
        compute=inrush,
        example={
            "rated_v": 24.0,
            "locked_v": 6.0,
            "locked_a": 230.0,
            "brush_drop_v": 2.0,
            "source_ohm": 0.004,
            "cables_ohm": 0.003,
            "burst_s": 4.0,
            "rest_s": 120.0,
        },
    ),
    Sum(
        name="no-load-speed",
        title="Speed without load",
        words="The speed of a shunt or magnet motor without load, from its plate.",
        inputs=NoLoadIn,
        compute=no_load_speed,
        example={"rated_v": 220.0, "rated_rpm": 1500.0, "rated_a": 48.0, "no_load_a": 4.2, "armature_ohm": 0.32},
    ),
    Sum(
        name="field-current",
        title="Field before power",
        words="What a field carries at its temperature, and the least of it before the armature gets volts.",
        inputs=FieldIn,
        compute=field_current,
        example={"field_v": 220.0, "field_ohm_20": 180.0, "temperature_c": 60.0},
    ),
    Sum(
        name="pulley",
        title="Pulleys",
        words="How fast a belt drives.",
        inputs=PulleyIn,
        compute=pulley,
        example={"driver_rpm": 1500.0, "driver_d_mm": 180.0, "driven_d_mm": 90.0},
    ),
)
