"""Motors that are moved and called otherwise: their sets, use and record stay, and it is said where they ran."""

import pytest
from fastapi.testclient import TestClient

from conftest import Shop
from norvash.core.text.words import day_words
from norvash.errors import InputError
from norvash.store.record.stood import called_at, list_moves
from norvash.work.motors.moving import move, rename
from norvash.work.pages.motor import motor_page
from norvash.work.reading.loading import load
from norvash.work.reading.ran_where import where_words


def moved_twice(shop: Shop) -> str:
    """Return a motor of which set 1 ran 340 h at stage left and then in the scene dock, and set 2 there and back."""
    motor = shop.motor(tag="W-07", name="Trap winch", place="stage left", new_length="22", limit="8", use_now="0")
    shop.later(weeks=20).log(motor, "340")
    move(shop.conn, shop.later(minutes=5).act(), motor, place="scene dock")
    shop.later(weeks=20).log(motor, "666")
    shop.new_set(motor, "", "22", "22")
    shop.later(weeks=5).log(motor, "700")
    move(shop.conn, shop.later(days=3).act(), motor, place="stage left", day=(shop.now).strftime("%d/%m/%Y"))
    shop.later(weeks=1).log(motor, "710")
    return motor


def test_sets_keep_where_they_ran(shop: Shop) -> None:
    motor = moved_twice(shop)
    shown = motor_page(shop.conn, motor, shop.now.date())
    said = {s.number: shown.ran_where[s.id].replace("\u00a0", " ") for s in shown.context.sets}
    assert said == {
        1: "340 h at stage left, 326 h at scene dock",
        2: "about 37 h at scene dock, about 7 h at stage left",
    }
    assert load(shop.conn, motor).motor.place == "stage left"
    assert [(m.before, m.after, m.total_units) for m in list_moves(shop.conn, motor)] == [
        ("stage left", "scene dock", 340.0),
        ("scene dock", "stage left", 700.0),
    ]
    assert where_words((), "hours") == ""


WRONG = {
    "where it is": ({"place": "stage left"}, "place", "stands there"),
    "nowhere": ({"place": " "}, "place", "missing"),
    "before the last reading": ({"place": "attic", "day": "2025-01-01"}, "day", "was read"),
    "a day to come": ({"place": "attic", "day": "2031-01-01"}, "day", "future"),
    "no day": ({"place": "attic", "day": "soon"}, "day", "not a day"),
}


@pytest.mark.parametrize(("typed", "field", "words"), WRONG.values(), ids=WRONG.keys())
def test_a_move_that_cannot_be_is_refused(shop: Shop, typed: dict[str, str], field: str, words: str) -> None:
    motor = shop.motor(place="stage left")
    shop.later(weeks=20).log(motor, "340")
    with pytest.raises(InputError, match=words) as refused:
        move(shop.conn, shop.later(days=1).act(), motor, **typed)
    assert refused.value.field == field
    with pytest.raises(InputError, match="It is called"):
        rename(shop.conn, shop.act(), motor, name=load(shop.conn, motor).motor.name)
    assert list_moves(shop.conn, motor) == ()


def test_what_was_signed_keeps_the_place_and_the_name_of_its_day(client: TestClient, shop: Shop) -> None:
    motor = shop.motor(tag="W-08", name="Trap winch", place="stage left", new_length="22", limit="8")
    shop.later(weeks=20)
    sheet = shop.measure(motor, "340", "18", "18.2")
    signed = shop.now
    page = client.post(f"/motors/{motor}/place", data={"act_id": "moved-on-the-page", "place": "scene dock"})
    assert page.status_code == 200
    assert "Where it stood" in page.text
    client.post(f"/motors/{motor}/name", data={"act_id": "named-on-the-page", "name": "Sloat winch"})
    refused = client.post(f"/motors/{motor}/place", data={"act_id": "moved-to-where-it-is", "place": "scene dock"})
    assert refused.status_code == 422
    assert "It stands there: scene dock." in refused.text
    assert called_at(shop.conn, motor, signed) == ("Trap winch", "stage left")
    shown = " ".join(client.get(f"/sheets/{sheet}/sign").text.split())
    assert "Sloat winch" in shown
    assert "then Trap winch, stage left" in shown
    record = client.get(f"/motors/{motor}/record").text
    assert "from stage left to scene dock" in record
    assert "called it Sloat winch, which was Trap winch" in record
    found = client.get("/motors?q=scene dock").text
    assert "Sloat winch" in found
    assert day_words(signed.date()) in shown
