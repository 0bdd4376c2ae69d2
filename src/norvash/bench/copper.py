"""How long the largest commutator takes: its spacings sought, its map drawn; and a whole motor drawn in section."""

import gzip
import statistics
import time
from collections.abc import Callable
from random import Random

from norvash.core.commutator.pattern import places, search
from norvash.core.rules.catalogue import shipped
from norvash.drawing.commutator.bar_map import Mapped, bar_map
from norvash.drawing.cutaway.built import Stated
from norvash.drawing.cutaway.parts import DRAW
from norvash.drawing.cutaway.section import PartShown, section

_BARS, _TURNS = 400, 30


def _median_ms(job: Callable[[], object]) -> float:
    times = []
    for _ in range(_TURNS):
        started = time.perf_counter()
        job()
        times.append((time.perf_counter() - started) * 1000)
    return statistics.median(times)


def on_copper() -> dict[str, float]:
    """Return the median times of a search among random and regular spots, of a drawn map and of a section [ms], and how
    much that is, packed [kB].
    """
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
    return {
        "pattern_ms": max(searched),
        "map_ms": _median_ms(lambda: bar_map(mapped, 620).svg()),
        "section_ms": _median_ms(_section),
        "section_kb": len(gzip.compress(_section().encode())) / 1000,
    }


def _section() -> str:
    """Return a section as it is drawn for the first time, level and upright."""
    stated = Stated(motor_class="industrial", bars=93, feet=True)
    parts = tuple(PartShown(id=i, number=n, name=i, state="found", grade="plan") for n, i in enumerate(DRAW, start=1))
    drawn = section.__wrapped__(stated, parts, ("brushes",), tuple(DRAW))
    return drawn.wide.svg() + drawn.upright.beside_words()
