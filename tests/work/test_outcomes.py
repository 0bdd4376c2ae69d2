"""Outcomes claim what they are: retired, kept as it was because it was due, handed over."""

from datetime import timedelta

import pytest

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from norvash.errors import Conflict, InputError
from norvash.store import standings
from norvash.work.loading import load
from norvash.work.retiring import take_back_into_use
from norvash.work.standing import judge


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
    assert standings.list_outlook(shop.conn, standings.Sought(), 50, 0) == []
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
