"""What wear means beside hours: by the distance rubbed, as dust, by wear lines, and what the length alone would
suggest.
"""

from collections.abc import Sequence
from math import pi

from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_METAL = ("metal-graphite", "high-metal")


def rubbed_km(commutator_d_mm: float, speed_rpm: float, run_h: float) -> float:
    """Return the distance that a brush has rubbed on the commutator.

    Units: commutator_d_mm [mm], speed_rpm [r/min], run_h [h] -> [km]
    Source: circumference by turns

    >>> round(rubbed_km(120.0, 1450.0, 100.0), 1)
    3279.8
    """
    return pi * commutator_d_mm * speed_rpm * 60 * run_h / 1e6


def dust_g(section_mm2: float, wear_mm: Sequence[float], grade_family: str, rules: MotorRules) -> float:
    """Return the mass of carbon that a set has worn off; clearly more found means arcing, bearing debris or belt dust.

    Units: section_mm2 of one brush [mm²], wear_mm of each [mm] -> [g]. Source: rules dust.*
    """
    density = rules["dust.metal" if grade_family in _METAL else "dust.carbon"]
    return section_mm2 * sum(w for w in wear_mm if w > 0) * density / 1000


def line_rate_mm_per_kh(spacing_mm: float, earlier_h: float, later_h: float) -> float:
    """Return the wear rate from two wear lines seen at known uses.

    Units: spacing_mm [mm], earlier_h, later_h [h] -> [mm per 1000 h]
    Raises: InputError unless the second was seen later.
    Source: straight line between two sightings

    >>> line_rate_mm_per_kh(4.0, 600, 1000)
    10.0
    """
    if not later_h > earlier_h:
        raise InputError("The second line was not seen after the first.", "Check the two uses.", "later_h")
    return spacing_mm / (later_h - earlier_h) * 1000


def seeming_left_h(length_mm: float, rate_mm_per_kh: float) -> float:
    """Return the use that would be left if all of the length could be used, which it cannot.

    Units: length_mm [mm], rate_mm_per_kh [mm per 1000 h] -> [h]
    Source: straight line to nothing
    """
    return length_mm / rate_mm_per_kh * 1000
