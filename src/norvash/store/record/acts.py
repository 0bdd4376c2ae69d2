"""Writes about one motor, page by page: the newest, those since a sheet was opened, which sheet that was."""

from norvash.store.file.database import Connection
from norvash.store.record.people import DONE, Done, done_of


def list_record(conn: Connection, motor_id: str, most: int, below: int | None = None) -> list[Done]:
    """Return the latest writes about a motor, newest first; of those below a place in the order of writing, if one is
    given.
    """
    rows = conn.execute(
        f"{DONE} where a.motor_id = :motor and (:below is null or a.seq < :below) order by a.seq desc limit :most",
        {"motor": motor_id, "most": most, "below": below},
    )
    return [done_of(r) for r in rows]


def list_since_opened(conn: Connection, motor_id: str, below: int, most: int) -> tuple[list[Done], int]:
    """Return the newest writes about a motor before a place in the order of writing, newest first, of those since the
    last opening of a sheet, and that opening; and how many between them are left out.
    """
    rows = conn.execute(
        f"""{DONE} where a.motor_id = :motor and a.seq < :below and a.seq >= (
            select max(seq) from act where motor_id = :motor and job = 'open a sheet' and seq < :below)
            order by a.job = 'open a sheet' desc, a.seq desc limit :most""",
        {"motor": motor_id, "below": below, "most": most},
    ).fetchall()
    acts = sorted(map(done_of, rows), key=lambda a: -a.seq)
    between = conn.execute(
        "select count(*) from act where motor_id = :motor and seq >= :opened and seq < :below",
        {"motor": motor_id, "opened": acts[-1].seq if acts else below, "below": below},
    ).fetchone()
    return acts, int(between[0]) - len(acts)


def sheet_opened_before(conn: Connection, motor_id: str, below: int) -> str:
    """Return the sheet that was opened last before a place in the order of writing, empty without one."""
    row = conn.execute(
        """select result_id from act where motor_id = :motor and job = 'open a sheet' and seq < :below
           order by seq desc limit 1""",
        {"motor": motor_id, "below": below},
    ).fetchone()
    return str(row["result_id"]) if row is not None else ""
