"""The carbon ruler: a set of brushes drawn to scale against its new length and its limit."""

from norvash.core.state.ruler import Ruler, RulerBrush
from norvash.core.text.quantities import shown
from norvash.core.text.words import length_words
from norvash.drawing.svg import Drawing, Element, el, label, line, ticks

_LAST_PX = 62.0
_MOST_TICKS = 5


def carbon_ruler(ruler: Ruler, width: float, height: float, *, dimensions: bool = False) -> Drawing:
    """Draw a set: what is left solid, what goes by the next look hatched, what has gone outlined, the limit a notch.

    Units: width and height of the carbon [px]; lengths of the ruler [mm]. Every brush is one bar of the height.
    """
    top, left, right = 12.0, (34.0 if dimensions else 1.0), 1.0
    longest = max([ruler.new_mm, *(b.length_mm or 0.0 for b in ruler.brushes)])
    px_per_mm = (width - left - right) / longest
    pitch = height / max(len(ruler.brushes), 1)
    bars = _carbon(ruler, left, top, pitch=pitch, px_per_mm=px_per_mm)
    if dimensions:
        for i, brush in enumerate(ruler.brushes):
            bars.append(label("text", left - 6, top + (i + 0.5) * pitch + 4.5, brush.label, "end"))
    new_px = ruler.new_mm * px_per_mm
    if ruler.both_mm is None:
        bars.append(el("rect", "gone", x=left, y=top - 1.5, width=new_px, height=height + 1.5))
    limit_x = left + ruler.limit_mm * px_per_mm
    notch = f"M{limit_x - 6:.1f} {top - 10:.1f}h12l-6 9z"
    bars += [
        el("path", "copper", d=notch),
        line("copper-dash" if ruler.estimated else "copper-line", limit_x, top - 3, limit_x, top + height + 4),
    ]
    bars += _scale(ruler, left, top + height, px_per_mm=px_per_mm, longest=longest, limit_x=limit_x)
    return Drawing(
        name="carbon-ruler",
        width=width,
        height=top + height + 22,
        title="Carbon ruler",
        description=describe(ruler),
        elements=tuple(bars),
        head=("brush", "length now" if ruler.both_mm is None else "depth now", "at the next look", "above the limit"),
        rows=_rows(ruler) if dimensions else (),
    )


def row_ruler(ruler: Ruler, width: float, longest_mm: float) -> Drawing:
    """Draw a set for one row of a list whose rows share one scale, `longest_mm` over the width [px]; its grid is that
    of the list's head.
    """
    px_per_mm, top, height = (width - 2) / longest_mm, 10.0, 34.0
    pitch = height / max(len(ruler.brushes), 1)
    limit_x = 1 + ruler.limit_mm * px_per_mm
    grid = "".join(f"M{1 + mm * px_per_mm:.5g} 0v{top + height + 4:g}" for mm in ticks(0.0, longest_mm, _MOST_TICKS))
    made = [el("path", "rule", d=grid), *_carbon(ruler, 1.0, top, pitch=pitch, px_per_mm=px_per_mm)]
    if ruler.both_mm is None:
        made.append(el("rect", "gone", x=1.0, y=top - 1.5, width=ruler.new_mm * px_per_mm, height=height + 1.5))
    made += [
        el("path", "copper", d=f"M{limit_x - 6:.1f} {top - 10:.1f}h12l-6 9z"),
        line("copper-dash" if ruler.estimated else "copper-line", limit_x, top - 3, limit_x, top + height + 4),
    ]
    return Drawing(
        name="carbon-ruler",
        width=width,
        height=top + height + 4,
        title="Carbon ruler",
        description=describe(ruler),
        elements=tuple(made),
    )


def ruler_head(width: float, longest_mm: float) -> Drawing:
    """Draw the scale that the rulers of a list share [mm]."""
    px_per_mm, at = (width - 2) / longest_mm, ticks(0.0, longest_mm, _MOST_TICKS)
    made: list[Element] = []
    for mm in at:
        anchor = "start" if mm == 0 else "end" if 1 + mm * px_per_mm > width - 20 else "middle"
        made.append(label("text-soft", 1 + mm * px_per_mm, 12, f"{mm:g}{' mm' * (mm == at[-1])}", anchor))
    return Drawing(
        name="ruler-head",
        width=width,
        height=16,
        title="Scale of the carbon",
        description=f"0 to {at[-1]:g} mm",
        elements=tuple(made),
    )


def _carbon(ruler: Ruler, left: float, top: float, *, pitch: float, px_per_mm: float) -> list[Element]:
    """Return the brushes of a set, one under another: one shape for each ink, whatever their number."""
    paths = dict.fromkeys(("carbon", "carbon-old", "hatch-ground"), "")
    for i, brush in enumerate(ruler.brushes):
        _bar(brush, left, top + i * pitch, thick=pitch - (1.5 if pitch > 5 else 0.6), px_per_mm=px_per_mm, paths=paths)
    made = [el("path", ink, d=d) for ink, d in paths.items() if d]
    if paths["hatch-ground"]:
        made.append(el("path", d=paths["hatch-ground"], fill="url(#hatching)"))
    return made


def _bar(brush: RulerBrush, left: float, y: float, *, thick: float, px_per_mm: float, paths: dict[str, str]) -> None:
    """Add one brush to the paths of the inks: what stays, and what goes by the next look."""
    if brush.length_mm is None:
        return
    end = left + brush.length_mm * px_per_mm
    stays = end
    if brush.next_mm is not None and not brush.old:
        stays = left + max(brush.next_mm, 0.0) * px_per_mm
    if end - stays > 0.5:
        paths["hatch-ground"] += _block(stays, y, end - stays, thick)
    else:
        stays = end
    paths["carbon-old" if brush.old else "carbon"] += _block(left, y, stays - left, thick)


def _block(x: float, y: float, width: float, height: float) -> str:
    return f"M{x:.5g} {y:.5g}h{width:.5g}v{height:.5g}h{-width:.5g}z"


def _scale(ruler: Ruler, left: float, y: float, *, px_per_mm: float, longest: float, limit_x: float) -> list[Element]:
    """Return ticks with figures in the person's unit; a figure under the limit's line gives way to it."""
    unit_mm = 1 / shown(1.0, ruler.unit)
    most = max(3, int(longest * px_per_mm / 52))
    if ruler.both_mm is None:
        at = {i: i * unit_mm for i in ticks(0.0, longest / unit_mm, most)}
    else:  # a depth grows as the brush wears: its figures fall to the right
        deepest = ruler.both_mm / unit_mm
        at = {i: ruler.both_mm - i * unit_mm for i in ticks(deepest - longest / unit_mm, deepest, most)}
    made: list[Element] = []
    unit = ruler.unit if ruler.both_mm is None else f"{ruler.unit} deep"
    last_x, marks = left + max(at.values(), default=0.0) * px_per_mm, ""
    for figure, mm in at.items():
        x = left + mm * px_per_mm
        last = x >= last_x
        marks += f"M{x:.5g} {y + 2:.5g}v4"
        if abs(x - limit_x) > 9 and (last or last_x - x > _LAST_PX):
            anchor = "end" if last else "middle" if mm > 0 else "start"
            made.append(label("text-soft", x, y + 19, f"{figure:g}{f' {unit}' if last else ''}", anchor))
    return [el("path", "axis", d=marks), *made]


def describe(ruler: Ruler) -> str:
    """Return in words what the ruler shows."""
    shortest = ruler.shortest
    basis = ", an estimate" if ruler.estimated else ""
    new = "" if ruler.both_mm is not None else f"New {ruler.said(ruler.new_mm)}, "
    words = f"{new}{'limit' if new else 'Limit'} {ruler.said(ruler.limit_mm)}{basis}"
    if shortest is None or shortest.length_mm is None:
        return f"{words}; nothing measured yet."
    return f"{words}; shortest is {shortest.label} with {ruler.said(shortest.length_mm)}."


def _rows(ruler: Ruler) -> tuple[tuple[str, ...], ...]:
    return tuple(
        (
            b.label,
            ruler.said(b.length_mm),
            ruler.said(b.next_mm),
            "–" if b.length_mm is None else length_words(b.length_mm - ruler.limit_mm, ruler.unit),
        )
        for b in ruler.brushes
    )
