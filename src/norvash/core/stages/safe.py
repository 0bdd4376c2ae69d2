"""Make safe: the gate before anything is taken inside."""

from norvash.core.motor.figure_fields import IT_TURNS, PROTECTION, PROTECTIONS, WHERE_IT_STANDS
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.stage import Stage
from norvash.core.stages.gates import METHOD, SAFE


def _not_stated(facts: Facts, _rules: MotorRules) -> bool:
    """Tell whether nobody states how a machine on a mains protects against shock, but for its sheets."""
    fed = facts.motor_class in ("appliance", "tool", "industrial") and not facts.low_voltage
    return fed and (not PROTECTION.stated(facts.figures) or PROTECTION.basis(facts.figures).startswith("said"))


PROTECTED_BY = pick(
    "protection",
    "Protection",
    "How it protects against shock",
    *((p, p) for p in PROTECTIONS),
    offered=_not_stated,
    marks="protection",
    placed=True,
)


STAGE = Stage(
    id="safe",
    name="safe",
    words="Make safe",
    fields=(PROTECTED_BY, METHOD),
    asks=(IT_TURNS, WHERE_IT_STANDS),
    gate=SAFE,
    quick=True,
    skipped=False,
)
