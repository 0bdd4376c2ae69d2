"""Notes of the past as a table: a line a reading, or a line a round with a column for each brush."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from hashlib import sha256
from itertools import zip_longest

from norvash.core.motor.figure_fields import INSTRUMENTS, METHODS
from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.core.text.texts import compared
from norvash.errors import InputError
from norvash.exchange.hours_csv import moment_of
from norvash.exchange.sheets import Cells, is_formula, read_sheet
from norvash.work.notes.desk import Fault
from norvash.work.notes.noting_tables import Table

# What a column may hold, with the headings that are read as it.
COLUMNS: Mapping[str, tuple[str, ...]] = {
    "motor": ("motor", "tag", "machine"),
    "day": ("day", "date", "when", "came out", "taken out", "ended", "until"),
    "counter": ("counter", "meter", "hours", "starts", "use"),
    "ran": ("ran", "ran since new", "run since new", "since new"),
    "position": ("position", "brush", "holder"),
    "reading": ("reading", "length", "depth", "measured", "value"),
    "unit": ("unit",),
    "method": ("method", "way"),
    "instrument": ("instrument", "with"),
    "who": ("who", "by", "person", "measured by"),
    "fitted": ("fitted", "went in", "new on", "from"),
    "lasted": ("lasted", "life", "ran for"),
    "gone": ("gone", "worn share", "share gone"),
    "why": ("why", "reason", "note"),
}
_SHORTEST = ("shortest", "shortest only", "least", "worst")
_LENGTHS = ("in", "mm", "thou", "cm")
Labels = Callable[[str], Mapping[str, int] | None]


@dataclass(slots=True)
class _Line:
    """One line of a table: its number, its cells by column, and those of the columns of single brushes."""

    line: int
    cells: dict[str, str]
    brushes: dict[str, str]


def notes_table(data: bytes, labels: Labels, own_motor: str = "") -> Table:
    """Return a table of notes, each line a note or an error at its line.

    The first line names the columns; a heading that is none of COLUMNS is a brush's label. `labels` gives the positions
    of a motor by their labels, None for one that is not there; `own_motor` is the motor of lines that name none.
    Raises: InputError for what is no table.
    """
    sheet = read_sheet(data)
    heads = _heads(sheet, own_motor)
    faults, lines = list[Fault](), dict[str, list[_Line]]()
    for number, row in zip(sheet.lines[1:], sheet.rows[1:], strict=True):
        line = _line(number, row, heads)
        motor = line.cells.get("motor") or own_motor
        formula = next((c for c in row if is_formula(c) and not c.startswith(("-", "+"))), "")
        if not motor:
            faults.append(Fault(number, InputError("The motor is missing.", "Give its tag.", "motor")))
        elif formula:
            words = f"“{formula[:30]}” is a formula, not a value."
            faults.append(Fault(number, InputError(words, "Export the values.", "reading")))
        else:
            lines.setdefault(compared(motor), []).append(replace(line, cells={**line.cells, "motor": motor}))
    made: dict[str, list[Note]] = {}
    for group in lines.values():
        tag = group[0].cells["motor"]
        known = labels(tag)
        if known is None:
            unknown = InputError(f"There is no motor “{tag[:40]}”.", "Add it first, or correct the tag.", "motor")
            faults += [Fault(x.line, unknown) for x in group]
        else:
            made[tag] = _notes(group, known, faults)
    return Table(made, sorted(faults, key=lambda f: f.line), sha256(_plain(sheet)).hexdigest())


def _plain(sheet: Cells) -> bytes:
    """Return a table as it is known again, however its file was made."""
    return "\n".join("\x1f".join(c.casefold() for c in row) for row in sheet.rows).encode()


def _heads(sheet: Cells, own_motor: str) -> list[str]:
    """Return what each column holds: the name of one of COLUMNS, or a brush's label after “=”.

    Raises: InputError where what is needed is not there.
    """
    known = {heading: name for name, headings in COLUMNS.items() for heading in headings}
    heads = [known.get(" ".join(c.casefold().split()), f"={c}") for c in sheet.rows[0]]
    needed = ("day",) if own_motor else ("motor", "day")
    missing = [n for n in needed if n not in heads]
    if missing or len(sheet.rows) < 2:
        raise InputError(
            f"The table has no column “{missing[0]}”." if missing else "There is no line under the headings.",
            "Head the columns with motor, day, counter, then a brush's label each; or position and reading.",
            "file",
        )
    twice = next((h for h in heads if heads.count(h) > 1), "")
    if twice:
        raise InputError(f"Two columns are “{twice.removeprefix('=')}”.", "Leave one of them out.", "file")
    return heads


def _line(number: int, row: tuple[str, ...], heads: list[str]) -> _Line:
    cells = dict(zip_longest(heads, row[: len(heads)], fillvalue=""))  # a row may end early: the rest of it is empty
    brushes = {h.removeprefix("="): c for h, c in cells.items() if h.startswith("=") and c not in ("", "-", "–")}
    return _Line(number, {h: c for h, c in cells.items() if not h.startswith("=")}, brushes)


def _notes(lines: list[_Line], labels: Mapping[str, int], faults: list[Fault]) -> list[Note]:
    """Return the notes of one motor; lines of one day and counter are one round."""
    made: list[Note] = []
    rounds: dict[tuple[str, str, str], NotedRound] = {}
    for line in lines:
        cells = line.cells
        try:
            if cells.get("fitted") or cells.get("lasted"):
                made.append(_set(line, labels))
            elif not line.brushes and not cells.get("reading"):
                counter = cells.get("counter", "")
                made.append(NotedUse(line=line.line, day=_day(cells["day"]), counter=counter))
            else:
                one = _round(line, labels)
                key = (one.day, one.counter, one.ran)
                rounds[key] = one if key not in rounds else _joined(rounds[key], one)
        except InputError as error:
            faults.append(Fault(line.line, error))
    return [*made, *rounds.values()]


def _day(text: str) -> str:
    """Return a day as it is typed; one as spreadsheets write it becomes ISO."""
    found = moment_of(text)
    return text if found is None else found.date().isoformat()


def _round(line: _Line, labels: Mapping[str, int]) -> NotedRound:
    cells, readings, shortest = line.cells, _readings(line, labels), False
    if cells.get("reading"):
        label = cells.get("position", "")
        shortest = label.casefold() in _SHORTEST or not label
        number = min(labels.values(), default=1) if shortest else _number(label, labels)
        readings[number] = _with_unit(cells["reading"], cells.get("unit", ""))
    return NotedRound(
        line=line.line,
        day=_day(cells["day"]),
        counter=cells.get("counter", ""),
        ran=cells.get("ran", ""),
        readings=readings,
        method=_one_of(cells.get("method", ""), METHODS, "method"),
        instrument=_one_of(cells.get("instrument", ""), INSTRUMENTS, "instrument"),
        by=cells.get("who", ""),
        shortest=shortest,
    )


def _joined(first: NotedRound, more: NotedRound) -> NotedRound:
    """Return a round with the reading of one more line.

    Raises: InputError where a brush is read twice.
    """
    both = set(first.readings) & set(more.readings)
    if any(first.readings[n] != more.readings[n] for n in both):
        raise InputError(f"A brush is measured twice on {first.day}.", "Leave one of the two lines out.", "position")
    return replace(first, readings={**first.readings, **more.readings}, shortest=False)


def _set(line: _Line, labels: Mapping[str, int]) -> NotedSet:
    cells = line.cells
    return NotedSet(
        line=line.line,
        ended=_day(cells["day"]),
        fitted=_day(cells.get("fitted", "")),
        ended_counter=cells.get("counter", ""),
        lasted=cells.get("lasted", ""),
        gone=cells.get("gone", ""),
        lengths=_readings(line, labels),
        why=cells.get("why", ""),
    )


def _readings(line: _Line, labels: Mapping[str, int]) -> dict[int, str]:
    unit = line.cells.get("unit", "")
    return {_number(label, labels): _with_unit(text, unit) for label, text in line.brushes.items()}


def _number(label: str, labels: Mapping[str, int]) -> int:
    """Return the position of a label.

    Raises: InputError for one that the motor has not.
    """
    number = labels.get(compared(label))
    if number is None:
        there = ", ".join(labels).upper() or "none"
        raise InputError(f"This motor has no brush “{label[:20]}”.", f"Its brushes are {there}.", "position")
    return number


def _with_unit(text: str, unit: str) -> str:
    plain = all(c in "0123456789.,+- /" for c in text)
    return f"{text} {unit}" if unit and plain and unit.casefold() in _LENGTHS else text


def _one_of(text: str, known: Mapping[str, str], field: str) -> str:
    """Return a way of measuring by its name or its words.

    Raises: InputError for one that is not known.
    """
    bare = " ".join(text.casefold().split())
    if not bare:
        return ""
    found = next((k for k, words in known.items() if bare in (k, words.casefold(), k.replace("-", " "))), None)
    if found is None:
        raise InputError(f"“{text[:30]}” is not known here.", "Use " + ", ".join(known) + ".", field)
    return found
