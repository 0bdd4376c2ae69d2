"""Every registered sum: worked examples, wrong input, and the one door to all of them."""

import json
from dataclasses import fields
from pathlib import Path

import pytest

from norvash.core.rules.book import MotorRules
from norvash.core.sums.catalogue import SUMS
from norvash.errors import InputError, NotFound, SeveralErrors
from norvash.work.pages.sums import answer, model, work_out_typed
from whole import assert_nothing_moved

CASES = json.loads((Path(__file__).parent.parent / "data/sums.json").read_text())
NAMES = {
    "bar-volts",
    "fit",
    "offered-part",
    "surface-speed",
    "landed-price",
    "pack-price",
    "repair-or-replace",
    "usable-carbon",
    "brush-limit",
    "straight-line",
    "set-spread",
    "spring-pressure",
    "current-density",
    "holder-fit",
    "seating",
    "interval-table",
    "whole-runs",
    "speed-ladder",
    "cable-drop",
    "battery",
    "find-cause",
    "bar-map",
    "run-out",
    "bar-test",
    "skim-plan",
    "insulation",
    "field-coils",
    "bearing-designation",
    "bearing-life",
    "kit-fit",
    "surface-work",
    "end-float",
    "vibration",
    "stack-check",
    "torque",
    "balance",
    "field-current",
    "inrush",
    "no-load-speed",
    "pulley",
    "generator-output",
    "regrease",
    "run-in",
    "safe-speed",
}


def agrees(got: object, wanted: object) -> bool:
    if isinstance(wanted, list):
        return isinstance(got, list | tuple) and len(got) == len(wanted) and all(map(agrees, got, wanted))
    if isinstance(wanted, bool | str) or wanted is None:
        return got == wanted
    assert isinstance(wanted, int | float)
    return isinstance(got, int | float) and abs(got - wanted) <= 2e-4 * max(1.0, abs(wanted))


@pytest.mark.parametrize("case", CASES, ids=[c["case"] for c in CASES])
def test_worked_examples(case: dict[str, dict[str, object]], rules: MotorRules) -> None:
    result = answer(str(case["sum"]), case["inputs"], rules)
    assert {k: result.get(k) for k, v in case["expected"].items() if not agrees(result.get(k), v)} == {}


OFF = (-0.1, -0.01, 0.0, 0.01, 0.1)
HOUSED: list[dict[str, object]] = [{"housing_mm": 47.0, "outside_mm": 47.0 + x} for x in OFF]
SEATED: list[dict[str, object]] = [{"shaft_mm": 20.0 + x, "bore_mm": 20.0} for x in OFF]
# Arms of the sums that no worked case takes.
ARMS: tuple[tuple[str, dict[str, object]], ...] = (
    ("bearing-designation", {"designation": "6204"}),
    ("bearing-designation", {"designation": "608 ZZ C3"}),
    ("bar-map", {"bars": 36, "marked_bars": [3, 12, 21, 30], "poles": 4, "winding": "wave"}),
    ("bar-map", {"bars": 45, "marked_bars": [7], "burnt_bars": [7], "poles": 2, "winding": "lap"}),
    ("bar-map", {"bars": 45, "marked_bars": []}),
    ("bar-test", {"bars": 6, "readings_milliohm": [10, 10.1, 10, 9.9, 10, 10]}),
    ("surface-work", {"light_dirt": True, "abrasive": "emery"}),
    ("surface-work", {"grooved": True, "tir_over": True}),
    (
        "holder-fit",
        {
            "thickness_mm": 10,
            "width_mm": 16,
            "box_thickness_mm": 10.15,
            "box_width_mm": 16.2,
            "holder_gap_mm": 2.5,
            "motor_class": "industrial",
        },
    ),
    (
        "holder-fit",
        {
            "thickness_mm": 10,
            "width_mm": 16,
            "box_thickness_mm": 10.15,
            "box_width_mm": 16.2,
            "holder_gap_mm": 9,
            "motor_class": "industrial",
        },
    ),
    (
        "seating",
        {
            "commutator_d_mm": 60,
            "thickness_mm": 12,
            "new_mm": 25,
            "limit_mm": 9,
            "worn_mm": 0.1,
            "steady_rate_mm_per_kh": 2.5,
        },
    ),
    ("seating", {"commutator_d_mm": 60, "thickness_mm": 12}),
    ("insulation", {"resistance_megohm": 80, "temperature_c": 25, "one_minute_megohm": 40, "ten_minutes_megohm": 90}),
    ("insulation", {"resistance_megohm": 0.3, "temperature_c": 25}),
    ("end-float", {"float_mm": 0.4, "float_low_mm": 0.1, "float_high_mm": 0.2, "shims_mm": [0.1, 0.2, 0.5]}),
    ("end-float", {"float_mm": 0.4, "float_low_mm": 0.1, "float_high_mm": 0.2, "shims_mm": [0.5]}),
    ("end-float", {"float_mm": 0.1, "float_low_mm": 0.1, "float_high_mm": 0.2, "shims_mm": [0.1]}),
    ("vibration", {"vibration_mm_per_s": [2.1, 3.0], "previous_mm_per_s": 1.5}),
    ("vibration", {"vibration_mm_per_s": [2.1, 3.0], "previous_mm_per_s": 4}),
    (
        "skim-plan",
        {
            "diameter_mm": 60,
            "diameter_min_mm": 55,
            "diameter_new_mm": 62,
            "groove_mm": 0.3,
            "tir_mm": 0.08,
            "run_out_mm": 4,
            "track_mm": 30,
        },
    ),
    ("set-spread", {"lengths_mm": [18, 14, 18.2, 18.1], "start_mm": [22, 22, 22, 22]}),
    ("set-spread", {"lengths_mm": [18, 18.2], "start_mm": 22}),
    (
        "current-density",
        {
            "thickness_mm": 10,
            "width_mm": 20,
            "brush_count": 4,
            "current_a": 400,
            "guide_low_a_per_cm2": 8,
            "guide_high_a_per_cm2": 12,
        },
    ),
    ("find-cause", {"motor_class": "tool", "seen": ["weak"]}),
)


def whole_answers(rules: MotorRules) -> list[object]:
    """Return all that is answered to every worked case, every example and every other arm."""
    worked = [(str(c["sum"]), c["inputs"]) for c in CASES] + [(s.name, dict(s.example)) for s in SUMS.values()]
    asked = [*worked, *ARMS, *(("kit-fit", ring) for ring in (*HOUSED, *SEATED))]
    return [answer(name, inputs, rules) for name, inputs in asked]


def test_nothing_moves_in_a_whole_answer(rules: MotorRules) -> None:
    assert_nothing_moved("sum_answers.json", whole_answers(rules))


def test_the_catalogue_is_whole_and_every_example_answers(rules: MotorRules) -> None:
    assert set(SUMS) == NAMES
    for entry in SUMS.values():
        assert json.loads(json.dumps(answer(entry.name, dict(entry.example), rules)))["sum"] == entry.name
        assert set(model(entry.name).model_json_schema()["properties"]) == {f.name for f in fields(entry.inputs)}


BAD: dict[str, tuple[str, object, str]] = {
    "letters": ("usable-carbon", {"length_mm": "x", "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "digits as text": ("usable-carbon", {"length_mm": "12.4", "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "negative": ("usable-carbon", {"length_mm": -3, "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "huge": ("usable-carbon", {"length_mm": 1e9, "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "not a number": ("usable-carbon", {"length_mm": float("nan"), "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "true is no number": ("usable-carbon", {"length_mm": True, "new_mm": 22, "limit_mm": 8}, "length_mm"),
    "nothing": ("usable-carbon", {}, "length_mm"),
    "unknown name": ("usable-carbon", {"lenght_mm": 12, "new_mm": 22, "limit_mm": 8}, "lenght_mm"),
    "limit over new": ("usable-carbon", {"length_mm": 7, "new_mm": 8, "limit_mm": 22}, "limit_mm"),
    "no depth when new": ("usable-carbon", {"depth_mm": 30}, "depth_new_mm"),
    "no protrusion constant": (
        "usable-carbon",
        {"protrusion_mm": 3, "new_mm": 22, "limit_mm": 8},
        "protrusion_constant_mm",
    ),
    "lists of two sizes": (
        "straight-line",
        {"start_mm": [22, 22], "limit_mm": 8, "run_h": 100, "lengths_mm": [20]},
        "start_mm",
    ),
    "one and many": (
        "straight-line",
        {"start_mm": 22, "limit_mm": 8, "run_h": 100, "lengths_mm": [20], "length_mm": 20},
        "lengths_mm",
    ),
    "earlier without use": (
        "straight-line",
        {"start_mm": 22, "limit_mm": 8, "run_h": 9, "length_mm": 20, "previous_length_mm": 21},
        "previous_run_h",
    ),
    "limit over start": ("straight-line", {"start_mm": 7, "limit_mm": 8, "run_h": 9, "length_mm": 6}, "limit_mm"),
    "no brush": ("straight-line", {"start_mm": 22, "limit_mm": 8, "run_h": 9, "lengths_mm": []}, "lengths_mm"),
    "polarity of another set": ("set-spread", {"wear_mm": [1, 2], "polarity": ["+"]}, "polarity"),
    "nothing to compare": ("set-spread", {"lengths_mm": [1, 2]}, "lengths_mm"),
    "no such class": (
        "spring-pressure",
        {"force_n": 5, "thickness_mm": 9, "width_mm": 9, "motor_class": "boat"},
        "motor_class",
    ),
    "empty band": (
        "spring-pressure",
        {"force_n": 5, "thickness_mm": 9, "width_mm": 9, "band_low_kpa": 50, "band_high_kpa": 20},
        "band_high_kpa",
    ),
    "odd brushes": (
        "current-density",
        {"current_a": 5, "brush_count": 3, "thickness_mm": 9, "width_mm": 9},
        "brush_count",
    ),
    "no such grade": (
        "current-density",
        {"current_a": 5, "brush_count": 2, "thickness_mm": 9, "width_mm": 9, "grade": "tin"},
        "grade",
    ),
    "thicker than round": ("seating", {"commutator_d_mm": 9, "thickness_mm": 10}, "thickness_mm"),
    "no section": (
        "holder-fit",
        {"thickness_mm": 0, "width_mm": 9, "box_thickness_mm": 9, "box_width_mm": 9},
        "thickness_mm",
    ),
    "no carbon left": ("brush-limit", {"new_mm": 5, "lead_root_depth_mm": 4}, "new_mm"),
    "steps of another ladder": (
        "speed-ladder",
        {"supply_v": 36, "steps_v": [16, 36], "expected_share": [0.5]},
        "steps_v",
    ),
    "no supply": ("speed-ladder", {"supply_v": 0, "steps_v": [16], "expected_share": [0.5]}, "supply_v"),
    "a step of nothing expected": (
        "speed-ladder",
        {"supply_v": 36, "steps_v": [16, 36], "expected_share": [0, 1]},
        "expected_share",
    ),
    "no copper": ("cable-drop", {"current_a": 10, "length_m": 3, "section_mm2": 0}, "section_mm2"),
    "three ways": ("cable-drop", {"current_a": 10, "length_m": 3, "section_mm2": 2, "ways": 3}, "ways"),
    "volts rise under load": ("battery", {"rest_v": 11, "cranking_v": 12}, "cranking_v"),
    "no volts": ("battery", {"rated_v": 12}, "rest_v"),
    "no such sign": ("find-cause", {"motor_class": "tool", "seen": ["dreams"]}, "seen"),
    "a sign that has no such answer": ("find-cause", {"motor_class": "tool", "seen": ["ohms=zero"]}, "seen"),
    "two answers": ("find-cause", {"motor_class": "tool", "seen": ["ohms=infinite", "ohms=swings"]}, "seen"),
    "so and not so": ("find-cause", {"motor_class": "tool", "seen": ["weak"], "not_seen": ["weak"]}, "not_seen"),
    "not said what": ("find-cause", {"motor_class": "tool", "seen": ["ohms"]}, "seen"),
    "no such surroundings": (
        "find-cause",
        {"motor_class": "tool", "seen": ["weak"], "surroundings": ["moon"]},
        "surroundings",
    ),
    "no bars": ("bar-map", {"bars": 0, "marked_bars": [1]}, "bars"),
    "one bar": ("bar-map", {"bars": 1, "marked_bars": [1]}, "bars"),
    "three bars": ("bar-map", {"bars": 3, "marked_bars": [1]}, "bars"),
    "a bar too far": ("bar-map", {"bars": 24, "marked_bars": [25]}, "marked_bars"),
    "a bar twice": ("bar-map", {"bars": 24, "marked_bars": [5, 5]}, "marked_bars"),
    "odd poles": ("bar-map", {"bars": 24, "marked_bars": [5], "poles": 3}, "poles"),
    "too few readings": ("run-out", {"readings_mm": [0.01] * 7}, "readings_mm"),
    "most readings missing": ("run-out", {"readings_mm": [0.01] * 8 + [None] * 8}, "readings_mm"),
    "a reading missing": ("bar-test", {"readings_milliohm": [1.0] * 28, "bars": 29}, "readings_milliohm"),
    "a reading doubled": ("bar-test", {"readings_milliohm": [1.0] * 30, "bars": 29}, "readings_milliohm"),
    "a wave that does not close": (
        "bar-test",
        {"readings_milliohm": [1.0] * 29, "bars": 29, "pole_pairs": 2, "winding": "wave", "commutator_pitch": 13},
        "commutator_pitch",
    ),
    "no limit and no new diameter": ("skim-plan", {"diameter_mm": 58}, "diameter_min_mm"),
    "deeper than round": ("skim-plan", {"diameter_mm": 58, "diameter_min_mm": 56, "groove_mm": 20}, "groove_mm"),
    "finish deeper than rough": (
        "skim-plan",
        {"diameter_mm": 58, "diameter_min_mm": 56, "rough_cut_mm": 0.02, "finish_cut_mm": 0.1},
        "finish_cut_mm",
    ),
    "no such tool": ("skim-plan", {"diameter_mm": 58, "diameter_min_mm": 56, "tool": "butter"}, "tool"),
    "half an index": ("insulation", {"resistance_megohm": 9, "one_minute_megohm": 5}, "ten_minutes_megohm"),
    "float over all bounds": ("end-float", {"float_mm": 70, "float_high_mm": 1}, "float_mm"),
    "a band that ends before it begins": (
        "end-float",
        {"float_mm": 0.7, "float_low_mm": 0.3, "float_high_mm": 0.1},
        "float_high_mm",
    ),
    "no such machine": ("insulation", {"resistance_megohm": 9, "machine": "kite"}, "machine"),
    "one coil": ("field-coils", {"coils_ohm": [4.0]}, "coils_ohm"),
    "cold only": ("field-coils", {"cold_ohm": 4.0}, "hot_ohm"),
    "no load": ("bearing-life", {"capacity_kn": 9, "load_kn": 0, "speed_rpm": 900}, "load_kn"),
    "inside out": (
        "bearing-life",
        {"capacity_kn": 9, "load_kn": 1, "speed_rpm": 900, "bore_mm": 50, "outside_mm": 20},
        "outside_mm",
    ),
    "no number": ("bearing-designation", {"designation": "NU 204"}, "designation"),
    "a bore beyond the table": ("bearing-designation", {"designation": "6299"}, "designation"),
    "one side of a pair": ("kit-fit", {"shaft_mm": 20}, "bore_mm"),
    "an empty kit": ("kit-fit", {}, "shaft_mm"),
    "angle without thickness": (
        "brush-limit",
        {"new_mm": 25, "maker_limit_mm": 10, "face_angle_deg": 20},
        "thickness_mm",
    ),
}


@pytest.mark.parametrize(("name", "given", "field"), BAD.values(), ids=BAD.keys())
def test_wrong_input_names_its_field_and_a_remedy(name: str, given: object, field: str, rules: MotorRules) -> None:
    with pytest.raises(InputError) as caught:
        answer(name, given, rules)
    assert caught.value.field == field
    assert caught.value.remedy


@pytest.mark.parametrize("given", [None, [], "x", 3])
def test_input_that_is_no_object(given: object, rules: MotorRules) -> None:
    with pytest.raises(InputError, match="JSON object"):
        answer("seating", given, rules)


def test_an_unknown_sum_lists_those_there_are(rules: MotorRules) -> None:
    with pytest.raises(NotFound, match="usable-carbon"):
        answer("usable-charcoal", {}, rules)


def test_all_wrong_fields_are_said_at_once(rules: MotorRules) -> None:
    with pytest.raises(SeveralErrors) as caught:
        work_out_typed("seating", {"commutator_d_mm": "big", "thickness_mm": "1e9", "new_mm": "22"}, rules)
    assert [e.field for e in caught.value.errors] == ["commutator_d_mm", "thickness_mm"]


def test_typed_sums_take_units_lists_and_dashes(rules: MotorRules) -> None:
    typed = {"start_mm": "22", "limit_mm": '5/16"', "run_h": "31200 min", "lengths_mm": "16.2; 1.69 cm; -"}
    _, result = work_out_typed("straight-line", typed, rules)
    assert (result.missing_positions, result.answer) == ((3,), "incomplete")
    assert result.advice == "incomplete: brush 3 not measured, so there is no date"
    _, even = work_out_typed("set-spread", {"wear_mm": "3; 3.1", "polarity": "+ -"}, rules)
    assert even.uneven is False


def test_further_answers(rules: MotorRules) -> None:
    assert answer("brush-limit", {"new_mm": 21.0}, rules)["governed_by"] == "estimate"
    maker = answer(
        "brush-limit",
        {"new_mm": 25, "maker_limit_mm": 10, "face_angle_deg": 20, "thickness_mm": 10, "sunk_mm": 0.3},
        rules,
    )
    assert maker["limit_mm"] == pytest.approx(10 - 5 * 0.36397 + 0.3, abs=1e-4)
    habit = answer(
        "brush-limit", {"new_mm": 20, "habit_gone_share": 0.3, "habit_at_h": 500, "habit_set_h": 1000}, rules
    )
    assert habit["habit_limit_mm"] == pytest.approx(8)
    assert (
        answer("seating", {"commutator_d_mm": 62, "thickness_mm": 9, "face_radius_mm": 30}, rules)["allowed"] is False
    )
    wrong = {"thickness_mm": 12.9, "width_mm": 9, "box_thickness_mm": 12.6, "box_width_mm": 9.1}
    assert answer("holder-fit", wrong, rules)["allowed"] is False
    low = {"current_a": 5, "brush_count": 4, "thickness_mm": 12, "width_mm": 25, "grade": "electrographite"}
    assert answer("current-density", low, rules)["below_third_of_guide"] is True
    bars = {"commutator_d_mm": 120, "bars": 87, "supply_v": 24, "force_n": 6, "speed_m_per_s": 9}
    full = answer("current-density", {**low, **bars}, rules)
    assert (full["bars_usual"], full["contact_drop_v"]) == (True, 2.0)
    assert full["contact_drop_share"] == pytest.approx(1 / 12)
    assert full["heat_w"] == pytest.approx(2 * 5 + 4 * 0.2 * 6 * 9)
    stuck = answer(
        "usable-carbon", {"protrusion_mm": -1.5, "protrusion_constant_mm": 14, "new_mm": 22, "limit_mm": 8}, rules
    )
    assert (stuck["length_mm"], stuck["stage"]) == (12.5, "watch")


TYPED: dict[str, tuple[str, dict[str, str], str]] = {
    "no bars": (
        "bar-map",
        {"bars": "0", "marked_bars": "1"},
        "Bars: 0 is not possible. Give a whole number from 5 to 400.",
    ),
    "half a bar": ("bar-map", {"bars": "40", "marked_bars": "2.5"}, "Dark or burnt bars: “2.5” is not a whole number."),
    "nothing measured": ("vibration", {"vibration_mm_per_s": "-"}, "Velocity, root mean square: a value is missing."),
    "not given": ("vibration", {}, "Velocity, root mean square is missing."),
    "out of bounds": (
        "end-float",
        {"float_mm": "70", "float_high_mm": "1"},
        "End float, as measured: 70 is not possible. Give a number from 0 to 50 mm.",
    ),
}


@pytest.mark.parametrize(("name", "typed", "words"), TYPED.values(), ids=TYPED.keys())
def test_what_was_typed_into_a_form_is_answered_by_its_label(
    name: str, typed: dict[str, str], words: str, rules: MotorRules
) -> None:
    with pytest.raises(SeveralErrors) as raised:
        work_out_typed(name, typed, rules)
    assert words in f"{raised.value.errors[0].problem} {raised.value.errors[0].remedy}"
