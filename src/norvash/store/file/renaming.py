"""Names in a database brought up to those of today: each that was renamed, wherever a row holds it."""

import sqlite3
from collections.abc import Iterator

from norvash.core.kept_names import NAMED_BY, RENAMED, Kind

# By kind the tables and columns that hold its names, and of an answer the column of what it answers.
_HELD: dict[Kind, tuple[tuple[str, str], ...]] = {
    "finding": (("life", "finding"), ("finding", "seen")),
    "part": (("life", "part"), ("finding", "part")),
    "field": (("entry", "field"),),
    "figure": (("motor_figure", "name"), ("type_figure", "name")),
    "rule": (("rule_override", "rule_id"),),
    "school": (("rule_override", "rule_id"),),
    "policy": (("policy", "kind"),),
}
_ANSWERED: dict[Kind, tuple[tuple[str, str, str], ...]] = {
    "answer": (("entry", "field", "word"),),
    "word": (("motor_figure", "name", "value_text"), ("type_figure", "name", "value_text")),
    "option": (("rule_override", "rule_id", "word"),),
}


def rename_kept(conn: sqlite3.Connection) -> None:
    """Give every row that holds a renamed name the one of today; the caller holds the transaction.

    A row whose new name is taken at its place keeps the old one, as a name that this version does not know.
    """
    for table, column, was, now in _renamed():
        conn.execute(f"update or ignore {table} set {column} = :now where {column} = :was", {"was": was, "now": now})
    for kind, places in _ANSWERED.items():
        for was, now in RENAMED.get(kind, {}).items():
            of, _, word = was.partition("=")
            for table, asked, answered in places:
                conn.execute(
                    f"update {table} set {answered} = :now where {asked} = :of and {answered} = :was",
                    {"of": of, "was": word, "now": now.partition("=")[2]},
                )


def _renamed() -> Iterator[tuple[str, str, str, str]]:
    """Yield table, column, what stands there and what is to stand there."""
    for kind, names in RENAMED.items():
        for was, now in names.items():
            yield from ((table, column, was, now) for table, column in _HELD.get(kind, ()))
            starts = (start for start, of in NAMED_BY.items() if of == kind)
            yield from (("entry", "field", f"{start}{was}", f"{start}{now}") for start in starts)
