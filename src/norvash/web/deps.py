"""What every route needs: a connection, the person, the time, the form as it was typed.

These are coroutines because each is a matter of microseconds, less than a change of thread.
"""

import queue
import secrets
from collections import OrderedDict
from collections.abc import AsyncIterator, Hashable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import Annotated

from fastapi import Depends, Request
from fastapi.responses import Response

from norvash.core.sheet.moved import Explained
from norvash.errors import InputError, NorvashError
from norvash.store import people
from norvash.store.database import Connection, connect
from norvash.store.people import Person, Site
from norvash.store.ready import look_at
from norvash.store.trouble import DatabaseError, check_in_place, identity
from norvash.store.watch import Watch
from norvash.work.acting import Act
from norvash.work.site import clock

PERSON_COOKIE = "norvash_person"
YEAR_S = 365 * 86400
_IDLE = 8


class Pool:
    """Open connections, each used by one request at a time."""

    def __init__(self, path: Path, *, read_only: bool = False, watch: Watch | None = None) -> None:
        self._path, self._read_only, self._opened = path, read_only, identity(path)
        self.watch = watch or Watch()
        self._idle: queue.LifoQueue[Connection] = queue.LifoQueue(_IDLE)
        self._memory: OrderedDict[Hashable, object] = OrderedDict()

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


async def _person(request: Request, conn: Conn) -> Person | None:
    try:
        return people.fetch_person(conn, request.cookies.get(PERSON_COOKIE, ""))
    except NorvashError:
        return None


Who = Annotated[Person | None, Depends(_person)]


async def _typed(request: Request) -> dict[str, str]:
    form = await request.form(max_files=0, max_fields=400)
    typed = {**request.query_params, **{name: value for name, value in form.items() if isinstance(value, str)}}
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


def remember_person(answer: Response, person_id: str) -> None:
    """Remember on this device who is working."""
    answer.set_cookie(PERSON_COOKIE, person_id, max_age=YEAR_S, httponly=True, samesite="lax")


def fresh_id() -> str:
    """Return a new id for a form; the browser sends it back with what was typed."""
    return secrets.token_hex(12)


def act_of(typed: dict[str, str], who: Person | None, now: datetime) -> Act:
    """Return the act that a form stands for.

    Raises: InputError when nobody is chosen on this device.
    """
    if who is None:
        raise InputError("Nobody is chosen on this device.", "Choose who is working, then send this again.", "person")
    explained = Explained(typed.get("ground", ""), typed.get("source", "")[:200], typed.get("listed", ""))
    return Act(typed.get("act_id", ""), who.id, now, explained=explained)
