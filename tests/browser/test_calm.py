"""The calm line, the work in the middle, and where the focus is: measured on the page as it is drawn."""

from datetime import datetime, timedelta

import pytest
from playwright.sync_api import Locator, Page, expect

from conftest import Shop
from live import Watch
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.sign import STAGE as SIGN
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from seen import brush, line, main, press, tab_on

pytestmark = pytest.mark.browser
LONG = "Revolve drive of the great stage with its emergency brake and the spare motor".ljust(80, "x")
OTHER_SCRIPT = "Двигатель не запускается, пахнет горелым; 焦げた匂いがする; لا يعمل المحرك"
REASON = ("left so because the winder is away and the house plays tonight, " * 4)[:200]
_IN_A_FIELD = """() => document.activeElement.closest('#stage') !== null && document.activeElement.matches(
  'input, select, textarea, [role=application], button[name=value], button[aria-pressed], summary, a.btn, .matter a')"""
_TOP = "e => e.getBoundingClientRect().top"
_BOX = "e => { const b = e.getBoundingClientRect(); return [b.left, b.top, b.right, b.bottom]; }"


@pytest.fixture
def sheet(shop: Shop) -> str:
    """Return an open sheet of a motor with a long story: a complaint, readings, findings."""
    shop.now = datetime.now() - timedelta(weeks=8)
    motor = shop.motor(tag="W-09", name="Trap winch", figures={"construction": "shunt"})
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20.6", "20.9")
    shop.later(weeks=3, days=6).log(motor, "250")
    made = open_sheet(shop.conn, shop.act(), motor, kind="full", counter="")
    for field in ("waive.safe", "complaint"):
        enter(shop.conn, shop.later(seconds=9).act(), made, field_id=field, place=0, text="gone through")
    record(shop.conn, shop.later(seconds=9).act(), made, position=1, text="9.2")
    note(shop.conn, shop.later(seconds=9).act(), made, 1, "face.burnt")
    return made


def rail(page: Page) -> Locator:
    return page.get_by_role("navigation", name="Stages of this sheet")


def title(page: Page) -> Locator:
    return main(page).get_by_role("heading", level=2).first


def lines_of(element: Locator) -> float:
    return float(element.evaluate("e => e.getBoundingClientRect().height / parseFloat(getComputedStyle(e).lineHeight)"))


def focused_box(page: Page) -> list[float]:
    return [float(x) for x in page.evaluate(f"({_BOX})(document.activeElement)")]


def test_the_line_is_calm_and_all_stages_are_in_sight(ines: Page, watch: Watch, sheet: str) -> None:
    ines.set_viewport_size({"width": 1280, "height": 800})
    bar = 0.0
    for stage in STAGE_BY_ID:
        ines.goto(f"/sheets/{sheet}/{stage}")
        bar = bar or float(ines.get_by_role("navigation", name="Working areas").evaluate(_TOP))
        assert lines_of(line(ines)) < 2.5, stage
        assert title(ines).evaluate(_TOP) <= 200, stage
        boxes = [x.evaluate(_BOX) for x in rail(ines).get_by_role("listitem").all()[:13]]
        assert len(boxes) == 13
        assert max(b[3] for b in boxes) <= bar, stage
        assert min(b[3] - b[1] for b in boxes) >= 36
    ines.mouse.wheel(0, 5000)
    expect(line(ines)).to_be_in_viewport(ratio=0.9)
    for path in ("/", "/motors/test-act-00001"):
        ines.goto(path)
        assert lines_of(line(ines)) < 2.5, path


def test_on_a_phone_the_rail_is_one_line_and_the_work_begins_on_the_first_screen(
    ines: Page, watch: Watch, sheet: str
) -> None:
    ines.set_viewport_size({"width": 390, "height": 844})
    for stage in STAGE_BY_ID:
        ines.goto(f"/sheets/{sheet}/{stage}")
        assert title(ines).evaluate(_TOP) < 600, stage
        assert rail(ines).evaluate("e => e.getBoundingClientRect().height") < 70
    entry = rail(ines).get_by_role("listitem").first
    expect(entry).to_be_hidden()
    rail(ines).get_by_role("link", name="13 of 13").click()
    expect(entry).to_be_visible()
    assert min(x.evaluate("e => e.offsetHeight") for x in rail(ines).get_by_role("listitem").all()) >= 44
    rail(ines).get_by_role("link", name="Windings").click()
    expect(title(ines)).to_have_text("Windings")
    expect(entry).to_be_hidden()


def test_a_change_of_stage_puts_the_focus_on_its_title_and_fields_are_near(
    ines: Page, watch: Watch, sheet: str
) -> None:
    ines.goto(f"/sheets/{sheet}/call-in")
    skips = ines.get_by_role("link", name="To the stages")
    tab_on(ines, "To the stages")
    press(ines, "Enter", "Tab")
    assert rail(ines).evaluate("e => e.contains(document.activeElement)")
    expect(skips).not_to_be_focused()
    for stage in ("safe", "before", "open", "brushes"):
        press(ines, "]")
        ines.wait_for_url(f"**/{stage}#stage-title")
        expect(title(ines)).to_be_focused()
    press(ines, "Tab", "Tab")  # past the unit of a bare number
    expect(brush(ines, "A")).to_be_focused()
    height = ines.viewport_size["height"] if ines.viewport_size else 0
    bar = float(ines.get_by_role("navigation", name="Working areas").evaluate(_TOP))
    for _ in range(60):
        press(ines, "Tab")
        _, top, _, bottom = focused_box(ines)
        if not main(ines).evaluate("e => e.contains(document.activeElement)") or bottom - top > height / 2:
            continue
        inside = ines.evaluate("document.activeElement.closest('#rail, #line') !== null")
        below = float(line(ines).evaluate("e => e.closest('section').getBoundingClientRect().bottom"))
        assert inside or (top >= below - 1 and bottom <= bar + 1), (top, bottom)


_STAYS = """() => [...document.querySelectorAll('body *')].filter((e) => e.checkVisibility()
  && ['fixed', 'sticky'].includes(getComputedStyle(e).position)).map((e) => e.id || e.className)"""


def test_at_400_per_cent_nothing_stays_in_place_before_the_work(ines: Page, sheet: str) -> None:
    ines.set_viewport_size({"width": 320, "height": 200})
    for address in (f"/sheets/{sheet}/brushes", f"/sheets/{sheet}/decide", "/", "/sums/usable-carbon"):
        ines.goto(address)
        expect(main(ines)).to_be_visible()
        assert ines.evaluate(_STAYS) == [], address
    ines.set_viewport_size({"width": 1280, "height": 800})
    assert "areas nav" in ines.evaluate(_STAYS)


def test_the_first_field_of_a_stage_is_three_tabs_from_its_title(ines: Page, watch: Watch, sheet: str) -> None:
    """But for the signature, where the ways to what holds it come first."""
    for stage in (s for s in STAGE_BY_ID if s != SIGN.id):
        ines.goto(f"/sheets/{sheet}/{stage}#stage-title")
        expect(title(ines)).to_be_focused()
        for _ in range(3):
            press(ines, "Tab")
            if ines.evaluate(_IN_A_FIELD):
                break
        else:
            pytest.fail(f"no field of {stage} within three Tabs")


def test_the_line_is_one_live_region_that_stays(ines: Page, watch: Watch, sheet: str) -> None:
    ines.goto(f"/sheets/{sheet}/brushes")
    region = line(ines).locator("xpath=ancestor::section")
    expect(region).to_have_attribute("aria-live", "polite")
    region.evaluate("e => { e.kept = true; }")
    brush(ines, "B").focus()
    ines.keyboard.type("9.1")
    press(ines, "Enter")
    expect(main(ines)).to_contain_text("9.10 ± 0.05 mm")
    assert region.evaluate("e => e.kept") is True


def test_keys_can_be_switched_off_or_held_with_alt(ines: Page, watch: Watch, sheet: str) -> None:
    bar = ines.get_by_role("navigation", name="Working areas")

    def choose(words: str) -> None:
        ines.goto("/who")
        ines.get_by_role("group", name="Keys").get_by_role("button", name=words).click()
        ines.goto("/")

    ines.goto("/")
    expect(bar).to_contain_text("g m")
    press(ines, "g", "m")
    ines.wait_for_url("**/motors")
    choose("No keys")
    expect(bar.get_by_text("g m")).to_be_hidden()
    press(ines, "g", "m", "/", "?")
    expect(line(ines)).to_be_visible()
    assert ines.url.endswith("/")
    choose("keys with Alt")
    press(ines, "g", "m")
    assert ines.url.endswith("/")
    press(ines, "Alt+g", "m")
    ines.wait_for_url("**/motors")
    press(ines, "Alt+?")
    expect(ines.get_by_role("dialog")).to_contain_text("Alt g m")
    choose("Single keys")
    press(ines, "g", "h")
    ines.wait_for_url("**/hours")


@pytest.mark.parametrize("size", [(320, 640), (640, 400), (820, 1180), (1280, 800)], ids=lambda s: f"{s[0]} px")
def test_nothing_is_cut_and_nothing_stands_sideways(
    ines: Page, watch: Watch, shop: Shop, size: tuple[int, int]
) -> None:
    """A name of 80 characters, another script, 40 brushes, a long reason; 640 by 400 is 1280 by 800 at 200 %."""
    shop.now = datetime.now() - timedelta(weeks=3)
    motor = shop.motor(tag="R-01", name=LONG, place="under the great stage, behind the second trap", brushes="40")
    sheet = open_sheet(shop.conn, shop.act(), motor, kind="full", counter="")
    for field, text in (("waive.safe", REASON), ("complaint", OTHER_SCRIPT), ("skip.windings", REASON)):
        enter(shop.conn, shop.later(seconds=9).act(), sheet, field_id=field, place=0, text=text)
    record(shop.conn, shop.later(seconds=9).act(), sheet, position=40, text="19.2")
    enter(
        shop.conn,
        shop.later(seconds=9).act(),
        sheet,
        field_id="overrule.brushes",
        place=0,
        text="stop",
        more={"why": REASON},
    )
    ines.set_viewport_size({"width": size[0], "height": size[1]})
    paths = [
        "/",
        "/motors",
        "/hours",
        "/outlook",
        "/sums",
        "/sums/find-cause",
        "/rulebook",
        "/rulebook/line.plan",
        "/who",
    ]
    paths += [f"/motors/{motor}{x}" for x in ("", "/hours", "/figures", "/new-set", "/notes")]
    paths += [f"/sheets/{sheet}/{stage}" for stage in STAGE_BY_ID]
    for path in paths:
        ines.goto(path)
        over = ines.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth")
        assert over <= 0, f"{path} is {over} px too wide at {size[0]}"
        cut = ines.evaluate(_CUT)
        assert cut == [], path


# Words that are wider or higher than the box that hides what is beyond it.
_CUT = """() => [...document.querySelectorAll('.place, main :is(h1, h2, p, li, td, button, label, a)')]
  .filter(e => e.checkVisibility() && ['hidden', 'clip'].includes(getComputedStyle(e).overflowX)
    && !e.closest('.visually-hidden') && (e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 1))
  .map(e => e.textContent.slice(0, 60))"""
