"""Bench sheets, what was entered on them, and what was put off."""

import json
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime
from types import MappingProxyType

from norvash.core.sheet.given import Earlier, Given, Kind
from norvash.errors import NotFound
from norvash.store.database import Connection, Row


@dataclass(frozen=True, slots=True)
class SheetRow:
    """One sheet as stored; `signed` holds what it said when it was signed, empty while it is open."""

    id: str
    motor_id: str
    number: int
    kind: Kind
    at: datetime
    person: str
    signed_at: datetime | None
    signed: Mapping[str, object]


@dataclass(frozen=True, slots=True)
class OpenSheet:
    """An open sheet in a list: its motor, when it was opened, and by whom."""

    id: str
    motor_id: str
    tag: str
    name: str
    number: int
    kind: Kind
    at: datetime
    person: str


@dataclass(frozen=True, slots=True)
class DeferredRow:
    """One thing put off: a finding, or a temporary repair in words, with who sees to it and by when."""

    id: str
    sheet_id: str
    position: int
    finding: str
    words: str
    who: str
    due_on: date | None


def _sheet(row: Row) -> SheetRow:
    signed_at = datetime.fromisoformat(row["signed_at"]) if row["signed_at"] else None
    return SheetRow(row["id"], row["motor_id"], row["number"], row["kind"], datetime.fromisoformat(row["at"]), row["person"],
                    signed_at, MappingProxyType(json.loads(row["signed_json"] or "{}")))  # fmt: skip


_SHEET = "select s.*, p.name as person from sheet s join act a on a.id = s.act_id join person p on p.id = a.person_id"


def add_sheet(conn: Connection, sheet_id: str, motor_id: str, kind: str, at: datetime, act_id: str) -> None:
    """Open a sheet on its round."""
    conn.execute(
        """insert into sheet (id, motor_id, number, kind, at, act_id)
           values (:id, :motor_id, (select coalesce(max(number), 0) + 1 from sheet where motor_id = :motor_id), :kind, :at, :act_id)""",
        {"id": sheet_id, "motor_id": motor_id, "kind": kind, "at": at.isoformat(), "act_id": act_id},
    )


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


def newest_sheet_of(conn: Connection, motor_id: str) -> SheetRow | None:
    """Return a motor's newest sheet, None without one."""
    row = conn.execute(f"{_SHEET} where s.motor_id = :id order by s.number desc limit 1", {"id": motor_id}).fetchone()
    return _sheet(row) if row else None


def list_sheets(conn: Connection, motor_id: str, most: int) -> list[SheetRow]:
    """Return a motor's newest sheets, the newest first."""
    rows = conn.execute(
        f"{_SHEET} where s.motor_id = :id order by s.number desc limit :most", {"id": motor_id, "most": most}
    )
    return [_sheet(r) for r in rows]


def list_open(conn: Connection, most: int) -> list[OpenSheet]:
    """Return the open sheets, the newest first."""
    rows = conn.execute(
        """select s.id, s.motor_id, m.tag, m.name, s.number, s.kind, s.at, p.name as person
           from sheet s join motor m on m.id = s.motor_id join act a on a.id = s.act_id join person p on p.id = a.person_id
           where s.signed_at is null order by s.at desc limit :most""",
        {"most": most},
    )
    return [OpenSheet(r["id"], r["motor_id"], r["tag"], r["name"], r["number"], r["kind"], datetime.fromisoformat(r["at"]), r["person"])
            for r in rows]  # fmt: skip


def sign_sheet(conn: Connection, sheet_id: str, at: datetime, signed: Mapping[str, object]) -> None:
    """Close a sheet for good with what it says."""
    conn.execute(
        "update sheet set signed_at = :at, signed_json = :signed where id = :id and signed_at is null",
        {"id": sheet_id, "at": at.isoformat(), "signed": json.dumps(signed, default=str)},
    )


_ENTRY = """select e.*, p.name as person, a.at, a.seq, a.person_id from entry e join act a on a.id = e.act_id
            join person p on p.id = a.person_id"""


def _given(row: Row) -> Given:
    return Given(row["id"], row["typed"], row["word"], row["value_in_si_unit"], row["person"], datetime.fromisoformat(row["at"]),
                 MappingProxyType(json.loads(row["more_json"])))  # fmt: skip


def list_entries(conn: Connection, sheet_id: str) -> dict[tuple[str, int], Given]:
    """Return the entries of a sheet that count, by field and place."""
    rows = conn.execute(f"{_ENTRY} where e.sheet_id = :id and e.replaced_by is null order by a.seq", {"id": sheet_id})
    return {(r["field"], r["place"]): _given(r) for r in rows}


def list_earlier(conn: Connection, motor_id: str, before: int, fields: Sequence[str]) -> dict[str, Earlier]:
    """Return for each field what was entered in it on the newest sheet before a number that has it."""
    rows = conn.execute(
        f"""select e.*, p.name as person, a.at, s.number from entry e join sheet s on s.id = e.sheet_id join act a on a.id = e.act_id
            join person p on p.id = a.person_id
            where s.motor_id = ? and s.number < ? and e.place = 0 and e.replaced_by is null
            and (e.word <> '' or e.value_in_si_unit is not null) and e.field in ({",".join("?" * len(fields))}) order by s.number""",
        (motor_id, before, *fields),
    )
    return {r["field"]: Earlier(r["number"], _given(r)) for r in rows}


def list_kept(conn: Connection, motor_id: str, fields: Sequence[str]) -> list[tuple[str, int, Given]]:
    """Return what stands in some fields on all sheets of a motor as (field, number of the sheet, entry), in the order of entering."""
    rows = conn.execute(
        f"""select e.*, p.name as person, a.at, s.number from entry e join sheet s on s.id = e.sheet_id join act a on a.id = e.act_id
            join person p on p.id = a.person_id
            where s.motor_id = ? and e.replaced_by is null and (e.word <> '' or e.value_in_si_unit is not null)
            and e.field in ({",".join("?" * len(fields))}) order by a.seq""",
        (motor_id, *fields),
    )
    return [(r["field"], r["number"], _given(r)) for r in rows]


def list_signed_values(conn: Connection, field: str, most: int) -> list[Given]:
    """Return what stands in a field on the newest signed sheets of all motors, the newest first."""
    rows = conn.execute(
        f"""{_ENTRY} join sheet s on s.id = e.sheet_id
            where e.field = :field and e.replaced_by is null and s.signed_at is not null and e.value_in_si_unit is not null
            order by a.seq desc limit :most""",
        {"field": field, "most": most},
    )
    return [_given(r) for r in rows]


def last_of_site(conn: Connection, field: str) -> Given | None:
    """Return what was entered last in a field on any sheet, None where it never was."""
    row = conn.execute(f"{_ENTRY} where e.field = :field and e.replaced_by is null and e.word <> '' order by a.seq desc limit 1", {"field": field}).fetchone()  # fmt: skip
    return _given(row) if row else None


def add_entry(
    conn: Connection, entry_id: str, sheet_id: str, field: str, place: int, given: Given, act_id: str
) -> None:
    """Keep an entry as the one that counts at its place; an earlier one stays behind it."""
    place_now = {"sheet_id": sheet_id, "field": field, "place": place}
    before = conn.execute(
        """update entry set replaced_by = id
           where sheet_id = :sheet_id and field = :field and place = :place and replaced_by is null returning id""",
        place_now,
    ).fetchone()
    conn.execute(
        """insert into entry (id, sheet_id, field, place, typed, word, value_in_si_unit, more_json, act_id)
           values (:id, :sheet_id, :field, :place, :typed, :word, :value, :more, :act_id)""",
        {**place_now, "id": entry_id, "typed": given.typed, "word": given.word, "value": given.number,
         "more": json.dumps(dict(given.more)), "act_id": act_id},
    )  # fmt: skip
    if before is not None:
        conn.execute("update entry set replaced_by = :id where id = :before", {"id": entry_id, "before": before["id"]})


def entry_behind(conn: Connection, entry_id: str) -> Given | None:
    """Return the entry that another one replaced, None where that was the first at its place."""
    row = conn.execute(f"{_ENTRY} where e.replaced_by = :id and e.id <> :id", {"id": entry_id}).fetchone()
    return _given(row) if row else None


def undo_entry(conn: Connection, entry_id: str) -> None:
    """Take an entry back; the one that it replaced counts again."""
    conn.execute("update entry set replaced_by = id where id = :id", {"id": entry_id})
    conn.execute("update entry set replaced_by = null where replaced_by = :id and id <> :id", {"id": entry_id})


def undo_reading(conn: Connection, reading_id: str) -> None:
    """Take a reading back; the one that it replaced counts again."""
    conn.execute("update reading set replaced_by = id where id = :id", {"id": reading_id})
    conn.execute("update reading set replaced_by = null where replaced_by = :id and id <> :id", {"id": reading_id})


@dataclass(frozen=True, slots=True)
class LastDone:
    """The newest thing that a person entered on a sheet and that still counts."""

    kind: str
    id: str
    field: str
    place: int
    typed: str


def last_of(conn: Connection, sheet_id: str, person_id: str) -> LastDone | None:
    """Return what a person entered last on a sheet, entry, reading or finding; None when nothing is left."""
    row = conn.execute(
        """select * from (
             select 'entry' as kind, e.id, e.field, e.place, e.typed, a.seq from entry e join act a on a.id = e.act_id
              where e.sheet_id = :sheet and a.person_id = :person and e.replaced_by is null
             union all
             select 'reading', g.id, '', g.position_number, g.typed, a.seq from reading g join act a on a.id = g.act_id
              where g.round_id = :sheet and a.person_id = :person and g.replaced_by is null
             union all
             select 'finding', f.id, f.seen, f.position_number, '', a.seq from finding f join act a on a.id = f.act_id
              where f.round_id = :sheet and a.person_id = :person and f.struck_act_id is null
           ) order by seq desc limit 1""",
        {"sheet": sheet_id, "person": person_id},
    ).fetchone()
    return LastDone(row["kind"], row["id"], row["field"], row["place"], row["typed"]) if row else None


def version_of(conn: Connection, sheet_id: str) -> int:
    """Return a number that rises with every write about the sheet's motor."""
    row = conn.execute(
        """select coalesce(max(seq), 0) from act
           where motor_id = (select motor_id from sheet where id = :id)""",
        {"id": sheet_id},
    ).fetchone()
    return int(row[0])


def add_deferred(conn: Connection, motor_id: str, made: DeferredRow, act_id: str) -> None:
    """Keep something that is put off."""
    conn.execute(
        """insert into deferred (id, motor_id, sheet_id, position_number, finding, words, who, due_on, act_id)
           values (:id, :motor_id, :sheet_id, :position, :finding, :words, :who, :due_on, :act_id)""",
        {"id": made.id, "motor_id": motor_id, "sheet_id": made.sheet_id, "position": made.position, "finding": made.finding,
         "words": made.words, "who": made.who, "due_on": made.due_on.isoformat() if made.due_on else None, "act_id": act_id},
    )  # fmt: skip


def list_deferred(conn: Connection, motor_id: str) -> list[DeferredRow]:
    """Return what is put off on a motor and still open, the earliest date first."""
    rows = conn.execute(
        "select * from deferred where motor_id = :id and closed_act_id is null order by due_on is null, due_on, id",
        {"id": motor_id},
    )
    return [
        DeferredRow(r["id"], r["sheet_id"], r["position_number"], r["finding"], r["words"], r["who"],
                    date.fromisoformat(r["due_on"]) if r["due_on"] else None)
        for r in rows
    ]  # fmt: skip


def close_deferred(conn: Connection, deferred_id: str, act_id: str) -> None:
    """Close something that was put off."""
    conn.execute(
        "update deferred set closed_act_id = :act_id where id = :id and closed_act_id is null",
        {"id": deferred_id, "act_id": act_id},
    )
