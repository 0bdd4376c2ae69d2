"""What stands at “Open and record” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.judging import stacks
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages import polarity
from norvash.core.sheet.stages.record import STAGE
from norvash.core.sheet.visit.stacks import stacks_now
from norvash.core.sheet.visit.visit import Judging, Visit


def _judge(sheet: Sheet, _rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    return polarity.wrong_boxes(sheet)


def _before_power(visit: Visit) -> Iterator[str]:
    yield from stacks.unseen(visit, "inside")


def _before_service(visit: Visit) -> Iterator[str]:
    yield from stacks.unseen(visit, "machine")


def _left(visit: Visit) -> str:
    """Return how many parts are lent and not seen yet."""
    lent = sum(len(s.lent) for s in stacks_now(visit.sheet, visit.rules) if s.begun)
    return f"{lent} lent" if lent else ""


JUDGING = Judging(stage=STAGE, judge=_judge, holds={"power": _before_power, "service": _before_service}, left=_left)
