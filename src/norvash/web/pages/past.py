"""How it did: past forecasts against what came."""

from typing import TYPE_CHECKING

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.store.file.database import Connection
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id

if TYPE_CHECKING:
    from norvash.work.motors.hindsight import Learnt

router = APIRouter()
_WIDE, _PHONE = 1200.0, 346.0


@router.get("/outlook/past")
def show(*, request: Request, conn: Conn) -> HTMLResponse:
    """Show what share of past bands held."""
    return _page(request, conn, None, None)


def _page(
    request: Request, conn: Connection, learnt: "Learnt | None", error: NorvashError | None, too_few: str = ""
) -> HTMLResponse:
    from norvash.drawing.days.past_bands import past_bands
    from norvash.work.motors.hindsight import how_it_did

    found = how_it_did(conn)
    drawn = [past_bands(found.latest, "use", width) if found.latest else None for width in (_WIDE, _PHONE)]
    return page(
        request,
        "past.html",
        status_of(error) if error else 200,
        area="Outlook",
        found=found,
        drawing=drawn[0],
        narrow=drawn[1],
        learnt=learnt,
        too_few=too_few,
        act_id=fresh_id(),
        error=error,
        errors=errors_of(error),
    )


@router.get("/outlook/past/learn")
def ask(*, request: Request, conn: Conn) -> HTMLResponse:
    """Show what the fleet teaches about drift, before anything is changed."""
    from norvash.work.motors.hindsight import learn

    try:
        return _page(request, conn, learn(conn), None)
    except NorvashError as error:
        return _page(request, conn, None, None, f"{error.problem} {error.remedy}")


@router.post("/outlook/past/learn")
def take(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Take the drift that the fleet teaches; the motors are judged anew in the background."""
    from norvash.work.motors.hindsight import take_fitted

    try:
        take_fitted(conn, act_of(typed, who, now))
    except NorvashError as error:
        return _page(request, conn, None, error)
    request.app.state.catch_up(request.app)
    return go_to("/rulebook/forecast.drift")
