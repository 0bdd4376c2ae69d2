"""The bar map: which bar shows what, as it is painted, typed and kept."""

import re
from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from norvash.errors import InputError

LEAST_BARS, MOST_BARS = 5, 400


@dataclass(frozen=True, slots=True)
class Condition:
    """One thing that a bar can show; a film excludes other films, all else can stand together on a bar."""

    id: str
    words: str
    kind: str


CONDITIONS = (
    Condition("even", "even film", "film"),
    Condition("light", "light film", "film"),
    Condition("dark", "dark film", "film"),
    Condition("burnt", "burnt bar", "burn"),
    Condition("burnt-leading", "burnt edge, leading", "burn"),
    Condition("burnt-trailing", "burnt edge, trailing", "burn"),
    Condition("streaked", "streaked", "film"),
    Condition("threaded", "threaded", "surface"),
    Condition("grooved", "grooved", "surface"),
    Condition("drag", "copper drag", "surface"),
    Condition("pitted", "pitted", "surface"),
    Condition("flat", "flat spot", "shape"),
    Condition("raised", "raised bar", "shape"),
    Condition("loose", "loose bar", "shape"),
    Condition("dirty-slot", "dirt or copper in the slot", "slot"),
    Condition("high-mica", "high mica", "slot"),
    Condition("chipped", "chipped edge", "slot"),
)
BY_ID = {c.id: c for c in CONDITIONS}
FILMS = frozenset(c.id for c in CONDITIONS if c.kind == "film")
BURNS = ("burnt", "burnt-leading", "burnt-trailing")
MARKED = ("dark", *BURNS)

# What ends the words of a map that is still being painted.
GOES_ON = "…"
# What comes with such words from a page.
PAINTING = "painting"

BarMap = Mapping[int, frozenset[str]]
_PART = re.compile(r"([a-z-]+)\s+([0-9][0-9\s,–-]*)")
_RUN = re.compile(r"([0-9]{1,4})(?:\s*[-–]\s*([0-9]{1,4}))?")


def check_bars(bars: int | None, field: str = "bars") -> int:
    """Return a number of bars that can be mapped.

    Raises: InputError at the field.
    """
    if bars is None:
        raise InputError("The number of bars is not known.", "Count them and give the figure.", field)
    if not LEAST_BARS <= bars <= MOST_BARS:
        raise InputError(f"{bars} bars cannot be mapped.", f"Give from {LEAST_BARS} to {MOST_BARS} bars.", field)
    return bars


def read_map(text: str, bars: int) -> dict[int, frozenset[str]]:
    """Return the conditions by bar from words like “burnt 5, 27; dark 40-44”; a run may pass over the last bar.

    Shape: bars count from 1 in the direction of turning; bars without a condition are left out.
    Raises: InputError for a condition or a bar that there is not, or two films on one bar.

    >>> sorted(read_map("burnt 5, 7-8", 12))
    [5, 7, 8]
    """
    check_bars(bars)
    found: dict[int, set[str]] = {}
    for part in (p.strip().lower() for p in text.split(";") if p.strip(" .…")):
        match = _PART.fullmatch(part)
        if match is None or match[1] not in BY_ID:
            known = ", ".join(c.id for c in CONDITIONS)
            raise InputError(
                f"“{part[:40]}” cannot be read.",
                f"Write a condition and its bars, like burnt 5, 27; conditions are {known}.",
                "value",
            )
        for bar in _bars_of(match[2], bars):
            found.setdefault(bar, set()).add(match[1])
    for bar, shown in found.items():
        films = shown & FILMS
        if len(films) > 1:
            raise InputError(f"Bar {bar} shows two films: {' and '.join(sorted(films))}.", "Keep one of them.", "value")
    return {bar: frozenset(shown) for bar, shown in sorted(found.items())}


def goes_on(text: str) -> bool:
    """Tell whether the words of a map say that it is still being painted.

    >>> goes_on("burnt 5; …"), goes_on("burnt 5")
    (True, False)
    """
    return text.rstrip().endswith((GOES_ON, "..."))


def check_painted(shown: BarMap, bars: int) -> None:
    """Refuse a map that was painted while the commutator had more bars.

    Raises: InputError that names the bar.
    """
    check_bars(bars)
    beyond = next((bar for bar in shown if bar > bars), None)
    if beyond is not None:
        raise InputError(f"There is no bar {beyond}.", f"Bars count from 1 to {bars}.", "value")


def _bars_of(text: str, bars: int) -> list[int]:
    made: list[int] = []
    for piece in (p.strip() for p in text.split(",") if p.strip()):
        match = _RUN.fullmatch(piece)
        if match is None:
            raise InputError(
                f"“{piece[:20]}” is neither a bar nor a run of bars.", "Write 5 or 5-9, with commas between.", "value"
            )
        first = int(match[1])
        last = int(match[2] or first)
        if not (1 <= first <= bars and 1 <= last <= bars):
            raise InputError(
                f"There is no bar {last if 1 <= first <= bars else first}.", f"Bars count from 1 to {bars}.", "value"
            )
        made += [(first - 1 + i) % bars + 1 for i in range((last - first) % bars + 1)]
    return made


def write_map(shown: BarMap) -> str:
    """Return a map as the words that `read_map` reads.

    >>> write_map({5: frozenset({"burnt"}), 6: frozenset({"burnt"}), 9: frozenset({"dark"})})
    'dark 9; burnt 5-6'
    """
    parts = []
    for condition in CONDITIONS:
        on = sorted(b for b, c in shown.items() if condition.id in c)
        if on:
            parts.append(f"{condition.id} {_runs_text(on)}")
    return "; ".join(parts)


def runs(on: Iterable[int]) -> list[tuple[int, int]]:
    """Return neighbouring bars as runs (first, last), without going round.

    >>> runs([1, 2, 5])
    [(1, 2), (5, 5)]
    """
    made: list[tuple[int, int]] = []
    for bar in sorted(on):
        if made and made[-1][1] == bar - 1:
            made[-1] = (made[-1][0], bar)
        else:
            made.append((bar, bar))
    return made


def _runs_text(on: list[int]) -> str:
    return ", ".join(f"{a}" if a == b else f"{a}-{b}" for a, b in runs(on))


def round_runs(on: Iterable[int], bars: int) -> list[tuple[int, int]]:
    """Return neighbouring bars as (first, length), counted round: the last bar and the first are neighbours."""
    flat = runs(on)
    if len(flat) > 1 and flat[0][0] == 1 and flat[-1][1] == bars:
        (_, end), (start, _) = flat[0], flat[-1]
        return [(a, b - a + 1) for a, b in flat[1:-1]] + [(start, bars - start + 1 + end)]
    return [(a, b - a + 1) for a, b in flat]


def spots_of(on: Iterable[int], bars: int) -> tuple[int, ...]:
    """Return the middle bar of every run of marked bars, of two the lower one.

    >>> spots_of([12, 1, 5, 6], 12)
    (5, 12)
    """
    return tuple(sorted((a - 1 + (n - 1) // 2) % bars + 1 for a, n in round_runs(on, bars)))


def having(shown: BarMap, *conditions: str) -> list[int]:
    """Return the bars that show at least one of some conditions."""
    return sorted(b for b, c in shown.items() if c.intersection(conditions))


def changed(before: BarMap, now: BarMap) -> tuple[list[int], list[int]]:
    """Return the bars that show more than last time, and those that show something no more."""
    every = sorted({*before, *now})
    more = [b for b in every if now.get(b, frozenset()) - before.get(b, frozenset())]
    less = [b for b in every if before.get(b, frozenset()) - now.get(b, frozenset()) and b not in more]
    return more, less
