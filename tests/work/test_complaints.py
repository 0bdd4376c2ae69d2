"""A complaint has a grade until it is answered and proven; it keeps no power off by itself."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.errors import InputError
from norvash.store.record.entries import count_causes
from norvash.work.motors.logging_use import log_use
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading.standing import refresh

BARS = ";".join(["0.40", "0.41", "0.40"] * 4)
# What is looked for without power before a run to find it.
FIRST = {
    "sign.smoke=yes": ("no bar test is made", f"bar-test={BARS}"),
    "sign.stays-on=yes": ("its switch is not tried apart", "switch-apart=opens"),
}
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
    work = at_work(shop, "tool", "tool bars=12").put(rows)
    here = {c.finding.id: c.finding.grade for c in work.bench.page.found.conditions}
    assert (here, work.bench.page.found.grade) == ({name: grade}, grade)
    assert "omplain" not in work.missing("power")
    if grade == "stop":
        with pytest.raises(InputError, match="say whether that is gone"):
            work.put("outcome=service")
    ran(work.put(FIRST.get(rows, ("", ""))[1]), "unknown").bench.sign()
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


def test_not_come_back_is_said_with_use_or_a_day_in_between(shop: Shop) -> None:
    ran(work := at_work(shop, "tool", "tool").put("sign.shock=yes"), "unknown").bench.sign()
    again = Bench(shop.later(minutes=20), work.bench.motor)
    with pytest.raises(InputError, match="gone only today, and nobody has logged use"):
        again.put("complaint-back", "not")
    log_use(shop.conn, shop.later(minutes=5).act(), work.bench.motor, text="3", mode="increment")
    again.put("complaint-back", "not")
    assert not [x for x in again.page.visit.lives if x.stands]


def test_still_there_rules_out_what_was_mended_then_and_stays_on_the_paper(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("sign.trips=yes ruled-out.supply=yes")
    work = ran(work, "still")
    with pytest.raises(InputError, match="mended before it was said to be still there"):
        work.put("complaint-now=this cause-was=supply")
    work.put("complaint-now=still complaint-now=unknown")
    undo(shop.conn, shop.later(minutes=1).act(), work.bench.id)
    assert [g.word for g in work.bench.page.sheet.answers] == ["still", "this", "still"]
    work.put("ruled-out.switch=yes")
    assert work.bench.page.said.act.startswith("Found and mended: switch")
    work.bench.ready()
    work.bench.run(**BAND)
    work.put("complaint-now=this cause-was=switch outcome=service").serve().bench.sign()
    answers = work.told["complaint"]["answers"]
    assert [a["words"] for a in answers] == 2 * ["still there", "gone: this was it"]
    assert work.told["complaint"]["cause"] == "switch, trigger or speed tap"


def test_several_causes_that_were_mended_are_named_and_no_other(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("sign.trips=yes ruled-out.supply=yes ruled-out.switch=yes")
    work = ran(work, "this").put("cause-was=switch")
    with pytest.raises(InputError, match="was not mended at this visit"):
        work.put("also-was.earth=yes")
    work.put("also-was.supply=yes outcome=service").serve().bench.sign()
    assert work.told["complaint"]["cause"] == "switch, trigger or speed tap; and supply or cord"
    assert count_causes(shop.conn, "tool") == {"switch": 1, "supply": 1}


def test_what_was_found_leads_over_a_complaint_of_the_same_grade(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("sign.shock=yes")
    work.put("seen.drive.shaft-cracked=yes")
    found = work.bench.page.found.conditions
    assert [c.finding.id for c in found if c.finding.grade == "stop"] == ["drive.shaft-cracked", "complaint.shock"]


def test_which_kind_it_is_ends_only_the_question(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("complaint=it_stopped complaint-kind=dead")
    assert {x.finding.id for x in work.bench.page.visit.lives if x.stands} == {"complaint.dead"}
    ran(work, "unknown").bench.sign()
    assert work.bench.page.row.signed["signed_as"] == "certificate"


@pytest.mark.parametrize(("said", "asks", "answers"), [(k, *v) for k, v in FIRST.items()], ids=FIRST)
def test_before_a_run_to_find_it_it_is_looked_for_without_power(shop: Shop, said: str, asks: str, answers: str) -> None:
    work = at_work(shop, "tool", "tool bars=12").put(said)
    assert asks in work.missing("power")
    work.put(answers)
    assert asks not in work.missing("power")


def test_where_no_bar_test_can_be_made_it_is_waived_by_name_and_gives_no_certificate(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool bars=12").put("sign.smoke=yes")
    work.bench.put("waiver.bar-test", "no tester in this hall, and no drop test box")
    assert "no bar test is made" not in work.missing("power")
    ran(work, "this").bench.sign("waived")
    assert work.bench.page.row.signed["signed_as"] == "not clean"


def test_what_shocks_is_not_run_with_its_insulation_waived(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").put("sign.shock=yes")
    work.bench.put("waiver.insulation", "residual", why="no tester in the hall")
    assert "insulation" in work.missing("power")
