"""Every write: one transaction, one person, recorded with what it was before, repeatable without effect."""

import hashlib
import json
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from typing import Protocol, TypeVar

from norvash.core.sheet.moved import NOT_EXPLAINED, Explained
from norvash.errors import Conflict, InputError, NorvashError, NotFound
from norvash.store.access import members as access
from norvash.store.access.members import Role
from norvash.store.file.database import Connection, transaction
from norvash.store.record import people
from norvash.work.act.may import NotAllowed, at_least, may
from norvash.work.act.remembered import remember, telling

_LONGEST_ID = 80
R = TypeVar("R", bound="Ready")


@dataclass(frozen=True, slots=True)
class FromFile:
    """Who played an act from a file, and of which motor."""

    by: str
    motor: str


@dataclass(frozen=True, slots=True)
class InSession:
    """In which session of somebody signed in an act was made; whether it `waited` in a browser before it was sent, and
    whether the PIN of the device was given with it.
    """

    id: str
    waited: bool = False
    by_pin: bool = False


@dataclass(frozen=True, slots=True)
class Act:
    """One write as the client sends it: an id made by the client, the person, the time; who played it from a file, or
    in which session it was made.

    One that was played is stamped by the record of its own motor, whatever was written of others meanwhile. Where it
    would end or soften what was found it is `explained`.
    """

    id: str
    person_id: str
    at: datetime
    origin: FromFile | InSession | None = None
    explained: Explained = NOT_EXPLAINED

    def __post_init__(self) -> None:
        plain = self.id.replace("-", "").replace(".", "").replace("_", "")
        if not (8 <= len(self.id) <= _LONGEST_ID and plain.isascii() and plain.isalnum()):
            raise InputError(
                "The entry has no usable id of its own.",
                "Send an id of 8 to 80 letters, digits, dots or dashes, a new one for each entry.",
                "act_id",
            )

    @property
    def record(self) -> str | None:
        """Return the motor in whose record it stands in order; None for one that is made here, among all others."""
        return self.origin.motor if isinstance(self.origin, FromFile) else None


@dataclass(frozen=True, slots=True)
class Change:
    """What a job changed: the id of what came of it, and the values before and after."""

    result_id: str
    before: Mapping[str, object]
    after: Mapping[str, object]
    motor_id: str | None = None


class Ready(Protocol):
    """What a job has worked out before it takes the lock: it knows whether the record still is as it was read."""

    def stands(self, conn: Connection) -> bool:
        """Tell whether nothing has moved since."""


def prepared(
    conn: Connection,
    act: Act,
    job: str,
    *,
    typed: Mapping[str, object],
    prepare: Callable[[], R],
    body: Callable[[Act, R], Change],
    scope: str = "",
) -> str:
    """Do a job whose heavy work is done before it takes the lock.

    Where something has moved since, it is done anew inside. `scope` is what it is done to, where the right hangs on it.

    Raises: what `prepare` and `once` raise.
    """
    ready: R | None = None
    trouble: NorvashError | None = None
    seq = people.last_seq(conn)
    try:
        ready = prepare()
    except NorvashError as error:
        trouble = error  # it may be the answer to an act that was made already, or to what has moved since

    def look_again() -> None:
        nonlocal ready
        if trouble is not None and people.last_seq(conn) == seq:
            raise trouble
        if ready is None or not ready.stands(conn):
            ready = prepare()

    def go_on(act: Act) -> Change:
        if ready is None:
            raise trouble or AssertionError
        return body(act, ready)

    return once(conn, act, job, typed=typed, body=go_on, first=look_again, scope=scope)


def once(
    conn: Connection,
    act: Act,
    job: str,
    *,
    typed: Mapping[str, object],
    body: Callable[[Act], Change],
    first: Callable[[], None] | None = None,
    scope: str = "",
) -> str:
    """Do a job in one transaction and record it; the same act again changes nothing and gives the same answer.

    The body gets the act with its time in the order of writing; `first` is called once the lock is held, before
    anything is written.
    Raises: Conflict if an act with this id was made with other content; NotFound for an unknown person; NotAllowed for
    somebody signed in whose role may not do it.
    """
    content = [job, {**typed, "ground": act.explained.typed} if act.explained.typed else typed]
    digest = hashlib.sha256(json.dumps(content, sort_keys=True, default=str).encode()).hexdigest()
    with telling(conn), transaction(conn):
        earlier, person, last_at = people.known_before(conn, act.id, act.person_id, act.record)
        if earlier is not None:
            if earlier.digest != digest:
                raise Conflict(
                    "This form was already sent, with other content.",
                    "What you typed is kept here: send it again as a new entry, or leave it.",
                    "act_id",
                )
            return earlier.result_id
        if person is None:
            raise NotFound(*people.UNKNOWN)
        hold_role(conn, act, person.role, may(job, scope))
        if first is not None:
            first()
        ordered = replace(act, at=_in_order(act.at, last_at))
        people.add_act(
            conn,
            people.Done(id=act.id, at=ordered.at, person=person.name, job=job, digest=digest),
            person.id,
            act.origin.by if isinstance(act.origin, FromFile) else "",
            act.origin.id if isinstance(act.origin, InSession) else "",
        )
        change = body(ordered)
        before, after = json.dumps(change.before, default=str), json.dumps(change.after, default=str)
        people.complete_act(
            conn, act.id, change.motor_id, result_id=change.result_id, before_json=before, after_json=after
        )
        remember(conn, change.motor_id)
        return change.result_id


def hold_role(conn: Connection, act: Act, role: str, needed: Role) -> None:
    """Refuse what the role of whoever is signed in may not do; of a file it is the role of whoever plays it.

    Raises: NotAllowed.
    """
    if isinstance(act.origin, FromFile):
        player = access.find_member(conn, act.origin.by)
        role = player.role if player is not None else ""
    asked = isinstance(act.origin, InSession) or (act.origin is not None and access.signs_in_since(conn) is not None)
    if asked and not at_least(role, needed):
        raise NotAllowed(needed)


def in_order(conn: Connection, act: Act) -> Act:
    """Return an act with the time that it would have if it were written now."""
    return replace(act, at=_in_order(act.at, people.last_act_at(conn, act.record)))


def _in_order(at: datetime, last: datetime | None) -> datetime:
    """Return the time of a write, never before what was already written that day.

    Two devices may come to write in the other order than they asked, and a clock may be set back by an hour.
    """
    return last + timedelta(microseconds=1) if last and at < last and at.date() == last.date() else at
