"""The end view: the commutator seen along the shaft with its brushes, to scale; the way to choose a brush."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from math import cos, radians, sin

from norvash.core.motor.positions import PositionPlan
from norvash.core.text.words import length_words
from norvash.drawing.svg import Drawing, Element, el, label

_MOST_BARS_DRAWN = 120
_LABEL_PX = 30.0
_FINGER_PX, _EDGE_PX = 44.0, 8.0
_MOST_LABELLED = 3
_ARM_LABEL_PX = 8.0
_BETWEEN_MM = 1.5


_SLOT_SHARE = 0.28  # of a bar's pitch, so that a slot is seen at the size of a hand


@dataclass(frozen=True, slots=True, kw_only=True)
class EndBrush:
    """One brush in the end view; length_mm None where it was not measured, `said` what was read where that is none."""

    plan: PositionPlan
    length_mm: float | None
    in_round: bool
    word: str
    href: str = ""
    chosen: bool = False
    said: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class EndPlate:
    """The parts of the end view [mm], and whether the diameter is only lent by the class."""

    commutator_d_mm: float
    bars: int
    thickness_mm: float
    new_mm: float
    limit_mm: float
    unit: str = "mm"
    lent: bool = False


def end_view(plate: EndPlate, brushes: Sequence[EndBrush], size: float, px_per_mm: float | None = None) -> Drawing:
    """Draw the commutator and its brushes; one unit inside the drawn group is one millimetre.

    Units: size [px]; px_per_mm draws several motors to one scale, else the motor fills the drawing.
    Brushes of one arm lie behind one another on the machine; here they stand side by side.
    """
    radius = plate.commutator_d_mm / 2
    rows = max((sum(b.plan.arm == a.plan.arm for b in brushes) for a in brushes), default=1)
    narrowed = min(1.0, 1.2 * radius / (rows * (plate.thickness_mm + _BETWEEN_MM)))
    plate = replace(plate, thickness_mm=plate.thickness_mm * narrowed)
    reach = radius + plate.new_mm + 2
    across = ((rows * (plate.thickness_mm + _BETWEEN_MM)) / 2) if rows > 1 else 0.0
    px_per_mm = px_per_mm or (size / 2 - 34) / max((reach**2 + across**2) ** 0.5, 1.0)
    middle = size / 2
    parts: list[Element] = [_commutator(plate, radius)]
    links = [_brush(plate, b, _sideways(b, brushes, plate), radius, px_per_mm) for b in brushes]
    labels = _labels(brushes, plate, rows, reach=reach, px_per_mm=px_per_mm, middle=middle)
    half = min(middle, _half_height_px(brushes, plate, rows, reach=reach, px_per_mm=px_per_mm))
    turned = f"translate({middle:.2f} {half:.2f}) scale({px_per_mm:.4f})"
    group = el("g", children=[*parts, *links], transform=turned)
    side = " Brushes of one arm are drawn side by side; on the machine they lie behind one another." if rows > 1 else ""
    if narrowed < 1:
        side += f" They are drawn {narrowed:.0%} as thick as they are, to stand beside one another."
    lent = " The commutator's size is lent by the class." if plate.lent else ""
    words = (
        f"{len(brushes)} brushes on a commutator of {plate.commutator_d_mm:g} mm with {plate.bars} bars.{side}{lent}"
    )
    head = ("brush", "polarity", "angle", "length", "state")
    table = tuple(
        (
            b.plan.label,
            b.plan.polarity,
            f"{b.plan.angle_deg:g}°",
            b.said or ("–" if b.length_mm is None else length_words(b.length_mm, plate.unit)),
            b.word,
        )
        for b in brushes
    )
    return Drawing(
        name="end-view",
        width=size,
        height=2 * half,
        title="End view, seen from the commutator end",
        description=words,
        elements=(group, el("g", children=labels, transform=f"translate(0 {half - middle:.2f})")),
        head=head,
        rows=table,
        interactive=any(b.href for b in brushes),
    )


def _half_height_px(
    brushes: Sequence[EndBrush], plate: EndPlate, rows: int, *, reach: float, px_per_mm: float
) -> float:
    """Return how far the drawing goes above and below the shaft [px]: brushes that lie flat need no square."""
    out, aside = reach * px_per_mm + _LABEL_PX, max(rows * plate.thickness_mm * px_per_mm, _FINGER_PX) / 2
    needed = [abs(cos(radians(b.plan.angle_deg))) * out + abs(sin(radians(b.plan.angle_deg))) * aside for b in brushes]
    return max(plate.commutator_d_mm / 2 * px_per_mm + _EDGE_PX, *needed)


def _sideways(brush: EndBrush, brushes: Sequence[EndBrush], plate: EndPlate) -> float:
    arm = [b.plan.number for b in brushes if b.plan.arm == brush.plan.arm]
    return (arm.index(brush.plan.number) - (len(arm) - 1) / 2) * (plate.thickness_mm + _BETWEEN_MM)


@lru_cache(256)  # the same plate is drawn again and again
def _commutator(plate: EndPlate, radius: float) -> Element:
    drawn = min(plate.bars, _MOST_BARS_DRAWN)
    inner = 0.66 * radius
    return el(
        "g",
        children=[
            el("circle", "copper", cx=0.0, cy=0.0, r=radius),
            # One ring for all slots: as many dashes as there are bars, each a slot wide.
            el(
                "circle",
                "slot-ring",
                cx=0.0,
                cy=0.0,
                r=(radius + inner) / 2,
                stroke_width=radius - inner,
                pathLength=drawn,
                stroke_dasharray=f"{_SLOT_SHARE} {1 - _SLOT_SHARE}",
            ),
            el("circle", "brass", cx=0.0, cy=0.0, r=inner),
            el("circle", "steel", cx=0.0, cy=0.0, r=0.32 * radius),
        ],
    )


def _brush(plate: EndPlate, brush: EndBrush, sideways: float, radius: float, px_per_mm: float) -> Element:
    """Return one brush pointing up from the commutator, turned to its angle."""
    t, left = plate.thickness_mm, sideways - plate.thickness_mm / 2
    parts = [el("rect", "gone even", x=left, y=-(radius + plate.new_mm), width=t, height=plate.new_mm)]
    if brush.length_mm is not None:
        ink = "carbon-chosen" if brush.chosen else "carbon" if brush.in_round else "carbon-old"
        parts.append(el("rect", ink, x=left, y=-(radius + brush.length_mm), width=t, height=brush.length_mm))
    elif brush.chosen:
        parts.append(el("rect", "box chosen even", x=left, y=-(radius + plate.new_mm), width=t, height=plate.new_mm))
    mark_y = -(radius + plate.limit_mm)
    over = 4 / px_per_mm
    parts.append(el("path", "copper-line even", d=f"M{left - over:.5g} {mark_y:.5g}H{left + t + over:.5g}"))
    if brush.href:
        grow = max(0.0, (44 / px_per_mm - t) / 2)
        parts.append(
            el("rect", "touch", x=left - grow, y=-(radius + plate.new_mm), width=t + 2 * grow, height=plate.new_mm)
        )
    turn = f"rotate({brush.plan.angle_deg:g})"
    if not brush.href:
        return el("g", children=parts, transform=turn)
    said = f"Brush {brush.plan.label}, polarity {brush.plan.polarity}, {brush.word}"
    current = "true" if brush.chosen else None
    return el(
        "a",
        "pick",
        children=[el("g", children=parts, transform=turn)],
        href=brush.href,
        aria_label=said,
        aria_current=current,
    )


def _labels(
    brushes: Sequence[EndBrush], plate: EndPlate, rows: int, *, reach: float, px_per_mm: float, middle: float
) -> list[Element]:
    """Return a label for each brush, or one for each arm where an arm has many."""
    if rows <= _MOST_LABELLED:
        spread = max(1.0, _LABEL_PX / (px_per_mm * plate.thickness_mm))
        return [
            _label(
                b.plan,
                b.plan.label,
                spread * _sideways(b, brushes, plate),
                reach=reach,
                px_per_mm=px_per_mm,
                middle=middle,
            )
            for b in brushes
        ]
    arms: dict[int, list[PositionPlan]] = {}
    for brush in brushes:
        arms.setdefault(brush.plan.arm, []).append(brush.plan)
    outer = reach + _ARM_LABEL_PX / px_per_mm
    return [_label(a[0], _arm_name(a), 0.0, reach=outer, px_per_mm=px_per_mm, middle=middle) for a in arms.values()]


def _arm_name(plans: Sequence[PositionPlan]) -> str:
    """Return the label of an arm without its places, else its number."""
    return plans[0].label.rstrip("0123456789") or str(plans[0].arm)


def _label(plan: PositionPlan, words: str, apart: float, *, reach: float, px_per_mm: float, middle: float) -> Element:
    angle, out = radians(plan.angle_deg), reach + 15 / px_per_mm
    x = out * sin(angle) + apart * cos(angle)
    y = -out * cos(angle) + apart * sin(angle)
    sign = plan.polarity.replace("-", "−")
    return label("numeral", middle + x * px_per_mm, middle + y * px_per_mm + 6, f"{words}{sign}", "middle")
