"""What a bar map says: the pattern and its reason, what is local, what needs the bar test, what is healthy."""

from collections.abc import Sequence

from norvash.core.commutator.bars import BURNS, MARKED, BarMap, having, round_runs, spots_of
from norvash.core.commutator.pattern import Searched, Spacing, places, search
from norvash.core.edges import over
from norvash.core.judging.commutator.map_read import MapRead, Saying, Wound
from norvash.core.rules.book import MotorRules
from norvash.core.stages.commutator.bar_map import (
    COMMUTATOR_DRAG,
    COMMUTATOR_PITCH,
    COMMUTATOR_SLOT_MARKS,
    COMMUTATOR_THREADS,
)
from norvash.core.stages.commutator.seen import (
    COMMUTATOR_BLACK,
    COMMUTATOR_MICA,
    COMMUTATOR_RAISED,
    COMMUTATOR_ROUGH,
    COMMUTATOR_SLOTS,
    COMMUTATOR_TWO_BARS,
)
from norvash.core.text.words import listed

_ONCE_A_TURN = (
    "something happens once a turn and marks the bars under the arms just then; look for imbalance, misalignment, an"
    " uneven air gap, unequal fields, a bad armature joint"
)
_KNOWN = {
    "pole pitch": ("pitch marking", f"one pole pitch: {_ONCE_A_TURN}"),
    "two pole pitches": ("pitch marking", f"two pole pitches, as the arms of one polarity: {_ONCE_A_TURN}"),
    "slots": (
        "slot marking",
        "the bars of one slot: commutation at its limit, brush grade or neutral; not the armature's health",
    ),
}


def read_bar_map(shown: BarMap, wound: Wound, rules: MotorRules) -> MapRead:
    """Return what a map says.

    Source: rules pattern.*
    """
    marked, burnt = having(shown, *MARKED), having(shown, *BURNS)
    spots = spots_of(marked, wound.bars)
    all_over = over(len(marked), rules["pattern.all-over"] * wound.bars)
    searched = Searched(None, ()) if all_over else search(spots, wound.bars, wound.poles, wound.slots, rules)
    name, says = _pattern(shown, searched, spots, burnt=burnt, wound=wound, rules=rules, all_over=all_over)
    needed = _bar_test(shown, burnt, wound, rules)
    first = _loose(shown)
    if needed:
        first.append(
            Saying(
                f"local burn, the bar test comes before any machining: {needed}; a cut hides an open coil for a week",
                COMMUTATOR_TWO_BARS,
                tuple(burnt),
            )
        )
    rest = (*_region(shown, wound.bars), *_slots(shown), *_surface(shown), *_chipped(shown))
    return MapRead(spots, searched, name, (*first, *says, *rest), needed)


def _pattern(
    shown: BarMap,
    searched: Searched,
    spots: tuple[int, ...],
    *,
    burnt: list[int],
    wound: Wound,
    rules: MotorRules,
    all_over: bool,
) -> tuple[str, list[Saying]]:
    if all_over:
        return "all over", [_all_over(burnt, wound, rules)]
    if not spots:
        return "none", [Saying("no spots: nothing repeats")] if shown else []
    best = searched.proven
    if best is None:
        return _unproven(searched, spots, wound, rules)
    where = _every(best)
    sure = f"{best.hits} of {len(spots)} spots fit; by chance once in {_one_in(best.corrected)}"
    if best.kind == "free":
        slots = not over(best.period_bars, rules["pattern.slot-like"]) and not wound.slots
        why = "think of slot marking, the number of slots is not known" if slots else "cause not known"
        return "free spacing", [
            Saying(f"every {best.period_bars:g}th bar: {why} ({sure})", None, spots, ("pattern.free",))
        ]
    word, why = _KNOWN[best.kind]
    dark_only = not burnt
    if best.kind == "slots" and dark_only and best.hits == len(spots):
        return word, [
            Saying(
                f"{where}, even and not burnt: {why}; healthy, nothing to do ({sure})", None, spots, ("pattern.known",)
            )
        ]
    wide = _as_wide_as_brush(shown, wound)
    still = (
        "; the spots are as wide as the brush with clean bars between: burnt at standstill, it was stalled"
        if wide
        else ""
    )
    finding = COMMUTATOR_PITCH if word == "pitch marking" else COMMUTATOR_SLOT_MARKS
    return word, [Saying(f"{where}: {why}{still} ({sure})", finding, spots, ("pattern.known", "pattern.share"))]


def _all_over(burnt: list[int], wound: Wound, rules: MotorRules) -> Saying:
    if over(len(burnt), rules["pattern.all-over"] * wound.bars / 2):
        return Saying(
            "marked all over: arcing from short brushes, weak springs, oil or dust, or overload", COMMUTATOR_BLACK
        )
    healthy = "a healthy film, leave it" if not burnt else "the film is sound, the burn is judged on its own"
    return Saying(f"dark nearly all over and even: {healthy}")


def _every(best: Spacing) -> str:
    return f"every {best.period_bars:.4g} bars, {best.repeats} times a turn"


def _one_in(chance: float) -> str:
    return f"{1 / max(chance, 1e-9):,.0f}".replace(",", " ") if chance > 1e-9 else "a thousand million"


def _unproven(searched: Searched, spots: tuple[int, ...], wound: Wound, rules: MotorRules) -> tuple[str, list[Saying]]:
    agree = [f"{s.kind} ({s.period_bars:.4g} bars)" for s in searched.agree] + _other_agreement(spots, wound)
    few = len(spots) < rules["pattern.least"]
    if len(spots) == 1:
        return "one place", [Saying(f"one spot, at bar {spots[0]}: nothing repeats", None, spots)]
    if few:
        said = f"agrees with {listed(agree)}" if agree else "agrees with no spacing of the winding"
        return "too few to prove", [
            Saying(
                f"{len(spots)} spots prove nothing by chance: their spacing {said}; let the bar test decide",
                None,
                spots,
                ("pattern.least",),
            )
        ]
    said = f"; the spacing agrees with {listed(agree)}, but could be chance" if agree else ""
    return "no pattern", [Saying(f"{len(spots)} spots without a proven spacing{said}", None, spots, ("pattern.known",))]


def _other_agreement(spots: tuple[int, ...], wound: Wound) -> list[str]:
    """Return the spacings beside the winding's repeats that all spots fit: the wave's pitch, and uneven arms."""
    made = []
    if wound.winding != "lap" and len(spots) == wound.pairs > 1:
        for pitch in wound.armature.pitches:
            chain = [{(s - 1 + j * pitch) % wound.bars + 1 for j in range(wound.pairs)} for s in spots]
            if any(all(_near(x, c, wound.bars) for x in spots) for c in chain):
                made.append(f"the commutator pitch of {pitch} bars, so one open coil of a wave winding")
    arms = sorted(a % 360 for a in wound.arms_deg)
    even = wound.poles is not None and len(arms) == wound.poles
    if len(arms) > 1 and not even and len(spots) == len(arms):
        for first in spots:
            at = {round(first - 1 + wound.bars * (a - arms[0]) / 360) % wound.bars + 1 for a in arms}
            if all(_near(x, at, wound.bars) for x in spots):
                made.append(f"the angles of the {len(arms)} brush arms, so burnt at standstill or once a turn")
                break
    return made


def _near(bar: int, at: set[int], bars: int) -> bool:
    return any((bar - 1 + d) % bars + 1 in at for d in (-1, 0, 1))


def facing(shown: BarMap, bars: int) -> list[tuple[int, int]]:
    """Return neighbours burnt at the edges that face each other; the leading edge of a bar faces the next bar."""
    made = []
    for bar in range(1, bars + 1):
        after = bar % bars + 1
        here, there = shown.get(bar, frozenset()), shown.get(after, frozenset())
        if "burnt-leading" in here and "burnt-trailing" in there:
            made.append((bar, after))
    return made


def _bar_test(shown: BarMap, burnt: list[int], wound: Wound, rules: MotorRules) -> str:
    """Return why the bar test must come before any machining, empty where it need not.

    Burnt bars are judged on their own, inside a pattern too.
    """
    pairs = facing(shown, wound.bars)
    if pairs:
        return f"bars {' and '.join(f'{a}/{b}' for a, b in pairs[:4])} are burnt on the edges that face each other"
    places_burnt = spots_of(burnt, wound.bars)
    if not places_burnt or over(len(burnt), rules["pattern.all-over"] * wound.bars):
        return ""
    best = search(places_burnt, wound.bars, wound.poles, wound.slots, rules).proven
    if best is None:
        few = len(places_burnt) < rules["pattern.least"] or not over(len(burnt), rules["pattern.local"] * wound.bars)
        return f"the burn is local, at {_at(places_burnt)}" if few else ""
    held = set(set_of(best, wound.bars))
    beside = [b for b in places_burnt if not _near(b, held, wound.bars)]
    if beside:
        return f"a burn beside the pattern, at {_at(beside)}"
    if wound.winding != "lap" and wound.pairs > 1 and len(places_burnt) == wound.pairs:
        return f"{wound.pairs} places {best.period_bars:.4g} bars apart: one open coil of a wave winding looks the same"
    return ""


def _at(bars: Sequence[int]) -> str:
    return listed([f"bar {b}" for b in bars[:8]]) + (" and more" if len(bars) > 8 else "")


_UNEVEN = ("grooved", "pitted", "flat", "raised")


def _as_wide_as_brush(shown: BarMap, wound: Wound) -> bool:
    widths = [n for _, n in round_runs(having(shown, *MARKED), wound.bars)]
    return (
        wound.covered_bars is not None
        and len(widths) > 1
        and min(widths) >= 2
        and all(abs(n - wound.covered_bars) <= 1 for n in widths)
    )


def _region(shown: BarMap, bars: int) -> list[Saying]:
    there = having(shown, *_UNEVEN)
    if not there:
        return []
    counted = [(len(on), kind) for kind in _UNEVEN if (on := having(shown, kind))]
    one = len(round_runs(there, bars)) == 1 and len(there) < bars / 2
    where = (
        "one region, not repeating: a flat spot, a high bar or out of round"
        if one
        else listed([f"{n} {'' if i else 'bars ' if n > 1 else 'bar '}{kind}" for i, (n, kind) in enumerate(counted)])
    )
    return [Saying(f"{where}; measure the run-out", COMMUTATOR_ROUGH, tuple(there))]


def _loose(shown: BarMap) -> list[Saying]:
    there = having(shown, "loose", "raised")
    if not there:
        return []
    each = [f"{kind} at {_at(on)}" for kind in ("loose", "raised") if (on := having(shown, kind))]
    return [Saying(f"{listed(each)}: it tears the brushes and may fly; do not run it", COMMUTATOR_RAISED, tuple(there))]


def _slots(shown: BarMap) -> list[Saying]:
    mica, dirt = having(shown, "high-mica"), having(shown, "dirty-slot")
    made = [Saying(f"mica high at {len(mica)} bars: undercut it", COMMUTATOR_MICA, tuple(mica))] if mica else []
    if dirt:
        made.append(Saying(f"{len(dirt)} slots dirty: clean every slot", COMMUTATOR_SLOTS, tuple(dirt)))
    return made


def _surface(shown: BarMap) -> list[Saying]:
    drag, threads = having(shown, "drag"), having(shown, "threaded", "streaked")
    made = []
    if drag:
        words = f"copper drag at {len(drag)} bars: chamfer the edges, look at vibration, pressure and grade"
        made.append(Saying(words, COMMUTATOR_DRAG, tuple(drag)))
    if threads:
        words = f"threads or streaks at {len(threads)} bars: low current, low pressure, abrasive dust or oil"
        made.append(Saying(words, COMMUTATOR_THREADS, tuple(threads)))
    return made


def _chipped(shown: BarMap) -> list[Saying]:
    there = having(shown, "chipped")
    return (
        [Saying(f"edges chipped at {len(there)} bars: chamfer again", COMMUTATOR_MICA, tuple(there))] if there else []
    )


def set_of(best: Spacing, bars: int) -> tuple[int, ...]:
    """Return the bars at which a spacing falls, for drawing."""
    if best.kind == "free":
        return tuple(range(best.offset, bars + 1, int(best.period_bars)))
    return tuple(places(bars, best.repeats, best.offset))
