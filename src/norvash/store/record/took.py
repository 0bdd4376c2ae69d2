"""How long tasks took, as signed sheets say."""

import json
from collections.abc import Sequence

from norvash.store.file.database import Connection


def list_minutes(conn: Connection, tasks: Sequence[str], last: int) -> dict[str, list[float]]:
    """Return the minutes that tasks took on signed sheets [min], the last so many of each."""
    rows = conn.execute(
        """select t.value as task, (select json_group_array(took) from (
               select json_extract(e.more_json, '$.took') as took from entry e join sheet s on s.id = e.sheet_id
               where e.field = 'task.' || t.value and e.replaced_by is null and took is not null
                     and s.signed_at is not null
               order by e.rowid desc limit :last)) as all_took
           from json_each(:tasks) t""",
        {"tasks": json.dumps([*tasks]), "last": last},
    )
    return {r["task"]: [float(took) for took in json.loads(r["all_took"])] for r in rows}
