"""What stands at “Before opening” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.fields import TAP_V
from norvash.core.stages.before.stage import STAGE
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.visit.visit import Judging, Visit
from norvash.core.visit.walk import open_permits


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    from norvash.core.judging.before.measured import measured

    return measured(sheet, rules, worn_mm)


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield every test with power on that is not closed, and that some of its settings only were measured."""
    yield from (f"Test with power on no. {n} is not closed" for n in open_permits(visit.sheet))
    read, every = len(TAP_V.places(visit.sheet)), len(visit.sheet.facts.taps)
    if 0 < read < every and OUTCOME.of(visit.sheet) not in STOPS:
        yield f"Speed settings: {read} of {every} measured"


JUDGING = Judging(stage=STAGE, holds={"sign": _before_signing}, measure=_measure)
