"""Interval tables as CSV: the first row holds the wear, the first column the use."""

from norvash.core.planning.interval_table import IntervalTable, TableNotes
from norvash.core.text.quantities import parse
from norvash.errors import InputError
from norvash.exchange.sheets import Cells, number, read_sheet, write_sheet

_DASHES = ("-", "–", "—", "x", "X")


def table_from_csv(data: bytes, quantity: str, longest: float | None, *, dash_stops: bool = False) -> IntervalTable:
    """Return an interval table from a file, checked for its safe direction.

    A use may be typed as “<= 500”, then as all of them; a heading of wear as “<= 9.2” of a depth, “>= 12” of a length,
    which is what it means without it. A cell may be a dash, which means out of service where the
    table's note says so (`dash_stops`). Raises: InputError that names the line and column of what is wrong.
    """
    sheet = read_sheet(data)
    if len(sheet.rows) < 2 or len(sheet.rows[0]) < 2:
        raise InputError(
            "The file has no table of rows and columns.",
            "Put the depths or lengths in the first row, the use in the first column.",
            "file",
        )
    width = len(sheet.rows[0])
    columns = tuple(_head(sheet, j, quantity) for j in range(1, width))
    rows, cells, upto = [], list[tuple[float | None, ...]](), list[bool]()
    for i in range(1, len(sheet.rows)):
        if len(sheet.rows[i]) != width:
            raise InputError(
                f"Line {sheet.lines[i]} has {len(sheet.rows[i])} cells, the first row {width}.",
                "Fill every cell of the table.",
                "file",
            )
        bare = sheet.rows[i][0].strip()
        holds = bare.startswith(("<=", "≤"))
        upto.append(holds)
        rows.append(_cell(sheet, i, 0, bare.lstrip("<=≤ ") if holds else bare))
        cells.append(tuple(_filled(sheet, i, j) for j in range(1, width)))
    if any(upto) and not all(upto):
        line = sheet.lines[1 + upto.index(not upto[0])]
        raise InputError(
            f"Line {line} is not headed like the line above it.",
            "Head every line with a use like 500, or every line with one like <= 500.",
            "file",
        )
    try:
        return IntervalTable(tuple(rows), columns, tuple(cells), quantity, TableNotes(longest, all(upto), dash_stops))
    except InputError as error:
        raise error.at("file") from None


def _head(sheet: Cells, j: int, quantity: str) -> float:
    """Return a heading of wear; a depth holds up to its heading, a length down to it."""
    bare = sheet.rows[0][j].strip()
    marks, others = (
        (("<=", "≤"), (">=", "≥", "<", ">")) if quantity == "depth" else ((">=", "≥"), ("<=", "≤", "<", ">"))
    )
    if bare.startswith(marks):
        return _cell(sheet, 0, j, bare.lstrip("<>=≤≥ "), "length")
    if bare.startswith(others):
        raise InputError(
            f"Line {sheet.lines[0]}, column {j + 1}: “{bare[:20]}” is not how a {quantity} is read.",
            f"Write {marks[0]} before it, or only the figure.",
            "file",
        )
    return _cell(sheet, 0, j, bare, "length")


def _filled(sheet: Cells, i: int, j: int) -> float | None:
    """Return an interval, None for a dash."""
    return None if sheet.rows[i][j].strip() in _DASHES else _cell(sheet, i, j)


def _cell(sheet: Cells, i: int, j: int, bare: str = "", dimension: str = "hours") -> float:
    """Return a figure of the table, in mm or in its unit of use; one with a unit is taken in that."""
    text = (bare or sheet.rows[i][j]).strip()
    of_starts = dimension == "hours" and text.endswith("starts")
    try:
        return parse(text, "starts" if of_starts else dimension).value if text[-1:].isalpha() else number(text)
    except InputError as error:
        raise InputError(f"Line {sheet.lines[i]}, column {j + 1}: {error.problem}", error.remedy, "file") from None


def table_as_csv(table: IntervalTable, unit: str) -> bytes:
    """Return an interval table as CSV."""
    head = [f"{unit} so far \\ {table.quantity} mm", *(f"{c:g}" for c in table.columns_mm)]
    mark = "<= " if table.notes.upto else ""
    body = [
        [f"{mark}{r:g}", *("-" if c is None else f"{c:g}" for c in cells)]
        for r, cells in zip(table.rows, table.cells, strict=True)
    ]
    return write_sheet([head, *body])
