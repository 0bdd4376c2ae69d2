"""The record of a motor reads as sentences: every act is told, with what it was before."""

from dataclasses import replace
from datetime import timedelta

from conftest import Shop
from norvash.core.use.happened import Happened
from norvash.store.file.database import transaction
from norvash.store.record import people
from norvash.work.act.may import MAY
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.logging_use import take_back
from norvash.work.on_sheet.measuring import note, record
from norvash.work.on_sheet.settling import settle_doubt
from norvash.work.on_sheet.signing import sign
from norvash.work.reading import history


def test_a_record_is_told_in_words_newest_first(shop: Shop) -> None:
    motor = shop.motor()
    shop.later(weeks=3).log(motor, "12.5", mode="increment")
    shop.later(days=1).log(motor, "130")
    take_back(shop.conn, shop.later(minutes=1).act(), motor)
    shop.later(minutes=1).log(motor, "3", happened=Happened(answer="replaced"))
    round_id = shop.later(minutes=1).look(motor)
    first = record(shop.conn, shop.act(), round_id, position=1, text="20.9")
    record(shop.conn, shop.act(), round_id, position=1, text="20.8", replaces=first)
    doubted = record(shop.conn, shop.act(), round_id, position=2, text="23.1")
    settle_doubt(shop.conn, shop.act(), doubted, "right")
    note(shop.conn, shop.act(), round_id, 1, "brush.sticky")
    note(shop.conn, shop.act(), round_id, 1, "brush.sticky", gone=True, answer="mistyped", why="the wrong line")
    with transaction(shop.conn):
        people.add_person(shop.conn, people.Person("another-person", "Bram Aldous"), shop.now)
    sign(shop.conn, replace(shop.act(), person_id="another-person"), round_id, service=True)
    change_figures(shop.conn, shop.act(), motor, {"new_mm": "22", "limit_mm": "9", "angle_1": "80"}, 1)
    shop.later(days=2).new_set(motor, "", "22.1", "", reason="stuck")
    shop.measure(motor, "5", "22", "21.9", kind="bedded")
    told = [(h.person, h.words.replace("\u00a0", " ")) for h in shop.page(motor).history]
    ines, bram = "Ines Torvald", "Bram Aldous"
    assert told == [
        (ines, "measured set 2 at 5 h, bedding-in ended: A 22.00, B 21.90 mm; signed sheet 2 as measured"),
        (ines, "fitted set 2, starting at A 22.10 mm; set 1 ran at least 15.5 h: stuck"),
        (ines, ("changed shortest length allowed 8 → 9 and position 1 A at 90°, arm 1, + → A at 80°, arm 1, +")),
        (bram, "signed sheet 1 as measured"),
        (
            ines,
            (
                "measured set 1 at 3 h: A 20.90, A 20.80 (before: 20.90), B 23.10 mm; of 23.1: it is right; "
                "A sticky, moves by hand; A no longer sticky, moves by hand"
            ),
        ),
        (ines, "logged 3 h, 3 h more; the counter: another counter in its place, so it is at least that"),
        (ines, "took back the entry of 130 h"),
        (ines, "logged 130 h, 17.5 h more"),
        (ines, "logged 112.5 h, 12.5 h more"),
        (ines, "added the motor as X-01, Trap winch"),
    ]
    shop.later(days=9).log(motor, "9", day="yesterday")
    assert shop.page(motor).history[0].words == f"logged 9 h for {(shop.now - timedelta(days=1)).date()}"


# What is done to no one motor stands in the record of none.
OF_NO_MOTOR = {
    *("add a dark window", "end a dark window", "add a person", "choose keys", "end sessions", "give a code"),
    *("give a role", "name the site", "change a rule", "import hours", "import notes", "save a type"),
}


def test_every_job_on_a_motor_has_its_words_and_one_that_has_none_breaks_no_page(shop: Shop) -> None:
    assert set(MAY) == OF_NO_MOTOR | set(history._ROUND_JOBS) | set(history._SAID)
    motor = shop.motor()
    shop.later(days=2).log(motor, "130")
    with transaction(shop.conn):
        shop.conn.execute("update act set job = 'a job of tomorrow' where job = 'log use'")
    assert shop.page(motor).history[0].words == "a job of tomorrow"
