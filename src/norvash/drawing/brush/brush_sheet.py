"""The brush as a workshop drawing: new, seen along the shaft and from the side, with its limit and wear lines."""

from dataclasses import dataclass
from math import sqrt

from norvash.core.text.quantities import shown
from norvash.core.text.words import length_words
from norvash.drawing.svg import Drawing, Element, el, label, line

_TOP, _BOTTOM, _LEFT, _RIGHT, _BETWEEN = 22.0, 44.0, 64.0, 104.0, 46.0
_TICK = 4.0
_LEAST_APART = 16.0


@dataclass(frozen=True, slots=True, kw_only=True)
class BrushPlan:
    """A new brush [mm]; commutator_d_mm curves its face, lead_root_mm is the root's depth below the top."""

    new_mm: float
    thickness_mm: float
    width_mm: float
    limit_mm: float
    limit_basis: str
    estimated: bool
    commutator_d_mm: float
    wear_lines_mm: tuple[float, ...] = ()
    lead_root_mm: float | None = None
    unit: str = "mm"


@dataclass(frozen=True, slots=True)
class _Scale:
    """Where the two views stand [px]: px_per_mm, the left edges, and the top."""

    px_per_mm: float
    front_x: float
    side_x: float

    def y(self, below_top_mm: float) -> float:
        return _TOP + below_top_mm * self.px_per_mm


def brush_sheet(plan: BrushPlan, width: float, height: float) -> Drawing:
    """Draw a brush to scale in two views; the face is below, the limit is a length from the top.

    Units: width, height [px].
    """
    room_w, room_h = width - _LEFT - _RIGHT - _BETWEEN, height - _TOP - _BOTTOM
    px_per_mm = min(room_h / plan.new_mm, room_w / (plan.thickness_mm + plan.width_mm))
    spare = max(room_w - (plan.thickness_mm + plan.width_mm) * px_per_mm, 0.0)
    front_x = _LEFT + spare / 2
    scale = _Scale(px_per_mm, front_x, front_x + plan.thickness_mm * px_per_mm + _BETWEEN)
    elements = [*_views(plan, scale), *_lines(plan, scale), *_dimensions(plan, scale)]
    head = ("what", "length")
    return Drawing(
        name="brush-sheet",
        width=width,
        height=height,
        title=f"The brush, new, in {plan.unit}",
        description=_describe(plan),
        elements=tuple(elements),
        head=head,
        rows=_rows(plan),
    )


def _views(plan: BrushPlan, scale: _Scale) -> list[Element]:
    """Return the carbon of both views, the front one hollowed to the commutator, and the lead's root."""
    t, a, foot = plan.thickness_mm * scale.px_per_mm, plan.width_mm * scale.px_per_mm, scale.y(plan.new_mm)
    radius = plan.commutator_d_mm / 2 * scale.px_per_mm
    hollow = radius - sqrt(max(radius**2 - (t / 2) ** 2, 0.0)) if radius > t / 2 else 0.0
    bend = f"A{radius:.5g} {radius:.5g} 0 0 0 {scale.front_x:.5g} {foot:.5g}" if hollow else f"H{scale.front_x:.5g}"
    made = [
        el("path", "carbon", d=f"M{scale.front_x:.5g} {_TOP:g}h{t:.5g}V{foot:.5g}{bend}z"),
        el("rect", "carbon", x=scale.side_x, y=_TOP, width=a, height=foot - _TOP),
    ]
    if plan.lead_root_mm is not None:
        deep = 12 + plan.lead_root_mm * scale.px_per_mm
        middles = (scale.front_x + t / 2, scale.side_x + a / 2)
        made += [el("rect", "copper", x=x - 4, y=_TOP - 12, width=8.0, height=deep) for x in middles]
    return made


def _lines(plan: BrushPlan, scale: _Scale) -> list[Element]:
    """Return the limit across both views, with the wear lines as cuts in the carbon."""
    t, a = plan.thickness_mm * scale.px_per_mm, plan.width_mm * scale.px_per_mm
    made: list[Element] = []
    for i, mm in enumerate(plan.wear_lines_mm, start=1):
        made += [line("slots", x, scale.y(mm), x + w, scale.y(mm)) for x, w in ((scale.front_x, t), (scale.side_x, a))]
        if abs(scale.y(mm) - scale.y(plan.limit_mm)) > _LEAST_APART:
            made.append(
                label("text-soft", (scale.front_x + t + scale.side_x) / 2, scale.y(mm) + 4, f"line {i}", "middle")
            )
    ink = "copper-dash" if plan.estimated else "copper-line"
    return [*made, line(ink, scale.front_x - 8, scale.y(plan.limit_mm), scale.side_x + a + 8, scale.y(plan.limit_mm))]


def _dimensions(plan: BrushPlan, scale: _Scale) -> list[Element]:
    right = scale.side_x + plan.width_mm * scale.px_per_mm
    top, limit, foot = scale.y(0), scale.y(plan.limit_mm), scale.y(plan.new_mm)
    made = [
        *_upright(
            scale.front_x - 22, top, foot, words=f"r {_figure(plan.new_mm, plan.unit)}", ink="text", anchor="end"
        ),
        *_level(
            scale.front_x,
            scale.front_x + plan.thickness_mm * scale.px_per_mm,
            foot + 14,
            f"t {_figure(plan.thickness_mm, plan.unit)}",
        ),
        *_level(scale.side_x, right, foot + 14, f"a {_figure(plan.width_mm, plan.unit)}"),
    ]
    words = f"limit {_figure(plan.limit_mm, plan.unit)}{', est.' if plan.estimated else ''}"
    made += _upright(right + 22, top, limit, words=words, ink="text-copper", anchor="start")
    if foot - limit > _LEAST_APART:
        made += _upright(
            right + 22,
            limit,
            foot,
            words=f"to wear {_figure(plan.new_mm - plan.limit_mm, plan.unit)}",
            ink="text",
            anchor="start",
        )
    return made


def _upright(x: float, y1: float, y2: float, *, words: str, ink: str, anchor: str) -> list[Element]:
    """Return an upright dimension with its figure beside it."""
    ticks = f"M{x:.5g} {y1:.5g}V{y2:.5g}M{x - _TICK:.5g} {y1:.5g}h{2 * _TICK:g}M{x - _TICK:.5g} {y2:.5g}h{2 * _TICK:g}"
    beside = x - 7 if anchor == "end" else x + 7
    return [el("path", "axis", d=ticks), label(ink, beside, (y1 + y2) / 2 + 4.5, words, anchor)]


def _level(x1: float, x2: float, y: float, words: str) -> list[Element]:
    """Return a level dimension with its figure below it."""
    ticks = f"M{x1:.5g} {y:.5g}H{x2:.5g}M{x1:.5g} {y - _TICK:.5g}v{2 * _TICK:g}M{x2:.5g} {y - _TICK:.5g}v{2 * _TICK:g}"
    return [el("path", "axis", d=ticks), label("text", (x1 + x2) / 2, y + 20, words, "middle")]


def _figure(mm: float, unit: str) -> str:
    return f"{shown(mm, unit):.4g}"


def _describe(plan: BrushPlan) -> str:
    size = " × ".join(_figure(x, plan.unit) for x in (plan.thickness_mm, plan.width_mm, plan.new_mm))
    return f"t × a × r is {size} {plan.unit}; limit {length_words(plan.limit_mm, plan.unit)}, {plan.limit_basis}."


def _rows(plan: BrushPlan) -> tuple[tuple[str, ...], ...]:
    named = [
        ("thickness t", plan.thickness_mm),
        ("width a", plan.width_mm),
        ("new length r", plan.new_mm),
        (f"limit, {plan.limit_basis}", plan.limit_mm),
        ("to wear", plan.new_mm - plan.limit_mm),
    ]
    named += [(f"wear line {i}", mm) for i, mm in enumerate(plan.wear_lines_mm, start=1)]
    named += [("lead root below the top", plan.lead_root_mm)] if plan.lead_root_mm is not None else []
    return tuple((name, length_words(mm, plan.unit)) for name, mm in named)
