"""Takes the pictures in docs/screenshots from fresh demo data; names given take only those, --to FOLDER elsewhere."""

import sys
import tempfile
import threading
import time
from pathlib import Path

import uvicorn
from playwright.sync_api import Browser, Page, sync_playwright

from norvash.config import Settings
from norvash.demo.playhouse import prepare
from norvash.web.app import create_app

ARGS = [
    "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
    "--disable-component-update", "--disable-sync", "--disable-dev-shm-usage", "--font-render-hinting=none",
]  # fmt: skip
WIDE, PHONE = (1280, 800), (390, 844)


def motor(page: Page, tag: str) -> None:
    page.goto(f"/motors?q={tag}")
    page.get_by_role("link", name=tag, exact=True).click()
    page.get_by_role("heading", name="Sets fitted").wait_for()
    page.wait_for_load_state()


def measuring(page: Page, tag: str, *values: str) -> None:
    motor(page, tag)
    page.keyboard.press("m")
    page.get_by_role("heading", name="Measure the set").wait_for()
    page.get_by_label("The counter shows").fill("")
    page.keyboard.press("Enter")
    for value in values:
        page.get_by_role("textbox", name="length, brush out").fill(value)
        page.keyboard.press("Enter")
        page.get_by_role("heading", name=value).wait_for()


def asked(page: Page) -> None:
    motor(page, "L-01")
    page.keyboard.press("l")
    page.get_by_role("heading", name="Log", exact=True).wait_for()
    page.get_by_label("In hours").fill("12")
    page.keyboard.press("Enter")
    page.get_by_role("group", name="The counter showed").wait_for()


def figures(page: Page) -> None:
    motor(page, "A-03")
    page.keyboard.press("e")
    page.get_by_role("heading", name="Figures of").wait_for()


def when_to_look(page: Page) -> None:
    motor(page, "H-01")
    page.keyboard.press("p")
    page.get_by_role("heading", name="When to look").wait_for()


SHOTS = {
    "bench": (WIDE, "light", lambda p: p.goto("/")),
    "bench-dark": (WIDE, "dark", lambda p: p.goto("/")),
    "bench-phone": (PHONE, "light", lambda p: p.goto("/")),
    "motor": (WIDE, "light", lambda p: motor(p, "R-01")),
    "motor-dark": (WIDE, "dark", lambda p: motor(p, "TG-01")),
    "motor-phone": (PHONE, "light", lambda p: motor(p, "T-11")),
    "measure": (WIDE, "light", lambda p: measuring(p, "W-01", "26.58", "0.995 in")),
    "measure-phone": (PHONE, "light", lambda p: measuring(p, "A-07", "20.6")),
    "motors": (WIDE, "light", lambda p: p.goto("/motors")),
    "classes": (WIDE, "light", lambda p: p.goto("/motors/new")),
    "add-motor": (WIDE, "light", lambda p: p.goto("/motors/new?motor_class=industrial")),
    "figures": (WIDE, "light", figures),
    "hours": (WIDE, "light", asked),
    "new-set": (
        WIDE,
        "light",
        lambda p: (motor(p, "W-02"), p.keyboard.press("f"), p.get_by_role("heading", name="New set fitted").wait_for()),
    ),
    "hours-book": (WIDE, "light", lambda p: p.goto("/hours")),
    "outlook": (WIDE, "light", lambda p: p.goto("/outlook")),
    "when-to-look": (WIDE, "light", when_to_look),
    "rulebook": (WIDE, "light", lambda p: p.goto("/rulebook")),
    "sum": (WIDE, "light", lambda p: p.goto("/sums/seating")),
}


def serve(db: Path) -> tuple[uvicorn.Server, str]:
    """Start the application in a thread; return its server and address."""
    config = uvicorn.Config(
        create_app(Settings(db=db, log=False)), host="127.0.0.1", port=0, log_level="error", ws="none"
    )
    server = uvicorn.Server(config)
    threading.Thread(target=server.run, daemon=True).start()
    while not server.started:
        time.sleep(0.02)
    port = server.servers[0].sockets[0].getsockname()[1]
    return server, f"http://127.0.0.1:{port}"


def shoot(browser: Browser, address: str, name: str, folder: Path) -> None:
    (width, height), light, go = SHOTS[name]
    context = browser.new_context(base_url=address, viewport={"width": width, "height": height}, locale="en-GB",
                                  timezone_id="UTC", reduced_motion="reduce", color_scheme=light)  # fmt: skip
    page = context.new_page()
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    go(page)
    page.wait_for_load_state("networkidle")
    page.screenshot(path=folder / f"{name}.png")
    context.close()


def main() -> None:
    wanted, folder = [a for a in sys.argv[1:] if a in SHOTS] or list(SHOTS), Path("docs/screenshots")
    if "--to" in sys.argv:
        folder = Path(sys.argv[sys.argv.index("--to") + 1])
    folder.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as made, sync_playwright() as playwright:
        prepare(Path(made) / "demo.db", reset=True)
        server, address = serve(Path(made) / "demo.db")
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=ARGS)
        for name in wanted:
            shoot(browser, address, name, folder)
        browser.close()
        server.should_exit = True


if __name__ == "__main__":
    main()
