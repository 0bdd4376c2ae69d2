"""Whole readings of commutators, kept so that nothing in them moves unseen: maps, circles, bar tests."""

from collections.abc import Sequence
from itertools import product
from math import cos, pi, sin
from random import Random
from typing import Any

from norvash.core.commutator.armature import Armature
from norvash.core.commutator.bar_testing import Taken, judge_bar_test
from norvash.core.commutator.bars import read_map
from norvash.core.commutator.pattern import search
from norvash.core.commutator.run_out import Turned, judge_run_out
from norvash.core.judging.commutator.map_read import Wound
from norvash.core.judging.commutator.map_says import read_bar_map, set_of
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError
from whole import assert_nothing_moved

MAPS: list[tuple[int, str, dict[str, Any]]] = [
    (87, "burnt 5, 27, 49, 70", {"poles": 4, "slots": 29, "winding": "wave"}),
    (87, "dark " + ", ".join(str(b) for b in range(1, 88, 3)), {"poles": 4, "slots": 29, "winding": "wave"}),
    (87, "burnt 9-10, 53-54; chipped 3, 9; drag 7", {"poles": 4, "slots": 29, "winding": "wave", "pitch": 44}),
    (60, "dark " + ", ".join(str(b) for b in range(3, 61, 7)), {}),
    (64, "dark " + ", ".join(str(b) for b in range(2, 65, 5)) + "; high-mica 1, 64", {"poles": 6}),
    (96, "burnt 1-3, 25-27, 49-51, 73-75", {"poles": 4, "winding": "lap", "covered_bars": 2.8}),
    (80, "burnt 5, 25", {"poles": 4, "arms_deg": (0.0, 90.0)}),
    (80, "burnt 5, 25, 44; pitted 80", {"poles": 4, "arms_deg": (10.0, 100.0, 190.0, 280.0)}),
    (24, "burnt-leading 12, 24; burnt-trailing 1, 13; loose 6", {"poles": 2, "winding": "lap"}),
    (93, "burnt 4, 27, 50, 73", {"poles": 8, "winding": "wave"}),
    (24, "dark 1-12, 14-24", {}),
    (30, "flat 29-30, 1-9; dirty-slot 3", {"slots": 15}),
    (87, "burnt 1, 2, 44, 45", {"poles": 4, "winding": "wave", "pitch": 43}),
    (87, "burnt 3, 46", {"poles": 4, "winding": "wave", "pitch": 43}),
    (87, "burnt 3, 46", {"poles": 4, "winding": "lap"}),
    (60, "burnt 7, 17, 33", {"poles": 6, "arms_deg": (0.0, 60.0, 156.0)}),
    (60, "burnt 8, 17, 33", {"poles": 6, "arms_deg": (0.0, 60.0, 156.0)}),
    (60, "burnt 7", {"poles": 4, "arms_deg": (0.0,)}),
    (60, "burnt 3, 9, 22, 35, 51", {"poles": 4}),
    (60, "burnt 3, 18, 34, 50", {"poles": 4, "slots": 30}),
    (96, "burnt 1-3, 25-27, 49-51, 73-75", {"poles": 4, "winding": "lap", "covered_bars": 4.5}),
    (96, "burnt 1, 25, 49, 73", {"poles": 4, "winding": "lap", "covered_bars": 1.8}),
    (96, "burnt 1-2, 25-26, 49-50, 73-74", {"poles": 4, "winding": "lap", "covered_bars": 2.0}),
    (96, "burnt 1-3, 25-27, 49-51, 73-75", {"poles": 4, "winding": "lap"}),
    (72, "burnt " + ", ".join(str(b) for b in range(1, 73, 2)), {"poles": 4, "slots": 36}),
    (72, "dark " + ", ".join(str(b) for b in range(1, 73, 4)), {"poles": 4}),
    (72, "dark " + ", ".join(str(b) for b in range(1, 73, 18)), {"poles": 4}),
    (20, "burnt 1-13", {}),
    (20, "dark 1-12", {}),
    (20, "dark 1-13", {}),
    (20, "burnt 1-5", {}),
    (20, "burnt 1-6", {}),
    (24, "raised 9", {}),
    (24, "loose 9; raised 10", {}),
    (24, "burnt-leading 24; burnt-trailing 1", {}),
    (24, "burnt-leading 1; burnt-trailing 24", {}),
    (24, "burnt-leading 5", {}),
    (24, "burnt-leading 1; burnt-trailing 2", {}),
    (87, "burnt 3, 46", {"poles": 4, "winding": "wave"}),
    (87, "burnt 3, 32, 61", {"poles": 6, "winding": "wave"}),
    (87, "burnt 3", {"poles": 2, "winding": "wave"}),
    (24, "flat 4-15", {}),
    (24, "flat 4-14", {}),
    (24, "threaded 3-9; streaked 12", {}),
    (24, "even 1-24", {}),
    (24, "", {}),
]
TURN = [2 * pi * i / 24 for i in range(24)]
CIRCLES: list[tuple[list[float | None], bool]] = [
    ([0.06 * cos(t - 1) + 0.001 * cos(7 * t) for t in TURN], True),
    ([0.02 * cos(2 * t - 1) + 0.004 * sin(t) for t in TURN], True),
    ([0.03 if i == 7 else -0.02 if i == 23 else 0.001 * i for i in range(24)], True),
    ([0.001 * i for i in range(24)], True),
    ([0.0001 * (i % 5) for i in range(24)], False),
    ([None if i in (0, 5, 12) else 0.04 * cos(t) for i, t in enumerate(TURN)], True),
    ([None if i in (6, 23) else 0.05 if i == 7 else 0.01 * sin(t) for i, t in enumerate(TURN)], True),
    ([-0.03 if i in (7, 8) else 0.002 * sin(t) for i, t in enumerate(TURN)], True),
    ([0.2 * cos(t) + (0.03 if i == 5 else 0.0) for i, t in enumerate(TURN)], True),
    ([None if i % 4 == 0 else 0.01 * sin(t) for i, t in enumerate(TURN)], False),
    ([None if i % 3 == 0 else 0.01 * sin(t) for i, t in enumerate(TURN)], False),
    ([0.01] * 7, False),
]
# Surface speeds at the edges of their bands, and where one of the two is not known.
SPEEDS: tuple[tuple[float | None, float | None], ...] = (
    (None, None),
    (100.0, None),
    (None, 1500.0),
    (100.0, 1909.86),
    (100.0, 1910.0),
    (200.0, 4000.0),
    (400.0, 2400.0),
)
BARS: list[tuple[list[float | None], Armature]] = [
    (
        [1.0 + 0.001 * (i % 3) + (0.9 if i in (4, 16) else 0.0) for i in range(24)],
        Armature(bars=24, pole_pairs=2, winding="wave", pitch=11),
    ),
    (
        [1.0 - (0.7 if i in (4, 5) else 0.0) for i in range(29)],
        Armature(bars=29, pole_pairs=2, winding="wave", pitch=14),
    ),
    (
        [1.0 + 0.2 * (i % 3) - (0.5 if i == 7 else 0.0) for i in range(24)],
        Armature(bars=24, pole_pairs=2, winding="lap", pitch=1, slots=8),
    ),
    (
        [1.0 + 0.2 * (i % 2) + (0.5 if i == 7 else 0.0) for i in range(24)],
        Armature(bars=24, pole_pairs=2, winding="lap", pitch=1, slots=12),
    ),
    ([None if i == 3 else 1.0 + 0.004 * i for i in range(24)], Armature(bars=24, pole_pairs=1)),
]


def read(text: str, bars: int, wound: dict[str, Any], rules: MotorRules) -> str:
    """Return to the letter what is read from a map, with the bars of each saying."""
    found = read_bar_map(read_map(text, bars), Wound(bars=bars, **wound), rules)
    said = [f"{s.words} [{s.finding.id if s.finding else ''}] {s.bars} {' '.join(s.rules)}" for s in found.sayings]
    return "\n".join([text, found.pattern, str(found.spots), found.bar_test, *said])


def circled(
    readings: list[float | None], per_bar: bool, speed: tuple[float | None, float | None], rules: MotorRules
) -> object:
    """Return how a circle of readings is judged, its sentence to the letter, or why it is not."""
    try:
        found = judge_run_out(readings, per_bar, Turned(*speed, "centres"), rules)
    except InputError as refused:
        return f"{refused.problem} {refused.remedy}"
    return [found, found.words.split(" ")]


def circles(rules: MotorRules) -> list[str]:
    """Return why each of a grid of circles does not run true: off centre, oval, ragged, and with bars that
    stand out.
    """
    made = []
    for centre, oval, ragged, spike, limit in product(
        (0.0, 0.02, 0.06), (0.0, 0.01, 0.03, 0.06), (0.0, 0.03), (0.0, 0.02, 0.09), (100.0, 300.0)
    ):
        xs = [
            centre * cos(t) + oval * cos(2 * t - 1) + ragged * cos(5 * t) + spike * (i in (7, 15))
            for i, t in enumerate(TURN)
        ]
        for per_bar in (True, False):
            found = judge_run_out(xs, per_bar, Turned(limit, 1500, "centres"), rules)
            made.append(
                f"{centre:g} {oval:g} {ragged:g} {spike:g} {limit:g} {per_bar}: {found.cause}, {found.words};"
                f" {[n for n, _ in found.odd_mm]} {found.step_at} {found.over} {found.far}"
            )
    return made


def scattered(rules: MotorRules) -> list[str]:
    """Return what is read from maps with a spacing, some of its spots missing and some strewn, and where it would be
    drawn.
    """
    made = []
    random = Random(5)
    for bars, every, keep, strewn in product((60, 72, 87), (2, 5, 6, 7.25, 12, 18), (1.0, 0.8, 0.5), (0, 1, 3)):
        regular = [round(1 + i * every) for i in range(int(bars / every)) if random.random() < keep]
        spots = tuple(sorted({b for b in (*regular, *(random.randint(1, bars) for _ in range(strewn))) if b <= bars}))
        found = search(spots, bars, 4, bars // 3, rules)
        best = found.proven
        said = (
            f"{best.kind} {best.period_bars:g} {best.offset} {best.hits} {best.corrected:.3g} {set_of(best, bars)[:4]}"
            if best
            else "nothing"
        )
        made.append(
            f"{bars} {every:g} {keep:g} {strewn}: {said}; {[f'{x.kind} {x.period_bars:g}' for x in found.agree]}"
        )
    return made


def judged_bars(readings: Sequence[float | None], armature: Armature, rules: MotorRules) -> str:
    """Return what a bar test comes to, or why it is refused."""
    try:
        found = judge_bar_test(readings, armature, Taken(0.001, lifted=True), rules)
    except InputError as refused:
        return f"{refused.problem} {refused.remedy}"
    return (
        f"{[f.words for f in found.faults]} {found.suspect} {found.missing} {found.unexplained} {found.release}"
        f" {found.rough} {found.pass_rule}"
    )


EVEN = [1.0 + 0.001 * (i % 3) for i in range(24)]
TESTS: list[tuple[list[float | None], Armature]] = [
    ([*EVEN[:23]], Armature(bars=24, pole_pairs=1)),
    ([*EVEN, 1.0], Armature(bars=24, pole_pairs=1)),
    ([*EVEN[:12], *[None] * 12], Armature(bars=24, pole_pairs=1)),
    ([*EVEN[:11], *[None] * 13], Armature(bars=24, pole_pairs=1)),
    ([*EVEN[:9], *[None] * 15], Armature(bars=24, pole_pairs=1)),
    ([0.0] * 24, Armature(bars=24, pole_pairs=1)),
    ([-1.0] * 24, Armature(bars=24, pole_pairs=1)),
    ([x * (1.3 if i % 5 == 0 else 1) for i, x in enumerate(EVEN)], Armature(bars=24, pole_pairs=1)),
    (
        [x * (1.3 if i % 5 == 0 else 0.8 if i % 5 == 2 else 1) for i, x in enumerate(EVEN)],
        Armature(bars=24, pole_pairs=1),
    ),
    ([x * (1.07 if i in (3, 9) else 1) for i, x in enumerate(EVEN)], Armature(bars=24, pole_pairs=1)),
    ([x * (1.9 if i in (3, 4, 9) else 1) for i, x in enumerate(EVEN)], Armature(bars=24, pole_pairs=1)),
    ([x * (0.4 if i in (3, 4, 9) else 1) for i, x in enumerate(EVEN)], Armature(bars=24, pole_pairs=1, winding="lap")),
    (
        [x * (1.9 if i in (3, 15) else 1) for i, x in enumerate(EVEN)],
        Armature(bars=24, pole_pairs=2, winding="wave", pitch=11),
    ),
]


def odd_bars(rules: MotorRules) -> list[str]:
    """Return what bar tests come to with so many readings high and low, of windings with so many bars to a slot."""
    kinds = (
        Armature(bars=24, pole_pairs=1),
        Armature(bars=24, pole_pairs=2, winding="lap", pitch=1, slots=8),
        Armature(bars=24, pole_pairs=2, winding="lap", pitch=1, slots=12),
        Armature(bars=24, pole_pairs=2, winding="wave", pitch=11),
        Armature(bars=25, pole_pairs=2, winding="wave", pitch=12),
        Armature(bars=24, pole_pairs=1, winding="lap", pitch=1, slots=4),
    )
    made = []
    for kind, high, low, by_slot in product(kinds, (0, 1, 4), (0, 1, 4), (0.0, 0.3)):
        xs = [
            (1.0 + by_slot * (i % 3))
            * (1.9 if i % 6 == 2 and i // 6 < high else 0.5 if i % 6 == 4 and i // 6 < low else 1.0)
            for i in range(kind.bars)
        ]
        made.append(f"{kind.winding} {kind.slots} {kind.bars} {high} {low} {by_slot:g}: {judged_bars(xs, kind, rules)}")
    return made


def whole_answers(rules: MotorRules) -> list[object]:
    maps = [(read_map(text, bars), Wound(bars=bars, **wound)) for bars, text, wound in MAPS]
    return [
        *(read_bar_map(shown, wound, rules) for shown, wound in maps),
        *(read(text, bars, wound, rules) for bars, text, wound in MAPS),
        *(circled(xs, per_bar, (100, 1500), rules) for xs, per_bar in CIRCLES),
        *(circled(*CIRCLES[0], speed, rules) for speed in SPEEDS),
        *(
            judge_bar_test(ohms, armature, Taken(0.001, lifted=True, fine=fine), rules)
            for ohms, armature in BARS
            for fine in (False, True)
        ),
        *circles(rules),
        *scattered(rules),
        *odd_bars(rules),
        *(judged_bars(ohms, armature, rules) for ohms, armature in TESTS),
        *(
            f.words
            for ohms, armature in BARS
            for f in judge_bar_test(ohms, armature, Taken(0.001, lifted=True), rules).faults
        ),
    ]


def test_nothing_moves_in_a_whole_answer(rules: MotorRules) -> None:
    assert_nothing_moved("commutator_answers.json", whole_answers(rules))
