"""What comes with a cut: where it is made, what is checked, what it changes for slots, holders and faces, how long the slots take."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.commutator.skim import Plan
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
    if plan.chosen.radial > rules["cut.home"] + 1e-9:
        against.append(f"{plan.chosen.radial:.2f} mm radial is more than {rules['cut.home']:g} mm")
    if plan.chosen.left < plan.chosen.radial - 1e-9:
        against.append("no further cut of this depth would be left")
    if true_setup is False:
        against.append(f"it cannot be set up within {rules['cut.true']:g} mm on its bearing seats")
    if plan.speed is None:
        against.append("the machine has no speed for it")
    if against:
        return "out", tuple(against)
    return "own", ("shallow, another cut is left and no bar is loose; set it up true on its bearing seats",)


def checks_of(plan: Plan, rules: MotorRules) -> tuple[tuple[str, ...], tuple[str, ...]]:
    """Return what is checked before and after the cut, in words.

    Source: rules cut.true, slot.chamfer-least, slot.chamfer-most
    """
    slots = (
        "flush insulation: never undercut"
        if plan.copper.flush
        else f"slots undercut to {plan.undercut_to:.2f} mm, {plan.undercut_by:.2f} mm deeper than after the cut"
        if plan.undercut_by and plan.undercut_to
        else "slots deep enough, or not measured"
    )
    before = (f"runs true on its bearing seats within {rules['cut.true']:g} mm", "winding covered against chips",
              "the tool reaches past track and end float on both sides, so that no step is left")  # fmt: skip
    after = (slots, f"edges chamfered {rules['slot.chamfer-least']:g} to {rules['slot.chamfer-most']:g} mm at 45°, both sides",
             "every slot brushed clean of copper", "surface Ra 0.8 to 1.6 µm, no mirror", "run-out and steps measured again", "bar test made again",
             "blown out or vacuumed", "holder gap set again: the diameter has changed", "new contour for the brushes")  # fmt: skip
    return before, after


def slot_minutes(bars: int, rules: MotorRules, factor: float = 1.0) -> float:
    """Return the time to undercut, chamfer and brush all slots.

    Units: -> [min]. Source: rule slot.seconds
    """
    return bars * rules["slot.seconds"] / 60 * factor


def learnt_factor(ratios: Sequence[float], rules: MotorRules) -> float:
    """Return the site's own factor of time taken over time estimated; few sheets count in part.

    Source: rule slot.sheets

    >>> from norvash.core.rules.catalogue import shipped
    >>> learnt_factor([1.5, 1.5, 1.5], shipped())
    1.5
    """
    if not ratios:
        return 1.0
    weight = min(len(ratios) / rules["slot.sheets"], 1.0)
    return 1 + weight * (sum(ratios) / len(ratios) - 1)
