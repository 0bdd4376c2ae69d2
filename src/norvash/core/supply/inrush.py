"""What a motor draws at standstill, and the cable that bears it in bursts."""

from dataclasses import dataclass

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.rules.supply import SECTIONS
from norvash.core.supply.cables import Laid, load_a
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Standstill:
    """A motor held at standstill at low voltage. Units: v [V], a [A], drop of the pair of brushes [V]."""

    v: float
    a: float
    drop_v: float


def standstill_ohm(held: Standstill) -> float:
    """Return the resistance of a motor that is held.

    Units: -> [Ω]. Raises: InputError where the brushes take half of the volts: nothing sure follows. Source: volts that
    the brushes leave over the current
    """
    if under(held.v, 2 * held.drop_v):
        raise InputError(
            f"At {held.v:g} V the brushes take half or more of the volts: nothing sure follows.",
            "Test at more volts.",
            "locked_v",
        )
    return (held.v - held.drop_v) / held.a


def inrush_a(rated_v: float, ohm: float, drop_v: float) -> float:
    """Return the current at standstill at full volts, through motor, source and cables.

    Units: [V], [Ω], [V] -> [A]. Source: Ohm's law without counter-voltage
    """
    return (rated_v - drop_v) / ohm


def section_mm2(least_mm2: float, long_a: float, rules: MotorRules) -> float | None:
    """Return the smallest section of the table that bears both, None over the table.

    Units: [mm²], [A] -> [mm²]. Source: rules cable.*
    """
    fitting = (float(s) for s in SECTIONS if not under(float(s), least_mm2))
    return next((s for s in fitting if not under(load_a(s, Laid(), rules), long_a)), None)
