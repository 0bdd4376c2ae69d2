"""The places where motors stand."""

from norvash.core.text.texts import compared
from norvash.store.file.database import Connection


def list_places(conn: Connection, words: str, most: int) -> list[tuple[str, int]]:
    """Return the places whose name holds the words, each with its number of motors, those with most first."""
    rows = conn.execute("select place, count(*) as n from motor group by place order by n desc, place")
    sought = compared(words)
    return [(r["place"], r["n"]) for r in rows if sought in compared(r["place"])][:most]
