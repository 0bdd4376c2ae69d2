"""The work list kept by keyboard: a task added, another dropped with its reason, the order turned round."""

import pytest
from playwright.sync_api import Page, expect

from at_work import Work, at_work
from conftest import Shop
from live import Watch, served
from seen import expect_all_kept, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool at work, with a brush that sticks and a poor terminal."""
    shop.today(minutes=100)
    made = at_work(shop, "tool", "construction=universal rated_v=230", "20.2 20.1")
    made.bench.see(1, "brush.sticky")
    made.bench.see(2, "terminal.poor")
    return made


def listed(page: Page) -> list[str]:
    return [str(x.get_attribute("id")) for x in main(page).locator(".worklist > li").all()]


def test_the_work_list_is_kept_by_keyboard(ines: Page, work: Work, watch: Watch) -> None:
    page, watch.answers = ines, {400, 422}
    page.goto(f"/sheets/{work.bench.id}/rework")
    was = listed(page)
    press_on(main(page).get_by_text("Add a task"))
    page.get_by_label("The task").fill("paint the case")
    page.get_by_label("It takes about, min").fill("soon")
    press(page, "Enter")
    expect(main(page)).to_contain_text("cannot be read as a number")
    page.get_by_label("It takes about, min").fill("30")
    press(page, "Enter")
    expect(main(page).locator(".worklist")).to_contain_text("paint the case")
    expect_all_kept(page)
    assert listed(page) == [*was, "task-own-1"]
    first = main(page).locator(f"#{was[0]}")
    press_on(first.get_by_text("Drop or move"))
    press_on(first.get_by_role("button", name="Later"))
    expect(main(page).locator(".worklist > li").first).to_have_id(was[1])
    expect_all_kept(page)
    page.goto(f"/sheets/{work.bench.id}/rework")
    assert listed(page)[:2] == [was[1], was[0]]
    first = main(page).locator(f"#{was[0]}")
    press_on(first.get_by_text("Drop or move"))
    first.get_by_label("is dropped").fill("no time before the show")
    press(page, "Enter")
    expect(first).to_contain_text("Dropped: no time before the show")
    expect(first).to_contain_text("What asks for it stays open.")
    expect_all_kept(page)
