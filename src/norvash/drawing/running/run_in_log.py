"""A run-in on one axis of minutes: the bands of volts and amps that its plan allows, and the points as read."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.judging.run_in import Logged
from norvash.core.running.plan import Step
from norvash.drawing.svg import Drawing, Element, el, label, line, lines, polyline

_LEFT, _RIGHT, _TOP, _BAND, _BETWEEN, _ROW = 46.0, 10.0, 24.0, 96.0, 30.0, 19.0
_APART, _MOST_DOTS, _MOST_ROWS, _DOT, _HALFWAY = 30.0, 18, 40, 4.5, 140.0
# Of a long log the dots become a line, and fewer of its figures are written.
_DENSE, _DENSE_APART, _DENSE_ROWS = 17, 120.0, 2


@dataclass(frozen=True, slots=True, kw_only=True)
class Pause:
    """A run-in that was put aside: at which of its minutes, and in words from when to when."""

    minute: float
    words: str


@dataclass(frozen=True, slots=True, kw_only=True)
class RunShown:
    """A run-in as it is drawn: its steps, its points, where it was put aside, its minute now, None unless begun; how
    many points were read, and how many of them over the plan.
    """

    steps: tuple[Step, ...]
    points: tuple[Logged, ...]
    pauses: tuple[Pause, ...]
    now: float | None
    counted: tuple[int, int]


@dataclass(frozen=True, slots=True, kw_only=True)
class _Band:
    """One figure over the minutes: its unit, the value of each point, the most of each step, its top, its foot."""

    unit: str
    values: tuple[float | None, ...]
    most: tuple[float | None, ...]
    top: float
    foot: float

    def y(self, value: float) -> float:
        return self.foot - value / self.top * _BAND


def run_in_log(run: RunShown, width: float) -> Drawing:
    """Draw a run-in; its r/min, sparks and degrees stand under its points.

    Units: width [px]; one scale of minutes [min] for all.
    """
    end = max([1.0, run.now or 0.0, *(s.to_min for s in run.steps), *(x.minute for x in run.points)])
    px = (width - _LEFT - _RIGHT) / end
    shown = _thinned(run.points)
    bands = (
        _band("V", [x.point.v for x in shown], _limits(run, "V"), _TOP + _BAND),
        _band("A", [x.point.a for x in shown], _limits(run, "A"), _TOP + 2 * _BAND + _BETWEEN),
    )
    made: list[Element] = []
    for band in bands:
        made += _drawn(band, run, shown, px, width)
    made += _steps_named(run, px)
    foot = bands[1].foot
    made += _axis(end, px, foot, width)
    made += [e for p in run.pauses for e in _paused(p, px, bands[0].foot)]
    if run.now is not None:
        x = _LEFT + run.now * px
        made += [line("track", x, _TOP, x, foot), label("text-tag", min(x + 4, width - 30), _TOP + _BAND + 18, "now")]
    rows, below = _under(shown, px, foot + 40, width)
    return Drawing(
        name="run-in-log",
        width=width,
        height=below,
        title="Run-in: volts and amps of the plan, and as they were read",
        description=_said(run),
        elements=(*made, *rows),
        head=("minute", "V", "A", "r/min", "sparks", "°C", "over the plan"),
        rows=tuple(_row(x) for x in shown[-(_DENSE_ROWS if len(shown) > _DENSE else _MOST_ROWS) :]),
    )


def _limits(run: RunShown, unit: str) -> list[float | None]:
    """Return the most of each step: as it was when the last of its points was read, else by the plan now."""
    made = []
    for step in run.steps:
        then = [x for x in run.points if step.from_min <= x.minute < step.to_min]
        most = then[-1] if then and then[-1].most_v is not None else step
        made.append(most.most_v if unit == "V" else most.most_a)
    return made


def _band(unit: str, values: list[float | None], most: list[float | None], foot: float) -> _Band:
    known = [x for x in (*values, *most) if x is not None]
    top = 1.12 * max(known, default=1.0) or 1.0
    return _Band(unit=unit, values=tuple(values), most=tuple(most), top=top, foot=foot)


def _thinned(points: Sequence[Logged]) -> list[Logged]:
    """Return so many points that they can be told apart: each n-th, the newest, and of those over the plan the first
    and the last ones.
    """
    step = -(-len(points) // _MOST_DOTS) if points else 1
    beyond = [n for n, x in enumerate(points) if x.beyond]
    kept = {*range(0, len(points), step), *beyond[-_DENSE_ROWS:], *beyond[:1], len(points) - 1}
    return [x for n, x in enumerate(points) if n in kept]


def _drawn(band: _Band, run: RunShown, shown: list[Logged], px: float, width: float) -> list[Element]:
    made = [line("axis", _LEFT, band.foot, width - _RIGHT, band.foot)]
    made.append(label("text-tag", 4, band.foot - _BAND + 4, band.unit))
    for step, most in zip(run.steps, band.most, strict=True):
        if most is None:
            continue
        x, wide, y = _LEFT + step.from_min * px, (step.to_min - step.from_min) * px, band.y(most)
        here = run.now is not None and step.from_min <= run.now < step.to_min
        if step.waits:
            made.append(el("rect", "gone", x=x, y=y, width=wide, height=band.foot - y))
        else:
            made.append(el("rect", "fan-half" if here else "fan", x=x, y=y, width=wide, height=band.foot - y))
            made.append(line("copper-line", x, y, x + wide, y))
        made.append(label("text-soft" if step.waits else "text-tag", x + 4, y - 5, f"{most:.3g}"))
    read = [(p, v) for p, v in zip(shown, band.values, strict=True) if v is not None]
    at = [(_LEFT + p.minute * px, band.y(v), f"{v:g} {band.unit}," in p.over) for p, v in read]
    if len(at) > 1:
        made.append(polyline("past", [(round(x), round(y)) for x, y, _ in at]))
    dotted = [p for p in at[:-1] if p[2]][-_DENSE_ROWS:] + at[-1:] if len(at) > _DENSE else at
    made += [el("circle", "dot-doubt" if over else "dot", cx=x, cy=y, r=_DOT) for x, y, over in dotted]
    return made


def _steps_named(run: RunShown, px: float) -> list[Element]:
    edges = [_LEFT + s.from_min * px for s in run.steps]
    made, free = [lines("rule", [(x, _TOP - 8, x, _TOP + 2 * _BAND + _BETWEEN) for x in edges])], 0.0
    for n, (step, x) in enumerate(zip(run.steps, edges, strict=True), 1):
        words = f"{n} {step.words}"
        text = words if 6.6 * len(words) < (step.to_min - step.from_min) * px else f"{n}"
        if x >= free:
            made.append(label("text-soft" if step.waits else "text-tag", round(x) + 4, 13, text))
            free = x + 7 * len(text)
    return made


def _axis(end: float, px: float, foot: float, width: float) -> list[Element]:
    step = next((s for s in (1, 2, 5, 10, 20, 40, 60, 120, 240, 600) if s * px > 60), end)
    ticks = [n * step for n in range(int(end / step) + 1)]
    made = [lines("axis", [(_LEFT + t * px, foot, _LEFT + t * px, foot + 4) for t in ticks])]
    words = [f"{t:g}" + (" min" if n == 0 else "") for n, t in enumerate(ticks)]
    for t, w in zip(ticks, words, strict=True):
        made.append(label("text-soft", round(min(_LEFT + t * px, width - 14)), foot + 17, w, "middle"))
    return made


def _paused(pause: Pause, px: float, foot: float) -> list[Element]:
    x, y = _LEFT + pause.minute * px, foot + 3
    zigzag = [(x, y), (x - 4, y + 6), (x + 4, y + 14), (x, y + 20)]
    beyond, anchor = (-9, "end") if x > _HALFWAY else (9, "start")
    return [polyline("track", zigzag), label("text-soft", x + beyond, y + 15, pause.words, anchor)]


def _under(shown: list[Logged], px: float, top: float, width: float) -> tuple[list[Element], float]:
    """Return the rows under the points, in the same columns where they can be told apart, and where they end."""
    kinds = (
        ("r/min", [f"{x.point.rpm:g}" if x.point.rpm is not None else "" for x in shown]),
        ("sparks", ["" if x.point.sparks is None else str(x.point.sparks) for x in shown]),
        ("°C", [f"{x.point.c:g}" if x.point.c is not None else "" for x in shown]),
    )
    made, y = list[Element](), top
    for name, texts in kinds:
        if not any(texts):
            continue
        made += [label("text-soft", 0, y, name), line("rule", 0, y + 5, width - _RIGHT, y + 5)]
        free = 0.0
        for point, text in zip(shown, texts, strict=True):
            x = _LEFT + point.minute * px
            if text and x >= free:
                made.append(label("text", round(min(x, width - 16)), y, text, "middle"))
                free = x + (_DENSE_APART if len(shown) > _DENSE else _APART)
        y += _ROW
    return made, y


def _row(x: Logged) -> tuple[str, ...]:
    p = x.point
    figures = [f"{x.minute:.0f}", *("" if f is None else f"{f:g}" for f in (p.v, p.a, p.rpm, p.sparks, p.c))]
    return (*figures, x.over)


def _said(run: RunShown) -> str:
    """Return the drawing in words."""
    told = [
        f"{s.words} to {s.to_min:.0f} min"
        + (f", {s.most_v:.3g} V at most" if s.most_v is not None else "")
        + (f", {s.most_a:.3g} A at most" if s.most_a is not None else "")
        for s in run.steps
    ]
    count, beyond = run.counted
    read = (
        f"{count} {'point' if count == 1 else 'points'} read, {beyond} over the plan" if count else "no point read yet"
    )
    return "; ".join([*told, read]) + "."
