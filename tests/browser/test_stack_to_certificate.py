"""A whole job with its stack by keyboard: off, back with a seal turned and put right, gates, run, certificate."""

import re

import pytest
from playwright.sync_api import Page, expect

from at_work import Work, at_work
from conftest import Shop
from live import Watch, served
from seen import expect_all_kept, hit, line, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]
FIGURES = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2 protection=double_insulated"


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool on its sheet, made safe and measured."""
    shop.today(minutes=200)
    made = at_work(shop, "tool", FIGURES, "20.2 20.1")
    return made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def enter(page: Page, label: str, text: str, shown: str = "") -> None:
    """Type into the field of a label and keep it; it is there once the page shows it."""
    page.get_by_label(label).first.fill(text)
    press(page, "Enter")
    expect(main(page)).to_contain_text(shown)
    expect_all_kept(page)


def back(page: Page, name: str) -> None:
    press_on(page.get_by_role("button", name=name))
    expect_all_kept(page)


def test_a_stack_goes_off_and_back_to_the_certificate_by_keyboard(ines: Page, work: Work, watch: Watch) -> None:
    page, watch.answers, at = ines, {400, 422}, f"/sheets/{work.bench.id}"
    page.goto(f"{at}/open?stack=other")
    for part in ("washer 1 x 20", "seal 5 x 28, lip in", "armature 120 x 40"):
        label = "First part off, or its beginning" if part[0] == "w" else "Next part off"
        enter(page, label, part, part.split(",")[0].replace(" x ", " × "))
    page.goto(f"{at}/close")
    back(page, "Back, as it came off")
    enter(page, "Not as it came off", "lip out")
    expect(main(page)).to_contain_text("it lay lip in, and lies lip out now")
    expect(line(page)).to_contain_text("Put it right before you close.")
    page.goto(f"{at}/sign")
    press(page, "Escape", "d")
    expect(main(page)).to_contain_text("cannot be signed clean")
    page.goto(f"{at}/close")
    back(page, "Found: back as it came off")
    back(page, "Back, as it came off")
    for tick in ("Nothing holds a brush back", "Turns freely by hand"):
        hit(page, tick)
    page.goto(f"{at}/windings")
    enter(page, "To earth, after one minute", "200")
    enter(page, "At a temperature of", "20")
    page.goto(f"{at}/prove")
    hit(page, "in its machine")
    work.bench.ready()
    page.goto(f"{at}/prove")
    hit(page, "right way round")
    for label, text in (("Volts", "230"), ("Current", "2"), ("Speed", "12000")):
        enter(page, label, text)
    hit(page, "1, pin points at few edges")
    hit(page, "It ran as it should")
    page.goto(f"{at}/decide")
    hit(page, "back to service")
    work.serve()
    page.goto(f"{at}/sign")
    expect(main(page)).to_contain_text("It will be signed as: certificate")
    press(page, "Escape", "d")
    expect(main(page)).to_contain_text(re.compile("Certificate: opened or renewed, proven"))
    expect(main(page)).to_contain_text("lip out")
