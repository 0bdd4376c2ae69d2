"""The work list: minutes of a plan are those of its task everywhere, one repair stands once, of several ways one is
chosen.
"""

import re

import pytest
from starlette.testclient import TestClient

from at_work import Work, at_work
from conftest import Shop
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.finding import Finding
from norvash.core.stages.catalogue import FIELD_BY_ID, FINDINGS, TASKS
from norvash.core.text.words import minutes_words
from norvash.core.visit.done import touched
from norvash.core.visit.work_list import Proposed, minutes_left
from norvash.errors import InputError
from norvash.work.pages.sums import answer
from pages import client  # noqa: F401

SUM = {
    "commutator_d_mm": 97.8,
    "diameter_min_mm": 93.9,
    "groove_mm": 0.3,
    "rated_rpm": 1750,
    "track_mm": 40,
    "slot_width_mm": 0.95,
}
COPPER = "commutator_d_mm=100 commutator_d_min_mm=93.9 track_mm=40 slot_width_mm=0.95 rated_rpm=1750"

READ = "state=stripped shoulder-d=97.8 track-d=97.2 groove=0.3 seen.commutator.rough=yes seen.commutator.mica=yes"


def listed(work: Work) -> dict[str, Proposed]:
    return {w.task.id: w for w in work.bench.page.work}


@pytest.mark.parametrize(("bars", "slot"), [("49", "1.2"), ("49", "0"), ("29", "1.2"), ("", "1.2")])
def test_a_task_takes_the_minutes_of_its_plan_everywhere(
    shop: Shop,
    client: TestClient,  # noqa: F811
    bars: str,
    slot: str,
) -> None:
    """A cut of 21 min stood as 60, and 49 slots of 61 min as 30."""
    work = at_work(shop, "industrial", f"{COPPER} undercut_mm={slot}" + (f" bars={bars}" if bars else ""))
    work.put(f"{READ} lathe-speeds=130_180_250_350")
    told = (
        SUM | {"flush": slot == "0", "lathe_speeds_rpm": [130, 180, 250, 350]} | ({"bars": int(bars)} if bars else {})
    )
    by_sum = answer("skim-plan", told, shipped())
    expected = {"skim": by_sum["total_min"], "undercut": by_sum["slot_min"]}
    on = listed(work)
    for task_id, minutes in expected.items():
        usual = TASKS[task_id].minutes
        assert on[task_id].minutes == pytest.approx(usual if minutes is None else minutes), task_id
        assert on[task_id].planned is (minutes is not None)
    for stage in ("decide", "rework"):
        page = " ".join(client.get(f"/sheets/{work.bench.id}/{stage}").text.split())
        for task_id, minutes in expected.items():
            says = "usually" if minutes is None else "by its plan"
            assert re.search(rf"{TASKS[task_id].what}</b> <small>{says} {on[task_id].minutes:.0f} min", page), task_id
        assert stage == "rework" or f"about {minutes_words(minutes_left(on.values()))} of work" in page


WAYS = [f for f in FINDINGS.values() if "one-of" in f.kinds and f.look in FIELD_BY_ID]


@pytest.mark.parametrize("finding", WAYS, ids=lambda f: f.id)
def test_of_several_ways_the_chosen_one_is_on_the_list(shop: Shop, finding: Finding) -> None:
    work = at_work(shop, "industrial", "").put(f"state=stripped {finding.look}=yes")
    first, other = finding.tasks
    on = listed(work)
    assert on[first.id].instead == (other.what,)
    assert on[other.id].instead == (first.what,)
    assert minutes_left((on[first.id], on[other.id])) == 0, "it is still to be chosen"
    with pytest.raises(InputError, match="not a way to mend it"):
        work.bench.put(f"decide.{finding.id}", "now", way="free-holder")
    work.bench.put(f"decide.{finding.id}", "now", way=other.id)
    on = listed(work)
    assert first.id not in on
    assert on[other.id].instead == ()
    work.bench.put(f"task.{first.id}", "yes")
    assert other.id not in listed(work), "what was done is what it was mended by"
    assert work.bench.life(finding.id).state == "done not proven"
    work.put("outcome=out").bench.sign("for the test")
    said = next(f for f in work.told["findings"] if f["finding"] == finding.id)
    assert said["decided"] == f"do it now: {other.what[0].lower()}{other.what[1:]}"


def test_what_another_finding_asks_for_is_no_choice(shop: Shop) -> None:
    on = listed(at_work(shop, "industrial", "").put("state=stripped seen.commutator.riser=yes growler=fail"))
    assert on["armature"].instead == ()
    assert len(on["armature"].because) == 2
    assert "re-solder" not in on


def test_one_way_is_not_chosen(shop: Shop) -> None:
    work = at_work(shop, "industrial", "").put("seen.drive.shaft=yes")
    with pytest.raises(InputError, match="Leave it out"):
        work.bench.put("decide.drive.shaft", "now", way="band")


@pytest.mark.parametrize(
    ("rows", "small", "large"),
    [
        ("seen.windings.binding=yes growler=fail", "band", "armature"),
        ("gap@1=4", "gap", ""),
        ("gap@1=4 state=stripped shoulder-d=97.8 track-d=97.2 cut-done=97", "gap", "set-holders"),
    ],
)
def test_one_repair_stands_once(shop: Shop, rows: str, small: str, large: str) -> None:
    """The holders were set twice, and its minutes counted twice."""
    on = listed(at_work(shop, "industrial", f"{COPPER} undercut_mm=1.2").put(rows))
    assert on[small].within == (TASKS[large].what if large else "")
    assert on[small].minutes == (0 if large else TASKS[small].minutes)


def test_what_a_task_is_done_within_is_a_task() -> None:
    assert {larger for t in TASKS.values() for larger in t.within} <= TASKS.keys()
    assert all(t.id not in TASKS[larger].within for t in TASKS.values() for larger in t.within)


# By repair what was read before it and says nothing of it any more.
READ_ANEW = {
    "re-solder": ("bar-test", "bar-map", "bar-shaft", "growler", "insulation-mohm", "insulation-10"),
    "join-wire": ("bar-test", "bar-shaft", "growler", "insulation-mohm", "coils", "field-ohm", "field-a"),
    "secure-turns": ("bar-shaft", "insulation-mohm", "insulation-10"),
}


@pytest.mark.parametrize("task_id", READ_ANEW)
def test_what_was_read_before_a_repair_does_not_prove_it(task_id: str) -> None:
    """Insulation measured before the turns were varnished opened the gate before power."""
    for field_id in READ_ANEW[task_id]:
        assert touched(FIELD_BY_ID[field_id], [TASKS[task_id]], {}), field_id


def test_power_waits_for_the_insulation_of_a_wire_that_was_joined(shop: Shop) -> None:
    work = at_work(shop, "tool", "construction=universal protection=double_insulated")
    work.put("state=stripped seen.windings.loose=yes insulation-mohm=200 insulation-c=20")
    assert "insulation" not in work.missing("power")
    work.bench.put("decide.windings.loose", "now", way="secure-turns")
    work.put("task.secure-turns=yes")
    assert "insulation was tested before it was closed for the last time" in work.missing("power")
    work.put("insulation-mohm=180")
    assert "insulation" not in work.missing("power")
