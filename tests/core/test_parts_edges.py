"""Windings, bearings and what a cut changes, at their edges: each figure on a limit belongs where the rule says."""

from collections.abc import Callable
from dataclasses import replace
from datetime import date
from typing import Any

import pytest

from norvash.core.bearings.fitting import (
    FitLine,
    housing_line,
    lip_line,
    needle_line,
    new_bush_line,
    recess_line,
    shaft_line,
    shim_mm,
    shim_stack,
    squeeze,
    worn_bush_lines,
)
from norvash.core.bearings.lasting import Running, grease_life_h, lasting, renew_anyway
from norvash.core.bearings.vibration import Stands, judge_vibration
from norvash.core.commutator.figures_after_cut import Mark, figures_since, sunk_since
from norvash.core.motor.figure_fields import COMMUTATOR_NOW_MM, DEPTH_NEW_MM, HOLDER_GAP_MM, LIMIT_MM, SUNK_MM
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.core.windings.field_coils import Coils, CoilTest, judge_coils
from norvash.core.windings.insulation import EarthTest, judge_insulation, least_megohm
from norvash.core.windings.polarization import applies, judge_polarization
from norvash.core.windings.resistance import bars_of_slot, winding_c
from norvash.errors import InputError

DAY = date(2026, 1, 1)


def about(value: float) -> Any:
    return pytest.approx(value)


# What is tested, as measured, at what temperature, last time: passes, grade, value judged by, and what must be said.
LOW, HIGH = EarthTest(rated_v=230, machine="earthed", parted=True), EarthTest(rated_v=440, parted=True)
DOUBLE, ALONE = replace(LOW, machine="double"), replace(HIGH, circuit="armature")
INSULATION: dict[str, tuple[EarthTest, float, float | None, float | None, bool, str, float, str]] = {
    "exactly the least": (LOW, 1.0, None, None, True, "fit", 1.0, "exactly its least of 1 MΩ"),
    "a hair under it": (LOW, 0.999, None, None, False, "stop", 0.999, "under its least"),
    "no correction to 250 V": (replace(LOW, rated_v=250), 1.5, 20.0, None, True, "fit", 1.5, "as measured"),
    "cold, twenty times the least": (LOW, 20.0, 9.9, None, True, "fit", 20.0, "over its least"),
    "cold, less": (LOW, 19.9, 9.9, None, False, "change", 19.9, "test again warm"),
    "cold and bad is bad": (LOW, 0.9, 5.0, None, False, "stop", 0.9, "under its least"),
    "just not cold": (LOW, 1.5, 10.0, None, True, "fit", 1.5, "over its least"),
    "wet": (replace(LOW, wet=True), 500.0, 25.0, None, False, "change", 500.0, "test again dry and warm"),
    "double insulated": (DOUBLE, 2.0, None, None, True, "fit", 2.0, "exactly its least of 2 MΩ"),
    "double insulated, too little": (DOUBLE, 1.9, None, None, False, "stop", 1.9, "under its least of 2 MΩ"),
    "over 250 V, stop": (HIGH, 1.43, 40.0, None, False, "stop", 1.43, "under its least of 1.44 MΩ"),
    "over 250 V, the least": (HIGH, 1.44, 40.0, None, True, "watch", 1.44, "good from 5 MΩ"),
    "over 250 V, just not good": (HIGH, 4.99, 40.0, None, True, "watch", 4.99, "good from 5 MΩ"),
    "over 250 V, good": (HIGH, 5.0, 40.0, None, True, "fit", 5.0, "over its least"),
    "corrected to 40 degrees": (HIGH, 10.0, 30.0, None, True, "fit", 5.0, "at 40 °C"),
    "hot counts as measured": (HIGH, 1.4, 140.0, None, False, "stop", 1.4, "under its least"),
    "hot and next to nothing": (HIGH, 0.0051, 140.0, None, False, "stop", 0.0051, "under its least"),
    "temperature not known": (HIGH, 20.0, None, None, True, "fit", 5.0, "temperature is not known"),
    "temperature not known, a quarter": (HIGH, 5.0, None, None, False, "stop", 1.25, "temperature is not known"),
    "over 250 V and cold": (HIGH, 5000.0, 9.0, None, False, "change", 5000.0, "test again warm"),
    "over 250 V and cold, little": (HIGH, 10.0, 5.0, None, False, "change", 10.0, "test again warm"),
    "over 250 V and cold, under it as measured": (HIGH, 1.43, 5.0, None, False, "stop", 1.43, "under its least"),
    "armature alone": (ALONE, 5.0, 40.0, None, True, "fit", 5.0, "aims at 100 MΩ"),
    "armature alone, too little": (ALONE, 4.9, 40.0, None, False, "stop", 4.9, "under its least of 5 MΩ"),
    "armature alone, as it should": (ALONE, 100.0, 40.0, None, True, "fit", 100.0, "over its least"),
    "voltage not known": (replace(HIGH, rated_v=None), 1.9, 40.0, None, False, "stop", 1.9, "voltage is not known"),
    "nothing parted": (replace(LOW, parted=False), 0.2, 20.0, None, False, "change", 0.2, "not judged: first lift"),
    "nobody says": (replace(LOW, parted=None), 3.0, 20.0, None, True, "fit", 3.0, "if earthed brushes were lifted"),
    "a stated least never loosens": (
        replace(LOW, least_megohm=0.5),
        0.9,
        20.0,
        None,
        False,
        "stop",
        0.9,
        "under its least of 1 MΩ",
    ),
    "a third of last time": (HIGH, 10.0, 40.0, 30.0, True, "fit", 10.0, "over its least"),
    "under a third of last time": (HIGH, 9.9, 40.0, 30.0, True, "watch", 9.9, "fallen to 33%"),
    "middling and fallen": (HIGH, 3.0, 40.0, 30.0, True, "plan", 3.0, "raised by one stage"),
    "fallen and too little": (HIGH, 1.0, 40.0, 30.0, False, "stop", 1.0, "under its least"),
}


@pytest.mark.parametrize(
    ("tested", "measured", "temp", "last", "passes", "grade", "judged", "words"), INSULATION.values(), ids=INSULATION
)
def test_insulation(
    *,
    tested: EarthTest,
    measured: float,
    temp: float | None,
    last: float | None,
    passes: bool,
    grade: str,
    judged: float,
    words: str,
    rules: MotorRules,
) -> None:
    found = judge_insulation(measured, temp, last, tested, rules)
    assert (found.passes, found.grade, found.judged_megohm, found.least_megohm) == (
        passes,
        grade,
        about(judged),
        least_megohm(tested, rules),
    )
    assert words in found.words
    assert bool(found.again) is (grade == "change")
    assert ("clean, dry and test again" in found.words) is (grade == "stop")


def test_machines_indices_and_coils(rules: MotorRules) -> None:
    index = {ten: judge_polarization(100, ten, rules) for ten in (200, 199, 150, 149, 100, 99)}
    assert {ten: (found.grade, found.ratio) for ten, found in index.items()} == {
        200: ("fit", 2.0),
        199: ("watch", 1.99),
        150: ("watch", 1.5),
        149: ("plan", 1.49),
        100: ("plan", 1.0),
        99: ("stop", 0.99),
    }
    told = [applies(True, None, rules), *(applies(False, w, rules) for w in (None, 49900.0, 50000.0))]
    assert told == [True, False, False, True]
    unsaid = judge_polarization(100, 100, rules, told=False)
    assert (unsaid.ratio, unsaid.grade) == (None, "fit")
    assert "not judged" in unsaid.words
    assert [judge_polarization(one, one, rules).ratio for one in (5000, 5001, 0.5)] == [1.0, None, 1.0]

    def coils(*each: float, temperature_c: float = 20.0) -> Coils:
        return judge_coils(each, temperature_c, CoilTest(), rules)

    even = coils(10.0, 10.0, 10.0, temperature_c=70.0)
    assert even.at_20_ohm == tuple(about(10 / 1.1965) for _ in range(3))
    assert (even.deviations, even.off) == ((0.0, 0.0, 0.0), ())
    spread = {high: coils(1.0, 1.0, high).off for high in (1.05, 1.06)}
    assert spread == {1.05: (), 1.06: (3,)}
    assert coils(1.0, 1.0, 1.0, 0.9, 1.1).off == (4, 5)
    assert coils(1.0, 1.05).off == ()
    two = coils(1.0, 1.2)
    assert two.off == (1,)
    assert "the lower is the suspect" in two.words
    assert coils(0.4, 0.5).spread > 0
    assert winding_c(0.5, 20.0, 0.6, rules) == about(254.5 * 1.2 - 234.5)
    for bad in (
        lambda: judge_polarization(0, 1, rules),
        lambda: coils(),
        lambda: coils(1.0, 0.0),
        lambda: winding_c(0, 20, 1, rules),
        lambda: winding_c(1, 20, 5, rules),
        lambda: judge_insulation(5, 301, None, LOW, rules),
    ):
        with pytest.raises(InputError):
            bad()


def test_bars_of_a_slot() -> None:
    assert [bars_of_slot(s, 36, 12) for s in (1, 2, 12)] == [(1, 3), (4, 6), (34, 36)]
    assert [bars_of_slot(s, 37, 12) for s in (1,)] == [None]
    assert [bars_of_slot(s, 36, 12) for s in (0, 13)] == [None, None]


# A pair by its clearance, the kind's size, and its band.
FITS: dict[str, tuple[Callable[[float, MotorRules], FitLine], float, float]] = {
    "shaft to 10": (lambda c, r: shaft_line(10, 10 + c, r), -0.012, 0.002),
    "shaft to 18": (lambda c, r: shaft_line(17, 17 + c, r), -0.013, 0.003),
    "shaft to 30": (lambda c, r: shaft_line(20, 20 + c, r), -0.021, 0.0),
    "shaft to 50": (lambda c, r: shaft_line(50, 50 + c, r), -0.025, 0.0),
    "shaft to 80": (lambda c, r: shaft_line(80, 80 + c, r), -0.030, 0.0),
    "shaft to 80, C3": (lambda c, r: shaft_line(80, 80 + c, r, c3=True), -0.035, 0.0),
    "shaft to 10, C3": (lambda c, r: shaft_line(9, 9 + c, r, c3=True), -0.015, 0.002),
    "shaft to 18, C3": (lambda c, r: shaft_line(18, 18 + c, r, c3=True), -0.017, 0.003),
    "housing to 30": (lambda c, r: housing_line(30, 30 - c, r, located=False), 0.0, 0.030),
    "housing to 50": (lambda c, r: housing_line(47, 47 - c, r), 0.0, 0.036),
    "housing to 80": (lambda c, r: housing_line(62, 62 - c, r), 0.0, 0.043),
    "housing to 120": (lambda c, r: housing_line(110, 110 - c, r), 0.0, 0.050),
    "housing to 150": (lambda c, r: housing_line(140, 140 - c, r), 0.0, 0.058),
    "housing to 180": (lambda c, r: housing_line(180, 180 - c, r), 0.0, 0.065),
    "housing that holds": (lambda c, r: housing_line(62, 62 - c, r, located=True), -0.010, 0.043),
    "needle to 10": (lambda c, r: needle_line(8, 8 + c, r), 0.010, 0.040),
    "needle to 18": (lambda c, r: needle_line(14, 14 + c, r), 0.015, 0.045),
    "needle to 30": (lambda c, r: needle_line(25, 25 + c, r), 0.020, 0.055),
    "needle to 50": (lambda c, r: needle_line(50, 50 + c, r), 0.025, 0.066),
    "bush to 10": (lambda c, r: new_bush_line(10, 10 + c, r), 0.010, 0.035),
    "bush to 18": (lambda c, r: new_bush_line(12, 12 + c, r), 0.015, 0.050),
    "bush to 30": (lambda c, r: new_bush_line(30, 30 + c, r), 0.020, 0.070),
    "bush of a starter": (lambda c, r: new_bush_line(12, 12 + c, r, starter=True), 0.03, 0.10),
    "worn bush": (lambda c, r: worn_bush_lines(12, 12 + c, None, r)[0], 0.0, 0.10),
    "lip": (lambda c, r: lip_line(25, 25 + c, r), -2.0, -0.5),
    "recess": (lambda c, r: recess_line(47, 47 - c, r), -0.35, -0.05),
    "recess, metal": (lambda c, r: recess_line(47, 47 - c, r, metal=True), -0.25, -0.05),
}


@pytest.mark.parametrize(("pair", "low", "high"), FITS.values(), ids=FITS)
def test_fits_by_size_at_their_edges(
    pair: Callable[[float, MotorRules], FitLine], low: float, high: float, rules: MotorRules
) -> None:
    found = [pair(c, rules) for c in (low - 0.0005, low, high, high + 0.0005)]
    assert [x.fits for x in found] == [False, True, True, False]
    assert {(round(x.low_mm, 6), round(x.high_mm, 6)) for x in found} == {(low, high)}
    assert [x.clearance_mm for x in found] == [about(c) for c in (low - 0.0005, low, high, high + 0.0005)]
    assert found[0].says != found[3].says != "fits" == found[1].says
    assert found[0].rules


def test_fits_over_their_table_and_gaps(rules: MotorRules) -> None:
    beyond: tuple[Callable[[], FitLine], ...] = (
        lambda: shaft_line(80.1, 80, rules),
        lambda: housing_line(181, 181, rules),
        lambda: needle_line(51, 51, rules),
        lambda: new_bush_line(31, 31, rules),
    )
    for line in beyond:
        with pytest.raises(InputError, match="over the table"):
            line()
    assert "say which end" in housing_line(62, 62.005, rules).says
    assert "squeeze" in housing_line(62, 62.005, rules, located=False).says
    gap = {air: worn_bush_lines(12.0, 12.4, air, rules)[1] for air in (0.19, 0.2, 0.21)}
    assert {air: (x.fits, x.clearance_mm, x.high_mm) for air, x in gap.items()} == {
        air: (air > 0.2, about(0.2), air) for air in gap
    }
    assert ["rub" in x.says for x in gap.values()] == [True, True, False]
    assert squeeze(0.8, 0.6) == about(0.25)
    with pytest.raises(InputError):
        squeeze(0.0, 0.6)


def test_shims_life_and_age(rules: MotorRules) -> None:
    assert [shim_mm(f, 0.1, 0.3) for f in (0.1, 0.3, 0.5, 0.04)] == [0.0, 0.0, about(0.3), about(-0.16)]
    assert shim_stack(0.2, 0.4, [0.2, 0.3, 0.4]) == (0.3,)
    assert shim_stack(0.25, 0.25, [0.1, 0.15, 0.2]) == (0.1, 0.15)
    runs = Running(capacity_kn=14.0, load_kn=1.4, speed_rpm=3000, bore_mm=20.0, outside_mm=47.0, width_mm=14.0)
    found = lasting(runs, rules)
    assert (found.life_h, found.mean_d_mm, found.lasts_h) == (about(1e9 / (60 * 3000)), 33.5, found.life_h)
    assert found.grease_g == about(rules["bearing.grease"] * 47 * 14)
    sealed = lasting(replace(runs, sealed=True, load_kn=0.4), rules)
    assert (sealed.grease_g, sealed.grease_life_h, sealed.lasts_h) == (None, 20000, 20000)
    assert lasting(replace(runs, sealed=True, load_kn=2.8), rules).lasts_h == about(1e9 / (60 * 3000) / 8)
    hot = lasting(replace(runs, sealed=True, temperature_c=111), rules)
    assert (hot.grease_life_h, hot.look_up) == (None, True)
    assert lasting(replace(runs, bore_mm=None, width_mm=None), rules).mean_d_mm is None
    fast = {
        n: (
            lasting(replace(runs, speed_rpm=n), rules).too_fast,
            lasting(replace(runs, speed_rpm=n, rubbing=True), rules).too_fast,
        )
        for n in (8955, 8956, 14925, 14926)
    }
    assert fast == {8955: (False, False), 8956: (False, True), 14925: (False, True), 14926: (True, True)}
    life = {
        (f, c): grease_life_h(f, c, rules)
        for f, c in ((150000, 70), (550000, 70), (1e5, 85), (1e5, 55), (1e5, 20), (1e5, 110))
    }
    assert list(life.values()) == [about(x) for x in (20000, 2000, 10000, 40000, 40000, 20000 * 0.5 ** (40 / 15))]
    assert [renew_anyway(h, 10000, None, rules) == "" for h in (5000, 5001)] == [True, False]
    assert [renew_anyway(None, None, y, rules) == "" for y in (10, 10.5)] == [True, False]


# Power in W, flexible, carries people; vibration now and last time: the stage.
SHAKEN: dict[str, tuple[float | None, bool, bool, float, float | None, str]] = {
    "good": (None, False, False, 0.71, None, "fit"),
    "acceptable": (15000, False, False, 1.8, None, "fit"),
    "to be watched": (15000, False, False, 1.81, None, "watch"),
    "just to be watched": (None, False, False, 4.5, None, "watch"),
    "over the worst line": (None, False, False, 4.51, None, "change"),
    "far over it": (None, False, False, 1000, None, "change"),
    "over it, with people": (None, False, True, 4.51, None, "stop"),
    "larger, rigid": (15001, False, False, 2.8, None, "fit"),
    "larger, rigid, over it": (300000, False, False, 4.51, None, "change"),
    "larger, flexible": (20000, True, False, 4.5, None, "fit"),
    "larger, flexible, worst line": (20000, True, False, 7.1, None, "watch"),
    "larger, flexible, over it": (20000, True, False, 7.11, None, "change"),
    "a quarter of the line more": (None, False, False, 0.95, 0.5, "fit"),
    "more than that": (None, False, False, 0.96, 0.5, "watch"),
    "less": (None, False, False, 0.2, 1.7, "fit"),
    "two and a half times": (None, False, False, 0.5, 0.2, "plan"),
    "five times": (None, False, False, 0.5, 0.1, "change"),
}


@pytest.mark.parametrize(("watts", "flexible", "carries", "now", "before", "grade"), SHAKEN.values(), ids=SHAKEN)
def test_vibration(
    *,
    watts: float | None,
    flexible: bool,
    carries: bool,
    now: float,
    before: float | None,
    grade: str,
    rules: MotorRules,
) -> None:
    found = judge_vibration(now, before, Stands(watts, flexible, carries), rules)
    assert found.grade == grade
    with pytest.raises(InputError, match="lines of its own"):
        judge_vibration(now, before, Stands(300001), rules)


def test_what_the_surface_has_sunk_since_the_holders_were_set() -> None:
    cut = [Mark(kind="cut", day=DAY, sheet=n, diameter_mm=60 - n / 10, sunk_mm=n / 20) for n in (1, 2, 3)]
    assert sunk_since([]) == (0.0, None)
    assert sunk_since(cut) == (about(0.3), cut[2])
    assert sunk_since([cut[0], Mark(kind="set", day=DAY, sheet=1), cut[1]]) == (0.1, cut[1])
    assert sunk_since([*cut, Mark(kind="set", day=DAY, sheet=3)]) == (0.0, None)
    stated = Figures({"limit_mm": 8.0, "holder_gap_mm": 2.0}, {}, {"depth_new_mm": 4.0})
    assert figures_since(stated, []) is stated
    after = figures_since(stated, cut[:2])
    assert {f.name: f.of(after) for f in (COMMUTATOR_NOW_MM, SUNK_MM, LIMIT_MM, HOLDER_GAP_MM, DEPTH_NEW_MM)} == {
        "commutator_now_mm": 59.8,
        "sunk_mm": about(0.15),
        "limit_mm": about(8.15),
        "holder_gap_mm": about(2.15),
        "depth_new_mm": 4.0,
    }
    assert LIMIT_MM.basis(after) == "since the cut on sheet 2"
    reset = figures_since(stated, [*cut[:2], Mark(kind="set", day=DAY, sheet=2)])
    assert (COMMUTATOR_NOW_MM.of(reset), SUNK_MM.of(reset), LIMIT_MM.of(reset)) == (59.8, None, 8.0)
