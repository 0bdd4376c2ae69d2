"""What every route needs: a connection, the person, the time, the form as it was typed.

These are coroutines because each is a matter of microseconds, less than a change of thread.
"""

import queue
import secrets
from collections import OrderedDict
from collections.abc import AsyncIterator, Hashable
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import Annotated

from fastapi import Depends, Request

from norvash.errors import InputError, NorvashError
from norvash.store import people
from norvash.store.database import Connection, connect
from norvash.store.people import Person, Site
from norvash.store.trouble import check_in_place, identity
from norvash.work.acting import Act
from norvash.work.site import clock

PERSON_COOKIE = "norvash_person"
_IDLE = 8


class Pool:
    """Open connections, each used by one request at a time."""

    def __init__(self, path: Path, *, read_only: bool = False) -> None:
        self._path, self._read_only, self._opened = path, read_only, identity(path)
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
            made = connect(self._path, read_only=self._read_only, made=True)
            made.memory = self._memory
            return made

    def give_back(self, conn: Connection) -> None:
        """Keep a connection for the next request, or close it."""
        try:
            self._idle.put_nowait(conn)
        except queue.Full:
            conn.close()

    def close(self) -> None:
        """Close all idle connections."""
        while not self._idle.empty():
            self._idle.get_nowait().close()


async def _connection(request: Request) -> AsyncIterator[Connection]:
    pool: Pool = request.app.state.pool
    conn = pool.take()
    try:
        yield conn
    finally:
        pool.give_back(conn)


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
    return {**request.query_params, **{name: value for name, value in form.items() if isinstance(value, str)}}


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


def fresh_id() -> str:
    """Return a new id for a form; the browser sends it back with what was typed."""
    return secrets.token_hex(12)


def act_of(typed: dict[str, str], who: Person | None, now: datetime) -> Act:
    """Return the act that a form stands for.

    Raises: InputError when nobody is chosen on this device.
    """
    if who is None:
        raise InputError("Nobody is chosen on this device.", "Choose who is working, then send this again.", "person")
    return Act(typed.get("act_id", ""), who.id, now)
