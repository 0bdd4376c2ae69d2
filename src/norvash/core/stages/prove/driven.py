"""What a generator is driven by, the lamp on it, its field and what follows the refit."""

from norvash.core.motor.figure_fields import EXCITATION
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick


def _driven(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class == "generator"


def excites_itself(facts: Facts) -> bool:
    """Tell whether somebody states that a generator excites itself: its field keeps a residue that has a polarity."""
    return facts.motor_class == "generator" and EXCITATION.stated(facts.figures) == "self-excited"


def _itself(facts: Facts, _rules: MotorRules) -> bool:
    return excites_itself(facts)


FIELDS: tuple[Field, ...] = (
    DRIVER_RPM := quantity(
        "driver-rpm", "Driven", "Speed of what drives it", "speed", high=1e5, offered=_driven, placed=True
    ),
    DRIVER_D := quantity(
        "driver-d", "Driven", "Pulley of what drives it, across", "length", high=10_000, offered=_driven, placed=True
    ),
    DRIVEN_D := quantity(
        "driven-d", "Driven", "Its own pulley, across", "length", high=10_000, offered=_driven, placed=True
    ),
    LAMP_V := quantity("lamp-v", "Driven", "Test lamp, volts", "voltage", high=1000, offered=_driven, placed=True),
    LAMP_W := quantity("lamp-w", "Driven", "Test lamp, watts", "power", high=5000, offered=_driven, placed=True),
    JOINED := tick(
        "joined",
        "Driven",
        "Terminals of armature and field joined, regulator left out",
        needs="power",
        offered=_itself,
        placed=True,
    ),
    FLASHED := tick(
        "flashed",
        "Driven",
        "Residual field flashed, right polarity, tested again",
        needs="safe",
        offered=_itself,
        placed=True,
    ),
    POLARISED := tick(
        "polarised", "Driven", "Polarised after the refit", needs="safe", offered=_itself, after_work=True, placed=True
    ),
)
