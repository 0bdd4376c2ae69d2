"""How new faces are shaped, how they lie, and how much of them touches."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.carbon import FACE_CUT, FACE_UNBEDDED
from norvash.core.stages.shared import CONTOUR_FACES, FIT_SET, PLAN_CUT

FIELDS: tuple[Field, ...] = (
    PRINT := quantity(
        "print",
        "Seating",
        "Print of the contact",
        "share",
        needs="safe",
        per="position",
        high=1,
        placed=True,
        judged=True,
        tells=(FACE_UNBEDDED,),
        proves=(FACE_CUT,),
        touched_by=(CONTOUR_FACES, FIT_SET, PLAN_CUT),
    ),
    ROD := quantity(
        "rod",
        "Seating",
        "Faces shaped on a rod or mandrel of",
        "length",
        needs="safe",
        low=0.1,
        high=5000,
        hint="its diameter; not the commutator itself",
        placed=True,
        work=True,
    ),
    ROD_PAPER := quantity(
        "rod-paper",
        "Seating",
        "Paper on it, thick",
        "length",
        needs="safe",
        high=5,
        hint="0 without",
        placed=True,
        work=True,
    ),
    LEADS_LIE := tick(
        "leads-lie",
        "Fitting",
        "Leads on the side with their slot, clear of what turns",
        needs="safe",
        work=True,
        placed=True,
        record=True,
    ),
    SPRINGS_SIT := tick(
        "springs-sit",
        "Fitting",
        "Springs on their seats, in working position",
        needs="safe",
        work=True,
        placed=True,
        record=True,
    ),
    SLIDES := tick(
        "slides",
        "Fitting",
        "Each brush slides by its own weight or a light finger",
        needs="safe",
        work=True,
        placed=True,
        record=True,
    ),
)


def shaped_radius_mm(sheet: Sheet) -> float | None:
    """Return the radius on which the faces were shaped, the paper on the rod included; None where they were not."""
    rod = ROD.of(sheet)
    return None if rod is None else rod / 2 + (ROD_PAPER.of(sheet) or 0.0)


def least_print(sheet: Sheet) -> float | None:
    """Return the least print of the brushes [1]: it governs; None where none was taken."""
    return min((x for p in PRINT.places(sheet) if (x := PRINT.of(sheet, p)) is not None), default=None)
