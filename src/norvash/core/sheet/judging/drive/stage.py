"""What stands at “Bearings and drive” says, keeps shut and waits for."""

from collections.abc import Iterable
from functools import partial

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.stage import STAGE
from norvash.core.sheet.visit.on_axis import left_to_look_at
from norvash.core.sheet.visit.visit import Judging


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.judging.drive.findings import findings

    return findings(sheet, rules)


JUDGING = Judging(stage=STAGE, judge=_judge, left_of=partial(left_to_look_at, STAGE.id))
