"""What moves in the answer of each sum when one of its inputs moves or is left out: nothing else may."""

from collections.abc import Iterator, Mapping
from dataclasses import MISSING, Field, fields
from typing import Any

from norvash.core.rules.book import MotorRules
from norvash.core.sums.catalogue import SUMS
from norvash.core.sums.registry import Sum
from norvash.errors import InputError
from norvash.work.pages.sums import answer
from whole import assert_no_word_moved, kept

TABLE = {
    "rows_h": [260, 520, 1040],
    "columns_mm": [8.45, 8.95, 9.45, 9.85],
    "cells_h": [[425, 310, 165, 55], [710, 520, 290, 110], [955, 770, 435, 195]],
}
# What each sum is asked beside its example, so that each of its inputs is given at least once.
BESIDE: tuple[tuple[str, dict[str, Any]], ...] = (
    ("usable-carbon", {"depth_mm": 24.5, "depth_new_mm": 20.0, "depth_limit_mm": 34.0}),
    (
        "usable-carbon",
        {"depth_mm": 27.5, "depth_constant_mm": 42.0, "depth_new_mm": 20.0, "depth_limit_mm": 34.0, "sunk_mm": 0.4},
    ),
    (
        "usable-carbon",
        {"protrusion_mm": 1.5, "protrusion_constant_mm": 14.0, "new_mm": 22.0, "limit_mm": 8.0, "sunk_mm": 0.4},
    ),
    (
        "brush-limit",
        {
            "new_mm": 22.0,
            "thickness_mm": 8.0,
            "width_mm": 12.5,
            "holder_gap_mm": 1.5,
            "lead_root_depth_mm": 5.0,
            "face_angle_deg": 20.0,
            "lead_taut_length_mm": 8.5,
            "spring_stop_length_mm": 7.0,
            "force_new_n": 5.0,
            "spring_rate_n_per_mm": 0.2,
            "band_low_kpa": 18.0,
            "sunk_mm": 0.3,
            "habit_gone_share": 0.4,
            "habit_at_h": 500.0,
            "habit_set_h": 900.0,
        },
    ),
    (
        "brush-limit",
        {
            "new_mm": 22.0,
            "thickness_mm": 8.0,
            "maker_limit_mm": 9.0,
            "force_nominal_n": 5.0,
            "spring_rate_n_per_mm": 0.2,
        },
    ),
    (
        "straight-line",
        {
            "start_mm": 22.0,
            "limit_mm": 8.0,
            "start_run_h": 100.0,
            "run_h": 520.0,
            "length_mm": 16.2,
            "previous_run_h": 400.0,
            "previous_length_mm": 18.5,
            "standard_uncertainty_mm": 0.2,
        },
    ),
    (
        "straight-line",
        {
            "start_mm": [22.0, 21.8],
            "limit_mm": 8.0,
            "run_h": 520.0,
            "lengths_mm": [16.2, None],
            "previous_run_h": 400.0,
            "previous_lengths_mm": [18.5, 18.4],
        },
    ),
    ("set-spread", {"wear_mm": [2.0, 3.1, 2.2, 2.3], "polarity": ["+", "-", "+", "-"], "standard_uncertainty_mm": 0.4}),
    ("interval-table", {**TABLE, "run_h": [300, 730, 2000], "depths_mm": [8.5, 9.0, 9.6], "longest_h": 400.0}),
    ("interval-table", {**TABLE, "run_h": 730.0, "worst_depth_mm": 9.0, "longest_h": 300.0, "since_check_h": 350.0}),
    ("interval-table", {**TABLE, "columns_mm": [20.0, 18.0, 16.0, 14.0], "run_h": 730.0, "lengths_mm": [17.0, 18.5]}),
    (
        "interval-table",
        {**TABLE, "columns_mm": [20.0, 18.0, 16.0, 14.0], "run_h": [500.0, 9000.0], "worst_length_mm": [17.0, 13.0]},
    ),
    ("interval-table", {**TABLE, "run_h": [500.0, 600.0], "worst_depth_mm": 9.0}),
    ("interval-table", {**TABLE, "run_h": 600.0, "worst_depth_mm": [9.0, 9.9]}),
    (
        "spring-pressure",
        {
            "force_n": 6.2,
            "thickness_mm": 9.5,
            "width_mm": 12.5,
            "motor_class": "tool",
            "band_low_kpa": 20.0,
            "band_high_kpa": 60.0,
            "force_nominal_n": 7.0,
        },
    ),
    (
        "spring-pressure",
        {"force_n": 9.0, "thickness_mm": 9.5, "width_mm": 12.5, "motor_class": "tool", "force_nominal_n": 7.0},
    ),
    ("spring-pressure", {"force_n": 2.0, "thickness_mm": 9.5, "width_mm": 12.5, "motor_class": "starter"}),
    (
        "current-density",
        {
            "current_a": 86,
            "brush_count": 8,
            "thickness_mm": 12.5,
            "width_mm": 26.5,
            "contact_share": 0.6,
            "guide_low_a_per_cm2": 8.0,
            "guide_high_a_per_cm2": 12.0,
            "commutator_d_mm": 120.0,
            "bars": 87,
            "supply_v": 24.0,
            "force_n": 6.0,
            "speed_m_per_s": 9.0,
            "grade": "electrographite",
        },
    ),
    (
        "current-density",
        {
            "current_a": 400,
            "brush_count": 4,
            "thickness_mm": 10.0,
            "width_mm": 20.0,
            "grade": "metal-graphite",
            "force_n": 6.0,
            "speed_m_per_s": 9.0,
        },
    ),
    (
        "holder-fit",
        {
            "thickness_mm": 12.48,
            "width_mm": 24.9,
            "box_thickness_mm": 12.9,
            "box_width_mm": 24.8,
            "holder_gap_mm": 2.5,
            "motor_class": "industrial",
        },
    ),
    (
        "seating",
        {
            "commutator_d_mm": 62.0,
            "thickness_mm": 9.0,
            "new_mm": 23.0,
            "limit_mm": 9.0,
            "worn_mm": 0.08,
            "face_radius_mm": 32.0,
            "brush_count": 8,
            "steady_rate_mm_per_kh": 2.0,
        },
    ),
    ("seating", {"commutator_d_mm": 300.0, "thickness_mm": 9.0, "brush_count": 16}),
    ("cable-drop", {"current_a": 60, "length_m": 12.0, "section_mm2": 6, "ways": 1, "temp_c": 50.0, "rated_v": 230.0}),
    ("battery", {"rest_v": 25.4, "cranking_v": 18.0, "current_a": 400, "temp_c": -10, "rated_v": 24.0}),
    ("battery", {"rest_v": 11.8, "rated_v": 12.0}),
    (
        "find-cause",
        {
            "motor_class": "appliance",
            "seen": ["weak", "ohms=swings"],
            "not_seen": ["loud"],
            "surroundings": ["wet"],
            "ruled_out": ["stuck"],
            "state": "opened",
            "power_allowed": False,
        },
    ),
    (
        "bar-map",
        {
            "bars": 45,
            "poles": 4,
            "winding": "lap",
            "marked_bars": [7, 18, 29, 41],
            "burnt_bars": [7, 8],
            "bars_covered": 2.5,
        },
    ),
    ("bar-map", {"bars": 87, "poles": 4, "winding": "wave", "commutator_pitch": 43, "marked_bars": [3, 46]}),
    (
        "run-out",
        {
            "readings_mm": [0.02, 0.021, 0.02, 0.06, 0.02, 0.019, 0.02, 0.02, 0.021, 0.02],
            "diameter_mm": 60,
            "speed_rpm": 3000,
            "per_bar": True,
        },
    ),
    (
        "bar-test",
        {
            "readings_milliohm": [10, 10.1, 10, 9.9, 5, 10, 10, 10, 10, 10, 20, 10],
            "bars": 12,
            "slots": 6,
            "pole_pairs": 1,
            "winding": "lap",
            "noise": 0.02,
            "industrial_drop": True,
        },
    ),
    *(
        ("surface-work", {name: True, "abrasive": "commutator stone"})
        for name in ("bar_fault", "loose_bars", "under_least", "high_again", "grooved", "tir_over", "light_dirt")
    ),
    (
        "skim-plan",
        {
            "diameter_mm": 96.4,
            "diameter_new_mm": 100.0,
            "groove_mm": 0.1,
            "pit_mm": 0.3,
            "pit_left_mm": 0.1,
            "tir_mm": 0.07,
            "rough_cut_mm": 0.08,
            "finish_cut_mm": 0.02,
            "tool": "diamond",
            "rated_rpm": 900.0,
            "cutting_speed_m_per_min": 200.0,
            "rough_feed_mm_per_rev": 0.1,
            "finish_feed_mm_per_rev": 0.04,
            "run_out_mm": 5.0,
            "track_mm": 40.0,
            "flush": True,
            "slot_depth_mm": 0.2,
        },
    ),
    (
        "insulation",
        {
            "resistance_megohm": 3.0,
            "temperature_c": 60.0,
            "machine": "old",
            "rated_v": 440.0,
            "one_minute_megohm": 40.0,
            "ten_minutes_megohm": 70.0,
        },
    ),
    ("insulation", {"resistance_megohm": 0.9, "machine": "earthed"}),
    ("field-coils", {"coils_ohm": [41.2, 40.8]}),
    ("field-coils", {"cold_ohm": 2.31, "hot_ohm": 2.9}),
    ("bearing-designation", {"designation": "62206-2RS"}),
    ("bearing-designation", {"designation": "6203-X9 C3"}),
    (
        "bearing-life",
        {
            "capacity_kn": 14.1,
            "load_kn": 0.64,
            "speed_rpm": 2870,
            "bore_mm": 20,
            "outside_mm": 47,
            "width_mm": 14,
            "sealed": True,
            "run_h": 15000.0,
            "age_years": 16.0,
        },
    ),
    ("bearing-life", {"capacity_kn": 14.1, "load_kn": 0.64, "speed_rpm": 2870, "run_h": 100.0, "age_years": 20.0}),
    ("kit-fit", {"seal_bore_mm": 25.0, "seal_shaft_mm": 25.2, "seal_outside_mm": 47.2, "recess_mm": 47.0}),
    ("kit-fit", {"ring_section_mm": 3.0, "ring_groove_mm": 2.4}),
    ("usable-carbon", {"depth_mm": 34.0, "depth_new_mm": 20.0, "depth_limit_mm": 34.0}),
    ("cable-drop", {"current_a": 60, "length_m": 1.5, "section_mm2": 1.5}),
    ("find-cause", {"motor_class": "tool", "seen": ["volts=missing"]}),
    ("bearing-designation", {"designation": "6204-2Z/QX7"}),
    ("find-cause", {"motor_class": "tool", "seen": ["ohms"]}),
    ("bar-test", {"readings_milliohm": [1, 50, 1, 50], "bars": 4}),
    ("insulation", {"resistance_megohm": 8.0, "temperature_c": 20.0, "machine": "modern"}),
    ("kit-fit", {"ring_section_mm": 3.0, "ring_groove_mm": 2.9}),
    ("kit-fit", {"ring_section_mm": 2.0, "ring_groove_mm": 1.4}),
    ("kit-fit", {"journal_mm": 12.02, "bush_mm": 12.05}),
    ("end-float", {"float_mm": 0.05, "float_low_mm": 0.1, "float_high_mm": 0.3}),
    ("end-float", {"float_mm": 0.5, "float_high_mm": 0.3, "shims_mm": [0.05]}),
    ("vibration", {"vibration_mm_per_s": [5.0]}),
    ("bearing-life", {"capacity_kn": 14.1, "load_kn": 4.0, "speed_rpm": 2870, "run_h": 250.0, "age_years": 3.0}),
    ("bearing-life", {"capacity_kn": 14.1, "load_kn": 4.0, "speed_rpm": 2870, "run_h": 30.0}),
    (
        "bar-test",
        {
            "readings_milliohm": [10.0] * 6 + [20.0, 10.0, 20.0] + [10.0] * 15,
            "bars": 24,
            "slots": 12,
            "pole_pairs": 1,
            "winding": "lap",
        },
    ),
    ("kit-fit", {"ring_section_mm": 3.0, "journal_mm": 12.0, "bush_mm": 12.05}),
    ("find-cause", {"motor_class": "tool", "seen": ["short-brush", "weak", "crackles"]}),
    ("straight-line", {"start_mm": 22.0, "limit_mm": 8.0, "run_h": 100.0, "lengths_mm": [None, None]}),
    (
        "skim-plan",
        {
            "diameter_mm": 96.4,
            "diameter_min_mm": 93.9,
            "groove_mm": 0.1,
            "pit_mm": 0.6,
            "holder_gap_mm": 2.9,
            "tir_mm": 0.3,
        },
    ),
    ("usable-carbon", {"length_mm": 22.2, "new_mm": 22.0, "limit_mm": 8.0}),
    # Figures that stand on an edge.
    *(("usable-carbon", {"length_mm": mm, "new_mm": 22.0, "limit_mm": 8.0}) for mm in (8.0, 7.9, 21.9)),
    ("brush-limit", {"new_mm": 9.0, "maker_limit_mm": 9.0}),
    ("skim-plan", {"diameter_mm": 58.0, "diameter_min_mm": 58.0}),
    ("straight-line", {"start_mm": 8.0, "limit_mm": 8.0, "run_h": 100.0, "length_mm": 7.9}),
    ("bar-map", {"bars": 45, "marked_bars": [45]}),
    *(
        (
            "current-density",
            {
                "current_a": a,
                "brush_count": 4,
                "thickness_mm": 10.0,
                "width_mm": 25.0,
                "guide_low_a_per_cm2": 9.0,
                "guide_high_a_per_cm2": 12.0,
            },
        )
        for a in (60.0, 45.0, 15.0)
    ),
    *(
        (
            "spring-pressure",
            {
                "force_n": n,
                "thickness_mm": 10.0,
                "width_mm": 25.0,
                "motor_class": "tool",
                "band_low_kpa": 20.0,
                "band_high_kpa": 60.0,
            },
        )
        for n in (5.0, 15.0)
    ),
    (
        "spring-pressure",
        {"force_n": 5.0, "thickness_mm": 10.0, "width_mm": 25.0, "band_low_kpa": 20.0, "band_high_kpa": 20.0},
    ),
    ("end-float", {"float_mm": 0.2, "float_low_mm": 0.2, "float_high_mm": 0.2, "shims_mm": [0.1]}),
    ("end-float", {"float_mm": 0.25, "float_low_mm": 0.1, "float_high_mm": 0.25, "shims_mm": [0.1]}),
    ("seating", {"commutator_d_mm": 62.0, "thickness_mm": 9.0, "new_mm": 9.0, "limit_mm": 9.0, "worn_mm": 0.08}),
    ("interval-table", {**TABLE, "run_h": 730.0, "worst_depth_mm": 9.0, "longest_h": 300.0, "since_check_h": 300.0}),
    ("interval-table", {**TABLE, "run_h": 730.0, "worst_depth_mm": 9.0, "worst_length_mm": 9.0}),
    ("cable-drop", {"current_a": 0.0, "length_m": 1.5, "section_mm2": 1.5}),
    ("bearing-designation", {"designation": "6204 XYZ"}),
)


def others(known: object, of: Field[Any]) -> Iterator[object]:
    """Yield what may stand in place of a given input: a fifth less and a quarter more, the other answers, a
    list without its last or one value of it off.
    """
    choices = [key for key, _ in of.metadata["ask"].choices]
    if isinstance(known, bool):
        yield not known
    elif isinstance(known, int | float):
        yield from (type(known)(round(known * share, 6)) for share in (0.8, 1.25))
    elif isinstance(known, str):
        yield from (key for key in choices[:12] if key != known)
    elif isinstance(known, list) and known and isinstance(known[0], int | float):
        yield [type(known[0])(round(known[0] * 1.25, 6)), *known[1:]]
        yield known[:-1]


def moves(entry: Sum, base: Mapping[str, Any]) -> Iterator[dict[str, Any]]:
    """Yield what is asked with one input moved, left out where it may be, or, where it is a question of yes or
    a choice, given.
    """
    for of in fields(entry.inputs):
        if of.name in base:
            yield from ({**base, of.name: value} for value in others(base[of.name], of))
            if of.default is not MISSING:
                yield {k: v for k, v in base.items() if k != of.name}
        elif isinstance(of.default, bool):
            yield {**base, of.name: not of.default}


def answered(name: str, asked: Mapping[str, Any], rules: MotorRules) -> dict[str, object]:
    """Return an answer as it is kept, its advice to the letter, or the field at which it is refused and why."""
    try:
        return {k: v if k == "advice" else kept(v) for k, v in answer(name, asked, rules).items()}
    except InputError as refused:
        return {"refused": f"{refused.field}: {refused.problem} {refused.remedy}"}


def test_nothing_moves_in_a_sum_but_what_its_input_moves(rules: MotorRules) -> None:
    told: list[str] = []
    for name, base in (*((s.name, dict(s.example)) for s in SUMS.values()), *BESIDE):
        first = answered(name, base, rules)
        told.append(f"== {name} {base}: {first}")
        for asked in moves(SUMS[name], base):
            now = answered(name, asked, rules)
            put = {k: asked.get(k) for k in {**base, **asked} if asked.get(k) != base.get(k)}
            told.append(f"{put}: { ({k: v for k, v in now.items() if first.get(k) != v}) }")
    assert_no_word_moved("sums_moved.txt", "\n".join(told) + "\n")
