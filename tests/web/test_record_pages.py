"""A motor's record page by page: nothing earlier is out of reach, no visit is cut in two, lines lead to their sheet."""

from datetime import date

from fastapi.testclient import TestClient

from conftest import Shop, readings_on
from norvash.store.record import acts
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.pages.motor import motor_page
from norvash.work.pages.record import lines_of, sheets_of
from norvash.work.reading.history import HistoryLine


def many_visits(shop: Shop, visits: int) -> str:
    """Return a motor with so many visits, of four writes each, and of one more after the last but five."""
    motor = shop.motor()
    for n in range(visits):
        shop.later(days=7).measure(motor, str(100 + 10 * n), f"{18 - n / 20:.2f}", f"{18.1 - n / 20:.2f}")
        if n == visits - 5:
            shop.later(days=1).log(motor, str(101 + 10 * n))
    return motor


def test_every_line_and_every_sheet_is_on_one_page_of_the_record(shop: Shop) -> None:
    motor = many_visits(shop, 45)
    assert len(acts.list_record(shop.conn, motor, 10_000)) == 45 * 4 + 2
    numbers, below = [], None
    while True:
        some = sheets_of(shop.conn, motor, below)
        numbers += [s.number for s in some.sheets]
        if (below := some.below) is None:
            break
    assert numbers == list(range(45, 0, -1))
    lines: list[HistoryLine] = []
    at, pages = None, 0
    while True:
        found = lines_of(shop.conn, motor, "hours", at)
        lines += found.lines
        pages += 1
        if (at := found.below) is None:
            break
    assert pages == 3
    visits = [x for x in lines if x.sheet]
    assert len({x.sheet for x in visits}) == 45
    assert all(x.words.startswith("measured set 1 at") for x in visits)
    assert sum(x.words.startswith("added the motor") for x in lines) == 1


def test_of_a_visit_of_hundreds_of_entries_it_is_said_how_many_more(shop: Shop) -> None:
    motor = shop.motor()
    sheet = shop.later(days=1).look(motor, "101")
    for n in range(150):
        replaces = measured.id if (measured := readings_on(shop.conn, sheet).get(1)) else ""
        record(shop.conn, shop.act(), sheet, position=1, text=f"{19 - n / 100:.2f}", replaces=replaces)
    made = lines_of(shop.conn, motor, "hours")
    (visit,) = made.lines
    assert (visit.sheet, visit.words[:24]) == (sheet, "measured set 1 at 101 h:")
    assert visit.words.endswith("; and 31 more")
    (added,) = lines_of(shop.conn, motor, "hours", made.below).lines
    assert added.words.startswith("added the motor")


def test_the_newest_whole_sheet_is_found_behind_many_looks(shop: Shop) -> None:
    motor = shop.motor()
    whole = open_sheet(shop.conn, shop.later(days=1).act(), motor, kind="full", counter="101", safe=True)
    shop.sign(whole, why="nothing to be done")
    for n in range(9):
        shop.later(days=7).measure(motor, str(110 + n), "18", "18.1")
    shown = motor_page(shop.conn, motor, date(2027, 1, 1))
    assert (shown.whole is not None and shown.whole.id, len(shown.sheets), shown.sheets_below) == (whole, 8, 3)


def test_the_pages_of_a_record_lead_to_each_other(shop: Shop, client: TestClient) -> None:
    motor = many_visits(shop, 45)
    page = client.get(f"/motors/{motor}").text
    shown = motor_page(shop.conn, motor, date(2027, 1, 1))
    assert f'href="/motors/{motor}/record?sheets={shown.sheets_below}"' in page
    assert f'href="/motors/{motor}/record?lines={shown.history_below}"' in page
    earlier = client.get(f"/motors/{motor}/record", params={"sheets": 38, "lines": shown.history_below}).text
    assert [w for w in ("37</a>", "Newest sheets", "Newest lines") if w not in earlier] == []
    assert client.get(f"/motors/{motor}/record", params={"sheets": "x"}).status_code == 422
    assert client.get("/motors/nothing/record").status_code == 404
    first = shown.history[0]
    assert f'<a href="/sheets/{first.sheet}">' in page
