"""Doubts, lines, spreads and words of carbon over whole grids of readings, held so that no threshold moves unseen."""

from collections.abc import Sequence
from dataclasses import asdict
from itertools import groupby

from norvash.core.brush.doubts import doubt_of
from norvash.core.brush.readings import Reading
from norvash.core.brush.renewal import Carbon
from norvash.core.brush.spread import set_spread
from norvash.core.brush.straight_line import Point, Track, straight_line
from norvash.core.grades import GRADES, word_of
from norvash.core.rules.book import MotorRules
from whole import assert_nothing_moved

NEW = Point(22.0, 0.0, 0.1)


def read(mm: float, sd: float) -> Reading:
    """Return a reading of a length as a caliper gives it."""
    return Reading(typed=f"{mm:g}", unit="mm", raw_value=mm, length_mm=mm, sd_mm=sd, low_mm=mm, high_mm=mm)


def doubts(rules: MotorRules) -> list[object]:
    """Return where along all lengths a doubt begins and ends, for each past and each set of partners."""
    pasts = (None, Point(18.0, 400.0, 0.05), Point(18.0, 0.0, 0.05), Point(22.0, 300.0, 0.05), Point(9.0, 900.0, 0.4))
    sets = ((), (Point(6.0, 500.0, 0.05),) * 3, (Point(1.0, 500.0, 0.05), Point(9.0, 500.0, 0.4)))
    made: list[object] = []
    for previous in pasts:
        for partners in sets:
            for run_h in (400.0, 500.0, 1000.0):
                for carbon in (None, Carbon(22.0, 8.0, 0.01)):
                    for sd in (0.05, 0.4):
                        lengths = [5 + 0.05 * i for i in range(400)]
                        found = (
                            doubt_of(
                                read(mm, sd), NEW, previous, run_h=run_h, partners=partners, rules=rules, carbon=carbon
                            )
                            for mm in lengths
                        )
                        named = [f"{d.kind} {d.rule_id}" if d else "" for d in found]
                        made.append("; ".join(f"{len(list(run))} {kind}" for kind, run in groupby(named)))
    return made


def lines(rules: MotorRules) -> list[object]:
    """Return the straight line of sets that wear fast, slowly, not at all, and past their limit."""
    nows = [(mm, h) for mm in (21.99, 21.5, 15.0, 8.4, 8.0, 7.5) for h in (0.5, 600.0)]
    tracks = [
        Track(NEW, before, Point(mm, h, 0.05), 8.0)
        for mm, h in nows
        for before in (None, Point(mm + 0.3, h - 0.4, 0.05), Point(mm, h - 0.4, 0.05))
    ]
    some: Sequence[Sequence[Track | None]] = (tracks[9:13], [tracks[9], None], [None, None])
    sets = [*([t] for t in tracks), *some]
    return [asdict(straight_line(s, rules)) for s in sets]


def spreads(rules: MotorRules) -> list[object]:
    """Return how evenly sets of two, four and more have worn."""
    worn = (
        [2.0, 2.0],
        [2.0, 2.6],
        [0.05, 0.1],
        [0.0, 0.0],
        [4.0, 4.1, 4.0, 7.0],
        [4.0, 2.0, 4.1, 2.1],
        [-0.1, 0.1],
        [9.0] * 7 + [1.0],
    )
    return [asdict(set_spread(w, 0.05, rules, "+-" * (len(w) // 2))) for w in worn]


def test_nothing_moves_in_carbon(rules: MotorRules) -> None:
    words = [[grade, word_of(grade, carbon=True), word_of(grade, carbon=False)] for grade in GRADES]
    assert_nothing_moved("carbon_answers.json", [*doubts(rules), *lines(rules), *spreads(rules), *words], rel=1e-9)
