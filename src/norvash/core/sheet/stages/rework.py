"""Rework: the work list, temporary repairs, holders set after a cut."""

from norvash.core.motor.figure_fields import COMMUTATOR_NOW_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.field import Repair, tick
from norvash.core.sheet.stage import Stage


def _was_cut(facts: Facts, _rules: MotorRules) -> bool:
    return COMMUTATOR_NOW_MM.stated(facts.figures) is not None


TEMPORARY = Repair(
    id="temporary",
    group="Temporary repairs",
    label="What was done to get it going",
    needs="safe",
    per="number",
    placed=True,
)
HOLDER_SET = tick(
    "holder-set", "After a cut", "Holders set to the new diameter", needs="safe", offered=_was_cut, marks="set"
)
STAGE = Stage(id="rework", name="rework", words="Rework", fields=(TEMPORARY, HOLDER_SET), inside=True)
