"""What stands at “Rework” says, keeps shut and waits for."""

from collections.abc import Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.judging import prints
from norvash.core.sheet.part import COMPLAINT
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.decide import OUTCOME, STOPS
from norvash.core.sheet.stages.rework import REPAIR, STAGE, TEMPORARY
from norvash.core.sheet.visit.proving import open_words
from norvash.core.sheet.visit.visit import Judging, Visit


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterator[Noted]:
    """Return the temporary repairs of a sheet, each at its own number, and what its prints say of its faces."""
    for n in TEMPORARY.places(sheet):
        yield n, REPAIR.saying(TEMPORARY.of(sheet, n))
    yield from prints.judge(sheet, rules)


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield every finding that was decided and is not done, or done and not proven; not what was handed over."""
    quick = visit.sheet.kind == "quick"
    if not quick and OUTCOME.of(visit.sheet) in STOPS:
        return
    for life in visit.lives:
        waits = life.state == "done not proven" or (life.state == "open" and life.decided is not None)
        if waits and life.finding.part is not COMPLAINT and not life.handed_over:
            yield open_words(life, quick=quick)


JUDGING = Judging(stage=STAGE, holds={"sign": _before_signing}, judge=_judge)
