"""A test at standstill under its own permit: the shaft is held, volts and amps of a short burst; never a run."""

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.stages.before.outside import BRAKE_FAILS, BRAKE_SLIPS, RELINE_BRAKE


def _braked(facts: Facts, _rules: MotorRules) -> bool:
    return facts.may_carry


def _powered(facts: Facts, _rules: MotorRules) -> bool:
    return facts.motor_class != "generator"


FIELDS: tuple[Field, ...] = (
    STILL_HELD := tick(
        "still-held",
        "Standstill test",
        "Its shaft is held, nobody within its reach",
        needs="permit",
        offered=_powered,
        record=True,
        placed=True,
    ),
    STILL_V := quantity(
        "still-v",
        "Standstill test",
        "Volts, held",
        "voltage",
        needs="permit",
        low=0.01,
        high=10_000,
        offered=_powered,
        placed=True,
        hint="low ones, just enough for the meter",
    ),
    STILL_A := quantity(
        "still-a",
        "Standstill test",
        "Current then",
        "current",
        needs="permit",
        low=0.01,
        high=50_000,
        offered=_powered,
        placed=True,
    ),
    STILL_S := quantity(
        "still-s",
        "Standstill test",
        "Burst",
        "seconds",
        needs="permit",
        low=0.1,
        high=60,
        offered=_powered,
        placed=True,
        hint="at most 10 s, then two minutes to cool",
    ),
    BRAKE_HELD := quantity(
        "brake-held",
        "Its brake",
        "Load that it held, rated load = 1",
        "share",
        needs="permit",
        high=3,
        offered=_braked,
        judged=True,
        tells=(BRAKE_SLIPS,),
        proves=(BRAKE_FAILS,),
        touched_by=(RELINE_BRAKE,),
        hint="like 1.25 or 125 %, hanging free a hand's breadth, ten minutes, nobody under it",
    ),
)
