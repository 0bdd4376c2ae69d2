"""Figures as found and as left side by side, each on its own scale with its band: hollow was found, solid is left."""

from collections.abc import Sequence

from norvash.core.sheet.measured import Measured
from norvash.core.text.words import grouped
from norvash.drawing.svg import Drawing, Element, el, label, line

_ROW, _HEAD, _DOT, _LARGE = 44.0, 20.0, 5.0, 1000


def before_after_drawn(rows: Sequence[Measured], width: float) -> Drawing:
    """Draw the figures of a proof. Units: width [px]. Shape: one row or more."""
    found_x, left_x, scale = 0.44 * width, 0.6 * width, (0.65 * width, 0.98 * width)
    made: list[Element] = [
        label("text-soft", found_x, 12, "as found", "end"),
        label("text-soft", left_x, 12, "as left", "end"),
        label("text-soft", scale[0], 12, "its band"),
    ]
    for n, row in enumerate(rows):
        y = _HEAD + n * _ROW
        made += [
            line("rule", 0, y, width, y),
            label("text-tag", 0, y + 18, f"{row.words} {row.unit}"),
            label("text-soft", 0, y + 34, _band(row)),
            label("text-soft", found_x, y + 24, _number(row.found), "end"),
            label("numeral", left_x, y + 26, _number(row.value), "end"),
            *_scale(row, scale, y + 22),
        ]
    told = "; ".join(f"{r.words} {_read(r.found)} as found, {_read(r.value)} as left" for r in rows)
    return Drawing(
        name="before-after",
        width=width,
        height=_HEAD + len(rows) * _ROW,
        title="As found and as left",
        description=f"{told}.",
        elements=tuple(made),
        head=("figure", "unit", "as found", "as left", "band"),
        rows=tuple((r.words, r.unit, _number(r.found), _number(r.value), _band(r)) for r in rows),
    )


def _read(value: float | None) -> str:
    return _number(value) or "not read"


def _number(value: float | None) -> str:
    if value is None:
        return ""
    return grouped(value) if abs(value) >= _LARGE else f"{value:.3g}"


def _band(row: Measured) -> str:
    if row.low is not None and row.high is not None and row.low > 0:
        said = f"{_number(row.low)} to {_number(row.high)}"
    elif row.high is not None:
        said = f"at most {_number(row.high)}"
    else:
        said = f"at least {_number(row.low)}" if row.low is not None else ""
    notch = f"{row.basis} {_number(row.notch)}" if row.notch is not None else row.basis if not said else ""
    return ", ".join(filter(None, (said, notch)))


def _scale(row: Measured, scale: tuple[float, float], y: float) -> list[Element]:
    """Return the scale of a row, none where there is nothing to hold its figures against."""
    edges = [x for x in (row.low, row.high, row.notch) if x is not None]
    if not edges:
        return []
    figures = [x for x in (row.found, row.value) if x is not None]
    top = 1.15 * max(*edges, *figures, 1e-9) if figures else 1.15 * max(edges)
    (from_x, to_x), low = scale, 0.0

    def at(value: float) -> float:
        return from_x + (min(value, top) - low) / (top - low) * (to_x - from_x)

    made = [line("axis", from_x, y, to_x, y)]
    if row.low is not None or row.high is not None:
        left, right = at(row.low or 0.0), at(row.high if row.high is not None else top)
        made.append(el("rect", "fan", x=left, y=y - 8, width=max(right - left, 1.0), height=16.0))
    if row.notch is not None:
        x = at(row.notch)
        made.append(el("path", "copper", d=f"M{x - 5:.5g} {y - 14:.5g}h10l-5 8z"))
    if row.found is not None:
        made.append(el("circle", "dot-past", cx=at(row.found), cy=y, r=_DOT))
    if row.value is not None:
        made.append(el("circle", "dot", cx=at(row.value), cy=y, r=_DOT))
    return made
