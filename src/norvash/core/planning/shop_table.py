"""A table of intervals that Norvash makes for a type: from its own limit and its family's wear rates."""

from collections.abc import Sequence

from norvash.core.forecast.case import Case, PastRound, constants_of
from norvash.core.forecast.past_set import PastSet
from norvash.core.planning.interval_table import IntervalTable
from norvash.core.rules.book import MotorRules

_USE_SHARES = (0.1, 0.2, 0.35, 0.5, 0.7, 1.0, 1.4)
_USABLE_SHARES = (0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3, 0.2, 0.1)


def shop_table(
    new_mm: float,
    limit_mm: float,
    brushes: int,
    *,
    life: float,
    past: Sequence[PastSet],
    sd_mm: float,
    rules: MotorRules,
) -> IntervalTable:
    """Return a table over use so far and the worst brush's length.

    A cell is the use to the next look at the chosen risk.

    Units: lengths [mm], life and cells in the unit of use; no cell is longer than a life. The worst brush stands for
    the set, and every cell is rounded down and never longer than its neighbours allow.
    """
    from norvash.core.forecast.model import forecasts

    step = _nice(life / 100)
    rows = tuple(sorted({max(round(life * s / step) * step, step) for s in _USE_SHARES}))
    columns = tuple(round(limit_mm + (new_mm - limit_mm) * s, 1) for s in _USABLE_SHARES)
    constants = constants_of(rules)
    cases = [
        Case(
            new_mm=new_mm,
            limit_mm=limit_mm,
            brushes=brushes,
            expected_life=life,
            visits=(PastRound(use, sd_mm, (mm,) * brushes),),
            past=tuple(past),
            constants=constants,
        )
        for use in rows
        for mm in columns
    ]
    made = forecasts(cases)
    least = rules["forecast.stop"] * life
    raw = [
        [min(max(f.inspect_use - use, 0.0), life) for f in made[i * len(columns) : (i + 1) * len(columns)]]
        for i, use in enumerate(rows)
    ]
    return IntervalTable(rows, columns, _safe(raw, step, least), "length")


def _safe(raw: list[list[float]], step: float, least: float) -> tuple[tuple[float, ...], ...]:
    """Return the cells rounded down, too short a one as 0, each no longer than any that must not be shorter."""
    cells = [[x // step * step if x >= least else 0.0 for x in row] for row in raw]
    for row in cells:
        for j in range(1, len(row)):
            row[j] = min(row[j], row[j - 1])
    for i in range(len(cells) - 2, -1, -1):
        cells[i] = [min(a, b) for a, b in zip(cells[i], cells[i + 1], strict=True)]
    return tuple(tuple(row) for row in cells)


def _nice(value: float) -> float:
    """Return 1, 2 or 5 times a power of ten at or under a value, at least 1.

    >>> _nice(14.0), _nice(65.0), _nice(0.3)
    (10.0, 50.0, 1.0)
    """
    power = 1.0
    while power * 10 <= value:
        power *= 10
    return max(m * power for m in (1, 2, 5) if m * power <= max(value, 1.0))
