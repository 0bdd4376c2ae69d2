"""Readings of use as CSV: which column holds what, and every line as a reading or as an error with its place."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime, time
from functools import lru_cache

from norvash.errors import InputError
from norvash.exchange.sheets import Cells, number
from norvash.work.motors.importing import Faulty, Line

COLUMNS = {"motor": "Motor: tag or name", "day": "Day, with or without time", "value": "What was read"}
_HEADINGS = {
    "motor": ("motor", "tag", "machine", "asset", "name", "equipment", "number"),
    "day": ("day", "date", "time", "when", "read", "at"),
    "value": ("counter", "hours", "starts", "value", "reading", "meter", "use", "ran", "run", "h"),
}
_INCREMENTS = ("ran", "run", "increment", "delta", "worked", "duration")
_DAYS = ("%d/%m/%Y", "%d.%m.%Y", "%d.%m.%y", "%d/%m/%y", "%d %b %Y", "%d %B %Y")
_TIMES = ("", " %H:%M", " %H:%M:%S")
_NOON = time(12)


@dataclass(frozen=True, slots=True)
class Match:
    """Which column (from 0) holds what, whether the first row is a heading, and what the numbers mean."""

    motor: int
    day: int
    value: int
    heading: bool
    mode: str


def guessed(sheet: Cells) -> Match:
    """Return the likeliest match by the headings, or by what the first row looks like."""
    first = [c.casefold() for c in sheet.rows[0]]
    heading = not any(_is_day(c) for c in sheet.rows[0])
    found: dict[str, int] = {}
    for name, words in _HEADINGS.items():
        places = [
            i for i, c in enumerate(first) if i not in found.values() and any(w in c.split() or c == w for w in words)
        ]
        places = places or [
            i for i, c in enumerate(first) if i not in found.values() and any(w in c for w in words if len(w) > 2)
        ]
        if places and heading:
            found[name] = places[0]
    if not heading:
        found = {"day": next(i for i, c in enumerate(sheet.rows[0]) if _is_day(c))}
    free = [i for i in range(len(first)) if i not in found.values()]
    for name in COLUMNS:
        if name not in found:
            found[name] = free.pop(0) if free else 0
    mode = "increment" if heading and any(w in first[found["value"]] for w in _INCREMENTS) else "counter"
    return Match(found["motor"], found["day"], found["value"], heading, mode)


def match_of(typed: Mapping[str, str], sheet: Cells) -> Match:
    """Return the match as chosen in a form.

    Raises: InputError for a column that is not there, or one chosen twice.
    """
    width = max(len(r) for r in sheet.rows)
    chosen = {}
    for name in COLUMNS:
        text = typed.get(name, "")
        if not (text.isascii() and text.isdigit() and int(text) < width):
            raise InputError("This column is not in the file.", "Choose one from the list.", name)
        chosen[name] = int(text)
    if len(set(chosen.values())) < len(chosen):
        raise InputError("One column was chosen twice.", "Choose a column for each.", "value")
    mode = typed.get("mode", "counter")
    if mode not in ("counter", "increment"):
        raise InputError("It is not clear what the numbers mean.", "Choose counter or increment.", "mode")
    return Match(chosen["motor"], chosen["day"], chosen["value"], typed.get("heading") == "yes", mode)


def read_lines(sheet: Cells, match: Match) -> tuple[list[Line], list[Faulty]]:
    """Return every line as a reading, or as an error at its column."""
    lines, faults = [], []
    start = 1 if match.heading else 0
    for number_, row in zip(sheet.lines[start:], sheet.rows[start:], strict=True):
        try:
            lines.append(_line(number_, row, match))
        except InputError as error:
            faults.append(Faulty(number_, error.field or "", error.problem, error.remedy))
    return lines, faults


def _line(line: int, row: Sequence[str], match: Match) -> Line:
    if max(match.motor, match.day, match.value) >= len(row):
        raise InputError(f"The line has only {len(row)} columns.", "Check the separator.", "line")
    motor = row[match.motor]
    if not motor:
        raise InputError("The motor is missing.", "Give its tag.", "motor")
    at = moment_of(row[match.day])
    if at is None:
        raise InputError(f"“{row[match.day][:30]}” is not a day.", "Write days like 2026-11-24 or 24/11/2026.", "day")
    try:
        return Line(line, motor, at, number(row[match.value]), row[match.value])
    except InputError as error:
        raise error.at("value") from None


def _is_day(text: str) -> bool:
    return moment_of(text) is not None


@lru_cache(maxsize=65536)
def moment_of(text: str) -> datetime | None:
    """Return a moment: ISO, or day before month; a day without a time is its noon."""
    bare = " ".join(text.replace("T", " ").split())
    try:
        if len(bare) == 10:
            return datetime.combine(date.fromisoformat(bare), _NOON)
        found = datetime.fromisoformat(bare)
        return found.replace(tzinfo=None) if len(bare) > 10 and bare[4:5] == "-" else None
    except ValueError:
        pass
    for form in _DAYS:
        for clock in _TIMES:
            try:
                found = datetime.strptime(bare, form + clock)
            except ValueError:
                continue
            return found if clock else datetime.combine(found.date(), _NOON)
    return None
