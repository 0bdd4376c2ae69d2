"""The first page of an empty shop: one motor typed into its drawing."""

from fastapi import APIRouter, Request
from fastapi.responses import Response

from norvash.errors import NorvashError
from norvash.store.record.motors import has_any
from norvash.web.first_page import first_page
from norvash.web.served.answers import go_to
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of
from norvash.work.motors.first_motor import motor_typed
from norvash.work.motors.registering import add_motor

router = APIRouter()


@router.get("/first")
def ask(*, request: Request, conn: Conn, now: Now) -> Response:
    """Show what comes of what is typed so far; a shop that has motors adds another in the usual way."""
    if has_any(conn):
        return go_to("/motors/new")
    return first_page(request, conn, now, dict(request.query_params))


@router.post("/first")
def add(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep the first motor."""
    try:
        motor_id = add_motor(conn, act_of(typed, who, now), motor_typed(typed))
    except NorvashError as error:
        return first_page(request, conn, now, typed, error)
    return go_to(f"/motors/{motor_id}")
