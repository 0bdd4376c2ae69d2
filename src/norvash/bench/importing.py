"""What imports cost: readings of use into the log, and notes of the past with the forecasts that follow."""

import time
import uuid
from contextlib import closing
from datetime import datetime, timedelta
from pathlib import Path

from norvash.bench.fleet import PERSON
from norvash.core.text.texts import compared
from norvash.exchange.hours_csv import guessed, read_lines
from norvash.exchange.notes_csv import notes_table
from norvash.exchange.sheets import read_sheet
from norvash.store.file.database import connect, transaction
from norvash.store.file.ready import migrate
from norvash.store.record import motors, people, use
from norvash.work.act.acting import Act
from norvash.work.motors.importing import take
from norvash.work.motors.registering import NewMotor, add_motor
from norvash.work.motors.stating import SinceTyped
from norvash.work.notes.noting_tables import import_notes
from norvash.work.reading.standing import catch_up

LINES = 100_000
NOTES, OF_MOTORS = 10_000, 500


def readings_s(db: Path) -> float:
    """Return how long 100 000 readings take from file to log [s]."""
    conn, now = connect(db), datetime.now()
    tags = [r["tag"] for r in conn.execute("select tag from motor order by tag limit 250")]
    start, later = now + timedelta(minutes=1), now + timedelta(days=8)
    rows = ["tag;day;counter"]
    names = motors.names(conn)
    for tag in tags:
        motor = names[compared(tag)]
        base = use.list_entries(conn, motor)[-1].counter_units
        rows += [
            f"{tag};{start + timedelta(minutes=20 * i):%Y-%m-%d %H:%M};{int(base) + 1 + 0.01 * i:.2f}"
            for i in range(LINES // len(tags))
        ]
    data = "\n".join(rows).encode()
    started = time.perf_counter()
    sheet = read_sheet(data)
    match = guessed(sheet)
    lines, faults = read_lines(sheet, match)
    kept = take(
        conn,
        Act(uuid.uuid4().hex, PERSON, later),
        "file",
        sha256=uuid.uuid4().hex,
        lines=lines,
        faults=faults,
        mode=match.mode,
    )
    if len(kept.new) != len(tags) * (LINES // len(tags)):
        raise SystemExit(f"{kept.faulty} lines were refused: {kept.faults[:2]}")
    return time.perf_counter() - started


def notes_s(db: Path) -> float:
    """Return how long notes of years take from table to record, every motor forecast and judged anew [s]."""
    now = datetime.now()
    each = NOTES // OF_MOTORS
    with closing(connect(db)) as conn:
        migrate(conn)
        conn.execute("pragma synchronous = off")
        with transaction(conn):
            people.add_person(conn, people.Person(PERSON, "Ines Torvald"), now)
        began = now - timedelta(weeks=8 * each)
        for i in range(OF_MOTORS):
            add_motor(conn, Act(uuid.uuid4().hex, PERSON, now), _motor(i, began, 40 * each))
        rows = ["motor;day;counter;A;B"]
        for i in range(OF_MOTORS):
            for n in range(1, each):
                day, worn = began + timedelta(weeks=8 * n), 0.4 * n + 0.01 * (i % 7)
                rows.append(f"N-{i:03d};{day:%Y-%m-%d};{40 * n};{22 - worn:.2f};{22 - 0.9 * worn:.2f}")
            rows.append(f"N-{i:03d};{began + timedelta(weeks=8 * each - 4):%Y-%m-%d};{40 * each - 20};;")
        conn.execute("pragma synchronous = full")
        started = time.perf_counter()
        table = notes_table("\n".join(rows).encode(), lambda _: {"a": 1, "b": 2})
        kept = import_notes(conn, Act(uuid.uuid4().hex, PERSON, now), table)
        judged = catch_up(conn, now.date())
        took = time.perf_counter() - started
    if kept.faults or kept.count("rounds") + OF_MOTORS != NOTES or judged != OF_MOTORS:
        raise SystemExit(f"{len(kept.faults)} notes were refused, {judged} motors judged: {kept.faults[:2]}")
    return took


def _motor(i: int, began: datetime, use_now: int) -> NewMotor:
    return NewMotor(
        tag=f"N-{i:03d}",
        name=f"Winch {i}",
        place=f"hall {i % 40}",
        motor_class="industrial",
        type_id="",
        brushes="2",
        new_length="22",
        limit="8",
        unit_of_use="",
        use_now=str(use_now),
        set_is_new=False,
        figures={},
        since=SinceTyped(day=f"{began:%Y-%m-%d}", counter="0"),
    )
