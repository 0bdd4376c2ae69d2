"""Ten thousand motors in one database, written in bulk."""

from datetime import datetime, timedelta
from pathlib import Path
from random import Random

from norvash.core.brush.readings import Reading
from norvash.core.forecast.simulation import simulate_set
from norvash.core.motor.positions import even_positions
from norvash.core.motor.record import BrushSet
from norvash.core.record.record import Motor
from norvash.core.use.counting import Counted
from norvash.store import motors, people, rounds, sets, use
from norvash.store.database import Connection, connect, transaction
from norvash.store.ready import migrate
from norvash.work.rulebook import rulebook
from norvash.work.standing import refresh_all

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
    motors.add_motor(conn, made, _ACT)
    plans = even_positions(4)
    motors.add_positions(conn, motor_id, plans)
    motors.change_motor_figures(conn, motor_id, {"new_mm": _NEW_MM, "limit_mm": _LIMIT_MM, "limit_source": "maker"})
    per_week = random.uniform(5, 40)
    start = now - timedelta(weeks=50)
    for week in range(0, 51, 5):
        total = per_week * week
        use.add_entry(
            conn,
            f"{motor_id}-u{week}",
            motor_id,
            at=start + timedelta(weeks=week),
            counted=Counted(total, total, ""),
            typed=f"{total:.0f}",
            act_id=_ACT,
        )
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
    sets.add_set(conn, motor_id, fitted, _ACT)
    worn = simulate_set(random, 4, _NEW_MM, usable_mm=_NEW_MM - _LIMIT_MM, life_units=_LIFE_H)
    for week in (10, 20, 30, 40, 50):
        round_id, at = f"{motor_id}-r{week}", start + timedelta(weeks=week)
        rounds.add_round(
            conn,
            round_id,
            motor_id,
            set_id=f"{motor_id}-s",
            sheet_id=None,
            kind="check",
            at=at,
            units=per_week * week,
            act_id=_ACT,
        )
        for k in range(4):
            mm = worn.length_mm(k, per_week * week)
            reading = Reading(
                typed=f"{mm:.2f}", unit="mm", raw_value=mm, length_mm=mm, sd_mm=0.05, low_mm=mm, high_mm=mm
            )
            rounds.add_reading(
                conn,
                f"{round_id}-{k}",
                round_id,
                position=k + 1,
                reading=reading,
                method="length",
                instrument="digital-caliper",
                doubt=None,
                sight="found",
                act_id=_ACT,
            )
        rounds.finish_round(conn, round_id, at)
