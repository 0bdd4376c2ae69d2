"""What the bench and the register show of each motor."""

import json
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from functools import lru_cache

from norvash.core.state.rising import Rise, rise_from
from norvash.core.text.texts import compared
from norvash.store.file.database import Connection, Row


@dataclass(frozen=True, slots=True, kw_only=True)
class Standing:
    """One motor's place on the bench, kept up to date by every job."""

    motor_id: str
    rules_seq: int
    grade: str | None
    rank: int
    limit_on: str | None
    look_on: str | None
    due: str
    left_mm: float | None
    sentence: str
    word: str
    flags: str
    drawing_json: str
    place_key: str = ""
    early_on: str | None = None
    late_on: str | None = None
    look_by: str = ""
    plan_on: str | None = None
    change_on: str | None = None
    rises_json: str = "[]"
    figures_json: str = "[]"
    version: int = 0


def rises_of(standing: Standing) -> tuple[Rise, ...]:
    """Return the days on which a motor rises."""
    return _rises(standing.rises_json) if standing.rises_json != "[]" else ()


@lru_cache(4096)  # lists show the same motors again and again
def _rises(kept: str) -> tuple[Rise, ...]:
    return tuple(map(rise_from, json.loads(kept)))


@dataclass(frozen=True, slots=True, kw_only=True)
class Listed:
    """A motor with its standing, as a list shows it."""

    motor_id: str
    tag: str
    name: str
    place: str
    motor_class: str
    standing: Standing


def save_standing(conn: Connection, standing: Standing) -> None:
    """Keep a motor's standing in place of the one before."""
    conn.execute(
        """insert into standing (motor_id, rules_seq, stage, rank, limit_on, look_on, due, left_mm,
                                 sentence, word, flags, drawing_json, place_key, early_on, late_on, look_by,
                                 plan_on, change_on, rises_json, figures_json)
           values (:motor_id, :rules_seq, :grade, :rank, :limit_on, :look_on, :due, :left_mm,
                   :sentence, :word, :flags, :drawing_json, :place_key, :early_on, :late_on, :look_by,
                   :plan_on, :change_on, :rises_json, :figures_json)
           on conflict (motor_id) do update set rules_seq = excluded.rules_seq, stage = excluded.stage,
               rank = excluded.rank, limit_on = excluded.limit_on, look_on = excluded.look_on, due = excluded.due,
               left_mm = excluded.left_mm, sentence = excluded.sentence, word = excluded.word,
               flags = excluded.flags, drawing_json = excluded.drawing_json, place_key = excluded.place_key,
               early_on = excluded.early_on, late_on = excluded.late_on, look_by = excluded.look_by,
               plan_on = excluded.plan_on, change_on = excluded.change_on, rises_json = excluded.rises_json,
               figures_json = excluded.figures_json,
               version = standing.version + 1""",
        {name: getattr(standing, name) for name in Standing.__dataclass_fields__},
    )


def listed_of(row: Row) -> Listed:
    """Return a motor with its standing as a row of `LISTED` has them."""
    standing = Standing(**{name: row[name] for name in Standing.__dataclass_fields__})
    return Listed(
        motor_id=row["motor_id"],
        tag=row["tag"],
        name=row["name"],
        place=row["place"],
        motor_class=row["class"],
        standing=standing,
    )


LISTED = (
    "select m.tag, m.name, m.place, m.class, s.*, s.stage as grade from standing s join motor m on m.id = s.motor_id"
)


# One that is used no more: it is found, and in no list of what asks for hands.
RETIRED_RANK = 9
_HANDS = "rank between 1 and 8"
# Motors that have risen since they were judged are few, and merged with those that stand in their order by themselves.
_TO_CHANGE = "+rank < 6 and change_on <= :today"
_TO_PLAN = "+rank < 4 and plan_on <= :today and (change_on is null or change_on > :today)"
_AS_KEPT = (
    "(rank >= 6 or change_on is null or change_on > :today) and (rank >= 4 or plan_on is null or plan_on > :today)"
)
_COME = "rank = 0 and (look_on <= :until or plan_on <= :today)"


def list_bench(conn: Connection, today: date, until: date, most: int, skip: int) -> list[Listed]:
    """Return the motors that need hands by a day, most urgent first, each at the grade to which it has risen."""
    rows = conn.execute(
        f"""with urgent as (
                select * from (select motor_id, rank as urgency, due from standing where {_HANDS} and {_AS_KEPT}
                               order by rank desc, due, motor_id limit :most + :skip)
                union all select motor_id, 6, due from standing where {_TO_CHANGE}
                union all select motor_id, 4, due from standing where {_TO_PLAN}
                union all select motor_id, 0, due from standing where rank = 0 and look_on <= :until and {_AS_KEPT}
                order by urgency desc, due, motor_id limit :most offset :skip)
            select m.tag, m.name, m.place, m.class, s.*, s.stage as grade from urgent u
            join standing s on s.motor_id = u.motor_id join motor m on m.id = u.motor_id
            order by u.urgency desc, u.due, u.motor_id""",
        {"today": today.isoformat(), "until": until.isoformat(), "most": most, "skip": skip},
    )
    return [listed_of(r) for r in rows]


def count_bench(conn: Connection, today: date, until: date) -> int:
    """Return how many motors need hands by a day."""
    row = conn.execute(
        f"select (select count(*) from standing where {_HANDS}) + (select count(*) from standing where {_COME})",
        {"today": today.isoformat(), "until": until.isoformat()},
    )
    return int(row.fetchone()[0])


def list_next(conn: Connection, today: date, after: date, most: int) -> list[Listed]:
    """Return the motors that run on, the soonest due first."""
    rows = conn.execute(
        f"""{LISTED} where s.rank = 0 and (s.look_on is null or s.look_on > :after)
            and (s.plan_on is null or s.plan_on > :today) order by s.due, s.motor_id limit :most""",
        {"today": today.isoformat(), "after": after.isoformat(), "most": most},
    )
    return [listed_of(r) for r in rows]


def find_motors(
    conn: Connection, words: str, motor_class: str, most: int, skip: int, *, urgent: bool = False
) -> list[Listed]:
    """Return motors whose tag, name, place or type holds the words, by tag, or the most `urgent` first."""
    order = "case when s.rank < 9 then s.rank else -1 end desc, s.due, " if urgent else ""
    rows = conn.execute(
        f"""{LISTED} left join motor_type t on t.id = m.type_id
            where (:class = '' or m.class = :class)
              and (:words = '' or instr(m.sought_key || char(10) || coalesce(t.name_key, ''), :words) > 0)
            order by {order}m.tag collate nocase limit :most offset :skip""",
        {"words": compared(words), "class": motor_class, "most": most, "skip": skip},
    )
    return [listed_of(r) for r in rows]


def count_motors(conn: Connection) -> int:
    """Return how many motors there are in use."""
    return int(conn.execute("select count(*) from standing where rank < 9").fetchone()[0])


def mark_stale(conn: Connection, motor_ids: Iterable[str]) -> None:
    """Ask for motors to be judged anew."""
    conn.executemany("update standing set rules_seq = -1 where motor_id = ?", ((i,) for i in motor_ids))


def list_stale(conn: Connection, rules_seq: int, after: str, most: int, today: date = date.min) -> list[str]:
    """Return motors whose standing rests on an older rulebook, or that are retired by a day and stand among those in
    use, in the order of their ids from one on.
    """
    rows = conn.execute(
        """select motor_id from standing
            where (rules_seq < :seq
                   or rank < 9 and motor_id in (select id from motor where retired_at < :midnight))
              and motor_id > :after order by motor_id limit :most""",
        {"seq": rules_seq, "midnight": f"{today.isoformat()}T24", "after": after, "most": most},
    )
    return [r["motor_id"] for r in rows]
