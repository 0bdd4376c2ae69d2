"""A power cut in the middle of work: nothing that was acknowledged is lost, nothing is half there."""

import signal
import subprocess
import sys
import time
from pathlib import Path

import pytest

from conftest import Shop
from norvash.store.file.database import connect
from norvash.store.record import use
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
from norvash.work.reading.standing import catch_up

WORKER = """
import sys
from datetime import datetime, timedelta
from pathlib import Path
from norvash.store.file.database import connect
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
conn, at = connect(Path(sys.argv[1])), datetime(2026, 1, 1)
for i in range(100_000):
    act = Act(f"cut-act-{i:06d}", "person-of-test", at + timedelta(hours=i))
    print(log_use(conn, act, sys.argv[2], text="1", mode="increment"), flush=True)
"""


@pytest.mark.parametrize("after_s", [0.05, 0.21, 0.4])
def test_a_killed_process_leaves_whole_acts_only(db: Path, shop: Shop, after_s: float) -> None:
    motor = shop.motor()
    with subprocess.Popen([sys.executable, "-c", WORKER, str(db), motor], stdout=subprocess.PIPE, text=True) as worker:
        assert worker.stdout is not None
        said = [worker.stdout.readline().strip()]
        time.sleep(after_s)
        worker.send_signal(signal.SIGKILL)
        said += worker.stdout.read().split("\n")
    acknowledged = [line for line in said if len(line) == len("cut-act-000000")]
    conn = connect(db)
    assert conn.execute("pragma integrity_check").fetchone()[0] == "ok"
    kept = {r[0] for r in conn.execute("select id from act where job = 'log use'")}
    assert kept.issuperset(acknowledged)
    assert len(kept) - len(acknowledged) in (0, 1)
    entries = use.list_entries(conn, motor)
    assert entries[-1].total_units == 100 + len(kept) == 100 + len(entries) - 1
    assert conn.execute("select count(*) from act where result_id = ''").fetchone()[0] == 0
    # The client does not know whether its last entry arrived: it sends it again, and it counts once.
    again = Act(f"cut-act-{len(acknowledged) - 1:06d}", "person-of-test", shop.now)
    assert log_use(conn, again, motor, text="1", mode="increment") == again.id
    assert use.list_entries(conn, motor) == entries
    assert catch_up(conn, entries[-1].at.date()) == 0
    conn.close()
