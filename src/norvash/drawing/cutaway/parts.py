"""The parts of a section in the order in which they lie over one another, and where the name of each leads."""

from collections.abc import Callable, Mapping
from types import MappingProxyType

from norvash.drawing.cutaway import standing, turning
from norvash.drawing.cutaway.built import Built
from norvash.drawing.cutaway.drives import drive
from norvash.drawing.cutaway.pen import Pen

DRAW: Mapping[str, Callable[[Built, Pen], None]] = MappingProxyType(
    {
        "shaft": turning.shaft,
        "frame": standing.frame,
        "field": standing.field,
        "solenoid": standing.solenoid,
        "fan": turning.fan,
        "core": turning.core,
        "binding": turning.binding,
        "commutator": turning.commutator,
        "gear": standing.gear,
        "terminals": standing.terminals,
        "seal": turning.seal,
        "drive": drive,
        "bearing-2": turning.other,
        "bearing-1": turning.drive_end,
    }
)


def pins(b: Built) -> Mapping[str, tuple[float, float]]:
    """Return the point of each part that its name leads to [mm]: one above the axis is named above, one below it
    below.
    """
    new = b.brush[2]
    x, y = standing.sole(b)
    drive_x, box = b.drive_part_x, (b.core_x[1] - 0.22 * b.d, b.yoke_r[1] + 0.26 * b.d)
    terminals = (x - 0.2 * b.d, y + 0.45 * b.d) if b.stated.solenoid else box
    return {
        "bearing-2": ((b.other_x[0] + b.other_x[1]) / 2, -(b.other.bore + b.other.outside) / 4),
        "gear": (b.brush_x - 0.3 * b.brush[1], b.track_r + 0.6 * new),
        "commutator": (b.riser_x - 0.12 * (b.riser_x - b.commutator_x[0]), b.track_r - 0.35 * b.bar),
        "binding": (b.turns_x[0] + 0.18 * b.d, b.riser_r + 0.015 * b.d),
        "core": (b.core_x[0] + 0.3 * (b.core_x[1] - b.core_x[0]), -0.75 * b.core_r),
        "field": (b.core_x[0] + 0.55 * (b.core_x[1] - b.core_x[0]), (b.pole_r[0] + b.yoke_r[0]) / 2),
        "terminals": terminals,
        "solenoid": (x + 1.2 * b.d, y + 0.5 * b.d),
        "fan": (b.fan_x[0] + 0.55 * (b.fan_x[1] - b.fan_x[0]), 0.8 * b.fan_r),
        "shaft": ((b.turns_x[1] + b.fan_x[0]) / 2 + 0.02 * b.d, -0.6 * b.shaft),
        "seal": (b.drive_x[1] + 0.045 * b.d, -(b.seat_drive + 0.1 * b.d)),
        "bearing-1": ((b.drive_x[0] + b.drive_x[1]) / 2, (b.drive.bore + b.drive.outside) / 4),
        "drive": (drive_x[0] + 0.5 * (drive_x[1] - drive_x[0]), 0.55 * b.drive_r),
        "frame": (b.core_x[0] - 0.2 * b.d, -(b.yoke_r[0] + b.yoke_r[1]) / 2),
    }
