"""Where a motor stood, and what it was called: by the acts that moved and renamed it, in order."""

import json
from dataclasses import dataclass
from datetime import date, datetime

from norvash.store.file.database import Connection

MOVE, RENAME = "move a motor", "rename a motor"


@dataclass(frozen=True, slots=True)
class MovedOn:
    """A motor came from one place to another on a day, at a total use, and who brought it.

    Units: total_units in the motor's unit of use.
    """

    before: str
    after: str
    on: date
    total_units: float
    person: str


def list_moves(conn: Connection, motor_id: str) -> tuple[MovedOn, ...]:
    """Return the moves of a motor, the first one first."""
    rows = conn.execute(
        """select a.before_json, a.after_json, p.name as person from act a join person p on p.id = a.person_id
           where a.motor_id = :id and a.job = :job order by a.seq""",
        {"id": motor_id, "job": MOVE},
    )
    made = []
    for row in rows:
        before, after = json.loads(row["before_json"]), json.loads(row["after_json"])
        on = date.fromisoformat(after["day"])
        made.append(MovedOn(before["place"], after["place"], on, after["total"], row["person"]))
    return tuple(made)


def called_at(conn: Connection, motor_id: str, at: datetime) -> tuple[str | None, str | None]:
    """Return name and place of a motor as they stood at a moment, each None where it is as now."""
    found: dict[str, str] = {}
    rows = conn.execute(
        """select before_json from act where motor_id = :id and job in (:move, :rename) and at > :at
           order by seq desc""",
        {"id": motor_id, "move": MOVE, "rename": RENAME, "at": at.isoformat()},
    )
    for row in rows:
        found |= json.loads(row["before_json"])
    return found.get("name"), found.get("place")
