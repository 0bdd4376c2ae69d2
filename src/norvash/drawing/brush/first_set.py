"""The first page's drawing: one brush on its copper, new, now and at its limit, with its hours along the bars."""

from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.text.words import length_words, use_words
from norvash.drawing.svg import Drawing, Element, el, label, line, lines, polyline

# Shares of the width at which the three brushes stand, and how thick the copper under them is.
_NEW, _NOW, _LIMIT = 0.098, 0.57, 0.87
_COPPER = 22.0
_NEAR = 1.16  # nearer than this the brush at its limit would stand in the one of now: its pin alone is drawn


@dataclass(frozen=True, slots=True, kw_only=True)
class FirstSet:
    """What is known of the set that is being typed; what is not is left out of the drawing.

    Units: lengths in mm; ran_units and limit_units, what it has run by now and by its limit since it was new.
    """

    new_mm: float
    limit_mm: float | None
    worst_mm: float | None
    ran_units: float | None
    limit_units: float | None
    unit_of_use: str

    @property
    def comes(self) -> bool:
        """Tell whether the limit is still to come."""
        return self.worst_mm is not None and self.limit_mm is not None and over(self.worst_mm, self.limit_mm)


def first_set(known: FirstSet, width: float) -> Drawing:
    """Draw a set as it is being typed, lengths to one scale; its hours too, but for a break where the limit is far off.

    Units: width [px].
    """
    wide = width > 600
    high, brush = (206.0, 58.0) if wide else (120.0, 34.0)
    top = 40.0 if wide else 24.0
    floor = top + high
    px = high / known.new_mm
    made: list[Element] = [
        el("rect", "copper", x=0.0, y=floor, width=width, height=_COPPER),
        lines(
            "slots", ((x * _COPPER, floor, x * _COPPER, floor + _COPPER) for x in range(1, int(width / _COPPER) + 1))
        ),
        line("rule", _NEW * width, top, _NOW * width, top),
        _outline(_NEW * width, top, brush, high),
        label("numeral", _NEW * width, floor + 44, use_words(0, known.unit_of_use), "middle"),
    ]
    if known.limit_mm is not None:
        at = floor - known.limit_mm * px
        made += [el("path", "copper", d=f"M0 {at - 7:.5g}l11 7l-11 7z"), line("copper-line", 0.0, at, width, at)]
    if known.worst_mm is not None:
        made += _now(known, width, floor, brush, px, wide=wide)
        made += _ahead(known, width, floor, brush, px)
    return Drawing(
        name="first-set",
        width=width,
        height=floor + 56,
        title="One brush on the copper: new, now, at its limit",
        description=_words(known),
        elements=tuple(made),
        head=("", "long", "run since new"),
        rows=_rows(known),
    )


def _slots(width: float) -> list[float]:
    return [n * _COPPER for n in range(1, int(width / _COPPER) + 1)]


def _outline(x: float, y: float, across: float, high: float) -> Element:
    return el("rect", "gone", x=x - across / 2, y=y, width=across, height=max(high, 0.0))


def _now(known: FirstSet, width: float, floor: float, brush: float, px: float, *, wide: bool) -> list[Element]:
    """Return the brush of now in its holder, with what has gone of it and its flexible lead."""
    mm, x = known.worst_mm or 0.0, _NOW * width
    top, head = floor - mm * px, floor - known.new_mm * px
    wall, reach = (7.0, 0.11) if wide else (4.0, 0.11)
    inside = known.new_mm * px
    walls = [
        el("rect", "brass", x=at, y=head + reach * inside, width=wall, height=inside * 0.78)
        for at in (x - brush / 2 - wall - 2, x + brush / 2 + 2)
    ]
    rise = top - head + 20
    lead = f"M{x + brush / 4:.5g} {top:.5g}c6 {-0.6 * rise:.5g} -14 {-rise:.5g} 36 {-rise:.5g}"
    return [
        *walls,
        _outline(x, head, brush, top - head),
        el("path", "copper-line", d=lead),
        el("rect", "carbon", x=x - brush / 2, y=top, width=brush, height=mm * px),
    ]


def _ahead(known: FirstSet, width: float, floor: float, brush: float, px: float) -> list[Element]:
    """Return the line of wear from new to now, and on to the limit where that is worked out."""
    mm, x0, x1 = known.worst_mm or 0.0, _NEW * width, _NOW * width
    start, now = (x0, floor - known.new_mm * px), (x1, floor - mm * px)
    made: list[Element] = []
    if known.ran_units is not None:
        made.append(polyline("track", [start, now]))
    if known.comes and known.ran_units and known.limit_units is not None:
        limit_mm = known.limit_mm or 0.0
        ratio, most = known.limit_units / known.ran_units, (_LIMIT - _NEW) / (_NOW - _NEW)
        far = ratio > most
        x2 = _LIMIT * width if far else x0 + (x1 - x0) * ratio
        end = (x2, floor - limit_mm * px)
        if ratio > _NEAR:
            size = (brush, limit_mm * px)
            for ink, fill in (("carbon-old", None), ("", "url(#hatching)")):
                made.append(
                    el("rect", ink, x=x2 - brush / 2, y=floor - size[1], width=size[0], height=size[1], fill=fill)
                )
            made.append(_outline(x2, floor - known.new_mm * px, brush, known.new_mm * px - size[1]))
        made.append(polyline("ahead", [now, end]))
        if far:
            made += _broken((x1 + x2) / 2, (now[1] + end[1]) / 2, floor)
        said = use_words(known.limit_units, known.unit_of_use)
        made += [
            line("copper-line", x2, floor - known.new_mm * px, x2, end[1]),
            el("circle", "copper", cx=end[0], cy=end[1], r=5.5),
            label("numeral", min(x2, width - 40), floor + 44, said, "middle"),
        ]
    made += [el("circle", "dot-note", cx=now[0], cy=now[1], r=5.0), el("circle", "dot-past", cx=x0, cy=start[1], r=5.0)]
    return made


def _broken(x: float, y: float, floor: float) -> list[Element]:
    """Return the mark that hours are left out: two slanted cuts through the copper and the line."""
    return [
        lines(
            "break", [(x + d - 4, at + 13, x + d + 4, at - 13) for d in (-4.0, 4.0) for at in (y, floor + _COPPER / 2)]
        )
    ]


def _words(known: FirstSet) -> str:
    return "; ".join(" ".join(w for w in row if w) for row in _rows(known)) + "."


def _rows(known: FirstSet) -> tuple[tuple[str, ...], ...]:
    def run(units: float | None) -> str:
        return "" if units is None else use_words(units, known.unit_of_use)

    rows = [("new", length_words(known.new_mm), run(0.0))]
    if known.worst_mm is not None:
        rows.append(("now", length_words(known.worst_mm), run(known.ran_units)))
    if known.limit_mm is not None:
        rows.append(("at its limit", length_words(known.limit_mm), run(known.limit_units)))
    return tuple(rows)
