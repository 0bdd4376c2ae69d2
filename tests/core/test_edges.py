"""What a verdict rests on, at its edges: where clocks start, which limit holds, whose voice is the worst, and what has
passed.
"""

import ast
import re
from collections.abc import Mapping
from dataclasses import replace
from datetime import date, timedelta
from math import log
from pathlib import Path
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

import norvash.core
from norvash.core.brush.carbon import usable_carbon
from norvash.core.brush.limits import Limit
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.diagnosis.causes import base_rates
from norvash.core.diagnosis.ranking import diagnose
from norvash.core.diagnosis.sign import NOT_SO, Sign
from norvash.core.diagnosis.signs import SIGNS
from norvash.core.edges import same
from norvash.core.grades import Graded
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions
from norvash.core.planning.forecast_of_motor import past_set_of
from norvash.core.rules.book import CLASSES, MotorRules
from norvash.core.rules.catalogue import rulebook_with, shipped
from norvash.core.stages.catalogue import FINDINGS as PARTS
from norvash.core.stages.gates import SAFE
from norvash.core.state.marks import Mark
from norvash.core.state.motor_state import BrushSet, MotorState, Overrule, Renewal
from norvash.core.state.rising import by_limit, by_look, grade_on
from norvash.core.state.round import Measured, Round
from norvash.core.state.set_clock import start_of
from norvash.core.verdict.components import MOTOR, components_of, conditions_of, motor_grade
from norvash.core.verdict.forecast_words import far_off
from norvash.core.verdict.judging import findings, past_limit
from norvash.core.verdict.set_grade import raised
from norvash.core.visit.lives import lives
from norvash.errors import InputError
from small_sheets import facts
from states import FITTED, T0, TODAY, a_round, foreseen, ruled, standing, state

LIMIT = Limit(limit_mm=8.0, source="maker", estimated=False, governed_by="maker")
WORN = a_round(20, 15, 16)


def with_set(given_state: MotorState, **changes: object) -> MotorState:
    return replace(given_state, sets=(replace(given_state.sets[0], **changes),))  # type: ignore[arg-type]


STARTS: dict[str, tuple[tuple[Round, ...], bool, float, float]] = {
    "bedded before fitted": (
        (a_round(0, 21.8, 21.7, kind="fitting"), a_round(2, 21.5, 21.4, kind="bedded"), WORN),
        True,
        21.5,
        40,
    ),
    "bedded, whatever came first": (
        (a_round(2, 21.5, 21.4, kind="bedded"), a_round(3, 21.3, 21.3, kind="fitting"), WORN),
        True,
        21.5,
        40,
    ),
    "fitted where it was not bedded": (
        (a_round(0, 21.8, 21.7, kind="fitting"), a_round(2, None, 21.4, kind="bedded"), WORN),
        True,
        21.8,
        0,
    ),
    "nominal where it was only looked at": ((WORN,), True, 22.0, 0),
    "the first look of a set of unknown age": ((a_round(4, 18, 18), WORN), False, 18.0, 80),
    "bedded before the first look": ((a_round(4, 18, 18), a_round(5, 17.9, 17.9, kind="bedded")), False, 17.9, 100),
}


@pytest.mark.parametrize(("rounds", "known", "length", "use"), STARTS.values(), ids=STARTS)
def test_where_the_clock_of_a_brush_starts(rounds: tuple[Round, ...], known: bool, length: float, use: float) -> None:
    found = start_of(state(*rounds, known=known), state(*rounds, known=known).current, 1, shipped())
    assert (found.length_mm, found.run_h) == (length, use)


def test_a_brush_renewed_by_itself_starts_anew_and_a_nominal_length_has_its_tolerance() -> None:
    renewed = with_set(
        state(WORN), renewed=(Renewal(1, 300, 21.9, 0.04), Renewal(1, 350, None, None), Renewal(2, 390, 21.7, 0.03))
    )
    first, second = (start_of(renewed, renewed.current, n, shipped()) for n in (1, 2))
    assert (first.length_mm, first.run_h, first.sd_mm) == (22.0, 350, 0.1)
    assert (second.length_mm, second.run_h, second.sd_mm) == (21.7, 390, 0.03)
    nominal = start_of(state(), state().current, 1, shipped())
    assert (nominal.run_h, nominal.sd_mm) == (0, 0.1)
    stated = state(own={**FITTED, "new_tolerance_mm": 0.5})
    assert start_of(stated, stated.current, 1, shipped()).sd_mm == 0.25
    again = with_set(stated, renewed=(Renewal(1, 300, None, None),))
    assert start_of(again, again.current, 1, shipped()).sd_mm == 0.25


def test_a_round_is_complete_where_only_younger_brushes_were_not_measured() -> None:
    def complete(*rounds: Round, renewed: tuple[Renewal, ...] = ()) -> list[str]:
        one = BrushSet(
            number=1,
            fitted_at=T0,
            fitted_units=0.0,
            fitted_known=True,
            ended_at=None,
            ended_units=None,
            end_reason="",
            rounds=rounds,
            id="s",
            renewed=renewed,
        )
        return [r.id for r in one.complete(even_positions(2))]

    half, whole, empty = a_round(10, None, 18), a_round(20, 15, 16), a_round(30)
    assert complete(half, whole, empty) == [whole.id]
    assert complete(half, whole, empty, renewed=(Renewal(1, 300, None, None),)) == [half.id, whole.id]
    assert complete(half, renewed=(Renewal(1, 200, None, None),)) == []
    assert complete(half, renewed=(Renewal(2, 300, None, None),)) == []
    assert complete(a_round(0, None, 18)) == []


TAUGHT: dict[str, tuple[tuple[Round, ...], tuple[Renewal, ...], float, bool]] = {
    "the old one alone, beside a renewed one": (
        (a_round(10, 18, 18), a_round(20, 21.5, 14)),
        (Renewal(1, 300, 22.0, 0.1),),
        log(8 / 400),
        False,
    ),
    "nothing from a round of young brushes only": (
        (a_round(10, 18, 18), a_round(20, 21.0, None)),
        (Renewal(1, 300, 22.0, 0.1),),
        log(4 / 200),
        False,
    ),
    "the lengths at its fitting, without one renewed since": (
        (a_round(0, 22, 21, kind="fitting"), a_round(20, 21.5, 13)),
        (Renewal(1, 300, 22.0, 0.1),),
        log(8 / 400),
        False,
    ),
    "wear that can be seen": ((a_round(10, 21.79, 21.79),), (), log(0.21 / 200), False),
    "wear that cannot be seen yet": ((a_round(10, 21.81, 21.81),), (), log(14 / 420), True),
}


@pytest.mark.parametrize(("rounds", "renewed", "rate", "at_most"), TAUGHT.values(), ids=TAUGHT)
def test_what_an_ended_set_teaches_at_its_edges(
    rounds: tuple[Round, ...], renewed: tuple[Renewal, ...], rate: float, at_most: bool
) -> None:
    ended = BrushSet(
        number=1,
        fitted_at=T0,
        fitted_units=0.0,
        fitted_known=True,
        ended_at=T0 + timedelta(weeks=21),
        ended_units=420.0,
        end_reason="planned",
        rounds=rounds,
        id="s",
        renewed=renewed,
    )
    found = past_set_of(ended, state(), LIMIT, shipped())
    assert found is not None
    assert found.log_rate == pytest.approx(rate)
    assert found.at_most is at_most


def test_a_motor_that_was_never_measured_has_not_passed_its_limit() -> None:
    unmeasured = foreseen(state(weeks=400, own={**FITTED, "expected_life_units": 1000.0}))
    ahead = unmeasured.ahead
    assert ahead is not None
    later = TODAY + timedelta(weeks=400)
    assert ahead.p50_units < unmeasured.ran_by(later)
    assert past_limit(unmeasured, later) is False
    found = findings(unmeasured, shipped(), later)
    assert (found.by_all, found.days.limit_on, found.rises[0].part) == (None, None, "look")


def test_a_limit_is_passed_by_day_or_by_use() -> None:
    worn = foreseen(state(WORN))
    assert worn.ahead is not None
    ran = worn.ran_by(TODAY)
    for p50, passed in ((ran + 1, False), (ran, True), (ran - 1, True)):
        assert past_limit(replace(worn, ahead=replace(worn.ahead, p50_units=p50)), TODAY) is passed
    assert not past_limit(replace(worn, ahead=None), TODAY)
    day = TODAY + timedelta(days=14)
    limit, look = by_limit(day, shipped()), by_look(Mark(kind="look", name="own", on=TODAY), TODAY - timedelta(days=30))
    for wanted, days in (("watch", -1), ("plan", 0), ("plan", 6), ("change", 7), ("change", 99)):
        assert grade_on("watch", limit, TODAY + timedelta(days=days)) == wanted
    assert [grade_on("fit", look, TODAY + timedelta(days=d)) for d in (0, 1, 30, 31)] == [
        "fit",
        "plan",
        "plan",
        "change",
    ]
    late = TODAY + timedelta(days=99)
    assert [grade_on(g, limit, late) for g in ("fit", "plan", "change", "stop", None)] == [
        "change",
        "change",
        "change",
        "stop",
        "change",
    ]
    assert (by_limit(None, shipped()), by_look(None, TODAY)) == ((), ())
    entry = worn.entries[-1]
    assert [worn.ran_by(entry.at.date() + timedelta(days=d)) for d in (-1, 0)] == [
        entry.total_units - 20,
        entry.total_units,
    ]
    assert replace(worn, entries=()).ran_by(TODAY) == 0.0
    found = findings(worn, shipped(), TODAY)
    years = [replace(found.days, limit_on=TODAY + timedelta(days=d)) for d in (365 * 15 + 3, 365 * 15 + 4)]
    ends = [replace(found, ahead=None, days=d) for d in (*years, replace(years[0], limit_on=None))]
    assert [far_off(f, TODAY, shipped()) for f in ends] == [False, True, False]


LIMITS: dict[str, tuple[Mapping[str, float | str], float, bool]] = {
    "a depth gauge by its constant": (
        {"method": "depth", "depth_new_mm": 4.0, "depth_limit_mm": 15.0, "depth_constant_mm": 25.0},
        10.0,
        False,
    ),
    "a depth gauge by its new depth": ({"method": "depth", "depth_new_mm": 4.0, "depth_limit_mm": 15.0}, 11.0, False),
    "a depth limit where a length is measured": (
        {"method": "length", "depth_new_mm": 4.0, "depth_limit_mm": 15.0},
        22 / 3,
        True,
    ),
    "a depth limit without the new depth": ({"method": "depth", "depth_limit_mm": 15.0}, 11.0, False),
    "the greater of length and depth": (
        {"method": "depth", "depth_new_mm": 4.0, "depth_limit_mm": 15.0, "limit_mm": 11.5},
        11.5,
        False,
    ),
    "the third wear line": ({"wear_line_3_mm": 7.5}, 7.5, False),
    "an estimate": ({}, 22 / 3, True),
    "sunk, by the maker": ({"limit_mm": 9.0, "sunk_mm": 0.4}, 9.0, False),
    "sunk, by the wear line": ({"wear_line_3_mm": 7.5, "sunk_mm": 0.4}, 7.9, False),
    "sunk, estimated": ({"sunk_mm": 0.4}, 22 / 3 + 0.4, True),
}


@pytest.mark.parametrize(("own", "limit", "estimated"), LIMITS.values(), ids=LIMITS)
def test_which_limit_holds(own: Mapping[str, float | str], limit: float, estimated: bool) -> None:
    found = motor_limit(Figures({"new_mm": 22.0, **own}, {}, {}), shipped())
    assert found.limit_mm == pytest.approx(limit)
    assert found.estimated is estimated
    assert ("further" in found.remark) is ("sunk_mm" in own)


def test_the_worst_voice_of_a_part_is_its_verdict_and_the_worst_part_the_motors() -> None:
    seen = a_round(20, 15, 16, seen=((1, "face.glazed"), (2, "lead.taut"), (1, "spring.off")))
    noted = standing(state(seen), (0, "windings.burnt"))
    conditions = conditions_of(noted, [seen], lives(noted.told), None)
    order = [("fit", "watch", "plan", "change", "stop").index(c.finding.grade) for c in conditions]
    assert order == sorted(order, reverse=True)
    assert {c.place for c in conditions} == {"Brush A", "Brush B", "Windings and magnets"}
    parts = {c.id: c for c in components_of(Graded("watch", "stage.watch"), conditions, ())}
    assert {c for c, part in parts.items() if part.id != c} == set()
    assert (parts["windings"].grade, parts["windings"].rule_id) == (PARTS["windings.burnt"].grade, "windings.burnt")
    only_length = {c.id: c for c in components_of(Graded("plan", "stage.plan"), (), ())}["brushes"]
    assert (only_length.grade, only_length.by, only_length.rule_id) == ("plan", "length", "stage.plan")
    worst, nobody = motor_grade(parts.values(), ())
    assert (worst is not None and worst.grade, nobody) == ("stop", None)


def test_what_somebody_decided_for_the_whole_motor_stands_over_its_parts() -> None:
    brushes, whole = (Overrule(part, "watch", "Ines", "the scale is wrong", TODAY) for part in ("brushes", MOTOR))
    parts = components_of(Graded("change", "stage.change"), (), (brushes,))
    assert [(c.grade, c.before) for c in parts if c.id == "brushes"] == [("watch", "change")]
    for overrules, grade, by in (
        ((brushes,), "watch", None),
        ((whole,), "watch", whole),
        ((brushes, whole), "watch", whole),
    ):
        graded, decided = motor_grade(components_of(Graded("change", "stage.change"), (), overrules), overrules)
        assert (graded and graded.grade, decided) == (grade, by)
    graded, decided = motor_grade(components_of(None, (), ()), (whole,))
    assert (graded, decided) == (Graded("watch", ""), whole)
    assert motor_grade(components_of(Graded("change", "stage.change"), (), ()), (whole,))[0] == Graded(
        "watch", "stage.change"
    )


LINES = [
    (0, 15.0, "fit"),
    (1, 15.0, "watch"),
    (2, 15.0, "plan"),
    (3, 15.0, "stop"),
    (0, 9.0, "fit"),
    (1, 8.0, "stop"),
    (2, 7.0, "stop"),
]


@pytest.mark.parametrize(("lines", "length", "grade"), LINES)
def test_a_wear_line_rules_unless_the_length_is_at_its_limit(lines: int, length: float, grade: str) -> None:
    found = findings(state(a_round(20, length, length, lines=lines)), shipped(), TODAY).brushes[0]
    assert found.graded is not None
    assert found.graded.grade == grade


def school(key: str) -> MotorRules:
    return MotorRules(rulebook_with([ruled("school.when", word=key)]))


def test_when_a_set_is_changed_by_each_school() -> None:
    def graded(key: str, *last: tuple[float, int | None], late: bool = False, out: bool = False) -> str:
        read = [Measured(length_mm=mm, sd_mm=0.05, low_mm=mm, high_mm=mm, lines=lines) for mm, lines in last]
        found = raised(Graded("fit", "stage.watch"), read, 20.0, school(key), late=late, out=out)
        return found.grade if found else ""

    assert [graded("share", (mm, None)) for mm in (5.1, 5.0)] == ["fit", "change"]
    assert [graded("lines", (15, lines)) for lines in (None, 0, 1, 2)] == ["fit", "fit", "plan", "change"]
    assert [graded(key, (15, None), late=True) for key in ("share", "symptoms")] == ["change", "fit"]
    assert [graded(key, (15, None), out=True) for key in ("share", "symptoms")] == ["stop", "stop"]
    assert [graded(key) for key in ("share", "lines")] == ["fit", "fit"]
    assert raised(None, [], 20.0, shipped(), late=True, out=True) is None
    assert raised(Graded("stop", "stage.stop"), [], 20.0, shipped(), late=True, out=True) == Graded(
        "stop", "stage.stop"
    )


def test_days_looks_and_the_length_at_the_next_look() -> None:
    worn = foreseen(state(a_round(10, 18.5, 19), WORN, own={**FITTED, "limit_mm": 8.0}))
    ahead = worn.ahead
    assert ahead is not None
    found = findings(replace(worn, asked_on=date(2026, 6, 9)), shipped(), TODAY)
    assert (found.days.limit_on, found.days.plan_on, found.days.early_on, found.days.late_on) == (
        ahead.p50_on,
        ahead.p10_on and ahead.p10_on - timedelta(days=14),
        ahead.p10_on,
        ahead.p90_on,
    )
    assert (found.look and found.look.on, found.days.look_on) == (date(2026, 6, 9), date(2026, 6, 9))
    own = next(d for d in found.dues if d.name == "forecast")
    assert (own.at_units, own.on, own.rule_id) == (ahead.look_units, ahead.look_on, "forecast.risk")
    assert "at most 5 chances in 100" in own.why
    first = found.brushes[0]
    assert first.rate_mm_per_kh is not None
    assert first.next_mm == pytest.approx(15 - first.rate_mm_per_kh * (ahead.look_units - 400) / 1000)
    plain = findings(replace(worn, ahead=None), shipped(), TODAY)
    assert plain.line is not None
    assert plain.line.look_again_h is not None
    assert plain.brushes[0].next_mm == pytest.approx(15 - first.rate_mm_per_kh * (plain.line.look_again_h - 500) / 1000)
    assert plain.days == replace(plain.line_days, early_on=plain.line_days.plan_on)
    edge = ahead.look_units - ahead.seen_units
    share = shipped()["forecast.stop"]
    short = [replace(worn, ahead=replace(ahead, life_units=edge / share * f)) for f in (0.99, 1.01)]
    assert [findings(s, shipped(), TODAY).too_short for s in short] == [False, True]


def test_polarity_is_looked_at_in_the_spread_of_a_set() -> None:
    four = findings(state(a_round(20, 12, 17, 12, 17), brushes=4), shipped(), TODAY)
    assert four.spread is not None
    assert four.spread.polarity_note is True


@given(st.sampled_from(CLASSES), st.sampled_from(SIGNS), st.randoms(use_true_random=False))
def test_the_ratio_of_a_sign_turns_the_odds_of_every_cause_as_it_says(
    motor_class: str, sign: Sign, random: Random
) -> None:
    answer = random.choice([*(a.id for a in sign.answers), *([NOT_SO] if sign.not_so else [])])
    base = base_rates(motor_class, ())
    for ranked in diagnose(motor_class, {sign.id: answer}, shipped()).ranked:
        before, after = base[ranked.cause.id], ranked.chance
        for reason in (*ranked.speaks_for, *ranked.speaks_against):
            assert after / (1 - after) == pytest.approx(before / (1 - before) * reason.ratio)
        if not (*ranked.speaks_for, *ranked.speaks_against) and before > 0:
            assert abs(log(after / (1 - after) * (1 - before) / before)) <= 0.1 + 1e-9


# What names a measured value, a limit or a rule; what only orders moments of use is no judgement.
_MEASURED = re.compile(r"\b\w+_(?:mm|n|v|a|c|ohm|mohm|megohm|kpa|rpm|w|units|deg)\b|\brules\[")
_ORDER_OF_USE = re.compile(r"\b(?:total_units|run_h|at_s)\b|\blen\(|timedelta|\.days\b")


def test_every_judgement_goes_by_the_one_tolerance() -> None:
    """A bare sign would tell the same value apart by how it was typed or added up."""
    core = Path(norvash.core.__path__[0])
    bare, seen = [], 0
    for path in core.rglob("*.py"):
        if path.name in ("edges.py", "forecast_of_motor.py") or path.is_relative_to(core / "forecast"):
            continue
        for node in ast.walk(ast.parse(path.read_text())):
            if not isinstance(node, ast.Compare) or not any(isinstance(o, _ORDERS) for o in node.ops):
                continue
            seen += 1
            values = [x for x in (node.left, *node.comparators) if not isinstance(x, ast.Constant | ast.UnaryOp)]
            text = ast.unparse(node)
            if len(values) > 1 and _MEASURED.search(text) and not _ORDER_OF_USE.search(text):
                bare.append(f"{path.relative_to(core)}:{node.lineno}: {text}")
    assert bare == []
    assert seen > 200


_ORDERS = (ast.Lt, ast.LtE, ast.Gt, ast.GtE)


# A hair beside the limit, as converting and adding up leave it: it is the limit.
HAIR = 1e-12


@pytest.mark.parametrize("off", [-HAIR, 0.0, HAIR])
def test_a_hair_beside_a_limit_is_the_limit(off: float, rules: MotorRules) -> None:
    most = rules["lift.person"]
    steps = SAFE.steps(facts(mass_kg=most * (1 + off)), rules)
    assert "lift" not in {s.id for s in steps}
    assert not facts(rated_v=50 * (1 + off)).low_voltage
    with pytest.raises(InputError, match="is not below the new length"):
        usable_carbon(8.0, new_mm=8.0, limit_mm=8 * (1 + off))


@pytest.mark.parametrize("limit", [0.0, 1e-3, 1.0, 48.0, 1480.0])
def test_a_limit_is_as_wide_as_a_thousand_millionth(limit: float) -> None:
    wide = 1e-9 * max(limit, 1.0)
    assert same(limit + 0.97 * wide, limit)
    assert not same(limit + 1.04 * wide, limit)
