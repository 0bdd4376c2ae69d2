"""Measured rounds and their readings."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.record.brushes import BrushRead
from norvash.core.sheet.given import Sight
from norvash.core.state.round import Measured, Round
from norvash.errors import NotFound
from norvash.store.file.database import Connection, Row


@dataclass(frozen=True, slots=True, kw_only=True)
class RoundRow:
    """One round as stored, with the person who opened it; one older than sheets has none."""

    id: str
    sheet_id: str
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
    sight: Sight
    from_file: bool = False
    bare_mm: float | None = None
    reference_mm: float | None = None

    @property
    def said(self) -> str:
        """Return the reading as typed, with the unit it was meant in if none was typed."""
        return f"{self.typed} {self.unit}" if self.typed[-1] in "0123456789." else self.typed


_ROUND = """select r.*, p.name as person from round r join act a on a.id = r.act_id
            join person p on p.id = a.person_id"""


def _round(row: Row) -> RoundRow:
    return RoundRow(
        id=row["id"],
        sheet_id=row["sheet_id"] or "",
        motor_id=row["motor_id"],
        set_id=row["set_id"],
        kind=row["kind"],
        at=datetime.fromisoformat(row["at"]),
        total_units=row["total_units"],
        finished=row["finished_at"] is not None,
        person=row["person"],
    )


def add_round(
    conn: Connection, motor_id: str, a_round: Round, set_id: str, *, at: datetime | None = None, act_id: str
) -> None:
    """Keep a round of a set, on a sheet, beside one, or from notes; one that is finished was so `at` a moment."""
    conn.execute(
        """insert into round (id, motor_id, set_id, sheet_id, kind, at, seq, total_units, finished_at, noted,
                              measured_by, shortest, act_id)
           values (:id, :motor_id, :set_id, :sheet_id, :kind, :at,
                   (select coalesce(max(seq), 0) + 1 from round where motor_id = :motor_id), :units, :finished, :noted,
                   :by, :shortest, :act_id)""",
        {
            "id": a_round.id,
            "motor_id": motor_id,
            "set_id": set_id,
            "sheet_id": a_round.sheet_id or None,
            "kind": a_round.kind,
            "at": a_round.at.isoformat(),
            "units": a_round.total_units,
            "finished": (at or a_round.at).isoformat() if a_round.finished else None,
            "noted": int(a_round.noted),
            "by": a_round.by,
            "shortest": int(a_round.shortest),
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


def rounds_of(conn: Connection, sheet_id: str) -> list[RoundRow]:
    """Return the rounds of a sheet: that of the set it found, then that of a set fitted on it."""
    rows = conn.execute(f"{_ROUND} where r.sheet_id = :id order by r.at, r.seq", {"id": sheet_id})
    return [_round(r) for r in rows]


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


def add_reading(conn: Connection, said: BrushRead, act_id: str) -> None:
    """Keep a reading as the one that counts for its position in its sight; an earlier one stays behind it."""
    place = {"round_id": said.round_id, "position": said.position, "sight": said.sight}
    before = conn.execute(
        """update reading set replaced_by = id
           where round_id = :round_id and position_number = :position and sight = :sight and replaced_by is null
           returning id""",
        place,
    ).fetchone()
    reading, doubt = said.reading, said.doubt
    conn.execute(
        """insert into reading (id, round_id, position_number, sight, act_id, typed, typed_unit, method, instrument,
                                raw_value, length_mm, sd_mm, low_mm, high_mm, lines_seen, taper_deg, bare_mm,
                                reference_mm, doubt, doubt_rule, doubt_answer)
           values (:id, :round_id, :position, :sight, :act_id, :typed, :unit, :method, :instrument,
                   :raw, :length, :sd, :low, :high, :lines, :taper, :bare, :reference, :doubt, :doubt_rule, :answer)""",
        {
            **place,
            "id": said.id,
            "act_id": act_id,
            "typed": reading.typed,
            "unit": reading.unit,
            "method": reading.method,
            "instrument": said.instrument,
            "raw": reading.raw_value,
            "length": reading.length_mm,
            "sd": reading.sd_mm,
            "low": reading.low_mm,
            "high": reading.high_mm,
            "lines": reading.lines,
            "taper": reading.taper_deg,
            "bare": reading.bare_mm,
            "reference": reading.reference_mm,
            "doubt": doubt.words if doubt is not None else "",
            "doubt_rule": doubt.rule_id if doubt is not None else "",
            "answer": "right" if doubt is not None and said.answered else "",
        },
    )
    if before is not None:
        conn.execute("update reading set replaced_by = :id where id = :before", {"id": said.id, "before": before["id"]})


_READING = """select g.*, p.name as person, a.at, a.played_by from reading g join act a on a.id = g.act_id
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
        sight=row["sight"],
        from_file=row["played_by"] is not None,
        bare_mm=row["bare_mm"],
        reference_mm=row["reference_mm"],
    )


def list_readings(conn: Connection, round_id: str) -> dict[int, ReadingRow]:
    """Return the readings of a round that count, by position: as left where a brush was read again, else as found."""
    return {r.position_number: r for r in list_sighted(conn, round_id) if r.sight != "asked"}


def list_sighted(conn: Connection, round_id: str) -> list[ReadingRow]:
    """Return the readings of a round in every sight, by position, as found before as left."""
    rows = conn.execute(
        f"{_READING} where g.round_id = :id and g.replaced_by is null order by g.position_number, g.sight",
        {"id": round_id},
    )
    return [_reading(r) for r in rows]


def list_corrected(conn: Connection, sheet_id: str) -> list[tuple[ReadingRow, str, str]]:
    """Return the readings of a sheet that another one has replaced, each with what was typed instead and by whom."""
    rows = conn.execute(
        """select g.*, n.typed as instead, p.name as person, a.at, a.played_by, np.name as by_name
           from reading g join act a on a.id = g.act_id
           join person p on p.id = a.person_id join reading n on n.id = g.replaced_by join round r on r.id = g.round_id
           join act na on na.id = n.act_id join person np on np.id = na.person_id
           where r.sheet_id = :id and n.id <> g.id order by a.seq""",
        {"id": sheet_id},
    )
    return [(_reading(r), r["instead"], r["by_name"]) for r in rows]


def fetch_reading(conn: Connection, reading_id: str) -> tuple[ReadingRow, str]:
    """Return a reading and the id of its round.

    Raises: NotFound.
    """
    row = conn.execute(f"{_READING} where g.id = :id", {"id": reading_id}).fetchone()
    if row is None:
        raise NotFound("There is no such reading.", "Open the round and pick it there.")
    return _reading(row), row["round_id"]


def list_typed(conn: Connection, round_id: str, typed: str) -> list[ReadingRow]:
    """Return the readings of a round that were typed so, whether they count or not, in their order."""
    rows = conn.execute(f"{_READING} where g.round_id = ? and g.typed = ? order by a.seq", (round_id, typed))
    return [_reading(r) for r in rows]


_MEASURED = """select length_mm, sd_mm, low_mm, high_mm, lines_seen as lines,
                      case doubt_answer when '' then doubt else '' end as doubt, doubt_rule, id, bare_mm,
                      method, reference_mm,
                      case when doubt_answer like 'swapped %' then cast(substr(doubt_answer, 9) as integer)
                           else 0 end as swapped
               from reading"""


def reading_behind(conn: Connection, reading_id: str) -> Measured | None:
    """Return the reading that another one replaced, None where that was the first at its place."""
    row = conn.execute(f"{_MEASURED} where replaced_by = :id and id <> :id", {"id": reading_id}).fetchone()
    return Measured(**dict(row)) if row else None


def measured_as(conn: Connection, reading_id: str) -> Measured:
    """Return a reading as a length with its doubt."""
    return Measured(**dict(conn.execute(f"{_MEASURED} where id = :id", {"id": reading_id}).fetchone()))


def move_reading(conn: Connection, reading_id: str, round_id: str, sight: Sight) -> None:
    """Say of a reading of which sight it speaks, and to which round of its sheet it belongs."""
    conn.execute(
        "update reading set round_id = :round_id, sight = :sight where id = :id",
        {"id": reading_id, "round_id": round_id, "sight": sight},
    )


def answer_doubt(conn: Connection, reading_id: str, answer: str) -> None:
    """Keep what the person said about a doubted reading."""
    conn.execute("update reading set doubt_answer = :answer where id = :id", {"id": reading_id, "answer": answer})


def list_answered(conn: Connection, motor_id: str) -> list[ReadingRow]:
    """Return the readings of the motor's newest round that were doubted and said to be right."""
    rows = conn.execute(
        f"""{_READING} where g.round_id = (select id from round where motor_id = :id and noted = 0
                                order by at desc, seq desc limit 1)
            and g.replaced_by is null and g.sight <> 'asked' and g.doubt <> '' and g.doubt_answer <> ''
            order by g.position_number""",
        {"id": motor_id},
    )
    return [_reading(r) for r in rows]
