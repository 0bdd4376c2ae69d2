"""What opening and recording shows beside its fields: how the boxes must be wired where they are not."""

from dataclasses import dataclass

from norvash.web.stages.at import At
from norvash.web.stages.polarity import Polarity, polarity_wrong_shown


@dataclass(frozen=True, slots=True)
class Record:
    """What is wrong with the polarity of the boxes, None where nothing is."""

    polarity: Polarity | None


def view(at: At) -> Record:
    """Return what opening and recording shows."""
    return Record(polarity_wrong_shown(at.shown))
