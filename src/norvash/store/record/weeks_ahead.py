"""What the outlook shows: motors over the days ahead, by place, class and grade, and what falls due."""

import json
from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import date
from typing import NamedTuple

from norvash.core.text.texts import compared
from norvash.store.file.database import Connection
from norvash.store.record.standings import LISTED, Listed, listed_of


@dataclass(frozen=True, slots=True)
class Sought:
    """Which motors an outlook is over: words of the place, a class, a grade on a day; empty means all. `keys` are the
    places that the words mean, once they were looked up.
    """

    place: str = ""
    motor_class: str = ""
    grade: str = ""
    today: date = date.min
    keys: tuple[str, ...] | None = None

    @property
    def every(self) -> bool:
        """Tell whether it is over all motors."""
        return not (self.place or self.motor_class or self.grade)

    @property
    def values(self) -> dict[str, str]:
        """Return the filter as parameters of a statement."""
        return {
            "place": compared(self.place),
            "class": self.motor_class,
            "stage": self.grade,
            "today": self.today.isoformat(),
        }


class Named(NamedTuple):
    """A motor by its tag and name, for a line that leads to it."""

    motor_id: str
    tag: str
    name: str


_GRADE = """case when s.rank < 6 and s.change_on <= :today then 'change'
                 when s.rank < 4 and s.plan_on <= :today then 'plan' else s.stage end"""
_OF_KIND = f"s.rank < 9 and (:class = '' or m.class = :class) and (:stage = '' or {_GRADE} = :stage)"
_IN_PLACES = f"s.place_key in (select value from json_each(:places)) and {_OF_KIND}"
# Every place once, by leaps through the index.
_PLACES = """with recursive place (key) as (
                 select min(place_key) from motor
                 union all
                 select (select min(place_key) from motor where place_key > place.key) from place where key is not null)
             select key from place where instr(key, :place) > 0"""


def _which(conn: Connection, sought: Sought) -> tuple[str, dict[str, str]]:
    """Return the condition that a filter stands for, with its parameters.

    The places that it means are looked up first.
    """
    values = sought.values
    if not values["place"]:
        return _OF_KIND, values
    return _IN_PLACES, {**values, "places": json.dumps(_places(conn, sought))}


def _places(conn: Connection, sought: Sought) -> tuple[str, ...]:
    if sought.keys is not None:
        return sought.keys
    return tuple(r["key"] for r in conn.execute(_PLACES, {"place": sought.values["place"]}))


def in_places(conn: Connection, sought: Sought) -> Sought:
    """Return a filter with the places that it means looked up, once for all that is asked of it."""
    return replace(sought, keys=_places(conn, sought)) if sought.place else sought


def list_outlook(conn: Connection, sought: Sought, most: int, skip: int, dated: int | None = None) -> list[Listed]:
    """Return motors by the early bound of their limit; those without a day come last. How many are `dated` is counted
    where it is not given.
    """
    which, values = _which(conn, sought)
    rows = conn.execute(
        f"""{LISTED} where {which} and s.early_on is not null
            order by s.early_on, s.motor_id limit :most offset :skip""",
        {**values, "most": most, "skip": skip},
    ).fetchall()
    if len(rows) < most:
        dated = count_outlook(conn, sought, ()).dated if dated is None else dated
        rows += conn.execute(
            f"{LISTED} where {which} and s.early_on is null order by s.motor_id limit :most offset :skip",
            {**values, "most": most - len(rows), "skip": max(skip - dated, 0)},
        ).fetchall()
    return [listed_of(r) for r in rows]


@dataclass(frozen=True, slots=True)
class Counts:
    """How many motors an outlook is over, how many have a day, and by each day how many looks and limits fall due."""

    motors: int
    dated: int
    by_day: tuple[tuple[int, int], ...]


def count_outlook(conn: Connection, sought: Sought, days: Sequence[date]) -> Counts:
    """Count an outlook's motors and what falls due by each day: all of them by index, those sought in one pass."""
    names = {f"day_{i}": d.isoformat() for i, d in enumerate(days)}
    if sought.every:
        each = [
            "rank < 9",
            "early_on is not null",
            *(f"{column} <= :{n}" for n in names for column in ("look_on", "early_on")),
        ]
        statement = "select " + ", ".join(f"(select count(*) from standing where {which})" for which in each)
        values: dict[str, str] = {}
    else:
        which, values = _which(conn, sought)
        due = "".join(f", coalesce(sum(s.look_on <= :{n}), 0), coalesce(sum(s.early_on <= :{n}), 0)" for n in names)
        statement = (
            f"select count(*), count(s.early_on){due} from standing s join motor m on m.id = s.motor_id where {which}"
        )
    row = conn.execute(statement, {**values, **names}).fetchone()
    return Counts(row[0], row[1], tuple((row[2 + 2 * i], row[3 + 2 * i]) for i in range(len(days))))


def list_gravest(conn: Connection, sought: Sought, most: int) -> tuple[list[Named], list[Named]]:
    """Return what must not run, and what asks for hands at this visit, by itself or risen to it by today."""
    which, values = _which(conn, sought)

    def those(condition: str) -> list[Named]:
        of = "select s.motor_id, m.tag, m.name from standing s join motor m on m.id = s.motor_id"
        statement = f"{of} where {which} and {condition} order by s.due, s.motor_id limit :most"
        return [Named(*r) for r in conn.execute(statement, {**values, "most": most})]

    return those("s.rank = 7"), [*those("s.rank = 6"), *those("+s.rank < 6 and s.change_on <= :today")][:most]


def list_unknown(conn: Connection, sought: Sought, most: int) -> list[Listed]:
    """Return motors that run with a set of unknown age that nobody has measured."""
    which, values = _which(conn, sought)
    rows = conn.execute(
        f"{LISTED} where {which} and s.rank = 5 order by s.due, s.motor_id limit :most", {**values, "most": most}
    )
    return [listed_of(r) for r in rows]


def list_tasks(conn: Connection, sought: Sought, until: date, most: int) -> list[Listed]:
    """Return the motors whose look comes by a day, the soonest first."""
    which, values = _which(conn, sought)
    rows = conn.execute(
        f"{LISTED} where {which} and s.look_on <= :until order by s.look_on, s.motor_id limit :most",
        {**values, "until": until.isoformat(), "most": most},
    )
    return [listed_of(r) for r in rows]
