"""Nasty input everywhere: every form, every field, every address; never a 500, never half a save."""

import threading
from collections.abc import Iterator
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop, readings_on
from norvash.config import Settings, check_allowed
from norvash.errors import InputError
from norvash.store.file.database import connect
from norvash.store.record import use
from norvash.web.app import create_app
from norvash.web.door.security import Refused, check_origin
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use
from pages import come_in

NASTY = (
    "",
    " ",
    "\x00",
    "💥",
    "9" * 400,
    "-3",
    "1e9",
    "NaN",
    "-inf",
    "0x1F",
    "<script>alert(1)</script>",
    "'; drop table motor; --",
    "\u202etxet",
    "%s%n%d",
    "{{ 7 * 7 }}",
    "../../etc/passwd",
    "12,4",
    "1.234,5",
    "12 mm",
    "3 h",
    "½",
    "1/0",
    "\r\nSet-Cookie: x=1",
    "A" * 3000,
    "٣",
    "2026-02-30",
    "9999-12-31",
    "0001-01-01",
    "true",
    "[]",
    "+",
    "−",
    ";",
    ";;;",
    "1;2;3",
    "=",
    "5=6=7",
    "²",
    "0",
    "100000",
)


@pytest.fixture
def served(db: Path) -> Iterator[TestClient]:
    app = create_app(Settings(db=db, log=False))
    with TestClient(
        app, base_url="http://localhost", headers={"Origin": "http://localhost"}, raise_server_exceptions=False
    ) as made:
        made.cookies.set(SESSION_COOKIE, come_in(app))
        yield made
        app.state.catching_up.join()


@pytest.fixture
def places(shop: Shop) -> dict[str, str]:
    motor = shop.motor()
    shop.later(weeks=50)
    return {"motor": motor, "sheet": shop.look(motor)}


FORMS: dict[str, tuple[str, dict[str, str]]] = {
    "add a motor": (
        "/motors",
        {
            "motor_class": "tool",
            "tag": "N-1",
            "name": "N",
            "place": "P",
            "type_id": "",
            "brushes": "2",
            "new_length": "15",
            "limit": "5",
            "unit_of_use": "hours",
            "use_now": "4",
            "set_is_new": "1",
        },
    ),
    "log use": ("/motors/{motor}/hours", {"value": "120", "mode": "counter", "day": "", "answer": ""}),
    "open a sheet": (
        "/motors/{motor}/sheets",
        {"sheet_kind": "full", "counter": "", "kind": "check", "answer": "", "safe": ""},
    ),
    "measure": (
        "/sheets/{sheet}/readings",
        {"place": "1", "value": "20", "unit": "", "method": "", "instrument": "", "replaces": "", "stage": "brushes"},
    ),
    "note": ("/sheets/{sheet}/findings", {"place": "1", "value": "face.glazed", "gone": "", "stage": "brushes"}),
    "enter": (
        "/sheets/{sheet}/entries",
        {"field": "force", "place": "1", "value": "9 N", "replaces": "", "stage": "brushes", "position": ""},
    ),
    "put off": (
        "/sheets/{sheet}/entries",
        {
            "field": "decide.lead.taut",
            "place": "1",
            "value": "deferred",
            "who": "Ines",
            "day": "2099-01-01",
            "stage": "decide",
            "replaces": "",
        },
    ),
    "permit": (
        "/sheets/{sheet}/entries",
        {
            "field": "permit.open",
            "place": "1",
            "value": "volts",
            "who": "Ines",
            "barriers": "rope",
            "minutes": "10",
            "stage": "before",
            "replaces": "",
        },
    ),
    "undo": ("/sheets/{sheet}/undo", {"stage": "brushes", "position": ""}),
    "add": ("/sheets/{sheet}/additions", {"addition": "seen again", "stage": "sign"}),
    "fit": (
        "/motors/{motor}/sets",
        {"counter": "", "reason": "planned", "length_1": "22", "length_2": "22", "length_²": "22", "answer": ""},
    ),
    "figures": (
        "/motors/{motor}/figures",
        {
            "version": "1",
            "new_mm": "22",
            "method": "depth",
            "depth_new_mm": "20",
            "label_1": "A",
            "angle_1": "90",
            "polarity_1": "+",
            "spring_table": "0=22; 5=6",
            "grade": "x",
        },
    ),
    "type": ("/types", {"name": "T", "motor_class": "tool", "brushes": "2", "new_mm": "15", "instrument": "rule"}),
    "rule": ("/rulebook/stage.watch", {"value": "0.5", "motor_class": "", "why": "w", "clear": ""}),
    "who": ("/who", {"name": "Somebody", "password": "p", "next": "/"}),
    "person": ("/people", {"name": "Somebody", "role": "viewer"}),
    "light": ("/light", {"theme": "dark", "next": "/"}),
}


@pytest.mark.long
@pytest.mark.parametrize(("path", "fields"), FORMS.values(), ids=FORMS.keys())
def test_nothing_typed_into_a_form_breaks_it(
    served: TestClient, places: dict[str, str], path: str, fields: dict[str, str]
) -> None:
    seen = set()
    for field in (*fields, "act_id"):
        for i, text in enumerate(NASTY):
            given = {"act_id": f"nasty-{field}-{i:03d}", **fields, field: text}
            answer = served.post(path.format(**places), data=given, follow_redirects=False)
            seen.add(answer.status_code)
            may = (303, 404, 409, 422, *({"/who": (401, 429), "/people": (200,)}.get(path, ())))
            assert answer.status_code in may, (field, text[:40], answer.text[:300])
            assert "Traceback" not in answer.text
            assert "set-cookie: x=1" not in str(answer.headers).lower()
    assert 422 in seen or path in ("/light", "/who")


ADDRESSES = (
    "/motors?q={}",
    "/motors?c={}",
    "/hours?q={}",
    "/?p={}",
    "/motors?p={}",
    "/motors/new?motor_class={}",
    "/motors/new?type_id={}",
    "/motors/{}",
    "/motors/{}/hours",
    "/sheets/{}",
    "/sheets/{}/brushes",
    "/rulebook/{}",
    "/sums/{}",
    "/sums/seating?thickness_mm={}&commutator_d_mm=60",
    "/sums/seating?thickness_mm=9&commutator_d_mm=60&face_radius_mm={}",
    "/sums/set-spread?wear_mm={}",
    "/sums/usable-carbon?length_mm={}&new_mm=22&limit_mm=8",
    "/sums/brush-limit?new_mm={}&thickness_mm=8&width_mm=9",
    "/sums/current-density?current_a={}&brush_count=4&thickness_mm=8&width_mm=9",
    "/sums/holder-fit?thickness_mm=8&width_mm=9&box_thickness_mm={}&box_width_mm=9",
    "/sums/spring-pressure?force_n={}&thickness_mm=8&width_mm=9",
    "/sums/straight-line?lengths_mm={}&start_mm=22&limit_mm=8&run_h=5",
    "/types/{}",
    "/who?next={}",
    "/api/v1/motors/{}",
)


@pytest.mark.long
@pytest.mark.parametrize("address", ADDRESSES)
def test_nothing_in_an_address_breaks_a_page(served: TestClient, address: str) -> None:
    from urllib.parse import quote

    for text in NASTY:
        answer = served.get(address.format(quote(text, safe="")), follow_redirects=False)
        assert answer.status_code in (200, 303, 307, 404, 422), (text[:40], answer.status_code)


BODIES = (
    b"",
    b"\xff\xfe\x00",
    b"value=%ff%fe&act_id=raw-bytes-1",
    b"a" * 5000,
    b"&&&===",
    b"act_id=x&act_id=y&value=1&value=2",
)


@pytest.mark.parametrize(
    "kind",
    ["application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "text/plain", "application/json", ""],
)
def test_bodies_that_are_no_forms(served: TestClient, places: dict[str, str], kind: str) -> None:
    for body in BODIES:
        answer = served.post(f"/motors/{places['motor']}/hours", content=body, headers={"Content-Type": kind})
        assert answer.status_code in (400, 404, 409, 422), (body[:30], answer.status_code, answer.text[:200])
        assert served.post("/api/v1/sums/seating", content=body, headers={"Content-Type": kind}).status_code in (
            400,
            415,
            422,
        )


def test_a_refused_entry_leaves_every_table_as_it_was(served: TestClient, places: dict[str, str], shop: Shop) -> None:
    def counts() -> list[int]:
        tables = (
            "act",
            "motor",
            "use_entry",
            "round",
            "reading",
            "finding",
            "brush_set",
            "motor_figure",
            "position",
            "rule_override",
            "entry",
            "sheet",
        )
        return [shop.conn.execute(f"select count(*) from {t}").fetchone()[0] for t in tables]

    before = counts()
    motor, sheet = places["motor"], places["sheet"]
    for path, typed in (
        ("/motors", {**FORMS["add a motor"][1], "limit": "30"}),
        (f"/motors/{motor}/hours", {"value": "99999"}),
        (f"/motors/{motor}/sets", {"reason": "planned", "counter": "130", "length_1": "22", "length_2": "no"}),
        (f"/sheets/{sheet}/readings", {"place": "1", "value": "no", "stage": "brushes"}),
        (f"/sheets/{sheet}/entries", {"field": "force", "place": "1", "value": "no"}),
        (f"/motors/{motor}/figures", {"version": "1", "new_mm": "3", "limit_mm": "8"}),
        ("/rulebook/stage.watch", {"value": "0.5", "why": ""}),
    ):
        assert served.post(path, data={"act_id": f"refused-{len(path)}", **typed}).status_code == 422
    assert counts() == before


def test_the_same_act_at_once_from_two_sides_is_kept_once(db: Path, shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=1)
    results, errors = list[str](), list[Exception]()

    def send(i: int) -> None:
        conn = connect(db)
        try:
            for _ in range(5):
                results.append(log_use(conn, Act("one-and-the-same", "person-of-test", shop.now), motor, text="150"))
            log_use(
                conn,
                Act(f"another-{i:04d}", "person-of-test", shop.later(minutes=1).now),
                motor,
                text="1",
                mode="increment",
            )
        except Exception as error:  # noqa: BLE001
            errors.append(error)
        finally:
            conn.close()

    threads = [threading.Thread(target=send, args=(i,)) for i in range(6)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert errors == []
    assert set(results) == {"one-and-the-same"}
    assert sum(e.counter_units == 150 for e in use.list_entries(shop.conn, motor)) == 1
    assert use.list_entries(shop.conn, motor)[-1].total_units == 156


def test_one_brush_measured_by_two_at_the_same_time_keeps_both_in_the_record(
    served: TestClient, places: dict[str, str], shop: Shop
) -> None:
    answers = list[int]()

    def send(i: int) -> None:
        typed = {"act_id": f"at-once-{i:04d}", "place": "1", "value": f"20.{i}", "replaces": "", "stage": "brushes"}
        answers.append(
            served.post(f"/sheets/{places['sheet']}/readings", data=typed, follow_redirects=False).status_code
        )

    threads = [threading.Thread(target=send, args=(i,)) for i in range(4)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert sorted(answers) == [303, 409, 409, 409]
    assert len(readings_on(shop.conn, places["sheet"])) == 1


REQUESTS = [
    ("GET", "/", {"host": "localhost"}, 200),
    ("GET", "/", {"host": "elsewhere.example"}, 403),
    ("GET", "/", {"host": "LocalHost:8000"}, 200),
    ("GET", "/", {"host": "localhost", "sec-fetch-site": "cross-site"}, 200),
    ("POST", "/motors", {"host": "localhost:8000", "origin": "http://localhost:8000"}, 200),
    ("POST", "/motors", {"host": "localhost:8000", "origin": "http://localhost:8001"}, 403),
    ("POST", "/motors", {"host": "localhost", "sec-fetch-site": "same-site", "origin": "http://localhost"}, 403),
    ("POST", "/motors", {"host": "localhost", "sec-fetch-site": "same-origin"}, 200),
    ("POST", "/motors", {"host": "localhost"}, 403),
    ("POST", "/api/v1/sums/seating", {"host": "localhost"}, 200),
    ("POST", "/api/v1/sums/seating", {"host": "localhost", "origin": "http://elsewhere.example"}, 403),
    ("POST", "/motors", {"host": "localhost", "origin": "null"}, 403),
    ("POST", "/", {"host": "[::1]:8000", "origin": "http://[::1]:8000"}, 200),
    *(
        ("GET", "/", {"host": host}, 400)
        for host in ("", "[::1", "[evil]", "a b", "localhost:port", "localhost:8000:1", "u@localhost", "localhost/x")
    ),
    *(
        ("POST", "/motors", {"host": "localhost", "origin": origin}, 400)
        for origin in ("http://[x", "http://", "localhost", "http://a b", "http://localhost/x")
    ),
    ("GET", "/", {"host": "localhost", "origin": "http://[x"}, 400),
]


@pytest.mark.parametrize(("method", "path", "headers", "status"), REQUESTS)
def test_where_a_request_may_come_from(method: str, path: str, headers: dict[str, str], status: int) -> None:
    from starlette.datastructures import Headers

    found = 200
    try:
        check_origin(Headers(headers), method, path, ("localhost", "127.0.0.1", "[::1]"))
    except Refused as refusal:
        found = refusal.status
    assert found == status


def test_settings_come_from_the_environment_only_where_nothing_is_given(
    monkeypatch: pytest.MonkeyPatch, tmp_path: Path
) -> None:
    monkeypatch.setenv("NORVASH_ALLOWED_HOSTS", "shop.lan, bench.lan")
    monkeypatch.setenv("NORVASH_MOST_BODY_BYTES", "2000")
    settings = Settings.with_environment(db=tmp_path / "x.db", host="0.0.0.0")
    assert (settings.hosts, settings.most_body_bytes) == (("shop.lan", "bench.lan"), 2000)
    assert Settings.with_environment(db=tmp_path / "x.db", allowed_hosts=("a",)).hosts == ("a",)
    assert Settings(db=tmp_path / "x.db", host="0.0.0.0").hosts == ()


ALLOWED = [
    ("127.0.0.1", (), True),
    ("localhost", (), True),
    ("::1", (), True),
    ("127.0.0.9", (), True),
    ("0.0.0.0", (), False),
    ("::", (), False),
    ("192.168.4.7", (), False),
    ("0.0.0.0", ("Shop.lan",), True),
    ("0.0.0.0", ("http://shop.lan",), False),
    ("::", ("shop.lan:8000",), False),
    ("127.0.0.1", ("",), False),
    ("0.0.0.0", ("[::1]", "10.0.0.4"), True),
]


@pytest.mark.parametrize(("host", "names", "fine"), ALLOWED)
def test_an_open_address_needs_a_name_that_is_allowed(host: str, names: tuple[str, ...], fine: bool) -> None:
    if fine:
        assert check_allowed(host, names) == tuple(n.lower() for n in names)
    else:
        with pytest.raises(InputError):
            check_allowed(host, names)


def test_a_look_asks_whether_it_is_made_safe_before_it_leads_anywhere_else(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    begun = {"sheet_kind": "quick", "counter": "120", "kind": "check"}
    asked = client.post(f"/motors/{motor}/sheets", data={"act_id": "begins-a-look", **begun})
    assert (asked.status_code, "Nobody has said that it is made safe." in asked.text) == (422, True)
    assert 'value="120"' in asked.text
    assert shop.conn.execute("select count(*) from sheet").fetchone()[0] == 0
    first = client.post(f"/motors/{motor}/sheets", data={"act_id": "begins-a-look", **begun, "first": "safe"})
    assert first.url.path.endswith("/safe")
