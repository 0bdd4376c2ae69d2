"""A run-in by keyboard in the browser: begun, put aside in the middle, gone on with after a reload, over its plan."""

import re

import pytest
from playwright.sync_api import Page, expect

from at_work import Work, at_work
from conftest import Shop
from live import Watch, served
from norvash.core.judging.run_in import logged
from seen import expect_all_kept, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]
FIGURES = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2 run_in_share=0.4 run_in_min=45"


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool with a new set, ready for power."""
    shop.today(minutes=100)
    made = at_work(shop, "tool", FIGURES, "20.2 20.1")
    made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")
    made.bench.fit("22", "22")
    made.bench.ready()
    return made


def points(work: Work) -> list[str]:
    return [x.point.words for x in logged(work.bench.page.sheet)]


def test_a_run_in_is_put_aside_and_gone_on_with_by_keyboard(ines: Page, work: Work, watch: Watch) -> None:
    page, watch.answers = ines, {400, 422}
    page.goto(f"/sheets/{work.bench.id}/rework")
    run, waits = main(page), main(page).get_by_text("run-in, no load, or a light one until")
    expect(run).to_contain_text("Keep to 92 V")
    press_on(run.get_by_role("button", name="Begin"))
    expect(waits).to_be_visible()
    expect(run.get_by_text(re.compile(r"^44:\d\d$"))).to_be_visible()
    page.get_by_label("V, A, r/min, sparks").fill("92 blue")
    press(page, "Enter")
    expect(run).to_contain_text("cannot be read")
    page.get_by_label("V, A, r/min, sparks").fill("91 1.9 4100 1 30")
    press(page, "Enter")
    expect_all_kept(page)
    expect(run.get_by_role("img", name=re.compile("1 point read, 0 over the plan"))).to_be_visible()
    press_on(run.get_by_role("button", name="Put aside", exact=True))
    expect(waits).to_have_count(0)
    expect_all_kept(page)
    page.reload()
    press_on(run.get_by_role("button", name="Go on"))
    expect(run.get_by_role("button", name="Put aside", exact=True)).to_be_visible()
    page.get_by_label("V, A, r/min, sparks").fill("115 2")
    press(page, "Enter")
    expect(run).to_contain_text("Over the plan: 115 V, 92 V at most")
    expect_all_kept(page)
    assert points(work) == ["91 V 1.9 A 4100 r/min sparks 1 30 °C", "115 V 2 A"]
    press_on(run.get_by_role("button", name="Faces and bars looked at since"))
    expect(run).not_to_contain_text("Look at faces and bars before more of it")
    expect_all_kept(page)
    for label in ("Brush A", "Brush B"):
        page.get_by_label(label).fill("80 %")
        press(page, "Enter")
        expect_all_kept(page)
    press_on(run.get_by_role("button", name="Ended", exact=True))
    expect_all_kept(page)
    page.goto(f"/sheets/{work.bench.id}/prove")
    expect(main(page)).not_to_contain_text("115 V")
