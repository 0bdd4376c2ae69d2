"""What is entered at one place of a sheet, and a motor after it."""

from dataclasses import replace

from norvash.core.record.said import Said
from norvash.core.record.sheet import Entered
from norvash.core.sheet.field import YES, Field
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Spot
from norvash.core.stages.brushes.carbon import SHORTEST_ONLY
from norvash.store.file.database import Connection
from norvash.work.reading.context import Context
from norvash.work.reading.marks import mark_of
from norvash.work.reading.sheet_state import compared_with, compares


def entered(context: Context, field: Field, spot: Spot, given: Given | None) -> Entered:
    """Return what is entered at one place of a motor's newest sheet, with what it leaves on the motor for good."""
    row = context.row
    if row is None:
        raise LookupError("nothing can be entered without a sheet")
    leaves = given if field.marks and given is not None and given.stands else None
    return Entered(
        sheet_id=row.id,
        spot=spot,
        given=given,
        marks=field.marks,
        mark=mark_of(field, row.number, leaves) if leaves is not None else None,
        shortest=given is not None and given.word == YES if field is SHORTEST_ONLY else None,
    )


def told(conn: Connection, context: Context, *said: Said) -> Context:
    """Return a motor after entries: what its newest sheet is compared with follows from what stands on it."""
    made = context.after(*said)
    if made.row is None or made.written is context.written:
        return made
    now, then = made.written, context.written
    moved = {spot[0] for spot in now.keys() | then.keys() if now.get(spot) is not then.get(spot)}
    compared = compared_with(conn, made.row, made.written) if any(map(compares, moved)) else made.compared
    return replace(made, compared=compared)
