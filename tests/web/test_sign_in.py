"""Signing in over the wire: the first lead, passwords, codes, PINs, sessions, and what nobody sees without one."""

from collections.abc import Iterator
from datetime import datetime, timedelta
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.certificate import ends, make
from norvash.config import Settings
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.file.database import transaction
from norvash.web.app import create_app
from norvash.web.served.deps import DEVICE_COOKIE, SESSION_COOKIE
from norvash.web.served.serving import server_config
from pages import ORIGIN
from signing_in import INES, WORDS, browser, code_on, lead


@pytest.fixture
def client(db: Path) -> Iterator[TestClient]:
    """Return a browser on the machine itself, in which nobody has signed in yet."""
    with browser(db, "127.0.0.1") as made:
        yield made


def test_the_first_lead_begins_with_the_code_of_this_start(client: TestClient, db: Path) -> None:
    asked = client.get("/", follow_redirects=False)
    assert (asked.status_code, asked.headers["location"]) == (303, "/who?next=%2F")
    page = client.get("/who").text
    assert client.app.state.first_code in page  # type: ignore[attr-defined]
    assert "Ines Torvald" in page
    wrong = client.post("/who/first", data={**INES, "code": "AAAA-BBBB-CCCC", "act_id": "first-lead-here"})
    assert (wrong.status_code, "not the code" in wrong.text, WORDS in wrong.text) == (401, True, False)
    begun = lead(client)
    assert (begun.status_code, begun.url.path) == (200, "/motors")
    cookie = begun.history[0].headers["set-cookie"]
    assert ("HttpOnly" in cookie, "SameSite=lax" in cookie, "Secure" in cookie) == (True, True, False)
    assert lead(client).status_code == 409
    client.post("/who/out")
    assert client.get("/motors", follow_redirects=False).status_code == 303
    assert "Code of this start" not in client.get("/who").text


@pytest.mark.parametrize(("address", "how"), [("192.0.2.7", {}), ("127.0.0.1", {"behind": "127.0.0.1"})])
def test_the_code_is_shown_on_the_machine_itself_alone(db: Path, address: str, how: dict[str, str]) -> None:
    with browser(db, address, **how) as client:
        assert client.app.state.first_code not in client.get("/who").text  # type: ignore[attr-defined]
        assert (lead(client).status_code, client.app.state.settings.is_secure) == (200, bool(how))  # type: ignore[attr-defined]


def test_a_colleague_gets_a_code_and_sees_what_their_role_may(client: TestClient, db: Path, shop: Shop) -> None:
    lead(client)
    page = client.post("/people", data={"act_id": "add-a-person", "name": "Bram Aldous", "role": "viewer"}).text
    code = code_on(page)
    assert code not in client.get("/people").text
    with browser(db) as other:
        assert other.post("/who", data={"name": "Bram Aldous", "password": code}).status_code == 401
        entered = other.post("/who/code", data={"code": code, "password": "slip ring brush", "next": "/sums"})
        assert (entered.status_code, entered.url.path) == (200, "/sums")
        assert other.get("/people").status_code == 403
        refused = other.post("/motors", data={"act_id": "never-to-be-kept"})
        assert (refused.status_code, "for a technician or a lead" in refused.text) == (403, True)
        bram = access.find_member(shop.conn, other.get("/who").text.split('data-who="')[1].split('"')[0])
        assert bram is not None
        client.post(f"/people/{bram.id}/end", data={"act_id": "out-everywhere"})
        assert other.get("/motors", follow_redirects=False).status_code == 303


def test_an_act_says_in_which_session_it_was_made(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    lead(client)
    client.post(f"/motors/{motor}/hours", data={"act_id": "hours-in-session", "value": "120", "mode": "counter"})
    row = shop.conn.execute(
        """select a.person_id, s.device from act a join session s on s.id = a.session_id
           where a.id = 'hours-in-session'"""
    ).fetchone()
    assert tuple(row) == ("person-of-test", "a program, testclient")
    assert shop.conn.execute("select count(*) from act where session_id is null").fetchone()[0] > 0


def test_a_pin_switches_on_its_own_device_and_five_wrong_ones_lock_it(client: TestClient, db: Path) -> None:
    lead(client)
    assert client.post("/who/own-pin", data={"pin": "1234", "own-password": WORDS}).status_code == 422
    refused = client.post("/who/own-pin", data={"pin": "4711"})
    assert (refused.status_code, "not your password" in refused.text) == (401, True)
    client.post("/who/own-pin", data={"pin": "4711", "own-password": WORDS})
    device = client.cookies[DEVICE_COOKIE]
    client.post("/who/out")
    assert "Switch to Ines Torvald" in client.get("/who").text
    switched = client.post("/who/pin", data={"person": "person-of-test", "pin": "4711", "next": "/hours"})
    assert switched.url.path == "/hours"
    assert client.cookies[DEVICE_COOKIE] == device
    client.post("/who/out")
    with browser(db) as other:
        lead_page = other.get("/who").text
        assert "Switch to" not in lead_page
        assert other.post("/who/pin", data={"person": "person-of-test", "pin": "4711"}).status_code == 401
    sessions = client.app.state.sessions  # type: ignore[attr-defined]
    for _ in range(5):
        sessions.attempts.free("person-of-test")
        assert client.post("/who/pin", data={"person": "person-of-test", "pin": "4712"}).status_code == 401
    sessions.attempts.free("person-of-test")
    locked = client.post("/who/pin", data={"person": "person-of-test", "pin": "4711"})
    assert (locked.status_code, "locked" in locked.text) == (401, True)


def test_wrong_attempts_are_slowed_and_told(client: TestClient) -> None:
    lead(client)
    client.post("/who/out")
    statuses = [client.post("/who", data={**INES, "password": "x"}).status_code for _ in range(4)]
    assert statuses == [401, 401, 401, 429]
    assert client.post("/who", data=INES).status_code == 429
    client.app.state.sessions.attempts.free("person-of-test")  # type: ignore[attr-defined]
    told = client.post("/who", data=INES)
    assert "3 wrong attempts with your name" in told.text


def test_an_account_has_one_counter_however_it_is_named_and_a_code_frees_it(client: TestClient, db: Path) -> None:
    lead(client)
    with browser(db, "192.0.2.7") as other:
        named = ("ines torvald.", "ＩＮＥＳ torvald", '"Ines" Torvald', "Ines  Torvald")
        guessed = [other.post("/who", data={"name": n, "password": "x"}).status_code for n in named]
        assert guessed == [401, 401, 401, 429]
    old = {"old": "guessed by somebody at the open screen", "new": f"{WORDS} new"}
    guessed = [client.post("/who/password", data=old).status_code for _ in range(4)]
    assert guessed == [401, 401, 401, 429]
    page = client.post("/people", data={"act_id": "add-bram-now", "name": "Bram Aldous", "role": "viewer"}).text
    code, bram = code_on(page), {"name": "Bram Aldous", "password": "x"}
    with browser(db) as other:
        assert [other.post("/who", data=bram).status_code for _ in range(4)] == [401, 401, 401, 429]
        wrong = {"code": "AAAA-BBBB-CCCC", "password": "slip ring brush"}
        assert other.post("/who/code", data=wrong).status_code == 401
        assert other.post("/who/code", data={"code": code, "password": "short"}).status_code == 422
        entered = other.post("/who/code", data={"code": code, "password": "slip ring brush", "next": "/sums"})
        assert (entered.status_code, entered.url.path) == (200, "/sums")


def test_a_session_idle_too_long_is_over_and_what_was_typed_is_kept(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    lead(client)
    sessions = client.app.state.sessions  # type: ignore[attr-defined]
    long_ago = datetime.now() - timedelta(hours=12, minutes=1)
    sessions._seen = dict.fromkeys(sessions._seen, long_ago)
    with transaction(shop.conn):
        shop.conn.execute("update session set seen_at = ?", (long_ago.isoformat(),))
    typed = {"act_id": "typed-before-idle", "value": "133", "mode": "counter"}
    idle = client.post(f"/motors/{motor}/hours", data=typed)
    said = ("Nobody is signed in" in idle.text, 'name="value" value="133"' in idle.text)
    assert (idle.status_code, *said) == (401, True, True)
    waits = client.post(f"/motors/{motor}/hours", data=typed, headers={"Norvash-Person": "person-of-test"})
    assert (waits.status_code, waits.headers["Norvash-Waits"]) == (409, "person")
    client.post("/who", data=INES)
    assert client.post(f"/motors/{motor}/hours", data=typed).status_code == 200


def test_json_signs_in_and_is_refused_without(client: TestClient, shop: Shop) -> None:
    motor = shop.motor()
    lead(client)
    client.cookies.clear()
    address, sum_address = f"/api/v1/motors/{motor}", "/api/v1/sums/usable-carbon"
    assert [client.get(address).status_code, client.post(sum_address, json={}).status_code] == [401, 401]
    assert client.post("/api/v1/session", json={**INES, "password": "x"}).status_code == 401
    begun = client.post("/api/v1/session", json=INES).json()
    assert (begun["person"], begun["role"], begun["wrong_attempts"]) == ("Ines Torvald", "lead", 1)
    assert client.get(address).status_code == 200
    use = {"act_id": "use-by-json-now", "value": "130", "person": "Somebody Else"}
    assert client.post(f"{address}/use", json=use).status_code == 409
    assert client.post(f"{address}/use", json={**use, "person": "Ines Torvald"}).status_code == 200
    assert client.delete("/api/v1/session").status_code == 204
    assert client.get(address).status_code == 401


def test_the_calendar_is_seen_by_its_secret_until_that_is_changed(client: TestClient, shop: Shop) -> None:
    shop.motor()
    lead(client)
    client.post("/people/feed")
    key = signatures.feed_key(shop.conn)
    assert f"?k={key}" in client.get("/outlook").text
    client.cookies.clear()
    assert client.get(f"/outlook/norvash.ics?k={key}").text.startswith("BEGIN:VCALENDAR")
    for wrong in ("", "?k=", f"?k={key[:-1]}"):
        assert client.get(f"/outlook/norvash.ics{wrong}", follow_redirects=False).status_code == 303
    with transaction(shop.conn):
        signatures.change_feed_key(shop.conn, "another")
    assert client.get(f"/outlook/norvash.ics?k={key}", follow_redirects=False).status_code == 303


def test_where_nothing_can_be_written_one_signs_in_to_see(client: TestClient, db: Path) -> None:
    lead(client)
    client.post("/who/out")
    client.app.state.pool.watch.state = "read-only"  # type: ignore[attr-defined]
    before = db.read_bytes()
    assert client.post("/who", data={**INES, "next": "/motors"}).url.path == "/motors"
    assert "viewer" in client.get("/who").text
    assert client.post("/rulebook/stage.watch", data={"act_id": "never-to-be-kept", "value": "0.5"}).status_code == 503
    assert db.read_bytes() == before


def test_without_a_session_health_is_a_word_and_a_signed_cookie_is_no_way_in(client: TestClient) -> None:
    lead(client)
    client.cookies.clear()
    assert client.get("/healthz").json() == {"ok": True, "state": "well"}
    for name, value in (("norvash_person", "person-of-test"), (SESSION_COOKIE, "person-of-test"), (SESSION_COOKIE, "")):
        client.cookies.clear()
        client.cookies.set(name, value)
        assert client.get("/motors", follow_redirects=False).status_code == 303


def test_over_tls_cookies_are_secure_and_browsers_stay_there(db: Path) -> None:
    with browser(db, "192.0.2.7", behind="127.0.0.1", allowed_hosts=("localhost",)) as client:
        begun = client.post(
            "/who/first",
            data={**INES, "code": client.app.state.first_code, "act_id": "first-lead-here"},  # type: ignore[attr-defined]
            follow_redirects=False,
        )
        assert begun.headers["set-cookie"].count("Secure") == 2
        assert begun.headers["strict-transport-security"] == "max-age=31536000"


def test_the_end_of_the_certificate_is_told_and_of_the_shops_own_a_browser_keeps_a_day(
    db: Path, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    make(("shop.example",), tmp_path, datetime.now() - timedelta(days=350))
    tls = tmp_path / "norvash-cert.pem", tmp_path / "norvash-key.pem"
    with browser(db, "127.0.0.1", tls=tls) as client:
        health = client.get("/healthz")
        assert health.headers["strict-transport-security"] == "max-age=86400"
        assert health.json()["certificate"]["days"] == 47
    with browser(db, "127.0.0.1") as client:
        client.app.state.certificate = ends(tls[0])  # type: ignore[attr-defined]
        lead(client)
        assert "The certificate ends on" in client.get("/people").text


OURS, THEIRS = "127.0.0.1", "192.0.2.9"


@pytest.mark.parametrize(("behind", "at"), [("", OURS), (OURS, THEIRS), ("198.51.100.4", OURS)])
def test_forwarded_headers_are_believed_from_the_proxy_that_is_named(db: Path, behind: str, at: str) -> None:
    settings = Settings(db=db, log=False, behind=behind)
    app = create_app(settings)
    config = server_config(app, settings)
    config.load()
    with TestClient(config.loaded_app, base_url=ORIGIN, client=(OURS, 50_000)) as client:
        headers = {"Origin": ORIGIN, "X-Forwarded-For": THEIRS}
        assert client.post("/who", data={**INES, "password": "x"}, headers=headers).status_code == 401
        app.state.catching_up.join()
    assert list(app.state.sessions.attempts._of_address) == [at]
