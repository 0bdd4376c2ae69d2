"""The order in which the screws round a cover are tightened: across, in three rounds."""

from itertools import pairwise
from math import cos, pi, sin

from norvash.core.stacks.torque import Band, cross_order
from norvash.drawing.svg import Drawing, Element, el, label, line

_SIDE, _HEAD, _WORDS = 140.0, 11.0, 150.0


def cross_pattern(count: int, band: Band | None, width: float) -> Drawing:
    """Draw screws round a cover with the order in which they are tightened, and beside it the three rounds.

    Units: width [px].
    """
    middle, r = _SIDE / 2 + 6, _SIDE / 2 - 16
    made: list[Element] = [
        el("circle", "box", cx=middle, cy=middle, r=_SIDE / 2),
        el("circle", "box", cx=middle, cy=middle, r=r - 22),
    ]
    order = cross_order(count)
    at = {n: (middle + r * sin(2 * pi * n / count), middle - r * cos(2 * pi * n / count)) for n in range(count)}
    path = [at[n - 1] for n in order]
    made += [line("rule", *a, *b) for a, b in pairwise(path)]
    for turn, n in enumerate(order, 1):
        x, y = at[n - 1]
        made += [
            el("circle", "steel", cx=x, cy=y, r=_HEAD),
            el("circle", "ground", cx=x, cy=y, r=_HEAD - 2.5),
            label("text-tag", x, y + 4.5, str(turn), "middle"),
        ]
    rounds = ("finger tight", "half", "the whole torque")
    if band is not None:
        rounds = ("finger tight", f"{band.half_nm:.3g} N·m", band.words.partition(",")[0])
    for n, words in enumerate(rounds):
        y = middle - 36 + 38 * n
        made += [label("text-tag", _SIDE + 20, y, f"Round {n + 1}"), label("text", _SIDE + 20, y + 17, words)]
    return Drawing(
        name="cross-pattern",
        width=max(width, _SIDE + _WORDS),
        height=_SIDE + 14,
        title=f"{count} screws, across, in three rounds",
        description=f"In the order {', '.join(str(n) for n in order)} round the cover, from the top with the clock.",
        elements=tuple(made),
        head=("turn", "screw, from the top with the clock"),
        rows=tuple((str(turn), str(n)) for turn, n in enumerate(order, 1)),
    )
