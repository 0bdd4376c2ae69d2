"""Beside a proof run: a test at standstill, a safe voltage by low runs, a generator with its drive, found and left."""

from collections.abc import Callable, Iterable

import pytest

from at_work import Work, at_work
from conftest import Shop
from norvash.core.judging.prove.before_after import before_after
from norvash.core.judging.prove.driven import driven_told
from norvash.core.judging.prove.points import points_of
from norvash.core.judging.prove.run import judge_run
from norvash.core.judging.prove.safe_volts import safe_by_runs, safe_lacks
from norvash.core.judging.prove.standstill import standstill_told
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.sheet import Sheet
from norvash.errors import Conflict, InputError

GRADE = "grade_family=metal-graphite "
FLOAT = f"{GRADE}construction=series rated_v=48 rated_rpm=2200 permitted_rpm=3200 protection=extra-low_voltage"
DYNAMO = "construction=shunt excitation=self-excited rated_v=12"


def looked(work: Work) -> Work:
    return work.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def told(work: Work, say: Callable[[Sheet, MotorRules], Iterable[Measured]]) -> str:
    page = work.bench.page
    return " ".join(s.words for s in say(page.sheet, page.context.rules)).replace("\u202f", " ")


def test_standstill_tells_the_circuit_and_what_a_start_draws_and_is_no_run(shop: Shop) -> None:
    work = looked(at_work(shop, "traction", FLOAT, "24.5 24.8"))
    with pytest.raises(Conflict, match="measured with power on"):
        work.put("still-v=7.5")
    work.powered("still-held=yes still-v=7.5 still-a=360 still-s=8")
    assert "R = 0.0192 Ω" in told(work, standstill_told)
    assert "A start at 48 V draws 2 473 A" in told(work, standstill_told)
    assert points_of(work.bench.page.sheet) == ()


def test_without_the_grade_a_start_draws_at_least_that(shop: Shop) -> None:
    work = looked(at_work(shop, "traction", FLOAT.replace(GRADE, ""), "24.5 24.8"))
    work.powered("still-v=7.5 still-a=360 still-s=12")
    assert "draws at least 2 304 A" in told(work, standstill_told)
    assert "too long: 10 s at most" in told(work, standstill_told)


def test_two_low_runs_allow_more_than_a_quarter_and_never_more_than_is_stated(shop: Shop) -> None:
    work = looked(at_work(shop, "traction", f"{FLOAT} armature_ohm=0.021", "24.5 24.8"))
    work.bench.ready()
    work.put("run-where=bare run-how=free bump=right run-v@1=4 run-a@1=38 run-rpm@1=420")
    with pytest.raises(InputError, match="a quarter of its plate"):
        work.bench.put("run-v", "14", 2)
    assert "two low runs" in safe_lacks(work.bench.page.sheet, work.bench.page.context.rules)
    work.put("run-v@2=7 run-a@2=46 run-rpm@2=830")
    page = work.bench.page
    safe = safe_by_runs(page.sheet, page.context.rules)
    assert safe is not None
    assert safe.volts == pytest.approx(32.49, abs=0.01)
    work.put("run-v@3=20")
    with pytest.raises(InputError, match="by its low runs"):
        work.bench.put("run-v", "40", 4)


def test_a_generator_is_judged_with_its_drive_its_lamp_and_what_was_found(shop: Shop) -> None:
    work = looked(at_work(shop, "generator", DYNAMO, "12.2 12.4"))
    work.powered("output-found=900_r/min_0.3_V;1900_r/min_0.4_V")
    work.bench.fit("19", "19")
    work.bench.ready()
    work.put("turned=right regulator=apart joined=yes run-rpm@1=900 run-v@1=5.6 run-rpm@2=1900 run-v@2=13.4")
    work.put("lamp-v=12 lamp-w=10 driver-rpm=1000 driver-d=140 driven-d=80 sparks=1")
    said = told(work, driven_told)
    assert "In its place it turns 1 750 r/min" in said
    assert "takes 0.83 A" in said
    assert "1 900 r/min (13.4 V) is too much for the lamp" in said
    assert "its regulator, or the wiring" in said
    page = work.bench.page
    run = judge_run(page.sheet, page.context.rules)
    rows = {r.words: (r.found, r.value) for r in before_after(page.sheet, run, page.context.rules)}
    assert rows["At 1\u202f900 r/min"] == (0.4, 13.4)
    work.put("own-task@1=paint")
    with pytest.raises(InputError, match="Paint waits for the proof"):
        work.put("task.own-1=yes")
    work.put("ran=yes")
    work.put("task.own-1=yes outcome=service").serve()
    with pytest.raises(InputError, match="Not polarised since the refit"):
        work.bench.sign()
    work.put("polarised=yes")
    work.bench.sign()
