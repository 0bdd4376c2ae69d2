"""What stands at “Close up” says, keeps shut and waits for."""

from collections.abc import Iterator

from norvash.core.sheet.stages.close import FIELDS, LATCHED, STAGE
from norvash.core.sheet.stages.record import HOW_FAR_OPEN
from norvash.core.sheet.visit.done import last_work
from norvash.core.sheet.visit.visit import Judging, Visit


def _before_power(visit: Visit) -> Iterator[str]:
    """Yield that nobody has said that the brushes are let go, where new ones came in or the armature was out."""
    sheet, let_go = visit.sheet, LATCHED.given(visit.sheet)
    if visit.found.new or HOW_FAR_OPEN.of(sheet) == "stripped":
        if let_go is None:
            yield "nobody has said that nothing holds a brush back: latches and hooks"
        elif let_go.at < last_work(sheet):
            yield "latches and hooks were looked at before the last work: look again"


def _is_done(visit: Visit) -> bool:
    """Tell whether it was closed up since the last work on it."""
    closed = [given.at for f in FIELDS if (given := f.given(visit.sheet)) is not None]
    return max(closed, default=visit.sheet.at) >= last_work(visit.sheet) and bool(closed)


JUDGING = Judging(stage=STAGE, holds={"power": _before_power}, is_done=_is_done)
