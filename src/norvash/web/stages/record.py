"""What opening and recording shows: the polarity of every box, and how they must be wired where they are not so."""

from dataclasses import dataclass

from norvash.core.sheet.stages.polarity import BOX
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.polarity import Polarity, polarity_wrong_shown
from norvash.web.stages.stacks import StacksShown, stacks_off


@dataclass(frozen=True, slots=True)
class Record:
    """The entries of the boxes, none of a motor that is not asked for them, what is wrong with their polarity, and what
    came off.
    """

    boxes: list[Entry]
    polarity: Polarity | None
    stacks: StacksShown


def view(at: At) -> Record:
    """Return what opening and recording shows."""
    shown, facts = at.shown, at.shown.context.facts
    asked = BOX.is_offered(facts, shown.context.rules)
    boxes = [entry(shown, BOX, p.number, f"Box {p.label}") for p in facts.positions] if asked else []
    return Record(boxes, polarity_wrong_shown(shown), stacks_off(at))
