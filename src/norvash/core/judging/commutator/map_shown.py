"""What stands beside a bar map: what its marks mean, and what has changed since the sheet before."""

from dataclasses import dataclass

from norvash.core.commutator.bars import changed
from norvash.core.judging.commutator.copper_now import CopperNow
from norvash.core.judging.windings.measured import bar_to_shaft, slots_on_growler
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.given import Earlier
from norvash.core.sheet.records import PaintedMap
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.bar_test import BAR_SHAFT_BAR
from norvash.core.text.words import listed


@dataclass(frozen=True, slots=True)
class MapChanges:
    """The bars that show more and less than on the sheet before, and that in words."""

    more: tuple[int, ...] = ()
    less: tuple[int, ...] = ()
    words: str = ""


def map_changes(now: CopperNow, earlier: Earlier | None) -> MapChanges:
    """Return what has changed since the sheet before, nothing without one, or while nothing is painted."""
    if earlier is None or now.wound is None or not now.shown:
        return MapChanges()
    record = earlier.given.record
    painted = record.conditions if isinstance(record, PaintedMap) else {}
    before = painted if max(painted, default=0) <= now.wound.bars else {}
    more, less = (tuple(x) for x in changed(before, now.shown))
    parts = [f"more at {_bars(more)}"] * bool(more) + [f"less at {_bars(less)}"] * bool(less)
    return MapChanges(more, less, f"Since sheet {earlier.sheet}: {' and '.join(parts) or 'nothing has changed'}.")


def earthed_bar(sheet: Sheet, rules: MotorRules) -> int | None:
    """Return the bar that leaks to the shaft, None where none does or it is not named."""
    bar, judged = BAR_SHAFT_BAR.of(sheet), bar_to_shaft(sheet, rules)
    return None if judged is None or bar is None or judged.grade != "stop" else int(bar)


def map_legend(sheet: Sheet, now: CopperNow, earlier: Earlier | None, rules: MotorRules) -> str:
    """Return what the marks round the bars mean, as far as there are some."""
    proven = now.read is not None and now.read.searched.proven is not None
    marks = (
        (proven, "triangles: where the proven spacing falls"),
        (earlier is not None, "+ and –: more or less than last time"),
        (now.tested is not None, "strokes over the slots: how far a reading is off the median"),
        (bool(slots_on_growler(sheet)), "brackets: slots that answer on the growler"),
        (earthed_bar(sheet, rules) is not None, "earth sign: the bar that leaks to the shaft"),
    )
    return "; ".join(words for there, words in marks if there)


def _bars(bars: tuple[int, ...]) -> str:
    return listed([f"bar {b}" for b in bars[:8]]) + (f" and {len(bars) - 8} more" if len(bars) > 8 else "")
