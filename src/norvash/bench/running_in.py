"""A run-in with a log of two thousand points: its page, and what one more point takes."""

import statistics
import time
import uuid
from collections.abc import Iterator
from contextlib import closing
from datetime import datetime
from pathlib import Path

from norvash.bench.client import Client, marks
from norvash.bench.fleet import PERSON
from norvash.core.judging.windings.measured import to_part
from norvash.core.stages.gates import POWER, SAFE, usual_run
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.stages.prove.run_fields import IN_MACHINE, RUN_HOW, RUN_WHERE
from norvash.core.stages.running_in import RUNIN_POINTS
from norvash.core.stages.windings.coils import FIELD_WHOLE
from norvash.store.file.database import Connection, connect
from norvash.work.act.acting import Act
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.reading.loading import load

POINTS, _LOGS, _MORE = 2000, 10, 40


def long_log(db: Path, motor: str) -> str:
    """Open a sheet of a motor and log a run-in of two thousand points on it; return its address."""
    with closing(connect(db, made=True)) as conn:

        def act() -> Act:
            return Act(uuid.uuid4().hex, PERSON, datetime.now())

        sheet = open_sheet(conn, act(), motor, kind="full", counter="", safe=True)
        enter(conn, act(), sheet, field_id=SAFE.waived.id, place=0, text="measured by make bench")
        for field, text in _before_power(conn, motor):
            enter(conn, act(), sheet, field_id=field, place=0, text=text)
        each = POINTS // _LOGS
        for log in range(_LOGS):
            minutes = (log * each + n for n in range(each))
            points = (f"{m / 10:g} min 9{m % 9} V {3 + m % 7 / 10:g} A {400 + m % 40} r/min" for m in minutes)
            enter(conn, act(), sheet, field_id=RUNIN_POINTS.id, place=log + 1, text="; ".join(points))
    return f"/sheets/{sheet}"


def _before_power(conn: Connection, motor: str) -> Iterator[tuple[str, str]]:
    """Yield what is entered so that a motor may get power."""
    context = load(conn, motor)
    facts, rules = context.facts, context.rules
    yield from ((tick.id, "yes") for tick, _ in to_part(facts, rules))
    yield from (("insulation-mohm", "200"), ("insulation-c", "20"))
    if EARTH_OHM.is_offered(facts, rules):
        yield EARTH_OHM.id, "0.06"
    if FIELD_WHOLE.is_offered(facts, rules):
        yield FIELD_WHOLE.id, "180"
    if facts.asked_where:
        yield RUN_WHERE.id, IN_MACHINE
    yield from ((POWER.step(s.id).id, "yes") for s in POWER.steps(facts, rules))
    yield RUN_HOW.id, usual_run(facts)


def one_more_point(client: Client, sheet: str) -> dict[str, float]:
    """Return how large the answer to one more point is [bytes], and how long keeping it takes [ms]: medians."""
    _, page = client.get(f"{sheet}/rework")
    has, sizes, took = marks(page), [], []
    for n in range(_MORE):
        started = time.perf_counter()
        status, answer = client.post(
            f"{sheet}/entries",
            has=has if n % 2 else None,
            field=RUNIN_POINTS.id,
            place=str(_LOGS + 1 + n),
            stage="rework",
            value="95 V 3.3 A 420 r/min",
        )
        if n % 2:
            has |= marks(answer)
            sizes.append(len(answer.encode()))
        else:
            took.append((time.perf_counter() - started) * 1000)
        if status not in (200, 303):
            raise SystemExit(f"a point was refused: {status}")
    return {"bytes": statistics.median(sizes), "ms": statistics.median(took)}
