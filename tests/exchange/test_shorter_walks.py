"""The shorter walk of a job beside the one that was written first: what is not asked any more is left out, what was
said before and undone is said again with one press, and the answers are the same.
"""

import json
from contextlib import closing
from datetime import date
from pathlib import Path
from typing import Any

import pytest

from judged import judgements
from norvash.exchange.visit_play import play_file
from norvash.store.file.database import connect
from norvash.store.record.measured import list_measured

JOBS = Path(__file__).parent.parent / "jobs"
SHORTER = sorted(p.stem for p in (JOBS / "shorter").glob("*.json"))
_SAFETY = ("step.", "again.")


@pytest.mark.long
@pytest.mark.parametrize("name", SHORTER)
def test_a_shorter_walk_gives_the_same_answers(tmp_path: Path, name: str) -> None:
    before, shorter = JOBS / f"{name}.json", JOBS / "shorter" / f"{name}.json"
    entries = [json.loads(f.read_text())["entries"] for f in (before, shorter)]
    assert len(entries[1]) < len(entries[0]) - 1
    assert answers(shorter, tmp_path / "shorter.db") == answers(before, tmp_path / "before.db")


@pytest.mark.parametrize("name", ["double-insulated", "dead-spring"])
def test_what_was_read_of_a_run_is_kept_as_what_it_is(tmp_path: Path, name: str) -> None:
    played = play_file(JOBS / f"{name}.json", tmp_path / "job.db", "Ines Torvald", go_on=True)
    with closing(connect(tmp_path / "job.db")) as conn:
        kept = [(m.id, m.unit) for s in dict.fromkeys(played.sheets) for m in list_measured(conn, s)]
    assert {("run amps", "A"), ("run rpm", "r/min")} <= set(kept)
    assert {unit for what, unit in kept if what == "run amps"} <= {"A", ""}
    assert {unit for what, unit in kept if what == "run rpm"} <= {"r/min", ""}


def answers(file: Path, db: Path) -> tuple[Any, ...]:
    """Return as what a job is signed, all that its sheets judge, and what was refused but for steps of gates."""
    played = play_file(file, db, "Ines Torvald", go_on=True)
    with closing(connect(db)) as conn:
        judged = [x for s in dict.fromkeys(played.sheets) for x in judgements(conn, s, date(2026, 9, 4))]
    last = {k: v for k, v in played.told[-1].items() if k != "gates"}
    refused = [(r.what, r.problem) for r in played.refused if not r.what.startswith(_SAFETY)]
    return played.told[-1]["signed_as"], last, judged, refused
