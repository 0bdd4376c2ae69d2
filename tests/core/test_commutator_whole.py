"""Whole readings of commutators, kept so that nothing in them moves unseen: maps, circles, bar tests."""

from math import cos, pi, sin
from typing import Any

from norvash.core.commutator.bar_testing import Armature, judge_bar_test
from norvash.core.commutator.bars import read_map
from norvash.core.commutator.map_says import Wound, read_bar_map
from norvash.core.commutator.run_out import judge_run_out
from norvash.core.rules.book import MotorRules
from whole import assert_nothing_moved

MAPS: list[tuple[int, str, dict[str, Any]]] = [
    (87, "burnt 5, 27, 49, 70", {"poles": 4, "slots": 29, "winding": "wave"}),
    (87, "dark " + ", ".join(str(b) for b in range(1, 88, 3)), {"poles": 4, "slots": 29, "winding": "wave"}),
    (87, "burnt 9-10, 53-54; chipped 3, 9; drag 7", {"poles": 4, "slots": 29, "winding": "wave", "pitch": 44}),
    (60, "dark " + ", ".join(str(b) for b in range(3, 61, 7)), {}),
    (64, "dark " + ", ".join(str(b) for b in range(2, 65, 5)) + "; high-mica 1, 64", {"poles": 6}),
    (96, "burnt 1-3, 25-27, 49-51, 73-75", {"poles": 4, "winding": "lap", "covered": 2.8}),
    (80, "burnt 5, 25", {"poles": 4, "arms": (0.0, 90.0)}),
    (80, "burnt 5, 25, 44; pitted 80", {"poles": 4, "arms": (10.0, 100.0, 190.0, 280.0)}),
    (24, "burnt-leading 12, 24; burnt-trailing 1, 13; loose 6", {"poles": 2, "winding": "lap"}),
    (93, "burnt 4, 27, 50, 73", {"poles": 8, "winding": "wave"}),
    (24, "dark 1-12, 14-24", {}),
    (30, "flat 29-30, 1-9; dirty-slot 3", {"slots": 15}),
]  # fmt: skip
TURN = [2 * pi * i / 24 for i in range(24)]
CIRCLES = [
    ([0.06 * cos(t - 1) + 0.001 * cos(7 * t) for t in TURN], True),
    ([0.02 * cos(2 * t - 1) + 0.004 * sin(t) for t in TURN], True),
    ([0.03 if i == 7 else -0.02 if i == 23 else 0.001 * i for i in range(24)], True),
    ([0.001 * i for i in range(24)], True),
    ([0.0001 * (i % 5) for i in range(24)], False),
]
BARS: list[tuple[list[float | None], Armature]] = [
    ([1.0 + 0.001 * (i % 3) + (0.9 if i in (4, 16) else 0.0) for i in range(24)], Armature(24, 2, "wave", 11)),
    ([1.0 - (0.7 if i in (4, 5) else 0.0) for i in range(29)], Armature(29, 2, "wave", 14)),
    ([1.0 + 0.2 * (i % 3) - (0.5 if i == 7 else 0.0) for i in range(24)], Armature(24, 2, "lap", 1, 8)),
    ([1.0 + 0.2 * (i % 2) + (0.5 if i == 7 else 0.0) for i in range(24)], Armature(24, 2, "lap", 1, 12)),
    ([None if i == 3 else 1.0 + 0.004 * i for i in range(24)], Armature(24, 1)),
]


def whole_answers(rules: MotorRules) -> list[object]:
    maps = [(read_map(text, bars), Wound(bars, **wound)) for bars, text, wound in MAPS]
    return [
        *(read_bar_map(shown, wound, rules) for shown, wound in maps),
        *(judge_run_out(xs, per_bar, 100, 1500, rules) for xs, per_bar in CIRCLES),
        *(judge_bar_test(ohms, armature, 0.001, rules, fine=fine) for ohms, armature in BARS for fine in (False, True)),
    ]


def test_nothing_moves_in_a_whole_answer(rules: MotorRules) -> None:
    assert_nothing_moved("commutator_answers.json", whole_answers(rules))
