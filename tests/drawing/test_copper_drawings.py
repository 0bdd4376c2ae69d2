"""Drawings of commutator and bearings: every bar once and where its angle puts it, depths in order, all to scale."""

import re
from datetime import date, timedelta
from itertools import pairwise
from math import cos, hypot, pi
from xml.etree import ElementTree as ET

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.commutator.bars import CONDITIONS
from norvash.core.commutator.cut import Copper
from norvash.core.commutator.run_out import Turned, judge_run_out
from norvash.core.commutator.skim import plan_cut, way_of
from norvash.core.judging.windings.measured import InsulationTest
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.windings.insulation import r40_megohm
from norvash.drawing.commutator.bar_map import Mapped, bar_map, rows_of
from norvash.drawing.commutator.cut_section import cut_section
from norvash.drawing.commutator.run_out_rose import run_out_rose
from norvash.drawing.running.insulation_trend import insulation_trend
from norvash.drawing.shaft.bearing_section import bearing_section
from norvash.drawing.svg import Drawing

SVG = "{http://www.w3.org/2000/svg}"


def parsed(drawing: Drawing) -> ET.Element:
    return ET.fromstring(drawing.file().split("\n", 1)[1])


def bars_in(root: ET.Element) -> dict[int, tuple[float, float, float]]:
    """Return left edge, top and width by bar."""
    uses = [u for u in root.iter(f"{SVG}use") if u.get("data-bar")]
    assert len({u.get("data-bar") for u in uses}) == len(uses)
    return {int(u.get("data-bar", "0")): tuple(float(u.get(a, "nan")) for a in ("x", "y", "width")) for u in uses}  # type: ignore[misc]


@given(st.integers(5, 400), st.sampled_from([None, 2, 4, 6, 8, 12]), st.sampled_from([346.0, 580.0, 620.0]))
def test_every_bar_is_drawn_once_inside_the_sheet_and_stands_over_its_like(
    bars: int, poles: int | None, width: float
) -> None:
    at = bars_in(parsed(bar_map(Mapped(bars=bars, shown={}, poles=poles, paint=True), width)))
    assert sorted(at) == list(range(1, bars + 1))
    assert all(x >= 0 and x + w <= width + 0.01 for x, _, w in at.values())
    assert min(w for _, _, w in at.values()) >= (13 if width < 400 else 9)
    tops = sorted({y for _, y, _ in at.values()})
    assert all(b - a > 44 for a, b in pairwise(tops))
    rows = len(tops)
    if poles and poles <= min(bars, rows) and rows % poles == 0:
        pitch, row = bars / poles, bars / rows * (at[2][0] - at[1][0])
        for bar in range(1, bars - int(pitch)):
            across = (at[round(bar + pitch)][0] - at[bar][0]) % row
            assert min(across, row - across) <= at[bar][2] * 1.2


def test_rows_follow_the_poles_until_they_are_too_wide() -> None:
    assert [
        rows_of(87, 4, 50),
        rows_of(40, 4, 50),
        rows_of(400, 2, 34),
        rows_of(5, 12, 50),
        rows_of(400, None, 50),
    ] == [2, 1, 12, 1, 8]


def test_every_condition_has_its_own_mark_and_the_marks_that_are_used_are_there() -> None:
    shown = {i: frozenset([c.id]) for i, c in enumerate(CONDITIONS, start=1)} | {
        30: frozenset(["burnt", "pitted", "dark"])
    }
    root = parsed(
        bar_map(Mapped(bars=36, shown=shown, poles=4, slots=12, spacing=(3, 12), more=(3,), less=(5,), paint=True), 620)
    )
    symbols = {s.get("id"): ET.tostring(s) for s in root.iter(f"{SVG}symbol")}
    used = {u.get("href", "#")[1:] for u in root.iter(f"{SVG}use")}
    assert used <= set(symbols)
    single = [symbols[f"bar-+{c.id}"].split(b">", 1)[1] for c in CONDITIONS]
    assert len(set(single)) == len(CONDITIONS)
    texts = [t.text for t in root.iter(f"{SVG}text")]
    assert texts.count("+") == 1
    assert texts.count("–") == 1


def test_readings_stand_over_their_slots_and_odd_ones_are_named_in_words_too() -> None:
    off: list[float | None] = [0.01] * 24
    off[5], off[11], off[20] = 12.0, -0.6, None
    drawn = bar_map(Mapped(bars=24, shown={}, poles=4, deviations=off, marked=(6, 12), says=("reading 6 high",)), 620)
    texts = [t.text for t in parsed(drawn).iter(f"{SVG}text")]
    assert {"6▲", "12▼", "?"} <= set(texts)
    assert "reading 6 high" in drawn.description


def test_what_was_found_by_electricity_stands_at_its_bars() -> None:
    drawn = bar_map(
        Mapped(bars=87, shown={}, poles=4, slots=29, answering={7: (19, 21), 22: (64, 66)}, earthed=50, paint=True), 620
    )
    root, at = parsed(drawn), bars_in(parsed(drawn))
    words = {
        t.text: (float(t.get("x", "0")), float(t.get("y", "0")))
        for t in root.iter(f"{SVG}text")
        if (t.text or "").startswith("slot")
    }
    for slot, middle in (("slot 7", 20), ("slot 22", 65)):
        x, y, wide = at[middle]
        assert words[slot][0] == pytest.approx(x + wide / 2, abs=0.1)
        assert 0 < y - words[slot][1] < 30
    x, y, wide = at[50]
    assert f"M{x + wide / 2:.1f} {y + 44:.1f}v4" in ET.tostring(root, "unicode")
    assert ("slot 7 answers on the growler", "19–21", "3") in drawn.rows
    assert ("leaks to the shaft", "50", "1") in drawn.rows


@given(
    st.lists(st.tuples(st.floats(0.05, 5000), st.one_of(st.none(), st.floats(0, 80))), min_size=2, max_size=9),
    st.sampled_from([1.0, 5.0, 100.0]),
)
def test_insulation_over_the_years_keeps_order_and_never_leaves_its_scale(
    given_tests: list[tuple[float, float | None]], least: float
) -> None:
    rules = shipped()
    tests = [
        InsulationTest(
            i + 1, date(2023, 1, 31) + timedelta(days=170 * i), m, c, None if c is None else r40_megohm(m, c, rules)
        )
        for i, (m, c) in enumerate(given_tests)
    ]
    drawn = insulation_trend(tests, least, rules["insulation.fall"], 460, at_40=True)
    dots = [(float(c.get("cx", "0")), float(c.get("cy", "0"))) for c in parsed(drawn).iter(f"{SVG}circle")]
    values = [t.r40_megohm or t.megohm for t in tests]
    assert len(dots) == len(drawn.rows) == len(tests)
    assert all(0 <= y <= drawn.height - 20 for _, y in dots)
    assert [x for x, _ in dots] == sorted(x for x, _ in dots)
    for (a, (_, ya)), (b, (_, yb)) in pairwise(zip(values, dots, strict=True)):
        assert (ya - yb) * (b - a) >= -1e-6 * max(a, b)
    beside = sorted(float(t.get("y", "0")) for t in parsed(drawn).iter(f"{SVG}text") if float(t.get("x", "0")) > 356)
    assert all(b - a >= 14.9 for a, b in pairwise(beside))
    assert beside[-1] <= drawn.height


def rose(readings: list[float | None], rules: MotorRules) -> tuple[Drawing, list[tuple[float, float]]]:
    found = judge_run_out(readings, True, Turned(100, 1500), rules)
    drawn = run_out_rose(found, 100, True, 400)
    dots = [c for c in parsed(drawn).iter(f"{SVG}circle") if float(c.get("r", "0")) in (3.4, 5.0)]
    return drawn, [(float(c.get("cx", "0")) - 200, float(c.get("cy", "0")) - 200) for c in dots]


def test_the_rose_draws_deviation_to_one_scale_and_says_how_much_it_is_magnified(rules: MotorRules) -> None:
    readings: list[float | None] = [0.03 * cos(2 * pi * i / 12) for i in range(12)]
    drawn, dots = rose(readings, rules)
    assert len(dots) == 12
    radii = [hypot(x, y) for x, y in dots]
    slope = (radii[0] - radii[6]) / (0.06)
    assert all(
        r - radii[6] == pytest.approx(((x or 0.0) + 0.03) * slope, abs=0.05)
        for r, x in zip(radii, readings, strict=True)
    )
    assert dots[0][1] < 0
    assert dots[3][0] > 0
    assert re.search(r"deviation drawn × \d+", ET.tostring(parsed(drawn), "unicode"))
    assert "off centre by 0.030 mm" in drawn.description
    gone, fewer = rose([None, *readings[1:]], rules)
    assert len(fewer) == 11
    assert gone.rows[0][1] == "not measured"


@pytest.mark.parametrize(
    ("least", "broken", "rows"), [(95.5, False, 4), (80.0, True, 4), (96.3, False, 0), (97.5, False, 0)]
)
def test_the_section_keeps_depths_in_order_and_lists_no_passes_for_a_cut_that_is_refused(
    least: float, broken: bool, rows: int
) -> None:
    rules = shipped()
    plan = plan_cut(
        Copper(
            diameter_mm=96.4,
            least_diameter_mm=least,
            groove_radial_mm=0.18,
            pit_radial_mm=0.11,
            tir_mm=0.07,
            track_axial_mm=40,
        ),
        way_of("carbide", rules),
        rules,
    )
    drawn = cut_section(plan, 620)
    root = parsed(drawn)
    assert len(drawn.rows) == rows
    assert ("zigzag" in ET.tostring(root, "unicode")) == broken
    at = {t.text or "": float(t.get("y", "0")) for t in root.iter(f"{SVG}text")}
    now, cut, low = (
        next(y for text, y in at.items() if text.startswith(start)) for start in ("now", "cut to", "least")
    )
    assert now < cut
    assert (low > cut) == plan.chosen.allowed
    assert ("under the least diameter" in drawn.description) != plan.chosen.allowed


def test_a_bearing_is_drawn_to_scale() -> None:
    root = parsed(bearing_section(20, 47, 14, "rubber seals on both sides", 300))
    rings = [(float(r.get("y", "0")), float(r.get("height", "0"))) for r in root.iter(f"{SVG}rect")]
    top, bottom = min(y for y, _ in rings), max(y + h for y, h in rings)
    width = max(float(r.get("width", "0")) for r in root.iter(f"{SVG}rect"))
    assert (bottom - top) / width == pytest.approx(47 / 14, rel=0.01)
    assert {t.text for t in root.iter(f"{SVG}text")} >= {"d 20 mm", "D 47 mm", "B 14 mm"}
