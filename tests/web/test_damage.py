"""A file that is overwritten while it is served: from the first sign on nothing is written, until it is whole."""

import time
from collections.abc import Callable
from contextlib import closing
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.store.file.database import connect
from pages import MOTOR, act_id, opened

_PAGE = 4096


def overwritten(db: Path, *tables: str) -> Callable[[], None]:
    """Overwrite the first pages of tables and their indexes in a file that is served; return what mends it."""
    with closing(connect(db, made=True)) as conn:
        assert conn.execute("pragma wal_checkpoint(truncate)").fetchone()[0] == 0
        found = [
            r["rootpage"]
            for table in tables
            for r in conn.execute("select rootpage from sqlite_schema where tbl_name = ? and rootpage > 0", (table,))
        ]
    whole = db.read_bytes()
    with db.open("r+b") as file:
        for page in found:
            file.seek((page - 1) * _PAGE)
            file.write(b"\xff" * _PAGE)

    def mend() -> None:
        with db.open("r+b") as file:
            file.write(whole)

    return mend


def written(client: TestClient, number: int) -> int:
    """Return how an entry is answered that does not touch what is damaged."""
    given = {"act_id": f"while-it-is-damaged-{number}", "value": f"{40 + number}%", "why": "tried"}
    return client.post("/rulebook/stage.watch", data=given).status_code


@pytest.mark.parametrize("seen_by", ["a page", "an entry"])
def test_from_the_first_sign_of_damage_nothing_is_written_until_the_file_is_whole(
    shop: Shop, db: Path, seen_by: str
) -> None:
    motor = shop.motor(tag="D-01")
    shop.conn.close()
    with opened(db) as client:
        app = client.app
        app.state.catching_up.join()  # type: ignore[attr-defined]
        app.state.check_s = 0.3  # type: ignore[attr-defined]
        typed = {**MOTOR, "act_id": act_id(client.get("/motors/new?motor_class=tool").text)}
        assert written(client, 0) == 200
        app.state.catching_up.join()  # type: ignore[attr-defined]
        app.state.pool.close()  # type: ignore[attr-defined]
        mend = overwritten(db, "position")
        sign = client.get(f"/motors/{motor}") if seen_by == "a page" else client.post("/motors", data=typed)
        assert (sign.status_code, "nothing is written to it" in sign.text) == (503, True)
        broken = db.read_bytes()
        assert [written(client, n) for n in range(1, 10)] == [503] * 9
        assert client.get("/healthz").json()["state"] == "damaged"
        assert "looked at each minute" in client.get("/state").text
        assert "nothing can be entered" in client.get("/").text
        time.sleep(0.8)  # a check or two, which find it as it is
        assert client.get("/healthz").json()["state"] == "damaged"
        assert db.read_bytes() == broken
        mend()
        until = time.monotonic() + 20
        while client.get("/healthz").status_code != 200 and time.monotonic() < until:
            time.sleep(0.1)
        assert client.get("/healthz").json()["state"] == "well"
        assert client.get(f"/motors/{motor}").status_code == 200
        assert written(client, 1) == 200
