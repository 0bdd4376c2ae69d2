"""How deep the slots between the bars are to be."""

from norvash.core.commutator.cut import Copper
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules


def slot_again_mm(diameter_mm: float | None, width_mm: float | None, rules: MotorRules) -> float:
    """Return the slot depth under which slots are undercut again, by the size of the commutator and the width of a
    slot.

    Units: [mm] -> [mm]. Source: rules slot.again, slot.again-small, slot.again-large, slot.small
    """
    small = diameter_mm is not None and under(diameter_mm, rules["slot.small"])
    least = rules["slot.again-small" if small else "slot.again-large"]
    return max(least, rules["slot.again"] * (width_mm or 0.0))


def slot_target_mm(copper: Copper, rules: MotorRules) -> float | None:
    """Return the depth to which slots are undercut: the stated one, else by their width, never under what is stated as
    the least; None where nothing is known.

    Units: -> [mm]. Source: rules slot.depth, slot.depth-least, slot.depth-most
    """
    least = copper.slot_least_radial_mm
    if copper.slot_target_radial_mm is not None:
        return max(copper.slot_target_radial_mm, least or 0.0)
    if copper.slot_width_mm is None:
        return least
    by_width = min(max(rules["slot.depth"] * copper.slot_width_mm, rules["slot.depth-least"]), rules["slot.depth-most"])
    return max(by_width, least or 0.0)


def slot_after(copper: Copper, radial_mm: float, rules: MotorRules) -> tuple[float | None, float | None, float | None]:
    """Return the slot depth after the cut, by how much to undercut, and to what; flush types never.

    Units: radial_mm [mm] -> [mm], [mm], [mm]
    Source: rules slot.*
    """
    if copper.flush or copper.slot_depth_radial_mm is None:
        return None, None, None
    after = max(copper.slot_depth_radial_mm - radial_mm, 0.0)
    wanted = slot_target_mm(copper, rules)
    if wanted is None:
        return after, None, None
    again = slot_again_mm(copper.diameter_mm, copper.slot_width_mm, rules)
    enough = copper.slot_least_radial_mm or copper.slot_target_radial_mm or min(wanted, again)
    return after, (wanted - after if under(after, enough) else 0.0), wanted
