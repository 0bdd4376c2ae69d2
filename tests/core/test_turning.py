"""Windings, bearings and fits: figures against tables, and what follows from them."""

from collections import Counter
from itertools import combinations, pairwise

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.bearings.designation import decode
from norvash.core.bearings.fitting import bush_limit_mm, shim_mm, shim_stack, worn_bush_lines
from norvash.core.bearings.lasting import renew_anyway
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import rulebook_with
from norvash.core.windings.field_coils import CoilTest, judge_coils
from norvash.core.windings.insulation import EarthTest, least_megohm, machine_of, volts_to_test_with
from norvash.core.windings.polarization import judge_polarization
from norvash.core.windings.resistance import winding_c
from norvash.errors import InputError

about = pytest.approx


@pytest.mark.parametrize(
    ("text", "bore", "outside", "width", "seal", "clearance"),
    [
        ("6204-2RS", 20, 47, 14, "rubbing seals on both sides", "normal"),
        ("6000", 10, 26, 8, "open", "normal"),
        ("6201 ZZ", 12, 32, 10, "metal shields on both sides", "normal"),
        ("6302/C3", 15, 42, 13, "open", "more than normal"),
        ("62 03 Z", 17, 40, 12, "one metal shield", "normal"),
        ("608 2Z", 8, 22, 7, "metal shields on both sides", "normal"),
        ("6310-2Z/C3", 50, 110, 27, "metal shields on both sides", "more than normal"),
        ("6020", 100, 150, 24, "open", "normal"),
        ("626RS", 6, 19, 6, "one seal", "normal"),
        ("62206-2RS", 30, 62, 20, "rubbing seals on both sides", "normal"),
        ("62206 2RSL", 30, 62, 20, "seals that do not rub on both sides", "normal"),
        ("6204-2RSH/C3", 20, 47, 14, "rubbing seals on both sides", "more than normal"),
        ("6204DDUC3", 20, 47, 14, "rubbing seals on both sides", "more than normal"),
        ("6205 LLU C4", 25, 52, 15, "rubbing seals on both sides", "more than C3"),
        ("6205LLB", 25, 52, 15, "seals that do not rub on both sides", "normal"),
        ("623", 3, 10, 4, "open", "normal"),
        ("62/28", 28, 58, 16, "open", "normal"),
        ("63005-2RS1", 25, 47, 16, "rubbing seals on both sides", "normal"),
        ("16005", 25, 47, 8, "open", "normal"),
        ("61805-2Z", 25, 37, 7, "metal shields on both sides", "normal"),
        ("61904", 20, 37, 9, "open", "normal"),
        ("62305", 25, 62, 24, "open", "normal"),
        ("6203 TN9/P5", 17, 40, 12, "open", "normal"),
    ],
)
def test_bearing_numbers(*, text: str, bore: float, outside: float, width: float, seal: str, clearance: str) -> None:
    found = decode(text)
    assert (found.bore_mm, found.outside_mm, found.width_mm, found.seal, found.clearance) == (
        bore,
        outside,
        width,
        seal,
        clearance,
    )
    assert found.unknown == ()


@pytest.mark.parametrize(
    "text",
    [
        "60206",
        "80206",
        "180206",
        "6299",
        "NU 204",
        "204",
        "6203-5/8",
        "6204 C3 C4",
        "6204C3C4",
        "6204 2RS ZZ",
        "62006",
        "16000",
        "62/29",
        "W6204",
        "",
    ],
)
def test_numbers_that_are_looked_up(text: str) -> None:
    with pytest.raises(InputError) as caught:
        decode(text)
    assert caught.value.field == "designation"


def test_the_table_of_dimensions_only_grows() -> None:
    for series, codes in (
        ("60", range(21)),
        ("62", range(21)),
        ("63", range(21)),
        ("618", range(21)),
        ("619", range(21)),
        ("622", range(11)),
        ("623", range(11)),
        ("630", range(11)),
        ("160", range(2, 21)),
    ):
        sizes = [decode(f"{series}{code:02d}") for code in codes]
        for small, big in pairwise(sizes):
            assert small.bore_mm < big.bore_mm
            assert small.outside_mm < big.outside_mm
            assert small.width_mm <= big.width_mm
        assert all(b.bore_mm + 2 * 3 < b.outside_mm for b in sizes)
    lighter = [decode(f"{s}05").outside_mm for s in ("618", "619", "160", "60", "62", "63")]
    assert lighter == sorted(lighter)


def test_what_seals_mean_for_grease_and_heat() -> None:
    told = {
        t: (b.sealed, b.rubbing, b.perhaps, b.greased, b.closed)
        for t in ("6205", "6205 2RS", "6205 2Z", "6205 Z", "6205 LX9", "6205 2Z LX9", "6205 C3 N")
        for b in (decode(t),)
    }
    assert told == {
        "6205": (False, False, False, True, False),
        "6205 2RS": (True, True, False, False, True),
        "6205 2Z": (True, False, False, False, True),
        "6205 Z": (False, False, False, True, True),
        "6205 LX9": (False, False, True, False, True),
        "6205 2Z LX9": (True, False, False, False, True),
        "6205 C3 N": (False, False, False, True, False),
    }
    assert decode("6205 LX9").unknown == ("LX9",)
    assert "perhaps sealed" in decode("6205 LX9").seal


def test_bushes_shims_and_age(rules: MotorRules) -> None:
    starter = MotorRules(rulebook_with(()), "starter")
    assert (bush_limit_mm(12, rules), bush_limit_mm(40, rules), bush_limit_mm(12, starter)) == (0.1, 0.2, 0.2)
    worn = worn_bush_lines(12.0, 12.9, 0.4, rules)
    assert [x.fits for x in worn] == [False, False]
    assert "rub" in worn[1].says
    assert (shim_mm(0.2, 0.1, 0.3), shim_mm(0.05, 0.1, 0.3)) == (0.0, -0.15)
    assert "over 50%" in renew_anyway(6000, 10000, 2, rules)
    assert renew_anyway(100, 10000, 11, rules) == "11 years are over 10"
    assert renew_anyway(100, 10000, 2, rules) == ""


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


def test_what_insulation_is_judged_and_tested_by(rules: MotorRules) -> None:
    machines = [
        machine_of(*x)
        for x in (
            ("tool", ""),
            ("tool", "double insulated"),
            ("tool", "protective earth"),
            ("starter", ""),
            ("appliance", "double insulated"),
        )
    ]
    assert machines == ["double", "double", "earthed", "other", "double"]
    assert machine_of("traction", "", battery=True) == "vehicle"
    volts = (12.0, 50.0, 250.0, 251.0, 440.0, None)
    assert [least_megohm(EarthTest(rated_v=v), rules) for v in volts] == [
        0.02,
        *map(about, (1.05, 1.25, 1.251, 1.44, 2)),
    ]
    assert [least_megohm(EarthTest(rated_v=v, circuit="armature"), rules) for v in volts] == [0.02, 5, 5, 5, 5, 5]
    assert [least_megohm(EarthTest(rated_v=v, machine="double"), rules) for v in volts] == [0.02, 2, 2, 2, 2, 2]
    battery = [least_megohm(EarthTest(rated_v=v, machine="vehicle"), rules) for v in (24.0, 120.0, 121.0)]
    assert battery == [0.024, 0.12, about(1.121)]
    assert least_megohm(EarthTest(rated_v=12.0, circuit="post"), rules) == 1
    assert least_megohm(EarthTest(rated_v=440.0, least_megohm=1.0), rules) == about(1.44)  # the strictest holds
    assert [volts_to_test_with(v) for v in (24, 230, 600, 5000, None)] == [
        "100 V at most",
        "250 or 500 V",
        "500 V",
        "by the maker's figure",
        "by its rated voltage",
    ]


def test_index_coils_and_heat(rules: MotorRules) -> None:
    grades = [
        judge_polarization(one, ten, rules).grade for one, ten in ((100, 210), (100, 160), (100, 120), (6000, 6100))
    ]
    assert grades == ["fit", "watch", "plan", "fit"]
    coils = judge_coils([41.2, 40.8, 38.1, 41.0], 24, CoilTest(), rules)
    assert coils.off == (3,)
    assert judge_coils([41.2, 40.8], 24, CoilTest(), rules).off == ()
    assert winding_c(2.31, 19, 2.31, rules) == about(19)
    assert winding_c(2.0, 20, 2.4, rules) > winding_c(2.0, 20, 2.3, rules)
