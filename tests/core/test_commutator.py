"""Laws of the commutator: patterns and their chance, run-out, bar test, cut; and the columns that readings come in."""

from dataclasses import replace
from math import comb, cos, pi, radians
from random import Random

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.commutator.after_cut import checks_of, learnt_factor, where_to_cut
from norvash.core.commutator.armature import Armature, readings_of_coil
from norvash.core.commutator.bar_testing import Taken, judge_bar_test
from norvash.core.commutator.bars import CONDITIONS, changed, read_map, runs, spots_of, write_map
from norvash.core.commutator.cut import Copper
from norvash.core.commutator.pattern import known_spacings, places, search, tail
from norvash.core.commutator.run_out import Turned, judge_run_out
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.commutator.surface import ABRASIVES, least_work
from norvash.core.judging.commutator.map_read import Wound
from norvash.core.judging.commutator.map_says import read_bar_map
from norvash.core.rules.book import MotorRules
from norvash.core.stages.catalogue import FINDINGS
from norvash.core.text.columns import read_column
from norvash.errors import InputError


def around(bars: int, burnt: str = "", **more: object) -> tuple[dict[int, frozenset[str]], Wound]:
    return read_map(burnt, bars), Wound(bars=bars, **more)  # type: ignore[arg-type]


# ---- the map


@given(st.integers(5, 400), st.randoms(use_true_random=False))
def test_a_map_is_written_as_it_is_read(bars: int, rnd: Random) -> None:
    films = [c.id for c in CONDITIONS if c.kind == "film"]
    others = [c.id for c in CONDITIONS if c.kind != "film"]
    shown = {
        b: frozenset([rnd.choice(films), *rnd.sample(others, 2)]) for b in rnd.sample(range(1, bars + 1), min(bars, 9))
    }
    assert read_map(write_map(shown), bars) == shown
    assert changed(shown, shown) == ([], [])
    more, less = changed({}, shown)
    assert (more, less) == (sorted(shown), [])


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("burnt 88", "no bar 88"),
        ("burnt 0", "no bar 0"),
        ("crispy 4", "cannot be read"),
        ("burnt five", "cannot be read"),
        ("dark 4; light 4", "two films"),
    ],
)
def test_a_map_that_cannot_be_is_refused_with_the_reason(text: str, says: str) -> None:
    with pytest.raises(InputError, match=says):
        read_map(text, 87)


def test_spots_are_runs_counted_round_with_their_middle() -> None:
    assert spots_of([86, 87, 1, 10, 11], 87) == (10, 87)
    assert sorted(read_map("burnt 86-2", 87)) == [1, 2, 86, 87]
    assert runs([]) == []


# ---- patterns and their chance


def by_hand(bars: int, in_set: int, drawn: int, hits: int) -> float:
    return 1 - sum(comb(in_set, x) * comb(bars - in_set, drawn - x) for x in range(hits)) / comb(bars, drawn)


@given(st.integers(8, 60), st.data())
def test_the_tail_is_exact_and_falls_with_the_hits(bars: int, data: st.DataObject) -> None:
    in_set, drawn = data.draw(st.integers(1, bars - 1)), data.draw(st.integers(1, bars // 2))
    chances = [tail(bars, in_set, drawn, h) for h in range(min(in_set, drawn) + 1)]
    assert chances[0] == pytest.approx(1)
    assert chances == sorted(chances, reverse=True)
    assert chances[-1] == pytest.approx(by_hand(bars, in_set, drawn, len(chances) - 1), abs=1e-9)


@pytest.mark.long
def test_random_spots_are_seldom_called_a_pattern(rules: MotorRules) -> None:
    rnd, alarms = Random(20261125), 0
    for _ in range(2000):
        bars, poles = rnd.randint(12, 400), rnd.choice([2, 4, 4, 6, 8, 12, None])
        per = rnd.choice([2, 3, 4, 5])
        slots = bars // per if bars % per == 0 else rnd.choice([None, 19, 37])
        spots = spots_of(rnd.sample(range(1, bars + 1), rnd.randint(2, min(40, bars // 3))), bars)
        alarms += search(spots, bars, poles, slots, rules).proven is not None
    assert alarms <= 0.02 * 2000


@pytest.mark.long
def test_clean_patterns_are_found(rules: MotorRules) -> None:
    rnd, pitch, slot = Random(4), [], []
    for _ in range(400):
        poles = rnd.choice([4, 6, 8, 10, 12])
        bars = rnd.randint(max(5 * poles, 40), 400)
        spots = sorted(places(bars, poles, rnd.randint(1, bars // poles)))
        found = search(spots, bars, poles, bars // 3 if bars % 3 == 0 else None, rules).proven
        pitch.append(found is not None and found.kind == "pole pitch" and found.hits == len(spots))
        per = rnd.choice([2, 3, 4, 5])
        slots = rnd.randint(12, 400 // per)
        marked = set(places(per * slots, slots, rnd.randint(1, per)))
        for bar in rnd.sample(sorted(marked), max(1, round(slots / 10))):
            marked.discard(bar)
            if rnd.random() < 0.5:
                marked.add(bar % (per * slots) + 1)
        got = search(spots_of(marked, per * slots), per * slots, 4, slots, rules).proven
        slot.append(got is not None and got.kind == "slots")
    assert sum(pitch) >= 0.95 * len(pitch)
    assert sum(slot) >= 0.95 * len(slot)


@given(st.integers(12, 400), st.sampled_from([None, 2, 4, 6, 8]), st.data())
def test_under_four_spots_nothing_is_proven(bars: int, poles: int | None, data: st.DataObject) -> None:
    spots = data.draw(st.lists(st.integers(1, bars), min_size=1, max_size=3, unique=True))
    from norvash.core.rules.catalogue import shipped

    assert search(sorted(spots), bars, poles, None, shipped()).proven is None


def test_the_worked_armature_of_87_bars(rules: MotorRules) -> None:
    wave = {"poles": 4, "slots": 29, "winding": "wave"}
    shown, wound = around(87, "burnt 5, 27, 49, 70", **wave)
    read = read_bar_map(shown, wound, rules)
    best = read.searched.proven
    assert best is not None
    assert (best.period_bars, best.hits, round(best.chance, 6), round(best.corrected, 3)) == (21.75, 4, 0.000222, 0.015)
    assert (read.pattern, read.bar_test) == ("pitch marking", "")
    third, _ = around(87, "dark " + ", ".join(str(b) for b in range(1, 88, 3)))
    healthy = read_bar_map(third, wound, rules)
    assert (healthy.pattern, healthy.sayings[0].finding) == ("slot marking", None)
    assert "healthy" in healthy.sayings[0].words
    two, _ = around(87, "burnt 9-10, 53-54")
    few = read_bar_map(two, wound, rules)
    assert few.pattern == "too few to prove"
    assert "local" in few.bar_test
    assert few.sayings[0].finding is FINDINGS["commutator.two-bars"]
    assert "two pole pitches" in few.sayings[1].words
    assert "commutator pitch of 44" in few.sayings[1].words
    assert known_spacings(10, 4, 5) == [("two pole pitches", 2, 1), ("slots", 5, 0)]


def test_what_a_map_asks_for(rules: MotorRules) -> None:
    lap = {"poles": 4, "winding": "lap"}
    cases = {
        "burnt-leading 12; burnt-trailing 13": ("commutator.two-bars", "face each other"),
        "burnt 1-24": ("commutator.black", "arcing"),
        "flat 3-6": ("commutator.rough", "one region"),
        "grooved 1-20; pitted 7, 12, 17": ("commutator.rough", "20 bars grooved and 3 pitted; measure the run-out"),
        "loose 7": ("commutator.raised", "may fly"),
        "high-mica 1-5": ("commutator.mica", "undercut"),
        "dirty-slot 2": ("commutator.slots", "clean"),
        "drag 4": ("commutator.drag", "chamfer"),
        "threaded 4": ("commutator.threads", "low"),
        "chipped 4": ("commutator.mica", "chamfer"),
    }
    for text, (finding, word) in cases.items():
        shown, wound = around(24, text, **lap)
        said = [s for s in read_bar_map(shown, wound, rules).sayings if s.finding is FINDINGS[finding]]
        assert said, text
        assert word in said[0].words, text
    even, wound = around(24, "dark 1-24", **lap)
    assert [s.finding for s in read_bar_map(even, wound, rules).sayings] == [None]
    wide, wound = around(96, "burnt 1-3, 25-27, 49-51, 73-75", **lap, covered_bars=2.8)
    assert "standstill" in read_bar_map(wide, wound, rules).sayings[0].words
    arms, wound = around(80, "burnt 5, 25", poles=4, arms_deg=(0.0, 90.0))
    assert "brush arms" in read_bar_map(arms, wound, rules).sayings[1].words
    eight, wound = around(93, "burnt 4, 27, 50, 73", poles=8, winding="wave")
    assert read_bar_map(eight, wound, rules).bar_test


CENTRED = Turned(100, 1500, "centres")
LIFTED = Taken(0.0, lifted=True)


# ---- run-out


@given(st.integers(8, 200), st.floats(0, 0.5), st.floats(0, 359), st.floats(-2, 2))
def test_a_pure_eccentric_circle_has_no_ovality_and_shifting_changes_nothing(
    n: int, e: float, high: float, shift: float
) -> None:
    from norvash.core.rules.catalogue import shipped

    xs = [e * cos(2 * pi * i / n - radians(high)) for i in range(n)]
    found = judge_run_out(xs, False, Turned(), shipped())
    moved = judge_run_out([x + shift for x in xs], False, Turned(), shipped())
    assert found.fit.eccentricity_mm == pytest.approx(e, abs=1e-9)
    assert found.fit.ovality_mm == pytest.approx(0, abs=1e-9)
    assert moved.tir_mm == pytest.approx(found.tir_mm, abs=1e-9)


def test_set_up_is_told_from_out_of_round_and_from_high_bars(rules: MotorRules) -> None:
    turn = [2 * pi * i / 36 for i in range(36)]
    off_centre = judge_run_out([0.06 * cos(t) + 0.001 * cos(7 * t) for t in turn], True, CENTRED, rules)
    oval = judge_run_out([0.06 * cos(2 * t) for t in turn], True, CENTRED, rules)
    high = [0.002 * cos(t) + 0.0005 * cos(11 * t) for t in turn]
    high[9] += 0.12
    bar = judge_run_out(high, True, CENTRED, rules)
    assert (off_centre.cause, oval.cause, bar.cause) == ("set-up", "out of round", "bars")
    assert [n for n, _ in bar.odd_mm] == [10]
    assert bar.step_at in (9, 10)
    assert judge_run_out(high, False, CENTRED, rules).step_mm is None
    steady = [0.004 * i for i in range(18)] + [0.004 * (18 - i) for i in range(18)]
    assert judge_run_out(steady, True, CENTRED, rules).odd_mm == ()
    assert judge_run_out([0.0, *high[1:]], True, CENTRED, rules).over


@pytest.mark.parametrize(("rpm", "limit"), [(2000, 0.08), (2865, 0.05), (5729, 0.05), (5800, 0.025)])
def test_the_limit_follows_the_surface_speed(rpm: float, limit: float, rules: MotorRules) -> None:
    assert judge_run_out([0.0] * 8, False, Turned(100, rpm, "centres"), rules).tir_limit_mm == limit


# ---- the bar test


@given(st.sampled_from([(29, 2), (31, 3), (45, 2), (87, 2), (93, 4)]), st.integers(-1, 1), st.data())
def test_an_open_coil_of_a_wave_is_named_wherever_it_lies(
    size: tuple[int, int], side: int, data: st.DataObject
) -> None:
    from norvash.core.rules.catalogue import shipped

    bars, pairs = size
    armature = Armature(bars=bars, pole_pairs=pairs, winding="wave")
    for pitch in armature.pitches:
        start = data.draw(st.integers(1, bars))
        held = readings_of_coil(start, pitch, armature)
        assert len(set(held)) == pairs
        readings: list[float | None] = [14.0 if i in held else 1.0 for i in range(1, bars + 1)]
        found = judge_bar_test(readings, replace(armature, pitch=pitch), LIFTED, shipped())
        assert [(f.kind, f.from_bar) for f in found.faults] == [("open", start)]
        assert not found.release


def test_bar_test_faults_of_a_lap_winding(rules: MotorRules) -> None:
    def tested(**odd: float | None) -> list[str]:
        readings: list[float | None] = [1.0 + 0.01 * (i % 3) for i in range(24)]
        for key, value in odd.items():
            readings[int(key[1:]) - 1] = value
        found = judge_bar_test(readings, Armature(bars=24, pole_pairs=2, winding="lap"), LIFTED, rules)
        return (
            [f"{f.kind} {f.from_bar}/{f.to_bar}" for f in found.faults]
            + ["release"] * found.release
            + [f"suspect {i}" for i in found.suspect]
        )

    assert tested() == ["release"]
    assert tested(r5=24.0) == ["open 5/6"]
    assert tested(r24=24.0) == ["open 24/1"]
    assert tested(r5=24.0, r6=24.0) == ["riser 6/6"]
    assert tested(r5=0.6) == ["short 5/6"]
    assert tested(r5=0.02) == ["bridge 5/6"]
    assert tested(r5=1.3) == ["suspect 5"]
    assert tested(r5=None) == []
    seven = [1.0, 1.07] + [1.0] * 22
    assert judge_bar_test(seven, Armature(bars=24, pole_pairs=2, winding="lap"), LIFTED, rules).release
    assert judge_bar_test(
        seven, Armature(bars=24, pole_pairs=2, winding="lap"), Taken(0.0, lifted=True, fine=True), rules
    ).suspect == (2,)
    noisy = judge_bar_test(
        [1.0, 1.15] + [1.0] * 22, Armature(bars=24, pole_pairs=2, winding="lap"), Taken(0.09, lifted=True), rules
    )
    assert noisy.release


def test_the_winding_s_own_alternation_is_no_fault(rules: MotorRules) -> None:
    readings: list[float | None] = [1.0, 1.18, 1.0] * 10
    assert judge_bar_test(
        readings, Armature(bars=30, pole_pairs=2, winding="lap", pitch=None, slots=10), LIFTED, rules
    ).release
    assert not judge_bar_test(readings, Armature(bars=30, pole_pairs=2, winding="lap"), LIFTED, rules).release


# ---- the cut


@given(
    d=st.floats(20, 400),
    share=st.floats(0.8, 1.0),
    groove=st.floats(0, 1),
    pit=st.floats(0, 1),
    tir=st.floats(0, 0.3),
    left=st.floats(0, 0.5),
    rough=st.floats(0.03, 0.25),
)
def test_no_plan_ends_under_the_least_diameter_and_more_depth_never_needs_fewer_passes(
    *, d: float, share: float, groove: float, pit: float, tir: float, left: float, rough: float
) -> None:
    from norvash.core.rules.catalogue import shipped

    rules = shipped()
    copper = Copper(diameter_mm=d, least_diameter_mm=share * d, groove_radial_mm=groove, pit_radial_mm=pit, tir_mm=tir)
    way = replace(way_of("carbide", rules, pit_left_radial_mm=left), rough_radial_mm=rough)
    plan = plan_cut(copper, way, rules)
    assert plan.chosen.allowed == (plan.chosen.diameter_after_mm >= plan.least_diameter_mm - 1e-9)
    assert plan.chosen.radial_mm <= plan.full.radial_mm
    if plan.chosen.allowed:
        assert plan.passes[-1].diameter_mm >= plan.least_diameter_mm - 1e-6
        assert plan.passes[-1].diameter_mm == pytest.approx(plan.chosen.diameter_after_mm, abs=1e-6)
        assert sum(p.infeed_radial_mm for p in plan.passes) == pytest.approx(plan.touch_radial_mm, abs=1e-9)
    else:
        assert (plan.passes, plan.cutting_min) == ((), None)
    assert all(p.infeed_radial_mm <= rough + 1e-9 for p in plan.passes)
    deeper = plan_cut(replace(copper, groove_radial_mm=groove + 0.1, pit_radial_mm=pit + 0.1), way, rules)
    assert not deeper.passes or len(deeper.passes) >= len(plan.passes)


def test_where_and_how_a_cut_is_made(rules: MotorRules) -> None:
    copper = Copper(
        diameter_mm=96.4,
        least_diameter_mm=93.9,
        groove_radial_mm=0.18,
        pit_radial_mm=0.11,
        tir_mm=0.07,
        slot_depth_radial_mm=0.84,
        slot_width_mm=0.95,
        track_axial_mm=120,
        bearing_span_mm=400,
        shaft_diameter_mm=30,
        holder_gap_radial_mm=2.25,
    )
    plan = plan_cut(copper, way_of("carbide", rules, (560, 710), rated_rpm=300), rules)
    assert "undercut to 1.14 mm" in checks_of(plan, rules)[1][0]
    assert plan.speed_rpm is None
    assert len(plan.warnings) == 3
    assert where_to_cut(plan, rules)[0] == "out"
    fine = plan_cut(replace(copper, track_axial_mm=40, bearing_span_mm=200), way_of("hss", rules, (90, 185)), rules)
    assert (fine.speed_rpm, where_to_cut(fine, rules)[0], where_to_cut(fine, rules, true_setup=False)[0]) == (
        185,
        "own",
        "out",
    )
    flush = plan_cut(replace(copper, flush=True), way_of("hss", rules), rules)
    assert (flush.undercut_by_radial_mm, flush.slot_after_radial_mm) == (None, None)
    guessed = plan_cut(replace(copper, least_diameter_mm=None, new_diameter_mm=100.0), way_of("diamond", rules), rules)
    assert guessed.provisional
    assert guessed.least_diameter_mm == pytest.approx(96.5)
    assert not guessed.chosen.allowed
    assert learnt_factor([], rules) == 1.0
    assert 1.0 < learnt_factor([2.0], rules) < 2.0


def test_the_least_work_that_helps_comes_first(rules: MotorRules) -> None:
    ranks = [
        least_work(seen, rules)[0].id
        for seen in ([], ["black"], ["burnt-all"], ["groove", "black"], ["loose", "groove"])
    ]
    assert ranks == ["leave", "clean", "stone", "skim", "replace"]
    assert {a[0] for a in ABRASIVES if a[1] == "refused"} == {"emery", "silicon carbide", "steel wool, metal brush"}


# ---- columns


@pytest.mark.parametrize(
    ("text", "got"),
    [
        ("0.024\n0,037\n-\n0.05", [0.024, 0.037, None, 0.05]),
        ("24 µm\r\n37 um\r\n", [0.024, 0.037]),
        ("1\t0.02\n2\t0.03\n4\t0.05\n", [0.02, 0.03, None, 0.05]),
        ("1. 20 µm\n2. 30 µm", [0.02, 0.03]),
        ("0.01; 20 µm", [0.01, 0.02]),
        ("1 1/2 in\n1 5/8 in", [38.1, 41.275]),
        ("5 1/8 in\n6 1/8 in", [130.175, 155.575]),
    ],
)
def test_columns_as_they_are_pasted(text: str, got: list[float | None]) -> None:
    assert read_column(text, "length") == pytest.approx(got)


@pytest.mark.parametrize(
    "text",
    [
        "250 400 540",
        "250/400/540 r/min",
        "250, 400, 540",
        "250; 400; 540 rpm",
        "250\n400\n540",
        " 250 r/min,400 r/min / 540;",
    ],
)
def test_speeds_are_read_as_people_write_them(text: str) -> None:
    assert read_column(text, "speed") == [250, 400, 540]


def test_a_column_of_bare_numbers_is_in_the_unit_that_was_said() -> None:
    for text in ("1; 2", "1\n2", "1\t1\n2\t2"):
        assert read_column(text, "length", "in") == pytest.approx([25.4, 50.8])


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("0.02 mm\n30 µm\n0.04 mm", "mixes units: reading 2"),
        ("0.02\n30 µm", "mixes units"),
        ("1\t0.02\n2\t0.03\n2\t0.03", "Reading 2 stands twice"),
        ("0.02\nbig\n0.04", "Reading 2"),
        ("-\n-", "no reading"),
        ("\n".join(["1"] * 2001), "too many"),
    ],
)
def test_columns_that_are_refused_name_the_line(text: str, says: str) -> None:
    with pytest.raises(InputError, match=says):
        read_column(text, "length")
