"""Every link of the playhouse leads somewhere, every sum answers its own example, and no JSON or address breaks."""

import json
import re
import shutil
from html import unescape
from pathlib import Path
from urllib.parse import urldefrag, urljoin

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.sums.catalogue import SUMS
from pages import opened

_LINK = re.compile(r'\s(?:href|src)="([^"]+)"')
WRITER = "person-1-of-demo"


def links_of(page: str, at: str) -> set[str]:
    """Return where the links and pictures of a page lead in this house; where one comes in is one page."""
    found = {urldefrag(urljoin(at, unescape(x)))[0] for x in _LINK.findall(page)}
    return {f for f in found if f.startswith("/") and not f.startswith(("//", "/static/", "/who?"))}


def crawled(client: TestClient, start: str) -> dict[str, int]:
    """Open a page and whatever it leads to; return each address with its status."""
    left, seen = [start], {start: 0}
    while left:
        at = left.pop()
        answer = client.get(at)
        seen[at] = answer.status_code
        if "html" in answer.headers.get("content-type", ""):
            fresh = links_of(answer.text, answer.url.path) - set(seen)
            seen |= dict.fromkeys(fresh, 0)
            left += sorted(fresh)
    return seen


@pytest.mark.long
def test_every_link_of_the_playhouse_and_every_sum_opens(playhouse: Path, tmp_path: Path) -> None:
    shutil.copy(playhouse, tmp_path / "house.db")
    with opened(tmp_path / "house.db", WRITER) as client:
        found = crawled(client, "/")
    assert {at: status for at, status in found.items() if status != 200} == {}
    assert {f"/sums/{name}" for name in SUMS} <= set(found)


def test_every_sum_answers_its_example_on_its_page_and_what_is_learnt_waits_for_its_sets(client: TestClient) -> None:
    opened_ = {name: client.get(f"/sums/{name}").status_code for name in SUMS}
    assert {n: s for n, s in opened_.items() if s != 200} == {}
    page = client.get("/outlook/past/learn")
    assert (page.status_code, "0 sets have been looked at twice or more; 100 are needed" in page.text) == (200, True)


def test_a_file_of_hours_is_unknown_at_the_address_of_notes_and_the_other_way_round(client: TestClient) -> None:
    client.post("/motors", data={"act_id": "a-motor-for-files"})
    kinds = {"hours": "motor;day;counter\nX-01;2026-11-20;130\n", "notes": "motor;day;counter\nX-01;2026-11-20;130\n"}
    for kind, text in kinds.items():
        act = f"file-of-{kind}-here"
        sent = client.post(f"/{kind}/import", data={"act_id": act}, files={"file": ("f.csv", text, "text/csv")})
        assert sent.url.path == f"/{kind}/import/{act}"
        other = "notes" if kind == "hours" else "hours"
        for _ in range(2):  # it was begun by neither look
            assert client.get(f"/{other}/import/{act}").status_code == 404
        assert client.get(f"/{kind}/import/{act}").status_code == 200


HALF = {
    "use": ("/api/v1/motors/{motor}/use", {"act_id": "half-a-character", "value": "13\ud800"}),
    "a name that nobody asks for": ("/api/v1/motors/{motor}/use", {"act_id": "half-a-character", "\udfff": "1"}),
    "figures": ("/api/v1/motors/{motor}/figures", {"act_id": "half-a-character", "typed": {"bars": "\udc80"}}),
    "a sum": ("/api/v1/sums/usable-carbon", {"new_mm": "\ud83d"}),
    "a session": ("/api/v1/session", {"name": "\ud800", "password": "x"}),
}


@pytest.mark.parametrize(("to", "body"), HALF.values(), ids=HALF)
def test_half_a_character_in_json_is_refused_by_name(client: TestClient, shop: Shop, to: str, body: object) -> None:
    motor = shop.motor()
    escaped = json.dumps(body)
    for data in (escaped, escaped.encode().decode("unicode_escape").encode("utf-8", "surrogatepass")):
        answer = client.post(to.format(motor=motor), content=data, headers={"Content-Type": "application/json"})
        said = answer.json()["error"]["problem"]
        assert (answer.status_code, "half of one" in said or "not text in UTF-8" in said) == (422, True)
