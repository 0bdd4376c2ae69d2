"""The bar test: readings from bar to bar all round, the coil that is open or shorted, and what to do."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from statistics import median

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

WINDINGS = ("lap", "wave", "unknown")


@dataclass(frozen=True, slots=True)
class Armature:
    """What a bar test must know of an armature; the commutator pitch is the bars from one end of a coil to the other."""

    bars: int
    pole_pairs: int = 1
    winding: str = "unknown"
    pitch: int | None = None
    slots: int | None = None

    @property
    def pitches(self) -> tuple[int, ...]:
        """Return the wave pitches that are whole, the stated one only where there is one."""
        if self.pitch is not None:
            return (self.pitch,)
        p = self.pole_pairs
        return tuple((self.bars + s) // p for s in (-1, 1) if p > 1 and (self.bars + s) % p == 0)


@dataclass(frozen=True, slots=True)
class Fault:
    """One fault that the readings point at: open, riser, short or bridge; readings, and the bars it lies between."""

    kind: str
    readings: tuple[int, ...]
    from_bar: int
    to_bar: int
    words: str


@dataclass(frozen=True, slots=True)
class BarTested:
    """A bar test, judged; deviations are relative to the median [1], readings count from 1."""

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

    @property
    def release(self) -> bool:
        """Tell whether the armature may run: every reading made and within its band."""
        return not (self.high or self.low or self.suspect or self.missing)


def judge_bar_test(
    readings: Sequence[float | None], armature: Armature, noise: float, rules: MotorRules, *, fine: bool = False
) -> BarTested:  # fmt: skip
    """Return the readings with what they point at; reading i lies between bars i and i + 1, the last between the last and the first.

    Units: readings in one unit, Ω or V; noise [1] of one reading. Shape: one a bar, None where one is missing.
    `fine` holds them to the band of voltage drops on an industrial machine.
    Raises: InputError for another number of readings, or fewer than half of them. Source: rules bartest.*
    """
    count = armature.bars
    if len(readings) != count:
        much = "missing." if len(readings) < count else "too many: is one doubled?"
        raise InputError(f"{len(readings)} readings for {count} bars: {abs(len(readings) - count)} {much}",
                         "Give one for each bar, a dash where one is missing.", "readings_milliohm")  # fmt: skip
    known = [x for x in readings if x is not None]
    if len(known) < count / 2 or median(known) <= 0:
        raise InputError("There are too few readings, or most of them are nothing.", "Measure at least every other bar.", "readings_milliohm")  # fmt: skip
    middle, places = median(known), _own_median(readings, armature)
    off = tuple(None if x is None else x / places[i % len(places)] - 1 for i, x in enumerate(readings))
    pass_rule = "bartest.pass-drop" if fine else "bartest.pass"
    band = max(rules[pass_rule], rules["bartest.noise"] * noise)
    high = _where(off, lambda d: d > max(rules["bartest.high"], band))
    low = _where(off, lambda d: d < -max(rules["bartest.low"], band))
    suspect = tuple(i for i in _where(off, lambda d: abs(d) > band + 1e-9) if i not in high and i not in low)
    rough = len(high) + len(low) + len(suspect) > rules["bartest.rough"] * count
    opened, left = _open(high, armature)
    shorted = _short(low, off, armature, rules)
    missing = tuple(i for i, x in enumerate(readings, start=1) if x is None)
    return BarTested(
        middle, off, band, high, low, suspect, missing, (*opened, *shorted), left, rough, len(places) > 1, pass_rule
    )


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


def readings_of_coil(start: int, pitch: int, armature: Armature) -> tuple[int, ...]:
    """Return the readings of a wave winding that hold the coil which starts at a bar.

    >>> readings_of_coil(7, 14, Armature(29, 2, "wave", 14))
    (6, 21)
    """
    back = 1 if pitch * armature.pole_pairs == armature.bars - 1 else 0
    return tuple(sorted((start - back - j * pitch - 1) % armature.bars + 1 for j in range(armature.pole_pairs)))


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


def _short(
    low: tuple[int, ...], off: Sequence[float | None], armature: Armature, rules: MotorRules
) -> list[Fault]:  # fmt: skip
    bridged = [i for i in low if (off[i - 1] or 0.0) + 1 < rules["bartest.bridge"]]
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
        *[_between("bridge", i, armature, bridge) for i in bridged], *coils,
        *[_between("short", i, armature, "reading {i} low: shorted turns between bars {i} and {j}") for i in rest if i not in seen],
    ]  # fmt: skip


def _listed(numbers: Sequence[int]) -> str:
    return ", ".join(map(str, numbers[:-1])) + f" and {numbers[-1]}" if len(numbers) > 1 else str(numbers[0])
