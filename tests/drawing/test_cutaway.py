"""The section as laws over invented figures: nothing stands where it must not, and it says its scale."""

import gzip
import re
from itertools import combinations, pairwise

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from norvash.drawing.cutaway.built import Seat, Stated, built
from norvash.drawing.cutaway.names import apart, led
from norvash.drawing.cutaway.parts import DRAW, pins
from norvash.drawing.cutaway.ratios import RATIOS
from norvash.drawing.cutaway.section import PartShown, section

CLASSES = tuple(RATIOS)
SMALL = 1e-6


def lengths(low: float, high: float) -> st.SearchStrategy[float | None]:
    return st.none() | st.floats(low, high)


@st.composite
def motors(draw: st.DrawFn) -> Stated:
    """Return what is stated of a motor that nobody has built, some of it nonsense."""
    motor_class = draw(st.sampled_from(CLASSES))
    bore = draw(st.floats(5, 90))
    seat = st.none() | st.just(Seat(bore, 2.1 * bore, 0.6 * bore, known=True))
    return Stated(
        motor_class=motor_class,
        commutator_d=draw(lengths(15, 600)),
        bars=draw(st.integers(3, 400)),
        track=draw(lengths(5, 300)),
        shaft_d=draw(lengths(4, 900)),
        span=draw(lengths(10, 3000)),
        gap=draw(lengths(0, 20)),
        other=draw(seat),
        drive=draw(seat),
        brush=(draw(lengths(3, 50)), draw(lengths(4, 60)), draw(lengths(8, 70))),
        limit=draw(lengths(1, 30)),
        lengths=(draw(lengths(2, 60)), draw(lengths(2, 60))),
        arms=draw(st.integers(1, 12)),
        magnets=draw(st.booleans()),
        turns=draw(st.sampled_from(["", "belt", "gears", "fan", "chain"])),
        solenoid=motor_class == "starter" and draw(st.booleans()),
        feet=draw(st.booleans()),
    )


def parts_of(stated: Stated, state: str = "sound") -> tuple[PartShown, ...]:
    left_out = () if stated.solenoid else ("solenoid",)
    ids = [i for i in DRAW if i not in left_out]
    return tuple(PartShown(id=i, number=n, name=i, state=state, grade="plan") for n, i in enumerate(ids, start=1))


@given(motors())
def test_what_turns_has_room_and_touches_what_it_must(stated: Stated) -> None:
    b = built(stated)
    assert b.other_x[1] <= b.commutator_x[0] < b.commutator_x[1] <= b.core_x[0] < b.core_x[1] <= b.drive_x[0]
    assert b.core_x[1] <= b.turns_x[1] <= b.fan_x[0] <= b.fan_x[1] <= b.drive_x[0] < b.drive_x[1] <= b.end_x
    assert b.commutator_x[0] <= b.brush_x - b.brush[1] / 2
    assert b.brush_x + b.brush[1] / 2 <= b.riser_x + SMALL
    assert b.track_r < b.riser_r <= b.core_r + SMALL  # the riser is not above the core
    assert b.core_r <= b.pole_r[0] < b.pole_r[1] <= b.yoke_r[0] + SMALL  # an air gap, poles, the yoke behind them
    assert max(b.other.outside, b.drive.outside) / 2 < b.yoke_r[0]  # a bearing fits inside its shield
    assert b.fan_r <= b.yoke_r[0]
    if not b.ratios.stack:
        assert b.holder_r <= b.yoke_r[0] + 0.1 * b.brush[2]  # a new brush and its spring fit under the frame
    assert 0 < b.bar < b.track_r
    assert 0 < b.slot <= b.core_r


@given(motors())
def test_a_stated_figure_stands_as_it_is_and_moves_what_is_generic(stated: Stated) -> None:
    b = built(stated)
    for said, drawn in (
        (stated.commutator_d, 2 * b.track_r),
        (stated.shaft_d, 2 * b.shaft),
        (stated.gap, b.pole_r[0] - b.core_r),
        *zip(stated.brush, b.brush, strict=True),
    ):
        assert said is None or drawn == pytest.approx(said)
    assert stated.other is None or b.other is stated.other
    middle = (b.drive_x[0] + b.drive_x[1]) / 2 - (b.other_x[0] + b.other_x[1]) / 2
    if stated.span is not None:
        # A span is kept, or what it lacks for what lies between is said: it is asked as a doubt.
        assert middle == pytest.approx(stated.span + b.short_by)
    assert b.short_by >= 0


@given(motors())
def test_no_line_to_a_name_crosses_another(stated: Stated) -> None:
    drawn = section(stated, parts_of(stated), (), tuple(DRAW))
    for one in (drawn.wide, drawn.upright):
        found = re.findall(r'class="leader"[^>]* d="M([^"]*)"', one.svg())
        lines = [[tuple(map(float, p.split())) for p in line.split("L")] for line in found]
        assert len(lines) == len(parts_of(stated))
        for a, b in combinations(lines, 2):
            assert not any(crosses(s, t) for s in pairs(a) for t in pairs(b)), (a, b)


Line = tuple[tuple[float, ...], tuple[float, ...]]


def pairs(line: list[tuple[float, ...]]) -> list[Line]:
    return list(pairwise(line))


def crosses(one: Line, other: Line) -> bool:
    """Tell whether two strokes cross in their middles; ends that are rounded to the same place do not."""

    def side(p: tuple[float, ...], line: Line) -> float:
        (ax, ay), (bx, by) = line
        return (bx - ax) * (p[1] - ay) - (by - ay) * (p[0] - ax)

    a, b = side(one[0], other), side(one[1], other)
    c, d = side(other[0], one), side(other[1], one)
    return min(abs(x) for x in (a, b, c, d)) > 1 and (a > 0) != (b > 0) and (c > 0) != (d > 0)


@given(motors(), st.sampled_from(["unseen", "some", "sound", "found", "done", "proven"]))
def test_it_never_shows_more_than_was_looked_at(stated: Stated, state: str) -> None:
    drawn = section(stated, parts_of(stated, state), (), tuple(DRAW)).wide.svg()
    inked = 'class="copper part"' in drawn
    assert inked == (state != "unseen")
    assert ("ring-done" in drawn, "ring-proven" in drawn) == (state == "done", state == "proven")
    assert ('class="ring"' in drawn) == (state == "found")
    assert ("pin-open" in drawn) == (state in ("unseen", "some"))


@given(motors())
def test_the_order_of_the_axis_is_that_of_the_pins_and_every_part_has_one(stated: Stated) -> None:
    at = pins(built(stated))
    assert set(at) == set(DRAW)
    drawn = section(stated, parts_of(stated), (), tuple(DRAW))
    assert sorted(drawn.order) == sorted(p.id for p in parts_of(stated))
    for row in (drawn.above, drawn.below):
        assert [i for i in drawn.order if i in row] == list(row)
        assert len(row) <= 14


@given(st.lists(st.floats(0, 500), min_size=1, max_size=14))
def test_ends_of_lines_stand_apart_and_inside(at: list[float]) -> None:
    made = apart(sorted(at), 500.0)
    assert all(b - a >= 4 - SMALL for a, b in pairwise(made))
    assert max(made) <= 500 + SMALL


@given(st.dictionaries(st.text(min_size=1, max_size=3), st.tuples(st.floats(0, 600), st.floats(60, 300)), min_size=1))
def test_names_are_spread_over_their_row(pinned: dict[str, tuple[float, float]]) -> None:
    assume(len(pinned) <= 14)
    made = led(pinned, (0.0, 600.0), 20.0, 600.0)
    assert [x.row for x in made] == list(range(len(pinned)))
    assert all(0 < x.line[0][0] < 600 for x in made)


@pytest.mark.parametrize("motor_class", CLASSES)
def test_it_stays_small_and_says_what_it_is_drawn_from(motor_class: str) -> None:
    stated = Stated(motor_class=motor_class, solenoid=motor_class == "starter", feet=True, bars=93, arms=12)
    drawn = section(stated, parts_of(stated, "found"), (), tuple(DRAW))
    both = drawn.wide.svg() + drawn.upright.svg()
    assert len(gzip.compress(both.encode())) <= 12_000
    assert drawn.scale == "drawn as its class is built"
    assert drawn.wide.description.startswith(drawn.scale)
    assert [row[0] for row in drawn.wide.rows] == [p.name for p in parts_of(stated)]
    known = section(stated, parts_of(stated), ("bearings", "brushes"), tuple(DRAW))
    assert known.scale == "bearings, brushes to scale"
