"""A part's verdict, and a finding where it is."""

from dataclasses import dataclass

from norvash.core.grades import GRADES, Grade, word_of
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.part import LOOK, Part
from norvash.core.state.motor_state import Overrule
from norvash.core.state.rising import LATE_WORD, NOW_WORD


@dataclass(frozen=True, slots=True)
class Condition:
    """A finding where it is: “Brush A” or the component's name; position 0 is the whole motor."""

    place: str
    finding: Finding
    position: int = 0


@dataclass(frozen=True, slots=True, kw_only=True)
class Component:
    """One component's verdict: its grade, None where nothing speaks for it, and the grade before it was overruled.

    `fallen` is what somebody decided and what counts no longer: it would have softened a stop.
    """

    part: Part
    grade: Grade | None
    by: str
    rule_id: str
    renews: bool = False
    overruled: Overrule | None = None
    before: Grade | None = None
    fallen: Overrule | None = None

    @property
    def id(self) -> str:
        """Return the id of its part."""
        return self.part.id

    @property
    def words(self) -> str:
        """Return the component's name."""
        return self.part.words

    @property
    def word(self) -> str:
        """Return the word for its grade, empty where nothing speaks for it."""
        if self.part is LOOK:
            return LATE_WORD if self.grade == "plan" else NOW_WORD
        carbon = self.by == "length" or self.renews
        return word_of(self.grade, carbon=carbon) if self.grade else ""

    @property
    def rank(self) -> int:
        """Return 0 for fit or unknown up to 4 for stop."""
        return GRADES.index(self.grade) if self.grade else 0


def finding_word(finding: Finding) -> str:
    """Return the word for how grave a finding is: of a set that is changed, or of something else that is mended."""
    return word_of(finding.grade, carbon=finding.renews)
