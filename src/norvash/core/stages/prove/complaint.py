"""How a complaint ends: by an answer, after the motor was run."""

from norvash.core.diagnosis.causes import CAUSES
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import pick, tick
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.call_in import COMPLAINT_ASKED, FIND_FAULT, KINDS

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
# What else was mended, where it was several things together: each is named.
ALSO_WAS = {
    c.id: tick(f"also-was.{c.id}", "The complaint", f"and also: {c.words}", needs="power", placed=True) for c in CAUSES
}
_CAUSES = {c.id: c.words for c in CAUSES}
_SAYS = {also.id: c for c, also in ALSO_WAS.items()}


def cause_said(field: Field, word: str) -> str:
    """Return the cause that a word in a field names, empty where it names none."""
    if field is CAUSE_WAS:
        return word
    return _SAYS.get(field.id, "") if word else ""


def causes_named(sheet: Sheet) -> tuple[str, ...]:
    """Return the causes by which somebody says that a complaint is gone, the one that was named first before others."""
    first = CAUSE_WAS.of(sheet) if COMPLAINT_NOW.of(sheet) == "this" else ""
    return (first, *(c for c, also in ALSO_WAS.items() if also.of(sheet) and c != first)) if first else ()


def cause_words(sheet: Sheet) -> str:
    """Return in words by what a complaint is gone, empty where nobody names a cause."""
    return "; and ".join(_CAUSES[c] for c in causes_named(sheet))


def complaint_gone(sheet: Sheet) -> bool:
    """Tell whether somebody has said that the complaint is gone."""
    return COMPLAINT_NOW.of(sheet) in GONE_ANSWERS
