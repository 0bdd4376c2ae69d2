"""Laws that every judgement keeps: a worse reading never gets a better verdict, and the unit that was typed changes
none.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.bearings.fitting import (
    FitLine,
    housing_line,
    lip_line,
    needle_line,
    new_bush_line,
    recess_line,
    shaft_line,
    worn_bush_lines,
)
from norvash.core.bearings.lasting import renew_anyway
from norvash.core.bearings.vibration import Stands, judge_vibration
from norvash.core.brush.carbon import usable_carbon
from norvash.core.brush.holders import FITS, gap_reason, side_fit
from norvash.core.brush.loading import judge_spring, pressure_kpa
from norvash.core.brush.springs import SpringsHeld, judge_springs
from norvash.core.commutator.armature import Armature
from norvash.core.commutator.bar_testing import Taken, judge_bar_test
from norvash.core.commutator.run_out import Turned, judge_run_out, run_out_grade
from norvash.core.commutator.tools import TURNED
from norvash.core.grades import GRADES, grade_of
from norvash.core.judging.prove.run import judge_run
from norvash.core.rules.book import CLASSES, GEARED, MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.supply.battery import judge_battery
from norvash.core.supply.cables import Laid, carried, terminal_by_drop, terminal_by_ohm
from norvash.core.supply.settings import speed_ladder
from norvash.core.windings.circuits import CIRCUITS
from norvash.core.windings.field_coils import CoilTest, judge_coils
from norvash.core.windings.heat import HeatHeld, judge_heat
from norvash.core.windings.insulation import MACHINES, EarthTest, judge_insulation
from norvash.core.windings.polarization import judge_polarization
from norvash.work.pages.sums import work_out_typed
from small_sheets import facts, sheet

RULES = shipped()


@dataclass(frozen=True)
class Law:
    """One judgement: readings from best to worst, and the rank of a verdict, None where it gives none.

    Drawn are its surroundings.
    """

    best: float
    worst: float
    judge: Callable[[st.DataObject], Callable[[float], int | None]]


def _rank(grade: str) -> int:
    return GRADES.index(grade)


def _rules(data: st.DataObject) -> MotorRules:
    name = data.draw(st.sampled_from([None, *CLASSES, GEARED]))
    return MotorRules(RULES.book, "starter", variant=GEARED) if name == GEARED else MotorRules(RULES.book, name)


def _insulation(data: st.DataObject) -> Callable[[float], int]:
    tested = EarthTest(
        rated_v=data.draw(st.none() | st.sampled_from([12.0, 230.0, 250.0, 251.0, 440.0, 750.0])),
        machine=data.draw(st.sampled_from(sorted(MACHINES))),
        circuit=data.draw(st.sampled_from(sorted(CIRCUITS))),
        least_megohm=None,
        parted=data.draw(st.sampled_from([None, True, False])),
        wet=data.draw(st.booleans()),
    )
    warm, last = data.draw(st.none() | st.floats(-20, 140)), data.draw(st.none() | st.floats(0.1, 500))
    return lambda megohm: _rank(judge_insulation(megohm, warm, last, tested, RULES).grade)


def _bar_test(data: st.DataObject) -> Callable[[float], int]:
    bars = data.draw(st.integers(12, 60))
    taken = Taken(data.draw(st.floats(0, 0.1)), "bars", True, data.draw(st.booleans()))
    at = data.draw(st.integers(0, bars - 1))

    def rank(reading: float) -> int:
        found = judge_bar_test(
            [reading if i == at else 1.0 for i in range(bars)],
            Armature(bars=bars, pole_pairs=1, winding="lap"),
            taken,
            RULES,
        )
        return 0 if found.release else 2 if found.faults else 1

    return rank


def _run_out(data: st.DataObject) -> Callable[[float], int]:
    shape = data.draw(st.lists(st.floats(-1, 1), min_size=12, max_size=40).filter(lambda xs: max(xs) - min(xs) > 0.1))
    turned = Turned(
        data.draw(st.sampled_from([None, 30.0, 60.0, 120.0])),
        3000,
        data.draw(st.sampled_from(["", *TURNED])),
        data.draw(st.none() | st.floats(0.0005, 0.02)),
        data.draw(st.booleans()),
    )
    rules, per_bar, carries = _rules(data), data.draw(st.booleans()), data.draw(st.booleans())
    turned = turned if turned.diameter_mm else replace(turned, speed_rpm=None)
    return lambda size: _rank(
        run_out_grade(judge_run_out([size * x for x in shape], per_bar, turned, rules), carries=carries)
    )


def _battery(data: st.DataObject) -> Callable[[float], int | None]:
    rest, warm = data.draw(st.floats(11.0, 13.0)), data.draw(st.floats(-18, 30))

    def rank(volts: float) -> int | None:
        ok = judge_battery(12, max(rest, volts), volts, current_a=None, temperature_c=warm, rules=RULES).cranking_ok
        return None if ok is None else int(not ok)

    return rank


def _vibration(data: st.DataObject) -> Callable[[float], int]:
    stands = Stands(data.draw(st.none() | st.floats(100, 3e5)), data.draw(st.booleans()), data.draw(st.booleans()))
    before = data.draw(st.none() | st.floats(0.05, 10))
    return lambda v: _rank(judge_vibration(v, before, stands, RULES).grade)


def _terminal(data: st.DataObject) -> Callable[[float], int]:
    amps = data.draw(st.none() | st.floats(0.5, 300))
    kind, step = data.draw(st.sampled_from(["", "press-in", "bolted"])), data.draw(st.none() | st.floats(1e-4, 0.1))
    return lambda ohm: {True: 0, None: 1, False: 2}[
        terminal_by_ohm(ohm, amps, kind=kind, step_ohm=step, rules=RULES).right
    ]


def _cable(data: st.DataObject) -> Callable[[float], int]:
    laid = Laid(data.draw(st.booleans()), data.draw(st.integers(1, 3)), data.draw(st.floats(-20, 60)))
    section, burst, rest = (
        data.draw(st.floats(1.5, 200)),
        data.draw(st.none() | st.floats(0.1, 30)),
        data.draw(st.floats(1, 600)),
    )
    return lambda amps: int(not carried(amps, section, burst, rest_s=rest, laid=laid, rules=RULES).enough)


def _spring(data: st.DataObject) -> Callable[[float], int]:
    nominal, up = data.draw(st.sampled_from([None, 6.0])), data.draw(st.sampled_from([-1, 1]))

    def rank(off: float) -> int:
        force = 6.0 * (1 + up * off)
        return _rank(judge_spring(force, pressure_kpa(force, 10, 20), (20, 40), nominal, RULES).grade)

    return rank


def _pair(made: Callable[[float], FitLine]) -> Callable[[float], int]:
    return lambda c: int(not made(c).fits)


def _coils(data: st.DataObject) -> Callable[[float], int]:
    others, up = data.draw(st.integers(1, 7)), data.draw(st.sampled_from([-1, 1]))
    test = CoilTest(construction=data.draw(st.sampled_from(["universal", "shunt"])))
    return lambda off: _rank(judge_coils([10.0] * others + [10.0 * (1 + up * off)], 20, test, RULES).grade)


def _of_run(field: str, **plate: float) -> Callable[[st.DataObject], Callable[[float], int]]:
    """Return how grave a run is by one of its figures, of a motor drawn, loaded or not."""

    def judge(data: st.DataObject) -> Callable[[float], int]:
        construction = data.draw(st.sampled_from(["shunt", "compound", "separately excited", "permanent-magnet"]))
        known = {k: v for k, v in plate.items() if data.draw(st.booleans())}
        motor = facts("industrial", 4, construction=construction, rated_a=20.0, rated_rpm=1500.0, **known)
        how = data.draw(st.sampled_from(["free", "load"]))
        return lambda value: max(
            (_rank(f.grade) for f in judge_run(sheet(motor, run_how=how, bump="right", **{field: value}), RULES).found),
            default=0,
        )

    return judge


def _heat(data: st.DataObject) -> Callable[[float], int]:
    held = HeatHeld(insulation_class=data.draw(st.sampled_from(["", "A", "F", "H"])))
    air, by = data.draw(st.none() | st.floats(-10, 40)), data.draw(st.sampled_from(["resistance", "thermometer"]))
    return lambda warm: _rank(judge_heat(warm, air, held, by, RULES).grade)  # type: ignore[arg-type]


def _weak_in_set(data: st.DataObject) -> Callable[[float], int]:
    others = data.draw(st.lists(st.floats(3, 9), min_size=1, max_size=5))
    held = data.draw(st.sampled_from([SpringsHeld(), SpringsHeld(nominal_n=6.0)]))
    return lambda force: _rank(judge_springs({0: force, **dict(enumerate(others, start=1))}, held, RULES)[0].grade)


def _ladder(data: st.DataObject) -> Callable[[float], int]:
    up = data.draw(st.sampled_from([-1, 1]))
    return lambda off: int(bool(speed_ladder(100, (45, 62 * (1 + up * off), 100), (0.45, 0.62, 1.0), RULES).bad_steps))


def _index(data: st.DataObject) -> Callable[[float], int]:
    one = data.draw(st.floats(1, 5000))
    return lambda ratio: _rank(judge_polarization(one, ratio * one, RULES).grade)


def _box(data: st.DataObject) -> Callable[[float], int]:
    brush, rules = data.draw(st.sampled_from([6.4, 8.0, 12.5, 32.0, 40.0])), _rules(data)
    return lambda clear: FITS.index(side_fit("t", brush, brush + clear, rules).fit)


def _gap(data: st.DataObject) -> Callable[[float], int]:
    rules = _rules(data)
    middle, up = (rules["gap.low"] + rules["gap.high"]) / 2, data.draw(st.sampled_from([-1, 1]))
    return lambda off: int(not gap_reason(max(middle + up * off, 0.0), rules)[0])


LAWS: dict[str, Law] = {
    "carbon": Law(22, 0, lambda _: lambda mm: _rank(grade_of(usable_carbon(mm, 22, 8), RULES).grade)),
    "insulation": Law(5000, 0, _insulation),
    "polarization": Law(4, 0.01, _index),
    "a high reading": Law(1, 40, _bar_test),
    "a low reading": Law(1, 0, _bar_test),
    "run-out": Law(0, 0.5, _run_out),
    "battery": Law(12.9, 5, _battery),
    "vibration": Law(0.01, 100, _vibration),
    "terminal": Law(0, 1, _terminal),
    "cable": Law(0, 2000, _cable),
    "terminal drop": Law(0, 2, lambda _: lambda v: int(not terminal_by_drop(v, RULES).right)),
    "spring": Law(0, 0.95, _spring),
    "a weak spring of a set": Law(6, 0, _weak_in_set),
    "coils": Law(0, 0.99, _coils),
    "heat": Law(20, 280, _heat),
    "speed of a run": Law(1500, 4000, _of_run("run_rpm", noload_rpm=1600.0, permitted_rpm=2000.0)),
    "current of a run": Law(2, 80, _of_run("run_a", rated_w=4000.0, noload_a=3.0)),
    "speed setting": Law(0, 0.9, _ladder),
    "loose in its box": Law(0.1, 3, _box),
    "tight in its box": Law(0.1, -3, _box),
    "holder gap": Law(0, 10, _gap),
    "bearing hours": Law(0, 1e5, lambda _: lambda h: int(bool(renew_anyway(h, 20000, None, RULES)))),
    "tight on its shaft": Law(-0.005, -0.1, lambda _: _pair(lambda c: shaft_line(20, 20 + c, RULES))),
    "loose on its shaft": Law(-0.005, 0.1, lambda _: _pair(lambda c: shaft_line(20, 20 + c, RULES))),
    "loose in its housing": Law(0.01, 0.3, lambda _: _pair(lambda c: housing_line(47, 47 - c, RULES))),
    "tight in its housing": Law(0.01, -0.3, lambda _: _pair(lambda c: housing_line(47, 47 - c, RULES))),
    "a loose needle": Law(0.03, 0.3, lambda _: _pair(lambda c: needle_line(14, 14 + c, RULES))),
    "a tight needle": Law(0.03, -0.3, lambda _: _pair(lambda c: needle_line(14, 14 + c, RULES))),
    "a tight new bush": Law(0.03, -0.3, lambda _: _pair(lambda c: new_bush_line(12, 12 + c, RULES))),
    "a worn bush": Law(0.03, 1, lambda _: _pair(lambda c: worn_bush_lines(12, 12 + c, None, RULES)[0])),
    "a wide lip": Law(-1, 2, lambda _: _pair(lambda c: lip_line(25, 25 + c, RULES))),
    "a loose seal": Law(-0.2, 1, lambda _: _pair(lambda c: recess_line(47, 47 - c, RULES))),
}


@pytest.mark.parametrize("law", LAWS.values(), ids=LAWS)
def test_a_worse_reading_never_gets_a_better_verdict(law: Law) -> None:
    told: set[int | None] = set()

    @given(data=st.data())
    def holds(data: st.DataObject) -> None:
        rank = law.judge(data)
        near, far = sorted(data.draw(st.tuples(st.floats(0, 1), st.floats(0, 1))))
        better, worse = (rank(law.best + share * (law.worst - law.best)) for share in (near, far))
        told.update((better, worse))
        assert better is None or worse is None or worse >= better

    holds()
    assert len(told - {None}) > 1  # a judge that always says the same would keep every law


# A sum, its inputs in mm or N, and those of them that are typed in another unit.
UNITS: dict[str, tuple[str, dict[str, float], tuple[str, ...]]] = {
    "carbon": ("usable-carbon", {"length_mm": 8.0, "new_mm": 22.0, "limit_mm": 8.0}, ("length_mm", "limit_mm")),
    "carbon at a stage": (
        "usable-carbon",
        {"length_mm": 11.5, "new_mm": 22.0, "limit_mm": 8.0},
        ("length_mm", "new_mm"),
    ),
    "box": (
        "holder-fit",
        {"thickness_mm": 12.5, "width_mm": 25.0, "box_thickness_mm": 12.55, "box_width_mm": 25.3},
        ("thickness_mm", "box_thickness_mm", "box_width_mm"),
    ),
    "end float": (
        "end-float",
        {"float_mm": 0.35, "float_low_mm": 0.1, "float_high_mm": 0.35},
        ("float_mm", "float_high_mm"),
    ),
    "kit": (
        "kit-fit",
        {
            "shaft_mm": 20.0,
            "bore_mm": 19.979,
            "housing_mm": 47.036,
            "outside_mm": 47.0,
            "needle_shaft_mm": 14.0,
            "needle_bore_mm": 14.045,
        },
        ("bore_mm", "housing_mm", "needle_bore_mm"),
    ),
    "spring": (
        "spring-pressure",
        {"force_n": 5.4, "thickness_mm": 10.0, "width_mm": 12.0, "force_nominal_n": 6.0},
        ("force_n", "force_nominal_n"),
    ),
    "table": ("interval-table", {"run_h": 100.0, "worst_depth_mm": 5.1}, ("worst_depth_mm",)),
}
TABLE = {"rows_h": "0; 100", "columns_mm": "5; 5.1; 5.2", "cells_h": "300; 200; 100 | 300; 200; 100"}
LENGTHS = {"mm": 1.0, "cm": 10.0, "µm": 0.001, "in": 25.4, "thou": 0.0254}
FORCES = {"N": 1.0, "gf": 0.00980665, "kgf": 9.80665, "ozf": 0.2780139, "lbf": 4.4482216}


def _as_long_as_may_be(value: float) -> str:
    """Return a number with all the digits that may be typed, which are twelve."""
    texts = (f"{value:.{digits}g}" for digits in range(12, 0, -1))
    return next(t for t in texts if "e" not in t and sum(c.isdigit() for c in t) <= 12)


@pytest.mark.parametrize(("name", "values", "typed"), UNITS.values(), ids=UNITS)
@given(data=st.data())
def test_any_unit_typed_gives_the_same_verdict(
    name: str, values: dict[str, float], typed: tuple[str, ...], data: st.DataObject
) -> None:
    """All of these stand on an edge, where the last digit of a conversion would tip them."""
    table = TABLE if name == "interval-table" else {}
    given = {k: f"{x:.10g}" for k, x in values.items()}
    for field in typed:
        units = FORCES if field.endswith("_n") else LENGTHS
        unit = data.draw(st.sampled_from(sorted(units)))
        given[field] = f"{_as_long_as_may_be(values[field] / units[unit])} {unit}"
    _, plain = work_out_typed(name, {k: f"{x:.10g}" for k, x in values.items()} | table, RULES)
    _, got = work_out_typed(name, given | table, RULES)
    for said in ("stage", "answer", "float_ok", "pair_fits", "fits_all", "severity", "interval_h", "column_mm"):
        assert getattr(got, said, None) == getattr(plain, said, None)
