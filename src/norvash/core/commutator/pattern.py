"""Spacings on the bar map: exact chances that spots fall so by accident, corrected for every spacing tried."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from math import ceil, comb

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules

_HALF_A_BAR = 0.5


@dataclass(frozen=True, slots=True, kw_only=True)
class Spacing:
    """A regular spacing held against the spots.

    `repeats` marks a turn, one each `period_bars`; `chance` is that of as many hits by accident at one offset,
    `corrected` counts in every offset and every spacing tried; `kind` is pole pitch, two pole pitches, slots or
    free.
    """

    kind: str
    repeats: int
    period_bars: float
    offset: int
    hits: int
    chance: float
    corrected: float


@dataclass(frozen=True, slots=True)
class Searched:
    """The spacing that is proven, None without one, and the known spacings that all spots agree with."""

    proven: Spacing | None
    agree: tuple[Spacing, ...]


def tail(bars: int, in_set: int, drawn: int, hits: int) -> float:
    """Return the exact chance of at least `hits` of `drawn` bars in a set of `in_set` among `bars`.

    Units: all are counts -> a chance [1]
    Source: hypergeometric distribution

    >>> round(tail(63, 12, 4, 4), 6)
    0.000831
    """
    ways = sum(comb(in_set, x) * comb(bars - in_set, drawn - x) for x in range(hits, min(in_set, drawn) + 1))
    return ways / comb(bars, drawn)


def places(bars: int, repeats: int, offset: int) -> list[int]:
    """Return the bars of a spacing: offset + j·N/m, halves up, counted round.

    >>> places(87, 4, 5)
    [5, 27, 49, 70]
    """
    return [((2 * (offset * repeats + j * bars) + repeats) // (2 * repeats) - 1) % bars + 1 for j in range(repeats)]


@lru_cache(maxsize=64)
def _offsets(bars: int, repeats: int, play: int) -> tuple[dict[int, tuple[int, ...]], dict[int, int]]:
    """Return the offsets at which a spacing hits each bar, and the bars that it holds at each offset."""
    hit: dict[int, list[int]] = {}
    sizes: dict[int, int] = {}
    for offset in range(1, ceil(bars / repeats) + 1):
        near = {(b - 1 + d) % bars + 1 for b in places(bars, repeats, offset) for d in range(-play, play + 1)}
        sizes[offset] = len(near)
        for bar in near:
            hit.setdefault(bar, []).append(offset)
    return {bar: tuple(at) for bar, at in hit.items()}, sizes


def known_spacings(bars: int, poles: int | None, slots: int | None) -> list[tuple[str, int, int]]:
    """Return the spacings that a winding explains as (kind, repeats a turn, bars of play).

    Those that hold every bar are left out.
    """
    return [(kind, m, play) for kind, m, play in pitches(bars, poles, slots) if m * (2 * play + 1) < bars]


def pitches(bars: int, poles: int | None, slots: int | None) -> list[tuple[str, int, int]]:
    """Return every spacing that a winding has as (kind, repeats a turn, bars of play), those that prove nothing
    included.
    """
    known = []
    if poles:
        known.append(("pole pitch", poles, 1))
        if poles // 2 > 1:
            known.append(("two pole pitches", poles // 2, 1))
    if slots and bars % slots == 0 and bars // slots >= 2:
        known.append(("slots", slots, 0))
    return known


def _fit(spots: Sequence[int], bars: int, kind: str, *, repeats: int, play: int, tried: int) -> Spacing:
    """Return the best offset of one spacing; of several with as many hits the one that is hit most squarely."""
    near, sizes = _offsets(bars, repeats, play)
    exact, _ = _offsets(bars, repeats, 0)
    hits_at, square_at = (Counter(o for s in spots for o in held.get(s, ())) for held in (near, exact))
    offset = max(sizes, key=lambda o: (hits_at[o], square_at[o], -o))
    hits, size = hits_at[offset], sizes[offset]
    chance = tail(bars, size, len(spots), hits)
    return Spacing(
        kind=kind,
        repeats=repeats,
        period_bars=bars / repeats,
        offset=offset,
        hits=hits,
        chance=chance,
        corrected=min(1.0, chance * ceil(bars / repeats) * tried),
    )


def search(spots: Sequence[int], bars: int, poles: int | None, slots: int | None, rules: MotorRules) -> Searched:
    """Return the spacing that spots follow: of those the winding explains the least likely accident, else a free one.

    Shape: spots are bars from 1, each once. Source: rules pattern.known, pattern.free, pattern.share, pattern.least
    """
    known = known_spacings(bars, poles, slots)
    fitted = (
        [_fit(spots, bars, kind, repeats=m, play=play, tried=len(known)) for kind, m, play in known] if spots else []
    )
    enough = [f for f in fitted if not under(f.hits, rules["pattern.share"] * len(spots))]
    agree = tuple(f for f in fitted if f.hits == len(spots)) if len(spots) > 1 else ()
    if len(spots) < rules["pattern.least"]:
        return Searched(None, agree)
    best = min(enough, key=lambda f: f.corrected, default=None)
    if best is not None and under(best.corrected, rules["pattern.known"]):
        return Searched(best, agree)
    return Searched(_named(_free(spots, bars, rules), bars, poles, slots), agree)


def _named(free: Spacing | None, bars: int, poles: int | None, slots: int | None) -> Spacing | None:
    """Return a free spacing under the name of the winding's own pitch where it is one, so that its cause is never
    called unknown.
    """
    if free is None:
        return None
    for kind, repeats, _ in pitches(bars, poles, slots):
        if not over(abs(bars / repeats - free.period_bars), _HALF_A_BAR):
            return replace(free, kind=kind, repeats=repeats, period_bars=bars / repeats)
    return free


def _free(spots: Sequence[int], bars: int, rules: MotorRules) -> Spacing | None:
    """Return the least likely spacing of whole bars, None where no one is rarer than its rule asks."""
    most = bars // 4
    tried = sum(range(2, most + 1))
    wanted = rules["pattern.share"] * len(spots)
    found: list[Spacing] = []
    for k in range(2, most + 1):
        offset, hits = Counter((s - 1) % k + 1 for s in spots).most_common(1)[0]
        if not under(hits, wanted):
            size = (bars - offset) // k + 1
            chance = tail(bars, size, len(spots), hits)
            found.append(
                Spacing(
                    kind="free",
                    repeats=size,
                    period_bars=float(k),
                    offset=offset,
                    hits=hits,
                    chance=chance,
                    corrected=min(1.0, chance * tried),
                )
            )
    best = min(found, key=lambda f: f.corrected, default=None)
    return best if best is not None and under(best.corrected, rules["pattern.free"]) else None
