"""What `make bench` times can be done: on a few motors, so that a refusal is seen before somebody measures."""

from contextlib import closing
from datetime import datetime
from pathlib import Path

import pytest

from norvash.bench import ground
from norvash.bench.fleet import make_fleet
from norvash.bench.running_in import long_log
from norvash.bench.visit import forty_parts, full_visit, six_ways
from norvash.store.file.database import connect
from norvash.store.record import motors


@pytest.mark.long
def test_every_visit_that_is_timed_can_be_made(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    db = tmp_path / "fleet.db"
    make_fleet(db, 12, datetime.now())
    monkeypatch.setattr(ground, "LIVES", 3)
    monkeypatch.setattr(ground, "_TURNS", 2)
    with closing(connect(db)) as conn:
        ids = motors.list_motor_ids(conn, 12)
    made = [job(db, motor) for job, motor in zip((full_visit, six_ways, forty_parts, long_log), ids, strict=False)]
    assert all(address.startswith("/sheets/") for address in made)
    assert ground.ground_ms(db, ids[4:])["rule"] > 0
