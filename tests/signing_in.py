"""A shop in which people sign in, over the wire."""

import re
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

from httpx2 import Response
from starlette.testclient import TestClient

from norvash.config import Settings
from norvash.web.app import create_app
from pages import ORIGIN

WORDS = "carbon copper brass"
INES = {"name": "Ines Torvald", "password": WORDS}


@contextmanager
def browser(db: Path, address: str = "testclient", **how: Any) -> Iterator[TestClient]:
    app = create_app(Settings(db=db, log=False, **how))
    with TestClient(app, base_url=ORIGIN, headers={"Origin": ORIGIN}, client=(address, 50_000)) as made:
        yield made
        app.state.catching_up.join()


def lead(client: TestClient) -> Response:
    code = client.app.state.first_code  # type: ignore[attr-defined]
    return client.post("/who/first", data={**INES, "code": code, "act_id": "first-lead-here", "next": "/motors"})


def code_on(page: str) -> str:
    found = re.search(r'<b class="code">([A-Z0-9-]+)</b>', page)
    assert found
    return found[1]
