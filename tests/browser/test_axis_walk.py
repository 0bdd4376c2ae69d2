"""Bearings and drive walked by its parts in the browser: by keyboard, by touch, on a phone, and what ears are told."""

import re

import pytest
from playwright.sync_api import Page, expect

from at_work import Work, at_work
from conftest import Shop
from live import Watch, served
from norvash.core.visit.on_axis import parts_now
from seen import expect_all_kept, line, main, press, press_on

pytestmark = pytest.mark.browser
__all__ = ["served"]
FIGURES = "construction=shunt rated_v=230 commutator_d_mm=120 bearing_drive=6310-2Z"


@pytest.fixture
def work(shop: Shop) -> Work:
    shop.today(minutes=50)
    return at_work(shop, "industrial", FIGURES)


def states(work: Work) -> dict[str, str]:
    return {p.part.id: p.state for p in parts_now(work.bench.page.visit) if p.part.stage == "drive"}


def test_a_whole_sound_drive_is_looked_at_in_ten_keys(ines: Page, work: Work, watch: Watch) -> None:
    page, _ = ines, watch
    page.goto(f"/sheets/{work.bench.id}/drive")
    at, keys, walked = main(page), 0, list[str]()
    names = page.get_by_role("form", name="Parts along the axis").get_by_role("button")
    along = [(names.nth(n).get_attribute("aria-label") or "").partition(":")[0] for n in range(13)]
    expect(at).to_contain_text("7 of 7 parts still to look at")
    while keys < 10 and set(states(work).values()) != {"sound"}:
        opened = at.get_by_role("heading", level=3).first.inner_text()
        walked.append(opened.lower())
        press(page, "l")
        keys += 1
        expect_all_kept(page)
        if set(states(work).values()) != {"sound"}:
            expect(at.get_by_role("heading", level=3).first).not_to_have_text(opened)
    assert keys == 7
    assert walked == [x for x in along if x in walked]
    expect(at).to_contain_text("every part looked at")


def test_names_are_one_stop_and_arrows_go_along_the_axis(ines: Page, work: Work, watch: Watch) -> None:
    page, _ = ines, watch
    page.goto(f"/sheets/{work.bench.id}/drive")
    names = page.get_by_role("form", name="Parts along the axis").get_by_role("button")
    expect(names).to_have_count(13)
    assert [names.nth(n).get_attribute("tabindex") for n in range(13)].count("-1") == 12
    first = names.first
    expect(first).to_have_accessible_name(re.compile("bearing, commutator end: not looked at. 0 of 6 looks answered"))
    press_on(first, "End")
    expect(names.last).to_be_focused()
    press(page, "Home", "ArrowRight", "ArrowRight")
    expect(names.nth(2)).to_be_focused()
    press_on(page.get_by_role("button", name=re.compile("^fan: ")))
    page.wait_for_url("**position=*")
    # Whoever opens a part is at its first look, and goes back to its name.
    expect(main(page).get_by_role("button", name=re.compile("looked at, nothing found"))).to_be_focused()
    press(page, "Escape")
    expect(page.get_by_role("button", name=re.compile("^fan: not looked at"))).to_be_focused()


def test_what_is_found_is_told_at_its_part_and_said_with_the_line(ines: Page, work: Work, watch: Watch) -> None:
    page, _ = ines, watch
    page.goto(f"/sheets/{work.bench.id}/drive")
    section = page.get_by_role("img", name=re.compile("Section, cut above the axis"))
    expect(section).to_have_accessible_name(re.compile("not looked at: .*bearing, drive end"))
    # A touch on the part itself opens it too: what it is a part of has its number.
    number = page.get_by_role("button", name=re.compile("^bearing, drive end")).get_attribute("value")
    page.evaluate(
        "(n) => document.querySelector(`[data-part='${n}']`).dispatchEvent(new Event('click', {bubbles: true}))", number
    )
    page.wait_for_url("**position=*")
    press_on(main(page).get_by_role("button", name="rough", exact=True))
    expect_all_kept(page)
    expect(line(page)).to_contain_text("feels rough")
    expect(page.get_by_role("button", name=re.compile("bearing, drive end: .*feels rough; open"))).to_be_visible()
    expect(section).to_have_accessible_name(re.compile("bearing, drive end: .*feels rough"))
    assert states(work)["bearing-1"] == "found"
    assert states(work)["bearing-2"] == "unseen"


def test_a_part_of_another_stage_is_read_here_and_looked_at_there(ines: Page, work: Work, watch: Watch) -> None:
    page, _ = ines, watch
    page.goto(f"/sheets/{work.bench.id}/drive")
    press_on(page.get_by_role("button", name=re.compile("^commutator")))
    page.wait_for_url("**position=*")
    expect(main(page)).to_contain_text("looks at it")
    main(page).get_by_role("link", name="Commutator", exact=True).last.click()
    page.wait_for_url("**/commutator")


def test_on_a_phone_it_stands_upright_with_its_names_in_rows(ines: Page, work: Work, watch: Watch) -> None:
    page, _ = ines, watch
    page.set_viewport_size({"width": 390, "height": 844})
    page.goto(f"/sheets/{work.bench.id}/drive")
    names = page.get_by_role("form", name="Parts along the axis").get_by_role("button")
    rows = [names.nth(n).bounding_box() for n in range(names.count())]
    shown = [r for r in rows if r is not None]
    assert len(shown) == 7
    assert all(r["height"] >= 43 and r["x"] > 170 for r in shown)
    assert sorted(r["y"] for r in shown) == [r["y"] for r in shown]
    assert page.evaluate("document.documentElement.scrollWidth") <= 390
