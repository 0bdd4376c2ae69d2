"""One cut: its own limits, the slots that it leaves deep enough, and a run-out that is known as one number."""

import pytest

from bench_sheet import Bench
from conftest import Shop
from copper_motor import COPPER
from norvash.core.commutator.run_out_limits import RULES_OF
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.rules.book import MotorRules

LIMITS_OF_ONE = {
    "cut-speed": "40",
    "rough-cut": "0.05",
    "finish-cut": "0.02",
    "feed-rough": "0.06",
    "feed-finish": "0.03",
    "cut-travel": "0",
    "slot-seconds": "30",
}


@pytest.fixture
def visit(shop: Shop) -> Bench:
    made = Bench(shop, shop.motor(motor_class="industrial", figures=COPPER))
    made.put("waive.safe", "on the bench")
    return made


def test_limits_that_are_stated_at_a_cut_hold_for_it_alone_and_deep_slots_are_not_undercut(visit: Bench) -> None:
    visit.put("bar-map", "grooved 1-29")
    visit.put("track-d", "97.2")
    visit.put("groove", "0.2")
    lent = copper_now(visit.page.sheet, visit.page.context.rules).plan
    for field, value in LIMITS_OF_ONE.items():
        visit.put(field, value)
    own = copper_now(visit.page.sheet, visit.page.context.rules).plan
    assert lent is not None
    assert own is not None
    assert (lent.way.rough_radial_mm, lent.way.overrun_axial_mm, lent.rough_passes) == (0.1, 4.0, 2)
    assert (own.way.rough_radial_mm, own.way.finish_radial_mm, own.rough_passes) == (0.05, 0.02, 4)
    assert (own.way.rough_feed_mm_per_rev, own.way.finish_feed_mm_per_rev, own.way.overrun_axial_mm) == (0.06, 0.03, 0)
    assert own.speed_most_rpm == pytest.approx(lent.speed_most_rpm * 40 / 150)

    def undercut() -> dict[str, float]:
        return {w.task.id: w.minutes for w in visit.page.work if w.task.id == "undercut"}

    assert undercut() == {"undercut": pytest.approx(29 * 30 / 60)}  # nobody measured the slots
    visit.put("slot-depth", "1.4")
    assert undercut() == {}
    visit.put("slot-depth", "0.6", answer="mistyped")
    assert undercut() == {"undercut": pytest.approx(29 * 30 / 60)}


def test_readings_bar_by_bar_take_no_stop_away_that_was_typed_as_one_number(visit: Bench) -> None:
    visit.put("run-out-total", "0.2")
    assert [c.finding.id for c in visit.page.found.conditions] == ["runout.far"]
    visit.put("run-out", "; ".join(["0", "0.01"] * 4))
    assert [c.finding.id for c in visit.page.found.conditions] == ["runout.far"]
    visit.put("run-out-total", "0.02", answer="mistyped")
    assert not visit.page.found.conditions


@pytest.mark.parametrize("band", RULES_OF)
def test_both_limits_of_every_band_of_a_run_out_are_in_the_rulebook(rules: MotorRules, band: str) -> None:
    assert all(rules.figure(rule).value > 0 for rule in RULES_OF[band])


def test_one_number_from_before_a_cut_says_nothing_of_what_it_left(visit: Bench) -> None:
    visit.put("run-out-total", "0.1")
    visit.put("track-d", "97.2")
    visit.put("cut-done", "96.8")
    said = {m.of[-1][0]: m for m in visit.page.measured}
    assert (said["run-out-total"].standing, said["run-out-total"].findings) == ("not judged", ())
    visit.put("run-out-total", "0.1", answer="left")
    now = copper_now(visit.page.sheet, visit.page.context.rules).known
    assert now is not None
    assert (now.most.band, now.over) == ("cut", True)
