"""What turns in a section: shaft and bearings, commutator, core and winding, bindings, fan, seal."""

from math import radians, sin

from norvash.drawing.cutaway.built import Built, Seat
from norvash.drawing.cutaway.pen import Pen

_MOST_BARS, _MOST_SLOTS = 32, 14


def shaft(b: Built, pen: Pen) -> None:
    """Draw the shaft, which is never cut: its seats and what it drives from."""
    ends = ((0.0, b.other_x[1], b.other.bore / 2), (b.other_x[1], b.drive_x[0], b.shaft))
    steps = (*ends, (b.drive_x[0], b.drive_x[1], b.drive.bore / 2), (b.drive_x[1], b.end_x, b.seat_drive))
    upper = [p for x0, x1, r in steps for p in ((x0, r), (x1, r))]
    pen.area("steel-pale", [*upper, *((x, -r) for x, r in reversed(upper))])


def _bearing(seat: Seat, x: tuple[float, float], pen: Pen, *, bush: bool) -> None:
    low, high = seat.bore / 2, seat.outside / 2
    if bush:
        pen.boxes("brass", x, (low, high))
        return
    ring = 0.27 * (high - low)
    pen.boxes("steel-pale", x, (low, high))
    if not seat.known:
        return
    pen.boxes("steel", x, (low, low + ring), inside=True)
    pen.boxes("steel", x, (high - ring, high), inside=True)
    pen.disc("steel-pale", (x[0] + x[1]) / 2, (low + high) / 2, min(0.32 * (high - low), 0.45 * (x[1] - x[0])))


def other(b: Built, pen: Pen) -> None:
    """Draw the bearing or bush of the commutator end."""
    _bearing(b.other, b.other_x, pen, bush=b.stated.motor_class == "starter")


def drive_end(b: Built, pen: Pen) -> None:
    """Draw the bearing or bush of the drive end."""
    _bearing(b.drive, b.drive_x, pen, bush=b.stated.motor_class == "starter")


def commutator(b: Built, pen: Pen) -> None:
    """Draw the commutator: a bar cut above, held by its rings; all bars as they are seen below."""
    (x0, x1), rx, low = b.commutator_x, b.riser_x, b.track_r - b.bar
    pen.area("copper", ((x0, b.track_r), (rx, b.track_r), (rx, b.riser_r), (x1, b.riser_r), (x1, low), (x0, low)))
    cut = 0.28 * (x1 - x0)
    for tip, foot in ((x0 + cut, x0), (x1 - cut, x1)):  # the rings that hold the bars by their dovetails
        pen.area("steel", ((foot, low), (foot, low + 0.45 * b.bar), (tip, low)), inside=True)
    pen.box("brass", (x0, x1), (b.shaft, low), inside=True)
    whole = ((x0, 0.0), (x1, 0.0), (x1, -b.riser_r), (rx, -b.riser_r), (rx, -b.track_r), (x0, -b.track_r))
    pen.area("copper", whole)
    every = max(1, -(-b.stated.bars // (2 * _MOST_BARS)))
    turns = (i * every * 360 / b.stated.bars for i in range(1, b.stated.bars))
    seen = [-b.track_r * sin(radians(a)) for a in turns if a < 88]
    pen.strokes("bars", [((x0, r), (rx, r)) for r in seen])


def core(b: Built, pen: Pen) -> None:
    """Draw core and winding: a coil in its slot above, slots and end turns below."""
    (x0, x1), (left, right), low = b.core_x, b.turns_x, b.core_r - b.slot
    pen.box("steel-pale", (x0, x1), (b.shaft, b.core_r))
    n = 16
    rules = ([(x0 + (x1 - x0) * i / n, b.shaft), (x0 + (x1 - x0) * i / n, low)] for i in range(1, n))
    pen.strokes("sheets", rules)
    bar = b.riser_r - 0.45 * b.slot
    coil = [(left, b.riser_r), (x0, b.core_r - 0.12 * b.slot), (x1, b.core_r - 0.12 * b.slot)]
    coil += [(right, b.core_r - 0.3 * b.slot), (right, low), (x1, low), (x0, low), (left, max(bar, b.shaft))]
    pen.area("copper", coil)
    middle = b.core_r - 0.56 * b.slot
    pen.strokes("bars", [[(left, (b.riser_r + bar) / 2), (x0, middle), (x1, middle), (right, middle)]])
    pen.box("steel-pale", (x0, x1), (0.0, -b.core_r))
    pen.area("copper", ((left, 0.0), (x0, 0.0), (x0, -0.97 * b.core_r), (left, -b.riser_r)))
    pen.area("copper", ((x1, 0.0), (right, 0.0), (right, -0.9 * b.core_r), (x1, -0.97 * b.core_r)))
    slots = [-b.core_r * sin(radians(90 * (i + 0.5) / _MOST_SLOTS)) for i in range(_MOST_SLOTS)]
    pen.strokes("wire", [((x0, r), (x1, r)) for r in slots])
    pen.strokes("bars", [((left, r * b.riser_r / b.core_r), (x0, r * 0.86)) for r in slots])
    pen.strokes("bars", [((x1, r * 0.86), (right, r * 0.9)) for r in slots])


def binding(b: Built, pen: Pen) -> None:
    """Draw the bindings of the end turns."""
    thick = 0.05 * b.d
    for x0, x1, r in (
        (b.turns_x[0] + 0.12 * b.d, b.turns_x[0] + 0.24 * b.d, b.riser_r),
        (b.core_x[1] + 0.12 * b.d, b.core_x[1] + 0.24 * b.d, b.core_r - 0.2 * b.slot),
    ):
        pen.boxes("brass", (x0, x1), (r - thick * 0.2, r + thick * 0.5))


def fan(b: Built, pen: Pen) -> None:
    """Draw the fan on its hub."""
    (x0, x1), r = b.fan_x, b.fan_r
    hub = b.shaft + 0.12 * b.d
    pen.both("steel-pale", ((x0, b.shaft), (x1, b.shaft), (x1, hub), (x0 + 0.35 * (x1 - x0), hub), (x0, hub)))
    pen.both("steel-pale", ((x0 + 0.35 * (x1 - x0), hub), (x1, hub), (x1, r), (x0, r), (x0, hub + 0.4 * (r - hub))))
    pen.strokes("wire", [((x0, s * (hub + (r - hub) * 0.7)), (x1, s * (hub + (r - hub) * 0.7))) for s in (1, -1)])


def seal(b: Built, pen: Pen) -> None:
    """Draw the seal outside the bearing of the drive end."""
    x = b.drive_x[1] + 0.01 * b.d
    high = b.drive.bore / 2 + 0.6 * (b.drive.outside - b.drive.bore) / 2
    pen.boxes("carbon", (x, x + 0.07 * b.d), (b.seat_drive, high))
