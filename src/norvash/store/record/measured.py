"""What was measured at a visit, kept with its signature."""

import json
from collections.abc import Iterable
from datetime import datetime

from norvash.core.sheet.kept_value import KeptValue
from norvash.store.file.database import Connection


def keep_measured(conn: Connection, sheet_id: str, values: Iterable[KeptValue]) -> None:
    """Keep what was measured on a sheet, in its order."""
    conn.executemany(
        """insert into measured (sheet_id, n, stage, id, spot, sight, what, said, value_in_unit, unit, low_in_unit,
                                 high_in_unit, basis, standing, grade, words, by_name, at, rest_json)
           values (:sheet_id, :n, :stage, :id, :spot, :sight, :what, :said, :value, :unit, :low, :high, :basis,
                   :standing, :grade, :words, :by_name, :at, :rest_json)""",
        [
            {
                **{name: getattr(v, name) for name in KeptValue.__slots__ if name not in ("by", "at", "rest")},
                "sheet_id": sheet_id,
                "n": n,
                "by_name": v.by,
                "at": v.at.isoformat() if v.at is not None else None,
                "rest_json": json.dumps(dict(v.rest), ensure_ascii=False),
            }
            for n, v in enumerate(values, start=1)
        ],
    )


def list_measured(conn: Connection, sheet_id: str) -> tuple[KeptValue, ...]:
    """Return what was kept of a sheet in its order, nothing of one that is open or was signed before this was kept."""
    return tuple(
        KeptValue(
            stage=row["stage"],
            id=row["id"],
            spot=row["spot"],
            sight=row["sight"],
            what=row["what"],
            said=row["said"],
            value=row["value_in_unit"],
            unit=row["unit"],
            low=row["low_in_unit"],
            high=row["high_in_unit"],
            basis=row["basis"],
            standing=row["standing"],
            grade=row["grade"],
            words=row["words"],
            by=row["by_name"],
            at=datetime.fromisoformat(row["at"]) if row["at"] is not None else None,
            rest=json.loads(row["rest_json"]),
        )
        for row in conn.execute("select * from measured where sheet_id = :id order by n", {"id": sheet_id})
    )
