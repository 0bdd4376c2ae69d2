"""Measured rounds, their readings, and what was seen on the brushes."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.brush.doubts import Doubt
from norvash.core.brush.readings import Reading
from norvash.core.motor.record import Measured
from norvash.core.sheet.finding import Noted
from norvash.core.sheet.stages.brushes.stage import BY_SIGHT
from norvash.errors import NotFound
from norvash.store.database import Connection, Row


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundRow:
    """One round as stored, with the person who opened it."""

    id: str
    motor_id: str
    set_id: str
    kind: str
    at: datetime
    total_units: float
    finished: bool
    person: str


@dataclass(frozen=True, slots=True, kw_only=True)
class ReadingRow:
    """One reading as stored; it keeps what was typed."""

    id: str
    position_number: int
    typed: str
    unit: str
    method: str
    instrument: str
    length_mm: float
    sd_mm: float
    taper_deg: float | None
    doubt: str
    doubt_answer: str
    person: str
    at: datetime

    @property
    def said(self) -> str:
        """Return the reading as typed, with the unit it was meant in if none was typed."""
        return f"{self.typed} {self.unit}" if self.typed[-1] in "0123456789." else self.typed


_SEEN = """select f.round_id, f.position_number, f.seen from round r join finding f on f.round_id = r.id
           where {} = :id and f.struck_act_id is null and not exists (
               select 1 from entry e where e.sheet_id = f.round_id and e.field = 'decide.' || f.seen
                and e.place = f.position_number and e.replaced_by is null and e.word in ('done', 'dropped'))
           order by f.position_number, f.seen"""


def _noted(row: Row) -> Noted:
    return row["position_number"], BY_SIGHT[row["seen"]]


def seen_by_round(conn: Connection, motor_id: str) -> dict[str, list[Noted]]:
    """Return what was seen, by round; what was mended or dropped on its sheet counts no longer."""
    found: dict[str, list[Noted]] = {}
    for r in conn.execute(_SEEN.format("r.motor_id"), {"id": motor_id}):
        found.setdefault(r["round_id"], []).append(_noted(r))
    return found


def list_seen(conn: Connection, round_id: str) -> tuple[Noted, ...]:
    """Return what was seen in one round; what was mended or dropped on its sheet counts no longer."""
    return tuple(_noted(r) for r in conn.execute(_SEEN.format("r.id"), {"id": round_id}))


def list_noted(conn: Connection, round_id: str) -> tuple[Noted, ...]:
    """Return what was seen in one round, whatever was decided of it."""
    rows = conn.execute(
        """select position_number, seen from finding where round_id = :id and struck_act_id is null
           order by position_number, seen""",
        {"id": round_id},
    )
    return tuple(_noted(r) for r in rows)


def add_finding(conn: Connection, finding_id: str, round_id: str, *, position: int, seen: str, act_id: str) -> None:
    """Keep what was seen on a brush; the same finding twice is kept once."""
    conn.execute(
        """insert into finding (id, round_id, position_number, seen, act_id)
           values (:id, :round_id, :position, :seen, :act_id)
           on conflict (round_id, position_number, seen) where struck_act_id is null do nothing""",
        {"id": finding_id, "round_id": round_id, "position": position, "seen": seen, "act_id": act_id},
    )


def strike_finding(conn: Connection, round_id: str, position: int, seen: str, act_id: str) -> None:
    """Take a finding back; it stays in the record."""
    conn.execute(
        """update finding set struck_act_id = :act_id where round_id = :round_id and position_number = :position
           and seen = :seen and struck_act_id is null""",
        {"round_id": round_id, "position": position, "seen": seen, "act_id": act_id},
    )


_ROUND = """select r.*, p.name as person from round r join act a on a.id = r.act_id
            join person p on p.id = a.person_id"""


def _round(row: Row) -> RoundRow:
    return RoundRow(
        id=row["id"],
        motor_id=row["motor_id"],
        set_id=row["set_id"],
        kind=row["kind"],
        at=datetime.fromisoformat(row["at"]),
        total_units=row["total_units"],
        finished=row["finished_at"] is not None,
        person=row["person"],
    )


def add_round(
    conn: Connection, round_id: str, motor_id: str, *, set_id: str, kind: str, at: datetime, units: float, act_id: str
) -> None:
    """Open a round."""
    conn.execute(
        """insert into round (id, motor_id, set_id, kind, at, seq, total_units, act_id)
           values (:id, :motor_id, :set_id, :kind, :at,
                   (select coalesce(max(seq), 0) + 1 from round where motor_id = :motor_id), :units, :act_id)""",
        {
            "id": round_id,
            "motor_id": motor_id,
            "set_id": set_id,
            "kind": kind,
            "at": at.isoformat(),
            "units": units,
            "act_id": act_id,
        },
    )


def fetch_round(conn: Connection, round_id: str) -> RoundRow:
    """Return a round.

    Raises: NotFound.
    """
    row = conn.execute(f"{_ROUND} where r.id = :id", {"id": round_id}).fetchone()
    if row is None:
        raise NotFound("There is no such round.", "Open the motor and measure from there.")
    return _round(row)


def open_round(conn: Connection, motor_id: str) -> RoundRow | None:
    """Return the round that was left half done, None without one."""
    row = conn.execute(f"{_ROUND} where r.motor_id = :id and r.finished_at is null", {"id": motor_id}).fetchone()
    return _round(row) if row else None


def finish_round(conn: Connection, round_id: str, at: datetime) -> None:
    """Close a round."""
    conn.execute(
        "update round set finished_at = :at where id = :id and finished_at is null",
        {"id": round_id, "at": at.isoformat()},
    )


def add_reading(
    conn: Connection,
    reading_id: str,
    round_id: str,
    *,
    position: int,
    reading: Reading,
    method: str,
    instrument: str,
    doubt: Doubt | None,
    act_id: str,
) -> tuple[str, str, float] | None:
    """Keep a reading as the one that counts for its position.

    Return id, typed text and length [mm] of the one that now stands behind it.
    """
    place = {"id": reading_id, "round_id": round_id, "position": position}
    before = conn.execute(
        """update reading set replaced_by = id
           where round_id = :round_id and position_number = :position and replaced_by is null
           returning id, typed, length_mm""",
        place,
    ).fetchone()
    conn.execute(
        """insert into reading (id, round_id, position_number, typed, typed_unit, method, instrument, raw_value,
                                length_mm, sd_mm, low_mm, high_mm, lines_seen, taper_deg, doubt, doubt_rule, act_id)
           values (:id, :round_id, :position, :typed, :unit, :method, :instrument, :raw, :length, :sd, :low, :high,
                   :lines, :taper, :doubt, :doubt_rule, :act_id)""",
        {
            "id": reading_id,
            "round_id": round_id,
            "position": position,
            "typed": reading.typed,
            "unit": reading.unit,
            "method": method,
            "instrument": instrument,
            "raw": reading.raw_value,
            "length": reading.length_mm,
            "sd": reading.sd_mm,
            "low": reading.low_mm,
            "high": reading.high_mm,
            "lines": reading.lines,
            "taper": reading.taper_deg,
            "doubt": doubt.words if doubt else "",
            "doubt_rule": doubt.rule_id if doubt else "",
            "act_id": act_id,
        },
    )
    if before is not None:
        conn.execute("update reading set replaced_by = :id where id = :before", {**place, "before": before["id"]})
    return (before["id"], before["typed"], before["length_mm"]) if before is not None else None


_READING = """select g.*, p.name as person, a.at from reading g join act a on a.id = g.act_id
              join person p on p.id = a.person_id"""


def _reading(row: Row) -> ReadingRow:
    return ReadingRow(
        id=row["id"],
        position_number=row["position_number"],
        typed=row["typed"],
        unit=row["typed_unit"],
        method=row["method"],
        instrument=row["instrument"],
        length_mm=row["length_mm"],
        sd_mm=row["sd_mm"],
        taper_deg=row["taper_deg"],
        doubt=row["doubt"],
        doubt_answer=row["doubt_answer"],
        person=row["person"],
        at=datetime.fromisoformat(row["at"]),
    )


def list_readings(conn: Connection, round_id: str) -> dict[int, ReadingRow]:
    """Return the readings of a round that count, by position."""
    rows = conn.execute(
        f"{_READING} where g.round_id = :id and g.replaced_by is null order by g.position_number", {"id": round_id}
    )
    return {r["position_number"]: _reading(r) for r in rows}


def fetch_reading(conn: Connection, reading_id: str) -> tuple[ReadingRow, str]:
    """Return a reading and the id of its round.

    Raises: NotFound.
    """
    row = conn.execute(f"{_READING} where g.id = :id", {"id": reading_id}).fetchone()
    if row is None:
        raise NotFound("There is no such reading.", "Open the round and pick it there.")
    return _reading(row), row["round_id"]


def reading_behind(conn: Connection, reading_id: str) -> Measured | None:
    """Return the reading that another one replaced, None where that was the first at its place."""
    row = conn.execute(
        """select length_mm, sd_mm, low_mm, high_mm, lines_seen as lines,
                  case doubt_answer when '' then doubt else '' end as doubt, doubt_rule, id
           from reading where replaced_by = :id and id <> :id""",
        {"id": reading_id},
    ).fetchone()
    return Measured(**dict(row)) if row else None


def answer_doubt(conn: Connection, reading_id: str, answer: str) -> None:
    """Keep what the person said about a doubted reading."""
    conn.execute("update reading set doubt_answer = :answer where id = :id", {"id": reading_id, "answer": answer})


def withdraw_reading(conn: Connection, reading_id: str) -> None:
    """Take a mistyped reading out of the count; it stays in the record, replaced by nothing but itself."""
    conn.execute("update reading set replaced_by = id where id = :id", {"id": reading_id})


def list_answered(conn: Connection, motor_id: str) -> list[ReadingRow]:
    """Return the readings of the motor's newest round that were doubted and said to be right."""
    rows = conn.execute(
        f"""{_READING} where g.round_id = (select id from round where motor_id = :id order by at desc, seq desc limit 1)
            and g.replaced_by is null and g.doubt <> '' and g.doubt_answer <> '' order by g.position_number""",
        {"id": motor_id},
    )
    return [_reading(r) for r in rows]
