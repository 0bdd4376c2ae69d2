"""Connections, transactions and forward-only migrations."""

import sqlite3
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from norvash.errors import NorvashError

Connection = sqlite3.Connection
Row = sqlite3.Row
_APPLICATION_ID = 0x4E6F7276
_BUSY_MS = 5000
_SCHEMA = Path(__file__).parent / "schema"


def connect(path: Path) -> Connection:
    """Open a database file; a new one is empty until `migrate`.

    Raises: NorvashError for a file that is no database.
    """
    conn = sqlite3.connect(path, isolation_level=None, check_same_thread=False)
    conn.row_factory = sqlite3.Row
    try:
        for pragma in (f"busy_timeout = {_BUSY_MS}", "journal_mode = wal", "synchronous = full", "foreign_keys = on",
                       "trusted_schema = off"):  # fmt: skip
            conn.execute(f"pragma {pragma}")
    except sqlite3.DatabaseError as error:
        raise NorvashError(
            f"The file {path.name} is no database ({error}).", "Give the path of a Norvash database, or a new path."
        ) from None
    return conn


@contextmanager
def transaction(conn: Connection) -> Iterator[None]:
    """Hold one write transaction: all of it is kept, or nothing."""
    conn.execute("begin immediate")
    try:
        yield
    except BaseException:
        conn.execute("rollback")
        raise
    conn.execute("commit")


def migrations() -> list[tuple[int, str]]:
    """Return the schema steps that ship, in order."""
    return [(int(f.name[:4]), f.read_text("utf-8")) for f in sorted(_SCHEMA.glob("*.sql"))]


def migrate(conn: Connection) -> int:
    """Bring the schema up to date, each step with its number in one transaction; return the version.

    Raises: NorvashError for a file that belongs to something else or to a newer Norvash.
    """
    steps = migrations()
    version = _version(conn)
    if version > steps[-1][0]:
        raise NorvashError(
            f"This database is of version {version}, newer than this Norvash.", "Start the newer Norvash."
        )
    for number, text in steps:
        if number > version:
            conn.executescript(f"begin immediate;\n{text}\npragma application_id = {_APPLICATION_ID};\n"
                               f"pragma user_version = {number};\ncommit;")  # fmt: skip
    return steps[-1][0]


def _version(conn: Connection) -> int:
    version = int(conn.execute("pragma user_version").fetchone()[0])
    mark = int(conn.execute("pragma application_id").fetchone()[0])
    tables = int(conn.execute("select count(*) from sqlite_schema").fetchone()[0])
    if mark != _APPLICATION_ID and (tables or version):
        raise NorvashError("This database belongs to another application.", "Give another path.")
    return version


def healthy(conn: Connection) -> bool:
    """Tell whether the database answers."""
    return bool(conn.execute("select count(*) from site").fetchone()[0] == 1)
