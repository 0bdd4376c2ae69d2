"""Where the names of a section stand, and the lines that lead from them to their parts: none crosses another."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

Point = tuple[float, float]
# Ends of lines are at least so far apart along a row [px].
_APART_PX = 4.0


@dataclass(frozen=True, slots=True)
class Led:
    """A name in its row, by its place along it, and the line from it to its part: three points [px]."""

    part: str
    row: int
    line: tuple[Point, Point, Point]


def led(pins: Mapping[str, Point], ends: tuple[float, float], bus_px: float, size: float) -> list[Led]:
    """Return the names of one row in the order of their pins, spread evenly over it, each with its line.

    Units: [px]. Shape: `ends` are where the row's lines begin and end across it: from names at `ends[0]` to pins beyond
    `bus_px`, where each line turns straight to its pin. Between two level rows that are sorted alike no line crosses
    another, and beyond the bus all are parallel.
    """
    order = sorted(pins, key=lambda p: pins[p][0])
    along = apart([pins[p][0] for p in order], ends[1])
    slot = size / max(len(order), 1)
    return [
        Led(p, n, (((n + 0.5) * slot, ends[0]), (along[n], bus_px), (along[n], pins[p][1])))
        for n, p in enumerate(order)
    ]


def apart(at: Sequence[float], most: float) -> list[float]:
    """Return sorted places with at least the least distance between them, none beyond `most`.

    >>> apart([10.0, 11.0, 30.0], 100.0)
    [10.0, 14.0, 30.0]
    """
    made: list[float] = []
    for x in at:
        made.append(max(x, made[-1] + _APART_PX) if made else x)
    beyond = max((made[-1] if made else 0.0) - most, 0.0)
    for i in range(len(made) - 1, -1, -1):
        made[i] = min(made[i], most - _APART_PX * (len(made) - 1 - i)) if beyond else made[i]
    return made
