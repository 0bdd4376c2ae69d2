"""A database file made ready to be used: what it holds, what is damaged in it, and the steps that its schema lacks."""

import contextlib
import sqlite3
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

from norvash.core.kept_names import RENAMED
from norvash.errors import NorvashError, Unavailable
from norvash.store.file.database import Connection, cannot_open, connect, is_writable, transaction
from norvash.store.file.renaming import rename_kept
from norvash.store.file.steps import lend_functions, steps
from norvash.store.file.whole import page_faults, row_faults, schema_faults

_APPLICATION_ID = 0x4E6F7276


@dataclass(frozen=True, slots=True)
class Looked:
    """What a file holds: the version of its schema, 0 for an empty one, and what is damaged in it.

    One that is `read_only` can be shown, and nothing be written to it.
    """

    version: int
    faults: tuple[str, ...]
    read_only: bool = False


def migrate(conn: Connection) -> int:
    """Bring the schema up to date, each step with its number in one transaction; return the version.

    Tables are rebuilt with foreign keys switched off, and what a step leaves is verified before it is kept. Names that
    have changed since are brought up to those of today.
    Raises: NorvashError for a file that belongs to something else or to a newer Norvash, or that a step would leave
    with rows that point nowhere.
    """
    version, newest = version_of(conn), steps()[-1][0]
    lend_functions(conn)
    conn.execute("pragma foreign_keys = off")
    try:
        for number, text in steps():
            if number > version:
                _step(conn, number, text)
    finally:
        conn.execute("pragma foreign_keys = on")
    if RENAMED:
        with transaction(conn):
            rename_kept(conn)
    return newest


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
    if version > steps()[-1][0]:
        raise NorvashError(
            f"This database is of version {version}, newer than this Norvash.", "Start the newer Norvash."
        )
    return version


def look_at(path: Path, *, thoroughly: bool = False) -> Looked:
    """Check a database without writing to it: its pages and the objects of its schema; thoroughly, its rows too.

    Raises: NorvashError for a file that is no database, or that belongs to something else; Unavailable where it is not
    there.
    """
    log = Path(f"{path}-wal")
    was_there = log.exists()
    found, other = _look(path, thoroughly=thoroughly)
    if not was_there and log.exists() and is_writable(path):
        _put_away(path)
    return Looked(found.version, (*found.faults, *other))


def _put_away(path: Path) -> None:
    """Let the files beside a database go that reading it has made: the last who closes it takes them along, and whoever
    has opened it meanwhile keeps them.
    """
    with contextlib.suppress(NorvashError, sqlite3.DatabaseError), closing(connect(path, made=True)) as conn:
        conn.execute("pragma schema_version").fetchone()


def _look(path: Path, *, thoroughly: bool) -> tuple[Looked, tuple[str, ...]]:
    """Return what a file holds with what is damaged in its pages; and of one whose pages are sound, what else is."""
    with closing(connect(path, read_only=True)) as conn:
        version = 0
        other: tuple[str, ...] = ()
        try:
            version = version_of(conn)
            faults = page_faults(conn, thoroughly=thoroughly)
            if version and not faults:
                other = schema_faults(conn, version) or (row_faults(conn) if thoroughly else ())
        except sqlite3.DatabaseError as error:
            trouble = cannot_open(path, error)
            if not isinstance(trouble, Unavailable) or trouble.state != "damaged":
                raise trouble from None
            faults = (str(error),)
    return Looked(version, faults), other


def prepare(path: Path) -> Looked:
    """Make a database ready to be served: a new one gets its schema, a sound one the steps that it lacks, a damaged one
    nothing, and none that cannot be written.

    Raises: NorvashError for a file that is no database, that belongs to something else, or whose schema is not that of
    its version; for an older one that cannot be written.
    """
    writable = is_writable(path)
    if path.exists():
        found, other = _look(path, thoroughly=False)
        if other:
            raise NorvashError(
                f"{path} is not as Norvash has made it: {other[0]}.",
                f"Put the last good backup in its place: norvash restore BACKUP --db {path}.",
            )
        if found.faults:
            return found
        if not writable:
            return _as_it_lies(path, found)
    with closing(connect(path)) as conn:
        return Looked(migrate(conn), ())


def _as_it_lies(path: Path, found: Looked) -> Looked:
    """Return a file that can only be read.

    Raises: NorvashError for one that would have to be written first.
    """
    if found.version != steps()[-1][0]:
        what = f"of version {found.version} and would have to be lifted first" if found.version else "empty"
        raise NorvashError(
            f"{path} cannot be written, and it is {what}.", "Copy it to where it can be written, and open it there."
        )
    return Looked(found.version, (), read_only=True)


def open_to_read(path: Path) -> Connection:
    """Open a database that is only read, as it lies.

    Raises: NorvashError for one of another version, that must be lifted first or is newer than this Norvash.
    """
    conn = connect(path, read_only=True)
    version = version_of(conn)
    if version != steps()[-1][0]:
        conn.close()
        raise NorvashError(
            f"{path} is of version {version} and has to be lifted first.", "Serve it once with this Norvash, or a copy."
        )
    return conn
