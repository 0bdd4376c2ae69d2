"""Signing in and out at a running server: by name and password, by the PIN of a device, as a person of the demo."""

from collections.abc import Iterator
from contextlib import contextmanager
from datetime import datetime

from fastapi import Request

from norvash.config import is_loopback
from norvash.errors import NotFound
from norvash.store.access import members as access
from norvash.store.access.members import SignedIn
from norvash.store.file.database import Connection, transaction
from norvash.store.record.people import UNKNOWN
from norvash.web.door.sessions import Sessions
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.access.attempts import WrongSecret
from norvash.work.access.members import redeem
from norvash.work.access.secrets_kept import digest, same
from norvash.work.access.sign_in import Device, Entered, account_of, begin, check_own_pin, sign_in, switch

_LONGEST_ID = 80


def sessions_of(request: Request) -> Sessions:
    """Return the sessions of this server."""
    sessions: Sessions = request.app.state.sessions
    return sessions


@contextmanager
def judging(request: Request, account: str = "") -> Iterator[None]:
    """Judge an attempt inside: it is counted before, by account and by address, and stays so where it is wrong.

    Raises: TooSoon; what is raised inside.
    """
    with sessions_of(request).attempts.judging(account, _address(request)):
        yield


def _address(request: Request) -> str:
    return request.client.host if request.client is not None else ""


def enter_by_password(request: Request, conn: Connection, name: str, password: str, device: Device) -> Entered:
    """Begin a session by name and password; on a disk that is only read it is kept in memory, and may only see.

    Raises: WrongSecret, TooSoon.
    """
    now = datetime.now()
    with judging(request, account_of(conn, name)):
        if not request.app.state.pool.watch.state:
            return sign_in(conn, name, password, device, now)
        return _only_here(request, sign_in(conn, name, password, device, now, writes=False))


def enter_by_code(request: Request, conn: Connection, code: str, password: str, device: Device) -> Entered:
    """Begin a session of whoever a one-time code was given to, with the password that it sets; they wait no more.

    Raises: WrongSecret, TooSoon, InputError.
    """
    now = datetime.now()
    with judging(request):
        member = redeem(conn, code, password, now)
    sessions_of(request).attempts.free(member.id)
    return begin(conn, member, device, now)


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
    with judging(request, person_id[:_LONGEST_ID]):
        return switch(conn, person_id, pin, device, datetime.now())


def check_pin(request: Request, conn: Connection, signed: SignedIn, pin: str) -> None:
    """Ask whoever is signed in for the PIN that they have on this device.

    Raises: WrongSecret, TooSoon.
    """
    with judging(request, signed.person_id):
        check_own_pin(conn, signed, pin)


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


def check_first_code(request: Request, typed: str) -> None:
    """Ask for that code.

    Raises: WrongSecret, TooSoon.
    """
    with judging(request):
        plain = "".join(c for c in typed.upper() if c.isalnum())
        if not same(plain, first_code(request).replace("-", "")):
            raise WrongSecret("That is not the code.", "It stands where Norvash was started.", "code")
