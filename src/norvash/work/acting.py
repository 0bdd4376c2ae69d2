"""Every write: one transaction, one person, recorded with what it was before, repeatable without effect."""

import hashlib
import json
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from datetime import datetime, timedelta

from norvash.errors import Conflict, InputError
from norvash.store import people
from norvash.store.database import Connection, transaction

_LONGEST_ID = 80


@dataclass(frozen=True, slots=True)
class Act:
    """One write as the client sends it: an id made by the client, the person, and the time."""

    id: str
    person_id: str
    at: datetime

    def __post_init__(self) -> None:
        plain = self.id.replace("-", "").replace(".", "").replace("_", "")
        if not (8 <= len(self.id) <= _LONGEST_ID and plain.isascii() and plain.isalnum()):
            raise InputError("The entry has no usable id of its own.",
                             "Send an id of 8 to 80 letters, digits, dots or dashes, a new one for each entry.", "act_id")  # fmt: skip


@dataclass(frozen=True, slots=True)
class Change:
    """What a job changed: the id of what came of it, and the values before and after."""

    result_id: str
    before: Mapping[str, object]
    after: Mapping[str, object]
    motor_id: str | None = None


def once(conn: Connection, act: Act, job: str, typed: Mapping[str, object], body: Callable[[Act], Change]) -> str:
    """Do a job in one transaction and record it; the same act again changes nothing and gives the same answer.

    The body gets the act with its time in the order of writing.
    Raises: Conflict if an act with this id was made with other content; NotFound for an unknown person.
    """
    digest = hashlib.sha256(json.dumps([job, typed], sort_keys=True, default=str).encode()).hexdigest()
    with transaction(conn):
        earlier = people.find_act(conn, act.id)
        if earlier is not None:
            if earlier.digest != digest:
                raise Conflict(
                    "This form was already sent, with other content.",
                    "What you typed is kept here: send it again as a new entry, or leave it.", "act_id",
                )  # fmt: skip
            return earlier.result_id
        person = people.fetch_person(conn, act.person_id)
        ordered = replace(act, at=_in_order(act.at, people.last_act_at(conn)))
        people.add_act(conn, people.Done(act.id, ordered.at, person.name, job, digest, "", "{}", "{}"), person.id)
        change = body(ordered)
        before, after = json.dumps(change.before, default=str), json.dumps(change.after, default=str)
        people.complete_act(conn, act.id, change.motor_id, change.result_id, before, after)
        return change.result_id


def _in_order(at: datetime, last: datetime | None) -> datetime:
    """Return the time of a write, never before what was already written that day.

    Two devices may come to write in the other order than they asked, and a clock may be set back by an hour.
    """
    return last + timedelta(microseconds=1) if last and at < last and at.date() == last.date() else at
