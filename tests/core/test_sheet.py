"""A bench sheet in the core: what is offered, gates, what measurements say, what is decided, what keeps it open, what
to bring.
"""

from dataclasses import replace
from datetime import date

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.diagnosis.causes import BY_ID as CAUSES
from norvash.core.diagnosis.ranking import diagnose
from norvash.core.judging.before.measured import signs_before
from norvash.core.judging.brushes.geometry import geometry
from norvash.core.judging.brushes.keeping import stays
from norvash.core.judging.catalogue import visit_of
from norvash.core.judging.measuring import measured_at, measured_on
from norvash.core.judging.noted import noted
from norvash.core.judging.signing import holds, signed_as
from norvash.core.judging.signs_shown import complained, diagnosis_of, signs_shown
from norvash.core.motor.classes import TEMPLATES
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.rules.schools import SCHOOLS
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import Told
from norvash.core.sheet.part import BESIDE, PARTS
from norvash.core.sheet.records import PutOff, TaskDone, Why
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before.stage import STAGE as BEFORE_OPENING
from norvash.core.stages.brushes.stage import PICTURES as GROUPS
from norvash.core.stages.catalogue import FIELDS, FINDINGS, STAGES, TASKS, field_of, stage_of
from norvash.core.stages.gates import POWER, SAFE
from norvash.core.state.findings import Findings
from norvash.core.state.motor_state import MotorState, Overrule
from norvash.core.verdict.before_work import by_carbon_found
from norvash.core.verdict.judging import findings
from norvash.core.verdict.sheet_line import sheet_says
from norvash.core.visit.bringing import what_to_bring
from norvash.core.visit.done import done_tasks
from norvash.core.visit.gate_ticked import ticked as gate_said
from norvash.core.visit.gating import gate_now
from norvash.core.visit.lives import lives
from norvash.core.visit.progress import progress
from norvash.core.visit.proving import said_by
from norvash.core.visit.typed import read_entry
from norvash.core.visit.visit import Visit
from norvash.core.visit.work_list import work_list
from norvash.drawing.brush.finding_picture import finding_picture
from norvash.errors import InputError
from small_sheets import BEFORE, NOON, SPRUNG, VOICES, about_before, facts, sheet
from states import TODAY, a_round, ruled, standing, state

RULES = shipped()
WORN = by_carbon_found("plan")


def found_in(shown: MotorState | None = None) -> Findings:
    return findings(shown or state(a_round(20, 20, 20.2)), RULES, TODAY)


MADE_SAFE = {"confirm__safe": "yes"}


def test_a_series_motor_is_never_offered_a_run_without_load_and_taps_only_where_there_are_some() -> None:
    def ids(about: Facts) -> set[str]:
        return {f.id for stage in STAGES for f in stage.offered(about, RULES)}

    assert "noload-a" not in ids(facts("traction", 4, construction="series"))
    assert "noload-a" in ids(facts("industrial", 4, construction="shunt"))
    assert "amps" not in {c.check.id for c in diagnosis_of(sheet(facts("traction", 4)), {"weak": "yes"}, RULES).checks}
    assert "amps" in {c.check.id for c in diagnosis_of(sheet(facts("tool")), {"weak": "yes"}, RULES).checks}
    assert "noload-a" not in ids(facts("industrial", 4))  # nobody states its construction
    assert "noload-a" not in ids(facts("industrial", 4, construction="universal"))
    assert "noload-a" in ids(facts("tool", 2, construction="universal"))
    assert any("runs away" in s.caution for s in POWER.steps(facts("traction", 4, construction="series"), RULES))
    assert "tap-v" not in ids(facts())
    assert "tap-v" in ids(facts("appliance", speed_taps="0.5; 1"))
    assert ("terminal-ohm" in ids(facts(rated_v=230.0)), "terminal-v" in ids(facts(rated_v=230.0))) == (True, True)
    assert ("terminal-ohm" in ids(facts(rated_v=12.0)), "terminal-v" in ids(facts(rated_v=12.0))) == (False, True)
    assert len({f.id for f in FIELDS}) == len(FIELDS)
    assert {stage_of(f.id) for f in FIELDS} == set(STAGES)


def test_a_gate_opens_by_every_step_or_by_a_waiver_and_names_what_is_left() -> None:
    steps = SAFE.steps(facts(), RULES)
    ticked = {f"step__safe__{s.id}": "yes" for s in steps}
    assert gate_said(SAFE, sheet(), RULES).to_do[-1] == "how it is isolated"
    most = sheet(**dict(list(ticked.items())[1:]), safe__method="unplugged")
    assert gate_said(SAFE, most, RULES).missing == (steps[0].act,)
    assert gate_said(SAFE, sheet(**ticked), RULES).state == "open"
    assert gate_said(SAFE, sheet(**ticked, safe__method="unplugged"), RULES).state == "passed"
    waived = gate_said(SAFE, sheet(waive__safe="on the bench in parts"), RULES)
    assert (waived.state, waived.why, waived.person) == ("waived", "on the bench in parts", "Ines")


@pytest.mark.parametrize(("entries", "signs", "words"), BEFORE.values(), ids=BEFORE.keys())
def test_each_measurement_before_opening_is_judged_and_feeds_the_diagnosis(
    entries: dict[str, object], signs: dict[str, str], words: str
) -> None:
    judged = measured_at(BEFORE_OPENING, sheet(about_before(entries), **entries), RULES)
    assert signs.items() <= signs_before(judged).items()
    assert any(words in m.words for m in judged), [m.words for m in judged]


@pytest.mark.parametrize(("entries", "expected"), VOICES.values(), ids=VOICES.keys())
def test_what_a_sheet_says_of_the_parts(entries: dict[str, object], expected: list[tuple[int, str]]) -> None:
    said = noted(sheet(SPRUNG, **entries), RULES, (4.0, 4.2))
    assert [(n, f.id) for n, f in said] == expected


def test_for_every_cause_there_is_something_to_bring() -> None:
    for motor_class, template in TEMPLATES.items():
        for cause in CAUSES.values():
            seen = {"start": "dead"} if cause.common[motor_class] else {}
            rest = [c for c in CAUSES if c != cause.id]
            if seen:
                alone = diagnose(motor_class, seen, RULES, ruled_out=rest)
                brought = what_to_bring(facts(motor_class, template.brushes), found_in(), alone, RULES)
                assert any(cause.words in i.why for i in brought), cause.id


def test_every_finding_has_a_picture_a_part_and_a_task() -> None:
    for finding in FINDINGS.values():
        assert finding.part in (*PARTS, *BESIDE)
        assert finding.grade == "fit" or finding.tasks, finding.id
    pictures = {finding_picture(f.id).svg() for _, group in GROUPS for f in group}
    assert len(pictures) == sum(len(group) for _, group in GROUPS)
    assert {s for t in TASKS.values() for s in t.schools} <= {s.id for s in SCHOOLS}


@given(st.lists(st.sampled_from(sorted(FINDINGS)), max_size=6), st.sampled_from([19.0, 12.0, 9.0, 7.0]))
def test_the_worst_voice_wins_and_an_overruling_keeps_what_it_was(ids: list[str], length: float) -> None:
    grave = [i for i in dict.fromkeys(ids) if FINDINGS[i].grave and i != "set.worn"]
    lesser = [i for i in dict.fromkeys(ids) if not FINDINGS[i].grave]
    seen = tuple((1, i) for i in lesser)
    shown = standing(state(a_round(20, length, length + 0.1, seen=seen)), *((1, i) for i in grave))
    found = found_in(shown)
    order = ["fit", "watch", "plan", "change", "stop"]
    ranks = [order.index(FINDINGS[i].grade) for i in (*grave, *lesser) if not FINDINGS[i].part.outside]
    ranks += [order.index(c.grade) for c in found.components if c.grade and not c.part.outside]
    assert order.index(found.base or "fit") == max(ranks, default=0)
    ruled = Overrule("brushes", "fit", "Ines", "seen with own eyes", date(2026, 6, 1))
    over = found_in(replace(shown, overrules=(ruled,)))
    brushes, before = (next(c for c in f.components if c.id == "brushes") for f in (over, found))
    softened = ("stop", None, None, ruled) if before.grade == "stop" else ("fit", before.grade, ruled, None)
    assert (brushes.grade, brushes.before, brushes.overruled, brushes.fallen) == softened
    assert all(a.grade == b.grade for a, b in zip(over.components, found.components, strict=True) if a.id != "brushes")


def test_schools_say_when_a_set_is_changed_and_some_are_refused() -> None:
    def stage(key: str, motor_class: str, *lengths: float, lines: int | None = None) -> str | None:
        book = rulebook_with([ruled("school.when", word=key)])
        shown = state(a_round(20, *lengths, lines=lines), own={"new_mm": 40.0, "limit_mm": 2.0})
        return findings(shown, MotorRules(book, motor_class), TODAY).grade

    assert (stage("limit", "tool", 9.5, 14), stage("share", "tool", 9.5, 14)) == ("plan", "change")
    assert (stage("limit", "tool", 30, 30.5, lines=1), stage("lines", "tool", 30, 30.5, lines=1)) == ("watch", "plan")
    assert stage("lines", "tool", 30, 30.5, lines=2) == "change"
    refused = MotorRules(rulebook_with([ruled("school.when", word="symptoms")]), "traction")
    assert refused.choice("school.when").key == "limit"
    with pytest.raises(InputError, match="refused for class industrial"):
        next(s for s in SCHOOLS if s.id == "school.when").check("symptoms", "industrial")


PROVEN = {"run_a": 2.0, "bump": "right", "sparks": "1", "ran": "yes", "outcome": "service", "confirm__service": "yes"}
READY = {
    "run_where": "machine",
    "run_how": "free",
    "insulation_mohm": 20.0,
    "insulation_c": 20.0,
    "parted_capacitors": "yes",
    "earth_ohm": 0.05,
}


def test_a_sheet_is_clean_only_when_nothing_is_open() -> None:
    def at(made: Sheet, shown: Findings) -> Visit:
        return visit_of(replace(made, facts=replace(facts(noload_a=2.0), stands=made.facts.stands)), shown, RULES)

    shown = found_in()
    assert {h.stage.id for h in holds(at(sheet(), shown))} == {"safe", "brushes", "decide"}
    here = found_in(state(replace(a_round(20, 20, 20.2), sheet_id="s")))
    passed = {f"step__power__{s.id}": "yes" for s in POWER.steps(facts(), RULES)}
    made = sheet(**MADE_SAFE, **PROVEN, **passed, **READY)
    assert "insulation to earth is not measured" in str(holds(at(sheet(**MADE_SAFE, **PROVEN, **passed), here)))
    ready = at(made, here)
    assert (holds(ready), signed_as(ready)) == ((), "certificate")
    why = Why("no tester here")
    residual = Given(id="w", typed="residual", word="residual", number=None, person="Ines", at=NOON, record=why)
    blind = {k: v for k, v in READY.items() if "insulation" not in k}
    waived = at(sheet(**MADE_SAFE, **PROVEN, **passed, **blind, waiver__insulation=residual), here)
    assert (holds(waived), signed_as(waived)) == ((), "not clean")  # a hold was waived
    whole = at(sheet(**MADE_SAFE, **PROVEN, **passed, **blind, waive__power="customer waits"), here)
    assert "insulation to earth is not measured" in str(holds(whole))
    assert "counts no longer" in str(gate_now(POWER, whole).fallen)
    assert [h.stage.id for h in holds(at(sheet(**MADE_SAFE, outcome="service", confirm__service="yes"), here))] == [
        "prove",
        "sign",
    ]
    volts = Given(id="p", typed="volts", word="volts", number=None, person="Ines", at=NOON)
    permit = replace(made, written={**made.written, ("permit.open", 1, "found"): volts})
    assert [h.stage.id for h in holds(at(permit, here))] == ["safe", "before"]
    complained = sheet(**MADE_SAFE, **PROVEN, **passed, **READY, complaint="loud")
    assert [h.words for h in holds(at(complained, here))] == ["Not said: whether the complaint is gone"]
    unopened = sheet(upstream="upstream", outcome="upstream", complaint="dead")
    visit = at(unopened, found_in(state()))
    assert (holds(visit), signed_as(visit)) == ((), "not opened")
    rail = {s.stage.id: s.state for s in progress(visit)}
    assert (rail["brushes"], rail["before"], rail["decide"], rail["sign"]) == ("skipped", "done", "done", "waiting")
    assert {s.stage.id: s.state for s in progress(at(sheet(), shown))}["brushes"] == "held"
    quick = sheet(None, "quick")
    assert [h.stage.id for h in holds(at(quick, shown))] == ["safe", "brushes", "sign"]
    assert signed_as(at(quick, here)) == "measured"


def test_what_is_to_be_decided_and_what_follows() -> None:
    terminal = Given(id="d", typed="now", word="now", number=None, person="Ines", at=NOON)
    poor = FINDINGS["terminal.poor"]
    put_off = replace(terminal, typed="deferred", word="deferred", record=PutOff(who="Bram", day=date(2026, 7, 1)))
    done = replace(terminal, id="t", typed="yes", word="yes", record=TaskDone(10, "tag LP-T 4"))
    for decided, settled, life_state in ((None, False, "open"), (put_off, True, "put off"), (terminal, True, "open")):
        given_ = {("decide.terminal.poor", 2, "found"): decided} if decided is not None else {}
        made = replace(sheet(), written=given_)  # type: ignore[arg-type]
        told = Told(sheet=made, found={(2, poor.id): poor}, now={(2, poor.id): poor}, places={2: "Brush B"})
        asked = lives(told, WORN, WORN)
        assert [(x.finding.id, x.place) for x in asked] == [("terminal.poor", "Brush B"), ("set.worn", "The set")]
        assert (asked[0].settled, asked[0].state) == (settled, life_state)
        work = work_list(asked, {}, RULES, sheet=sheet())
        assert [w.task.id for w in work] == (["fit-set"] if decided is put_off else ["terminal", "fit-set"])
    worked = replace(sheet(), written={("task.terminal", 0, "found"): done})
    told = Told(sheet=worked, found={(2, poor.id): poor}, now={(2, poor.id): poor}, places={2: "Brush B"})
    life = lives(told)[0]
    assert (life.state, life.steps, said_by(life)) == ("done not proven", 3, "Ines, 10 min, tag LP-T 4")
    listed = work_list([life], done_tasks(worked), RULES, sheet=worked)
    assert (listed[0].because, listed[0].done) == (("Brush B: terminal dirty, loose or oxidised",), done)
    worn = work_list(lives(Told(sheet=sheet()), WORN, WORN), {}, RULES, sheet=sheet())
    assert any(c.school.id == "school.one-or-all" for c in worn[0].ways)


def test_a_brush_may_stay_only_when_it_is_good() -> None:
    shown = state(
        a_round(20, 20.0, 12.0, 20.1, None, seen=((3, "lead.strands-10"), (1, "brush.chip-small"))), brushes=4
    )
    found = [(x.label, x.may) for x in stays(found_in(shown), shown, RULES)]
    assert found == [("A", True), ("B", False), ("C", False), ("D", False)]


def test_the_verdict_line_seeks_the_cause_until_something_is_measured() -> None:
    from norvash.core.verdict.sentence import verdict

    def says(made: Sheet, shown: MotorState) -> tuple[str, str]:
        found = findings(shown, RULES, TODAY)
        before = signs_before(measured_at(BEFORE_OPENING, made, RULES))
        signs = signs_shown(made, before, found, RULES)
        cause = diagnosis_of(made, signs, RULES) if complained(signs, before) else None
        said = sheet_says(visit_of(made, found, RULES), verdict(found, shown, RULES, TODAY), cause, TODAY)
        return said.word, said.act

    assert says(sheet(), state()) == ("Not measured", "Measure this set.")
    assert says(sheet(facts(rated_v=230.0), supply_v=229.0), state())[1] == "Measure this set."
    assert says(sheet(facts(rated_v=230.0), supply_v=180.0), state())[0] == "Cause sought"
    assert says(sheet(sign__start="dead", sign__tapped="yes", sign__idle="yes", sign__uneven="yes"), state())[
        1
    ].startswith("Likely cause: brush stuck")
    dead = sheet(facts(rated_v=230.0), sign__start="dead", supply_v=1.0)
    assert says(dead, state()) == ("Not opened", "Do not open the motor yet: the fault lies most likely before it.")
    settled = sheet(sign__start="dead", upstream="upstream")
    assert says(settled, state())[1] == "Leave the motor closed: the fault lies before it."
    worn = state(replace(a_round(20, 9.0, 12.0), sheet_id="s"))
    assert says(sheet(sign__weak="yes"), worn)[0] == "Change now"


def test_what_to_bring_follows_the_type_and_the_suspicion() -> None:
    from norvash.core.diagnosis.ranking import diagnose

    cause = diagnose("starter", {"start": "clicks", "cranking": "yes"}, RULES)
    items = {
        i.what: i.why
        for i in what_to_bring(facts("starter", 4, mass_kg=40.0, grade="LP-B 9"), found_in(), cause, RULES)
    }
    assert "millivoltmeter, jump lead, brush for terminals" in items
    assert "hoist, slings, a second person" in items
    assert "seals and O-rings of its case" in items
    plain = {i.what for i in what_to_bring(facts(grade="LP-B 9"), found_in(state(a_round(20, 9.0, 9.5))), None, RULES)}
    assert any(w.startswith("set of 2 brushes 6.4 × 12.5 × 22 mm, LP-B 9") for w in plain)


def test_the_geometry_of_the_brush_is_worked_out_from_what_is_known() -> None:
    about = facts(
        "industrial",
        4,
        thickness_mm=12.5,
        width_mm=25.0,
        commutator_d_mm=120.0,
        bars=87.0,
        rated_a=38.0,
        rated_v=220.0,
        grade_family="electrographite",
        force_new_n=9.0,
        spring_rate_n_per_mm=0.15,
        holder_gap_mm=2.2,
    )
    rules = MotorRules(rulebook_with(()), "industrial")
    made = sheet(about, force=(7.0, 8.0, 7.8, 7.6))
    lines = {g.words: g for g in geometry(made, found_in(), rules)}
    assert lines["Current density at rated current"].value == pytest.approx(38 / (2 * 3.125))
    kpa = [d.value for m in measured_on(made, rules) for d in m.derived if d.unit == "kPa"]
    assert kpa == pytest.approx([1000 * f / 312.5 for f in (7.0, 8.0, 7.8, 7.6)])
    assert lines["Bars covered by a brush"].value == pytest.approx(2.885, abs=0.01)
    assert lines["Pressure at the limit, by the spring's rate"].value == pytest.approx(1000 * (9 - 0.15 * 14) / 312.5)
    assert not [g for g in geometry(sheet(facts()), found_in(), RULES) if g.words.startswith("Current")]


WRONG: dict[str, tuple[str, str, dict[str, str], str]] = {
    "not a number": ("gap", "wide", {}, "value"),
    "another unit": ("gap", "3 N", {}, "value"),
    "past its bounds": ("gap", "900", {}, "value"),
    "no such answer": ("urgency", "soon", {}, "value"),
    "no tick": ("marks", "maybe", {}, "value"),
    "too long": ("complaint", "x" * 401, {}, "value"),
    "a day gone": ("next-look", "2020-01-01", {}, "value"),
    "no day": ("next-look", "soon", {}, "value"),
    "put off by nobody": ("decide.lead.taut", "deferred", {"day": "2026-07-01"}, "who"),
    "put off for ever": ("decide.lead.taut", "deferred", {"who": "Ines"}, "day"),
    "dropped without a reason": ("decide.terminal.poor", "dropped", {}, "why"),
    "left so without a reason": ("decide.terminal.poor", "left", {"who": "I", "day": "2026-07-01"}, "why"),
    "left so by nobody": ("decide.terminal.poor", "left", {"why": "it is dust", "day": "2026-07-01"}, "who"),
    "left so for ever": ("decide.terminal.poor", "left", {"why": "it is dust", "who": "I"}, "day"),
    "put off to a day that is gone": ("decide.terminal.poor", "deferred", {"who": "I", "day": "2020-01-01"}, "day"),
    "no task of the list": ("task.no-such", "yes", {}, "value"),
    "a task that took for ever": ("task.terminal", "yes", {"minutes": "90000"}, "minutes"),
    "decided otherwise": ("decide.lead.taut", "perhaps", {}, "value"),
    "overruled without a reason": ("overrule.brushes", "fit", {}, "why"),
    "a permit for nobody": ("permit.open", "volts", {"barriers": "rope", "minutes": "5"}, "who"),
    "a permit for ever": ("permit.open", "volts", {"who": "I", "barriers": "rope", "minutes": "600"}, "minutes"),
}


@pytest.mark.parametrize(("field_id", "text", "more", "at"), WRONG.values(), ids=WRONG.keys())
def test_what_cannot_be_is_refused_where_it_is(field_id: str, text: str, more: dict[str, str], at: str) -> None:
    field = field_of(field_id)
    assert field is not None
    with pytest.raises(InputError) as caught:
        read_entry(field, text, more, facts=facts(), rules=RULES, today=TODAY)
    assert (caught.value.field, bool(caught.value.remedy)) == (at, True)
    assert read_entry(field, "  ", more, facts=facts(), rules=RULES, today=TODAY).word == ""
