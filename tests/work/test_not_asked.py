"""What is not asked of a motor any more: refused by hand, kept and named where a file or a queue brings it."""

from contextlib import closing
from dataclasses import replace
from datetime import date
from pathlib import Path

import pytest

from at_work import at_work
from conftest import Shop
from norvash.core.rules.catalogue import shipped
from norvash.core.stages.before.stage import STAGE as BEFORE
from norvash.core.stages.gates import SAFE
from norvash.core.stages.prove.stage import STAGE as PROVE
from norvash.errors import InputError
from norvash.exchange.visit_play import play_file
from norvash.store.file.database import connect
from norvash.web.stages.shown.written import written
from norvash.work.act.acting import InSession
from norvash.work.on_sheet.sheets import enter
from norvash.work.reading.sheet_now import sheet_now
from small_sheets import facts

CRUMBLE = Path(__file__).parent.parent / "jobs/magnets-crumble.json"
SMALL = facts("industrial", construction="permanent-magnet", rated_v=36.0)


def test_a_file_with_steps_that_are_not_asked_any_more_is_played_whole(tmp_path: Path) -> None:
    played = play_file(CRUMBLE, tmp_path / "job.db", "Ines Torvald", go_on=True)
    assert played.refused == []
    with closing(connect(tmp_path / "job.db")) as conn:
        told = sheet_now(conn, played.sheets[-1], date(2026, 9, 4)).told or {}
    assert told["not_asked"] == ["Capacitors discharged, and measured under 50 V"]


def test_by_hand_it_is_refused_and_from_a_queue_it_is_kept(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=36 construction=permanent-magnet")
    with pytest.raises(InputError, match="not asked of this motor"):
        work.put("step.safe.capacitors=yes")
    with pytest.raises(InputError, match="not offered"):
        work.put("parted-capacitors=yes")
    for field_id in ("step.safe.capacitors", "parted-capacitors"):
        act = replace(shop.later(minutes=1).act(), origin=InSession("", waited=True))
        enter(shop.conn, act, work.bench.id, field_id=field_id, place=0, text="yes")
    lines = [x.what for _, some in written(work.bench.page) for x in some]
    assert sum("(not asked any more)" in x for x in lines) == 2


def test_fields_that_a_motor_has_not_are_not_asked_of_it() -> None:
    large = facts("industrial", construction="permanent-magnet", rated_v=170.0)
    said = facts("industrial", construction="permanent-magnet", rated_v=36.0, capacitors="yes")
    assert [f.capacitors for f in (SMALL, large, said)] == [False, True, True]
    starter, saw = facts("starter", 4, rated_v=12.0), facts("tool", rated_v=230.0)
    asked = [{f.name for f in PROVE.asks_of(f)} for f in (starter, saw)]
    assert ["protection" in a for a in asked] == [False, True]
    asked_safe = [{s.id for s in SAFE.steps(facts("starter", 4, **x), shipped())} for x in ({}, {"it_turns": "pump"})]
    assert ["neutral" in a for a in asked_safe] == [True, False]
    of_pump = {f.id for f in PROVE.offered(facts("starter", 4, it_turns="pump"), shipped())}
    assert "engine-starts" not in of_pump
    assert "taps-v" not in {f.id for f in BEFORE.offered(facts("starter", 4), shipped())}
    assert "capacitors" not in {s.id for s in SAFE.steps(SMALL, shipped())}
