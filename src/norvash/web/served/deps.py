"""What every route needs: a connection, the person, the time, the form as it was typed.

These are coroutines because each is a matter of microseconds, less than a change of thread.
"""

import queue
import secrets
from collections.abc import AsyncIterator, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, replace
from datetime import datetime
from pathlib import Path
from typing import Annotated

from fastapi import Depends, Request
from fastapi.responses import Response

from norvash.core.motor.figure_fields import SEVERAL
from norvash.core.sheet.moved import Explained
from norvash.store.access.members import SignedIn
from norvash.store.file.database import Connection, connect
from norvash.store.file.memory import Memory
from norvash.store.file.ready import look_at
from norvash.store.file.trouble import DatabaseError, check_in_place, identity
from norvash.store.file.watch import Watch
from norvash.store.record import people
from norvash.store.record.people import Person, Site
from norvash.web.door.rights import needed
from norvash.work.access.secrets_kept import digest, new_token
from norvash.work.access.sign_in import Device, Entered
from norvash.work.act.acting import Act, InSession
from norvash.work.act.may import NotAllowed, NotSignedIn, at_least
from norvash.work.act.site import clock

SESSION_COOKIE = "norvash_session"
DEVICE_COOKIE = "norvash_device"
YEAR_S, _MONTH_S = 365 * 86400, 30 * 86400
_READS = ("GET", "HEAD", "OPTIONS")
_IDLE = 8
_LEAST_ID = 40


class Pool:
    """Open connections, each used by one request at a time."""

    def __init__(self, path: Path, *, read_only: bool = False, watch: Watch | None = None) -> None:
        self._path, self._read_only, self._opened = path, read_only, identity(path)
        self.watch = watch or Watch()
        self._idle: queue.LifoQueue[Connection] = queue.LifoQueue(_IDLE)
        self._memory = Memory()

    def take(self) -> Connection:
        """Return an idle connection, or a new one.

        Raises: Unavailable where the file is no more where it was opened.
        """
        check_in_place(self._path, self._opened)
        try:
            return self._idle.get_nowait()
        except queue.Empty:
            made = connect(self._path, read_only=self._read_only, made=True, watch=self.watch)
            made.memory = self._memory
            return made

    def give_back(self, conn: Connection) -> None:
        """Keep a connection for the next request, or close it."""
        try:
            self._idle.put_nowait(conn)
        except queue.Full:
            conn.close()

    @contextmanager
    def lent(self) -> Iterator[Connection]:
        """Lend a connection; what is wrong with the file is said, and the first sign of damage kept in mind.

        Raises: Unavailable.
        """
        conn = self.take()
        try:
            yield conn
        except DatabaseError as error:
            trouble = self.watch.trouble(error)
            if trouble is None:
                raise
            raise trouble from error
        finally:
            self.give_back(conn)

    def is_whole(self) -> bool:
        """Tell whether the file is the one that was opened, and a check finds nothing in it."""
        return identity(self._path) == self._opened and not look_at(self._path, thoroughly=True).faults

    def close(self) -> None:
        """Close all idle connections."""
        while not self._idle.empty():
            self._idle.get_nowait().close()


def pool_of(request: Request) -> Pool:
    """Return the open connections of the application."""
    pool: Pool = request.app.state.pool
    return pool


async def _connection(request: Request) -> AsyncIterator[Connection]:
    with pool_of(request).lent() as conn:
        yield conn


Conn = Annotated[Connection, Depends(_connection)]


async def _site(conn: Conn) -> Site:
    return people.fetch_site(conn)


OurSite = Annotated[Site, Depends(_site)]


async def _now(site: OurSite) -> datetime:
    return clock(site, datetime.now())


Now = Annotated[datetime, Depends(_now)]


async def _signed(request: Request, conn: Conn) -> SignedIn | None:
    token = request.cookies.get(SESSION_COOKIE, "")
    if not token:
        return None
    writes = request.method not in _READS and not pool_of(request).watch.state
    signed: SignedIn | None = request.app.state.sessions.find(conn, digest(token), datetime.now(), writes=writes)
    return signed


Signed = Annotated[SignedIn | None, Depends(_signed)]


async def _person(signed: Signed) -> Person | None:
    if signed is None:
        return None
    return Person(signed.person_id, signed.name, signed.keys, signed.session_id)


Who = Annotated[Person | None, Depends(_person)]


async def allowed(request: Request, signed: Signed) -> None:
    """Let through whoever may use this address.

    Raises: NotSignedIn, NotAllowed.
    """
    need = needed(request.method, request.scope["route"].path, request.path_params)
    if need == "open":
        return
    if signed is None:
        if request.method == "POST" and not request.scope["path"].startswith("/api/"):
            await _typed(request)  # it is kept on the page that says so
        raise NotSignedIn("Nobody is signed in here.", "Sign in, then go on.")
    if need is None or not at_least(signed.role, need):
        raise NotAllowed(need or "lead")


async def _typed(request: Request) -> dict[str, str]:
    form = await request.form(max_files=0, max_fields=400)
    typed = {**request.query_params, **{name: value for name, value in form.items() if isinstance(value, str)}}
    for name in SEVERAL & typed.keys():
        typed[name] = "; ".join(x for x in form.getlist(name) if isinstance(x, str) and x)
    request.state.typed = typed
    return typed


Typed = Annotated[dict[str, str], Depends(_typed)]


@dataclass(frozen=True, slots=True)
class Sent:
    """A form with at most one file: what was typed, the file's name and its bytes."""

    typed: dict[str, str]
    name: str
    data: bytes


async def _sent(request: Request) -> Sent:
    async with request.form(max_files=1, max_fields=100) as form:
        typed = {name: value for name, value in form.items() if isinstance(value, str)}
        for value in form.values():
            if not isinstance(value, str):
                return Sent(typed, value.filename or "", await value.read())
        return Sent(typed, "", b"")


SentForm = Annotated[Sent, Depends(_sent)]


def device_of(request: Request) -> Device:
    """Return the browser that asks: its own id, a new one for a browser that has none, and what it says of itself."""
    known = request.cookies.get(DEVICE_COOKIE, "")
    return Device(known if len(known) >= _LEAST_ID else new_token(), request.headers.get("user-agent", ""))


def remember(request: Request, answer: Response, entered: Entered, device: Device) -> None:
    """Give a browser the cookies of a session that has begun."""
    secure = request.app.state.settings.is_secure
    for name, value, age in ((SESSION_COOKIE, entered.token, _MONTH_S), (DEVICE_COOKIE, device.id, YEAR_S)):
        answer.set_cookie(name, value, max_age=age, httponly=True, samesite="lax", secure=secure)


def fresh_id() -> str:
    """Return a new id for a form; the browser sends it back with what was typed."""
    return secrets.token_hex(7)


def in_session(who: Person) -> InSession | None:
    """Return where an act of somebody comes from, None where no session of theirs is kept."""
    return InSession(who.session_id) if who.session_id else None


def act_of(typed: dict[str, str], who: Person | None, now: datetime) -> Act:
    """Return the act that a form stands for.

    Raises: NotSignedIn.
    """
    if who is None:
        raise NotSignedIn("Nobody is signed in here.", "Sign in, then send this again.")
    explained = Explained(typed.get("ground", ""), typed.get("source", "")[:200], typed.get("listed", ""))
    origin = in_session(who)
    if origin is not None and typed.get("waited") == "yes":
        origin = replace(origin, waited=True)
    return Act(typed.get("act_id", ""), who.id, now, origin, explained)
