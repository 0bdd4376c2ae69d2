"""What entries on sheets say of the copper: cuts, and holders set after them."""

from norvash.core.commutator.figures_after_cut import Mark
from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Given
from norvash.core.sheet.stages.catalogue import FIELD_BY_ID, FIELDS
from norvash.store import entries
from norvash.store.database import Connection

# What changes the figures in force, and so the forecast: the fields, and the marks that they leave.
_MARKING = tuple(f for f in FIELDS if f.marks)


def marks_of(conn: Connection, motor_id: str) -> tuple[Mark, ...]:
    """Return a motor's recorded cuts and the settings of its holders after them, in order."""
    kept = entries.list_kept(conn, motor_id, tuple(f.id for f in _MARKING))
    return tuple(mark_of(FIELD_BY_ID[field_id], number, given) for field_id, number, given in kept)


def mark_of(field: Field, number: int, given: Given) -> Mark:
    """Return what an entry on a sheet says of the copper: a cut, or that the holders are set."""
    return Mark(field.marks, given.at.date(), number, given.number, given.cut.sunk_radial_mm if given.cut else 0.0)
