"""Where a motor stands and what it is called: one act each, with where it stood before."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.exchange.said.motor import Move, Rename
from norvash.exchange.said.told import At, Seen
from norvash.store.file.database import Connection
from norvash.store.record.places import list_places
from norvash.store.record.stood import list_moves
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.reading.loading import load

router = APIRouter()
_PLACES = 200


@router.get("/motors/{motor_id}/place")
def show(*, request: Request, conn: Conn, who: Who, motor_id: str) -> Response:
    """Show where a motor stands and stood, with the ways to move it and to call it otherwise."""
    if who is None:
        return go_to(f"/who?next=/motors/{motor_id}/place")
    return _page(request, conn, motor_id=motor_id, typed={}, error=None)


def _page(
    request: Request, conn: Connection, *, motor_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    context = load(conn, motor_id)
    return page(
        request,
        "motor_place.html",
        status_of(error) if error else 200,
        area="Motors",
        motor=context.motor,
        unit=context.unit,
        moves=list_moves(conn, motor_id),
        places=[place for place, _ in list_places(conn, "", _PLACES)],
        act_id=fresh_id(),
        name_id=fresh_id(),
        typed=typed,
        error=error,
        errors=errors_of(error),
    )


@router.post("/motors/{motor_id}/place")
@again(_page, ground=False)
def move(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep that a motor stands elsewhere."""
    Move.of(typed).done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    return go_to(f"/motors/{motor_id}/place")


@router.post("/motors/{motor_id}/name")
@again(_page, ground=False)
def rename(*, request: Request, conn: Conn, now: Now, who: Who, motor_id: str, typed: Typed) -> Response:
    """Keep that a motor is called otherwise."""
    Rename.of(typed).done(act_of(typed, who, now), At(conn, motor_id, "", Seen()))
    return go_to(f"/motors/{motor_id}/place")
