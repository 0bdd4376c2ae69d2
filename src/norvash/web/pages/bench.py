"""The bench."""

from datetime import timedelta

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse

from norvash.drawing.date_span import TimeAxis, axis_head
from norvash.web.answers import page
from norvash.web.deps import Conn, Now
from norvash.web.list_drawings import list_ruler, list_span
from norvash.work.bench import PAGE, BenchRow, bench

router = APIRouter()
_WEEKS = 40
_AXIS_PX, _RULER_PX = 330.0, 360.0


@router.get("/")
def show(*, request: Request, conn: Conn, now: Now, p: int = 1) -> HTMLResponse:
    """Show the motors that need hands, most urgent first."""
    state = request.app.state
    if state.bench_day != now.date() and not state.pool.watch.state:  # what retires on a day does so by itself
        state.bench_day = now.date()
        state.catch_up(request.app)
    found = bench(conn, now.date(), p)
    if found.motors == 0:
        from norvash.web.first_page import first_page  # what it needs is loaded in an empty shop alone

        return first_page(request, conn, now, {})
    axis = TimeAxis(now.date(), now.date() + timedelta(weeks=_WEEKS), _AXIS_PX)

    def drawn(row: BenchRow) -> dict[str, object]:
        ruler, unit, estimated = list_ruler(row.listed.standing.drawing_json, _RULER_PX)
        span = list_span(axis, row.look_on, row.limit_on, row.early_on, row.late_on)
        # What its carbon would allow is not what a motor waits for whose limit lies beyond all that is shown.
        quiet = row.limit_on is not None and row.limit_on > axis.last
        return {"row": row, "ruler": ruler, "unit": unit, "estimated": estimated, "span": span, "quiet": quiet}

    return page(
        request,
        "bench.html",
        area="Bench",
        found=found,
        start=(found.page - 1) * PAGE + 1,
        rows=[drawn(r) for r in found.rows],
        coming=[drawn(r) for r in found.coming],
        head=axis_head(axis),
        errors={},
    )
