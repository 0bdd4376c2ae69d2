"""Proof fits its finding: what was signed clean by a value, a tick or a set that proves something else."""

import pytest
from starlette.testclient import TestClient

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.signing import standing
from norvash.core.judging.signs_shown import causes_of
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.part import PARTS
from norvash.core.visit.barring import barring
from norvash.core.visit.proving import state_words
from norvash.core.visit.walk import look_words
from norvash.core.windings.field_coils import CoilTest, judge_coils
from norvash.errors import InputError, NeedsAnswer
from norvash.work.motors.changing_figures import change_figures
from norvash.work.reading.loading import load

COPPER = "commutator_d_mm=120 commutator_d_min_mm=110 bars=24 holder_gap_mm=2"
ROUGH = "seen.commutator.rough=yes shoulder-d=118 groove=0.2 pit=0.35"


@pytest.fixture
def cut(shop: Shop) -> Work:
    """Return a commutator that was to be cut to 117.26 mm and was cut to 117.5: a part of its pit is left."""
    work = at_work(shop, "industrial", f"{COPPER} holder_gap_mm=3.2").put(ROUGH)
    assert work.bench.states == {(0, "commutator.rough"): "open", (0, "copper.cut"): "open"}
    return work.put("cut-done=117.5")


def test_a_diameter_proves_no_cut_but_a_look_after_the_last_one(cut: Work) -> None:
    assert cut.bench.states[0, "copper.cut"] == "open"  # over its plan: a part of the pit is left
    cut.put("gone.copper.cut=yes track-d=117.5;117.5;117.5")
    assert (cut.bench.states[0, "copper.cut"], cut.bench.life("copper.cut").measured_again) == ("open", True)
    assert cut.bench.life("copper.cut").worked == ("cut made",)
    cut.put("cut-done=117.2")
    cut.put("gone.copper.cut=yes")
    assert cut.bench.states[0, "copper.cut"] == "proven"
    cut.put("cut-done=117")
    assert cut.bench.states[0, "copper.cut"] == "done not proven"


def test_holders_are_not_set_by_a_tick_nor_at_a_gap_that_is_wrong(cut: Work) -> None:
    cut.put("holder-set=yes")
    assert cut.bench.states[0, "gap.cut"] == "done not proven"
    cut.put("gap@1=6 gap@2=6")
    assert cut.bench.states[0, "gap.cut"] == "done not proven"
    assert cut.bench.states[1, "gap.wide"] == "open"
    cut.put("decide.gap.wide@1=now decide.gap.wide@2=now task.gap=yes")
    for place in (1, 2):
        cut.bench.put("gap", "2", place, "again")
    assert [cut.bench.states[at] for at in ((0, "gap.cut"), (1, "gap.wide"))] == ["proven", "proven"]


def test_a_new_set_has_its_curve_to_be_given_after_a_deep_cut(cut: Work) -> None:
    assert (0, "face.cut") not in cut.bench.states  # within 2 %: it is run in
    cut.put("cut-done=115")
    assert cut.bench.states[0, "face.cut"] == "open"
    cut.bench.fit("22", "22")
    assert cut.bench.states[0, "face.cut"] == "done not proven"
    cut.put("task.contour=yes")
    assert cut.bench.states[0, "face.cut"] == "done not proven"
    cut.put("gone.face.cut=yes")
    assert cut.bench.states[0, "face.cut"] == "proven"
    cut.bench.fit("22", "22", reason="damaged")
    assert cut.bench.states[0, "face.cut"] == "done not proven"
    cut.put("print@1=80%")
    assert cut.bench.states[0, "face.cut"] == "done not proven"
    cut.put("print@2=70%")
    assert cut.bench.states[0, "face.cut"] == "done not proven"
    cut.put("task.run-in=yes").bench.put("print", "85 %", 2, answer="again")
    assert cut.bench.states[0, "face.cut"] == "proven"


def test_what_hangs_on_a_spring_is_looked_at_and_not_ended_by_a_set(shop: Shop) -> None:
    work = at_work(shop, "industrial", COPPER)
    work.bench.see(1, "spring.travel")
    work.bench.fit("22", "22")
    assert work.bench.states[1, "spring.travel"] == "done not proven"
    work.put("gone.spring.travel@1=yes")
    assert work.bench.states[1, "spring.travel"] == "proven"


def test_a_stuck_brush_is_proven_by_moving_freely_and_not_once_it_is_stuck_again(shop: Shop) -> None:
    work = at_work(shop, "industrial", COPPER)
    work.bench.see(1, "brush.seized")
    work.put("decide.brush.seized@1=now task.free-holder=yes")
    assert work.bench.states[1, "brush.seized"] == "done not proven"
    work.bench.see(1, "brush.free")
    assert work.bench.states[1, "brush.seized"] == "proven"
    work.bench.see(1, "brush.seized")
    assert work.bench.states[1, "brush.seized"] == "done not proven"


def test_a_look_that_found_it_gone_does_not_outlive_its_being_seen_again(shop: Shop) -> None:
    work = at_work(shop, "industrial", COPPER)
    work.bench.see(2, "terminal.poor")
    work.put("task.terminal=yes gone.terminal.poor@2=yes")
    assert work.bench.states[2, "terminal.poor"] == "proven"
    work.bench.see(2, "terminal.poor")
    assert work.bench.states[2, "terminal.poor"] == "open"


def test_crumbling_magnets_do_not_end_by_being_tagged_out(shop: Shop) -> None:
    motor = shop.motor(motor_class="tool", figures={"construction": "permanent-magnet"})
    work = Work(shop, Bench(shop, motor)).safe().put("seen.magnets.cracked=yes")
    life = work.bench.life("magnets.cracked")
    assert [t.done for t in life.finding.tasks] == ["case with its magnets renewed"]
    work.put("outcome=out")
    assert work.bench.states[0, "magnets.cracked"] == "open"


# By what the meter shows, whether a current is known: what is found, and how grave it is.
TERMINALS = {
    "much, the current unknown": ("0.4", "", "plan"),
    "some, the current unknown": ("0.04", "", ""),
    "open, the current unknown": ("open", "", "change"),
    "open, the current known": ("OL", "6", "change"),
    "too much for its current": ("0.04", "6", "plan"),
    "little": ("0.004", "6", ""),
}


@pytest.mark.parametrize(("ohms", "amps", "grade"), TERMINALS.values(), ids=TERMINALS)
def test_a_terminal_is_judged_without_a_current_too(shop: Shop, ohms: str, amps: str, grade: str) -> None:
    figures = {"construction": "universal", "rated_v": "230", **({"rated_a": amps} if amps else {})}
    work = Work(shop, Bench(shop, shop.motor(motor_class="tool", figures=figures))).safe()
    work.bench.put("terminal-ohm", ohms, 1)
    lives = {x.finding.id: x.finding.grade for x in work.bench.page.found.lives}
    assert lives.get("terminal.measured", "") == grade
    if not grade:
        return
    # The smaller value that overwrites it is asked about, and its task is taken.
    with pytest.raises(NeedsAnswer, match="slip of the pen"):
        work.bench.put("terminal-ohm", "0.001", 1)
    work.put("decide.terminal.measured@1=now task.terminal=yes")
    work.bench.put("terminal-ohm", "0.004", 1)
    assert work.bench.states[1, "terminal.measured"] == "proven"


def test_battery_and_starter_of_two_crankings_are_never_taken_from_each_other(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(motor_class="starter", figures={"rated_v": "12"}))).safe()
    work.powered("cranking-v=8.4 starter-v=7.9")
    work.put("task.battery=yes").powered("cranking-v=11.4")
    lost = next(m for m in work.bench.page.measured if m.id == "cable-lost")
    assert (lost.standing, lost.value) == ("not judged", None)
    assert "not read in one cranking" in lost.words
    work.powered("starter-v=11.1")
    lost = next(m for m in work.bench.page.measured if m.id == "cable-lost")
    assert (lost.standing, f"{lost.value:.1f}") == ("right", "0.3")


def test_a_battery_that_was_never_right_gives_no_certificate_but_of_the_motor_alone(shop: Shop) -> None:
    """It is a finding with its work and proof, it holds “gone”, and it is graded beside the motor."""
    work = Work(shop, Bench(shop, shop.motor(motor_class="starter", figures={"rated_v": "12"}))).safe()
    work.put("sign.weak=yes rest-v=12.1").powered("cranking-v=8.4")
    assert work.bench.states == {(0, "battery.rest"): "open", (0, "battery.cranking"): "open"}
    page = work.bench.page
    assert (page.found.grade in ("fit", "watch", None), page.said.word) == (True, "Not opened")
    assert page.said.why.startswith("Battery and cables first: battery")
    work.put("decide.battery.rest=now decide.battery.cranking=now task.battery=yes rest-v=12.7")
    assert work.bench.states == {(0, "battery.rest"): "proven", (0, "battery.cranking"): "done not proven"}
    work.bench.measure("20", "20")
    work.bench.ready()
    with pytest.raises(InputError, match="nobody can say that the complaint is gone"):
        work.put("bump=right run-a=2 run-rpm=11900 sparks=1 ran=yes complaint-now=unknown")
    with pytest.raises(InputError, match="that is not dropped"):
        work.bench.put("decide.battery.cranking", "dropped", why="it cranked")
    with pytest.raises(InputError, match="Say to whom"):
        work.put("decide.battery.cranking=owner")
    work.bench.put("decide.battery.cranking", "owner", why="Maud Celliers: renew it before it is fitted")
    assert state_words(work.bench.life("battery.cranking")) == "handed to the owner"
    assert "cranking" not in " ".join(b for w in work.bench.page.work for b in w.because)
    work.put("complaint-now=unknown outcome=service")
    assert not [h.words for h in work.bench.page.holds if "attery" in h.words]
    work.bench.sign("the rest is left for the test")
    said = str(work.told["signed_as_words"])
    assert "of the motor alone; handed to the owner: Battery and cables: battery 8.4 V while cranking" in said
    assert said.endswith("Maud Celliers: renew it before it is fitted")
    # The next visit meets it again.
    again = Bench(shop, work.bench.motor).states
    assert {at: s for at, s in again.items() if not at[1].startswith("signed.")} == {
        (0, "battery.cranking"): "done not proven"
    }


# What is typed before opening, by class: what is found of supply, switch and cables, what ends it, and what is left.
OUTSIDE = {
    "supply low": ("tool", "supply-v=180", "supply.volts", "task.supply=yes supply-v=229"),
    "lost on the way": ("tool", "source-v=229 supply-v=190", "supply.way", "task.way=yes supply-v=228"),
    "nothing there": ("tool", "supply-v=0", "supply.volts", "task.supply=yes supply-v=229"),
    "a joint": ("starter", "joint-v=0.9", "cable.joint", "task.joints=yes joint-v=0.1"),
    "a side": ("starter", "drop-return-v=0.9", "cable.return", "task.joints=yes drop-return-v=0.2"),
    "to the starter": (
        "starter",
        "cranking-v=10.4 starter-v=9.2",
        "cable.both",
        "task.joints=yes cranking-v=10.4 starter-v=10",
    ),
    "right to it": ("starter", "cranking-v=10.4 starter-v=9.9", "", ""),
    "a cord": ("tool", "seen.supply.cord=yes", "supply.cord", "task.cord=yes gone.supply.cord=yes"),
    "a switch": ("tool", "seen.switch.hurt=yes", "switch.hurt", "task.switch=yes gone.switch.hurt=yes"),
    "settings": (
        "appliance",
        "supply-v=230 tap-v@1=115 tap-v@2=0 tap-v@3=230",
        "taps.off",
        "task.switch=yes tap-v@2=172",
    ),
    "a belt": ("appliance", "belt=cracked", "drive.belt", "task.drive=yes belt=sound"),
}


@pytest.mark.parametrize(("motor_class", "typed", "found", "mended"), OUTSIDE.values(), ids=OUTSIDE)
def test_what_lies_before_the_motor_lives_and_never_raises_it(
    shop: Shop, motor_class: str, typed: str, found: str, mended: str
) -> None:
    figures = {"rated_v": "12" if motor_class == "starter" else "230"}
    figures |= {"speed_taps": "0.5; 0.75; 1"} if motor_class == "appliance" else {}
    work = Work(shop, Bench(shop, shop.motor(motor_class=motor_class, figures=figures))).safe()
    work = work.put(typed) if "seen." in typed or "belt" in typed else work.powered(typed)
    assert work.bench.states == ({(0, found): "open"} if found else {})
    assert work.bench.page.found.grade in ("fit", "watch", None)
    if mended:
        task, _, again = mended.partition(" ")
        work.put(f"decide.{found}=now").put(task)
        work = work.put(again) if "gone." in again or "belt" in again else work.powered(again)
        assert work.bench.states == {(0, found): "proven"}


def test_the_uneven_side_is_looked_at_and_no_new_set_ends_that(shop: Shop) -> None:
    """A third of the mean apart, no force and no gap measured: it held nothing, and went with the set."""
    motor = shop.motor(new_length="22", limit="8")
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure("17", "15")
    life = work.bench.life("set.uneven", 2)
    words = "wears most, the set is uneven by 33% of its mean"
    assert (life.place, life.state, life.finding.words) == ("Brush B", "open", words)
    work.bench.fit("22", "22")
    assert work.bench.states[2, "set.uneven"] == "open"
    work.put("decide.set.uneven@2=now task.side=yes")
    assert work.bench.states[2, "set.uneven"] == "done not proven"
    work.put("gone.set.uneven@2=yes")
    assert work.bench.states[2, "set.uneven"] == "proven"


def test_an_uneven_set_of_which_every_force_and_gap_was_measured_asks_no_more(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8"))).safe()
    work.put("force@1=3.6 force@2=3.6")
    work.bench.measure("17", "15")
    assert work.bench.states == {(2, "set.uneven"): "open"}
    work.put("gap@1=2 gap@2=2")
    assert work.bench.states == {(2, "set.uneven"): "proven"}


def test_new_brushes_by_their_part_are_not_measured_only_where_a_depth_needs_it(shop: Shop) -> None:
    by_depth = {"method": "depth", "depth_limit_mm": "12"}
    for figures, held in (({}, []), (by_depth, ["The brushes are not measured"])):
        work = Work(
            shop, Bench(shop, shop.motor(tag=f"X-{len(held)}", new_length="22", limit="8", figures=figures))
        ).safe()
        work.bench.fit("nominal", "nominal")
        page = work.bench.page
        assert [h.words for h in page.holds if "measured" in h.words and "Gate" not in h.words] == held
        assert (page.said.word == "Not measured") == bool(held)


def test_a_brush_by_its_part_is_no_gap_in_the_first_round_of_its_set(shop: Shop) -> None:
    """Three measured and one by its part was whole when it was signed, and “incomplete” the day after."""
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8"))).safe()
    work.bench.measure("8.5", "8.6")
    work.bench.fit("22", "nominal")
    assert work.bench.page.found.missing == ()
    work.bench.sign("for the test")
    said = " ".join(p for f in work.told["findings"] for p in f["proven_by"])
    assert "some of their lengths taken from the part" in said
    assert shop.page(work.bench.motor).found.missing == ()
    shop.later(weeks=4).log(work.bench.motor, "300")
    shop.measure(work.bench.motor, "", "21.5", "")
    assert shop.page(work.bench.motor).found.missing == ("B",)


def test_a_look_for_the_cause_that_nobody_took_is_named_at_the_signature(shop: Shop) -> None:
    work = Work(shop, Bench(shop, shop.motor(new_length="22", limit="8"))).safe()
    work.bench.see(1, "face.burnt")
    work.bench.fit("22", "22")
    open_look = "“Look for the cause” was not done: Brush A, edge of the face burnt"
    assert open_look in standing(work.bench.page.visit)
    work.put("task.seek=yes")
    assert open_look not in standing(work.bench.page.visit)


def test_shares_stated_later_never_take_away_what_stands_without_them(shop: Shop) -> None:
    """Every class is asked for its settings; a stop for the switch went when somebody stated the shares."""
    work = Work(shop, Bench(shop, shop.motor(motor_class="industrial", figures={"rated_v": "24"}))).safe()
    work.powered("supply-v=24 taps-v=14.9;18.6;18.2;22;23.8")
    assert work.bench.states == {(0, "taps.miswired"): "open"}
    version = load(shop.conn, work.bench.motor).motor.version
    change_figures(shop.conn, shop.act(), work.bench.motor, {"speed_taps": "0.6; 0.75; 0.8; 0.9; 1"}, version)
    assert work.bench.states == {(0, "taps.miswired"): "open"}


def test_boxes_that_do_not_alternate_are_found_and_hold_power_until_they_do(shop: Shop) -> None:
    """As found it is said where the motor is opened; as left the same wiring proves nothing."""
    work = Work(shop, Bench(shop, shop.motor(motor_class="starter", brushes="4", figures={"rated_v": "12"}))).safe()
    work.bench.measure("20", "20", "20", "20")
    read = "box-polarity@1=+ box-polarity@2=+ box-polarity@3=- box-polarity@4=-"
    work.put(read)
    life = work.bench.life("boxes.polarity")
    assert (life.state, life.finding.grade, causes_of(life.finding)) == ("open", "stop", ("wiring",))
    assert "+ + − − round the commutator" in life.finding.words
    assert "right is + − + −" in life.finding.words
    work.put("decide.boxes.polarity=now task.wire-boxes=yes").put(read)
    assert work.bench.life("boxes.polarity").measured_again
    assert "+ + − −" in work.missing("power")
    work.put("task.wire-boxes=yes")
    for place, sign in enumerate("-+-+", start=1):
        work.bench.put("box-polarity", sign, place, "again")
    assert work.bench.states == {(0, "boxes.polarity"): "proven"}
    assert "+ + − −" not in work.missing("power")


def test_what_was_seen_by_a_slip_is_free_once_its_stage_was_looked_at_again(shop: Shop) -> None:
    """A binding ticked by a slip barred the certificate for good: nothing on any page took another look."""
    work = at_work(shop, "industrial", COPPER).put("seen.windings.binding=yes")
    work.bench.put("seen.windings.binding", "", answer="mistyped")
    barred = [x.finding.id for x, _ in barring(work.bench.page.visit)]
    assert barred == ["windings.binding"]
    work.put("sound.windings=yes")
    assert barring(work.bench.page.visit) == ()


def test_a_part_says_what_was_looked_at_and_nothing_found_after_all_of_it_alone(shop: Shop) -> None:
    work = at_work(shop, "industrial", COPPER)
    part = next(p for p in PARTS if p.id == "drive")
    assert look_words(work.bench.page.visit, part) == "not looked at"
    work.put("belt=sound")
    assert look_words(work.bench.page.visit, part) == "looked at: belt"
    work.put("sound.drive=yes")
    assert look_words(work.bench.page.visit, part) == "nothing found"
    work.bench.sign("the rest is left for the test")
    told = {p["part"]: p["looked"] for p in work.told["parts"]}
    assert (told["drive"], told["commutator"]) == ("nothing found", "not looked at")


def test_this_was_it_is_said_of_what_was_mended_at_this_visit(shop: Shop) -> None:
    """A brush half worn was signed as the cause, with no set fitted, and a spring that nobody had touched."""
    work = at_work(shop, "tool", "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2", "15 15")
    work.put("sign.weak=yes")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes gone.terminal.poor@1=yes").bench.ready()
    work.put("bump=right run-a=2 run-rpm=11900 sparks=1 ran=yes complaint-now=this")
    for cause in ("worn", "spring"):
        with pytest.raises(InputError, match="was not mended at this visit"):
            work.put(f"cause-was={cause}")
    work.put("cause-was=terminal outcome=service")
    assert not any("was not mended" in h.words for h in work.bench.page.holds)
    # The work is taken back under it, and that is said before it is signed.
    work.put("task.terminal=")
    assert any("was not mended at this visit" in h.words for h in work.bench.page.holds)
    # What a person says to have found and mended counts, by name.
    work.put("ruled-out.switch=yes cause-was=switch")
    assert not any("was not mended" in h.words for h in work.bench.page.holds)


@pytest.mark.parametrize("outcome", ["out", "away"])
def test_what_runs_no_more_wants_no_lengths(shop: Shop, outcome: str) -> None:
    work = Work(shop, Bench(shop, shop.motor(motor_class="tool", figures={}))).safe().put(f"outcome={outcome}")
    assert not any("measured" in h.words for h in work.bench.page.holds)


def test_a_proof_says_its_unit_and_what_was_asked(shop: Shop) -> None:
    work = at_work(shop, "industrial", COPPER).put("gap@1=6 decide.gap.wide@1=now task.gap=yes gap@1=2")
    work.bench.sign("the rest is left for the test")
    told = next(f for f in work.told["findings"] if f["finding"] == "gap.wide")
    assert [p.split(",")[0] for p in told["proven_by"]] == ["2 mm"]
    assert told["words"] == "holder gap 6 mm, 3.2 mm at most"


def test_a_repair_that_failed_is_done_once_more_on_the_page(shop: Shop, client: TestClient) -> None:
    """The place was read after the work and is still bad: the page that asks for more work takes it."""
    work = at_work(shop, "industrial", COPPER).put("gap@1=6 decide.gap.wide@1=now task.gap=yes")
    work.bench.put("gap", "5", 1)
    assert work.bench.life("gap.wide", 1).measured_again
    page = client.get(f"/sheets/{work.bench.id}/rework").text
    assert page.index("Done once more") < page.index('id="done-task.gap.0"')
    work.put("task.gap=yes")
    work.bench.put("gap", "2", 1, "again")
    assert work.bench.states[1, "gap.wide"] == "proven"
    assert "Done once more" not in client.get(f"/sheets/{work.bench.id}/rework").text


# What the meter shows, its step, and what that is: off on a coarse one only by more than its own step.
COARSE = {
    "within its step": ("0.02", "0.01", "not judged"),
    "over by more than its step": ("0.03", "0.01", "off"),
    "right on a coarse one": ("0.004", "0.01", "not judged"),
    "open on any": ("OL", "0.01", "off"),
    "over on a fine one": ("0.02", "0.001", "off"),
    "right on a fine one": ("0.004", "0.001", "right"),
}


@pytest.mark.parametrize(("ohms", "step", "standing"), COARSE.values(), ids=COARSE)
def test_a_terminal_on_a_coarse_meter_is_off_by_more_than_its_step(
    shop: Shop, ohms: str, step: str, standing: str
) -> None:
    figures = {"construction": "universal", "rated_v": "230", "rated_a": "6"}
    work = Work(shop, Bench(shop, shop.motor(motor_class="tool", figures=figures))).safe()
    work.put(f"terminal-step={step} terminal-ohm@1={ohms}")
    assert [m.standing for m in work.bench.page.measured if m.id == "terminal-ohm"] == [standing]


def test_what_a_coarse_meter_shows_after_the_work_proves_nothing(shop: Shop) -> None:
    figures = {"construction": "universal", "rated_v": "230", "rated_a": "6"}
    work = Work(shop, Bench(shop, shop.motor(motor_class="tool", figures=figures))).safe()
    work.put("terminal-step=0.01 terminal-ohm@1=0.9 decide.terminal.measured@1=now task.terminal=yes")
    work.put("terminal-ohm@1=0.01")
    assert work.bench.states[1, "terminal.measured"] == "done not proven"
    work.put("terminal-step=0.001")
    assert work.bench.states[1, "terminal.measured"] == "proven"


@pytest.mark.parametrize(
    ("coils", "step", "states"),
    [
        ((39.6, 39.4, 35.1, 39.8), 5.0, ("not judged",) * 4),
        ((39.6, 39.4, 25.0, 39.8), 5.0, ("not judged", "not judged", "shorted", "not judged")),
        ((39.6, 39.4, 5000.0, 39.8), 5.0, ("not judged", "not judged", "open", "not judged")),
        ((39.6, 39.4, 35.1, 39.8), 0.1, ("good", "good", "shorted", "good")),
    ],
)
def test_a_coil_on_a_coarse_meter_is_off_by_more_than_its_step(
    coils: tuple[float, ...], step: float, states: tuple[str, ...], rules: MotorRules
) -> None:
    assert judge_coils(coils, 20.0, CoilTest(step_ohm=step), rules).states == states
