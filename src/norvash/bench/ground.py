"""What asking costs: a figure changed under an open sheet, and a site's rule on which two hundred findings rest."""

import statistics
import time
import uuid
from collections.abc import Callable, Sequence
from contextlib import closing
from dataclasses import replace
from datetime import datetime
from pathlib import Path

from norvash.bench.fleet import PERSON
from norvash.core.sheet.moved import Explained
from norvash.core.stages.gates import SAFE
from norvash.errors import NeedsAnswer
from norvash.store.file.database import Connection, connect
from norvash.store.record import motors
from norvash.work.act.acting import Act
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.ruling import set_rule
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter

LIVES = 200
_TURNS = 40


def ground_ms(db: Path, motor_ids: Sequence[str]) -> dict[str, float]:
    """Return the median of a figure changed under an open sheet and of one changed without, in turns, and how long the
    question takes that a site's rule asks over two hundred findings [ms].
    """
    with closing(connect(db, made=True)) as conn:
        under, without = motor_ids[:2]
        _opened(conn, under)
        times: dict[str, list[float]] = {under: [], without: []}
        for turn in range(_TURNS):
            for motor in (under, without):
                times[motor].append(_timed(lambda motor=motor, turn=turn: _changed(conn, motor, turn)))  # type: ignore[misc]
        for motor in motor_ids[2 : LIVES + 2]:
            enter(conn, _act(), _opened(conn, motor), field_id="earth-ohm", place=0, text="0.4")
        asked = statistics.median(_timed(lambda: _asked(conn)) for _ in range(3))
    return {"under": statistics.median(times[under]), "without": statistics.median(times[without]), "rule": asked}


def _act() -> Act:
    return Act(uuid.uuid4().hex, PERSON, datetime.now())


def _timed(job: Callable[[], object]) -> float:
    started = time.perf_counter()
    job()
    return (time.perf_counter() - started) * 1000


def _opened(conn: Connection, motor: str) -> str:
    sheet = open_sheet(conn, _act(), motor, kind="full", counter="", safe=True)
    enter(conn, _act(), sheet, field_id=SAFE.waived.id, place=0, text="measured by make bench")
    return sheet


def _changed(conn: Connection, motor: str, turn: int) -> None:
    own = motors.motor_figures(conn, motor)
    typed = {n: f"{v:g}" if isinstance(v, float) else v for n, v in own.items()} | {"limit_mm": f"{13 + turn % 2}"}
    act = replace(_act(), explained=Explained("read", "measured by make bench"))
    change_figures(conn, act, motor, typed, motors.fetch_motor(conn, motor).version)


def _asked(conn: Connection) -> None:
    try:
        set_rule(conn, _act(), "earth.ohm", scope="site", scope_id="", text="0.5", why="measured by make bench")
    except NeedsAnswer as error:
        if len(error.listed) < LIVES:
            raise SystemExit(f"only {len(error.listed)} findings are listed") from None
        return
    raise SystemExit("nothing was asked")
