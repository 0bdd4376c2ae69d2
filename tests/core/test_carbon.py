"""Length, wear, grades, limits and spread: the tables of the trade, and laws that must hold."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.carbon import DepthScale, centre_limit_mm, taper_deg, usable_carbon
from norvash.core.brush.limits import (
    Parts,
    estimated_limit,
    force_ends_mm,
    habit_limit_mm,
    least_force_n,
    limit_from_parts,
    limit_terms,
    warned,
)
from norvash.core.brush.spread import set_spread
from norvash.core.grades import GRADES, grade_of, grade_of_line, worst
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.errors import InputError


@pytest.mark.parametrize(
    ("usable", "grade"),
    [
        (1.0, "fit"),
        (0.41, "fit"),
        (0.40, "watch"),
        (0.26, "watch"),
        (0.25, "plan"),
        (0.11, "plan"),
        (0.10, "change"),
        (0.001, "change"),
        (0.0, "stop"),
        (-0.3, "stop"),
    ],
)
def test_grades_of_carbon(usable: float, grade: str, rules: MotorRules) -> None:
    assert grade_of(usable, rules).grade == grade


@pytest.mark.parametrize(("lines", "grade"), [(0, "fit"), (1, "watch"), (2, "plan"), (3, "stop")])
def test_grades_of_wear_lines(lines: int, grade: str) -> None:
    assert grade_of_line(lines).grade == grade


def test_the_worst_voice_wins(rules: MotorRules) -> None:
    found = worst([grade_of(u, rules) for u in (0.9, 0.2, 0.5)])
    assert found is not None
    assert found.grade == "plan"
    assert worst([]) is None


@given(st.floats(-0.5, 1.1), st.floats(0, 0.5))
def test_less_carbon_never_has_a_better_stage(usable: float, less: float) -> None:
    rules = shipped()
    assert GRADES.index(grade_of(usable - less, rules).grade) >= GRADES.index(grade_of(usable, rules).grade)


@given(st.floats(5, 60), st.floats(0.1, 0.9), st.floats(0, 1))
def test_usable_carbon_is_one_when_new_and_nothing_at_the_limit(new: float, share: float, left: float) -> None:
    limit = new * share
    assert usable_carbon(new, new, limit) == pytest.approx(1)
    assert usable_carbon(limit, new, limit) == pytest.approx(0)
    assert usable_carbon(limit + left * (new - limit), new, limit) == pytest.approx(left)


@pytest.mark.parametrize("limit", [22.0, 25.0, float("nan")])
def test_a_limit_that_is_not_below_the_new_length_is_refused(limit: float) -> None:
    with pytest.raises(InputError, match="not below"):
        usable_carbon(15, 22.0, limit)


@given(st.floats(5, 30), st.floats(10, 30), st.floats(0, 9))
def test_depth_and_length_tell_the_same_wear(depth_new: float, new: float, worn: float) -> None:
    scale = DepthScale(depth_new, depth_new + 12, depth_new + new)
    assert scale.wear_mm(depth_new + worn) == pytest.approx(worn)
    assert scale.length_mm(depth_new + worn) == pytest.approx(new - worn)
    assert scale.usable(depth_new + worn) == pytest.approx(usable_carbon(new - worn, new, new - 12), abs=1e-9)


def test_what_the_surface_sank_is_taken_out_of_wear_but_not_of_the_depth_limit() -> None:
    scale = DepthScale(21.4, 34.6, 58.1, sunk_mm=0.37)
    assert scale.wear_mm(33.9) == pytest.approx(12.13)
    assert scale.left_mm(33.9) == pytest.approx(0.7)
    with pytest.raises(InputError, match="not beyond"):
        DepthScale(21.4, 20.0)


def test_tilted_and_angled_faces() -> None:
    assert taper_deg(12.0, 12.0, 8.0) == 0
    assert taper_deg(12.0, 12.4, 8.0) == pytest.approx(2.862, abs=1e-3)
    assert centre_limit_mm(10.0, 12.0, 30.0) == pytest.approx(10 - 6 * 0.57735, abs=1e-4)
    with pytest.raises(InputError):
        taper_deg(12, 12.4, 0)


PARTS = {
    "lead root": ({"lead_root_depth_mm": 4.7}, 6.7, "lead root"),
    "lead reach": ({"lead_taut_length_mm": 6.25}, 7.25, "lead reach"),
    "spring stop": ({"spring_stop_length_mm": 5.35}, 6.35, "spring"),
    "guidance": ({"thickness_mm": 7.6, "holder_gap_mm": 1.35}, 2 * 7.6 / 3 + 1.35, "guidance"),
    "force before stop": (
        {"spring_stop_length_mm": 5.35, "force_new_n": 5.2, "force_nominal_n": 5.1, "spring_rate_n_per_mm": 0.085},
        9.323529,
        "spring",
    ),
    "band instead of nominal": (
        {"thickness_mm": 10, "width_mm": 20, "force_new_n": 5.0, "spring_rate_n_per_mm": 0.2, "band_low_kpa": 20},
        21.5 - 1 / 0.2 + 1,
        "spring",
    ),
    "constant force": (
        {"force_new_n": 5.2, "force_nominal_n": 5.1, "spring_rate_n_per_mm": 0, "lead_root_depth_mm": 3},
        5,
        "lead root",
    ),
    "band of the rulebook": (
        {"thickness_mm": 10, "width_mm": 20, "force_new_n": 5.0, "spring_rate_n_per_mm": 0.2},
        21.5 - 1.6 / 0.2 + 1,
        "spring",
    ),
    "force just enough for good": (
        {"force_new_n": 4.0, "force_nominal_n": 5.0, "spring_rate_n_per_mm": 0, "lead_root_depth_mm": 3},
        5,
        "lead root",
    ),
    "no rate": ({"force_new_n": 5.2, "force_nominal_n": 5.1, "lead_root_depth_mm": 3}, 5, "lead root"),
    "no force": ({"force_nominal_n": 5.1, "spring_rate_n_per_mm": 0.1, "lead_root_depth_mm": 3}, 5, "lead root"),
    "no width for a band": (
        {"thickness_mm": 3, "force_new_n": 5.0, "spring_rate_n_per_mm": 0.2, "lead_root_depth_mm": 3},
        5,
        "lead root",
    ),
    "no thickness for a band": (
        {"width_mm": 10, "force_new_n": 5.0, "spring_rate_n_per_mm": 0.2, "lead_root_depth_mm": 3},
        5,
        "lead root",
    ),
    "greatest of all": (
        {"lead_root_depth_mm": 4.7, "lead_taut_length_mm": 8, "spring_stop_length_mm": 5},
        9,
        "lead reach",
    ),
}


TERM_RULES = {
    "lead root": "limit.lead-root",
    "lead reach": "limit.lead-reach",
    "spring": "limit.spring",
    "guidance": "limit.guidance",
}


@pytest.mark.parametrize(("known", "limit", "governed"), PARTS.values(), ids=PARTS.keys())
def test_limits_from_the_parts(known: dict[str, float], limit: float, governed: str, rules: MotorRules) -> None:
    """Each part sets its own limit; while another is not known the estimate holds as the least, and it is marked."""
    found, least = limit_from_parts(Parts(new_mm=21.5, **known), rules), estimated_limit(21.5, rules)
    assert found is not None
    assert dict(found.terms)[governed] == pytest.approx(limit, abs=1e-6)
    assert found.limit_mm == max(dict(found.terms).values()) == pytest.approx(max(limit, least.limit_mm), abs=1e-6)
    assert (found.governed_by, found.estimated) == (governed if limit > least.limit_mm else "estimate", True)
    assert found.rule_ids == (*(TERM_RULES[n] for n, _ in found.terms if n != "estimate"), *least.rule_ids)
    whole: dict[str, float] = {
        "lead_root_depth_mm": 0.1,
        "lead_taut_length_mm": 0.1,
        "spring_stop_length_mm": 0.1,
        "thickness_mm": 0.5,
        "holder_gap_mm": 0.1,
    }
    sure = limit_from_parts(Parts(new_mm=21.5, **(whole | known)), rules)
    assert sure is not None
    assert sure.limit_mm == pytest.approx(limit, abs=1e-6)
    assert (sure.governed_by, sure.estimated, sure.source) == (governed, False, found.source)
    assert dict(sure.terms)[governed] == max(dict(sure.terms).values()) == sure.limit_mm
    assert (sure.rule_ids, sure.remark) == (tuple(TERM_RULES[n] for n, _ in sure.terms), "")
    assert found.remark == f"not known: {', '.join(n for n in TERM_RULES if n not in dict(found.terms))}"


def test_a_part_that_cannot_set_a_limit_is_named_and_left_out(rules: MotorRules) -> None:
    strong = {"force_new_n": 30.0, "force_nominal_n": 5.0, "spring_rate_n_per_mm": 0.05, "lead_root_depth_mm": 6.0}
    found = limit_from_parts(
        Parts(new_mm=22, lead_taut_length_mm=7, thickness_mm=8, holder_gap_mm=1.5, **strong), rules
    )
    assert found is not None
    assert (found.limit_mm, found.governed_by, found.estimated) == (8.0, "lead root", False)
    assert "the spring would set -497.00 mm, which is not possible: left out" in found.remark


def test_a_stated_limit_is_held_against_the_part_that_needs_most(rules: MotorRules) -> None:
    parts = Parts(new_mm=22, lead_root_depth_mm=7, spring_stop_length_mm=3, thickness_mm=0.2, holder_gap_mm=0.3)
    stated = estimated_limit(22, rules)
    most = dict(limit_terms(parts, rules))
    assert most == {"lead root": 9.0, "spring": 4.0, "guidance": pytest.approx(0.4 / 3 + 0.3)}
    assert warned(replace(stated, limit_mm=8.9), parts, rules).startswith("the lead root needs 9.00 mm")
    assert warned(replace(stated, limit_mm=9.0), parts, rules) == warned(stated, Parts(new_mm=22), rules) == ""
    found = limit_from_parts(parts, rules)
    assert found is not None
    assert dict(found.terms) == most | {"estimate": stated.limit_mm}
    with pytest.raises(InputError, match="The lead root would set the limit at 23"):
        limit_from_parts(replace(parts, lead_root_depth_mm=21), rules)


def test_a_spring_too_weak_from_the_start_leaves_no_carbon(rules: MotorRules) -> None:
    weak = Parts(new_mm=20, force_new_n=3.9, force_nominal_n=5, spring_rate_n_per_mm=0)
    assert force_ends_mm(weak, rules) == 20
    with pytest.raises(InputError, match="not below"):
        limit_from_parts(weak, rules)
    assert limit_from_parts(Parts(new_mm=20), rules) is None
    with pytest.raises(InputError, match="not below"):
        limit_from_parts(Parts(new_mm=20, lead_root_depth_mm=18), rules)
    assert least_force_n(Parts(new_mm=20, thickness_mm=10, width_mm=20), rules) is None
    assert force_ends_mm(Parts(new_mm=20, force_nominal_n=5), rules) is None


@pytest.mark.parametrize(("new", "limit"), [(30, 10), (18, 6), (12, 4), (9, 4), (6, 3.9), (5, 3.25)])
def test_the_estimate_is_a_share_at_least_four_at_most_two_thirds(new: float, limit: float, rules: MotorRules) -> None:
    found = estimated_limit(new, rules)
    assert found.limit_mm == pytest.approx(limit)
    assert found.estimated
    assert found.terms == (("estimate", found.limit_mm),)
    assert found.rule_ids == ("limit.estimate-share", "limit.estimate-least", "limit.estimate-most")


@pytest.mark.parametrize(
    ("motor_class", "share"),
    [
        ("starter", 0.58),
        ("industrial", 0.45),
        ("traction", 0.45),
        ("tool", 1 / 3),
        ("appliance", 1 / 3),
        ("generator", 1 / 3),
    ],
)
def test_the_estimate_goes_by_the_class(motor_class: str, share: float, rules: MotorRules) -> None:
    assert estimated_limit(20, MotorRules(rules.book, motor_class)).limit_mm == pytest.approx(share * 20)


def test_habits_are_used_only_where_they_can_be() -> None:
    assert habit_limit_mm(20, 0.3, 500, 1000) == pytest.approx(8)
    assert habit_limit_mm(20, 0.6, 500, 1000) is None
    assert habit_limit_mm(20, 0.5, 500, 1000) is None
    assert habit_limit_mm(20, 0.0, 500, 1000) is None
    assert habit_limit_mm(20, 0.49, 500, 1000) == pytest.approx(0.4)
    assert habit_limit_mm(20, 0.3, 0.5, 1) == pytest.approx(8)
    assert habit_limit_mm(20, 0.3, 1, 0.5) == pytest.approx(17)
    for at, done in ((0, 1000), (500, 0)):
        with pytest.raises(InputError):
            habit_limit_mm(20, 0.3, at, done)


SPREADS = {
    "even pair": ([3.0, 3.3], 0.0952, False, ()),
    "uneven pair": ([3.0, 4.0], 0.2857, True, ()),
    "pair at the edge": ([3.5, 4.5], 0.25, False, ()),
    "uneven in noise": ([0.10, 0.20], 0.6667, False, ()),
    "set of four": ([3.0, 3.1, 3.2, 4.4], 0.4088, True, ()),
    "four in bounds": ([3.0, 3.1, 3.2, 4.0], 0.3008, False, ()),
    "six, one stands out": ([5.0, 5.05, 5.1, 5.0, 4.95, 5.9], 0.1839, True, (6,)),
    "six alike": ([5.0, 5.05, 5.1, 5.0, 4.95, 5.08], 0.0298, False, ()),
}


@pytest.mark.parametrize(("wear", "spread", "uneven", "outliers"), SPREADS.values(), ids=SPREADS.keys())
def test_spread_of_a_set(
    wear: list[float], spread: float, uneven: bool, outliers: tuple[int, ...], rules: MotorRules
) -> None:
    found = set_spread(wear, 0.05, rules)
    assert found.spread == pytest.approx(spread, abs=1e-4)
    assert (found.uneven, found.outliers) == (uneven, outliers)


@pytest.mark.parametrize(
    ("wear", "ratio", "note"), [([5, 3, 5, 3], 5 / 3, True), ([4, 3, 4, 3], 4 / 3, False), ([0, 3, 0, 3], None, False)]
)
def test_polarity_effect(wear: list[float], ratio: float | None, note: bool, rules: MotorRules) -> None:
    found = set_spread(wear, 0.05, rules, ["+", "-", "+", "-"])
    assert found.polarity_ratio == (pytest.approx(ratio) if ratio else None)
    assert found.polarity_note is note


def test_one_brush_has_no_spread(rules: MotorRules) -> None:
    with pytest.raises(InputError):
        set_spread([3.0], 0.05, rules)
