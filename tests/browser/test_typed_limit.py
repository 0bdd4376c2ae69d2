"""A mistyped limit is corrected by keyboard in the middle of a visit: asked with its list, read again, signed."""

import re
from datetime import datetime

import pytest
from playwright.sync_api import Page, expect

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from live import Watch, served
from norvash.work.motors.policing import add_policy
from seen import beside, expect_all_kept, main, press, tab_on

pytestmark = pytest.mark.browser
__all__ = ["served"]


@pytest.fixture
def saw(shop: Shop) -> Work:
    """Return a saw whose limit was typed as 19 for 9, on its sheet, run as it should."""
    shop.today(minutes=100)
    figures = {"construction": "universal", "rated_v": "230", "noload_rpm": "12000", "noload_a": "2"}
    motor = shop.motor(tag="T-40", motor_class="tool", new_length="22", limit="19", set_is_new=False, figures=figures)
    work = Work(shop, Bench(shop, motor)).safe()
    work.put("complaint=weak state=opened")
    work.bench.measure("15", "15.2")
    work.put("sound.commutator=yes sound.windings=yes sound.drive=yes looked.springs=yes looked.holders=yes")
    return work


def test_an_honest_typo_ends_in_a_certificate_in_two_more_acts(ines: Page, saw: Work, watch: Watch) -> None:
    page, motor, watch.answers = ines, saw.bench.motor, {409}
    page.goto(f"/motors/{motor}/figures")
    page.get_by_label("Shortest length allowed").fill("9")
    press(page, "Enter")
    asked = main(page).get_by_role("group", name="What is this change?")
    expect(asked).to_contain_text("T-40")
    expect(asked).to_contain_text("The set")
    expect(asked.get_by_label("read again")).to_be_focused()
    press(page, "Space")
    tab_on(page, "Source")
    page.keyboard.type("maker's sheet")
    press(page, "Enter")
    expect(main(page)).to_contain_text("Somebody other than Ines Torvald confirms it, or its place is read once more.")
    page.goto(f"/sheets/{saw.bench.id}/brushes")
    told = "19 → 9 mm, read again from maker's sheet, Ines Torvald"
    expect(beside(page)).to_contain_text(f"Shortest length allowed {told}")
    expect(beside(page)).to_contain_text("measure or look at it once more")
    length = page.get_by_label("A", exact=False).and_(page.get_by_role("textbox")).first
    length.fill("15.01")
    length.press("Enter")
    expect_all_kept(page)
    expect(beside(page)).not_to_contain_text("measure or look at it once more")
    saw.shop.now = datetime.now()
    saw.bench.ready()
    saw.bench.run(run_v="229", run_a="2.1", run_rpm="11800")
    saw.put("complaint-now=unknown outcome=service").serve()
    saw.bench.sign()
    assert saw.told["signed_as"] == "certificate"
    page.goto(f"/sheets/{saw.bench.id}/sign")
    expect(main(page)).to_contain_text(told)


def test_taking_an_entry_of_the_log_back_that_ends_a_change_is_asked_on_a_page_of_its_own(
    ines: Page, shop: Shop, watch: Watch
) -> None:
    motor, page, watch.answers = shop.motor(tag="T-41", set_is_new=True), ines, {409}
    every = {"name": "P", "every": "300", "asks": "change"}
    add_policy(shop.conn, shop.act(), "motor", scope_id=motor, kind="interval", typed=every)
    shop.measure(motor, "100", "22", "22")
    shop.later(days=60).log(motor, "450")
    page.goto(f"/motors/{motor}/hours")
    page.get_by_role("button", name="Take the last entry back").press("Enter")
    asked = main(page).get_by_role("group", name="What is this change?")
    expect(asked).to_contain_text("T-41, The set: change now")
    expect(asked.get_by_label("read again")).to_be_focused()
    press(page, "Space")
    tab_on(page, "Source")
    page.keyboard.type("the counter itself")
    press(page, "Enter")
    expect(page).to_have_url(re.compile(f"/motors/{motor}/hours"))
    page.goto(f"/motors/{motor}")
    expect(main(page)).to_contain_text("took back the entry of 450 h: the counter itself")
