"""The pinion of a starter at full throw, against the maker's figure."""

from norvash.core.edges import within
from norvash.core.motor.figure_fields import PINION_GAP_HIGH_MM, PINION_GAP_LOW_MM
from norvash.core.sheet.said import Said
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.drive.shaft import PINION_GAP


def pinion_said(sheet: Sheet) -> Said | None:
    """Return what its clearance says, None where it was not measured; without the maker's figure it is not judged.

    Where only the most is stated, the least is nothing.
    """
    gap_mm, figures = PINION_GAP.of(sheet), sheet.facts.figures
    low_mm, high_mm = PINION_GAP_LOW_MM.stated(figures) or 0.0, PINION_GAP_HIGH_MM.stated(figures)
    if gap_mm is None:
        return None
    words = f"pinion clearance at full throw {gap_mm:.2f} mm"
    if high_mm is None and gap_mm > 0:
        return Said(f"{words}: not judged, say the maker's figure")
    if high_mm is None:
        return Said(f"{words}: it strikes its stop, set it", False)
    right = within(low_mm, gap_mm, high_mm) and gap_mm > 0
    return Said(f"{words}, {low_mm:g} to {high_mm:g} mm by the maker{'' if right else ': set it'}", right)
