"""Answers that once could hurt or mislead, each by its name: what was given, and what must be said or refused now."""

from typing import Any

import pytest

from norvash.core.rules.book import MotorRules
from norvash.work.pages.sums import answer
from sum_inputs import EVEN, HOIST, LADDER, SHORT

# Sum, what was given, what the answer holds, what it says and what it never says.
# fmt: off
SAID: dict[str, tuple[str, dict[str, Any], dict[str, Any], str, str]] = {
    "a dead short": (
        "bar-test",
        {"readings_milliohm": SHORT, "bars": 24, "winding": "lap", "noise": 0.1, "lifted": True},
        {"release": False, "low_readings": [13]},
        "no release",
        "passes",
    ),
    "lifted not stated": (
        "bar-test",
        {"readings_milliohm": EVEN, "bars": 24, "winding": "lap"},
        {"even": True, "release": False},
        "nobody has said whether the brushes were lifted",
        "passes",
    ),
    "not lifted": ("bar-test", {"readings_milliohm": EVEN, "bars": 24, "winding": "lap", "lifted": False}, {"release": False}, "were not lifted", "passes"),
    "lifted": (
        "bar-test",
        {"readings_milliohm": EVEN, "bars": 24, "winding": "lap", "lifted": True, "coil_turns": 4},
        {"release": True, "shorts_excluded": True},
        "passes",
        "shorts not excluded",
    ),
    "a shorted turn that hides": (
        "bar-test",
        {"readings_milliohm": EVEN, "bars": 24, "winding": "lap", "lifted": True, "coil_turns": 12},
        {"release": True, "shorts_excluded": False},
        "no open coil; shorts not excluded",
        "no release",
    ),
    "fed at fixed bars": (
        "bar-test",
        {"readings_milliohm": [0.02] * 5 + [118.0] + [0.03] * 6 + [10.0] * 12, "bars": 24, "winding": "lap", "fed": "fixed", "lifted": True},
        {"release": False, "high_readings": [6], "open_coils": 1},
        "these are not shorts; test from bar to bar",
        "shorted turns",
    ),
    "fed nobody says how": (
        "bar-test",
        {"readings_milliohm": [0.02] * 5 + [118.0] + [0.03] * 5 + [10.0] * 13, "bars": 24, "winding": "lap", "lifted": True},
        {"release": False},
        "if it was fed between two fixed bars",
        "copper may bridge",
    ),
    "a limit at or below nothing": (
        "brush-limit",
        {
            "new_mm": 22,
            "force_new_n": 30,
            "force_nominal_n": 5,
            "spring_rate_n_per_mm": 0.72,
            "lead_root_depth_mm": 6,
            "lead_taut_length_mm": 7,
            "thickness_mm": 8,
            "holder_gap_mm": 1.5,
        },
        {"limit_mm": 8.0, "spring_limit_mm": None, "left_out": ["spring"], "estimated": False},
        "the spring would set -13.11 mm, which is not possible: left out",
        "spring, governed",
    ),
    "far below nothing": (
        "brush-limit",
        {"new_mm": 22, "force_new_n": 30, "force_nominal_n": 5, "spring_rate_n_per_mm": 0.0633},
        {"left_out": ["spring"]},
        "an estimate",
        "-",
    ),
    "one term is not full knowledge": (
        "brush-limit",
        {"new_mm": 22, "lead_taut_length_mm": 0.5},
        {"limit_mm": pytest.approx(22 / 3), "lead_reach_limit_mm": 1.5, "estimated": True, "governed_by": "estimate"},
        "provisional",
        "out at 1.50",
    ),
    "a maker's figure below what the parts need": (
        "brush-limit",
        {"new_mm": 22, "maker_limit_mm": 6, "lead_root_depth_mm": 7},
        {"limit_mm": 6.0},
        "the lead root needs 9.00 mm: ask the maker",
        "estimate",
    ),
    "a starter's estimate": ("brush-limit", {"new_mm": 16, "motor_class": "starter"}, {"limit_mm": pytest.approx(9.28)}, "an estimate", ""),
    "62206": (
        "bearing-designation",
        {"designation": "62206-2RS"},
        {"bearing_series": "622", "bore_mm": 30.0, "outside_mm": 62, "width_mm": 20, "sealed": True, "grease_g": None},
        "30 × 62 × 20 mm",
        "180",
    ),
    "2RSH": (
        "bearing-designation",
        {"designation": "6204-2RSH"},
        {"sealed": True, "rubbing": True, "grease_g": None, "heat_c": 80.0},
        "rubbing seals on both sides",
        "open",
    ),
    "LLU": ("bearing-designation", {"designation": "6204LLU"}, {"sealed": True, "rubbing": True, "grease_g": None}, "rubbing seals on both sides", "open"),
    "DDU": ("bearing-designation", {"designation": "6204 DDU"}, {"sealed": True, "rubbing": True, "grease_g": None}, "rubbing seals on both sides", "open"),
    "a suffix in no list": (
        "bearing-designation",
        {"designation": "6204 QX7"},
        {"sealed": False, "perhaps_sealed": True, "grease_g": None},
        "no grease before you have looked",
        "open",
    ),
    "hot and next to nothing": (
        "insulation",
        {"resistance_megohm": 0.0051, "temperature_c": 140, "rated_v": 440},
        {"passes": False, "stage": "stop", "stage_words": "no power"},
        "under its least",
        "in order",
    ),
    "the same at low voltage": (
        "insulation",
        {"resistance_megohm": 0.0051, "temperature_c": 140, "rated_v": 24},
        {"passes": False, "stage": "stop"},
        "under its least",
        "in order",
    ),
    "an index of one": (
        "insulation",
        {"resistance_megohm": 100, "temperature_c": 40, "rated_v": 440, "one_minute_megohm": 100, "ten_minutes_megohm": 100, "form_wound": True},
        {"stage": "plan", "stage_words": "to be cleaned and dried"},
        "index 1.00, damp or dirty",
        "in order",
    ),
    "an index under one": (
        "insulation",
        {"resistance_megohm": 100, "temperature_c": 40, "rated_v": 440, "one_minute_megohm": 100, "ten_minutes_megohm": 99, "rated_kw": 50},
        {"stage": "stop", "passes": False},
        "no power",
        "in order",
    ),
    "an index that says nothing": (
        "insulation",
        {"resistance_megohm": 100, "temperature_c": 40, "rated_v": 440, "one_minute_megohm": 100, "ten_minutes_megohm": 100},
        {"polarization_index": None, "stage_words": "in order; the index is not judged"},
        "not judged",
        "damp",
    ),
    "39 of 48 marked, two burnt": (
        "bar-map",
        {"bars": 48, "marked_bars": list(range(1, 40)), "burnt_bars": [11, 12]},
        {"bar_test_needed": True},
        "local burn, the bar test comes before any machining",
        "healthy",
    ),
    "every third marked, one burnt elsewhere": (
        "bar-map",
        {"bars": 87, "slots": 29, "marked_bars": list(range(1, 88, 3)), "burnt_bars": [33]},
        {"bar_test_needed": True},
        "local burn",
        "healthy, nothing to do",
    ),
    "a burn inside a pattern": (
        "bar-map",
        {"bars": 87, "slots": 29, "marked_bars": list(range(1, 88, 3)), "burnt_bars": [31]},
        {"bar_test_needed": True},
        "local burn",
        "healthy, nothing to do",
    ),
    "a third of the bars burnt in one run": (
        "bar-map",
        {"bars": 60, "marked_bars": [], "burnt_bars": list(range(5, 23))},
        {"bar_test_needed": True},
        "local burn",
        "nothing repeats",
    ),
    "every twelfth of 48 with four poles": (
        "bar-map",
        {"bars": 48, "poles": 4, "marked_bars": [12, 24, 36, 48]},
        {"pattern": "pitch marking", "proven": True},
        "one pole pitch",
        "cause not known",
    ),
    "under its limit beside one not measured": (
        "straight-line",
        {"start_mm": 22, "limit_mm": 8, "run_h": 500, "lengths_mm": [7.5, None]},
        {"answer": "at the limit", "missing_positions": [2]},
        "out of service: brush 1 at the limit; brush 2 not measured",
        "incomplete",
    ),
    "twelve volts at rest and cranking": (
        "battery",
        {"rest_v": 12.6, "cranking_v": 12.6},
        {"cranking_ok": None, "inner_mohm": None},
        "no heavy current flowed",
        "holds up",
    ),
    "loose bars with a fault": (
        "surface-work",
        {"loose_bars": True, "bar_fault": True},
        {"work": "Renew it or send the armature out"},
        "renew it",
        "find the fault first",
    ),
    "high mica": ("surface-work", {"high_mica": True}, {"work": "Undercut the slots"}, "undercut", "leave the film"),
    "a date in 70 000 000 h": (
        "straight-line",
        {"start_mm": 22, "limit_mm": 8, "run_h": 1e6, "length_mm": 21.8, "standard_uncertainty_mm": 0.02},
        {"left_h": None, "do_not_exceed_h": None, "answer": "not carbon"},
        "carbon is not what stops it",
        "do not exceed",
    ),
    "a cut that is refused": (
        "skim-plan",
        {"diameter_mm": 58.3, "diameter_min_mm": 57.64, "pit_mm": 0.38, "tir_mm": 0.04, "track_mm": 20},
        {"allowed": False, "rough_passes": 0, "finish_passes": 0, "cutting_min": None, "total_min": None},
        "do not cut",
        "more cuts",
    ),
    "no copper left": (
        "skim-plan",
        {"diameter_mm": 58, "diameter_min_mm": 60},
        {"allowed": False, "deepest_cut_mm": 0.0, "finish_passes": 0},
        "no cut: 58.00 mm is under the least diameter of 60.00 mm",
        "do not cut",
    ),
    "slots that are cut away": (
        "skim-plan",
        {"diameter_mm": 60, "diameter_min_mm": 56, "pit_mm": 0.4, "slot_depth_mm": 0.2, "slot_width_mm": 0.6},
        {"slot_depth_after_mm": 0.0, "undercut_by_mm": pytest.approx(0.72)},
        "cut 0.420 mm",
        "-0.22",
    ),
    "coils against their median": ("field-coils", {"coils_ohm": [10.0, 10.0, 10.0, 9.65]}, {"off_coils": []}, "the coils agree", "off"),
    "every coil that is off": (
        "field-coils",
        {"coils_ohm": [10.0, 10.0, 10.0, 9.0, 8.9]},
        {"off_coils": [4, 5]},
        "coil 5 (-11.0% against the median of all): shorted turns; coil 4 (-10.0% against the median of all): a little low",
        "agree",
    ),
    "two unlike coils": ("field-coils", {"coils_ohm": [10.0, 9.0]}, {"off_coils": [2]}, "the lower is the suspect", "coil 1"),
    "a step of exactly five per cent": ("field-coils", {"coils_ohm": [10.0, 10.0, 10.5]}, {"off_coils": []}, "the coils agree", "off"),
    "a seal half a millimetre small": (
        "kit-fit",
        {"seal_lip_mm": 25.0, "seal_shaft_mm": 25.2},
        {"fits_all": False},
        "do not take the old part out",
        "what was measured fits",
    ),
    "a needle without clearance": (
        "kit-fit",
        {"needle_bore_mm": 13.995, "needle_shaft_mm": 14.0},
        {"fits_all": False},
        "metal to metal",
        "what was measured fits",
    ),
    "a new bush without clearance": ("kit-fit", {"bush_mm": 12.0, "journal_mm": 12.0}, {"fits_all": False}, "it would seize", "what was measured fits"),
    "5 against 8 to 12": (
        "current-density",
        {"current_a": 5, "brush_count": 2, "thickness_mm": 10, "width_mm": 10, "grade": "electrographite"},
        {"below_third_of_guide": False},
        "5 A/cm², under the guide of 8 to 12 A/cm²",
        "within",
    ),
    "12 against 8 to 12": (
        "current-density",
        {"current_a": 12, "brush_count": 2, "thickness_mm": 10, "width_mm": 10, "grade": "electrographite"},
        {"over_guide": False},
        "within the guide",
        "over",
    ),
    "ten per cent under": (
        "spring-pressure",
        {"force_n": 5.4, "thickness_mm": 10, "width_mm": 12, "force_nominal_n": 6.0},
        {"severity": "plan"},
        "plan new springs",
        "keep",
    ),
    "60 kPa in a band to 60": (
        "spring-pressure",
        {"force_n": 6.0, "thickness_mm": 10, "width_mm": 10, "band_low_kpa": 30, "band_high_kpa": 60},
        {"severity": "fit", "in_band": True},
        "keep",
        "over",
    ),
    "a falling ladder": ("speed-ladder", {**LADDER, "steps_v": [100, 80, 62, 45]}, {"fault": "miswired"}, "do not rise", "step 4"),
    "a falling ladder, nothing expected": ("speed-ladder", {"supply_v": 100, "steps_v": [100, 80, 62, 45]}, {"fault": "miswired"}, "do not rise", "step 4"),
    "the only step": ("speed-ladder", {"supply_v": 100, "steps_v": [80], "expected_share": [1.0]}, {"fault": "low"}, "the one setting is low", "neighbours"),
    "1 000 mm/s": ("vibration", {"vibration_mm_per_s": [1000]}, {"stage": "change"}, "mend it now", "plan the repair"),
    "the same with people": ("vibration", {"vibration_mm_per_s": [4.6], "carries": True}, {"stage": "stop"}, "it must not run", "mend it now"),
    "0.35 mm of 0.35": (
        "end-float",
        {"float_mm": 0.35, "float_low_mm": 0.1, "float_high_mm": 0.35},
        {"float_ok": True, "shim_add_mm": 0.0},
        "leave the shims",
        "put in",
    ),
    "0.35 mm, worked out": ("end-float", {"float_mm": 0.1 + 0.25, "float_low_mm": 0.1, "float_high_mm": 0.35}, {"float_ok": True}, "leave the shims", "put in"),
    "5.1 mm at a column of 5.1": (
        "interval-table",
        {"rows_h": [0, 100], "columns_mm": [5.0, 5.1, 5.2], "cells_h": [[300, 200, 100], [300, 200, 100]], "run_h": 100, "worst_depth_mm": 1.7 * 3},
        {"column_mm": 5.1, "interval_h": 200},
        "to column 5.1 mm: 200 h",
        "5.2",
    ),
    "25 per cent of a pair": ("set-spread", {"wear_mm": [3.5, 4.5]}, {"uneven": False}, "even", "uneven"),
    "an overshaped face": (
        "seating",
        {"commutator_d_mm": 62, "thickness_mm": 9, "face_radius_mm": 30, "new_mm": 23, "limit_mm": 9, "steady_rate_mm_per_kh": 2},
        {"allowed": False, "bedding_h": None, "life_share": None, "worn_at_ready_mm": None},
        "shape it to the radius",
        "0 h",
    ),
    "a hoist off centre on its own bearings": (
        "run-out",
        {"readings_mm": HOIST, "diameter_mm": 120, "speed_rpm": 1450, "motor_class": "industrial", "turned_on": "bearings"},
        {"cause": "off centre", "stage": "stop"},
        "not to be run",
        "check set-up",
    ),
    "the same between centres": (
        "run-out",
        {"readings_mm": [x / 3 for x in HOIST], "diameter_mm": 120, "speed_rpm": 1450, "motor_class": "industrial", "turned_on": "centres"},
        {"cause": "set-up", "stage": "watch"},
        "check set-up",
        "it is real",
    ),
    "a speed nobody knows": (
        "run-out",
        {"readings_mm": [0.0, 0.03] * 6},
        {"tir_limit_mm": 0.025, "over_limit": True},
        "35 m/s is assumed, for an unknown class",
        "slow",
    ),
    "too coarse an indicator": (
        "run-out",
        {"readings_mm": [0.0, 0.01] * 6, "diameter_mm": 60, "speed_rpm": 12000, "step_mm": 0.02},
        {"passes": False, "over_limit": False, "stage": "watch"},
        "not measured finely enough",
        "it runs true",
    ),
    "after a cut": (
        "run-out",
        {"readings_mm": [0.0, 0.011] * 6, "diameter_mm": 30, "speed_rpm": 20000, "after_cut": True, "motor_class": "tool"},
        {"tir_limit_mm": 0.010, "over_limit": True},
        "0.01 mm allowed",
        "it runs true",
    ),
    "60 A through 1.5 mm²": (
        "cable-drop",
        {"current_a": 60, "length_m": 0.5, "section_mm2": 1.5},
        {"load_ok": False, "load_a": 17.0},
        "too thin",
        "thick enough",
    ),
    "a burst": (
        "cable-drop",
        {"current_a": 300, "length_m": 1.5, "section_mm2": 16, "burst_s": 4},
        {"load_ok": True, "burst_section_mm2": pytest.approx(7.0588, abs=1e-3)},
        "thick enough in such bursts",
        "too thin",
    ),
    "a face shaped on a rod": (
        "seating",
        {"commutator_d_mm": 24.4, "thickness_mm": 6.1, "rod_d_mm": 31.0},
        {"rod_fits": False, "rod_error_mm": pytest.approx(0.084358, abs=1e-6), "depth_mm": pytest.approx(0.084358, abs=1e-6)},
        "of the face touches",
        "",
    ),
}
# fmt: on


@pytest.mark.parametrize(("name", "given", "holds", "says", "never"), SAID.values(), ids=SAID)
def test_what_must_be_said(
    *, name: str, given: dict[str, Any], holds: dict[str, Any], says: str, never: str, rules: MotorRules
) -> None:
    got = answer(name, given, rules)
    plain = {k: list(v) if isinstance(v := got[k], tuple) else v for k in holds}
    assert plain == holds
    assert says in got["advice"]
    assert not never or never not in got["advice"]


@pytest.mark.parametrize("typed", ["8 mm", "0.8 cm", "8000 µm", "0.31496063 in", "314.96063 thou", "7.9999999999 mm"])
def test_a_length_on_its_limit_is_out_of_service_in_every_unit(typed: str, rules: MotorRules) -> None:
    from norvash.work.pages.sums import work_out_typed

    _, got = work_out_typed("usable-carbon", {"length_mm": typed, "new_mm": "22", "limit_mm": "8 mm"}, rules)
    assert (got.stage, got.usable) == ("stop", 0.0)
