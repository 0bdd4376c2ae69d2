"""The playhouse's pages before an accessibility checker, each with something in focus, as wide as the screen, and still
while it loads: theme and width in turn, all four of each by `make axe`.
"""

import os
import shutil
import time
from collections.abc import Iterator
from pathlib import Path

import pytest
from axe_playwright_python.sync_playwright import Axe  # type: ignore[import-untyped]
from playwright.sync_api import Browser, Page, Route

from live import served
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.store.file.database import connect
from seen import ready

pytestmark = pytest.mark.browser
WAYS = (("light", 1280, 800), ("dark", 390, 844), ("dark", 1280, 800), ("light", 390, 844))
AREAS = (
    "/",
    "/motors",
    "/motors/new",
    "/motors/new?motor_class=tool",
    "/hours",
    "/hours/import",
    "/outlook",
    "/outlook/dark",
    "/sums",
    "/sums/bar-map",
    "/rulebook",
    "/rulebook/line.plan",
    "/put-off",
    "/types",
    "/find?q=w",
    "/who",
    "/people",
    "/state",
    "/notes/import",
)
OF_A_MOTOR = ("", "/hours", "/notes", "/new-set", "/figures", "/sheet")

# What moved on a page by itself, and how far: words, and the columns of a long list, may settle while the rest comes.
MOVED = """new PerformanceObserver((list) => {
  const of = (s) => s.node ? (s.node.id || s.node.textContent.trim().slice(0, 40)) : "";
  const least = location.pathname.startsWith("/sheets/") ? 0.01 : 0.05;
  const moved = list.getEntries().filter((e) => !e.hadRecentInput && e.value > least);
  const said = moved.map((e) => `${e.value.toFixed(4)} ${e.sources.map(of).join(", ")}`);
  window.moved = [...(window.moved || []), ...said];
}).observe({ type: "layout-shift", buffered: true });"""
IS_WRONG = """() => [
  ...[...document.links, ...document.querySelectorAll("button, input, select, summary")].filter((e) => {
    const box = e.getBoundingClientRect(), label = e.closest("label");
    const inText = getComputedStyle(e).display.startsWith("inline")
      && [...e.parentElement.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim().length > 2);
    const high = label ? label.getBoundingClientRect().height : box.height;
    const shown = e.type !== "hidden" && e.checkVisibility() && box.width > 0;
    return shown && !inText && (high < 24 || (box.width < 24 && !label));
  }).map((e) => "too small to hit: " + e.outerHTML.slice(0, 120)),
  ...(window.moved || []).map((m) => "moved by itself: " + m),
  ...(document.documentElement.scrollWidth > innerWidth ? ["wider than the screen"] : []),
  ...(document.activeElement === document.body ? ["nothing is in focus"] : []),
]"""


def addresses(db: Path) -> list[str]:
    """Return the areas, two motors, every stage of two open sheets, and a signed one."""
    conn = connect(db)
    motors = [r[0] for r in conn.execute("select id from motor order by tag limit 2")]
    whole = "select id from sheet where kind = 'full' and signed_at is {} null order by at desc limit {}"
    open_sheets = [r[0] for r in conn.execute(whole.format("", 2))]
    signed = conn.execute(whole.format("not", 1)).fetchone()[0]
    conn.close()
    made = [*AREAS, *(f"/motors/{m}{x}" for m in motors for x in OF_A_MOTOR), f"/policies/motor/{motors[0]}"]
    made += [f"/sheets/{s}/{stage}" for s in open_sheets for stage in STAGE_BY_ID]
    return [*made, f"/sheets/{signed}/sign", f"/sheets/{signed}/drive"]


@pytest.fixture
def pages(browser: Browser, playhouse: Path, tmp_path: Path) -> Iterator[list[Page]]:
    """Return a page in each way of being looked at, with somebody at work."""
    db = tmp_path / "playhouse.db"
    shutil.copy(playhouse, db)
    with served(db) as address:
        made = []
        for theme, width, height in WAYS:
            context = browser.new_context(
                base_url=address,
                color_scheme=theme,  # type: ignore[arg-type]
                viewport={"width": width, "height": height},
                reduced_motion="reduce",
            )
            context.add_init_script(MOVED)
            page = context.new_page()
            page.goto("/who")
            page.get_by_role("button", name="Ines Torvald").click()
            made.append(page)
        yield made
        for page in made:
            page.context.close()


@pytest.mark.parametrize("nth", range(4))
def test_no_page_breaks_a_rule(pages: list[Page], playhouse: Path, nth: int) -> None:
    broken: list[str] = []
    every = addresses(playhouse)
    assert len(every) > 50
    for i, address in enumerate(every):
        if i % 4 != nth:
            continue
        for page in pages if "NORVASH_AXE_ALL" in os.environ else [pages[(i // 4) % 4]]:
            answer = page.goto(address)
            assert answer is not None
            assert answer.ok, address
            ready(page)
            for rule in Axe().run(page).response["violations"]:
                broken += [f"{address} {rule['id']}: {n['html'][:120]}" for n in rule["nodes"]]
            broken += [f"{address} {words}" for words in page.evaluate(IS_WRONG)]
    assert broken == []


def test_every_page_fits_a_screen_of_320_pixels_as_one_at_400_per_cent_is(pages: list[Page], playhouse: Path) -> None:
    page, wide = pages[0], {}
    page.set_viewport_size({"width": 320, "height": 640})
    for address in addresses(playhouse):
        page.goto(address, wait_until="domcontentloaded")
        width = page.evaluate("document.documentElement.scrollWidth")
        if width > 320:
            wide[address] = width
    assert wide == {}


def test_a_font_that_comes_late_moves_nothing(pages: list[Page], playhouse: Path) -> None:
    def late(route: Route) -> None:
        time.sleep(0.4)
        route.continue_()

    brushes = next(a for a in addresses(playhouse) if a.endswith("/brushes"))
    for page in pages:
        page.route("**/*.woff2", late)
        for address in (brushes, "/"):
            page.goto(address)
            ready(page)
            page.wait_for_timeout(600)
            assert page.evaluate("window.moved || []") == [], address
