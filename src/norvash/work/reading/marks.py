"""What entries on sheets say of a motor for good: cuts, holders set after them, protection against shock."""

from norvash.core.commutator.figures_after_cut import Mark
from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Given
from norvash.core.stages.catalogue import FIELD_BY_ID, FIELDS
from norvash.store.file.database import Connection
from norvash.store.record import entries

# What changes the figures in force, and so the forecast: the fields, and the marks that they leave.
_MARKING = tuple(f for f in FIELDS if f.marks)


def marks_of(conn: Connection, motor_id: str) -> tuple[Mark, ...]:
    """Return what the sheets of a motor say of it for good, in order."""
    kept = entries.list_kept(conn, motor_id, tuple(f.id for f in _MARKING))
    return tuple(mark_of(FIELD_BY_ID[field_id], number, given) for field_id, number, given in kept)


def mark_of(field: Field, number: int, given: Given) -> Mark:
    """Return what an entry on a sheet says for good: a cut, that the holders are set, how it protects against shock."""
    return Mark(
        kind=field.marks,
        day=given.at.date(),
        sheet=number,
        diameter_mm=given.number,
        sunk_mm=given.cut.sunk_radial_mm if given.cut else 0.0,
        word=given.word,
    )
