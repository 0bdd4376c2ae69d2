"""Hours: the log of one motor, and the way to it."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.store.database import Connection
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.forms import UseForm
from norvash.web.motor_drawings import drawing_of
from norvash.work.bench import REGISTER_PAGE, register
from norvash.work.logging_use import MODES, log_use, take_back
from norvash.work.motor_page import motor_page

router = APIRouter()


@router.get("/hours")
def show(request: Request, conn: Conn, now: Now, q: str = "", p: int = 1) -> HTMLResponse:
    """Show whose hours can be logged."""
    rows = register(conn, q[:80], "", p, now.date())
    return page(
        request,
        "hours.html",
        area="Hours",
        rows=rows[:REGISTER_PAGE],
        more=len(rows) > REGISTER_PAGE,
        q=q,
        p=max(p, 1),
        errors={},
    )


@router.get("/motors/{motor_id}/hours")
def log(request: Request, conn: Conn, now: Now, who: Who, motor_id: str) -> Response:
    """Show a motor's log with the field for its next entry."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/hours")
    return _page(request, conn, now, motor_id, {}, None)


def _page(
    request: Request, conn: Connection, now: Now, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    state = shown.context.state
    curve, narrow = (drawing_of(shown, "use-curve", narrow=n) if state.entries else None for n in (False, True))
    return page(request, "motor_hours.html", status_of(error) if error else 200, area="Hours", m=shown, modes=MODES,
                motor=shown.context.motor, state=state, said=shown.said, curve=curve, narrow=narrow, act_id=fresh_id(),
                strike_id=fresh_id(), typed=typed, error=error, errors=errors_of(error))  # fmt: skip


@router.post("/motors/{motor_id}/hours")
def add(request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep one entry of use."""
    form = UseForm.of(typed)
    try:
        log_use(conn, act_of(typed, who, now), motor_id, form.value, form.mode, form.day, form.answer)
    except NorvashError as error:
        return _page(request, conn, now, motor_id, typed, error)
    return go_to(f"/motors/{motor_id}/hours")


@router.post("/motors/{motor_id}/hours/take-back")
def strike(request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Take the newest entry back."""
    try:
        take_back(conn, act_of(typed, who, now), motor_id)
    except NorvashError as error:
        return _page(request, conn, now, motor_id, {}, error)
    return go_to(f"/motors/{motor_id}/hours")
