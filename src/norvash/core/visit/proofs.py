"""What proves each finding mended, as it declares it or as it follows from what tells it."""

from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import COMPLAINT
from norvash.core.stages.catalogue import FINDINGS, SEEN, TOLD_BY


def proofs_of(finding: Finding) -> tuple[str, ...]:
    """Return in words what proves a finding mended after its work, each alone."""
    if finding.part is COMPLAINT:
        return ("the answer that it is gone",)
    told = [f.label.lower() for f in TOLD_BY.get(finding.id, ()) if f.id != finding.look]
    made = []
    if finding.of_brush and not finding.proof:
        made.append("the first reading of another brush")
    if told and finding.proof in ("", "value", "any"):
        made.append(f"a new value: {', '.join(dict.fromkeys(told))}")
    by_look = finding.id in SEEN or not (told or finding.of_brush)
    if finding.proof == "inside":
        made.append("a fresh look, once its figures find it no more")
    if finding.proof in ("look", "any") or (by_look and not finding.proof):
        made.append("a fresh look" if not told or finding.proof else "a fresh look where no figure told it")
    if finding.ends:
        made.append(f"“{FINDINGS[finding.ends].words}” seen there")
    return tuple(made)
