"""How long the slots of a commutator take here, and the minutes of the tasks that have a plan."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.judging.commutator.copper_now import CopperNow, copper_now
from norvash.core.judging.commutator.to_cut import slots_min
from norvash.core.motor.figure_fields import UNDERCUT_MM
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import PLAN_CUT, UNDERCUT_MICA

# The tasks of which a sheet may have a plan.
PLANNED = (PLAN_CUT, UNDERCUT_MICA)


@dataclass(frozen=True, slots=True)
class SlotsHere:
    """How long slots and cuts take here: the factors of the site on the estimates, of slots by how many sheets."""

    factor: float = 1.0
    sheets: int = 0
    cut_factor: float = 1.0

    def minutes(self, now: CopperNow, sheet: Sheet, rules: MotorRules) -> float | None:
        """Return the minutes for the slots of a commutator, None where its bars are not known, and on flush insulation.

        Units: -> [min]
        """
        flush = UNDERCUT_MM.of(sheet.facts.figures) == 0
        return None if not now.bars or flush else slots_min(now.bars, sheet, rules, self.factor)


def cut_minutes(sheet: Sheet, rules: MotorRules) -> float | None:
    """Return the minutes of the cut that is planned, or was before it was made; None where there is no plan.

    Units: -> [min]. Source: rule cut.setting
    """
    plan = copper_now(sheet, rules).plan or copper_now(sheet.as_found, rules).plan
    return None if plan is None else plan.total_min


def planned_minutes(sheet: Sheet, slots: SlotsHere, rules: MotorRules) -> Mapping[Task, float]:
    """Return the minutes of the tasks of which a sheet has a plan: the cut with its setting up, the slots by the bars.

    Units: -> [min]
    Source: rules cut.setting, slot.seconds
    """
    now, cut_min = copper_now(sheet, rules), cut_minutes(sheet, rules)
    own = None if cut_min is None else slots.cut_factor * cut_min
    every = zip(PLANNED, (own, slots.minutes(now, sheet, rules)), strict=True)
    return {task: minutes for task, minutes in every if minutes is not None}
