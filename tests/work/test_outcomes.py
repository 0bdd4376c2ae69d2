"""Outcomes claim what they are: retired, kept as it was because it was due, handed over."""

from datetime import timedelta
from typing import Any

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.stages.gates import GATES
from norvash.core.visit.gating import gate_now
from norvash.errors import Conflict, InputError
from norvash.store.record import standings, weeks_ahead
from norvash.work.motors.retiring import take_back_into_use
from norvash.work.reading.loading import load
from norvash.work.reading.standing import judge
from norvash.work.told.sheet import sheet_told


def test_a_retired_motor_asks_for_nothing_until_it_is_taken_back(shop: Shop) -> None:
    """Its record stays and is found; what was found on it rests, and is open again once it is used again."""
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8"))).safe()
    work.put("seen.drive.worn=yes decide.drive.worn=now outcome=retired")
    assert not [h.words for h in work.bench.page.holds if "measured" in h.words]
    work.bench.sign("it is sold for its copper")
    told = work.bench.page.row.signed or {}
    assert (told["signed_as"], told["look_on"], told["look_at"]) == ("retired", None, None)
    motor, today = work.bench.motor, shop.now.date()
    assert judge(load(shop.conn, motor), today).said.word == "Retired"
    far = today + timedelta(days=9999)
    assert standings.list_bench(shop.conn, today, far, 50, 0) == []
    assert (standings.count_bench(shop.conn, today, far), standings.count_motors(shop.conn)) == (0, 0)
    assert standings.list_next(shop.conn, today, today, 50) == []
    assert weeks_ahead.list_outlook(shop.conn, weeks_ahead.Sought(), 50, 0) == []
    assert [x.motor_id for x in standings.find_motors(shop.conn, "", "", 50, 0)] == [motor]
    with pytest.raises(Conflict, match="retired"):
        Bench(shop, motor)
    with pytest.raises(InputError, match="why"):
        take_back_into_use(shop.conn, shop.act(), motor, " ")
    take_back_into_use(shop.conn, shop.act(), motor, "its heir had failed")
    with pytest.raises(Conflict, match="in use already"):
        take_back_into_use(shop.conn, shop.act(), motor, "once more")
    found = judge(load(shop.conn, motor), today).found
    assert [(x.finding.id, x.state) for x in found.lives] == [("drive.worn", "open")]
    assert standings.count_bench(shop.conn, today, today) == 1
    assert Bench(shop, motor).states == {(0, "drive.worn"): "open"}


def _clean(shop: Shop, rows: str) -> Work:
    """Return a tool that was measured, run and found right, its complaint said as it comes."""
    work = at_work(shop, "tool", "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2")
    work.put(rows)
    work.bench.ready()
    return work.put("bump=right run-v=230 run-a=2 run-rpm=11900 sparks=1 ran=yes").serve()


def test_a_motor_that_was_only_due_is_kept_as_it_is_with_its_reason(shop: Shop) -> None:
    """There is no complaint to answer, and nothing is claimed that was not done."""
    work = _clean(shop, "due=yes").put("outcome=kept")
    assert [h.words for h in work.bench.page.holds] == ["Not said: why it is kept as it is"]
    work.bench.put("kept-why", "good original carbon")
    assert work.bench.page.holds == ()
    work.bench.sign()
    assert work.told["signed_as"] == "kept"
    assert work.told["outcome"] == "kept as it is, back to service: good original carbon"
    assert work.told["complaint"]["words"] == "none: it was due"
    assert work.told["kept"] == ["A 20.6 mm, 90% of its usable carbon", "B 20.4 mm, 89% of its usable carbon"]


def test_due_takes_no_word_of_a_complaint_back(shop: Shop) -> None:
    work = _clean(shop, "complaint=smells due=yes").put("outcome=service")
    assert "Not said: whether the complaint is gone" in [h.words for h in work.bench.page.holds]
    work.bench.sign("for the test")
    assert work.told["complaint"]["words"] == "smells"


def test_what_is_to_be_retired_is_out_of_service_still(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=230").put("seen.commutator.raised=yes outcome=retired")
    said = work.bench.page.said
    assert (said.word, said.figures) == ("Out of service", ())
    assert said.act == "Retired with the signature of this sheet."
    assert said.why.startswith("Out of service: it must not run")


def test_kept_as_it_is_is_not_claimed_of_what_was_worked_on(shop: Shop) -> None:
    work = _clean(shop, "").put("outcome=kept")
    work.bench.put("kept-why", "good original carbon")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes")
    assert any("kept as it is, but work was done: terminal" in h.words for h in work.bench.page.holds)


def test_service_is_not_said_of_what_a_stop_takes_out_of_it(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=230").put("seen.commutator.raised=yes")
    with pytest.raises(InputError, match="does not go back like this"):
        work.put("outcome=service")
    work.put("decide.commutator.raised=now outcome=service outcome=away")
    work.bench.sign("the rest is left for the test")
    assert work.told["signed_as"] == "away"


def test_the_small_truths_of_the_record(shop: Shop) -> None:
    work = at_work(shop, "tool", "construction=universal rated_v=230")
    work.bench.put("temporary", "insulator from fibre sheet", 1, who="Runa Velk", day=f"{shop.now:%Y-%m-%d}")
    assert work.bench.life("repair.temporary", 1).place == "Temporary repair no. 1"
    for row, why in (
        ("freed-with=oil", "oil binds carbon dust"),
        ("freed-with=silicone", "silicone vapour"),
        ("freed-with=grease", "the brush sticks worse"),
    ):
        with pytest.raises(InputError, match=why):
            work.put(row)
    work.bench.put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="20")
    work.put("permit.close@1=yes")
    gate = gate_now(GATES["safe"], work.bench.page.visit)
    assert "power was on until" in " ".join(gate.fallen)
    told: dict[str, Any] = sheet_told(shop.conn, work.bench.id, shop.now.date())
    assert all(x["id"] for kind in ("entries", "readings") for x in told[kind])
