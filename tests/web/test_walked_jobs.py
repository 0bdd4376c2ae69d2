"""Every job that is kept as a file, entry by entry: after each its stage and the motor's page open, then its export."""

from contextlib import closing
from datetime import datetime
from pathlib import Path

import pytest

from norvash.core.visit.walk import stages_of
from norvash.errors import NorvashError
from norvash.exchange.visit_play import _Player, stage_of_entry
from norvash.exchange.visit_read import read_visit
from norvash.store.file.database import connect
from norvash.work.reading.loading import load
from pages import opened
from told_jobs import TOLD

JOBS = Path(__file__).parent.parent / "jobs"


@pytest.mark.long
@pytest.mark.parametrize("name", TOLD)
def test_after_each_entry_its_stage_and_its_motor_open(db: Path, name: str) -> None:
    visit = read_visit((JOBS / f"{name}.json").read_bytes())
    wrong = []
    with closing(connect(db)) as conn, opened(db) as client:
        player = _Player(conn, visit, "Ines Torvald", datetime.now())
        player.begin()
        for n, entry in enumerate(visit.entries):
            try:
                player._one(n, entry)
            except NorvashError:
                continue
            stage = stage_of_entry(entry)
            context = load(conn, player.motor_id)
            has = context.sheet is not None and stage in {s.id for s in stages_of(context.sheet)}
            pages = [f"/motors/{player.motor_id}", *([f"/sheets/{player.sheet_id}/{stage}"] if has else [])]
            wrong += [(n, p) for p in pages if client.get(p).status_code != 200]
        assert client.get(f"/sheets/{player.sheet_id}/file").status_code == 200
    assert wrong == []
