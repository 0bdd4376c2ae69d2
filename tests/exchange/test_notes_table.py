"""Tables of notes as people keep them: a line a round or a reading, sets that are gone; and what is wrong in them."""

from collections.abc import Mapping

import pytest

from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.errors import InputError
from norvash.exchange.notes_csv import notes_table

LABELS: Mapping[str, int] = {"a": 1, "b": 2}


def read(text: str, own: str = "") -> tuple[list[Note], list[tuple[int, str]]]:
    table = notes_table(text.encode(), lambda _: LABELS, own)
    return [n for given in table.by_motor.values() for n in given], [
        (f.line, f.error.field or "") for f in table.faults
    ]


WIDE = "motor;day;counter;A;B;who\nW-02;03/06/2024;40;21,0;21,2;Bram Aldous\nW-02;2024-11-04;60;19,6;-;\n"


def test_a_line_a_round_has_a_column_for_each_brush() -> None:
    notes, faults = read(WIDE)
    assert faults == []
    first, second = notes
    assert isinstance(first, NotedRound)
    assert isinstance(second, NotedRound)
    assert (first.day, first.counter, first.readings, first.by) == (
        "2024-06-03",
        "40",
        {1: "21,0", 2: "21,2"},
        "Bram Aldous",
    )
    assert (second.line, second.readings) == (3, {1: "19,6"})


def test_a_row_may_end_early() -> None:
    notes, faults = read("motor;counter;day;A;B\nW-02;40\nW-02;40;2024-06-03;21.0\n")
    assert [n.line for n in notes if isinstance(n, NotedRound)] == [3]
    assert [(n.line, n.day) for n in notes if isinstance(n, NotedUse)] == [(2, "")]
    assert faults == []


def test_a_line_a_reading_is_joined_to_rounds() -> None:
    text = (
        "Tag,Date,Hours,Brush,Length,Unit,Method,Instrument\nX-1,2024-06-03,40,A,0.83,in,length,vernier\n"
        "x-1,2024-06-03,40,b,0.82,in,,\nX-1,2024-08-03,50,,,,,\nX-1,2024-09-03,60,shortest,20.1,mm,,\n"
    )
    notes, faults = read(text)
    assert faults == []
    use, first, least = notes
    assert use == NotedUse(line=4, day="2024-08-03", counter="50")
    assert isinstance(first, NotedRound)
    assert (first.readings, first.instrument, first.shortest) == ({1: "0.83 in", 2: "0.82 in"}, "vernier", False)
    assert isinstance(least, NotedRound)
    assert (least.readings, least.shortest) == ({1: "20.1 mm"}, True)


def test_a_set_that_is_gone_has_a_line_of_its_own() -> None:
    notes, faults = read("day;fitted;lasted;gone;why\nMarch 2024;2022;about 190 h;60 %;worn\n", "W-02")
    assert faults == []
    assert notes == [NotedSet(line=2, ended="March 2024", fitted="2022", lasted="about 190 h", gone="60 %", why="worn")]


WRONG: dict[str, tuple[str, list[tuple[int, str]]]] = {
    "no motor": ("motor;day;A\n;2024-06-03;21\n", [(2, "motor")]),
    "a brush that it has not": ("motor;day;C\nX;2024-06-03;21\n", [(2, "position")]),
    "a brush twice on a day": ("motor;day;position;reading\nX;2024-06-03;A;21\nX;2024-06-03;A;20\n", [(3, "position")]),
    "a way that is not known": ("motor;day;A;method\nX;2024-06-03;21;by nose\n", [(2, "method")]),
    "a formula": ("motor;day;A\nX;2024-06-03;=A1\n", [(2, "reading")]),
}


@pytest.mark.parametrize(("text", "faults"), WRONG.values(), ids=WRONG)
def test_a_line_that_cannot_be_read_is_named_with_its_column(text: str, faults: list[tuple[int, str]]) -> None:
    assert read(text)[1] == faults


REFUSED: dict[str, tuple[str, str]] = {
    "no day": ("motor;A\nX;21\n", "no column “day”"),
    "no motor": ("day;A\n2024-06-03;21\n", "no column “motor”"),
    "only a heading": ("motor;day;A\n", "no line under"),
    "a heading twice": ("motor;day;A;A\nX;2024-06-03;21;20\n", "Two columns are “A”"),
    "nothing": ("", "is empty"),
}


@pytest.mark.parametrize(("text", "words"), REFUSED.values(), ids=REFUSED)
def test_what_is_no_table_is_refused_whole(text: str, words: str) -> None:
    with pytest.raises(InputError, match=words):
        read(text)


def test_the_same_table_is_known_again_however_it_was_made() -> None:
    digests = {
        notes_table(t.encode(e), lambda _: LABELS).digest
        for t, e in ((WIDE, "utf-8"), (WIDE.replace(";", "\t"), "utf-8-sig"), (WIDE.replace("\n", "\r\n"), "utf-16"))
    }
    assert len(digests) == 1
