"""The bench."""

from collections.abc import Mapping
from datetime import timedelta
from typing import Any

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse

from norvash.core.sheet.part import BRUSHES, LOOK
from norvash.drawing.carbon_ruler import ruler_head
from norvash.drawing.date_span import TimeAxis, axis_head
from norvash.web.answers import page
from norvash.web.deps import Conn, Now
from norvash.web.list_drawings import kept_with, list_span, row_ruler_drawn
from norvash.work.bench import PAGE, PRINTED, BenchRow, bench

router = APIRouter()
_WEEKS = 40
_AXIS_PX, _RULER_PX = 240.0, 350.0
_HELD = ("stop", "change")
# Why a motor that something else than its carbon holds has no day.
_WAITS = {"Prove": "measure, then a date", "Measure": "no date until then", "Settle": "no date until then"}


def _risen(row: BenchRow) -> Mapping[str, Any] | None:
    """Return what leads a motor that has risen by a day for something else than its carbon."""
    if row.risen_part in ("", BRUSHES.id):
        return None
    value = "Measure" if row.risen_part == LOOK.id else "Mend" if row.grade in _HELD else "Plan"
    return {"value": value, "unit": "", "words": row.note, "carbon": row.risen_part == LOOK.id}


def _led_before(row: BenchRow) -> Mapping[str, Any]:
    """Return what leads a motor that was judged before its lead was kept: its carbon."""
    left = row.listed.standing.left_mm
    value = "–" if left is None else f"{left:.1f}"
    return {"value": value, "unit": "mm", "words": "to its limit" if left is not None else "no length", "carbon": True}


@router.get("/")
def show(*, request: Request, conn: Conn, now: Now, p: int = 1, every: bool = False) -> HTMLResponse:
    """Show the motors that need hands, most urgent first; `every` one of them at once, for paper."""
    state = request.app.state
    if state.bench_day != now.date() and not state.pool.watch.state:  # what retires on a day does so by itself
        state.bench_day = now.date()
        state.catch_up(request.app)
    most = PRINTED if every else PAGE
    found = bench(conn, now.date(), p, most)
    if found.motors == 0:
        from norvash.web.first_page import first_page  # what it needs is loaded in an empty shop alone

        return first_page(request, conn, now, {})
    axis = TimeAxis(now.date(), now.date() + timedelta(weeks=_WEEKS), _AXIS_PX)
    listed = [*found.rows, *found.coming]
    longest = max((kept_with(r.listed.standing.drawing_json)[0] for r in listed), default=1.0)

    def drawn(row: BenchRow) -> dict[str, object]:
        kept = row.listed.standing.drawing_json
        lead = _risen(row) or kept_with(kept)[1] or _led_before(row)
        # What its carbon would allow is not what a motor waits for that something else stops, nor a day beyond all that
        # is shown.
        quiet = not lead["carbon"] or (row.limit_on is not None and row.limit_on > axis.last)
        waits = "" if lead["carbon"] else _WAITS.get(lead["value"], "when it is mended" if row.grade in _HELD else "")
        span = "" if waits else list_span(axis, row.look_on, row.limit_on, row.early_on, row.late_on)
        ruler = row_ruler_drawn(kept, _RULER_PX, longest)
        flags = [f for f in row.flags.split("; ") if f and f not in lead["words"].lower()]
        return {
            "row": row,
            "flags": "; ".join(flags),
            "ruler": ruler,
            "lead": lead,
            "span": span,
            "waits": waits,
            "quiet": quiet,
        }

    return page(
        request,
        "bench.html",
        area="Bench",
        found=found,
        start=(found.page - 1) * most + 1,
        every=every,
        rows=[drawn(r) for r in found.rows],
        coming=[drawn(r) for r in found.coming],
        head=axis_head(axis),
        scale=ruler_head(_RULER_PX, longest),
        errors={},
    )
