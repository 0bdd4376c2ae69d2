"""The brush plate seen from the commutator end: which boxes are joined to the post and which to the case."""

from collections.abc import Mapping, Sequence
from math import cos, radians, sin

from norvash.core.motor.positions import PositionPlan
from norvash.drawing.svg import Drawing, Element, el, label, line

_EDGE, _POST = 34.0, 22.0
_CASE, _BUS, _BOX, _COPPER = 1.0, 0.84, 0.62, 0.3
_BOX_PX = 26.0


def plate_plan(
    plans: Sequence[PositionPlan], wrong: frozenset[int], width: float, wires: Mapping[int, str] | None = None
) -> Drawing:
    """Draw the boxes of a plate at their angles: those of + joined by a ring to the post, those of − to the case, which
    holds the plate; where two neighbours share their sign, both are marked.

    Units: width [px]; `wrong` are the numbers of the positions that are marked; `wires` are those that were recorded
    at a box, in words.
    """
    wires = wires or {}
    middle, radius = width / 2, width / 2 - _EDGE
    made: list[Element] = [
        el("circle", "axis", cx=middle, cy=middle, r=_CASE * radius),
        el("circle", "copper", cx=middle, cy=middle, r=_COPPER * radius),
        el("circle", "steel", cx=middle, cy=middle, r=0.12 * radius),
    ]
    plus = [p for p in plans if p.polarity == "+"]
    if plus:
        made.append(el("circle", "copper-line", cx=middle, cy=middle, r=_BUS * radius))
        made += _post(middle, radius)
    arms: dict[float, list[PositionPlan]] = {}
    for plan in plans:
        arms.setdefault(plan.angle_deg, []).append(plan)
    for side_by_side in arms.values():
        made += _box(side_by_side, middle, radius, wrong=any(p.number in wrong for p in side_by_side))
        if any(p.number in wires for p in side_by_side):
            made += _wire(side_by_side[0], middle, radius)
    rows = tuple(
        (*_row(p, wrong), wires.get(p.number, "")) for p in sorted(plans, key=lambda p: (p.angle_deg, p.number))
    )
    return Drawing(
        name="plate-plan",
        width=width,
        height=width,
        title="The brush plate, seen from the commutator end",
        description="; ".join(", ".join(filter(None, row)) for row in rows) + ".",
        elements=tuple(made),
        head=("box", "angle", "polarity", "joined to", "", "wire"),
        rows=rows,
    )


def _row(plan: PositionPlan, wrong: frozenset[int]) -> tuple[str, str, str, str, str]:
    joined = {"+": "the post", "-": "the case"}.get(plan.polarity, "not said")
    sign = plan.polarity.replace("-", "−") or "?"
    return plan.label, f"{plan.angle_deg:g}°", sign, joined, "as its neighbour" if plan.number in wrong else ""


def _post(middle: float, radius: float) -> list[Element]:
    """Return the post, insulated from the case, with its lead to the ring."""
    top = middle - _CASE * radius
    return [
        line("copper-line", middle, middle - _BUS * radius, middle, top - _POST / 2),
        el("rect", "ground", x=middle - 7, y=top - 5, width=14.0, height=10.0),
        el("rect", "brass", x=middle - 5, y=top - _POST, width=10.0, height=_POST),
        label("text-soft", middle + 12, top - 8, "post"),
    ]


def _wire(plan: PositionPlan, middle: float, radius: float) -> list[Element]:
    """Return the end of a recorded wire at a box: a loop beside it, with its eye."""
    (x, y), (to_x, to_y) = (_beside(plan, middle, share * radius) for share in (_BOX, _BUS - 0.06))
    return [line("past", x, y, to_x, to_y), el("circle", "dot-past", cx=to_x, cy=to_y, r=4.0)]


def _beside(plan: PositionPlan, middle: float, out: float) -> tuple[float, float]:
    """Return a point a box's half width beside an arm, so far out."""
    x, y = _at(plan, middle, out)
    angle = radians(plan.angle_deg)
    return x + (_BOX_PX / 2 + 5) * cos(angle), y + (_BOX_PX / 2 + 5) * sin(angle)


def _at(plan: PositionPlan, middle: float, out: float) -> tuple[float, float]:
    angle = radians(plan.angle_deg)
    return middle + out * sin(angle), middle - out * cos(angle)


def _box(plans: Sequence[PositionPlan], middle: float, radius: float, *, wrong: bool) -> list[Element]:
    """Return the box of an arm with its sign, and the lead that joins it to the ring of the post or to the case.

    Brushes side by side on it lie behind one another along the shaft.
    """
    plan = plans[0]
    x, y = _at(plan, middle, _BOX * radius)
    outer = _CASE if plan.polarity == "-" else _BUS
    (from_x, from_y), (to_x, to_y) = (_at(plan, middle, share * radius) for share in (_COPPER + 0.03, outer))
    made = [line("copper-line" if plan.polarity == "+" else "past", from_x, from_y, to_x, to_y)]
    if plan.polarity == "-":
        made.append(el("circle", "dot", cx=to_x, cy=to_y, r=4.0))
    half = _BOX_PX / 2
    turn = f"rotate({plan.angle_deg:g} {x:.5g} {y:.5g})"
    made.append(el("rect", "carbon", x=x - half, y=y - half, width=_BOX_PX, height=_BOX_PX, transform=turn))
    if wrong:
        made.append(el("rect", "copper-dash", x=x - half - 5, y=y - half - 5, width=_BOX_PX + 10, height=_BOX_PX + 10))
    signs = "".join(dict.fromkeys(p.polarity.replace("-", "−") or "?" for p in plans))
    lx, ly = _at(plan, middle, radius + 16)
    return [*made, label("text-tag", lx, ly + 5, f"{_name(plans)} {signs}", "middle")]


def _name(plans: Sequence[PositionPlan]) -> str:
    """Return the label of a box, of several on one arm from the first to the last."""
    return plans[0].label if len(plans) == 1 else f"{plans[0].label}–{plans[-1].label}"
