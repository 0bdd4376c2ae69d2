"""The first look after new faces: soon, by use."""

from norvash.core.motor.figure_fields import EXPECTED_LIFE_UNITS
from norvash.core.rules.book import MotorRules
from norvash.core.state.motor_state import MotorState


def follow_up_units(state: MotorState, rules: MotorRules) -> float | None:
    """Return at which use a new set is looked at first, None where neither hours nor its life are known.

    Units: -> the motor's own unit, on its own scale of total use. Source: rules followup.hours, followup.share
    """
    life = EXPECTED_LIFE_UNITS.of(state.figures)
    after = [rules["followup.share"] * life] if life else []
    after += [rules["followup.hours"]] if state.unit == "hours" else []
    return (state.entries[-1].total_units if state.entries else 0.0) + min(after) if after else None
