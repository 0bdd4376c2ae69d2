"""What writing costs: statements and readings of a length, waiting while a changed rule is judged, eight who write at
once.
"""

import json
import subprocess
import sys
import threading
import time
import uuid
from collections.abc import Callable, Sequence
from contextlib import closing
from datetime import datetime
from pathlib import Path

from norvash.bench.client import Client
from norvash.bench.fleet import PERSON
from norvash.store.file.database import connect
from norvash.work.act.acting import Act
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.opening import open_sheet

_HELD = ("begin", "begin immediate", "commit", "rollback")
_READS_A_MOTOR = "from brush_set s left join round"
_CLIENTS, _WRITING_S, _PAUSE_S = 8, 20.0, 0.1


def of_a_length(db: Path, motor: str) -> tuple[int, int]:
    """Return the statements of one length on an open sheet that replaces another, and how often its motor is read."""
    with closing(connect(db, made=True)) as conn:

        def act() -> Act:
            return Act(uuid.uuid4().hex, PERSON, datetime.now())

        sheet = open_sheet(conn, act(), motor, kind="quick", counter="", safe=True)
        first = record(conn, act(), sheet, position=1, text="25.2")
        said: list[str] = []
        conn.set_trace_callback(lambda text: said.append(" ".join(text.split())))
        record(conn, act(), sheet, position=1, text="25.1", replaces=first)
        conn.set_trace_callback(None)
    return len([s for s in said if s not in _HELD]), len([s for s in said if _READS_A_MOTOR in s])


def while_judging(
    port: int, judging: Callable[[], threading.Thread], motors: Sequence[str], commit: Callable[[], float]
) -> dict[str, float]:
    """Change a rule while somebody in a process of their own goes on writing, until every motor is judged anew.

    Return the longest wait and how many writes there were, a bare commit [ms], and the time of all [s].
    """
    bare = sorted(commit() for _ in range(200))[100]
    command = [sys.executable, "-m", "norvash.bench.writing", str(port), *motors]
    with subprocess.Popen(command, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True) as writer:
        if writer.stdin is None or writer.stdout is None:
            raise SystemExit("the writer has no voice")
        writer.stdout.readline()
        started = time.perf_counter()
        status, _ = Client(port).post("/rulebook/stage.watch", value="41%", target="site", why="measured on the bench")
        if status != 303:
            raise SystemExit(f"the rule was refused: {status}")
        judging().join()
        took = time.perf_counter() - started
        writer.stdin.close()
        waits = json.loads(writer.stdout.readline())
    return {"longest": max(waits), "writes": float(len(waits)), "commit": bare, "all_s": took}


def go_on_writing(port: int, motors: Sequence[str]) -> None:
    """Write an hour on one motor after the other, ten a second at the most, until nobody listens.

    Then tell how long each took.
    """
    client, waits, over = Client(port), list[float](), threading.Event()

    def listen() -> None:
        sys.stdin.read()
        over.set()

    threading.Thread(target=listen, daemon=True).start()
    _write(client, motors[0])
    print("ready", flush=True)
    while not over.wait(_PAUSE_S):
        waits.append(_write(client, motors[len(waits) % len(motors)]))
    print(json.dumps(waits), flush=True)


def _write(client: Client, motor: str) -> float:
    """Log an hour on a motor; return how long that took [ms]."""
    started = time.perf_counter()
    status, _ = client.post(f"/motors/{motor}/hours", value="0.001", mode="increment")
    if status != 303:
        raise SystemExit(f"an entry was refused: {status}")
    return (time.perf_counter() - started) * 1000


def at_once(port: int, motors: Sequence[str]) -> tuple[int, int]:
    """Let eight clients write for twenty seconds; return how many entries were made, and how many were not taken."""
    kept, errors = [0] * _CLIENTS, [0] * _CLIENTS
    until = time.monotonic() + _WRITING_S

    def write(number: int) -> None:
        client = Client(port)
        while time.monotonic() < until:
            status, _ = client.post(f"/motors/{motors[number]}/hours", value="0.001", mode="increment")
            kept[number] += 1
            errors[number] += status != 303

    threads = [threading.Thread(target=write, args=(n,)) for n in range(_CLIENTS)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    return sum(kept), sum(errors)


if __name__ == "__main__":
    go_on_writing(int(sys.argv[1]), sys.argv[2:])
