"""What stands at “Sign” says, keeps shut and waits for."""

from collections.abc import Iterator

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.gates import SERVICE
from norvash.core.stages.sign import STAGE
from norvash.core.stages.signed_over import OVER_SERVICE
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.visit import Judging, Visit


def _is_done(visit: Visit) -> bool:
    return visit.sheet.signed_at is not None


def _answered(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Yield that the last gate was open at an earlier signature, where it is ticked on this sheet."""
    if not ticked(SERVICE, sheet, rules).is_open:
        yield OVER_SERVICE


JUDGING = Judging(stage=STAGE, is_done=_is_done, answered=_answered)
