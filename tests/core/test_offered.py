"""The part offered: each line of what decides it, tables of supply and build, and fits by their bands."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.motor.matrix import Variant, belonging, misfits, read_matrix, written
from norvash.core.parts.compare import Offer, compared
from norvash.core.parts.machine import Machine
from norvash.core.parts.sizes import KINDS, OF_KIND, Kind, Sizes
from norvash.core.rules.catalogue import shipped
from norvash.core.sums.shaft.fits import KINDS as FITS
from norvash.core.sums.shaft.fits import OneFitIn, fit
from norvash.errors import InputError

RULES = shipped()
OLD = Sizes(
    thickness_mm=8,
    width_mm=16,
    length_mm=30,
    face_angle_deg=15,
    hand="left",
    lead_mm=60,
    terminal="flag",
    grade="electrographite",
    volts=230,
    variant="b",
    force_n=4,
)
BOX = Machine(volts=230, box_thickness_mm=8.15, box_width_mm=16.2, limit_mm=10, force_nominal_n=4)

# What differs of a set, beside what its machine says; the answer; whether the motor must not run with it; why.
SETS = {
    "nothing": ({}, {}, "drop-in", False, "as the old one"),
    "a section a little large": ({"thickness_mm": 8.15}, {}, "after dressing", False, "half a side"),
    "a section far too large": ({"thickness_mm": 8.6}, {}, "do not use", False, "send it back"),
    "a section too small": ({"width_mm": 15.5}, {}, "do not use", False, "tilts"),
    "longer, its top free": ({"length_mm": 31}, {"top_free": True}, "after dressing", False, "dress its top"),
    "longer, a lead on its top": ({"length_mm": 31}, {"top_free": False}, "do not use", False, "sit on its top"),
    "longer, nobody says": ({"length_mm": 31, "lead_mm": 70}, {}, "fits by what is known", False, "longer"),
    "shorter": ({"length_mm": 25}, {}, "drop-in", False, "25.0% of the usable carbon less"),
    "another angle": ({"face_angle_deg": 0}, {}, "do not use", False, "where 15° was"),
    "another hand": ({"hand": "right"}, {}, "do not use", False, "hand right where left was"),
    "another grade": ({"grade": "high-metal"}, {}, "do not use", False, "where electrographite was"),
    "another voltage": ({"volts": 110}, {}, "do not use", True, "the machine has 230 V"),
    "the same supply by another plate": ({"volts": 240}, {}, "drop-in", False, "for 240 V"),
    "another variant": ({"variant": "c"}, {}, "do not use", True, "variant c where b was"),
    "a set of another supply, by its table": (
        {"part": "B", "volts": None},
        {"matrix": read_matrix("230 V, 2 → A; 110 V, 2 → B"), "build": "2"},
        "do not use",
        True,
        "of another voltage",
    ),
    "a supply that its table has not": (
        {"part": "A", "volts": None},
        {"matrix": read_matrix("110 V, 2 → A"), "build": "2"},
        "do not use",
        True,
        "no row of its type's table",
    ),
    "a lead too short": ({"lead_mm": 25}, {}, "do not use", False, "30.0 mm asked"),
    "another terminal": ({"terminal": "ring"}, {}, "after transfer", False, "no soft solder"),
    "a weak spring": ({"force_n": 2}, {}, "after transfer", False, "keep the old spring"),
    "a terminal nobody knows": ({"terminal": ""}, {}, "fits by what is known", False, ""),
    "no box, far too large": (
        {"thickness_mm": 8.5},
        {"box_thickness_mm": None},
        "do not use",
        False,
        "whatever the box",
    ),
    "no box, alike": ({}, {"box_thickness_mm": None}, "fits by what is known", False, "where 8 mm was"),
}


@pytest.mark.parametrize(("new", "machine", "answer", "stops", "why"), SETS.values(), ids=SETS)
def test_a_set_is_the_right_one_or_says_why_not(
    new: dict[str, object], machine: dict[str, object], answer: str, stops: bool, why: str
) -> None:
    offer = Offer(
        kind="brush set",
        old=OLD,
        new=replace(OLD, **new),  # type: ignore[arg-type]
        machine=replace(BOX, **machine),  # type: ignore[arg-type]
    )
    found = compared(offer, RULES)
    assert (found.answer, found.stops) == (answer, stops)
    assert why in "; ".join(found.reasons)
    assert found.answer == "drop-in" or found.unknown or found.reasons


def test_old_and_new_that_were_swapped_are_refused() -> None:
    offer = Offer(kind="brush set", old=replace(OLD, length_mm=30), new=replace(OLD, length_mm=9), machine=BOX)
    with pytest.raises(InputError, match="swapped"):
        compared(offer, RULES)


OTHERS: dict[str, tuple[Kind, Sizes, Sizes, Machine, str, str]] = {
    "a needle without clearance": (
        "needle",
        Sizes(bore_mm=14.03),
        Sizes(bore_mm=13.98),
        Machine(shaft_mm=14),
        "do not use",
        "refit it",
    ),
    "a bush pressed in": (
        "bush",
        Sizes(bore_mm=11.78),
        Sizes(pressed_mm=11.56),
        Machine(shaft_mm=11.5, starter=True),
        "fits by what is known",
        "renew it",
    ),
    "a bush by its free bore": (
        "bush",
        Sizes(length_mm=12),
        Sizes(bore_mm=12.08, outside_mm=16.04, length_mm=12),
        Machine(shaft_mm=12, housing_mm=16, starter=True),
        "drop-in",
        "pressed in +0.048 to +0.060",
    ),
    "a bush that pressing closes": (
        "bush",
        Sizes(length_mm=12),
        Sizes(bore_mm=12.03, outside_mm=16.05, length_mm=12),
        Machine(shaft_mm=12, housing_mm=16, starter=True),
        "do not use",
        "do not take the old part out",
    ),
    "a bush that pressing may close": (
        "bush",
        Sizes(length_mm=12),
        Sizes(bore_mm=12.06, outside_mm=16.05, length_mm=12),
        Machine(shaft_mm=12, housing_mm=16, starter=True),
        "fits by what is known",
        "pressed in",
    ),
    "a bush loose in its housing": (
        "bush",
        Sizes(),
        Sizes(bore_mm=12.06, outside_mm=15.98),
        Machine(shaft_mm=12, housing_mm=16),
        "do not use",
        "it would turn",
    ),
    "a bearing as the old one": (
        "bearing",
        Sizes(number="6002 2RS"),
        Sizes(number="6002 2RS", bore_mm=15.0, outside_mm=32.0),
        Machine(shaft_mm=15.008, housing_mm=32.012, located=False),
        "drop-in",
        "-0.008 mm",
    ),
    "a bearing of another size": (
        "bearing",
        Sizes(number="6002"),
        Sizes(number="6202"),
        Machine(),
        "do not use",
        "where 15 × 32 × 9 mm was",
    ),
    "a bearing that jams": (
        "bearing",
        Sizes(number="6002"),
        Sizes(number="6002 C2"),
        Machine(),
        "do not use",
        "jams once it is warm",
    ),
    "a bearing with more clearance": (
        "bearing",
        Sizes(number="6002"),
        Sizes(number="6002 C3"),
        Machine(),
        "fits by what is known",
        "takes it up",
    ),
    "an open bearing for a sealed one": (
        "bearing",
        Sizes(number="6002 2RS"),
        Sizes(number="6002"),
        Machine(),
        "do not use",
        "carbon dust",
    ),
    "a shaft too big": (
        "bearing",
        Sizes(number="6002"),
        Sizes(number="6002", bore_mm=15.0),
        Machine(shaft_mm=15.03),
        "do not use",
        "another bearing or another shaft; do not take the old part out",
    ),
    "a shaft a little too big": (
        "bearing",
        Sizes(number="6002"),
        Sizes(number="6002", bore_mm=15.0),
        Machine(shaft_mm=15.018),
        "do not use",
        "measure again",
    ),
    "a seal": (
        "seal",
        Sizes(width_mm=7),
        Sizes(bore_mm=18.8, outside_mm=30.2, width_mm=7),
        Machine(shaft_mm=20, housing_mm=30),
        "drop-in",
        "free lip",
    ),
    "a spring": ("spring", Sizes(force_n=4, free_mm=30), Sizes(force_n=4.1, free_mm=30), Machine(), "drop-in", "4.1 N"),
    "a pinion of another count": (
        "pinion",
        Sizes(teeth=10, turning="right"),
        Sizes(teeth=9, turning="right"),
        Machine(),
        "do not use",
        "teeth 9 where 10 was",
    ),
    "a plate for another voltage": (
        "brush plate",
        Sizes(boxes=4, volts=12),
        Sizes(boxes=4, volts=24),
        Machine(),
        "do not use",
        "voltage 24 where 12 was",
    ),
    "an armature": (
        "armature",
        Sizes(bars=31, winding="wave"),
        Sizes(bars=31, winding="lap"),
        Machine(),
        "do not use",
        "winding lap where wave was",
    ),
}


@pytest.mark.parametrize("case", OTHERS.values(), ids=OTHERS)
def test_every_other_part_is_the_right_one_or_says_why_not(case: tuple[Kind, Sizes, Sizes, Machine, str, str]) -> None:
    kind, old, new, machine, answer, why = case
    found = compared(Offer(kind=kind, old=old, new=new, machine=machine), RULES)
    assert found.answer == answer
    assert why in "; ".join(found.reasons)


@pytest.mark.parametrize("kind", KINDS)
def test_of_what_nothing_is_known_nothing_is_claimed(kind: Kind) -> None:
    found = compared(Offer(kind=kind, old=Sizes(), new=Sizes(part="LP 1")), RULES)
    assert found.answer == "fits by what is known"
    assert found.unknown
    assert {"part", "batch"} < set(OF_KIND[kind])


TABLE = "110 V, 1 → M; 110 V, 2 and 3 → N; 230 V, * → S; *, 9 → Z"


def test_a_named_row_goes_before_one_for_any() -> None:
    rows = read_matrix(TABLE + "; 230 V, 7 -> T")
    asked = {(230, "7"): "T", (230, "3"): "S", (220, "4"): "S", (110, "2"): "N", (110, "4"): None, (400, "9"): "Z"}
    found = {key: belonging(rows, *key) for key in asked}
    assert {key: row.part if row else None for key, row in found.items()} == asked
    assert misfits(rows, "M", 230, "3") == ("voltage", "build")
    assert misfits(rows, "N", 230, "3") == ("voltage",)
    assert misfits(rows, "S", 230, "3") == ()
    assert belonging((), 230, "3") is None
    assert read_matrix("") == ()


def test_the_volts_of_a_row_count_before_its_build() -> None:
    rows = read_matrix("230 V, * → S; *, 2 → N")
    assert [row.part for row in (belonging(rows, 230, "2"), belonging(rows, 110, "2")) if row] == ["S", "N"]


def test_a_table_is_read_as_csv_too_and_again_as_it_is_written() -> None:
    rows = read_matrix("voltage,build,set\n110 V,1,M\n110 V,2 and 3,N\n230 V,*,S\n*,9,Z")
    assert rows == read_matrix(TABLE) == read_matrix(written(rows))


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("230 V, 1 → A; 230 V, 1 → B", "stands there twice"),
        ("230 V, * → A; 230 V, * → A", "stands there twice"),
        ("230 V → A", "cannot be read"),
        ("0 V, 1 → A", "not a supply"),
        ("high, 1 → A", "Row 1"),
        ("; ".join(f"{n} V, 1 → A" for n in range(1, 501)), "too many"),
    ],
)
def test_a_table_that_cannot_be_is_refused_with_its_row(text: str, words: str) -> None:
    with pytest.raises(InputError) as refused:
        read_matrix(text)
    assert words in f"{refused.value.problem} {refused.value.remedy}"
    assert refused.value.field == "matrix"


names = st.text("ABCDEF123", min_size=1, max_size=3)


@given(st.dictionaries(st.tuples(st.sampled_from((12.0, 110.0, 230.0, None)), names | st.just("*")), names))
def test_any_table_is_read_again(table: dict[tuple[float | None, str], str]) -> None:
    rows = tuple(Variant(volts, build, part) for (volts, build), part in table.items())
    assert read_matrix(written(rows)) == rows


@given(st.sampled_from(FITS), st.floats(3, 29).map(lambda x: round(x, 3)), st.integers(-2500, 2500))
def test_a_fit_never_both_fits_and_not(kind: str, size: float, off: int) -> None:
    """It fits just where its clearance lies inside its band, and what is pressed and does not fit stays in."""
    inside = round(size + off / 1000, 3)
    if inside <= 0:
        return
    found = fit(OneFitIn(kind=kind, inside_mm=inside, outside_mm=size), RULES)
    assert found.fits == (found.low_mm - 1e-9 <= found.clearance_mm <= found.high_mm + 1e-9)
    assert found.clearance_mm == pytest.approx(off / 1000, abs=1e-6)
    assert ("do not take the old part out" in found.advice) == (found.way == "press" and not found.fits)
