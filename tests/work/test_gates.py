"""Gates that read figures, and runs that are judged: what holds them, what is refused, what they find."""

import pytest

from at_work import Work, at_work
from bench_sheet import Bench
from conftest import Shop
from norvash.core.motor.figure_fields import PROTECTION
from norvash.core.stages.close import LATCHED
from norvash.core.stages.gates import GATES, POWER
from norvash.core.stages.prove.run_fields import SPARKS
from norvash.core.visit.gate_ticked import asked_at, is_undone, ticked
from norvash.core.visit.gating import gate_now
from norvash.errors import Conflict, InputError
from norvash.store.record.motors import fetch_motor
from norvash.web.stages.shown.fields import entry
from norvash.work.motors.changing_figures import change_figures
from norvash.work.on_sheet.undoing import undo
from norvash.work.reading.loading import load
from run_cases import HELD, PERMITS, REFUSED, RUNS, figures_of, rows_of


def goes_back(work: Work) -> bool:
    """Say that it goes back to service: what an open stop takes out of it is refused, and True is returned."""
    stops = any(x.finding.grade == "stop" for x in work.bench.page.visit.lives)
    if stops:
        with pytest.raises(InputError, match="does not go back like this"):
            work.put("outcome=service")
    else:
        work.put("outcome=service")
    return stops


@pytest.mark.parametrize(("motor_class", "figures", "rows", "words"), HELD.values(), ids=HELD)
def test_power_is_held_by_figures_whatever_is_ticked(
    shop: Shop, motor_class: str, figures: str, rows: str, words: str
) -> None:
    work = at_work(shop, motor_class, figures, "7 7" if "worn" in words else "20.6 20.4").put(rows)
    for step in POWER.steps(work.bench.page.context.facts, work.bench.page.context.rules):
        work.bench.put(POWER.step(step.id).id, "yes")
    if words != "how it is run":
        work.bench.put("run-how", "clamped" if motor_class == "starter" else "free")
    assert words in work.missing("power")
    with pytest.raises(Conflict, match="Before power"):
        work.bench.put("run-a", "2")
    assert goes_back(work) or "Before power" in " ".join(h.words for h in work.bench.page.holds)


def test_a_gate_that_nothing_holds_opens_and_is_asked_anew_after_work(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.see(1, "terminal.poor")
    work.bench.ready()
    assert work.missing("power") == ""
    work.put("surface-with=stone")  # through its window: earth and insulation are as they were read
    assert work.missing("power") == POWER.step("clear").label
    work.put("task.terminal=yes")
    again = work.missing("power")
    assert "protective earth was measured before it was closed for the last time" in again
    assert "insulation was tested before it was closed for the last time" in again
    assert "Guards on" in again
    work.bench.ready()
    assert work.missing("power") == ""


# What a motor is asked for at a gate, of it what an act undoes.
UNDONE = {
    "a tool, fed": ("tool tool", "safe", "permit", {"dead", "still", "safe.method"}),
    "a starter, fed": ("starter starter", "safe", "permit", {"dead", "still", "lead", "safe.method"}),
    "a motor that hangs a load, fed": (
        "industrial shunt hangs_load=yes",
        "safe",
        "permit",
        {"dead", "still", "lock", "hung", "capacitors", "safe.method"},
    ),
    "a track cleaned at its window": ("tool tool", "power", "surface-with=stone", {"clear"}),
    "a terminal": ("tool tool", "power", "task.terminal=yes", {"insulation", "guards", "clear", "earth", "idle"}),
}


@pytest.mark.parametrize(("motor", "gate", "act", "undone"), UNDONE.values(), ids=UNDONE)
def test_a_gate_asks_again_only_for_what_an_act_undid_and_one_press_says_it_by_name(
    shop: Shop, motor: str, gate: str, act: str, undone: set[str]
) -> None:
    motor_class, _, figures = motor.partition(" ")
    work = at_work(shop, motor_class, figures)
    if gate == "power":
        work.bench.see(1, "terminal.poor")
        work.bench.ready()
    for asked_too_early in ("", "again"):
        with pytest.raises(InputError, match="nothing that was said before and undone since"):
            work.bench.put(f"again.{gate}", "yes", 1 + bool(asked_too_early))
    if act == "permit":
        work.bench.put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="20")
        with pytest.raises(InputError, match="nothing that was said before"):
            work.bench.put("again.safe", "yes", 1)
        work.put("permit.close@1=yes")
    else:
        work.put(act)
    page = work.bench.page
    asked = list(asked_at(GATES[gate], page.sheet, page.context.rules))
    again = {x.field.id.removeprefix(f"step.{gate}.") for x in asked if is_undone(GATES[gate], x, page.sheet)}
    assert again == undone
    now = ticked(GATES[gate], page.sheet, page.context.rules)
    assert (now.state, len(now.again)) == ("open", len(undone))
    work.bench.put(f"again.{gate}", "yes", 1)
    page = work.bench.page
    assert ticked(GATES[gate], page.sheet, page.context.rules).state == "passed"
    given = GATES[gate].again.given(page.sheet, 1)
    assert given is not None
    assert given.why == "; ".join(now.again), "each stands by its name"
    assert gate == "power" or "isolated by" in given.why


def test_a_step_that_was_never_said_is_not_said_again_with_the_others(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.put("step.safe.dust=")
    work.bench.put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="20")
    work.put("permit.close@1=yes")
    assert ticked(GATES["safe"], work.bench.page.sheet, work.bench.page.context.rules).again == ()
    with pytest.raises(InputError, match="Tick what is missing by itself"):
        work.bench.put("again.safe", "yes", 1)
    work.put("step.safe.dust=yes again.safe@1=yes")
    assert work.missing("safe") == ""
    work.bench.put("permit.open", "volts", 2, who="Ines", barriers="rope", minutes="20")
    work.put("permit.close@2=yes")
    assert work.missing("safe"), "another test undoes it again"
    work.put("again.safe@2=yes")
    assert [bool(GATES["safe"].again.of(work.bench.page.sheet, n)) for n in (1, 2)] == [True, True]


def test_a_permit_suspends_what_was_made_safe_and_asks_for_it_again(shop: Shop) -> None:
    work = at_work(shop, "industrial", "shunt")
    work.bench.put("permit.open", "volts", 1, who="Ines", barriers="rope", minutes="20")
    assert work.missing("safe").startswith("the test with power on no. 1 is open")
    for refused in (
        lambda: work.bench.measure("20.5"),
        lambda: work.bench.see(1, "face.glazed"),
        lambda: work.bench.put("gap", "2", 1),
        lambda: work.bench.put("earth-ohm", "0.05"),
        lambda: work.bench.put("waive.safe", "in a hurry") and work.bench.put("gap", "2", 1),
    ):
        with pytest.raises(Conflict, match=r"no\. 1 is open"):
            refused()
    # What is ticked while power is on counts for nothing once it is off.
    work.put("waive.safe=").put("step.safe.dead=yes step.safe.still=yes supply-v=219 permit.close@1=yes")
    assert "proved dead" in work.missing("safe")
    with pytest.raises(Conflict, match="Make safe"):
        work.bench.put("gap", "2", 1)
    work.safe().put("gap@1=2")
    assert work.missing("safe") == ""


def test_a_waived_gate_gives_no_certificate_and_is_not_taken_back_once_something_rests_on_it(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready(tested=False)
    with pytest.raises(InputError, match="reason"):
        work.bench.put("waiver.insulation", "residual")
    work.bench.put("waiver.insulation", "residual", why="no tester in the shop today")
    work.put("bump=right run-a=2.1 sparks=1 ran=yes outcome=service").serve()
    with pytest.raises(Conflict, match="rests on this waiver"):
        work.bench.put("waiver.insulation", "")
    assert work.missing("service") == ""
    work.bench.sign()
    signed = work.bench.page.row.signed
    assert (signed["signed_as"], signed["open"]) == ("not clean", [])
    assert work.told["waived"] == [
        {
            "gate": "Before power, insulation to earth is not measured",
            "person": "Ines Torvald",
            "why": "no tester in the shop today",
        }
    ]
    assert "run behind a residual current device" in work.told["unmeasured"]


def test_a_waiver_that_nothing_rests_on_is_taken_back(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready(tested=False)
    work.bench.put("waiver.insulation", "residual", why="no tester")
    assert work.missing("power") == ""
    undo(shop.conn, shop.later(minutes=1).act(), work.bench.id)
    assert "insulation" in work.missing("power")
    work.bench.put("waiver.insulation", "residual", why="no tester")
    work.put("run-a=2.1")
    undo(shop.conn, shop.later(minutes=1).act(), work.bench.id)
    work.put("waiver.insulation=")
    assert "insulation" in work.missing("power")


def test_what_was_measured_is_never_waived_nor_what_was_taken_back_and_not_read_again(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready(tested=False)
    with pytest.raises(InputError, match="is not waived as a whole"):
        work.bench.put("waive.power", "customer waits")
    work.put("insulation-mohm=0.01")
    work.bench.put("waiver.insulation", "residual", why="customer waits")
    assert "insulation 0.01 MΩ" in work.missing("power")
    with pytest.raises(Conflict, match="Before power"):
        work.bench.put("run-a", "2.1")
    work.bench.put("insulation-mohm", "", answer="mistyped")
    assert "insulation to earth is not measured" in work.missing("power")
    now = gate_now(POWER, work.bench.page.visit)
    assert (now.waived, [h.waiver for h in now.held if h.id == "insulation"]) == ((), [None]), "an instrument was there"
    work.bench.put("insulation-mohm", "200")
    work.put("insulation-c=20")
    assert work.missing("power") == ""


# What is found, the work on it, and whether a run may prove it once that is done.
RUN_TO_PROVE = {
    "a cracked fan": ("seen.drive.fan=yes", "fan", True),
    "loose poles": ("seen.windings.poles=yes", "poles", True),
    "a lifted binding": ("seen.windings.binding=yes", "band", False),
    "an earth fault": ("seen.windings.earth=yes", "insulation", False),
    "an earthed plug on two cores": ("plug=odd", "cord", False),
}


@pytest.mark.parametrize(("rows", "task", "runs"), RUN_TO_PROVE.values(), ids=RUN_TO_PROVE)
def test_a_stop_that_is_done_is_run_to_prove_it_but_for_earth_insulation_and_bindings(
    shop: Shop, rows: str, task: str, *, runs: bool
) -> None:
    work = at_work(shop, "tool", "tool").put(rows)
    work.bench.ready()
    with pytest.raises(Conflict, match="Before power"):
        work.bench.put("run-a", "2")
    work.put(f"task.{task}=yes").bench.ready()
    if runs:
        work.bench.put("run-a", "2")
        return
    assert "done and not proven" in work.missing("power")
    with pytest.raises(Conflict, match="not proven"):
        work.bench.put("run-a", "2")


def test_a_waiver_lapses_with_work(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.see(1, "terminal.poor")
    work.bench.ready(tested=False)
    work.bench.put("waiver.insulation", "residual", why="no tester")
    assert work.missing("power") == ""
    work.put("task.terminal=yes")
    assert "insulation to earth is not measured" in work.missing("power")
    assert "work was done since" in " ".join(gate_now(POWER, work.bench.page.visit).fallen)


@pytest.mark.parametrize("case", RUNS.values(), ids=RUNS)
def test_a_run_is_judged_for_every_class(shop: Shop, case: tuple[str, str, str, str, str, str]) -> None:
    motor_class, figures, rows, found, says, lacks = case
    work = at_work(shop, motor_class, figures)
    work.bench.ready()
    look = "turned" if motor_class == "generator" else "bump"
    work.put("" if rows.startswith(look) else f"{look}=right").put(rows)
    if rows.startswith(look):  # after a touch that stops it there is no run
        with pytest.raises(Conflict, match="The run: "):
            work.put("ran=yes")
    else:
        work.put("ran=yes")
    work.serve()
    assert set(work.found) == set(found.split())
    assert says in work.said
    goes_back(work)
    missing = work.missing("service")
    assert (lacks in missing) if lacks else (missing == "")


@pytest.mark.parametrize(("motor_class", "figures", "rows", "says"), REFUSED.values(), ids=REFUSED)
def test_construction_refuses_with_what_is_allowed(
    shop: Shop, motor_class: str, figures: str, rows: str, says: str
) -> None:
    before, _, last = rows.rpartition(" ")
    work = at_work(shop, motor_class, figures)
    work.bench.ready()
    work.put(before)
    with pytest.raises(InputError) as refused:
        work.put(last)
    assert says in f"{refused.value.problem} {refused.value.remedy}"


@pytest.mark.parametrize(("motor_class", "figures", "with_it", "says"), PERMITS.values(), ids=PERMITS)
def test_a_permit_asks_how_it_turns_where_that_can_hurt(
    shop: Shop, motor_class: str, figures: str, with_it: str, says: str
) -> None:
    bench = Bench(shop, shop.motor(motor_class=motor_class, figures=figures_of(figures)))
    more = {field: text for field, text, _ in rows_of(with_it)}
    if "run-where" in more:
        bench.put("run-where", more.pop("run-where"))
    asked = {"who": "Ines", "barriers": "rope", "minutes": "10", **more}
    if says:
        with pytest.raises(InputError) as refused:
            bench.put("permit.open", "a look under power", 1, **asked)
        assert says in f"{refused.value.problem} {refused.value.remedy}"
        return
    bench.put("permit.open", "a look under power", 1, **asked)
    permit = bench.page.sheet.written["permit.open", 1, "found"].permit
    assert permit is not None
    assert (permit.turns, permit.volts) == (more.get("turns", ""), float(more["volts"]) if "volts" in more else None)


def test_a_run_outside_its_band_is_decided_mended_and_run_again(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.ready()
    work.put("sign.weak=yes bump=right run-a=2.1 sparks=4 ran=yes")
    assert work.found == {"run.sparking": "open"}
    assert work.bench.page.found.grade == "stop"
    assert "it must not run before this is mended. The run: sparks 4" in work.bench.page.said.sentence
    work.put("sign.weak=")
    work.put("decide.run.sparking=now task.mend-run=yes")
    assert work.found == {"run.sparking": "done not proven"}
    work.bench.ready()
    work.put("bump=right run-a=2.1 sparks=1 ran=yes outcome=service").serve()
    assert work.found == {"run.sparking": "proven"}
    work.bench.sign()
    signed = work.bench.page.row.signed
    assert (signed["signed_as"], signed["open"]) == ("certificate", [])
    assert (work.told["ran"]["amps"], work.told["ran"]["sparks"]) == (2.1, 1)


# What is read again after the work on a run of 2.9 A at 9 000 r/min with sparks of 3, and what is not proven then.
AGAIN = {
    "only the volts": ("run-v=229", "run.drag run.sparking", False),
    "only the current": ("run-a=2", "run.drag run.sparking", False),
    "only the speed": ("run-rpm=11900", "run.drag run.sparking", False),
    "no sparks": ("run-v=229 run-a=2 run-rpm=11900", "run.sparking", False),
    "only other volts": ("run-v=120", "run.drag run.sparking", False),
    "with its load instead": ("run-how=load", "run.drag run.sparking", False),
    "still so": ("run-a=2.9 run-rpm=9000", "run.drag run.sparking", True),
    "all of it": ("run-a=2 run-rpm=11900 sparks=1", "", False),
}


@pytest.mark.parametrize(("rows", "open_yet", "again"), AGAIN.values(), ids=AGAIN)
def test_a_figure_that_is_not_read_again_proves_nothing(shop: Shop, rows: str, open_yet: str, again: bool) -> None:
    work = at_work(shop, "tool", "tool")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes gone.terminal.poor@1=yes").bench.ready()
    work.put("bump=right run-v=228 run-a=2.9 run-rpm=9000 sparks=3 run-c=60 run-air-c=20")
    work.put("decide.run.drag=now decide.run.sparking=now task.mend-run=yes").bench.ready()
    work.put("bump=right").put(rows)
    assert {i for i, state in work.found.items() if state not in ("proven", "withdrawn")} == set(open_yet.split())
    assert work.bench.life("run.drag").measured_again is again
    work.bench.put("ran", "yes")
    assert ("no proof" in work.missing("service") or "proof run" in work.missing("service")) is bool(open_yet)
    assert (work.told or {}).get("rise_k") is None


def test_a_speed_from_before_the_work_allows_no_more_volts(shop: Shop) -> None:
    work = at_work(shop, "traction", "series")
    work.bench.ready()
    work.put("run-how=free bump=right run-v=8 run-rpm=420 run-v@1=18 run-rpm@1=900 sparks=4")
    work.put("decide.run.sparking=now task.mend-run=yes").bench.ready()
    work.put("run-how=free bump=right")
    with pytest.raises(InputError, match=r"until r/min is read"):
        work.put("run-v@1=18")
    work.put("run-v=8 run-rpm=400 run-v@1=18")


def test_the_motor_is_held_against_its_own_run_after_the_last_good_repair(shop: Shop) -> None:
    work = at_work(shop, "tool", "construction=universal rated_v=230 rated_a=6")
    work.bench.ready()
    work.put("run-c=58 run-air-c=20")
    work.bench.run(run_v="230", run_a="2", run_rpm="12000")
    work.put("outcome=service").serve().bench.sign()
    assert work.bench.page.row.signed["signed_as"] == "certificate"
    shop.later(weeks=9).log(work.bench.motor, "150")
    again = Work(shop, Bench(shop, work.bench.motor)).safe()
    again.bench.measure("20.1", "19.9")
    again.bench.ready()
    again.put("run-c=72 run-air-c=22")
    again.bench.run(run_v="228", run_a="2.12", run_rpm="10700")
    assert set(again.found) == {"run.baseline"}
    for words in (
        "Current 6% over its own baseline, sheet 1",
        "Speed 11% under",
        "12 K hotter than at its own baseline",
    ):
        assert words in again.said
    assert "outside its bands: speed 11% under its own baseline, sheet 1; 12 K hotter" in again.missing("service")


def test_brushes_that_do_not_alternate_by_arm_get_no_power(shop: Shop) -> None:
    motor = shop.motor(motor_class="industrial", brushes="4", figures=figures_of("shunt"))
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure("20.6", "20.4", "20.5", "20.5")
    work.bench.ready()
    assert work.missing("power") == ""
    version = fetch_motor(shop.conn, motor).version
    change_figures(shop.conn, shop.later(minutes=1).act(), motor, {"polarity_2": "+"}, version)
    assert "polarity does not alternate by arm: A and B are both +" in work.missing("power")


def test_protection_against_shock_is_asked_first_and_stays_with_the_motor(shop: Shop) -> None:
    work = at_work(shop, "tool", "construction=universal rated_v=230")
    assert "protective earth is not measured" in work.missing("power")
    work.put("protection=double_insulated")
    assert "protective earth" not in work.missing("power").lower()
    with pytest.raises(InputError, match="no protective earth by design"):
        work.put("earth-ohm=0.05")
    work.put("outcome=out").bench.sign("for the test")
    again = Bench(shop, work.bench.motor)
    facts = again.page.context.facts
    assert (facts.protection, PROTECTION.basis(facts.figures)) == ("double insulated", "said on sheet 1")
    again.put("protection", "protective earth")
    assert load(shop.conn, again.motor).facts.earthed
    again.undo()
    assert not load(shop.conn, again.motor).facts.earthed


def test_a_run_before_the_last_work_is_asked_anew_and_no_slip_of_the_pen(shop: Shop) -> None:
    """Both runs came after some work: what stood there is no slip, and nothing of it counts any more."""
    work = at_work(shop, "tool", "tool")
    work.bench.see(1, "terminal.poor")
    work.put("decide.terminal.poor@1=now task.terminal=yes gone.terminal.poor@1=yes").bench.ready()
    work.put("latched=yes bump=right run-a=2.1 sparks=3 decide.run.sparking=now")
    assert entry(work.bench.page, LATCHED).word == "yes"
    work.put("task.mend-run=yes")
    assert work.found == {"run.sparking": "done not proven"}
    assert "Measured again" not in " ".join(h.words for h in work.bench.page.holds)
    shown = entry(work.bench.page, SPARKS)
    assert (shown.word, shown.before) == ("", "3, strong, all edges")
    closed = entry(work.bench.page, LATCHED)
    assert (closed.word, closed.before) == ("", "done")
    assert [s.state for s in work.bench.page.rail if s.stage.id == "close"] == ["waiting"]
    work.bench.ready()
    work.put("sparks=3")
    assert work.bench.life("run.sparking").measured_again
    work.put("task.mend-run=yes").bench.ready()
    work.put("bump=right run-a=2.1 sparks=1 ran=yes outcome=service").serve().bench.sign()
    assert work.bench.page.row.signed["signed_as"] == "certificate"
    again = [(x["what"], x["typed"], x["instead"]) for x in work.told["again"]]
    assert ("Sparks at the brushes", "3, strong, all edges", "1, pin points at few edges") in again
