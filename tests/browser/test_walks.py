"""Walks through the real interface, by keyboard."""

import re
from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Page, Route, expect

from conftest import Shop
from live import Watch
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from seen import beside, brush, line, main, press, press_on, row

pytestmark = pytest.mark.browser
READ = r"?.textContent.replace(/\s+/g, ' ').trim() ?? ''"


def type_into(page: Page, label: str, text: str, *, back: bool = False) -> None:
    """Tab on, or back, from where the cursor is until the field with this label has it, then type."""
    for _ in range(60):
        if page.evaluate(f"label => (document.activeElement.labels?.[0]{READ}).startsWith(label)", label):
            press(page, "Control+A")
            page.keyboard.type(text)
            return
        press(page, "Shift+Tab" if back else "Tab")
    pytest.fail(f"no way by Tab to “{label}”")


def tab_to(page: Page, words: str) -> None:
    for _ in range(60):
        if page.evaluate(f"words => (document.activeElement{READ}).startsWith(words)", words):
            return
        press(page, "Tab")
    pytest.fail(f"no way by Tab to “{words}”")


def heading(page: Page, words: str) -> None:
    expect(page.get_by_role("heading", name=words).first).to_be_visible()
    page.wait_for_load_state()


def become(page: Page, name: str = "Ines Torvald") -> None:
    page.goto("/who")
    tab_to(page, name)
    press(page, "Enter")
    heading(page, "")


def log(page: Page, value: str, day: datetime) -> None:
    press(page, "l")
    heading(page, "Log hours")
    type_into(page, "In hours", value)
    type_into(page, "Day", f"{day:%d/%m/%Y}")
    press(page, "Enter")
    expect(page.get_by_role("cell", name=f"{day:%Y-%m-%d}").first).to_be_visible()


def tick(page: Page, words: str) -> None:
    for _ in range(60):
        if page.evaluate(f"words => (document.activeElement.closest('label'){READ}).includes(words)", words):
            press(page, "Space")
            return
        press(page, "Tab")
    pytest.fail(f"no way by Tab to “{words}”")


def look(page: Page) -> None:
    """Open a look from a motor's page."""
    press(page, "m")
    expect(page.get_by_label("The counter shows, in")).to_be_focused()
    tick(page, "I made it safe")
    press(page, "Enter")
    expect(brush(page, "A")).to_be_focused()


def measure(page: Page, *values: str) -> None:
    look(page)
    for value, label in zip(values, "ABCD", strict=False):
        expect(brush(page, label)).to_be_focused()
        page.keyboard.type(value)
        press(page, "Enter")
        expect(row(page, label)).to_contain_text("usable")
    expect(page.get_by_role("link", name="Stage on")).to_be_focused()
    press(page, "Enter")
    heading(page, "Sign")
    tick(page, "Guards, covers and earth")
    press(page, "Enter")
    expect(main(page)).to_contain_text("Measured. Signed by")
    press_on(page.get_by_role("banner").get_by_role("link").nth(1))
    heading(page, "Sets fitted")


def test_a_new_user_gets_a_date_and_fits_a_new_set_by_keyboard_alone(page: Page, watch: Watch) -> None:
    now = datetime.now()
    page.goto("/")
    expect(page.get_by_role("button", name="Ines Torvald")).to_be_visible()
    type_into(page, "Somebody new", "Maud Celliers")
    press(page, "Enter")
    heading(page, "Measure one brush")
    tab_to(page, "With all that its plate")
    press(page, "Enter")
    heading(page, "Add a motor")
    press(page, "2")
    expect(page.get_by_role("textbox", name="Tag", exact=True)).to_be_focused()
    for label, text in (
        ("Tag", "T-90"),
        ("Name", "Jigsaw"),
        ("Place", "prop shop"),
        ("New length", "15 mm"),
        ("Shortest", '7/32"'),
        ("The counter", "40"),
    ):
        type_into(page, label, text)
    press(page, "Enter")
    heading(page, "Measure it at the next opportunity.")
    measure(page, "15.0", "14.95")
    press(page, "g", "m")
    heading(page, "Motors")
    press(page, "/")
    page.keyboard.type("jig")
    press(page, "Enter")
    heading(page, "Found for “jig”")
    tab_to(page, "T-90")
    press(page, "Enter")
    heading(page, "Sets fitted")
    # What the paper tag said four weeks ago comes first, then today's counter.
    log(page, "12", now - timedelta(weeks=4))
    tab_to(page, "Jigsaw")
    press(page, "Enter")
    heading(page, "Sets fitted")
    log(page, "49", now)
    tab_to(page, "Jigsaw")
    press(page, "Enter")
    heading(page, "Sets fitted")
    measure(page, "13.9", "14.05")
    expect(main(page)).to_contain_text("limit about")
    press(page, "f")
    heading(page, "New set fitted")
    for _ in range(40):
        if page.evaluate("document.activeElement.id") == "reason":
            break
        press(page, "Tab")
    page.keyboard.type("Planned")
    for label, text in (("New length of A", "15.05"), ("New length of B", "0.59 in")):
        type_into(page, label, text)
    press(page, "Enter")
    expect(page.get_by_role("cell", name="planned")).to_be_visible()
    expect(page.get_by_role("cell", name="in the motor")).to_be_visible()
    press(page, "?")
    expect(page.get_by_role("dialog")).to_contain_text("look: measure and sign")
    press(page, "Escape", "g", "b")
    heading(page, "1 motor needs hands")  # of so young a set the plan, and its look with it, comes within the fortnight


def prepared(shop: Shop) -> str:
    shop.now = datetime.now() - timedelta(weeks=8)
    motor = shop.motor(tag="W-09", name="Trap winch")
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20.6", "20.9")
    shop.later(weeks=3, days=6).log(motor, "250")
    return motor


def test_two_logs_and_two_rounds_make_a_date(page: Page, watch: Watch, shop: Shop) -> None:
    motor = prepared(shop)
    become(page)
    page.goto(f"/motors/{motor}")
    log(page, "260", datetime.now())
    tab_to(page, "Trap winch")
    press(page, "Enter")
    heading(page, "Sets fitted")
    measure(page, "19.2", "19.8")
    # 2.8 mm in 160 h leave 640 h, at 20 h a week 32 weeks: the straight line, beside the forecast's band.
    expect(main(page)).to_contain_text("do not exceed 900 h")
    expect(page.get_by_role("row", name=re.compile("Do not exceed"))).to_contain_text(
        f"{datetime.now() + timedelta(weeks=32):%B %Y}"
    )
    expect(main(page)).to_contain_text("8 times in 10 between")
    expect(page.get_by_role("img", name="Life line").or_(page.get_by_label("Life line")).first).to_be_visible()


def test_doubts_and_units_are_asked_about_in_place(page: Page, watch: Watch, shop: Shop) -> None:
    motor = prepared(shop)
    watch.answers = {409, 422}
    become(page)
    page.goto(f"/motors/{motor}/sheet")
    tick(page, "I made it safe")
    type_into(page, "The counter shows", "12", back=True)
    press(page, "Enter")
    expect(page.get_by_role("group", name="The counter showed")).to_be_visible()
    expect(page.get_by_label("The counter shows, in")).to_have_value("12")
    type_into(page, "The counter shows", "262")
    press(page, "Enter")
    expect(brush(page, "A")).to_be_focused()
    page.keyboard.type("abc")
    press(page, "Enter")
    expect(page.get_by_role("alert")).to_contain_text("cannot be read as a number")
    expect(brush(page, "A")).to_have_value("abc")
    expect(brush(page, "A")).to_be_focused()
    page.keyboard.type("770")
    press(page, "Enter")
    expect(page.get_by_role("button", name="770 thou")).to_be_visible()
    press_on(page.get_by_role("button", name="770 thou"))
    expect(row(page, "A")).to_contain_text("19.56 ± 0.05 mm")
    brush(page, "B").focus()
    page.keyboard.type("21.8")
    press(page, "Enter")
    expect(main(page)).to_contain_text("looks like new carbon")
    press_on(page.get_by_role("button", name="Mistyped"))
    expect(page.get_by_label("If it was mistyped, why")).to_be_focused()  # a slip has its reason
    page.keyboard.type("the new set lay beside it")
    press_on(page.get_by_role("button", name="Mistyped"))
    expect(main(page)).not_to_contain_text("looks like new carbon")
    brush(page, "B").focus()
    page.keyboard.type("783")
    press(page, "Control+A", "Delete", "u")
    expect(page.get_by_role("button", name="in", exact=True)).to_be_visible()
    press(page, "u")
    page.keyboard.type("783")
    press(page, "Enter")
    expect(row(page, "B")).to_contain_text("19.89 ± 0.05 mm")


def test_whoever_types_on_while_a_reading_is_on_its_way_loses_nothing(page: Page, watch: Watch, shop: Shop) -> None:
    motor = prepared(shop)
    become(page)
    page.goto(f"/motors/{motor}")
    look(page)

    def slowly(route: Route) -> None:
        page.wait_for_timeout(400)
        route.continue_()

    page.route("**/readings*", slowly)
    page.keyboard.type("19.9")
    press(page, "Enter")
    page.keyboard.type("20.3")
    expect(row(page, "A")).to_contain_text("usable")
    expect(brush(page, "B")).to_have_value("20.3")
    expect(brush(page, "B")).to_be_focused()
    press(page, "Enter")
    expect(row(page, "B")).to_contain_text("usable")


def test_the_end_view_chooses_the_brush(page: Page, watch: Watch, shop: Shop) -> None:
    motor = prepared(shop)
    become(page)
    page.goto(f"/motors/{motor}")
    look(page)
    press_on(page.get_by_role("group", name="End view").get_by_role("link").nth(1))
    expect(brush(page, "B")).to_be_focused()
    heading(page, "B, negative: what is seen")
    press_on(page.get_by_role("button", name="sticky, moves by hand"))
    expect(line(page)).to_contain_text("Plan the repair. Brush B: sticky")
    expect(beside(page)).to_contain_text("Brush B: sticky, moves by hand")
    press(page, "z")
    expect(beside(page)).not_to_contain_text("Found on this visit")


@pytest.mark.parametrize("light", ["light", "dark"])
@pytest.mark.parametrize("width", [390, 1280, 1920])
def test_pages_fit_their_window(page: Page, watch: Watch, shop: Shop, width: int, light: str) -> None:
    motor = prepared(shop)
    sheet = open_sheet(shop.conn, shop.act(), shop.motor(tag="W-10", brushes="4"), kind="full", counter="")
    for field in ("waive.safe", "complaint", "parts"):
        enter(
            shop.conn,
            shop.later(seconds=9).act(),
            sheet,
            field_id=field,
            place=0,
            text="a long word: " + "Lanternmoorplayhouse" * 2,
        )
    record(shop.conn, shop.later(seconds=9).act(), sheet, position=1, text="9.2")
    become(page)
    page.emulate_media(color_scheme="dark" if light == "dark" else "light")
    page.set_viewport_size({"width": width, "height": 844})
    for path in (
        "/",
        f"/motors/{motor}",
        f"/motors/{motor}/sheet",
        f"/motors/{motor}/sheet?kind=full",
        f"/motors/{motor}/hours",
        "/motors",
        "/rulebook",
        "/sums/seating",
        "/sums/find-cause",
        "/rulebook/school.when",
        "/rulebook/causes",
        *(f"/sheets/{sheet}/{stage}?position=1" for stage in STAGE_BY_ID),
    ):
        page.goto(path)
        over = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
        assert over <= 0, f"{path} is {over} px too wide"
        small = page.evaluate(
            "[...document.querySelectorAll('main .btn, main"
            " input:not([type=hidden]):not([type=checkbox]):not([type=radio])')].filter(e => e.offsetParent &&"
            " e.offsetHeight < 44).map(e => e.textContent || e.name)"
        )
        assert small == []
