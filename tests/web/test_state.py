"""What the application says when its database is busy, full, read-only, missing, moved or damaged, and that nothing is
lost.
"""

import sqlite3
import threading
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.store.file.database import connect, fold_in
from norvash.store.file.trouble import STATES, trouble_of
from norvash.web.app import load_all
from norvash.web.served.deps import Pool
from pages import MOTOR, act_id, opened

Spoil = Callable[[TestClient, Path, pytest.MonkeyPatch], None]


def busy(client: TestClient, db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("norvash.store.file.database._BUSY_MS", 50)
    monkeypatch.setattr("norvash.store.file.database._ALWAYS", ("busy_timeout = 50", "foreign_keys = on"))
    client.app.state.pool.close()  # type: ignore[attr-defined]
    holder = connect(db)
    holder.execute("begin immediate")
    client.holder = holder  # type: ignore[attr-defined]


def full(client: TestClient, db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    take = Pool.take

    def tight(self: Pool) -> sqlite3.Connection:
        conn = take(self)
        conn.execute(f"pragma max_page_count = {conn.execute('pragma page_count').fetchone()[0]}")
        return conn

    monkeypatch.setattr(Pool, "take", tight)
    conn = connect(db)
    conn.execute("create table filler (x)")
    conn.execute("drop table filler")
    conn.execute("vacuum")
    conn.close()


def read_only(client: TestClient, db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    take = Pool.take

    def closed(self: Pool) -> sqlite3.Connection:
        conn = take(self)
        conn.execute("pragma query_only = on")
        return conn

    monkeypatch.setattr(Pool, "take", closed)


def missing(client: TestClient, db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    db.rename(db.with_name("gone.db"))


def moved(client: TestClient, db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    missing(client, db, monkeypatch)
    connect(db).close()


SPOILT: dict[str, tuple[Spoil, str]] = {
    "busy": (busy, "The database is busy"),
    "full": (full, "The disk is full"),
    "read-only": (read_only, "cannot be written"),
    "missing": (missing, "not where it was"),
    "moved": (moved, "Another file stands"),
}


@pytest.mark.parametrize("state", SPOILT)
def test_each_trouble_has_its_words_its_state_and_says_when_to_ask_again(
    db: Path, monkeypatch: pytest.MonkeyPatch, state: str
) -> None:
    spoil, words = SPOILT[state]
    with opened(db) as client:
        given = {"act_id": act_id(client.get("/motors/new?motor_class=tool").text), **MOTOR, "place": "P" * 70}
        fine = client.get("/healthz")
        assert (fine.status_code, fine.json()["ok"], fine.json()["state"]) == (200, True, "well")
        assert "The database is well" in client.get("/state").text
        client.app.state.catching_up.join()  # type: ignore[attr-defined]
        spoil(client, db, monkeypatch)
        for number in range(300 if state == "full" else 1):
            answer = client.post("/motors", data={**given, "tag": f"T-{number}", "act_id": f"one-of-many-{number}"})
            if answer.status_code == 503:
                break
        assert (answer.status_code, words in answer.text) == (503, True)
        assert int(answer.headers["retry-after"]) > 0
        assert "default-src" in answer.headers["content-security-policy"]
        sick = client.get("/healthz")
        assert (sick.status_code, sick.json()["ok"], sick.json()["state"]) == (503, False, state)
        assert words in client.get("/state").text
        if state == "busy":
            client.holder.execute("rollback")  # type: ignore[attr-defined]
            client.holder.close()  # type: ignore[attr-defined]
        if state in ("full", "read-only"):
            monkeypatch.undo()
            client.app.state.pool.close()  # type: ignore[attr-defined]
        if state in ("missing", "moved"):
            db.with_name("gone.db").replace(db)
        again = client.post("/motors", data=given)
        assert again.url.path.startswith("/motors/"), again.text
        assert client.get("/healthz").json()["state"] == "well"


def test_json_says_it_too(db: Path) -> None:
    with opened(db) as client:
        client.app.state.catching_up.join()  # type: ignore[attr-defined]
        db.rename(db.with_name("gone.db"))
        answer = client.get("/api/v1/motors/none-such")
        assert answer.status_code == 503
        assert (answer.json()["error"]["state"], answer.headers["retry-after"]) == ("missing", "30")
        db.with_name("gone.db").replace(db)


@contextmanager
def damaged(shop: Shop, db: Path) -> Iterator[TestClient]:
    for number in range(40):
        shop.motor(tag=f"D-{number:02}")
    pages = {r[0]: r[1] for r in shop.conn.execute("select name, rootpage from sqlite_schema where rootpage > 0")}
    shop.conn.close()
    fold_in(db)
    data = bytearray(db.read_bytes())
    at = (pages["position"] - 1) * 4096
    data[at : at + 4096] = b"\xff" * 4096
    db.write_bytes(data)
    with opened(db) as client:
        yield client


def test_a_damaged_database_is_shown_as_far_as_it_can_be_read_and_never_written(shop: Shop, db: Path) -> None:
    with damaged(shop, db) as client:
        before = db.read_bytes()
        register = client.get("/motors")
        assert (register.status_code, "D-07" in register.text, "nothing can be entered" in register.text) == (
            200,
            True,
            True,
        )
        told = client.get("/state")
        assert "norvash restore BACKUP" in told.text
        assert client.get("/healthz").json()["state"] == "damaged"
        motor = client.get("/motors?q=D-07").text.split('href="/motors/test-act')[1].split('"')[0]
        unreadable = client.get(f"/motors/test-act{motor}")  # it asks the damaged table
        assert (unreadable.status_code, "damaged" in unreadable.text) == (503, True)
        for path, typed in (("/motors", MOTOR), ("/rulebook/stage.watch", {"value": "0.5"})):
            refused = client.post(path, data={"act_id": "never-to-be-kept", **typed})
            assert (refused.status_code, "nothing is written to it" in refused.text) == (503, True)
        assert client.get("/who").status_code == 200
        assert (
            client.post("/api/v1/sums/usable-carbon", json={"length_mm": 12, "new_mm": 16, "limit_mm": 6}).status_code
            == 200
        )
        assert db.read_bytes() == before
    assert db.read_bytes() == before


def test_every_code_of_the_library_has_its_state() -> None:
    def coded(code: int) -> sqlite3.Error:
        error = sqlite3.OperationalError("said")
        error.sqlite_errorcode = code
        return error

    found = {trouble_of(coded(c)).state for c in (5, 6, 8, 10, 11, 13, 14, 26, 522, 1032)}  # type: ignore[union-attr]
    assert found == set(STATES) - {"well"}
    assert trouble_of(coded(1)) is None
    assert trouble_of(sqlite3.Error("bare")) is None


def test_eight_who_write_at_once_are_all_kept(db: Path, shop: Shop) -> None:
    motors = [shop.motor(tag=f"W-{n}") for n in range(8)]
    with opened(db) as client:
        statuses: list[int] = []

        def write(number: int) -> None:
            for turn in range(4):
                sent = {"act_id": f"write-{number}-{turn}-at-once", "value": f"{100 + turn}", "mode": "counter"}
                statuses.append(client.post(f"/motors/{motors[number]}/hours", data=sent).status_code)

        threads = [threading.Thread(target=write, args=(n,)) for n in range(8)]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
    assert set(statuses) == {200}


def test_pages_that_are_not_loaded_yet_are_loaded_when_the_first_of_them_is_asked_for(
    db: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr("norvash.web.app._SETTLED_S", 60.0)
    with opened(db) as client:
        app = client.app
        assert client.get("/").status_code == 200
        assert not app.state.loaded  # type: ignore[attr-defined]
        answers: list[int] = []
        threads = [
            threading.Thread(target=lambda at=at: answers.append(client.get(at).status_code))
            for at in ("/motors", "/sums", "/hours", "/nothing")
        ]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
        assert sorted(answers) == [200, 200, 200, 404]
        assert app.state.loaded  # type: ignore[attr-defined]
    with opened(db) as client:
        assert "/api/v1/motors/{motor_id}" in client.get("/api/v1/openapi.json").json()["paths"]


def test_pages_that_come_while_an_address_is_looked_for_are_found(db: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr("norvash.web.app._SETTLED_S", 60.0)
    with opened(db) as client:
        app: Any = client.app
        not_found = app.router.default

        async def come_meanwhile(*request: Any) -> None:
            load_all(app)
            await not_found(*request)

        app.router.default = come_meanwhile
        assert [client.get(at).status_code for at in ("/motors", "/nothing")] == [200, 404]
