"""What stands at “Sign” says, keeps shut and waits for."""

from norvash.core.sheet.stages.sign import STAGE
from norvash.core.sheet.visit.visit import Judging, Visit


def _is_done(visit: Visit) -> bool:
    return visit.sheet.signed_at is not None


JUDGING = Judging(stage=STAGE, is_done=_is_done)
