"""What a person finds on a page: by its role and the words on it, never by how it is marked up."""

import re
from contextlib import suppress

import pytest
from playwright.sync_api import Error, Locator, Page, Route, expect

# The words of what has the focus: its own name, its label, or what stands on it.
_NAMED = """() => {
  const e = document.activeElement;
  const words = e.getAttribute('aria-label') || (e.labels && e.labels.length ? e.labels[0].textContent : e.textContent);
  return words.replace(/\\s+/g, ' ').trim();
}"""


_AROUND = """() => {
  const at = document.activeElement, e = at.closest('[role=group][aria-label], li') || at.closest('tr, form');
  return e ? e.getAttribute('aria-label') || e.textContent : '';
}"""


def ready(page: Page) -> None:
    """Wait until the scripts of a page are there."""
    page.locator("html[data-ready]").wait_for(state="attached")


def press(page: Page, *keys: str) -> None:
    """Press keys on a page whose scripts are there: before that the browser itself would send its forms."""
    ready(page)
    for key in keys:
        page.keyboard.press(key)


def press_on(target: Locator, key: str = "Enter") -> None:
    """Press a key on what is named, as one step: nothing that arrives meanwhile comes between focus and key."""
    ready(target.page)
    target.press(key)


def line(page: Page) -> Locator:
    """Return the sentence that says what to do."""
    return page.get_by_role("heading", level=1)


def main(page: Page) -> Locator:
    return page.get_by_role("main")


def broken(page: Page, address: str, times: int) -> list[str]:
    """Let a server break on an address so many times; return the tries, which grow as they are made."""
    tries: list[str] = []

    def breaks(route: Route) -> None:
        tries.append(route.request.url)
        route.fulfill(status=500, body="<main><h1>Something broke.</h1></main>")

    page.route(address, breaks, times=times)
    return tries


def waiting(page: Page) -> Locator:
    """Return the bar of what waits in the browser."""
    return page.get_by_role("status", name="Waiting to be kept")


_MOST_LOOKS, _LOOK_MS = 600, 50
_NONE_WAITS = """() => new Promise((tell) => {
  indexedDB.open('norvash').onsuccess = (opened) => {
    const store = opened.target.result;
    store.transaction('queue').objectStore('queue').get('waiting').onsuccess = (read) => {
      store.close();
      tell((read.target.result || []).length === 0 && !document.documentElement.hasAttribute('data-sending'));
    };
  };
})"""


def expect_all_kept(page: Page) -> None:
    """Wait until nothing waits in the browser any more, and its answer stands on the page.

    Asked by hand: Playwright's own wait takes the promise of an answer for a yes.
    """
    for _ in range(_MOST_LOOKS):
        ready(page)
        with suppress(Error):  # a page that is being left does not answer
            if page.evaluate(_NONE_WAITS):
                break
        page.wait_for_timeout(_LOOK_MS)
    else:
        pytest.fail("Page: something still waits in the browser, or is being sent")
    expect(waiting(page)).to_be_hidden()


def brush(page: Page, label: str) -> Locator:
    """Return the field in which a brush is measured."""
    return page.get_by_role("textbox", name=re.compile(rf"^{label}\s*[+−]$"))


def rows(page: Page) -> Locator:
    return page.get_by_role("list", name="Brushes")


def row(page: Page, label: str) -> Locator:
    return rows(page).get_by_role("listitem").filter(has=page.get_by_text(label, exact=True))


def beside(page: Page) -> Locator:
    return page.get_by_role("complementary", name="So far")


def part(page: Page, words: str) -> Locator:
    """Return what unfolds under these words."""
    return page.get_by_role("group").filter(has=page.get_by_text(words, exact=True)).last


def fold(page: Page, words: str) -> Locator:
    """Return the line that unfolds a part."""
    return page.locator("summary").filter(has_text=words)


def tab_on(page: Page, words: str, within: str = "") -> None:
    """Tab on until something that begins with these words has the focus, inside something with other words on it."""
    for _ in range(160):
        named = str(page.evaluate(_NAMED))
        if named.startswith(words) and (not within or within in _around(page)):
            return
        press(page, "Tab")
    pytest.fail(f"no way by Tab to “{words}”")


def _around(page: Page) -> str:
    """Return the words of the group, row or item that has the focus in it."""
    return str(page.evaluate(_AROUND))


def open_part(page: Page, words: str) -> None:
    """Open a part of the motor by its name on the axis."""
    press_on(page.get_by_role("button", name=re.compile(f"^{words}: ")))
    page.wait_for_url("**position=*")
    expect(page.get_by_role("button", name=re.compile(f"^{words}: "))).to_have_attribute("aria-current", "true")


def hit(page: Page, words: str, within: str = "") -> None:
    """Press a button that Tab reaches, and wait until it shows as pressed."""
    tab_on(page, words, within)
    press(page, "Enter")
    expect(page.locator("*:focus")).to_have_attribute("aria-pressed", "true")


def put(page: Page, words: str, text: str, within: str = "") -> None:
    tab_on(page, words, within)
    press(page, "Control+A")
    page.keyboard.type(text)


def do_all_steps(page: Page) -> None:
    """Press every step of a gate that Tab reaches."""
    for button in page.get_by_role("group", name="Steps").get_by_role("button").all():
        hit(page, button.inner_text().split("\n")[0])
