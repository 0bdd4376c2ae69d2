"""The field of a shunt, compound or separately excited motor: proven before its armature gets volts."""

from norvash.core.motor.figure_fields import FIELD_LEADS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, text
from norvash.core.sheet.finding import finding
from norvash.core.sheet.part import WINDINGS
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import JOIN_WIRE
from norvash.core.stages.signed_over import OVER_FIELD
from norvash.core.stages.windings.coils import RENEW_COIL

MEND_FIELD = Task(
    id="field-circuit",
    what="Mend the field circuit",
    done="field circuit mended",
    minutes=40,
    tools="ohmmeter, clamp meter",
    steps=("supply, rheostat and joints of the field", "coils against each other", "measure its current again"),
    caution="the field kicks when it is opened: discharge path across it first",
)


def proves_field(facts: Facts) -> bool:
    """Tell whether a motor's field is proven before power: one of its own, of a motor."""
    return facts.own_field and facts.motor_class != "generator"


def _is_proven(facts: Facts, _rules: MotorRules) -> bool:
    return proves_field(facts)


def _has_no_leads(facts: Facts, _rules: MotorRules) -> bool:
    return proves_field(facts) and FIELD_LEADS.of(facts.figures) == "no"


def _has_leads(facts: Facts, _rules: MotorRules) -> bool:
    return proves_field(facts) and FIELD_LEADS.of(facts.figures) != "no"


FINDINGS = (
    FIELD_WEAK := finding(
        "field.weak",
        "field current too low",
        "stop",
        "no power to the armature: it would run away; mend the field circuit first",
        WINDINGS,
        MEND_FIELD,
        shows=("field-odd", "yes"),
        kinds={"before-power"},
    ),
)
FIELDS: tuple[Field, ...] = (
    WAIVE_FIELD := text("waiver.field", "Waived", "Field not proven: waived because", offered=_is_proven, placed=True),
    FIELD_I := quantity(
        "field-a",
        "Field",
        "Field current, armature without volts",
        "current",
        needs="permit",
        high=5000,
        offered=_has_leads,
        judged=True,
        after_work=True,
        tells=(FIELD_WEAK,),
        proves=(OVER_FIELD,),
        touched_by=(JOIN_WIRE, RENEW_COIL),
    ),
    FIELD_U := quantity(
        "field-v",
        "Field",
        "Volts at the field",
        "voltage",
        needs="permit",
        high=50000,
        offered=_has_leads,
        judged=True,
        tested="field-a",
    ),
    FIELD_TENTH := quantity(
        "field-tenth-a",
        "Field",
        "Total current at a tenth of the volts",
        "current",
        needs="permit",
        high=5000,
        offered=_has_no_leads,
        judged=True,
        after_work=True,
        proves=(OVER_FIELD,),
    ),
    FIELD_AT := quantity(
        "field-c",
        "Field",
        "Temperature of the field",
        "temperature",
        low=-40,
        high=200,
        hint="20 °C where nobody says",
        offered=_has_leads,
        judged=True,
        tested="field-a",
    ),
)
