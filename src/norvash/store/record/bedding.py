"""When the faces of a motor were run in, as the clocks of its sheets tell it."""

from datetime import datetime

from norvash.store.file.database import Connection


def list_bedding(conn: Connection, motor_id: str) -> dict[str, list[tuple[datetime, str]]]:
    """Return when faces of a motor were run in, by sheet: each turn of the clock with its word, in order."""
    made: dict[str, list[tuple[datetime, str]]] = {}
    for r in conn.execute(
        """select e.sheet_id, a.at, e.word from sheet s
           join entry e on e.sheet_id = s.id and e.field = 'run-in' and e.replaced_by is null and e.word <> ''
           join act a on a.id = e.act_id where s.motor_id = ? order by a.at, a.seq""",
        (motor_id,),
    ):
        made.setdefault(r["sheet_id"], []).append((datetime.fromisoformat(r["at"]), r["word"]))
    return made
