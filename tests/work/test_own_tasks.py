"""The work list as people keep it: tasks added, dropped, put in order, and minutes learnt from signed ones."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.errors import InputError

FIGURES = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2"


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool at work, with a brush that sticks and a poor terminal."""
    made = at_work(shop, "tool", FIGURES, "20.2 20.1")
    made.bench.see(1, "brush.sticky")
    made.bench.see(2, "terminal.poor")
    return made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def ids(work: Work) -> list[str]:
    return [w.task.id for w in work.bench.page.work]


def test_a_task_is_added_done_and_is_work_on_the_parts_that_it_touches(work: Work) -> None:
    work.put("insulation-mohm=200 insulation-c=20 own-task@1=paint")
    work.bench.put("own-task", "wind the lead anew", 2, minutes="20", touches="windings")
    assert ids(work)[-2:] == ["own-1", "own-2"]
    work.bench.put("task.own-1", "yes", minutes="15", parts="grey paint")
    work.bench.put("insulation-c", "21")
    assert ("insulation-c", 0, "left") not in work.bench.page.sheet.written
    work.bench.put("task.own-2", "yes", minutes="25")
    work.bench.put("insulation-mohm", "150")
    assert ("insulation-mohm", 0, "left") in work.bench.page.sheet.written
    assert [w.done is not None for w in work.bench.page.work][-2:] == [True, True]


def test_a_task_that_is_dropped_says_why_and_what_asked_for_it_stays_open(work: Work) -> None:
    first = ids(work)[0]
    before = dict(work.bench.states)
    minutes = sum(w.minutes for w in work.bench.page.work)
    work.bench.put(f"drop.{first}", "no time before the show")
    row = next(w for w in work.bench.page.work if w.task.id == first)
    assert row.dropped is not None
    assert row.dropped.word == "no time before the show"
    assert work.bench.states == before
    assert minutes > 0
    work.put(f"task.{first}=yes")
    assert next(w for w in work.bench.page.work if w.task.id == first).dropped is None


def test_the_list_stands_in_the_order_that_somebody_put_it_in(work: Work) -> None:
    was = ids(work)
    assert len(was) > 1
    work.bench.put("work-order", " ".join(reversed(was)))
    assert ids(work) == was[::-1]
    work.bench.put("own-task", "clean the case", 1)
    assert ids(work)[-1] == "own-1"


def test_what_cannot_be_added_is_told(work: Work) -> None:
    for more, words in (({"minutes": "0"}, "cannot be right"), ({"touches": "wheels"}, "is not a part")):
        with pytest.raises(InputError, match=words):
            work.bench.put("own-task", "clean the case", 1, **more)
    with pytest.raises(InputError, match="Nobody has added"):
        work.bench.put("task.own-7", "yes")


def test_minutes_are_learnt_from_five_signed_tasks_on(shop: Shop, work: Work) -> None:
    for n, took in enumerate(("8", "11", "9", "30", "10")):
        motor = shop.motor(tag=f"T-5{n}", motor_class="tool")
        one = Work(shop, Bench(shop, motor)).safe()
        one.bench.see(1, "terminal.poor")
        one.bench.put("task.terminal", "yes", minutes=took)
        one.put("outcome=out").bench.sign("it waits")
        row = next(w for w in work.bench.page.work if w.task.id == "terminal")
        assert (row.minutes, row.learnt) == ((10, 5) if n == 4 else (row.task.minutes, 0))
