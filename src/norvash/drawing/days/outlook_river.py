"""The outlook river: days to the right, one motor a line, the band of its limit, the look before it, the change
proposed.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.text.words import day_words
from norvash.drawing.svg import Drawing, Element, el, label, line

_HEAD, _ROW, _FOOT = 34.0, 38.0, 12.0
_NARROW_PX = 600.0
_LEAST_TICK_PX = 42.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Flow:
    """One motor on the river; dates are None where nothing is known."""

    href: str
    tag: str
    name: str
    early_on: date | None
    middle_on: date | None
    late_on: date | None
    look_on: date | None
    change_on: date | None
    grade: str | None
    change_words: str
    look_words: str
    undated: str = "no day yet: log its hours"


@dataclass(frozen=True, slots=True)
class _Course:
    """The stretch of days drawn: from `first` to `last` between two places [px]."""

    first: date
    last: date
    left: float
    right: float

    def x(self, day: date) -> float:
        share = (day - self.first).days / max((self.last - self.first).days, 1)
        return self.left + min(max(share, 0.0), 1.0) * (self.right - self.left)


def outlook_river(
    flows: Sequence[Flow], first: date, last: date, dark: Sequence[tuple[date, date, str]], width: float
) -> Drawing:
    """Draw motors over a stretch of days, with the windows in which the house is dark.

    Units: width [px]. Shape: dark holds first day, last day and name of each window.
    """
    narrow = width < _NARROW_PX
    course = _Course(first, last, 8.0 if narrow else 236.0, width - 10.0)
    row = _ROW + (16.0 if narrow else 0.0)
    height = _HEAD + row * len(flows) + _FOOT
    made = [*_dark(course, dark, height), *_ticks(course, height)]
    for i, flow in enumerate(flows):
        made.append(_flow(course, flow, _HEAD + i * row, row, narrow))
    title = f"From {day_words(first)} to {day_words(last)}: {len(flows)} motor{'s' * (len(flows) != 1)}"
    head = ("motor", "look by", "for", "limit from", "about", "to", "change proposed")
    return Drawing(
        name="outlook-river",
        width=width,
        height=height,
        title="Outlook",
        description=f"{title}.",
        elements=tuple(made),
        head=head,
        rows=tuple(_row(f) for f in flows),
        interactive=True,
    )


def _dark(course: _Course, dark: Sequence[tuple[date, date, str]], height: float) -> list[Element]:
    made: list[Element] = []
    for start, end, name in dark:
        if end < course.first or start > course.last:
            continue
        x, right = course.x(start), course.x(end + timedelta(days=1))
        made.append(el("rect", "dark", x=x, y=_HEAD - 6, width=max(right - x, 2.0), height=height - _HEAD))
        if right - x > 6.2 * len(name):
            made.append(label("text-soft", x + 4, height - 2, name))
    return made


def _ticks(course: _Course, height: float) -> list[Element]:
    """Return months, or quarters where months stand too close, and the edge of today."""
    made = [line("axis", course.x(course.first), _HEAD - 10, course.x(course.first), height - _FOOT)]
    month, last_x = course.first.replace(day=1), course.left - 20
    while (month := (month + timedelta(days=32)).replace(day=1)) <= course.last:
        x = course.x(month)
        made.append(line("rule", x, _HEAD - 8, x, height - _FOOT))
        if x - last_x >= _LEAST_TICK_PX and x < course.right - 18:
            made.append(label("text-soft", x + 3, 14, f"{month:%Y}" if month.month == 1 else f"{month:%b}"))
            last_x = x
    return made


def _flow(course: _Course, flow: Flow, y: float, row: float, narrow: bool) -> Element:
    """Return one motor's line as a link to it."""
    grade = f"stage-{flow.grade or 'none'}"
    bar = y + (row - 24 if narrow else 9.0)
    made = [el("rect", "ground", x=0, y=y, width=course.right, height=row, fill_opacity=0)]
    made += [
        label("text-tag", 0 if not narrow else course.left, y + 16, flow.tag),
        label("text-soft", 54 if not narrow else course.left + 54, y + 16, _cut(flow.name, 27 if not narrow else 36)),
    ]
    if flow.early_on and flow.late_on and flow.middle_on:
        made += _band(course, flow.early_on, flow.middle_on, flow.late_on, bar)
    else:
        made.append(label("text-soft", course.left + 6, bar + 13, flow.undated))
    if flow.look_on and flow.look_on <= course.last:
        x = course.x(flow.look_on)
        made.append(el("path", "peg", d=f"M{x:.1f} {bar + 15:.1f}l-5 9h10z"))
    if flow.change_on and flow.change_on <= course.last:
        x = course.x(flow.change_on)
        made.append(el("path", "visit", d=f"M{x - 1.4:.1f} {bar - 5:.1f}h2.8v26h-2.8z"))
        made.append(el("circle", "visit", cx=x, cy=bar - 5, r=4.2))
    return el("a", grade, children=made, href=flow.href)


def _cut(name: str, most: int) -> str:
    return name if len(name) <= most else f"{name[: most - 1].rstrip()}…"


def _band(course: _Course, early: date, middle: date, late: date, y: float) -> list[Element]:
    if early > course.last:
        x = course.right
        return [
            el("path", "peg", d=f"M{x - 9:.1f} {y:.1f}l8 7l-8 7z"),
            label("text-soft", x - 14, y + 12, f"{early:%b %Y}", "end"),
        ]
    x, right = course.x(early), course.x(late)
    made = [el("rect", "span", x=x, y=y, width=max(right - x, 1.5), height=13.0)]
    if late > course.last:
        made.append(el("path", "peg", d=f"M{course.right - 5:.1f} {y:.1f}l6 6.5l-6 6.5z"))
    if middle <= course.last:
        made.append(el("rect", "peg", x=course.x(middle) - 1.5, y=y - 2, width=3.0, height=17.0))
    return made


def _row(flow: Flow) -> tuple[str, ...]:
    def day(value: date | None) -> str:
        return f"{value:%Y-%m-%d}" if value else "–"

    change = f"{day(flow.change_on)} {flow.change_words}".strip() if flow.change_on else "–"
    return (
        f"{flow.tag} {flow.name}",
        day(flow.look_on),
        flow.look_words or "–",
        day(flow.early_on),
        day(flow.middle_on),
        day(flow.late_on),
        change,
    )
