"""What stands at “Make safe” says, keeps shut and waits for."""

from norvash.core.sheet.stages.gates import SAFE
from norvash.core.sheet.stages.safe import STAGE
from norvash.core.sheet.visit.gate_ticked import ticked
from norvash.core.sheet.visit.visit import Judging, Visit


def _is_done(visit: Visit) -> bool:
    return not ticked(SAFE, visit.sheet, visit.rules).is_open


JUDGING = Judging(stage=STAGE, is_done=_is_done)
