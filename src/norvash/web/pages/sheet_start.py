"""Where a sheet is begun: what is asked before it is opened."""

from urllib.parse import quote

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.sheet.stages.gates import COMPETENT, METHODS, SAFE, usual_method
from norvash.errors import NorvashError
from norvash.web.answers import errors_of, go_to, page, status_of
from norvash.web.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.forms import SheetForm
from norvash.work.motor_page import motor_page
from norvash.work.opening import KINDS, SHEET_KINDS, open_sheet

router = APIRouter()


@router.get("/motors/{motor_id}/sheet")
def head(
    *, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, kind: str = "quick", position: int = 0
) -> Response:
    """Ask for the counter, or offer to go on with the sheet that is open."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/sheet")
    return _head(
        request, conn, now, motor_id=motor_id, typed={"sheet_kind": kind, "position": str(position)}, error=None
    )


def _head(
    request: Request, conn: Conn, now: Now, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    shown = motor_page(conn, motor_id, now.date())
    kind = typed.get("sheet_kind", "")
    return page(
        request,
        "sheet_start.html",
        status_of(error) if error else 200,
        area="Motors",
        m=shown,
        kinds=KINDS,
        sheet_kinds=SHEET_KINDS,
        kind=kind if kind in SHEET_KINDS else "quick",
        motor=shown.context.motor,
        state=shown.context.state,
        said=shown.said,
        act_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
        steps=SAFE.steps(shown.context.facts, shown.context.rules),
        isolation=METHODS[usual_method(shown.context.facts)],
        competent=COMPETENT,
    )


@router.post("/motors/{motor_id}/sheets")
def start(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Open a sheet, or go on with the one that is open."""
    form = SheetForm.of(typed)
    if form.answer == "earlier":
        return go_to(f"/motors/{motor_id}/notes?counter={quote(form.counter[:40])}")
    try:
        act = act_of(typed, who, now)
        sheet_id = open_sheet(
            conn,
            act,
            motor_id,
            kind=form.sheet_kind,
            counter=form.counter,
            round_kind=form.kind,
            answer=form.answer,
            safe=bool(form.safe),
        )
    except NorvashError as error:
        return _head(request, conn, now, motor_id=motor_id, typed=typed, error=error)
    return go_to(f"/sheets/{sheet_id}")
