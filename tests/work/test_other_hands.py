"""Two people on one sheet: nobody's value goes by a keystroke, and the paper names both."""

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.sheet.field import second_of
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.core.visit.barring import bars
from norvash.errors import NeedsAnswer
from norvash.exchange.visit_export import export_text
from norvash.exchange.visit_play import play_file
from norvash.store.record import people
from norvash.work.on_sheet.measuring import record
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing

PLATE = "rated_v=230 rated_a=4 new_mm=22 limit_mm=8"
BOTH = [("mistyped", "“15.2” was a slip"), ("second", "Measured once more, this one counts")]


@contextmanager
def other_hands(shop: Shop) -> Iterator[None]:
    """Let somebody else enter what follows."""
    mine = shop.person
    people.add_person(shop.conn, people.Person("person-2", "Maud Celliers"), shop.now)
    shop.person = "person-2"
    yield
    shop.person = mine


def again(bench: Bench, text: str, answer: str = "", why: str = "") -> None:
    there = bench.page.sheet.written["insulation-mohm", 0, "found"]
    act = bench.shop.later(minutes=1).act()
    seeing = Seeing(answer=answer, why=why)
    enter(
        bench.shop.conn, act, bench.id, field_id="insulation-mohm", place=0, text=text, replaces=there.id, seeing=seeing
    )


def measured(shop: Shop) -> Work:
    return at_work(shop, "tool", PLATE).put("insulation-mohm=15.2")


def test_a_colleagues_value_asks_which_of_three_also_where_nothing_gets_milder(shop: Shop) -> None:
    work = measured(shop)
    with other_hands(shop):
        for text in ("7.8", "22"):
            with pytest.raises(NeedsAnswer, match="Ines Torvald entered “15") as asked:
                again(work.bench, text)
            assert list(asked.value.choices) == BOTH
        with pytest.raises(NeedsAnswer, match="A slip needs a reason"):
            again(work.bench, "7.8", "mistyped")
        again(work.bench, "7.8", "second")
    given = work.bench.page.sheet.written["insulation-mohm", 0, "found"]
    assert (given.typed, given.person) == ("7.8", "Maud Celliers")
    work.put("outcome=out").bench.sign("waits")
    assert [(x["typed"], x["first"], x["instead"], x["person"]) for x in work.told["again"]] == [
        ("15.2", "Ines Torvald", "7.8", "Maud Celliers")
    ]


def test_a_colleagues_length_asks_too_and_one_s_own_does_not(shop: Shop) -> None:
    work = measured(shop)
    there = work.bench.page.found.brushes[0].last
    assert there is not None
    with other_hands(shop):
        for answer in ("", "second"):
            seeing, act = Seeing(answer=answer), shop.later(minutes=1).act()
            if answer:
                record(shop.conn, act, work.bench.id, position=1, text="19.9", replaces=there.id, seeing=seeing)
            else:
                with pytest.raises(NeedsAnswer, match="Ines Torvald entered “20"):
                    record(shop.conn, act, work.bench.id, position=1, text="19.9", replaces=there.id, seeing=seeing)
    work.put("outcome=out").bench.sign("waits")
    assert [(x["what"], x["typed"], x["first"], x["person"]) for x in work.told["again"]] == [
        ("Brush A", "20.6", "Ines Torvald", "Maud Celliers")
    ]


def once_more(work: Work, text: str, answer: str = "second") -> None:
    there = work.bench.page.sheet.written["earth-ohm", 0, "found"]
    act = work.shop.later(minutes=3).act()
    seeing = Seeing(answer=answer)
    enter(
        work.shop.conn, act, work.bench.id, field_id="earth-ohm", place=0, text=text, replaces=there.id, seeing=seeing
    )


def test_measured_once_more_the_worse_counts_until_a_third_agrees(shop: Shop, tmp_path: Path) -> None:
    work = at_work(shop, "tool", f"{PLATE} protection=protective_earth").put("earth-ohm=0.4")
    with pytest.raises(NeedsAnswer) as asked:
        once_more(work, "0.05", "")
    assert list(asked.value.choices)[-1][0] == "second"
    once_more(work, "0.05")
    life = work.bench.life("earth.open")
    assert (life.stands, life.finding.words) == (True, "protective earth 0.4 Ω, allowed 0.1")
    beside = work.bench.page.sheet.written["second.earth-ohm", 0, "found"]
    assert (beside.number, beside.person) == (0.05, "Ines Torvald")
    once_more(work, "0.3")  # off again: the newer of two that are off stands, and the second reading is older than it
    once_more(work, "0.06")
    assert work.bench.life("earth.open").stands
    once_more(work, "0.05")
    life = work.bench.life("earth.open")
    assert (life.state, bars(life)) == ("withdrawn", "")
    work.put("outcome=out").bench.sign("waits")
    assert "measured three times: 0.3, then 0.06 (Ines Torvald) and 0.05" in str(work.told["slips"])
    (tmp_path / "visit.json").write_text(export_text(shop.conn, work.bench.id))
    played = play_file(tmp_path / "visit.json", tmp_path / "own.db", "Ines Torvald")
    assert (played.differs, played.refused) == ([], [])


def test_a_second_reading_that_is_undone_leaves_what_stood(shop: Shop) -> None:
    work = at_work(shop, "tool", f"{PLATE} protection=protective_earth").put("earth-ohm=0.4")
    once_more(work, "0.05")
    work.bench.undo()
    assert work.bench.life("earth.open").stands
    assert not second_of(EARTH_OHM).given(work.bench.page.sheet)
