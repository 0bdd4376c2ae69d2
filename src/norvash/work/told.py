"""What the last job told a motor's record, remembered once it is written: it need not be read again."""

from norvash.store.database import Connection
from norvash.store.stamps import Stamp, stamp_of

_TOLD = "told"


def tell(conn: Connection, motor_id: str, told: object) -> None:
    """Say what a motor is once the job at hand is written."""
    conn.told[motor_id] = told


def remember(conn: Connection, motor_id: str | None) -> None:
    """Remember what the job at hand told a motor, under the stamp that it leaves; the caller holds the transaction."""
    told = conn.told.get(motor_id) if motor_id is not None else None
    conn.told.clear()
    if motor_id is not None and told is not None:
        conn.memory[_TOLD, motor_id] = (stamp_of(conn, motor_id), told)


def told_of(conn: Connection, motor_id: str, stamp: Stamp) -> object | None:
    """Return what a motor was told last, None where anything else was written since."""
    known = conn.memory.pop((_TOLD, motor_id), None)
    return known[1] if isinstance(known, tuple) and known[0] == stamp else None
