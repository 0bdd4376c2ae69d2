"""Names, tags and places by what is read: never two of one, found however they are written, older files brought
along.
"""

from contextlib import closing
from datetime import date
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.use.season import Window
from norvash.errors import Conflict, InputError, NeedsAnswer
from norvash.store.file.database import connect
from norvash.store.file.ready import migrate
from norvash.store.file.steps import steps
from norvash.store.record import motors, people, standings, weeks_ahead
from norvash.store.record.weeks_ahead import Sought
from norvash.work.act.site import join
from norvash.work.motors.motor_types import save_type
from pages import add, opened


def test_a_tag_or_a_type_that_reads_alike_is_in_use(shop: Shop) -> None:
    shop.motor(tag="T-11")
    for tag in ("t11", "T 11", "Ｔ-１１", "T_11"):
        with pytest.raises(Conflict, match="The tag T-11 is in use"):
            shop.motor(tag=tag)
    save_type(shop.conn, shop.act(), "", name="Jigsaw 90", motor_class="tool", brushes="2", typed={"new_mm": "15"})
    with pytest.raises(Conflict, match="already a type Jigsaw 90"):
        save_type(shop.conn, shop.act(), "", name="JIGSAW-90", motor_class="tool", brushes="2", typed={"new_mm": "15"})


def test_motors_are_found_and_sorted_into_places_however_they_are_written(shop: Shop) -> None:
    motor = shop.motor(tag="É-07", name="Große Winde", place="Hall 3, left")
    shop.motor(tag="X-02", place="hall 33")
    for words in ("é07", "GROSSE WINDE", "hall 3 left", "winde"):
        assert [x.motor_id for x in standings.find_motors(shop.conn, words, "", 9, 0)] == [motor], words
    assert weeks_ahead.count_outlook(shop.conn, Sought("HALL-3"), [date(2026, 1, 1)]).motors == 2
    assert motors.names(shop.conn)["é07"] == motors.names(shop.conn)["grossewinde"] == motor
    window = Window(
        id="w", name="dark", first_on=date(2026, 1, 1), last_on=date(2026, 1, 2), yearly=False, place="hall-3 LEFT"
    )
    assert window.covers("Hall 3, left")
    assert not window.covers("hall 4")


def test_people_whose_names_read_alike_are_asked_about(shop: Shop) -> None:
    known = people.list_people(shop.conn)[0]
    assert join(shop.conn, "new-1", known.name, shop.now) == known
    with pytest.raises(NeedsAnswer) as asked:
        join(shop.conn, "new-2", "ines  torvald", shop.now)
    assert dict(asked.value.choices).keys() == {known.id, "another"}
    assert join(shop.conn, "new-3", "ines  torvald", shop.now, known.id) == known
    with pytest.raises(InputError, match="tell"):
        join(shop.conn, "new-4", "INES TORVALD", shop.now, "another")
    assert join(shop.conn, "new-5", "Ines-Torvald", shop.now, "another").name == "Ines-Torvald"
    assert len(people.list_people(shop.conn)) == 2


def test_the_page_asks_and_keeps_what_was_typed(db: Path) -> None:
    with opened(db, demo=True) as client:
        _asks_and_keeps(client)


def _asks_and_keeps(client: TestClient) -> None:
    asked = client.post("/who", data={"name": "INES Torvald", "next": "/", "act_id": "who-asks-first"})
    assert (asked.status_code, "I am somebody else" in asked.text, 'value="INES Torvald"' in asked.text) == (
        409,
        True,
        True,
    )
    told = client.post(
        "/who", data={"name": "INES Torvald", "answer": "person-of-test", "next": "/", "act_id": "who-asks-first"}
    )
    assert told.url.path == "/"
    refused = client.post("/who", data={"name": "Ines\u202edlavroT", "next": "/", "act_id": "who-asks-next"})
    assert (refused.status_code, "unseen character U+202E" in refused.text) == (422, True)


def test_an_older_file_learns_what_its_names_are_compared_by(tmp_path: Path) -> None:
    path = tmp_path / "older.db"
    with closing(connect(path)) as conn:
        for number, text in steps()[:4]:
            conn.executescript(f"{text}; pragma user_version = {number}; pragma application_id = {0x4E6F7276};")
        conn.executescript("""
            insert into person (id, name, made_at) values ('p', 'Ines Torvald', '2026-01-01');
            insert into act values ('a', 1, '2026-01-01', 'p', 'add', null, '', '', '{}', '{}');
            insert into motor_type (id, name, class, act_id) values ('t', 'Straßenfeger', 'tool', 'a');
            insert into motor (id, tag, name, place, class, type_id, act_id)
            values ('m', 'T-11', 'Große Winde', 'Hall 3', 'tool', 't', 'a');
        """)
        migrate(conn)
        assert people.list_alike(conn, "ines torvald") == [people.Person("p", "Ines Torvald")]
        found, kind = motors.find_tagged(conn, "t 11"), motors.find_type_named(conn, "strassenfeger")
        assert (found and found.id, kind and kind.id) == ("m", "t")
        assert motors.names(conn) == {"t11": "m", "grossewinde": "m"}
        row = conn.execute("select tag_key, place_key, sought_key from motor").fetchone()
        assert tuple(row) == ("t11", "hall3", "t11\ngrossewinde\nhall3")


def test_a_tag_that_looks_like_another_is_asked_about(shop: Shop, client: TestClient) -> None:
    shop.motor(tag="T-10")
    for tag in ("T-1O", "Т-l0"):
        with pytest.raises(NeedsAnswer, match="looks like T-10") as asked:
            shop.motor(tag=tag)
        assert dict(asked.value.choices).keys() == {"another"}
    shop.motor(tag="T-1O", answer="another")
    shop.motor(tag="T-11")
    status, page, _ = add(client, tag="T-l1")
    assert (status, "It is another motor than T-11" in page, 'value="T-l1"' in page) == (409, True, True)
    assert add(client, tag="T-l1", answer="another")[0] == 200


def test_a_person_who_looks_like_another_is_asked_about(shop: Shop) -> None:
    with pytest.raises(NeedsAnswer, match="reads or looks like Ines Torvald"):
        join(shop.conn, "new-1", "lnes Torvald", shop.now)
    assert join(shop.conn, "new-1", "lnes Torvald", shop.now, "another").id == "new-1"
    assert join(shop.conn, "new-2", "lnes Torvald", shop.now).id == "new-1"
