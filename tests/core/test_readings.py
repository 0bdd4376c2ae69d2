"""Every way of measuring, and the readings that are hard to believe."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.doubts import doubt_of
from norvash.core.brush.gauged import on_the_gauge_mm
from norvash.core.brush.readings import Reading, read
from norvash.core.brush.renewal import Carbon, renewed
from norvash.core.brush.straight_line import Point
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import BARS, DEPTH_NEW_MM, FIELDS, LIMIT_MM, NEW_MM, THICKNESS_MM
from norvash.core.motor.figure_reading import check_together, read_figure
from norvash.core.motor.figure_tables import speed_taps
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import even_positions, read_positions
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import shipped
from norvash.errors import InputError

OWN: dict[str, float | str] = {
    "new_mm": 22.0,
    "thickness_mm": 8.0,
    "depth_new_mm": 20.0,
    "depth_constant_mm": 42.0,
    "protrusion_constant_mm": 14.0,
    "wear_line_1_mm": 18.0,
    "wear_line_2_mm": 14.0,
    "wear_line_3_mm": 10.0,
    "spring_table": "0=22; 5=12; 8=6",
}
FIGURES = Figures(OWN, {}, TEMPLATES["tool"].lends)

READ = {
    "length": ("length", "digital-caliper", "15.2", 15.2, 0.05),
    "vernier": ("length", "vernier", "15.2", 15.2, 0.05),
    "micrometer": ("length", "micrometer", "15.2", 15.2, 0.02),
    "rule": ("length", "rule", '19/32"', 15.08125, 0.4),
    "by eye": ("length", "eye", "15", 15, 0.08 * 22),
    "two edges": ("length", "digital-caliper", "15.6; 15.2", 15.2, 0.05),
    "depth": ("depth", "digital-caliper", "27.5", 14.5, 0.05),
    "protrusion": ("protrusion", "digital-caliper", "1.5", 15.5, 0.05),
    "sunk protrusion": ("protrusion", "digital-caliper", "-2", 12, 0.05),
    "no wear line": ("wear line", "digital-caliper", "0", 20, 4 / 12**0.5),
    "second wear line": ("wear line", "digital-caliper", "2", 12, 4 / 12**0.5),
    "third wear line": ("wear line", "digital-caliper", "3", 8, 4 / 12**0.5),
    "compare": ("compare", "digital-caliper", "60", 13.2, 0.08 * 22),
    "compare in per cent": ("compare", "digital-caliper", "60 %", 13.2, 0.08 * 22),
    "spring position": ("spring position", "digital-caliper", "3.5", 15, 2 / 12**0.5),
}


@pytest.mark.parametrize(("method", "instrument", "text", "mm", "sd"), READ.values(), ids=READ.keys())
def test_every_way_of_measuring(
    *, method: str, instrument: str, text: str, mm: float, sd: float, rules: MotorRules
) -> None:
    reading = read(text, FIGURES, rules, method, instrument)
    assert reading.length_mm == pytest.approx(mm)
    assert reading.sd_mm == pytest.approx(sd)
    assert reading.low_mm <= reading.length_mm <= reading.high_mm
    assert reading.typed == text


def test_a_depth_without_its_constant_counts_from_new(rules: MotorRules) -> None:
    figures = Figures({k: v for k, v in OWN.items() if k != "depth_constant_mm"}, {}, TEMPLATES["tool"].lends)
    assert read("27.5", figures, rules, "depth").length_mm == pytest.approx(14.5)


@given(st.floats(1, 22), st.sampled_from(["depth", "protrusion"]))
def test_a_gauge_and_a_length_tell_the_same(mm: float, method: str) -> None:
    shown_mm = on_the_gauge_mm(mm, FIGURES, method)
    assert shown_mm is not None
    assert read(f"{shown_mm:.6f}", FIGURES, shipped(), method).length_mm == pytest.approx(mm, abs=1e-5)
    assert on_the_gauge_mm(mm, FIGURES, "length") is None
    assert on_the_gauge_mm(mm, Figures({}, {}, TEMPLATES["tool"].lends), method) is None


UNREADABLE = {
    "letters": ("length", "abc"),
    "empty": ("length", ""),
    "negative": ("length", "-3"),
    "nought": ("length", "0"),
    "exponent": ("length", "1e9"),
    "not a number": ("length", "NaN"),
    "40 digits": ("length", "1" * 40),
    "hours": ("length", "12 h"),
    "three edges": ("length", "12; 13; 14"),
    "far too long": ("length", "31 mm"),
    "depth beyond": ("depth", "60"),
    "sunk away": ("protrusion", "-20"),
    "no such line": ("wear line", "4"),
    "half a line": ("wear line", "1.5"),
    "over new": ("compare", "150"),
    "scale beyond": ("spring position", "40"),
    "no such way": ("guess", "12"),
}


@pytest.mark.parametrize(("method", "text"), UNREADABLE.values(), ids=UNREADABLE.keys())
def test_what_cannot_be_is_refused(method: str, text: str, rules: MotorRules) -> None:
    with pytest.raises(InputError) as caught:
        read(text, FIGURES, rules, method)
    assert caught.value.remedy


@pytest.mark.parametrize(
    ("text", "unit", "asked"),
    [
        ("488", "mm", ("488 thou",)),
        ("0.5", "thou", ("0.5 in",)),
        ("15000", "mm", ("15000 µm",)),
        ("488 mm", "mm", ()),
        ("99999", "mm", ()),
    ],
)
def test_another_unit_is_proposed_never_guessed(
    text: str, unit: str, asked: tuple[str, ...], rules: MotorRules
) -> None:
    figures = Figures({**OWN, "length_unit": unit}, {}, TEMPLATES["tool"].lends)
    if unit == "thou":
        assert read("490", figures, rules).length_mm == pytest.approx(12.446)
        return
    with pytest.raises(InputError) as caught:
        read(text, figures, rules)
    assert caught.value.suggestions == asked


def reading(mm: float, sd: float = 0.05) -> Reading:
    return Reading(typed=str(mm), unit="mm", raw_value=mm, length_mm=mm, sd_mm=sd, low_mm=mm, high_mm=mm)


START, BEFORE = Point(22.0, 0, 0.1), Point(19.0, 300, 0.05)
DOUBTS = {
    "as expected": (reading(17.0), BEFORE, (), None),
    "longer within error": (reading(19.1), BEFORE, (), None),
    "longer than last time": (reading(19.5), BEFORE, (), "longer than last time"),
    "longer than new": (reading(22.8), BEFORE, (), "longer than new"),
    "longer than new by rule only": (reading(22.8, 0.4), None, (), None),
    "fell sharply": (reading(12.0), BEFORE, (), "fell sharply"),
    "with its partners": (reading(17.0), None, (Point(5.2, 500, 0.05),), None),
    "far from its partners": (reading(10.0), None, (Point(1.2, 500, 0.05),), "far from its partners"),
}


@pytest.mark.parametrize(("now", "before", "partners", "kind"), DOUBTS.values(), ids=DOUBTS.keys())
def test_hard_to_believe(
    now: Reading, before: Point | None, partners: tuple[Point, ...], kind: str | None, rules: MotorRules
) -> None:
    doubt = doubt_of(now, START, before, run_h=500, partners=partners, rules=rules)
    assert (doubt.kind if doubt else None) == kind


@pytest.mark.parametrize(
    ("name", "text"),
    [
        ("new_mm", "abc"),
        ("new_mm", "-3"),
        ("new_mm", "1e9"),
        ("new_mm", "900"),
        ("spring_table", "0=22"),
        ("spring_table", "0=22; 5=12; 8=15"),
        ("spring_table", "0=22; 0=12"),
        ("spring_table", "x"),
        ("method", "guess"),
        ("grade", "x" * 121),
        ("bars", "2"),
        ("speed_taps", "0.6; 0.5"),
        ("active_months", "9-13"),
    ],
)
def test_figures_that_cannot_be(name: str, text: str) -> None:
    with pytest.raises(InputError) as caught:
        read_figure(name, text)
    assert caught.value.field == name


# What is stated, and the field at which it is refused; empty where it can be so.
TOGETHER = {
    "limit is new": ({"limit_mm": 22.0}, "limit_mm"),
    "limit over new": ({"limit_mm": 30.0}, "limit_mm"),
    "limit just under new": ({"limit_mm": 21.99}, ""),
    "least diameter is new": ({"commutator_d_mm": 30.0, "commutator_d_min_mm": 30.0}, "commutator_d_min_mm"),
    "least diameter over new": ({"commutator_d_mm": 30.0, "commutator_d_min_mm": 31.0}, "commutator_d_min_mm"),
    "least diameter under new": ({"commutator_d_mm": 30.0, "commutator_d_min_mm": 29.9}, ""),
    "only the new diameter": ({"commutator_d_mm": 30.0}, ""),
    "only the least diameter": ({"commutator_d_min_mm": 900.0}, ""),
    "depth falls": ({"depth_limit_mm": 19.0}, "depth_limit_mm"),
    "depth stands": ({"depth_limit_mm": 20.0}, "depth_limit_mm"),
    "depth grows": ({"depth_limit_mm": 20.1}, ""),
    "lines rise": ({"wear_line_2_mm": 19.0}, "wear_line_1_mm"),
    "third line rises": ({"wear_line_3_mm": 15.0}, "wear_line_1_mm"),
    "first line not over the third": ({"wear_line_1_mm": 9.0, "wear_line_2_mm": 8.0}, "wear_line_1_mm"),
    "two lines at one place": ({"wear_line_2_mm": 18.0}, "wear_line_1_mm"),
    "line at the new length": ({"wear_line_1_mm": 22.0}, "wear_line_1_mm"),
    "line over new": ({"wear_line_1_mm": 23.0}, "wear_line_1_mm"),
    "more hours than a week has": ({"use_per_week_units": 168.5}, "use_per_week_units"),
    "all hours of a week": ({"use_per_week_units": 168.0}, ""),
    "all as it should be": ({}, ""),
}


@pytest.mark.parametrize(("own", "field"), TOGETHER.values(), ids=TOGETHER)
def test_figures_that_contradict_each_other(own: dict[str, float | str], field: str) -> None:
    figures = Figures({**OWN, **own}, {}, TEMPLATES["tool"].lends)
    if not field:
        check_together(figures)
        return
    with pytest.raises(InputError) as refused:
        check_together(figures)
    assert refused.value.field == field


def test_the_narrowest_figure_wins_and_says_where_it_is_from() -> None:
    figures = Figures({"new_mm": 20.0}, {"new_mm": 21.0, "bars": 40.0}, TEMPLATES["tool"].lends)
    assert (NEW_MM.of(figures), NEW_MM.basis(figures)) == (20.0, "this motor")
    assert (BARS.of(figures), BARS.basis(figures)) == (40.0, "type")
    assert DEPTH_NEW_MM.basis(figures) == ""
    assert (THICKNESS_MM.basis(figures), THICKNESS_MM.stated(figures)) == ("class default", None)
    assert len({f.name for f in FIELDS}) == len(FIELDS)
    with pytest.raises(InputError, match="not known"):
        DEPTH_NEW_MM.need(figures)


@pytest.mark.parametrize(
    ("count", "labels"), [(2, "A B"), (4, "A B C D"), (8, "A1 A2 B1 B2 C1 C2 D1 D2"), (6, "A B C D E F"), (3, "A B C")]
)
def test_positions(count: int, labels: str) -> None:
    plans = even_positions(count)
    assert [p.label for p in plans] == labels.split()
    assert [p.number for p in plans] == list(range(1, count + 1))
    assert all(0 <= p.angle_deg < 360 for p in plans)
    if count % 2 == 0:
        assert sum(p.polarity == "+" for p in plans) == count / 2


def test_positions_stand_evenly_round_the_commutator_in_their_arms() -> None:
    def angles(count: int, arms: int | None = None) -> list[float]:
        return [p.angle_deg for p in even_positions(count, arms)]

    assert (angles(1), angles(2), angles(3), angles(4)) == ([90], [90, 270], [60, 180, 300], [45, 135, 225, 315])
    assert angles(8) == [45, 45, 135, 135, 225, 225, 315, 315]
    assert [p.arm for p in even_positions(10)] == [1] * 5 + [2] * 5
    assert [p.arm for p in even_positions(6, 3)] == [1, 1, 2, 2, 3, 3]
    assert [p.arm for p in even_positions(5)] == [1, 2, 3, 4, 5]
    assert [p.arm for p in even_positions(4, 4)] == [1, 2, 3, 4]
    assert ([p.arm for p in even_positions(2, 4)], angles(2, 4)) == ([1, 2], [45, 135])
    assert (angles(2, 2), angles(4, 2)) == ([90, 270], [90, 90, 270, 270])


def test_what_is_typed_over_a_position_is_taken_and_what_cannot_be_is_refused_at_its_field() -> None:
    plans = even_positions(2)
    typed = {"label_1": " left ", "angle_1": "370", "arm_1": "1", "polarity_1": "−"}
    first, second = read_positions(typed, plans)
    assert (first.number, first.label, first.angle_deg, first.arm, first.polarity) == (1, "left", 10, 1, "-")
    assert second == plans[1]
    assert read_positions({"label_2": "eight888"}, plans)[1].label == "eight888"
    for field, text in (
        ("label_1", "nine99999"),
        ("label_2", "A"),
        ("polarity_2", "x"),
        ("arm_1", "41"),
        ("angle_1", "up"),
    ):
        with pytest.raises(InputError) as refused:
            read_positions({field: text}, plans)
        assert refused.value.field == field


def test_speed_settings_rise_and_choices_are_taken_from_their_list() -> None:
    assert speed_taps("45 %; 0.62; 1.5") == (0.45, 0.62, 1.5)
    assert len(speed_taps("; ".join(f"{i / 20}" for i in range(1, 13)))) == 12
    for text in ("0.5; 0.5", "0.6; 0.5", "0; 1", "0.5; 1.51", "; ".join(f"{i / 20}" for i in range(1, 14)), "fast"):
        with pytest.raises(InputError):
            speed_taps(text)
    assert read_figure("method", "depth")
    assert read_figure("speed_taps", "0.5; 1") == "0.5; 1"
    assert read_figure("active_months", "9-6") == "9-6"
    assert read_figure("grade", "x" * 120)
    assert read_figure("spring_table", "0=22; 5=12")
    for name, low, high in ((f.name, f.low, f.high) for f in (BARS, LIMIT_MM)):
        assert [read_figure(name, f"{at:g}") for at in (low, high)] == [low, high]
        with pytest.raises(InputError):
            read_figure(name, f"{high + 1:g}")
    with pytest.raises(InputError, match="not a choice"):
        read_figure("method", "guess")


NEW_CARBON = {
    "as expected": (16.0, 0.05, None),
    "within error": (16.8, 0.4, None),
    "worn faster": (10.0, 0.05, "doubt.fall"),
    "nearly new again": (21.8, 0.05, "doubt.renewed-sure"),
    "worn a little since": (20.9, 0.05, "doubt.renewed-sure"),
    "nearly new by eye": (20.5, 1.7, "doubt.renewed-ask"),
}


@pytest.mark.parametrize(("mm", "sd", "rule"), NEW_CARBON.values(), ids=NEW_CARBON)
def test_new_carbon_is_told_from_noise(mm: float, sd: float, rule: str | None, rules: MotorRules) -> None:
    carbon = Carbon(22.0, 8.0, 0.01)
    doubt = doubt_of(
        reading(mm, sd), START, replace(BEFORE, sd_mm=sd), run_h=560, partners=(), rules=rules, carbon=carbon
    )
    assert (doubt.rule_id if doubt else None) == rule
    assert doubt is None or rule == "doubt.fall" or "New brushes since" in doubt.words


@given(st.floats(9, 22), st.floats(0.02, 0.5))
def test_the_chance_of_new_carbon_is_a_chance_and_grows_towards_new(mm: float, sd: float) -> None:
    carbon, rules = Carbon(22.0, 8.0, 0.01), shipped()
    chance = renewed(mm, sd, BEFORE, run_units=400, carbon=carbon, rules=rules)
    assert 0 <= chance <= 1
    assert (
        renewed(18.0, 0.05, BEFORE, run_units=400, carbon=carbon, rules=rules)
        < 0.01
        < 0.99
        < renewed(21.8, 0.05, BEFORE, run_units=400, carbon=carbon, rules=rules)
    )
