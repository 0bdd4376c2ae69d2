"""Single brushes that were renewed while the others of their set stayed."""

from datetime import datetime

from norvash.core.state import Renewal
from norvash.store.database import Connection


def list_renewals(conn: Connection, motor_id: str) -> dict[str, list[Renewal]]:
    """Return the renewals of a motor's sets, by set, in order."""
    found: dict[str, list[Renewal]] = {}
    rows = conn.execute(
        """select n.* from renewal n join brush_set s on s.id = n.set_id where s.motor_id = :id
           order by n.total_units, n.at""",
        {"id": motor_id},
    )
    for r in rows:
        made = Renewal(r["position_number"], r["total_units"], r["length_mm"], r["sd_mm"])
        found.setdefault(r["set_id"], []).append(made)
    return found


def add_renewal(conn: Connection, set_id: str, at: datetime, renewal: Renewal, act_id: str) -> None:
    """Keep that one brush of a set was renewed."""
    conn.execute(
        """insert into renewal (set_id, position_number, at, total_units, length_mm, sd_mm, act_id)
           values (:set_id, :position, :at, :units, :length, :sd, :act_id)""",
        {"set_id": set_id, "position": renewal.position, "at": at.isoformat(), "units": renewal.total_units,
         "length": renewal.length_mm, "sd": renewal.sd_mm, "act_id": act_id},
    )  # fmt: skip
