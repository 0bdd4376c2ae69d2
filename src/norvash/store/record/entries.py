"""What is entered on sheets: each entry with who made it and when, the one that counts and those before it."""

import json
from collections.abc import Sequence
from datetime import datetime

from norvash.core.sheet.given import Earlier, Given, Sight
from norvash.core.sheet.sheet import Spot
from norvash.store.file.database import Connection, Row
from norvash.store.record.records import kept, record_of

# Among how many motors of a type a stack is sought.
_MOST_OF_TYPE = 40
_ENTRY = """select e.*, p.name as person, a.at, a.seq, a.person_id, a.played_by
            from entry e join act a on a.id = e.act_id join person p on p.id = a.person_id"""


def _given(row: Row) -> Given:
    return Given(
        id=row["id"],
        typed=row["typed"],
        word=row["word"],
        number=row["value_in_si_unit"],
        person=row["person"],
        at=datetime.fromisoformat(row["at"]),
        record=record_of(row["field"], row["word"], json.loads(row["more_json"])),
        sight=row["sight"],
        slip=bool(row["slip"]),
        from_file=row["played_by"] is not None,
        seq=row["seq"],
    )


def list_entries(conn: Connection, sheet_id: str) -> dict[Spot, Given]:
    """Return the entries of a sheet that count, by field, place and sight."""
    rows = conn.execute(f"{_ENTRY} where e.sheet_id = :id and e.replaced_by is null order by a.seq", {"id": sheet_id})
    return {(r["field"], r["place"], r["sight"]): _given(r) for r in rows}


def list_bills(conn: Connection, field: str, motor_id: str, but_sheet: str, most: int) -> list[tuple[int, Given]]:
    """Return what was entered in a field on other sheets of a motor and of those of its type, by place, the newest
    first.
    """
    rows = conn.execute(
        f"""{_ENTRY} join sheet s on s.id = e.sheet_id join motor m on m.id = s.motor_id
            where (m.id = :motor or m.type_id = (select type_id from motor where id = :motor))
              and e.field = :field and e.sheet_id <> :sheet and e.replaced_by is null and e.word <> ''
            order by a.seq desc limit :most""",
        {"motor": motor_id, "field": field, "sheet": but_sheet, "most": most},
    )
    return [(r["place"], _given(r)) for r in rows]


def list_slips(conn: Connection, sheet_id: str) -> list[tuple[str, int, Given, Given]]:
    """Return what was mistyped on a sheet as (field, place, what stood there, what replaced it), in order."""
    rows = conn.execute(
        f"""{_ENTRY} join entry n on e.replaced_by = n.id
            where n.sheet_id = :id and n.slip = 1 and n.id <> e.id order by a.seq""",
        {"id": sheet_id},
    ).fetchall()
    standing = {r["id"]: r for r in conn.execute(f"{_ENTRY} where e.sheet_id = :id", {"id": sheet_id})}
    return [(r["field"], r["place"], _given(r), _given(standing[r["replaced_by"]])) for r in rows]


def list_answers(conn: Connection, sheet_id: str, field: str) -> tuple[tuple[Given, ...], str]:
    """Return everything that was answered in a field of a sheet, in order, no slip of the pen and nothing that was
    taken back; and the id of the one that stands, empty without one.
    """
    rows = conn.execute(
        f"""{_ENTRY} left join entry n on e.replaced_by = n.id
            where e.sheet_id = :id and e.field = :field and e.word <> ''
            and (n.id is null or (n.id <> e.id and n.slip = 0)) order by a.seq""",
        {"id": sheet_id, "field": field},
    ).fetchall()
    return tuple(_given(r) for r in rows), next((r["id"] for r in rows if r["replaced_by"] is None), "")


def list_replaced(conn: Connection, sheet_id: str) -> list[tuple[str, int, Given, Given]]:
    """Return what was entered on a sheet and measured or looked at again in the same sight, no slip of the pen, as
    (field, place, what stood there, what replaced it), in order.
    """
    rows = conn.execute(
        f"""{_ENTRY} join entry n on e.replaced_by = n.id
            where n.sheet_id = :id and n.slip = 0 and n.id <> e.id and n.typed <> '' and e.typed <> ''
            and n.typed <> e.typed order by a.seq""",
        {"id": sheet_id},
    ).fetchall()
    standing = {r["id"]: r for r in conn.execute(f"{_ENTRY} where e.sheet_id = :id", {"id": sheet_id})}
    return [(r["field"], r["place"], _given(r), _given(standing[r["replaced_by"]])) for r in rows]


def list_earlier(conn: Connection, motor_id: str, before: int, fields: Sequence[str]) -> dict[tuple[str, int], Earlier]:
    """Return for each field and place what was entered there on the newest sheet before a number that has it."""
    rows = conn.execute(
        f"""select e.*, p.name as person, a.at, a.seq, a.played_by, s.number
            from entry e join sheet s on s.id = e.sheet_id
            join act a on a.id = e.act_id join person p on p.id = a.person_id
            where s.motor_id = ? and s.number < ? and e.replaced_by is null and e.sight <> 'asked'
            and (e.word <> '' or e.value_in_si_unit is not null) and e.field in ({",".join("?" * len(fields))})
            order by s.number, e.sight""",
        (motor_id, before, *fields),
    )
    return {(r["field"], r["place"]): Earlier(r["number"], _given(r)) for r in rows}


def list_lent(
    conn: Connection, motor_id: str, before: int, fields: Sequence[str], *, of_type: bool
) -> list[tuple[int, str, str, int, Given]]:
    """Return what stands in some fields on the newest signed sheet of a motor before a number that has any; where none
    has, of its type on the newest one of up to forty others: number, tag of that motor, field, place, entry.
    """
    asked = ",".join("?" * len(fields))
    has = "exists (select 1 from entry e where e.sheet_id = s.id and e.word <> ''"
    has += f" and e.replaced_by is null and e.field in ({asked}))"
    row = conn.execute(
        f"""select s.id, s.number, '' as tag from sheet s
            where s.motor_id = ? and s.number < ? and s.signed_at is not null and {has}
            order by s.number desc limit 1""",
        (motor_id, before, *fields),
    ).fetchone()
    if row is None and of_type:
        row = conn.execute(
            f"""select s.id, s.number, m.tag from
                (select id, tag from motor where type_id = (select type_id from motor where id = ?) and id <> ?
                 order by rowid desc limit {_MOST_OF_TYPE}) m
                join sheet s on s.motor_id = m.id
                where s.signed_at is not null and {has} order by s.signed_at desc limit 1""",
            (motor_id, motor_id, *fields),
        ).fetchone()
    if row is None:
        return []
    rows = conn.execute(
        f"{_ENTRY} where e.sheet_id = ? and e.replaced_by is null and e.field in ({asked})", (row["id"], *fields)
    )
    return [(row["number"], row["tag"], r["field"], r["place"], _given(r)) for r in rows]


def list_newest(conn: Connection, motor_id: str) -> dict[Spot, Given]:
    """Return what stands newest at each place over all sheets of a motor, all of it as found."""
    rows = conn.execute(
        f"""{_ENTRY} join sheet s on s.id = e.sheet_id
            where s.motor_id = :id and e.replaced_by is null and e.sight <> 'asked'
            order by s.number, e.sight, a.seq""",
        {"id": motor_id},
    )
    return {(r["field"], r["place"], "found"): _given(r) for r in rows}


def list_read_at(conn: Connection, sheet_id: str) -> list[int]:
    """Return the places in the order of writing of the readings of a sheet that count."""
    rows = conn.execute(
        """select a.seq from reading g join round r on r.id = g.round_id join act a on a.id = g.act_id
           where r.sheet_id = :id and g.replaced_by is null and g.sight <> 'asked'""",
        {"id": sheet_id},
    )
    return [int(r["seq"]) for r in rows]


def count_causes(conn: Connection, motor_class: str) -> dict[str, int]:
    """Return how often each cause was named, first or beside another, on signed sheets of a class of motors whose
    complaint it was.
    """
    rows = conn.execute(
        """select case e.field when 'cause-was' then e.word else substr(e.field, 10) end as word, count(*) as n
           from entry c join entry e on e.sheet_id = c.sheet_id and e.replaced_by is null and e.word <> ''
                and (e.field = 'cause-was' or e.field glob 'also-was.*')
           join sheet s on s.id = c.sheet_id join motor m on m.id = s.motor_id
           where c.field = 'complaint-now' and c.replaced_by is null and c.word = 'this'
                and s.signed_at is not null and m.class = ?
           group by 1""",
        (motor_class,),
    )
    return {r["word"]: r["n"] for r in rows if r["word"]}


def list_kept(conn: Connection, motor_id: str, fields: Sequence[str]) -> list[tuple[str, int, Given]]:
    """Return what stands in some fields on all sheets of a motor as (field, number of the sheet, entry), in the order
    of entering.
    """
    rows = conn.execute(
        f"""select e.*, p.name as person, a.at, a.seq, a.played_by, s.number
            from entry e join sheet s on s.id = e.sheet_id
            join act a on a.id = e.act_id join person p on p.id = a.person_id
            where s.motor_id = ? and e.replaced_by is null and e.sight <> 'asked'
            and (e.word <> '' or e.value_in_si_unit is not null)
            and e.field in ({",".join("?" * len(fields))}) order by a.seq""",
        (motor_id, *fields),
    )
    return [(r["field"], r["number"], _given(r)) for r in rows]


def list_signed_values(conn: Connection, field: str, most: int) -> list[Given]:
    """Return what stands in a field on the newest signed sheets of all motors, the newest first."""
    rows = conn.execute(
        f"""{_ENTRY} join sheet s on s.id = e.sheet_id
            where e.field = :field and e.replaced_by is null and e.sight <> 'asked'
            and s.signed_at is not null and e.value_in_si_unit is not null
            order by a.seq desc limit :most""",
        {"field": field, "most": most},
    )
    return [_given(r) for r in rows]


def last_of_site(conn: Connection, field: str) -> Given | None:
    """Return what was entered last in a field on any sheet, None where it never was."""
    row = conn.execute(
        f"{_ENTRY} where e.field = :field and e.replaced_by is null and e.word <> '' order by a.seq desc limit 1",
        {"field": field},
    ).fetchone()
    return _given(row) if row else None


def add_entry(conn: Connection, sheet_id: str, spot: Spot, given: Given, act_id: str) -> None:
    """Keep an entry as the one that counts at its place and in its sight; an earlier one stays behind it."""
    field, place, sight = spot
    place_now = {"sheet_id": sheet_id, "field": field, "place": place, "sight": sight}
    before = conn.execute(
        """update entry set replaced_by = id
           where sheet_id = :sheet_id and field = :field and place = :place and sight = :sight
             and replaced_by is null returning id""",
        place_now,
    ).fetchone()
    conn.execute(
        """insert into entry (id, sheet_id, field, place, sight, slip, typed, word, value_in_si_unit, more_json, act_id)
           values (:id, :sheet_id, :field, :place, :sight, :slip, :typed, :word, :value, :more, :act_id)""",
        {
            **place_now,
            "id": given.id,
            "typed": given.typed,
            "word": given.word,
            "value": given.number,
            "more": json.dumps(kept(given.record)),
            "slip": int(given.slip),
            "act_id": act_id,
        },
    )
    if before is not None:
        conn.execute("update entry set replaced_by = :id where id = :before", {"id": given.id, "before": before["id"]})


def fetch_entry(conn: Connection, entry_id: str) -> Given | None:
    """Return an entry, whether it counts or another stands over it; None where there is none with this id."""
    row = conn.execute(f"{_ENTRY} where e.id = :id", {"id": entry_id}).fetchone()
    return _given(row) if row else None


def entry_behind(conn: Connection, entry_id: str) -> Given | None:
    """Return the entry that another one replaced, None where that was the first at its place."""
    row = conn.execute(f"{_ENTRY} where e.replaced_by = :id and e.id <> :id", {"id": entry_id}).fetchone()
    return _given(row) if row else None


def move_entry(conn: Connection, entry_id: str, sight: Sight) -> None:
    """Say of an entry of which sight it speaks; it stays that of whoever made it."""
    conn.execute("update entry set sight = :sight where id = :id", {"id": entry_id, "sight": sight})


def take_back(conn: Connection, value_id: str, *, reading: bool) -> None:
    """Take a value back, an entry or a reading; the one that it replaced counts again."""
    let_go(conn, value_id, reading=reading)
    table = "reading" if reading else "entry"
    conn.execute(f"update {table} set replaced_by = null where replaced_by = :id and id <> :id", {"id": value_id})


def let_go(conn: Connection, value_id: str, *, reading: bool) -> None:
    """Let a value go, an entry or a reading: it stays in the record and counts for nothing."""
    conn.execute(f"update {'reading' if reading else 'entry'} set replaced_by = id where id = :id", {"id": value_id})
