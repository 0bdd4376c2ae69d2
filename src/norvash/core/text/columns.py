"""A column of readings as it is typed or pasted: one on a line, or with semicolons.

Numbered lines are checked for gaps and doubles.
"""

import re
from itertools import pairwise

from norvash.core.text.quantities import Typed, parse
from norvash.errors import InputError

_NOTHING = ("", "-", "–", "—")
_NUMBERED = re.compile(r"([0-9]{1,4})[.):]?(?:\t+|\s{1,}|;\s*)(\S.*)")
_SPEED_UNIT = re.compile(r"r/min|rpm|min-1|min⁻¹|1/min", re.IGNORECASE)
_MOST = 2000


def is_column(text: str) -> bool:
    """Tell whether a text holds several readings."""
    return ";" in text or "\n" in text.strip()


def read_column(text: str, dimension: str, bare_unit: str | None = None) -> list[float | None]:
    """Return the readings in the first unit of their dimension, None where a dash or an empty place stands.

    Raises: InputError that names the line; also for a pasted column that mixes units, or whose numbers have doubles.

    Speeds are read as people write them: with blanks, strokes or commas between too.

    >>> read_column("0.024; 0.037; -", "length")
    [0.024, 0.037, None]
    >>> read_column("250/400/540 r/min", "speed")
    [250.0, 400.0, 540.0]
    """
    if dimension == "speed":
        text = ";".join(re.split(r"[;,/\s]+", _SPEED_UNIT.sub("", text).strip(";,/ \n\r\t")))
    pasted = "\n" in text.strip()
    lines = text.strip("\n\r ").splitlines() if pasted else text.split(";")
    if len(lines) > _MOST:
        raise InputError(f"{len(lines)} lines are too many.", f"Give at most {_MOST}.")
    parts = [line.strip().rstrip(";").strip() for line in lines]
    numbered = [_NUMBERED.fullmatch(p) for p in parts if p not in _NOTHING] if pasted else []
    if len(numbered) > 1 and all(numbered) and _counts([int(m[1]) for m in numbered if m]):
        return _by_number([(int(m[1]), m[2].strip()) for m in numbered if m], dimension, bare_unit)
    typed = [_one(p, i, dimension, bare_unit) for i, p in enumerate(parts, start=1)]
    if pasted:
        _one_unit(typed)
    return [None if t is None else t.value for t in typed]


def _counts(numbers: list[int]) -> bool:
    """Tell whether numbers could count lines: mostly rising by one from a low start."""
    steps = sum(b - a == 1 for a, b in pairwise(numbers))
    return numbers[0] in (0, 1) and steps >= 0.5 * (len(numbers) - 1)


def _by_number(lines: list[tuple[int, str]], dimension: str, bare_unit: str | None) -> list[float | None]:
    first = lines[0][0]
    found: dict[int, Typed | None] = {}
    for number, text in lines:
        if number in found:
            raise InputError(f"Reading {number} stands twice.", "Take the wrong one out.")
        found[number] = _one(text, number, dimension, bare_unit)
    count = max(found) - first + 1
    if count > _MOST:
        raise InputError(f"Line {max(found)} is too far on.", f"Give at most {_MOST}.")
    _one_unit(list(found.values()))
    got = [found.get(first + i) for i in range(count)]
    return [None if t is None else t.value for t in got]


def _one(text: str, number: int, dimension: str, bare_unit: str | None) -> Typed | None:
    if text in _NOTHING:
        return None
    try:
        return parse(text, dimension, bare_unit)
    except InputError as error:
        raise InputError(f"Reading {number}: {error.problem}", error.remedy) from None


def _one_unit(typed: list[Typed | None]) -> None:
    """Refuse a column of which some lines are in another unit than the rest."""
    said = [(i, "no unit" if t.text[-1:].isdigit() else t.unit) for i, t in enumerate(typed, start=1) if t is not None]
    if not said:
        raise InputError("There is no reading in it.", "Give one on each line, a dash where one is missing.")
    other = next(((i, unit) for i, unit in said if unit != said[0][1]), None)
    if other is not None:
        raise InputError(
            f"The column mixes units: reading {other[0]} has {other[1]}, the first {said[0][1]}.",
            "Write one unit behind all of them, or behind none.",
        )
