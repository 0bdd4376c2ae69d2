"""The people of a shop, for its lead: roles, one-time codes, sessions; and the secret address of the calendar."""

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.access.members import ROLES
from norvash.store.file.database import transaction
from norvash.web.door.entering import sessions_of
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.work.access.members import add_member, end_all, give_code, give_role
from norvash.work.access.secrets_kept import new_token

router = APIRouter()
WORDS = {
    "viewer": "sees everything, enters nothing",
    "technician": "measures, enters, signs, registers motors and new types",
    "lead": "also rules, shared types, people, and closing what another has open",
}


def _shown(
    request: Request,
    conn: Conn,
    typed: dict[str, str] | None = None,
    error: NorvashError | None = None,
    given: tuple[str, str] = ("", ""),
) -> HTMLResponse:
    members = access.list_members(conn)
    sessions = {m.id: access.list_sessions(conn, m.id) for m in members}
    seen, certificate = sessions_of(request).seen_at, request.app.state.certificate
    return page(
        request,
        "people.html",
        status_of(error) if error is not None else 200,
        area="",
        members=members,
        sessions={k: [(s, seen(s)) for s in v] for k, v in sessions.items()},
        asks_pin=signatures.asks_pin(conn),
        roles={r: f"{r}: {WORDS[r]}" for r in ROLES},
        given=given,
        certificate=certificate.words(request.state.today) if certificate is not None else "",
        act_id=fresh_id(),
        typed=typed or {},
        error=error,
        errors=errors_of(error),
    )


@router.get("/people")
def show(*, request: Request, conn: Conn) -> HTMLResponse:
    """Show everybody with their role and their sessions."""
    return _shown(request, conn)


@router.post("/people")
@again(_shown)
def add(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Add a person, and show the code with which they set their password."""
    act = act_of(typed, who, now)
    made = add_member(conn, act, typed.get("name", ""), typed.get("role", ""), typed.get("answer", ""))
    code = give_code(conn, act_of({"act_id": f"{act.id}.code"}, who, now), made)
    return _shown(request, conn, given=(typed.get("name", ""), code))


@router.post("/people/feed")
def feed(*, conn: Conn) -> Response:
    """Give the calendar another secret address."""
    with transaction(conn):
        signatures.change_feed_key(conn, new_token())
    return go_to("/outlook")


@router.post("/people/pin")
def pin(*, conn: Conn, typed: Typed) -> Response:
    """Say whether each signature asks for the PIN."""
    with transaction(conn):
        signatures.ask_pin(conn, typed.get("asks") == "yes")
    return go_to("/people")


@router.post("/people/{person_id}/role")
@again(_shown)
def role(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed, person_id: str) -> Response:
    """Give a person another role."""
    give_role(conn, act_of(typed, who, now), person_id, typed.get("role", ""))
    return go_to("/people")


@router.post("/people/{person_id}/code")
def code(*, request: Request, conn: Conn, now: Now, who: Who, typed: Typed, person_id: str) -> Response:
    """Show a person's one-time code, once."""
    made = give_code(conn, act_of(typed, who, now), person_id)
    member = access.find_member(conn, person_id)
    return _shown(request, conn, given=(member.name if member is not None else "", made))


@router.post("/people/{person_id}/end")
def end(*, conn: Conn, now: Now, who: Who, typed: Typed, person_id: str) -> Response:
    """End every session and PIN of a person."""
    end_all(conn, act_of(typed, who, now), person_id)
    return go_to("/people")
