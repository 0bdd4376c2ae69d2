"""How long tasks took, as signed sheets say."""

from collections.abc import Sequence

from norvash.store.database import Connection


def list_minutes(conn: Connection, tasks: Sequence[str], last: int) -> dict[str, list[float]]:
    """Return the minutes that tasks took on signed sheets [min], the last so many of each."""
    made: dict[str, list[float]] = {}
    for task in tasks:
        rows = conn.execute(
            """select json_extract(e.more_json, '$.took') as took from entry e join sheet s on s.id = e.sheet_id
               where e.field = ? and e.replaced_by is null and took is not null and s.signed_at is not null
               order by e.rowid desc limit ?""",
            (f"task.{task}", last),
        )
        made[task] = [float(r["took"]) for r in rows]
    return made
