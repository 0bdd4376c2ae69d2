"""Measure what a page and an entry cost, against bare pages of the same server in the same run."""

import compileall
import gc
import json
import statistics
import subprocess
import sys
import tempfile
import threading
import time
from collections.abc import Callable
from contextlib import closing
from datetime import datetime
from pathlib import Path

import uvicorn
from fastapi.responses import HTMLResponse
from jinja2 import Template

from norvash.bench.client import Client, newest
from norvash.bench.copper import on_copper
from norvash.bench.fleet import MOTORS, make_fleet
from norvash.bench.ground import ground_ms
from norvash.bench.importing import notes_s, readings_s
from norvash.bench.painting import paint_ratios
from norvash.bench.playing import played_s
from norvash.bench.report import report
from norvash.bench.running_in import long_log, one_more_point
from norvash.bench.signing_in import at_once as at_once_signed
from norvash.bench.starting import first_entries, starts
from norvash.bench.visit import forty_parts, full_visit, six_ways
from norvash.bench.writing import at_once, of_a_length, while_judging
from norvash.config import Settings
from norvash.demo.shipped import prepare
from norvash.store.file.database import connect, transaction
from norvash.store.record import motors
from norvash.web.app import create_app
from norvash.web.drawn.lists import forget
from norvash.web.served.serving import server_config

_PORT = 18100
_BARE = Template(
    "<!doctype html><title>Bare</title><table>{% for row in rows %}<tr>{% for cell in row %}<td>{{ cell }}</td>"
    "{% endfor %}</tr>{% endfor %}</table>",
    autoescape=True,
)
_ROWS = [
    [f"M-{i:05d}", f"Hoist {i}", f"hall {i % 40}", "industrial", f"{i * 0.37:.1f}", "2027-03-04"] for i in range(200)
]


def timed(job: Callable[[], object]) -> float:
    """Return how long a job took [ms]."""
    started = time.perf_counter()
    job()
    return (time.perf_counter() - started) * 1000


def page_ratios(client: Client, motor: str, sheet: str, others: tuple[str, str, str, str]) -> dict[str, float]:
    """Return each page's median time over that of the bare page, measured in turns [1]."""
    full, six, stack, log = others
    paths = {
        "bare": "/bare",
        "bench": "/",
        "bench, page 200": "/?p=200",
        "motor": f"/motors/{motor}",
        "register": "/motors",
        "register, a search": "/motors?q=hall+17",
        "outlook": "/outlook",
        "outlook, a place": "/outlook?place=hall+17",
        "hours book": "/hours",
        "sheet, its brushes": f"{sheet}/brushes",
        "sheet, one brush closely": f"{sheet}/brushes?position=1",
        "sheet, the call": f"{sheet}/call-in",
        "sheet, what is decided": f"{sheet}/decide",
        "sheet, six ways to go on side by side": f"{six}/decide",
        "sheet, a stack of forty parts as it comes off": f"{stack}/open",
        "sheet, a stack of forty parts half closed": f"{stack}/close",
        "sheet, a run-in of two thousand points": f"{log}/rework",
        "sheet, the commutator with its map": f"{sheet}/commutator",
        "sheet, the windings": f"{sheet}/windings",
        "sheet, the drive": f"{sheet}/drive",
        "sheet, the proof": f"{sheet}/prove",
        "sheet, an ordinary signature": f"{sheet}/sign",
        "sheet of forty findings in two sights, its brushes": f"{full}/brushes",
        "sheet of forty findings, what is decided": f"{full}/decide",
        "sheet of forty findings, the rework": f"{full}/rework",
        "sheet of forty findings, the signature": f"{full}/sign",
        "bench, first view": "/",
    }
    times: dict[str, list[float]] = {name: [] for name in paths}
    for turn in range(60):
        for name, path in paths.items():
            if name == "bench, first view":
                forget()
            took = timed(lambda path=path: client.get(path))  # type: ignore[misc]
            if turn >= 5:
                times[name].append(took)
    bare = statistics.median(times["bare"])
    return {name: statistics.median(t) / bare for name, t in times.items() if name != "bare"} | {"bare page, ms": bare}


def bare_commit(db: Path) -> Callable[[], float]:
    """Return a function that keeps one row durably in a database of its own, and says how long that took [ms]."""
    conn = connect(db.with_name("bare.db"))
    conn.execute("create table row (at real not null) strict")

    def commit() -> float:
        started = time.perf_counter()
        with transaction(conn):
            conn.execute("insert into row values (?)", (started,))
        return (time.perf_counter() - started) * 1000

    return commit


def saved_readings(client: Client, motor: str, commit: Callable[[], float]) -> dict[str, float]:
    """Return the 95th percentiles of saving a reading with its new verdict, alone and with its answer page [ms].

    Beside them, in turns, the 95th percentile of a bare commit: what the disk costs in that minute.
    """
    _, at = client.post(f"/motors/{motor}/sheets", sheet_kind="full", counter="")
    client.post(f"{at}/entries", field="waive.safe", place="0", stage="safe", value="measured on the bench")
    saving, answering, bare, replaces = [], [], [], [""] * 5
    for i in range(400):
        position = i % 4 + 1
        bare.append(commit())
        started = time.perf_counter()
        status, onward = client.post(
            f"{at}/readings",
            place=str(position),
            stage="brushes",
            value=f"{25 - i * 0.001:.3f}",
            replaces=replaces[position],
        )
        saving.append((time.perf_counter() - started) * 1000)
        _, page = client.get(onward.split("#")[0])
        answering.append((time.perf_counter() - started) * 1000)
        if status != 303:
            raise SystemExit(f"a reading was refused: {status}")
        replaces[position] = newest(page, "/readings", place=str(position))
    return {
        "bare commit": statistics.quantiles(bare, n=20)[-1],
        "saved": statistics.quantiles(saving, n=20)[-1],
        "median": statistics.median(saving),
        "saved and answered": statistics.quantiles(answering, n=20)[-1],
    }


def typed_ms(db: Path, motor: str) -> tuple[float, float]:
    """Return the 95th percentile of an entry while four others type, and a bare page between them [ms].

    They sit in a process of their own.
    """
    others = [m for m in motors.list_motor_ids(connect(db), 6) if m != motor][:5]
    done = subprocess.run(
        [sys.executable, "-m", "norvash.bench.typing", str(_PORT), *others], capture_output=True, text=True, check=True
    )
    entered, bare = done.stdout.split()
    return float(entered), float(bare)


def forecasting() -> dict[str, float]:
    """Return what forecasting a fleet costs, measured in a process of its own."""
    done = subprocess.run(
        [sys.executable, "-m", "norvash.bench.forecasting"], capture_output=True, text=True, check=True
    )
    found: dict[str, float] = json.loads(done.stdout)
    return found


def main() -> None:
    """Run everything and write docs/performance.md."""
    compileall.compile_dir(str(Path(__file__).parent.parent), quiet=1)
    with tempfile.TemporaryDirectory() as folder:
        db = Path(folder) / "fleet.db"
        print(f"making {MOTORS} motors …", flush=True)
        motor = make_fleet(db, MOTORS, datetime.now())
        settings = Settings(db=db, log=False, port=_PORT, demo=True)
        app = create_app(settings)
        app.get("/bare")(lambda: HTMLResponse(_BARE.render(rows=_ROWS)))
        server = uvicorn.Server(server_config(app, settings))
        threading.Thread(target=server.run, daemon=True).start()
        while not server.started:
            time.sleep(0.01)
        gc.collect()
        gc.freeze()  # as `serve` does once everything is loaded
        client, commit = Client(_PORT), bare_commit(db)
        saved = saved_readings(client, motor, commit)
        _, sheet = client.post(f"/motors/{motor}/sheets", sheet_kind="full", counter="")
        with closing(connect(db, made=True)) as conn:
            full, six, stack, run, *others = motors.list_motor_ids(conn, 44)[8:]
        log = long_log(db, run)
        made = (full_visit(db, full), six_ways(db, six), forty_parts(db, stack), log)
        pages = page_ratios(client, motor, sheet, made)
        saved |= {f"point, {name}": x for name, x in one_more_point(client, log).items()}
        painted = paint_ratios(_PORT, {"bench": "/", "motor": f"/motors/{motor}", "sheet": f"{sheet}/brushes"})
        typed = typed_ms(db, motor)
        written = while_judging(_PORT, lambda: app.state.catching_up, others, commit)
        written["kept"], written["errors"] = at_once(_PORT, others)
        written["statements"], written["reads"] = of_a_length(db, others[-1])
        with closing(connect(db, made=True)) as conn:
            asked = ground_ms(db, motors.list_motor_ids(conn, 300)[60:])
        signed = at_once_signed(_PORT, db)
        server.should_exit = True
        prepare(Path(folder) / "demo.db", reset=True)
        start, first = starts(Path(folder) / "demo.db"), first_entries(Path(folder) / "demo.db")
        text = report(
            pages,
            saved,
            typed,
            painted=painted,
            start=start,
            first=first,
            ahead=forecasting(),
            imported_s=readings_s(db),
            noted_s=notes_s(Path(folder) / "notes.db"),
            played_s=played_s(),
            copper=on_copper(),
            written=written,
            ground=asked,
            signed=signed,
        )
    Path("docs/performance.md").write_text(text)
    print(text)


if __name__ == "__main__":
    main()
