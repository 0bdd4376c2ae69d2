"""What stands at “Make safe” says, keeps shut and waits for."""

from norvash.core.stages.gates import SAFE
from norvash.core.stages.safe import STAGE
from norvash.core.visit.gate_ticked import ticked
from norvash.core.visit.visit import Judging, Visit


def _is_done(visit: Visit) -> bool:
    return not ticked(SAFE, visit.sheet, visit.rules).is_open


JUDGING = Judging(stage=STAGE, is_done=_is_done)
