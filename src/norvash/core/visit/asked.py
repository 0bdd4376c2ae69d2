"""What was kept as typed and no longer fits, or never said of which sight it speaks: the sheet asks about it."""

from collections.abc import Mapping

from norvash.core.sheet.sheet import Sheet, Spot
from norvash.core.stages.catalogue import FIELD_BY_ID
from norvash.core.visit.done import done_tasks, may_be_left


def misfits(sheet: Sheet, new: Mapping[int, bool]) -> tuple[Spot, ...]:
    """Return where a value stands as left and no work of the sheet touches its place any more.

    `new` are the positions with a new brush.
    """
    made, done = [], done_tasks(sheet)
    for spot, given in sheet.written.items():
        field = FIELD_BY_ID.get(spot[0]) if spot[2] == "left" and given.stands else None
        if field is not None and field.sighted and not may_be_left(field, done, new, spot[1]):
            made.append(spot)
    return tuple(made)
