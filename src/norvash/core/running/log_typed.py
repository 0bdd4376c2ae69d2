"""A log of a run as people type it and as a meter sends it: “52 min 110 V 12.7 A 574 r/min sparks 1 45 °C”."""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from itertools import pairwise
from math import isfinite

from norvash.errors import InputError

# What a figure of a point is called, with the units that say so and its bounds.
_FIGURES: dict[str, tuple[tuple[str, ...], float, float, str]] = {
    "minute": (("min",), 0, 100_000, "min"),
    "v": (("v", "volt", "volts"), 0, 50_000, "V"),
    "a": (("a", "amp", "amps"), 0, 50_000, "A"),
    "rpm": (("r/min", "rpm", "1/min", "/min"), 0, 100_000, "r/min"),
    "sparks": (("sparks", "spark"), 0, 4, "sparks"),
    "c": (("°c", "c", "ºc"), -40, 300, "°C"),
}
_OF_UNIT = {unit: name for name, (units, *_) in _FIGURES.items() for unit in units}
# The order of bare numbers.
_BARE = ("v", "a", "rpm", "sparks", "c")
_BETWEEN = " \t,|"
_MOST_POINTS, _HOW = 400, "Write it like 110 V 12.7 A 574 r/min sparks 1 45 °C, one point a line."
_TOKEN = re.compile(
    r"sparks?\s*(?P<sparks>\d+)|(?P<number>[-−+]?\d[\d.,eE]*)\s*(?P<unit>r/min|1/min|/min|[a-zA-Z°º]+)?"
)


@dataclass(frozen=True, slots=True, kw_only=True)
class LogPoint:
    """One point of a log, None where nothing was read.

    Units: minute of the run [min], v [V], a [A], rpm [r/min], c [°C]; sparks 0 to 4.
    """

    minute: float | None = None
    v: float | None = None
    a: float | None = None
    rpm: float | None = None
    sparks: int | None = None
    c: float | None = None

    @property
    def words(self) -> str:
        """Return it as it would be typed."""
        figures = ((self.minute, "min"), (self.v, "V"), (self.a, "A"), (self.rpm, "r/min"))
        made = [f"{x:g} {unit}" for x, unit in figures if x is not None]
        made += [f"sparks {self.sparks}"] if self.sparks is not None else []
        return " ".join([*made, *([f"{self.c:g} °C"] if self.c is not None else [])])


def read_points(text: str) -> tuple[LogPoint, ...]:
    """Return the points of a log, a line or what stands between semicolons each.

    Raises: InputError for what cannot be read, or cannot be; where minutes are said they must rise.
    """
    lines = [x.strip() for x in re.split(r"[;\n]", text) if x.strip()]
    if not lines:
        raise InputError("No point was typed.", _HOW, "value")
    if len(lines) > _MOST_POINTS:
        raise InputError(f"{len(lines)} points at once are too many.", f"Give at most {_MOST_POINTS}.", "value")
    points = tuple(_point(x) for x in lines)
    minutes = [p.minute for p in points if p.minute is not None]
    for before, after in pairwise(minutes):
        if after <= before:
            what = "stands there twice" if after == before else f"comes after minute {before:g}"
            raise InputError(f"Minute {after:g} {what}.", "Let the minutes of the log rise.", "value")
    return points


def _point(line: str) -> LogPoint:
    """Return one point: what has a unit goes where that says, a bare number to the next place that is free."""
    read: dict[str, float] = {}
    at = 0
    for match in _TOKEN.finditer(line):
        if line[at : match.start()].strip(_BETWEEN):
            break
        at = match.end()
        name, typed = _named(match, read, line)
        read[name] = _number(typed, name)
    if line[at:].strip(_BETWEEN):
        raise InputError(f"“{line[at:].strip()[:40]}” cannot be read.", _HOW, "value")
    if not read.keys() - {"minute"}:
        raise InputError("Nothing was read at this point.", _HOW, "value")
    sparks = read.get("sparks")
    return LogPoint(
        minute=read.get("minute"),
        v=read.get("v"),
        a=read.get("a"),
        rpm=read.get("rpm"),
        sparks=None if sparks is None else int(sparks),
        c=read.get("c"),
    )


def _named(match: re.Match[str], read: Mapping[str, float], line: str) -> tuple[str, str]:
    """Return which figure of a point a number is, and the number as it was typed."""
    if match["sparks"] is not None:
        name, typed = "sparks", match["sparks"]
    elif match["unit"] is not None:
        name, typed = _OF_UNIT.get(match["unit"].lower(), ""), match["number"]
    else:
        name, typed = next((n for n in _BARE if n not in read), ""), match["number"]
    if not name and match["unit"] is not None:
        raise InputError(f"“{match[0].strip()}” cannot be read.", _HOW, "value")
    if not name:
        raise InputError(f"“{match[0].strip()}” in “{line[:60]}” has no place.", _HOW, "value")
    if name in read:
        raise InputError(f"“{line[:60]}” gives {_FIGURES[name][3]} twice.", _HOW, "value")
    return name, typed


def _number(typed: str, name: str) -> float:
    _, low, high, unit = _FIGURES[name]
    try:
        number = float(typed.replace("−", "-").replace(",", "."))
    except ValueError:
        raise InputError(f"“{typed[:40]}” cannot be read as a number.", _HOW, "value") from None
    if not isfinite(number) or not low <= number <= high:
        raise InputError(f"{typed[:40]} {unit} cannot be right.", f"Between {low:g} and {high:g} {unit}.", "value")
    if name == "sparks" and number != int(number):
        raise InputError("Sparks are 0 to 4, in whole steps.", "0 is dark, 4 is flashing round.", "value")
    return number
