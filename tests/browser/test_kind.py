"""Kind to hands and eyes: double clicks, the back button, no script, contrast, names for everything."""

import re
from datetime import datetime, timedelta
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from at_work import at_work
from conftest import Shop
from live import Watch
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.store.record import use
from norvash.work.on_sheet.opening import open_sheet
from seen import brush, line, main, press, press_on

pytestmark = pytest.mark.browser
CSS = (Path(__file__).parent.parent.parent / "src/norvash/web/static/styles/inks.css").read_text()


@pytest.fixture
def motor(shop: Shop) -> str:
    shop.now = datetime.now() - timedelta(weeks=8)
    made = shop.motor(tag="W-09", name="Trap winch")
    shop.later(weeks=4).log(made, "180")
    shop.measure(made, "", "20.6", "20.9")
    return made


def test_a_double_click_saves_once(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    ines.goto(f"/motors/{motor}/hours")
    ines.get_by_label("In hours").fill("190")
    ines.get_by_role("button", name="Log it").dblclick()
    expect(ines.get_by_role("cell", name="190").first).to_be_visible()
    assert [e.counter_units for e in use.list_entries(shop.conn, motor)] == [100, 180, 190]


def test_back_and_again_changes_nothing_and_says_so(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    watch.answers = {409}
    ines.goto(f"/motors/{motor}/hours")
    ines.get_by_label("In hours").fill("190")
    press(ines, "Enter")
    expect(ines.get_by_role("cell", name="190").first).to_be_visible()
    sent = {"act_id": "typed-in-a-form-1", "value": "195", "mode": "counter", "day": "", "answer": ""}
    origin = {"Origin": watch.address}
    for value, status in (("195", 200), ("195", 200), ("196", 409)):
        answer = ines.request.post(f"/motors/{motor}/hours", form={**sent, "value": value}, headers=origin)
        assert (answer.status, "already sent" in answer.text()) == (status, status == 409)
    assert len(use.list_entries(shop.conn, motor)) == 4


def test_everything_works_without_script(browser: Browser, address: str, motor: str, shop: Shop) -> None:
    context = browser.new_context(base_url=address, java_script_enabled=False)
    page = context.new_page()
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    page.goto(f"/motors/{motor}/sheet")
    page.get_by_label("I made it safe").check()
    page.get_by_role("button", name="Begin with A").click()
    for number, value in ((1, "20.57"), (2, "20.88")):
        brush(page, "AB"[number - 1]).fill(value)
        brush(page, "AB"[number - 1]).press("Enter")
        expect(brush(page, "AB"[number - 1])).to_have_value(value)
    page.get_by_role("link", name="Sign").click()
    page.get_by_label("Guards, covers and earth").check()
    page.get_by_role("button", name="Sign as").click()
    expect(main(page)).to_contain_text("Measured. Signed by")
    page.goto(f"/motors/{motor}")
    expect(page.get_by_role("heading", name="Straight line, step by step")).to_be_visible()
    context.close()


def test_after_the_signature_the_hand_stands_on_it(browser: Browser, address: str, motor: str) -> None:
    """On a phone: figures of brushes and counter get its keypad, and a look without a reading says what it is."""
    phone = browser.new_context(base_url=address, viewport={"width": 390, "height": 844}, has_touch=True)
    page = phone.new_page()
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    expect(page.get_by_role("link", name="Ines Torvald")).to_be_visible()
    page.goto(f"/motors/{motor}/sheet")
    expect(page.get_by_label("The counter shows")).to_have_attribute("inputmode", "decimal")
    page.get_by_label("I made it safe").check()
    page.get_by_role("button", name="Begin with A").tap()
    expect(brush(page, "A")).to_have_attribute("inputmode", "decimal")
    page.goto(f"{page.url.split('/brushes')[0]}/sign")
    page.get_by_label("Guards, covers and earth").check()
    page.get_by_label("Signed with this open, because").fill("only looked at")
    press_on(page.get_by_role("button", name="Sign as"))
    signed = main(page).get_by_text("Signed by").first
    expect(signed).to_contain_text("Looked at, no carbon was measured. Signed by")
    expect(signed).to_be_focused()
    expect(signed).to_be_in_viewport()
    phone.close()


def test_the_hand_goes_on_where_what_it_pressed_is_gone(ines: Page, shop: Shop) -> None:
    """What follows in the page may be folded away: the focus then goes to what shows."""
    shop.today(minutes=120)
    work = at_work(shop, "tool", "tool")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes")
    ines.goto(f"/sheets/{work.bench.id}/rework")
    press_on(ines.get_by_role("button", name="looked again: gone"))
    expect(ines.get_by_role("button", name="looked again: gone")).to_have_count(0)
    assert ines.evaluate("document.activeElement !== document.body && document.activeElement.checkVisibility()")


def test_where_a_system_sets_its_own_colours_the_focus_of_the_bottom_bar_is_an_outline(ines: Page) -> None:
    ines.emulate_media(forced_colors="active")
    ines.goto("/")
    link = ines.get_by_role("navigation", name="Working areas").get_by_role("link").first
    for _ in range(60):
        press(ines, "Tab")
        if link.evaluate("e => e === document.activeElement"):
            break
    shown = link.evaluate("e => [getComputedStyle(e).outlineStyle, parseFloat(getComputedStyle(e).outlineWidth)]")
    assert shown == ["solid", 3]


PAGES = (
    "/",
    "/motors",
    "/motors/new",
    "/motors/new?motor_class=tool",
    "/motors/{}",
    "/motors/{}/hours",
    "/motors/{}/sheet",
    "/motors/{}/sheet?kind=full",
    "/motors/{}/new-set",
    "/motors/{}/figures",
    "/policies/motor/{}",
    "/types",
    "/types/new",
    "/hours",
    "/hours/import",
    "/outlook",
    "/outlook/dark",
    "/outlook/past",
    "/sums",
    "/sums/seating",
    "/rulebook",
    "/rulebook/stage.watch",
)
NAMELESS = """[...document.querySelectorAll('a, button, input:not([type=hidden]), select, svg[role]')].filter(e => {
  const words = e.getAttribute('aria-label') || e.textContent.trim() || e.getAttribute('title')
    || [...(e.labels || [])].map(l => l.textContent.trim()).join('') || e.querySelector('img')?.alt;
  return !words;
}).map(e => e.outerHTML.slice(0, 120))"""


def test_everything_has_a_name_and_one_heading(ines: Page, watch: Watch, motor: str, shop: Shop) -> None:
    sheet = open_sheet(shop.conn, shop.later(weeks=3).act(), motor, kind="full", counter="")
    stages = [f"/sheets/{sheet}/{stage}?position=1" for stage in STAGE_BY_ID]
    for path in (*PAGES, *stages):
        ines.goto(path.format(motor))
        assert ines.evaluate(NAMELESS) == [], path
        assert ines.get_by_role("heading", level=1).count() == 1, path
        assert ines.evaluate("document.title").strip(), path
        ids = ines.evaluate("[...document.querySelectorAll('[id]')].map(e => e.id)")
        assert len(ids) == len(set(ids)), path


def test_only_a_sheet_is_asked_how_new_it_is(ines: Page, watch: Watch, motor: str) -> None:
    asked = list[str]()
    ines.on("request", lambda r: asked.append(r.url))
    ines.clock.install()
    ines.goto(f"/policies/motor/{motor}")
    ines.get_by_label("Kind").select_option("table")
    ines.get_by_label("Table, pasted from a spreadsheet").fill("no bench sheet, a table to paste")
    ines.clock.run_for(3000)
    expect(ines.get_by_label("Table, pasted from a spreadsheet")).to_have_value("no bench sheet, a table to paste")
    assert not [url for url in asked if "/version" in url]


def luminance(colour: str) -> float:
    parts = [int(colour[i : i + 2], 16) / 255 for i in (1, 3, 5)]
    red, green, blue = (c / 12.92 if c <= 0.03928 else ((c + 0.055) / 1.055) ** 2.4 for c in parts)
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue


def contrast(a: str, b: str) -> float:
    high, low = sorted((luminance(a), luminance(b)), reverse=True)
    return (high + 0.05) / (low + 0.05)


@pytest.mark.parametrize("light", [0, 1], ids=["light", "dark"])
def test_text_stands_out_from_its_ground(light: int) -> None:
    tokens = {
        n: (a, b)[light] for n, a, b in re.findall(r"--([a-z-]+): light-dark\((#[0-9a-f]{6}), (#[0-9a-f]{6})\)", CSS)
    }
    weak = [
        (text, ground, round(contrast(tokens[text], tokens[ground]), 2))
        for text in ("ink", "soft", "copper-deep", "fit", "watch", "plan", "change", "stop")
        for ground in ("paper", "sheet")
        if contrast(tokens[text], tokens[ground]) < 4.5
    ]
    assert weak == []
    assert contrast(tokens["carbon"], tokens["paper"]) >= 3
    assert contrast(tokens["copper-deep"], tokens["carbon"]) >= 1.2


def test_light_stays_as_chosen(ines: Page, watch: Watch) -> None:
    ines.get_by_role("button", name="Dark page").click()
    expect(ines.locator("html")).to_have_attribute("data-light", "dark")
    ines.goto("/sums")
    expect(ines.locator("html")).to_have_attribute("data-light", "dark")
    assert ines.evaluate("getComputedStyle(document.body).backgroundColor") == "rgb(28, 31, 34)"


def test_drawings_are_saved_as_files(ines: Page, watch: Watch, motor: str) -> None:
    ines.goto(f"/motors/{motor}")
    with ines.expect_download() as waiting:
        ines.get_by_role("link", name="Save as SVG").first.click()
    saved = waiting.value
    assert saved.suggested_filename == "W-09-when-bar.svg"
    assert saved.path().read_text().startswith("<?xml")
    ines.get_by_text("Table").first.click()
    expect(ines.get_by_role("columnheader", name="who says so").first).to_be_visible()


def test_a_site_figure_changes_the_verdict_that_shows_it(ines: Page, watch: Watch, motor: str) -> None:
    ines.goto("/rulebook/stage.watch")
    ines.get_by_label("Figure").fill("95 %")
    ines.get_by_label("Why").fill("the pit is hard to reach")
    press(ines, "Enter")
    expect(ines.get_by_role("cell", name="the pit is hard to reach")).to_be_visible()
    ines.goto(f"/motors/{motor}")
    expect(main(ines)).to_contain_text("Watch")
    expect(main(ines)).to_contain_text("set by us")
    ines.get_by_role("link", name="Watch: usable carbon").click()
    ines.get_by_role("button", name="Back to the default").click()
    ines.goto(f"/motors/{motor}")
    expect(main(ines)).to_contain_text("Run on")


def test_a_sum_by_keyboard(ines: Page, watch: Watch) -> None:
    page, watch.answers = ines, {422}
    page.goto("/sums")
    press(page, "2")
    press(page, "9")
    expect(line(page)).to_have_text("Vibration")
    page.goto("/sums")
    press(page, "2")
    expect(line(page)).to_have_text("Brush limit")
    page.goto("/sums")
    press(page, "1")
    press(page, "0")
    expect(page.get_by_label("Commutator diameter")).to_be_focused()
    press(page, "Control+A")
    page.keyboard.type("2.44 in")
    press(page, "Enter")
    expect(main(page)).to_contain_text("depth of the curve")
    press(page, "Tab")
    press(page, "Control+A")
    page.keyboard.type("big")
    press(page, "Enter")
    expect(page.get_by_role("alert")).to_contain_text("cannot be read")
    expect(page.get_by_label("Thickness t")).to_have_value("big")
    expect(page.get_by_label("Thickness t")).to_be_focused()


def test_paper_shows_the_work_and_not_the_controls(ines: Page, watch: Watch, motor: str) -> None:
    ines.emulate_media(media="print")
    ines.goto(f"/motors/{motor}")
    for hidden in (".areas", ".acts", ".find"):
        expect(ines.locator(hidden).first).to_be_hidden()
    expect(ines.get_by_role("heading", name="Sets fitted")).to_be_visible()
