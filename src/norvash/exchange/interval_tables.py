"""Interval tables as CSV: the first row holds the wear, the first column the use."""

from norvash.core.planning.interval_table import IntervalTable
from norvash.errors import InputError
from norvash.exchange.sheets import Sheet, number, read_sheet, write_sheet


def table_from_csv(data: bytes, quantity: str, longest: float | None) -> IntervalTable:
    """Return an interval table from a file, checked for its safe direction.

    Raises: InputError that names the line and column of what is wrong.
    """
    sheet = read_sheet(data)
    if len(sheet.rows) < 2 or len(sheet.rows[0]) < 2:
        raise InputError(
            "The file has no table of rows and columns.",
            "Put the depths or lengths in the first row, the use in the first column.",
            "file",
        )
    width = len(sheet.rows[0])
    columns = tuple(_cell(sheet, 0, j) for j in range(1, width))
    rows, cells = [], []
    for i in range(1, len(sheet.rows)):
        if len(sheet.rows[i]) != width:
            raise InputError(
                f"Line {sheet.lines[i]} has {len(sheet.rows[i])} cells, the first row {width}.",
                "Fill every cell of the table.",
                "file",
            )
        rows.append(_cell(sheet, i, 0))
        cells.append(tuple(_cell(sheet, i, j) for j in range(1, width)))
    try:
        return IntervalTable(tuple(rows), columns, tuple(cells), quantity, longest)
    except InputError as error:
        raise error.at("file") from None


def _cell(sheet: Sheet, i: int, j: int) -> float:
    try:
        return number(sheet.rows[i][j])
    except InputError as error:
        raise InputError(f"Line {sheet.lines[i]}, column {j + 1}: {error.problem}", error.remedy, "file") from None


def table_as_csv(table: IntervalTable, unit: str) -> bytes:
    """Return an interval table as CSV."""
    head = [f"{unit} so far \\ {table.quantity} mm", *(f"{c:g}" for c in table.columns_mm)]
    body = [[f"{r:g}", *(f"{c:g}" for c in cells)] for r, cells in zip(table.rows, table.cells, strict=True)]
    return write_sheet([head, *body])
