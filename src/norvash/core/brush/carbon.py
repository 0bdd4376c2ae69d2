"""Brush length, wear and usable carbon, by every way of measuring them."""

from dataclasses import dataclass
from math import atan, degrees, radians, tan

from norvash.core.edges import over, same, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


def usable_carbon(length_mm: float, new_mm: float, limit_mm: float) -> float:
    """Return the share of a brush's usable carbon that is left, 1 when new, 0 at its limit.

    Units: length_mm [mm], new_mm [mm], limit_mm [mm] -> [1]
    Raises: InputError if the limit is not below the new length.
    Source: rule stage.stop

    >>> usable_carbon(12.0, new_mm=16.0, limit_mm=6.0)
    0.6
    """
    if not under(limit_mm, new_mm):
        raise InputError(
            f"The limit of {limit_mm:g} mm is not below the new length of {new_mm:g} mm.",
            "Check which of the two figures is wrong.",
            "limit_mm",
        )
    return 0.0 if same(length_mm, limit_mm) else (length_mm - limit_mm) / (new_mm - limit_mm)


def check_length(length_mm: float, new_mm: float, field: str, rules: MotorRules) -> None:
    """Refuse a length that no brush of this new length can have.

    Units: [mm]. Raises: InputError under nothing, or over the new length by more than a tenth.
    Source: rule new.longest
    """
    if under(length_mm, 0.0):
        raise InputError(f"A length of {length_mm:g} mm is not possible.", "Measure it again.", field)
    if over(length_mm, rules["new.longest"] * new_mm):
        raise InputError(
            f"{length_mm:g} mm is longer than the new brush of {new_mm:g} mm.",
            "A brush does not grow: check both figures, or whether it is another brush.",
            field,
        )


@dataclass(frozen=True, slots=True)
class DepthScale:
    """A depth gauge on a fixed rim: it reads more as the brush wears.

    Units: all [mm]; sunk_mm is how far the surface under the brush has sunk since the gauge was zeroed.
    """

    new_mm: float
    limit_mm: float | None = None
    constant_mm: float | None = None
    sunk_mm: float = 0.0

    def __post_init__(self) -> None:
        if self.limit_mm is not None and not over(self.limit_mm, self.new_mm + self.sunk_mm):
            raise InputError(
                f"The depth limit of {self.limit_mm:g} mm is not beyond the depth when new, {self.new_mm:g} mm.",
                "A depth grows as the brush wears: check the two figures.",
                "depth_limit_mm",
            )

    def wear_mm(self, depth_mm: float) -> float:
        """Return the carbon worn off [mm], without what the surface has sunk."""
        return depth_mm - self.new_mm - self.sunk_mm

    def length_mm(self, depth_mm: float) -> float | None:
        """Return the brush length [mm], or None without the gauge's constant."""
        return None if self.constant_mm is None else self.constant_mm + self.sunk_mm - depth_mm

    def left_mm(self, depth_mm: float) -> float | None:
        """Return how far the raw reading is from the depth limit [mm]; the limit watches the spring."""
        return None if self.limit_mm is None else self.limit_mm - depth_mm

    def usable(self, depth_mm: float) -> float | None:
        """Return usable carbon [1], or None without a depth limit."""
        if self.limit_mm is None:
            return None
        if same(depth_mm, self.limit_mm):
            return 0.0
        return (self.limit_mm - depth_mm) / (self.limit_mm - self.new_mm - self.sunk_mm)


def taper_deg(shorter_mm: float, longer_mm: float, thickness_mm: float) -> float:
    """Return the angle of a tilted face from its two edges.

    Units: shorter_mm, longer_mm, thickness_mm [mm] -> [°]
    Raises: InputError without a thickness.
    Source: tangent of the difference over the thickness

    >>> round(taper_deg(12.0, 12.4, 8.0), 2)
    2.86
    """
    if not thickness_mm > 0:
        raise InputError("The thickness must be above 0.", "Give it in mm.", "thickness_mm")
    return degrees(atan((longer_mm - shorter_mm) / thickness_mm))


def centre_limit_mm(edge_limit_mm: float, thickness_mm: float, angle_deg: float) -> float:
    """Return a limit given at the longest edge of an angled face, moved to the centre line.

    Units: edge_limit_mm, thickness_mm [mm], angle_deg [°] -> [mm]
    Source: half the thickness by the tangent of the angle
    """
    return edge_limit_mm - thickness_mm / 2 * tan(radians(angle_deg))
