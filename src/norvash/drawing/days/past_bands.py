"""Past forecasts against what came: each band drawn on the way from the day it was made to the limit that was
reached.
"""

from collections.abc import Sequence

from norvash.core.planning.hindsight import Outcome
from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, Element, el, label, line

_LEFT, _ROW, _TOP, _FOOT = 116.0, 15.0, 30.0, 12.0
_REACH = 2.0


def past_bands(outcomes: Sequence[Outcome], unit: str, width: float) -> Drawing:
    """Draw one band a line: left edge the moment of the forecast, the copper line the use at which the limit was
    reached.

    Units: width [px]; unit is that of the use.
    """
    height = _TOP + _ROW * len(outcomes) + _FOOT

    def x(share: float) -> float:
        return _LEFT + min(max(share, 0.0), _REACH) / _REACH * (width - _LEFT - 12)

    made: list[Element] = [
        line("axis", x(0), _TOP - 8, x(0), height - 4),
        line("copper-line", x(1), _TOP - 8, x(1), height - 4),
        label("text-soft", x(0), 14, "forecast made", "start"),
        label("text-copper", x(1), 14, "limit reached", "middle"),
        label("text-soft", x(2), 14, "twice as far", "end"),
    ]
    for i, o in enumerate(outcomes):
        ahead = max(o.reached_units - o.made_units, 1e-9)
        low, middle, high = ((v - o.made_units) / ahead for v in (o.p10_units, o.p50_units, o.p90_units))
        y = _TOP + i * _ROW
        words = f"{o.tag} set {o.set_number}, {o.visits}"
        made.append(label("text-soft", _LEFT - 8, y + 11, words, "end"))
        made.append(
            el("rect", "span" if o.held else "box", x=x(low), y=y + 3, width=max(x(high) - x(low), 1.5), height=8.0)
        )
        made.append(el("rect", "peg", x=x(middle) - 1.2, y=y + 1, width=2.4, height=12.0))
    held = sum(o.held for o in outcomes)
    rows = tuple(
        (
            o.tag,
            str(o.set_number),
            str(o.visits),
            grouped(o.made_units),
            grouped(o.p10_units),
            grouped(o.p50_units),
            grouped(o.p90_units),
            grouped(o.reached_units),
            "held" if o.held else "missed",
        )
        for o in outcomes
    )
    head = ("motor", "set", "rounds", f"made at {unit}", "from", "about", "to", "reached", "band")
    said = f"{held} of {len(outcomes)} bands held; a filled band held, an empty one did not."
    return Drawing(
        name="past-bands",
        width=width,
        height=height,
        title="Past forecasts",
        description=said,
        elements=tuple(made),
        head=head,
        rows=rows,
    )
