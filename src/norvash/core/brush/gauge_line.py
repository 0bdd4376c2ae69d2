"""The line protocol of a gauge or meter: value, unit and check sum, one reading a line, read from a stream of bytes.

A line is `12.43 mm;F2` and a line feed; the check is the sum of all bytes before the semicolon, modulo 256, in hex.
"""

from collections.abc import Callable
from dataclasses import dataclass, field

from norvash.core.running.log_typed import read_points
from norvash.core.text.quantities import LENGTHS, parse
from norvash.errors import InputError

_LONGEST = 48
_LEAST_APART_S = 0.15


@dataclass(frozen=True, slots=True)
class Frame:
    """One line of the gauge: the reading as text with its unit, or what is wrong with it."""

    text: str
    trouble: str = ""


def line_of(text: str) -> bytes:
    """Return a reading as the line that a gauge sends.

    >>> line_of("12.43 mm")
    b'12.43 mm;F2\\n'
    """
    raw = text.encode("ascii")
    return raw + f";{sum(raw) % 256:02X}\n".encode("ascii")


# What makes a frame of the text of a line that came whole.
Check = Callable[[str], "Frame"]


@dataclass(slots=True)
class LineReader:
    """Takes bytes as they come, cut anywhere, and gives whole readings; `check` says what a text is."""

    check: Check
    _rest: bytes = b""
    _last_s: float = field(default=-1.0)

    def feed(self, data: bytes, at_s: float) -> list[Frame]:
        """Return the readings that became whole; at_s is a clock that only runs forward [s].

        A line that comes sooner after the last reading than a hand can measure is named and left out.
        """
        self._rest += data
        made: list[Frame] = []
        while b"\n" in self._rest:
            raw, self._rest = self._rest.split(b"\n", 1)
            if raw.strip():
                made.append(self._timed(_read(raw.strip(b"\r "), self.check), at_s))
        if len(self._rest) > _LONGEST:
            self._rest = b""
            made.append(Frame("", "Something came without an end; it was thrown away. Measure again."))
        return made

    def expect(self) -> None:
        """Take the next line whenever it comes: it was asked for."""
        self._last_s = -1.0

    def _timed(self, frame: Frame, at_s: float) -> Frame:
        if frame.trouble:
            return frame
        too_soon = 0 <= at_s - self._last_s < _LEAST_APART_S and self._last_s >= 0
        self._last_s = at_s
        return (
            Frame("", f"{frame.text} came too soon after the reading before and was left out. Measure again.")
            if too_soon
            else frame
        )


def _read(raw: bytes, whole: Check) -> Frame:
    body, mark, check = raw.rpartition(b";")
    try:
        text, wanted = body.decode("ascii"), int(check, 16) if len(check) == 2 else -1
    except ValueError:
        text, wanted = "", -1
    if not mark or wanted != sum(body) % 256:
        return Frame("", "A line came damaged or cut. Measure again.")
    return whole(text)


def length_frame(text: str) -> Frame:
    """Return the frame of a gauge's line: a length with its unit."""
    try:
        parse(text, "length")
    except InputError as error:
        return Frame(
            "",
            f"The gauge sent “{text}”: {error.problem} Set it to {' or '.join(list(LENGTHS)[:1])}, or type the value.",
        )
    if not any(text.endswith(unit) for unit in LENGTHS):
        return Frame("", f"The gauge sent “{text}” without a unit. Set it to send one, or type the value.")
    return Frame(text)


def point_frame(text: str) -> Frame:
    """Return the frame of a meter's line: one point of a run."""
    try:
        return Frame("; ".join(p.words for p in read_points(text)[:1]))
    except InputError as error:
        return Frame("", f"The meter sent “{text}”: {error.problem} Type the point.")
