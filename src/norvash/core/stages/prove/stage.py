"""The stage that proves: gate, earth, run, complaint; what keeps power off it and what keeps it from service."""

from norvash.core.motor.figure_fields import (
    CONSTRUCTION,
    FIELD_A,
    FIELD_LEADS,
    FIELD_OHM,
    IT_TURNS,
    NOLOAD_A_MOST,
    NOLOAD_RPM_LEAST,
    PERMITTED_RPM,
    PROTECTION,
    RATED_A,
    RATED_RPM,
    RATED_V,
    SAFE_NOLOAD_V,
    USUAL_NOLOAD_RPM,
)
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.stage import Stage
from norvash.core.stages.gates import POWER
from norvash.core.stages.prove import driven, earth, field, run_fields, run_findings, standstill
from norvash.core.stages.prove.complaint import ALSO_WAS, CAUSE_WAS, COMPLAINT_NOW
from norvash.core.stages.prove.field import proves_field
from norvash.core.stages.prove.run_fields import RUN_HOW, RUN_WHERE
from norvash.core.stages.prove.unstated import PLATE_ANEW, PLATE_NONE, USUAL_FROM


def _is_starter(facts: Facts) -> bool:
    return facts.motor_class == "starter"


def _may_shock(facts: Facts) -> bool:
    """Tell whether it matters how a motor protects against shock: not where its volts hurt nobody, or are said to."""
    return not facts.low_voltage or bool(facts.protection)


def _turns_something(facts: Facts) -> bool:
    """Tell whether what it turns can hurt while it is proven; of a hand tool blade and bit are off already."""
    return facts.motor_class not in ("tool", "generator")


def _idles(facts: Facts) -> bool:
    return facts.idles and facts.series


STAGE = Stage(
    id="prove",
    name="prove",
    words="Prove",
    fields=(
        RUN_WHERE,
        RUN_HOW,
        PLATE_NONE,
        PLATE_ANEW,
        USUAL_FROM,
        *earth.FIELDS,
        *field.FIELDS,
        *run_fields.FIELDS,
        *standstill.FIELDS,
        *driven.FIELDS,
        COMPLAINT_NOW,
        CAUSE_WAS,
        *ALSO_WAS.values(),
    ),
    findings=(*earth.FINDINGS, *field.FINDINGS, *run_findings.FINDINGS),
    gate=POWER,
    schools=("school.test",),
    proves=True,
    asks=(CONSTRUCTION, RATED_V, RATED_A, RATED_RPM, PERMITTED_RPM, SAFE_NOLOAD_V, NOLOAD_A_MOST),
    asks_some=(
        (_may_shock, (PROTECTION,)),
        (_is_starter, (NOLOAD_RPM_LEAST,)),
        (proves_field, (FIELD_LEADS, FIELD_A, FIELD_OHM)),
        (_turns_something, (IT_TURNS,)),
        (_idles, (USUAL_NOLOAD_RPM,)),
    ),
)
