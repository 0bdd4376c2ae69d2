"""Brushes as programs say them: what is seen, a new set, single ones renewed, by the models of forms and files."""

import pytest
from fastapi.testclient import TestClient

from conftest import Shop
from norvash.work.reading.loading import load


def test_a_program_says_what_a_form_says_of_brushes(shop: Shop, client: TestClient) -> None:
    motor = shop.motor()
    sheet = shop.later(days=7).look(motor, "120")
    seen = {"act_id": "seen-by-one", "position": 1, "value": "face.burnt"}
    assert client.post(f"/api/v1/sheets/{sheet}/seen", json=seen).status_code == 200
    assert client.post(f"/api/v1/sheets/{sheet}/seen", json=seen).status_code == 200
    parts = {p["part"]: p["grade"] for p in client.get(f"/api/v1/motors/{motor}").json()["parts"]}
    assert parts["brushes"] not in (None, "fit")
    fitted = {"act_id": "fit-by-one", "reason": "damaged", "lengths": {"1": "22.1", "2": "22"}, "also": []}
    made = client.post(f"/api/v1/motors/{motor}/sets", json=fitted).json()
    assert (made["set"] != "", made["grade"], made["stage"]) == (True, made["stage"], made["grade"])
    lengths = {n: m.length_mm for n, m in load(shop.conn, motor).sets[-1].rounds[-1].readings.items()}
    assert (len(load(shop.conn, motor).sets), lengths) == (2, {1: 22.1, 2: 22.0})
    one = {"act_id": "renew-by-one", "reason": "damaged", "lengths": {"2": "22.2"}}
    assert client.post(f"/api/v1/motors/{motor}/renewals", json=one).json()["renewed"]
    assert [r.position for r in load(shop.conn, motor).sets[-1].renewed] == [2]


@pytest.mark.parametrize(
    ("to", "wrong"),
    [
        ("sheets/SHEET/seen", {"position": 1, "value": "face.purple"}),
        ("sheets/SHEET/seen", {"position": 9, "value": "face.burnt"}),
        ("motors/MOTOR/sets", {"reason": "damaged", "lengths": {"1": "x", "2": "22"}}),
        ("motors/MOTOR/sets", {"lengths": {"1": "22", "2": "22"}}),
        ("motors/MOTOR/renewals", {"reason": "damaged", "lengths": {"Z": "22"}}),
    ],
)
def test_what_a_program_says_wrong_is_refused_and_nothing_is_kept(
    shop: Shop, client: TestClient, to: str, wrong: dict[str, object]
) -> None:
    motor = shop.motor()
    sheet = shop.later(days=7).look(motor, "120")
    before = load(shop.conn, motor).stamp
    address = to.replace("SHEET", sheet).replace("MOTOR", motor)
    assert 400 <= client.post(f"/api/v1/{address}", json={"act_id": "wrong-by-one", **wrong}).status_code < 500
    assert load(shop.conn, motor).stamp == before
