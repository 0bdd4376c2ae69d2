"""What moves no figure and no rule and still ends what was found: a policy, the log, notes, since when; it is asked."""

import json
from collections.abc import Callable
from dataclasses import replace
from datetime import timedelta

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.signing import signed_as
from norvash.core.motor.notes import NotedRound
from norvash.core.sheet.moved import Explained
from norvash.core.use.happened import Happened
from norvash.core.visit.barring import bars
from norvash.errors import NeedsAnswer
from norvash.store.record import people
from norvash.work.act.acting import Act
from norvash.work.motors.logging_use import log_use, take_back
from norvash.work.motors.policing import add_policy, end_policy
from norvash.work.motors.stating import SinceTyped, state_since
from norvash.work.notes.noting import enter_notes
from norvash.work.notes.noting_tables import take_back_notes

EVERY = {"name": "P", "every": "300", "asks": "change"}
Job = Callable[[Act], str]


def new(shop: Shop) -> str:
    """Return a motor whose new set was measured."""
    motor = shop.motor(set_is_new=True, new_length="22", limit="9", figures={})
    shop.measure(motor, "100", "22", "22")
    return motor


def ruled(shop: Shop) -> str:
    """Return one with a policy by which its set is due."""
    motor = new(shop)
    add_policy(shop.conn, shop.act(), "motor", scope_id=motor, kind="interval", typed=EVERY)
    shop.later(days=60).log(motor, "450")
    return motor


def _policy(shop: Shop) -> tuple[str, Job]:
    motor = ruled(shop)
    policy = shop.page(motor).context.policies[0].id
    return motor, lambda act: end_policy(shop.conn, act, policy)


def _taken_back(shop: Shop) -> tuple[str, Job]:
    motor = ruled(shop)
    return motor, lambda act: take_back(shop.conn, act, motor)


def _corrected(shop: Shop) -> tuple[str, Job]:
    motor = ruled(shop)
    return motor, lambda act: log_use(shop.conn, act, motor, text="120", happened=Happened(answer="last was wrong"))


def _notes(shop: Shop) -> tuple[str, Job]:
    motor = shop.motor(set_is_new=False, new_length="22", limit="9", figures={})
    worn = NotedRound(line=1, day=f"{shop.now:%Y-%m-%d}", counter="100", readings={1: "8.5", 2: "12"})
    batch = enter_notes(shop.conn, shop.act(), motor, [worn], answer="right")
    return motor, lambda act: take_back_notes(shop.conn, act, batch)


def _since(shop: Shop) -> tuple[str, Job]:
    motor = shop.motor(set_is_new=False, new_length="22", limit="9", figures={})
    add_policy(shop.conn, shop.act(), "motor", scope_id=motor, kind="interval", typed=EVERY)
    state_since(shop.conn, shop.act(), motor, SinceTyped(ran="400"))
    return motor, lambda act: state_since(shop.conn, act, motor, SinceTyped(ran="20"))


@pytest.mark.parametrize("way", [_policy, _taken_back, _corrected, _notes, _since])
def test_it_is_asked_with_its_list_and_its_reason_is_kept(shop: Shop, way: Callable[[Shop], tuple[str, Job]]) -> None:
    motor, job = way(shop)
    grade = shop.page(motor).found.grade
    assert grade in ("change", "stop")
    act = shop.later(minutes=1).act()
    with pytest.raises(NeedsAnswer, match="would end or soften “X-01, The set: ") as asked:
        job(act)
    assert (asked.value.listed[0]["grade"], asked.value.listed[0]["then"]) == (grade, None)
    assert "first" not in dict(asked.value.choices)
    assert shop.page(motor).found.grade == grade
    with pytest.raises(NeedsAnswer):
        job(replace(act, explained=Explained("read", " ")))
    job(replace(act, explained=Explained("read", "the counter itself", asked.value.mark)))
    assert shop.page(motor).found.base in ("fit", None)
    told = next(a for a in people.list_acts(shop.conn, motor, 9) if a.id == act.id)
    assert json.loads(told.after_json)["explained"] == {"answer": "read", "source": "the counter itself"}


def test_on_an_open_sheet_what_it_ends_is_withdrawn_and_read_once_more(shop: Shop) -> None:
    motor = new(shop)
    shop.later(days=60).log(motor, "300")
    bench = Work(shop, Bench(shop, motor)).safe().bench
    bench.measure("15", "16")
    shop.later(days=60).log(motor, "900")
    assert bench.life("set.worn").stands
    said = Explained("read", "the counter itself")
    log_use(
        shop.conn,
        replace(shop.later(minutes=1).act(), explained=said),
        motor,
        text="310",
        happened=Happened(answer="last was wrong"),
    )
    life = bench.life("set.worn")
    assert (life.state, life.kept and life.kept.withdrawn and life.kept.withdrawn.why) == ("withdrawn", said.source)
    assert "once more" in bars(life)


def test_an_overrule_that_softens_a_change_signs_not_clean_and_is_named(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool protection=double_insulated rated_v=230")
    work.put("complaint=weak state=opened seen.windings.loose=yes")
    work.bench.put("decide.windings.loose", "deferred", 0, who="Bram", day=f"{shop.now.date() + timedelta(days=5)}")
    work.bench.put("overrule.windings", "watch", 0, why="it holds")
    work.put("outcome=service")
    page = work.bench.page
    said = "Windings and magnets: change now was overruled by Ines Torvald to watch"
    assert (signed_as(page.visit), said in [h.words for h in page.holds]) == ("not clean", True)
    assert "overruled" in page.said.flags
