"""A condemned armature has no cut; one that was made all the same is taken, and proves nothing."""

from dataclasses import replace

import pytest

from bench_sheet import Bench
from conftest import Shop
from copper_motor import COPPER
from norvash.core.judging.commutator.says import cut_says
from norvash.core.sheet.moved import NOT_EXPLAINED, Explained
from norvash.store.record import motors, people
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.confirming import confirm
from norvash.work.reading.copper_bench import copper_of
from norvash.work.reading.slots_here import slots_here


@pytest.fixture
def visit(shop: Shop) -> Bench:
    bench = Bench(shop.later(days=30), shop.motor(motor_class="industrial", figures=COPPER))
    bench.put("waive.safe", "on the bench")
    return bench


def planned(visit: Bench) -> tuple[bool, bool]:
    """Return whether a cut is planned, and whether the one line says what comes first."""
    rules, now = visit.page.context.rules, copper_of(visit.page)
    says = [s.words for s in cut_says(visit.page.sheet, now, slots_here(visit.shop.conn, rules), rules)]
    return now.plan is not None, len(says) == 1 and says[0].startswith("no cut: first ")


# What condemns an armature, and what mends it before it is cut.
CONDEMNED = {
    "a loose bar": ("seen.commutator.raised", "yes", "task.armature"),
    "a loose bar on the map": ("bar-map", "loose 9", "task.armature"),
    "an open riser": ("seen.commutator.riser", "yes", "task.armature"),
    "the growler": ("growler", "fail", "task.armature"),
    "bar to shaft under its least": ("bar-shaft", "0.2", "task.armature"),
    "a bar test owed": ("bar-map", "burnt 9, 23", "task.armature"),
}


@pytest.mark.parametrize(("field", "text", "mends"), CONDEMNED.values(), ids=CONDEMNED)
def test_a_condemned_armature_has_no_cut_and_one_that_was_made_is_taken(
    visit: Bench, field: str, text: str, mends: str
) -> None:
    visit.put("track-d", "96.4\n96.3")
    assert planned(visit) == (True, False)
    visit.put(field, text)
    assert planned(visit) == (False, True)
    visit.put("cut-done", "95.9")
    assert "copper.condemned" in {c.finding.id for c in visit.page.found.conditions}
    visit.put(mends, "yes")
    assert not planned(visit)[1]


def test_a_bar_test_that_is_owed_comes_first(visit: Bench) -> None:
    visit.put("track-d", "96.4\n96.3")
    visit.put("bar-map", "burnt 9, 23")
    assert planned(visit) == (False, True)
    visit.put("bar-test", "; ".join("1" for _ in range(29)))
    assert planned(visit) == (False, True)  # nobody says whether the brushes were lifted
    visit.put("bar-test-lifted", "yes")
    assert planned(visit) == (True, False)


@pytest.mark.parametrize("opened", [True, False], ids=["with a sheet open", "without one"])
def test_a_cut_that_a_milder_least_diameter_allows_waits_until_somebody_else_confirms_it(
    visit: Bench, opened: bool
) -> None:
    """A track of 96.0 mm with a groove of 0.5 leaves 95.96 mm: under a least of 96.5, over one of 93."""
    shop, motor = visit.shop, visit.motor

    def state(least: str, explained: Explained = NOT_EXPLAINED) -> None:
        typed = {k: f"{v:g}" if isinstance(v, float) else v for k, v in motors.motor_figures(shop.conn, motor).items()}
        act = replace(shop.later(minutes=1).act(), explained=explained)
        version = motors.fetch_motor(shop.conn, motor).version
        change_figures(shop.conn, act, motor, {**typed, "commutator_d_min_mm": least}, version)

    def refused() -> None:
        visit.put("track-d", "96.0\n96.0")
        visit.put("groove", "0.5")
        plan = copper_of(visit.page).plan
        assert plan is not None
        assert not plan.chosen.allowed

    state("96.5")
    refused()
    if not opened:
        visit.sign("it waits")
        visit = Bench(shop.later(days=2), motor)
        visit.put("waive.safe", "on the bench")
    state("93", Explained("read", "the maker's sheet"))
    if not opened:
        visit.put("track-d", "96.0\n96.0")
        visit.put("groove", "0.5")
    assert planned(visit) == (False, True)
    assert "96.5 → 93 mm" in copper_of(visit.page).condemned
    people.add_person(shop.conn, people.Person("person-2", "Maud Celliers"), shop.now)
    moved = visit.page.context.moved[0].id
    confirm(shop.conn, replace(shop.later(minutes=1).act(), person_id="person-2"), motor, moved)
    assert planned(visit) == (True, False)
