"""What holds a session, and what is tried against it: roles taken away, signatures, secrets sent in odd ways."""

import contextlib
import itertools
import re
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import replace
from datetime import timedelta
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.config import Settings
from norvash.errors import NorvashError
from norvash.exchange.visit_play import play_file
from norvash.store.access import members as access
from norvash.store.access.members import Member
from norvash.store.access.signed import CONFIRMED
from norvash.store.file.database import transaction
from norvash.web.app import create_app
from norvash.web.served.deps import DEVICE_COOKIE, SESSION_COOKIE
from norvash.work.access.attempts import Attempts, WrongSecret
from norvash.work.access.members import add_member
from norvash.work.act.may import MAY
from norvash.work.told.signed_how import confirm_played, signed_how
from pages import ORIGIN
from signing_in import INES, WORDS, browser, code_on, lead

__all__ = ["client"]
SOURCE = Path(__file__).parent.parent.parent / "src/norvash/work"
JOBS = Path(__file__).parent.parent / "jobs"
UNCONFIRMED = "from a file that nobody here has confirmed"


@pytest.fixture
def client(db: Path) -> Iterator[TestClient]:
    """Return a browser on the machine itself, in which nobody has signed in yet."""
    with browser(db, "127.0.0.1") as made:
        yield made


def member(shop: Shop, name: str) -> Member:
    return next(m for m in access.list_members(shop.conn) if m.name == name)


def colleague(client: TestClient, other: TestClient, role: str = "technician") -> None:
    """Let Bram Aldous in on another browser, with a role."""
    page = client.post("/people", data={"act_id": "add-bram-now", "name": "Bram Aldous", "role": role}).text
    other.post("/who/code", data={"code": code_on(page), "password": "slip ring brush"})


def test_every_job_says_which_role_may() -> None:
    found = {CONFIRMED}
    for path in SOURCE.rglob("*.py"):
        text = path.read_text()
        found |= set(re.findall(r'\b(?:say|once|prepared)\(\s*conn,\s*act,\s*"([^"]+)"', text))
    assert found == set(MAY)


def test_a_role_taken_away_ends_what_an_open_session_may(client: TestClient, db: Path, shop: Shop) -> None:
    motor = shop.motor()
    lead(client)
    with browser(db) as other:
        colleague(client, other)
        hours = {"value": "120", "mode": "counter"}
        assert other.post(f"/motors/{motor}/hours", data={**hours, "act_id": "bram-may-enter"}).status_code == 200
        bram = member(shop, "Bram Aldous")
        client.post(f"/people/{bram.id}/role", data={"act_id": "role-is-taken", "role": "viewer"})
        assert other.get(f"/motors/{motor}").status_code == 200
        assert other.post(f"/motors/{motor}/hours", data={**hours, "act_id": "bram-may-not"}).status_code == 403
        api = {"act_id": "bram-by-json", "value": "130"}
        assert other.post(f"/api/v1/motors/{motor}/use", json=api).status_code == 403


def test_whoever_opened_a_sheet_or_a_lead_signs_it(client: TestClient, db: Path, shop: Shop) -> None:
    motor = shop.motor(brushes="2")
    lead(client)
    signing = {"service": "1", "why": "looked at"}
    with browser(db) as other, browser(db) as third:
        colleague(client, other)
        page = client.post("/people", data={"act_id": "add-maud-now", "name": "Maud Celliers", "role": "technician"})
        third.post("/who/code", data={"code": code_on(page.text), "password": "spring and clip"})
        opened = {"act_id": "bram-opens-it", "sheet_kind": "quick", "counter": "120", "first": "safe"}
        sheet = other.post(f"/motors/{motor}/sheets", data=opened).url.path.rsplit("/", 1)[0]
        refused = third.post(f"{sheet}/sign", data={**signing, "act_id": "maud-signs-it"})
        assert (refused.status_code, "for a lead" in refused.text) == (403, True)
        assert client.post(f"{sheet}/sign", data={**signing, "act_id": "ines-signs-it"}).status_code == 200
        assert "Signed by <b>Ines Torvald</b>" in " ".join(client.get(f"{sheet}/sign").text.split())
        assert "on a program, testclient" in client.get(f"/motors/{motor}").text
        assert "on a program, testclient" not in other.get(f"/motors/{motor}").text


def test_a_shop_may_ask_for_the_pin_at_each_signature(client: TestClient, shop: Shop) -> None:
    motor = shop.motor(brushes="2")
    lead(client)
    client.post("/people/pin", data={"asks": "yes"})
    opened = {"act_id": "ines-opens-it", "sheet_kind": "quick", "counter": "120", "first": "safe"}
    sheet = client.post(f"/motors/{motor}/sheets", data=opened).url.path.rsplit("/", 1)[0]
    signing = {"service": "1", "why": "looked at"}
    without = client.post(f"{sheet}/sign", data={**signing, "act_id": "signs-without"})
    assert (without.status_code, "no PIN on this device" in without.text) == (401, True)
    client.post("/who/own-pin", data={"pin": "4711", "own-password": WORDS})
    wrong = client.post(f"{sheet}/sign", data={**signing, "act_id": "signs-wrong-pin", "pin": "4712"})
    assert (wrong.status_code, "not the PIN" in wrong.text, "4712" in wrong.text) == (401, True, False)
    api = client.post(f"/api/v1{sheet}/sign", json={"act_id": "signs-by-json", "service": True, "why": "looked at"})
    assert api.status_code == 409
    right = client.post(f"{sheet}/sign", data={**signing, "act_id": "signs-right-pin", "pin": "4711"})
    assert "Signed by <b>Ines Torvald</b>" in " ".join(right.text.split())


def test_a_signature_says_how_somebody_stood_behind_it(client: TestClient, shop: Shop, db: Path) -> None:
    def listed(motor: str) -> int:
        return " ".join(client.get(f"/motors/{motor}").text.split()).count(f"{UNCONFIRMED}: Certificate")

    motor = shop.motor(brushes="2")
    older = shop.later(days=2).measure(motor, "120", "21", "21")
    assert "before sign-in" not in client.get(f"/sheets/{older}/sign").text
    lead(client)
    with transaction(shop.conn):
        shop.conn.execute("update site set signs_in_since = ?", ((shop.now + timedelta(days=1)).isoformat(),))
    assert "(before sign-in)" in client.get(f"/sheets/{older}/sign").text
    file = JOBS / "put-off-found-again.json"
    play_file(file, db, "Ines Torvald", go_on=True)
    (played, of), (second, _) = shop.conn.execute(
        """select s.id, s.motor_id from sheet s join act a on a.id = s.act_id
           where a.played_by is not null and s.signed_at is not null
           order by s.signed_json like '%"signed_as": "certificate"%' desc, s.number limit 2"""
    ).fetchall()
    page = " ".join(client.get(f"/sheets/{played}/sign").text.split())
    assert "(from a file, by nobody signed in here)" in page
    assert "As a certificate it counts once somebody does" in page
    assert "From a file, not confirmed here. It says: <b>Certificate" in page
    before = listed(of)
    assert before > 0
    client.post(f"/sheets/{played}/confirm", data={"act_id": "ines-confirms"})
    page = " ".join(client.get(f"/sheets/{played}/sign").text.split())
    assert ("confirmed by Ines Torvald, lead, signed in here, on " in page, "counts once somebody does" in page) == (
        True,
        False,
    )
    assert ("It says:" in page, listed(of)) == (False, before - 1)
    assert client.post(f"/sheets/{played}/confirm", data={"act_id": "confirms-again"}).status_code == 409
    assert client.post(f"/sheets/{older}/confirm", data={"act_id": "confirms-own"}).status_code == 409
    late = add_member(shop.conn, shop.act(), "Ela Aldous", "lead")
    confirm_played(shop.conn, replace(shop.act(), person_id=late), second)
    words = signed_how(shop.conn, second).words
    assert re.search(r"by Ela Aldous, lead, .*, whose account .+ made on .*, after it came$", words)


def test_a_session_is_not_fixed_and_not_replayed(client: TestClient) -> None:
    client.cookies.set(SESSION_COOKIE, "chosen-by-somebody-else")
    lead(client)
    token = client.cookies.get(SESSION_COOKIE, domain="localhost.local") or client.cookies[SESSION_COOKIE]
    assert len(token) >= 43
    client.cookies.clear()
    client.cookies.set(SESSION_COOKIE, token)
    assert client.get("/motors", follow_redirects=False).status_code == 200
    client.post("/who/out")
    client.cookies.set(SESSION_COOKIE, token)
    assert client.get("/motors", follow_redirects=False).status_code == 303


@pytest.mark.parametrize(
    ("typed", "statuses"),
    [
        ({"name": "Ines Torvald", "password": "x" * 900_000}, {401}),
        ({"name": "Ines Torvald", "password": "x" * 1_100_000}, {413}),
        ({"name": "Ines Torvald", "password": ""}, {401}),
        ({"name": "N" * 80, "password": WORDS}, {401}),
        ({"name": "N" * 8000, "password": WORDS}, {401, 422}),
        ({"name": "Ines\u202edlavroT", "password": WORDS}, {401, 422}),
        ({}, {401}),
    ],
)
def test_a_secret_sent_in_odd_ways_is_answered(client: TestClient, typed: dict[str, str], statuses: set[int]) -> None:
    lead(client)
    client.post("/who/out")
    assert client.post("/who", data=typed).status_code in statuses


def test_a_clock_set_back_signs_nobody_out_and_a_demo_is_for_this_machine(client: TestClient, shop: Shop) -> None:
    lead(client)
    with transaction(shop.conn):
        shop.conn.execute("update session set seen_at = '2999-01-01T00:00:00', made_at = '2999-01-01T00:00:00'")
    assert client.get("/motors", follow_redirects=False).status_code == 200
    with pytest.raises(NorvashError, match="without a password"):
        create_app(Settings(db=Path("none.db"), host="0.0.0.0", demo=True))


@pytest.mark.parametrize("cookie", ["x" * 8000, f"{SESSION_COOKIE}=a; {SESSION_COOKIE}=b", "\x00", "'; drop table"])
def test_cookies_that_are_none_sign_nobody_in(client: TestClient, cookie: str) -> None:
    lead(client)
    client.cookies.clear()
    header = cookie if "=" in cookie and SESSION_COOKIE in cookie else f"{SESSION_COOKIE}={cookie}"
    answer = client.get("/motors", headers={b"Cookie": header.encode("latin-1")}, follow_redirects=False)
    assert answer.status_code in (303, 400, 431)


def test_ten_thousand_wrong_passwords_cost_three_hashes(client: TestClient) -> None:
    lead(client)
    client.post("/who/out")
    attempts = Attempts(clock=lambda: 1.0)  # on a slow machine three hundred take longer than the first wait
    client.app.state.sessions.attempts = attempts  # type: ignore[attr-defined]
    answers = [client.post("/who", data={**INES, "password": f"{n}"}, follow_redirects=False) for n in range(300)]
    assert [a.status_code for a in answers] == [401] * 3 + [429] * 297
    crowd = Attempts(clock=itertools.count().__next__)
    for n in range(20_000):
        with contextlib.suppress(WrongSecret), crowd.judging(f"account {n}", f"address {n}"):
            raise WrongSecret("No.", "Once more.")
    assert (len(crowd._of_account), len(crowd._of_address)) == (10_000, 10_000)


def test_two_who_redeem_one_code_at_once_are_one(client: TestClient, db: Path, shop: Shop) -> None:
    lead(client)
    page = client.post("/people", data={"act_id": "add-bram-now", "name": "Bram Aldous", "role": "viewer"}).text
    sent = {"code": code_on(page), "password": "slip ring brush"}

    def redeem(_: int) -> int:
        with TestClient(client.app, base_url=ORIGIN, headers={"Origin": ORIGIN}) as one:
            return one.post("/who/code", data=sent, follow_redirects=False).status_code

    with ThreadPoolExecutor(4) as pool:
        assert sorted(pool.map(redeem, range(4)))[:1] == [303]
        assert member(shop, "Bram Aldous").since is not None
    assert len(access.list_sessions(shop.conn, member(shop, "Bram Aldous").id)) == 1
    assert DEVICE_COOKIE not in client.get("/people").text
