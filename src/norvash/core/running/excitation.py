"""The field of a motor before its armature gets volts: how much current it must carry."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import under
from norvash.core.rules.book import MotorRules

# Constructions with a field winding of its own, beside the armature.
OWN_FIELD = ("shunt", "compound", "separately excited")


@dataclass(frozen=True, slots=True, kw_only=True)
class FieldPlate:
    """What says how much current a field carries: its current on the plate [A], its voltage [V], its resistance at
    20 °C, or as it was measured just now [Ω]; None where nobody states it.
    """

    current_a: float | None = None
    volts: float | None = None
    ohm_20: float | None = None
    ohm_now: float | None = None


@dataclass(frozen=True, slots=True)
class FieldJudged:
    """A field's current against what it should be [A], None where nothing says it; its share [1] and what follows."""

    expected_a: float | None
    share: float | None
    answer: Literal["right", "weak", "not judged"]
    words: str


def field_a(volts: float, ohm_20: float, temperature_c: float, rules: MotorRules) -> float:
    """Return the current of a copper field at a voltage.

    Units: [V], ohm_20 at 20 °C [Ω], [°C] -> [A]. Source: rule field.coefficient

    >>> from norvash.core.rules.catalogue import shipped
    >>> round(field_a(220, 180, 60, shipped()), 6)
    1.056189
    """
    return volts / (ohm_20 * (1 + rules["field.coefficient"] * (temperature_c - 20)))


def judge_field(
    current_a: float, volts: float | None, temperature_c: float | None, plate: FieldPlate, rules: MotorRules
) -> FieldJudged:
    """Return a field's current against the plate's, else against volts over resistance at its temperature, as stated or
    as it was measured.

    The plate's current holds at the plate's volts; at others it goes in proportion. Units: [A], volts at the field [V],
    None for the plate's, [°C], None for 20. Source: rules field.least, field.coefficient
    """
    at_v = plate.volts if volts is None else volts
    expected, by = None, ""
    if plate.current_a is not None:
        share = 1.0 if at_v is None or plate.volts is None else at_v / plate.volts
        expected, by = plate.current_a * share, "on its plate" if share == 1 else "of its plate, at these volts"
    elif plate.ohm_20 is not None and at_v is not None:
        warm = 20.0 if temperature_c is None else temperature_c
        expected, by = field_a(at_v, plate.ohm_20, warm, rules), f"by {at_v:g} V and its resistance at {warm:g} °C"
    elif plate.ohm_now and at_v is not None:
        expected, by = at_v / plate.ohm_now, f"by {at_v:g} V and its resistance of {plate.ohm_now:g} Ω"
    if not expected:
        lacks = "its field's resistance and voltage, or the field current of its plate"
        return FieldJudged(None, None, "not judged", f"field current {current_a:g} A, not judged: say {lacks}")
    share = current_a / expected
    words = f"field current {current_a:g} A, {share:.1%} of {expected:.3g} A {by}"
    weak = under(share, rules["field.least"])
    return FieldJudged(expected, share, "weak" if weak else "right", words)
