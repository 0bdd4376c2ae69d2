"""What a motor drives by in a section: coupling, pulley, gear, pinion with its clutch, fan wheel."""

from collections.abc import Callable, Mapping
from types import MappingProxyType

from norvash.drawing.cutaway.built import Built
from norvash.drawing.cutaway.pen import Pen


def drive(b: Built, pen: Pen) -> None:
    """Draw what it drives by."""
    DRIVES.get(_drive_of(b), _coupling)(b, pen)


def _drive_of(b: Built) -> str:
    own = {"starter": "pinion", "appliance": "belt", "tool": "gears", "traction": "gears", "generator": "belt"}
    return b.stated.turns if b.stated.turns in DRIVES else own.get(b.stated.motor_class, "coupling")


def _coupling(b: Built, pen: Pen) -> None:
    (x0, x1), r, hub = b.drive_part_x, b.drive_r, b.seat_drive + 0.12 * b.d
    w, f = x1 - x0, 0.14 * (x1 - x0)
    m = x0 + 0.55 * w
    pen.both("cast", ((x0, b.seat_drive), (m, b.seat_drive), (m, r), (m - f, r), (m - f, hub), (x0, hub)))
    pen.area(
        "steel-pale",
        (
            (m + 0.03 * w, r),
            (m + 0.03 * w + f, r),
            (m + 0.03 * w + f, hub),
            (x1, hub),
            (x1, -hub),
            (m + 0.03 * w + f, -hub),
            (m + 0.03 * w + f, -r),
            (m + 0.03 * w, -r),
        ),
    )
    pen.boxes("carbon", (m - 0.06 * w, m + 0.1 * w), (0.72 * r, 0.84 * r), inside=True)


def _belt(b: Built, pen: Pen) -> None:
    (x0, x1), r = b.drive_part_x, b.drive_r
    w = x1 - x0
    rim = [(x0 + 0.15 * w + 0.1 * w * i, r * (0.82 if i % 2 else 1.0)) for i in range(8)]
    pen.both("steel-pale", [(x0 + 0.15 * w, b.seat_drive), *rim, (x0 + 0.85 * w, b.seat_drive)])
    pen.strokes("carbon-line", [((x0 + 0.2 * w, s * r * 1.03), (x0 + 0.8 * w, s * r * 1.03)) for s in (1, -1)])


def _gears(b: Built, pen: Pen) -> None:
    (x0, x1), r = b.drive_part_x, b.drive_r
    w = x1 - x0
    pen.area("steel-pale", ((x0 + 0.3 * w, r), (x0 + 0.85 * w, r), (x0 + 0.85 * w, -r), (x0 + 0.3 * w, -r)))
    pen.strokes("wire", [((x0 + 0.3 * w, r * k / 5), (x0 + 0.85 * w, r * k / 5)) for k in range(-4, 5)])


def _pinion(b: Built, pen: Pen) -> None:
    x0, d = b.drive_part_x[0], b.d
    clutch, pinion, high = (x0 + 0.18 * d, x0 + 0.95 * d), (x0 + 0.95 * d, x0 + 1.35 * d), 0.62 * d
    low = b.seat_drive
    pen.both(
        "steel-pale",
        (
            (clutch[0], low),
            (clutch[1], low),
            (clutch[1], high),
            (clutch[0] + 0.3 * d, high),
            (clutch[0] + 0.3 * d, 0.45 * d),
            (clutch[0], 0.45 * d),
        ),
    )
    pen.boxes("steel", pinion, (low, 0.42 * d))
    pen.strokes(
        "wire",
        [((pinion[0], s * 0.42 * d * k / 4), (pinion[1], s * 0.42 * d * k / 4)) for s in (1, -1) for k in (2, 3)],
    )
    pen.disc("steel-pale", clutch[0] + 0.55 * d, 0.5 * d, 0.07 * d)


def _wheel(b: Built, pen: Pen) -> None:
    (x0, x1), r, hub = b.drive_part_x, max(b.drive_r, 1.1 * b.d), b.seat_drive + 0.12 * b.d
    w = x1 - x0
    pen.both(
        "steel-pale",
        (
            (x0 + 0.2 * w, b.seat_drive),
            (x0 + 0.8 * w, b.seat_drive),
            (x0 + 0.8 * w, hub),
            (x0 + 0.7 * w, r),
            (x0 + 0.4 * w, r),
            (x0 + 0.2 * w, hub),
        ),
    )
    pen.strokes("wire", [((x0 + 0.3 * w, s * hub), (x0 + 0.55 * w, s * r)) for s in (1, -1)])


DRIVES: Mapping[str, Callable[[Built, Pen], None]] = MappingProxyType(
    {"belt": _belt, "gears": _gears, "pinion": _pinion, "fan": _wheel, "chain": _gears}
)
