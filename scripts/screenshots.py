"""Takes the pictures in docs/screenshots from fresh demo data; names given take only those, --to FOLDER elsewhere."""

import sys
import tempfile
import threading
import time
from pathlib import Path

import uvicorn
from playwright.sync_api import Browser, Page, sync_playwright

from norvash.config import Settings
from norvash.demo.fleet import GAUGE_VALUES
from norvash.demo.shipped import prepare
from norvash.devices.gauge_process import standin
from norvash.web.app import create_app

ARGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
    "--disable-dev-shm-usage",
    "--font-render-hinting=none",
]
WIDE, PHONE = (1280, 800), (390, 844)


def motor(page: Page, tag: str) -> None:
    page.goto(f"/motors?q={tag}")
    page.get_by_role("link", name=tag, exact=True).click()
    page.get_by_role("heading", name="Sets fitted").wait_for()
    page.wait_for_load_state()


def sheet(page: Page, tag: str, stage: str, *values: str) -> None:
    """Open the newest sheet of a motor at a stage, and measure what is still open there."""
    motor(page, tag)
    page.locator(".sheets a").first.click()
    page.wait_for_url("**/sheets/**")
    page.goto(f"{page.url.split('/sheets/')[0]}/sheets/{page.url.split('/sheets/')[1].split('/')[0]}/{stage}")
    page.locator("#stage-title").wait_for()
    for value in values:
        page.keyboard.type(value)
        page.keyboard.press("Enter")
        page.locator(".rows").get_by_text(f"{value} ±").first.wait_for()


def fallen(page: Page) -> None:
    """Type a counter that has fallen, and stand at what is asked."""
    motor(page, "TG-01")
    page.goto(f"{page.url.split('?')[0]}/hours")
    page.get_by_label("In hours").fill("3")
    page.keyboard.press("Enter")
    page.get_by_label("Another counter in its place").check()
    page.get_by_role("heading", name="Log hours").scroll_into_view_if_needed()


def cut(page: Page) -> None:
    sheet(page, "P-01", "commutator")
    page.goto(page.url.replace("/commutator", "/cut"))
    page.locator("table.passes").wait_for()


# What is looked at where there is no motor yet, and nobody at work.
EMPTY = ("first",)
SHOTS = {
    "bench": (WIDE, "light", lambda p: p.goto("/")),
    "hours-dark": (WIDE, "dark", fallen),
    "cutaway-phone": (PHONE, "light", lambda p: sheet(p, "S-05", "drive#stage-title")),
    "motor": (WIDE, "light", lambda p: motor(p, "T-11")),
    "rulebook": (WIDE, "light", lambda p: p.goto("/rulebook?q=spring")),
    "sheet-prove": (WIDE, "light", lambda p: sheet(p, "G-03", "prove#output")),
    "sheet-phone": (PHONE, "light", lambda p: sheet(p, "T-15", "brushes#stage-title")),
    "sheet-brushes": (WIDE, "light", lambda p: sheet(p, "T-15", "brushes", "15.17")),
    "bar-map": (WIDE, "light", lambda p: sheet(p, "R-01", "commutator")),
    "cutaway": (WIDE, "light", lambda p: sheet(p, "G-01", "drive?position=11")),
    "sheet-decide": (WIDE, "light", lambda p: sheet(p, "R-01", "decide#to-decide")),
    "run-in": (WIDE, "light", lambda p: sheet(p, "L-02", "rework#run-in")),
    "sheet-signed": (WIDE, "light", lambda p: sheet(p, "T-16", "sign")),
    "repair-or-buy": (WIDE, "light", lambda p: sheet(p, "G-01", "decide#ways")),
    "stack": (WIDE, "light", lambda p: sheet(p, "S-05", "close")),
    "outlook": (WIDE, "light", lambda p: p.goto("/outlook")),
    "first": (WIDE, "light", lambda p: p.goto("/")),
    "find-cause": (WIDE, "light", lambda p: p.goto("/sums/find-cause")),
    "cut": (WIDE, "light", cut),
}


def serve(db: Path, gauge: str) -> tuple[uvicorn.Server, str]:
    """Start the application in a thread; return its server and address."""
    config = uvicorn.Config(
        create_app(Settings(db=db, log=False, gauge=gauge, demo=True)),
        host="127.0.0.1",
        port=0,
        log_level="error",
        ws="none",
    )
    server = uvicorn.Server(config)
    threading.Thread(target=server.run, daemon=True).start()
    while not server.started:
        time.sleep(0.02)
    port = server.servers[0].sockets[0].getsockname()[1]
    return server, f"http://127.0.0.1:{port}"


def shoot(browser: Browser, address: str, name: str, folder: Path) -> None:
    (width, height), light, go = SHOTS[name]
    context = browser.new_context(
        base_url=address,
        viewport={"width": width, "height": height},
        locale="en-GB",
        timezone_id="UTC",
        reduced_motion="reduce",
        color_scheme=light,
    )
    page = context.new_page()
    page.goto("/who")
    if name in EMPTY:
        page.get_by_label("Name", exact=True).fill("Ines Torvald")
        page.get_by_role("button", name="That is me").click()
        page.get_by_role("heading", level=1).wait_for()
    else:
        page.get_by_role("button", name="Ines Torvald").click()
    go(page)
    page.wait_for_load_state()
    page.screenshot(path=folder / f"{name}.png")
    context.close()


def main() -> None:
    wanted, folder = [a for a in sys.argv[1:] if a in SHOTS] or list(SHOTS), Path("docs/screenshots")
    if "--to" in sys.argv:
        folder = Path(sys.argv[sys.argv.index("--to") + 1])
    folder.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as made, standin(GAUGE_VALUES) as gauge, sync_playwright() as playwright:
        prepare(Path(made) / "demo.db", reset=True)
        servers = [serve(Path(made) / f"{kind}.db", gauge) for kind in ("demo", "empty")]
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=ARGS)
        for name in wanted:
            shoot(browser, servers[name in EMPTY][1], name, folder)
        browser.close()
        for server, _ in servers:
            server.should_exit = True


if __name__ == "__main__":
    main()
