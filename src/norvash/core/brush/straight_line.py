"""The straight line: what a careful hand calculation gives, with every step kept."""

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt

from norvash.core.edges import over, under, whole_down
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Point:
    """A length at a use: length_mm [mm], run_h in the motor's unit of use, sd_mm [mm]."""

    length_mm: float
    run_h: float
    sd_mm: float


@dataclass(frozen=True, slots=True)
class Track:
    """One brush: where its clock starts, its reading before last if any, its last reading, its limit."""

    start: Point
    previous: Point | None
    now: Point
    limit_mm: float

    def __post_init__(self) -> None:
        if self.now.run_h < self.start.run_h or (self.previous and self.previous.run_h > self.now.run_h):
            raise InputError(
                f"The reading at {self.now.run_h:g} lies before an earlier one of the same set.",
                "Check the use at each reading.",
                "run_h",
            )


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushLine:
    """One brush's line; rates in mm per 1000 units of use, left_h and its sd in units of use."""

    wear_mm: float
    life_rate_mm_per_kh: float | None
    interval_rate_mm_per_kh: float | None
    rate_mm_per_kh: float | None
    left_mm: float
    left_h: float | None
    left_sd_h: float | None
    faster_note: bool


@dataclass(frozen=True, slots=True, kw_only=True)
class StraightLine:
    """The line of a set: the governing brush (position from 1), hours left and the three counter values."""

    brushes: tuple[BrushLine | None, ...]
    missing: tuple[int, ...]
    governing_position: int | None
    left_h: float | None
    left_sd_h: float | None
    do_not_exceed_h: float | None
    plan_by_h: float | None
    look_again_h: float | None
    faster_note: bool
    answer: str


def rate_mm_per_kh(older: Point, newer: Point) -> float | None:
    """Return the wear rate between two points [mm per 1000 units], None without use between them.

    Units: points with lengths [mm] and use [h] -> [mm per 1000 h]
    Source: straight line between two points
    """
    used = newer.run_h - older.run_h
    return None if used <= 0 else (older.length_mm - newer.length_mm) / used * 1000


def brush_line(track: Track, rules: MotorRules) -> BrushLine:
    """Return the line of one brush: the faster of its life rate and its last interval's.

    Source: rule line.faster
    """
    life = rate_mm_per_kh(track.start, track.now)
    interval = rate_mm_per_kh(track.previous, track.now) if track.previous else None
    left_mm = track.now.length_mm - track.limit_mm
    wear_mm = track.start.length_mm - track.now.length_mm
    rate = max((r for r in (life, interval) if r is not None), default=None)
    faster = life is not None and interval is not None and over(interval, rules["line.faster"] * life) and life > 0
    left_h: float | None = None
    left_sd_h: float | None = None
    if not over(track.now.length_mm, track.limit_mm):
        left_h = left_sd_h = 0.0
    elif rate is not None and rate > 0:
        base = track.previous if track.previous and rate == interval else track.start
        left_h, left_sd_h = left_mm / rate * 1000, _left_sd_h(base, track, rate)
    return BrushLine(
        wear_mm=wear_mm,
        life_rate_mm_per_kh=life,
        interval_rate_mm_per_kh=interval,
        rate_mm_per_kh=rate,
        left_mm=left_mm,
        left_h=left_h,
        left_sd_h=left_sd_h,
        faster_note=faster,
    )


def _left_sd_h(base: Point, track: Track, rate_mm_per_kh: float) -> float:
    """Return the standard uncertainty of the hours left that comes from the two readings alone."""
    worn_mm = base.length_mm - track.now.length_mm
    left_mm = track.now.length_mm - track.limit_mm
    per_mm = 1000 / rate_mm_per_kh
    return per_mm * sqrt((track.now.sd_mm * (1 + left_mm / worn_mm)) ** 2 + (base.sd_mm * left_mm / worn_mm) ** 2)


def straight_line(tracks: Sequence[Track | None], rules: MotorRules, step_h: float = 1.0) -> StraightLine:
    """Return the line of a set; None in the place of a brush that was not measured.

    Units: use in the motor's unit; counter values are rounded down to a step of it, whole units unless said otherwise.
    Raises: InputError without a brush.
    Source: rules line.plan, line.look, line.least-wear

    Without a complete set, or without enough wear to tell it from the instrument, `answer` says why
    and there are no counter values.
    """
    if not tracks:
        raise InputError("There is no brush to work with.", "Give one length or a list of them.", "lengths_mm")
    lines = tuple(brush_line(t, rules) if t else None for t in tracks)
    missing = tuple(i + 1 for i, line in enumerate(lines) if line is None)
    known = [(line.left_h, i) for i, line in enumerate(lines) if line is not None and line.left_h is not None]
    worst = min(known, default=None)
    faster = any(line.faster_note for line in lines if line)
    at_limit = any(line.left_h == 0 for line in lines if line)
    if missing and not at_limit:
        return _without(lines, missing, worst, faster, "incomplete")
    if worst is None or (not at_limit and not _enough(tracks[worst[1]], rules)):
        return _without(lines, missing, worst, faster, "not enough wear yet")
    left_h, index = worst
    now_h = max(t.now.run_h for t in tracks if t)
    line = lines[index]
    return StraightLine(
        brushes=lines,
        missing=missing,
        governing_position=index + 1,
        left_h=left_h,
        left_sd_h=line.left_sd_h if line else None,
        do_not_exceed_h=counter_at(now_h, left_h, step_h),
        plan_by_h=counter_at(now_h, rules["line.plan"] * left_h, step_h),
        look_again_h=counter_at(now_h, rules["line.look"] * left_h, step_h),
        faster_note=bool(line and line.faster_note),
        answer="at the limit" if at_limit else "line",
    )


def _without(
    lines: tuple[BrushLine | None, ...],
    missing: tuple[int, ...],
    worst: tuple[float, int] | None,
    faster: bool,
    answer: str,
) -> StraightLine:
    position = worst[1] + 1 if worst else None
    return StraightLine(
        brushes=lines,
        missing=missing,
        governing_position=position,
        left_h=None,
        left_sd_h=None,
        do_not_exceed_h=None,
        plan_by_h=None,
        look_again_h=None,
        faster_note=faster,
        answer=answer,
    )


def _enough(track: Track | None, rules: MotorRules) -> bool:
    if track is None:
        return False
    sd_mm = track.now.sd_mm
    return not under(track.start.length_mm - track.now.length_mm, rules["line.least-wear"] * sd_mm)


def counter_at(now_h: float, ahead_h: float, step_h: float = 1.0) -> float:
    """Return the counter value some use ahead, rounded down to a step of its unit; years have hundredths.

    Units: now_h, ahead_h, step_h [h] -> [h]
    Source: a counter is read downwards

    >>> counter_at(505.0, 377.42), counter_at(4.5, 2.6478, 0.01)
    (882, 7.14)
    """
    whole = whole_down((now_h + ahead_h) / step_h)
    return whole if step_h == 1.0 else round(whole * step_h, 6)
