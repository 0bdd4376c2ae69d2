"""What closing up shows: what went back, beside its fields."""

from dataclasses import dataclass

from norvash.core.sheet.stages.stacks import GONE_THROUGH, LEFT_OVER, LEFT_OVER_SAID
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry
from norvash.web.stages.stacks import StacksShown, stacks_back


@dataclass(frozen=True, slots=True)
class Close:
    """What went back of what came off, and what is said beside it."""

    stacks: StacksShown
    beside: tuple[Entry, ...]


def view(at: At) -> Close:
    """Return what closing up shows."""
    return Close(stacks_back(at), tuple(entry(at.shown, f) for f in (LEFT_OVER, LEFT_OVER_SAID, GONE_THROUGH)))
