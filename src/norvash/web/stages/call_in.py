"""What the call shows: what stands from earlier visits, the last work on it, and what to bring."""

from dataclasses import dataclass

from norvash.core.sheet.visit.bringing import Item, what_to_bring
from norvash.core.sheet.visit.on_axis import parts_now
from norvash.web.axis_drawn import AxisDrawn, axis_drawn
from norvash.web.stages.at import At
from norvash.web.stages.lives import LifeShown
from norvash.work.history import HistoryLine
from norvash.work.sheet_page import last_work


@dataclass(frozen=True, slots=True)
class CallIn:
    """The call: what to bring, what stands from earlier visits, the counter at the opening, the last work,
    and the section with what is still open.
    """

    bring: tuple[Item, ...]
    before: list[LifeShown]
    opened_at: float
    last_work: HistoryLine | None
    axis: AxisDrawn | None


def view(at: At) -> CallIn:
    """Return what the call shows."""
    shown = at.shown
    before = [x for x in shown.visit.lives if x.kept is not None and x.kept.sheet_id != shown.row.id]
    return CallIn(
        what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        [LifeShown(shown, x) for x in before],
        shown.opened_at,
        last_work(at.conn, shown),
        axis_drawn(shown.visit, shown.found, parts_now(shown.visit), brief=True) if before else None,
    )
