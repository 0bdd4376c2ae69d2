"""Lives of findings: what stands on a motor from visit to visit, and what became of it."""

from collections.abc import Iterable
from datetime import date, datetime

from norvash.core.sheet.kept_finding import kept_finding, words_to_keep
from norvash.core.sheet.life import KeptLife, Life
from norvash.core.sheet.records import PutBy, PutOff
from norvash.store.database import Connection, Row


def _kept(row: Row) -> KeptLife:
    finding = kept_finding(row["finding"], words=row["words"], grade=row["grade"], part=row["part"])
    put_off = None
    if row["due_on"]:
        since = date.fromisoformat(row["put_since"]) if row["put_since"] else date.min
        by = PutBy(row["put_by"], since, row["moved"])
        put_off = PutOff(row["who"], date.fromisoformat(row["due_on"]), row["waits_for"], by)
    return KeptLife(
        id=row["id"],
        sheet_id=row["sheet_id"] or "",
        position=row["position_number"],
        finding=finding,
        state=row["state"],
        put_off=put_off,
        why=row["why"],
        held_since=datetime.fromisoformat(row["held_since"]) if row["held_since"] else None,
    )


def list_standing(conn: Connection, motor_id: str) -> tuple[KeptLife, ...]:
    """Return the lives of a motor that have not ended, in the order in which they began."""
    rows = conn.execute(
        "select * from life where motor_id = :id and ended_act_id is null order by rowid", {"id": motor_id}
    )
    return tuple(_kept(r) for r in rows)


def life_id(sheet_id: str, life: Life) -> str:
    """Return the id of a life that begins on a sheet: one for each finding and place."""
    return f"{sheet_id}.{life.finding.id}.{life.position}"


def begin_lives(conn: Connection, motor_id: str, sheet_id: str, lives: Iterable[Life]) -> None:
    """Keep what was found on an open sheet: each finding once at its place, in the words that it has now, and whether
    it was withdrawn: work that is done later does not make it one again.
    """
    for life in lives:
        if _is_news(life, sheet_id):
            conn.execute(
                """insert into life (id, motor_id, sheet_id, position_number, finding, part, grade, words, state, who,
                                     why)
                   values (:id, :motor_id, :sheet_id, :position, :finding, :part, :grade, :words, :state, '', '')
                   on conflict (id) do update set grade = excluded.grade, words = excluded.words,
                       state = case when 'withdrawn' in (state, excluded.state) then excluded.state else state end""",
                {
                    "id": life.kept.id if life.kept is not None else life_id(sheet_id, life),
                    "motor_id": motor_id,
                    "sheet_id": sheet_id,
                    "position": life.position,
                    "finding": life.finding.id,
                    "part": life.finding.part.id,
                    "grade": life.finding.grade,
                    "words": words_to_keep(life.finding),
                    "state": "withdrawn" if life.state == "withdrawn" else "open",
                },
            )


def _is_news(life: Life, sheet_id: str) -> bool:
    """Tell whether a finding of a sheet is new, in other words, withdrawn, or found again after that."""
    kept, finding = life.kept, life.finding
    if kept is None:
        return True
    known = (kept.finding.words, kept.finding.grade, kept.state == "withdrawn")
    return kept.sheet_id == sheet_id and known != (finding.words, finding.grade, life.state == "withdrawn")


def keep_lives(conn: Connection, before: Iterable[KeptLife], after: Iterable[KeptLife], act_id: str) -> None:
    """Keep what became of lives beside a sheet: those that are left out have ended, proven."""
    now = {k.id: k for k in after}
    for kept in before:
        if kept.id not in now:
            conn.execute(
                "update life set state = 'proven', ended_act_id = :act where id = :id", {"id": kept.id, "act": act_id}
            )
        elif now[kept.id].state != kept.state:
            conn.execute("update life set state = :state where id = :id", {"id": kept.id, "state": now[kept.id].state})


def sign_lives(conn: Connection, sheet_id: str, lives: Iterable[Life], act_id: str) -> None:
    """Keep what has become of every finding when a sheet is signed: what stands goes on as grave as it is now, the rest
    ends.
    """
    for life in lives:
        put_off = life.put_off if life.state == "put off" else life.waits_for
        by = put_off.by if put_off is not None else PutBy()
        ended = {"sheet": None, "act": None} if life.stands else {"sheet": sheet_id, "act": act_id}
        conn.execute(
            """update life set grade = :grade, words = :words, state = :state, who = :who, due_on = :due_on, why = :why,
                      put_by = :by, put_since = :since, moved = :moved, waits_for = :part, held_since = null,
                      ended_sheet_id = :sheet, ended_act_id = :act
               where id = :id""",
            {
                "id": life.kept.id if life.kept is not None else life_id(sheet_id, life),
                "grade": life.finding.grade,
                "words": words_to_keep(life.finding),
                "state": life.state,
                "who": put_off.who if put_off is not None else "",
                "due_on": put_off.day.isoformat() if put_off is not None else None,
                "by": by.person,
                "since": by.since.isoformat() if by.person else None,
                "moved": by.moved,
                "part": put_off.part if put_off is not None else "",
                "why": life.why,
                **ended,
            },
        )
