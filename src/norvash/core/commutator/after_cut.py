"""What comes with a cut: where it is made, what is checked, what it changes for slots, holders and faces, how long the
slots take.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from math import pi

from norvash.core.commutator.cut import Plan
from norvash.core.commutator.run_out_limits import fine_cut, surface_speed_m_per_s, usual_speed_m_per_s
from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules


@dataclass(frozen=True, slots=True)
class Change:
    """One thing that the cut changes: words, unit, before and after; None where it is not known."""

    id: str
    words: str
    unit: str
    before: float | None
    after: float | None


def where_to_cut(plan: Plan, rules: MotorRules, *, true_setup: bool | None = None) -> tuple[str, tuple[str, ...]]:
    """Return “own” or “out” with the reasons: whether the site's own lathe will do.

    Source: rules cut.home, cut.true, school.skim
    """
    against = []
    if plan.copper.loose:
        against.append("a bar is loose")
    if over(plan.chosen.radial_mm, rules["cut.home"]):
        against.append(f"{plan.chosen.radial_mm:.2f} mm radial is more than {rules['cut.home']:g} mm")
    if under(plan.chosen.left_radial_mm, plan.chosen.radial_mm):
        against.append("no further cut of this depth would be left")
    if true_setup is False:
        against.append(f"it cannot be set up within {seats_true_mm(plan, rules):g} mm on its bearing seats")
    if plan.speed_rpm is None:
        against.append("the machine has no speed for it")
    if against:
        return "out", tuple(against)
    return "own", ("shallow, another cut is left and no bar is loose; set it up true on its bearing seats",)


def checks_of(plan: Plan, rules: MotorRules, bars: int | None = None) -> tuple[tuple[str, ...], tuple[str, ...]]:
    """Return what is checked before and after the cut, in words.

    Source: rules cut.true, cut.true-fine, slot.chamfer-*
    """
    slots = "slots deep enough, or not measured"
    if plan.copper.flush:
        slots = "flush insulation: never undercut"
    elif plan.undercut_by_radial_mm and plan.undercut_to_radial_mm:
        to, by = plan.undercut_to_radial_mm, plan.undercut_by_radial_mm
        slots = f"slots undercut to {to:.2f} mm, {by:.2f} mm deeper than after the cut"
    before = (
        f"runs true on its bearing seats within {seats_true_mm(plan, rules):g} mm",
        "winding covered against chips",
        "the tool reaches past track and end float on both sides, so that no step is left",
    )
    chamfer = chamfer_mm(plan, bars, rules)
    edges = (
        "edges of bars broken by hand only, no chamfer: the insulation is flush"
        if chamfer is None
        else f"edges chamfered {chamfer[0]:g} to {chamfer[1]:g} mm at 45°, both sides"
    )
    after = (
        slots,
        edges,
        "every slot brushed clean of copper",
        "surface Ra 0.8 to 1.6 µm, no mirror",
        "run-out and steps measured again",
        "bar test made again",
        "blown out or vacuumed",
        "holder gap set again: the diameter has changed",
        "new contour for the brushes",
    )
    return before, after


def seats_true_mm(plan: Plan, rules: MotorRules) -> float:
    """Return how true the bearing seats must run before a cut, by what the cut must reach.

    Units: -> [mm]. Source: rules cut.true, cut.true-fine
    """
    diameter, rpm = plan.copper.diameter_mm, plan.way.rated_rpm
    speed = usual_speed_m_per_s(rules)[0] if rpm is None else surface_speed_m_per_s(diameter, rpm)
    return rules["cut.true-fine" if fine_cut(diameter, speed, rules) else "cut.true"]


def chamfer_mm(plan: Plan, bars: int | None, rules: MotorRules) -> tuple[float, float] | None:
    """Return the chamfer of a bar's edge from and to, None on flush types: less on narrow bars, never over its share of
    the slot.

    Units: -> [mm]. Source: rules slot.chamfer-*, slot.narrow
    """
    copper = plan.copper
    if copper.flush:
        return None
    bar = None if not bars else pi * plan.chosen.diameter_after_mm / bars - (copper.slot_width_mm or 0.0)
    narrow = bar is not None and under(bar, rules["slot.narrow"])
    least, most = (
        (rules["slot.chamfer-narrow-least"], rules["slot.chamfer-narrow-most"])
        if narrow
        else (rules["slot.chamfer-least"], rules["slot.chamfer-most"])
    )
    depth = plan.undercut_to_radial_mm if plan.undercut_by_radial_mm else plan.slot_after_radial_mm
    share = most if not depth else min(most, rules["slot.chamfer-share"] * depth)
    return min(least, share), share


def slot_minutes(bars: int, rules: MotorRules, factor: float = 1.0) -> float:
    """Return the time to undercut, chamfer and brush all slots.

    Units: -> [min]. Source: rule slot.seconds
    """
    return bars * rules["slot.seconds"] / 60 * factor


def learnt_factor(ratios: Sequence[float], rules: MotorRules) -> float:
    """Return the site's own factor of time taken over time estimated; few sheets count in part.

    Units: ratios of a time taken over the one estimated [1] -> [1]
    Source: rule slot.sheets

    >>> from norvash.core.rules.catalogue import shipped
    >>> learnt_factor([1.5, 1.5, 1.5], shipped())
    1.5
    """
    if not ratios:
        return 1.0
    weight = min(len(ratios) / rules["slot.sheets"], 1.0)
    return 1 + weight * (sum(ratios) / len(ratios) - 1)
