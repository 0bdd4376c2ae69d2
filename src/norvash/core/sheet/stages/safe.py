"""Make safe: the gate before anything is taken inside."""

from norvash.core.sheet.gates import METHOD, SAFE
from norvash.core.sheet.stage import Stage, Visit


def _is_done(visit: Visit) -> bool:
    return not SAFE.ticked(visit.sheet, visit.rules).is_open


STAGE = Stage(
    id="safe", name="safe", words="Make safe", fields=(METHOD,), gate=SAFE, quick=True, skipped=False, is_done=_is_done
)
