"""The exploded stack: parts pulled apart along their axis as they come off, drawn together as they go back."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache
from itertools import pairwise

from norvash.core.stacks.part import StackPart
from norvash.drawing.shaft.part_shapes import Box, drawn_part
from norvash.drawing.svg import Drawing, Element, el, label, line, polyline

_TOP, _LOW, _SIDE, _HIGH, _LEAST, _NUMBER = 34.0, 46.0, 4.0, 132.0, 2.0, 20.0
_GAP, _LEAST_GAP, _MOST_PX = 20.0, 7.0, 6.0
_SCALES = (1, 2, 5, 10, 20, 50, 100, 200)
_GHOSTS = ("lent", "not there", "left out")
_IN = ("back", "renewed")


@dataclass(frozen=True, slots=True, kw_only=True)
class Laid:
    """A part as it is laid out: its number, how it stands (“lent”, “off”, “back”, “differs”, “renewed”, “left out”,
    “not there”), and whether it is in hand.
    """

    number: int
    part: StackPart
    state: str
    in_hand: bool = False
    back: StackPart | None = None


@lru_cache(128)
def exploded_stack(laid: tuple[Laid, ...], title: str, width: float) -> Drawing:
    """Draw parts on their axis to one scale, a part thinner than a line as a line, as many shims as are counted; what
    nobody measured is drawn at a usual size. What is lent is dashed, what is back stands together.

    Units: width [px].
    """
    lengths, halves = [_length_mm(x.part) for x in laid], [_across_mm(x.part) / 2 for x in laid]
    joined = [a.state in _IN and b.state in _IN for a, b in pairwise(laid)]
    open_gaps = sum(not j for j in joined)
    gap = max(min(_GAP, (width * 0.45) / max(open_gaps, 1)), _LEAST_GAP)
    px = min(
        (width - 2 * _SIDE - gap * open_gaps) / max(sum(lengths), 1.0), _HIGH / 2 / max(halves, default=1.0), _MOST_PX
    )
    middle = _TOP + _HIGH / 2
    made: list[Element] = []
    x, spans = _SIDE, []
    for n, one in enumerate(laid):
        long = max(lengths[n] * px, _LEAST * (one.part.count or 1))
        spans.append((x, x + long))
        made += _drawn(one, Box(x=x, middle=middle, long=long, half=max(halves[n] * px, _LEAST)))
        x += long + (gap if n < len(joined) and not joined[n] else 0.0)
    end = min(max(x, _SIDE), width)
    return Drawing(
        name="exploded-stack",
        width=width,
        height=_TOP + _HIGH + _LOW,
        title=title,
        description="; ".join(f"{x.number} {x.part.words}, {x.state}" for x in laid) + ".",
        elements=(
            el("path", "rule", d=f"M0 {middle:.5g}H{end:.5g}", stroke_dasharray="14 4 2 4"),
            *made,
            *_numbers(laid, spans, width),
            *_brackets(laid, spans),
            *_scale(px, width),
        ),
        head=("no.", "part", "how it stands"),
        rows=tuple((str(x.number), x.part.words, x.state) for x in laid),
    )


def _length_mm(part: StackPart) -> float:
    """Return how long a part is along the axis, several thin ones together; what nobody measured at a usual size."""
    count = max(part.count, 1) if part.of.shape == "ring" else 1
    return (part.long_mm or part.of.long_mm) * count


def _across_mm(part: StackPart) -> float:
    return part.across_mm or part.of.across_mm


def _drawn(one: Laid, box: Box) -> list[Element]:
    ghost = one.state in _GHOSTS
    count = one.part.count if one.part.of.shape == "ring" else 1
    back = one.back.count if one.back is not None else count
    if count < 2:
        made = drawn_part(one.part, box, ghost=ghost)
    else:
        step = box.long / count
        made = [
            e
            for n in range(count)
            for e in drawn_part(
                one.part,
                Box(x=box.x + n * step, middle=box.middle, long=max(step - 1, 1), half=box.half),
                ghost=ghost or n >= back,
            )
        ]
    if one.in_hand or one.state == "differs":
        frame = 6.0
        made.append(
            el(
                "rect",
                "copper-line" if one.in_hand else "track-hot",
                x=box.x - frame,
                y=box.middle - box.half - frame,
                width=box.long + 2 * frame,
                height=2 * (box.half + frame),
            )
        )
    return made


def _numbers(laid: Sequence[Laid], spans: Sequence[tuple[float, float]], width: float) -> list[Element]:
    """Return the numbers above, each over its part, pushed apart where they would touch."""
    made: list[Element] = []
    at = [(a + b) / 2 for a, b in spans]
    places: list[float] = []
    for n, x in enumerate(at):
        places.append(max(x, places[-1] + _NUMBER if n else 6.0))
    over = max(places, default=0.0) - (width - 6)
    if over > 0:
        for n in range(len(places) - 1, -1, -1):
            most = width - 6 if n == len(places) - 1 else places[n + 1] - _NUMBER
            places[n] = min(places[n], most)
    for one, x, place in zip(laid, at, places, strict=True):
        ink = "text-copper" if one.in_hand else "text-tag" if one.state not in _GHOSTS else "text-soft"
        made += [label(ink, place, 12, str(one.number), "middle"), line("rule", place, 16, x, _TOP - 4)]
    return made


def _brackets(laid: Sequence[Laid], spans: Sequence[tuple[float, float]]) -> list[Element]:
    """Return what each run of parts that stand alike is called, below them."""
    y = _TOP + _HIGH + 8
    made: list[Element] = []
    runs: list[tuple[str, float, float, int]] = []
    for one, (a, b) in zip(laid, spans, strict=True):
        words = {"off": "off and seen", "lent": "lent, not seen", "renewed": "back"}.get(one.state, one.state)
        if runs and runs[-1][0] == words:
            runs[-1] = (words, runs[-1][1], b, runs[-1][3] + 1)
        else:
            runs.append((words, a, b, 1))
    for n, (words, a, b, count) in enumerate(runs):
        ink = "gone" if words in ("lent, not seen", "not there", "left out") else "axis"
        made.append(el("path", ink, d=f"M{a:.5g} {y - 5:.5g}V{y:.5g}H{b:.5g}V{y - 5:.5g}"))
        room = (runs[n + 1][1] if n + 1 < len(runs) else b + 200) - a
        if room > 8 * len(words):
            made.append(label("text-soft", a, y + 15, f"{words}: {count}"))
    return made


def _scale(px: float, width: float) -> list[Element]:
    """Return a scale of a round length."""
    mm = next((n for n in reversed(_SCALES) if n * px <= 90), 1)
    x, y = width - _SIDE - mm * px, _TOP + _HIGH + 32
    return [
        el("path", "axis", d=f"M{x:.5g} {y - 4:.5g}V{y:.5g}H{x + mm * px:.5g}V{y - 4:.5g}"),
        label("text-soft", x - 6, y + 1, f"{mm} mm", "end"),
    ]


def scale_beside(parts: Sequence[StackPart], width: float) -> float:
    """Return the one scale of parts that are drawn beside their rows [px a mm]: the widest fills the width.

    Units: width [px].
    """
    return min(width / max((_across_mm(p) for p in parts), default=1.0), _MOST_PX)


@lru_cache(1024)  # the same part lies beside its row again and again
def part_alone(one: Laid, px: float, width: float, height: float) -> Drawing:
    """Draw one part upright, to fit beside its row; a long one is broken off, never shrunk to a line.

    Units: px [px a mm], width, height [px].
    """
    part = one.part
    long = min(max(_length_mm(part) * px, _LEAST), height - 4)
    box = Box(x=(height - long) / 2, middle=width / 2, long=long, half=max(_across_mm(part) / 2 * px, _LEAST))
    elements = [
        el("path", "rule", d=f"M{width / 2:.4g} 0V{height:.4g}"),
        *drawn_part(part, box, ghost=one.state in _GHOSTS, upright=True),
    ]
    if long < _length_mm(part) * px:
        y, n = height * 0.62, 8
        zigzag = [(width * i / n, y + (4.0 if i % 2 else -4.0)) for i in range(n + 1)]
        elements.append(polyline("break", zigzag))
    return Drawing(
        name="part-alone",
        width=width,
        height=height,
        title=part.words,
        description=f"{part.words}, {one.state}.",
        elements=tuple(elements),
    )
