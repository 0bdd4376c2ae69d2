"""The bench sheet in the browser: a whole visit by keyboard with the gauge, the network cut, two people at once."""

import re
from collections.abc import Iterator
from datetime import datetime, timedelta
from pathlib import Path

import pytest
from playwright.sync_api import Browser, BrowserContext, Page, Route, expect

from bench_sheet import Bench
from conftest import Shop, readings_on
from live import Watch, come_in, served
from norvash.devices.gauge_process import standin
from norvash.devices.gauge_standin import press as on_gauge
from norvash.store.file.database import transaction
from norvash.store.record import people
from seen import (
    beside,
    broken,
    brush,
    do_all_steps,
    expect_all_kept,
    fold,
    hit,
    line,
    main,
    open_part,
    part,
    press,
    press_on,
    put,
    rows,
    tab_on,
    waiting,
)

pytestmark = pytest.mark.browser
VALUES = ("19.42 mm", "19.55 mm")


@pytest.fixture
def gauge() -> Iterator[str]:
    with standin(VALUES) as made:
        yield made


@pytest.fixture
def address(db: Path, gauge: str) -> Iterator[str]:
    """Serve the site with the gauge connected."""
    with served(db, gauge) as made:
        yield made


@pytest.fixture
def winch(shop: Shop) -> str:
    shop.now = datetime.now() - timedelta(weeks=8)
    motor = shop.motor(
        tag="W-09",
        name="Trap winch",
        figures={
            "speed_taps": "0.5; 0.75; 1",
            "rated_v": "220",
            "rated_a": "24",
            "rated_rpm": "1440",
            "force_nominal_n": "9",
            "construction": "shunt",
        },
    )
    shop.later(weeks=4).log(motor, "180")
    shop.measure(motor, "", "20.6", "20.9")
    shop.later(weeks=3, days=6).log(motor, "250")
    return motor


@pytest.fixture
def other(browser: Browser, address: str, watch: Watch, shop: Shop) -> Iterator[Page]:
    """Return a page of a second browser, in which somebody else works."""
    with transaction(shop.conn):
        people.add_person(shop.conn, people.Person("second-person", "Bram Aldous"), shop.now)
    made = browser.new_context(
        base_url=address, viewport={"width": 1280, "height": 800}, locale="en-GB", timezone_id="UTC"
    )
    come_in(made, address, "second-person")
    yield watch.over(made.new_page())
    made.close()


def stage(page: Page, words: str) -> None:
    expect(page.get_by_role("heading", level=2, name=words, exact=True)).to_be_visible()
    page.wait_for_load_state()


def turn_to(page: Page, here: str, there: str, words: str) -> None:
    page.goto(page.url.replace(here, there))
    stage(page, words)


def enter(page: Page, *what: str) -> None:
    put(page, *what)
    press(page, "Enter")


def leave_field(page: Page) -> None:
    """Take the cursor out of a field, so that keys are keys again."""
    press(page, "Escape")


def open_sheet(page: Page, motor: str, *, quick: bool = False) -> None:
    page.goto(f"/motors/{motor}")
    press(page, "m" if quick else "n")
    expect(page.get_by_label("The counter shows, in")).to_be_focused()
    if quick:
        page.get_by_label("I made it safe").press("Space")
    press(page, "Enter")
    stage(page, "Brushes" if quick else "Call in")


def test_the_gauge_fills_a_column_reading_by_reading(ines: Page, winch: str, gauge: str) -> None:
    page = ines
    open_sheet(page, winch)
    page.goto(page.url.rsplit("/", 1)[0] + "/safe")
    fold(page, "Waive this gate with a reason").press("Enter")
    page.get_by_label("Make safe: waived because").fill("measured on the bench")
    press(page, "Enter")
    expect(main(page)).to_contain_text("Waived by Ines")
    page.goto(page.url.rsplit("/", 1)[0] + "/commutator")
    fold(page, "Run-out").press("Enter")
    run_out, column = part(page, "Run-out"), page.get_by_label("Dial readings")
    take = page.get_by_role("button", name="Take from gauge")
    take.press("Enter")
    expect(column).to_have_value("19.42 mm")
    expect(run_out).to_contain_text("1 of 1 readings are too few")
    take.press("Enter")
    expect(column).to_have_value("19.42 mm\n19.55 mm")
    expect(run_out).to_contain_text("2 of 2 readings are too few")
    column.focus()
    page.wait_for_timeout(400)  # a hand is slower than the gauge's least time between two readings
    on_gauge(gauge, "!19.48 mm")
    expect(column).to_have_value("19.42 mm\n19.55 mm\n19.48 mm")
    expect(run_out).to_contain_text("3 of 3 readings are too few")


def make_safe(page: Page) -> None:
    stage(page, "Make safe")
    do_all_steps(page)
    hit(page, "own lock and tag")
    expect(main(page)).to_contain_text("Passed, Ines Torvald")


def test_a_whole_sheet_by_keyboard_with_the_gauge(ines: Page, watch: Watch, winch: str, shop: Shop) -> None:
    page = ines
    watch.answers = {422}
    open_sheet(page, winch)
    hit(page, "dead without a sign")
    expect(main(page)).to_contain_text("next: ")
    hit(page, "suddenly")
    expect(beside(page)).to_contain_text("Likely causes")
    press(page, "]")
    make_safe(page)
    press(page, "]")
    stage(page, "Before opening")
    press_on(fold(page, "Test with power on"))
    for there, text in (
        ("What is tested, and why", "settings under load"),
        ("Who makes it", "Ines"),
        ("What keeps people away", "rope"),
        ("For how long, min", "500"),
    ):
        put(page, there, text)
    press(page, "Enter")
    expect(page.get_by_role("alert")).to_contain_text("500 min cannot be permitted")
    expect(page.get_by_label("What is tested, and why")).to_have_value("settings under load")
    enter(page, "For how long, min", "10")
    expect(main(page)).to_contain_text("Open until")
    for there, text in (("Supply at", "221"), ("Setting 1", "110"), ("Setting 2", "0"), ("Setting 3", "220")):
        enter(page, there, text)
        expect(page.get_by_label(there)).to_have_value(text)
        expect_all_kept(page)
    expect(page.get_by_role("img", name="Speed settings").first).to_be_visible()
    expect(line(page)).to_contain_text("Do not open the motor yet")
    press_on(page.get_by_role("button", name="Closed", exact=True))
    expect(main(page)).to_contain_text("Closed")
    hit(page, "go on, open the motor")
    page.goto(page.url.replace("/before", "/safe"))
    expect(page.get_by_role("button", pressed=True)).to_have_count(1)  # power was on since; the mask is still on
    press_on(page.get_by_role("button", name=re.compile("^Again: Switched off, isolated and proved dead; ")))
    expect(main(page)).to_contain_text("Passed, Ines")
    page.goto(page.url.replace("/safe", "/brushes"))
    tab_on(page, "A")
    expect(brush(page, "A")).to_be_focused()
    press(page, "x")
    expect(brush(page, "A")).to_have_value("19.42 mm")
    expect(brush(page, "B")).to_be_focused()
    press(page, "x")
    expect(brush(page, "B")).to_have_value("19.55 mm")
    expect(rows(page)).to_contain_text("19.55 ± 0.05 mm")
    press_on(page.get_by_role("link", name="A, closer"))
    expect(page.get_by_role("heading", name="what is seen")).to_be_visible()
    hit(page, "sticky, moves by hand")
    enter(page, "Spring force", "7.8 N")
    expect(beside(page)).to_contain_text("spring force over a tenth off")
    leave_field(page)
    page.goto(page.url.split("?")[0].replace("/brushes", "/decide"))
    stage(page, "Decide")
    tab_on(page, "Do it now", "sticky, moves by hand")
    press(page, "Enter")
    expect(main(page)).to_contain_text(re.compile(r"Do it now\s+Ines"))
    put(page, "By when", f"{datetime.now() + timedelta(days=30):%Y-%m-%d}", "spring force")
    press(page, "Enter")  # in a field it gives the answer that the field belongs to
    matter = page.get_by_role("group", name="Brush A: spring force")
    expect(matter.get_by_role("button", pressed=True)).to_be_visible()
    put(page, "To whom", "Bram Aldous: renew the speed switch", "Switch and speed")  # else nobody may say “gone”
    press(page, "Enter")
    expect(main(page)).to_contain_text("Handed to the owner: Bram Aldous: renew the speed switch")
    hit(page, "back to service with what is put off")
    turn_to(page, "/decide", "/rework", "Rework")
    enter(page, "Minutes that it took", "20", "Free the holder")
    expect(main(page)).to_contain_text("Done, Ines Torvald")
    expect(main(page)).to_contain_text("done; look again")
    page.get_by_role("button", name=re.compile(r"\bgone\b")).press("Enter")
    expect(beside(page)).to_contain_text("proven")
    turn_to(page, "/rework", "/prove", "Prove")
    expect(main(page)).to_contain_text("Insulation to earth is not measured")
    enter(page, "Protective earth", "0.05")
    turn_to(page, "/prove", "/windings", "Windings")
    open_part(page, "core and winding")
    hit(page, "Capacitors off")
    for there, text in (("To earth, after one minute", "90"), ("At a temperature of", "20")):
        enter(page, there, text)
        expect_all_kept(page)
    open_part(page, "field")
    enter(page, "Resistance of the whole field", "180")
    expect_all_kept(page)
    turn_to(page, "/windings", "/close", "Close up")
    for tick in ("Nothing holds a brush back", "Turns freely by hand"):
        hit(page, tick)
    turn_to(page, "/close", "/prove", "Prove")
    do_all_steps(page)
    hit(page, "without load")
    expect(main(page)).to_contain_text("Passed, Ines Torvald")
    hit(page, "right way round")
    for there, text in (("Speed", "1440"), ("Current", "6.2")):
        enter(page, there, text)
    hit(page, "1, pin points at few edges")
    hit(page, "It ran as it should")
    hit(page, "gone: this was it")
    hit(page, "brush stuck in its holder")
    expect(line(page)).to_contain_text("rush stuck in its holder; holder freed and cleaned; runs as it")
    turn_to(page, "/prove", "/sign", "Sign")
    do_all_steps(page)
    expect(main(page)).to_contain_text("It will be signed as: not clean")
    leave_field(page)
    press(page, "d")
    expect(main(page)).to_contain_text("Not clean, of the motor alone; handed to the owner: Switch and speed settings")
    expect(main(page)).to_contain_text("Decided: do it now (Ines Torvald). Done: Ines Torvald")
    shown = shop.page(winch)
    assert [x.finding.id for x in shown.standing] == ["taps.off", "spring.off"]
    assert (shown.open_sheet, shown.standing[1].put_off and shown.standing[1].put_off.who) == (None, "Ines Torvald")


def test_the_network_is_cut_in_the_middle(
    ines: Page, context: BrowserContext, watch: Watch, winch: str, shop: Shop
) -> None:
    page, watch.cut = ines, True
    open_sheet(page, winch, quick=True)
    context.set_offline(True)
    page.keyboard.type("19.4")
    press(page, "Enter")
    expect(brush(page, "B")).to_be_focused()
    page.keyboard.type("19.9")
    press(page, "Enter")
    brush(page, "B").fill("19.6")
    brush(page, "B").press("Enter")
    expect(waiting(page)).to_contain_text("3 entries wait in this browser")
    expect(waiting(page)).to_contain_text("A 19.4; B 19.9; B 19.6")
    sheet_id = page.url.split("/")[4]
    assert readings_on(shop.conn, sheet_id) == {}
    context.set_offline(False)
    expect(rows(page)).to_contain_text("19.60 ± 0.05 mm")
    expect_all_kept(page)
    assert [r.typed for r in readings_on(shop.conn, sheet_id).values()] == ["19.4", "19.6"]
    acts = shop.conn.execute("select count(*) from act where job = 'measure' and motor_id = ?", (winch,)).fetchone()[0]
    assert acts == 2 + 3
    # What waits outlives the page: closed with the lid, sent from any page later.
    context.set_offline(True)
    brush(page, "A").fill("19.3")
    press(page, "Enter")
    expect(waiting(page)).to_contain_text("One entry waits")
    context.set_offline(False)
    page.goto("/sums")
    expect_all_kept(page)
    assert readings_on(shop.conn, sheet_id)[1].typed == "19.3"


def test_two_browsers_on_one_sheet(ines: Page, other: Page, watch: Watch, winch: str, shop: Shop) -> None:
    watch.answers = {409}
    open_sheet(ines, winch, quick=True)
    other.goto(ines.url)
    brush(other, "B").fill("19.9")
    press(other, "Enter")
    expect(rows(ines)).to_contain_text("19.90 ± 0.05 mm")
    # What somebody types is left alone while the other's reading appears beside it, and may then replace it.
    ines.bring_to_front()
    brush(ines, "A").focus()
    ines.keyboard.type("19.1")
    brush(other, "A").fill("19.4")
    press(other, "Enter")
    expect(rows(other)).to_contain_text("19.40 ± 0.05 mm")
    expect(rows(ines)).to_contain_text("19.40 ± 0.05 mm")
    expect(brush(ines, "A")).to_have_value("19.1")
    press(ines, "Enter")
    ines.get_by_role("button", name="Measured once more, this one counts").click()
    expect(rows(ines)).to_contain_text("19.10 ± 0.05 mm")
    sheet_id = ines.url.split("/")[4]
    kept = shop.conn.execute(
        "select typed from reading where round_id = ? and position_number = 1 order by rowid", (f"{sheet_id}.found",)
    )
    assert [r["typed"] for r in kept] == ["19.4", "19.1"]
    assert readings_on(shop.conn, sheet_id)[1].typed == "19.1"


def test_a_reading_made_at_the_same_moment_is_not_overwritten(
    *, ines: Page, other: Page, context: BrowserContext, watch: Watch, winch: str, shop: Shop
) -> None:
    """One is without network while the other measures the same brush: what waited is told, and stays in its field."""
    watch.answers, watch.cut = {409}, True
    open_sheet(ines, winch, quick=True)
    other.goto(ines.url)
    context.set_offline(True)
    brush(ines, "A").fill("19.1")
    brush(ines, "A").press("Enter")
    expect(waiting(ines)).to_contain_text("One entry waits")
    brush(other, "A").fill("19.4")
    brush(other, "A").press("Enter")
    expect(rows(other)).to_contain_text("19.40 ± 0.05 mm")
    context.set_offline(False)
    expect(ines.get_by_role("alert")).to_contain_text("Bram Aldous has already measured A: 19.4 mm")
    expect(brush(ines, "A")).to_have_value("19.1")
    expect_all_kept(ines)
    assert readings_on(shop.conn, ines.url.split("/")[4])[1].typed == "19.4"


def test_a_value_that_waited_while_another_ticked_the_work_is_kept_and_asked_about(
    *, ines: Page, other: Page, context: BrowserContext, watch: Watch, winch: str, shop: Shop
) -> None:
    """It may have been read before the work or after it: the sheet holds until somebody says which."""
    watch.cut, sheet = True, Bench(shop, winch)
    sheet.put("waive.safe", "in parts")
    sheet.put("gap", "0.2", 1)
    ines.goto(f"/sheets/{sheet.id}/brushes?position=1")
    gap, story = ines.get_by_role("textbox", name="Holder gap"), beside(ines)
    context.set_offline(True)
    gap.fill("2.1")
    press(ines, "Enter")
    expect(waiting(ines)).to_contain_text("One entry waits")
    other.goto(f"/sheets/{sheet.id}/rework")
    other.get_by_role("button", name="Done").first.press("Enter")
    expect(main(other)).to_contain_text("Done, Bram Aldous")
    context.set_offline(False)
    asked = ines.get_by_text("2.1 by Ines Torvald is kept, but")
    expect(asked).to_be_visible()
    expect_all_kept(ines)
    expect(story).to_contain_text("done; measure")
    assert any("Not said whether as found or as left" in h.words for h in sheet.page.holds)
    tab_on(ines, "As left, after it")
    press(ines, "Enter")
    expect(asked).to_be_hidden()
    expect(main(ines)).to_contain_text("as found 0.2")
    expect(gap).to_have_value("2.1")
    expect(story).to_contain_text("proven: 2.1")
    assert not any("Not said whether as found" in h.words for h in sheet.page.holds)


def test_the_gauge_types_where_the_cursor_is_and_says_what_is_wrong(
    ines: Page, watch: Watch, winch: str, gauge: str
) -> None:
    open_sheet(ines, winch, quick=True)
    press(ines, "x")
    expect(rows(ines)).to_contain_text("19.42 ± 0.05 mm")
    ines.wait_for_timeout(200)  # no hand measures again sooner; a bouncing button does
    on_gauge(gauge, "!0.77 in")
    expect(rows(ines)).to_contain_text("19.56 ± 0.05 mm")
    on_gauge(gauge, "~31392e34203b\n~0a")  # in one breath: two talks could overtake each other
    expect(main(ines)).to_contain_text("damaged or cut")


def test_an_entry_that_the_server_breaks_on_does_not_hold_up_the_others(
    ines: Page, watch: Watch, winch: str, shop: Shop
) -> None:
    watch.answers = {500}
    open_sheet(ines, winch, quick=True)
    ines.clock.install()
    tries = broken(ines, "**/readings*", 5)
    brush(ines, "A").fill("19.3")
    brush(ines, "A").press("Enter")
    expect(waiting(ines)).to_contain_text("One entry waits")
    brush(ines, "B").fill("19.6")
    brush(ines, "B").press("Enter")
    for _ in range(400):  # a try is on its way for as long as it is, whatever the page's clock says
        ines.clock.run_for(500 * (len(tries) < 5))
    expect(waiting(ines)).to_contain_text("Not kept: A 19.3. Something broke.")
    expect(rows(ines)).to_contain_text("19.60 ± 0.05 mm")
    assert [r.typed for r in readings_on(shop.conn, ines.url.split("/")[4]).values()] == ["19.6"]
    ines.get_by_role("button", name="I have seen it").click()
    expect_all_kept(ines)


def test_a_connection_that_dies_without_a_word_is_given_up(ines: Page, winch: str, shop: Shop) -> None:
    """The first sending never gets an answer; the page asks again, and the entry counts once."""
    open_sheet(ines, winch, quick=True)
    ines.evaluate(
        "AbortSignal.timeout = (ms) => { const c = new AbortController(); setTimeout(() => c.abort(), ms / 4); return"
        " c.signal; }"
    )
    ines.route("**/readings*", lambda route: None, times=1)
    brush(ines, "A").fill("19.3")
    brush(ines, "A").press("Enter")
    expect(waiting(ines)).to_contain_text("One entry waits")
    expect(rows(ines)).to_contain_text("19.30 ± 0.05 mm")
    expect_all_kept(ines)
    assert [r.typed for r in readings_on(shop.conn, ines.url.split("/")[4]).values()] == ["19.3"]


def test_an_entry_waits_for_a_busy_database_and_is_never_given_up(
    ines: Page, watch: Watch, winch: str, shop: Shop
) -> None:
    """More refusals than tries are counted: as long as the server says when to ask again, the entry waits."""
    watch.answers = {503}
    open_sheet(ines, winch, quick=True)
    turned_away: list[str] = []

    def busy(route: Route) -> None:
        if len(turned_away) == 8:
            route.continue_()
            return
        turned_away.append(route.request.post_data or "")
        body = "<main><h1>The database is busy: somebody else is writing.</h1></main>"
        route.fulfill(status=503, headers={"Retry-After": "0.3", "Content-Type": "text/html"}, body=body)

    ines.route("**/readings*", busy)
    ines.keyboard.type("19.4")
    press(ines, "Enter")
    expect(waiting(ines)).to_contain_text("The database is busy")
    expect(waiting(ines)).not_to_contain_text("network")
    expect(rows(ines)).to_contain_text("19.40 ± 0.05 mm")
    expect_all_kept(ines)
    assert (len(turned_away), len(set(turned_away))) == (8, 1)
    sheet_id = ines.url.split("/")[4]
    assert [r.typed for r in readings_on(shop.conn, sheet_id).values()] == ["19.4"]
