"""The working areas by keyboard: bench, register, types, figures, hours, the sheet of keys; and what a phone shows."""

import re
from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Locator, Page, expect

from conftest import Shop
from live import Watch
from norvash.store.record import use
from seen import brush, line, main, press, row

pytestmark = pytest.mark.browser


@pytest.fixture
def motor(shop: Shop) -> str:
    shop.now = datetime.now() - timedelta(weeks=9)
    made = shop.motor(tag="W-09", name="Trap winch", use_now="100")
    for week, (counter, *lengths) in enumerate((("180", "20.6", "20.9"), ("260", "19.2", "19.8")), start=1):
        shop.later(weeks=4).log(made, counter)
        shop.measure(made, "", *lengths)
        assert shop.page(made).found.round is not None, week
    return made


def keys(page: Page, *pressed: str) -> None:
    page.wait_for_load_state()  # a key is heard once the scripts of the page are there
    for key in pressed:
        press(page, key)


def fill(page: Page, label: str, text: str) -> None:
    page.get_by_role("textbox", name=label).focus()
    keys(page, "Control+A")
    page.keyboard.type(text)


def last_told(page: Page) -> Locator:
    """Return the newest line of a motor's history."""
    return page.get_by_role("list", name="History").get_by_role("listitem").first


def test_the_last_entry_is_taken_back_with_one_key(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    watch.answers = {409, 422}
    ines.goto(f"/motors/{motor}")
    keys(ines, "l")
    expect(ines.get_by_label("In hours")).to_be_focused()
    ines.keyboard.type("2'700")
    keys(ines, "Enter")
    expect(ines.get_by_role("alert")).to_contain_text("thousands separator")
    expect(ines.get_by_label("In hours")).to_have_value("2'700")
    fill(ines, "In hours", "27.5")
    keys(ines, "Enter")
    expect(ines.get_by_role("group", name="The counter showed 260 h")).to_be_visible()
    expect(ines.get_by_label("Another counter")).to_be_focused()
    keys(ines, "ArrowDown", "ArrowDown")
    expect(ines.get_by_label("Slip of the pen")).to_be_checked()
    keys(ines, "Enter")
    expect(ines.get_by_label("In hours")).to_be_focused()
    fill(ines, "In hours", "275")
    keys(ines, "Enter")
    expect(ines.get_by_role("img", name=re.compile("Use, as logged")).first).to_be_visible()
    expect(ines.get_by_role("row").nth(1)).to_contain_text("275")
    keys(ines, "Escape", "z")
    expect(ines.get_by_role("cell", name="taken back")).to_be_visible()
    assert use.list_entries(shop.conn, motor)[-1].counter_units == 260
    ines.goto(f"/motors/{motor}")
    expect(last_told(ines)).to_contain_text("took back the entry of 275 h")


def test_figures_are_changed_drawn_and_told(ines: Page, watch: Watch, motor: str) -> None:
    watch.answers = {422}
    ines.goto(f"/motors/{motor}")
    keys(ines, "e")
    expect(ines.locator("svg.brush-sheet")).to_contain_text("limit 8")
    fill(ines, "Shortest length allowed", "25")
    keys(ines, "Enter")
    expect(ines.get_by_label("Shortest length allowed")).to_be_focused()
    expect(ines.get_by_role("alert")).to_contain_text("not below the new length")
    fill(ines, "Shortest length allowed", "10")
    keys(ines, "Enter")
    expect(line(ines)).to_contain_text("9.2 mm to its limit")
    expect(last_told(ines)).to_contain_text("changed shortest length allowed 8 → 10")
    keys(ines, "e")
    expect(ines.locator("svg.brush-sheet")).to_contain_text("to wear 12")


def test_a_type_is_made_and_lends_its_figures(ines: Page, watch: Watch) -> None:
    ines.goto("/types")
    keys(ines, "a")
    fill(ines, "Name", "Hoist motor")
    ines.get_by_label("Class", exact=True).focus()
    ines.keyboard.type("industrial")
    fill(ines, "New length r", "1 1/4 in")
    fill(ines, "Shortest length allowed", "14")
    keys(ines, "Enter")
    expect(ines.get_by_role("heading", name="Hoist motor")).to_be_visible()
    expect(ines.locator("svg.brush-sheet")).to_contain_text("r 31.75")
    ines.get_by_role("link", name="Add a motor of this type").focus()
    keys(ines, "Enter")
    expect(ines.locator("svg.brush-sheet")).to_contain_text("r 31.75")
    for label, text in (("Tag", "H-07"), ("Name", "Loft hoist"), ("Place", "loft")):
        ines.get_by_role("textbox", name=label).fill(text)
    ines.get_by_role("checkbox", name="They are new now").press("Space")
    keys(ines, "Enter")
    expect(main(ines)).to_contain_text("Hoist motor")
    expect(main(ines)).to_contain_text("New brushes are 31.8 mm and may wear to 14.0 mm")


def test_classes_are_drawn_to_one_scale(ines: Page, watch: Watch) -> None:
    ines.goto("/motors/new")
    radii = ines.evaluate(
        "[...document.querySelectorAll('.with-views svg')].map(s =>"
        " s.querySelector('circle').getBoundingClientRect().width)"
    )
    assert len(radii) == 6
    assert radii[3] / radii[1] == pytest.approx(120 / 30, rel=0.03)
    keys(ines, "4")
    expect(ines.get_by_role("textbox", name="Tag")).to_be_focused()


def test_the_sheet_of_keys_and_keys_that_wait_while_somebody_types(ines: Page, watch: Watch, motor: str) -> None:
    ines.goto(f"/motors/{motor}")
    keys(ines, "?")
    sheet = ines.get_by_role("dialog")
    expect(sheet).to_contain_text("fit a new set")
    keys(ines, "m")
    expect(sheet).to_be_visible()
    keys(ines, "Escape", "/")
    ines.keyboard.type("gmfle?")
    expect(ines.get_by_role("searchbox")).to_have_value("gmfle?")
    keys(ines, "Escape", "g", "r")
    expect(ines.get_by_role("heading", name="Rulebook")).to_be_visible()
    keys(ines, "g", "b")
    expect(ines.get_by_role("heading", name=re.compile("hands"))).to_be_visible()


def test_the_bench_by_keyboard(ines: Page, watch: Watch, shop: Shop) -> None:
    shop.now = datetime.now() - timedelta(days=2)
    for i in range(15):
        shop.motor(tag=f"P-{i:02d}", name=f"Pit fan {i:02d}")
    ines.goto("/")
    expect(line(ines)).to_contain_text("15 motors need hands")
    keys(ines, "]")
    expect(main(ines)).to_contain_text("Page 2 of 2")
    expect(ines.get_by_role("list", name="What comes first").get_by_role("listitem")).to_have_count(3)
    keys(ines, "[")
    expect(ines.get_by_role("list", name="What comes first").get_by_role("listitem")).to_have_count(12)
    name = ines.get_by_role("list", name="What comes first").get_by_role("link").first.inner_text()
    keys(ines, "Enter")
    expect(main(ines)).to_contain_text(name)


@pytest.mark.parametrize(
    "path", ["/motors/{}", "/motors/{}/hours", "/motors/{}/new-set", "/motors/{}/figures", "/sums/straight-line"]
)
def test_a_phone_gets_drawings_that_can_be_read(ines: Page, watch: Watch, motor: str, path: str) -> None:
    ines.set_viewport_size({"width": 390, "height": 844})
    ines.goto(path.format(motor))
    heights = ines.evaluate(
        "[...document.querySelectorAll('main svg.drawing:not(.stage-mark) text')].map(t =>"
        " t.getBoundingClientRect().height).filter(h => h > 0)"
    )
    assert len(heights) > 4
    assert min(heights) >= 10
    drawn = ines.locator("main svg.life-line:visible, main svg.use-curve:visible, main svg.carbon-ruler:visible")
    for i in range(drawn.count()):
        box = drawn.nth(i).bounding_box()
        assert box is not None
        assert box["x"] >= 0
        assert box["x"] + box["width"] <= 390


def test_a_doubt_left_open_is_settled_on_the_motors_page(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    shop.later(hours=5).measure(motor, "262", "21.9", "19.7")
    ines.goto(f"/motors/{motor}")
    expect(line(ines)).to_contain_text("Settle the reading of brush A first")
    expect(main(ines)).to_contain_text("looks like new carbon")
    ines.get_by_label("If it was mistyped, why").fill("the old set lay beside it")
    ines.get_by_role("button", name="Mistyped: measure again").focus()
    keys(ines, "Enter")
    expect(ines.get_by_label("The counter shows")).to_be_focused()
    expect(line(ines)).to_contain_text("Measure A to get a date")
    ines.get_by_label("I made it safe").press("Space")
    keys(ines, "Enter")
    for number, value in enumerate(("19.1", "19.7"), start=1):
        expect(brush(ines, "AB"[number - 1])).to_be_focused()
        ines.keyboard.type(value)
        keys(ines, "Enter")
        expect(row(ines, "AB"[number - 1])).to_contain_text("usable")
    expect(ines.get_by_role("link", name="Stage on")).to_be_focused()
    expect(main(ines)).to_contain_text("limit about")
    expect(main(ines)).not_to_contain_text("looks like new carbon")


def test_fields_appear_with_the_answers_they_belong_to(ines: Page, watch: Watch) -> None:
    ines.goto("/motors/new?motor_class=tool")
    since, counter = ines.get_by_label("These brushes were new on"), ines.get_by_label("The counter showed then")
    expect(since).to_be_visible()
    expect(counter).to_be_visible()
    ines.get_by_label("Use is counted in").select_option("years")
    expect(counter).to_be_hidden()
    expect(since).to_be_visible()
    ines.get_by_label("They are new now").check()
    expect(since).to_be_hidden()
    ines.get_by_label("They are new now").uncheck()
    ines.get_by_label("Use is counted in").select_option("starts")
    expect(counter).to_be_visible()


def test_an_answer_follows_what_is_typed(ines: Page, watch: Watch) -> None:
    watch.answers = {422}
    ines.goto("/sums/usable-carbon?length_mm=12&new_mm=16&limit_mm=6")
    expect(main(ines)).to_contain_text("60")
    length = ines.get_by_label("Length now")
    length.focus()
    press(ines, "Control+A")
    ines.keyboard.type("8.5")
    expect(ines.get_by_role("row", name="usable")).to_contain_text("25")
    expect(length).to_be_focused()
    assert "length_mm=8.5" in ines.url
    ines.keyboard.type("x")
    expect(ines.get_by_role("alert")).to_contain_text("does not belong here")
    expect(length).to_have_value("8.5x")
