"""A stop that is mended for a while with what is at hand: where its own figure proves it, and where it is refused."""

from datetime import timedelta

import pytest

from at_work import Work, at_work
from conftest import Shop
from norvash.errors import InputError, JudgedAgainst


def with_cracked_insulator(shop: Shop) -> Work:
    work = at_work(shop, "appliance", "rated_v=230 rated_a=8")
    work.bench.see(1, "insulator.cracked")
    return work


def repair(work: Work, mends: str, place: int = 1) -> None:
    day = f"{work.bench.shop.now + timedelta(days=14):%Y-%m-%d}"
    work.bench.put("temporary", "washer cut from fibre sheet", place, who="Runa Velk", day=day, mends=mends)


def test_a_stop_is_mended_for_a_while_where_its_own_figure_proves_it(shop: Shop) -> None:
    work = with_cracked_insulator(shop)
    work.put("decide.insulator.cracked@1=now")
    assert "insulator cracked" in work.missing("power")
    repair(work, "insulator.cracked@1")
    life = work.bench.life("insulator.cracked", 1)
    assert (life.state, life.worked) == ("done not proven", ("for a while: washer cut from fibre sheet",))
    assert "task.insulator" not in work.bench.page.sheet.said, "nobody renewed it"
    work.bench.ready()
    assert work.bench.states[1, "insulator.cracked"] == "proven"
    assert "insulator" not in work.missing("power")
    left = work.bench.life("repair.temporary", 1)
    assert (left.state, left.finding.grade, left.put_off and left.put_off.who) == ("put off", "plan", "Runa Velk")
    work.bench.run(run_v="230", run_a="4")
    work.put("outcome=deferred step.service.whole=yes step.service.own=yes").bench.sign()
    assert work.told["signed_as"] != "certificate"
    told = {x["finding"]: x["state"] for x in work.told["findings"]}
    assert told == {"insulator.cracked": "proven", "repair.temporary": "put off"}
    assert "for a while: washer cut from fibre sheet" in str(work.told["axis"])


@pytest.mark.parametrize(
    ("rows", "mends", "why"),
    [
        ("", "insulator.cracked@2", "not open here"),
        ("", "no-such-thing", "not open here"),
        ("seen.guard.off=yes", "guard.off", "no figure of its own proves"),
        ("seen.supply.cord=yes", "supply.cord", "does not stop it|no figure"),
        ("seen.windings.binding=yes", "windings.binding", "no figure of its own proves"),
        ("seen.drive.worn=yes", "drive.worn", "does not stop it"),
    ],
)
def test_what_no_figure_proves_and_what_is_no_stop_is_not_mended_for_a_while(
    shop: Shop, rows: str, mends: str, why: str
) -> None:
    work = with_cracked_insulator(shop).put(rows)
    with pytest.raises(JudgedAgainst, match=why):
        repair(work, mends)
    with pytest.raises(InputError, match="who sees to it"):
        work.bench.put("temporary", "washer", 1, day="2030-01-01", mends=mends)


def asked_of(work: Work) -> set[str]:
    return {w.task.id for w in work.bench.page.work if w.done is None}


def test_a_stone_or_another_armature_may_be_chosen_instead_of_a_cut(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=230 rated_rpm=1450 commutator_d_mm=98 bars=29")
    work.put("run-out-total=0.1")
    assert work.bench.life("runout.over").finding.grade == "plan"
    assert asked_of(work) == {"true-up", "skim"}
    decide = "decide.runout.over"
    with pytest.raises(InputError, match="not a way to mend it"):
        work.bench.put(decide, "now", way="undercut")
    work.bench.put(decide, "now", way="armature")
    assert asked_of(work) == {"armature"}
    work.put("surface-with=stone")
    assert work.bench.life("runout.over").state == "open", "a track that is cleaned in passing mends nothing"
    work.bench.put(decide, "now", way="clean-track")
    assert work.bench.life("runout.over").state == "done not proven"
    work.bench.put("run-out-total", "0.03", answer="left")
    assert work.bench.life("runout.over").state == "proven"
