"""The sentence, the box and the list of causes say one thing, and only what somebody saw or measured."""

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop

WEAK = "construction=universal rated_v=230 rated_a=6"


def _words(work: Work) -> str:
    cause = work.bench.page.cause
    assert cause is not None
    return " ".join(r.words for x in cause.ranked for r in (*x.speaks_for, *x.speaks_against))


def test_a_part_that_was_only_looked_at_is_not_said_to_be_light_and_clean(shop: Shop) -> None:
    work = at_work(shop, "tool", WEAK).put("sign.weak=yes sound.commutator=yes")
    assert "commutator looked at, nothing found" in _words(work)
    assert "light and clean" not in _words(work)


def test_a_settled_cause_asks_for_no_check(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(motor_class="starter", figures={"rated_v": "12"}))).safe()
    work.put("sign.weak=yes")
    assert work.bench.page.cause is not None
    assert work.bench.page.cause.checks
    work.powered("cranking-v=8.4 rest-v=12.6 drop-supply-v=1.2")
    cause = work.bench.page.cause
    assert (cause.first.cause.id, cause.first.chance > 0.95, cause.checks) == ("cable", True, ())


def test_a_complaint_that_is_gone_asks_for_no_check(shop: Shop) -> None:
    tool = at_work(shop, "tool", f"{WEAK} noload_rpm=12000 noload_a=2").put("sign.weak=yes")
    tool.bench.ready()
    tool.put("bump=right run-v=230 run-a=2 run-rpm=11900 sparks=1 ran=yes complaint-now=unknown")
    gone = tool.bench.page.cause
    assert gone is not None
    assert gone.checks == ()


def test_a_measured_output_speaks_of_the_residual_field(shop: Shop) -> None:
    """Good takes “residual field lost” away, dead strengthens it, and what could not be judged says nothing."""
    for volts, answer in (("5.6 13.4", "no"), ("0.3 0.3", "yes"), ("5.6 9", "")):
        motor = shop.motor(tag=f"G-{volts}", motor_class="generator", figures={"rated_v": "12"})
        work = Work(shop, Bench(shop, motor)).safe().put("sign.low-output=yes")
        work.bench.measure("20", "20")
        work.bench.ready()
        work.put("turned=right regulator=apart")
        for point, (rpm, v) in enumerate(zip(("900", "1900"), volts.split(), strict=True), start=1):
            work.put(f"run-rpm@{point}={rpm} run-v@{point}={v}")
        assert work.bench.page.signs.get("residual-none", "") == answer, volts


def test_the_line_says_what_the_list_says_where_only_the_complaint_is_grave(shop: Shop) -> None:
    work = at_work(shop, "tool", WEAK).put("sign.start=dead")
    work.bench.see(1, "terminal.poor")
    page = work.bench.page
    assert page.cause is not None
    assert page.cause.first.cause.words in page.said.act


def test_black_copper_does_not_overtake_the_battery(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(motor_class="starter", figures={"rated_v": "12"}))).safe()
    work.put("sign.weak=yes seen.commutator.black=yes").powered("cranking-v=8.4")
    work.bench.measure("20", "20")
    assert "battery 8.4 V while cranking" in f"{work.bench.page.said.act} {work.bench.page.said.why}"
