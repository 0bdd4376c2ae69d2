"""Counts of the machine, laid out as on a tray: every screw to one scale, as many as are counted."""

from collections.abc import Sequence

from norvash.core.stacks.part import StackPart
from norvash.drawing.shaft.exploded_stack import Laid
from norvash.drawing.shaft.part_shapes import Box, drawn_part
from norvash.drawing.svg import Drawing, Element

_ROW, _MOST, _THREAD_MM = 15.0, 8, 5.0


def _across_mm(part: StackPart) -> float:
    thread = part.size.removeprefix("M").partition(" ")[0]
    return 1.7 * float(thread) if thread else part.across_mm or min(part.of.across_mm, 3 * _THREAD_MM)


def counted_parts(one: Laid, px: float, width: float) -> Drawing:
    """Draw one count: what came off, and beside it what is back where that differs.

    Units: px [px a mm], width [px].
    """
    out = one.part
    rows = min(max(out.count, 1), _MOST)
    made: list[Element] = []
    half = max(min(_across_mm(out) * px / 2, _ROW / 2 - 1.5), 1.5)
    back = one.back
    for n in range(rows):
        middle = _ROW * (n + 0.5)
        there = back is not None and n < back.count
        right = there and back is not None and back.size == out.size
        seen = one.state in ("off", "back", "renewed") or right
        made += drawn_part(out, Box(x=1, middle=middle, long=max(out.reach_mm * px, 3), half=half), ghost=not seen)
        if there and back is not None and not right:
            other = max(min(_across_mm(back) * px / 2, _ROW / 2 - 1.5), 1.5)
            made += drawn_part(back, Box(x=width / 2, middle=middle, long=max(back.reach_mm * px, 3), half=other))
    return Drawing(
        name="counted-parts",
        width=width,
        height=_ROW * rows,
        title=out.words,
        description=f"{out.words}, {one.state}.",
        elements=tuple(made),
    )


def scale_of(parts: Sequence[StackPart], width: float) -> float:
    """Return the one scale of a tray [px a mm]: its longest part fills half of the width."""
    longest = max((p.reach_mm for p in parts), default=1.0)
    return min(width / 2 / max(longest, 1.0), 2.0)
