"""Repair or buy by keyboard: two ways are priced, a slip is refused where it is, and one is taken."""

import pytest
from playwright.sync_api import Page, expect

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from live import Watch, served
from seen import expect_all_kept, main, press, press_on, tab_on

pytestmark = pytest.mark.browser
__all__ = ["served"]


@pytest.fixture
def cutter(shop: Shop) -> Work:
    """Return a tile cutter on its sheet, its set at the end."""
    shop.today(minutes=100)
    figures = {"construction": "universal", "rated_v": "230", "protection": "double insulated"}
    motor = shop.motor(tag="T-42", motor_class="tool", new_length="18.5", limit="6", figures=figures)
    work = Work(shop, Bench(shop, motor)).safe()
    work.put("complaint=weak state=opened")
    work.bench.measure("9.2", "8")
    return work


def priced(page: Page, sheet: str, way: str, **typed: str) -> None:
    """Turn to a way by keyboard, and type what it costs."""
    page.goto(f"/sheets/{sheet}/decide")
    link = main(page).get_by_role("link", name=way, exact=True)
    press_on(link)
    for label, text in typed.items():
        page.get_by_label(label.replace("_", " "), exact=False).first.focus()
        page.keyboard.press("Control+a")
        page.keyboard.type(text)
    press(page, "Enter")


def test_a_set_or_a_new_machine_is_decided_by_keyboard(ines: Page, cutter: Work, watch: Watch) -> None:
    page, sheet, watch.answers = ines, cutter.bench.id, {400, 422}
    priced(page, sheet, "brushes and springs", Parts_with_their_prices="brushes with springs -8.40")
    expect(main(page)).to_contain_text("is below 0")
    page.get_by_label("Parts with their prices").first.fill("brushes with springs 8.40")
    press(page, "Enter")
    expect_all_kept(page)
    priced(page, sheet, "new unit", Parts_with_their_prices="machine 84.00", Consumables="2.40")
    expect_all_kept(page)
    page.goto(f"/sheets/{sheet}/decide")
    expect(main(page)).to_contain_text("Brushes and springs: 9.7% of “new unit”, inside 60%")
    expect(main(page)).to_contain_text("“brushes and springs” stays ahead up to 51.84 landed; it is 8.40.")
    tab_on(page, "Which way is taken")
    press(page, "ArrowDown")
    press_on(page.get_by_role("button", name="Decide", exact=True).last)
    expect(main(page)).to_contain_text("“brushes and springs” is proposed.")
    page.get_by_label("because, beside cost").fill("needed tomorrow")
    press(page, "Enter")
    expect_all_kept(page)
    page.goto(f"/sheets/{sheet}/decide")
    expect(main(page)).to_contain_text("Another way is taken than the one that is proposed.")
