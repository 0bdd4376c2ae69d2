"""How the parts of a motor stand on its axis: no more is claimed than somebody looked at, and what became of it."""

import pytest

from at_work import Work, at_work
from conftest import Shop
from norvash.core.visit.on_axis import PartNow, parts_now
from norvash.core.visit.progress import as_signed
from norvash.work.told.axis import axis_told

FIGURES = "construction=series rated_v=230 commutator_d_mm=120 bearing_drive=6310-2Z"


@pytest.fixture
def work(shop: Shop) -> Work:
    return at_work(shop, "industrial", FIGURES)


def part(work: Work, part_id: str) -> PartNow:
    return next(p for p in parts_now(work.bench.page.visit) if p.part.id == part_id)


def state(work: Work, part_id: str) -> str:
    return part(work, part_id).state


def test_nothing_is_claimed_of_what_nobody_looked_at(work: Work) -> None:
    seen = {p.part.id: p.state for p in parts_now(work.bench.page.visit)}
    assert seen.pop("gear") == "some"  # measured, springs and holders not looked at
    assert set(seen.values()) == {"unseen"}
    work.put("looked.springs=yes looked.holders=yes sound.commutator=yes")
    assert (state(work, "gear"), state(work, "commutator"), state(work, "fan")) == ("sound", "sound", "unseen")


def test_a_tick_speaks_of_its_own_part_and_looks_add_up(work: Work) -> None:
    work.put("looked.fan=yes looked.bearing@2=yes b-feel@1=smooth b-noise@1=none")
    assert (state(work, "fan"), state(work, "bearing-2"), state(work, "shaft")) == ("sound", "sound", "unseen")
    drive_end = part(work, "bearing-1")
    assert (drive_end.state, drive_end.answered) == ("some", 2)
    assert drive_end.words == f"looked at in part, 2 of {drive_end.of} looks"
    work.put("b-play@1=none b-seal@1=sound b-grease@1=clean b-seat@1=sound bush-state@1=oiled")
    assert state(work, "bearing-1") == "sound"


def test_a_stage_is_only_begun_while_a_part_of_it_is_left(work: Work) -> None:
    def rail() -> tuple[str, str]:
        return next((x.state, x.why) for x in work.bench.page.rail if x.stage.id == "drive")

    assert rail() == ("waiting", "")
    work.put("looked.fan=yes looked.shaft=yes looked.seal=yes looked.drive=yes looked.frame=yes looked.bearing@1=yes")
    assert rail() == ("begun", "1 of 7 parts to look at")
    work.put("b-feel@2=smooth")
    assert rail() == ("begun", "1 of 7 parts to look at")
    work.put("looked.bearing@2=yes")
    assert rail() == ("done", "")
    begun = as_signed([{"id": "drive", "state": "begun", "why": "1 of 7 parts to look at"}])
    assert [(x.state, x.why) for x in begun] == [("begun", "1 of 7 parts to look at")]


def test_what_is_found_at_one_bearing_stands_at_that_one_until_it_is_proven(work: Work) -> None:
    work.put("looked.bearing@2=yes b-feel@1=rough")
    found = part(work, "bearing-1")
    assert (found.state, found.grade, state(work, "bearing-2")) == ("found", "stop", "sound")  # it may carry
    assert "feels rough" in found.words
    work.put("decide.bearing.rough=now task.bearing=yes")
    assert state(work, "bearing-1") == "done"
    work.put("b-feel@1=smooth")
    assert state(work, "bearing-1") == "proven"
    told = {x["part"]: x for x in axis_told(work.bench.page.visit)}
    assert told["bearing-1"]["found"]
    assert told["bearing-1"]["left"] == []
    assert told["bearing-1"]["became"] == ["bearing renewed; proven"]
    assert told["shaft"]["state_words"] == "not looked at"


def test_what_is_seen_somewhere_is_denied_nowhere_else(work: Work) -> None:
    work.put("parted-capacitors=yes seen.windings.binding=yes insulation-mohm=40 insulation-c=20 coils=2.1;2.1;2.1;2.1")
    assert (state(work, "binding"), state(work, "core"), state(work, "field")) == ("found", "some", "some")
    work.put("looked.core=yes")
    assert state(work, "core") == "sound"
    # A part that is ticked as sound still shows what was found on it.
    work.put("looked.binding=yes")
    assert state(work, "binding") == "found"


def test_what_is_only_watched_is_no_nothing_found(work: Work) -> None:
    """A finding too slight to have a life is a finding all the same, whoever ticks its part as sound."""
    work.put("looked.core=yes seen.windings.dust=yes")
    core = part(work, "core")
    assert (core.state, core.grade, core.words) == ("found", "watch", "covered with carbon dust")
    assert next(x for x in axis_told(work.bench.page.visit) if x["part"] == "core")["left"] == [core.words]


def test_the_old_tick_of_a_whole_stage_speaks_of_all_its_parts(work: Work) -> None:
    work.put("sound.drive=yes seen.drive.fan=yes")
    states = {p.part.id: p.state for p in parts_now(work.bench.page.visit) if p.part.stage == "drive"}
    assert states.pop("fan") == "found"
    assert set(states.values()) == {"sound"}
