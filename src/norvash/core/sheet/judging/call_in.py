"""What stands at “Call in” says, keeps shut and waits for."""

from collections.abc import Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.call_in import COMPLAINT_DEAD, STAGE
from norvash.core.sheet.stages.prove.complaint import complaint_gone
from norvash.core.sheet.visit.visit import Judging


def _judge(sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return that it does not run, until somebody says that this is gone."""
    dead = any(f.of(sheet) in f.sign.dead for f in STAGE.picked)
    if dead and not complaint_gone(sheet):
        yield 0, COMPLAINT_DEAD


JUDGING = Judging(stage=STAGE, judge=_judge)
