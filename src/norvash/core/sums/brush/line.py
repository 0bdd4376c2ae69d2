"""Sums about a set in use: the straight line and the spread."""

from dataclasses import dataclass, replace

from norvash.core.brush.carbon import check_length
from norvash.core.brush.spread import Spread, set_spread
from norvash.core.brush.straight_line import Point, StraightLine, Track, straight_line
from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives
from norvash.core.text.words import listed, use_words
from norvash.errors import InputError

_HOURS_A_YEAR = 8766.0
_BEYOND = "not carbon"
# What a new brush may be longer than its start says, beside the scatter of a reading.
_GROWN_SD, _TOLERANCE_MM = 3.0, 0.2


@dataclass(frozen=True, slots=True, kw_only=True)
class LineIn:
    """Lengths of one brush or of a set, at two or three moments; null in a list is “not measured”."""

    start_mm: float | list[float] = ask("Length at the start", "length", above_low=True)
    limit_mm: float = ask("Limit", "length")
    run_h: float = ask("Use now", "hours")
    start_run_h: float = ask("Use at the start", "hours", default=0.0)
    lengths_mm: list[float | None] | None = ask("Lengths now", "length", default=None, hint="one for each brush")
    length_mm: float | None = ask("or one length now", "length", default=None)
    previous_run_h: float | None = ask("Use last time", "hours", default=None)
    previous_lengths_mm: list[float | None] | None = ask("Lengths last time", "length", default=None)
    previous_length_mm: float | None = ask("or one length last time", "length", default=None)
    standard_uncertainty_mm: float | None = ask("Uncertainty of a reading", "length", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class LineOut:
    """The straight line of the governing brush with the counter values that follow."""

    life_rate_mm_per_kh: float | None = gives("rate over its life")
    interval_rate_mm_per_kh: float | None = gives("rate since last time")
    rate_mm_per_kh: float | None = gives("rate used, the faster")
    left_mm: float | None = gives("left to the limit")
    left_h: float | None = gives("use left")
    left_sd_h: float | None = gives("± from the readings alone")
    left_h_by_position: tuple[float | None, ...] = gives("use left of each brush")
    do_not_exceed_h: int | None = gives("do not exceed")
    plan_by_h: int | None = gives("plan by")
    look_again_h: int | None = gives("look again by")
    governing_position: int | None = gives("governed by brush")
    missing_positions: tuple[int, ...] = gives("not measured")
    faster_note: bool = gives("wear is speeding up")
    answer: str = gives("answer")
    advice: str
    rules: tuple[str, ...]


def _whole(counter: float | None) -> int | None:
    return None if counter is None else int(counter)


def _several(name: str, many: list[float | None] | None, one: float | None) -> list[float | None]:
    if many is not None and one is not None:
        raise InputError("One length and a list are given.", "Give the one or the other.", name)
    return many if many is not None else [] if one is None else [one]


def lists_of(given: LineIn, rules: MotorRules) -> tuple[list[float], list[float | None], list[float | None]]:
    """Return the lengths of every brush at the start, last time and now; None where one was not measured.

    Raises: InputError where they do not belong together.
    """
    now = _several("lengths_mm", given.lengths_mm, given.length_mm)
    before = _several("previous_lengths_mm", given.previous_lengths_mm, given.previous_length_mm)
    starts = given.start_mm if isinstance(given.start_mm, list) else [given.start_mm] * len(now)
    _aligned("start_mm", list(starts), len(now))
    for start, length in zip(starts, now, strict=True):
        if length is not None:
            check_length(length, start, "lengths_mm", rules)
    if before and given.previous_run_h is None:
        raise InputError("Earlier lengths need their use.", "Give the use last time.", "previous_run_h")
    return starts, _aligned("previous_lengths_mm", before, len(now)) if before else [None] * len(now), now


def _aligned(name: str, values: list[float | None], count: int) -> list[float | None]:
    if len(values) != count:
        raise InputError(f"{len(values)} lengths are given for {count} brushes.", "Give one for each brush.", name)
    return values


def line(given: LineIn, rules: MotorRules) -> LineOut:
    """Return the straight line, or why there is none.

    Raises: InputError that names the field which cannot be so.
    """
    starts, before, now = lists_of(given, rules)
    sd = given.standard_uncertainty_mm or rules["instrument.digital-caliper"]
    tracks = [_track(given, s, p, n, sd) for s, p, n in zip(starts, before, now, strict=True)]
    found = _not_carbon(straight_line(tracks, rules), rules)
    brush = found.brushes[found.governing_position - 1] if found.governing_position else None
    return LineOut(
        life_rate_mm_per_kh=brush.life_rate_mm_per_kh if brush else None,
        interval_rate_mm_per_kh=brush.interval_rate_mm_per_kh if brush else None,
        rate_mm_per_kh=brush.rate_mm_per_kh if brush else None,
        left_mm=brush.left_mm if brush else None,
        left_h=found.left_h,
        left_sd_h=found.left_sd_h,
        left_h_by_position=tuple(b.left_h if b else None for b in found.brushes),
        do_not_exceed_h=_whole(found.do_not_exceed_h),
        plan_by_h=_whole(found.plan_by_h),
        look_again_h=_whole(found.look_again_h),
        governing_position=found.governing_position,
        missing_positions=found.missing,
        faster_note=found.faster_note,
        answer=found.answer,
        advice=_line_advice(found),
        rules=("line.horizon", "line.plan", "line.look", "line.least-wear", "line.faster"),
    )


def _not_carbon(found: StraightLine, rules: MotorRules) -> StraightLine:
    """Return the line, without a date where the limit lies beyond all the hours that a machine can run in its years.

    Source: rule line.horizon
    """
    if found.left_h is None or not over(found.left_h, rules["line.horizon"] * _HOURS_A_YEAR):
        return found
    return replace(
        found, left_h=None, left_sd_h=None, do_not_exceed_h=None, plan_by_h=None, look_again_h=None, answer=_BEYOND
    )


def _line_advice(found: StraightLine) -> str:
    if found.answer == _BEYOND:
        return "no date: at this rate carbon is not what stops it; look at springs, leads, bearings and insulation"
    if found.answer == "at the limit":
        gone = [str(i) for i, b in enumerate(found.brushes, start=1) if b is not None and b.left_h == 0]
        rest = f"; brush {listed([str(p) for p in found.missing])} not measured" if found.missing else ""
        return f"out of service: brush {listed(gone)} at the limit{rest}"
    if found.answer == "incomplete":
        return f"incomplete: brush {listed([str(p) for p in found.missing])} not measured, so there is no date"
    if found.do_not_exceed_h is None:
        return found.answer
    words = (
        f"do not exceed {use_words(found.do_not_exceed_h, 'hours')}, plan by"
        f" {use_words(found.plan_by_h or 0, 'hours')}, look again by {use_words(found.look_again_h or 0, 'hours')}"
    )
    return f"{words}; wear is speeding up, look for the cause" if found.faster_note else words


def _track(given: LineIn, start: float, before: float | None, now: float | None, sd: float) -> Track | None:
    if now is None:
        return None
    if not under(given.limit_mm, start):
        raise InputError(
            f"The limit of {given.limit_mm:g} mm is not below the start, {start:g} mm.",
            "Check the two figures.",
            "limit_mm",
        )
    earlier = None
    if before is not None and given.previous_run_h is not None:
        earlier = Point(before, given.previous_run_h, sd)
    return Track(Point(start, given.start_run_h, sd), earlier, Point(now, given.run_h, sd), given.limit_mm)


@dataclass(frozen=True, slots=True, kw_only=True)
class SpreadIn:
    """Wear of every brush, or start and lengths; polarity as a list of + and -."""

    start_mm: float | list[float] | None = ask("Length at the start", "length", default=None, above_low=True)
    lengths_mm: list[float] | None = ask("Lengths now", "length", default=None)
    wear_mm: list[float] | None = ask("or wear of each brush", "length", default=None)
    polarity: list[str] | None = ask("Polarity of each, + or -", "sign", default=None)
    standard_uncertainty_mm: float | None = ask("Uncertainty of a reading", "length", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class SpreadOut(Spread):
    """The spread with its verdict."""

    spread: float | None = gives("spread of wear", share=True)
    spread_limit: float = gives("allowed", share=True)
    mean_wear_mm: float = gives("mean wear")
    median_wear_mm: float = gives("median wear")
    uneven: bool = gives("uneven")
    outliers: tuple[int, ...] = gives("stand out")
    most_worn_position: int = gives("most worn is brush")
    least_worn_position: int = gives("least worn is brush")
    polarity_ratio: float | None = gives("ratio of the polarities")
    polarity_note: bool = gives("polarity worth a note")
    above_noise: bool = gives("more than the instrument's noise")
    advice: str
    rules: tuple[str, ...]


def wear_of(given: SpreadIn, rules: MotorRules) -> list[float]:
    """Return the wear of every brush [mm], as given or from its lengths.

    Raises: InputError when neither is given.
    """
    if given.wear_mm is not None:
        if given.start_mm is not None or given.lengths_mm is not None:
            raise InputError("Wear and lengths are both given.", "Give the one or the other.", "wear_mm")
        return given.wear_mm
    if given.start_mm is None or given.lengths_mm is None:
        raise InputError("Nothing to compare.", "Give start and lengths, or the wear of each.", "lengths_mm")
    count = len(given.lengths_mm)
    starts = given.start_mm if isinstance(given.start_mm, list) else [given.start_mm] * count
    _aligned("start_mm", list(starts), count)
    return [_worn(s, n, given, rules) for s, n in zip(starts, given.lengths_mm, strict=True)]


def _worn(start_mm: float, now_mm: float, given: SpreadIn, rules: MotorRules) -> float:
    """Return the wear of one brush; one that is longer than its start by more than a reading can say is refused."""
    check_length(now_mm, start_mm, "lengths_mm", rules)
    play = _GROWN_SD * (given.standard_uncertainty_mm or 0.0) + _TOLERANCE_MM
    if under(start_mm - now_mm, -play):
        raise InputError(
            f"A brush of {now_mm:g} mm has grown since {start_mm:g} mm.",
            "Check the two, or whether it is another brush.",
            "lengths_mm",
        )
    return start_mm - now_mm


def spread(given: SpreadIn, rules: MotorRules) -> SpreadOut:
    """Return how evenly a set has worn.

    Raises: InputError that names the field which cannot be so.
    """
    wear = wear_of(given, rules)
    sd = given.standard_uncertainty_mm or rules["instrument.digital-caliper"]
    if given.polarity is not None and (len(given.polarity) != len(wear) or set(given.polarity) - {"+", "-"}):
        raise InputError("Polarity does not match the brushes.", "Give + or - for each brush.", "polarity")
    found = set_spread(wear, sd, rules, given.polarity)
    ids = ("spread.pair" if len(wear) == 2 else "spread.set", "spread.noise", "spread.outlier", "spread.polarity")
    values = {n: getattr(found, n) for n in found.__dataclass_fields__}
    return SpreadOut(**values, advice=_advice(found.uneven, found.most_worn_position), rules=ids)


def _advice(uneven: bool, position: int) -> str:
    if not uneven:
        return "even: nothing to look for"
    return f"uneven: look at holder, spring and lead of brush {position} and of its partners before renewing"


SUMS = (
    Sum(
        name="straight-line",
        title="Straight line",
        words="Hours to the limit by the faster of two wear rates, and the counter values to plan by.",
        inputs=LineIn,
        compute=line,
        example={"start_mm": 22.0, "limit_mm": 8.0, "run_h": 520, "lengths_mm": [16.2, 16.9]},
    ),
    Sum(
        name="set-spread",
        title="Spread of a set",
        words="Whether the brushes of a set wear evenly, and which one to look at.",
        inputs=SpreadIn,
        compute=spread,
        example={"start_mm": 25.0, "lengths_mm": [18.2, 21.6, 21.5, 21.7], "polarity": ["+", "-", "+", "-"]},
    ),
)
