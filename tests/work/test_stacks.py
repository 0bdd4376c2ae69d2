"""Stacks and counts on a sheet: lent, seen, back, different, explained, put aside."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.visit.stacks import stacks_now
from norvash.errors import Conflict, InputError
from norvash.work.motors.motor_types import save_type
from norvash.work.on_sheet.sheets import enter

FIGURES = "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2 thickness_mm=8 width_mm=16"
STACK = ("cap", "washer 1 x 20", "seal 5 x 28, lip in", "5 shims 0.2 x 26, stays", "armature 170 x 58")


@pytest.fixture
def work(shop: Shop) -> Work:
    """Return a tool at work."""
    made = at_work(shop, "tool", FIGURES, "20.2 20.1")
    return made.put("looked.springs=yes looked.holders=yes sound.commutator=yes sound.windings=yes sound.drive=yes")


def off(work: Work, *parts: str, stack: str = "other") -> None:
    for place, text in enumerate(parts, start=1):
        work.bench.put(f"off-{stack}", text, place)


def back(work: Work, *answers: str, stack: str = "other", **more: str) -> None:
    """Put parts back, the last off first in: an answer for each, empty for one that is not back."""
    for n, answer in enumerate(answers):
        if answer:
            work.bench.put(f"back-{stack}", answer, len(answers) - n, **more)


def states(work: Work) -> list[str]:
    return [p.state for s in stacks_now(work.bench.page.sheet, work.bench.page.context.rules) for p in s.parts]


def power(work: Work) -> str:
    return work.missing("power")


def test_what_came_off_holds_power_until_it_is_back_as_it_was(work: Work) -> None:
    off(work, *STACK)
    assert "Shaft, other end: cap, washer, seal and 2 more not back" in power(work)
    back(work, "yes", "4", "lip out", "1.5 x 20", "yes")
    assert "no. 4, shims: 5 shims came off, 4 back" in power(work)
    assert "no. 3, seal: it lay lip in, and lies lip out now" in power(work)
    assert "no. 2, washer: 1 × 20 came off, 1.5 × 20 is back: another size" in power(work)
    back(work, "", "yes", "yes", "", "")
    work.bench.put("back-other", "renewed", 2, why="the old one was bent")
    assert "washer went in before shims" not in power(work)
    assert "cap went in before washer" in power(work)
    work.bench.put("back-other", "yes", 1)
    assert "Shaft" not in power(work)
    assert "nobody has turned it by hand since" in power(work)
    work.put("free=yes")
    assert "turned" not in power(work)
    assert states(work) == ["back", "renewed", "back", "back", "back"]


def test_what_is_left_out_is_a_finding_and_of_some_parts_a_stop(work: Work) -> None:
    off(work, "insulator 3 x 18", "washer 1 x 12", stack="post")
    with pytest.raises(InputError, match="needs its reason"):
        work.bench.put("back-post", "left out", 2)
    work.bench.put("back-post", "left out", 2, why="crushed, none here")
    work.bench.put("back-post", "left out", 1, why="broken")
    life = work.bench.life("stack.left-out")
    assert (life.state, life.finding.grade) == ("open", "stop")
    assert "left out: insulator (broken) and washer (crushed, none here)" in life.finding.words
    work.bench.put("back-post", "yes", 1)
    life = work.bench.life("stack.left-out")
    assert (life.state, life.finding.grade) == ("open", "plan")
    work.bench.put("back-post", "yes", 2)
    assert work.bench.states[0, "stack.left-out"] == "proven"


def test_a_miscount_says_why_and_is_counted_back_once_more(work: Work) -> None:
    off(work, "5 shims 0.2 x 26")
    back(work, "4")
    with pytest.raises(InputError, match="something is back already"):
        work.bench.put("off-other", "4 shims 0.2 x 26", 1)
    with pytest.raises(InputError, match="stays on the record"):
        work.bench.put("off-other", "", 1)
    work.bench.put("off-other", "4 shims 0.2 x 26", 1, why="two stuck together, counted twice")
    assert states(work) == ["off"]
    back(work, "yes")
    assert states(work) == ["back"]


def test_counts_hold_service_and_ask_for_the_earth_again(shop: Shop) -> None:
    """Two motor bolts M8 came off and two M6 are in: the count alone is right."""
    work = at_work(shop, "appliance", "construction=universal rated_v=230 has_plug=yes", "20.6 20.4")
    off(work, "6 hood screws M4 x 12", "2 motor bolts M8 x 25", "belt", "earth lead", stack="machine")
    back(work, "yes", "yes", "2 M6 x 25", "yes", stack="machine")
    missing = work.missing("service")
    assert "no. 2, motor bolts: M8 × 25 came off, M6 × 25 is back: another size" in missing
    assert "earth lead put back: the earth is not measured since" in missing
    assert "Counts" not in power(work)
    work.bench.put("back-machine", "yes", 2)
    work.put("earth-ohm=0.07")
    assert "motor bolts" not in work.missing("service")
    assert "earth lead" not in work.missing("service")


def test_the_last_visit_lends_its_stack_as_it_was_closed(shop: Shop, work: Work) -> None:
    """A part that is lent is only seen by its own key; one that is not there is not asked for at the closing."""
    off(work, *STACK)
    back(work, "yes", "4", "yes", "yes", "yes")
    work.bench.put("back-other", "left out", 3, why="none here")
    work.put("outcome=out").bench.sign("it waits for a seal")
    again = Work(shop, Bench(shop, work.bench.motor)).safe()
    lent = again.bench.page.sheet.lent
    assert (lent["off-other", 4].part.count, lent["off-other", 4].out) == (5, True), "signed so, and still not right"
    assert [lent["off-other", n].out for n in (1, 2, 3, 5)] == [False, False, True, False]
    assert "seal and shims lent, left off at an earlier visit, and not seen yet" in power(again)
    again.bench.put("off-other", "cap", 1)
    assert states(again) == ["off", "lent", "lent", "lent", "lent"]
    assert "washer, seal, shims and 1 more lent" in power(again)
    again.bench.put("off-other", "seal: not there", 3)
    with pytest.raises(InputError, match="no such part came off"):
        again.bench.put("back-other", "yes", 3)
    with pytest.raises(InputError, match="Nothing is expected"):
        again.bench.put("off-other", "seal: not there", 9)


def test_a_part_between_two_others_and_what_lies_over(work: Work) -> None:
    off(work, "cap", "washer 1 x 20", "shim 0.2")
    work.bench.put("off-other", "circlip", 4, before="2")
    stack = stacks_now(work.bench.page.sheet, work.bench.page.context.rules)[0]
    assert [p.part.kind for p in stack.parts] == ["cap", "circlip", "washer", "shim"]
    back(work, "", "yes", "yes", "yes")
    work.bench.put("back-other", "yes", 4)
    work.put("free=yes left-over=a=star=washer")
    work.bench.put("left-over", "a star washer")
    assert "left over: a star washer" in power(work)
    work.bench.put("left-over-said", "from the drawer")
    assert "left over" not in power(work)


def test_after_a_day_aside_what_is_open_is_gone_through_once_more(shop: Shop, work: Work) -> None:
    off(work, *STACK)
    shop.later(hours=25)
    back(work, "yes", "yes")
    assert "put aside for over 24 h with Shaft, other end open" in power(work)
    work.bench.put("stacks-again", "all five lie there")
    assert "put aside" not in power(work)


def test_a_motor_of_the_type_lends_once_a_stack_is_begun(shop: Shop) -> None:
    kind = save_type(shop.conn, shop.act(), "", name="Bench starter", motor_class="starter", brushes="2", typed={})
    one, two = (shop.motor(tag=tag, motor_class="starter", type_id=kind) for tag in ("S-61", "S-62"))
    first = Work(shop, Bench(shop, one)).safe()
    off(first, *STACK)
    back(first, *["yes"] * 5)
    first.put("free=yes outcome=out").bench.sign("it waits")
    other = Work(shop, Bench(shop, two)).safe()
    assert states(other) == []
    other.put("state=stripped")
    assert states(other) == ["lent"] * 5
    assert other.bench.page.sheet.lent["off-other", 1].by == "S-61, sheet 1"
    assert "cap, washer, seal and 2 more lent, and not seen yet" in power(other)


def test_closing_asks_for_insulation_once_more_of_a_post_for_its_own(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12 noload_a_most=65 noload_rpm_least=3000", "20.6 20.4")
    work.put("insulation-mohm=5 insulation-c=20")
    off(work, "nut 6 x 13", "insulator 3 x 18", stack="post")
    back(work, "yes", "yes", stack="post")
    assert "Post closed: the post's insulation to the case is not measured since" in power(work)
    work.put("insulation-mohm@3=0.06 insulation-c@3=20")
    assert "post's insulation" not in power(work)
    assert work.bench.states[3, "insulation.low"] == "open"
    off(work, "washer 1 x 20")
    back(work, "yes")
    assert "Shaft, other end closed: insulation is not measured since" in power(work)
    work.put("insulation-mohm=5 insulation-c=20")
    assert "insulation is not measured since" not in power(work)


def test_power_waits_until_a_solvent_is_gone(shop: Shop, work: Work) -> None:
    work.put("solvent=cleaner")
    assert "dries until" in power(work)
    shop.later(minutes=40)
    work.put("solvent-gone=yes")
    assert "dries until" in power(work), "by itself it takes hours"
    work.put("solvent-dries=air solvent-gone=yes")
    assert "dries until" not in power(work)


def test_a_track_that_is_driven_from_outside_has_a_permit_of_its_own(shop: Shop) -> None:
    work = at_work(shop, "starter", "rated_v=12 commutator_d_mm=34", "20.6 20.4")
    said = {"who": "Ines", "barriers": "rope, insulated handle", "minutes": "20", "turns": "driven"}
    for more, words in (
        ({}, "Something is missing"),
        ({"at_stop": "Bram"}, "Something is missing"),
        ({"at_stop": "Bram", "rpm": "3000"}, r"5\.34 m/s of surface speed is too fast"),
        ({"at_stop": "Bram", "rpm": "0"}, "not possible"),
    ):
        with pytest.raises(InputError, match=words):
            work.bench.put("permit.open", "stone", 1, **said, **more)
    work.bench.put("permit.open", "stone", 1, **said, at_stop="Bram", rpm="1500")
    assert "1500 r/min, Bram at the stop" in getattr(
        work.bench.page.sheet.entries["permit.open", 1].record, "words", ""
    )


def test_the_machined_band_stays_under_the_brush_at_either_end_of_the_float(shop: Shop) -> None:
    work = at_work(shop, "traction", "rated_v=48 commutator_d_mm=126", "24.5 24.8")
    work.put("track-d=126.0 cut-done=125.56")
    work.put("band-from=4.0 band-to=53.5 brush-runs-from=5.5 brush-runs-to=51.5")
    assert (0, "cut.band") not in work.bench.states, "without a float it cannot be said"
    work.put("end-float=1.8")
    assert work.bench.life("cut.band").finding.words == "1.5 mm clear at the riser side, 1.8 mm needed"
    work.bench.put("band-from", "3.5")
    assert work.bench.states[0, "cut.band"] in ("proven", "withdrawn")


def test_an_insulator_that_was_missing_is_proven_by_its_own_measure_alone(shop: Shop) -> None:
    """An improvised one too: then it is a repair for a while, with a person and a day."""
    work = at_work(shop, "starter", "rated_v=12 noload_a_most=65 noload_rpm_least=3000", "11.2 11.4")
    work.bench.see(1, "insulator.cracked")
    work.put("task.insulator=yes").bench.put("gone.insulator.cracked", "yes", 1)
    assert work.bench.states[1, "insulator.cracked"] == "done not proven"
    work.put("insulation-mohm@3=0.5 insulation-c@3=20")
    assert work.bench.states[1, "insulator.cracked"] == "done not proven", "under its least"
    work.bench.put("temporary", "improvised from fibre sheet", 1, who="Runa", day="2026-12-15")
    assert work.bench.states[1, "insulator.cracked"] == "done not proven"
    work.bench.put("insulation-mohm", "6", 3, "mistyped")
    assert work.bench.states[1, "insulator.cracked"] == "proven"
    assert work.bench.states[1, "repair.temporary"] == "put off"


def test_an_undo_of_what_came_off_takes_no_hold_from_what_somebody_else_put_back(shop: Shop, work: Work) -> None:
    off(work, "washer 1 x 20", "5 shims 0.2 x 26")
    shop.conn.execute("insert into person (id, name, made_at) values ('person-two', 'Bram', '2025-01-01T00:00:00')")
    me, shop.person = shop.person, "person-two"
    work.bench.put("back-other", "4", 2)
    shop.person = me
    work.bench.undo()
    assert "nothing says any more that it came off" in power(work)
    off(work, "washer 1 x 20", "5 shims 0.2 x 26")
    assert "nothing says any more" not in power(work)
    assert states(work)[1] == "off", "it is counted back once more"


def test_what_two_people_add_at_one_place_is_asked_and_loses_nothing(work: Work) -> None:
    off(work, "cap", "washer 1 x 20")
    before = {p: g.id for (f, p, _), g in work.bench.page.sheet.written.items() if f == "off-other"}
    first = add(work, 3, "seal 5 x 28, lip in")
    with pytest.raises(Conflict, match="meanwhile"):
        add(work, 3, "5 shims 0.2 x 26")
    add(work, 4, "5 shims 0.2 x 26")
    now = {p: g.id for (f, p, _), g in work.bench.page.sheet.written.items() if f == "off-other"}
    assert now == before | {3: first, 4: now[4]}


def add(work: Work, place: int, text: str) -> str:
    """Enter a part at a place at which this person's page showed none."""
    act = work.shop.later(minutes=1).act()
    return enter(work.shop.conn, act, work.bench.id, field_id="off-other", place=place, text=text)
