"""What stands at “Open and record” says, keeps shut and waits for."""

from collections.abc import Iterable

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages import polarity
from norvash.core.sheet.stages.record import STAGE
from norvash.core.sheet.visit.visit import Judging


def _judge(sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    return polarity.wrong_boxes(sheet)


JUDGING = Judging(stage=STAGE, judge=_judge)
