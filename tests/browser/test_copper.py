"""Commutator on the sheet in the browser: a map painted by mouse, touch and keys, readings pasted, a cut planned and
recorded by keyboard.
"""

import re
from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Browser, BrowserContext, Locator, Page, Route, expect

from conftest import Shop
from live import Watch
from norvash.store.record import entries
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.signing import sign
from seen import beside, expect_all_kept, fold, line, main, part, press, waiting

pytestmark = pytest.mark.browser
FIGURES = {
    "commutator_d_mm": "98",
    "commutator_d_min_mm": "93.9",
    "bars": "87",
    "poles": "4",
    "armature_slots": "29",
    "winding": "wave",
    "thickness_mm": "12.5",
    "width_mm": "25",
    "track_mm": "44.5",
    "slot_width_mm": "0.95",
    "undercut_mm": "1.1",
    "holder_gap_mm": "2.25",
    "rated_rpm": "900",
    "limit_mm": "8",
}


PARTS = {"map": "Bar map", "run-out": "Run-out", "cut": "Size and cut"}


@pytest.fixture
def sheet(shop: Shop) -> str:
    """Return an open sheet with its gate waived, after a signed one that has a map."""
    shop.now = datetime.now() - timedelta(days=40)
    motor = shop.motor(tag="W-09", name="Trap winch", figures=FIGURES)
    first = open_sheet(shop.conn, shop.later(minutes=1).act(), motor, kind="full", counter="")
    for field, text in (
        ("waive.safe", "on the bench"),
        ("bar-map", "dark 5, 27"),
        ("lathe-speeds", "185; 355; 450; 560"),
    ):
        enter(shop.conn, shop.later(minutes=1).act(), first, field_id=field, place=0, text=text)
    sign(shop.conn, shop.later(minutes=1).act(), first, "only to have a map")
    shop.today(minutes=120)
    again = open_sheet(shop.conn, shop.later(minutes=1).act(), motor, kind="full", counter="")
    enter(shop.conn, shop.later(minutes=1).act(), again, field_id="waive.safe", place=0, text="on the bench")
    return again


def kept(shop: Shop, sheet: str, field: str) -> str:
    there = entries.list_entries(shop.conn, sheet).get((field, 0, "found"))
    return there.word if there else ""


def says(page: Page, part_of: str, text: str) -> None:
    expect(part(page, PARTS[part_of])).to_contain_text(text)


def bars(page: Page) -> Locator:
    """Return the map as the field that is painted on."""
    return page.get_by_role("application", name="Bar map")


def test_a_map_is_painted_by_keys_and_by_mouse(ines: Page, sheet: str, shop: Shop) -> None:
    page = ines
    page.goto(f"/sheets/{sheet}/commutator")
    page.get_by_role("button", name="Copy from sheet").press("Enter")
    says(page, "map", "Since sheet 1: nothing has changed")
    bars(page).focus()
    press(page, "Home")
    press(page, "4")
    for _ in range(48):
        press(page, "ArrowRight")
    expect(main(page)).to_contain_text("Bar 49 of 87: nothing. Painting: burnt bar")
    press(page, "Space")
    for _ in range(21):
        press(page, "ArrowRight")
    press(page, "Space")
    says(page, "map", "more at bar 49 and bar 70")
    expect(bars(page)).to_be_focused()
    # While it is painted no pattern is seen in it: that is for a map that somebody says is whole.
    says(page, "map", "ar map not finished: 4 of 87 bars looked at")
    expect(part(page, "Bar map")).not_to_contain_text("very 21.75 bars")
    assert kept(shop, sheet, "bar-map") == "dark 5, 27; burnt 49, 70; …"
    page.get_by_role("button", name="Every bar is looked at").press("Enter")
    says(page, "map", "very 21.75 bars")
    bars(page).focus()
    expect(main(page)).to_contain_text("Bar 70 of 87")
    press(page, "1")
    press(page, "5")
    for _ in range(3):
        press(page, "Shift+ArrowRight")
    expect(page.get_by_role("button", name="dirt or copper in the slot")).to_have_attribute("aria-pressed", "true")
    says(page, "map", "4 slots dirty")
    press(page, "Delete")
    says(page, "map", "3 slots dirty")
    press(page, "ArrowUp")
    expect(main(page)).to_contain_text(re.compile("Bar (29|30) of 87"))
    page.get_by_role("button", name="raised bar").click()
    first, last = (page.locator(f"svg.bar-map >> visible=true >> [data-bar='{b}']") for b in (10, 12))
    first.hover(position={"x": 4, "y": 20})
    page.mouse.down()
    last.hover(position={"x": 4, "y": 20})
    page.mouse.up()
    says(page, "map", "Raised at bar 10, bar 11 and bar 12")
    assert "raised 10-12" in kept(shop, sheet, "bar-map")
    press(page, "z")
    expect(part(page, "Bar map")).not_to_contain_text("Raised at bar")


def test_a_map_is_painted_by_touch_on_a_phone(
    browser: Browser, address: str, watch: Watch, sheet: str, shop: Shop
) -> None:
    phone = browser.new_context(base_url=address, viewport={"width": 390, "height": 844}, has_touch=True)
    page = watch.over(phone.new_page())
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    page.goto(f"/sheets/{sheet}/commutator")
    page.locator("svg.bar-map >> visible=true >> [data-bar='7']").tap()
    says(page, "map", "ar map not finished: 1 of 87 bars looked at")
    assert kept(shop, sheet, "bar-map") == "burnt 7; …"
    page.get_by_role("button", name="Every bar is looked at").tap()
    says(page, "map", "One spot, at bar 7")
    fold(page, "Size and cut").tap()
    for group in ("Tool", "Cleaned with", "It turned"):
        shown = page.get_by_role("group", name=group, include_hidden=True)
        shown.evaluate("e => e.closest('details').open = true")
        expect(shown).to_be_visible()
    width = page.evaluate("document.documentElement.scrollWidth")
    assert width <= 390
    phone.close()


def column(page: Page, label: str, text: str) -> None:
    field = page.get_by_label(label)
    field.fill(text)
    field.locator("xpath=..").get_by_role("button", name="Keep the column").press("Enter")


def type_in(page: Page, label: str, text: str) -> None:
    page.get_by_label(label).fill(text)
    press(page, "Enter")


def unfold(page: Page, part_of: str) -> None:
    fold(page, PARTS[part_of]).press("Enter")
    expect(part(page, PARTS[part_of])).to_have_attribute("open", "")


def test_a_cut_is_planned_and_recorded_by_keyboard(ines: Page, sheet: str, shop: Shop, watch: Watch) -> None:
    page = ines
    watch.answers = {422}
    page.goto(f"/sheets/{sheet}/commutator")
    unfold(page, "run-out")
    column(page, "Dial readings", "0.02 mm\n30 µm\n0.04 mm")
    says(page, "run-out", "mixes units: reading 2 has µm")
    expect(page.get_by_label("Dial readings")).to_have_value("0.02 mm\n30 µm\n0.04 mm")
    # Who presses its button asks for this value: what is refused gets the cursor, whichever came first, answer or key.
    expect(page.locator("*:focus")).to_have_attribute("aria-invalid", "true")
    column(page, "Dial readings", "\n".join(f"{0.05 + 0.035 * (i % 2):.3f}" for i in range(12)))
    says(page, "run-out", "Total run-out 0.035 mm")
    unfold(page, "cut")
    type_in(page, "Diameter of an unworn shoulder", "96.4")
    type_in(page, "Groove in the track", "0.18")
    type_in(page, "Deepest pit", "0.11")
    type_in(page, "Slot depth", "0.84")
    page.get_by_role("button", name="Same machine as last time").press("Enter")
    says(page, "cut", "Cut 0.217 mm radial (0.435 mm in diameter), to 95.97 mm")
    expect(part(page, "Size and cut").get_by_role("table").first).to_contain_text("450")
    type_in(page, "Diameter after the cut", "99")
    says(page, "cut", "99 mm after a cut of 96.04 mm is not possible")
    type_in(page, "Diameter after the cut", "95.96")
    says(page, "cut", "the brush sinks by 0.040 mm")
    says(page, "cut", "Holder gap")
    # The gap is inside its band as the cut left it: said there, and nobody is asked to set it.
    says(page, "cut", "After the cut the brush sinks by 0.040 mm, gap")
    expect(beside(page)).not_to_contain_text("holders not set since the cut")
    page.get_by_role("link", name="The cut, to print").press("Enter")
    expect(line(page)).to_contain_text("Cut of the commutator")
    expect(page.get_by_role("table").first.get_by_role("row")).to_have_count(4 + 1)
    page.go_back()
    page.get_by_role("button", name="Holders set to the new diameter").press("Enter")
    expect(page.get_by_role("button", name="Undo holders set to the new diameter")).to_be_visible()


def test_bars_are_painted_alone_under_sums(ines: Page) -> None:
    page = ines
    page.goto("/sums/bar-map?bars=87&poles=4&slots=29&winding=wave&marked_bars=5")
    bars(page).focus()
    for key in ("End", "1", "Space", "ArrowLeft", "2", "Space"):
        press(page, key)
    expect(page.get_by_label("Dark or burnt bars")).to_have_value("5; 86; 87")
    expect(page.get_by_label("Of these, burnt")).to_have_value("86")
    page.get_by_role("button", name="Work it out").press("Enter")
    expect(main(page)).to_contain_text("the burn is local, at bar 86")


def test_what_is_painted_while_an_answer_is_on_its_way_stands_over_it(ines: Page, sheet: str, shop: Shop) -> None:
    page = ines
    page.goto(f"/sheets/{sheet}/commutator")
    held = list[Route]()
    page.route("**/entries*", lambda route: held.append(route), times=1)
    bars(page).focus()
    for key in ("Home", "4", "Space"):
        press(page, key)
    page.wait_for_timeout(600)
    press(page, "End")
    press(page, "Space")
    held[0].continue_()
    says(page, "map", "more at bar 1 and bar 87")
    expect(bars(page)).to_be_focused()
    assert kept(shop, sheet, "bar-map") == "burnt 1, 87; …"


def test_a_map_painted_meanwhile_by_somebody_else_is_not_overwritten(
    ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop
) -> None:
    """What was painted without network stays on the map and in its field; painting on stands over what is there now."""
    page, watch.cut, watch.answers = ines, True, {409}
    page.goto(f"/sheets/{sheet}/commutator")
    context.set_offline(True)
    bars(page).focus()
    for key in ("Home", "4", "Space"):
        press(page, key)
    expect(waiting(page)).to_contain_text("One entry waits")
    enter(shop.conn, shop.later(minutes=1).act(), sheet, field_id="bar-map", place=0, text="pitted 9")
    context.set_offline(False)
    expect(page.get_by_role("alert").first).to_contain_text("pitted 9")
    expect_all_kept(page)
    expect(page.get_by_label("Conditions and their bars")).to_have_value("burnt 1")
    assert kept(shop, sheet, "bar-map") == "pitted 9"
    bars(page).focus()
    expect(page.locator("svg.bar-map >> visible=true >> [data-on='1']")).to_have_attribute("href", "#bar-+burnt")
    for key in ("End", "Space"):
        press(page, key)
    # It would end what the other one found: that is asked, not guessed, and a slip has its reason.
    page.get_by_label("Of a slip, why").fill("he read the bars from the other end")
    page.get_by_role("button", name="“pitted 9” was a slip").press("Enter")
    says(page, "map", "more at bar 1 and bar 87")
    assert kept(shop, sheet, "bar-map") == "burnt 1, 87"
