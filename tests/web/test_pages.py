"""Pages and JSON over HTTP: every route answers, bad input is answered in place, writes are guarded."""

import json
import re
from datetime import datetime, timedelta
from html import unescape
from pathlib import Path
from typing import Any

import pytest
from starlette.testclient import TestClient

from conftest import Shop, readings_on
from norvash.config import Settings
from norvash.store.file.database import connect
from norvash.store.record import people, standings, use
from norvash.web.app import create_app
from norvash.web.pages.sums import as_typed
from norvash.web.served.deps import SESSION_COOKIE
from pages import MOTOR, ORIGIN, act_id, add, come_in, send


def quick(client: TestClient, address: str) -> tuple[int, str, str]:
    return send(client, f"{address}/sheet", f"{address}/sheets", sheet_kind="quick", counter="", safe="1")


def test_a_job_through_the_pages(client: TestClient, shop: Shop) -> None:
    status, page, address = add(client)
    assert (status, "Measure it at the next opportunity." in page) == (200, True)
    assert send(client, f"{address}/hours", f"{address}/hours", value="44", mode="counter")[0] == 200
    status, page, brushes = quick(client, address)
    assert (status, brushes.endswith("/brushes")) == (200, True)
    sheet = brushes.removesuffix("/brushes")
    for place, value in (("1", "14.2"), ("2", '9/16"')):
        status, page, _ = send(client, brushes, f"{sheet}/readings", place=place, value=value, stage="brushes")
        assert status == 200
    assert '9/16"' in page
    assert "14.29 ± 0.05 mm" in page
    seen = send(client, brushes, f"{sheet}/findings", place="1", value="face.glazed", stage="brushes", position="1")[1]
    assert "face glazed; think of light load" in seen
    status, page, _ = send(client, f"{sheet}/sign", f"{sheet}/sign")
    assert (status, "Back to service” is open" in page) == (422, True)
    status, page, _ = send(client, f"{sheet}/sign", f"{sheet}/sign", service="1")
    assert (status, "<b>Measured.</b>" in page) == (200, True)
    assert (
        "is not edited any more"
        in send(client, f"{sheet}/sign", f"{sheet}/readings", place="1", value="13", stage="brushes")[1]
    )
    assert (
        "two spare sets left" in send(client, f"{sheet}/sign", f"{sheet}/additions", addition="two spare sets left")[1]
    )
    status, page, _ = send(
        client, f"{address}/new-set", f"{address}/sets", reason="damaged", counter="", length_1="15.1", length_2=""
    )
    assert (status, "damaged" in page) == (200, True)
    status, page, _ = send(
        client, f"{address}/new-set", f"{address}/sets", reason="damaged", counter="", length_2="15.02", only_2="yes"
    )
    assert (status, "renewed B" in page) == (200, True)
    status, page, _ = send(
        client, f"{address}/new-set", f"{address}/sets", reason="damaged", counter="", only_1="yes", only_2="yes"
    )
    assert (status, "All brushes are chosen" in page, page.count("checked")) == (422, True, 2)
    for name in ("end-view", "life-line", "carbon-ruler"):
        saved = client.get(f"{address}/drawings/{name}.svg")
        assert (saved.status_code, saved.headers["content-type"]) == (200, "image/svg+xml")
        assert "attachment" in saved.headers["content-disposition"]


READS = [
    "/",
    "/?p=7",
    "/motors",
    "/motors?q=nothing",
    "/motors?c=tool&p=3",
    "/motors/new",
    "/motors/new?motor_class=starter",
    "/types",
    "/types/new",
    "/hours",
    "/hours?q=x",
    "/hours/import",
    "/outlook",
    "/outlook?span=seasons",
    "/outlook/dark",
    "/outlook/past",
    "/outlook/norvash.ics",
    "/sums",
    "/rulebook",
    "/rulebook/stage.watch",
    "/who",
    "/healthz",
    "/api/v1/sums",
    "/static/styles/all.css",
]


@pytest.mark.parametrize("path", READS)
def test_every_page_answers_with_its_guards(client: TestClient, path: str) -> None:
    answer = client.get(path)
    assert answer.status_code == 200
    assert "default-src 'none'" in answer.headers["content-security-policy"]
    assert answer.headers["x-content-type-options"] == "nosniff"
    assert "style=" not in answer.text.replace("stylesheet", "")
    assert not re.search(r"<script(?![^>]*src=)|<style|\son[a-z]+=", answer.text)
    head = client.head(path)
    assert (head.status_code, head.content, head.headers["content-type"]) == (200, b"", answer.headers["content-type"])


UNKNOWN = [
    "/nothing",
    "/motors/none-such",
    "/motors/none-such/hours",
    "/motors/none-such/measure",
    "/motors/none-such/new-set",
    "/motors/none-such/figures",
    "/policies/motor/none-such",
    "/policies/type/none-such",
    "/types/none-such/table",
    "/motors/none-such/drawings/end-view.svg",
    "/sheets/none-such",
    "/sheets/none-such/brushes",
    "/types/none-such",
    "/rulebook/none.such",
    "/sums/none-such",
    "/api/v1/motors/none-such",
    "/static/none.css",
]


@pytest.mark.parametrize("path", UNKNOWN)
def test_unknown_ids_get_a_clear_answer(client: TestClient, path: str) -> None:
    answer = client.get(path)
    assert answer.status_code == 404
    if path.startswith("/api"):
        assert answer.json()["error"]["remedy"]
    elif not path.startswith("/static"):
        assert "To the bench" in answer.text


@pytest.mark.parametrize(
    "path",
    [
        "/motors/none-such/hours",
        "/motors/none-such/sets",
        "/sheets/none-such/readings",
        "/sheets/none-such/entries",
        "/sheets/none-such/sign",
        "/readings/none/doubt",
        "/types/none",
    ],
)
def test_writes_to_unknown_ids(client: TestClient, path: str) -> None:
    answer = client.post(
        path, data={"act_id": "some-new-act", "value": "12", "position": "1", "answer": "right", "reason": "planned"}
    )
    assert answer.status_code == 404
    assert "To the bench" in answer.text


BAD_FORMS = {
    "letters": {"new_length": "long"},
    "empty": {"tag": "", "name": ""},
    "negative": {"new_length": "-3"},
    "exponent": {"new_length": "1e9"},
    "not a number": {"use_now": "NaN"},
    "40 digits": {"use_now": "4" * 40},
    "wrong unit": {"new_length": "15 h"},
    "two marks": {"limit": "5.5,5"},
    "limit over new": {"limit": "16"},
    "brushes": {"brushes": "0"},
}


@pytest.mark.parametrize("changes", BAD_FORMS.values(), ids=BAD_FORMS.keys())
def test_a_bad_form_keeps_what_was_typed_and_saves_nothing(
    client: TestClient, shop: Shop, changes: dict[str, str]
) -> None:
    status, page, _ = add(client, **changes)
    assert status == 422
    assert 'role="alert"' in page
    assert 'aria-invalid="true"' in page
    for name, value in {**MOTOR, **changes}.items():
        assert f'name="{name}"' in page
        assert not value or f'value="{value}"' in page
    assert standings.count_motors(shop.conn) == 0


def test_the_comma_and_the_point_are_the_same(client: TestClient, shop: Shop) -> None:
    add(client, new_length="15,2", limit="5.5 mm")
    motor = standings.find_motors(shop.conn, "T-90", "", 1, 0)[0]
    assert '"new_mm": 15.2' in motor.standing.drawing_json


def test_markup_in_names_is_shown_not_run(client: TestClient) -> None:
    name = "<script>alert('x')</script><b>saw"
    _, _, address = add(client, name=name, place='"><img src=x onerror=alert(1)>')
    for path in (address, "/", "/motors", f"{address}/hours", f"{address}/measure", "/api/v1" + address):
        text = client.get(path).text
        assert "<script>alert" not in text or path.startswith("/api")
        assert "<img src=x" not in text or path.startswith("/api")


def test_back_and_send_again_changes_nothing(client: TestClient, shop: Shop) -> None:
    given = {"act_id": act_id(client.get("/motors/new?motor_class=tool").text), **MOTOR}
    first, again = client.post("/motors", data=given), client.post("/motors", data=given)
    assert first.url == again.url
    changed = client.post("/motors", data={**given, "name": "Another"})
    assert (changed.status_code, "already sent" in changed.text, 'value="Another"' in changed.text) == (409, True, True)
    assert act_id(changed.text) != given["act_id"]
    assert standings.count_motors(shop.conn) == 1


def test_nobody_signed_in_keeps_what_was_typed(client: TestClient, shop: Shop) -> None:
    given = {"act_id": act_id(client.get("/motors/new?motor_class=tool").text), **MOTOR}
    client.cookies.clear()
    answer = client.post("/motors", data=given)
    said = ("Nobody is signed in" in answer.text, 'value="T-90"' in answer.text)
    assert (answer.status_code, *said) == (401, True, True)
    assert client.get("/motors/new", follow_redirects=False).headers["location"] == "/who?next=%2Fmotors%2Fnew"
    client.cookies.set(SESSION_COOKIE, come_in(client.app))
    assert client.post("/motors", data=given).status_code == 200


def test_a_fallen_counter_is_asked_about_in_the_page(client: TestClient, shop: Shop) -> None:
    _, _, address = add(client)
    status, page, _ = send(client, f"{address}/hours", f"{address}/hours", value="12")
    assert (status, "Say which" in page or "It rolled over" in page, 'value="12"' in page) == (409, True, True)


def test_two_people_at_one_position(client: TestClient, shop: Shop) -> None:
    _, _, address = add(client)
    _, page, brushes = quick(client, address)
    sheet = brushes.removesuffix("/brushes")
    mine = {"act_id": act_id(page), "place": "1", "value": "14.1", "replaces": "", "stage": "brushes"}
    send(client, brushes, f"{sheet}/readings", place="1", value="14.3", stage="brushes")
    clash = client.post(f"{sheet}/readings", data=mine)
    assert clash.status_code == 409
    assert "already measured A: 14.3" in unescape(clash.text)
    assert 'value="14.1"' in clash.text
    replaces = re.search(r'[;?]replaces=([^&"]+)', clash.text)
    assert replaces
    done = client.post(f"{sheet}/readings", data={**mine, "act_id": act_id(clash.text), "replaces": replaces[1]})
    assert done.status_code == 200
    assert [r.typed for r in readings_on(shop.conn, sheet.split("/")[-1]).values()] == ["14.1"]


FOREIGN: dict[str, dict[str, str]] = {
    "another origin": {"Origin": "http://elsewhere.example"},
    "another port": {"Origin": "http://localhost:81"},
    "cross-site": {"Origin": ORIGIN, "Sec-Fetch-Site": "cross-site"},
    "no origin at all": {"Origin": ""},
    "null origin": {"Origin": "null"},
    "another host": {"Host": "elsewhere.example", "Origin": "http://elsewhere.example"},
}


@pytest.mark.parametrize("headers", FOREIGN.values(), ids=FOREIGN.keys())
def test_writes_from_elsewhere_are_refused(client: TestClient, shop: Shop, headers: dict[str, str]) -> None:
    given = {"act_id": act_id(client.get("/motors/new?motor_class=tool").text), **MOTOR}
    request = client.build_request("POST", "/motors", data=given, headers=headers)
    if headers.get("Origin") == "":
        del request.headers["Origin"]
    answer = client.send(request)
    assert (answer.status_code, "another site" in answer.text) == (403, True)
    assert standings.count_motors(shop.conn) == 0


def test_a_body_of_ten_megabytes(client: TestClient) -> None:
    for sent in (b"x" * 10_000_000, iter([b"x" * 500_000] * 20)):
        answer = client.post("/motors", content=sent, headers={"Content-Type": "application/x-www-form-urlencoded"})
        assert (answer.status_code, "too large" in answer.text) == (413, True)
    answer = client.post(
        "/api/v1/sums/seating", content=b"[" * 10_000_000, headers={"Content-Type": "application/json"}
    )
    assert "too large" in answer.json()["error"]["problem"]


CASES = json.loads((Path(__file__).parents[1] / "data/sums.json").read_text())


@pytest.mark.parametrize("case", CASES, ids=lambda c: f"{c['sum']}: {c['case']}")
def test_every_worked_sum_is_a_page_with_words_for_each_result_and_a_drawing(
    client: TestClient, case: dict[str, Any]
) -> None:
    shown = client.get(f"/sums/{case['sum']}", params=as_typed(case["inputs"]))
    assert shown.status_code == 200
    answer = shown.text.split('class="result"')[1]
    assert answer.count("<svg") == 2  # one for a page, one for a phone
    assert not re.search(r"\bnan\b|\binf\b", answer)


def test_sums_as_pages_and_json(client: TestClient) -> None:
    assert "0.3394" in client.get("/sums/seating?commutator_d_mm=62&thickness_mm=9.15").text
    bad = client.get("/sums/seating?commutator_d_mm=big&thickness_mm=9.15")
    assert (bad.status_code, 'value="big"' in bad.text) == (422, True)
    good = client.post("/api/v1/sums/usable-carbon", json={"length_mm": 12, "new_mm": 16, "limit_mm": 6})
    assert good.json()["usable"] == pytest.approx(0.6)
    for path, body, status in (
        ("usable-carbon", '{"length_mm": "x"}', 422),
        ("usable-carbon", "no json", 422),
        ("usable-carbon", "[1]", 422),
        ("usable-carbon", '{"length_mm": NaN, "new_mm": 1, "limit_mm": 0}', 422),
        ("none", "{}", 404),
        ("usable-carbon", "[" * 50000, 422),
    ):
        answer = client.post(f"/api/v1/sums/{path}", content=body, headers={"Content-Type": "application/json"})
        assert (answer.status_code, bool(answer.json()["error"]["remedy"])) == (status, True), body[:40]


def test_the_json_twin_writes_once_and_says_what_it_decided(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    body = {"act_id": "from-a-meter-1", "person": "ines torvald", "value": "140", "day": "2026-11-20"}
    for _ in range(2):
        made = client.post(f"/api/v1/motors/{motor}/use", json=body)
        assert (made.status_code, made.json()["word"]) == (200, "Not measured")
    assert len(use.list_entries(shop.conn, motor)) == 2
    opened = client.post(
        f"/api/v1/motors/{motor}/sheets", json={"act_id": "sheet-by-json", "person": "Ines Torvald", "safe": True}
    ).json()["sheet"]
    reading = {"act_id": "reading-by-json", "person": "Ines Torvald", "position": 1, "value": "488"}
    asked = client.post(f"/api/v1/sheets/{opened}/readings", json=reading)
    assert (asked.status_code, asked.json()["error"]["suggestions"]) == (422, ["488 thou"])
    assert client.post(f"/api/v1/sheets/{opened}/readings", json={**reading, "value": "488 thou"}).status_code == 200
    verdict = client.get(f"/api/v1/motors/{motor}").json()
    assert verdict["brushes"][0]["length_mm"] == pytest.approx(12.3952)
    assert verdict["flags"] == ["incomplete"]
    force = {"act_id": "entry-by-json", "person": "Ines Torvald", "field": "force", "place": 1, "value": "7,9 N"}
    for status in (200, 200):
        assert client.post(f"/api/v1/sheets/{opened}/entries", json=force).status_code == status
    assert (
        client.post(f"/api/v1/sheets/{opened}/entries", json={**force, "act_id": "entry-by-json-2"}).status_code == 409
    )
    signing = {"act_id": "sign-by-json", "person": "Ines Torvald", "service": True}
    refused = client.post(f"/api/v1/sheets/{opened}/sign", json=signing)
    assert (refused.status_code, refused.json()["error"]["field"]) == (422, "why")
    assert client.post(f"/api/v1/sheets/{opened}/sign", json={**signing, "why": "B is out of reach"}).status_code == 200
    for wrong, status in (
        ({**body, "act_id": "x-new-act-1", "person": "Nobody"}, 409),
        ({**body, "act_id": "x-new-act-2", "value": "12"}, 409),
        ({"value": "1"}, 422),
        ({**body, "act_id": "x-new-act-3", "value": 3}, 422),
    ):
        assert client.post(f"/api/v1/motors/{motor}/use", json=wrong).status_code == status


def test_rules_are_changed_in_the_page(client: TestClient, shop: Shop) -> None:
    status, page, _ = send(client, "/rulebook/stage.watch", "/rulebook/stage.watch", value="50", why="hard to reach")
    assert (status, "site figure, Ines Torvald" in page) == (200, True)
    status, page, _ = send(client, "/rulebook/stage.watch", "/rulebook/stage.watch", value="0.5", why="x")
    assert (status, 'value="0.5"' in page, "could be 0.5% or 50%" in page) == (422, True, True)
    status, page, _ = send(client, "/rulebook/stage.watch", "/rulebook/stage.watch", value="500", why="x")
    assert (status, "Give a figure from 0% to 100%" in page) == (422, True)
    assert "default" in send(client, "/rulebook/stage.watch", "/rulebook/stage.watch", clear="1")[1]


def test_types_and_figures_in_the_page(client: TestClient) -> None:
    status, page, address = send(
        client, "/types/new", "/types", name="Saw motor", motor_class="tool", new_mm="15", limit_mm="5.5"
    )
    assert (status, 'value="15"' in page) == (200, True)
    assert send(client, address, address, name="Saw motor", motor_class="tool", new_mm="x")[0] == 422
    _, _, motor = add(client, type_id=address.split("/")[-1], new_length="", limit="")
    page = client.get(f"{motor}/figures").text
    assert "empty: 15, type" in page
    version = re.search(r'name="version" value="(\d+)"', page)
    assert version
    status, page, _ = send(client, f"{motor}/figures", f"{motor}/figures", version=version[1], limit_mm="20")
    assert (status, "not below the new length" in page) == (422, True)
    assert send(client, f"{motor}/figures", f"{motor}/figures", version=version[1], limit_mm="6")[0] == 200
    assert send(client, f"{motor}/figures", f"{motor}/figures", version=version[1], limit_mm="7")[0] == 409


WAYS = {
    "depth": ({"depth_new_mm": "20", "depth_limit_mm": "33"}, "31.9", "fixed rim", "on the gauge, a length of 22.0 mm"),
    "protrusion": ({"protrusion_constant_mm": "14"}, "-1.5", "protrusion above", "on the gauge, a length of 22.0 mm"),
    "wear line": (
        {"wear_line_1_mm": "18", "wear_line_2_mm": "14", "wear_line_3_mm": "8"},
        "2",
        "Which line shows",
        "last 22.0 mm",
    ),
    "compare": ({}, "60", "per cent of a new brush", "last 22.0 mm"),
    "spring position": ({"spring_table": "0=22; 5=12; 8=8"}, "3.5", "mark on the scale", "last 22.0 mm"),
}


@pytest.mark.parametrize("method", WAYS)
def test_every_way_of_measuring_is_asked_for_in_its_own_words(client: TestClient, shop: Shop, method: str) -> None:
    figures, typed, words, last = WAYS[method]
    shop.now = datetime.now() - timedelta(weeks=5)
    motor = shop.motor(figures={"method": method, **figures})
    shop.later(weeks=4).log(motor, "400")
    opened = {"act_id": "sheet-of-a-way", "sheet_kind": "quick", "counter": "", "safe": "1"}
    page = client.post(f"/motors/{motor}/sheets", data=opened)
    sheet = page.url.path.removesuffix("/brushes")
    assert words in page.text
    assert last in unescape(page.text)
    for place in (1, 2):
        sent = {"act_id": f"reading-of-a-way-{place}", "place": str(place), "value": typed, "stage": "brushes"}
        page = client.post(f"{sheet}/readings", data=sent)
    assert "to the limit" in page.text
    assert shop.page(motor).found.missing == ()
    # Another way than the motor's own, before its figures are known, is asked about and keeps what was typed.
    there = re.findall(r'[;?]replaces=([^&"]+)', page.text)
    assert there
    typed_over = {
        "act_id": "reading-otherwise",
        "place": "2",
        "value": "7",
        "method": "guess",
        "replaces": there[1],
        "stage": "brushes",
    }
    other = client.post(f"{sheet}/readings", data=typed_over)
    assert (other.status_code, 'value="7"' in other.text) == (422, True)


def test_the_first_person_names_the_shop_once(tmp_path: Path) -> None:
    app = create_app(Settings(db=tmp_path / "own.db", log=False))
    with TestClient(app, base_url=ORIGIN, headers={"Origin": ORIGIN}) as client:
        typed = {"name": "Maud Celliers", "shop": "Loft <shop>", "next": "/", "password": "three words here"}
        typed |= {"act_id": act_id(client.get("/who").text), "code": app.state.first_code}
        assert client.post("/who/first", data={**typed, "name": ""}).status_code == 422
        assert "Loft &lt;shop&gt;" in client.post("/who/first", data=typed).text
        again = {**typed, "name": "Bram", "shop": "Another", "act_id": "another-act-id"}
        assert client.post("/who/first", data=again).status_code == 409
        assert "Another" not in client.get("/").text
        app.state.catching_up.join()
    conn = connect(tmp_path / "own.db")
    assert [p.name for p in people.list_people(conn)] == ["Maud Celliers"]
    done = conn.execute("select before_json, after_json from act where job = 'name the site' order by seq").fetchall()
    assert tuple(done[0]) == ('{"name": ""}', '{"name": "Loft <shop>"}')
    conn.close()


def test_light_and_dark_are_remembered(client: TestClient) -> None:
    assert 'data-light="dark"' in client.post("/light", data={"theme": "dark", "next": "/sums"}).text
    assert 'data-light=""' in client.post("/light", data={"theme": "<b>", "next": "//x"}).text


def test_an_open_sheet_is_offered_again(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    shop.now = shop.now.replace(year=2026)
    opened = shop.look(motor)
    page = client.get(f"/motors/{motor}/sheet?kind=full").text
    assert f"/sheets/{opened}" in page
    assert "one visit, one sheet" in page
    assert "not signed yet" in client.get(f"/motors/{motor}").text
    assert "Left open" in client.get("/").text
