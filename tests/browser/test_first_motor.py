"""From nothing to a dated verdict of one's own motor with its past, by keyboard alone, every key counted."""

import re
from collections.abc import Iterator
from dataclasses import dataclass
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from conftest import Shop
from live import Watch, served
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from norvash.work.motors.stating import SinceTyped
from seen import brush, press

pytestmark = pytest.mark.browser


@dataclass
class Hands:
    """A person at the keyboard: what they press is counted."""

    page: Page
    keys: int = 0

    def press(self, *keys: str) -> None:
        for key in keys:
            press(self.page, key)
            self.keys += 1

    def write(self, *texts: str) -> None:
        """Type texts, Tab between them; an empty one is passed by."""
        for i, text in enumerate(texts):
            if i:
                self.press("Tab")
            self.page.keyboard.type(text)
            self.keys += len(text)

    def paste(self, text: str) -> None:
        self.page.keyboard.insert_text(text)
        self.keys += 1


@pytest.fixture
def empty(tmp_path: Path) -> Iterator[str]:
    db = tmp_path / "empty.db"
    conn = connect(db)
    migrate(conn)
    conn.close()
    with served(db, demo=False) as made:
        yield made


@pytest.fixture
def hands(browser: Browser, empty: str) -> Iterator[Hands]:
    context = browser.new_context(base_url=empty, viewport={"width": 1280, "height": 800}, locale="en-GB")
    watch = Watch(empty)
    yield Hands(watch.over(context.new_page()))
    context.close()
    assert watch.seen == []


def begin(hands: Hands, *, worst: str = "") -> None:
    """Become the first lead of an empty shop, and go on to the motor that is added first: a saw of two brushes that has
    run 80 h.
    """
    page = hands.page
    page.goto("/")
    expect(page.get_by_label("Your name")).to_be_focused()
    hands.write("Ines", "three words")
    hands.press("Enter")
    expect(page.get_by_label("What do you call it?")).to_be_focused()
    expect(page.get_by_role("status")).to_contain_text("at its limit")
    hands.write("saw")
    hands.press("Tab", "2", "Tab")
    hands.write("16", "6", worst, "80", "5")


def added(hands: Hands) -> None:
    hands.press("Enter")
    expect(hands.page.get_by_role("heading", name="Sets fitted")).to_be_visible()
    hands.page.wait_for_load_state()


def dated(page: Page) -> None:
    expect(page.get_by_text(re.compile(r"8 times in 10 between .* \d{4} to \d+ \w+ \d{4}")).first).to_be_visible()


def test_a_motor_has_a_date_after_55_keys_and_is_told_as_it_is_typed(hands: Hands) -> None:
    page = hands.page
    begin(hands, worst="12.2")
    says = page.get_by_role("status")
    expect(says).to_contain_text(re.compile(r"\d+ \w+ 20\d\d at its limit; plan by"))
    expect(
        page.get_by_role("img", name=re.compile("new 16.0 mm 0 h; now 12.2 mm 80 h; at its limit 6.0 mm"))
    ).to_be_visible()
    hands.press("Enter")
    expect(page.get_by_role("heading", level=1)).to_contain_text("The shortest brush has 6.2 mm to its limit")
    dated(page)
    expect(page.get_by_text("5 a week: no log yet and 5 a week as declared")).to_be_visible()
    expect(page.get_by_text("Limit 6.0 mm: stated, not said by whom.")).to_be_visible()
    assert hands.keys <= 55, hands.keys


def test_what_is_wrong_on_the_first_page_is_said_there_and_the_rest_is_drawn(hands: Hands) -> None:
    page = hands.page
    begin(hands, worst="94")
    says = page.get_by_role("status")
    expect(says).to_contain_text("94 mm is too long for a brush of 16 mm new.")
    expect(says).to_contain_text("No date before that is mended.")
    page.get_by_label("It has run").fill("")
    page.get_by_label("The worst is now").fill("9.4")
    expect(says).to_contain_text("How long has it run since its brushes were new?")
    page.get_by_label("What do you call it?").fill("")
    page.keyboard.press("Enter")
    expect(page.get_by_label("What do you call it?")).to_be_focused()
    expect(page.get_by_label("The worst is now")).to_have_value("9.4")


def test_ones_own_motor_with_three_past_rounds_has_a_date_after_120_keys(hands: Hands) -> None:
    page = hands.page
    begin(hands)
    added(hands)
    hands.press("t")
    expect(page.get_by_label("Row 1: day")).to_be_focused()
    first, second = ("2025-06-03", "+20", "14.9", "15"), ("2025-11-04", "+40", "13.7", "14")
    hands.write(*first, "", *second, "", "2026-04-07", "+60", "12.2", "13")
    hands.press("Enter")
    dated(page)
    expect(page.get_by_text("3 rounds from notes")).to_be_visible()
    assert hands.keys <= 120, hands.keys


def test_the_same_by_one_paste_after_80_keys(hands: Hands) -> None:
    page = hands.page
    begin(hands)
    added(hands)
    hands.press("t")
    expect(page.get_by_label("Row 1: day")).to_be_focused()
    hands.press("Shift+Tab")
    expect(page.get_by_role("link", name="Paste a table")).to_be_focused()
    hands.press("Enter")
    expect(page.get_by_label("Table, pasted")).to_be_focused()
    hands.paste("day;ran;A;B\n2025-06-03;20;14.9;15\n2025-11-04;40;13.7;14\n2026-04-07;60;12.2;13\n")
    hands.press("Tab", "Tab", "Tab", "Enter")
    keep = page.get_by_role("button", name="Keep these notes")
    expect(keep).to_be_focused()
    hands.press("Enter")
    expect(page.get_by_role("link", name="To the motor")).to_be_focused()
    hands.press("Enter")
    dated(page)
    assert hands.keys <= 80, hands.keys


@pytest.fixture
def worker(page: Page) -> Hands:
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").press("Enter")
    page.wait_for_load_state()
    return Hands(page)


def test_a_round_of_four_on_an_open_sheet_takes_25_keys(worker: Hands, shop: Shop) -> None:
    motor = shop.motor(brushes="4", set_is_new=False, since=SinceTyped(ran="900"))
    sheet = shop.later(days=2).look(motor)
    page = worker.page
    page.goto(f"/sheets/{sheet}/brushes")
    expect(brush(page, "A")).to_be_focused()
    for n, text in enumerate(("18.2", "18.6", "17.9", "18.4"), start=1):
        worker.write(text)
        worker.press("Enter")
        after = brush(page, "ABCD"[n]) if n < 4 else page.get_by_role("link", name="Stage on")
        expect(after).to_be_focused()
    expect(page.get_by_text("limit about").first).to_be_visible()
    assert worker.keys <= 25


def test_a_look_takes_nine_keys_beside_its_lengths(worker: Hands, watch: Watch, shop: Shop) -> None:
    watch.answers = {422}  # what its signature lacks is asked for there
    page = worker.page
    page.goto(f"/motors/{shop.motor(set_is_new=False, since=SinceTyped(ran='900'))}")
    worker.press("m")
    expect(page.get_by_label("The counter shows, in")).to_be_focused()
    worker.press("Tab", "Tab", "Space", "Enter")
    for label, text in (("A", "18.2"), ("B", "18.6")):
        expect(brush(page, label)).to_be_focused()
        page.keyboard.type(text)
        press(page, "Enter")
    expect(page.get_by_role("link", name="Stage on")).to_be_focused()
    worker.press("Enter")
    expect(page.get_by_role("heading", name="Sign", exact=True)).to_be_visible()
    worker.press("d")
    expect(page.get_by_label("Guards, covers and earth")).to_be_focused()
    worker.press("Space", "Enter")
    expect(page.get_by_text("Measured. Signed by")).to_be_visible()
    assert worker.keys <= 9, worker.keys


def test_the_grid_keeps_what_was_typed_and_says_at_its_row_what_is_wrong(
    worker: Hands, shop: Shop, watch: Watch
) -> None:
    motor = shop.motor(set_is_new=False, since=SinceTyped(day="2024-03-04", counter="20"))
    page = worker.page
    page.goto(f"/motors/{motor}/notes")
    watch.answers = {409, 422}
    worker.write("2024-06-03", "40", "21", "21.1", "", "soon", "60", "19.6", "20")
    worker.press("Enter")
    wrong = page.get_by_label("Row 2: day")
    expect(wrong).to_be_focused()
    expect(page.get_by_text("“soon” names no day.")).to_be_visible()
    expect(page.get_by_label("Row 1: A")).to_have_value("21")
    wrong.fill("2024-11-04")
    page.get_by_label("Row 2: A").fill("21.9")
    worker.press("Enter")
    question = page.get_by_role("radio", name="I correct them")
    expect(question).to_be_checked()
    page.get_by_label("Row 2: A").fill("19.6")
    worker.press("Enter")
    expect(page.get_by_text("2 rounds from notes")).to_be_visible()
    page.get_by_text("Other acts").press("Enter")
    page.get_by_role("link", name="From notes").press("Enter")
    page.get_by_role("button", name="Take back all that was entered then").press("Enter")
    expect(page.get_by_text("taken back")).to_be_visible()
    page.goto(f"/motors/{motor}")
    expect(page.get_by_text("not measured", exact=True).first).to_be_visible()
