"""A client of the application on a test site, and how a form is opened and sent."""

import re
from collections.abc import Iterator
from contextlib import contextmanager
from html import unescape
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from norvash.config import Settings
from norvash.web.app import create_app

ORIGIN = "http://localhost"


@contextmanager
def opened(db: Path, person: str = "person-of-test") -> Iterator[TestClient]:
    """Return a client of the application on a database, with somebody at work."""
    app = create_app(Settings(db=db, log=False))
    with TestClient(app, base_url=ORIGIN, headers={"Origin": ORIGIN}) as made:
        made.cookies.set("norvash_person", person)
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
