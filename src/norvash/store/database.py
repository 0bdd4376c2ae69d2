"""Connections, transactions and forward-only migrations."""

import sqlite3
from collections import OrderedDict
from collections.abc import Hashable, Iterator
from contextlib import closing, contextmanager
from dataclasses import dataclass
from pathlib import Path
from urllib.parse import quote

from norvash.core.names.changed import RENAMED
from norvash.core.text.texts import compared
from norvash.errors import NorvashError, Unavailable
from norvash.store.renaming import rename_kept
from norvash.store.step_values import grade_at_6
from norvash.store.trouble import DatabaseError, trouble_of, unavailable

Row = sqlite3.Row
_APPLICATION_ID = 0x4E6F7276
_BUSY_MS = 5000
_SCHEMA = Path(__file__).parent / "schema"
_MOST_FAULTS = 20
_ALWAYS = (f"busy_timeout = {_BUSY_MS}", "foreign_keys = on", "trusted_schema = off")
_TO_WRITE = ("journal_mode = wal", "synchronous = full")


class Connection(sqlite3.Connection):
    """A connection to a database; `memory` holds what was worked out from it, shared by those of one pool."""

    memory: OrderedDict[Hashable, object]


def connect(path: Path, *, read_only: bool = False, made: bool = False) -> Connection:
    """Open a database file; a new one is empty until `migrate`.

    `made`: the file is there already, so none is made in its place. Raises: NorvashError for a file that is no
    database, Unavailable where it cannot be opened.
    """
    mode = "ro" if read_only else "rw" if made else "rwc"
    try:
        conn = sqlite3.connect(
            f"file:{quote(str(path))}?mode={mode}",
            uri=True,
            isolation_level=None,
            check_same_thread=False,
            factory=Connection,
        )
        conn.memory = OrderedDict()
        conn.row_factory = sqlite3.Row
        for pragma in _ALWAYS if read_only else (*_ALWAYS, *_TO_WRITE):
            conn.execute(f"pragma {pragma}")
    except sqlite3.DatabaseError as error:
        raise _cannot_open(path, error) from None
    return conn


def _cannot_open(path: Path, error: sqlite3.DatabaseError) -> NorvashError:
    trouble = trouble_of(error)
    if trouble is not None and trouble.state == "missing" and path.exists():
        return unavailable("read-only")
    if trouble is None or error.sqlite_errorcode == sqlite3.SQLITE_NOTADB:
        return NorvashError(
            f"The file {path.name} is not a database ({error}).", "Give the path of a Norvash database, or a new path."
        )
    return trouble


@contextmanager
def transaction(conn: Connection) -> Iterator[None]:
    """Hold one write transaction: all of it is kept, or nothing.

    Raises: Unavailable where the database cannot be written now.
    """
    try:
        conn.execute("begin immediate")
        yield
        conn.execute("commit")
    except BaseException as error:
        if conn.in_transaction:  # some failures of the disk have ended it already
            conn.execute("rollback")
        trouble = trouble_of(error) if isinstance(error, DatabaseError) else None
        if trouble is not None:
            raise trouble from error
        raise


@contextmanager
def snapshot(conn: Connection) -> Iterator[None]:
    """Read one moment: what others write meanwhile is not seen; within a transaction, what it sees itself."""
    if conn.in_transaction:
        yield
        return
    conn.execute("begin")
    try:
        yield
    finally:
        conn.execute("rollback")


def migrations() -> list[tuple[int, str]]:
    """Return the schema steps that ship, in order."""
    return [(int(f.name[:4]), f.read_text("utf-8")) for f in sorted(_SCHEMA.glob("*.sql"))]


def migrate(conn: Connection) -> int:
    """Bring the schema up to date, each step with its number in one transaction; return the version.

    Tables are rebuilt with foreign keys switched off, and what a step leaves is verified before it is kept.
    Raises: NorvashError for a file that belongs to something else or to a newer Norvash, or that a step would leave
    with rows that point nowhere.
    """
    steps = migrations()
    version = version_of(conn)
    conn.create_function("compared", 1, compared, deterministic=True)
    conn.create_function("grade_of", 1, grade_at_6, deterministic=True)
    conn.execute("pragma foreign_keys = off")
    try:
        for number, text in steps:
            if number > version:
                _step(conn, number, text)
        if RENAMED:
            with transaction(conn):
                rename_kept(conn)
    finally:
        conn.execute("pragma foreign_keys = on")
    return steps[-1][0]


def _step(conn: Connection, number: int, text: str) -> None:
    conn.executescript(f"begin immediate;\n{text}\npragma application_id = {_APPLICATION_ID};")
    lost = conn.execute("pragma foreign_key_check").fetchall()
    if lost:
        conn.execute("rollback")
        raise NorvashError(
            f"Step {number} of the schema would leave {len(lost)} rows that point nowhere.",
            "Keep the file as it is, and restore the last copy that opens.",
        )
    conn.execute(f"pragma user_version = {number}")
    conn.execute("commit")


def version_of(conn: Connection) -> int:
    """Return the version of a database's schema, 0 for an empty one.

    Raises: NorvashError for a file that belongs to something else or to a newer Norvash.
    """
    version = int(conn.execute("pragma user_version").fetchone()[0])
    mark = int(conn.execute("pragma application_id").fetchone()[0])
    if mark != _APPLICATION_ID:
        if version or int(conn.execute("select count(*) from sqlite_schema").fetchone()[0]):
            raise NorvashError("This database belongs to another application.", "Give another path.")
        return 0
    if version > migrations()[-1][0]:
        raise NorvashError(
            f"This database is of version {version}, newer than this Norvash.", "Start the newer Norvash."
        )
    return version


@dataclass(frozen=True, slots=True)
class Looked:
    """What a file holds: the version of its schema, 0 for an empty one, and what is damaged in it."""

    version: int
    faults: tuple[str, ...]


def look_at(path: Path, *, thoroughly: bool = False) -> Looked:
    """Check the integrity of a database without writing to it.

    Raises: NorvashError for a file that is no database, or that belongs to something else; Unavailable where it is not
    there.
    """
    with closing(connect(path, read_only=True)) as conn:
        version = 0
        try:
            version = version_of(conn)
            check = "integrity_check" if thoroughly else "quick_check"
            rows = conn.execute(f"pragma {check}({_MOST_FAULTS})").fetchall()
        except sqlite3.DatabaseError as error:
            trouble = _cannot_open(path, error)
            if not isinstance(trouble, Unavailable) or trouble.state != "damaged":
                raise trouble from None
            return Looked(version, (str(error),))
    return Looked(version, tuple(line for row in rows for line in str(row[0]).splitlines() if line != "ok"))


def prepare(path: Path) -> Looked:
    """Make a database ready to be served: a new one gets its schema, a sound one the steps that it lacks, a damaged one
    nothing.

    Raises: NorvashError for a file that is no database, or that belongs to something else.
    """
    if path.exists():
        found = look_at(path)
        if found.faults:
            return found
    with closing(connect(path)) as conn:
        return Looked(migrate(conn), ())


def writable_now(conn: Connection) -> None:
    """Take the write lock and give it back.

    Raises: sqlite3.OperationalError where it is not to be had.
    """
    conn.execute("pragma busy_timeout = 200")
    try:
        conn.execute("begin immediate")
        conn.execute("rollback")
    finally:
        conn.execute(f"pragma busy_timeout = {_BUSY_MS}")


def fold_in(path: Path) -> None:
    """Write what the log holds into the database file, so that the file alone is all of it."""
    with closing(connect(path, made=True)) as conn:
        conn.execute("pragma busy_timeout = 500")
        conn.execute("pragma wal_checkpoint(truncate)")
