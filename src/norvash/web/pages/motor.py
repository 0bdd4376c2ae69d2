"""One motor: verdict, drawings, history."""

from fastapi import APIRouter, Query, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.brush.doubts import ANSWERS
from norvash.core.motor.classes import CAUTION_FOR_ALL, TEMPLATES
from norvash.core.verdict.proportion import remarks
from norvash.core.visit.on_axis import parts_now
from norvash.errors import NorvashError
from norvash.web.drawn.axis import axis_drawn
from norvash.web.drawn.motor import drawing_of
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.motors.confirming import confirm
from norvash.work.motors.retiring import take_back_into_use
from norvash.work.pages.motor import motor_page
from norvash.work.pages.record import lines_of, sheets_of
from norvash.work.reading.loading import load

router = APIRouter()
_DRAWINGS = ("end-view", "life-line", "when-bar", "carbon-ruler")


@router.get("/motors/{motor_id}")
def show(*, request: Request, conn: Conn, now: Now, motor_id: str) -> HTMLResponse:
    """Show a motor's page."""
    return _page(request, conn, now, motor_id, None)


def _page(request: Request, conn: Conn, now: Now, motor_id: str, error: NorvashError | None) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    template = TEMPLATES[shown.context.motor.motor_class]
    return page(
        request,
        "motor.html",
        status_of(error) if error else 200,
        area="Motors",
        m=shown,
        context=shown.context,
        motor=shown.context.motor,
        gone=shown.context.motor.gone_by(now.date()),
        state=shown.context.state,
        found=shown.found,
        said=shown.said,
        drawings={name: drawing_of(shown, name) for name in _DRAWINGS},
        narrow={name: drawing_of(shown, name, narrow=True) for name in _DRAWINGS[1:]},
        remarks=remarks(shown.found, shown.context.state, shown.context.rules),
        answers=ANSWERS,
        axis=axis_drawn(shown.visit, shown.found, parts_now(shown.visit)) if shown.visit is not None else None,
        doubt_id=fresh_id(),
        error=error,
        errors=errors_of(error),
        caution=f"{template.caution} {CAUTION_FOR_ALL}",
    )


_AT = Query(None, ge=1, le=2**53)


@router.get("/motors/{motor_id}/record")
def record(
    *, request: Request, conn: Conn, motor_id: str, sheets: int | None = _AT, lines: int | None = _AT
) -> HTMLResponse:
    """Show a motor's record page by page: sheets below a number, lines below a place in the order of writing."""
    context = load(conn, motor_id)
    return page(
        request,
        "record.html",
        200,
        area="Motors",
        motor=context.motor,
        sheets=sheets_of(conn, motor_id, sheets),
        lines=lines_of(conn, motor_id, context.unit, lines),
        sheets_below=sheets,
        lines_below=lines,
    )


@router.post("/motors/{motor_id}/changes/{moved_id}")
@again(_page)
def confirm_change(
    *, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, moved_id: str, typed: Typed
) -> Response:
    """Confirm a change that something of a motor rests on, or name its source."""
    confirm(conn, act_of(typed, who, now), motor_id, moved_id, typed.get("source", ""))
    return go_to(f"/motors/{motor_id}#rests")


@router.post("/motors/{motor_id}/use-again")
@again(_page)
def use_again(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Take a retired motor back into use."""
    take_back_into_use(conn, act_of(typed, who, now), motor_id, typed.get("why", ""))
    return go_to(f"/motors/{motor_id}")


@router.get("/motors/{motor_id}/drawings/{name}.svg")
def drawing(*, conn: Conn, now: Now, motor_id: str, name: str) -> Response:
    """Give one drawing as a file."""
    shown = motor_page(conn, motor_id, now.date())
    found = drawing_of(shown, name)
    tag = "".join(c if c.isascii() and c.isalnum() else "-" for c in shown.context.motor.tag)
    headers = {"Content-Disposition": f'attachment; filename="{tag}-{name}.svg"'}
    return Response(found.file(), media_type="image/svg+xml", headers=headers)
