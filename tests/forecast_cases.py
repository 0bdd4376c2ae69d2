"""Sets to be forecast: the worked cases, and every shape that a set can have."""

import json
from dataclasses import replace
from typing import Any

from norvash.core.forecast.case import Case, PastRound, Usage
from whole import DATA

CASES: list[dict[str, Any]] = json.loads((DATA / "forecast.json").read_text())


def worn(life: float, at: tuple[float, ...], *, brushes: int = 4, sd: float = 0.05, fast: float = 1.0) -> Case:
    """Return a set of 10 mm usable carbon that wears evenly, measured at shares of its life."""
    rates = [fast * 10 / life * (1 + 0.05 * (b % 3)) for b in range(brushes)]
    visits = tuple(PastRound(life * x, sd, tuple(16 - r * life * x for r in rates)) for x in at)
    return Case(
        new_mm=16.0,
        limit_mm=6.0,
        brushes=brushes,
        expected_life=life,
        visits=visits,
        usage=Usage(40, life / 2, life / 80),
    )


SHAPES = {
    "nothing measured": worn(160, ()),
    "measured when fitted": worn(160, (0.0,)),
    "measured while it beds in": worn(160, (0.004, 0.01)),
    "measured while it beds in, and late": worn(9000, (0.005, 0.4)),
    "one brush": worn(160, (0.3, 0.5), brushes=1),
    "forty brushes": worn(9000, (0.2, 0.4, 0.6), brushes=40),
    "starts in tens of thousands": worn(30000, (0.2, 0.4)),
    "at its limit": worn(160, (0.5, 1.2)),
    "long past its limit": worn(160, (0.5, 1.0, 1.4)),
    "worn by nothing": replace(worn(160, ()), visits=tuple(PastRound(u, 0.05, (16.0,) * 4) for u in (80, 90))),
    "two visits at one use": replace(worn(160, (0.3,)), visits=worn(160, (0.3, 0.3)).visits),
    "a visit with nobody measured": replace(
        worn(160, (0.3,)), visits=(*worn(160, (0.3,)).visits, PastRound(60, 0.05, (None,) * 4))
    ),
    "by wear lines": worn(160, (0.3, 0.6), sd=1.2),
    "by eye": worn(160, (0.3,), sd=1.3),
    "three ages": replace(worn(160, (0.4, 0.6)), fitted=(0.0, 0.0, 40.0, 80.0)),
    "all renewed at once, later": replace(worn(160, (0.4, 0.6)), fitted=(40.0,) * 4),
    "a carbon as thin as paper": Case(
        new_mm=0.8, limit_mm=0.3, brushes=1, expected_life=40.0, visits=(PastRound(20.0, 0.02, (0.6,)),)
    ),
    "one brush jumps": replace(
        worn(160, (0.2, 0.4, 0.6)), visits=(*worn(160, (0.2, 0.4)).visits, PastRound(96, 0.05, (6.5, 9.0, 8.9, 9.1)))
    ),
    "no use known": replace(worn(160, (0.4,)), usage=Usage()),
    "used half an hour a week": replace(worn(160, (0.4,)), usage=Usage(0, 0, 0.5)),
    "used half an hour a week, in its season": replace(
        worn(160, (0.4,)), usage=Usage(0, 0, 0.5, (1.0,) * 20 + (0.0,) * 32)
    ),
    "logged for half a week": replace(worn(160, (0.4,)), usage=Usage(0.5, 10.0)),
    "the shorter of two recorded": replace(worn(160, (0.4,), brushes=1), shortest_of=2),
    "run one week a year": replace(worn(160, (0.4,)), usage=Usage(0, 0, 2.0, (0.0,) * 30 + (0.8,) + (0.0,) * 21)),
    "past its limit, out of its season": replace(
        worn(160, (0.5, 1.2)), usage=Usage(0, 0, 20.0, (0.0,) * 30 + (1.0,) * 22)
    ),
    "never runs": replace(worn(160, (0.4,)), usage=Usage(40, 80, 2.0, (0.0,) * 52)),
    "only the shortest recorded": replace(worn(160, (0.4,), brushes=1), shortest_of=4),
}
