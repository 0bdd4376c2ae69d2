"""Copies of a database: a consistent one while people write, and one put in its place with nothing lost."""

import os
import sqlite3
from contextlib import closing
from datetime import datetime
from itertools import count
from pathlib import Path

from norvash.errors import NorvashError
from norvash.store.file.database import connect
from norvash.store.file.lock import held_alone
from norvash.store.file.ready import Looked, look_at
from norvash.store.file.trouble import trouble_of

_BESIDE = ("-wal", "-shm")


def back_up(db: Path, target: Path) -> int:
    """Copy a database into one file of its own, as it stands at one moment, and check the copy.

    Return its size in bytes.

    Raises: NorvashError for a target that is there already, for a database that is damaged, where the copy cannot be
    written.
    """
    if target.exists():
        raise NorvashError(f"{target} is there already.", "Give the backup another name; no backup is written over.")
    made = _copied(db, target)
    _into_place(made, target)
    return target.stat().st_size


def restore(source: Path, db: Path, now: datetime) -> Path | None:
    """Put a checked backup in the place of a database, and return where what stood there is kept, None where nothing
    did.

    Raises: NorvashError for a file that is no sound backup, Conflict while the database is served; then nothing is
    changed.
    """
    if source.resolve() == db.resolve():
        raise NorvashError("This is the database itself.", "Name the backup first, then --db and the database.")
    sound(source)
    with held_alone(db, "being restored"):
        made = _copied(source, db)
        kept = _set_aside(db, now) if db.exists() else None
        _into_place(made, db)
    return kept


def sound(path: Path, called: Path | None = None) -> Looked:
    """Return what a file holds; `called` is what it is a copy of.

    Raises: NorvashError unless it is a whole database of Norvash that this version can open.
    """
    if not path.is_file():
        raise NorvashError(f"There is no file {path}.", "Give the path of one that is there.")
    name, found = called or path, look_at(path, thoroughly=True)
    if found.faults:
        raise _damaged(name, found.faults[0])
    if not found.version:
        raise NorvashError(f"{name} is an empty database.", "Take a backup that holds something; nothing was changed.")
    return found


def _damaged(path: Path, fault: str) -> NorvashError:
    return NorvashError(f"{path} is damaged or cut short: {fault}.", "Take an earlier backup; nothing was changed.")


def _copied(source: Path, target: Path) -> Path:
    """Return a checked copy of a database beside the target."""
    if not target.parent.is_dir():
        raise NorvashError(f"There is no folder {target.parent}.", "Make it first, or give another path.")
    making = Path(f"{target}.making")
    _remove(making)
    try:
        with closing(connect(source, read_only=True)) as conn, closing(sqlite3.connect(making)) as copy:
            conn.backup(copy)
            copy.execute("pragma journal_mode = delete")
        sound(making, called=source)
    except sqlite3.Error as error:
        _remove(making)
        trouble = trouble_of(error)
        if trouble is not None and trouble.state == "damaged":
            raise _damaged(source, str(error)) from None
        raise NorvashError(
            f"The copy {target} could not be made ({error}).", "Look at the disk and its room, then try again."
        ) from None
    except (NorvashError, OSError):
        _remove(making)
        raise
    return making


def _remove(making: Path) -> None:
    for ending in ("", "-journal", *_BESIDE):
        Path(f"{making}{ending}").unlink(missing_ok=True)


def _into_place(made: Path, target: Path) -> None:
    with made.open("rb") as file:
        os.fsync(file.fileno())
    made.replace(target)
    folder = os.open(target.parent, os.O_RDONLY)
    try:
        os.fsync(folder)
    finally:
        os.close(folder)


def _set_aside(db: Path, now: datetime) -> Path:
    """Keep a database under another name, just as it is, with its log."""
    name = f"{db}.before-{now:%Y%m%d-%H%M%S}"
    kept = next(p for n in count() if not (p := Path(f"{name}-{n}" if n else name)).exists())
    for ending in ("", *_BESIDE):
        if Path(f"{db}{ending}").exists():
            Path(f"{db}{ending}").rename(f"{kept}{ending}")
    return kept
