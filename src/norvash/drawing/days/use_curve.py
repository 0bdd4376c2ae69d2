"""The use curve: total use against days, every entry of the log, and the rate that dates are worked out with."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from math import exp

from norvash.core.text.words import UNIT_WORDS, counter_words, day_words, grouped, use_words
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate, rate_sd
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline, ticks

_LEFT, _RIGHT, _TOP, _BOTTOM = 52.0, 12.0, 20.0, 24.0
_LEAST_MONTH_PX = 34.0
_AHEAD = 0.45
_STEPS = 24
_HIGH_Z = 1.2816


@dataclass(frozen=True, slots=True, kw_only=True)
class _Frame:
    """The axes: days to the right, counter values upwards; the counter of today stands for all entries."""

    x: Callable[[datetime], float]
    y: Callable[[float], float]
    first: datetime
    last: datetime
    low: float
    high: float
    width: float
    bottom: float


def use_curve(entries: Sequence[Entry], rate: Rate | None, unit: str, width: float, height: float) -> Drawing:
    """Draw the log of the last months, its rate, and the use to come as a wedge that holds eight times in ten.

    Units: width, height [px]. Shape: entries in order of time, at least one.
    """
    shown = _window(entries, rate)
    frame = _frame(shown, rate, width, height)
    points = [(frame.x(e.at), frame.y(e.total_units)) for e in shown]
    elements = [*_wedge(frame, shown[-1], rate), *_axes(frame, shown[-1], unit), *_rate(frame, shown[-1], rate, unit)]
    if len(points) > 1:
        elements.append(polyline("past", points))
    elements += [el("circle", "dot", cx=x, cy=y, r=3.4) for x, y in points]
    head = ("day", "counter", "total")
    rows = tuple(
        (f"{e.at:%Y-%m-%d}", counter_words(e.counter_units, unit), counter_words(e.total_units, unit))
        for e in reversed(shown)
    )
    return Drawing(
        name="use-curve",
        width=width,
        height=height,
        title="Use, as logged",
        description=_describe(shown, rate, unit),
        elements=tuple(elements),
        head=head,
        rows=rows,
    )


def _window(entries: Sequence[Entry], rate: Rate | None) -> list[Entry]:
    """Return the entries that the rate rests on, or all of a short log."""
    since = entries[-1].at - timedelta(weeks=rate.weeks if rate and rate.weeks else 52, days=1)
    return [e for e in entries if e.at >= since]


def _weeks(rate: Rate, first: datetime, last: datetime) -> float:
    """Return the weeks between two moments in which the motor runs."""
    if rate.season is not None:
        return rate.season.active_days(first.date(), last.date()) / 7
    return (last - first).total_seconds() / 604800


def _use_at(newest: Entry, rate: Rate, at: datetime, z: float) -> float:
    """Return total use at a later moment, z standard deviations of the rate's uncertainty from its middle."""
    weeks = _weeks(rate, newest.at, at)
    return newest.total_units + rate.per_week * weeks * exp(z * rate_sd(rate, weeks))


def _wedge(frame: _Frame, newest: Entry, rate: Rate | None) -> list[Element]:
    """Return the use to come: eight times in ten it lies within the wedge."""
    if rate is None:
        return []
    moments = [newest.at + (frame.last - newest.at) * i / _STEPS for i in range(_STEPS + 1)]
    upper, middle, lower = (
        [(frame.x(t), frame.y(_use_at(newest, rate, t, z))) for t in moments] for z in (_HIGH_Z, 0.0, -_HIGH_Z)
    )
    around = "L".join(f"{x:.5g} {y:.5g}" for x, y in (*upper, *reversed(lower)))
    return [el("path", "fan", d=f"M{around}z"), polyline("ahead", middle)]


def _frame(shown: Sequence[Entry], rate: Rate | None, width: float, height: float) -> _Frame:
    span = max(shown[-1].at - shown[0].at, timedelta(days=7))
    first, last = shown[0].at, shown[0].at + span * (1 + (_AHEAD if rate else 0))
    low, high = shown[0].total_units, max(shown[-1].total_units, shown[0].total_units + 1)
    if rate:
        high = max(high, _use_at(shown[-1], rate, last, _HIGH_Z))
    across, down, bottom = width - _LEFT - _RIGHT, height - _TOP - _BOTTOM, height - _BOTTOM

    def x(at: datetime) -> float:
        return _LEFT + (at - first) / (last - first) * across

    def y(total: float) -> float:
        return bottom - (total - low) / (high - low) * down

    return _Frame(x=x, y=y, first=first, last=last, low=low, high=high, width=width, bottom=bottom)


def _axes(frame: _Frame, newest: Entry, unit: str) -> list[Element]:
    shift = newest.counter_units - newest.total_units
    made = [
        line("axis", _LEFT, frame.bottom, frame.width - _RIGHT, frame.bottom),
        label("text-soft", _LEFT - 8, 12, UNIT_WORDS[unit], "end"),
    ]
    for counter in ticks(frame.low + shift, frame.high + shift, 4):
        y = frame.y(counter - shift)
        made += [
            line("rule", _LEFT, y, frame.width - _RIGHT, y),
            label("text-soft", _LEFT - 8, y + 4, grouped(counter), "end"),
        ]
    month, last_x = frame.first.replace(day=1, hour=0, minute=0, second=0, microsecond=0), -99.0
    while (month := (month + timedelta(days=32)).replace(day=1)) <= frame.last:
        x = frame.x(month)
        made.append(line("axis", x, frame.bottom, x, frame.bottom + 5))
        if x - last_x > _LEAST_MONTH_PX:
            made.append(
                label("text-soft", x, frame.bottom + 19, f"{month:%Y}" if month.month == 1 else f"{month:%b}", "middle")
            )
            last_x = x
    return made


def _rate(frame: _Frame, newest: Entry, rate: Rate | None, unit: str) -> list[Element]:
    """Return the rate as a line that ends in the newest entry, held within the frame."""
    if rate is None:
        return []
    moments = [frame.first + (newest.at - frame.first) * i / _STEPS for i in range(_STEPS + 1)]
    uses = [newest.total_units - rate.per_week * _weeks(rate, t, newest.at) for t in moments]
    ends = [(frame.x(t), frame.y(u)) for t, u in zip(moments, uses, strict=True) if u >= frame.low]
    if rate.by_calendar:
        return [polyline("ahead", ends)]
    return [
        polyline("ahead", ends),
        label("numeral", _LEFT + 10, _TOP + 14, f"{rate.per_week:.1f} {UNIT_WORDS[unit]} a week"),
        label("text-soft", _LEFT + 10, _TOP + 32, f"± {rate_sd(rate, 1e6):.0%} on the long run"),
    ]


def _describe(shown: Sequence[Entry], rate: Rate | None, unit: str) -> str:
    entries = (
        f"{len(shown)} entr{'ies' if len(shown) != 1 else 'y'} from {day_words(shown[0].at)} to"
        f" {day_words(shown[-1].at)}"
    )
    ran = use_words(shown[-1].total_units - shown[0].total_units, unit)
    if rate is None:
        return f"{entries}, {ran}; no rate of use yet."
    if rate.by_calendar:
        return f"{entries}, {ran}; {rate.words}."
    return (
        f"{entries}, {ran}; {rate.per_week:.1f} a week, ± {rate_sd(rate, 1e6):.0%} on the long run, from {rate.words}. "
        "The wedge holds the use to come eight times in ten."
    )
