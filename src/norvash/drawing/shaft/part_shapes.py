"""The shapes of the parts that come off, as areas in a box: from 0 to 1 along the axis, from −1 to 1 across it."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from types import MappingProxyType

from norvash.core.stacks.kinds import Shape
from norvash.core.stacks.part import StackPart
from norvash.drawing.svg import Element, el

Points = tuple[tuple[float, float], ...]
# One area: its ink and its corners.
Area = tuple[str, Points]
_THREAD = 0.62


def _bar(ink: str, u0: float, u1: float, v: float) -> Area:
    return ink, ((u0, -v), (u1, -v), (u1, v), (u0, v))


def _twice(ink: str, u0: float, u1: float, v0: float, v1: float) -> tuple[Area, Area]:
    return ((ink, ((u0, v0), (u1, v0), (u1, v1), (u0, v1))), (ink, ((u0, -v0), (u1, -v0), (u1, -v1), (u0, -v1))))


def _mirrored(ink: str, upper: Points) -> Area:
    return ink, (*upper, *((u, -v) for u, v in reversed(upper)))


_SHAPES: Mapping[Shape, tuple[Area, ...]] = MappingProxyType(
    {
        "ring": (_bar("steel", 0, 1, 1),),
        "thick ring": (*_twice("steel", 0, 1, 0.42, 1), _bar("brass", 0, 1, 0.34)),
        "seal": (*_twice("carbon", 0, 0.55, 0.4, 1), *_twice("carbon", 0.55, 1, 0.4, 0.62)),
        "shield": (_mirrored("steel", ((0, -0.45), (0.3, -0.5), (0.62, -1), (1, -1))),),
        "plate": (
            _bar("brass", 0, 0.16, 1),
            *_twice("brass", 0.16, 1, 0.3, 0.86),
            *_twice("carbon", 0.32, 0.84, 0.3, 0.74),
        ),
        "armature": (
            _bar("steel", 0, 1, 0.16),
            _bar("copper", 0.1, 0.26, 0.5),
            _mirrored("groove", ((0.3, -0.6), (0.36, -0.84), (0.36, -0.84), (0.36, -0.84))),
            _bar("steel", 0.36, 0.74, 1),
            _mirrored("groove", ((0.74, -0.84), (0.8, -0.6))),
        ),
        "housing": (*_twice("steel", 0, 1, 0.84, 1), *_twice("carbon-old", 0.16, 0.84, 0.62, 0.84)),
        "drive": (
            _bar("steel", 0, 0.5, 1),
            _bar("carbon-old", 0.5, 0.6, 0.7),
            _bar("steel", 0.6, 0.95, 0.55),
            _bar("steel", 0.95, 1, 0.2),
        ),
        "nose": (_mirrored("steel", ((0, -1), (0.16, -1), (0.16, -0.86), (0.5, -0.6), (0.62, -0.42), (1, -0.42))),),
        "gear": (_bar("steel", 0, 0.35, 0.4), _bar("steel", 0.35, 1, 1), *_twice("carbon-old", 0.35, 1, 0.86, 0.93)),
        "nut": (_bar("steel", 0, 1, 1), *_twice("carbon-old", 0, 1, 0.44, 0.52)),
        "spring": tuple(
            ("steel", ((u, -1), (u + 0.08, -1), (u + 0.2, 1), (u + 0.12, 1))) for u in (0.0, 0.2, 0.4, 0.6, 0.8)
        ),
        "fan": (_bar("steel", 0, 0.3, 0.3), *_twice("steel", 0.3, 1, 0.2, 1), *_twice("carbon-old", 0.6, 0.68, 0.2, 1)),
        "lever": (("steel", ((0.3, -1), (0.7, -1), (0.85, 0), (0.7, 1), (0.3, 1), (0.15, 0))),),
        "bolt": (_bar("steel", 0, 0.14, 1), _bar("steel", 0.14, _THREAD, 0.5), _bar("carbon-old", _THREAD, 1, 0.46)),
        "screw": (_bar("steel", 0, 0.2, 1), _bar("carbon-old", 0.2, 1, 0.5)),
        "flat": (_bar("steel", 0, 1, 1),),
        "band": (_mirrored("carbon-old", ((0, -0.5), (0.06, -1), (0.94, -1), (1, -0.5))),),
    }
)
_BY_MATERIAL = {"fibre": "brass", "felt": "brass", "plastic": "brass", "mica": "brass", "rubber": "carbon"} | {
    "brass": "copper",
    "copper": "copper",
}
_INSULATING = ("fibre washer", "insulator")


@dataclass(frozen=True, slots=True, kw_only=True)
class Box:
    """Where a part is drawn: its left end and middle [px], its length along the axis and its half width across it."""

    x: float
    middle: float
    long: float
    half: float


def part_areas(part: StackPart) -> tuple[Area, ...]:
    """Return the areas of a part in the inks of its stuff."""
    shape = _SHAPES[part.of.shape]
    stuff = _BY_MATERIAL.get(part.material, "brass" if part.kind in _INSULATING else "")
    return tuple((stuff if stuff and ink == "steel" else ink, points) for ink, points in shape)


def drawn_part(part: StackPart, box: Box, *, ghost: bool = False, upright: bool = False) -> list[Element]:
    """Draw a part in its box, only in outline where it is a `ghost`; `upright` along a standing axis, whose `x` is then
    its upper end.
    """
    areas = part_areas(part)
    if ghost:
        return [_area("gone", points, box, upright) for ink, points in areas if ink != "carbon-old"]
    return [_area(ink, points, box, upright) for ink, points in areas]


def _area(ink: str, points: Iterable[tuple[float, float]], box: Box, upright: bool) -> Element:
    def at(u: float, v: float) -> str:
        along, across = box.x + u * box.long, box.middle + v * box.half
        return f"{across:.4g} {along:.4g}" if upright else f"{along:.4g} {across:.4g}"

    return el("path", ink, d="M" + "L".join(at(u, v) for u, v in points) + "z")
