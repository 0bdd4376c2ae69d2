"""A client of the application on a test site, and how a form is opened and sent."""

import re
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import datetime
from html import unescape
from pathlib import Path
from typing import Any

import pytest
from httpx2 import Response
from starlette.testclient import TestClient

from norvash.config import Settings
from norvash.store.access.members import Role, SignedIn, find_member
from norvash.web.app import create_app
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.access.secrets_kept import digest, new_token
from norvash.work.access.sign_in import Device, begin

ORIGIN = "http://localhost"


_TYPED = re.compile(rb"(<textarea.*?</textarea>)", re.DOTALL)


def _as_read(text: bytes) -> bytes:
    """Return a text with one blank for every space in it, however it is broken into lines."""
    first, last = b" " * text[:1].isspace(), b" " * (text[-1:].isspace() and not text.isspace())
    return first + b" ".join(text.split()) + last


class Reading(TestClient):
    """A client whose pages read as a browser reads them: where a line is broken says nothing, but in what was typed."""

    def request(self, *args: Any, **kwargs: Any) -> Response:
        answer = super().request(*args, **kwargs)
        if "html" in answer.headers.get("content-type", ""):
            parts = _TYPED.split(answer.content)
            answer._content = b"".join(p if n % 2 else _as_read(p) for n, p in enumerate(parts))
        return answer


def come_in(app: Any, person: str = "person-of-test", role: Role = "lead") -> str:
    """Sign somebody in on a server, in its memory where nothing can be written; return the token of the session."""
    if not app.state.pool.watch.state:
        with app.state.pool.lent() as conn:
            member = find_member(conn, person)
            assert member is not None
            return begin(conn, member, Device("a-browser-of-the-tests"), datetime.now()).token
    token = new_token()
    signed = SignedIn(
        session_id="",
        device_id="",
        person_id=person,
        name="Ines Torvald",
        keys="plain",
        role=role,
        seen_at=datetime.now(),
    )
    app.state.sessions.keep_here(digest(token), signed)
    return token


@contextmanager
def opened(db: Path, person: str = "person-of-test", *, demo: bool = False) -> Iterator[TestClient]:
    """Return a client of the application on a database, with somebody signed in."""
    app = create_app(Settings(db=db, log=False, demo=demo))
    with Reading(app, base_url=ORIGIN, headers={"Origin": ORIGIN, "Accept-Encoding": "identity"}) as made:
        made.cookies.set(SESSION_COOKIE, come_in(app, person))
        yield made
        if not app.state.faults:
            app.state.catching_up.join()


@pytest.fixture
def client(db: Path) -> Iterator[TestClient]:
    with opened(db) as made:
        yield made


def act_id(page: str) -> str:
    found = re.search(r'name="act_id" value="([^"]+)"', page)
    assert found
    return found[1]


def send(client: TestClient, form_at: str, to: str, **typed: str) -> tuple[int, str, str]:
    """Open a form, send it with what was typed, and return status, page and address."""
    given = {"act_id": act_id(client.get(form_at).text), **typed}
    answer = client.post(to, data=given)
    return answer.status_code, unescape(answer.text), answer.url.path


MOTOR = {
    "motor_class": "tool",
    "tag": "T-90",
    "name": "Jigsaw",
    "place": "prop shop",
    "new_length": "15",
    "limit": "5.5",
    "use_now": "40",
}


def add(client: TestClient, **changes: str) -> tuple[int, str, str]:
    return send(client, "/motors/new?motor_class=tool", "/motors", **{**MOTOR, **changes})
