"""What the rework shows: temporary repairs beside the work list."""

from dataclasses import dataclass

from norvash.core.sheet.given import Given
from norvash.core.sheet.stages.rework import TEMPORARY
from norvash.web.stages.at import At
from norvash.web.stages.fields import Entry, entry


@dataclass(frozen=True, slots=True)
class Rework:
    """The temporary repairs that were recorded, and the place of the next one."""

    temporary: list[Given]
    next: Entry


def view(at: At) -> Rework:
    """Return what the rework shows."""
    places = TEMPORARY.places(at.shown.sheet)
    made = [g for n in places if (g := TEMPORARY.given(at.shown.sheet, n)) is not None]
    return Rework(made, entry(at.shown, TEMPORARY, max(places, default=0) + 1))
