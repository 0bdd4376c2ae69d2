"""Roles, secrets, one-time codes, sessions and the PINs of devices. What is secret stands here as a hash only."""

from dataclasses import dataclass
from datetime import datetime
from typing import Literal, get_args

from norvash.store.file.database import Connection, Row

Role = Literal["viewer", "technician", "lead"]
ROLES: tuple[Role, ...] = get_args(Role)


@dataclass(frozen=True, slots=True, kw_only=True)
class Member:
    """A person with a role; since when they can sign in, None where they never could; wrong attempts since the last
    right one, and the last of them.
    """

    id: str
    name: str
    role: Role
    since: datetime | None = None
    wrong: int = 0
    wrong_at: datetime | None = None

    @property
    def may_write(self) -> bool:
        """Tell whether this person has signed in with a role that writes."""
        return self.since is not None and self.role != "viewer"


@dataclass(frozen=True, slots=True, kw_only=True)
class Session:
    """Somebody signed in on a device, until it is ended; `seen_at` is written seldom."""

    id: str
    person_id: str
    device_id: str
    device: str
    made_at: datetime
    seen_at: datetime
    ended_at: datetime | None = None


MEMBER = """select p.id, p.name, p.role, s.set_at, coalesce(s.wrong, 0) as wrong, s.wrong_at
             from person p left join secret s on s.person_id = p.id"""


def _time(text: str | None) -> datetime | None:
    return datetime.fromisoformat(text) if text else None


def member_read(row: Row) -> Member:
    """Return a person from a row of `MEMBER`."""
    return Member(
        id=row["id"],
        name=row["name"],
        role=row["role"],
        since=_time(row["set_at"]),
        wrong=row["wrong"],
        wrong_at=_time(row["wrong_at"]),
    )


def list_members(conn: Connection) -> list[Member]:
    """Return everybody by name."""
    return [member_read(r) for r in conn.execute(f"{MEMBER} order by p.name collate nocase")]


def find_member(conn: Connection, person_id: str) -> Member | None:
    """Return one person, None for an unknown one."""
    row = conn.execute(f"{MEMBER} where p.id = :id", {"id": person_id}).fetchone()
    return member_read(row) if row is not None else None


def hash_of(conn: Connection, person_id: str) -> str:
    """Return the hash of a password, empty where there is none."""
    row = conn.execute("select hash from secret where person_id = :id", {"id": person_id}).fetchone()
    return row["hash"] if row is not None else ""


def signs_in_since(conn: Connection) -> datetime | None:
    """Return since when people sign in here, None where nobody ever has."""
    return _time(conn.execute("select signs_in_since from site where id = 1").fetchone()["signs_in_since"])


def begin_signing_in(conn: Connection, now: datetime) -> None:
    """Keep that people sign in from now on; it is not moved again."""
    conn.execute(
        "update site set signs_in_since = :now where id = 1 and signs_in_since is null", {"now": now.isoformat()}
    )


def give_role(conn: Connection, person_id: str, role: Role) -> None:
    """Give a person a role in place of what it was."""
    conn.execute("update person set role = :role where id = :id", {"role": role, "id": person_id})


def keep_hash(conn: Connection, person_id: str, hashed: str, now: datetime) -> None:
    """Keep a password's hash in place of what it was."""
    conn.execute(
        """insert into secret (person_id, hash, set_at) values (:id, :hash, :now)
           on conflict (person_id) do update set hash = excluded.hash, set_at = excluded.set_at, wrong = 0,
               wrong_at = null""",
        {"id": person_id, "hash": hashed, "now": now.isoformat()},
    )


def count_wrong(conn: Connection, person_id: str, now: datetime) -> None:
    """Count a wrong attempt, for whoever signs in next."""
    conn.execute(
        "update secret set wrong = wrong + 1, wrong_at = :now where person_id = :id",
        {"id": person_id, "now": now.isoformat()},
    )


def forget_wrong(conn: Connection, person_id: str) -> None:
    """Forget the wrong attempts, once they have been told."""
    conn.execute("update secret set wrong = 0, wrong_at = null where person_id = :id", {"id": person_id})


def keep_code(conn: Connection, person_id: str, hashed: str, made_at: datetime, until: datetime) -> None:
    """Keep the hash of a one-time code; an older one of the same person counts no more."""
    conn.execute("delete from code where person_id = :id", {"id": person_id})
    conn.execute(
        "insert into code (hash, person_id, made_at, until) values (:hash, :id, :made_at, :until)",
        {"hash": hashed, "id": person_id, "made_at": made_at.isoformat(), "until": until.isoformat()},
    )


def person_of_code(conn: Connection, hashed: str, now: datetime) -> str | None:
    """Return whose a one-time code is, None for one that is not known, used or too old."""
    row = conn.execute(
        "select person_id from code where hash = :hash and until >= :now", {"hash": hashed, "now": now.isoformat()}
    ).fetchone()
    return str(row["person_id"]) if row is not None else None


def spend_code(conn: Connection, hashed: str) -> bool:
    """Take a one-time code away; tell whether it was still there."""
    return conn.execute("delete from code where hash = :hash", {"hash": hashed}).rowcount == 1


def _session(row: Row) -> Session:
    return Session(
        id=row["id"],
        person_id=row["person_id"],
        device_id=row["device_id"],
        device=row["device"],
        made_at=datetime.fromisoformat(row["made_at"]),
        seen_at=datetime.fromisoformat(row["seen_at"]),
        ended_at=_time(row["ended_at"]),
    )


def add_session(conn: Connection, session: Session, hashed: str) -> None:
    """Keep a session by the hash of its token."""
    conn.execute(
        """insert into session (id, hash, person_id, device_id, device, made_at, seen_at)
           values (:id, :hash, :person_id, :device_id, :device, :made_at, :seen_at)""",
        {
            "id": session.id,
            "hash": hashed,
            "person_id": session.person_id,
            "device_id": session.device_id,
            "device": session.device,
            "made_at": session.made_at.isoformat(),
            "seen_at": session.seen_at.isoformat(),
        },
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class SignedIn:
    """Who is signed in by a token: the session, the person and their role, and how single keys work for them."""

    session_id: str
    device_id: str
    person_id: str
    name: str
    keys: str
    role: Role
    seen_at: datetime


def signed_in(conn: Connection, hashed: str) -> SignedIn | None:
    """Return who is signed in by the hash of a token, None where that session is not known or has ended."""
    row = conn.execute(
        """select s.id as session_id, s.device_id, s.seen_at, p.id, p.name, p.role, coalesce(k.value, 'plain') as keys
           from session s join person p on p.id = s.person_id
           left join preference k on k.person_id = p.id and k.name = 'keys'
           where s.hash = :hash and s.ended_at is null""",
        {"hash": hashed},
    ).fetchone()
    if row is None:
        return None
    return SignedIn(
        session_id=row["session_id"],
        device_id=row["device_id"],
        person_id=row["id"],
        name=row["name"],
        keys=row["keys"],
        role=row["role"],
        seen_at=datetime.fromisoformat(row["seen_at"]),
    )


def list_sessions(conn: Connection, person_id: str) -> list[Session]:
    """Return the sessions of a person that have not ended, the newest first."""
    rows = conn.execute(
        "select * from session where person_id = :id and ended_at is null order by made_at desc", {"id": person_id}
    )
    return [_session(r) for r in rows]


def see_session(conn: Connection, session_id: str, now: datetime) -> None:
    """Keep when a session was seen last."""
    conn.execute("update session set seen_at = :now where id = :id", {"now": now.isoformat(), "id": session_id})


def end_session(conn: Connection, session_id: str, now: datetime) -> None:
    """End a session; one that has ended stays so."""
    conn.execute(
        "update session set ended_at = :now where id = :id and ended_at is null",
        {"now": now.isoformat(), "id": session_id},
    )


def end_sessions(conn: Connection, person_id: str, now: datetime, but: str = "") -> int:
    """End every session of a person but one, and return how many."""
    return conn.execute(
        "update session set ended_at = :now where person_id = :id and ended_at is null and id <> :but",
        {"now": now.isoformat(), "id": person_id, "but": but},
    ).rowcount
