"""The bar test: readings from bar to bar all round, the coil that is open or shorted, and what to do."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import median

from norvash.core.commutator.armature import Armature, readings_of_coil
from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_MOST_NAMED = 6
FEEDS = {"bars": "from bar to bar", "fixed": "between two fixed bars", "unknown": "not said"}


@dataclass(frozen=True, slots=True)
class Fault:
    """One fault that the readings point at: open, riser, short, bridge or feed.

    Readings, and the bars it lies between.
    """

    kind: str
    readings: tuple[int, ...]
    from_bar: int
    to_bar: int
    words: str


@dataclass(frozen=True, slots=True)
class Taken:
    """How a bar test was made: the scatter of one reading [1], how it was fed, whether brushes were lifted, None where
    nobody says.

    `fine` holds it to the band of voltage drops on an industrial machine.
    """

    scatter: float = 0.01
    fed: str = "unknown"
    lifted: bool | None = None
    fine: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class BarTested:
    """A bar test, judged; deviations are relative to the median [1], readings count from 1.

    `hidden` tells that a shorted turn would move a reading by less than the band: its least move [1], None where it
    would show.
    """

    median: float
    deviations: tuple[float | None, ...]
    band: float
    high: tuple[int, ...]
    low: tuple[int, ...]
    suspect: tuple[int, ...]
    missing: tuple[int, ...]
    faults: tuple[Fault, ...]
    unexplained: tuple[int, ...]
    rough: bool
    by_slot: bool
    pass_rule: str
    lifted: bool | None
    hidden: float | None
    turns_known: bool

    @property
    def even(self) -> bool:
        """Tell whether every reading was made and lies within its band."""
        return not (self.high or self.low or self.suspect or self.missing)

    @property
    def release(self) -> bool:
        """Tell whether the armature may run: all even, and measured with the brushes lifted, which must be said."""
        return self.even and self.lifted is True


def judge_bar_test(readings: Sequence[float | None], armature: Armature, taken: Taken, rules: MotorRules) -> BarTested:
    """Return the readings with what they point at.

    Reading i lies between bars i and i + 1, the last between the last and the first.

    Units: readings in one unit, Ω or V. Shape: one a bar, None where one is missing.
    Raises: InputError for another number of readings, fewer than half of them, a scatter that hides everything, or a
    wave winding whose pole pairs are not known. Source: rules bartest.*
    """
    _check(armature, taken, rules)
    count = armature.bars
    if len(readings) != count:
        much = "missing." if len(readings) < count else "too many: is one doubled?"
        raise InputError(
            f"{len(readings)} readings for {count} bars: {abs(len(readings) - count)} {much}",
            "Give one for each bar, a dash where one is missing.",
            "readings_milliohm",
        )
    known = _carrying(readings, taken, rules)
    if sum(x is not None for x in readings) < count / 2 or not known or median(known) <= 0:
        raise InputError(
            "There are too few readings, or most of them are nothing.",
            "Measure at least every other bar.",
            "readings_milliohm",
        )
    fixed = taken.fed == "fixed"
    middle, places = median(known), [median(known)] if fixed else _own_median(readings, armature)
    off = tuple(None if x is None else x / places[i % len(places)] - 1 for i, x in enumerate(readings))
    pass_rule = "bartest.pass-drop" if taken.fine else "bartest.pass"
    band = max(rules[pass_rule], rules["bartest.noise"] * taken.scatter)
    drop = min(max(rules["bartest.low"], band), 1 - rules["bartest.bridge"])
    high = _where(off, lambda d: over(d, rules["bartest.high"]))
    low = _where(off, lambda d: under(d, -drop) or under(d + 1, rules["bartest.bridge"]))
    odd = {*high, *low}
    suspect = tuple(i for i in _where(off, lambda d: over(abs(d), band)) if i not in odd)
    rough = over(len(odd) + len(suspect), rules["bartest.rough"] * count)
    opened, left = _open(high, armature)
    idle = high and low and (fixed or (taken.fed == "unknown" and len(low) > rules["bartest.idle"] * count))
    shorted = [_fed_at_fixed_bars(low, fixed)] if idle else _short(low, off, armature, rules)
    missing = tuple(i for i, x in enumerate(readings, start=1) if x is None)
    return BarTested(
        median=middle,
        deviations=off,
        band=band,
        high=high,
        low=low,
        suspect=suspect,
        missing=missing,
        faults=(*opened, *shorted),
        unexplained=left,
        rough=rough,
        by_slot=len(places) > 1,
        pass_rule=pass_rule,
        lifted=taken.lifted,
        hidden=_hidden(armature, band),
        turns_known=armature.turns is not None,
    )


def _check(armature: Armature, taken: Taken, rules: MotorRules) -> None:
    most = rules["bartest.scatter"]
    if over(taken.scatter, most):
        raise InputError(
            f"Readings that scatter by {taken.scatter:.0%} prove nothing.",
            f"Clean bars and probes until it is under {most:.0%}, then test again.",
            "noise",
        )
    if armature.winding == "wave" and armature.pole_pairs < 2:
        raise InputError(
            "A wave winding has two pole pairs or more.", "Count the poles: two of them are a pair.", "pole_pairs"
        )


def _carrying(readings: Sequence[float | None], taken: Taken, rules: MotorRules) -> list[float]:
    """Return the readings that the median is taken of: all of them, but for the half without current where a feed at
    fixed bars meets an open coil.
    """
    known = sorted(x for x in readings if x is not None)
    if taken.fed != "fixed" or not known:
        return known
    usual = median(known[len(known) // 2 :])
    return [x for x in known if not under(x, rules["bartest.bridge"] * usual)]


def _hidden(armature: Armature, band: float) -> float | None:
    """Return by how much one shorted turn moves a reading where the band hides that, None where it shows or nobody
    knows the turns.
    """
    if armature.turns is None:
        return None
    moved = 1 / (armature.turns * armature.places)
    return moved if under(moved, band) else None


def _fed_at_fixed_bars(low: tuple[int, ...], fixed: bool) -> Fault:
    which = f"readings {_listed(low[:_MOST_NAMED])}{' and more' * (len(low) > _MOST_NAMED)} low"
    why = f"{'' if fixed else 'if it was fed '}between two fixed bars with a coil open these are not shorts"
    words = f"{which}: {why}; test from bar to bar before anything else is judged"
    return Fault("feed", low, low[0], low[-1], words)


def _own_median(readings: Sequence[float | None], armature: Armature) -> list[float]:
    """Return the median of each place in a slot where a slot holds several bars, else the one median.

    Only where every place has enough readings to have a median of its own.
    """
    known = [x for x in readings if x is not None]
    per = armature.bars // armature.slots if armature.slots and armature.bars % armature.slots == 0 else 1
    groups = [[x for x in readings[i::per] if x is not None] for i in range(per)]
    if per < 2 or min(len(g) for g in groups) < 5:
        return [median(known)]
    return [median(g) for g in groups]


def _where(off: Sequence[float | None], wanted: Callable[[float], bool]) -> tuple[int, ...]:
    return tuple(i for i, d in enumerate(off, start=1) if d is not None and wanted(d))


def _next(bar: int, bars: int) -> int:
    return bar % bars + 1


def _coils(odd: Sequence[int], armature: Armature) -> list[tuple[tuple[int, ...], int, int]]:
    """Return the coils of a wave winding all of whose readings are odd: readings, first and last bar."""
    if armature.winding == "lap" or len(odd) < armature.pole_pairs or armature.pole_pairs < 2:
        return []
    made = []
    for pitch in armature.pitches:
        for start in range(1, armature.bars + 1):
            held = readings_of_coil(start, pitch, armature)
            if set(held) <= set(odd):
                made.append((held, start, (start + pitch - 1) % armature.bars + 1))
    return made


def _open(high: tuple[int, ...], armature: Armature) -> tuple[list[Fault], tuple[int, ...]]:
    """Return what the high readings point at, and those that fit nothing."""
    made = [
        Fault("open", held, a, b, f"readings {_listed(held)} high: the coil from bar {a} to bar {b} is open")
        for held, a, b in _coils(high, armature)
    ]
    left = [i for i in high if not any(i in f.readings for f in made)]
    for i in list(left):
        j = _next(i, armature.bars)
        if i in left and j in left:
            made.append(Fault("riser", (i, j), j, j, f"readings {i} and {j} high: the riser of bar {j} between them"))
            left = [x for x in left if x not in (i, j)]
    if armature.winding != "wave" or armature.pole_pairs < 2:
        made += [
            _between("open", i, armature, "reading {i} high: the coil between bars {i} and {j} is open") for i in left
        ]
        left = []
    return made, tuple(left)


def _between(kind: str, reading: int, armature: Armature, words: str) -> Fault:
    after = _next(reading, armature.bars)
    return Fault(kind, (reading,), reading, after, words.format(i=reading, j=after))


def _short(low: tuple[int, ...], off: Sequence[float | None], armature: Armature, rules: MotorRules) -> list[Fault]:
    bridged = [i for i in low if under((off[i - 1] or 0.0) + 1, rules["bartest.bridge"])]
    rest = [i for i in low if i not in bridged]
    coils = [
        Fault(
            "short", held, a, b, f"readings {_listed(held)} low: turns of the coil from bar {a} to bar {b} are shorted"
        )
        for held, a, b in _coils(rest, armature)
    ]
    seen = {i for f in coils for i in f.readings}
    bridge = "reading {i} near nothing: copper may bridge the slot after bar {i}, clean it and test again"
    return [
        *[_between("bridge", i, armature, bridge) for i in bridged],
        *coils,
        *[
            _between("short", i, armature, "reading {i} low: shorted turns between bars {i} and {j}")
            for i in rest
            if i not in seen
        ],
    ]


def _listed(numbers: Sequence[int]) -> str:
    return ", ".join(map(str, numbers[:-1])) + f" and {numbers[-1]}" if len(numbers) > 1 else str(numbers[0])
