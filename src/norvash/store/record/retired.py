"""Motors that are used no more: their record stays."""

from datetime import datetime

from norvash.core.record.record import Retired
from norvash.store.file.database import Connection, Row


def retired_of(row: Row) -> Retired | None:
    """Return since when the motor of a row is used no more, None while it is in use."""
    return Retired(datetime.fromisoformat(row["retired_at"]), row["retired_by"]) if row["retired_at"] else None


def retire(conn: Connection, motor_id: str, retired: Retired | None) -> None:
    """Keep that a motor is used no more, or, with None, that it is used again."""
    conn.execute(
        "update motor set retired_at = :at, retired_by = :by where id = :id",
        {
            "id": motor_id,
            "at": retired.at.isoformat() if retired is not None else None,
            "by": retired.by if retired is not None else None,
        },
    )
