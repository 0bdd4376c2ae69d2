"""Where the answer flips: on one axis of the labour rate how far the proposed way stays ahead of each other one."""

from fractions import Fraction

from norvash.core.money.flips import Flip, rate_flips
from norvash.core.money.money import Currency, shown
from norvash.core.money.ways import Compared, Way
from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_TOP, _ROW, _BAR, _SIDE, _LETTER = 58.0, 52.0, 15.0, 6.0, 6.6
_BEYOND = Fraction(5, 4)


def flip_axis(found: Compared, width: float, currency: Currency) -> Drawing | None:
    """Draw the labour rates at which another way wins: the proposed way filled as far as it stays ahead, the other one
    outlined from there; what is charged here stands as a line across all. None where nothing can be compared by it.

    Units: width [px]; money in minor units of the currency, an hour.
    """
    way, rates = found.proposed, {f.other.name: f for f in rate_flips(found)}
    if way is None or not way.labour_rate or found.by not in ("share", "unit"):
        return None
    others = [w for w in found.ways if w is not way and not w.barred]
    if found.by == "share":
        others = [w for w in others if found.whole in (way, w)]
    if not others:
        return None
    here = way.labour_rate
    most = max([here, *(f.value for f in rates.values())]) * _BEYOND
    px = (width - 2 * _SIDE) / float(most)
    made: list[Element] = []
    for number, other in enumerate(others):
        flip = rates.get(other.name)
        mark = shown(flip.value, currency) if flip is not None else ""
        made += _row((way, other), flip, mark, _TOP + number * _ROW, (px, width))
    bottom = _TOP + len(others) * _ROW - 14
    at = _SIDE + float(here) * px
    made += [
        line("track", at, _TOP - 22, at, bottom),
        label("text-tag", *_inside(at, f"{shown(here, currency)} here", width, _TOP - 28)),
        line("rule", _SIDE, bottom, width - _SIDE, bottom),
        label("text-soft", _SIDE, 14, "labour, an hour"),
    ]
    for step in ticks(0.0, float(most) / currency.unit, 4):
        x = _SIDE + step * currency.unit * px
        words = f"{step:,.0f}".replace(",", "\u202f")
        made += [line("rule", x, bottom, x, bottom + 5), label("text-soft", *_inside(x, words, width, bottom + 19))]
    rows = tuple(_said(way, other, rates.get(other.name), currency) for other in others)
    return Drawing(
        name="flip-axis",
        width=width,
        height=bottom + 26,
        title="Where the answer flips with the labour rate",
        description="; ".join(", ".join(row) for row in rows) + ".",
        elements=tuple(made),
        head=("ahead now", "against", "even at, an hour"),
        rows=rows,
    )


def _row(pair: tuple[Way, Way], flip: Flip | None, mark: str, y: float, scale: tuple[float, float]) -> list[Element]:
    """Return the bar of one comparison: filled where the proposed way is ahead, outlined where the other one is, its
    `mark` where they are even.
    """
    (way, other), (px, width) = pair, scale
    long = width - 2 * _SIDE
    frame = el("rect", "box", x=_SIDE, y=y, width=long, height=_BAR)
    if flip is None:
        filled = el("rect", "copper", x=_SIDE, y=y, width=long, height=_BAR)
        return [frame, filled, label("text", _SIDE, y - 5, f"{way.name} ahead of {other.name} at every rate")]
    at = _SIDE + float(flip.value) * px
    below = (way.labour_rate or Fraction()) < flip.value
    start, wide = (_SIDE, at - _SIDE) if below else (at, _SIDE + long - at)
    left, right = (way.name, other.name) if below else (other.name, way.name)
    half = len(mark) * _LETTER / 2 + 10
    made = [
        frame,
        el("rect", "copper", x=start, y=y, width=wide, height=_BAR),
        el("path", "carbon-chosen", d=f"M{at - 5:.5g} {y - 8:.5g}h10l-5 8z"),
        line("copper-line", at, y, at, y + _BAR),
        label("text-copper", *_inside(at, mark, width, y - 12)),
    ]
    if len(left) * _LETTER < at - half - _SIDE:
        made.append(label("text", _SIDE, y - 5, left))
    if len(right) * _LETTER < width - _SIDE - at - half:
        made.append(label("text", width - _SIDE, y - 5, right, "end"))
    return made


def _inside(x: float, words: str, width: float, y: float) -> tuple[float, float, str, str]:
    """Return where words stand on the middle of a place, moved so that they stay inside the drawing."""
    half = len(words) * _LETTER / 2
    return min(max(x, half + 2), width - half - 2), y, words, "middle"


def _said(way: Way, other: Way, flip: Flip | None, currency: Currency) -> tuple[str, ...]:
    return way.name, other.name, "at no rate" if flip is None else shown(flip.value, currency)
