"""Signing in and out, what somebody has of their own here, and in which light this device shows its pages."""

from datetime import datetime

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.errors import NorvashError
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.file.database import transaction
from norvash.store.record import people
from norvash.web.door.entering import (
    check_first_code,
    enter_by_code,
    enter_by_password,
    enter_by_pin,
    enter_demo,
    first_code,
    judging,
    leave,
    sessions_of,
    shows_code,
)
from norvash.web.served.again import again
from norvash.web.served.answers import errors_of, go_to, page, status_of, without_secrets
from norvash.web.served.deps import (
    SESSION_COOKIE,
    YEAR_S,
    Conn,
    Now,
    Signed,
    Typed,
    Who,
    act_of,
    device_of,
    fresh_id,
    remember,
)
from norvash.work.access.members import first_lead, has_lead
from norvash.work.access.secrets_kept import digest
from norvash.work.access.sign_in import Entered, change_password, set_pin
from norvash.work.act.acting import Act
from norvash.work.act.may import NotAllowed
from norvash.work.act.site import KEYS, choose_keys, join, name_site

router = APIRouter()


def _inside(path: str) -> str:
    """Return a path within this application, the bench for anything else."""
    return path if path.startswith("/") and not path.startswith(("//", "/\\")) and "\\" not in path else "/"


def _shown(
    request: Request, conn: Conn, signed: Signed, typed: dict[str, str], error: NorvashError | None = None
) -> HTMLResponse:
    """Return the page for whoever comes: a person of the demo, the first lead, somebody to sign in, or signed in."""
    demo = request.app.state.settings.demo
    first = not demo and signed is None and not has_lead(conn)
    device = digest(device_of(request).id)
    mine = access.list_sessions(conn, signed.person_id) if signed is not None else []
    return page(
        request,
        "who.html",
        status_of(error) if error is not None else 200,
        area="",
        demo=demo,
        first=first,
        code=first_code(request) if first and shows_code(request) else "",
        people=people.list_people(conn) if demo or first else [],
        with_pin=[m for m in signatures.list_with_pin(conn, device) if signed is None or m.id != signed.person_id],
        signed=signed,
        mine=[(s, sessions_of(request).seen_at(s)) for s in mine],
        next=_inside(typed.get("next", "/")),
        act_id=fresh_id(),
        keys=KEYS,
        typed=without_secrets(typed),
        error=error,
        errors=errors_of(error),
    )


def _gone_in(request: Request, entered: Entered, device: object, onward: str) -> Response:
    """Return the way on for whoever has come in; wrong attempts since the last time are told first."""
    answer = go_to(f"/who?wrong={entered.wrong}" if entered.wrong else onward)
    remember(request, answer, entered, device)  # type: ignore[arg-type]
    return answer


@router.get("/who")
def ask(*, request: Request, conn: Conn, signed: Signed) -> HTMLResponse:
    """Show who is signed in and what is theirs, or ask who it is."""
    return _shown(request, conn, signed, dict(request.query_params))


@router.post("/who")
@again(_shown)
def choose(*, request: Request, conn: Conn, now: Now, signed: Signed, typed: Typed) -> Response:
    """Sign in by name and password; in a demonstration enter as one of its people."""
    device, onward = device_of(request), _inside(typed.get("next", "/"))
    if not request.app.state.settings.demo:
        entered = enter_by_password(request, conn, typed.get("name", ""), typed.get("password", ""), device)
    else:
        known = typed.get("person", "")
        named = typed.get("name", ""), now, typed.get("answer", "")
        person = people.fetch_person(conn, known) if known else join(conn, fresh_id(), *named)
        if typed.get("shop", "").strip():
            name_site(conn, act_of(typed, person, now), typed["shop"])
        entered = enter_demo(request, conn, person.id, device)
    return _gone_in(request, entered, device, onward)


@router.post("/who/first")
@again(_shown)
def first(*, request: Request, conn: Conn, now: Now, signed: Signed, typed: Typed) -> Response:
    """Make the first lead of a shop, with the code that the server printed."""
    device = device_of(request)
    check_first_code(request, typed.get("code", ""))
    act = Act(typed.get("act_id", ""), fresh_id(), now)
    member = first_lead(conn, act, typed.get("name", ""), typed.get("password", ""))
    if typed.get("shop", "").strip():
        name_site(conn, Act(fresh_id(), member.id, now), typed["shop"])
    entered = enter_by_password(request, conn, member.name, typed.get("password", ""), device)
    return _gone_in(request, entered, device, _inside(typed.get("next", "/")))


@router.post("/who/code")
def by_code(*, request: Request, conn: Conn, signed: Signed, typed: Typed) -> Response:
    """Set a password by a one-time code, and sign in with it."""
    device = device_of(request)
    try:
        entered = enter_by_code(request, conn, typed.get("code", ""), typed.get("password", ""), device)
    except NorvashError as error:
        return _shown(request, conn, signed, {**typed, "with": "code"}, error)
    return _gone_in(request, entered, device, _inside(typed.get("next", "/")))


@router.post("/who/pin")
@again(_shown)
def by_pin(*, request: Request, conn: Conn, signed: Signed, typed: Typed) -> Response:
    """Switch to somebody who has a PIN on this device."""
    device = device_of(request)
    entered = enter_by_pin(request, conn, typed.get("person", ""), typed.get("pin", ""), device)
    if signed is not None:
        leave(request, conn, signed, datetime.now())
    return _gone_in(request, entered, device, _inside(typed.get("next", "/")))


@router.post("/who/out")
def out(*, request: Request, conn: Conn, signed: Signed) -> Response:
    """Sign out on this device."""
    if signed is not None:
        leave(request, conn, signed, datetime.now())
    answer = go_to("/who")
    answer.delete_cookie(SESSION_COOKIE)
    return answer


@router.post("/who/password")
@again(_shown)
def password(*, request: Request, conn: Conn, signed: Signed, typed: Typed) -> Response:
    """Give whoever is signed in another password."""
    if signed is None:
        raise NotAllowed("viewer")
    with judging(request, signed.person_id):
        change_password(conn, signed, typed.get("old", ""), typed.get("new", ""), datetime.now())
    return go_to("/who?changed=password")


@router.post("/who/own-pin")
def own_pin(*, request: Request, conn: Conn, signed: Signed, typed: Typed) -> Response:
    """Keep a PIN of whoever is signed in for this device."""
    try:
        if signed is None:
            raise NotAllowed("viewer")
        with judging(request, signed.person_id):
            set_pin(conn, signed, typed.get("pin", ""), typed.get("own-password", ""))
    except NorvashError as error:
        error.at("own-password" if error.field == "password" else "own-pin")
        return _shown(request, conn, signed, typed, error)
    return go_to("/who?changed=pin")


@router.post("/who/sessions/{session_id}")
def end(*, conn: Conn, signed: Signed, session_id: str) -> Response:
    """End one of one's own sessions."""
    if signed is not None and any(s.id == session_id for s in access.list_sessions(conn, signed.person_id)):
        with transaction(conn):
            access.end_session(conn, session_id, datetime.now())
    return go_to("/who?changed=sessions")


@router.post("/keys")
def keys(*, conn: Conn, now: Now, who: Who, typed: Typed) -> Response:
    """Keep how single keys work for whoever is signed in."""
    choose_keys(conn, act_of(typed, who, now), typed.get("keys", ""))
    return go_to(_inside(typed.get("next", "/")))


@router.post("/light")
def light(*, typed: Typed) -> Response:
    """Remember on this device whether to show it light or dark."""
    answer = go_to(_inside(typed.get("next", "/")))
    theme = typed.get("theme", "")
    answer.set_cookie("norvash_theme", theme if theme in ("light", "dark") else "", max_age=YEAR_S, samesite="lax")
    return answer
