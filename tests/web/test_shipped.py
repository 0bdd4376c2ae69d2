"""What ships with the application comes whole, packed or not, one style over another in its order."""

import gzip

import pytest
from fastapi.testclient import TestClient

from norvash.web.templating import STATIC

FILES = sorted(str(p.relative_to(STATIC)) for p in STATIC.rglob("*") if p.is_file())


@pytest.mark.parametrize("build", ["", "b-0123abcd/"])
def test_every_file_comes_as_it_is(client: TestClient, build: str) -> None:
    for name in FILES:
        whole = (STATIC / name).read_bytes()
        for takes in ("gzip", "identity"):
            with client.stream("GET", f"/static/{build}{name}", headers={"accept-encoding": takes}) as answer:
                raw = b"".join(answer.iter_raw())
            packed = answer.headers.get("content-encoding") == "gzip"
            assert not packed or (takes == "gzip" and not name.endswith(".woff2"))
            assert (gzip.decompress(raw) if packed else raw) == whole, (name, takes)
            assert packed or takes != "gzip" or not name.endswith((".css", ".js"))


def test_all_styles_are_one_file(client: TestClient) -> None:
    sheet = client.get("/static/styles/all.css").text
    own = {p.stem: p.read_text() for p in (STATIC / "styles").glob("*.css")}
    assert all(text in sheet for text in own.values())
    assert sheet.index(own["tokens"]) < sheet.index(own["page"]) < sheet.index(own["print"])
    assert sheet.startswith((STATIC / "vendor/bootstrap.used.css").read_text())


@pytest.mark.parametrize("path", ["/static/../app.py", "/static/%2e%2e/app.py", "/static/styles", "/static/b-0/x.css"])
def test_nothing_else_is_given(client: TestClient, path: str) -> None:
    assert client.get(path).status_code == 404
    assert client.post("/static/mark.svg").status_code in (403, 405)
