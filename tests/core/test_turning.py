"""Windings, bearings and fits: figures against tables, and what follows from them."""

from collections import Counter
from itertools import combinations, pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.bearings.designation import decode
from norvash.core.bearings.fitting import bush_limit_mm, bush_lines, ring_lines, seal_lines, shim_mm, shim_stack
from norvash.core.bearings.lasting import judge_vibration, renew_anyway
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with
from norvash.core.windings import (
    judge_coils,
    judge_insulation,
    judge_polarization,
    least_megohm,
    machine_of,
    volts_to_test_with,
    winding_c,
)


@pytest.mark.parametrize(
    ("text", "bore", "outside", "width", "seal", "clearance"),
    [
        ("6204-2RS", 20, 47, 14, "rubber seals on both sides", "normal"),
        ("6000", 10, 26, 8, "open", "normal"), ("6201 ZZ", 12, 32, 10, "metal shields on both sides", "normal"),
        ("6302/C3", 15, 42, 13, "open", "more than normal"), ("62 03 Z", 17, 40, 12, "one metal shield", "normal"),
        ("608 2Z", 8, 22, 7, "metal shields on both sides", "normal"), ("6310-2Z/C3", 50, 110, 27, "metal shields on both sides", "more than normal"),
        ("6020", 100, 150, 24, "open", "normal"), ("626RS", 6, 19, 6, "one rubber seal", "normal"),
    ],
)  # fmt: skip
def test_bearing_numbers(text: str, bore: float, outside: float, width: float, seal: str, clearance: str) -> None:
    found = decode(text)
    assert (found.bore_mm, found.outside_mm, found.width_mm, found.seal, found.clearance) == (
        bore,
        outside,
        width,
        seal,
        clearance,
    )
    assert found.unknown == ()


def test_the_table_of_dimensions_only_grows() -> None:
    for series in ("60", "62", "63"):
        sizes = [decode(f"{series}{code:02d}") for code in range(21)]
        for small, big in pairwise(sizes):
            assert small.bore_mm < big.bore_mm
            assert small.outside_mm < big.outside_mm
            assert small.width_mm <= big.width_mm
        assert all(b.bore_mm + 2 * 3 < b.outside_mm for b in sizes)
    assert decode("6205 LX9").unknown == ("LX9",)


def test_fits_bushes_and_shims(rules: MotorRules) -> None:
    tight, loose = ring_lines(20.006, 19.996, 47.012, 46.994, rules), ring_lines(19.98, 20.0, 47.1, 47.0, rules)
    assert [x.fits for x in tight] == [True, True]
    assert [x.says.split(":")[0] for x in loose] == ["loose on the shaft", "loose in the housing"]
    assert [x.fits for x in ring_lines(20.1, 20.0, 46.9, 47.0, rules)] == [False, False]
    starter = MotorRules(rulebook_with(()), "starter")
    assert (bush_limit_mm(12, rules), bush_limit_mm(40, rules), bush_limit_mm(12, starter)) == (0.1, 0.2, 0.2)
    worn = bush_lines(12.0, 12.9, 0.4, rules)
    assert [x.fits for x in worn] == [False, False]
    assert "rub" in worn[1].says
    assert [x.fits for x in seal_lines(20, 20.1, 35, 38)] == [True, False]
    assert (shim_mm(0.2, 0.1, 0.3), shim_mm(0.05, 0.1, 0.3)) == (0.0, -0.15)
    assert "over 50%" in renew_anyway(6000, 10000, 2, rules)
    assert renew_anyway(100, 10000, 11, rules) == "11 years are over 10"
    assert renew_anyway(100, 10000, 2, rules) == ""
    assert [judge_vibration(v, rules)[0] for v in (0.7, 1.8, 4.5, 4.6)] == ["fit", "fit", "watch", "plan"]


@given(
    st.floats(0, 3),
    st.floats(0.02, 0.5),
    st.lists(st.sampled_from([0.05, 0.1, 0.2, 0.3, 0.5, 1.0]), min_size=1, max_size=7),
)
def test_shims_from_the_box_bring_the_float_inside_or_none_can(least: float, band: float, box: list[float]) -> None:
    found = shim_stack(least, least + band, box)
    sums = [sum(c) for n in range(1, len(box) + 1) for c in combinations(box, n)]
    inside = [s for s in sums if least - 1e-9 <= s <= least + band + 1e-9]
    assert (found is None) == (not inside)
    if found is not None:
        assert not Counter(found) - Counter(box)
        assert any(abs(sum(found) - s) < 1e-9 for s in inside)
        assert not [c for c in combinations(box, len(found) - 1) if c and least - 1e-9 <= sum(c) <= least + band + 1e-9]


def test_insulation_falls_by_half_for_ten_degrees_and_is_held_against_its_machine(rules: MotorRules) -> None:
    assert judge_insulation(10, 50, 5, None, rules).r40 == pytest.approx(20)
    fallen = judge_insulation(34, 22, 5, 31, rules)
    assert (fallen.passes, fallen.fallen, fallen.stage) == (True, True, "watch")
    assert judge_insulation(3, 40, 5, None, rules).stage == "stop"
    assert judge_insulation(3, 20, 2, None, rules, at_40=False).passes
    assert judge_insulation(3, None, 2, 30, rules).share is None
    machines = [
        machine_of(c, v, p, rules)
        for c, v, p in (
            ("tool", 230, ""),
            ("tool", 230, "double insulated"),
            ("starter", 12, ""),
            ("industrial", 440, ""),
        )
    ]
    assert machines == ["earthed", "double", "other", "small"]
    assert [least_megohm(m, 440, rules) for m in (*machines, "old")] == [1, 2, 1, 5, 1.44]
    assert [volts_to_test_with(v) for v in (24, 230, 600, 5000, None)] == [
        "100 V at most",
        "250 or 500 V",
        "500 V",
        "by the maker's figure",
        "by its rated voltage",
    ]


def test_index_coils_and_heat(rules: MotorRules) -> None:
    stages = [
        judge_polarization(one, ten, rules).stage for one, ten in ((100, 210), (100, 160), (100, 120), (6000, 6100))
    ]
    assert stages == ["fit", "watch", "plan", "fit"]
    coils = judge_coils([41.2, 40.8, 38.1, 41.0], 24, rules)
    assert coils.off == (3,)
    assert judge_coils([41.2, 40.8], 24, rules).off == ()
    assert winding_c(2.31, 19, 2.31, rules) == pytest.approx(19)
    assert winding_c(2.0, 20, 2.4, rules) > winding_c(2.0, 20, 2.3, rules)
