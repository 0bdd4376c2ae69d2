"""Springs, current, seating, fit: the tables of brush geometry and loading."""

from math import inf

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.holders import gap_reason, side_fit
from norvash.core.brush.loading import (
    bars_covered,
    contact_loss_w,
    current_density_a_per_cm2,
    judge_spring,
    pressure_kpa,
)
from norvash.core.brush.seating import Face, sagitta_mm, seating_method, widest_face_radius_mm
from norvash.core.rules.book import CLASSES, GEARED, MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.core.rules.fitting import DENSITY
from norvash.errors import InputError

BANDS = {
    "appliance": (25, 50),
    "tool": (30, 60),
    "starter": (50, 150),
    "industrial": (15, 35),
    "traction": (30, 50),
    "generator": (17, 40),
}
GUIDES = {
    "carbon-graphite": (6, 8),
    "electrographite": (8, 12),
    "resin-bonded": (4, 8),
    "metal-graphite": (12, 20),
    "high-metal": (20, 30),
}


@pytest.mark.parametrize("name", CLASSES)
def test_pressure_bands_and_gaps_by_class(name: str, rules: MotorRules) -> None:
    own = MotorRules(rules.book, name)
    assert (own["pressure.low"], own["pressure.high"]) == BANDS[name]
    geared = MotorRules(rules.book, "starter", variant=GEARED)
    assert (geared["pressure.low"], geared["pressure.high"]) == (80, 290)
    assert (own["gap.low"], own["gap.high"]) == ((1.6, 3.2) if name in ("industrial", "traction") else (0.8, 2.0))


@pytest.mark.parametrize("grade", sorted(DENSITY))
def test_guides_by_grade(grade: str, rules: MotorRules) -> None:
    assert (rules[f"density.{grade}.low"], rules[f"density.{grade}.high"]) == GUIDES[grade]


SPRINGS = {
    "nominal": (5.0, 5.0, "fit"),
    "ten per cent over": (5.5, 5.0, "plan"),
    "ten per cent under": (4.5, 5.0, "plan"),
    "a hair less": (5.499, 5.0, "fit"),
    "eleven over": (5.55, 5.0, "plan"),
    "eleven under": (4.45, 5.0, "plan"),
    "twenty under": (4.0, 5.0, "plan"),
    "under eighty": (3.95, 5.0, "change"),
    "over 120": (6.05, 5.0, "change"),
    "in the band": (5.2, None, "fit"),
    "under the band": (3.2, None, "plan"),
    "at the lower edge": (3.4, None, "fit"),
    "at the upper edge": (7.0, None, "fit"),
    "twenty per cent over": (6.0, 5.0, "plan"),
    "80 of the edge": (2.72, None, "plan"),
    "120 of the edge": (8.4, None, "plan"),
    "under 80 of the edge": (2.7, None, "change"),
    "over the band": (7.5, None, "plan"),
    "over 120 of the edge": (8.5, None, "change"),
}


@pytest.mark.parametrize(("force", "nominal", "grade"), SPRINGS.values(), ids=SPRINGS.keys())
def test_springs_are_judged_by_nominal_or_band(
    force: float, nominal: float | None, grade: str, rules: MotorRules
) -> None:
    kpa = pressure_kpa(force, 10, 20)
    found = judge_spring(force, kpa, (17, 35), nominal, rules)
    assert found.grade == grade
    assert found.deviation == (None if nominal is None else pytest.approx(force / nominal - 1))
    if nominal is None:
        assert found.reason.split(", ")[1].split(" ")[0] == (
            "inside" if grade == "fit" else "under" if kpa < 17 else "over"
        )
    else:
        assert "the band of 17 to 35 kPa" in found.reason


def test_loading_formulas() -> None:
    assert pressure_kpa(6.3, 9.4, 12.55) == pytest.approx(53.403408)
    assert current_density_a_per_cm2(87, 8, 12.4 * 26.6) == pytest.approx(6.594106)
    assert bars_covered(12.5, 120, 87) == pytest.approx(2.8847, abs=1e-3)
    assert contact_loss_w(2.0, 38, 4, force_n=6.0, speed_m_per_s=9.0, rules=shipped()) == pytest.approx(
        76 + 4 * 0.2 * 6 * 9
    )
    with pytest.raises(InputError, match="split evenly between the polarities"):
        current_density_a_per_cm2(10, 3, 100)


@pytest.mark.parametrize(
    ("brush", "box", "fit", "dress"),
    [
        (12.50, 12.60, "fits", 0),
        (12.55, 12.60, "fits", 0),
        (12.30, 12.60, "fits", 0),
        (12.29, 12.60, "do not use", 0),
        (12.56, 12.60, "fits after dressing", 0.01),
        (12.65, 12.60, "fits after dressing", 0.10),
        (12.66, 12.60, "do not use", 0.11),
    ],
)
def test_side_clearance(brush: float, box: float, fit: str, dress: float, rules: MotorRules) -> None:
    found = side_fit("thickness", brush, box, rules)
    assert found.fit == fit
    assert found.dress_mm == pytest.approx(dress, abs=1e-9)


@pytest.mark.parametrize(("gap", "right"), [(0.7, False), (0.8, True), (2.0, True), (2.1, False)])
def test_holder_gap(gap: float, right: bool, rules: MotorRules) -> None:
    assert gap_reason(gap, rules)[0] is right


@pytest.mark.parametrize(
    ("depth", "count", "method"),
    [
        (0.04, 2, "run-in alone"),
        (0.04, 8, "run-in alone"),
        (0.05, 2, "contour by paper or seating stone, then run-in"),
        (0.30, 4, "contour by paper or seating stone, then run-in"),
        (0.31, 2, "contour by paper in place, then run-in"),
        (0.10, 5, "contour by paper in place, then run-in"),
    ],
)
def test_seating_methods(depth: float, count: int, method: str, rules: MotorRules) -> None:
    assert seating_method(depth, count, rules) == method


def test_faces(rules: MotorRules) -> None:
    flat, shaped, over = Face(62, 9.15), Face(62, 9.15, 33), Face(62, 9.15, 30)
    assert flat.face_radius_mm == inf
    assert flat.depth_mm() == pytest.approx(0.339449, abs=1e-6)
    assert flat.share(flat.worn_for_mm(0.75)) == pytest.approx(0.75)
    assert shaped.depth_mm() == pytest.approx(sagitta_mm(62, 9.15) - sagitta_mm(66, 9.15))
    assert (flat.over_shaped(), shaped.over_shaped(), over.over_shaped()) == (False, False, True)
    assert widest_face_radius_mm(62, rules) == pytest.approx(31.62)
    assert widest_face_radius_mm(20, rules) == pytest.approx(10.3)
    with pytest.raises(InputError, match="does not sit"):
        sagitta_mm(9, 9.15)


@given(st.floats(20, 300), st.floats(0.02, 0.4), st.floats(0, 1), st.floats(0, 1))
def test_more_bedding_never_touches_less(diameter: float, thick: float, a: float, b: float) -> None:
    face = Face(diameter, diameter * thick)
    low, high = sorted((a, b))
    assert 0 <= face.share(low) <= face.share(high) <= 1


@given(st.floats(5, 30), st.floats(-0.5, 0.5), st.floats(0.001, 0.5))
def test_a_tighter_box_never_tilts_more(brush: float, play: float, less: float) -> None:
    rules = shipped()
    wide, tight = side_fit("width", brush, brush + play, rules), side_fit("width", brush, brush + play - less, rules)
    assert tight.clearance_mm < wide.clearance_mm
    assert tight.dress_mm >= wide.dress_mm or tight.fit == "do not use"
