"""From the first start of a shop to two people on one tablet, each in their own name, switching by PIN."""

import re
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

import pytest
from playwright.sync_api import Browser, Page, expect

from conftest import Shop
from live import Watch, served
from norvash.store.access.members import end_sessions, give_role
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from seen import press, ready

pytestmark = pytest.mark.browser


@pytest.fixture
def tablet(browser: Browser, tmp_path: Path) -> Iterator[tuple[Page, Path]]:
    """Return a tablet's browser on a shop that was never started before."""
    db = tmp_path / "shop.db"
    with closing(connect(db)) as conn:
        migrate(conn)
    with served(db, demo=False) as address:
        watch = Watch(address)
        watch.answers = {401}
        context = browser.new_context(base_url=address, viewport={"width": 820, "height": 1180}, locale="en-GB")
        yield watch.over(context.new_page()), db
        context.close()
        assert watch.seen == []


def type_in(page: Page, label: str, text: str, *, then: str = "Tab") -> None:
    ready(page)
    page.get_by_label(label, exact=True).fill(text)
    press(page, then)


def title(page: Page, words: str) -> None:
    expect(page.get_by_role("heading", level=1)).to_contain_text(words)


def test_from_the_first_start_to_two_people_on_one_tablet(tablet: tuple[Page, Path]) -> None:
    page, db = tablet
    page.goto("/motors")
    title(page, "Who leads this shop?")
    type_in(page, "Your name", "Ines Torvald")
    type_in(page, "Password", "three words here", then="Enter")
    title(page, "Motors")
    page.goto("/who")
    type_in(page, "A PIN for this device", "4711")
    type_in(page, "Your password", "three words here", then="Enter")
    expect(page.get_by_text("Kept.", exact=True)).to_be_visible()
    page.goto("/people")
    type_in(page, "Name", "Bram Aldous", then="Enter")
    code = page.locator("b.code")
    expect(code).to_be_visible()
    given = code.inner_text()

    page.goto("/who")
    page.get_by_role("button", name="Sign out on this device").press("Enter")
    title(page, "Sign in")
    page.get_by_role("link", name="I have a code").press("Enter")
    type_in(page, "The code that a lead gave you", given.lower())
    type_in(page, "A password of your own", "slip ring brush", then="Enter")
    expect(page.get_by_role("link", name="Bram Aldous")).to_be_visible()
    page.goto("/who")
    expect(page.get_by_role("link", name="People of this shop")).to_have_count(0)
    type_in(page, "A PIN for this device", "0815")
    type_in(page, "Your password", "slip ring brush", then="Enter")
    expect(page.get_by_text("Kept.", exact=True)).to_be_visible()

    # Bram types; Ines takes the tablet by her PIN, a wrong one first; what she enters is hers.
    page.goto("/motors/new?motor_class=tool")
    for label, text in (("Tag", "T-90"), ("Name", "Jigsaw"), ("Place", "prop shop"), ("New length", "15")):
        page.get_by_label(re.compile(f"^{label}")).first.fill(text)
    page.get_by_label(re.compile("^Tag")).press("Enter")
    expect(page.get_by_role("heading", name="Sets fitted")).to_be_visible()
    page.get_by_role("link", name="Bram Aldous").press("Enter")
    pin = page.get_by_label("Ines Torvald, PIN")
    pin.fill("4712")
    pin.press("Enter")
    expect(page.get_by_text("That is not the PIN.")).to_be_visible()
    pin.fill("4711")
    pin.press("Enter")
    expect(page.get_by_role("link", name="Ines Torvald")).to_be_visible()
    with closing(connect(db)) as conn:
        by = conn.execute(
            """select p.name, n.device from act a join person p on p.id = a.person_id
               join session n on n.id = a.session_id where a.job = 'add a motor'"""
        ).fetchall()
    assert [tuple(r) for r in by] == [("Bram Aldous", "a computer with Linux")]


def test_a_viewer_is_not_offered_what_would_be_refused(ines: Page, shop: Shop, watch: Watch) -> None:
    page, motor = ines, shop.motor(brushes="2", place="prop shop")
    sheet = shop.later(days=2).look(motor, "120")
    give_role(shop.conn, shop.person, "viewer")
    shop.conn.commit()
    for path in (f"/sheets/{sheet}/brushes", "/hours", f"/motors/{motor}", f"/sheets/{sheet}/sign"):
        page.goto(path)
        ready(page)
        expect(page.get_by_text("You are here to look.")).to_be_visible()
        offered = page.locator("main form[method=post] :is(button, input:not([type=hidden])):enabled")
        expect(offered).to_have_count(0)
    page.goto("/motors?q=prop")
    expect(page.get_by_role("link", name="by tag")).to_be_visible()
    page.goto("/who")
    expect(page.get_by_role("button", name="Sign out on this device")).to_be_enabled()
    watch.answers = {403}
    page.goto("/motors/new")
    title(page, "This is for a technician or a lead.")


def test_a_row_typed_after_the_session_has_ended_stays_typed(ines: Page, shop: Shop, watch: Watch) -> None:
    page = ines
    shop.motor(brushes="2", place="prop shop")
    page.goto("/hours")
    ready(page)
    end_sessions(shop.conn, shop.person, shop.now)
    shop.conn.commit()
    watch.answers = {401}
    field = page.get_by_role("textbox", name=re.compile("shows now")).first
    field.fill("133")
    field.press("Enter")
    expect(page.get_by_text("nobody is signed in")).to_be_visible()
    expect(field).to_have_value("133")
    expect(page).to_have_url(re.compile("/hours$"))
