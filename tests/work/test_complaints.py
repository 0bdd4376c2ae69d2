"""A complaint has a grade until it is answered and proven; it keeps no power off by itself."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.errors import InputError
from norvash.work.standing import refresh

BAND = {"run_v": "230", "run_a": "2", "run_rpm": "12000"}
# What is said at the call, what it is graded as, and what a paper says of it that is gone without a cause.
CALLS = {
    "a shock": ("sign.shock=yes", "complaint.shock stop", "change", "not clean"),
    "smoke": ("sign.smoke=yes", "complaint.smoke stop", "change", "not clean"),
    "it keeps running": ("sign.stays-on=yes", "complaint.runs-on stop", "change", "not clean"),
    "it trips": ("sign.trips=yes", "complaint.trips change", "plan", "certificate"),
    "a smell": ("sign.smell=yes", "complaint.smell change", "plan", "certificate"),
    "a ring of fire": ("sign.sparks=ring", "complaint.sparks change", "plan", "certificate"),
    "it does not run": ("sign.start=dead", "complaint.dead change", "plan", "certificate"),
    "it is loud": ("sign.loud=yes", "complaint.other watch", "", "certificate"),
    "words, and nobody says which": ("complaint=it_did_something", "complaint.asked change", "plan", "certificate"),
    "words, said to be a shock": (
        "complaint=it_bit_me complaint-kind=shock",
        "complaint.shock stop",
        "change",
        "not clean",
    ),
    "words, none of these": ("complaint=it_squeaks complaint-kind=none", "complaint.other watch", "", "certificate"),
}


def ran(work: Work, answer: str) -> Work:
    work.bench.ready()
    work.bench.run(**BAND)
    return work.put(f"complaint-now={answer} outcome=service").serve()


@pytest.mark.parametrize("case", CALLS.values(), ids=CALLS)
def test_it_raises_the_motor_and_not_the_gate_until_it_is_gone(shop: Shop, case: tuple[str, str, str, str]) -> None:
    rows, found, milder, kind = case
    name, _, grade = found.partition(" ")
    work = at_work(shop, "tool", "tool").put(rows)
    here = {c.finding.id: c.finding.grade for c in work.bench.page.found.conditions}
    assert (here, work.bench.page.found.grade) == ({name: grade}, grade)
    assert "omplain" not in work.missing("power")
    if grade == "stop":
        with pytest.raises(InputError, match="say whether that is gone"):
            work.put("outcome=service")
    ran(work, "unknown").bench.sign()
    stands = {x.finding.id: x.finding.grade for x in shop.page(work.bench.motor).standing}
    assert stands == ({"complaint.unknown": milder} if milder else {})
    signed = work.bench.page.row.signed
    assert signed["signed_as"] == kind
    assert any("gone, cause not known" in str(w) for w in signed["standing"]) is bool(milder)  # type: ignore[attr-defined]
    shop.later(days=2)
    again = Work(shop, Bench(shop, work.bench.motor)).safe().put("complaint-back=not")
    again.bench.measure("20.5", "20.3")
    again.bench.ready()
    again.bench.run(**BAND)
    again.put("outcome=service").serve().bench.sign()
    assert again.bench.page.row.signed["signed_as"] == "certificate"
    assert refresh(shop.conn, work.bench.motor, shop.now.date()).found.grade == "fit"


def test_one_that_came_back_stands_again(shop: Shop) -> None:
    work = ran(at_work(shop, "tool", "tool").put("sign.trips=yes"), "unknown")
    work.bench.sign()
    again = Bench(shop.later(weeks=2), work.bench.motor)
    again.put("complaint-back", "back")
    assert again.life("complaint.unknown").state == "open"
    assert again.page.found.grade == "change"


def test_which_kind_it_is_ends_only_the_question(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("complaint=it_stopped complaint-kind=dead")
    assert {x.finding.id for x in work.bench.page.visit.lives if x.stands} == {"complaint.dead"}
    ran(work, "unknown").bench.sign()
    assert work.bench.page.row.signed["signed_as"] == "certificate"
