"""Typed values: what is read, what is refused, and that units come back as they went."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.text.quantities import LENGTHS, UNITS, better_units, parse, parse_count, shown
from norvash.core.text.shares import asked_sign, in_per_cent, with_sign
from norvash.errors import InputError

READ = {
    "plain": ("12.4", 12.4),
    "comma": ("12,4 mm", 12.4),
    "inch": ("0.488 in", 12.3952),
    "thou": ("488 thou", 12.3952),
    "mil": ("488mil", 12.3952),
    "fraction": ('31/64"', 12.303125),
    "mixed": ("1 1/4 in", 31.75),
    "dash": ('1-1/4"', 31.75),
    "no nought": ('.5"', 12.7),
    "one sign": ('1½"', 38.1),
    "true prime": ("0.5″", 12.7),
    "cm": ("1.24 cm", 12.4),
    "micron": ("12400 µm", 12.4),
    "greek mu": ("12400 μm", 12.4),
    "minus": ("-3", -3.0),
    "long minus": ("−3", -3.0),
    "hard space": ("12.4\u00a0mm", 12.4),
    "wide digits": ("１２.４", 12.4),
    "capitals": ("12.4 MM", 12.4),
    "trailing": ("12.", 12.0),
    "in groups": ("1 012", 1012.0),
    "in narrow groups": ("1\u202f012.5 mm", 1012.5),
    "millions": ("-1 234 567", -1234567.0),
    "a whole and a long fraction": ("1 125/250 in", 38.1),
}
REFUSED = (
    "",
    " ",
    "abc",
    "NaN",
    "inf",
    "1e9",
    "1,234.5",
    "1.234,5",
    "1 234 5",
    "1 234 3/4",
    "1'234",
    "1.2.3",
    "4" * 40,
    "12.4 kg",
    "12 mm x",
    "1/0",
    "12..4",
    "--3",
    "0x10",
    "١٢",
    "12.4 h",
    "<b>12</b>",
    "1/2/3",
    "5 ft",
)


@pytest.mark.parametrize(("text", "mm"), READ.values(), ids=READ.keys())
def test_lengths_are_read(text: str, mm: float) -> None:
    assert parse(text, "length").value == pytest.approx(mm)


@pytest.mark.parametrize("text", REFUSED)
def test_the_rest_is_refused_with_a_remedy(text: str) -> None:
    with pytest.raises(InputError) as caught:
        parse(text, "length")
    assert caught.value.problem
    assert caught.value.remedy


def test_a_bare_number_takes_the_motors_unit() -> None:
    assert parse("488", "length", "thou").value == pytest.approx(12.3952)
    assert parse("488 mm", "length", "thou").value == 488
    assert [parse(text, "length", "thou").unit for text in ("488", "488 mm", "12.4 MM", "12 mil")] == [
        "thou",
        "mm",
        "mm",
        "thou",
    ]


@pytest.mark.parametrize(
    ("text", "dimension", "value"),
    [
        ("90 min", "hours", 1.5),
        ("1240 hours", "hours", 1240),
        ("12 starts", "starts", 12),
        ("640 gf", "force", 6.276256),
        ("60 %", "share", 0.6),
        ("8 A/cm²", "density", 8),
        ("7 psi", "pressure", 48.263299),
        ("1.5 kW", "power", 1500),
    ],
)
def test_other_dimensions(text: str, dimension: str, value: float) -> None:
    assert parse(text, dimension).value == pytest.approx(value)


@pytest.mark.parametrize(
    ("text", "dimension"), [("12 starts", "hours"), ("3 h", "starts"), ("12 mm", "hours"), ("5 N", "length")]
)
def test_a_wrong_unit_is_refused(text: str, dimension: str) -> None:
    with pytest.raises(InputError, match=f"in “{text}” does not belong here") as caught:
        parse(text, dimension)
    assert next(iter(UNITS[dimension])) in caught.value.remedy


@given(st.floats(0.01, 400), st.sampled_from(sorted(LENGTHS)))
def test_units_come_back_as_they_went(mm: float, unit: str) -> None:
    assert parse(f"{shown(mm, unit):.6f} {unit}", "length").value == pytest.approx(mm, abs=3e-5)


@given(st.text(max_size=60))
def test_no_text_does_anything_but_read_or_refuse(text: str) -> None:
    try:
        value = parse(text, "length").value
    except InputError:
        return
    assert abs(value) < 1e16


def test_a_better_unit_is_proposed_only_where_it_fits() -> None:
    assert better_units(488, 0.75, 19.5) == ("thou",)
    assert better_units(0.5, 0.75, 19.5) == ("cm", "in")
    assert better_units(1e9, 0.75, 19.5) == ()
    assert better_units(5, 5, 50) == ("cm",)


@pytest.mark.parametrize("text", ["2.5", "0", "41", "x", "-2"])
def test_counts_are_whole_and_within_bounds(text: str) -> None:
    with pytest.raises(InputError):
        parse_count(text, 1, 40)


# What is typed for a share in a form, and with its sign; nothing where it is asked.
SHARES = {"85": "85 %", "85 %": "85 %", "1.6": "1.6 %", "12,5": "12,5 %", "0": "0", "5/8": "5/8", "-2": "-2", "": ""}
ASKED = ("1.5", "1", "0.85", ".5", "0,02", " 0.5 ")


def test_a_share_is_typed_in_per_cent_and_asked_where_it_could_be_either() -> None:
    for text, meant in SHARES.items():
        asked_sign(text)
        assert with_sign(text) == meant
    for text in ASKED:
        with pytest.raises(InputError, match="meant as") as asked:
            asked_sign(text)
        assert asked.value.field == "value"
    assert [in_per_cent(d, high) for d, high in (("share", 1), ("share", 3), ("length", 1))] == [True, False, False]
