"""Commutator on the sheet in the browser: a map painted by mouse, touch and keys, readings pasted, a cut planned and
recorded by keyboard.
"""

import re
from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Browser, BrowserContext, Page, Route, expect

from conftest import Shop
from live import Watch
from norvash.store import entries
from norvash.work.opening import open_sheet
from norvash.work.sheets import enter
from norvash.work.signing import sign

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
    shop.now = datetime.now() - timedelta(hours=2)
    again = open_sheet(shop.conn, shop.later(minutes=1).act(), motor, kind="full", counter="")
    enter(shop.conn, shop.later(minutes=1).act(), again, field_id="waive.safe", place=0, text="on the bench")
    return again


def kept(shop: Shop, sheet: str, field: str) -> str:
    there = entries.list_entries(shop.conn, sheet).get((field, 0, "found"))
    return there.word if there else ""


def says(page: Page, part: str, text: str) -> None:
    expect(page.locator(f"#part-{part}")).to_contain_text(text)


def test_a_map_is_painted_by_keys_and_by_mouse(ines: Page, sheet: str, shop: Shop) -> None:
    page = ines
    page.goto(f"/sheets/{sheet}/commutator")
    page.locator("#copy-map").press("Enter")
    says(page, "map", "Since sheet 1: nothing has changed")
    page.locator("#bars-field").focus()
    page.keyboard.press("Home")
    page.keyboard.press("4")
    for _ in range(48):
        page.keyboard.press("ArrowRight")
    expect(page.locator("#bar-says")).to_contain_text("Bar 49 of 87: nothing. Painting: burnt bar")
    page.keyboard.press("Space")
    for _ in range(21):
        page.keyboard.press("ArrowRight")
    page.keyboard.press("Space")
    says(page, "map", "more at bar 49 and bar 70")
    says(page, "map", "very 21.75 bars")
    assert kept(shop, sheet, "bar-map") == "dark 5, 27; burnt 49, 70"
    expect(page.locator("#bars-field")).to_be_focused()
    page.keyboard.press("1")
    page.keyboard.press("5")
    for _ in range(3):
        page.keyboard.press("Shift+ArrowRight")
    expect(page.locator("[data-condition=dirty-slot]")).to_have_attribute("aria-pressed", "true")
    says(page, "map", "4 slots dirty")
    page.keyboard.press("Delete")
    says(page, "map", "3 slots dirty")
    page.keyboard.press("ArrowUp")
    expect(page.locator("#bar-says")).to_contain_text(re.compile("Bar (29|30) of 87"))
    page.locator("#paint-raised").click()
    bars = [page.locator(f"svg.bar-map >> visible=true >> [data-bar='{b}']").bounding_box() for b in (10, 12)]
    assert bars[0] is not None
    assert bars[1] is not None
    page.mouse.move(bars[0]["x"] + 4, bars[0]["y"] + 20)
    page.mouse.down()
    page.mouse.move(bars[1]["x"] + 4, bars[1]["y"] + 20, steps=8)
    page.mouse.up()
    says(page, "map", "Raised at bar 10, bar 11 and bar 12")
    assert "raised 10-12" in kept(shop, sheet, "bar-map")
    page.keyboard.press("z")
    expect(page.locator("#part-map")).not_to_contain_text("Raised at bar")


def test_a_map_is_painted_by_touch_on_a_phone(
    browser: Browser, address: str, watch: Watch, sheet: str, shop: Shop
) -> None:
    phone = browser.new_context(base_url=address, viewport={"width": 390, "height": 844}, has_touch=True)
    page = watch.over(phone.new_page())
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    page.goto(f"/sheets/{sheet}/commutator")
    page.locator("svg.bar-map >> visible=true >> [data-bar='7']").tap()
    says(page, "map", "One spot, at bar 7")
    assert kept(shop, sheet, "bar-map") == "burnt 7"
    page.locator("#part-cut > summary").tap()
    for field in ("cut-tool", "surface-with", "run-out-on"):
        shown = page.locator(f"[id='entry-{field}.0']")
        shown.evaluate("e => e.closest('details').open = true")
        expect(shown).to_be_visible()
    width = page.evaluate("document.documentElement.scrollWidth")
    assert width <= 390
    phone.close()


def column(page: Page, field: str, text: str) -> None:
    page.locator(f"[id='in-{field}.0']").fill(text)
    page.locator(f"[id='keep-{field}.0']").press("Enter")


def line(page: Page, field: str, text: str) -> None:
    page.locator(f"[id='in-{field}.0']").fill(text)
    page.keyboard.press("Enter")


def unfold(page: Page, part: str) -> None:
    page.locator(f"#part-{part} > summary").press("Enter")
    expect(page.locator(f"#part-{part}")).to_have_attribute("open", "")


def test_a_cut_is_planned_and_recorded_by_keyboard(ines: Page, sheet: str, shop: Shop, watch: Watch) -> None:
    page = ines
    watch.answers = {422}
    page.goto(f"/sheets/{sheet}/commutator")
    unfold(page, "run-out")
    column(page, "run-out", "0.02 mm\n30 µm\n0.04 mm")
    says(page, "run-out", "mixes units: reading 2 has µm")
    expect(page.locator("[id='in-run-out.0']")).to_have_value("0.02 mm\n30 µm\n0.04 mm")
    # Whoever has gone on to the next thing stays there: the key that follows is not for the refused field.
    expect(page.locator("[id='keep-run-out.0']")).to_be_focused()
    column(page, "run-out", "\n".join(f"{0.05 + 0.035 * (i % 2):.3f}" for i in range(12)))
    says(page, "run-out", "Total run-out 0.035 mm")
    unfold(page, "cut")
    line(page, "shoulder-d", "96.4")
    line(page, "groove", "0.18")
    line(page, "pit", "0.11")
    line(page, "slot-depth", "0.84")
    page.locator("#same-speeds").press("Enter")
    says(page, "cut", "Cut 0.217 mm radial (0.435 mm in diameter), to 95.97 mm")
    expect(page.locator("#part-cut table.lines").first).to_contain_text("450")
    line(page, "cut-done", "99")
    says(page, "cut", "99 mm after a cut of 96.04 mm cannot be")
    line(page, "cut-done", "95.96")
    says(page, "cut", "the brush sinks by 0.040 mm")
    says(page, "cut", "Holder gap")
    expect(page.locator(".beside")).to_contain_text("holders not set since the cut")
    page.locator("#to-lathe").press("Enter")
    expect(page.locator("h1")).to_contain_text("Cut of the commutator")
    expect(page.locator("table.passes tbody tr")).to_have_count(4)
    page.go_back()
    unfolded = page.locator("[id='tick-holder-set.0']")
    unfolded.press("Enter")
    expect(page.locator(".beside .lived").filter(has_text="holders not set")).to_contain_text(
        "done; measure again: holder gap"
    )


def test_bars_are_painted_alone_under_sums(ines: Page) -> None:
    page = ines
    page.goto("/sums/bar-map?bars=87&poles=4&slots=29&winding=wave&marked_bars=5")
    page.locator("#bars-field").focus()
    for key in ("End", "1", "Space", "ArrowLeft", "2", "Space"):
        page.keyboard.press(key)
    expect(page.locator("#marked_bars")).to_have_value("5; 86; 87")
    expect(page.locator("#burnt_bars")).to_have_value("86")
    page.get_by_role("button", name="Work it out").press("Enter")
    expect(page.locator(".advice")).to_contain_text("the burn is local, at bar 86")


def test_what_is_painted_while_an_answer_is_on_its_way_stands_over_it(ines: Page, sheet: str, shop: Shop) -> None:
    page = ines
    page.goto(f"/sheets/{sheet}/commutator")
    held = list[Route]()
    page.route("**/entries*", lambda route: held.append(route), times=1)
    page.locator("#bars-field").focus()
    for key in ("Home", "4", "Space"):
        page.keyboard.press(key)
    page.wait_for_timeout(600)
    page.keyboard.press("End")
    page.keyboard.press("Space")
    held[0].continue_()
    says(page, "map", "more at bar 1 and bar 87")
    expect(page.locator("#bars-field")).to_be_focused()
    assert kept(shop, sheet, "bar-map") == "burnt 1, 87"


def test_a_map_painted_meanwhile_by_somebody_else_is_not_overwritten(
    ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop
) -> None:
    """What was painted without network stays on the map and in its field; painting on stands over what is there now."""
    page, watch.cut, watch.answers = ines, True, {409}
    page.goto(f"/sheets/{sheet}/commutator")
    context.set_offline(True)
    page.locator("#bars-field").focus()
    for key in ("Home", "4", "Space"):
        page.keyboard.press(key)
    expect(page.locator("#waiting")).to_contain_text("One entry waits")
    enter(shop.conn, shop.later(minutes=1).act(), sheet, field_id="bar-map", place=0, text="pitted 9")
    context.set_offline(False)
    expect(page.get_by_role("alert").first).to_contain_text("pitted 9")
    expect(page.locator("#waiting")).to_be_hidden()
    expect(page.locator("[id='in-bar-map.0']")).to_have_value("burnt 1")
    assert kept(shop, sheet, "bar-map") == "pitted 9"
    page.locator("#bars-field").focus()
    expect(page.locator("svg.bar-map >> visible=true >> [data-on='1']")).to_have_attribute("href", "#bar-+burnt")
    for key in ("End", "Space"):
        page.keyboard.press(key)
    # It would end what the other one found: that is asked, not guessed.
    page.get_by_role("button", name="“pitted 9” was a slip").press("Enter")
    says(page, "map", "more at bar 1 and bar 87")
    assert kept(shop, sheet, "bar-map") == "burnt 1, 87"
