"""Notes of the past: what was entered together, and taken back together."""

from dataclasses import dataclass
from datetime import datetime

from norvash.errors import NotFound
from norvash.store.file.database import Connection


@dataclass(frozen=True, slots=True, kw_only=True)
class Batch:
    """Notes that were entered together: by whom, when, by which way; several motors have none of their own."""

    id: str
    motor_id: str | None
    source: str
    person: str
    at: datetime
    struck: bool


def add_batch(conn: Connection, act_id: str, motor_id: str | None, source: str, digest: str) -> None:
    """Keep that notes were entered together."""
    conn.execute(
        "insert into note_batch (id, motor_id, source, digest, act_id) values (:id, :motor_id, :source, :digest, :id)",
        {"id": act_id, "motor_id": motor_id, "source": source, "digest": digest},
    )


_BATCH = """select b.*, p.name as person, a.at from note_batch b join act a on a.id = b.act_id
            join person p on p.id = a.person_id"""


def fetch_batch(conn: Connection, batch_id: str) -> Batch:
    """Return notes that were entered together.

    Raises: NotFound.
    """
    row = conn.execute(f"{_BATCH} where b.id = :id", {"id": batch_id}).fetchone()
    if row is None:
        raise NotFound("There are no such notes.", "Open the motor's notes and choose there.")
    return _batch(row)


def list_batches(conn: Connection, motor_id: str) -> list[Batch]:
    """Return the notes that speak of a motor, the latest first, those that were taken back included."""
    rows = conn.execute(
        f"""{_BATCH} where b.id in (select act_id from round where motor_id = :id and noted = 1
            union select act_id from use_entry where motor_id = :id and noted = 1
            union select act_id from brush_set where motor_id = :id and noted = 1) order by a.seq desc""",
        {"id": motor_id},
    )
    return [_batch(r) for r in rows]


def _batch(row: object) -> Batch:
    made = {name: row[name] for name in ("id", "motor_id", "source", "person")}  # type: ignore[index]
    at, struck = datetime.fromisoformat(row["at"]), row["struck_act_id"] is not None  # type: ignore[index]
    return Batch(**made, at=at, struck=struck)


def is_known(conn: Connection, digest: str) -> bool:
    """Tell whether a table with this digest was imported already and stands."""
    row = conn.execute(
        "select 1 from note_batch where digest = :digest and struck_act_id is null", {"digest": digest}
    ).fetchone()
    return row is not None


def motors_of(conn: Connection, batch_id: str) -> list[str]:
    """Return the motors that notes entered together speak of."""
    rows = conn.execute(
        """select motor_id from round where act_id = :id and noted = 1
           union select motor_id from use_entry where act_id = :id and noted = 1
           union select motor_id from brush_set where act_id = :id and noted = 1""",
        {"id": batch_id},
    )
    return [str(r[0]) for r in rows]


def strike_batch(conn: Connection, batch_id: str, act_id: str) -> None:
    """Strike all that was entered together: it stays in the record and counts for nothing."""
    for statement in (
        "update round set struck_act_id = :act where act_id = :id and noted = 1 and struck_act_id is null",
        "update use_entry set struck_act_id = :act where act_id = :id and noted = 1 and struck_act_id is null",
        "update brush_set set struck_act_id = :act where act_id = :id and noted = 1 and struck_act_id is null",
        "update note_batch set struck_act_id = :act where id = :id",
    ):
        conn.execute(statement, {"id": batch_id, "act": act_id})


def strike_statement(conn: Connection, set_id: str, act_id: str) -> None:
    """Strike what was said before of when a set was new: its lengths then, and what that added to the log of use."""
    values = {"set_id": set_id, "act": act_id}
    conn.execute(
        """update round set struck_act_id = :act
           where set_id = :set_id and noted = 1 and kind = 'fitting' and struck_act_id is null""",
        values,
    )
    conn.execute(
        """update use_entry set struck_act_id = :act where noted = 1 and id = act_id || '.since'
           and motor_id = (select motor_id from brush_set where id = :set_id) and struck_act_id is null""",
        values,
    )
