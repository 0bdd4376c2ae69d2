"""What a browser takes to its largest paint, with nothing kept, against the bare page in the same run."""

import statistics

from norvash.bench.client import session_cookie
from norvash.web.served.deps import SESSION_COOKIE

_TURNS = 5
_WATCH = """new PerformanceObserver(list => { window.painted = list.getEntries().at(-1).startTime; })
    .observe({type: 'largest-contentful-paint', buffered: true});"""
_AFTER_MS = 400
_ARGS = ["--no-sandbox", "--disable-gpu", "--disable-background-networking", "--font-render-hinting=none"]


def paint_ratios(port: int, paths: dict[str, str]) -> dict[str, float]:
    """Return the largest paint of each page over that of the bare page [1], and that one itself as “bare” [ms].

    Medians of five turns of a warm server, each in a browser context of its own, so that nothing is kept.
    """
    from playwright.sync_api import sync_playwright

    every = {"bare": "/bare", **paths}
    times: dict[str, list[float]] = {name: [] for name in every}
    address = f"http://127.0.0.1:{port}"
    cookie = session_cookie(port).partition("=")[2]
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(executable_path="/usr/bin/chromium", args=_ARGS)
        for turn in range(_TURNS + 1):
            for name, path in every.items():
                context = browser.new_context(viewport={"width": 1280, "height": 800})
                context.add_cookies([{"name": SESSION_COOKIE, "value": cookie, "url": address}])
                context.add_init_script(_WATCH)
                page = context.new_page()
                page.goto(f"{address}{path}", wait_until="load")
                page.wait_for_timeout(_AFTER_MS)
                if turn:
                    times[name].append(float(page.evaluate("window.painted")))
                context.close()
        browser.close()
    bare = statistics.median(times.pop("bare"))
    return {name: statistics.median(t) / bare for name, t in times.items()} | {"bare": bare}
