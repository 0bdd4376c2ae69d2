"""What stands at “Close up” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.judging import stacks
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.close import FIELDS, LATCHED, STAGE
from norvash.core.sheet.stages.record import HOW_FAR_OPEN
from norvash.core.sheet.visit.done import last_work
from norvash.core.sheet.visit.stacks import stacks_now
from norvash.core.sheet.visit.visit import Judging, Visit


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield that nobody has said that the brushes are let go, where new ones came in or the armature was out."""
    sheet, let_go = visit.sheet, LATCHED.given(visit.sheet)
    if visit.found.new or HOW_FAR_OPEN.of(sheet) == "stripped":
        if let_go is None:
            yield "nobody has said that nothing holds a brush back: latches and hooks"
        elif let_go.at < last_work(sheet):
            yield "latches and hooks were looked at before the last work: look again"
    yield from stacks.not_closed(visit, "inside")
    yield from stacks.left_over(visit)
    yield from stacks.again_after_pause(visit)
    yield from stacks.turned_since(visit)
    yield from stacks.insulation_since(visit)


def _before_service(visit: Visit) -> Iterator[str]:
    """Yield what of the machine is not back as it came off, and the earth that was not measured since."""
    yield from stacks.not_closed(visit, "machine")
    yield from stacks.earth_since(visit)


def _judge(sheet: Sheet, rules: MotorRules, _worn_mm: tuple[float, ...]) -> Iterable[Noted]:
    return stacks.judge(sheet, rules)


def _left(visit: Visit) -> str:
    """Return how many of the parts that came off are back."""
    off = [p for s in stacks_now(visit.sheet, visit.rules) for p in s.off]
    back = sum(p.state in ("back", "renewed") for p in off)
    return f"{back} of {len(off)} back" if off and back < len(off) else ""


def _is_done(visit: Visit) -> bool:
    """Tell whether it was closed up since the last work on it."""
    closed = [given.at for f in FIELDS if (given := f.given(visit.sheet)) is not None]
    return max(closed, default=visit.sheet.at) >= last_work(visit.sheet) and bool(closed)


JUDGING = Judging(
    stage=STAGE, judge=_judge, holds={"power": _before_power, "service": _before_service}, is_done=_is_done, left=_left
)
