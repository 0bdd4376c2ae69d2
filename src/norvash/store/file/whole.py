"""Whether a database is whole: its pages, the objects of its schema, and what its rows must be to each other."""

import sqlite3
from collections.abc import Iterator
from contextlib import closing
from functools import cache
from hashlib import sha256

from norvash.store.file.steps import KNOWN_OBJECTS, lend_functions, steps

_MOST_FAULTS = 20
_OBJECTS = "select type, name, tbl_name, sql from sqlite_schema where name not like 'sqlite\\_%' escape '\\'"
_DIGEST = 64
# What rows must be, as (what is said, the rows for which it is not so).
_ROWS = (
    ("act {}: its number stands twice", "select id from act group by seq having count(*) > 1"),
    (
        "act {}: what it was made of has no digest",
        f"select id from act where length(digest) <> {_DIGEST} or digest glob '*[^0-9a-f]*'",
    ),
    (
        "act {}: what it changed cannot be read",
        "select id from act where not (json_valid(before_json) and json_valid(after_json))",
    ),
    (
        "motor {}: it has no standing",
        "select id from motor where not exists (select 1 from standing s where s.motor_id = motor.id)",
    ),
    ("motor {}: it has more than one standing", "select motor_id from standing group by motor_id having count(*) > 1"),
)


def page_faults(conn: sqlite3.Connection, *, thoroughly: bool) -> tuple[str, ...]:
    """Return what is damaged in the pages of a file; thoroughly, every index is held against its table too."""
    check = "integrity_check" if thoroughly else "quick_check"
    rows = conn.execute(f"pragma {check}({_MOST_FAULTS})").fetchall()
    return tuple(line for row in rows for line in str(row[0]).splitlines() if line != "ok")


def schema_faults(conn: sqlite3.Connection, version: int) -> tuple[str, ...]:
    """Return where the objects of a schema differ from those of its version: what is missing, foreign, or otherwise."""
    there = objects_of(conn)
    if digest_of(there) == KNOWN_OBJECTS.get(version):
        return ()
    wanted = objects_of_version(version)
    missing = (f"{kind} {name} is missing" for kind, name in wanted.keys() - there.keys())
    foreign = (f"{kind} {name} is none of Norvash's" for kind, name in there.keys() - wanted.keys())
    other = (
        f"{kind} {name} is not as Norvash makes it"
        for kind, name in there.keys() & wanted.keys()
        if there[kind, name] != wanted[kind, name]
    )
    tables_first = sorted((*missing, *foreign, *other), key=lambda fault: (fault.startswith("index"), fault))
    return tuple(tables_first[:_MOST_FAULTS])


def row_faults(conn: sqlite3.Connection) -> tuple[str, ...]:
    """Return the rows that point nowhere, and those that no write of Norvash leaves."""
    return tuple(line for _, line in zip(range(_MOST_FAULTS), _rows(conn), strict=False))


def _rows(conn: sqlite3.Connection) -> Iterator[str]:
    for table, row, parent, _ in conn.execute("pragma foreign_key_check"):
        yield f"{table}, row {row}: it belongs to a row of {parent} that is not there"
    for words, found in _ROWS:
        yield from (words.format(name) for (name,) in conn.execute(found))


def objects_of(conn: sqlite3.Connection) -> dict[tuple[str, str], str]:
    """Return the objects of a database's schema, by kind and name."""
    return {(kind, name): f"{of} {_plain(sql)}" for kind, name, of, sql in conn.execute(_OBJECTS)}


def _plain(sql: str | None) -> str:
    """Return a statement without what different versions of SQLite write otherwise: quotes, blanks, capitals."""
    return "".join((sql or "").replace('"', "").split()).lower()


def digest_of(objects: dict[tuple[str, str], str]) -> str:
    """Return what the objects of a schema are known by."""
    return sha256(repr(sorted(objects.items())).encode()).hexdigest()


@cache
def objects_of_version(version: int) -> dict[tuple[str, str], str]:
    """Return the objects that the steps up to a version leave, made in memory."""
    with closing(sqlite3.connect(":memory:", isolation_level=None)) as conn:
        lend_functions(conn)
        for number, text in steps():
            if number <= version:
                conn.executescript(text)
        return objects_of(conn)
