"""The straight line of the fitted set, its days, and what its brushes have worn since they were read."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import date, timedelta

from norvash.core.brush.limits import Limit
from norvash.core.brush.straight_line import Point, StraightLine, Track, straight_line
from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import BrushNow, Days, OldRate, SinceRead
from norvash.core.state.motor_state import BrushSet, MotorState
from norvash.core.state.round import Round
from norvash.core.state.set_clock import begins_at_first_reading
from norvash.core.state.since import fitted_words, has_no_day
from norvash.core.text.words import day_words, step_of, use_words
from norvash.core.verdict.line_sightings import sightings

# A log of use that is no older says what has run by now.
_FRESH = timedelta(days=14)


def only_start(state: MotorState, measured: list[Round]) -> bool:
    """Tell whether the only round is the one at which the clock starts."""
    return len(measured) == 1 and (measured[0].kind != "check" or begins_at_first_reading(state))


def line_of(
    state: MotorState, current: BrushSet, latest: Round, *, limit: Limit, rules: MotorRules, brushes: Sequence[BrushNow]
) -> StraightLine:
    """Return the straight line on the counter's scale, so that its values are rounded down as read."""
    shift = state.offset_units

    def at_counter(point: Point) -> Point:
        return Point(point.length_mm, point.run_h + shift, point.sd_mm)

    tracks: list[Track | None] = []
    for plan, brush in zip(state.positions, brushes, strict=True):
        if plan.number not in latest.readings:
            tracks.append(None)
            continue
        start = at_counter(brush.start)
        points = [
            Point(r.readings[plan.number].length_mm, r.total_units + shift, r.readings[plan.number].sd_mm)
            for r in current.rounds
            if plan.number in r.readings and r.total_units + shift >= start.run_h
        ]
        previous = points[-2] if len(points) > 1 and points[-2].run_h > start.run_h else None
        now, seen = points[-1], sightings(current.rounds, plan.number, state.figures)
        if seen is not None:
            previous, now = (at_counter(x) for x in seen.track(latest.total_units, now.sd_mm, state.figures))
        tracks.append(Track(start, previous, now, limit.limit_mm))
    return straight_line(tracks, rules, step_of(state.unit))


def at_look(brush: BrushNow, line: StraightLine, state: MotorState, latest: Round | None) -> BrushNow:
    """Return the brush with the length that its own rate gives it at the next look."""
    own = line.brushes[brush.number - 1]
    if latest is None or brush.last is None or own is None:
        return brush
    if state.ahead is not None:
        ahead = max(state.ahead.look_units - latest.total_units, 0.0)
    elif line.look_again_h is not None:
        ahead = max(line.look_again_h - (latest.total_units + state.offset_units), 0.0)
    else:
        return brush
    rate = own.rate_mm_per_kh or (state.ahead.rate_mm_per_unit * 1000 if state.ahead else 0.0)
    return replace(brush, rate_mm_per_kh=rate, next_mm=brush.last.length_mm - max(rate, 0.0) * ahead / 1000)


def days_of(state: MotorState, line: StraightLine | OldRate | None) -> Days:
    """Return the days of a line's counter values by the usual use, as far as they are known."""
    if line is None or line.do_not_exceed_h is None:
        return Days()
    shift = state.offset_units

    def on(counter: float | None) -> date | None:
        return None if counter is None else state.day_at(counter - shift)

    return Days(on(line.do_not_exceed_h), on(line.plan_by_h), on(line.look_again_h))


def since_read(
    brushes: Sequence[BrushNow], state: MotorState, latest: Round | None, rules: MotorRules, today: date
) -> SinceRead | None:
    """Return when the set was read, and about how long its brushes are by now, at their own rate or the forecast's.

    None where nothing was read, and where it was read today at what the counter shows now; no length by now where less
    has gone than a reading can tell, and 0 where all of it would have gone.
    Source: rule line.least-wear
    """
    if latest is None:
        return None
    ran = state.ran_by(today) - latest.total_units
    if latest.at.date() == today and not over(ran, 0.0):
        return None
    usual = state.ahead.rate_mm_per_unit * 1000 if state.ahead is not None else 0.0
    rates = {b.number: b.rate_mm_per_kh or usual for b in brushes}

    def tells(worn_mm: float, sd_mm: float) -> bool:
        return worn_mm > 0 and not under(worn_mm, rules["line.least-wear"] * sd_mm)

    about = "about" if state.gap is None else "at most"
    worn = {b.number: rates[b.number] * ran / 1000 for b in brushes}
    now = {
        b.number: max(b.last.length_mm - worn[b.number], 0.0)
        for b in brushes
        if b.last is not None and b.in_round and b.last.bare_mm is None and tells(worn[b.number], b.last.sd_mm)
    }
    if state.unit == "years":
        return SinceRead(on=_read_on(latest, state), now_at=f"on {day_words(today)}", now_mm=now, about=about)
    at = f"{_read_on(latest, state)} at {use_words(state.counter_at(latest.total_units), state.unit)}".strip()
    last = max((e.at.date() for e in state.entries if e.at.date() <= today), default=latest.at.date())
    fresh = today - last <= _FRESH
    shown = use_words(state.ran_by(today) + state.offset_units, state.unit)
    return SinceRead(on=at, now_at="now" if fresh else f"at {shown}", now_mm=now, about=about)


def _read_on(latest: Round, state: MotorState) -> str:
    """Return on which day a round was read; of a set whose day only follows from its use the first one has none."""
    if latest.at == state.current.fitted_at and has_no_day(state.current, state):
        return fitted_words(state.current, state) if state.unit == "years" else ""
    return f"on {day_words(latest.at.date())}"
