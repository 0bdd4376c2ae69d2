"""Connections and transactions."""

import os
import sqlite3
from collections.abc import Iterator
from contextlib import closing, contextmanager
from pathlib import Path
from urllib.parse import quote

from norvash.errors import NorvashError
from norvash.store.file.memory import Memory
from norvash.store.file.trouble import trouble_of
from norvash.store.file.watch import Watch

Row = sqlite3.Row
_BUSY_MS = 5000
_ALWAYS = (f"busy_timeout = {_BUSY_MS}", "foreign_keys = on", "trusted_schema = off")
_TO_WRITE = ("journal_mode = wal", "synchronous = full")


class Connection(sqlite3.Connection):
    """A connection to a database; `memory` holds what was worked out from it, `told` what a job at hand makes of
    motors, and `watch` what keeps it from being written to; memory and watch are shared by those of one pool.
    """

    memory: Memory
    told: dict[str, object] | None
    watch: Watch


def connect(path: Path, *, read_only: bool = False, made: bool = False, watch: Watch | None = None) -> Connection:
    """Open a database file; a new one is empty until `migrate`.

    `made`: the file is there already, so none is made in its place. Raises: NorvashError for a file that is no
    database, that cannot be read, or whose log cannot be read where it lies; Unavailable where it cannot be opened.
    """
    seen = watch or Watch()
    try:
        conn = sqlite3.connect(
            f"file:{quote(str(path))}?mode={_how(path, read_only=read_only, made=made)}",
            uri=True,
            isolation_level=None,
            check_same_thread=False,
            factory=Connection,
        )
        conn.memory, conn.told, conn.watch = Memory(), None, seen
        conn.row_factory = sqlite3.Row
        for pragma in _ALWAYS if read_only else (*_ALWAYS, *_TO_WRITE):
            conn.execute(f"pragma {pragma}")
    except sqlite3.DatabaseError as error:
        seen.trouble(error)
        raise cannot_open(path, error) from None
    return conn


def _how(path: Path, *, read_only: bool, made: bool) -> str:
    """Return how a file is opened. Where nothing can be written beside it, it is read as it lies: then no log may lie
    there too, whose entries would not be seen.
    """
    if not read_only:
        return "rw" if made else "rwc"
    if os.access(path.parent, os.W_OK) or not path.exists():
        return "ro"
    log = Path(f"{path}-wal")
    if log.exists() and log.stat().st_size:
        raise NorvashError(
            f"{path} lies where nothing can be written, with a log beside it that holds what was entered last.",
            f"Copy {path.name} and the files beside it that begin with its name elsewhere first, and read them there.",
        )
    return "ro&immutable=1"


def is_writable(path: Path) -> bool:
    """Tell whether a file, and beside it, can be written."""
    return os.access(path.parent, os.W_OK) and (not path.exists() or os.access(path, os.W_OK))


def cannot_open(path: Path, error: sqlite3.DatabaseError) -> NorvashError:
    """Return why a file cannot be opened."""
    if path.exists() and not os.access(path, os.R_OK):
        return NorvashError(f"{path} cannot be read.", "Give this program leave to read it.")
    if not path.parent.is_dir():
        return NorvashError(f"There is no folder {path.parent}.", "Make it first, or give another path.")
    trouble = trouble_of(error)
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
    conn.watch.check()
    try:
        conn.execute("begin immediate")
        yield
        conn.watch.check()  # what another connection has seen meanwhile
        conn.execute("commit")
    except BaseException as error:
        if conn.in_transaction:  # some failures of the disk have ended it already
            conn.execute("rollback")
        trouble = conn.watch.trouble(error) if isinstance(error, sqlite3.Error) else None
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
