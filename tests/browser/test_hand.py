"""Where the hand goes on after a page has opened and after an act, and what it sees meanwhile."""

from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Page, Route, expect

from conftest import Shop
from live import Watch
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from seen import brush, expect_all_kept, line, main, press, ready, waiting

pytestmark = pytest.mark.browser
_PALE = "e => Number(getComputedStyle(e.parentElement).opacity)"


@pytest.fixture
def motor(shop: Shop) -> str:
    """Return a motor with two rounds."""
    shop.now = datetime.now() - timedelta(weeks=8)
    made = shop.motor(tag="W-09", name="Trap winch")
    shop.later(weeks=4).log(made, "180")
    shop.measure(made, "", "20.6", "20.9")
    shop.later(weeks=3, days=6).log(made, "250")
    return made


@pytest.fixture
def sheet(shop: Shop, motor: str) -> str:
    """Return a whole sheet that is made safe."""
    made = open_sheet(shop.conn, shop.act(), motor, kind="full", counter="")
    enter(shop.conn, shop.later(seconds=9).act(), made, field_id="waive.safe", place=0, text="gone through")
    return made


def test_a_page_opens_where_the_hand_goes_on(ines: Page, watch: Watch, sheet: str, motor: str) -> None:
    bench = "Trap winch"
    ines.goto("/")
    expect(main(ines).get_by_role("link", name=bench, exact=True).first).to_be_focused()
    press(ines, "Enter")
    ines.wait_for_url(f"**/motors/{motor}")
    for path in ("/hours", "/sums", "/rulebook", f"/motors/{motor}"):
        ines.goto(path)
        ready(ines)
        assert ines.evaluate("document.activeElement.closest('main') !== null"), path
    for stage in STAGE_BY_ID:
        ines.goto(f"/sheets/{sheet}/{stage}")
        ready(ines)
        assert ines.evaluate("document.activeElement.closest('#stage') !== null"), stage
        assert ines.evaluate("scrollY") == 0, stage


def test_a_signature_that_is_refused_goes_to_what_is_missing(ines: Page, watch: Watch, sheet: str, shop: Shop) -> None:
    watch.answers = {422}
    ines.goto(f"/sheets/{sheet}/sign")
    first = main(ines).get_by_role("heading", name="Still open").locator("xpath=following::a").first
    expect(first).to_be_focused()
    ines.mouse.wheel(0, 3000)
    press(ines, "d")
    expect(ines.get_by_role("alert").filter(has_text="Not signed: see to this first")).to_be_in_viewport()
    expect(first).to_be_focused()
    expect(first).to_be_in_viewport()


def test_a_look_that_lacks_its_tick_goes_to_the_tick(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    watch.answers = {422}
    look = shop.look(motor)
    ines.goto(f"/sheets/{look}/brushes")
    for label, text in (("A", "19.4"), ("B", "19.9")):
        brush(ines, label).fill(text)
        brush(ines, label).press("Enter")
    expect_all_kept(ines)
    ines.goto(f"/sheets/{look}/sign")
    press(ines, "d")
    expect(ines.get_by_label("Guards, covers and earth")).to_be_focused()


def test_a_bracket_goes_on_from_an_empty_field_and_is_typed_in_a_text(ines: Page, sheet: str) -> None:
    ines.goto(f"/sheets/{sheet}/call-in")
    complaint = ines.get_by_label("What is said, in their words")
    complaint.focus()
    press(ines, "]")
    ines.wait_for_url("**/safe#stage-title")
    press(ines, "[")
    ines.wait_for_url("**/call-in#stage-title")
    complaint.focus()
    ines.keyboard.type("it sparks [often]")
    press(ines, "Enter")
    expect_all_kept(ines)
    expect(complaint).to_have_value("it sparks [often]")


def test_enter_goes_from_the_heading_to_the_first_field_and_a_reading_is_typed_there(ines: Page, sheet: str) -> None:
    ines.goto(f"/sheets/{sheet}/call-in#stage-title")
    press(ines, "Enter")
    expect(ines.get_by_label("What is said, in their words")).to_be_focused()
    ines.goto(f"/sheets/{sheet}/brushes#stage-title")
    press(ines, "1", "9", ".", "4", "Enter")
    expect(brush(ines, "B")).to_be_focused()
    expect_all_kept(ines)
    expect(brush(ines, "A")).to_have_value("19.4")
    ines.goto(f"/sheets/{sheet}/call-in")
    ines.goto(f"/sheets/{sheet}/brushes#stage-title")
    press(ines, "1", "9", ".", "2", "Enter")
    expect_all_kept(ines)
    expect(brush(ines, "A")).to_have_value("19.4")
    expect(brush(ines, "B")).to_have_value("19.2")
    ines.goto(f"/sheets/{sheet}/drive#stage-title")
    press(ines, "Enter", "Enter")
    assert ines.get_by_role("button", pressed=True).count() == 0, "nothing is claimed"


def test_a_brush_is_reached_by_its_number_and_a_correction_stays_in_its_row(
    ines: Page, watch: Watch, sheet: str
) -> None:
    watch.answers = {409, 422}
    ines.goto(f"/sheets/{sheet}/brushes")
    press(ines, "b", "2")
    expect(brush(ines, "B")).to_be_focused()
    ines.keyboard.type("19.9")
    press(ines, "Enter")
    expect(brush(ines, "A")).to_be_focused()
    press(ines, "b", "2")
    expect(brush(ines, "B")).to_be_focused()
    expect_all_kept(ines)
    ines.keyboard.type("19.8")
    press(ines, "Enter")
    expect(brush(ines, "B")).to_be_focused()


def test_what_is_being_sent_is_marked_after_a_moment(ines: Page, watch: Watch, sheet: str) -> None:
    held: list[Route] = []
    ines.goto(f"/sheets/{sheet}/brushes")
    ines.route("**/readings*", lambda route: held.append(route))
    words = line(ines)
    assert words.evaluate(_PALE) == 1
    brush(ines, "A").fill("9.0")
    brush(ines, "A").press("Enter")
    ines.wait_for_timeout(500)
    assert words.evaluate(_PALE) < 0.6
    held[0].continue_()
    expect(words).to_contain_text("1.0 mm to its limit")
    expect_all_kept(ines)
    assert words.evaluate(_PALE) == 1


def test_without_the_network_a_page_stays_with_its_list(ines: Page, watch: Watch, sheet: str) -> None:
    watch.cut = True
    ines.goto(f"/sheets/{sheet}/brushes")
    ines.context.set_offline(True)
    brush(ines, "A").fill("19.4")
    brush(ines, "A").press("Enter")
    brush(ines, "B").fill("19.")
    ines.get_by_role("link", name="Stage on").press("Enter")
    expect(waiting(ines)).to_contain_text("The network is away, so this page stays.")
    expect(waiting(ines)).to_contain_text("2 entries wait")
    ines.get_by_role("navigation", name="Stages of this sheet").get_by_role("link", name="Sign").press("Enter")
    expect(brush(ines, "B")).to_have_value("19.")
    ines.context.set_offline(False)
    expect_all_kept(ines)
    expect(main(ines)).to_contain_text("19.40 ± 0.05 mm")
    ines.get_by_role("link", name="Stage on").press("Enter")
    ines.wait_for_url("**/commutator*")
