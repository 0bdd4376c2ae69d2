"""What a sheet takes and says at its edges: bounds that still hold, units of the motor, permits to the minute, lines at
a band's end.
"""

from datetime import timedelta

import pytest

from norvash.core.diagnosis.ranking import diagnose
from norvash.core.diagnosis.signs import SIGNS, offered
from norvash.core.judging.brushes.geometry import geometry
from norvash.core.judging.brushes.keeping import stays
from norvash.core.judging.brushes.values import dust_expected_g, springs_now
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.judging.commutator.cut_made import cut_record
from norvash.core.judging.measuring import measured_on
from norvash.core.judging.noted import noted
from norvash.core.judging.signs_shown import diagnosis_of
from norvash.core.motor.classes import TEMPLATES
from norvash.core.rules.catalogue import shipped
from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import PermitRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.before import stage as before
from norvash.core.stages.catalogue import STAGES, field_of, stage_of
from norvash.core.stages.commutator.size import TRACK_D
from norvash.core.stages.gates import SAFE
from norvash.core.verdict.judging import findings
from norvash.core.visit.bringing import what_to_bring
from norvash.core.visit.typed import read_entry
from norvash.core.visit.walk import permitted, runs_until
from norvash.errors import InputError
from small_sheets import NOON, SPRUNG, cut, facts, sheet
from states import TODAY, a_round, state

RULES = shipped()
EVEN = ";".join(["0.02"] * 24)
COPPER = facts("industrial", 4, commutator_d_mm=120.0, commutator_d_min_mm=110.0, bars=24.0)


def typed(field_id: str, text: str, about: Facts | None = None, /, **more: str) -> str:
    field = field_of(field_id)
    assert field is not None
    return read_entry(field, text, more, facts=about or facts(), rules=RULES, today=TODAY).word


def test_a_column_is_read_in_the_unit_of_the_motor_and_keeps_what_is_missing() -> None:
    inches = facts(length_unit="in")
    assert typed("track-d", "1.2; -; 1.3", inches) == "30.48;-;33.02"
    assert typed("track-d", "30 mm; 31", facts()) == "30;31"
    assert typed("bar-test", "1; 2", inches) == "1;2"
    field = TRACK_D
    assert typed("track-d", f"{field.low:g}; {field.high:g}") == f"{field.low:g};{field.high:g}"
    for off in (f"30; {field.high + 1:g}", f"-1; 30; {field.high:g}"):
        with pytest.raises(InputError, match=r"reading [12] cannot be"):
            typed("track-d", off)


def test_a_permit_lasts_to_the_minute_it_was_given_for() -> None:
    most = RULES["permit.minutes"]
    kept = {"who": "x" * 400, "barriers": "rope\nand sign"}
    assert typed("permit.open", "volts", None, **kept, minutes=f"{most:g}") == "volts"
    assert typed("permit.open", "volts", None, **kept, minutes="0.5") == "volts"
    for minutes in ("0", f"{most + 1:g}", "-3"):
        with pytest.raises(InputError) as refused:
            typed("permit.open", "volts", None, **kept, minutes=minutes)
        assert refused.value.field == "minutes"
    with pytest.raises(InputError) as too_long:
        typed("permit.open", "volts", None, who="x" * 401, barriers="rope", minutes="5")
    assert too_long.value.field == "who"
    with pytest.raises(InputError) as hidden:
        typed("permit.open", "volts", None, who="Ines\x00", barriers="rope", minutes="5")
    assert hidden.value.field == "who"
    open_now = sheet(
        permit__open=(
            Given(
                id="p",
                typed="",
                word="volts",
                number=None,
                person="Ines",
                at=NOON,
                record=PermitRecord(who="Ines", barriers="rope", minutes=10.0),
            ),
        )
    )
    assert runs_until(open_now, 1) == NOON + timedelta(minutes=10)
    assert runs_until(open_now, 2) is None
    assert [permitted(open_now, NOON + timedelta(minutes=m)) for m in (0, 10, 10.1)] == [True, True, False]


def test_what_may_stay_ends_where_watch_begins() -> None:
    assert RULES["stage.watch"] == 0.4
    shown = state(a_round(20, 12.0, 12.01), own={"new_mm": 18.0, "limit_mm": 8.0})
    assert [s.may for s in stays(findings(shown, RULES, TODAY), shown, RULES)] == [False, True]
    earlier = state(a_round(10, 20, 20), a_round(20, 19.5, None))
    assert [s.may for s in stays(findings(earlier, RULES, TODAY), earlier, RULES)] == [True, False]


def test_a_spring_is_judged_by_its_nominal_force_even_where_the_section_is_not_stated() -> None:
    motors = (facts(force_nominal_n=9.0), facts(), facts(thickness_mm=20.0, width_mm=32.0))
    grades = [springs_now(sheet(motor, force=(3.0,)), RULES)[1].grade for motor in motors]
    assert grades == ["stop", "fit", "stop"]


def test_what_one_person_may_lift_needs_no_hoist() -> None:
    most = RULES["lift.person"]
    for mass, hoist in ((most, False), (most + 0.1, True)):
        about = facts("industrial", 4, mass_kg=mass)
        brought = [i.what for i in what_to_bring(about, findings(state(), RULES, TODAY), None, RULES)]
        assert any("hoist" in what for what in brought) is hoist
        assert any(s.id == "lift" for s in SAFE.steps(about, RULES)) is hoist


@pytest.mark.parametrize(("worn", "brings"), [(12.5, False), (11.0, True), (9.5, True)])
def test_a_set_is_brought_once_it_is_to_be_planned(worn: float, brings: bool) -> None:
    shown = state(a_round(20, worn, 20.0))
    items = what_to_bring(facts(), findings(shown, RULES, TODAY), None, RULES)
    assert any(i.kind == "part" and i.what.startswith("set of") for i in items) is brings


def test_capacitors_are_discharged_where_there_may_be_some() -> None:
    asked = {
        (motor_class, said): any(s.id == "capacitors" for s in SAFE.steps(facts(motor_class, capacitors=said), RULES))
        for motor_class in ("appliance", "tool", "traction", "industrial")
        for said in ("yes", "no", "")
    }
    assert asked == {(c, said): said == "yes" or (not said and c != "tool") for c, said in asked}


def test_a_cut_is_recorded_up_to_the_track_and_not_beyond() -> None:
    made = sheet(COPPER, track_d="118")
    assert cut_record(made, 118.0, RULES).after_diameter_mm == 118.0
    for after in (118.01, 20.0):
        with pytest.raises(InputError):
            cut_record(made, after, RULES)
    with pytest.raises(InputError, match="not measured"):
        cut_record(sheet(COPPER), 117.0, RULES)
    with pytest.raises(InputError, match="least"):
        cut_record(sheet(facts(), track_d="25"), 24.0, RULES)


# A field, the rule that bounds it, and what is found over it: a reading on the bound is still right.
OVER = {
    "earth-ohm": ("earth.ohm", "earth.open"),
    "terminal-v": ("terminal.volt", "terminal.measured"),
    "solenoid-v": ("solenoid.drop", "solenoid.bad"),
    "gap": ("gap.high", "gap.wide"),
}


@pytest.mark.parametrize(("name", "rule_id", "finding"), [(k, *v) for k, v in OVER.items()], ids=OVER)
def test_a_reading_on_its_bound_is_right_and_one_over_it_is_found(name: str, rule_id: str, finding: str) -> None:
    def found(value: float) -> bool:
        entered = (value,) if name == "gap" else value
        return finding in {
            f.id for _, f in noted(sheet(facts("starter", 4), **{name.replace("-", "_"): entered}), RULES)
        }

    assert [found(RULES[rule_id] + more) for more in (-0.001, 0.0, 0.001, 1.0)] == [False, False, True, True]


# The diameter after a cut of 0.25 mm over a least of 110: what is said of the copper that is left.
LEFT = {109.99: {"copper.under"}, 110.0: {"copper.last"}, 110.49: {"copper.last"}, 110.5: set(), 111.0: set()}


@pytest.mark.parametrize(("after", "said"), LEFT.items())
def test_what_is_left_after_a_cut(after: float, said: set[str]) -> None:
    found = {f.id for _, f in noted(sheet(COPPER, cut_done=cut(after)), RULES)}
    assert found & {"copper.under", "copper.last"} == said


def test_a_column_for_most_of_the_bars_is_refused_and_one_for_three_quarters_is_taken() -> None:
    for count, refused in ((18, False), (19, True), (23, True), (24, False), (25, True)):
        now = copper_now(sheet(COPPER, run_out=";".join(["0.02"] * count)), RULES)
        assert ("run-out" in now.trouble) is refused, count


def test_where_a_motor_stands_decides_which_checks_are_offered() -> None:
    about = facts()
    seen = {"start": "dead"}

    def offered(made: Sheet) -> set[str]:
        return {c.check.id for c in diagnosis_of(made, seen, RULES).checks}

    closed, safe = offered(sheet(about, state="stripped")), offered(sheet(about, state="stripped", confirm__safe="yes"))
    assert closed != safe
    assert safe != offered(sheet(about, state="assembled", confirm__safe="yes"))
    assert offered(sheet(about, state="stripped")) == offered(sheet(about, state="assembled"))


def test_only_causes_that_are_likely_enough_are_brought_for() -> None:
    cause = diagnose("tool", {"start": "dead"}, RULES)
    named = [i.why for i in what_to_bring(facts(), findings(state(), RULES, TODAY), cause, RULES) if "%" in i.why]
    assert len(named) <= 4
    assert all(int(why.rsplit(" ", 1)[1].rstrip("%")) >= 8 for why in named)


# Forces [N], what the first of them is in kPa, and whether it is right: a figure on the end of its band belongs to it.
PRESSED: dict[str, tuple[tuple[float, ...], float, bool]] = {
    "pressure at its low end": ((1.7,), 17.0, True),
    "pressure under it": ((1.69,), 16.9, False),
    "pressure at its high end": ((6.0,), 60.0, True),
    "pressure over it": ((6.01,), 60.1, False),
    "a dead one": ((0.2, 3.0, 3.1), 2.0, False),
}


@pytest.mark.parametrize(("forces", "kpa", "right"), PRESSED.values(), ids=PRESSED)
def test_a_spring_at_the_end_of_its_band_is_in_it(forces: tuple[float, ...], kpa: float, right: bool) -> None:
    about = facts("industrial", max(len(forces), 2), thickness_mm=8.0, width_mm=12.5)
    first = measured_on(sheet(about, force=forces), RULES)[0]
    assert next(d.value for d in first.derived if d.unit == "kPa") == pytest.approx(kpa)
    assert first.right is right


# What is stated, the line, its value and whether it is right.
BANDS: dict[str, tuple[dict[str, float], str, float, bool]] = {
    "at the limit, low end": ({"force_new_n": 3.1, "spring_rate_n_per_mm": 0.1}, "Pressure at the limit", 17.0, True),
    "at the limit, under it": ({"force_new_n": 3.0, "spring_rate_n_per_mm": 0.1}, "Pressure at the limit", 16.0, False),
    "at the limit, high end": ({"force_new_n": 6.0, "spring_rate_n_per_mm": 0.0}, "Pressure at the limit", 60.0, True),
    "density at its high end": ({"rated_a": 12.0}, "Current density", 12.0, True),
    "density over it": ({"rated_a": 12.1}, "Current density", 12.1, False),
    "density under a third of the least": ({"rated_a": 2.6}, "Current density", 2.6, False),
    "density a little over that": ({"rated_a": 2.7}, "Current density", 2.7, True),
}


@pytest.mark.parametrize(("own", "words", "value", "right"), BANDS.values(), ids=BANDS)
def test_a_line_at_the_end_of_its_band_is_in_it(own: dict[str, float], words: str, value: float, right: bool) -> None:
    about = facts("industrial", 2, thickness_mm=8.0, width_mm=12.5, grade_family="electrographite", **own)
    made = sheet(about)
    line = next(g for g in geometry(made, findings(state(), RULES, TODAY), RULES) if g.words.startswith(words))
    assert line.value == pytest.approx(value, rel=1e-3)
    assert (line.right, bool(line.basis), bool(line.rules)) == (right, True, True)


@pytest.mark.parametrize("motor_class", TEMPLATES)
def test_a_stage_asks_for_its_own_fields_and_those_of_its_class(motor_class: str) -> None:
    about = facts(motor_class, 4)
    for stage in STAGES:
        asked = {f.id for f in stage.offered(about, RULES)}
        assert all(stage_of(i) is stage for i in asked)
        of_others = {f.id for f in stage.all_fields if f.classes and motor_class not in f.classes}
        own = {
            f.id
            for f in stage.all_fields
            if motor_class in f.classes and f.id not in ("earth-ohm", "parted-capacitors")
        }
        assert not asked & of_others
        assert own <= asked
        signs = {f"sign.{s.id}" for s in SIGNS if offered(s, motor_class)}
        assert {i for i in asked if i.startswith("sign.")} == {f.id for f in stage.all_fields} & signs


def test_a_terminal_is_measured_by_what_its_voltage_allows() -> None:
    low = RULES["terminal.low-voltage"]
    both, by_drop = {"terminal-v", "terminal-ohm", "terminal-step"}, {"terminal-v"}
    for name, volts, asked in (
        ("tool", low, by_drop),
        ("tool", low + 1, both),
        ("tool", None, both),
        ("starter", None, by_drop),
        ("starter", low + 1, by_drop),
    ):
        about = facts(name, 4) if volts is None else facts(name, 4, rated_v=volts)
        assert {f.id for f in before.STAGE.offered(about, RULES)} & both == asked


def test_clearly_more_dust_than_the_wear_made_is_found() -> None:
    expected = dust_expected_g(SPRUNG, (10.0, 10.0), RULES)
    assert expected is not None
    for share, much in ((0.99, False), (1.0, False), (1.01, True)):
        made = sheet(SPRUNG, dust_g=share * RULES["dust.much"] * expected)
        assert ("dust.much" in {f.id for _, f in noted(made, RULES, (10.0, 10.0))}) is much
