"""What is to be decided on a sheet: every finding from planning upwards, and the set itself; what was decided."""

from dataclasses import dataclass

from norvash.core.findings import Finding
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.verdict.grades import GRADES, WORDS, Grade
from norvash.core.verdict.values import Findings

DECISIONS = {"done": "done at this visit", "deferred": "put off", "dropped": "not needed after all"}
RENEW = "set.worn"
_PLAN = GRADES.index("plan")


@dataclass(frozen=True, slots=True)
class Matter:
    """One thing to decide: where, what, how grave, and what was decided, None while it is open."""

    place: str
    finding: Finding
    position: int
    decided: Given | None

    @property
    def field_id(self) -> str:
        """Return the id of the entry that decides it."""
        return f"decide.{self.finding.id}"

    @property
    def settled(self) -> bool:
        """Tell whether it is decided, and who sees to it and when if it is put off."""
        if self.decided is None:
            return False
        return self.decided.word != "deferred" or bool(self.decided.more.get("who") and self.decided.more.get("day"))


def matters(sheet: Sheet, found: Findings) -> tuple[Matter, ...]:
    """Return what is to be decided, the gravest first, and what was decided already on this sheet."""
    made = [
        Matter(c.place, c.finding, c.position, sheet.given(f"decide.{c.finding.id}", c.position))
        for c in found.conditions
        if GRADES.index(c.finding.grade) >= _PLAN
    ]
    brushes = next((c for c in found.components if c.id == "brushes"), None)
    worn = brushes.grade if brushes is not None and brushes.by == "length" and brushes.rank >= _PLAN else None
    if worn is not None:
        made.insert(0, Matter("The set", worn_set(worn), 0, sheet.given(f"decide.{RENEW}")))
    return tuple(sorted(made, key=lambda m: -GRADES.index(m.finding.grade)))


def worn_set(grade: Grade) -> Finding:
    """Return the finding that a set's own length, date or table stands for."""
    return Finding(RENEW, f"worn: {WORDS[grade].lower()}", grade, "renew the set")
