"""One reading as a row, however it came: on a sheet, or from notes."""

from dataclasses import dataclass

from norvash.core.brush.readings import Reading
from norvash.core.sheet.given import Sight
from norvash.store.database import Connection


@dataclass(frozen=True, slots=True, kw_only=True)
class Place:
    """Where a reading is kept: its id, the round and the position, the sight of which it speaks, and its act."""

    id: str
    round_id: str
    position: int
    sight: Sight
    act_id: str


def insert_reading(
    conn: Connection,
    place: Place,
    reading: Reading,
    *,
    method: str,
    instrument: str,
    doubt: str,
    doubt_rule: str,
    answer: str = "",
) -> None:
    """Keep a reading with its doubt, and the answer to that where there is one."""
    conn.execute(
        """insert into reading (id, round_id, position_number, sight, act_id, typed, typed_unit, method, instrument,
                                raw_value, length_mm, sd_mm, low_mm, high_mm, lines_seen, taper_deg, bare_mm,
                                reference_mm, doubt, doubt_rule, doubt_answer)
           values (:id, :round_id, :position, :sight, :act_id, :typed, :unit, :method, :instrument,
                   :raw, :length, :sd, :low, :high, :lines, :taper, :bare, :reference, :doubt, :doubt_rule, :answer)""",
        {
            "id": place.id,
            "round_id": place.round_id,
            "position": place.position,
            "sight": place.sight,
            "act_id": place.act_id,
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
            "bare": reading.bare_mm,
            "reference": reading.reference_mm,
            "doubt": doubt,
            "doubt_rule": doubt_rule,
            "answer": answer,
        },
    )
