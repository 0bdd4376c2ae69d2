"""What stands at “Open and record” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.judging import stacks
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages import polarity
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.stages.record import STAGE
from norvash.core.visit.stacks import stacks_now
from norvash.core.visit.visit import Judging, Visit


def _measure(sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    return polarity.measured(sheet)


def _before_power(visit: Visit) -> Iterator[str]:
    yield from _unfinished(visit)
    yield from stacks.unseen(visit, "inside")


def _unfinished(visit: Visit) -> Iterator[str]:
    """Yield that the polarity was read at some boxes only: of the others nothing is known."""
    if words := polarity.unfinished(visit.sheet):
        yield f"{words}: read every one"


def _before_signing(visit: Visit) -> Iterator[str]:
    if OUTCOME.of(visit.sheet) not in STOPS:
        yield from (f"{words[0].upper()}{words[1:]}" for words in _unfinished(visit))


def _before_service(visit: Visit) -> Iterator[str]:
    yield from stacks.unseen(visit, "machine")


def _left(visit: Visit) -> str:
    """Return how many parts are lent and not seen yet."""
    lent = sum(len(s.lent) for s in stacks_now(visit.sheet, visit.rules) if s.begun)
    return f"{lent} lent" if lent else ""


JUDGING = Judging(
    stage=STAGE,
    measure=_measure,
    holds={"power": _before_power, "service": _before_service, "sign": _before_signing},
    left=_left,
)
