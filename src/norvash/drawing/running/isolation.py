"""The way from what feeds a motor to what it turns, parted, proved and held where somebody said so."""

from collections.abc import Callable
from dataclasses import dataclass

from norvash.drawing.svg import Drawing, Element, el, label, line, lines, polyline

_ROW, _WIRE = 150.0, 64.0
# Where the places stand, in one row or, on a phone, in two: how far right, and how far down.
_WIDE = {
    "source": (74.0, 0.0),
    "terminals": (262.0, 0.0),
    "capacitors": (346.0, 0.0),
    "shaft": (446.0, 0.0),
    "turned": (570.0, 0.0),
}
_NARROW = {
    "source": (64.0, 0.0),
    "terminals": (228.0, 0.0),
    "capacitors": (312.0, 0.0),
    "shaft": (64.0, _ROW + 6),
    "turned": (228.0, _ROW + 6),
}


@dataclass(frozen=True, slots=True)
class Place:
    """One place on that way: which, what was done there in a few words, and whether somebody said that it is."""

    at: str
    words: str
    done: bool


def _ink(done: bool) -> str:
    return "wire" if done else "gone"


def _brass(done: bool) -> str:
    return "brass part" if done else "gone"


def _box(x: float, y: float, w: float, h: float, ink: str) -> Element:
    return el("rect", ink, x=x, y=y, width=w, height=h, rx=3)


def _plug(x: float, done: bool) -> list[Element]:
    """Draw a socket in the wall and its plug: pulled out where it is done."""
    out = 34.0 if done else 8.0
    prongs = [(x - 8 + out, _WIRE + dy, x + 4 + out, _WIRE + dy) for dy in (-6.0, 6.0)]
    return [
        _box(x - 44, _WIRE - 22, 34, 44, "box"),
        el("circle", "dot", cx=x - 27, cy=_WIRE - 6, r=2.4),
        el("circle", "dot", cx=x - 27, cy=_WIRE + 6, r=2.4),
        lines("carbon-line", prongs),
        _box(x + 4 + out, _WIRE - 13, 20, 26, "carbon" if done else "gone"),
    ]


def _battery(x: float, done: bool) -> list[Element]:
    """Draw a battery, its lead lifted off the post where it is done."""
    lift = -26.0 if done else 0.0
    return [
        _box(x - 46, _WIRE - 14, 70, 40, "box"),
        _box(x - 36, _WIRE - 22, 12, 8, "steel"),
        _box(x + 2, _WIRE - 22, 12, 8, "steel"),
        label("text-tag", x - 30, _WIRE + 10, "+", "middle"),
        label("text-tag", x + 8, _WIRE + 10, "−", "middle"),
        polyline(_ink(done), [(x + 8, _WIRE - 24 + lift), (x + 30, _WIRE - 24 + lift), (x + 58, _WIRE)]),
        el("circle", "copper" if done else "gone", cx=x + 8, cy=_WIRE - 24 + lift, r=5),
    ]


def _lock(x: float, done: bool) -> list[Element]:
    """Draw a switch box with its lever down, its lock and its tag where it is done."""
    made = [_box(x - 40, _WIRE - 34, 52, 62, "box")]
    lever = (x - 14, _WIRE + 12) if done else (x - 14, _WIRE - 24)
    made += [el("circle", "steel", cx=x - 14, cy=_WIRE - 6, r=5), line("carbon-line", x - 14, _WIRE - 6, *lever)]
    shackle = f"M{x - 19:.5g} {_WIRE + 16:.5g}v-6a5 5 0 0 1 10 0v6"
    made += [el("path", _ink(done), d=shackle), _box(x - 23, _WIRE + 16, 18, 13, _brass(done))]
    tag = f"M{x + 2:.5g} {_WIRE + 18:.5g}l10 -5h22v20h-22l-10 -5z"
    return [*made, el("path", _brass(done), d=tag), line(_ink(done), x - 5, _WIRE + 22, x + 3, _WIRE + 22)]


def _fuses(x: float, done: bool) -> list[Element]:
    """Draw two fuse holders, their fuses beside them where it is done."""
    made = []
    for dy in (-16.0, 10.0):
        made += [_box(x - 44, _WIRE + dy - 7, 10, 14, "steel"), _box(x - 4, _WIRE + dy - 7, 10, 14, "steel")]
        drop = 30.0 if done else 0.0
        made.append(_box(x - 33 + drop * 1.4, _WIRE + dy - 5 - (8 if done else 0), 28, 10, _brass(done)))
    return made


def _bench(x: float, done: bool) -> list[Element]:
    """Draw the edge of a bench and the free ends of the leads."""
    ends = [(x - 10, _WIRE - 10, x + 30, _WIRE), (x - 10, _WIRE + 10, x + 30, _WIRE)]
    return [
        line("carbon-line", x - 54, _WIRE + 30, x + 54, _WIRE + 30),
        lines(_ink(done), ends),
        el("circle", "copper" if done else "gone", cx=x - 12, cy=_WIRE - 10, r=3.5),
        el("circle", "copper" if done else "gone", cx=x - 12, cy=_WIRE + 10, r=3.5),
    ]


_SOURCES: dict[str, Callable[[float, bool], list[Element]]] = {
    "unplugged": _plug,
    "battery-out": _battery,
    "earth-lead": _battery,
    "disconnected": _battery,
    "locked": _lock,
    "fuses": _fuses,
    "on-bench": _bench,
}


def _terminals(x: float, done: bool) -> list[Element]:
    """Draw the terminals with a tester across them."""
    y = _WIRE - 34
    made = [_box(x - 30, _WIRE - 14, 60, 28, "box")]
    made += [el("circle", "brass part", cx=x + dx, cy=_WIRE, r=6) for dx in (-14.0, 14.0)]
    arc = f"M{x - 11:.5g} {y + 4:.5g}a11 11 0 0 1 22 0"
    made += [el("circle", "ground part" if done else "gone", cx=x, cy=y, r=16), el("path", _ink(done), d=arc)]
    leads = [[(x + s * 10, y + 13), (x + s * 20, y + 22), (x + s * 14, _WIRE)] for s in (-1, 1)]
    made += [polyline("copper-line" if done else "gone", p) for p in leads]
    return [*made, line(_ink(done), x, y + 4, x - 10, y)]


def _capacitors(x: float, done: bool) -> list[Element]:
    """Draw the plates of a capacitor, bridged where it is discharged."""
    made = [lines("carbon-line", [(x - 12, _WIRE + 14, x + 12, _WIRE + 14), (x - 12, _WIRE + 21, x + 12, _WIRE + 21)])]
    made.append(lines("wire", [(x, _WIRE, x, _WIRE + 14), (x, _WIRE + 21, x, _WIRE + 32)]))
    bridge = [(x - 8, _WIRE + 10), (x - 20, _WIRE + 10), (x - 20, _WIRE + 26), (x - 8, _WIRE + 26)]
    return [*made, polyline("copper-line" if done else "gone", bridge)]


def _shaft(x: float, done: bool) -> list[Element]:
    """Draw the machine with its shaft, wedged where it was found to stand still."""
    made = [_box(x - 52, _WIRE - 30, 84, 60, "steel-pale part"), _box(x + 32, _WIRE - 6, 36, 12, "steel part")]
    made.append(lines("cast-line", [(x - 44 + 12 * n, _WIRE - 30, x - 44 + 12 * n, _WIRE + 30) for n in range(7)]))
    wedges = [f"M{x + 40:.5g} {_WIRE + s * 7:.5g}h20v{s * 16:.5g}z" for s in (-1, 1)]
    return [*made, *(el("path", _brass(done), d=d) for d in wedges)]


def _turned(x: float, done: bool) -> list[Element]:
    """Draw what the shaft turns, blocked or taken off where it is done."""
    off = 16.0 if done else 0.0
    chock = f"M{x - 22 + off:.5g} {_WIRE + 34:.5g}h44l-8 -8h-28z"
    return [
        el("circle", "steel-pale part", cx=x + off, cy=_WIRE, r=24),
        el("circle", "ground part", cx=x + off, cy=_WIRE, r=6),
        el("path", _brass(done), d=chock),
    ]


_DRAWN = {"terminals": _terminals, "capacitors": _capacitors, "shaft": _shaft, "turned": _turned}


def isolation(method: str, usual: str, places: tuple[Place, ...], *, narrow: bool = False) -> Drawing:
    """Draw the places in their order: solid where somebody said that it is done, in pencil where nobody has.

    `method` is how it is isolated as it was said; where nobody has said it is empty, and the `usual` one is drawn.
    """
    at = _NARROW if narrow else _WIDE
    parted = any(p.at == "source" and p.done for p in places)
    wires = [line(_ink(parted), at["source"][0] + 58, _WIRE, at["terminals"][0] - 30, _WIRE)]
    end = at["terminals"][0] + 84 if narrow else at["shaft"][0] - 52
    wires.append(line("wire", at["terminals"][0] + 30, _WIRE, end, _WIRE))
    groups = []
    for place in places:
        x, down = at[place.at]
        draw = _SOURCES[method or usual] if place.at == "source" else _DRAWN[place.at]
        group = el(
            "g",
            children=(*draw(x, place.done), *_words(place, x)),
            transform=f"translate(0 {down:g})" if down else None,
        )
        groups.append(group)
    left = [p.words for p in places if not p.done]
    return Drawing(
        name="isolation",
        width=350.0 if narrow else 640.0,
        height=2 * _ROW + 6 if narrow else _ROW,
        title="From what feeds it to what it turns",
        description=f"Not said: {', '.join(left)}." if left else "All of it is said to be done.",
        elements=(*wires, *groups),
        head=("place", "said to be done"),
        rows=tuple((p.words, "yes" if p.done else "no") for p in places),
    )


def _words(place: Place, x: float) -> list[Element]:
    """Return what stands under a place; a capacitor's stands higher, between its neighbours'."""
    up = 16.0 if place.at == "capacitors" else 0.0
    said = label("text-tag" if place.done else "text-soft", x, _ROW - 18 - up, place.words, "middle")
    if place.done:
        tick = f"M{x - 5:.5g} {_ROW - 7 - up:.5g}l4 4l7 -8"
        return [said, el("path", "copper-line", d=tick)]
    return [said, label("text-soft", x, _ROW - 3 - up, "not said", "middle")]
