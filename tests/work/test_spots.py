"""Each of several numbered things has a life of its own: a bearing, a side, a circuit."""

import pytest

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.noted import by_place
from norvash.core.sheet.life import KeptLife
from norvash.core.stages.brushes.springs import TERMINAL_MEASURED
from norvash.errors import InputError


def at_work(shop: Shop, motor_class: str = "industrial") -> Work:
    figures = {"rated_v": "230", "rated_a": "6", "construction": "universal" if motor_class == "tool" else "shunt"}
    figures |= {} if motor_class == "tool" else {"hangs_load": "no"}
    return Work(shop, Bench(shop, shop.motor(motor_class=motor_class, figures=figures))).safe()


def test_one_bearing_is_renewed_and_the_other_put_off(shop: Shop) -> None:
    work = at_work(shop).put("b-feel@1=rough b-feel@2=rough")
    assert work.bench.states == {(1, "bearing.rough"): "open", (2, "bearing.rough"): "open"}
    assert [x.place for x in work.bench.page.visit.lives] == [
        "Bearings and drive, drive end",
        "Bearings and drive, other end",
    ]
    work.put("decide.bearing.rough@1=now")
    work.bench.put("decide.bearing.rough", "deferred", 2, who="Runa", day="2025-10-01")
    assert work.bench.states[2, "bearing.rough"] == "put off"
    work.put("task.bearing=yes b-feel@1=smooth")
    assert work.bench.states[1, "bearing.rough"] == "proven"
    assert work.bench.states[2, "bearing.rough"] != "proven", "nobody read the other end again"


def test_what_is_decided_without_a_place_speaks_of_every_one(shop: Shop) -> None:
    work = at_work(shop).put("b-feel@1=rough b-feel@2=notchy decide.bearing.rough=now")
    assert [bool(x.decided) for x in work.bench.page.visit.lives] == [True, True]
    work.put("b-seat@1=spun b-noise@2=hiss")
    with pytest.raises(InputError, match="is not found"):
        work.bench.put("decide.bearing.noisy", "now", 1)


def test_a_stop_at_one_end_is_not_put_off_without_a_place(shop: Shop) -> None:
    work = at_work(shop).put("b-feel@1=locked")
    with pytest.raises(InputError, match="that is not put off"):
        work.bench.put("decide.bearing.locked", "deferred", who="Runa", day="2026-01-20")


def test_of_what_was_seen_and_then_read_the_reading_says_where(shop: Shop) -> None:
    work = at_work(shop).put("b-feel@2=rough seen.bearing.rough=yes")
    assert set(work.bench.states) == {(2, "bearing.rough")}


def test_two_sides_are_two_terminals_and_one_is_proven_by_its_own_reading(shop: Shop) -> None:
    work = at_work(shop, "tool").put("terminal-ohm@1=3 terminal-ohm@2=OL")
    assert [(x.place, x.finding.words) for x in work.bench.page.visit.lives] == [
        ("Right terminal", "open, allowed 0.0167 Ω"),
        ("Left terminal", "3 Ω, allowed 0.0167 Ω"),
    ]
    work.put("decide.terminal.measured=now task.terminal=yes terminal-ohm@1=0.004")
    assert work.bench.states == {(1, "terminal.measured"): "proven", (2, "terminal.measured"): "done not proven"}


def test_what_was_kept_joined_takes_both_sides_into_itself() -> None:
    kept = KeptLife(id="l", sheet_id="s", position=0, finding=TERMINAL_MEASURED, joined=True)
    left, right = (TERMINAL_MEASURED.worded(f"{n} Ω") for n in (1, 2))
    apart, joined = by_place([(1, left), (2, right)], ()), by_place([(1, left), (2, right)], [kept])
    assert sorted(apart) == [(1, "terminal.measured"), (2, "terminal.measured")]
    assert {at: f.words for at, f in joined.items()} == {(0, "terminal.measured"): "left: 1 Ω; right: 2 Ω"}
