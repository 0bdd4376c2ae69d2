"""The site, its people, and the record of every write."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.record.record import Motor
from norvash.core.text.alike import looks
from norvash.core.text.texts import compared
from norvash.errors import NotFound
from norvash.store.file.database import Connection, Row

UNKNOWN = ("This person is not known here.", "Sign in as somebody who is.", "person")


@dataclass(frozen=True, slots=True)
class Site:
    """The one site of a database."""

    name: str
    demo_day: str | None
    made_at: datetime


@dataclass(frozen=True, slots=True)
class Person:
    """Somebody who writes; how keys work: “plain”, with “alt” held, or “off”; in which session, and in which role."""

    id: str
    name: str
    keys: str = "plain"
    session_id: str = ""
    role: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Done:
    """One write as it was recorded; one from a file names who played it, one of somebody signed in their device."""

    id: str
    seq: int = 0
    at: datetime
    person: str = ""
    job: str
    digest: str = ""
    result_id: str = ""
    before_json: str = "{}"
    after_json: str = "{}"
    played_by: str = ""
    device: str = ""


def fetch_site(conn: Connection) -> Site:
    """Return the site."""
    row = conn.execute("select name, demo_day, made_at from site where id = 1").fetchone()
    return Site(row["name"], row["demo_day"], datetime.fromisoformat(row["made_at"]))


def change_site(conn: Connection, name: str, demo_day: str | None, made_at: datetime) -> None:
    """Name the site."""
    conn.execute(
        "update site set name = :name, demo_day = :demo_day, made_at = :made_at where id = 1",
        {"name": name, "demo_day": demo_day, "made_at": made_at.isoformat()},
    )


def add_person(conn: Connection, person: Person, made_at: datetime) -> None:
    """Keep a person; the same id twice changes nothing."""
    conn.execute(
        """insert into person (id, name, name_key, looks_key, made_at) values (:id, :name, :key, :looks, :made_at)
           on conflict (id) do nothing""",
        {
            "id": person.id,
            "name": person.name,
            "key": compared(person.name),
            "looks": looks(person.name),
            "made_at": made_at.isoformat(),
        },
    )


def list_people(conn: Connection) -> list[Person]:
    """Return everybody by name."""
    return [
        Person(r["id"], r["name"]) for r in conn.execute("select id, name from person order by name collate nocase")
    ]


def fetch_person(conn: Connection, person_id: str) -> Person:
    """Return one person.

    Raises: NotFound.
    """
    row = conn.execute(
        """select p.id, p.name, coalesce(k.value, 'plain') as keys from person p
           left join preference k on k.person_id = p.id and k.name = 'keys' where p.id = :id""",
        {"id": person_id},
    ).fetchone()
    if row is None:
        raise NotFound(*UNKNOWN)
    return Person(row["id"], row["name"], row["keys"])


def prefer(conn: Connection, person_id: str, name: str, value: str, act_id: str) -> None:
    """Keep what a person prefers in place of what it was."""
    conn.execute(
        """insert into preference (person_id, name, value, act_id) values (:person_id, :name, :value, :act_id)
           on conflict (person_id, name) do update set value = excluded.value, act_id = excluded.act_id""",
        {"person_id": person_id, "name": name, "value": value, "act_id": act_id},
    )


def list_alike(conn: Connection, name: str) -> list[Person]:
    """Return everybody whose name compares equal to this one, in the order in which they came."""
    rows = conn.execute("select id, name from person where name_key = :key order by rowid", {"key": compared(name)})
    return [Person(r["id"], r["name"]) for r in rows]


def list_like(conn: Connection, name: str) -> list[Person]:
    """Return everybody whose name compares equal to this one, or looks like it, in the order in which they came."""
    rows = conn.execute(
        "select id, name from person where name_key = :key or looks_key = :looks order by name_key <> :key, rowid",
        {"key": compared(name), "looks": looks(name)},
    )
    return [Person(r["id"], r["name"]) for r in rows]


_COLUMNS = "a.id, a.seq, a.at, p.name as person, a.job, a.digest, a.result_id, a.before_json, a.after_json"
DONE = f"""select {_COLUMNS}, f.name as played_by, n.device from act a join person p on p.id = a.person_id
            left join person f on f.id = a.played_by left join session n on n.id = a.session_id"""


def done_of(row: Row) -> Done:
    """Return a write as a row of `DONE` has it."""
    return Done(
        id=row["id"],
        seq=row["seq"] or 0,
        at=datetime.fromisoformat(row["at"]),
        person=row["person"],
        job=row["job"],
        digest=row["digest"],
        result_id=row["result_id"],
        before_json=row["before_json"],
        after_json=row["after_json"],
        played_by=row["played_by"] or "",
        device=row["device"] or "",
    )


# What an act made here comes after, and one that is played into the record of a motor.
_LAST_HERE = "select at from act where played_by is null order by seq desc limit 1"
_LAST_OF_MOTOR = "select at from act where motor_id = :record order by seq desc limit 1"


def known_before(
    conn: Connection, act_id: str, person_id: str, record: str | None
) -> tuple[Done | None, Person | None, datetime | None]:
    """Return the write with this id, None if it is new; the person, None if not known; the time of the latest write
    that it comes after, as `last_act_at` does.
    """
    row = conn.execute(
        f"""select {_COLUMNS}, w.id as writer_id, w.name as writer, w.role,
                   null as played_by, null as device, ({_LAST_HERE if record is None else _LAST_OF_MOTOR}) as last_at
            from (select 1) left join person w on w.id = :person_id
            left join act a on a.id = :act_id left join person p on p.id = a.person_id""",
        {"act_id": act_id, "person_id": person_id, "record": record},
    ).fetchone()
    return (
        done_of(row) if row["id"] is not None else None,
        Person(row["writer_id"], row["writer"], role=row["role"]) if row["writer_id"] is not None else None,
        datetime.fromisoformat(row["last_at"]) if row["last_at"] else None,
    )


def last_act_at(conn: Connection, record: str | None) -> datetime | None:
    """Return the time of the latest write that was made here, or of any in the record of one motor; None before the
    first.
    """
    last = _LAST_HERE if record is None else _LAST_OF_MOTOR
    row = conn.execute(last, {"record": record}).fetchone()
    return datetime.fromisoformat(row["at"]) if row else None


def last_seq(conn: Connection) -> int:
    """Return the number of the newest write of all, 0 before the first."""
    return int(conn.execute("select coalesce(max(seq), 0) from act").fetchone()[0])


def list_acts(conn: Connection, motor_id: str, most: int, before: datetime | None = None) -> list[Done]:
    """Return the latest writes about a motor, newest first; of those before a time, if one is given."""
    rows = conn.execute(
        f"{DONE} where a.motor_id = :motor_id and a.at < :before order by a.seq desc limit :most",
        {"motor_id": motor_id, "most": most, "before": before.isoformat() if before else "9999"},
    )
    return [done_of(r) for r in rows]


def result_of(conn: Connection, act_id: str) -> str | None:
    """Return what came of a write, None where there is none with this id."""
    row = conn.execute("select result_id from act where id = :id", {"id": act_id}).fetchone()
    return row["result_id"] if row is not None else None


def list_acts_since(conn: Connection, motor_id: str, sheet_id: str) -> list[Done]:
    """Return the writes about a motor from the opening of a sheet on, in their order."""
    rows = conn.execute(
        f"""{DONE} where a.motor_id = :motor_id and a.seq >= (
            select o.seq from act o join sheet s on s.act_id = o.id where s.id = :id) order by a.seq""",
        {"motor_id": motor_id, "id": sheet_id},
    )
    return [done_of(r) for r in rows]


def list_figure_changes(conn: Connection, motor: Motor, sheet_id: str) -> list[Done]:
    """Return who changed figures of a motor or of its type since the last full sheet that was signed of it but for one,
    in their order.
    """
    rows = conn.execute(
        f"""{DONE} where (a.job = 'change figures' and a.motor_id = :motor
                           or a.job = 'save a type' and a.result_id = :type and a.before_json <> '{{}}')
            and a.at > coalesce((select max(s.signed_at) from sheet s
                                 where s.motor_id = :motor and s.kind = 'full' and s.id <> :id), '') order by a.seq""",
        {"motor": motor.id, "type": motor.type_id, "id": sheet_id},
    )
    return [done_of(r) for r in rows]


def add_act(conn: Connection, done: Done, person_id: str, played_by: str = "", session_id: str = "") -> None:
    """Record a write, before what it writes, with the session that it was made in; one that is played in from a file
    names who played it.
    """
    conn.execute(
        """insert into act (id, seq, at, person_id, job, digest, result_id, before_json, after_json, played_by,
                            session_id)
           values (:id, (select coalesce(max(seq), 0) + 1 from act), :at, :person_id, :job, :digest, :result_id,
                   :before_json, :after_json, :played_by, :session_id)""",
        {
            "id": done.id,
            "at": done.at.isoformat(),
            "person_id": person_id,
            "job": done.job,
            "digest": done.digest,
            "result_id": done.result_id,
            "before_json": done.before_json,
            "after_json": done.after_json,
            "played_by": played_by or None,
            "session_id": session_id or None,
        },
    )


def complete_act(
    conn: Connection, act_id: str, motor_id: str | None, *, result_id: str, before_json: str, after_json: str
) -> None:
    """Add to a write what came of it, within its transaction."""
    conn.execute(
        """update act set motor_id = :motor_id, result_id = :result_id,
                  before_json = :before_json, after_json = :after_json
           where id = :id""",
        {
            "id": act_id,
            "motor_id": motor_id,
            "result_id": result_id,
            "before_json": before_json,
            "after_json": after_json,
        },
    )
