"""The section as it is shown: its parts by what is known of them, pins, lines to their names, the table behind it."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

from norvash.drawing.cutaway.built import Built, Stated, built
from norvash.drawing.cutaway.names import Led, led
from norvash.drawing.cutaway.parts import DRAW, pins
from norvash.drawing.cutaway.pen import Pen
from norvash.drawing.svg import Drawing, Element, el, polyline

_WIDE, _MOST_HIGH, _BUS, _MARGIN = 680.0, 330.0, 22.0, 8.0
_UPRIGHT, _ROW = 176.0, 44.0
_SEEN = ("sound", "some", "found", "done", "proven")
_CAST = el(
    "defs",
    children=[
        el(
            "pattern",
            children=[el("path", "cast-line", d="M0 0V5")],
            id="cast",
            width=5,
            height=5,
            patternUnits="userSpaceOnUse",
            patternTransform="rotate(45)",
        )
    ],
)


@dataclass(frozen=True, slots=True, kw_only=True)
class PartShown:
    """A part as it is drawn and named: its number on the axis, what it is called, its state, of what was found the
    grade, and what is said of it; whether its name is of this stage, whether it is the one that is open, and whether
    something of an earlier visit is still open on it.
    """

    id: str
    number: int
    name: str
    state: str
    grade: str = ""
    said: str = ""
    own: bool = True
    chosen: bool = False
    carried: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Section:
    """A section drawn level, with names above and below, and upright, with names beside it, in the order of the axis.

    `above` and `below` are the parts that are named there, `order` all of them along it; `scale` says what is to scale,
    `short_by` what a stated span lacks [mm].
    """

    wide: Drawing
    upright: Drawing
    above: tuple[str, ...]
    below: tuple[str, ...]
    order: tuple[str, ...]
    scale: str
    short_by: float


@lru_cache(128)  # the same section is drawn again and again
def section(
    stated: Stated,
    parts: tuple[PartShown, ...],
    to_scale: tuple[str, ...],
    beside: tuple[str, ...],
    *,
    only: bool = False,
) -> Section:
    """Draw a section of a motor with its parts as they stand; `beside` are those that the upright one names, and
    where it is `only` those the level one too.

    Units: [px]. Source: cut above the axis, whole below
    """
    b, shown = built(stated), {p.id: p for p in parts}
    left = min(0.0, b.commutator_x[0] - 0.6 * b.d) if stated.solenoid else 0.0
    px = min((_WIDE - 2 * _MARGIN) / (b.end_x - left), _MOST_HIGH / (b.top + b.bottom))
    body = _body(b, shown, px)
    at_x = (_WIDE - (b.end_x - left) * px) / 2 - left * px
    high = (b.top + b.bottom) * px
    axis_y = _BUS + _MARGIN + b.top * px
    whole = axis_y + b.bottom * px + _MARGIN + _BUS
    at = {i: (at_x + x * px, axis_y - r * px) for i, (x, r) in pins(b).items() if i in (beside if only else shown)}
    above = led({i: p for i, p in at.items() if p[1] < axis_y}, (0.0, _WIDE), _BUS, _WIDE)
    below = led({i: p for i, p in at.items() if p[1] >= axis_y}, (whole, _WIDE), whole - _BUS, _WIDE)
    lines = [x for each in (*above, *below) for x in _pin(each, shown[each.part])]
    inner = el("g", children=body, id="cut-parts")
    drawn = el("g", children=[inner], transform=f"translate({at_x:.1f} {axis_y:.1f})")
    words = _words(parts, to_scale)
    wide = Drawing(
        name="cutaway",
        width=_WIDE,
        height=whole,
        title="Section, cut above the axis and whole below it",
        description=words,
        elements=(_CAST, drawn, *lines),
        head=("part", "how it stands"),
        rows=tuple((p.name, p.said) for p in parts),
    )
    upright = _upright(b, shown, (px, left, high), beside)
    order = tuple(x.part for x in sorted((*above, *below), key=lambda x: x.line[2][0]))
    return Section(
        wide=wide,
        upright=upright,
        above=tuple(x.part for x in above),
        below=tuple(x.part for x in below),
        order=order,
        scale=_scale(to_scale),
        short_by=b.short_by,
    )


def _body(b: Built, shown: dict[str, PartShown], px: float) -> list[Element]:
    """Return the parts in the order in which they lie over one another, then the rings of what was found, then what the
    hand touches.
    """
    halo: list[Element] = []
    drawn: list[Element] = []
    rings: list[Element] = []
    touch: list[Element] = []
    for part_id, draw in DRAW.items():
        part = shown.get(part_id)
        if part is None and part_id not in ("frame", "shaft"):
            continue
        state = part.state if part is not None else "sound"
        pen = Pen(px, inked=state in _SEEN)
        draw(b, pen)
        drawn += pen.elements()
        outline = "".join(pen.outline)
        if part is None:
            continue
        if part.chosen:
            halo.append(el("path", "halo", d=outline))
        rings += _rings(part, outline)
        touch.append(el("path", "touch", d=outline, data_part=part.number))
    axis = el("path", "axis-line", d=f"M{-8 * 1.0:.1f} 0H{b.end_x * px + 8:.1f}")
    return [*halo, *drawn, axis, *rings, *touch]


def _rings(part: PartShown, outline: str) -> list[Element]:
    if part.state in ("found", "done"):
        ink = "ring" if part.state == "found" else "ring ring-done"
        children = [el("path", ink, d=outline), el("path", "ring-pale", d=outline)]
        return [el("g", f"stage-{part.grade}", children=children[: 2 if part.state == "found" else 1])]
    return [el("path", "ring-proven", d=outline)] if part.state == "proven" else []


def _pin(name: Led, part: PartShown) -> list[Element]:
    """Return the line from a name to its part and the pin at its end, told by shape before colour."""
    x, y = name.line[2]
    ink = "leader chosen" if part.chosen else "leader"
    made = [polyline(ink, name.line)]
    if part.state in ("found", "done"):
        pin = el("circle", "pin", cx=x, cy=y, r=4.6)
        return [el("g", f"stage-{part.grade}", children=[*made, pin])]
    if part.state == "some":
        return [
            *made,
            el("circle", "pin-open", cx=x, cy=y, r=3.2),
            el("path", "pin-half", d=f"M{x:.1f} {y - 3.2:.1f}a3.2 3.2 0 0 1 0 6.4z"),
        ]
    ink = {"unseen": "pin-open", "proven": "pin-proven"}.get(part.state, "pin-dot")
    return [*made, el("circle", ink, cx=x, cy=y, r=3.2 if part.state != "sound" else 2.6)]


def _upright(b: Built, shown: dict[str, PartShown], wide: tuple[float, float, float], beside: Sequence[str]) -> Drawing:
    """Return the section upright, its commutator end up and its cut side towards the names."""
    px, left, _high = wide
    named = [i for i in shown if i in beside]
    high = max(_ROW * len(named), 4 * _ROW)
    scale = min((high - 2 * _MARGIN) / (b.end_x - left), (_UPRIGHT - _BUS - 10) / (b.top + b.bottom))
    axis_x = _MARGIN / 2 + b.bottom * scale
    top_y = (high - (b.end_x - left) * scale) / 2 - left * scale
    at = {i: (top_y + x * scale, axis_x + r * scale) for i, (x, r) in pins(b).items() if i in named}
    lines = led(at, (_UPRIGHT, high), _UPRIGHT - _BUS, high)
    turned = [Led(x.part, x.row, tuple((p[1], p[0]) for p in x.line)) for x in lines]  # type: ignore[arg-type]
    pinned = [e for x in turned for e in _pin(x, shown[x.part])]
    k = scale / px
    # The drawing beside it stands at its own place on the page: it is brought back to the origin before it is turned.
    used = el("use", href="#cut-parts", transform=f"translate({axis_x:.1f} {top_y:.1f}) rotate(90) scale({k:.4f})")
    return Drawing(
        name="cutaway-upright", width=_UPRIGHT, height=high, title="", description="", elements=(used, *pinned)
    )


def _scale(to_scale: Sequence[str]) -> str:
    return f"{', '.join(to_scale)} to scale" if to_scale else "drawn as its class is built"


def _words(parts: Sequence[PartShown], to_scale: Sequence[str]) -> str:
    told = [f"{p.name}: {p.said}" for p in parts if p.state not in ("sound", "unseen")]
    unseen = [p.name for p in parts if p.state == "unseen"]
    left = f"not looked at: {', '.join(unseen)}" if unseen else "all looked at"
    return "; ".join((_scale(to_scale), *told, left))
