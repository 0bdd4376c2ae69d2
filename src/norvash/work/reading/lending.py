"""What earlier visits lend to the stacks of an open sheet: the motor's own last one, else one of its type."""

from collections.abc import Iterable, Mapping

from norvash.core.record.record import SheetRow
from norvash.core.sheet.given import Given
from norvash.core.sheet.records_of_parts import BackRecord, OffRecord
from norvash.core.sheet.sheet import Lent
from norvash.core.stages.record import HOW_FAR_OPEN
from norvash.core.stages.stacks import BACK, LENT_FIELDS, OFF
from norvash.core.visit.stacks import put_back_part
from norvash.store.file.database import Connection
from norvash.store.record import entries

_BEGUN = frozenset((*LENT_FIELDS, HOW_FAR_OPEN.id))


def lent_to(
    conn: Connection, row: SheetRow, written: Iterable[str], *, begun: bool = False
) -> Mapping[tuple[str, int], Lent]:
    """Return what is lent to an open sheet, by field and place: as its parts were when they were last closed; one that
    never went back is said to be out. What its type had is lent once something of a stack stands, or is `begun`.
    """
    if row.signed_at is not None or row.kind == "quick":
        return {}
    began = begun or not _BEGUN.isdisjoint(written)
    found = entries.list_lent(conn, row.motor_id, row.number, LENT_FIELDS, of_type=began)
    there = {(field, place): given for _, _, field, place, given in found if given.stands}
    made = {}
    for number, tag, field, place, given in found:
        by = f"{tag}, sheet {number}" if tag else f"sheet {number}"
        lent = _lent(field, place, given, there, by, of_type=bool(tag))
        if lent is not None:
            made[field, place] = lent
    return made


def _lent(
    field: str, place: int, given: Given, there: Mapping[tuple[str, int], Given], by: str, *, of_type: bool
) -> Lent | None:
    record = given.record
    if not isinstance(record, OffRecord) or not given.stands or not record.part.count:
        return None
    key = next(k for k, f in OFF.items() if f.id == field)
    back = there.get((BACK[key].id, place))
    went = back.record if back is not None and isinstance(back.record, BackRecord) and back.at >= given.at else None
    # What went back otherwise than it came off, and was not explained, is not right because it was signed so.
    right = went is not None and went.ends != "left" and put_back_part(record.part, went) == record.part
    return Lent(part=record.part, before=record.before, out=not right and not of_type, by=by)
