"""Windings, bearings and what a cut changes, at their edges: each figure on a limit belongs where the rule says."""

from datetime import date
from typing import Any

import pytest

from norvash.core.bearings.fitting import bush_lines, ring_lines, seal_lines, shim_mm, shim_stack, squeeze
from norvash.core.bearings.lasting import judge_vibration, lasting, renew_anyway
from norvash.core.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.core.sunk import Mark, figures_since, sunk_since
from norvash.core.windings import bars_of_slot, judge_coils, judge_insulation, judge_polarization, machine_of, winding_c
from norvash.errors import InputError

DAY = date(2026, 1, 1)


def about(value: float) -> Any:
    return pytest.approx(value)


# Measured, temperature, least, last time, judged at 40 °C: passes, fallen, stage, value judged by.
INSULATION = {
    "just enough": (2.0, None, 2.0, None, False, True, False, "fit", 2.0),
    "just too little": (1.999, None, 2.0, None, False, False, False, "stop", 1.999),
    "warm, judged at 40 degrees": (1.0, 60.0, 2.0, None, True, True, False, "fit", 4.0),
    "cold, judged at 40 degrees": (10.0, 20.0, 5.0, None, True, False, False, "stop", 2.5),
    "cold, judged as measured": (10.0, 20.0, 5.0, None, False, True, False, "fit", 10.0),
    "no temperature at 40 degrees": (6.0, None, 5.0, None, True, True, False, "fit", 6.0),
    "a third of last time": (10.0, 40.0, 5.0, 30.0, True, True, False, "fit", 10.0),
    "under a third of last time": (9.9, 40.0, 5.0, 30.0, True, True, True, "watch", 9.9),
    "fallen and too little": (3.0, 40.0, 5.0, 30.0, True, False, True, "stop", 3.0),
}  # fmt: skip


@pytest.mark.parametrize(
    ("measured", "temp", "least", "last", "at_40", "passes", "fallen", "stage", "judged"),
    INSULATION.values(),
    ids=INSULATION,
)
def test_insulation(
    measured: float, temp: float | None, least: float, last: float | None, at_40: bool, passes: bool, fallen: bool, stage: str, judged: float,
    rules: MotorRules,
) -> None:  # fmt: skip
    found = judge_insulation(measured, temp, least, last, rules, at_40=at_40)
    assert (found.passes, found.fallen, found.stage, found.at_40) == (passes, fallen, stage, at_40)
    assert (found.measured, found.least, found.judged) == (measured, least, about(judged))
    assert ("at 40 °C" in found.words) is (at_40 and temp is not None)
    assert ("last time" in found.words) is fallen
    assert ("clean, dry and test again" in found.words) is not passes


def test_machines_indices_and_coils(rules: MotorRules) -> None:
    assert [machine_of("industrial", v, "", rules) for v in (None, 250, 251)] == ["other", "other", "small"]
    index = {ten: judge_polarization(100, ten, rules) for ten in (200, 199, 150, 149)}
    assert {ten: (found.stage, found.ratio) for ten, found in index.items()} == {
        200: ("fit", 2.0),
        199: ("watch", 1.99),
        150: ("watch", 1.5),
        149: ("plan", 1.49),
    }
    assert [judge_polarization(one, one, rules).ratio for one in (5000, 5001, 0.5)] == [1.0, None, 1.0]
    even = judge_coils([10.0, 10.0, 10.0], 70.0, rules)
    assert even.at_20 == tuple(about(10 / 1.1965) for _ in range(3))
    assert (even.deviations, even.off) == ((0.0, 0.0, 0.0), ())
    spread = {high: judge_coils([1.0, 1.0, high], 20.0, rules).off for high in (1.05, 1.06)}
    assert spread == {1.05: (), 1.06: (3,)}
    assert judge_coils([1.0, 1.2], 20.0, rules).off == (1, 2)
    assert judge_coils([0.4, 0.5], 20.0, rules).spread > 0
    assert winding_c(0.5, 20.0, 0.6, rules) == about(254.5 * 1.2 - 234.5)
    for bad in (
        lambda: judge_polarization(0, 1, rules),
        lambda: judge_coils([1.0], 20, rules),
        lambda: judge_coils([1.0, 0.0], 20, rules),
        lambda: winding_c(0, 20, 1, rules),
    ):
        with pytest.raises(InputError):
            bad()


def test_bars_of_a_slot() -> None:
    assert [bars_of_slot(s, 36, 12) for s in (1, 2, 12)] == [(1, 3), (4, 6), (34, 36)]
    assert [bars_of_slot(s, 37, 12) for s in (1,)] == [None]
    assert [bars_of_slot(s, 36, 12) for s in (0, 13)] == [None, None]


def test_fits_at_their_edges(rules: MotorRules) -> None:
    low, high = ring_lines(20.0, 20.0, 47.0, 47.0, rules)
    assert (low.clearance_mm, high.clearance_mm) == (0.0, 0.0)
    assert ring_lines(20.0, None, None, 47.0, rules) == ring_lines(None, 20.0, 47.0, None, rules) == []
    for line in (low, high):
        assert line.low_mm < line.high_mm
        assert line.words
    shaft = {
        c: ring_lines(20.0, 20.0 + c, None, None, rules)[0].fits
        for c in (low.low_mm - 0.001, low.low_mm, low.high_mm, low.high_mm + 0.001)
    }
    assert list(shaft.values()) == [False, True, True, False]
    housing = {
        c: ring_lines(None, None, 47.0 + c, 47.0, rules)[0].fits
        for c in (high.low_mm - 0.001, high.low_mm, high.high_mm, high.high_mm + 0.001)
    }
    assert list(housing.values()) == [False, True, True, False]
    assert [bush_lines(12.0, 12.0 + c, None, rules)[0].fits for c in (-0.01, 0.0, 0.1, 0.11)] == [
        False,
        True,
        True,
        False,
    ]
    gap = {air: bush_lines(12.0, 12.4, air, rules)[1] for air in (0.19, 0.2, 0.21)}
    assert {air: (x.fits, x.clearance_mm, x.high_mm) for air, x in gap.items()} == {
        air: (air > 0.2, about(0.2), air) for air in gap
    }
    assert ["rub" in x.says for x in gap.values()] == [True, True, False]
    assert bush_lines(None, 12.0, 0.2, rules) == bush_lines(12.0, None, 0.2, rules) == []
    assert [seal_lines(20.0 + d, 20.0, None, None)[0].fits for d in (-0.51, -0.5, 0.5, 0.51)] == [
        False,
        True,
        True,
        False,
    ]
    assert seal_lines(20.0, None, None, 38.0) == []
    assert squeeze(0.8, 0.6) == about(0.25)
    with pytest.raises(InputError):
        squeeze(0.0, 0.6)


def test_shims_life_and_age(rules: MotorRules) -> None:
    assert [shim_mm(f, 0.1, 0.3) for f in (0.1, 0.3, 0.5, 0.04)] == [0.0, 0.0, about(0.3), about(-0.16)]
    assert shim_stack(0.2, 0.4, [0.2, 0.3, 0.4]) == (0.3,)
    assert shim_stack(0.25, 0.25, [0.1, 0.15, 0.2]) == (0.1, 0.15)
    found = lasting(14.0, 1.4, 3000, 20.0, 47.0, 14.0, False, rules)
    assert (found.life_h, found.mean_d_mm) == (about(1e9 / (60 * 3000)), 33.5)
    assert found.grease_g == about(rules["bearing.grease"] * 47 * 14)
    assert lasting(14.0, 1.4, 3000, 20.0, 47.0, 14.0, True, rules).grease_g is None
    assert lasting(14.0, 1.4, 3000, None, 47.0, None, False, rules).mean_d_mm is None
    assert [renew_anyway(h, 10000, None, rules) == "" for h in (5000, 5001)] == [True, False]
    assert [renew_anyway(None, None, y, rules) == "" for y in (10, 10.5)] == [True, False]
    assert [judge_vibration(v, rules)[0] for v in (1.8, 1.81, 4.5, 4.51)] == ["fit", "watch", "watch", "plan"]


def test_what_the_surface_has_sunk_since_the_holders_were_set() -> None:
    cut = [Mark("cut", DAY, n, 60 - n / 10, n / 20) for n in (1, 2, 3)]
    assert sunk_since([]) == (0.0, None)
    assert sunk_since(cut) == (about(0.3), cut[2])
    assert sunk_since([cut[0], Mark("set", DAY, 1), cut[1]]) == (0.1, cut[1])
    assert sunk_since([*cut, Mark("set", DAY, 3)]) == (0.0, None)
    stated = Figures({"limit_mm": 8.0, "holder_gap_mm": 2.0}, {}, {"depth_new_mm": 4.0})
    assert figures_since(stated, []) is stated
    after = figures_since(stated, cut[:2])
    assert {n: after.number(n) for n in ("commutator_now_mm", "sunk_mm", "limit_mm", "holder_gap_mm", "depth_new_mm")} == {
        "commutator_now_mm": 59.8, "sunk_mm": about(0.15), "limit_mm": about(8.15), "holder_gap_mm": about(2.15), "depth_new_mm": 4.0,
    }  # fmt: skip
    assert after.basis("limit_mm") == "since the cut on sheet 2"
    reset = figures_since(stated, [*cut[:2], Mark("set", DAY, 2)])
    assert (reset.number("commutator_now_mm"), reset.number("sunk_mm"), reset.number("limit_mm")) == (59.8, None, 8.0)
