"""What is kept of a text, what is refused, and which names are the same."""

import re
import unicodedata

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.text.alike import looks
from norvash.core.text.texts import clean, compared
from norvash.errors import InputError

KEPT = [
    ("Trap winch", "Trap winch"),
    ("  H-01 \n", "H-01"),
    ("Cafe\u0301", "Café"),
    ("two  blanks", "two  blanks"),
    ("نامه\u200cای", "نامه\u200cای"),
    ("क्\u200dष", "क्\u200dष"),
    ("½ × 12 °C", "½ × 12 °C"),
    ("💥", "💥"),
    ("", ""),
]


@pytest.mark.parametrize(("typed", "kept"), KEPT)
def test_what_was_typed_is_what_is_kept(typed: str, kept: str) -> None:
    assert clean(typed) == kept


REFUSED = {
    "a zero byte": "a\x00b",
    "a bell": "a\x07b",
    "an escape": "a\x1b[31mb",
    "right to left override": "\u202etxet",
    "an isolate": "a\u2066b\u2069",
    "a mark of direction": "a\u200fb",
    "an Arabic letter mark": "a\u061cb",
    "a space without width": "a\u200bb",
    "a byte order mark": "\ufeffa",
    "a soft hyphen": "a\u00adb",
    "a joiner at the end": "a\u200d",
    "a joiner between digits": "1\u200d2",
    "a joiner between signs": "👩\u200d🔧",
    "a zero byte after a joiner that may stand": "نامه\u200cای\x00b",
    "a joiner between letters that need none": "In\u200des",
    "a joiner between two scripts": "نa\u200cی",
    "a variation selector": "Ines\ufe0f",
    "another one": "T-01\U000e0100",
    "a Hangul filler": "T\u3164-01",
    "a blank of Braille": "T\u2800-01",
    "a grapheme joiner": "T\u034f-01",
    "half a pair": "a\ud800b",
    "a line break in a name": "a\nb",
    "a tab in a name": "a\tb",
    "a line separator in a name": "a\u2028b",
    "C1": "a\x85b",
}


@pytest.mark.parametrize("typed", REFUSED.values(), ids=REFUSED)
def test_what_nobody_sees_is_refused_at_its_field(typed: str) -> None:
    with pytest.raises(InputError) as refused:
        clean(typed, "name")
    assert refused.value.field == "name"


def test_a_note_may_have_lines_and_tabs_and_nothing_else_unseen() -> None:
    assert clean("first\nsecond\tthird\r\nfourth", note=True) == "first\nsecond\tthird\r\nfourth"
    for typed in ("a\x00", "a\u202eb", "a\x0bb", "first\nsecond\x00", "a\tb\u202ec"):
        with pytest.raises(InputError):
            clean(typed, note=True)


@pytest.mark.parametrize(
    ("typed", "named"),
    [("a\nb", "a line break or a tab"), ("a\x00b", "a zero byte"), ("a\x07b", "U+0007"), ("a\u00adb", "a soft hyphen")],
)
def test_what_was_found_is_named(typed: str, named: str) -> None:
    with pytest.raises(InputError, match=re.escape(named)):
        clean(typed)


ALIKE = [
    ("T-11", "t 11"),
    ("T-11", "Ｔ１１"),
    ("Ines Torvald", "ines  torvald"),
    ("Ines Torvald", "INES-TORVALD"),
    ("Straße", "STRASSE"),
    ("O'Neil", "O’Neil"),
    ("Café", "Cafe\u0301"),
    ("ﬁtter", "fitter"),
    ("hall 3, left", "Hall 3 (left)"),
    ("Σίσυφος", "ΣΊΣΥΦΟΣ"),
    ("a\u200cb", "ab"),
]
APART = [("T-11", "T-12"), ("Cafe", "Café"), ("A+", "A"), ("hall 3", "hall 33"), ("", "x"), ("---", "..."), ("²", "3")]


@pytest.mark.parametrize(("one", "other"), ALIKE)
def test_names_that_read_alike_compare_equal(one: str, other: str) -> None:
    assert compared(one) == compared(other)


@pytest.mark.parametrize(("one", "other"), APART)
def test_names_that_differ_in_letters_or_signs_do_not(one: str, other: str) -> None:
    assert compared(one) != compared(other)


@given(st.text(max_size=40))
def test_comparing_is_settled_and_never_sees_case_or_form(text: str) -> None:
    key = compared(text)
    assert compared(key) == key
    assert compared(unicodedata.normalize("NFD", text)) == compared(unicodedata.normalize("NFC", text))
    assert "\n" not in key


def test_in_a_note_a_sign_may_choose_its_form() -> None:
    assert clean("sparks \u26a0\ufe0f", note=True) == "sparks \u26a0\ufe0f"


LIKE = [("T-10", "T-1O"), ("T-10", "Т-l0"), ("Ines", "Inеs"), ("Ines", "lnes"), ("W-01", "w-o1"), ("Anna", "Αnna")]
UNLIKE = [("T-10", "T-70"), ("Ines", "Inez"), ("W-01", "W-02"), ("Bram", "Brand"), ("Müller", "Muller"), ("川", "州")]


@pytest.mark.parametrize(("one", "other"), LIKE)
def test_names_that_look_the_same_are_told_apart_by_nothing(one: str, other: str) -> None:
    assert looks(one) == looks(other)


@pytest.mark.parametrize(("one", "other"), UNLIKE)
def test_names_that_look_different_stay_so(one: str, other: str) -> None:
    assert looks(one) != looks(other)


@given(st.text(max_size=20))
def test_what_reads_the_same_looks_the_same(text: str) -> None:
    assert looks(text) == looks(unicodedata.normalize("NFC", text))
    assert looks(looks(text)) == looks(text)
