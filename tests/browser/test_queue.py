"""The queue of entries: it outlives the browser, belongs to its person, and does without what a browser forbids."""

from datetime import datetime, timedelta
from pathlib import Path

import pytest
from playwright.sync_api import Browser, BrowserContext, Page, Route, expect

from conftest import Shop, readings_on
from live import ARGS, Watch, come_in
from norvash.store.file.database import transaction
from norvash.store.record import people
from seen import brush, expect_all_kept, line, main, press, row, rows, waiting

pytestmark = pytest.mark.browser


@pytest.fixture
def sheet(shop: Shop) -> str:
    """Return an open quick look at two brushes."""
    shop.now = datetime.now() - timedelta(weeks=8)
    motor = shop.motor(tag="W-09", name="Trap winch")
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20.6", "20.9")
    shop.later(weeks=3, days=6).log(motor, "250")
    with transaction(shop.conn):
        people.add_person(shop.conn, people.Person("second-person", "Bram Aldous"), shop.now)
    return shop.look(motor)


def typed(shop: Shop, sheet: str) -> list[str]:
    return [r.typed for r in readings_on(shop.conn, sheet).values()]


def enter(page: Page, label: str, value: str) -> None:
    brush(page, label).fill(value)
    brush(page, label).press("Enter")


def work_as(page: Page, name: str) -> None:
    page.goto("/who")
    page.get_by_role("button", name=name).click()
    expect(page.get_by_role("link", name=name)).to_be_visible()


def test_entries_belong_to_their_person_and_wait_until_they_are_back(
    ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop
) -> None:
    watch.cut, watch.answers = True, {409}
    ines.goto(f"/sheets/{sheet}/brushes")
    context.set_offline(True)
    enter(ines, "A", "19.4")
    expect(waiting(ines)).to_contain_text("One entry waits")
    # Somebody else takes the device before anything was sent: it is neither sent in the wrong name nor thrown away.
    come_in(context, watch.address, "second-person")
    context.set_offline(False)
    ines.goto(f"/sheets/{sheet}/brushes")
    expect(waiting(ines)).to_contain_text("One entry of Ines Torvald waits in this browser until they work on it again")
    enter(ines, "B", "19.9")
    expect(row(ines, "B")).to_contain_text("usable")
    assert typed(shop, sheet) == ["19.9"]
    work_as(ines, "Ines Torvald")
    ines.goto(f"/sheets/{sheet}/brushes")
    expect(brush(ines, "A")).to_have_value("19.4")
    assert typed(shop, sheet) == ["19.4", "19.9"]
    by = shop.conn.execute("select a.person_id from reading r join act a on a.id = r.act_id where r.typed = '19.4'")
    assert [r["person_id"] for r in by] == ["person-of-test"]


def test_a_page_left_open_from_another_person_enters_nothing_in_the_wrong_name(
    ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop
) -> None:
    watch.answers = {409}
    ines.goto(f"/sheets/{sheet}/brushes")
    other = watch.over(context.new_page())
    work_as(other, "Bram Aldous")
    enter(ines, "A", "19.4")
    expect(waiting(ines)).to_contain_text("Somebody else is signed in on this device now")
    assert typed(shop, sheet) == []
    work_as(other, "Ines Torvald")
    expect_all_kept(ines)
    assert typed(shop, sheet) == ["19.4"]


def test_what_waits_outlives_the_browser(
    *, browser: Browser, watch: Watch, sheet: str, shop: Shop, tmp_path: Path
) -> None:
    def opened() -> BrowserContext:
        made = browser.browser_type.launch_persistent_context(
            tmp_path / "profile",
            executable_path="/usr/bin/chromium",
            args=ARGS,
            base_url=watch.address,
            viewport={"width": 1280, "height": 800},
            locale="en-GB",
            timezone_id="UTC",
        )
        come_in(made, watch.address, "person-of-test")
        return made

    watch.cut = True
    first = opened()
    page = watch.over(first.new_page())
    page.goto(f"/sheets/{sheet}/brushes")
    first.set_offline(True)
    enter(page, "A", "19.4")
    expect(waiting(page)).to_contain_text("One entry waits")
    first.close()
    again = opened()
    page = watch.over(again.new_page())
    page.goto("/sums")
    expect_all_kept(page)
    page.goto(f"/sheets/{sheet}/brushes")
    expect(brush(page, "A")).to_have_value("19.4")
    again.close()
    assert typed(shop, sheet) == ["19.4"]


def test_nobody_is_told_that_an_entry_lies_in_the_browser_before_it_does(
    ines: Page, watch: Watch, sheet: str, shop: Shop
) -> None:
    watch.cut = True
    ines.add_init_script(
        """Object.defineProperty(IDBTransaction.prototype, "oncomplete", {
             set(stored) { this.addEventListener("complete", () => setTimeout(stored, 2000)); } });"""
    )
    ines.goto(f"/sheets/{sheet}/brushes")
    ines.context.set_offline(True)
    enter(ines, "A", "19.4")
    expect(waiting(ines)).to_contain_text("One entry is being stored in this browser: A")
    expect(waiting(ines)).to_contain_text("One entry waits in this browser until the network is back: A")
    ines.context.set_offline(False)
    expect_all_kept(ines)
    assert typed(shop, sheet) == ["19.4"]


def test_an_entry_on_its_way_pushes_nothing_from_under_the_hand(ines: Page, sheet: str, shop: Shop) -> None:
    ines.goto(f"/sheets/{sheet}/brushes")
    ines.evaluate(
        """() => { const bar = document.getElementById("waiting"), since = performance.now(); window.shownAfter = [];
             new MutationObserver(() => bar.offsetHeight && shownAfter.push(performance.now() - since))
               .observe(bar, { attributes: true }); }"""
    )
    enter(ines, "A", "19.4")
    expect(main(ines)).to_contain_text("19.40 ± 0.05 mm")
    assert typed(shop, sheet) == ["19.4"]
    assert all(ms > 1500 for ms in ines.evaluate("shownAfter"))


def test_what_an_earlier_build_left_waiting_is_sent_once(ines: Page, watch: Watch, sheet: str, shop: Shop) -> None:
    left = {
        "act": "left-by-an-earlier-build",
        "url": f"/sheets/{sheet}/readings",
        "body": "act_id=left-by-an-earlier-build&stage=brushes&place=1&value=19.4",
        "says": "A 19.4",
        "page": f"/sheets/{sheet}/brushes",
        "who": "person-of-test",
    }
    ines.goto("/sums")
    ines.evaluate("left => localStorage.setItem('norvash.waiting', JSON.stringify([left]))", left)
    ines.goto(f"/sheets/{sheet}/brushes")
    expect(brush(ines, "A")).to_have_value("19.4")
    expect_all_kept(ines)
    assert ines.evaluate("localStorage.getItem('norvash.waiting')") is None
    assert typed(shop, sheet) == ["19.4"]


FORBIDDEN = "Object.defineProperty(window, 'indexedDB', { get() { throw new DOMException('forbidden'); } });"
FULL = "IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); };"
NO_LOCKS = "Object.defineProperty(navigator, 'locks', { value: undefined });"


@pytest.mark.parametrize("script", [FORBIDDEN, FULL], ids=["forbidden", "full"])
def test_a_browser_that_keeps_nothing_says_so_and_still_sends(
    *, ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop, script: str
) -> None:
    watch.cut = True
    ines.add_init_script(script)
    ines.goto(f"/sheets/{sheet}/brushes")
    context.set_offline(True)
    enter(ines, "A", "19.4")
    enter(ines, "B", "19.9")
    expect(waiting(ines)).to_contain_text("2 entries wait")
    expect(ines.get_by_text("This browser keeps nothing")).to_be_visible()
    context.set_offline(False)
    expect(waiting(ines)).to_be_hidden()
    expect(rows(ines)).to_contain_text("19.90 ± 0.05 mm")
    assert typed(shop, sheet) == ["19.4", "19.9"]


@pytest.mark.parametrize("script", ["", NO_LOCKS], ids=["locks", "a lease"])
def test_two_tabs_on_one_sheet_send_everything_once(
    *, ines: Page, context: BrowserContext, watch: Watch, sheet: str, shop: Shop, script: str
) -> None:
    watch.cut = True
    tabs = (ines, watch.over(context.new_page()))
    for tab in tabs:
        tab.add_init_script(script)
        tab.goto(f"/sheets/{sheet}/brushes")
    context.set_offline(True)
    enter(tabs[0], "A", "19.4")
    enter(tabs[1], "B", "19.9")
    expect(waiting(tabs[0])).to_contain_text("2 entries wait")
    expect(waiting(tabs[1])).to_contain_text("A 19.4; B 19.9")
    context.set_offline(False)
    for tab in tabs:
        expect_all_kept(tab)
        expect(rows(tab)).to_contain_text("19.40 ± 0.05 mm")
        expect(rows(tab)).to_contain_text("19.90 ± 0.05 mm")
    assert typed(shop, sheet) == ["19.4", "19.9"]
    assert shop.conn.execute("select count(*) from reading where round_id like ?", (f"{sheet}%",)).fetchone()[0] == 2


def test_whoever_goes_on_before_the_answer_came_finds_it_on_the_next_page(ines: Page, sheet: str, shop: Shop) -> None:
    ines.goto(f"/sheets/{sheet}/brushes")
    held: list[Route] = []
    ines.route("**/readings*", lambda route: held.append(route), times=1)
    with ines.expect_request("**/readings*"):  # it is kept in the browser first, and under way only then
        enter(ines, "A", "19.4")
    ines.goto(f"/sheets/{sheet}/sign")
    expect(main(ines).get_by_role("heading", name="Sign", exact=True)).to_be_visible()
    assert len(held) == 1
    expect_all_kept(ines)
    expect(line(ines)).to_contain_text("Measure B")
    assert typed(shop, sheet) == ["19.4"]


def test_a_page_from_before_an_upgrade_says_so_and_loses_nothing(ines: Page, sheet: str, shop: Shop) -> None:
    def newer(route: Route) -> None:
        answer = route.fetch()
        route.fulfill(response=answer, headers={**answer.headers, "norvash-build": "b-00000000"})

    ines.goto(f"/sheets/{sheet}/brushes")
    ines.route("**/version*", newer)
    brush(ines, "B").focus()
    ines.keyboard.type("19.9")
    expect(ines.get_by_text("Norvash has been renewed since this page was opened")).to_be_visible()
    expect(brush(ines, "B")).to_have_value("19.9")
    press(ines, "Enter")
    expect(row(ines, "B")).to_contain_text("usable")
    ines.get_by_role("button", name="Load this page again").click()
    expect(brush(ines, "B")).to_have_value("19.9")
    assert typed(shop, sheet) == ["19.9"]


def test_a_form_that_was_sent_before_the_scripts_came_is_answered_like_any_other(
    ines: Page, watch: Watch, sheet: str, shop: Shop
) -> None:
    watch.answers = {422}
    ines.goto(f"/sheets/{sheet}/brushes")
    brush(ines, "A").fill("abc")
    with ines.expect_navigation():
        brush(ines, "A").evaluate("field => field.form.submit()")
    expect(ines.get_by_role("alert")).to_contain_text("cannot be read as a number")
    expect(brush(ines, "A")).to_have_value("abc")
    enter(ines, "A", "770")
    expect(ines.get_by_role("button", name="770 thou")).to_be_visible()
    expect(brush(ines, "A")).to_have_value("770")
    assert ines.url.endswith(f"/sheets/{sheet}/brushes")
    ines.get_by_role("button", name="770 thou").click()
    expect(row(ines, "A")).to_contain_text("19.56 ± 0.05 mm")
    assert typed(shop, sheet) == ["770 thou"]


def test_an_entry_is_answered_by_what_it_changes(ines: Page, watch: Watch, sheet: str) -> None:
    """The answer is a fragment, packed; focus, caret, what is typed elsewhere and what is unfolded stay."""
    ines.goto(f"/sheets/{sheet}/brushes")
    ines.get_by_text("Measured another way").click()
    ines.get_by_label("Way", exact=True).select_option("depth")
    brush(ines, "B").fill("20.")
    press(ines, "ArrowLeft")
    with ines.expect_response("**/readings*") as answered:
        ines.evaluate(_SEND_A)
    expect(row(ines, "A")).to_contain_text("usable")
    text = answered.value.text()
    assert text.startswith('<template data-fragment="')
    assert len(text.encode()) <= 15_000
    assert answered.value.headers["content-encoding"] == "gzip"
    assert "row-1" in text
    expect(brush(ines, "B")).to_be_focused()
    expect(brush(ines, "B")).to_have_value("20.")
    assert ines.evaluate("document.activeElement.selectionStart") == 2
    expect(ines.get_by_label("Way", exact=True)).to_have_value("depth")
    expect(ines.get_by_label("Way", exact=True)).to_be_visible()


_SEND_A = """() => {
  const field = [...document.querySelectorAll('input')].find((i) => i.labels?.[0]?.textContent.trim().startsWith('A'));
  field.value = '19.4';
  field.form.requestSubmit();
  [...document.querySelectorAll('input')].find((i) => i.labels?.[0]?.textContent.trim().startsWith('B')).focus();
}"""
