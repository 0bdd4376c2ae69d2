"""The steps of the schema, and the functions that they call."""

import sqlite3
from pathlib import Path

from norvash.core.text.alike import looks
from norvash.core.text.texts import compared
from norvash.store.file.step_values import grade_at_6

_SCHEMA = Path(__file__).parent.parent / "schema"
# What the objects of each version are known by, so that a start need not make them to compare.
KNOWN_OBJECTS = {
    int(line.split()[0]): line.split()[1] for line in (_SCHEMA / "objects.txt").read_text("utf-8").splitlines()
}


def steps() -> list[tuple[int, str]]:
    """Return the schema steps that ship, in order."""
    return [(int(f.name[:4]), f.read_text("utf-8")) for f in sorted(_SCHEMA.glob("*.sql"))]


def lend_functions(conn: sqlite3.Connection) -> None:
    """Give a connection what steps call: how names are compared, what they look like, and the grades of their day."""
    conn.create_function("compared", 1, compared, deterministic=True)
    conn.create_function("looks", 1, looks, deterministic=True)
    conn.create_function("grade_of", 1, grade_at_6, deterministic=True)
