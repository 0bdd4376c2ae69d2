"""What is to be decided on a sheet: every finding from planning upwards, and the set itself; what was decided."""

from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.matter import Matter
from norvash.core.sheet.part import BRUSHES
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.decide import decision
from norvash.core.verdict.grades import GRADES, WORDS, Grade
from norvash.core.verdict.values import Findings

DECISIONS = {"done": "done at this visit", "deferred": "put off", "dropped": "not needed after all"}
RENEW = "set.worn"
_PLAN = GRADES.index("plan")


def matters(sheet: Sheet, found: Findings) -> tuple[Matter, ...]:
    """Return what is to be decided, the gravest first, and what was decided already on this sheet."""
    made = [
        Matter(c.place, c.finding, c.position, decision(c.finding.id).given(sheet, c.position))
        for c in found.conditions
        if GRADES.index(c.finding.grade) >= _PLAN
    ]
    brushes = next((c for c in found.components if c.id == "brushes"), None)
    worn = brushes.grade if brushes is not None and brushes.by == "length" and brushes.rank >= _PLAN else None
    if worn is not None:
        made.insert(0, Matter("The set", worn_set(worn), 0, decision(RENEW).given(sheet)))
    return tuple(sorted(made, key=lambda m: -GRADES.index(m.finding.grade)))


def worn_set(grade: Grade) -> Finding:
    """Return the finding that a set's own length, date or table stands for."""
    return finding(RENEW, f"worn: {WORDS[grade].lower()}", grade, "renew the set", BRUSHES)
