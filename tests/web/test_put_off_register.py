"""The register of what was put off: past its day first, by person and place, repairs made for a while among them."""

from datetime import datetime, timedelta

from starlette.testclient import TestClient

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop


def put_off(shop: Shop, tag: str, place: str, who: str, days: int) -> None:
    motor = shop.motor(tag=tag, place=place, motor_class="tool")
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.see(1, "terminal.poor")
    day = (shop.now + timedelta(days=days)).date().isoformat()
    work.bench.put("decide.terminal.poor", "deferred", 1, who=who, day=day)
    work.put("outcome=out").bench.sign("it waits")


def test_what_is_past_its_day_comes_first_and_the_rest_by_day(shop: Shop, client: TestClient) -> None:
    shop.now = datetime.now() - timedelta(days=60)
    put_off(shop, "T-71", "hall", "Ines", 3)
    put_off(shop, "T-72", "yard", "Bram", 200)
    work = at_work(shop, "tool", "construction=universal rated_v=230")
    day = (shop.now + timedelta(days=66)).date().isoformat()
    work.bench.put("temporary", "tied up with wire", 1, who="Ines", day=day)
    work.put("outcome=out").bench.sign("it waits")
    text = client.get("/put-off").text
    order = ("1 past its day", "Past its day", "T-71", "days late", "In the next days", "for a while:", "Later", "T-72")
    places = [text.index(words) for words in order]
    assert places == sorted(places)
    assert "tied up with wire" in text
    days = client.get("/outlook/norvash.ics").text.replace("\r\n ", "")
    assert "Make it good\\, Ines: X-01 Trap winch" in days
    assert "Put off to this day\\, Bram: T-72 Trap winch" in days
    assert "T-72" not in client.get("/outlook/norvash.ics?place=hall").text
    one = client.get("/put-off?person=Bram&place=yard").text
    assert ("T-72" in one, "T-71" in one, "1 put off, none past its day" in one) == (True, False, True)
    assert "Nothing is put off, of those chosen." in client.get("/put-off?person=Nobody").text


def test_a_motor_that_is_retired_or_has_it_mended_is_not_in_it(shop: Shop, client: TestClient) -> None:
    assert "Nothing is put off." in client.get("/put-off").text
    shop.now = datetime.now() - timedelta(days=20)
    put_off(shop, "T-73", "hall", "Ines", 40)
    assert "T-73" in client.get("/put-off").text
    motor = str(shop.conn.execute("select id from motor where tag = 'T-73'").fetchone()["id"])
    again = Work(shop, Bench(shop, motor)).safe()
    again.put("task.terminal=yes").bench.put("gone.terminal.poor", "yes", 1)
    again.put("outcome=out").bench.sign("it waits")
    assert "Nothing is put off." in client.get("/put-off").text
