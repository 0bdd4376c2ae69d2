"""The server on a real socket: what is no request, what never ends, and the headers that every answer carries."""

import json
import logging
import socket
import sys
import time
from collections.abc import Iterator
from pathlib import Path
from urllib.parse import urlsplit

import pytest
from fastapi import FastAPI
from starlette.testclient import TestClient

from conftest import Shop
from live import served
from norvash.config import Settings
from norvash.web.app import create_app
from norvash.web.served.deps import SESSION_COOKIE
from norvash.web.served.logs import start_log
from norvash.web.served.warming import warm
from pages import come_in

PATIENCE_S = 0.4


@pytest.fixture(scope="module")
def port(tmp_path_factory: pytest.TempPathFactory) -> Iterator[int]:
    with served(tmp_path_factory.mktemp("serving") / "own.db", patience_s=PATIENCE_S) as address:
        yield urlsplit(address).port or 0


def told(port: int, sent: bytes) -> bytes:
    """Send bytes and return all that comes back until the server closes, or has answered."""
    with socket.create_connection(("127.0.0.1", port), timeout=10) as line:
        line.sendall(sent)
        got = b""
        while chunk := line.recv(65536):
            got += chunk
            if b"\r\n\r\n" in got and b"onnection: close" not in got:
                break
        return got


HOST = b"Host: localhost\r\n"
POST = (
    b"POST /motors HTTP/1.1\r\n"
    + HOST
    + b"Origin: http://localhost\r\nContent-Type: application/x-www-form-urlencoded\r\n"
)
GUARDED = {
    "fine": (b"GET /healthz HTTP/1.1\r\n" + HOST + b"\r\n", 200),
    "a host that opens a bracket": (b"GET / HTTP/1.1\r\nHost: [::1\r\n\r\n", 400),
    "a name in brackets": (b"GET / HTTP/1.1\r\nHost: [evil]\r\n\r\n", 400),
    "an origin that opens a bracket": (
        POST.replace(b"http://localhost", b"http://[x") + b"Content-Length: 0\r\n\r\n",
        400,
    ),
    "the whole address in its line": (b"GET http://localhost/healthz HTTP/1.1\r\n" + HOST + b"\r\n", 200),
    "the whole address of another": (b"GET http://elsewhere.example/ HTTP/1.1\r\n" + HOST + b"\r\n", 403),
    "a form without a boundary": (
        POST.replace(b"application/x-www-form-urlencoded", b"multipart/form-data") + b"Content-Length: 4\r\n\r\nabcd",
        400,
    ),
    "an old client without a host": (b"GET / HTTP/1.0\r\n\r\n", 400),
    "another name": (b"GET / HTTP/1.1\r\nHost: elsewhere.example\r\n\r\n", 403),
    "large headers": (
        b"GET / HTTP/1.1\r\n" + HOST + b"".join(b"X-%d: %s\r\n" % (i, b"a" * 900) for i in range(80)) + b"\r\n",
        431,
    ),
    "a body that never comes": (POST + b"Content-Length: 20\r\n\r\nact_id=", 408),
}


@pytest.mark.parametrize(("sent", "status"), GUARDED.values(), ids=GUARDED)
def test_every_answer_of_the_application_carries_its_guards(port: int, sent: bytes, status: int) -> None:
    answer = told(port, sent)
    first = int(answer.split(b" ")[1])
    # The parser may see large headers before the application does; it answers without ceremony.
    assert first == status or (status, first) == (431, 400)
    assert b"content-security-policy" in answer or status == 431
    assert status < 400 or b"\r\n\r\n" in answer


@pytest.fixture(scope="module")
def patient(tmp_path_factory: pytest.TempPathFactory) -> Iterator[int]:
    """Return the port of a server that hears a long body out on a busy machine too."""
    with served(tmp_path_factory.mktemp("patient") / "own.db") as address:
        yield urlsplit(address).port or 0


@pytest.mark.parametrize("chunked", [False, True], ids=["announced", "in chunks"])
def test_a_script_that_sends_too_much_is_told_so(patient: int, chunked: bool) -> None:
    head = POST.replace(b"/motors", b"/hours/import")
    size, part = 26_000_000, b"a" * 1_000_000
    with socket.create_connection(("127.0.0.1", patient), timeout=20) as line:
        if chunked:
            line.sendall(head + b"Transfer-Encoding: chunked\r\n\r\n")
            for _ in range(26):
                line.sendall(b"%x\r\n%s\r\n" % (len(part), part))
            line.sendall(b"0\r\n\r\n")
        else:
            line.sendall(head + b"Content-Length: %d\r\n\r\n" % size + part * 26)
        answer = line.recv(65536)
    assert answer.split(b" ")[1] == b"413"


def test_what_a_package_warns_of_is_logged_as_json(capsys: pytest.CaptureFixture[str]) -> None:
    before = logging.getLogger().handlers[:]
    try:
        start_log()
        logging.getLogger("python_multipart.multipart").warning("Expected boundary character %r", 45)
        line = json.loads(capsys.readouterr().err)
    finally:
        logging.getLogger().handlers[:] = before
    assert (line["level"], line["event"]) == ("warning", "Expected boundary character 45")


BARE = {
    "two hosts": b"GET / HTTP/1.1\r\nHost: localhost\r\nHost: elsewhere\r\n\r\n",
    "no host": b"GET / HTTP/1.1\r\n\r\n",
    "no request": b"\x16\x03\x01\x02\x00\x01\x00\r\n\r\n",
    "a head of megabytes": b"GET / HTTP/1.1\r\n" + HOST + b"X: " + b"a" * 3_000_000 + b"\r\n\r\n",
}


@pytest.mark.parametrize("sent", BARE.values(), ids=BARE)
def test_what_is_no_request_is_refused_by_the_parser(port: int, sent: bytes) -> None:
    try:
        answer = told(port, sent)
    except (ConnectionResetError, BrokenPipeError):
        return  # closed while the rest was still being sent
    assert answer == b"" or answer.split(b" ")[1] in (b"400", b"431")


AGAIN = b"GET /healthz HTTP/1.1\r\n" + HOST + b"\r\nGET / HT"


@pytest.mark.parametrize("sent", [b"", b"GET / HTTP/1.1\r\nHost: loc", pytest.param(AGAIN, marks=pytest.mark.long)])
def test_a_head_that_never_ends_is_given_up(port: int, sent: bytes) -> None:
    with socket.create_connection(("127.0.0.1", port), timeout=10) as line:
        began = time.monotonic()
        line.sendall(sent)
        while line.recv(65536):
            pass
        assert PATIENCE_S * 0.8 < time.monotonic() - began < 8


def test_what_breaks_is_answered_with_guards_and_without_its_trace(db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    def breaks(*_: object, **__: object) -> None:
        raise RuntimeError("a secret of the house")

    monkeypatch.setattr("norvash.web.pages.bench.bench", breaks)
    app = create_app(Settings(db=db, log=False))
    with TestClient(app, base_url="http://localhost") as client:
        client.cookies.set(SESSION_COOKIE, come_in(app))
        answer = client.get("/")
        app.state.catching_up.join()
    assert answer.status_code == 500
    assert "default-src 'none'" in answer.headers["content-security-policy"]
    assert "nothing was half saved" in answer.text
    assert "secret" not in answer.text


def test_what_the_first_entry_needs_is_there_once_the_first_page_is_out(shop: Shop, db: Path) -> None:
    motor = shop.motor()
    app = create_app(Settings(db=db, log=False))
    began: list[object] = []

    def begin(app: FastAPI) -> None:
        began.append(app)
        warm(app)

    app.state.after_first_page = begin
    with TestClient(app, base_url="http://localhost", headers={"Origin": "http://localhost"}) as client:
        client.cookies.set(SESSION_COOKIE, come_in(app))
        assert [client.get("/").status_code for _ in range(3)] == [200] * 3
        app.state.warming.join()
        known = set(sys.modules)
        sent = {"act_id": "the-first-entry", "value": "1", "mode": "increment"}
        assert client.post(f"/motors/{motor}/hours", data=sent, follow_redirects=False).status_code == 303
        assert {m for m in set(sys.modules) - known if m.startswith(("norvash", "numpy", "scipy"))} == set()
        app.state.catching_up.join()
    assert began == [app]
