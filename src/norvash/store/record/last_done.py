"""What somebody entered last on a sheet, and could still take back."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.sheet.given import Sight
from norvash.store.file.database import Connection


@dataclass(frozen=True, slots=True, kw_only=True)
class LastDone:
    """The newest thing that a person entered on a sheet and that still counts; a reading or a finding in its round."""

    kind: str
    id: str
    field: str
    place: int
    sight: Sight
    typed: str
    round_id: str
    at: datetime


def last_of(conn: Connection, sheet_id: str, person_id: str) -> LastDone | None:
    """Return what a person entered last on a sheet, entry, reading or finding; None when nothing is left.

    A set that was fitted closes what came before it: the fitting is no entry, and what the old set was found with is
    not taken back behind it. What was refused is on the record, and nothing of it to take back.
    """
    row = conn.execute(
        """select * from (
             select 'entry' as kind, e.id, e.field, e.place, e.sight, e.typed, '' as round_id, a.seq, a.at
              from entry e join act a on a.id = e.act_id
              where e.sheet_id = :sheet and a.person_id = :person and e.replaced_by is null
                and a.job <> 'fit a new set' and e.field <> 'refused'
             union all
             select 'reading', g.id, '', g.position_number, g.sight, g.typed, g.round_id, a.seq, a.at
              from round r join reading g on g.round_id = r.id join act a on a.id = g.act_id
              where r.sheet_id = :sheet and a.person_id = :person and g.replaced_by is null
                and a.job <> 'fit a new set'
             union all
             select 'finding', f.id, f.seen, f.position_number, f.sight, '', f.round_id, a.seq, a.at
              from round r join finding f on f.round_id = r.id join act a on a.id = f.act_id
              where r.sheet_id = :sheet and a.person_id = :person and f.struck_act_id is null
           ) where seq > coalesce(
             (select max(f.seq) from sheet s join act f on f.motor_id = s.motor_id
               where s.id = :sheet and f.job = 'fit a new set'), 0)
           order by seq desc limit 1""",
        {"sheet": sheet_id, "person": person_id},
    ).fetchone()
    if row is None:
        return None
    return LastDone(
        kind=row["kind"],
        id=row["id"],
        field=row["field"],
        place=row["place"],
        sight=row["sight"],
        typed=row["typed"],
        round_id=row["round_id"],
        at=datetime.fromisoformat(row["at"]),
    )
