"""A served site and a real browser; any error in the console, any foreign or failed request fails the test."""

import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from pathlib import Path

import pytest
import uvicorn
from playwright.sync_api import (
    Browser,
    BrowserContext,
    ConsoleMessage,
    Page,
    Request,
    Response,
    expect,
    sync_playwright,
)

from norvash.config import Settings
from norvash.web.app import create_app
from norvash.web.served.serving import server_config

expect.set_options(timeout=40_000)
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


@pytest.fixture(scope="session")
def browser() -> Iterator[Browser]:
    with sync_playwright() as playwright:
        made = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=ARGS)
        yield made
        made.close()


@contextmanager
def served(db: Path, gauge: str = "", **how: object) -> Iterator[str]:
    """Serve a site on a port of its own."""
    settings = Settings(db=db, log=False, gauge=gauge, port=0, **({"demo": True} | how))  # type: ignore[arg-type]
    server = uvicorn.Server(server_config(create_app(settings), settings))
    thread = threading.Thread(target=server.run, daemon=True)
    thread.start()
    while not server.started:
        time.sleep(0.01)
    yield f"http://127.0.0.1:{server.servers[0].sockets[0].getsockname()[1]}"
    server.should_exit = True
    thread.join()


@pytest.fixture
def address(db: Path) -> Iterator[str]:
    with served(db) as made:
        yield made


@dataclass
class Watch:
    """What a page must not do; `answers` are error statuses that a test expects, `cut` that the network is cut."""

    address: str
    cut: bool = False
    answers: set[int] = field(default_factory=set)
    seen: list[str] = field(default_factory=list)

    def over(self, page: Page) -> Page:
        page.on("console", self._console)
        page.on("pageerror", lambda e: self.seen.append(f"page error: {e}"))
        page.on("request", self._request)
        page.on("response", self._response)
        page.set_default_timeout(30_000)
        return page

    def _console(self, message: ConsoleMessage) -> None:
        expected = any(f"status of {status}" in message.text for status in self.answers)
        expected = expected or (self.cut and "ERR_INTERNET_DISCONNECTED" in message.text)
        if message.type in ("error", "warning") and not expected:
            self.seen.append(f"console: {message.text}")

    def _request(self, request: Request) -> None:
        if not request.url.startswith((self.address, "data:")):
            self.seen.append(f"foreign: {request.url}")

    def _response(self, response: Response) -> None:
        if response.status >= 400 and response.status not in self.answers:
            self.seen.append(f"{response.status}: {response.url}")


@pytest.fixture
def watch(address: str) -> Iterator[Watch]:
    made = Watch(address)
    yield made
    assert not made.seen, f"Page: {made.seen}"  # so begun it is walked once more, as what it made fail is


def come_in(context: BrowserContext, address: str, person: str) -> None:
    """Sign somebody in in a browser, without a page."""
    answer = context.request.post(
        f"{address}/who", form={"person": person}, headers={"Origin": address}, max_redirects=0
    )
    assert answer.status == 303


@pytest.fixture
def context(browser: Browser, address: str) -> Iterator[BrowserContext]:
    made = browser.new_context(
        base_url=address,
        viewport={"width": 1280, "height": 800},
        locale="en-GB",
        timezone_id="UTC",
        reduced_motion="reduce",
    )
    yield made
    made.close()


@pytest.fixture
def page(context: BrowserContext, watch: Watch) -> Page:
    return watch.over(context.new_page())


@pytest.fixture
def ines(page: Page) -> Page:
    """Return the browser's page after somebody has come in."""
    page.goto("/who")
    page.get_by_role("button", name="Ines Torvald").click()
    expect(page.get_by_role("link", name="Ines Torvald")).to_be_visible()
    return page
