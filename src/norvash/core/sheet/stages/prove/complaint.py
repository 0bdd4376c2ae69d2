"""How a complaint ends: by an answer, after the motor was run."""

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.sheet.fields_made import pick
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.call_in import COMPLAINT_ASKED, FIND_FAULT, KINDS

GONE_ANSWERS = ("this", "unknown")
COMPLAINT_NOW = pick(
    "complaint-now",
    "The complaint",
    "Is the complaint gone?",
    ("this", "gone: this was it"),
    ("unknown", "gone, cause not known"),
    ("still", "still there"),
    needs="power",
    judged=True,
    placed=True,
    tells=(*KINDS.values(), COMPLAINT_ASKED),
    does=(FIND_FAULT,),
)
CAUSE_WAS = pick(
    "cause-was", "The complaint", "What it was", *((c.id, c.words) for c in CAUSES), needs="power", placed=True
)


def complaint_gone(sheet: Sheet) -> bool:
    """Tell whether somebody has said that the complaint is gone."""
    return COMPLAINT_NOW.of(sheet) in GONE_ANSWERS
