"""Hours for many motors, readings from a file, the outlook and the policies: by keyboard, in the browser."""

import re
from datetime import datetime, timedelta
from pathlib import Path

import pytest
from playwright.sync_api import BrowserContext, Locator, Page, expect

from conftest import Shop
from live import Watch
from norvash.store.record import use
from seen import main, press

pytestmark = pytest.mark.browser


@pytest.fixture
def house(shop: Shop) -> list[str]:
    """Three motors, two of them with rounds."""
    shop.now = datetime.now() - timedelta(weeks=9)
    made = [shop.motor(tag=f"W-0{i}", name=f"Winch {i}", place="stage" if i < 3 else "yard") for i in (1, 2, 3)]
    for counter, length in (("180", "20.6"), ("260", "17")):
        shop.later(weeks=4)
        for motor in made[:2]:
            shop.log(motor, counter)
            shop.measure(motor, "", length, length)
    return made


def book_row(page: Page, n: int) -> Locator:
    """Return one row of the hours book, from 0."""
    return page.get_by_role("row").filter(has=page.get_by_role("textbox")).nth(n)


def test_a_page_of_the_hours_book_by_keyboard(ines: Page, watch: Watch, shop: Shop, house: list[str]) -> None:
    watch.answers = {409, 422}
    ines.goto("/hours")
    ines.get_by_label("Winch 1 shows now").focus()
    for text in ("275", "+12", "x"):
        ines.keyboard.type(text)
        press(ines, "Enter")
    expect(book_row(ines, 0)).to_contain_text("kept")
    expect(book_row(ines, 1)).to_contain_text("272")
    expect(ines.get_by_role("alert")).to_contain_text("“x” cannot be read")
    expect(ines.get_by_label("Winch 3 shows now")).to_have_value("x")
    ines.get_by_label("Winch 1 shows now").focus()
    ines.keyboard.type("20")
    press(ines, "Enter")
    expect(ines.get_by_label("Another counter in its place")).to_be_visible()
    ines.get_by_label("Another counter in its place").focus()
    press(ines, "Space")
    press(ines, "Enter")
    expect(ines.get_by_label("Another counter in its place")).to_have_count(0)
    expect(book_row(ines, 0)).to_contain_text("kept")
    assert [e.total_units for e in use.list_entries(shop.conn, house[0])][-2:] == [275, 295]
    assert len(use.list_entries(shop.conn, house[2])) == 1


def test_a_row_that_cannot_be_sent_says_so_and_keeps_what_was_typed(
    ines: Page, context: BrowserContext, watch: Watch, shop: Shop, house: list[str]
) -> None:
    watch.cut = True
    ines.goto("/hours")
    context.set_offline(True)
    field = ines.get_by_label("Winch 1 shows now")
    field.fill("275")
    field.press("Enter")
    expect(book_row(ines, 0).get_by_role("alert")).to_contain_text("It was not sent: the network is away")
    expect(field).to_have_value("275")
    context.set_offline(False)
    field.press("Enter")
    expect(book_row(ines, 0).get_by_role("status")).to_contain_text("kept")
    assert [e.total_units for e in use.list_entries(shop.conn, house[0])][-1] == 275


def test_readings_from_a_file(ines: Page, watch: Watch, shop: Shop, house: list[str], tmp_path: Path) -> None:
    watch.answers = {422}
    file = tmp_path / "readings.csv"
    day = f"{datetime.now() - timedelta(days=2):%d.%m.%Y}"
    file.write_text(f"Tag;Date;Counter\nW-01;{day};281,5\nW-02;{day};290\nW-09;{day};5\n", encoding="utf-16")
    ines.goto("/hours")
    press(ines, "i")
    ines.get_by_label("File").set_input_files(file)
    ines.get_by_role("button", name="Look at it").focus()
    press(ines, "Enter")
    expect(ines.get_by_role("heading", level=1)).to_contain_text("2 new readings for 2 motors, 1 line with an error")
    expect(ines.get_by_role("cell", name="There is no motor “W-09”.")).to_be_visible()
    ines.get_by_role("button", name="Keep 2 and leave out 1").focus()
    press(ines, "Enter")
    expect(ines.get_by_role("heading", level=1)).to_contain_text("2 readings kept for 2 motors")
    assert use.list_entries(shop.conn, house[0])[-1].counter_units == 281.5
    wrong = tmp_path / "wrong.csv"
    wrong.write_bytes(b"PK\x03\x04")
    ines.goto("/hours/import")
    ines.get_by_label("File").set_input_files(wrong)
    ines.get_by_role("button", name="Look at it").click()
    expect(ines.get_by_role("alert")).to_contain_text("a zip or spreadsheet file")


def test_the_outlook_its_windows_and_a_policy(ines: Page, watch: Watch, house: list[str]) -> None:
    ines.goto("/")
    press(ines, "g")
    press(ines, "o")
    river = ines.locator("svg.outlook-river >> visible=true")
    expect(river.locator("a")).to_have_count(3)
    press(ines, "d")
    for name, text in (
        ("Name", "Refit"),
        ("First day", f"{datetime.now() + timedelta(days=3):%Y-%m-%d}"),
        ("Last day", f"{datetime.now() + timedelta(days=9):%Y-%m-%d}"),
    ):
        ines.get_by_label(name, exact=True).fill(text)
    press(ines, "Enter")
    expect(ines.get_by_role("button", name="Take back Refit")).to_be_visible()
    ines.goto("/outlook?place=stage")
    expect(river.locator("a")).to_have_count(2)
    expect(river.locator(".dark")).to_have_count(1)
    ines.get_by_role("group").get_by_text("Table").click()
    expect(ines.get_by_role("cell", name=re.compile("in the last window before .*: Refit")).first).to_be_visible()
    ines.goto(f"/motors/{house[0]}")
    press(ines, "p")
    ines.get_by_label("Kind").select_option("table")
    ines.get_by_label("Name", exact=True).fill("maker's table")
    ines.get_by_label("The columns of the table are").select_option("length")
    ines.get_by_label("Table, pasted").fill("h;20;17;10\n100;300;40;20\n150;320;50;20\n")
    ines.get_by_role("button", name="Keep this policy").click()
    expect(ines.get_by_role("heading", name="maker's table")).to_be_visible()
    expect(
        ines.get_by_text("use 160 h down to row 150 h, length 17 mm of the worst brush to column 17 mm: 50 h")
    ).to_be_visible()
    ines.goto(f"/motors/{house[0]}")
    expect(main(ines)).to_contain_text("for the maker's table")


def test_the_fan_and_the_use_to_come_are_drawn(ines: Page, watch: Watch, house: list[str]) -> None:
    ines.goto(f"/motors/{house[0]}")
    expect(ines.locator("svg.life-line >> visible=true >> .fan")).to_have_count(1)
    expect(ines.locator("svg.life-line >> visible=true >> .straight")).to_have_count(1)
    expect(main(ines)).to_contain_text("8 times in 10 between")
    ines.goto(f"/motors/{house[0]}/hours")
    expect(ines.locator("svg.use-curve >> visible=true >> .fan")).to_have_count(1)
