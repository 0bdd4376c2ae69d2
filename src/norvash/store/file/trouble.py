"""What can be wrong with the database file, told apart and put into words."""

import os
import sqlite3
from pathlib import Path

from norvash.errors import Unavailable

DatabaseError = sqlite3.Error
Identity = tuple[int, int]
_SOON_S, _LATER_S = 2, 30
_KEPT = "Nothing was half saved, and what waits in a browser is sent again by itself"
_WORDS = {
    "busy": (
        "The database is busy: somebody else is writing.",
        "Wait a moment, then send it again; nothing was half saved.",
    ),
    "full": (
        "The disk is full: nothing more can be written.",
        f"Make room on the disk that holds the database. {_KEPT}.",
    ),
    "read-only": (
        "The database cannot be written: its file or its disk is read-only.",
        f"Give this program leave to write the file and its folder. {_KEPT}.",
    ),
    "missing": (
        "The database file is not where it was.",
        f"Put it back where it was, or stop Norvash and start it with the right path. {_KEPT}.",
    ),
    "moved": (
        "Another file stands where the database was.",
        f"Stop Norvash and start it again, so that it opens the file that is there now. {_KEPT}.",
    ),
    "disk": (
        "The disk that holds the database does not answer as it should.",
        f"Look at the disk and its connection before anything else. {_KEPT}.",
    ),
    "damaged": (
        "The database file is damaged: it is shown as far as it can be read, and nothing is written to it.",
        (
            "Stop Norvash, keep a copy of the file, and put the last good backup in its place: norvash restore BACKUP"
            " --db FILE."
        ),
    ),
}
STATES = ("well", *_WORDS)
# By SQLite's primary result code, and one extended code.
_CODES = {
    sqlite3.SQLITE_BUSY: "busy",
    sqlite3.SQLITE_LOCKED: "busy",
    sqlite3.SQLITE_FULL: "full",
    sqlite3.SQLITE_READONLY: "read-only",
    sqlite3.SQLITE_CANTOPEN: "missing",
    sqlite3.SQLITE_IOERR: "disk",
    sqlite3.SQLITE_CORRUPT: "damaged",
    sqlite3.SQLITE_NOTADB: "damaged",
}
_PRIMARY = 0xFF


def unavailable(state: str) -> Unavailable:
    """Return the error that says that the database is in a state."""
    return Unavailable(state, *_WORDS[state], _SOON_S if state == "busy" else _LATER_S)


def trouble_of(error: sqlite3.Error) -> Unavailable | None:
    """Return what is wrong with the database, None where the fault is in the program."""
    code = getattr(error, "sqlite_errorcode", None)
    if code is None:
        return None
    if code == sqlite3.SQLITE_READONLY_DBMOVED:
        return unavailable("moved")
    state = _CODES.get(code & _PRIMARY)
    return unavailable(state) if state else None


def identity(path: Path) -> Identity | None:
    """Return which file stands at a path, None where there is none."""
    try:
        found = os.stat(path)  # noqa: PTH116  (once a request: the lean way)
    except OSError:
        return None
    return found.st_dev, found.st_ino


def check_in_place(path: Path, opened: Identity | None) -> None:
    """Refuse to go on with a file that is no more where it was opened.

    Raises: Unavailable.
    """
    there = identity(path)
    if there != opened:
        raise unavailable("missing" if there is None else "moved")
