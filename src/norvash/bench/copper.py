"""How long the largest commutator takes: its spacings sought, its map drawn."""

import statistics
import time
from collections.abc import Callable
from random import Random

from norvash.core.commutator.pattern import places, search
from norvash.core.rules.catalogue import shipped
from norvash.drawing.bar_map import Mapped, bar_map

_BARS, _TURNS = 400, 30


def _median_ms(job: Callable[[], object]) -> float:
    times = []
    for _ in range(_TURNS):
        started = time.perf_counter()
        job()
        times.append((time.perf_counter() - started) * 1000)
    return statistics.median(times)


def on_copper() -> dict[str, float]:
    """Return the median times of a search among random and regular spots, and of a drawn map [ms]."""
    rules, random = shipped(), Random(5)
    kinds = (
        sorted(random.sample(range(1, _BARS + 1), 60)),
        places(_BARS, 100, 1),
        places(_BARS, 4, 7),
        [*places(_BARS, 57, 3), 2, 9, 77],
    )
    searched = [
        _median_ms(lambda spots=spots, poles=poles, slots=slots: search(sorted(set(spots)), _BARS, poles, slots, rules))  # type: ignore[misc]
        for spots in kinds
        for poles, slots in ((4, 100), (None, None))
    ]
    shown = {b: frozenset(("dark" if b % 2 else "even", "pitted")) for b in range(1, _BARS + 1)}
    mapped = Mapped(bars=_BARS, shown=shown, poles=4, slots=100, deviations=[0.01] * _BARS, paint=True)
    return {"pattern_ms": max(searched), "map_ms": _median_ms(lambda: bar_map(mapped, 620).svg())}
