"""What a start costs, and the first entry after it."""

import http.client
import shutil
import statistics
import subprocess
import sys
import time
from collections.abc import Iterator
from contextlib import closing, contextmanager
from datetime import datetime
from pathlib import Path

from norvash.bench.client import Client
from norvash.store.access import members as access
from norvash.store.file.database import connect
from norvash.store.record import motors
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.access.secrets_kept import new_token
from norvash.work.access.sign_in import Device, begin

_PATIENCE_S = 30
_AFTER_PAGE_S = 2
_BARE_START = """
import fastapi, numpy, uvicorn
app = fastapi.FastAPI()
app.get("/")(lambda: "ok")
uvicorn.run(app, host="127.0.0.1", port={port}, log_level="error", http="h11")
"""
_OUR_START = """
import sys
from norvash.cli import main
sys.argv = ["norvash", "serve", "--db", {db!r}, "--port", "{port}"]
if __name__ == "__main__":
    main()
"""


def _session(db: Path) -> str:
    """Return the cookie of a session of the first person of a site."""
    with closing(connect(db, made=True)) as conn:
        member = access.list_members(conn)[0]
        return f"{SESSION_COOKIE}={begin(conn, member, Device(new_token()), datetime.now()).token}"


@contextmanager
def _started(code: str, port: int, cookie: str) -> Iterator[float]:
    """Start an interpreter, wait for its first page, and yield how long that took [ms]."""
    started = time.perf_counter()
    running = subprocess.Popen([sys.executable, "-c", code], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    try:
        while not _answers(port, cookie):
            if time.perf_counter() - started > _PATIENCE_S:
                raise SystemExit(f"nothing answered on port {port} within {_PATIENCE_S} s")
            time.sleep(0.005)
        yield (time.perf_counter() - started) * 1000
    finally:
        running.terminate()
        running.wait()


def _answers(port: int, cookie: str) -> bool:
    try:
        return Client(port, cookie).get("/")[0] == 200
    except (ConnectionError, http.client.HTTPException):
        return False


def starts(db: Path) -> float:
    """Return our start over that of a bare application, medians of turns [1]."""
    ours, bare, cookie = [], [], _session(db)
    for turn in range(9):
        with _started(_BARE_START.format(port=18200 + turn), 18200 + turn, cookie) as took:
            bare.append(took)
        with _started(_OUR_START.format(db=str(db), port=18300 + turn), 18300 + turn, cookie) as took:
            ours.append(took)
    return statistics.median(ours[1:]) / statistics.median(bare[1:])


def first_entries(db: Path) -> float:
    """Return the first entry, two seconds after the first page of a start, over the later ones; median of turns [1]."""
    ratios = []
    for turn in range(3):
        own, port = db.with_name(f"first-{turn}.db"), 18400 + turn
        shutil.copy(db, own)
        with closing(connect(own, made=True)) as conn:
            motor = motors.list_motor_ids(conn, 12)[-1]
        cookie = _session(own)
        with _started(_OUR_START.format(db=str(own), port=port), port, cookie):
            time.sleep(_AFTER_PAGE_S)
            took = [_entered(Client(port, cookie), motor) for _ in range(12)]
        ratios.append(took[0] / statistics.median(took[1:]))
    return statistics.median(ratios)


def _entered(client: Client, motor: str) -> float:
    """Return how long an entry took [ms]."""
    started = time.perf_counter()
    status, _ = client.post(f"/motors/{motor}/hours", value="1", mode="increment")
    if status != 303:
        raise SystemExit(f"an entry was refused: {status}")
    return (time.perf_counter() - started) * 1000
