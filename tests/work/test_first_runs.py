"""Motors without a figure, visit after visit: proven by a first run, which becomes a figure once a later one agrees."""

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.prove.stage import proof_lacks
from norvash.core.judging.signing import signed_as
from norvash.store.record import motors
from norvash.work.motors.changing_figures import change_figures

SPELLS = "run-v@1=230 run-v@2=230 run-min@1=2 run-min@2=2 run-rest@2=10 sparks@1=1 noise=even coast-s=4"


def ran(work: Work, *, amps: str, rpm: str, rows: str = SPELLS) -> Work:
    """Run a mixer of 230 V twice for two minutes, and say that it ran as it should."""
    work.bench.ready()
    return work.put(
        f"plate-none=yes bump=right run-a@1={amps} run-rpm@1={rpm} run-a@2={amps} run-rpm@2={rpm} {rows} ran=yes"
    )


def again(shop: Shop, motor: str) -> Work:
    shop.later(days=90)
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure("20.4", "20.2")
    return work


def restate(work: Work, **figures: str) -> None:
    """Change figures of the motor, the others as they stand."""
    shop, motor = work.shop, work.bench.motor
    typed = {n: f"{v:g}" if isinstance(v, float) else v for n, v in motors.motor_figures(shop.conn, motor).items()}
    version = motors.fetch_motor(shop.conn, motor).version
    change_figures(shop.conn, shop.later(minutes=1).act(), motor, {**typed, **figures}, version)


def signed(work: Work) -> dict[str, object]:
    work.put("outcome=service").serve().bench.sign()
    return dict(work.bench.page.row.signed)


def test_a_mixer_with_no_figure_is_proven_by_first_runs_until_two_agree(shop: Shop) -> None:
    first = ran(at_work(shop, "appliance", "rated_v=230"), amps="1.9", rpm="9000")
    assert proof_lacks(first.bench.page.visit) == ""
    said = signed(first)
    assert said["signed_as"] == "certificate"
    assert str(said["standing"]).count("no figure to compare with (plate read, none given: ") == 1
    assert "a first run, no figure for another certificate" in str(said["standing"])
    motor = first.bench.motor
    short = again(shop, motor)
    short.bench.ready()
    short.put("bump=right run-v=230 run-a=1.9 run-rpm=9000 sparks=1 ran=yes")
    assert "say “plate read: none given”" in proof_lacks(short.bench.page.visit)  # a first run is no figure yet
    short.put("plate-none=yes")
    assert "2, rest 10, and 2 again" in proof_lacks(short.bench.page.visit)
    second = ran(short, amps="1.95", rpm="9400")
    assert "the first run, sheet 1: it agrees" in second.said
    assert "it agrees with the first run, sheet 1" in str(signed(second)["standing"])
    third = again(shop, motor)
    third.bench.ready()
    third.put("bump=right run-v=230 run-a=1.9 run-rpm=9500 sparks=1 ran=yes")
    assert proof_lacks(third.bench.page.visit) == ""  # its own baseline judges it now
    assert "its own baseline, sheet 2" in third.said
    assert "no figure" not in str(signed(third).get("standing"))


def test_a_second_first_run_that_differs_is_one_again(shop: Shop) -> None:
    first = ran(at_work(shop, "appliance", "rated_v=230"), amps="1.9", rpm="9000")
    signed(first)
    second = ran(again(shop, first.bench.motor), amps="2.2", rpm="9000")
    assert "15.8% over the first run, sheet 1: it does not agree" in second.said
    signed(second)
    third = ran(again(shop, first.bench.motor), amps="2.15", rpm="9000")
    assert "the first run, sheet 2: it agrees" in third.said


def test_what_was_read_before_the_last_work_proves_nothing_but_its_plate_stays_read(shop: Shop) -> None:
    work = ran(at_work(shop, "appliance", "rated_v=230"), amps="1.9", rpm="9000")
    work.bench.fit("22", "22", reason="damaged")
    assert "before the last work" in proof_lacks(work.bench.page.visit)
    work.bench.ready()
    work.put("bump=right run-v@1=230 run-a@1=1.9 run-min@1=2 sparks@1=1 ran=yes")
    lacks = proof_lacks(work.bench.page.visit)
    assert "none given" not in lacks
    assert all(x in lacks for x in ("2, rest 10, and 2 again", "its sound", "how long it coasts"))


def test_a_figure_that_was_taken_away_is_no_reason_for_a_first_run(shop: Shop) -> None:
    work = at_work(shop, "appliance", "rated_v=230 rated_a=2.1")
    restate(work, rated_a="")
    work = ran(work, amps="1.9", rpm="9000")
    assert "current 2.1 A, taken away by Ines" in proof_lacks(work.bench.page.visit)
    work.put("outcome=service").serve()
    assert signed_as(work.bench.page.visit) == "not clean"
    restate(work, rated_a="2.1")
    assert proof_lacks(work.bench.page.visit) == ""
    assert "no figure" not in str(signed(work).get("standing"))


def test_a_power_that_was_taken_away_is_missed_too(shop: Shop) -> None:
    work = at_work(shop, "appliance", "rated_v=230 rated_w=500")
    restate(work, rated_w="")
    assert "power 500 W, taken away by Ines" in proof_lacks(ran(work, amps="1.9", rpm="9000").bench.page.visit)


def test_a_starter_on_the_bench_is_signed_by_its_throws(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12")
    work.bench.ready()
    for place in (1, 2, 3):
        work.put(f"run-v@{place}=11.4 run-a@{place}=60 run-s@{place}=4 sparks@{place}=1")
    work.put("bump=right pinion-throws=yes run-rest@2=2 run-rest@3=2 ran=yes outcome=service").serve()
    assert "proves the throw only" in proof_lacks(work.bench.page.visit)
    assert work.missing("service") == ""
    said = signed(work)
    assert (said["signed_as"], said["open"]) == ("throws", [])
    assert str(said["told"]["signed_as_words"]).startswith("Throws; pull not proven")  # type: ignore[index]
