"""What stands at “Brushes” says, keeps shut and waits for."""

from collections.abc import Iterable, Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes import side
from norvash.core.stages.brushes.stage import STAGE
from norvash.core.stages.decide import OUTCOME, STOPS
from norvash.core.stages.polarity import boxes, wrong_at
from norvash.core.text.words import listed
from norvash.core.visit.visit import Judging, Visit
from norvash.core.visit.walk import upstream


def _measure(sheet: Sheet, rules: MotorRules, worn_mm: tuple[float, ...]) -> Iterable[Measured]:
    from norvash.core.judging.brushes.values import measured

    return measured(sheet, rules, worn_mm)


def _answered(sheet: Sheet, _rules: MotorRules) -> Iterable[Finding]:
    return (side.SET_UNEVEN,) if side.side_looked_at(sheet) else ()


def _is_done(visit: Visit) -> bool:
    found = visit.found
    return visit.measured and not found.missing and not found.doubts


def _left(visit: Visit) -> str:
    if not visit.measured:
        return ""
    missing, doubts = len(visit.found.missing), len(visit.found.doubts)
    return ", ".join([*([f"{missing} not measured"] if missing else []), *([f"{doubts} doubtful"] if doubts else [])])


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield that the polarity of the arms is wrong by the motor's plan; what was read at the boxes is a finding."""
    if not boxes(visit.sheet) and wrong_at(visit.sheet):
        yield wrong_at(visit.sheet)


def _before_signing(visit: Visit) -> Iterator[str]:
    """Yield what of the brushes nobody has measured, or is doubtful, or not said."""
    sheet, found, skip = visit.sheet, visit.found, STAGE.skip
    stays = sheet.kind != "quick" and OUTCOME.of(sheet) in STOPS  # it runs no more: nobody has to measure for that
    if visit.asked_readings:
        yield f"Not said of which brush: {listed(list(visit.asked_readings))}"
    if not (stays or upstream(sheet) or (skip and skip.of(sheet))):
        if not visit.measured:
            yield "The brushes are not measured"
        else:
            yield from _unread(visit)
    if visit.measured:
        yield from (f"The reading of {d.label} is doubtful" for d in found.doubts)


def _unread(visit: Visit) -> Iterator[str]:
    """Yield what nobody has measured, and what was measured on a brush that does not follow its wear."""
    found = visit.found
    unread = [m for m in found.missing if m not in found.held]
    if unread:
        yield f"Not measured: {listed(unread)}"
    if found.held:
        yield f"What was measured of {listed(list(found.held))} proves nothing: free it and measure it again"


JUDGING = Judging(
    stage=STAGE,
    measure=_measure,
    answered=_answered,
    holds={"power": _before_power, "sign": _before_signing},
    is_done=_is_done,
    left=_left,
)
