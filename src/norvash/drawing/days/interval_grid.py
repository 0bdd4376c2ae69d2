"""An interval table drawn: use downwards, wear to the right, the cell that holds marked."""

from collections.abc import Sequence

from norvash.core.planning.interval_table import IntervalTable
from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, Element, el, label, line

_HEAD_PX, _ROW_PX, _FIRST_PX, _FOOT_PX = 34.0, 30.0, 64.0, 8.0
_LEAST_CELL_PX = 46.0
_MOST_TINT = 0.5


def interval_grid(
    table: IntervalTable, found: Sequence[tuple[int | None, int | None]], unit: str, width: float
) -> Drawing:
    """Draw a table of intervals with the cells found in it; the longer an interval, the more carbon its cell shows.

    Units: width [px]; unit is that of the use. Shape: found holds row and column (from 0), None where there is none.
    """
    across = max((width - _FIRST_PX) / len(table.columns_mm), _LEAST_CELL_PX)
    longest = max((c for row in table.cells for c in row if c is not None), default=0.0) or 1.0
    made: list[Element] = [label("text-soft", 0, 14, unit), label("text-soft", _FIRST_PX - 8, 14, "mm", "end")]
    for j, column in enumerate(table.columns_mm):
        made.append(label("text", _FIRST_PX + (j + 0.5) * across, 22, f"{column:g}", "middle"))
    for i in range(len(table.rows)):
        y = _HEAD_PX + i * _ROW_PX
        made.append(label("text", _FIRST_PX - 8, y + 20, table.heading(i), "end"))
        for j, cell in enumerate(table.cells[i]):
            x = _FIRST_PX + j * across
            made.append(
                el(
                    "rect",
                    "carbon",
                    x=x + 1,
                    y=y + 1,
                    width=across - 2,
                    height=_ROW_PX - 2,
                    fill_opacity=round(0.04 + _MOST_TINT * (cell or 0.0) / longest * 0.5, 3),
                )
            )
            made.append(label("text", x + across / 2, y + 20, _said(cell), "middle"))
    for marked_row, marked_column in found:
        made += _mark(table, marked_row, marked_column, across)
    height = _HEAD_PX + _ROW_PX * len(table.rows) + _FOOT_PX
    head = (f"{unit} so far", *(f"{c:g} mm" for c in table.columns_mm))
    rows = tuple((table.heading(i), *map(_said, cells)) for i, cells in enumerate(table.cells))
    drawn = max(_FIRST_PX + across * len(table.columns_mm) + 2, width)
    return Drawing(
        name="interval-grid",
        width=drawn,
        height=height,
        title="Intervals",
        description=_describe(table, found, unit),
        elements=tuple(made),
        head=head,
        rows=rows,
    )


def _said(cell: float | None) -> str:
    """Return what stands in a cell: its interval, a dash, or that the set is to be changed."""
    return "–" if cell is None else grouped(cell) if cell else "change"


def _mark(table: IntervalTable, i: int | None, j: int | None, across: float) -> list[Element]:
    """Return the frame of a cell with the ways to it; beyond the table a stroke at the edge that was passed."""
    bottom, right = _HEAD_PX + _ROW_PX * len(table.rows), _FIRST_PX + across * len(table.columns_mm)
    if j is None:
        return [line("copper-line", right, _HEAD_PX - 4, right, bottom + 4)]
    x = _FIRST_PX + j * across
    if i is None:
        return [line("copper-line", x, _HEAD_PX - 2, x + across, _HEAD_PX - 2)]
    y = _HEAD_PX + i * _ROW_PX
    return [
        line("copper-line", _FIRST_PX - 4, y + 3, _FIRST_PX - 4, y + _ROW_PX - 3),
        line("copper-line", x + 4, _HEAD_PX - 4, x + across - 4, _HEAD_PX - 4),
        el("rect", "copper-line", x=x, y=y, width=across, height=_ROW_PX),
    ]


def _describe(table: IntervalTable, found: Sequence[tuple[int | None, int | None]], unit: str) -> str:
    words = f"{len(table.rows)} rows of use by {len(table.columns_mm)} columns of {table.quantity}"
    cells = [
        f"row {table.heading(i)} {unit}, column {table.columns_mm[j]:g} mm: {_said(table.cells[i][j])} {unit}"
        for i, j in found
        if i is not None and j is not None
    ]
    return "; ".join([words, *cells]) + "."
