"""One voice says when: one look and one change come first, each counted from what was done, the others follow."""

from contextlib import closing
from pathlib import Path

import pytest

from at_work import Work
from bench_sheet import Bench
from conftest import NOW, Shop
from norvash.store.file.database import connect
from norvash.store.record.standings import count_bench, list_bench
from norvash.work.motors.policing import add_policy
from whens import broken_whens

GAUGE = {"method": "depth", "depth_limit_mm": "12.6"}


def every(shop: Shop, motor: str, hours: str, asks: str) -> None:
    typed = {"name": "maker's", "every": hours, "asks": asks}
    add_policy(shop.conn, shop.act(), "motor", scope_id=motor, kind="interval", typed=typed)


def said(shop: Shop, motor: str) -> str:
    page = shop.page(motor)
    return "\n".join([page.said.sentence, *(f"{f.value} {f.words}" for f in page.said.figures), *reasons(shop, motor)])


def reasons(shop: Shop, motor: str) -> list[str]:
    return [r.text for r in shop.page(motor).said.reasons]


def test_a_set_of_which_nobody_knows_anything_has_no_day_of_a_look(shop: Shop) -> None:
    motor = shop.motor(set_is_new=False, new_length="22", limit="9", figures={})
    every(shop, motor, "300", "look")
    page = shop.page(motor)
    assert page.said.act == "Measure it at the next opportunity."
    assert (page.found.look, [d for d in page.found.dues if not d.change]) == (None, [])
    assert "Look by" not in said(shop, motor)


def test_what_nobody_has_looked_at_is_counted_from_the_fitting(shop: Shop) -> None:
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    every(shop, motor, "300", "look")
    assert "counted from the fitting, for nobody has looked yet" in said(shop, motor)
    assert "since the last complete look" not in said(shop, motor)
    shop.later(days=3).measure(motor, "110", "22", "22")
    assert "counted from the last complete look" in said(shop, motor)


def test_a_look_that_lies_behind_is_asked_for_now(shop: Shop) -> None:
    motor = shop.motor(motor_class="tool", set_is_new=True, new_length="", limit="", figures={})
    assert "One measurement at about" in said(shop, motor)
    shop.later(days=60).log(motor, "400")
    assert "One measurement now narrows this" in said(shop, motor)


def test_a_change_by_an_interval_stands_in_the_line_and_no_later_plan_beside_it(shop: Shop) -> None:
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    every(shop, motor, "300", "change")
    shop.measure(motor, "100", "22", "22")
    for days, counter, lengths in ((40, "250", ("21.5", "21.4")), (40, "390", ("21", "20.9"))):
        shop.later(days=days).log(motor, counter)
        shop.measure(motor, counter, *lengths)
    page = shop.page(motor)
    figures = {f.words: f.value for f in page.said.figures}
    assert figures["change by, for the maker's"] == "400 h"
    assert "limit about" not in figures
    assert not any(words.startswith("look by") for words in figures)  # the change comes before it
    assert page.found.change is not None
    assert page.found.change.on is not None
    assert not any(f.words.startswith("plan by") for f in page.said.figures)
    assert [r.endswith("; this change comes first.") for r in reasons(shop, motor)].count(True) == 1
    assert not any(r.endswith("; this look comes first.") for r in reasons(shop, motor))
    assert any(r.startswith("Look by") and r.endswith("; later.") for r in reasons(shop, motor))
    assert page.found.look is not None
    assert (page.found.look.brought, page.found.look.on) == (True, page.found.change.on)  # it is that visit


def test_a_gauge_that_nobody_zeroed_does_not_overrule_the_makers_interval_from_one_round(shop: Shop) -> None:
    motor = shop.motor(motor_class="tool", new_length="", limit="", set_is_new=True, figures=GAUGE)
    every(shop, motor, "500", "look")
    shop.measure(motor, "100", "9.1", "9.0")
    shop.later(days=30).log(motor, "150")
    shop.measure(motor, "150", "9.3", "9.25")
    page = shop.page(motor)
    assert page.found.look is not None
    assert page.found.look.name == "maker's"
    assert any("not counted: fewer than two rounds" in r for r in reasons(shop, motor))
    shop.later(days=30).log(motor, "200")
    shop.measure(motor, "200", "9.5", "9.5")
    assert not any("not counted" in r for r in reasons(shop, motor))


@pytest.mark.parametrize(("outcome", "looks"), [("away", False), ("out", False), ("service", True)])
def test_a_motor_that_is_sent_away_has_no_next_look(shop: Shop, outcome: str, looks: bool) -> None:
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure("21", "21")
    work.put(f"outcome={outcome}")
    look = work.bench.page.look
    assert bool(look.on or look.at) is looks


def test_the_second_line_is_due_half_a_spacing_after_it_was_first_seen(shop: Shop) -> None:
    """The first line at 2 900 h, the second at 4 100: 1 200 h, half of it 600, due at 4 700."""
    lines = {"method": "wear line", "wear_line_1_mm": "26", "wear_line_2_mm": "20", "wear_line_3_mm": "14"}
    motor = shop.motor(set_is_new=True, new_length="32", limit="", use_now="0", figures=lines)
    for days, counter, seen in ((200, "2900", "1"), (90, "4100", "2"), (20, "4300", "2")):
        shop.later(days=days).log(motor, counter)
        shop.measure(motor, counter, seen, "1")
    due = next(d for d in shop.page(motor).found.dues if d.name == "second wear line")
    assert due.at_units is not None
    assert due.at_units == pytest.approx(4700)
    assert "600 h" in due.why


def test_of_one_brush_alone_no_list_has_a_day_and_what_is_due_stays_due(shop: Shop) -> None:
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    every(shop, motor, "300", "look")
    shop.later(days=40).log(motor, "250")
    shop.measure(motor, "250", "19", "")
    page = shop.page(motor)
    assert (page.found.look and page.found.look.name, page.found.days.limit_on, page.said.figures) == (
        "maker's",
        None,
        (),
    )
    assert "incomplete" in page.said.flags
    assert "a date wants the whole set, and B is not measured" in said(shop, motor)
    kept = shop.conn.execute("select look_by, limit_on, early_on from standing").fetchone()
    assert tuple(kept) == ("maker's", None, None)
    # Measuring one brush does not end what the maker asks for.
    shop.later(days=60).log(motor, "450")
    assert (shop.page(motor).found.grade, shop.page(motor).said.word) == ("plan", "Look overdue")


def test_a_look_due_at_todays_counter_needs_hands(shop: Shop) -> None:
    """Of a motor without a rate no list knows a day: it is told by what has run."""
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", use_now="0", figures={})
    every(shop, motor, "300", "look")
    shop.measure(motor, "0", "22", "22")
    before = list_bench(shop.conn, shop.now.date(), shop.now.date(), 9, 0)
    shop.later(days=20).log(motor, "300")
    page = shop.page(motor)
    assert "look due" in page.said.flags
    assert ([x.motor_id for x in before], count_bench(shop.conn, shop.now.date(), shop.now.date())) == ([], 1)


def test_a_gauge_that_nobody_zeroed_bounds_what_is_left_and_not_a_brush_that_was_invented(shop: Shop) -> None:
    """Eight hundred hours on the straight line were one hour for the early bound: what a brush had lost before its
    first reading was counted as carbon to wear, at a rate of its own.
    """
    motor = shop.motor(motor_class="tool", new_length="", limit="", set_is_new=True, figures=GAUGE)
    shop.measure(motor, "100", "11.61", "11.60")
    shop.later(days=30).log(motor, "200")
    shop.measure(motor, "200", "11.72", "11.71")
    page = shop.page(motor)
    ahead, left = page.found.ahead, (12.6 - 11.72) / 0.11 * 100
    assert ahead is not None
    assert 0.04 * left < ahead.p05_units - ahead.seen_units < left
    assert page.found.grade == "fit"


def test_on_every_day_on_which_a_motor_rises_one_voice_says_when(playhouse: Path) -> None:
    with closing(connect(playhouse)) as conn:
        motors = conn.execute("select id from motor order by tag").fetchall()
        broken = {m["id"]: broken_whens(conn, m["id"], NOW.date()) for m in motors}
    assert len(motors) > 30
    assert {m: x for m, x in broken.items() if x} == {}
