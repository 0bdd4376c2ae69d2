"""Parts offered by keyboard: the wrong set is refused before the old one comes out, and stays on the sheet."""

import pytest
from playwright.sync_api import Page, expect

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from live import Watch, served
from seen import expect_all_kept, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]


@pytest.fixture
def roaster(shop: Shop) -> Work:
    """Return a coffee roaster with angled faces on its sheet, its set at the end."""
    shop.today(minutes=100)
    figures = {"construction": "universal", "rated_v": "230", "face_angle_deg": "15", "protection": "protective earth"}
    motor = shop.motor(tag="A-11", motor_class="appliance", new_length="32", limit="9.5", figures=figures)
    work = Work(shop, Bench(shop, motor)).safe()
    work.put("complaint=still state=opened")
    work.bench.measure("9.8", "9.7")
    return work


def test_the_wrong_set_is_refused_by_keyboard(ines: Page, roaster: Work, watch: Watch) -> None:
    page, sheet, watch.answers = ines, roaster.bench.id, {400, 422}
    page.goto(f"/sheets/{sheet}/decide")
    link = main(page).get_by_role("link", name="brush set", exact=True)
    press_on(link)
    page.get_by_label("length r, the new one").fill("thick")
    press(page, "Enter")
    expect(main(page)).to_contain_text("cannot be read as a number")
    page.get_by_label("length r, the new one").fill("32")
    page.get_by_label("face angle, the new one").fill("0")
    page.get_by_label("part number, the new one").fill("LP-B 50")
    press(page, "Enter")
    expect_all_kept(page)
    page.goto(f"/sheets/{sheet}/decide")
    expect(main(page)).to_contain_text("Brush set LP-B 50: do not use")
    expect(main(page)).to_contain_text("Face at 0° where 15° was.")
    back = main(page).get_by_role("button", name="sent back, not fitted")
    press_on(back)
    expect_all_kept(page)
    page.goto(f"/sheets/{sheet}/rework")
    expect(main(page)).to_contain_text("Brush set LP-B 50: do not use")
    chosen = main(page).get_by_role("button", name="✓ sent back, not fitted", exact=True)
    expect(chosen).to_have_attribute("aria-pressed", "true")
