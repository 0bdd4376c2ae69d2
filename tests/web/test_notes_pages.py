"""Notes of the past through pages and JSON: the first statement, the grid, a set that is gone, a table, taking back."""

import time
from typing import Any

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.state.motor_state import BrushSet
from norvash.store.record import notes as store
from norvash.work.reading.loading import load
from pages import act_id, add, send

SINCE = {"use_now": "80", "since_day": "2025-03-03", "since_counter": "5"}
GRID = {
    "rows": "6",
    "day.1": "2025-09-01",
    "counter.1": "30",
    "reading_1.1": "13.4",
    "reading_2.1": "13,5",
    "by.1": "Bram Aldous",
    "day.3": "2026-04-06",
    "counter.3": "+50",
    "reading_1.3": "11.9",
    "reading_2.3": "12.1",
}


@pytest.fixture
def motor(client: TestClient) -> str:
    return add(client, **SINCE)[2].removeprefix("/motors/")


def current(shop: Shop, motor: str) -> BrushSet:
    return load(shop.conn, motor).sets[-1]


def grid(client: TestClient, motor: str, **changes: str) -> tuple[int, str, str]:
    return send(client, f"/motors/{motor}/notes", f"/motors/{motor}/notes", **{**GRID, **changes})


def test_a_motor_begins_in_the_middle_through_its_form_and_its_grid(client: TestClient, shop: Shop, motor: str) -> None:
    status, page, address = grid(client, motor)
    assert (status, address) == (200, f"/motors/{motor}")
    assert "rounds from notes" in page
    assert "entered from notes 2 rounds" in page
    assert [(r.total_units, r.by) for r in current(shop, motor).rounds] == [(30, "Bram Aldous"), (55, "")]
    notes = client.get(f"/motors/{motor}/notes").text
    assert "Ines Torvald, in the grid" in notes
    batch = store.list_batches(shop.conn, motor)[0].id
    back = f"/motors/{motor}/notes/{batch}/take-back"
    status, page, _ = send(client, f"/motors/{motor}/notes", back)
    assert (status, "taken back" in page) == (200, True)
    assert current(shop, motor).rounds == ()


def test_a_wrong_row_is_named_and_all_that_was_typed_stays(client: TestClient, shop: Shop, motor: str) -> None:
    status, page, _ = grid(client, motor, **{"day.3": "soon", "reading_2.1": "13 kg"})
    assert status == 422
    for words in ("“soon” names no day", "13 kg", 'value="2025-09-01"', 'value="soon"', 'value="Bram Aldous"'):
        assert words in page
    assert page.count('aria-invalid="true"') == 2
    status, page, _ = grid(client, motor, **{"reading_1.3": "14.5"})
    assert (status, "They are right as they stand in the notes" in page) == (409, True)
    assert grid(client, motor, **{"reading_1.3": "14.5", "answer": "right"})[0] == 200
    assert len(current(shop, motor).rounds) == 2


def test_more_rows_keep_what_was_typed(client: TestClient, motor: str) -> None:
    status, page, _ = grid(client, motor, more="yes")
    assert (status, 'value="2026-04-06"' in page, "Row 18: day" in page, "Row 19: day" in page) == (
        200,
        True,
        True,
        False,
    )


def test_a_lower_counter_may_be_an_earlier_round_from_notes(client: TestClient, motor: str) -> None:
    at = f"/motors/{motor}/sheet"
    status, page, _ = send(client, at, f"/motors/{motor}/sheets", sheet_kind="quick", counter="60", safe="1")
    assert (status, "This is an earlier round from my notes" in page) == (409, True)
    typed = {"sheet_kind": "quick", "counter": "60", "safe": "1", "answer": "earlier"}
    status, page, address = send(client, at, f"/motors/{motor}/sheets", **typed)
    assert (status, address) == (200, f"/motors/{motor}/notes")
    assert 'aria-label="Row 1: counter" value="60"' in page


def test_since_when_and_a_set_that_is_gone_are_said_on_the_page(client: TestClient, shop: Shop) -> None:
    motor = add(client, use_now="80")[2].removeprefix("/motors/")
    assert "Nobody has said since when its brushes run" in client.get(f"/motors/{motor}").text
    at = f"/motors/{motor}/notes"
    status, page, _ = send(client, at, f"/motors/{motor}/since", since_ran="soon")
    assert (status, 'value="soon"' in page) == (422, True)
    status, page, _ = send(client, at, f"/motors/{motor}/since", since_ran="70 h")
    assert (status, current(shop, motor).fitted_units) == (200, 10)
    status, page, _ = send(client, at, f"{at}/set", ended="2025", lasted="about 190 h", end_1="6.1", end_2="6.3")
    assert status == 200
    assert [s.number for s in load(shop.conn, motor).sets] == [0, 1]
    status, page, _ = send(client, at, f"{at}/set", ended="2024", why="gone")
    assert (status, "How long it ran is missing" in page) == (422, True)


TABLE = (
    "motor;day;counter;A;B\nT-90;2025-09-01;30;13.4;13.5\nT-90;2026-04-06;55;11,9;12.1\n"
    "T-90;2026-05-04;58;14.9;11.9\nT-91;2026-05-04;58;14.9;11.9\n"
)


def shown(client: TestClient, address: str) -> str:
    for _ in range(200):
        page = client.get(address).text
        if "http-equiv" not in page and "Looking at every line" not in page and "Keeping the notes" not in page:
            return str(page)
        time.sleep(0.05)
    raise AssertionError(page)


def test_a_pasted_table_is_seen_line_by_line_before_it_is_kept(client: TestClient, shop: Shop, motor: str) -> None:
    status, page, address = send(client, "/notes/import", "/notes/import", table=TABLE)
    assert status == 200
    page = shown(client, address)
    for words in ("3 rounds", "1 line with an error", "There is no motor “T-91”", "1 doubtful length below"):
        assert words in page
    assert current(shop, motor).rounds == ()
    client.post(f"{address}/take", data={"act_id": act_id(page)})
    page = shown(client, address)
    assert "2 rounds, 0 sets and" in page
    assert len(current(shop, motor).rounds) == 2
    again = send(client, "/notes/import", "/notes/import", table=TABLE)[2]
    page = shown(client, again)
    client.post(f"{again}/take", data={"act_id": act_id(page)})
    assert "imported already" in shown(client, again)
    batch = store.list_batches(shop.conn, motor)[0].id
    client.post(f"/notes/{batch}/take-back", data={"act_id": "take-back-0001"})
    assert current(shop, motor).rounds == ()
    assert send(client, "/notes/import", "/notes/import", table="motor;A\nT-90;21\n")[0] == 422


def test_notes_as_json(client: TestClient, shop: Shop, motor: str) -> None:
    def post(path: str, **body: Any) -> tuple[int, dict[str, Any]]:
        act = {"act_id": f"json-act-{len(body)}-{abs(hash(str(body))):x}"[:60], "person": "Ines Torvald"}
        answer = client.post(f"/api/v1{path}", json={**act, **body})
        return answer.status_code, answer.json()

    status, made = post(
        f"/motors/{motor}/notes",
        rounds=[{"day": "2025-09-01", "counter": "30", "readings": {"1": "13.4", "2": "13.5"}}],
        sets=[{"ended": "2025-02-20", "lasted": "about 190 h"}],
    )
    assert status == 201
    assert [s.number for s in load(shop.conn, motor).sets] == [0, 1]
    status, answer = post(f"/motors/{motor}/notes", rounds=[{"day": "2025-10-01", "readings": {"9": "13.4"}}])
    assert (status, answer["error"]["field"]) == (422, "position.1")
    assert post(f"/notes/{made['notes']}/take-back")[0] == 201
    assert [s.number for s in load(shop.conn, motor).sets] == [1]
    status, answer = post(f"/motors/{motor}/since", ran="70")
    assert (status, current(shop, motor).fitted_units) == (201, 10)
