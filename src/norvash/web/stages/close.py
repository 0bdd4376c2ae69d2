"""What closing up shows: what went back, beside its fields."""

from dataclasses import dataclass

from norvash.core.judging.close import bolts_off, torque_wanted
from norvash.core.motor.figure_fields import END_FLOAT_HIGH_MM, END_FLOAT_LOW_MM
from norvash.core.stacks.shroud import shroud_words
from norvash.core.stages.close import ROUND, ROUNDS, SCREWED_INTO, SCREWS, SHIMS, SHROUD, TORQUE_NM, TORQUE_REACHED
from norvash.core.stages.drive.shaft import END_FLOAT
from norvash.core.stages.stacks import GONE_THROUGH, LEFT_OVER, LEFT_OVER_SAID
from norvash.core.sums.shaft.shaft import FloatIn, end_float
from norvash.drawing.shaft.cross_pattern import cross_pattern
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.stacks import StacksShown, stacks_back
from norvash.work.reading.sheet_now import SheetNow

_WIDE = 300.0


@dataclass(frozen=True, slots=True, kw_only=True)
class TorqueShown:
    """How tight: its fields, the band in three units, from where it comes, the screws in their order, three rounds."""

    fields: tuple[Entry, ...]
    words: str
    basis: str
    drawn: Drawing
    rounds: tuple[Entry, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Close:
    """What went back of what came off, what is said beside it, how tight it is closed, the end float with the shims at
    hand, and how far the fan's shroud is out of the middle, with what to do.
    """

    stacks: StacksShown
    beside: tuple[Entry, ...]
    torque: TorqueShown
    shims: Entry
    float_says: str
    shroud: Entry
    shroud_says: str


def view(at: At) -> Close:
    """Return what closing up shows."""
    beside = tuple(entry(at.shown, f) for f in (LEFT_OVER, LEFT_OVER_SAID, GONE_THROUGH))
    return Close(
        stacks=stacks_back(at),
        beside=beside,
        torque=_torque(at.shown),
        shims=entry(at.shown, SHIMS),
        float_says=_float_says(at.shown),
        shroud=entry(at.shown, SHROUD),
        shroud_says=shroud_words(SHROUD.of(at.shown.sheet)),
    )


def _float_says(page: SheetNow) -> str:
    """Return what to do with the end float as it was measured, empty where it was not, or nobody states its band."""
    read, figures = END_FLOAT.of(page.sheet), page.context.figures
    low, high = END_FLOAT_LOW_MM.stated(figures), END_FLOAT_HIGH_MM.stated(figures)
    if read is None or high is None or not (low or 0.0) < high:
        return ""
    shims = [x for x in SHIMS.of(page.sheet) if x is not None]
    given = FloatIn(float_mm=read, float_low_mm=low or 0.0, float_high_mm=high, shims_mm=shims or None)
    return end_float(given, page.context.rules).advice


def _torque(page: SheetNow) -> TorqueShown:
    """Return how tight it is closed: as it was entered, else by the thread of its bolts, which is an estimate."""
    rules = page.context.rules
    bolts, (band, stated) = bolts_off(page.sheet, rules), torque_wanted(page.sheet, rules)
    basis = "as entered" if stated else ""
    if band is not None and bolts is not None and not stated:
        into = SCREWED_INTO.of(page.sheet) or "steel"
        less = ", into aluminium half of it" if into == "steel" else ""
        basis = f"{bolts.size.partition(' ')[0]} into {into}, an estimate: the maker's figure comes first{less}"
    screws = SCREWS.of(page.sheet)
    count = int(screws) if screws is not None else bolts.count if bolts is not None else 4
    rounds = tuple(entry(page, ROUND, n, f"Round {n}, {words}") for n, words in enumerate(ROUNDS, 1))
    return TorqueShown(
        fields=tuple(entry(page, f) for f in (TORQUE_NM, TORQUE_REACHED, SCREWED_INTO, SCREWS)),
        words=band.words if band is not None else "",
        basis=basis,
        drawn=cross_pattern(max(count, 2), band, _WIDE),
        rounds=rounds,
    )
