"""Figures, shares, days and lengths as forms take them: what is sent as it was shown stays, what is meant is said."""

import re

import pytest
from starlette.testclient import TestClient

from at_work import at_work
from conftest import Shop
from norvash.core.motor.figure_fields import NEW_MM, RUN_IN_SHARE
from norvash.core.stages.brushes.springs import SPRING_FORCE
from norvash.core.stages.commutator.bar_test import BAR_TEST_NOISE
from norvash.core.stages.polarity import BOX
from norvash.store.record import motors
from norvash.work.motors.motor_types import save_type
from norvash.work.reading.loading import load
from pages import act_id


def send(client: TestClient, motor: str, **changed: str) -> tuple[int, str]:
    """Send the form of a motor's figures as it stands, with some of them changed."""
    page = client.get(f"/motors/{motor}/figures").text
    stands = dict(re.findall(r'<input[^>]*?name="([a-z_0-9]+)"[^>]*?value="([^"]*)"', page, re.DOTALL))
    stands.pop("conditions")  # boxes, none of them ticked
    answer = client.post(f"/motors/{motor}/figures", data={**stands, "act_id": act_id(page), **changed})
    return answer.status_code, answer.text


def test_a_figure_that_is_sent_as_it_was_shown_keeps_all_its_digits(client: TestClient, shop: Shop) -> None:
    motor = shop.motor(figures={"new_mm": '31/64"', "limit_mm": "5"})
    assert send(client, motor, bars="24")[0] == 200
    assert motors.motor_figures(shop.conn, motor) == {"new_mm": 12.303125, "limit_mm": 5.0, "bars": 24.0}
    assert send(client, motor, new_mm="12.3")[0] == 200
    assert NEW_MM.of(load(shop.conn, motor).figures) == 12.3


@pytest.mark.parametrize(("typed", "share"), [("50", 0.5), ("50 %", 0.5), ("1.6", 0.016), ("1", None), ("0.5", None)])
def test_a_share_among_the_figures_is_typed_in_per_cent(
    client: TestClient, shop: Shop, typed: str, share: float | None
) -> None:
    motor = shop.motor()
    status, page = send(client, motor, run_in_share=typed)
    kept = RUN_IN_SHARE.of(load(shop.conn, motor).figures)
    if share is None or share < 0.02:  # under what it can be
        assert (status, kept) == (422, None)
        assert share is not None or f"Is “{typed}” meant as {typed} % or as" in page
        assert f'value="{typed}' in page
    else:
        assert (status, kept) == (200, share)
        assert send(client, motor, bars="24")[0] == 200  # sent as it was shown: nobody asks


def test_an_entry_in_per_cent_takes_its_number_and_asks_where_it_could_be_a_share(
    client: TestClient, shop: Shop
) -> None:
    work = at_work(shop, "industrial", "rated_v=220")
    sheet = work.bench.id
    at = {"field": "bar-test-noise", "stage": "commutator", "replaces": ""}
    asked = client.post(f"/sheets/{sheet}/entries", data={"act_id": "share-once", **at, "value": "0.5"})
    assert "Is “0.5” meant as 0.5 % or as 50 %?" in asked.text
    assert 'value="0.5"' in asked.text
    assert client.post(f"/sheets/{sheet}/entries", data={"act_id": "share-two", **at, "value": "2"}).status_code == 200
    given = BAR_TEST_NOISE.given(work.bench.page.sheet)
    assert given is not None
    assert (given.number, given.typed) == (0.02, "2 %")
    told = {"field": "bar-test-noise", "replaces": given.id}
    refused = client.post(f"/api/v1/sheets/{sheet}/entries", json={"act_id": "share-much", **told, "value": "85"})
    kept = client.post(f"/api/v1/sheets/{sheet}/entries", json={"act_id": "share-less", **told, "value": "0.05"})
    assert (refused.status_code, kept.status_code) == (422, 200)
    assert BAR_TEST_NOISE.of(work.bench.page.sheet) == 0.05


def test_a_line_of_values_goes_to_this_place_and_the_next(client: TestClient, shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230")
    at, many = f"/sheets/{work.bench.id}/entries", {"field": "force", "stage": "brushes", "position": "1"}

    def send_line(act: str, value: str, place: str = "1") -> str:
        return client.post(at, data={"act_id": act, **many, "place": place, "value": value}).text

    def forces() -> dict[int, float | None]:
        sheet = work.bench.page.sheet
        return {n: SPRING_FORCE.of(sheet, n) for n in SPRING_FORCE.places(sheet)}

    assert "3 values, and 2 places from here on." in send_line("three-forces", "8.1; 8.2; 8.3")
    assert forces() == {}
    refused = send_line("one-is-wrong", "8.1; eight")
    assert "cannot be read as a number" in refused
    assert forces() == {1: 8.1}
    assert 'value="eight"' in refused
    send_line("the-second-one", "8.2", "2")
    assert "Something stands at" in send_line("over-the-second", "8.4; 8.5")
    assert forces() == {1: 8.1, 2: 8.2}
    other = at_work(shop, "tool", "rated_v=230", tag="X-02")
    at = f"/sheets/{other.bench.id}/entries"
    send_line("both-at-once", "8.1; 8.2;")
    send_line("both-at-once", "8.1; 8.2;")  # sent again: nothing twice
    assert SPRING_FORCE.places(other.bench.page.sheet) == (1, 2)
    assert other.bench.undo()
    assert SPRING_FORCE.places(other.bench.page.sheet) == (1,)


def test_a_type_keeps_what_is_sent_as_it_was_shown_and_takes_its_shares_in_per_cent(
    client: TestClient, shop: Shop
) -> None:
    kind = save_type(
        shop.conn, shop.act(), "", name="Mitre", motor_class="tool", brushes="2", typed={"new_mm": '31/64"'}
    )

    def change(**changed: str) -> tuple[int, str]:
        page = client.get(f"/types/{kind}").text
        stands = dict(re.findall(r'<input[^>]*?name="([a-z_0-9]+)"[^>]*?value="([^"]*)"', page, re.DOTALL))
        stands.pop("conditions")
        answer = client.post(f"/types/{kind}", data={**stands, "act_id": act_id(page), **changed})
        return answer.status_code, answer.text

    assert change(run_in_share="50")[0] == 200
    assert motors.type_figures(shop.conn, kind) == {"new_mm": 12.303125, "run_in_share": 0.5}
    assert change(bars="24")[0] == 200
    assert motors.type_figures(shop.conn, kind) == {"new_mm": 12.303125, "run_in_share": 0.5, "bars": 24.0}
    status, page = change(run_in_share="1")
    assert status == 422
    assert "Is “1” meant as 1 % or as 100 %?" in page


@pytest.mark.parametrize(
    ("typed", "taken"), [("3/6/2025", "Tuesday 3 June 2025"), ("yesterday", "2026"), ("6/31/2025", ""), ("2024", "")]
)
def test_a_day_is_said_as_it_is_taken(client: TestClient, typed: str, taken: str) -> None:
    said = client.get("/day", params={"typed": typed}).text
    assert (taken in said) if taken else said == ""
    assert f"Read on {said or typed}" in client.get("/hours", params={"day": typed}).text


def test_a_counter_that_is_typed_for_a_length_is_told_so(client: TestClient, shop: Shop) -> None:
    at = f"/sheets/{shop.look(shop.motor(figures={'new_mm': '22', 'limit_mm': '9'}))}/readings"
    for typed, said in (("100", "The counter showed 100 h"), ("999", "999 mm is too long")):
        page = client.post(at, data={"act_id": f"typed-{typed}", "place": "1", "value": typed}).text
        assert said in page
        assert f'value="{typed}"' in page


def test_boxes_are_said_in_one_line(client: TestClient, shop: Shop) -> None:
    bench = at_work(shop, "industrial", "rated_v=220", "", brushes="4").bench
    at = f"/sheets/{bench.id}/entries"
    sent = {"field": "box-polarity", "stage": "open", "place": "1"}
    assert "All boxes in one line" in client.get(f"/sheets/{bench.id}/open").text
    refused = client.post(at, data={"act_id": "five-boxes", **sent, "value": "+ - + - +"}).text
    assert "5 values, and 4 places from here on." in refused
    client.post(at, data={"act_id": "four-boxes", **sent, "value": "+ \u2212 + -"})
    assert [BOX.of(bench.page.sheet, n) for n in (1, 2, 3, 4)] == ["+", "-", "+", "-"]
    assert "All boxes in one line" not in client.get(f"/sheets/{bench.id}/open").text
