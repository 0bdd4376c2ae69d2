"""Where a sheet is begun: what is asked before it is opened."""

from urllib.parse import quote

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.stages.gates import COMPETENT, METHODS, SAFE, usual_method
from norvash.core.stages.safe import STAGE as SAFE_STAGE
from norvash.core.use.counting import HAPPENED
from norvash.errors import InputError, NorvashError
from norvash.exchange.said.sheet import Open
from norvash.exchange.said.told import At, Seen
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.on_sheet.opening import KINDS, SHEET_KINDS
from norvash.work.pages.motor import motor_page

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
        happened=HAPPENED,
        steps=SAFE.steps(shown.context.facts, shown.context.rules),
        isolation=METHODS[usual_method(shown.context.facts)],
        competent=COMPETENT,
    )


@router.post("/motors/{motor_id}/sheets")
@again(_head)
def start(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Open a sheet, or go on with the one that is open."""
    if typed.get("answer") == "earlier":
        return go_to(f"/motors/{motor_id}/notes?counter={quote(typed.get('counter', '')[:40])}")
    kinds = {"kind": typed.get("sheet_kind", "quick"), "round": typed.get("kind", "check")}
    if kinds["kind"] == "quick" and not (typed.get("safe") or typed.get("first") == SAFE_STAGE.id):
        raise InputError(
            "Nobody has said that it is made safe.", "Tick it where it is so, or begin with making it safe.", "safe"
        )
    entry = Open.of(typed, **kinds, safe=bool(typed.get("safe")))
    sheet_id = entry.done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    return go_to(f"/sheets/{sheet_id}")
