"""Which set belongs to which supply and build of a type: a small table, a named row before one for any."""

import csv
import re
from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.text.quantities import parse
from norvash.errors import InputError

ANY, _MOST_ROWS, _LONG, _ALIKE_V = "*", 400, 40, 0.1
_ARROW = re.compile(r"\s*(?:→|->|=>)\s*")
_APART = re.compile(r"\s*(?:\+|/|&|\band\b)\s*")
_HEAD = ("voltage", "build", "set")


@dataclass(frozen=True, slots=True)
class Variant:
    """One row: a supply [V], None for any, a build letter, `*` for any, and the set that belongs there."""

    volts: float | None
    build: str
    part: str


def read_matrix(text: str) -> tuple[Variant, ...]:
    """Return a table as it is typed, a row a line: “230 V, 2 → LP-B 4”, builds joined by “and”, or as CSV with the
    columns voltage, build, set.

    Raises: InputError at its row, for one that cannot be read, or that stands there twice.
    """
    lines = [x.strip() for x in text.replace(";", "\n").splitlines() if x.strip()]
    if len(lines) > _MOST_ROWS:
        raise InputError(f"{len(lines)} rows are too many.", f"Give at most {_MOST_ROWS}.", "matrix")
    made: dict[tuple[float | None, str], Variant] = {}
    for number, line in enumerate(lines, start=1):
        for row in _rows(line, number):
            key = row.volts, row.build.casefold()
            if key in made:
                raise InputError(f"Row {number}: {_where(row)} stands there twice.", "Leave one of them out.", "matrix")
            made[key] = row
    return tuple(made.values())


def _rows(line: str, number: int) -> Sequence[Variant]:
    sides = _ARROW.split(line)
    cells = (
        [c.strip() for c in (*sides[0].split(",", 1), sides[1])]
        if len(sides) == 2
        else [c.strip() for c in next(csv.reader([line]))]
    )
    if tuple(c.casefold() for c in cells) == _HEAD:
        return ()
    if len(cells) != 3 or not all(cells):
        raise InputError(
            f"Row {number}: “{line[:_LONG]}” cannot be read.", "Write it like 230 V, 2 → LP-B 4.", "matrix"
        )
    volts, builds, part = cells
    return [Variant(_volts(volts, number), b, part[:_LONG]) for b in _APART.split(builds) if b]


def _volts(text: str, number: int) -> float | None:
    if text == ANY:
        return None
    try:
        value = parse(text, "voltage").value
    except InputError as error:
        raise InputError(f"Row {number}: {error.problem}", error.remedy, "matrix") from None
    if value <= 0:
        raise InputError(f"Row {number}: {value:g} V is not a supply.", "Give the plate's volts.", "matrix")
    return value


def _where(row: Variant) -> str:
    volts = "any voltage" if row.volts is None else f"{row.volts:g} V"
    return f"{volts}, {'any build' if row.build == ANY else f'build {row.build}'}"


def written(rows: Sequence[Variant]) -> str:
    """Return a table as it would be typed."""
    return "; ".join(f"{ANY if r.volts is None else f'{r.volts:g} V'}, {r.build} → {r.part}" for r in rows)


def alike_v(one: float, other: float) -> bool:
    """Tell whether two voltages are one supply: plates say 220, 230 or 240 for the same.

    Units: [V]
    """
    return not over(abs(one - other), _ALIKE_V * max(one, other))


def _of_supply(row: Variant, volts: float | None) -> bool:
    return row.volts is None or (volts is not None and alike_v(row.volts, volts))


def belonging(rows: Sequence[Variant], volts: float | None, build: str) -> Variant | None:
    """Return the row of a supply and a build, one that names both before one that names one, that before one for any;
    None where none is there.
    """

    def fits(row: Variant) -> bool:
        named = row.build == ANY or row.build.casefold() == build.casefold()
        return named and _of_supply(row, volts)

    return min((r for r in rows if fits(r)), key=lambda r: (r.volts is None, r.build == ANY), default=None)


def misfits(rows: Sequence[Variant], part: str, volts: float | None, build: str) -> tuple[str, ...]:
    """Return by what a set belongs elsewhere: its voltage, its build, or both; nothing where it belongs here."""
    own = [r for r in rows if r.part.casefold() == part.casefold()]
    if any(belonging(rows, volts, build) == r for r in own):
        return ()
    by_volts = [r for r in own if _of_supply(r, volts)]
    by_build = [r for r in own if r.build == ANY or r.build.casefold() == build.casefold()]
    made = (*(() if by_volts else ("voltage",)), *(() if by_build else ("build",)))
    return made or ("voltage and build together",)
