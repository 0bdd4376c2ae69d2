"""The five grades of carbon, from running on to out of service."""

from dataclasses import dataclass
from typing import Literal

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.rules.brushes import GRADE_FROM

Grade = Literal["fit", "watch", "plan", "change", "stop"]
GRADES: tuple[Grade, ...] = ("fit", "watch", "plan", "change", "stop")
WORDS: dict[str, str] = {
    "fit": "Run on",
    "watch": "Watch",
    "plan": "Plan the change",
    "change": "Change now",
    "stop": "Out of service",
}


_MEND_WORDS = {"plan": "Plan the repair", "change": "Mend now"}


def word_of(grade: Grade, *, carbon: bool) -> str:
    """Return the word for a grade: of a set that is changed, or of something else that is mended."""
    return WORDS[grade] if carbon else _MEND_WORDS.get(grade, WORDS[grade])


@dataclass(frozen=True, slots=True)
class Graded:
    """A grade with the rule that gave it."""

    grade: Grade
    rule_id: str

    @property
    def rank(self) -> int:
        """Return 0 for fit up to 4 for stop."""
        return GRADES.index(self.grade)


def rank_of(grade: Grade | None) -> int:
    """Return 0 for fit up to 4 for stop, -1 where nothing is known."""
    return GRADES.index(grade) if grade is not None else -1


def grade_of(usable: float, rules: MotorRules) -> Graded:
    """Return the grade of a brush from its usable carbon [1]; a figure on a threshold belongs to the worse.

    Source: rules stage.*
    """
    worst_first: tuple[Grade, ...] = ("stop", "change", "plan", "watch")
    for grade in worst_first:
        at = rules.figure(GRADE_FROM.of(grade))
        if not over(usable, at.value):
            return Graded(grade, at.rule_id)
    return Graded("fit", "stage.watch")


def grade_of_line(lines_seen: int) -> Graded:
    """Return the grade from the wear line in the window: none, first, second, third."""
    return Graded(("fit", "watch", "plan", "stop")[min(lines_seen, 3)], "wear line")


def worst(grades: list[Graded]) -> Graded | None:
    """Return the worst of several grades, None of none."""
    return max(grades, key=lambda s: s.rank, default=None)
