"""A browser's connection to the server under test, without the browser."""

import http.client
import re
import uuid
from html import unescape
from urllib.parse import parse_qsl, urlencode, urlsplit

from norvash.bench.fleet import PERSON
from norvash.web.served.deps import SESSION_COOKIE


def newest(page: str, to: str, **said: str) -> str:
    """Return the id of the entry that stands in the form of a page that goes to an address which says this; empty
    without.
    """
    for address in re.findall(r'action="([^"?]+\?[^"]+)"', page):
        path, query = urlsplit(unescape(address)).path, dict(parse_qsl(urlsplit(unescape(address)).query))
        if path.endswith(to) and all(query.get(name, "") == value for name, value in said.items()):
            return query.get("replaces", "")
    return ""


def marks(page: str) -> dict[str, str]:
    """Return the parts that a page or an answer shows, with their marks."""
    return {id_: mark for mark, id_ in re.findall(r'data-part="([0-9a-f]{8})"[^>]*?\sid="([^"]+)"', page)}


def session_cookie(port: int, person: str = PERSON) -> str:
    """Enter a demonstration as a person; return the cookie of the session."""
    conn = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
    headers = {"Origin": f"http://127.0.0.1:{port}", "Content-Type": "application/x-www-form-urlencoded"}
    conn.request("POST", "/who", urlencode({"person": person}), headers)
    given = conn.getresponse().headers.get_all("Set-Cookie") or []
    conn.close()
    return next(c.partition(";")[0] for c in given if c.startswith(f"{SESSION_COOKIE}="))


class Client:
    """One keep-alive connection with a session, of the fleet's person unless a cookie is given."""

    def __init__(self, port: int, cookie: str = "") -> None:
        self.conn, self.port = http.client.HTTPConnection("127.0.0.1", port, timeout=60), port
        self.cookie = cookie or session_cookie(port, PERSON)

    def get(self, path: str) -> tuple[int, str]:
        """Return status and text of a page."""
        self.conn.request("GET", path, headers={"Cookie": self.cookie})
        answer = self.conn.getresponse()
        return answer.status, answer.read().decode()

    def post(self, path: str, *, has: dict[str, str] | None = None, **typed: str) -> tuple[int, str]:
        """Send a form; return status and where it leads, or what answers a browser that has these parts."""
        headers = {
            "Cookie": self.cookie,
            "Origin": f"http://127.0.0.1:{self.port}",
            "Content-Type": "application/x-www-form-urlencoded",
        }
        if has is not None:
            headers["Prefer"] = "return=representation"
            headers["Norvash-Has"] = ",".join(f"{id_}={mark}" for id_, mark in has.items())
        self.conn.request("POST", path, urlencode({"act_id": uuid.uuid4().hex, **typed}), headers)
        answer = self.conn.getresponse()
        page = answer.read().decode()
        return answer.status, answer.headers.get("location", page)
