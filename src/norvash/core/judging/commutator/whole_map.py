"""Whether every bar of a map was looked at, and what one that is painted after a cut says of what that took off."""

from collections.abc import Iterator, Mapping
from types import MappingProxyType

from norvash.core.commutator.bars import BURNS, PAINTING, BarMap, goes_on, having
from norvash.core.motor.figure_fields import BARS
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.records import PaintedMap
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.bar_map import ALL_SEEN, BAR_MAP, COMMUTATOR_DRAG, COMMUTATOR_THREADS
from norvash.core.stages.commutator.cut import CUT_DONE
from norvash.core.stages.commutator.seen import COMMUTATOR_BLACK, COMMUTATOR_BURNT, COMMUTATOR_ROUGH

# What is said at once, bar by bar: it stops the motor whatever the others show.
AT_ONCE = frozenset({"loose", "raised"})
# What taking copper off can mend, by what it shows as on the bars.
_CUT_AWAY: Mapping[Finding, tuple[str, ...]] = MappingProxyType(
    {
        COMMUTATOR_BURNT: BURNS,
        COMMUTATOR_ROUGH: ("grooved", "pitted", "flat"),
        COMMUTATOR_BLACK: ("dark", *BURNS),
        COMMUTATOR_DRAG: ("drag",),
        COMMUTATOR_THREADS: ("threaded", "streaked"),
    }
)


def is_whole(sheet: Sheet) -> bool:
    """Tell whether the map that counts is whole: given so, painted at every bar, or said to be by name."""
    given = BAR_MAP.given(sheet)
    if given is None or not goes_on(given.word):
        return True
    said, bars = sheet.given(ALL_SEEN.id, 0, given.sight), BARS.stated(sheet.facts.figures)
    return said is not None or len(BAR_MAP.of(sheet)) == bars


def unfinished(sheet: Sheet) -> str:
    """Return how far a map is that is still being painted, empty for one that is whole."""
    if is_whole(sheet):
        return ""
    bars = BARS.stated(sheet.facts.figures)
    of = f" of {bars:.0f}" if bars is not None else ""
    return f"bar map not finished: {len(BAR_MAP.of(sheet))}{of} bars looked at"


def of_painting(more: Mapping[str, str], there: Given | None) -> Mapping[str, str]:
    """Return what comes with an entry: who paints on a map that is whole has looked at every bar before."""
    whole = there is not None and isinstance(there.record, PaintedMap) and not goes_on(there.word)
    return {name: text for name, text in more.items() if not (whole and name == PAINTING)}


def judged_map(shown: BarMap, *, whole: bool) -> BarMap:
    """Return what of a map is judged: of one that is still being painted what stops the motor by itself."""
    if whole:
        return shown
    return {bar: there for bar, shows in shown.items() if (there := shows & AT_ONCE)}


def read_after_cut(sheet: Sheet) -> bool:
    """Tell whether the map was painted again after the cut that is recorded, and is whole."""
    done, given = CUT_DONE.given(sheet), BAR_MAP.given(sheet)
    return done is not None and given is not None and given.at > done.at and is_whole(sheet)


def cut_away(sheet: Sheet) -> Iterator[Finding]:
    """Yield what was seen or painted and a whole map after the cut shows at no bar any more."""
    if read_after_cut(sheet):
        shown = BAR_MAP.of(sheet)
        yield from (finding for finding, shows in _CUT_AWAY.items() if not having(shown, *shows))


def still_burnt(sheet: Sheet) -> bool:
    """Tell whether a whole map after the cut shows a burnt bar: then the bars are burnt, whoever looks."""
    return read_after_cut(sheet) and bool(having(BAR_MAP.of(sheet), *BURNS))
