"""Where a measured value lies: one small scale with its band, its edges in figures, and what was found before."""

from norvash.core.sheet.measured import Measured
from norvash.core.text.words import grouped
from norvash.drawing.svg import el, label

_WIDTH, _HEIGHT, _SIDE, _Y = 176, 32, 8, 14
_ROOM, _APART = 1.18, 44
_GROUPED, _DOT = 1000, 3


def measured_strip(measured: Measured) -> str:
    """Return a value on its scale as SVG, what is usual as a notch and what it was as found as a hollow dot; nothing of
    one without a number or a band. Words beside it say the same.
    """
    value, low, high = measured.value, measured.low, measured.high
    if value is None or not (low or high is not None):
        return ""
    edges = [x for x in (low, high) if x is not None]
    beside = [x for x in (measured.found, measured.notch) if x is not None]
    least, most = _reach((value, *beside), low, high)
    across = (_WIDTH - 2 * _SIDE) / (most - least or 1.0)
    at, left, right = (
        _SIDE + (x - least) * across for x in (value, least if low is None else low, most if high is None else high)
    )
    shown = [(e, round(_SIDE + (e - least) * across)) for e in dict.fromkeys(e for e in edges if e)]
    near = len(shown) == 2 and shown[1][1] - shown[0][1] < _APART
    ticks = "".join(f"M{x} {_Y}v4" for _, x in shown)
    made = [
        el("path", "copper", d=f"M{left:.0f} {_Y - 5}H{max(right, left + 1):.0f}v5H{left:.0f}z"),
        el("path", "axis", d=f"M{_SIDE} {_Y}H{_WIDTH - _SIDE}{ticks}"),
        el("path", "carbon", d=f"M{at - 4.5:.1f} {_Y - 13}h9l-4.5 13z"),
    ]
    if measured.notch is not None:
        made.append(el("path", "axis", d=f"M{_SIDE + (measured.notch - least) * across:.1f} {_Y - 8}v8"))
    if measured.found is not None:
        made.append(el("circle", "dot-past", cx=_SIDE + (measured.found - least) * across, cy=_Y, r=_DOT))
    for n, (edge, x) in enumerate(shown):
        anchor = "middle" if not near else "start" if n else "end"
        at_text = min(max(x, 18), _WIDTH - 18) if not near else x + (-4, 4)[n]
        made.append(label("text-soft", at_text, _Y + 15, _figure(edge), anchor))
    drawn = "".join(e.render(standalone=False) for e in made)
    return f'<svg class="strip" viewBox="0 0 {_WIDTH} {_HEIGHT}" aria-hidden="true">{drawn}</svg>'


def _reach(values: tuple[float, ...], low: float | None, high: float | None) -> tuple[float, float]:
    """Return from where to where the scale goes: a narrow band that does not begin at nothing stands in its middle."""
    if low and high is not None and low > 0:
        beside = 1.4 * (high - low)
        return min(low - beside, min(values) - beside / 3), max(high + beside, max(values) + beside / 3)
    edges = [x for x in (low, high) if x is not None]
    return min(0.0, *values, *edges), (max(*values, *edges) or 1.0) * _ROOM


def _figure(value: float) -> str:
    return grouped(value) if abs(value) >= _GROUPED else f"{value:.3g}"
