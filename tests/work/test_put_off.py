"""Putting off: no stop ever, a change for days, moved once and by another; what waits for a part is out of service.

What an earlier version judged keeps its grade until it is measured again.
"""

from datetime import timedelta

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.refusing import refuse
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.field import Decision
from norvash.core.sheet.life import Told
from norvash.core.sheet.putting_off import Asked, By
from norvash.core.sheet.records import PutBy, PutOff
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.stages.decide import decision
from norvash.errors import InputError
from norvash.store.file.database import transaction
from norvash.store.record import people
from norvash.store.record.lives import list_standing
from small_sheets import NOON, sheet

RULES = shipped()
STOPS = sorted(f.id for f in FINDINGS.values() if f.grade == "stop")


@pytest.mark.parametrize("finding", STOPS)
@pytest.mark.parametrize("word", ["deferred", "left", "dropped"])
def test_no_stop_is_put_off_or_dropped(finding: str, word: str) -> None:
    field, found = decision(finding), FINDINGS[finding]
    assert isinstance(field, Decision)
    asked = Asked(word=word, number=None, record=PutOff(who="Bram", day=NOON.date()), by=By("Ines", NOON.date()))
    told = Told(now={(0, finding): found})
    with pytest.raises(InputError, match="takes it out of service"):
        refuse(field, 0, asked, sheet=sheet(), told=told, rules=RULES)


def put_off(work: Work, days: int, finding: str = "windings.loose") -> None:
    day = f"{work.shop.now + timedelta(days=days):%Y-%m-%d}"
    work.bench.put(f"decide.{finding}", "deferred", 0, who="Bram Aldous", day=day)


def test_a_change_is_put_off_for_days_while_its_motor_is_in_use(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("seen.windings.loose=yes seen.windings.dust=yes")
    with pytest.raises(InputError, match="at the latest") as refused:
        put_off(work, 8)
    assert refused.value.field == "day"
    put_off(work, 7)
    assert work.bench.life("windings.loose").state == "put off"
    work.put("outcome=out")
    put_off(work, 90)  # it is not in use
    work.put("outcome=service")
    assert work.bench.life("windings.loose").grade_due == "stop"


def test_its_day_is_moved_once_and_by_another(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("seen.windings.loose=yes")
    put_off(work, 5)
    put_off(work, 6)  # on the same day it is only mended
    people.add_person(shop.conn, people.Person("person-2", "Bram Aldous"), shop.now)
    shop.later(days=2)
    with pytest.raises(InputError, match="another person moves it"):
        put_off(work, 7)
    shop.person = "person-2"
    put_off(work, 7)
    life = work.bench.life("windings.loose")
    assert life.put_off is not None
    assert life.put_off.by.moved == 1
    shop.later(days=2).person = "person-of-test"
    with pytest.raises(InputError, match="moved once already"):
        put_off(work, 7)
    work.bench.put("outcome", "service")
    work.bench.sign("waits for its day")
    kept = list_standing(shop.conn, work.bench.motor)[0].put_off
    assert kept is not None
    assert (kept.by.moved, kept.part) == (1, "")


def test_what_waits_for_a_part_is_out_of_service(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("seen.drive.fan=yes")
    day = f"{shop.now + timedelta(days=40):%Y-%m-%d}"
    with pytest.raises(InputError, match="part"):
        work.bench.put("decide.drive.fan", "waits", 0, day=day)
    with pytest.raises(InputError, match="expected"):
        work.bench.put("decide.drive.fan", "waits", 0, part="fan LP-V 3")
    work.bench.put("decide.drive.fan", "waits", 0, part="fan LP-V 3", day=day)
    assert "waits for fan LP-V 3" in work.missing("service")
    with pytest.raises(InputError, match="does not go back like this"):
        work.put("outcome=service")
    work.put("outcome=out").bench.sign()
    again = Bench(shop.later(days=3), work.bench.motor)
    life = again.life("drive.fan")
    assert life.waits_for is not None
    assert (life.state, life.waits_for.part, life.finding.grade) == ("open", "fan LP-V 3", "stop")
    assert life.waits_for.by == PutBy("Ines Torvald", work.shop.now.date() - timedelta(days=3))


def test_what_an_earlier_version_judged_keeps_its_grade_until_it_is_measured_again(shop: Shop) -> None:
    work = at_work(shop, "industrial", "shunt").put("coils=10;10;9.4;10")
    assert work.bench.states == {}  # a little low, to be watched
    with transaction(shop.conn):
        shop.conn.execute(
            """insert into life (id, motor_id, sheet_id, position_number, finding, part, grade, words, state, who, why,
                                 held_since)
               values ('old', ?, ?, 0, 'windings.short', 'windings', 'change', 'coil 3 off', 'open', '', '', ?)""",
            (work.bench.motor, work.bench.id, f"{shop.now:%Y-%m-%dT%H:%M:%S}"),
        )
    work.put("growler=pass")  # another place says nothing of it
    life = work.bench.life("windings.short")
    assert (life.state, life.finding.grade, life.by_earlier) == ("open", "change", True)
    work.bench.put("coils", "10;10;9.5;10", answer="mistyped")
    assert work.bench.states[0, "windings.short"] == "withdrawn"
