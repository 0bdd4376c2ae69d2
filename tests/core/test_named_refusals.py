"""What must be refused, and how it is said."""

from typing import Any

import pytest

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError
from norvash.work.pages.sums import answer
from sum_inputs import EVEN, LIMIT, SHORT

# Sum, what was given, and the input at which it is refused.
REFUSED: dict[str, tuple[str, dict[str, Any], str]] = {
    "a scatter of everything": (
        "bar-test",
        {"readings_milliohm": SHORT, "bars": 24, "winding": "lap", "noise": 1, "lifted": True},
        "noise",
    ),
    "a scatter over a tenth": ("bar-test", {"readings_milliohm": EVEN, "bars": 24, "noise": 0.101}, "noise"),
    "a wave without pole pairs": ("bar-test", {"readings_milliohm": EVEN, "bars": 24, "winding": "wave"}, "pole_pairs"),
    "a wave of one pair": (
        "bar-test",
        {"readings_milliohm": EVEN, "bars": 24, "winding": "wave", "pole_pairs": 1},
        "pole_pairs",
    ),
    "a map of a wave of two poles": (
        "bar-map",
        {"bars": 24, "winding": "wave", "poles": 2, "marked_bars": [1]},
        "pole_pairs",
    ),
    "poles that are not the pairs": (
        "bar-map",
        {"bars": 24, "poles": 4, "pole_pairs": 3, "marked_bars": [1]},
        "pole_pairs",
    ),
    "a bore in inches": ("bearing-designation", {"designation": "6203-5/8"}, "designation"),
    "two clearances": ("bearing-designation", {"designation": "6203 C3 C4"}, "designation"),
    "another numbering": ("bearing-designation", {"designation": "60206"}, "designation"),
    "24 V at the default of 12 V": ("battery", {"rest_v": 25.4, "cranking_v": 20.0}, "rated_v"),
    "brushes that grow": ("set-spread", {"start_mm": 20, "lengths_mm": [25, 15]}, "lengths_mm"),
    "one that grows a little": ("set-spread", {"start_mm": 20, "lengths_mm": [20.3, 15]}, "lengths_mm"),
    "wear and lengths": ("set-spread", {"start_mm": 20, "lengths_mm": [19, 15], "wear_mm": [1, 5]}, "wear_mm"),
    "longer than new": ("usable-carbon", {"length_mm": 24.3, **LIMIT}, "length_mm"),
    "27.75 mm of 22": ("usable-carbon", {"length_mm": 27.75, **LIMIT}, "length_mm"),
    "longer than its start": (
        "straight-line",
        {"start_mm": 22, "limit_mm": 8, "run_h": 100, "length_mm": 27},
        "lengths_mm",
    ),
    "a limit of nothing": ("brush-limit", {"new_mm": 22, "maker_limit_mm": 0}, "maker_limit_mm"),
    "an angle that takes the limit away": (
        "brush-limit",
        {"new_mm": 22, "maker_limit_mm": 1, "face_angle_deg": 45, "thickness_mm": 12},
        "face_angle_deg",
    ),
    "more copper than when new": ("skim-plan", {"diameter_mm": 96.4, "diameter_new_mm": 90}, "diameter_new_mm"),
    "run-out given as travel": (
        "skim-plan",
        {"diameter_mm": 96.4, "diameter_min_mm": 93, "run_out_mm": 0.07},
        "overrun_mm",
    ),
    "two names that differ": (
        "skim-plan",
        {"diameter_mm": 96.4, "commutator_d_mm": 96.5, "diameter_min_mm": 93},
        "commutator_d_mm",
    ),
    "length and depth": ("usable-carbon", {"length_mm": 15, "depth_mm": 24, "depth_new_mm": 20, **LIMIT}, "length_mm"),
    "depth and protrusion": (
        "usable-carbon",
        {"depth_mm": 24, "depth_new_mm": 20, "protrusion_mm": 2, "protrusion_constant_mm": 12},
        "protrusion_mm",
    ),
    "a depth of -500": ("usable-carbon", {"depth_mm": -500, "depth_new_mm": 20, "depth_limit_mm": 34}, "depth_mm"),
    "a share of 480 per cent": (
        "usable-carbon",
        {"depth_mm": -56, "depth_new_mm": 20, "depth_constant_mm": 40},
        "depth_mm",
    ),
    "a depth limit without a depth": ("usable-carbon", {"length_mm": 15, "depth_limit_mm": 34, **LIMIT}, "depth_mm"),
    "half a habit": ("brush-limit", {"new_mm": 22, "habit_gone_share": 0.3}, "habit_at_h"),
    "half a size": ("bearing-life", {"capacity_kn": 9, "load_kn": 1, "speed_rpm": 900, "bore_mm": 20}, "outside_mm"),
    "a rest without a burst": (
        "cable-drop",
        {"current_a": 10, "length_m": 1, "section_mm2": 6, "rest_s": 60},
        "burst_s",
    ),
    "a cable under its table": ("cable-drop", {"current_a": 1, "length_m": 1, "section_mm2": 0.5}, "section_mm2"),
    "a speed without a diameter": ("run-out", {"readings_mm": [0.0] * 8, "speed_rpm": 3000}, "commutator_d_mm"),
    "a winding of 400 degrees": ("insulation", {"resistance_megohm": 5, "temperature_c": 400}, "temperature_c"),
    "a winding hotter than any": ("field-coils", {"cold_ohm": 1, "cold_c": 20, "hot_ohm": 9}, "hot_ohm"),
    "held in the hand": ("vibration", {"vibration_mm_per_s": [5], "hand_held": True}, "hand_held"),
    "too large a machine": ("vibration", {"vibration_mm_per_s": [5], "rated_kw": 301}, "rated_kw"),
    "a list over its bound": ("speed-ladder", {"supply_v": 36, "steps_v": [1.0] * 5001}, "steps_v"),
    "a winding that there is not": ("bar-map", {"bars": 24, "marked_bars": [3], "winding": "loom"}, "winding"),
}


@pytest.mark.parametrize(("name", "given", "field"), REFUSED.values(), ids=REFUSED)
def test_what_must_be_refused(name: str, given: dict[str, Any], field: str, rules: MotorRules) -> None:
    with pytest.raises(InputError) as caught:
        answer(name, given, rules)
    assert caught.value.field == field
    assert caught.value.problem
    assert caught.value.remedy


def test_an_error_in_json_says_the_type_and_the_bounds(rules: MotorRules) -> None:
    for given, words in (
        ({"bars": 4, "marked_bars": []}, "bars: 4 is not possible. Give a whole number from 5 to 400."),
        ({"bars": "x", "marked_bars": []}, "bars: 'x' does not fit here. Give a whole number from 5 to 400."),
        (
            {"bars": 24, "marked_bars": 3},
            "marked_bars: 3 does not fit here. Give whole numbers from 1 to 400, as a list.",
        ),
        ({"marked_bars": []}, "bars is missing. Give a whole number from 5 to 400."),
    ):
        with pytest.raises(InputError) as caught:
            answer("bar-map", given, rules)
        assert words in f"{caught.value.problem} {caught.value.remedy}"
