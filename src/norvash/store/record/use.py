"""The use log."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import datetime, timedelta

from norvash.core.record.used import UseLogged
from norvash.core.use.counting import Counted
from norvash.core.use.happened import CHANGED, NOTHING, STOOD_STILL, Happened
from norvash.core.use.log_entry import Entry
from norvash.errors import NotFound
from norvash.store.file.database import Connection, Row

_HAPPENED = (*CHANGED, "rolled over", STOOD_STILL)


@dataclass(frozen=True, slots=True, kw_only=True)
class UseRow:
    """One entry of the log with who made it; struck entries stay and count for nothing."""

    id: str
    entry: Entry
    typed: str
    event: str
    struck: bool
    person: str
    happened: Happened = NOTHING


def add_entry(conn: Connection, motor_id: str, said: UseLogged, act_id: str) -> None:
    """Keep a new entry."""
    conn.execute(
        """insert into use_entry (id, motor_id, seq, at, total_units, counter_units, typed, event, noted, act_id,
                                  basis, old_last, new_first, said_by, stood_since)
           values (:id, :motor_id, (select coalesce(max(seq), 0) + 1 from use_entry where motor_id = :motor_id),
                   :at, :total, :counter, :typed, :event, :noted, :act_id,
                   :basis, :old_last, :new_first, :said_by, :stood_since)""",
        {
            "id": said.id,
            "motor_id": motor_id,
            "at": said.use.at.isoformat(),
            "total": said.use.total_units,
            "counter": said.use.counter_units,
            "typed": said.typed,
            "event": said.event,
            "noted": int(said.use.noted),
            "act_id": act_id,
            "basis": said.use.basis,
            "old_last": said.happened.old_last,
            "new_first": said.happened.new_first,
            "said_by": said.happened.said_by,
            "stood_since": said.happened.since,
        },
    )


def typed_of(conn: Connection, entry_id: str) -> str:
    """Return what was typed as an entry, empty where there is none with this id."""
    row = conn.execute("select typed from use_entry where id = :id", {"id": entry_id}).fetchone()
    return row["typed"] if row is not None else ""


def happened_of(conn: Connection, entry_id: str) -> Happened:
    """Return what was said of a counter with an entry, nothing where there is none with this id."""
    row = conn.execute(
        "select event, old_last, new_first, said_by, stood_since from use_entry where id = :id", {"id": entry_id}
    ).fetchone()
    return NOTHING if row is None else _happened(row)


def _happened(row: Row) -> Happened:
    """Return what was said of a counter with the entry of a row."""
    if row["event"] not in _HAPPENED:
        return NOTHING
    return Happened(
        answer=row["event"],
        old_last=row["old_last"],
        new_first=row["new_first"],
        said_by=row["said_by"],
        since=row["stood_since"],
    )


def _entry(row: Row) -> Entry:
    return Entry(
        datetime.fromisoformat(row["at"]), row["total_units"], row["counter_units"], bool(row["noted"]), row["basis"]
    )


def list_entries(conn: Connection, motor_id: str) -> tuple[Entry, ...]:
    """Return the entries that count, in order of time."""
    rows = conn.execute(
        """select at, total_units, counter_units, noted, basis from use_entry
           where motor_id = :id and struck_act_id is null order by at, seq""",
        {"id": motor_id},
    )
    return tuple(_entry(r) for r in rows)


def list_log(conn: Connection, motor_id: str, most: int) -> list[UseRow]:
    """Return the latest entries, newest first, struck ones included."""
    rows = conn.execute(
        """select u.*, p.name as person from use_entry u join act a on a.id = u.act_id
           join person p on p.id = a.person_id
           where u.motor_id = :id order by u.at desc, u.seq desc limit :most""",
        {"id": motor_id, "most": most},
    )
    return [
        UseRow(
            id=r["id"],
            entry=_entry(r),
            typed=r["typed"],
            event=r["event"],
            struck=r["struck_act_id"] is not None,
            person=r["person"],
            happened=_happened(r),
        )
        for r in rows
    ]


def last_entry_id(conn: Connection, motor_id: str) -> str:
    """Return the id of the newest entry that counts.

    Raises: NotFound without any.
    """
    row = conn.execute(
        """select id from use_entry where motor_id = :id and struck_act_id is null and noted = 0
           order by at desc, seq desc limit 1""",
        {"id": motor_id},
    ).fetchone()
    if row is None:
        raise NotFound("There is no entry to take back.", "Log the hours first.")
    return str(row["id"])


def strike_entry(conn: Connection, entry_id: str, act_id: str) -> None:
    """Strike an entry: it stays in the log and counts for nothing."""
    conn.execute("update use_entry set struck_act_id = :act_id where id = :id", {"id": entry_id, "act_id": act_id})


def list_rows(conn: Connection, motor_id: str) -> list[UseRow]:
    """Return the entries that count with how they were typed, in order of time."""
    rows = conn.execute(
        """select id, at, total_units, counter_units, typed, event, noted, basis,
                  old_last, new_first, said_by, stood_since from use_entry
           where motor_id = :id and struck_act_id is null order by at, seq""",
        {"id": motor_id},
    )
    return [
        UseRow(
            id=r["id"],
            entry=_entry(r),
            typed=r["typed"],
            event=r["event"],
            struck=False,
            person="",
            happened=_happened(r),
        )
        for r in rows
    ]


def add_entries(conn: Connection, act_id: str, entries: Iterable[tuple[str, datetime, Counted, str]]) -> None:
    """Keep many entries: motor, moment, what was counted, how it was typed."""
    seqs = dict(conn.execute("select motor_id, max(seq) from use_entry group by motor_id").fetchall())
    rows = []
    for number, (motor_id, at, counted, typed) in enumerate(entries):
        seqs[motor_id] = seqs.get(motor_id, 0) + 1
        rows.append(
            (
                f"{act_id}.{number}",
                motor_id,
                seqs[motor_id],
                at.isoformat(),
                counted.total_units,
                counted.counter_units,
                typed,
                counted.event,
                act_id,
                counted.basis,
            )
        )
    conn.executemany(
        """insert into use_entry (id, motor_id, seq, at, total_units, counter_units, typed, event, act_id, basis)
           values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""",
        rows,
    )


def keep_file(
    conn: Connection, file_id: str, name: str, *, sha256: str, data: bytes, at: datetime, person_id: str
) -> None:
    """Keep an uploaded file until it is imported; files older than a day are forgotten."""
    conn.execute("delete from import_file where at < :day", {"day": (at - timedelta(days=1)).isoformat()})
    conn.execute(
        """insert into import_file (id, name, sha256, data, at, person_id)
           values (:id, :name, :sha256, :data, :at, :person)
           on conflict (id) do nothing""",
        {"id": file_id, "name": name, "sha256": sha256, "data": data, "at": at.isoformat(), "person": person_id},
    )


def fetch_file(conn: Connection, file_id: str) -> tuple[str, str, bytes]:
    """Return a file's name, digest and bytes.

    Raises: NotFound.
    """
    row = conn.execute("select name, sha256, data from import_file where id = :id", {"id": file_id}).fetchone()
    if row is None:
        raise NotFound("This file is not here any more: it was imported, or is more than a day old.", "Give it again.")
    return row["name"], row["sha256"], row["data"]


def drop_file(conn: Connection, file_id: str) -> None:
    """Forget an uploaded file."""
    conn.execute("delete from import_file where id = :id", {"id": file_id})
