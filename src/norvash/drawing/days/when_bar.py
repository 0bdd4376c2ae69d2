"""When: one bar of time, thinning as the chance grows that the limit is passed, and a thread for each who speaks."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from norvash.core.state.findings import Findings
from norvash.core.state.marks import Mark
from norvash.core.state.motor_state import MotorState
from norvash.core.text.words import day_words
from norvash.core.use.season import Window
from norvash.core.verdict.when_words import mark_at, past_words
from norvash.drawing.days.when_course import Course, course_of, day_said, rules, speakers, staggered
from norvash.drawing.days.when_shape import bar_of
from norvash.drawing.svg import Drawing, Element, el, label, line

_LEFT, _RIGHT, _BAR, _HEAD, _THREAD, _LETTER = 178.0, 14.0, 50.0, 56.0, 30.0, 6.5
_HEAD_WIDE = 168.0
_TITLE = (
    "When: △ look, // plan, ▽ limit; filled it holds, hollow it stands behind. The bar thins as the chance grows that"
    " the limit is passed."
)
_STROKES = {"limit": "copper-line"}
_UPRIGHT_PX = 500.0
# Upright: where the bar lies, how wide it is, how tall a month at least, and how tall a head.
_BAR_LEFT, _BAR_WIDE, _TALL, _HEAD_TALL = 56.0, 54.0, 420.0, 54.0


@dataclass(frozen=True, slots=True)
class _Head:
    """What stands over or beside the bar: its day, a large word, two lines below, and whether it is past."""

    on: date
    large: str
    first: str
    second: str = ""
    late: bool = False

    @property
    def said(self) -> str:
        return f"{self.large}: {self.first}{f', {self.second}' if self.second else ''}"


@dataclass(frozen=True, slots=True)
class _Told:
    """What is drawn: the motor as it is found on a day, and when its house is dark."""

    found: Findings
    state: MotorState
    today: date
    dark: tuple[Window, ...]

    def heads(self) -> list[_Head]:
        """Return what rules, and now, in the order of their days."""
        when, made = self.found.when, [_Head(self.today, "now", day_words(self.today))]
        marks = (None if when.look is not None and when.look.brought else when.look, when.plan, when.limit)
        made += [self._head(m) for m in marks if m is not None and m.on is not None]
        return sorted(made, key=lambda h: h.on)

    def _head(self, mark: Mark) -> _Head:
        on, when = mark.on or self.today, self.found.when
        about = mark.kind == "limit" and mark.due is None
        past = "" if about else past_words(mark, self.state, self.today)
        who = ", ".join(x for x in (mark_at(mark, self.state), mark.name) if x)
        if past:
            late = "overdue" if mark.kind == "look" else "past"
            return _Head(on, f"{past} {late}", f"{mark.kind} by {day_said(on, self.today)}", who, late=True)
        look = " and look" if mark is when.plan and when.look is not None and when.look.brought else ""
        return _Head(on, day_words(on), f"{mark.kind}{look} {'about' if about else 'by'}", who)


def when_bar(
    found: Findings, state: MotorState, today: date, *, windows: Sequence[Window], place: str, width: float
) -> Drawing:
    """Draw when a motor is looked at, changed and at its limit; upright where it is narrow.

    Units: width [px]. Without a day of the limit there is no bar, only what each says.
    """
    told = _Told(found, state, today, tuple(w for w in windows if w.covers(place)))
    made, height = _lying(told, width) if width > _UPRIGHT_PX else _upright(told, width)
    return Drawing(
        name="when-bar",
        width=width,
        height=height,
        title=_TITLE,
        description="; ".join(h.said for h in told.heads()) + ".",
        elements=tuple(made),
        head=("what", "who says so", "day", "counter", "holds", "why"),
        rows=tuple(_row(found, m, state) for m in found.when.all()),
    )


def _row(found: Findings, mark: Mark, state: MotorState) -> tuple[str, ...]:
    holds = "yes" if rules(found, mark) else f"no: {mark.aside}" if mark.aside else "behind it"
    day = f"{mark.on:%Y-%m-%d}" if mark.on is not None else "now" if mark.stop else "–"
    return mark.kind, mark.name, day, mark_at(mark, state) or "–", holds, mark.why or "–"


def _lying(told: _Told, width: float) -> tuple[list[Element], float]:
    course = course_of(told.found, told.state.current.fitted_at.date(), told.today, _LEFT, width - _RIGHT)
    heads, threads = told.heads(), speakers(told.found)
    places = [course.at(h.on) for h in heads]
    turned = [h.late or x > width - _HEAD_WIDE for h, x in zip(heads, places, strict=True)]
    spans = [(x - _HEAD_WIDE, x) if t else (x, x + _HEAD_WIDE) for x, t in zip(places, turned, strict=True)]
    levels = staggered(spans)
    top = _HEAD * (max(levels) + 1) + 6
    bar = bar_of(told.found, course, told.today, lambda x, share: f"{x:.1f} {top + _BAR * (1 - share):.1f}")
    base = top + (_BAR if bar else 0.0)
    foot = base + 34 + _THREAD * len(threads)
    made = _shades(told, course, top, foot)
    made += [line("rule", course.at(m), base + 4, course.at(m), foot) for m, _ in course.months()]
    made += [label("text-soft", course.at(m) + 4, base + 17, w) for m, w in course.months()]
    if bar:
        made += [label("text-tag", _LEFT - 12, top + 22, "What holds", "end")]
        made += [label("text-soft", _LEFT - 12, top + 40, told.state.current.words, "end"), *bar]
    for i, (name, marks) in enumerate(threads):
        made += _thread(told, name, marks, course, base + 40 + _THREAD * i)
    for head, x, level, turn in zip(heads, places, levels, turned, strict=True):
        made += _over(head, x, _HEAD * level, base + 8, turned=turn)
    return made, foot + 18


def _over(head: _Head, x: float, y: float, base: float, *, turned: bool) -> list[Element]:
    dx, anchor = (-6.0, "end") if turned else (6.0, "start")
    ink = " text-late" if head.late else ""
    return [
        line(_STROKES.get(head.first.partition(" ")[0], "axis") if head.large != "now" else "track", x, y + 4, x, base),
        label(f"numeral{ink}", x + dx, y + 20, head.large, anchor),
        label(f"text-tag{ink}", x + dx, y + 36, head.first, anchor),
        label("text-soft", x + dx, y + 51, head.second, anchor),
    ]


def _shades(told: _Told, course: Course, top: float, foot: float) -> list[Element]:
    """Return the days on which the house is dark, each with its name where there is room."""
    made = []
    for window in told.dark:
        for first, last in window.spans(course.first, course.last):
            x, right = course.at(first), course.at(last)
            made.append(el("rect", "dark", x=x, y=top, width=max(right - x, 2.0), height=foot - top))
            if right - x > _LETTER * len(window.name):
                made.append(label("text-soft", x, foot + 14, window.name))
    return made


def _thread(told: _Told, name: str, marks: Sequence[Mark], course: Course, y: float) -> list[Element]:
    """Return what one says: filled what holds, hollow what stands behind; a day beyond the stretch at its end."""
    shown = name if len(name) < _LEFT / 7.4 else f"{name[: int(_LEFT / 7.4) - 1].rstrip()}…"
    held = any(rules(told.found, m) for m in marks)
    made = [label("text-tag" if held else "text", _LEFT - 12, y + 5, shown, "end")]
    made.append(line("rule", course.low, y, course.high, y))
    places, last = [course.at(m.on) for m in marks if m.on is not None], 0.0
    for i, mark in enumerate(marks):
        x, after = places[i], places[i + 1] - 12 if i + 1 < len(places) else course.high + 12
        words, start = _fitting(_on_thread(told, mark, course), x, after, max(last, course.low))
        wide = _LETTER * len(words) + 14
        last = max(start + wide, x + 10)
        made.append(el("rect", "ground", x=start - 3, y=y - 8, width=wide - 10, height=16))
        ink = "text-tag" if rules(told.found, mark) else "text-soft"
        made += [label(ink, start, y + 5, words), *_glyph(mark.kind, x, y, filled=rules(told.found, mark))]
    return made


def _fitting(said: Sequence[str], x: float, after: float, before: float) -> tuple[str, float]:
    """Return the first words that fit right or left of a place and where they begin [px], else the shortest."""
    for words in said:
        wide = _LETTER * len(words) + 14
        if x + wide < after:
            return words, x + 12
        if x - wide >= before:
            return words, x - wide
    return said[-1], x + 12


def _on_thread(told: _Told, mark: Mark, course: Course) -> tuple[str, ...]:
    on, at = mark.on or told.today, mark_at(mark, told.state)
    day = f"{mark.kind} {day_said(on, told.today)}"
    return (f"{day}, {at}", day, mark.kind) if at and course.holds(on) else (day, mark.kind)


def _glyph(kind: str, x: float, y: float, *, filled: bool) -> list[Element]:
    """Return the sign of a look, a plan or a limit."""
    ink = "peg" if filled else "dot-note"
    if kind == "look":
        return [el("path", ink, d=f"M{x:.1f} {y - 7:.1f}l7 13h-14z")]
    if kind == "limit":
        return [el("path", f"{ink} limit-sign", d=f"M{x:.1f} {y + 7:.1f}l-7-13h14z")]
    strokes = f"M{x - 6:.1f} {y + 7:.1f}l4-14M{x + 2:.1f} {y + 7:.1f}l4-14"
    return [el("path", "cuts" if filled else "scribed", d=strokes)]


def _upright(told: _Told, width: float) -> tuple[list[Element], float]:
    heads = told.heads()
    tall = max(_TALL, _HEAD_TALL * len(heads))
    course = course_of(told.found, told.state.current.fitted_at.date(), told.today, 10.0, tall)
    bar = bar_of(told.found, course, told.today, lambda y, share: f"{_BAR_LEFT + _BAR_WIDE * share:.1f} {y:.1f}")
    made: list[Element] = []
    for window in told.dark:
        for first, last in window.spans(course.first, course.last):
            y = course.at(first)
            made.append(el("rect", "dark", x=4.0, y=y, width=116.0, height=max(course.at(last) - y, 2.0)))
    for month, word in course.months():
        y = course.at(month)
        made += [line("rule", 4, y, 120, y), label("text-soft", 4, y + 14, word)]
    made += bar
    free = 0.0
    for head in heads:
        y = course.at(head.on)
        at = max(free, min(y - 14, tall - _HEAD_TALL + 10))
        free = at + _HEAD_TALL
        made += _beside(head, y, at)
    foot = max(tall, free) + 26
    behind = [(n, m) for n, marks in speakers(told.found) for m in marks if not rules(told.found, m)]
    if behind:
        made.append(label("text-tag", 4, foot, "Behind these"))
    for name, mark in behind:
        foot += 24
        words = f"{mark.kind} {mark_at(mark, told.state)}".rstrip()
        day = day_said(mark.on or told.today, told.today)
        made += [label("text-tag", 4, foot, day), label("text", 104, foot, words)]
        made += [label("text-soft", width - 4, foot, name if len(name) < 22 else f"{name[:20].rstrip()}…", "end")]
    return made, foot + 12


def _beside(head: _Head, y: float, at: float) -> list[Element]:
    """Return a head beside the upright bar, led to its day."""
    ink, x = " text-late" if head.late else "", _BAR_LEFT + _BAR_WIDE + 14
    return [
        el("path", "track-thin", d=f"M{_BAR_LEFT - 6:.1f} {y:.1f}H{x:.1f}L{x + 16:.1f} {at + 12:.1f}h8"),
        label(f"numeral{ink}", x + 28, at + 18, head.large),
        label(f"text-tag{ink}", x + 28, at + 34, head.first),
        label("text-soft", x + 28, at + 48, head.second),
    ]
