"""What stands at “Bearings and drive” says, keeps shut and waits for."""

from collections.abc import Iterable

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.stage import STAGE
from norvash.core.sheet.visit.visit import Judging


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    from norvash.core.sheet.judging.drive.findings import findings

    return findings(sheet, rules)


JUDGING = Judging(stage=STAGE, judge=_judge)
