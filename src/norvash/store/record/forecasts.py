"""Forecasts as they stand, as they stood, and what earlier sets taught."""

import json
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import NamedTuple

from norvash.core.forecast.past_set import PastSet
from norvash.core.forecast.set_forecast import Ahead
from norvash.store.file.database import Connection

MOST_PAST = 60


@dataclass(frozen=True, slots=True, kw_only=True)
class Made:
    """A forecast as it stood when a round was finished, on the motor's total use."""

    round_id: str
    set_id: str
    motor_id: str
    at: datetime
    visits: int
    p05_units: float
    p10_units: float
    p50_units: float
    p90_units: float
    p95_units: float
    look_units: float
    tail: float


def save_ahead(conn: Connection, motor_id: str, ahead: Ahead) -> None:
    """Keep a motor's forecast in place of the one before."""
    conn.execute(
        """insert into forecast (motor_id, ahead_json) values (:id, :plain)
           on conflict (motor_id) do update set ahead_json = excluded.ahead_json""",
        {"id": motor_id, "plain": json.dumps(ahead.as_plain())},
    )


class Taught(NamedTuple):
    """What one ended set taught, and when it ended."""

    ended_at: datetime
    set_id: str
    past: PastSet


def list_family(conn: Connection, type_id: str, without: Sequence[str]) -> list[Taught]:
    """Return what the latest ended sets of a type's motors taught, but for those of some motors."""
    rows = conn.execute(
        """select s.ended_at, s.id, p.log_rate, p.at_most, p.about from past_set p join brush_set s on s.id = p.set_id
           where s.struck_act_id is null and p.motor_id in (select id from motor where type_id = :type_id)
           and p.motor_id not in (select value from json_each(:without)) order by s.ended_at desc, s.id limit :most""",
        {"type_id": type_id, "without": json.dumps(without), "most": MOST_PAST},
    )
    return [
        Taught(
            datetime.fromisoformat(r["ended_at"]), r["id"], PastSet(r["log_rate"], bool(r["at_most"]), bool(r["about"]))
        )
        for r in rows
    ]


def latest(taught: Iterable[Taught]) -> tuple[PastSet, ...]:
    """Return what the sets that ended last taught, the newest first."""
    in_order = sorted(sorted(taught, key=lambda t: t.set_id), key=lambda t: t.ended_at, reverse=True)
    return tuple(t.past for t in in_order[:MOST_PAST])


def list_taught(conn: Connection, motor_id: str) -> dict[str, PastSet]:
    """Return what a motor's own ended sets taught, by set."""
    rows = conn.execute("select set_id, log_rate, at_most, about from past_set where motor_id = :id", {"id": motor_id})
    return {r["set_id"]: PastSet(r["log_rate"], bool(r["at_most"]), bool(r["about"])) for r in rows}


def save_taught(conn: Connection, motor_id: str, taught: Iterable[tuple[str, PastSet]]) -> None:
    """Keep what a motor's ended sets taught in place of what stood there."""
    conn.execute("delete from past_set where motor_id = :id", {"id": motor_id})
    for set_id, past in taught:
        conn.execute(
            """insert into past_set (set_id, motor_id, log_rate, at_most, about)
               values (:set_id, :motor_id, :rate, :at_most, :about)""",
            {
                "set_id": set_id,
                "motor_id": motor_id,
                "rate": past.log_rate,
                "at_most": int(past.at_most),
                "about": int(past.about),
            },
        )


def mark_family_stale(conn: Connection, motor_id: str, type_id: str | None) -> None:
    """Ask for a motor's relatives to be judged anew: one of their earlier sets teaches something else now."""
    conn.execute("update motor_type set taught = taught + 1 where id = :type_id", {"type_id": type_id})
    conn.execute(
        "update standing set rules_seq = -1 where motor_id in (select id from motor where type_id = :type_id and id <>"
        " :id)",
        {"type_id": type_id, "id": motor_id},
    )


def save_made(conn: Connection, made: Made) -> None:
    """Keep a forecast as it stood when its round was finished."""
    conn.execute(
        """insert into forecast_made (round_id, set_id, motor_id, at, visits,
                                      p05_units, p10_units, p50_units, p90_units, p95_units, look_units, tail)
           values (:round_id, :set_id, :motor_id, :at, :visits,
                   :p05_units, :p10_units, :p50_units, :p90_units, :p95_units, :look_units, :tail)
           on conflict (round_id) do nothing""",
        {name: getattr(made, name) for name in Made.__dataclass_fields__} | {"at": made.at.isoformat()},
    )


def list_made(conn: Connection, most: int) -> list[Made]:
    """Return the latest forecasts that stood at a finished round, in order of set and time."""
    rows = conn.execute(
        """select * from (select * from forecast_made order by at desc limit :most) order by set_id, at, round_id""",
        {"most": most},
    )
    return [
        Made(**{n: r[n] for n in Made.__dataclass_fields__ if n != "at"}, at=datetime.fromisoformat(r["at"]))
        for r in rows
    ]
