"""Readings and what is made of them, each at its edge: what is kept of a reading, when it is doubted, and the
laws of carbon.
"""

from dataclasses import astuple, replace
from math import atan, degrees, hypot

import pytest
from scipy.stats import norm

from norvash.core.brush.carbon import DepthScale, taper_deg
from norvash.core.brush.doubts import Doubt, doubt_of
from norvash.core.brush.holders import side_fit
from norvash.core.brush.readings import Reading, read
from norvash.core.brush.renewal import Carbon, renewed
from norvash.core.brush.seating import Face, sagitta_mm
from norvash.core.brush.spread import set_spread
from norvash.core.brush.straight_line import Point
from norvash.core.brush.wear_measures import dust_g, rubbed_km
from norvash.core.grades import grade_of_line
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

OWN: dict[str, float | str] = {
    "new_mm": 22.0,
    "thickness_mm": 8.0,
    "depth_constant_mm": 42.0,
    "protrusion_constant_mm": 14.0,
    "wear_line_1_mm": 18.0,
    "wear_line_2_mm": 10.0,
    "wear_line_3_mm": 4.0,
    "spring_table": "0=22; 5=12; 8=6",
}
INCH: dict[str, float | str] = {"length_unit": "in"}
LINE = 12**0.5
KEPT: dict[str, tuple[str, str, str, dict[str, float | str], tuple[object, ...]]] = {
    "a length": ("length", "digital-caliper", " 15.2 ", {}, ("15.2", "mm", 15.2, 15.2, 0.05, 15.2, 15.2, None, None)),
    "both edges": (
        "length",
        "digital-caliper",
        "15.6; 15.2",
        {},
        ("15.6; 15.2", "mm", 15.2, 15.2, 0.05, 15.2, 15.2, None, degrees(atan(0.4 / 8))),
    ),
    "a short brush": ("length", "digital-caliper", "0.5", {}, ("0.5", "mm", 0.5, 0.5, 0.05, 0.5, 0.5, None, None)),
    "the longest believable": (
        "length",
        "digital-caliper",
        "28.6",
        {},
        ("28.6", "mm", 28.6, 28.6, 0.05, 28.6, 28.6, None, None),
    ),
    "a depth": ("depth", "eye", "27.5", {}, ("27.5", "mm", 27.5, 14.5, 1.76, 14.5, 14.5, None, None)),
    "a depth in inches": ("depth", "digital-caliper", "1", INCH, ("1", "in", 25.4, 16.6, 0.05, 16.6, 16.6, None, None)),
    "a protrusion in inches": (
        "protrusion",
        "digital-caliper",
        "0.1",
        INCH,
        ("0.1", "in", 2.54, 16.54, 0.05, 16.54, 16.54, None, None),
    ),
    "the third line": ("wear line", "digital-caliper", "3", {}, ("3", "line", 3, 2.0, 4 / LINE, 0.0, 4.0, 3, None)),
    "by comparing": ("compare", "rule", "60", {}, ("60", "%", 0.6, 13.2, 1.76, 13.2, 13.2, None, None)),
    "the most by comparing": ("compare", "rule", "130", {}, ("130", "%", 1.3, 28.6, 1.76, 28.6, 28.6, None, None)),
    "a spring": (
        "spring position",
        "digital-caliper",
        "6",
        {},
        ("6", "scale", 6, 10.0, 2 / LINE, 10.0, 10.0, None, None),
    ),
    "a spring by eye": ("spring position", "eye", "6", {}, ("6", "scale", 6, 10.0, 1.76, 10.0, 10.0, None, None)),
    "a spring's ends": (
        "spring position",
        "digital-caliper",
        "0",
        {},
        ("0", "scale", 0, 22.0, 2 / LINE, 22.0, 22.0, None, None),
    ),
    "a spring's other end": (
        "spring position",
        "digital-caliper",
        "8",
        {},
        ("8", "scale", 8, 6.0, 2 / LINE, 6.0, 6.0, None, None),
    ),
    "a depth of which nothing tells the length": (
        "depth",
        "digital-caliper",
        "27.5",
        {"depth_limit_mm": 36.0, "method": "depth", "depth_constant_mm": ""},
        ("27.5", "mm", 27.5, 19.5, 0.05, 19.5, 19.5, None, None, 27.5),
    ),
    "by the motor's own way": (
        "",
        "",
        "27.5",
        {"method": "depth", "instrument": "rule"},
        ("27.5", "mm", 27.5, 14.5, 0.4, 14.5, 14.5, None, None),
    ),
    "by the usual way": ("", "", "15.2", {}, ("15.2", "mm", 15.2, 15.2, 0.05, 15.2, 15.2, None, None)),
}


@pytest.mark.parametrize(("method", "instrument", "text", "own", "kept"), KEPT.values(), ids=KEPT)
def test_what_is_kept_of_a_reading(
    *, method: str, instrument: str, text: str, own: dict[str, float | str], kept: tuple[object, ...], rules: MotorRules
) -> None:
    stated = {n: v for n, v in {**OWN, **own}.items() if v != ""}
    found = read(text, Figures(stated, {}, {"length_unit": "mm"}), rules, method, instrument)
    for value, wanted in zip(astuple(found)[:10], (*kept, None)[:10], strict=True):
        assert value == (pytest.approx(wanted) if isinstance(wanted, float) else wanted)


REFUSED = {
    "nothing": ("length", "0", "not above 0", "Type what the caliper shows"),
    "an inch too many": ("length", "22 in", "22 in is too long for a brush of 22 mm new", "Type it again."),
    "the wrong unit": ("length", "600", "600 mm is too long for a brush of 22 mm new", "Did you mean 600 thou?"),
    "a depth of all": ("depth", "42", "0.0 mm long", "Read the gauge again"),
    "nothing left": ("compare", "0", "is not possible", "share that is left"),
}


@pytest.mark.parametrize(("method", "text", "problem", "remedy"), REFUSED.values(), ids=REFUSED)
def test_what_is_said_of_a_reading_that_cannot_be(
    method: str, text: str, problem: str, remedy: str, rules: MotorRules
) -> None:
    with pytest.raises(InputError) as refused:
        read(text, Figures(OWN, {}, {"length_unit": "mm"}), rules, method, "digital-caliper")
    assert problem in refused.value.problem
    assert remedy in refused.value.remedy


START, LAST = Point(22.0, 100, 0.1), Point(15.0, 400, 0.08)
TINY = 1e-6


def doubt(
    mm: float,
    run: float,
    rules: MotorRules,
    *,
    last: Point | None = LAST,
    start: Point = START,
    sd: float = 0.05,
    partners: tuple[Point, ...] = (),
    carbon: Carbon | None = None,
) -> Doubt | None:
    return doubt_of(
        Reading(typed="", unit="mm", raw_value=mm, length_mm=mm, sd_mm=sd, low_mm=mm, high_mm=mm),
        start,
        last,
        run_h=run,
        partners=partners,
        rules=rules,
        carbon=carbon,
    )


def test_a_reading_is_longer_than_it_can_be_beyond_its_noise(rules: MotorRules) -> None:
    new, last = 22.2 + 3 * hypot(0.05, 0.1), 15 + 3 * hypot(0.05, 0.08)
    for edge, before, kind in ((new, None, "longer than new"), (last, LAST, "longer than last time")):
        within, beyond = (doubt(edge + by, 400, rules, last=before) for by in (-TINY, TINY))
        assert within is None
        assert beyond is not None
        assert beyond.kind == kind


def test_a_reading_fell_sharply_beyond_three_times_what_was_to_be_expected(rules: MotorRules) -> None:
    noise, expected = 3 * hypot(0.05, 0.08), 7 / 300 * 60
    edge = 15 - 3 * expected - noise
    assert doubt(edge + TINY, 460, rules) is None
    sharp = doubt(edge - TINY, 460, rules)
    assert sharp is not None
    assert sharp.kind == "fell sharply"
    assert f"{expected:.2f} mm was to be expected" in sharp.words
    slow = doubt(12, 430, rules, last=Point(15.0, 400, 0.08), start=Point(15.2, 100, 0.1))
    assert slow is not None
    assert "0.02 mm was to be expected" in slow.words
    idle = doubt(14, 400, rules)
    assert idle is not None
    assert "though it has not run since by its log" in idle.words


def test_without_wear_or_use_before_nothing_is_to_be_expected(rules: MotorRules) -> None:
    assert doubt(14, 460, rules, last=replace(LAST, run_h=100)) is None
    assert doubt(18, 460, rules, last=Point(22.0, 400, 0.08)) is None
    for last, start in ((Point(21.5, 400, 0.05), START), (Point(15.0, 100.5, 0.05), START)):
        fell = doubt(last.length_mm - 1, last.run_h, rules, last=last, start=start)
        assert fell is not None
        assert fell.kind == "fell sharply"


PARTNERS = [
    (7.0, 1.4, 0.05),
    (10.0, 2.0, 0.05),
    (7.0, 7 - 3 * hypot(0.05, 2.5), 2.5),
    (0.0, 0.2, 0.01),
    (2.0, 10.0, 0.05),
]


@pytest.mark.parametrize(("wear", "partners", "sd"), PARTNERS)
def test_a_reading_is_far_from_its_partners_beyond_share_noise_and_tolerance(
    wear: float, partners: float, sd: float, rules: MotorRules
) -> None:
    out = TINY if partners > wear else -TINY
    kinds = [
        doubt(22 - wear, 400, rules, last=None, sd=min(sd, 0.05), partners=(Point(partners + by, 400, sd),) * 3)
        for by in (-out, out)
    ]
    assert [k and k.kind for k in kinds] == [None, "far from its partners"]


def test_new_carbon_is_asked_about_in_words_that_say_how_sure(rules: MotorRules) -> None:
    carbon, said = Carbon(22.0, 8.0, 0.01), set()
    for mm in (x / 100 for x in range(1600, 2200)):
        chance = renewed(mm, 0.6, LAST, run_units=460, carbon=carbon, rules=rules)
        found = doubt(mm, 460, rules, carbon=carbon, sd=0.6)
        wanted = "" if chance < 0.1 else "off?" if chance <= 0.9 else "record?"
        assert (found is not None and found.kind == "new brushes") is bool(wanted)
        if wanted and found:
            assert found.words.endswith(wanted)
        said.add(wanted)
    assert said == {"", "off?", "record?"}


@pytest.mark.parametrize("sd", [0.02, 0.05, 0.4, 1.7])
@pytest.mark.parametrize("run", [350, 400, 400.5, 900, 1300])
def test_the_chance_that_a_brush_was_changed_is_bayes_law(sd: float, run: float, rules: MotorRules) -> None:
    wear = max(run - 400, 0) * 0.01
    ages = [0.05 + 0.9 * i / 7 for i in range(8)]
    for mm in (12.0, 14.97, 15.0, 15.3, 17.5, 20.0, 21.7, 21.86, 22.1):
        same = norm.pdf(mm, 15 - wear, (2 * sd**2 + 0.02**2 + (0.35 * wear) ** 2) ** 0.5) + 1e-12
        new = [
            norm.pdf(mm, 22 - 0.14 - a * wear, (sd**2 + 0.1**2 + (0.3 * a * wear) ** 2 + 0.28**2) ** 0.5) for a in ages
        ]
        odds = 0.03 / 0.97 * sum(new) / 8 / same
        assert renewed(mm, sd, LAST, run_units=run, carbon=Carbon(22.0, 8.0, 0.01), rules=rules) == pytest.approx(
            odds / (1 + odds)
        )


def test_a_depth_gauge_by_its_limit_and_what_the_surface_sank() -> None:
    scale = DepthScale(20.0, 33.0, 42.0, 0.5)
    assert [scale.usable(d) for d in (20.5, 26.75, 33.0)] == [1.0, 0.5, 0.0]
    assert (scale.left_mm(30), scale.length_mm(30), scale.wear_mm(30)) == (3.0, 12.5, 9.5)
    bare = DepthScale(20.0)
    assert (bare.left_mm(30), bare.length_mm(30), bare.usable(30)) == (None, None, None)
    for limit, sunk in ((20.0, 0.0), (20.3, 0.5), (20.5, 0.5)):
        with pytest.raises(InputError):
            DepthScale(20.0, limit, None, sunk)
    assert taper_deg(0.4, 0.9, 0.5) == pytest.approx(45)


def test_one_brush_of_many_is_off_beyond_three_robust_deviations(rules: MotorRules) -> None:
    for by, off in ((-TINY, ()), (TINY, (5,))):
        assert set_spread([7, 7.1, 6.9, 7, 7 + 3 * 0.14826 + by], 0.01, rules).outliers == off
        assert set_spread([7, 7.0, 7.0, 7, 7 + 3 * 0.05 + by], 0.05, rules).outliers == off
    assert set_spread([7, 7.1, 6.9, 9], 0.01, rules).outliers == ()


def test_faces_boxes_lines_and_dust_at_their_edges(rules: MotorRules) -> None:
    for thickness in (0.0, 62.0):
        with pytest.raises(InputError):
            sagitta_mm(62.0, thickness)
    own, flat = Face(62.0, 9.15, 31.0), Face(62.0, 9.15)
    assert (own.depth_mm(), own.share(0.0), own.over_shaped()) == (0.0, 1.0, False)
    assert (flat.share(0.0), Face(62.0, 9.15, 30.9).over_shaped()) == (0.0, True)
    assert flat.share(flat.depth_mm() / 4) == pytest.approx(0.5)
    assert grade_of_line(4) == grade_of_line(3)
    assert "never file the box" in side_fit("width", 12.56, 12.60, rules).reason
    assert "the wrong part, send it back" in side_fit("width", 12.66, 12.60, rules).reason
    worn = [0.5, 2.0, -1.0, 0.0]
    assert [dust_g(100, worn, g, rules) for g in ("metal-graphite", "electrographite")] == pytest.approx([1.0, 0.425])
    assert rubbed_km(100, 1000, 1) == pytest.approx(18.849556, rel=1e-8)
