"""Signing in and out at a running server: by name and password, by the PIN of a device, as a person of the demo."""

from collections.abc import Callable
from datetime import datetime

from fastapi import Request

from norvash.config import is_loopback
from norvash.errors import NotFound
from norvash.store import access
from norvash.store.access import SignedIn
from norvash.store.database import Connection, transaction
from norvash.store.people import UNKNOWN
from norvash.web.deps import SESSION_COOKIE
from norvash.web.sessions import Sessions
from norvash.work.access import WrongSecret
from norvash.work.secrets_kept import digest, same
from norvash.work.sign_in import Device, Entered, begin, check_own_pin, sign_in, switch


def sessions_of(request: Request) -> Sessions:
    """Return the sessions of this server."""
    sessions: Sessions = request.app.state.sessions
    return sessions


def _slowed(request: Request, account: str, attempt: Callable[[], Entered]) -> Entered:
    """Try to enter; only wrong attempts make the next one wait, by account and by address.

    Raises: TooSoon, WrongSecret.
    """
    attempts = sessions_of(request).attempts
    keys = (f"account {account.casefold().strip()[:120]}", f"address {_address(request)}")
    attempts.check(*keys)
    try:
        entered = attempt()
    except WrongSecret:
        attempts.wrong(*keys)
        raise
    attempts.right(*keys)
    return entered


def _address(request: Request) -> str:
    return request.client.host if request.client is not None else ""


def enter_by_password(request: Request, conn: Connection, name: str, password: str, device: Device) -> Entered:
    """Begin a session by name and password; on a disk that is only read it is kept in memory, and may only see.

    Raises: WrongSecret, TooSoon.
    """
    now = datetime.now()

    def attempt() -> Entered:
        if not request.app.state.pool.watch.state:
            return sign_in(conn, name, password, device, now)
        return _only_here(request, sign_in(conn, name, password, device, now, writes=False))

    return _slowed(request, name, attempt)


def _only_here(request: Request, entered: Entered) -> Entered:
    session, member = entered.session, entered.member
    signed = SignedIn(
        session_id=session.id,
        device_id=session.device_id,
        person_id=member.id,
        name=member.name,
        keys="plain",
        role="viewer",
        seen_at=session.seen_at,
    )
    sessions_of(request).keep_here(digest(entered.token), signed)
    return entered


def enter_by_pin(request: Request, conn: Connection, person_id: str, pin: str, device: Device) -> Entered:
    """Begin a session by the PIN of a person on this device.

    Raises: WrongSecret, TooSoon.
    """
    return _slowed(request, person_id, lambda: switch(conn, person_id, pin, device, datetime.now()))


def check_pin(request: Request, conn: Connection, signed: SignedIn, pin: str) -> None:
    """Ask whoever is signed in for the PIN that they have on this device.

    Raises: WrongSecret, TooSoon.
    """
    attempts, key = sessions_of(request).attempts, f"account {signed.person_id}"
    attempts.check(key)
    try:
        check_own_pin(conn, signed, pin)
    except WrongSecret:
        attempts.wrong(key)
        raise


def enter_demo(request: Request, conn: Connection, person_id: str, device: Device) -> Entered:
    """Begin a session of a person of the demonstration.

    Raises: NotFound.
    """
    member = access.find_member(conn, person_id)
    if member is None:
        raise NotFound(*UNKNOWN)
    writes = not request.app.state.pool.watch.state
    entered = begin(conn, member, device, datetime.now(), writes=writes)
    return entered if writes else _only_here(request, entered)


def leave(request: Request, conn: Connection, signed: SignedIn, now: datetime) -> None:
    """End the session of whoever is signed in."""
    sessions_of(request).forget_here(digest(request.cookies.get(SESSION_COOKIE, "")))
    if not request.app.state.pool.watch.state:
        with transaction(conn):
            access.end_session(conn, signed.session_id, now)


def first_code(request: Request) -> str:
    """Return the code with which the first lead of a shop is made, a new one for each start of a server."""
    code: str = request.app.state.first_code
    return code


def shows_code(request: Request) -> bool:
    """Tell whether a page may show that code: to whoever sits at the machine itself, with no proxy before it."""
    settings = request.app.state.settings
    return not settings.behind and is_loopback(settings.host) and is_loopback(_address(request) or "127.0.0.1")


def is_first_code(request: Request, typed: str) -> bool:
    """Tell whether this is that code; wrong ones make the next attempt wait.

    Raises: TooSoon.
    """
    attempts, key = sessions_of(request).attempts, f"code {_address(request)}"
    attempts.check(key)
    plain = "".join(c for c in typed.upper() if c.isalnum())
    right = same(plain, first_code(request).replace("-", ""))
    (attempts.right if right else attempts.wrong)(key)
    return right
