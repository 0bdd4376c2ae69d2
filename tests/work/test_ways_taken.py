"""Which way is taken: it writes its work, a new unit retires the motor, and other prices ask for the reason again."""

from datetime import timedelta

import pytest
from starlette.testclient import TestClient

from at_work import Work, at_work
from conftest import Shop
from norvash.errors import InputError
from norvash.store.record import standings
from norvash.work.motors.ruling import set_school
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.reading.loading import load
from norvash.work.reading.standing import catch_up, judge
from pages import client

__all__ = ["client"]


@pytest.fixture
def priced(shop: Shop) -> Work:
    """Return a tool at work with three ways priced."""
    work = at_work(shop, "tool", "construction=universal rated_v=230")
    work.bench.put("way", "brushes and springs", 2, bill="brushes 4.20 x 2; springs 1.10 x 2")
    work.bench.put("way", "holders", 9, bill="holders 12.00 x 2; brushes 4.20 x 2", hours="1.5", rate="40")
    work.bench.put("way", "new unit", 6, bill="machine 200.00", freight="12.00", tax="19 %")
    return work


def test_the_way_that_is_taken_writes_its_work_with_who_took_it(priced: Work) -> None:
    assert not priced.bench.page.work
    priced.bench.put("way-taken", "2")
    work = priced.bench.page.work
    assert [w.task.id for w in work] == ["fit-set", "springs"]
    assert work[1].because == ("brushes and springs, decided by Ines Torvald",)
    priced.bench.put("way-taken", "9", why="original part")
    assert [w.task.id for w in priced.bench.page.work] == ["holder", "fit-set"]


def test_other_prices_than_it_was_taken_by_ask_for_the_reason_again(priced: Work) -> None:
    with pytest.raises(InputError, match="is proposed"):
        priced.bench.put("way-taken", "9")
    priced.bench.put("way-taken", "9", why="skill at hand")
    asked = "The prices are others"
    assert not [h for h in priced.bench.page.holds if asked in h.words]
    priced.bench.put("way", "new unit", 6, bill="machine 160.00")
    assert [h.stage.id for h in priced.bench.page.holds if asked in h.words] == ["decide"]
    priced.bench.put("way-taken", "9", why="skill at hand, still")
    assert not [h for h in priced.bench.page.holds if asked in h.words]


def test_a_new_unit_retires_the_motor_on_the_day_that_is_named(priced: Work, shop: Shop) -> None:
    """Till then it runs on with its grade, and its sheets are opened; on that day nothing on it falls due."""
    today = shop.now.date()
    day = today + timedelta(days=9)
    priced.put("outcome=service")
    priced.bench.put("way-taken", "6", why="needed tomorrow")
    assert [h.words for h in priced.bench.page.holds if "name the day" in h.words]
    with pytest.raises(InputError, match="has passed"):
        priced.bench.put("way-taken", "6", why="needed tomorrow", day="2020-01-02")
    priced.bench.put("way-taken", "6", why="needed tomorrow", day=day.isoformat())
    assert not [h.words for h in priced.bench.page.holds if "name the day" in h.words]
    priced.bench.sign("the run is left to the house")
    motor = priced.bench.motor
    assert judge(load(shop.conn, motor), today).said.word != "Retired"
    assert standings.count_motors(shop.conn) == 1
    assert catch_up(shop.conn, day - timedelta(days=1)) == 0
    assert open_sheet(shop.conn, shop.later(days=1).act(), motor, kind="quick", counter="")
    assert judge(load(shop.conn, motor), day).said.word == "Retired"
    assert (catch_up(shop.conn, day), standings.count_motors(shop.conn)) == (1, 0)


@pytest.mark.parametrize("outcome", ["away", "out", "retired"])
def test_a_new_unit_retires_the_motor_at_the_signature(priced: Work, shop: Shop, outcome: str) -> None:
    priced.put(f"outcome={outcome}")
    priced.bench.put("way-taken", "6", why="no spare to be had")
    assert not priced.bench.page.work
    priced.bench.sign("it is replaced")
    assert judge(load(shop.conn, priced.bench.motor), shop.now.date()).said.word == "Retired"


def test_how_money_is_written_is_said_for_the_whole_site(shop: Shop) -> None:
    shop.motor(tag="T-1")
    said = {"key": "comma", "why": "as our bills are"}
    with pytest.raises(InputError, match="whole site"):
        set_school(shop.conn, shop.act(), "school.money-mark", scope="motor", scope_id="T-1", **said)
    set_school(shop.conn, shop.act(), "school.money-mark", scope="site", scope_id="", **said)


def test_a_look_that_a_sheet_asks_for_is_told_by_one_voice(shop: Shop) -> None:
    """On the open sheet, on the signed one and on the motor: the sooner of the two counts, and is named."""
    work = at_work(shop, "tool", "construction=universal rated_v=230")
    before = work.bench.page
    least = before.look.at
    assert least is not None
    sooner = f"{least + before.context.state.offset_units - 3:.0f}"
    work.bench.put("next-look-at", sooner)
    page = work.bench.page
    told = [f.value for f in page.said.figures if "that its sheet asks for" in f.words]
    assert (told, page.look.by, page.look.counter) == ([f"{sooner} h"], "asked for on this sheet", f"{sooner} h")
    work.bench.ready()
    work.bench.run(run_v="230", run_a="2", run_rpm="12000")
    work.put("outcome=service").serve().bench.sign("nobody states its usual figures")
    motor = judge(load(shop.conn, work.bench.motor), shop.now.date())
    assert [f.value for f in motor.said.figures if "that its sheet asks for" in f.words] == [f"{sooner} h"]


def test_ways_of_which_none_was_taken_are_no_repair(priced: Work, client: TestClient) -> None:
    priced.put("outcome=service").bench.sign("the run is left to the house")
    shown = client.get(f"/motors/{priced.bench.motor}")
    assert (shown.status_code, "Repair or buy" in shown.text) == (200, False)
