"""Laws of what is grave: one more stop takes no other away, and no certificate stands beside a change or a stop."""

from contextlib import suppress

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from at_work import Work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.noted import noted
from norvash.core.judging.signing import signed_as
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.stages.catalogue import STAGES
from norvash.errors import NorvashError
from run_cases import figures_of
from small_sheets import facts, sheet

CLASSES = ("tool", "appliance", "industrial", "traction", "starter", "generator")
SEEN = tuple(f.id for s in STAGES for f in s.looked)
GRAVE = tuple(f.id for s in STAGES for f in s.looked if f.grade in ("change", "stop") and f.classes in ((), ("tool",)))
BAND = {"run_v": "230", "run_a": "2", "run_rpm": "12000"}
CERTIFIED = ("certificate", "kept", "not opened", "statement")


@given(st.sampled_from(CLASSES), st.sets(st.sampled_from(SEEN), max_size=8), st.sampled_from(SEEN))
def test_one_more_that_is_seen_takes_no_stop_away(motor_class: str, seen: set[str], more: str) -> None:
    rules = MotorRules(shipped().book, motor_class)

    def stops(ids: set[str]) -> set[tuple[int, str]]:
        entered = {f"seen__{i}".replace(".", "__").replace("-", "_"): "yes" for i in ids}
        return {(n, f.id) for n, f in noted(sheet(facts(motor_class), **entered), rules) if f.grade == "stop"}

    assert stops(seen) <= stops(seen | {more})


@settings(max_examples=40, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(st.sampled_from(GRAVE), st.sampled_from(["found", "done", "done and run"]))
@pytest.mark.long
def test_no_certificate_stands_beside_a_change_or_a_stop_that_is_not_proven(shop: Shop, seen: str, how: str) -> None:
    motor = shop.motor(tag=f"L-{shop.acts}", motor_class="tool", figures=figures_of("tool"))
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure("20.6", "20.4")
    work.put(f"seen.{seen}=yes")
    tasks = [f"task.{t.id}=yes" for t in work.bench.life(seen).finding.tasks if not t.renews]
    for rows in tasks if how != "found" else ():
        with suppress(NorvashError):
            work.put(rows)
    with suppress(NorvashError):
        work.bench.ready()
        work.bench.run(**BAND)
    with suppress(NorvashError):
        work.put("outcome=service").serve()
    page = work.bench.page
    unproven = [x for x in page.visit.lives if x.stands and x.finding.grade in ("change", "stop")]
    unproven = [x for x in unproven if not x.finding.part.outside]
    assert not unproven or signed_as(page.visit) not in CERTIFIED, [x.finding.id for x in unproven]
