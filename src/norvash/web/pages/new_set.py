"""Fitting a new set of brushes."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.motor.classes import CAUTION_FOR_ALL, TEMPLATES
from norvash.core.use.counting import HAPPENED
from norvash.errors import NorvashError
from norvash.exchange.said.brushes import Fit, Renew
from norvash.exchange.said.told import At, Seen, Statement
from norvash.store.record import sheets
from norvash.web.drawn.motor import drawing_of
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import numbered
from norvash.work.on_sheet.brushes_used import END_REASONS
from norvash.work.pages.motor import motor_page

router = APIRouter()


@router.get("/motors/{motor_id}/new-set")
def ask(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str) -> Response:
    """Ask for the reason, the counter and the starting lengths."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/new-set")
    return _page(request, conn, now, motor_id=motor_id, typed={}, error=None)


def _page(
    request: Request, conn: Conn, now: Now, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    template = TEMPLATES[shown.context.motor.motor_class]
    return page(
        request,
        "new_set.html",
        status_of(error) if error else 200,
        area="Motors",
        m=shown,
        reasons=END_REASONS,
        ruler=drawing_of(shown, "carbon-ruler"),
        narrow=drawing_of(shown, "carbon-ruler", narrow=True),
        motor=shown.context.motor,
        state=shown.context.state,
        found=shown.found,
        said=shown.said,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
        happened=HAPPENED,
        cautions=(template.caution, CAUTION_FOR_ALL),
    )


@router.post("/motors/{motor_id}/sets")
@again(_page)
def fit(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """End the old set and start the new one."""
    lengths, only = numbered(typed, "length"), numbered(typed, "only")
    made: Statement
    if only:
        made = Renew.of(typed, lengths={n: lengths.get(n, "") for n in only})
    else:
        made = Fit.of(typed, lengths=lengths, part="", variant="", also=())
    made.done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    request.app.state.catch_up(request.app)
    left_open = sheets.open_sheet_of(conn, motor_id)
    return go_to(f"/sheets/{left_open.id}/brushes" if left_open is not None else f"/motors/{motor_id}")
