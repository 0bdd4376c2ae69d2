"""Does a brush fit its box, and is the holder at the right distance."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules

Fit = Literal["fits", "fits after dressing", "do not use"]
FITS: tuple[Fit, ...] = ("fits", "fits after dressing", "do not use")


@dataclass(frozen=True, slots=True)
class SideFit:
    """One dimension of a brush in its box; clearance_mm and dress_mm in all, both sides together."""

    fit: Fit
    clearance_mm: float
    dress_mm: float
    reason: str


def clearances_mm(brush_mm: float, rules: MotorRules) -> tuple[float, float]:
    """Return the least and the greatest clearance of a brush in its box, by the size of that dimension.

    Units: [mm] -> [mm]. Source: rules fit.small, fit.large, fit.clearance-*
    """
    if under(brush_mm, rules["fit.small"]):
        return rules["fit.clearance-least-small"], rules["fit.clearance-most-small"]
    large = over(brush_mm, rules["fit.large"])
    return rules["fit.clearance-least"], rules["fit.clearance-most-large" if large else "fit.clearance-most"]


def side_fit(name: str, brush_mm: float, box_mm: float, rules: MotorRules) -> SideFit:
    """Judge one dimension of a brush against its box.

    Units: brush_mm, box_mm [mm]. Source: rules fit.*
    """
    (least, most), dressing = clearances_mm(brush_mm, rules), rules["fit.dressing"]
    clearance = box_mm - brush_mm
    shown = f"{name}: {clearance:+.3f} mm of clearance"
    if over(clearance, most):
        return SideFit("do not use", clearance, 0.0, f"{shown}, over {most:g} mm: it tilts, chips and wears two faces")
    if not under(clearance, least):
        return SideFit("fits", clearance, 0.0, f"{shown}, within {least:g} to {most:g} mm")
    dress = least - clearance
    if not over(dress, dressing):
        words = f"{shown}: dress {dress:.3f} mm in all, half a side, on a flat plate; never file the box"
        return SideFit("fits after dressing", clearance, dress, words)
    words = f"{shown}: {dress:.3f} mm too much to dress (at most {dressing:g} mm): the wrong part, send it back"
    return SideFit("do not use", clearance, dress, words)


def gap_reason(gap_mm: float, rules: MotorRules) -> tuple[bool, str]:
    """Return whether the holder's gap [mm] is right, and what follows if not.

    Units: gap_mm [mm]
    Source: rules gap.*
    """
    low, high = rules["gap.low"], rules["gap.high"]
    if under(gap_mm, low):
        return (False, f"holder gap {gap_mm:g} mm is under {low:g} mm: the box can touch the copper; set it back")
    if over(gap_mm, high):
        return (False, f"holder gap {gap_mm:g} mm is over {high:g} mm: the brush chatters and chips; bring it in")
    return True, f"holder gap {gap_mm:g} mm is within {low:g} to {high:g} mm"
