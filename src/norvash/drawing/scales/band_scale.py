"""Band scales: figures held against the band in which they should lie, one scale a row."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_ROW, _LEFT, _RIGHT, _TOP = 78.0, 8.0, 8.0, 8.0
_BESIDE = 1.25
_GROUPED = 1000


@dataclass(frozen=True, slots=True, kw_only=True)
class Banded:
    """A figure with its band; an edge that is not known is None. `also` is a second figure, with its words."""

    words: str
    unit: str
    value: float
    low: float | None
    high: float | None
    also: float | None = None
    also_words: str = ""

    @property
    def inside(self) -> bool | None:
        """Tell whether the figure lies in its band, None without one."""
        if self.low is None or self.high is None:
            return None
        return self.low <= self.value <= self.high


def band_scale(title: str, rows: Sequence[Banded], width: float) -> Drawing:
    """Draw each figure as a peg on its own scale, the band as copper.

    Units: width [px]. Shape: one row or more.
    """
    elements = [e for i, row in enumerate(rows) for e in _row(row, _TOP + i * _ROW, width)]
    head = ("what", "figure", "band", "inside")
    said = "; ".join(f"{r.words} {_figure(r.value)} {r.unit}, {_inside(r)}" for r in rows)
    table = tuple((r.words, f"{_figure(r.value)} {r.unit}", _band(r), _inside(r)) for r in rows)
    return Drawing(
        name="band-scale",
        width=width,
        height=_TOP + len(rows) * _ROW,
        title=title,
        description=f"{said}.",
        elements=tuple(elements),
        head=head,
        rows=table,
    )


def _row(row: Banded, top: float, width: float) -> list[Element]:
    figures = [x for x in (row.value, row.low, row.high, row.also) if x is not None]
    low, high = (
        min(0.0, *figures),
        max(*figures, 1e-9) * _BESIDE if len(figures) > 1 else max(figures[0], 1e-9) * _BESIDE,
    )
    across, y = width - _LEFT - _RIGHT, top + 46

    def x(value: float) -> float:
        return _LEFT + (value - low) / (high - low) * across

    hollow = f"; hollow: {row.also_words}" if row.also is not None else ""
    made = [label("text", _LEFT, top + 10, f"{row.words}{f', {row.unit}' if row.unit else ''}{hollow}")]
    if row.low is not None and row.high is not None:
        made.append(el("rect", "copper", x=x(row.low), y=y - 7, width=max(x(row.high) - x(row.low), 1.0), height=7.0))
    made.append(line("axis", _LEFT, y, width - _RIGHT, y))
    for tick in ticks(low, high, 6):
        made += [
            line("axis", x(tick), y, x(tick), y + 4),
            label("text-soft", x(tick), y + 18, _figure(tick), "start" if x(tick) < 20 else "middle"),
        ]
    if row.also is not None:
        made.append(el("path", "slot-empty", d=f"M{x(row.also) - 6:.1f} {y - 20:.1f}h12l-6 12z"))
    made.append(el("path", "carbon", d=f"M{x(row.value) - 6:.1f} {y - 20:.1f}h12l-6 19z"))
    anchor = "end" if x(row.value) > width - 70 else "start"
    beside = x(row.value) + (10 if anchor == "start" else -10)
    return [*made, label("numeral", beside, y - 9, _figure(row.value, 3), anchor)]


def _figure(value: float, digits: int = 4) -> str:
    """Return a figure as it is read: in groups from a thousand up."""
    return grouped(value) if abs(value) >= _GROUPED else f"{value:.{digits}g}"


def _band(row: Banded) -> str:
    return (
        "not known"
        if row.low is None or row.high is None
        else f"{_figure(row.low)} to {_figure(row.high)} {row.unit}".strip()
    )


def _inside(row: Banded) -> str:
    also = f", {row.also_words} {_figure(row.also)}" if row.also is not None else ""
    return {None: "no band known", True: "inside its band", False: "outside its band"}[row.inside] + also
