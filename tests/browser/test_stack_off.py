"""Stacks by keyboard and by touch: off in few keys, seen from what the type lends, back, and a shim short."""

import pytest
from playwright.sync_api import Browser, Page, expect

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from live import Watch, served
from norvash.core.visit.stacks import stacks_now
from norvash.demo.in_pieces import STACK
from norvash.work.motors.motor_types import save_type
from seen import expect_all_kept, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]
# A starter's stack as it is typed: thin parts with both sizes, long ones along the axis.
TYPED = (
    "ca20",
    "w1x24",
    "se5x28",
    "e22",
    "br22",
    "f1.5x30",
    "5s.2x26",
    "a170",
    "h96",
    "t1.2x30",
    "i4x76",
    "d50",
    "c3x22",
    "no66",
)
MOST_KEYS, MOST_LENT = 90, 20


@pytest.fixture
def starters(shop: Shop) -> list[Work]:
    """Return two starters of one type on their sheets."""
    shop.today(minutes=300)
    kind = save_type(shop.conn, shop.act(), "", name="Nose starter", motor_class="starter", brushes="4", typed={})
    motors = [shop.motor(tag=tag, motor_class="starter", type_id=kind) for tag in ("S-71", "S-72")]
    return [Work(shop, Bench(shop, motor)).safe() for motor in motors]


def parts(work: Work) -> list[str]:
    page = work.bench.page
    return [p.part.words for s in stacks_now(page.sheet, page.context.rules) for p in s.parts if p.off is not None]


def test_a_stack_of_fourteen_in_ninety_keys_and_closed_a_key_a_part(
    ines: Page, starters: list[Work], watch: Watch
) -> None:
    """From nothing, typed; then back in reverse by Enter, the shims short; a second starter sees what it is lent."""
    page, (work, other) = ines, starters
    page.goto(f"/sheets/{work.bench.id}/open?stack=other")
    expect(page.locator("#next-off")).to_be_focused()
    keys = 0
    for text in TYPED:
        page.keyboard.type(text)
        page.keyboard.press("Enter")
        keys += len(text) + 1
    expect_all_kept(page)
    assert keys <= MOST_KEYS
    expect(main(page)).to_contain_text("14 off and seen")
    assert len(parts(work)) == len(TYPED)
    assert parts(work)[6] == "5 shims 0.2 × 26"
    page.goto(f"/sheets/{work.bench.id}/close")
    for n in range(len(TYPED) - 7):
        expect(page.locator("#back")).to_be_focused()
        press(page, "Enter")
        expect(main(page)).to_contain_text(f"{n + 1} of 14 back")
    page.get_by_label("Not as it came off").fill("4")
    press(page, "Enter")
    expect(main(page)).to_contain_text("5 shims came off, 4 back")
    expect(page.locator("#found-back")).not_to_be_focused()
    expect(page.locator("#line")).to_contain_text("Find what is missing before you close.")
    press_on(page.locator("#found-back"))
    expect(main(page)).to_contain_text("8 of 14 back")
    work.put("outcome=out").bench.sign("it waits")
    page.goto(f"/sheets/{other.bench.id}/open")
    expect(main(page)).to_contain_text("14 lent by S-71, sheet 1 and not seen")
    for n in range(len(TYPED)):
        expect(page.locator("#seen")).to_be_focused()
        press(page, "Enter")
        expect(main(page)).to_contain_text(f"{n + 1} off and seen")
    assert len(parts(other)) == len(TYPED) <= MOST_LENT


def test_a_part_is_taken_off_by_touch(browser: Browser, address: str, starters: list[Work], watch: Watch) -> None:
    work = starters[0]
    phone = browser.new_context(base_url=address, viewport={"width": 390, "height": 844}, has_touch=True)

    page = watch.over(phone.new_page())
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    page.goto(f"/sheets/{work.bench.id}/open?stack=other")
    page.get_by_text("By touch").tap()
    page.get_by_role("button", name="cap", exact=True).tap()
    expect(main(page)).to_contain_text("1 off and seen")
    page.get_by_label("How many").fill("5")
    page.get_by_label("Long, mm").fill("0.2")
    page.get_by_role("button", name="shim", exact=True).tap()
    expect(main(page)).to_contain_text("2 off and seen")
    expect_all_kept(page)
    assert parts(work) == ["cap", "5 shims 0.2"]
    phone.close()


def test_what_cannot_be_is_told_at_its_field_and_kept(ines: Page, starters: list[Work], watch: Watch) -> None:
    page, watch.answers = ines, {400, 422, 409}
    page.goto(f"/sheets/{starters[0].bench.id}/open?stack=other")
    for text, words in {
        "washer three": "is not a part here",
        "500w1": "not a number of parts",
        "w0": "not possible",
    }.items():
        page.locator("#next-off").fill(text)
        page.locator("#next-off").press("Enter")
        expect(main(page)).to_contain_text(words)
        expect(page.locator("#next-off")).to_have_value(text)
    assert parts(starters[0]) == []
    assert len(STACK) == len(TYPED)
