"""What stands at “Bearings and drive” says, keeps shut and waits for."""

from collections.abc import Iterable
from functools import partial

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.drive.stage import STAGE
from norvash.core.visit.on_axis import left_to_look_at
from norvash.core.visit.visit import Judging


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    from norvash.core.judging.drive.values import measured

    return measured(sheet, rules, worn_mm)


JUDGING = Judging(stage=STAGE, measure=_measure, left_of=partial(left_to_look_at, STAGE.id))
