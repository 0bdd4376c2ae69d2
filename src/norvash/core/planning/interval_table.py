"""Tables of intervals: use so far in rows, wear in columns, the longest use to the next check in the cells."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from itertools import pairwise
from math import isfinite
from typing import Any

from norvash.core.edges import over, under
from norvash.core.text.words import grouped
from norvash.errors import InputError

QUANTITIES = ("depth", "length")
_MOST_ROWS, _MOST_COLUMNS = 200, 60


@dataclass(frozen=True, slots=True)
class Cell:
    """What a table answers, with the place it was found at (from 0) and the reason in words.

    No interval without a check.
    """

    answer: str
    interval: float | None
    row: int | None
    column: int | None
    words: str


@dataclass(frozen=True, slots=True)
class TableNotes:
    """What stands beside a table: the longest interval allowed [unit of use], None without one; `upto`: its uses are
    typed as “<= 500” and hold up to that use; `dash_stops`: a dash means out of service, and not that it has no answer.
    """

    longest: float | None = None
    upto: bool = False
    dash_stops: bool = False


@dataclass(frozen=True, slots=True)
class IntervalTable:
    """A table that has been checked: `quantity` says which way is worse (a depth grows, a length falls).

    Units: rows and cells in the unit of use, columns [mm]. A cell that is None is a dash.
    Raises: InputError where it is no table, or falls in the unsafe direction.
    """

    rows: tuple[float, ...]
    columns_mm: tuple[float, ...]
    cells: tuple[tuple[float | None, ...], ...]
    quantity: str = "depth"
    notes: TableNotes = TableNotes()

    def __post_init__(self) -> None:
        if self.quantity not in QUANTITIES:
            raise InputError(
                f"“{self.quantity}” is not a quantity of such a table.", "Say depth or length.", "quantity"
            )
        self._shape()
        self._headings()
        self._directions()

    def _shape(self) -> None:
        if not (1 <= len(self.rows) <= _MOST_ROWS and 1 <= len(self.columns_mm) <= _MOST_COLUMNS):
            raise InputError(
                f"The table has {len(self.rows)} rows and {len(self.columns_mm)} columns.",
                f"Give 1 to {_MOST_ROWS} rows and 1 to {_MOST_COLUMNS} columns.",
                "cells_h",
            )
        if len(self.cells) != len(self.rows) or any(len(r) != len(self.columns_mm) for r in self.cells):
            raise InputError("The cells do not fill the table.", "Give one cell for each row and column.", "cells_h")
        for value in (*self.rows, *self.columns_mm, *(c for r in self.cells for c in r if c is not None)):
            if not (isfinite(value) and 0 <= value <= 1e9):
                raise InputError(
                    f"{value:g} is neither a cell nor a heading of such a table.", "Use plain numbers.", "cells_h"
                )

    def _headings(self) -> None:
        if any(b <= a for a, b in pairwise(self.rows)):
            raise InputError(
                "The use so far does not rise from row to row.", "Order the rows by use, each once.", "rows_h"
            )
        if any(not self._worse(b, a) for a, b in pairwise(self.columns_mm)):
            way = "grow" if self.quantity == "depth" else "fall"
            raise InputError(
                f"The {self.quantity} does not {way} from column to column.",
                f"Order the columns from new to worn: a {self.quantity} {way}s with wear.",
                "columns_mm",
            )

    def _directions(self) -> None:
        for i, row in enumerate(self.cells):
            filled = [(mm, c) for mm, c in zip(self.columns_mm, row, strict=True) if c is not None]
            for (_, a), (mm, b) in pairwise(filled):
                if b > a:
                    raise InputError(
                        f"The table rises towards worse wear: row {self.rows[i]:g}, from {a:g} to {b:g} at {mm:g} mm.",
                        "More wear never allows a longer interval: check the cells, or which way is worse.",
                        "cells_h",
                    )
        for j, mm in enumerate(self.columns_mm):
            filled = [(use, c) for use, row in zip(self.rows, self.cells, strict=True) if (c := row[j]) is not None]
            for (_, above), (use, below) in pairwise(filled):
                if below < above:
                    raise InputError(
                        f"The table falls with more use: column {mm:g} mm, from {above:g} to {below:g} at row {use:g}.",
                        "The same wear after more use is slower wear: its interval is never shorter. Check the cells.",
                        "cells_h",
                    )

    def _worse(self, a: float, b: float) -> bool:
        return a > b if self.quantity == "depth" else a < b

    def _beyond(self, value: float, heading: float) -> bool:
        """Tell whether a reading is worse than a heading; one that is the heading belongs to it."""
        return over(value, heading) if self.quantity == "depth" else over(heading, value)

    def worst(self, values: Sequence[float]) -> float:
        """Return the worst of several readings, which is the one that counts."""
        return max(values) if self.quantity == "depth" else min(values)

    def look_up(self, run: float, worst_mm: float, unit: str = "h") -> Cell:
        """Return the interval at a use so far and the worst brush's reading, never interpolated.

        Use goes down to a row, or up to the next heading that holds up to its use; wear goes to the next worse column;
        a value equal to a heading belongs to it.
        """
        column = next((j for j, c in enumerate(self.columns_mm) if not self._beyond(worst_mm, c)), None)
        row = self._row(run)
        read = f"{self.quantity} {worst_mm:g} mm of the worst brush"
        if column is None:
            return Cell(
                "out of service",
                None,
                row,
                None,
                f"{read} is beyond the last column, {self.columns_mm[-1]:g} mm: out of service",
            )
        if row is None:
            end = (
                f"over the last row, {grouped(self.rows[-1])}"
                if self.notes.upto
                else (f"below the first row, {grouped(self.rows[0])}")
            )
            words = f"{grouped(run)} {unit} is {end} {unit}: no answer from the table"
            return Cell("no answer from the table", None, None, column, words)
        cell = self.cells[row][column]
        if cell is None:
            answer = "out of service" if self.notes.dash_stops else "no answer from the table"
            words = f"{read} after {grouped(run)} {unit}: a dash stands there, {answer}"
            return Cell(answer, None, row, column, words)
        interval = cell if self.notes.longest is None else min(cell, self.notes.longest)
        way = "up" if self.notes.upto else "down"
        words = (
            f"use {grouped(run)} {unit} {way} to row {grouped(self.rows[row])} {unit}, {read} to column"
            f" {self.columns_mm[column]:g} mm: {grouped(cell)} {unit}"
        )
        if under(interval, cell):
            words += f", never more than {grouped(interval)} {unit}"
        return Cell("check", interval, row, column, words)

    def _row(self, run: float) -> int | None:
        """Return the row that holds at a use, None beyond the table."""
        if self.notes.upto:
            return next((i for i, r in enumerate(self.rows) if not over(run, r)), None)
        return max((i for i, r in enumerate(self.rows) if not over(r, run)), default=None)

    def heading(self, row: int) -> str:
        """Return the heading of a row as it was typed."""
        return f"{'≤ ' if self.notes.upto else ''}{grouped(self.rows[row])}"

    def as_plain(self) -> dict[str, object]:
        """Return the table as plain data, to be kept."""
        return {
            "rows": self.rows,
            "columns_mm": self.columns_mm,
            "cells": self.cells,
            "quantity": self.quantity,
            "longest": self.notes.longest,
            "upto": self.notes.upto,
            "dash_stops": self.notes.dash_stops,
        }


def table_from(plain: Mapping[str, Any]) -> IntervalTable:
    """Return a kept table."""
    cells = tuple(tuple(row) for row in plain["cells"])
    notes = TableNotes(plain["longest"], plain.get("upto", False), plain.get("dash_stops", False))
    return IntervalTable(tuple(plain["rows"]), tuple(plain["columns_mm"]), cells, plain["quantity"], notes)
