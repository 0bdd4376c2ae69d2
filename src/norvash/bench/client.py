"""A browser's connection to the server under test, without the browser."""

import http.client
import re
import uuid
from urllib.parse import urlencode

from norvash.bench.fleet import PERSON


def newest(page: str, named: str, value: str, place: str = "") -> str:
    """Return the id of the entry that stands in a form of a page, by the hidden input that names it; empty without."""
    at = rf'<input type="hidden" name="place" value="{place}">\s*' if place else ""
    found = re.search(
        rf'name="{named}" value="{re.escape(value)}">\s*{at}<input type="hidden" name="replaces" value="([^"]*)', page
    )
    return found.group(1) if found else ""


class Client:
    """One keep-alive connection with the person's cookie."""

    def __init__(self, port: int) -> None:
        self.conn, self.port = http.client.HTTPConnection("127.0.0.1", port, timeout=60), port

    def get(self, path: str) -> tuple[int, str]:
        """Return status and text of a page."""
        self.conn.request("GET", path, headers={"Cookie": f"norvash_person={PERSON}"})
        answer = self.conn.getresponse()
        return answer.status, answer.read().decode()

    def post(self, path: str, *, at_once: bool = False, **typed: str) -> tuple[int, str]:
        """Send a form; return status and where it leads, or with `at_once` the page that answers it."""
        headers = {
            "Cookie": f"norvash_person={PERSON}",
            "Origin": f"http://127.0.0.1:{self.port}",
            "Content-Type": "application/x-www-form-urlencoded",
        }
        if at_once:
            headers["Prefer"] = "return=representation"
        self.conn.request("POST", path, urlencode({"act_id": uuid.uuid4().hex, **typed}), headers)
        answer = self.conn.getresponse()
        page = answer.read().decode()
        return answer.status, answer.headers.get("location", page)
