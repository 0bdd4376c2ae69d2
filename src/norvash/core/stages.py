"""The five stages of carbon, from running on to out of service."""

from dataclasses import dataclass
from datetime import date
from typing import Literal

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.rules.brushes import STAGE

Stage = Literal["fit", "watch", "plan", "change", "stop"]
STAGES: tuple[Stage, ...] = ("fit", "watch", "plan", "change", "stop")
WORDS: dict[str, str] = {
    "fit": "Run on",
    "watch": "Watch",
    "plan": "Plan the change",
    "change": "Change now",
    "stop": "Out of service",
}


_MEND_WORDS = {"plan": "Plan the repair", "change": "Mend now"}


def word_of(stage: Stage, *, carbon: bool) -> str:
    """Return the word for a stage: of a set that is changed, or of something else that is mended."""
    return WORDS[stage] if carbon else _MEND_WORDS.get(stage, WORDS[stage])


@dataclass(frozen=True, slots=True)
class Staged:
    """A stage with the rule that gave it."""

    stage: Stage
    rule_id: str

    @property
    def rank(self) -> int:
        """Return 0 for fit up to 4 for stop."""
        return STAGES.index(self.stage)


def stage_of(usable: float, rules: MotorRules) -> Staged:
    """Return the stage of a brush from its usable carbon [1]; a figure on a threshold belongs to the worse.

    Source: rules stage.*
    """
    worst_first: tuple[Stage, ...] = ("stop", "change", "plan", "watch")
    for stage in worst_first:
        rule_id = STAGE.of(stage)
        if not over(usable, rules[rule_id]):
            return Staged(stage, rule_id)
    return Staged("fit", "stage.watch")


def stage_of_line(lines_seen: int) -> Staged:
    """Return the stage from the wear line in the window: none, first, second, third."""
    return Staged(("fit", "watch", "plan", "stop")[min(lines_seen, 3)], "wear line")


def worst(stages: list[Staged]) -> Staged | None:
    """Return the worst of several stages, None of none."""
    return max(stages, key=lambda s: s.rank, default=None)


def raised_by_date(stage: Stage | None, limit_on: date | None, today: date) -> Stage | None:
    """Return the stage, raised to a change when the limit lies in the past by its date."""
    past = limit_on is not None and limit_on <= today and stage in ("fit", "watch", "plan")
    return "change" if past else stage
