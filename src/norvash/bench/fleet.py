"""Ten thousand motors in one database, written in bulk."""

from collections.abc import Sequence
from datetime import datetime, timedelta
from pathlib import Path
from random import Random

from norvash.core.brush.readings import Reading
from norvash.core.forecast.simulation import simulate_set
from norvash.core.motor.in_force import figures_in_force
from norvash.core.motor.positions import even_positions
from norvash.core.record.brushes import BrushRead
from norvash.core.record.record import Motor, Record
from norvash.core.record.sets import RoundNoted, SinceSaid
from norvash.core.record.stated import Registered
from norvash.core.record.used import UseLogged
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.core.use.log_entry import Entry
from norvash.store.access.members import give_role
from norvash.store.file.database import Connection, connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.record import people
from norvash.store.record.append import append
from norvash.work.reading.rulebook import rulebook
from norvash.work.reading.standing import refresh_all

MOTORS = 10_000
PERSON = "person-of-bench"
_ACT = "act-of-the-bench"
_BATCH = 200
_NEW_MM, _LIMIT_MM, _LIFE_H = 32.0, 14.0, 2500.0


def make_fleet(path: Path, count: int, now: datetime) -> str:
    """Fill a new database with motors of four brushes, five rounds and a year of log; return one motor's id."""
    conn = connect(path)
    conn.execute("pragma synchronous = off")
    migrate(conn)
    random = Random(7)
    with transaction(conn):
        people.add_person(conn, people.Person(PERSON, "Ines Torvald"), now)
        give_role(conn, PERSON, "lead")
        people.add_act(conn, people.Done(id=_ACT, at=now, job="bulk"), PERSON)
        book = rulebook(conn)
        for i in range(count):
            _motor(conn, f"motor-{i:05d}", i, now, random)
        for start in range(0, count, _BATCH):
            refresh_all(conn, [f"motor-{i:05d}" for i in range(start, min(start + _BATCH, count))], now.date(), book)
    conn.close()
    return f"motor-{count // 2:05d}"


def _motor(conn: Connection, motor_id: str, i: int, now: datetime, random: Random) -> None:
    made = Motor(
        id=motor_id,
        tag=f"M-{i:05d}",
        name=f"Hoist {i}",
        place=f"hall {i % 40}",
        motor_class="industrial",
        type_id=None,
        version=1,
    )
    stated = figures_in_force(made.motor_class, {"new_mm": _NEW_MM, "limit_mm": _LIMIT_MM, "limit_source": "maker"}, {})
    per_week = random.uniform(5, 40)
    start = now - timedelta(weeks=50)
    used = [
        UseLogged(
            id=f"{motor_id}-u{week}",
            use=Entry(start + timedelta(weeks=week), per_week * week, per_week * week),
            typed=f"{per_week * week:.0f}",
            event="",
        )
        for week in range(0, 51, 5)
    ]
    fitted = BrushSet(
        id=f"{motor_id}-s",
        number=1,
        fitted_at=start,
        fitted_units=0.0,
        fitted_known=True,
        ended_at=None,
        ended_units=None,
        end_reason="",
        rounds=(),
    )
    worn = simulate_set(random, 4, _NEW_MM, usable_mm=_NEW_MM - _LIMIT_MM, life_units=_LIFE_H)
    measured = [
        _round(fitted, week, start, per_week * week, [worn.length_mm(k, per_week * week) for k in range(4)])
        for week in (10, 20, 30, 40, 50)
    ]
    append(
        conn,
        Record(motor=made, stated=stated, positions=(), written={}),
        Registered(motor=made, stated=stated, positions=even_positions(4)),
        *used,
        SinceSaid(brush_set=fitted, uses=tuple(u.use for u in used)),
        *measured,
        act_id=_ACT,
        at=now,
    )


def _round(of_set: BrushSet, week: int, start: datetime, total_units: float, lengths_mm: Sequence[float]) -> RoundNoted:
    round_id = f"{of_set.id.removesuffix('-s')}-r{week}"
    read = []
    for k, mm in enumerate(lengths_mm):
        reading = Reading(
            typed=f"{mm:.2f}", unit="mm", raw_value=mm, length_mm=mm, sd_mm=0.05, low_mm=mm, high_mm=mm, method="length"
        )
        read.append(
            BrushRead(
                id=f"{round_id}-{k}", round_id=round_id, position=k + 1, reading=reading, instrument="digital-caliper"
            )
        )
    made = Round(
        id=round_id,
        at=start + timedelta(weeks=week),
        total_units=total_units,
        kind="check",
        finished=True,
        readings={r.position: r.measured for r in read},
    )
    return RoundNoted(of_set=of_set, noted=made, read=tuple(read))
