"""How sheets were signed, whether signatures ask for a PIN, and the PINs of devices; the key of the calendar."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.text.words import day_words
from norvash.store.access.members import MEMBER, Member, member_read
from norvash.store.file.database import Connection

# The job that stands behind the signature of a sheet from a file.
CONFIRMED = "confirm a sheet from a file"


def keep_pin(conn: Connection, device_id: str, person_id: str, hashed: str) -> None:
    """Keep the PIN of a person on a device in place of what it was."""
    conn.execute(
        """insert into pin (device_id, person_id, hash) values (:device_id, :person_id, :hash)
           on conflict (device_id, person_id) do update set hash = excluded.hash, wrong = 0""",
        {"device_id": device_id, "person_id": person_id, "hash": hashed},
    )


def pin_of(conn: Connection, device_id: str, person_id: str) -> str | None:
    """Return the hash of a PIN, None where there is none."""
    row = conn.execute(
        "select hash from pin where device_id = :device_id and person_id = :person_id",
        {"device_id": device_id, "person_id": person_id},
    ).fetchone()
    return str(row["hash"]) if row is not None else None


def count_try(conn: Connection, device_id: str, person_id: str, most: int) -> bool:
    """Count a try of a PIN before it is judged; tell whether there was one left of the most that may be wrong."""
    return (
        conn.execute(
            "update pin set wrong = wrong + 1 where device_id = :device and person_id = :id and wrong < :most",
            {"device": device_id, "id": person_id, "most": most},
        ).rowcount
        == 1
    )


def forget_tries(conn: Connection, device_id: str, person_id: str) -> None:
    """Forget the tries of a PIN after a right one."""
    conn.execute(
        "update pin set wrong = 0 where device_id = :device and person_id = :id", {"device": device_id, "id": person_id}
    )


def drop_pins(conn: Connection, person_id: str) -> None:
    """Take away every PIN of a person."""
    conn.execute("delete from pin where person_id = :id", {"id": person_id})


def list_with_pin(conn: Connection, device_id: str) -> list[Member]:
    """Return who has a PIN on a device, by name."""
    rows = conn.execute(
        f"{MEMBER} join pin n on n.person_id = p.id where n.device_id = :device_id order by p.name collate nocase",
        {"device_id": device_id},
    )
    return [member_read(r) for r in rows]


@dataclass(frozen=True, slots=True, kw_only=True)
class Signature:
    """The act that signed a sheet: when, whether in a session or from a file; who confirmed one from a file, in which
    role and when, and of whom it is said that their account was made after it; since when people sign in here, None
    where nobody ever has.
    """

    at: datetime
    in_session: bool
    from_file: bool
    confirmed_by: str
    confirmed_role: str
    confirmed_at: datetime | None
    account: str
    signing_in_since: datetime | None


def signature_of(conn: Connection, sheet_id: str) -> Signature | None:
    """Return the act that signed a sheet, None for one that is open."""
    row = conn.execute(
        """select a.at, a.session_id, a.played_by, p.name as confirmed_by, p.role as confirmed_role,
                  c.at as confirmed_at, p.made_at as made_at,
                  (select mp.name from act ma join person mp on mp.id = ma.person_id
                   where ma.job = 'add a person' and ma.result_id = p.id and ma.seq > a.seq) as made_by,
                  (select signs_in_since from site where id = 1) as since
           from sheet s join act a on a.motor_id = s.motor_id and a.job = 'sign a sheet' and a.at = s.signed_at
           left join act c on c.motor_id = s.motor_id and c.job = :confirming and c.result_id = s.id
           left join person p on p.id = c.person_id
           where s.id = :id""",
        {"id": sheet_id, "confirming": CONFIRMED},
    ).fetchone()
    if row is None:
        return None
    return Signature(
        at=datetime.fromisoformat(row["at"]),
        in_session=row["session_id"] is not None,
        from_file=row["played_by"] is not None,
        confirmed_by=row["confirmed_by"] or "",
        confirmed_role=row["confirmed_role"] or "",
        confirmed_at=datetime.fromisoformat(row["confirmed_at"]) if row["confirmed_at"] else None,
        account=account_words(row["made_by"], row["made_at"], "after it came"),
        signing_in_since=datetime.fromisoformat(row["since"]) if row["since"] else None,
    )


def account_words(made_by: str | None, made_at: str | None, after: str) -> str:
    """Return that an account was made after what it confirms, and by whom, empty where it was there before."""
    if not made_by or not made_at:
        return ""
    return f", whose account {made_by} made on {day_words(datetime.fromisoformat(made_at).date())}, {after}"


def feed_key(conn: Connection) -> str:
    """Return what an address of the calendar feed must know, empty before the first."""
    return str(conn.execute("select feed_key from site where id = 1").fetchone()["feed_key"])


def change_feed_key(conn: Connection, key: str) -> None:
    """Give the calendar feed another key: addresses with the old one show nothing more."""
    conn.execute("update site set feed_key = :key where id = 1", {"key": key})


def asks_pin(conn: Connection) -> bool:
    """Tell whether each signature asks for the PIN."""
    return bool(conn.execute("select asks_pin from site where id = 1").fetchone()["asks_pin"])


def ask_pin(conn: Connection, asks: bool) -> None:
    """Say whether each signature asks for the PIN."""
    conn.execute("update site set asks_pin = :asks where id = 1", {"asks": int(asks)})
