"""What came off against what went back, over invented stacks; torque there and back."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.rules.catalogue import shipped
from norvash.core.stacks.check import check, differs
from norvash.core.stacks.kinds import KINDS
from norvash.core.stacks.part import StackPart
from norvash.core.stacks.shroud import shroud_words
from norvash.core.stacks.torque import cross_order, estimated, read_band
from norvash.core.stacks.typed import read_back, read_part
from norvash.errors import InputError

RULES = shipped()
SIZES = st.one_of(st.none(), st.integers(1, 400).map(lambda n: n / 4))


@st.composite
def parts(draw: st.DrawFn, where: str = "inside") -> StackPart:
    kind = draw(
        st.sampled_from(sorted(KINDS["machine" if where == "machine" else "inside"].values(), key=lambda k: k.name))
    )
    return StackPart(
        where=kind.where,
        kind=kind.name,
        count=draw(st.integers(1, 9)),
        long_mm=draw(SIZES),
        across_mm=draw(SIZES),
        round=draw(st.sampled_from(("", *kind.round))),
        material=draw(st.sampled_from(("", "brass"))),
        stays=draw(st.booleans()),
    )


STACKS = st.lists(parts(), min_size=1, max_size=14)


@given(parts())
def test_a_part_reads_back_as_it_is_written(part: StackPart) -> None:
    assert read_part("inside", part.words) == part


@given(STACKS)
def test_a_stack_that_goes_back_as_it_came_off_differs_in_nothing(out: list[StackPart]) -> None:
    assert check(out, out[::-1], RULES) == ()


@given(STACKS, st.data())
def test_every_part_that_is_lost_doubled_turned_or_of_another_size_is_told(
    out: list[StackPart], data: st.DataObject
) -> None:
    n = data.draw(st.integers(0, len(out) - 1))
    back = out[::-1]
    at = len(out) - 1 - n
    part = back[at]

    def told(changed: list[StackPart]) -> set[str]:
        return {d.what for d in check(out, changed, RULES)}

    assert "missing" in told([p for i, p in enumerate(back) if i != at])
    assert "left over" in told([*back[: at + 1], part, *back[at + 1 :]])
    assert "missing" in told([*back[:at], replace(part, count=part.count - 1), *back[at + 1 :]])
    if len(part.of.round) > 1 and part.round:
        other = next(w for w in part.of.round if w != part.round)
        assert differs(part, replace(part, round=other), RULES)[0][0] == "turned"
        assert told([*back[:at], replace(part, round=other), *back[at + 1 :]])
    if part.long_mm is not None:
        assert told([*back[:at], replace(part, long_mm=part.long_mm * 1.5 + 1), *back[at + 1 :]])


def test_two_parts_in_another_order_are_told() -> None:
    washer, nut = read_part("inside", "washer 1 x 20"), read_part("inside", "nut 6 x 12")
    assert [d.what for d in check([washer, nut], [washer, nut], RULES)] == ["swapped"]
    thin, thick = read_part("inside", "w1x20"), read_part("inside", "w2x20")
    assert [d.what for d in check([thin, thick], [thin, thick], RULES)] == ["swapped"]


TYPED = {
    "5s.2x26": "5 shims 0.2 × 26",
    "se5x28, lip": "seal 5 × 28, lip in",
    "2 washers 1,5 x 20, brass": "2 washers 1.5 × 20, brass",
    "thrust washer – x 20": "thrust washer – × 20",
    "shim 0.01 in x 1 in, stays": "shim 0.254 × 25.4, stays on the shaft",
    "end shield 20 x 84, chisel mark": "end shield 20 × 84, chisel mark",
}
COUNTED = {
    "6 hood screws M4 x 12": "6 hood screws M4 × 12",
    "2 x motor bolts M8x25": "2 motor bolts M8 × 25",
    "nut of the post M8": "nut of the post M8",
    "earth lead": "earth lead",
}
REFUSED = {
    "washer three": "is not a part here",
    "washer 0": "not possible",
    "washer -1": "not possible",
    "washer 9999": "not possible",
    "0w": "None of them",
    "500w1": "not a number of parts",
    "": "names no part",
    "12": "names no part",
    "washer 1.5 furlong": "not understood",
    "washer M0": "thread of 0",
    f"washer 1, {'x' * 99}": "too many",
}


def test_parts_are_read_as_they_are_typed_at_the_bench() -> None:
    assert {t: read_part("inside", t).words for t in TYPED} == TYPED
    assert {t: read_part("machine", t).words for t in COUNTED} == COUNTED
    assert [read_back("machine", t, {}).count for t in ("4", "2 M6 x 25", "M6 x 25", "4, lip out")] == [4, 2, None, 4]
    assert read_back("machine", "2 M6 x 25", {}).part.size == "M6 × 25"
    for text, words in REFUSED.items():
        with pytest.raises(InputError, match=words):
            read_part("inside", text)


@pytest.mark.parametrize(
    ("text", "low", "high"),
    [
        ("26–31 in·lb", 2.937606, 3.50253),
        ("18-22 in-lb", 2.033727, 2.485666),
        ("5", 5, 5),
        ("5 to 7 Nm", 5, 7),
        ("5 N·m – 60 in·lb", 5, 6.77909),
    ],
)
def test_a_torque_is_read_there_and_back(text: str, low: float, high: float) -> None:
    band = read_band(text)
    assert (band.low_nm, band.high_nm) == pytest.approx((low, high), rel=1e-5)
    again = read_band(f"{band.in_unit('ft·lb')[0]!r:.12} – {band.in_unit('ft·lb')[1]!r:.12} ft·lb")
    assert (again.low_nm, again.high_nm) == pytest.approx((low, high), rel=1e-4)
    assert band.half_nm == pytest.approx((low + high) / 4, rel=1e-5)


def test_a_torque_that_cannot_be_is_refused_and_a_thread_is_estimated() -> None:
    for text in ("0", "-3", "22–18 in·lb", "5 furlongs", "a", "5 N·m x 3", ""):
        with pytest.raises(InputError):
            read_band(text)
    steel, soft = estimated("M6", "steel", RULES), estimated("M6", "aluminium", RULES)
    assert steel is not None
    assert soft is not None
    assert soft.high_nm == pytest.approx(steel.high_nm / 2)
    assert estimated("M6", "plastic", RULES) is None
    assert estimated("M99", "steel", RULES) is None


def test_screws_are_tightened_across() -> None:
    for count in range(1, 25):
        assert sorted(cross_order(count)) == list(range(1, count + 1))
    assert cross_order(6) == (1, 4, 2, 5, 3, 6)
    assert cross_order(8) == (1, 5, 3, 7, 2, 6, 4, 8)


def test_a_shroud_is_shifted_by_half_the_difference_of_opposite_gaps() -> None:
    assert shroud_words((2.0, 1.0, 2.0, 3.0)) == "shift the shroud by 1.00 mm to the right"
    assert shroud_words((1.0, 3.0, 3.0, 1.0)) == "shift the shroud by 1.00 mm to the top and 1.00 mm to the left"
    assert shroud_words((2.0, 2.0, 2.0)) == shroud_words((2.0, None, 2.0, 2.0)) == ""
    assert shroud_words((2.0, 2.0, 2.0, 2.0)) == "the shroud is in the middle"
