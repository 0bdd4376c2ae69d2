"""Lines as a gauge sends them."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from norvash.core.brush.gauge_line import Frame, LineReader, length_frame, line_of, point_frame

LINES: dict[str, tuple[list[tuple[bytes, float]], list[str]]] = {
    "whole": ([(line_of("12.43 mm"), 1)], ["12.43 mm"]),
    "cut in two": ([(line_of("12.43 mm")[:4], 1), (line_of("12.43 mm")[4:], 1.02)], ["12.43 mm"]),
    "two at once, apart": ([(line_of("1 mm"), 1), (line_of("2 mm"), 2)], ["1 mm", "2 mm"]),
    "too fast": ([(line_of("1 mm") + line_of("2 mm"), 1)], ["1 mm", "!came too soon"]),
    "too fast from the first moment on": ([(line_of("1 mm"), 0), (line_of("2 mm"), 0.1)], ["1 mm", "!came too soon"]),
    "just not too fast": ([(line_of("1 mm"), 0), (line_of("2 mm"), 0.15)], ["1 mm", "2 mm"]),
    "two marks": ([(line_of("1;2 mm"), 1)], ["!cannot be read as"]),
    "a check of one digit": ([(b"\x01;1\n", 1)], ["!damaged or cut"]),
    "inches": ([(line_of("0.488 in"), 1)], ["0.488 in"]),
    "another unit": ([(line_of("12.4 N"), 1)], ["!does not belong here"]),
    "no unit": ([(line_of("12.4"), 1)], ["!without a unit"]),
    "garbage": ([(b"\xff\x00;;\n", 1)], ["!damaged or cut"]),
    "damaged": ([(line_of("12.43 mm").replace(b"4", b"9"), 1)], ["!damaged or cut"]),
    "its tail only": ([(line_of("12.43 mm")[5:], 1)], ["!damaged or cut"]),
    "empty lines": ([(b"\r\n\n \n", 1)], []),
    "long, its end to come": ([(b"1" * 48, 1)], []),
    "without an end": ([(b"x" * 99, 1), (line_of("3 mm"), 2)], ["!without an end", "3 mm"]),
}


@pytest.mark.parametrize(("sent", "expected"), LINES.values(), ids=LINES.keys())
def test_lines_of_the_gauge(sent: list[tuple[bytes, float]], expected: list[str]) -> None:
    reader, got = LineReader(length_frame), list[Frame]()
    for data, at in sent:
        got += reader.feed(data, at)
    assert len(got) == len(expected)
    for frame, words in zip(got, expected, strict=True):
        assert words[1:] in frame.trouble if words.startswith("!") else frame.text == words


def test_a_line_that_was_asked_for_is_never_too_soon() -> None:
    reader = LineReader(length_frame)
    assert reader.feed(line_of("1 mm"), 1)[0].text == "1 mm"
    reader.expect()
    assert reader.feed(line_of("2 mm"), 1.05)[0].text == "2 mm"


@given(st.lists(st.floats(0.5, 60).map(lambda x: f"{x:.2f} mm"), min_size=1, max_size=5), st.integers(1, 9))
def test_lines_cut_anywhere_come_through_whole(texts: list[str], piece: int) -> None:
    reader, got, clock = LineReader(length_frame), list[Frame](), 0.0
    for text in texts:
        data = line_of(text)
        clock += 1
        for i in range(0, len(data), piece):
            got += reader.feed(data[i : i + piece], clock)
    assert [f.text for f in got] == texts


def test_a_meter_sends_points_of_a_run_and_what_is_none_is_told() -> None:
    reader = LineReader(point_frame)
    assert reader.feed(line_of("110 V 12.4 A 574 r/min 45 C"), 0.0) == [Frame("110 V 12.4 A 574 r/min 45 °C")]
    for text, words in (("1e9 V", "cannot be right"), ("garbage", "cannot be read"), ("", "No point")):
        reader.expect()
        assert words in reader.feed(line_of(text), 9.0)[0].trouble
