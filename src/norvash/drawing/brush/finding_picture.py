"""Finding pictures: each thing that can be seen on a brush, its lead, spring and holder, drawn as it looks."""

from collections.abc import Callable
from functools import cache

from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.drawing.svg import Drawing, Element, el, line, lines, polyline

_WIDTH, _HEIGHT = 108.0, 84.0
# The brush stands in its box on the copper; all lengths in px of this small sheet.
_LEFT, _RIGHT, _TOP, _FACE = 40.0, 68.0, 26.0, 68.0


def _use(name: str) -> Element:
    """Return a piece of the scenery that a page holds once for all its pictures."""
    return el("use", href=f"#see-{name}")


def _copper() -> list[Element]:
    return [_use("copper")]


def _copper_drawn() -> list[Element]:
    slots = [(x, 70.0, x, 76.0) for x in (22.0, 38.0, 54.0, 70.0, 86.0)]
    return [el("path", "copper", d="M6 74Q54 64 102 74L102 82L6 82Z"), lines("slots", slots)]


def _carbon(left: float = _LEFT, right: float = _RIGHT, top: float = _TOP, face: float = _FACE) -> Element:
    return el("rect", "carbon", x=left, y=top, width=right - left, height=face - top)


def _box() -> list[Element]:
    return [_use("box")]


def _box_drawn() -> Element:
    left, right = _LEFT - 4, _RIGHT + 4
    return lines("box", [(left, 20.0, left, 60.0), (right, 20.0, right, 60.0)])


def _lead(*points: tuple[float, float], ink: str = "copper-line") -> Element:
    return polyline(ink, points or ((54.0, 30.0), (54.0, 18.0), (66.0, 10.0), (84.0, 12.0), (94.0, 22.0)))


def _spring(top: float = 4.0, bottom: float = _TOP, ink: str = "track", turns: int = 4) -> Element:
    step = (bottom - top) / (2 * turns)
    return polyline(ink, [(46.0 if i % 2 else 62.0, top + i * step) for i in range(2 * turns + 1)])


def _cross(x: float, y: float, size: float = 5.0) -> list[Element]:
    strokes = [(x - size, y - size, x + size, y + size), (x - size, y + size, x + size, y - size)]
    return [lines("copper-line", strokes)]


def _arrow(x: float, y1: float, y2: float) -> list[Element]:
    tip = -5.0 if y2 > y1 else 5.0
    return [lines("axis", [(x, y1, x, y2), (x - 4, y2 + tip, x, y2), (x + 4, y2 + tip, x, y2)])]


def _scene(*parts: Element, spring: bool = True, box: bool = True) -> list[Element]:
    """Return the brush as it stands in its box on the copper, and what is seen there."""
    if spring and box:
        return [_use("scene"), *parts]
    if box:
        return [_use("held"), *parts]
    return [_use("copper"), _use("brush"), *([_use("spring")] if spring else []), *parts]


def _dots(ink: str, *places: tuple[float, float], r: float = 1.8) -> list[Element]:
    return [el("g", ink, children=[el("circle", cx=x, cy=y, r=r) for x, y in places])]


def _face_close(*parts: Element) -> list[Element]:
    """Return the running face seen from below, large."""
    return [_use("face"), *parts]


_MAKERS: dict[str, Callable[[], list[Element]]] = {
    "brush.free": lambda: _scene(*_arrow(20.0, 30.0, 52.0), *_arrow(88.0, 52.0, 30.0)),
    "brush.sticky": lambda: _scene(*_dots("brass", (38, 30), (38, 38), (38, 46), (70, 34), (70, 42), (70, 52), r=2.6)),
    "brush.seized": lambda: [
        *_copper(),
        *_box(),
        _carbon(face=58.0),
        _use("spring"),
        *_cross(38.0, 40.0),
        *_cross(70.0, 40.0),
        *_arrow(20.0, 60.0, 70.0),
    ],
    "brush.chip-small": lambda: _scene(el("path", "ground-sheet", d="M68 62L68 69L62 69Z")),
    "brush.chip-large": lambda: _scene(
        el("path", "ground-sheet", d="M68 50L68 69L52 69L60 58Z"),
        polyline("slots", [(46, 28), (50, 40), (44, 52), (49, 66)]),
    ),
    "brush.latched": lambda: [
        *_copper(),
        *_box(),
        _carbon(top=14.0, face=52.0),
        line("copper-line", 72.0, 26.0, 60.0, 34.0),
        *_arrow(20.0, 54.0, 68.0),
    ],
    "brush.off-track": lambda: [
        el("rect", "copper", x=14.0, y=44.0, width=80.0, height=30.0),
        el("rect", "copper", x=80.0, y=34.0, width=14.0, height=40.0),
        el("rect", "carbon", x=56.0, y=14.0, width=34.0, height=30.0),
        lines("axis", [(80.0, 4.0, 80.0, 80.0)]),
        line("copper-line", 84.0, 38.0, 92.0, 30.0),
    ],
    "brush.oily": lambda: _scene(
        el("path", "brass", d="M76 30Q84 44 76 48Q68 44 76 30Z"),
        el("path", "brass", d="M30 36Q36 48 30 52Q24 48 30 36Z"),
    ),
    "face.satin": _face_close,
    "face.glazed": lambda: _face_close(
        el("path", "glint", d="M30 64L58 20L70 20L42 64Z"), el("path", "glint", d="M62 64L78 38L78 50L70 64Z")
    ),
    "face.threads": lambda: _face_close(
        *[line("slots", 22.0, y, 86.0, y) for y in (20.0, 26.0, 33.0, 41.0, 47.0, 56.0, 63.0)]
    ),
    "face.burnt": lambda: _face_close(
        el("path", "brass", d="M74 14L86 14L86 70L76 70L80 58L74 48L79 36L73 26Z"),
        *_dots("slots", (80, 22), (82, 44), (81, 62), r=2.2),
    ),
    "face.copper": lambda: _face_close(
        *_dots("copper", (34, 26), (48, 54), (66, 30), (72, 58), (40, 42), (58, 44), r=3.4)
    ),
    "face.taper": lambda: [
        *_copper(),
        *_box(),
        el("path", "carbon", d="M40 26L68 26L68 68L40 58Z"),
        _use("spring"),
        line("copper-dash", 34.0, 56.0, 78.0, 71.7),
    ],
    "face.partly": lambda: _face_close(el("rect", "glint", x=40.0, y=14.0, width=26.0, height=56.0)),
    "face.one-side": lambda: _face_close(
        el("rect", "glint", x=22.0, y=14.0, width=22.0, height=56.0), line("copper-dash", 44.0, 14.0, 44.0, 70.0)
    ),
    "lead.strands-10": lambda: _scene(
        _lead(), polyline("copper-line", [(72, 9), (76, 4), (80, 5)]), polyline("copper-line", [(80, 12), (86, 8)])
    ),
    "lead.strands-25": lambda: _scene(
        _lead(),
        *[polyline("copper-line", [(66 + d, 10), (70 + d, 2 + d / 4), (76 + d, 4)]) for d in (0, 6, 12)],
        *[polyline("copper-line", [(74 + d, 12), (80 + d, 19)]) for d in (0, 6)],
    ),
    "lead.heat": lambda: _scene(_lead(), *_dots("plan-ink", (66, 10), (74, 11), (82, 13), r=4.4)),
    "lead.taut": lambda: _scene(
        _lead((54.0, 30.0), (94.0, 8.0)), line("copper-line", 88.0, 4.0, 98.0, 12.0), spring=False
    ),
    "lead.loose": lambda: _scene(
        _lead((56.0, 18.0), (62.0, 10.0), (84.0, 12.0), (94.0, 22.0)),
        el("circle", "ground-sheet", cx=54.0, cy=30.0, r=3.2),
        spring=False,
    ),
    "lead.touches": lambda: _scene(
        _lead((54.0, 30.0), (72.0, 22.0), (90.0, 44.0), (94.0, 74.0)), *_cross(94.0, 74.0), spring=False
    ),
    "terminal.poor": lambda: [
        _lead((8.0, 60.0), (30.0, 44.0), (48.0, 42.0)),
        el("path", "steel", d="M48 32L88 32L88 52L48 52Z"),
        el("circle", "ground-sheet", cx=74.0, cy=42.0, r=6.0),
        *_dots("brass", (56, 36), (62, 46), (84, 36), (80, 49), (66, 34), (54, 47), r=3.0),
    ],
    "indicator.dead": lambda: _scene(
        polyline("straight", [(58, 48), (58, 18), (78, 6)]),
        polyline("straight", [(86, 2), (100, 2)]),
        *_cross(82.0, 4.0, 4.0),
        spring=False,
    ),
    "spring.heat": lambda: _scene(_spring(ink="track-hot"), *_dots("plan-ink", (54, 8), (54, 18), r=3.0), spring=False),
    "spring.broken": lambda: _scene(
        _spring(4.0, 12.0, turns=2), _spring(18.0, 26.0, turns=2), *_cross(70.0, 15.0), spring=False
    ),
    "spring.off": lambda: _scene(
        el("rect", "box", x=80.0, y=8.0, width=10.0, height=44.0),
        el("rect", "copper", x=80.0, y=34.0, width=10.0, height=18.0),
        line("axis", 76.0, 22.0, 94.0, 22.0),
    ),
    "spring.far-off": lambda: _scene(
        el("rect", "box", x=80.0, y=8.0, width=10.0, height=44.0),
        el("rect", "copper", x=80.0, y=45.0, width=10.0, height=7.0),
        line("axis", 76.0, 22.0, 94.0, 22.0),
    ),
    "spring.seat": lambda: _scene(
        polyline("track", [(80, 6), (92, 14), (80, 20), (90, 26), (78, 30)]),
        lines("copper-dash", [(54.0, 6.0, 54.0, 24.0)]),
        spring=False,
    ),
    "spring.travel": lambda: [
        *_copper(),
        *_box(),
        _carbon(top=52.0),
        _spring(4.0, 50.0, turns=5),
        line("copper-dash", 30.0, 54.0, 78.0, 54.0),
    ],
    "holder.damaged": lambda: _scene(
        el("path", "track", d="M36 20Q24 36 33 46Q38 54 30 60"),
        polyline("copper-dash", [(72, 20), (76, 34), (70, 44), (78, 60)]),
        box=False,
    ),
    "holder.cracked": lambda: _scene(
        polyline("copper-dash", [(36, 22), (30, 30), (38, 38), (28, 48), (36, 58)]),
        polyline("copper-dash", [(72, 26), (80, 36), (70, 46), (78, 56)]),
    ),
    "holder.loose": lambda: [
        *_copper(),
        el("g", "tipped", transform="rotate(11 54 46)", children=[_box_drawn(), _carbon()]),
        *_arrow(22.0, 30.0, 52.0),
        *_arrow(88.0, 52.0, 30.0),
    ],
    "holder.arms": lambda: [
        el("circle", "copper", cx=54.0, cy=42.0, r=20.0),
        *[
            el("rect", "carbon", x=54.0 + 27.0 * x - 5, y=42.0 + 27.0 * y - 5, width=10.0, height=10.0)
            for x, y in ((1.0, 0.0), (-1.0, 0.0), (0.0, -1.0), (0.45, 0.89))
        ],
        *[
            line("copper-dash", 54.0, 42.0, 54.0 + 34.0 * x, 42.0 + 34.0 * y)
            for x, y in ((1.0, 0.0), (-1.0, 0.0), (0.0, -1.0), (0.0, 1.0))
        ],
    ],
    "insulator.dirty": lambda: [
        el("rect", "brass", x=20.0, y=30.0, width=68.0, height=24.0),
        el("rect", "steel", x=46.0, y=10.0, width=16.0, height=64.0),
        *_dots("carbon", (26, 36), (34, 48), (40, 34), (70, 50), (78, 36), (84, 46), (72, 40), (30, 42), r=2.8),
    ],
    "insulator.cracked": lambda: [
        el("rect", "brass", x=20.0, y=30.0, width=68.0, height=24.0),
        el("rect", "steel", x=46.0, y=10.0, width=16.0, height=64.0),
        polyline("track", [(66, 30), (72, 38), (68, 44), (76, 54)]),
    ],
}


@cache
def scenery() -> Element:
    """Return what the pictures have in common, for a page to hold once."""
    common = {"copper": _copper_drawn(), "box": [_box_drawn()], "brush": [_carbon()]}
    face = [el("rect", "carbon", x=22.0, y=14.0, width=64.0, height=56.0)]
    common["held"] = [_use(name) for name in common]
    common |= {"spring": [_spring()], "scene": [_use("held"), _use("spring")]}
    return el(
        "defs",
        children=[el("g", children=drawn, id=f"see-{name}") for name, drawn in (common | {"face": face}).items()],
    )


@cache
def finding_picture(finding_id: str) -> Drawing:
    """Draw one finding; its words stand beside it on the page and in its text alternative."""
    words = BY_SIGHT[finding_id].words
    return Drawing(
        name="finding-picture",
        width=_WIDTH,
        height=_HEIGHT,
        title=words[0].upper() + words[1:],
        description=BY_SIGHT[finding_id].decision,
        elements=tuple(_MAKERS[finding_id]()),
    )
