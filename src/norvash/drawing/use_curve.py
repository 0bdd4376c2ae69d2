"""The use curve: total use against days, every entry of the log, and the rate that dates are worked out with."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta

from norvash.core.use import Entry, Rate
from norvash.core.words import UNIT_WORDS, counter_words, day_words, grouped, use_words
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline, ticks

_LEFT, _RIGHT, _TOP, _BOTTOM = 52.0, 12.0, 20.0, 24.0
_LEAST_MONTH_PX = 34.0


@dataclass(frozen=True, slots=True)
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
    """Draw the log of the last months with its rate as a dashed line.

    Units: width, height [px]. Shape: entries in order of time, at least one.
    """
    shown = _window(entries, rate)
    frame = _frame(shown, width, height)
    points = [(frame.x(e.at), frame.y(e.total_units)) for e in shown]
    elements = [*_axes(frame, shown[-1], unit), *_rate(frame, shown[-1], rate, unit)]
    if len(points) > 1:
        elements.append(polyline("past", points))
    elements += [el("circle", "dot", cx=x, cy=y, r=3.4) for x, y in points]
    head = ("day", "counter", "total")
    rows = tuple(
        (f"{e.at:%Y-%m-%d}", counter_words(e.counter_units, unit), counter_words(e.total_units, unit))
        for e in reversed(shown)
    )
    return Drawing(
        "use-curve", width, height, "Use, as logged", _describe(shown, rate, unit), tuple(elements), head, rows
    )


def _window(entries: Sequence[Entry], rate: Rate | None) -> list[Entry]:
    """Return the entries that the rate rests on, or all of a short log."""
    since = entries[-1].at - timedelta(weeks=rate.weeks if rate and rate.weeks else 52, days=1)
    return [e for e in entries if e.at >= since]


def _frame(shown: Sequence[Entry], width: float, height: float) -> _Frame:
    first, last = shown[0].at, max(shown[-1].at, shown[0].at + timedelta(days=7))
    low, high = shown[0].total_units, max(shown[-1].total_units, shown[0].total_units + 1)
    across, down, bottom = width - _LEFT - _RIGHT, height - _TOP - _BOTTOM, height - _BOTTOM

    def x(at: datetime) -> float:
        return _LEFT + (at - first) / (last - first) * across

    def y(total: float) -> float:
        return bottom - (total - low) / (high - low) * down

    return _Frame(x, y, first, last, low, high, width, bottom)


def _axes(frame: _Frame, newest: Entry, unit: str) -> list[Element]:
    shift = newest.counter_units - newest.total_units
    made = [line("axis", _LEFT, frame.bottom, frame.width - _RIGHT, frame.bottom),
            label("text-soft", _LEFT - 8, 12, UNIT_WORDS[unit], "end")]  # fmt: skip
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
    days = (newest.at - frame.first).total_seconds() / 86400
    back = min(days, (newest.total_units - frame.low) / rate.per_week * 7)
    start = newest.at - timedelta(days=back)
    ends = [
        (frame.x(start), frame.y(newest.total_units - rate.per_week * back / 7)),
        (frame.x(newest.at), frame.y(newest.total_units)),
    ]
    return [
        polyline("ahead", ends),
        label("numeral", _LEFT + 10, _TOP + 14, f"{rate.per_week:.1f} {UNIT_WORDS[unit]} a week"),
    ]


def _describe(shown: Sequence[Entry], rate: Rate | None, unit: str) -> str:
    entries = f"{len(shown)} entr{'ies' if len(shown) != 1 else 'y'} from {day_words(shown[0].at)} to {day_words(shown[-1].at)}"
    ran = use_words(shown[-1].total_units - shown[0].total_units, unit)
    if rate is None:
        return f"{entries}, {ran}; no rate of use yet."
    return f"{entries}, {ran}; {rate.per_week:.1f} a week from {rate.words}."
