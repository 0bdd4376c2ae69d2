"""What was seen on brushes, by the round in which it was."""

from datetime import datetime

from norvash.core.record.brushes import BrushSeen
from norvash.core.sheet.given import Sight
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.visit.kept_finding import kept_finding
from norvash.store.file.database import Connection, Row

_SEEN = """select f.round_id, f.position_number, f.seen, f.part, f.grade, f.words, f.sight
           from round r join finding f on f.round_id = r.id
           where r.motor_id = :id and f.struck_act_id is null order by f.position_number, f.seen, f.sight"""


def _seen(row: Row) -> BrushSeen:
    found = BY_SIGHT.get(row["seen"]) or kept_finding(
        row["seen"], words=row["words"], grade=row["grade"] or None, part=row["part"]
    )
    return BrushSeen(round_id=row["round_id"], position=row["position_number"], finding=found, sight=row["sight"])


def seen_by_round(conn: Connection, motor_id: str) -> dict[str, list[BrushSeen]]:
    """Return what was seen on brushes, by round, whatever was decided of it."""
    found: dict[str, list[BrushSeen]] = {}
    for r in conn.execute(_SEEN, {"id": motor_id}):
        found.setdefault(r["round_id"], []).append(_seen(r))
    return found


def seen_at(conn: Connection, round_id: str, position: int, seen: str, sight: Sight) -> datetime:
    """Return when something that stands was seen in a round."""
    row = conn.execute(
        """select a.at from finding f join act a on a.id = f.act_id where f.round_id = :round_id and f.seen = :seen
           and f.position_number = :position and f.sight = :sight and f.struck_act_id is null""",
        {"round_id": round_id, "seen": seen, "position": position, "sight": sight},
    ).fetchone()
    return datetime.fromisoformat(row["at"])


def add_finding(conn: Connection, said: BrushSeen, act_id: str) -> None:
    """Keep what was seen on a brush; the same finding twice in one sight is kept once."""
    conn.execute(
        """insert into finding (id, round_id, position_number, seen, part, grade, words, sight, act_id)
           values (:id, :round_id, :position, :seen, :part, :grade, :words, :sight, :act_id)
           on conflict (round_id, position_number, seen, sight) where struck_act_id is null do nothing""",
        {
            **_place(said),
            "id": said.id,
            "part": said.finding.part.id,
            "grade": said.finding.grade,
            "words": said.finding.words,
            "act_id": act_id,
        },
    )


def strike_finding(conn: Connection, said: BrushSeen, act_id: str) -> None:
    """Take a finding back in one sight; it stays in the record."""
    conn.execute(
        """update finding set struck_act_id = :act_id where round_id = :round_id and position_number = :position
           and seen = :seen and sight = :sight and struck_act_id is null""",
        {**_place(said), "act_id": act_id},
    )


def _place(said: BrushSeen) -> dict[str, object]:
    return {"round_id": said.round_id, "position": said.position, "seen": said.finding.id, "sight": said.sight}
