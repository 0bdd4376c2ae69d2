"""Drawings: to scale, speaking, saved without a style sheet, and safe."""

import re
import xml.etree.ElementTree as ET
from dataclasses import replace
from datetime import timedelta
from math import inf

import pytest

from norvash.core.motor.positions import even_positions
from norvash.core.planning.hindsight import Outcome
from norvash.core.planning.interval_table import IntervalTable
from norvash.core.rules.catalogue import shipped
from norvash.core.state.ruler import ruler_from, ruler_of
from norvash.core.use.season import Window
from norvash.core.verdict.judging import findings
from norvash.drawing.brush.brush_sheet import BrushPlan, brush_sheet
from norvash.drawing.brush.carbon_ruler import carbon_ruler
from norvash.drawing.brush.face_contact import Contact, face_contact
from norvash.drawing.brush.grade_scale import grade_scale
from norvash.drawing.brush.wear_bars import wear_bars
from norvash.drawing.commutator.end_view import EndBrush, EndPlate, end_view
from norvash.drawing.days.date_span import TimeAxis, axis_head, date_span
from norvash.drawing.days.interval_grid import interval_grid
from norvash.drawing.days.life_line import life_line
from norvash.drawing.days.outlook_river import Flow, outlook_river
from norvash.drawing.days.past_bands import past_bands
from norvash.drawing.days.use_curve import use_curve
from norvash.drawing.days.when_bar import when_bar
from norvash.drawing.days.when_course import course_of, staggered, thickness
from norvash.drawing.running.speed_ladder import speed_ladder_drawn
from norvash.drawing.scales.band_scale import Banded, band_scale
from norvash.drawing.scales.cause_bars import cause_bars
from norvash.drawing.scales.grade_mark import grade_mark
from norvash.drawing.svg import Drawing
from states import T0, TODAY, a_round, foreseen, state

FLOWS = (
    Flow(
        href="/m/1",
        tag="X-1",
        name="Trap winch",
        early_on=TODAY + timedelta(days=20),
        middle_on=TODAY + timedelta(days=40),
        late_on=TODAY + timedelta(days=70),
        look_on=TODAY + timedelta(days=15),
        change_on=TODAY + timedelta(days=13),
        grade="plan",
        change_words="the week before",
        look_words="forecast",
    ),
    Flow(
        href="/m/2",
        tag="X-2",
        name="A name that is far too long for its column",
        early_on=TODAY + timedelta(days=400),
        middle_on=TODAY + timedelta(days=500),
        late_on=TODAY + timedelta(days=600),
        look_on=None,
        change_on=None,
        grade="fit",
        change_words="",
        look_words="",
    ),
    Flow(
        href="/m/3",
        tag="X-3",
        name="<Nothing> & known",
        early_on=None,
        middle_on=None,
        late_on=None,
        look_on=None,
        change_on=None,
        grade=None,
        change_words="",
        look_words="",
    ),
)
DARK = (
    (TODAY + timedelta(days=30), TODAY + timedelta(days=90), "summer"),
    (TODAY - timedelta(days=9), TODAY - timedelta(days=3), "past"),
)
TABLE = IntervalTable((100.0, 500.0), (8.5, 9.0), ((400.0, 0.0), (600.0, 300.0)))
OUTCOMES = [
    Outcome(
        tag="X-1",
        set_number=1,
        visits=2,
        made_units=100,
        p05_units=150,
        p10_units=160,
        p50_units=200,
        p90_units=260,
        p95_units=280,
        look_units=155,
        reached_units=reached,
    )
    for reached in (210.0, 270.0, 1000.0)
]
BRUSH = BrushPlan(
    new_mm=32,
    thickness_mm=12.5,
    width_mm=25,
    limit_mm=14,
    limit_basis="maker's figure",
    estimated=False,
    commutator_d_mm=120,
    wear_lines_mm=(26, 20, 14),
    lead_root_mm=8,
)


LATER = TODAY + timedelta(weeks=20)
WINDOWS = (
    Window(
        id="x", name="strike week", first_on=LATER, last_on=LATER + timedelta(days=9), yearly=False, place="under stage"
    ),
)


def drawings() -> list[Drawing]:
    shown = state(a_round(10, 20, 20.2), a_round(20, 15, 16.2))
    found = findings(shown, shipped(), TODAY)
    ahead = foreseen(shown)
    new = foreseen(state())
    plate = EndPlate(commutator_d_mm=30, bars=28, thickness_mm=6.4, new_mm=22, limit_mm=8)
    brushes = [
        EndBrush(plan=p, length_mm=15.0, in_round=True, word="Watch", href=f"/x/{p.number}", chosen=p.number == 1)
        for p in even_positions(8)
    ]
    axis = TimeAxis(TODAY, TODAY + timedelta(weeks=40), 300)
    return [
        carbon_ruler(ruler_of(found, shown), 360, 36, dimensions=True),
        life_line(found, shown, 700, 300),
        end_view(plate, brushes, 300),
        axis_head(axis),
        date_span(axis, TODAY, TODAY + timedelta(days=90)),
        date_span(axis, None, None),
        brush_sheet(BRUSH, 470, 300),
        brush_sheet(replace(BRUSH, estimated=True, wear_lines_mm=(), lead_root_mm=None), 300, 300),
        band_scale(
            "Bands",
            (
                Banded(words="Pressure", unit="kPa", value=70, low=30, high=60),
                Banded(words="Gap", unit="mm", value=0, low=None, high=None, also=2, also_words="then"),
            ),
            500,
        ),
        face_contact(Contact(62, 9.15, inf, 0.1, 0.54), 460),
        face_contact(Contact(62, 9.15, 20, 0, 0), 460),
        grade_scale({"stop": 0, "change": 0.1, "plan": 0.25, "watch": 0.4}, 900),
        grade_scale({"stop": 0.9, "change": 0.1, "plan": 0.1, "watch": 0}, 900),
        wear_bars([3, 4.5, 3.1, 3.2, 3.1], 3.4, 0.35, (2,), 500),
        wear_bars([0, 0], 0, 0.25, (), 500),
        life_line(findings(ahead, shipped(), TODAY), ahead, 700, 300),
        life_line(findings(new, shipped(), TODAY), new, 346, 300),
        when_bar(findings(ahead, shipped(), TODAY), ahead, TODAY, windows=WINDOWS, place="under stage", width=1200),
        when_bar(findings(ahead, shipped(), LATER), ahead, LATER, windows=WINDOWS, place="", width=346),
        when_bar(findings(new, shipped(), TODAY), new, TODAY, windows=(), place="", width=1200),
        outlook_river(FLOWS, TODAY, TODAY + timedelta(weeks=26), DARK, 1200),
        outlook_river((), TODAY, TODAY + timedelta(weeks=26), (), 346),
        interval_grid(TABLE, [(1, 1), (None, 0), (1, None)], "h", 620),
        past_bands(OUTCOMES, "h", 800),
        past_bands(OUTCOMES, "h", 346),
        cause_bars(
            [("a cause whose words are far too long for the margin that it has", 0.7), ("<short>", 0.3)], 0.6, 346
        ),
        cause_bars([], 0.6, 500),
        speed_ladder_drawn([0.44, 0.0, 1.0], [0.45, None, 1.0], (2,), 0.08, 580),
        speed_ladder_drawn([1.3], [0.5], (1,), 0.08, 346),
        use_curve(shown.entries, shown.rate, "hours", 500, 240),
        use_curve(shown.entries[:1], None, "starts", 500, 240),
    ]


@pytest.mark.parametrize("drawing", drawings(), ids=lambda d: d.name)
def test_drawings_speak_save_and_carry_no_style(drawing: Drawing) -> None:
    saved = ET.fromstring(drawing.file().split("\n", 1)[1])
    assert saved.tag.endswith("svg")
    assert drawing.title in drawing.svg()
    assert "style=" not in drawing.svg()
    assert "class=" not in drawing.file().split(">", 2)[2]
    assert all(len(r) == len(drawing.head) for r in drawing.rows)


def test_the_ruler_is_to_scale_and_keeps_its_values() -> None:
    shown = state(a_round(20, 11, 16.5))
    ruler = ruler_of(findings(shown, shipped(), TODAY), shown)
    assert ruler_from(ruler.as_plain()) == ruler
    svg = carbon_ruler(ruler, 222, 20).svg()
    assert 'x="1" y="10.5" width="220"' in svg
    assert f"M{1 + 80:.0f} 9L{1 + 80:.0f} 36" in svg


def test_markup_in_names_is_escaped_in_drawings() -> None:
    assert "<script>" not in grade_mark("fit", "<script>alert(1)</script>")


@pytest.mark.parametrize("commutator_d_mm", [120.0, 28.0, 10.0])
def test_the_brush_is_drawn_to_scale(commutator_d_mm: float) -> None:
    svg = brush_sheet(replace(BRUSH, commutator_d_mm=commutator_d_mm), 470, 300).svg()
    side = re.search(r'<rect class="carbon" x="[^"]+" y="22" width="([^"]+)" height="([^"]+)"', svg)
    assert side is not None
    width, height = float(side[1]), float(side[2])
    assert width / height == pytest.approx(25 / 32, rel=1e-3)
    limit = re.search(r'<path class="copper-line" d="M\S+ (\S+)L', svg)
    assert limit is not None
    assert (float(limit[1]) - 22) / height == pytest.approx(14 / 32, rel=1e-3)
    assert ("A" in svg.split('class="carbon" d="')[1].split('"')[0]) is (commutator_d_mm > 12.5)


def test_the_use_curve_ends_at_the_newest_entry_and_shows_what_the_rate_rests_on() -> None:
    shown = state(weeks=80)
    drawing = use_curve(shown.entries, shown.rate, "hours", 500, 240)
    assert len(drawing.rows) == 53
    assert drawing.rows[0] == ("2027-07-19", "1\u202f700 h", "1\u202f600 h")
    assert "20.0 h a week" in drawing.svg()
    dots = [float(y) for y in re.findall(r'class="dot" cx="[^"]+" cy="([^"]+)"', drawing.svg())]
    assert dots == sorted(dots, reverse=True)
    assert drawing.svg().count('class="fan"') == 1
    assert "± " in drawing.description


ENDS = {2: [(90, "A"), (270, "B")], 4: [(45, "A"), (135, "B"), (225, "C"), (315, "D")]}


@pytest.mark.parametrize("count", [2, 4, 8, 40])
def test_the_end_view_is_to_scale_and_lets_every_brush_be_chosen(count: int) -> None:
    plans = even_positions(count)
    assert [(p.angle_deg, p.label) for p in plans] == ENDS.get(count, [(p.angle_deg, p.label) for p in plans])
    brushes = [EndBrush(plan=p, length_mm=15.0, in_round=True, word="Watch", href=f"/x/{p.number}") for p in plans]
    root = ET.fromstring(
        end_view(EndPlate(commutator_d_mm=30, bars=28, thickness_mm=6.4, new_mm=22, limit_mm=8), brushes, 300).svg()
    )
    links = [e for e in root.iter() if e.tag.endswith("a") and e.get("href")]
    assert [e.get("href") for e in links] == [f"/x/{p.number}" for p in plans]
    assert all("Brush" in (e.get("aria-label") or "") for e in links)
    carbon = [e for e in root.iter() if e.get("class") == "carbon"]
    assert {e.get("height") for e in carbon} == {"15"}
    assert (float(carbon[0].get("width") or 0) == 6.4) is (count < 40)
    texts = [e for e in root.iter() if e.tag.endswith("text")]
    assert len(texts) == (count if count < 40 else 4)
    assert all(-10 <= float(e.get("x") or 0) <= 310 for e in texts)


def test_the_bar_of_time_thins_as_the_limit_may_be_passed() -> None:
    worn = foreseen(state(a_round(10, 20, 20.2), a_round(20, 15, 16.2)))
    assert worn.ahead is not None
    points = thickness(worn.ahead)
    assert [share for _, share in points] == [0.95, 0.9, 0.75, 0.5, 0.25, 0.1, 0.05]
    assert [day for day, _ in points] == sorted(day for day, _ in points)
    assert (points[1][0], points[3][0], points[5][0]) == (worn.ahead.p10_on, worn.ahead.p50_on, worn.ahead.p90_on)
    assert thickness(replace(worn.ahead, p50_on=None)) == ()
    for day in (TODAY, LATER):
        found = findings(worn, shipped(), day)
        course = course_of(found, worn.current.fitted_at.date(), day, 0.0, 100.0)
        ruling = [found.days.look_on or day, found.days.plan_on or day, found.days.limit_on or day]
        assert all(course.holds(on) for on in (day, *ruling))
        drawn = when_bar(found, worn, day, windows=(), place="", width=1200)
        assert [r[4] for r in drawn.rows].count("yes") == 3
        assert all(b.count("-") in (0, 2) for _, _, b, *_ in drawn.rows)
        assert ("past" in drawn.description) is (day == LATER)
    assert staggered([(0, 10), (5, 15), (9, 12), (20, 30)]) == [0, 1, 2, 0]


def test_the_life_line_shows_every_set_and_reading() -> None:
    worn = state(a_round(10, 18, 18.5), a_round(20, 15, 16.2, doubt="why?"))
    svg = life_line(findings(worn, shipped(), TODAY), worn, 700, 300)
    assert svg.svg().count('class="dot') == 2
    assert 'class="dot-doubt"' in svg.svg()
    assert [r[3] for r in svg.rows] == ["A", "B", "A", "B"]
    assert "1 set on record" in svg.description


def xs(svg: str, pattern: str) -> list[float]:
    return [float(x) for x in re.findall(pattern, svg)]


@pytest.mark.parametrize(
    ("value", "low", "high", "said"),
    [
        (45, 30, 60, "inside its band"),
        (70, 30, 60, "outside its band"),
        (30, 30, 60, "inside its band"),
        (0, 30, 60, "outside its band"),
        (5, None, 60, "no band known"),
        (-0.2, 0.05, 0.3, "outside its band"),
    ],
)
def test_a_figure_stands_in_or_beside_its_band(value: float, low: float | None, high: float | None, said: str) -> None:
    drawing = band_scale("Band", (Banded(words="Figure", unit="kPa", value=value, low=low, high=high),), 580)
    assert drawing.rows[0][3] == said
    peg = xs(drawing.svg(), r'class="carbon" d="M([-0-9.]+)')[0] + 6
    band = re.search(r'class="copper" x="([0-9.]+)" y="[^"]+" width="([0-9.]+)"', drawing.svg())
    if band is None:
        assert said == "no band known"
        return
    left, right = float(band[1]), float(band[1]) + float(band[2])
    assert (left - 0.2 <= peg <= right + 0.2) is (said == "inside its band")
    assert 0 <= peg <= 580


@pytest.mark.parametrize("share", [0.1, 0.5, 1.0])
def test_the_face_touches_over_its_share_of_the_thickness(share: float) -> None:
    svg = face_contact(Contact(62, 9.15, inf, share**2 * 0.339449, share), 460).svg()
    touching = re.search(r'class="touching" d="M([0-9.]+) ([0-9.]+)A\S+ \S+ 0 0 1 ([0-9.]+) ', svg)
    body = re.search(r'class="carbon" d="M([0-9.]+) 14H([0-9.]+)V([0-9.]+)', svg)
    assert touching is not None
    assert body is not None
    assert float(touching[3]) - float(touching[1]) == pytest.approx(share * (float(body[2]) - float(body[1])), rel=2e-3)
    # Where the contact ends, the flat face meets the curve of the copper.
    assert float(touching[2]) == pytest.approx(float(body[3]), abs=0.15)


def test_wear_bars_are_as_long_as_the_wear() -> None:
    wear = [3.0, 4.5, 3.1, 0.0]
    svg = wear_bars(wear, 2.65, 0.35, (2,), 500).svg()
    widths = xs(svg, r'class="carbon(?:-chosen)?" x="34" y="[^"]+" width="([0-9.]+)"')
    assert [w / widths[1] for w in widths] == pytest.approx([w / 4.5 for w in wear], abs=1e-3)
    mean = xs(svg, r'class="copper-line" d="M([0-9.]+)')[0]
    assert (mean - 34) / widths[1] == pytest.approx(2.65 / 4.5, rel=1e-3)


@pytest.mark.parametrize("edges", [(0.0, 0.1, 0.25, 0.4), (0.05, 0.2, 0.2, 0.9)])
def test_the_stages_are_cut_where_they_begin(edges: tuple[float, ...]) -> None:
    drawing = grade_scale(dict(zip(("stop", "change", "plan", "watch"), edges, strict=True)), 1000)
    cuts = xs(drawing.svg(), r'class="(?:copper-line|slots)" d="M([0-9.]+)')
    assert [(x - 124) / (1000 - 138) for x in cuts] == pytest.approx(edges, abs=1e-3)
    assert [r[0] for r in drawing.rows] == ["Run on", "Watch", "Plan the change", "Change now", "Out of service"]
    assert drawing.rows[0][1] == f"over {edges[3]:.0%}"


def test_several_motors_are_drawn_to_one_scale() -> None:
    small, large = (
        EndPlate(commutator_d_mm=30, bars=28, thickness_mm=6.4, new_mm=18, limit_mm=6),
        EndPlate(commutator_d_mm=120, bars=87, thickness_mm=12.5, new_mm=32, limit_mm=14),
    )
    drawn = [
        end_view(
            p, [EndBrush(plan=q, length_mm=p.new_mm, in_round=True, word="new") for q in even_positions(2)], 220, 0.74
        ).svg()
        for p in (small, large)
    ]
    scales = [xs(svg, r"scale\(([0-9.]+)\)")[0] for svg in drawn]
    assert scales == [0.74, 0.74]


def test_a_narrow_life_line_names_fewer_ticks_and_no_set_twice_over() -> None:
    worn = state(a_round(10, 18, 18.5), a_round(20, 15, 16.2))
    old = replace(worn.current, number=1, ended_at=T0, ended_units=0.0, end_reason="planned", rounds=())
    crowded = replace(worn, sets=(old, replace(old, number=2), replace(worn.current, number=3)))
    found = findings(crowded, shipped(), TODAY)
    wide, narrow = life_line(found, crowded, 790, 285), life_line(found, crowded, 346, 285)
    assert len(re.findall("<text", narrow.svg())) < len(re.findall("<text", wide.svg()))
    assert len(re.findall(r">set \d", narrow.svg())) == 1
    assert narrow.rows == wide.rows


def numbers(svg: str, pattern: str) -> list[float]:
    return [float(x) for x in re.findall(pattern, svg)]


def test_the_river_lays_bands_looks_and_windows_on_one_axis() -> None:
    svg = outlook_river(FLOWS, TODAY, TODAY + timedelta(weeks=26), DARK, 1200).svg()
    (left,), (band,) = numbers(svg, r'class="span" x="([^"]+)"'), numbers(svg, r'class="span" [^>]*?width="([^"]+)"')
    per_day = (1200 - 10 - 236) / 182
    assert left == pytest.approx(236 + 20 * per_day, abs=0.1)
    assert band == pytest.approx(50 * per_day, abs=0.1)
    (dark,) = numbers(svg, r'class="dark" x="([^"]+)"')
    assert dark == pytest.approx(236 + 30 * per_day, abs=0.1)
    assert svg.count("<a ") == 3
    assert "A name that is far too lon…" in svg
    assert "&lt;Nothing&gt; &amp; known" in svg
    assert "no day yet" in svg


def test_the_fan_meets_the_limit_where_the_forecast_says() -> None:
    shown = foreseen(state(a_round(10, 20, 20.2), a_round(20, 15, 16.2)))
    found = findings(shown, shipped(), TODAY)
    assert found.ahead is not None
    svg = life_line(found, shown, 700, 300).svg()
    wedge = re.search(r'class="fan" d="M([^"]+)z"', svg)
    assert wedge is not None
    points = [tuple(map(float, p.split())) for p in wedge[1].split("L")]
    (start_x, _), (early_x, early_y), (late_x, late_y) = points
    share = (found.ahead.p10_units - found.ahead.seen_units) / (found.ahead.p90_units - found.ahead.seen_units)
    assert early_y == late_y
    assert (early_x - start_x) / (late_x - start_x) == pytest.approx(share, abs=0.01)


def test_an_interval_found_is_framed_and_a_miss_marks_the_edge() -> None:
    framed = interval_grid(TABLE, [(1, 0)], "h", 620)
    assert framed.svg().count("<rect") == 5
    assert "row 500 h, column 8.5 mm: 600 h" in framed.description
    assert interval_grid(TABLE, [(1, None)], "h", 620).svg().count("<rect") == 4
    assert [r[-1] for r in framed.rows] == ["change", "300"]


def test_past_bands_stand_against_the_limit_that_was_reached() -> None:
    drawing = past_bands(OUTCOMES, "h", 800)
    assert [r[-1] for r in drawing.rows] == ["held", "missed", "missed"]
    assert "1 of 3 bands held" in drawing.description
    assert (drawing.svg().count('class="span"'), drawing.svg().count('class="box"')) == (1, 2)
