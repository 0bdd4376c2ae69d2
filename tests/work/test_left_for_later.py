"""What is waited for by the clock, wires against the plate, an old brush that went back in."""

import pytest

from at_work import Work, at_work
from conftest import Shop
from norvash.core.judging.timers import timers
from norvash.core.visit.wires import wires_against, wires_at

REUSED = (2, "brush.reused")
FIGURES = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2"


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool at work."""
    made = at_work(shop, "tool", FIGURES, "20.2 20.1")
    return made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def waits(work: Work) -> list[tuple[str, float]]:
    page = work.bench.page
    return [
        (t.words, (t.until - t.since).total_seconds() / 60)
        for t in timers(page.sheet, page.context.rules, work.shop.now)
    ]


def test_a_solvent_is_waited_for_until_it_is_found_gone_after_its_time(work: Work, shop: Shop) -> None:
    work.put("solvent=plate")
    assert waits(work) == [("solvent (plate) dries", 240)]
    work.put("solvent-dries=air solvent-gone=yes")
    assert waits(work) == [("solvent (plate) dries", 30)]
    assert "dries until" in work.missing("power")
    shop.later(minutes=40)
    work.put("solvent-gone= solvent-gone=yes")
    assert waits(work) == []


def test_a_starter_rests_after_its_newest_burst(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12 noload_a_most=65 noload_rpm_least=3000", "20.2 20.1")
    work.bench.ready()
    work.bench.put("run-s", "5", 1)
    work.bench.put("run-s", "6", 2)
    assert waits(work) == [("rest after burst 2", 2)]


def test_an_old_brush_that_went_back_in_stays_planned_until_a_new_set_is_measured(work: Work) -> None:
    work.bench.put("reused", "old", 2)
    assert work.bench.states[REUSED] == "open"
    work.bench.put("reused", "new", 2, answer="mistyped")
    assert work.bench.states.get(REUSED, "withdrawn") == "withdrawn"
    work.bench.put("reused", "old", 2)
    work.bench.fit("", "")
    assert work.bench.states[REUSED] == "done not proven"
    work.bench.measure("20.9", sight="left")
    assert work.bench.states[REUSED] == "done not proven"
    work.bench.measure("", "20.9", sight="left")
    assert work.bench.states[REUSED] == "proven"


def test_a_recorded_wire_is_held_against_the_polarity_of_its_box(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12", "20.2 20.1")
    for n, wire in enumerate(("red, post to box A", "black, box B to the case", "blue, switch 2 to box AB"), 1):
        work.bench.put("wire", wire, n)
    page = work.bench.page
    plans = page.context.positions
    assert wires_at(page.sheet, plans) == {1: "red, post to box A", 2: "black, box B to the case"}
    signs = {p.label: p.polarity for p in plans}
    wrong = {"A": "the post"} if signs["A"] == "-" else {"B": "the case"} if signs["B"] == "+" else {}
    assert wires_against(plans, wires_at(page.sheet, plans)) == wrong


def test_a_solvent_dries_from_the_hour_that_is_stated_and_never_from_one_to_come(work: Work, shop: Shop) -> None:
    shop.now = shop.now.replace(hour=10, minute=20)
    work.put("solvent=plate,_at_10:00 solvent-dries=air")
    assert waits(work) == [("solvent (plate, at 10:00) dries", 30)]
    assert "dries until 10:30" in work.missing("power")
    work.put("solvent=plate,_at_23:50")
    assert "dries until 10:5" in work.missing("power")
