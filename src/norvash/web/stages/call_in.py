"""What the call shows: what stands from earlier visits, the last work on it, and what to bring."""

from collections.abc import Iterator
from dataclasses import dataclass

from norvash.core.sheet.judging.call_in import complaints
from norvash.core.sheet.stages.call_in import COMPLAINT_ASKED, COMPLAINT_BACK, COMPLAINT_KIND, COMPLAINT_UNKNOWN
from norvash.core.sheet.visit.bringing import Item, what_to_bring
from norvash.core.sheet.visit.on_axis import parts_now
from norvash.web.axis_drawn import AxisDrawn, axis_drawn
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.lives import LifeShown
from norvash.work.history import HistoryLine
from norvash.work.sheet_page import SheetPage, last_work


@dataclass(frozen=True, slots=True, kw_only=True)
class CallIn:
    """The call: what to bring, what stands from earlier visits, the counter at the opening, the last work,
    and the section with what is still open; what is `asked` of the complaint.
    """

    bring: tuple[Item, ...]
    before: list[LifeShown]
    asked: list[Entry]
    opened_at: float
    last_work: HistoryLine | None
    axis: AxisDrawn | None


def _asked(shown: SheetPage) -> Iterator[Entry]:
    """Yield what is asked of a complaint: which kind it is, where it was said in words only; whether one that was gone
    has come back.
    """
    sheet = shown.sheet
    if COMPLAINT_ASKED in complaints(sheet) or COMPLAINT_KIND.given(sheet) is not None:
        yield entry(shown, COMPLAINT_KIND)
    carried = any(x.finding.id == COMPLAINT_UNKNOWN.id and x.kept is not None and not x.came for x in shown.visit.lives)
    if carried or COMPLAINT_BACK.given(sheet) is not None:
        yield entry(shown, COMPLAINT_BACK)


def view(at: At) -> CallIn:
    """Return what the call shows."""
    shown = at.shown
    before = [x for x in shown.visit.lives if x.kept is not None and x.kept.sheet_id != shown.row.id]
    return CallIn(
        bring=what_to_bring(shown.context.facts, shown.found, shown.cause, shown.context.rules),
        before=[LifeShown(shown, x) for x in before],
        asked=list(_asked(shown)),
        opened_at=shown.opened_at,
        last_work=last_work(at.conn, shown),
        axis=axis_drawn(shown.visit, shown.found, parts_now(shown.visit), brief=True) if before else None,
    )
