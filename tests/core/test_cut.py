"""The cut: depths, passes, speeds, slots and where it is made, each at its edge.

Never over the armature's rated speed.
"""

from dataclasses import replace
from math import pi
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.commutator.after_cut import chamfer_mm, checks_of, learnt_factor, slot_minutes, where_to_cut
from norvash.core.commutator.cut import Copper, Plan, Way
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.errors import InputError

COPPER = Copper(
    diameter_mm=60,
    least_diameter_mm=56,
    groove_radial_mm=0.1,
    pit_radial_mm=0.3,
    tir_mm=0.04,
    slot_depth_radial_mm=1.5,
    slot_width_mm=0.6,
    track_axial_mm=20,
)
WAY = Way(
    rough_radial_mm=0.1,
    finish_radial_mm=0.03,
    cutting_speed_m_per_min=60,
    rough_feed_mm_per_rev=0.08,
    finish_feed_mm_per_rev=0.05,
    overrun_axial_mm=4,
)
MOST = 1000 * 60 / (pi * 60)


def about(value: Any, **how: Any) -> Any:
    return None if value is None else pytest.approx(value, **how)


def plan(rules: MotorRules, way: dict[str, Any] | None = None, **copper: Any) -> Plan:
    return plan_cut(replace(COPPER, **copper), replace(WAY, **(way or {})), rules)


def test_a_cut_by_hand(rules: MotorRules) -> None:
    found = plan(rules)
    assert (found.copper, found.way) == (COPPER, WAY)
    assert (found.least_diameter_mm, found.provisional, found.leaving, found.chosen) == (56, False, None, found.full)
    assert (found.chosen.radial_mm, found.chosen.diameter_after_mm) == (about(0.34), about(59.32))
    assert (found.chosen.allowed, found.chosen.under_by_diameter_mm, found.chosen.left_radial_mm) == (
        True,
        0.0,
        about(1.66),
    )
    assert (found.chosen.skims_left, found.deepest_radial_mm, found.sunk_radial_mm) == (4, 2.0, about(0.24))
    assert (found.touch_radial_mm, found.rough_passes, found.rough_pass_radial_mm) == (about(0.36), 4, about(0.0825))
    assert found.speed_rpm == found.speed_most_rpm == about(MOST)
    assert found.warnings == ()
    rough, finish = 24 / (0.08 * MOST), 24 / (0.05 * MOST)
    passes = [
        (
            p.number,
            p.kind,
            p.infeed_radial_mm,
            p.total_radial_mm,
            p.diameter_mm,
            p.speed_rpm,
            p.feed_mm_per_rev,
            p.takes_min,
        )
        for p in found.passes
    ]
    assert passes == [
        *(
            (
                n,
                "rough",
                about(0.0825),
                about(n * 0.0825),
                about(60.04 - n * 0.165),
                found.speed_rpm,
                0.08,
                about(rough),
            )
            for n in range(1, 5)
        ),
        (5, "finish", 0.03, about(0.36), about(59.32), found.speed_rpm, 0.05, about(finish)),
    ]
    assert found.cutting_min == about(4 * rough + finish)
    assert found.total_min == about(4 * rough + finish + 10)


PASSES = {
    "a light touch is one finish pass": ({"groove_radial_mm": 0, "pit_radial_mm": 0, "tir_mm": 0}, 0, 0.0, [0.02]),
    "just the finish depth": ({"groove_radial_mm": 0.01, "pit_radial_mm": 0, "tir_mm": 0}, 0, 0.0, [0.03]),
    "a whole number of rough passes": ({"pit_radial_mm": 0.31, "tir_mm": 0}, 3, 0.1, [0.1, 0.1, 0.1, 0.03]),
    "a hair more takes another": ({"pit_radial_mm": 0.3101, "tir_mm": 0}, 4, 0.075025, [0.075025] * 4 + [0.03]),
}


@pytest.mark.parametrize(("copper", "number", "rough", "infeeds"), PASSES.values(), ids=PASSES)
def test_passes(copper: dict[str, Any], number: int, rough: float, infeeds: list[float], rules: MotorRules) -> None:
    found = plan(rules, **copper)
    assert (found.rough_passes, found.rough_pass_radial_mm) == (number, about(rough))
    assert [p.infeed_radial_mm for p in found.passes] == about(infeeds)


def test_pits_may_be_left_only_where_they_are_the_deepest(rules: MotorRules) -> None:
    left = plan(rules, {"pit_left_radial_mm": 0.1})
    assert left.leaving is not None
    assert left.chosen is left.leaving
    assert (left.chosen.radial_mm, left.full.radial_mm) == (about(0.24), about(0.34))
    assert plan(rules, {"pit_left_radial_mm": 0.1}, pit_radial_mm=0.1).leaving is None
    assert plan(rules, {"pit_left_radial_mm": 0.1}, pit_radial_mm=0.15).chosen.radial_mm == about(0.14)
    assert way_of("carbide", rules).pit_left_radial_mm == 0.0
    assert way_of("carbide", rules, (100, 200), 900, 0.2) == Way(
        rough_radial_mm=0.1,
        finish_radial_mm=0.03,
        cutting_speed_m_per_min=150,
        rough_feed_mm_per_rev=0.08,
        finish_feed_mm_per_rev=0.05,
        overrun_axial_mm=4,
        speeds_rpm=(100, 200),
        rated_rpm=900,
        pit_left_radial_mm=0.2,
    )


def test_the_least_diameter_is_never_passed(rules: MotorRules) -> None:
    edge = plan(rules, groove_radial_mm=0.1, pit_radial_mm=0, tir_mm=0, least_diameter_mm=59.76)
    assert (edge.chosen.allowed, edge.chosen.skims_left, edge.chosen.under_by_diameter_mm) == (
        True,
        0,
        about(0, abs=1e-9),
    )
    under = plan(rules, groove_radial_mm=0.1, pit_radial_mm=0, tir_mm=0, least_diameter_mm=59.9)
    assert (under.chosen.allowed, under.chosen.skims_left, under.chosen.under_by_diameter_mm) == (False, 0, about(0.14))
    assert plan(rules, groove_radial_mm=0.1, pit_radial_mm=0, tir_mm=0, least_diameter_mm=59.28).chosen.skims_left == 2
    assert plan(rules, least_diameter_mm=61).deepest_radial_mm == 0.0
    estimated = plan(rules, least_diameter_mm=None, new_diameter_mm=62)
    assert (estimated.least_diameter_mm, estimated.provisional) == (about(0.965 * 62), True)


# Speeds of the machine, rated speed: the speed that is taken, and whether it is held back.
SPEEDS: dict[str, tuple[tuple[float, ...], float | None, float | None, bool]] = {
    "any speed": ((), None, MOST, False),
    "over the rated speed": ((), 250, 250, True),
    "under the rated speed": ((), 400, MOST, False),
    "just the rated speed": ((), MOST, MOST, False),
    "the fastest that fits": ((100, 200, 300, 400), None, 300, False),
    "one that is just the rated speed": ((100, 250, 300), 250, 250, True),
    "half a turn over it": ((100, 250.5), 250, 100, True),
    "none fits": ((300, 400), 250, None, True),
}


@pytest.mark.parametrize(("speeds", "rated", "speed", "held"), SPEEDS.values(), ids=SPEEDS)
def test_speeds(
    speeds: tuple[float, ...], rated: float | None, speed: float | None, held: bool, rules: MotorRules
) -> None:
    found = plan(rules, {"speeds_rpm": speeds, "rated_rpm": rated})
    assert found.speed_rpm == (about(speed))
    assert any("rated 250 r/min" in w for w in found.warnings) is held
    assert (found.cutting_min is None, found.total_min is None) == (speed is None, speed is None)
    assert [p.speed_rpm for p in found.passes] == [found.speed_rpm] * 5
    assert any("not on this machine" in w for w in found.warnings) is (speed is None)


@given(
    st.floats(5, 500),
    st.sampled_from(["hss", "carbide", "diamond"]),
    st.lists(st.floats(10, 5000), max_size=6),
    st.none() | st.floats(50, 30000),
)
def test_no_cut_is_ever_made_over_the_rated_speed_or_that_of_the_tool(
    diameter: float, tool: str, speeds: list[float], rated: float | None
) -> None:
    rules = shipped()
    found = plan_cut(
        Copper(diameter_mm=diameter, least_diameter_mm=diameter * 0.9), way_of(tool, rules, speeds, rated), rules
    )
    if found.speed_rpm is not None:
        assert found.speed_rpm <= found.speed_most_rpm + 1e-6
        assert rated is None or found.speed_rpm <= rated + 1e-6
        assert not speeds or found.speed_rpm in speeds
    else:
        assert min(speeds) > min(found.speed_most_rpm, rated or found.speed_most_rpm)


def test_slender_armatures_and_tracks_that_are_not_known(rules: MotorRules) -> None:
    assert (
        plan(rules, bearing_span_mm=300, shaft_diameter_mm=30).warnings
        == plan(rules, bearing_span_mm=301).warnings
        == ()
    )
    assert "long and thin" in plan(rules, bearing_span_mm=300.1, shaft_diameter_mm=30).warnings[0]
    unknown = plan(rules, track_axial_mm=None)
    assert (unknown.cutting_min, unknown.total_min, unknown.speed_rpm) == (None, None, about(MOST))
    assert {p.takes_min for p in unknown.passes} == {None}


# Slot depth and width, flush: after the cut of 0.34 mm, by how much to undercut, to what.
SLOTS: dict[str, tuple[dict[str, Any], float | None, float | None, float | None]] = {
    "deep enough": ({}, 1.16, 0.0, 0.72),
    "too shallow": ({"slot_depth_radial_mm": 0.8}, 0.46, 0.26, 0.72),
    "just enough": ({"slot_depth_radial_mm": 0.84}, 0.50, 0.0, 0.72),
    "a wider slot, enough": ({"slot_depth_radial_mm": 1.1, "slot_width_mm": 0.9}, 0.76, 0.0, 1.08),
    "a wider slot, not enough": ({"slot_depth_radial_mm": 1.05, "slot_width_mm": 0.9}, 0.71, 0.37, 1.08),
    "a very wide slot": ({"slot_depth_radial_mm": 1.9, "slot_width_mm": 2.0}, 1.56, 0.04, 1.6),
    "a very narrow slot": ({"slot_depth_radial_mm": 0.8, "slot_width_mm": 0.3}, 0.46, 0.04, 0.5),
    "width not known": ({"slot_width_mm": None}, 1.16, None, None),
    "depth not known": ({"slot_depth_radial_mm": None}, None, None, None),
    "cut away": ({"slot_depth_radial_mm": 0.2}, 0.0, 0.72, 0.72),
    "a stated depth": ({"slot_depth_radial_mm": 0.8, "slot_target_radial_mm": 1.3}, 0.46, 0.84, 1.3),
    "small, deep enough": (
        {"diameter_mm": 39.9, "least_diameter_mm": 35, "slot_depth_radial_mm": 0.83, "slot_width_mm": 0.5},
        0.49,
        0.0,
        0.6,
    ),
    "small, too shallow": (
        {"diameter_mm": 39.9, "least_diameter_mm": 35, "slot_depth_radial_mm": 0.73, "slot_width_mm": 0.35},
        0.39,
        0.0,
        0.5,
    ),
    "small, under its least": (
        {"diameter_mm": 39.9, "least_diameter_mm": 35, "slot_depth_radial_mm": 0.63, "slot_width_mm": 0.35},
        0.29,
        0.21,
        0.5,
    ),
    "flush": ({"flush": True}, None, None, None),
    "flush without a width": ({"flush": True, "slot_width_mm": None}, None, None, None),
}


@pytest.mark.parametrize(("copper", "after", "by", "to"), SLOTS.values(), ids=SLOTS)
def test_slots(
    copper: dict[str, Any], after: float | None, by: float | None, to: float | None, rules: MotorRules
) -> None:
    found = plan(rules, **copper)
    wanted = tuple(about(x) for x in (after, by, to))
    assert (found.slot_after_radial_mm, found.undercut_by_radial_mm, found.undercut_to_radial_mm) == wanted


REFUSED: dict[str, tuple[dict[str, Any], dict[str, Any]]] = {
    "no diameter": ({"diameter_mm": 0}, {}),
    "no least and no new diameter": ({"least_diameter_mm": None}, {}),
    "another commutator's least": ({"least_diameter_mm": 90.1}, {}),
    "over the new one": ({"new_diameter_mm": 59.9}, {}),
    "least over new": ({"least_diameter_mm": 61.0, "new_diameter_mm": 60.5}, {}),
    "a groove that is not possible": ({"groove_radial_mm": 15.1}, {}),
    "a pit that is not possible": ({"pit_radial_mm": 15.1}, {}),
    "a run-out that is not possible": ({"tir_mm": 15.1}, {}),
    "a finish deeper than a rough cut": ({}, {"finish_radial_mm": 0.11}),
}


@pytest.mark.parametrize(("copper", "way"), REFUSED.values(), ids=REFUSED)
def test_figures_that_contradict_each_other(copper: dict[str, Any], way: dict[str, Any], rules: MotorRules) -> None:
    with pytest.raises(InputError):
        plan(rules, way, **copper)


def test_figures_at_the_edge_are_taken(rules: MotorRules) -> None:
    assert not plan(rules, least_diameter_mm=90).chosen.allowed
    assert plan(rules, new_diameter_mm=60).least_diameter_mm == 56
    assert plan(rules, groove_radial_mm=15).chosen.radial_mm == about(15.04)
    assert plan(rules, {"finish_radial_mm": 0.1}).passes[-1].infeed_radial_mm == 0.1
    assert plan(
        rules, diameter_mm=0.5, least_diameter_mm=0.4, groove_radial_mm=0, pit_radial_mm=0, tir_mm=0
    ).chosen.allowed


def test_where_it_is_cut_and_what_is_checked(rules: MotorRules) -> None:
    assert where_to_cut(plan(rules), rules)[0] == "own"
    assert where_to_cut(plan(rules), rules, true_setup=True)[0] == "own"
    assert where_to_cut(plan(rules, pit_radial_mm=0.48, tir_mm=0), rules)[0] == "own"
    assert (
        where_to_cut(plan(rules, groove_radial_mm=0, pit_radial_mm=0, tir_mm=0, least_diameter_mm=59.92), rules)[0]
        == "own"
    )
    why = {
        "a bar is loose": plan(rules, loose=True),
        "more than 0.5 mm": plan(rules, pit_radial_mm=0.481, tir_mm=0),
        "no further cut": plan(rules, groove_radial_mm=0, pit_radial_mm=0, tir_mm=0, least_diameter_mm=59.921),
        "no speed": plan(rules, {"speeds_rpm": (9000,)}),
    }
    for words, cut in why.items():
        where, reasons = where_to_cut(cut, rules)
        assert (where, len(reasons)) == ("out", 1)
        assert words in reasons[0]
    for rpm, true in ((None, "0.004"), (9600, "0.004"), (9500, "0.01")):
        assert (
            f"set up within {true} mm" in where_to_cut(plan(rules, {"rated_rpm": rpm}), rules, true_setup=False)[1][0]
        )
    tool = MotorRules(rules.book, "tool")
    assert "0.004 mm" in where_to_cut(plan(tool, {"rated_rpm": 3000}), tool, true_setup=False)[1][0]
    assert "0.01 mm" in where_to_cut(plan(tool, diameter_mm=60.1, least_diameter_mm=55), tool, true_setup=False)[1][0]
    said = [
        checks_of(plan(rules, **c), rules)[1][0]
        for c in ({"flush": True}, {"slot_depth_radial_mm": 0.8}, {}, {"slot_depth_radial_mm": None})
    ]
    assert said == [
        "flush insulation: never undercut",
        "slots undercut to 0.72 mm, 0.26 mm deeper than after the cut",
        "slots deep enough, or not measured",
        "slots deep enough, or not measured",
    ]
    before, after = checks_of(plan(rules), rules)
    assert "runs true" in before[0]
    assert "bar test made again" in after


# Bars, slot, flush: the chamfer of an edge.
CHAMFERS: dict[str, tuple[int | None, dict[str, Any], tuple[float, float] | None]] = {
    "wide bars": (36, {}, (0.2, 0.4)),
    "bars not counted": (None, {}, (0.2, 0.4)),
    "narrow bars": (60, {}, (0.1, 0.2)),
    "a shallow slot": (36, {"slot_depth_radial_mm": 0.94}, (0.2, 0.3)),
    "a very shallow slot": (
        36,
        {"slot_depth_radial_mm": 0.6, "slot_width_mm": 0.3, "slot_target_radial_mm": 0.26},
        (0.13, 0.13),
    ),
    "flush": (36, {"flush": True}, None),
}


@pytest.mark.parametrize(("bars", "copper", "wanted"), CHAMFERS.values(), ids=CHAMFERS)
def test_chamfers(
    bars: int | None, copper: dict[str, Any], wanted: tuple[float, float] | None, rules: MotorRules
) -> None:
    assert chamfer_mm(plan(rules, **copper), bars, rules) == (None if wanted is None else about(wanted))


def test_time_for_the_slots(rules: MotorRules) -> None:
    assert (slot_minutes(45, rules), slot_minutes(45, rules, 1.5)) == (45, 67.5)
    assert learnt_factor([], rules) == 1.0
    assert learnt_factor([1.6], rules) == about(1.2)
    assert learnt_factor([1.2, 2.0], rules) == about(1 + 0.6 * 2 / 3)
    assert learnt_factor([1.5] * 6, rules) == about(1.5)
