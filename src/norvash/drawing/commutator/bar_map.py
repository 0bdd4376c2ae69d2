"""Bar map: the commutator unrolled, a row for each pole pitch, so that what repeats stands in one column."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cache
from math import ceil

from norvash.core.commutator.bars import CONDITIONS, BarMap, having, runs
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_BAR_H, _LANE_H, _ROW_GAP, _LEFT = 44.0, 54.0, 30.0, 4.0
_LANE_BASE, _LANE_FULL, _BRACKET_H = 26.0, 16.0, 22.0
_BARE: frozenset[str] = frozenset()
_NARROWEST, _PHONE_NARROWEST, _WIDEST, _PHONE = 11.5, 16.0, 34.0, 400.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Mapped:
    """What is drawn: conditions by bar, the bars of a proven spacing, what changed, readings between bars as deviations
    [1].

    `marked` are readings, from 1, that stand out; `paint` makes it a field to paint on; `answering` are slots that
    answer on the growler with their first and last bar, `earthed` the bar that leaks to the shaft.
    """

    bars: int
    shown: BarMap
    poles: int | None = None
    slots: int | None = None
    spacing: Sequence[int] = ()
    more: Sequence[int] = ()
    less: Sequence[int] = ()
    deviations: Sequence[float | None] = ()
    marked: Sequence[int] = ()
    band: float = 0.1
    paint: bool = False
    says: tuple[str, ...] = ()
    answering: Mapping[int, tuple[int, int]] = field(default_factory=dict)
    earthed: int | None = None


def rows_of(bars: int, poles: int | None, most: int) -> int:
    """Return into how many rows the bars are wrapped: whole pole pitches in a row if that fits, else equal parts of
    one.

    >>> rows_of(87, 4, 50), rows_of(400, 4, 50), rows_of(60, 12, 50), rows_of(63, None, 50)
    (2, 8, 2, 2)
    """
    if not poles or poles > bars:
        return ceil(bars / most)
    for pitches in range(poles, 0, -1):
        if poles % pitches == 0 and bars * pitches / poles <= most:
            return poles // pitches
    return poles * ceil(bars / poles / most)


def bar_map(drawn: Mapped, width: float) -> Drawing:
    """Draw the unrolled commutator; bars count from left to right in the direction of turning, the leading edge to the
    right.

    Units: width [px]. Shape: wraps by itself, so that single bars can be told at 400 bars and on a phone.
    """
    rows, step = _rows_and_step(drawn, width)
    most = drawn.bars / rows + (0 if drawn.bars % rows == 0 else 1)
    pitch = min((width - 2 * _LEFT) / most, _WIDEST)
    over = _BRACKET_H if drawn.answering else 0.0
    lane = _LANE_H if drawn.deviations else 0.0
    of = "" if drawn.paint else f"{width:g}-"  # a page may hold the same map twice, in two widths
    made: list[Element] = [_symbols(drawn, of)]
    if lane:
        made.append(label("text-soft", _LEFT, 10.0, f"readings from bar to bar; band ± {drawn.band:.0%}"))
    for row in range(rows):
        top = 14.0 + row * step + lane + over
        first, last = ceil(row * drawn.bars / rows), ceil((row + 1) * drawn.bars / rows) - 1
        at = [(bar, _LEFT + (bar - 1 - row * drawn.bars / rows) * pitch) for bar in range(first + 1, last + 2)]
        made += _row(drawn, at, pitch, top, of)
        if lane:
            made += _lane(drawn, at, pitch, top - over)
    return replace(bar_map_place(drawn, width), elements=tuple(made), interactive=drawn.paint)


def bar_map_place(drawn: Mapped, width: float) -> Drawing:
    """Return the map's place and what it says before its bars are drawn there.

    Units: width [px]. Shape: as high as the map will be.
    """
    rows, step = _rows_and_step(drawn, width)
    rows_said = tuple(
        (c.words, ", ".join(_run(a, b) for a, b in runs(on)), f"{len(on)}")
        for c in CONDITIONS
        if (on := having(drawn.shown, c.id))
    )
    rows_said += tuple(
        (f"slot {n} answers on the growler", _run(a, b), f"{b - a + 1}") for n, (a, b) in drawn.answering.items()
    )
    rows_said += (("leaks to the shaft", f"{drawn.earthed}", "1"),) if drawn.earthed is not None else ()
    said = "; ".join([f"{w}: bars {b}" for w, b, _ in rows_said] + list(drawn.says)) or "nothing painted"
    return Drawing(
        name="bar-map",
        width=width,
        height=14.0 + rows * step,
        title=f"Bar map, {drawn.bars} bars",
        description=f"{said}.",
        elements=(),
        head=("condition", "bars", "how many"),
        rows=rows_said,
    )


def _rows_and_step(drawn: Mapped, width: float) -> tuple[int, float]:
    """Return into how many rows the bars are wrapped, and how far one is from the next. Units: width [px], step [px]"""
    narrowest = _PHONE_NARROWEST if width <= _PHONE else _NARROWEST
    rows = rows_of(drawn.bars, drawn.poles, int((width - 2 * _LEFT) / narrowest))
    high = (_LANE_H if drawn.deviations else 0.0) + (_BRACKET_H if drawn.answering else 0.0)
    return rows, high + _BAR_H + _ROW_GAP


def _run(first: int, last: int) -> str:
    return f"{first}" if first == last else f"{first}–{last}"


def _row(drawn: Mapped, at: list[tuple[int, float]], pitch: float, top: float, of: str) -> list[Element]:
    gap = max(pitch * 0.09, 0.8)
    wide, made = pitch - gap, list[Element]()
    sized = (("y", top), ("width", wide), ("height", _BAR_H))
    for bar, x in at:
        mark = ("href", f"#bar-{of}{_name(drawn.shown.get(bar, _BARE))}")
        made.append(Element("use", "", (mark, ("x", x), *sized, ("data-bar", bar if drawn.paint else None))))
    made += _signs(drawn, at, pitch, gap, top) + _electric(drawn, at, pitch, gap, top)
    every = _numbered_every(pitch, len(str(at[-1][0])))
    for bar, x in at:
        near = bar != at[0][0] and (x - at[0][1]) < 7 * len(str(bar)) + 5
        if bar == at[0][0] or (bar % every == 0 and not near):
            made.append(label("text-soft", x + wide / 2, top + _BAR_H + 21, f"{bar}", "middle"))
    if drawn.slots and drawn.bars % drawn.slots == 0:
        per, y = drawn.bars // drawn.slots, top + _BAR_H
        made.append(
            el("path", "axis", d="".join(f"M{x - gap / 2:.1f} {y:.1f}v5" for bar, x in at if (bar - 1) % per == 0))
        )
    return made


def _signs(drawn: Mapped, at: list[tuple[int, float]], pitch: float, gap: float, top: float) -> list[Element]:
    """Return the marks under the bars of a proven spacing, and over those that changed since last time."""
    hit = "".join(f"M{x + pitch / 2:.1f} {top + _BAR_H + 2:.1f}l4 7h-8z" for bar, x in at if bar in drawn.spacing)
    made = [el("path", "visit", d=hit)] if hit else []
    changed = {**dict.fromkeys(drawn.less, "–"), **dict.fromkeys(drawn.more, "+")}
    return made + [
        label("text-soft", x + (pitch - gap) / 2, top - 3, changed[bar], "middle") for bar, x in at if bar in changed
    ]


def _electric(drawn: Mapped, at: list[tuple[int, float]], pitch: float, gap: float, top: float) -> list[Element]:
    """Return brackets over the bars of slots that answer on the growler, and an earth sign under the bar that leaks."""
    made = list[Element]()
    for slot, (a, b) in drawn.answering.items():
        held = [x for bar, x in at if a <= bar <= b]
        if held:
            left, right = held[0], held[-1] + pitch - gap
            made.append(el("path", "track", d=f"M{left:.1f} {top - 11:.1f}v-5H{right:.1f}v5"))
            made.append(label("text-tag", (left + right) / 2, top - 20, f"slot {slot}", "middle"))
    across = next((x + (pitch - gap) / 2 for bar, x in at if bar == drawn.earthed), None)
    if across is not None:
        y = top + _BAR_H
        made.append(el("path", "track", d=f"M{across:.1f} {y:.1f}v4m-6 0h12m-9 4h6m-4 4h2"))
    return made


def _numbered_every(pitch: float, figures: int) -> int:
    return next(e for e in (1, 2, 5, 10, 20, 50) if e * pitch >= 7 * figures + 7)


def _lane(drawn: Mapped, at: list[tuple[int, float]], pitch: float, top: float) -> list[Element]:
    """Return the readings over the slots that they cross; one that is far off is cut at the lane's edge and marked."""
    base, full = top - _LANE_BASE, _LANE_FULL
    px = full / max(3 * drawn.band, 0.3)
    left, right = at[0][1], at[-1][1] + pitch
    band = drawn.band * px
    made = [
        el("rect", "fan", x=left, y=base - band, width=right - left, height=2 * band),
        line("axis", left, base, right, base),
    ]
    plain = ""
    for bar, x in at:
        off, across = drawn.deviations[bar - 1], x + pitch * 0.955
        if off is None:
            made.append(label("text-soft", across, base + 4, "?", "middle"))
            continue
        stick = f"M{across:.1f} {base:.1f}V{base - max(min(off * px, full), -full):.1f}"
        if bar not in drawn.marked:
            plain += stick
            continue
        end = base - max(min(off * px, full), -full)
        made += [
            el("path", "touching", d=stick),
            label("text-tag", across, end - 3 if off > 0 else end + 13, f"{bar}{'▲' if off > 0 else '▼'}", "middle"),
        ]
    return [*made, el("path", "track", d=plain)] if plain else made


@cache
def _name(shown: frozenset[str]) -> str:
    """Return the name of the drawing of a bar that shows some conditions."""
    return "_".join(c.id for c in CONDITIONS if c.id in shown) or "plain"


@cache
def _symbol(name: str, of: str) -> Element:
    """Return a bar with its conditions; a name like +burnt is the mark alone, to be laid on a bar while it is
    painted. It is the symbol `of` its drawing.
    """
    parts = [part for c in name.lstrip("+").split("_") for part in _GLYPHS.get(c, ())]
    copper = [] if name.startswith("+") else [el("rect", "copper", x=0, y=0, width=10, height=44)]
    return el(
        "symbol",
        children=[*copper, *parts],
        id=f"bar-{of}{name}",
        viewBox="0 0 10 44",
        preserveAspectRatio="none",
        overflow="visible",
    )


def _symbols(drawn: Mapped, of: str) -> Element:
    """Return the bars that the drawing uses; one to paint on brings a plain bar and every single mark too."""
    names = {_name(drawn.shown.get(b, _BARE)) for b in range(1, drawn.bars + 1)}
    names |= {"plain", *(f"+{c}" for c in _GLYPHS)} if drawn.paint else set()
    return el("defs", children=[_symbol(name, of) for name in sorted(names)])


def _film(ink: str) -> Element:
    return el("rect", ink, x=0, y=7, width=10, height=30)


def _across(ink: str, *heights: float) -> list[Element]:
    return [line(ink, 0, y, 10, y) for y in heights]


_GLYPHS: dict[str, list[Element]] = {
    "even": [_film("film-even")],
    "light": [_film("film-light")],
    "dark": [_film("film-dark")],
    "burnt": [el("path", "burn", d="M0 7L2 9L4 6L6 9L8 6L10 8V36L8 38L6 35L4 38L2 35L0 37Z")],
    "burnt-leading": [el("path", "burn", d="M10 5H7L8 12L6.4 20L8 28L7 39H10Z")],
    "burnt-trailing": [el("path", "burn", d="M0 5H3L2 12L3.6 20L2 28L3 39H0Z")],
    "streaked": [_film("film-light"), *_across("streak", 12, 21, 30)],
    "threaded": _across("thread", 9, 13, 17, 21, 25, 29, 33),
    "grooved": [el("rect", "groove", x=0, y=12, width=10, height=20), *_across("streak", 12, 32)],
    "drag": [el("path", "glint", d="M5 10L10 12V32L5 34L8 22Z")],
    "pitted": [el("circle", "burn", cx=x, cy=y, r=1.1) for x, y in ((3, 12), (7, 17), (4, 23), (7, 29), (3, 34))],
    "flat": [el("rect", "flat", x=0.6, y=9, width=8.8, height=26)],
    "raised": [el("path", "burn", d="M5 -1L9.5 6H0.5Z")],
    "loose": [
        polyline("streak", [(1, 2), (9, 6)]),
        polyline("streak", [(1, 6), (9, 2)]),
        polyline("streak", [(1, 38), (9, 42)]),
        polyline("streak", [(1, 42), (9, 38)]),
    ],
    "dirty-slot": [el("rect", "burn", x=8.8, y=0, width=2.4, height=44)],
    "high-mica": [el("rect", "brass", x=8.8, y=0, width=2.4, height=44), *_across("streak", 1)],
    "chipped": [el("path", "ground", d="M10 0V8L7.6 5L6.4 0Z")],
}


def condition_sample(condition: str) -> Drawing:
    """Draw one bar with a condition, for the row of conditions to choose from."""
    parts = (
        el("rect", "copper", x=2.0, y=2.0, width=20.0, height=_BAR_H),
        el(
            "svg",
            children=_GLYPHS[condition],
            x=2.0,
            y=2.0,
            width=20.0,
            height=_BAR_H,
            viewBox="0 0 10 44",
            preserveAspectRatio="none",
            overflow="visible",
        ),
    )
    return Drawing(
        name="bar-sample",
        width=24.0,
        height=_BAR_H + 4,
        title=next(c.words for c in CONDITIONS if c.id == condition),
        description="",
        elements=parts,
    )
