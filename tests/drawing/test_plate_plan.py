"""The brush plate drawn: each box is joined where its sign says, and neighbours of one sign are marked."""

from dataclasses import replace
from math import inf

import pytest

from norvash.core.motor.positions import alternating, even_positions, polarity_clashes
from norvash.drawing.brush.gap_profile import gap_profile
from norvash.drawing.brush.plate_plan import plate_plan

# By number of boxes: the signs round the commutator as they were read, and which boxes are marked.
PLATES = {
    "two": ("+-", []),
    "four": ("+-+-", []),
    "four the other way": ("-+-+", []),
    "two alike": ("++--", [1, 2, 3, 4]),
    "six": ("+-+-+-", []),
    "one of six turned": ("+---+-", [2, 3, 4]),
    "eight": ("+-+-+-+-", []),
    "twelve": ("+-+-+-+-+-+-", []),
    "twelve, two changed": ("+-+-+--++-+-", [6, 7, 8, 9]),
}


@pytest.mark.parametrize(("signs", "marked"), PLATES.values(), ids=PLATES)
def test_a_plate_shows_what_is_joined_to_what(signs: str, marked: list[int]) -> None:
    even = even_positions(len(signs), len(signs))
    plans = tuple(replace(p, polarity=sign) for p, sign in zip(even, signs, strict=True))
    assert sorted(polarity_clashes(plans)) == marked
    drawn = plate_plan(plans, polarity_clashes(plans), 300)
    joined = {"+": "the post", "-": "the case"}
    assert [row[3] for row in drawn.rows] == [joined[p.polarity] for p in sorted(plans, key=lambda p: p.angle_deg)]
    assert [bool(row[4]) for row in drawn.rows].count(True) == len(marked)
    assert drawn.svg().count("copper-dash") == len(marked)
    assert not polarity_clashes(alternating(plans))


def test_brushes_side_by_side_on_an_arm_are_one_box() -> None:
    drawn = plate_plan(even_positions(8, 4), frozenset(), 300)
    assert [e.text for e in drawn.elements if e.ink == "text-tag"] == ["A1–A2 +", "B1–B2 −", "C1–C2 +", "D1–D2 −"]
    assert len(drawn.rows) == 8


def test_the_gap_under_a_flat_face_is_magnified_and_says_how_much() -> None:
    drawn = gap_profile(62, 9.15, inf, 300)
    assert [row[0] for row in drawn.rows] == ["25%", "50%", "75%", "100%"]
    assert drawn.rows[-1][1] == "0.339 mm"
    assert "height × " in drawn.svg()
    assert gap_profile(62, 9.15, 31.5, 300).rows[-1][1] == "0.005 mm"
