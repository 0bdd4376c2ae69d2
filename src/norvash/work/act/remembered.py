"""What the last job told a motor's record, remembered once it is written: it need not be read again."""

from collections.abc import Iterator
from contextlib import contextmanager

from norvash.store.file.database import Connection
from norvash.store.record.stamps import Stamp, stamp_of

_TOLD = "told"


@contextmanager
def telling(conn: Connection) -> Iterator[None]:
    """Do a job that may tell motors what it makes of them; what nobody remembers is let go at its end."""
    conn.told = {}
    try:
        yield
    finally:
        conn.told = None


def tell(conn: Connection, motor_id: str, told: object) -> None:
    """Say what a motor is once the job at hand is written; what is judged again beside a job tells nothing."""
    if conn.told is not None:
        conn.told = {motor_id: told}  # of a job on many motors none is remembered but the last


def remember(conn: Connection, motor_id: str | None) -> None:
    """Remember what the job at hand told a motor, under the stamp that it leaves; the caller holds the transaction."""
    if motor_id is not None and conn.told is not None and motor_id in conn.told:
        conn.memory.put((_TOLD, motor_id), (stamp_of(conn, motor_id), conn.told[motor_id]))


def told_of(conn: Connection, motor_id: str, stamp: Stamp) -> object | None:
    """Return what a motor was told last, None where anything else was written since."""
    known = conn.memory.take((_TOLD, motor_id))
    return known[1] if isinstance(known, tuple) and known[0] == stamp else None
