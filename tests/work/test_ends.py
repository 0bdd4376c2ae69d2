"""Jobs that could not be ended, and decisions and work for what nobody found."""

import json

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.judging.commutator.says import cut_says
from norvash.core.judging.commutator.slots_here import SlotsHere
from norvash.core.judging.signing import holds, standing
from norvash.core.judging.signs_shown import may_have_been
from norvash.core.stages.gates import POWER
from norvash.core.visit.gating import gate_now
from norvash.errors import NeedsAnswer, NorvashError, NotFound
from norvash.exchange.visit_export import export_text
from norvash.work.on_sheet.sheets import enter
from norvash.work.on_sheet.sighting import Seeing
from norvash.work.reading.brush_lines import brush_lines
from run_cases import figures_of

MOTOR = "rated_v=230 rated_a=10 rated_rpm=1500 noload_rpm=1600 noload_a=2 construction=shunt"
COPPER = f"{MOTOR} bars=24 commutator_d_mm=80 commutator_d_min_mm=70 winding=lap poles=4"
EVEN = "; ".join(["0.50"] * 24)


def turned(shop: Shop) -> Work:
    """Return a motor in pieces, made safe and measured, whose commutator may be looked at and cut."""
    return at_work(shop, "industrial", COPPER).put("state=stripped track-d=80")


def state_of(work: Work | Bench, finding: str) -> tuple[str, bool] | None:
    """Return what has become of a finding, and whether it was measured again after the work and is still so."""
    page = work.bench.page if isinstance(work, Work) else work.page
    found = (x for x in page.found.lives if x.finding.id == finding)
    return next(((x.state, x.measured_again) for x in found), None)


def left(bench: Bench, field: str, text: str, place: int = 0) -> str:
    """Enter a value that is said to be as left, as a program does."""
    there = bench.page.sheet.written.get((field, place, "left"))
    act, seeing = bench.shop.later(minutes=1).act(), Seeing(sight="left", program=True)
    replaces = there.id if there else ""
    return enter(
        bench.shop.conn, act, bench.id, field_id=field, place=place, text=text, replaces=replaces, seeing=seeing
    )


def test_the_work_of_the_way_that_was_taken_is_ticked_done(shop: Shop) -> None:
    work = at_work(shop, "industrial", "rated_v=230 bars=24")
    work.bench.put("way", "exchange armature", 5, bill="armature 1 400")
    with pytest.raises(NorvashError, match="Nothing found here asks for"):
        work.bench.put("task.armature", "yes")
    work.bench.put("way-taken", "5")
    work.bench.put("task.armature", "yes")
    assert work.bench.page.sheet.entries["task.armature", 0].word == "yes"


@pytest.mark.parametrize("field", ["decide.nonsense", "task.nonsense", "gone.nonsense", "dropped.nonsense"])
@pytest.mark.parametrize("word", ["now", "yes", "done", "dropped", ""])
def test_what_no_version_knows_is_neither_decided_nor_done(shop: Shop, field: str, word: str) -> None:
    work = at_work(shop, "tool", "rated_v=230 bars=24")
    before = dict(work.bench.page.sheet.entries)
    with pytest.raises(NorvashError):
        work.bench.put(field, word, why="no such thing")
    assert work.bench.page.sheet.entries == before


def test_what_is_found_nowhere_is_not_decided_and_what_is_elsewhere_says_where(shop: Shop) -> None:
    work = at_work(shop, "tool", "rated_v=230 bars=24")
    with pytest.raises(NorvashError, match="“face glazed” is not found on this motor"):
        work.bench.put("decide.face.glazed", "now", 1)
    work.bench.see(2, "face.glazed")
    with pytest.raises(NorvashError, match=r"not found there. It is at Brush B \(place 2\)"):
        work.bench.put("decide.face.glazed", "now", 1)
    work.bench.put("decide.face.glazed", "now", 2)
    with pytest.raises(NotFound, match="has no"):
        work.bench.put("task.nonsense", "")


def with_bar_test(work: Work) -> Work:
    work.put("bar-test-how=resistance bar-test-fed=bars bar-test-lifted=yes bar-test-noise=1%")
    work.bench.put("bar-test", EVEN)
    return work


@pytest.mark.parametrize(("map_left", "burnt"), [("even 1-24", "proven"), ("even 1-22; burnt 23-24", "open")])
def test_a_map_after_a_cut_decides_what_a_cut_mends_and_the_look_that_said_it(
    shop: Shop, map_left: str, burnt: str
) -> None:
    work = turned(shop).put("seen.commutator.burnt=yes seen.commutator.rough=yes seen.commutator.mica=yes")
    work.bench.put("bar-map", "burnt 5, 9; dark 12")
    assert state_of(work, "commutator.two-bars") == ("open", False)
    with_bar_test(work).put("cut-done=79.4")
    assert state_of(work, "commutator.burnt") == ("done not proven", False)
    work.bench.put("bar-map", map_left)
    assert state_of(work, "commutator.burnt") == (burnt, burnt == "open")
    assert state_of(work, "commutator.rough") == ("proven", False)
    # What taking copper off cannot mend ends by its own proof.
    assert state_of(work, "commutator.mica") == ("open", False)


def test_a_map_after_a_cut_ends_no_loose_bar_and_no_open_coil(shop: Shop) -> None:
    work = turned(shop).put("seen.commutator.raised=yes seen.commutator.riser=yes cut-done=79.4")
    work.bench.put("bar-map", "even 1-24")
    for finding in ("commutator.raised", "commutator.riser"):
        assert state_of(work, finding) == ("open", False)


def test_a_map_is_judged_when_it_is_whole_and_what_stops_the_motor_at_once(shop: Shop) -> None:
    work = turned(shop)
    for text in ("burnt 5", "burnt 5; dark 3", "burnt 5, 9; dark 3; pitted 4"):
        work.bench.put("bar-map", text, painting="yes")
        assert work.bench.page.found.lives == ()
    told = "bar map not finished: 4 of 24 bars looked at"
    assert work.missing("power").startswith(told)
    assert f"{told.capitalize()}" in {h.words for h in holds(work.bench.page.visit)}
    work.bench.put("bar-map", "burnt 5, 9; dark 3; pitted 4; loose 7", painting="yes")
    assert [x.finding.id for x in work.bench.page.found.lives] == ["commutator.raised"]
    work.bench.put("all-seen", "yes")
    assert {x.finding.id for x in work.bench.page.found.lives if x.stands} == {
        "commutator.raised",
        "commutator.two-bars",
        "commutator.rough",
    }
    assert told not in work.missing("power")


@pytest.mark.parametrize("last", ["all-seen=yes", "", "bar-map=burnt_5;_even_1-4,_6-24"])
def test_a_map_is_whole_that_was_given_whole_painted_at_every_bar_or_said_to_be(shop: Shop, last: str) -> None:
    work = turned(shop)
    if last:
        work.bench.put("bar-map", "burnt 5", painting="yes")
        work.put(last)
    else:
        work.bench.put("bar-map", "burnt 5")
    assert state_of(work, "commutator.two-bars") == ("open", False)


def test_who_paints_on_a_whole_map_leaves_it_whole(shop: Shop) -> None:
    work = turned(shop)
    work.bench.put("bar-map", "burnt 5")
    work.bench.put("bar-map", "burnt 5; pitted 7", painting="yes")
    assert {x.finding.id for x in work.bench.page.found.lives} == {"commutator.two-bars", "commutator.rough"}
    assert "not finished" not in work.missing("power")


def test_what_leaves_service_is_signed_with_its_unfinished_map_printed(shop: Shop) -> None:
    work = turned(shop)
    work.bench.put("bar-map", "burnt 5; …")
    work.put("outcome=out")
    assert "bar map not finished: 1 of 24 bars looked at" in standing(work.bench.page.visit)
    assert not any("not finished" in h.words for h in holds(work.bench.page.visit))
    told = json.loads(export_text(shop.conn, work.bench.id))
    assert [e["value"] for e in told["entries"] if e.get("field") == "bar-map"] == ["burnt 5; …"]
    work.bench.sign("waits for an armature")
    assert work.bench.page.told is not None


def test_a_run_out_on_its_own_seats_ends_with_the_cut_that_trues_it(shop: Shop) -> None:
    work = turned(shop)
    work.bench.put("run-out", "0.00; 0.02; 0.05; 0.08; 0.09; 0.08; 0.05; 0.02")
    work.put("run-out-on=seats")
    assert state_of(work, "runout.seats") == ("open", False)
    work.put("cut-done=79.4")
    assert state_of(work, "runout.seats") == ("done not proven", False)
    work.bench.put("run-out", "0.002; 0.005; 0.010; 0.012; 0.010; 0.006; 0.003; 0.001")
    assert state_of(work, "runout.seats") == ("proven", False)


def boxes(bench: Bench, signs: str, put: object = None) -> None:
    for place, sign in enumerate(signs, start=1):
        (left if put is left else Bench.put)(bench, "box-polarity", sign, place)


def four(shop: Shop, brushes: str = "4") -> Bench:
    motor = shop.motor(motor_class="industrial", brushes=brushes, figures=figures_of(MOTOR))
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure(*["20.6"] * int(brushes))
    return work.bench


def test_a_set_fitted_lets_polarity_and_insulation_be_read_as_left_and_no_spring(shop: Shop) -> None:
    bench = four(shop)
    boxes(bench, "++--")
    bench.put("insulation-mohm", "0.4")
    bench.put("force", "1.0", 1)
    for field, text, place in (("box-polarity", "-", 2), ("insulation-mohm", "200", 0)):
        with pytest.raises(NeedsAnswer, match="Nothing was done here"):
            left(bench, field, text, place)
    bench.fit("22", "22", "22", "22")
    boxes(bench, "+-+-", left)
    assert state_of(bench, "boxes.polarity") == ("proven", False)
    left(bench, "insulation-mohm", "200")
    with pytest.raises(NorvashError, match="Nothing was done"):
        left(bench, "force", "3.8", 1)


def test_boxes_and_settings_of_which_some_were_read_are_not_whole_and_hold(shop: Shop) -> None:
    bench = four(shop)
    boxes(bench, "+-+")
    assert [m.standing for m in bench.page.measured if m.id == "polarity"] == ["not whole"]
    words = "polarity of the boxes: 3 of 4 read"
    assert any(words in w for w in gate_now(POWER, bench.page.visit).missing)
    assert any(words.capitalize() in h.words for h in bench.page.holds)
    bench.put("box-polarity", "-", 4)
    assert [m.standing for m in bench.page.measured if m.id == "polarity"] == ["right"]
    assert not any("Polarity of the boxes" in h.words for h in bench.page.holds)


def test_the_last_of_eight_boxes_that_are_read_again_asks_for_no_slip(shop: Shop) -> None:
    bench = four(shop, "8")
    boxes(bench, "++++----")
    for word in ("yes", "", "yes"):
        bench.put("task.wire-boxes", word)
        if word:
            boxes(bench, "++++----")
    assert state_of(bench, "boxes.polarity") == ("open", True)
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        boxes(bench, "++--++--")  # nothing was done since
    bench.put("task.wire-boxes", "")
    bench.put("task.wire-boxes", "yes")
    boxes(bench, "++--++--")
    assert state_of(bench, "boxes.polarity") == ("proven", False)


@pytest.mark.parametrize(
    ("work_done", "causes"), [("", ()), ("cut-done=79.4", ("rough",)), ("surface-with=stone", ("rough", "dirty"))]
)
def test_a_cause_that_a_cut_or_a_stone_has_mended_was_it(shop: Shop, work_done: str, causes: tuple[str, ...]) -> None:
    work = turned(shop).put("pit=0.2").put(work_done)
    page = work.bench.page
    assert may_have_been(page.sheet, page.found.lives) == causes


@pytest.mark.parametrize(("rpm", "state"), [("1600", "proven"), ("1200", "open")])
def test_slower_than_usual_before_opening_is_proven_by_the_run(shop: Shop, rpm: str, state: str) -> None:
    work = at_work(shop, "industrial", MOTOR).powered("noload-rpm=1200")
    assert state_of(work, "run.speed") == ("open", False)
    work.bench.fit("22", "22")
    work.bench.ready()
    work.bench.run(run_v="230", run_a="2", run_rpm=rpm)
    found = state_of(work, "run.speed")
    assert found is not None
    assert found[0] == state


@pytest.mark.parametrize(
    ("gap", "after", "asked"),
    [("2.20", "79.86", set()), ("3.20", "79.86", {"gap.cut"}), ("2.20", "77", {"gap.cut", "face.cut"})],
)
def test_a_cut_asks_for_nothing_that_is_right_as_it_left_it(shop: Shop, gap: str, after: str, asked: set[str]) -> None:
    work = at_work(shop, "industrial", f"{COPPER} holder_gap_mm={gap}").put("state=stripped track-d=80 pit=0.06")
    work.put("seen.commutator.rough=yes")
    planned = next(x for x in work.bench.page.found.lives if x.finding.id == "copper.cut").finding.tasks
    assert ("set-holders" in {t.id for t in planned}) == (gap == "3.20")
    work.put(f"cut-done={after}")
    found = {x.finding.id for x in work.bench.page.found.lives if x.stands}
    assert found & {"gap.cut", "face.cut"} == asked
    page = work.bench.page
    rules = page.context.rules
    said = [s.words for s in cut_says(page.sheet, copper_now(page.sheet, rules), SlotsHere(), rules)]
    right = "After the cut the brush sinks by 0.070 mm, gap 2.20 to 2.27 mm: right, 1.6 to 3.2 mm"
    assert (right in said, any("run them in" in s for s in said)) == (not asked, "face.cut" not in asked)


def test_a_wear_line_passed_is_a_step_of_its_ladder_and_no_length(shop: Shop) -> None:
    ladder = {"method": "wear line", "wear_line_1_mm": "26", "wear_line_2_mm": "20", "wear_line_3_mm": "14"}
    motor = shop.motor(set_is_new=True, new_length="32", limit="", use_now="0", figures=ladder)
    shop.later(weeks=20).measure(motor, "400", "line 1", "line 1")
    shop.later(days=1).log(motor, "417")
    bench = Work(shop, Bench(shop, motor, "quick")).safe().bench
    bench.measure("line 2", "line 1")
    first, second = brush_lines(shop.conn, bench.page).lines
    assert (first.step, first.since_mm) == ("wear line 2, passed since 400 h: line 1 then", None)
    assert (second.step, second.rate_mm_per_kh) == ("wear line 1, as at 400 h", None)


def test_a_set_that_is_fitted_does_nothing_for_a_spring_that_stayed(shop: Shop) -> None:
    bench = four(shop)
    bench.see(2, "spring.heat")
    bench.fit("22", "22", "22", "22")
    life = bench.life("spring.heat", 2)
    assert (life.state, life.done) == ("open", ())
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        bench.see(2, "spring.heat", gone=True)
    bench.put("task.springs", "yes")
    assert bench.life("spring.heat", 2).state == "done not proven"
    bench.put("gone.spring.heat", "yes", 2)
    assert bench.life("spring.heat", 2).state == "proven"
