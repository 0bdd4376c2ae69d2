"""The sum on tables of intervals: which cell holds, and why."""

from dataclasses import dataclass
from itertools import repeat

from norvash.core.edges import over
from norvash.core.known import all_known
from norvash.core.planning.interval_table import Cell, IntervalTable, TableNotes
from norvash.core.planning.policies import whole_runs
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

HEADINGS = {"from": "from its use on", "up to": "up to its use, as in <= 500"}
DASHES = {"no answer": "no answer from the table", "out of service": "out of service, by the table's note"}


@dataclass(frozen=True, slots=True, kw_only=True)
class TableIn:
    """A table by depth or by length, and one or several moments to look up.

    The worst brush of a complete set counts.
    """

    rows_h: list[float] = ask("Rows: use so far", "hours", hint="rising")
    columns_mm: list[float] = ask("Columns: depth or length", "length", low=-500.0, hint="from new to worn")
    cells_h: list[list[float | None]] = ask("Cells: longest use to the next check", "hours", hint="rows apart by |")
    run_h: float | list[float] = ask("Use so far", "hours")
    depths_mm: list[float] | None = ask("Depths of all brushes", "length", low=-500.0, default=None)
    worst_depth_mm: float | list[float] | None = ask("or the greatest depth", "length", low=-500.0, default=None)
    lengths_mm: list[float] | None = ask("or lengths of all brushes", "length", default=None)
    worst_length_mm: float | list[float] | None = ask("or the shortest length", "length", default=None)
    longest_h: float | None = ask("Longest interval", "hours", default=None, above_low=True)
    since_check_h: float | None = ask("Use since the last check", "hours", default=None)
    headings: str = ask("A row holds", "word", default="from", choices=tuple(HEADINGS.items()))
    dash: str = ask("A dash in a cell means", "word", default="no answer", choices=tuple(DASHES.items()))


@dataclass(frozen=True, slots=True, kw_only=True)
class TableOut:
    """The cell and what it says; lists where several moments were asked for."""

    worst_depth_mm: float | list[float] | None = gives("greatest depth")
    worst_length_mm: float | list[float] | None = gives("shortest length")
    row_h: float | list[float | None] | None = gives("row")
    column_mm: float | list[float | None] | None = gives("column")
    interval_h: float | list[float | None] | None = gives("longest use to the next time")
    next_check_h: float | list[float | None] | None = gives("next check by")
    answer: str | list[str] = gives("answer")
    advice: str
    rules: tuple[str, ...] = ()


def interval_table(given: TableIn, rules: MotorRules) -> TableOut:
    """Return which cells hold, by the worst brush, never between two cells.

    Raises: InputError that names the field which cannot be so.
    """
    quantity, worst = _worst(given)
    _, pairs, cells = looked_up(given)
    several = isinstance(given.run_h, list) or isinstance(worst, list)
    columns = (
        [None if c.row is None else given.rows_h[c.row] for c in cells],
        [None if c.column is None else given.columns_mm[c.column] for c in cells],
        [c.interval for c in cells],
        [None if c.interval is None else run + c.interval for c, (run, _) in zip(cells, pairs, strict=True)],
    )
    row, column, interval, upcoming = (c if several else c[0] for c in columns)
    return TableOut(
        worst_depth_mm=worst if quantity == "depth" else None,
        worst_length_mm=worst if quantity == "length" else None,
        row_h=row,
        column_mm=column,
        interval_h=interval,
        next_check_h=upcoming,
        answer=[c.answer for c in cells] if several else cells[0].answer,
        advice="; ".join(c.words for c in cells),
    )


def looked_up(given: TableIn) -> tuple[IntervalTable, list[tuple[float, float]], list[Cell]]:
    """Return the table, the moments as use and worst reading, and the cell of each.

    Raises: InputError that names the field which cannot be so.
    """
    quantity, worst = _worst(given)
    table = IntervalTable(
        tuple(given.rows_h),
        tuple(given.columns_mm),
        tuple(map(tuple, given.cells_h)),
        quantity,
        TableNotes(given.longest_h, given.headings == "up to", given.dash == "out of service"),
    )
    pairs = _paired(given.run_h, worst)
    return table, pairs, [_overdue(table.look_up(run, mm), given) for run, mm in pairs]


def _overdue(cell: Cell, given: TableIn) -> Cell:
    """Return the cell, as overdue where the longest interval has already passed since the last check."""
    hours = all_known(given.since_check_h, given.longest_h)
    if cell.answer == "out of service" or hours is None or not over(*hours):
        return cell
    words = "{:g} h since the last check are over the longest interval of {:g} h: overdue".format(*hours)
    return Cell("overdue", 0.0, cell.row, cell.column, words)


def _worst(given: TableIn) -> tuple[str, float | list[float]]:
    named = {n: getattr(given, n) for n in ("depths_mm", "worst_depth_mm", "lengths_mm", "worst_length_mm")}
    stated = [n for n, v in named.items() if v is not None]
    if len(stated) != 1:
        what = "No reading is given." if not stated else f"{stated[0]} and {stated[1]} are both given."
        raise InputError(what, "Give the depths or the lengths of all brushes, or the worst one.", "depths_mm")
    name = stated[0]
    value = named[name]
    quantity = "depth" if "depth" in name else "length"
    if name.startswith("worst"):
        return quantity, value
    if not value:
        raise InputError("No brush is given.", "Give one value for each brush.", name)
    return quantity, (max if quantity == "depth" else min)(value)


def _paired(run: float | list[float], worst: float | list[float]) -> list[tuple[float, float]]:
    if isinstance(run, list) and isinstance(worst, list):
        if len(run) != len(worst) or not run:
            raise InputError(
                f"{len(run)} uses stand beside {len(worst)} readings.", "Give one reading for each use.", "run_h"
            )
        return list(zip(run, worst, strict=True))
    if isinstance(run, list):
        return list(zip(run, repeat(float(worst)))) if not isinstance(worst, list) else []
    return [(run, mm) for mm in (worst if isinstance(worst, list) else [worst])]


@dataclass(frozen=True, slots=True, kw_only=True)
class RunsIn:
    """The use now, the use of one run, and what is due: one use, or several of which the earliest counts."""

    use_now: float = ask("Use now", "count")
    run: float = ask("Use of one run", "count", above_low=True)
    due: float | list[float] = ask("Due at", "count", hint="one use, or several: the earliest counts")


@dataclass(frozen=True, slots=True, kw_only=True)
class RunsOut:
    """How many whole runs are left, the use at which they end, and where one more would end."""

    runs: int = gives("whole runs left")
    ends_at: float = gives("they end at")
    next_would_end_at: float = gives("one more would end at")
    due_first: float = gives("due first at")
    advice: str
    rules: tuple[str, ...] = ()


def runs_before(given: RunsIn, rules: MotorRules) -> RunsOut:
    """Return the whole runs that fit before the earliest of what is due.

    Raises: InputError that names the field which cannot be so.
    """
    if given.due == []:
        raise InputError("Nothing is given that is due.", "Give the use at which it is due.", "due")
    first = min(given.due) if isinstance(given.due, list) else given.due
    left = whole_runs(given.use_now, given.run, first)
    advice = left.words(first) if left.runs else f"{left.words(first)}: no whole run is left"
    return RunsOut(
        runs=left.runs,
        ends_at=left.ends_at,
        next_would_end_at=left.next_would_end_at,
        due_first=first,
        advice=f"{advice[0].upper()}{advice[1:]}.",
    )


SUMS = (
    Sum(
        name="whole-runs",
        title="Whole runs left",
        words=(
            "How many whole runs, shifts or performances fit before the earliest of what is due: nobody stops in the"
            " middle of one."
        ),
        inputs=RunsIn,
        compute=runs_before,
        example={"use_now": 371.0, "run": 24.0, "due": [420.0, 465.0]},
    ),
    Sum(
        name="interval-table",
        title="Interval by table",
        words=(
            "Which cell of a maker's table holds: use down to a row, wear to the next worse column, by "
            "the worst brush; outside the table a named answer."
        ),
        inputs=TableIn,
        compute=interval_table,
        example={
            "rows_h": [260, 520, 1040],
            "columns_mm": [8.45, 8.95, 9.45, 9.85],
            "cells_h": [[425, 310, 165, 55], [710, 520, 290, 110], [955, 770, 435, 195]],
            "run_h": 730,
            "depths_mm": [8.83, 8.98, 8.79, 8.81],
        },
    ),
)
