"""Bench sheets: opened, found, signed."""

import json
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from types import MappingProxyType

from norvash.core.record.record import SheetRow
from norvash.core.sheet.given import Kind
from norvash.errors import NotFound
from norvash.store.access.signed import CONFIRMED
from norvash.store.file.database import Connection, Row


@dataclass(frozen=True, slots=True, kw_only=True)
class NamedSheet:
    """A sheet in a list: its motor, when it was opened, and by whom."""

    id: str
    motor_id: str
    tag: str
    name: str
    number: int
    kind: Kind
    at: datetime
    person: str


def _sheet(row: Row) -> SheetRow:
    signed_at = datetime.fromisoformat(row["signed_at"]) if row["signed_at"] else None
    return SheetRow(
        id=row["id"],
        motor_id=row["motor_id"],
        number=row["number"],
        kind=row["kind"],
        at=datetime.fromisoformat(row["at"]),
        person=row["person"],
        signed_at=signed_at,
        signed=MappingProxyType(json.loads(row["signed_json"] or "{}")),
        unconfirmed=bool(row["unconfirmed"]),
    )


# A signature from a file stands alone until somebody signed in confirms it; a sheet that nobody played is not asked.
_SHEET = f"""select s.*, p.name as person,
              case when a.played_by is not null and s.signed_at is not null then
                exists (select 1 from act g where g.motor_id = s.motor_id and g.job = 'sign a sheet'
                        and g.at = s.signed_at and g.played_by is not null)
                and not exists (select 1 from act c where c.motor_id = s.motor_id
                                and c.job = '{CONFIRMED}' and c.result_id = s.id)
              else 0 end as unconfirmed
            from sheet s join act a on a.id = s.act_id join person p on p.id = a.person_id"""


def add_sheet(conn: Connection, row: SheetRow, act_id: str) -> None:
    """Open a sheet."""
    conn.execute(
        """insert into sheet (id, motor_id, number, kind, at, act_id)
           values (:id, :motor_id, :number, :kind, :at, :act_id)""",
        {
            "id": row.id,
            "motor_id": row.motor_id,
            "number": row.number,
            "kind": row.kind,
            "at": row.at.isoformat(),
            "act_id": act_id,
        },
    )


def change_kind(conn: Connection, sheet_id: str, kind: Kind) -> None:
    """Make an open sheet one of another kind."""
    conn.execute("update sheet set kind = :kind where id = :id and signed_at is null", {"id": sheet_id, "kind": kind})


def fetch_sheet(conn: Connection, sheet_id: str) -> SheetRow:
    """Return a sheet.

    Raises: NotFound.
    """
    row = conn.execute(f"{_SHEET} where s.id = :id", {"id": sheet_id}).fetchone()
    if row is None:
        raise NotFound("There is no such sheet.", "Open the motor and start one there.")
    return _sheet(row)


def open_sheet_of(conn: Connection, motor_id: str) -> SheetRow | None:
    """Return the sheet of a motor that is not signed yet, None without one."""
    row = conn.execute(f"{_SHEET} where s.motor_id = :id and s.signed_at is null", {"id": motor_id}).fetchone()
    return _sheet(row) if row else None


def newest_sheet_of(conn: Connection, motor_id: str, kind: str | None = None) -> SheetRow | None:
    """Return a motor's newest sheet, of one kind if that is given; None without one."""
    row = conn.execute(
        f"{_SHEET} where s.motor_id = :id and (:kind is null or s.kind = :kind) order by s.number desc limit 1",
        {"id": motor_id, "kind": kind},
    ).fetchone()
    return _sheet(row) if row else None


def list_sheets(conn: Connection, motor_id: str, most: int, below: int | None = None) -> list[SheetRow]:
    """Return a motor's newest sheets, the newest first; of those below a number, if one is given."""
    rows = conn.execute(
        f"{_SHEET} where s.motor_id = :id and (:below is null or s.number < :below) order by s.number desc limit :most",
        {"id": motor_id, "most": most, "below": below},
    )
    return [_sheet(r) for r in rows]


def list_open(conn: Connection, most: int) -> list[NamedSheet]:
    """Return the open sheets, the newest first."""
    return _named(conn, "s.signed_at is null", {"most": most})


def list_numbered(conn: Connection, number: int, most: int) -> list[NamedSheet]:
    """Return the sheets with a number, the newest first; each motor counts its own."""
    return _named(conn, "s.number = :number", {"number": number, "most": most})


def list_saying(conn: Connection, words: str, most: int) -> list[tuple[str, NamedSheet]]:
    """Return what people wrote on sheets that holds these words, the newest sheet first, each with its sheet.

    The database folds the case of plain Latin letters only: of others the words are sought as typed, with a small and
    with a large letter first.
    """
    rows = conn.execute(
        f"""select e.typed, {_NAMED} join entry e on e.sheet_id = s.id
            where {_WRITTEN} and (instr(lower(e.typed), lower(:words)) > 0
              or instr(e.typed, :small) > 0 or instr(e.typed, :large) > 0)
            order by s.at desc, e.id limit :most""",
        {"words": words, "small": words.lower(), "large": words.capitalize(), "most": most},
    )
    return [(r["typed"], _one_named(r)) for r in rows]


_NAMED = """s.id, s.motor_id, m.tag, m.name, s.number, s.kind, s.at, p.name as person
            from sheet s join motor m on m.id = s.motor_id
            join act a on a.id = s.act_id join person p on p.id = a.person_id"""
# What is no tick, figure or short choice: the condition of the index on it.
_WRITTEN = "e.replaced_by is null and e.value_in_si_unit is null and length(e.typed) > 4"


def _named(conn: Connection, where: str, values: Mapping[str, object]) -> list[NamedSheet]:
    rows = conn.execute(f"select {_NAMED} where {where} order by s.at desc limit :most", values)
    return [_one_named(r) for r in rows]


def _one_named(r: Row) -> NamedSheet:
    return NamedSheet(
        id=r["id"],
        motor_id=r["motor_id"],
        tag=r["tag"],
        name=r["name"],
        number=r["number"],
        kind=r["kind"],
        at=datetime.fromisoformat(r["at"]),
        person=r["person"],
    )


def has_signed(conn: Connection, motor_id: str) -> bool:
    """Tell whether a full sheet of a motor was signed."""
    row = conn.execute(
        "select 1 from sheet where motor_id = :id and kind = 'full' and signed_at is not null", {"id": motor_id}
    ).fetchone()
    return row is not None


def last_certificates(conn: Connection, motor_id: str, before: int) -> tuple[SheetRow, ...]:
    """Return the newest sheet before a number that was signed as a certificate after a run, and the newest whose run
    had no figure to compare with.

    What it measured is compared with also where it came from a file: a history that moves is judged as where it was.
    """
    rows = conn.execute(
        f"""{_SHEET} where s.motor_id = :id and s.number in (
                select max(c.number) from sheet c where c.motor_id = :id and c.number < :before
                and c.signed_at is not null and json_extract(c.signed_json, '$.signed_as') = 'certificate'
                and json_extract(c.signed_json, '$.told.ran.how') is not null
                group by coalesce(json_extract(c.signed_json, '$.told.ran.first'), 0))""",
        {"id": motor_id, "before": before},
    )
    return tuple(_sheet(r) for r in rows)


def sign_sheet(conn: Connection, row: SheetRow) -> None:
    """Close a sheet for good with what it says."""
    conn.execute(
        "update sheet set signed_at = :at, signed_json = :signed where id = :id and signed_at is null",
        {
            "id": row.id,
            "at": row.signed_at.isoformat() if row.signed_at is not None else None,
            "signed": json.dumps(row.signed, default=str),
        },
    )


def version_of(conn: Connection, sheet_id: str) -> int:
    """Return a number that rises with every write about the sheet's motor."""
    row = conn.execute(
        """select coalesce(max(seq), 0) from act
           where motor_id = (select motor_id from sheet where id = :id)""",
        {"id": sheet_id},
    ).fetchone()
    return int(row[0])
