"""The bench."""

from datetime import timedelta

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse

from norvash.drawing.brush.carbon_ruler import ruler_head
from norvash.drawing.days.date_span import TimeAxis, axis_head
from norvash.web.drawn.lists import kept_with, list_span, row_ruler_drawn
from norvash.web.list_leads import lead_of_row, waits_for
from norvash.web.served.answers import page
from norvash.web.served.deps import Conn, Now
from norvash.work.pages.bench import PAGE, PRINTED, BenchRow, bench

router = APIRouter()
_WEEKS = 40
_AXIS_PX, _RULER_PX = 240.0, 350.0


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
        lead = lead_of_row(row)
        # What its carbon would allow is not what a motor waits for that something else stops, nor a day beyond all that
        # is shown.
        quiet = not lead["carbon"] or (row.limit_on is not None and row.limit_on > axis.last)
        waits = waits_for(row, lead)
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
