"""What earlier sheets of a motor measured on its windings."""

from norvash.core.judging.windings.measured import InsulationTest, insulation_tests
from norvash.core.stages.windings.insulation import INSULATION_C, INSULATION_MOHM
from norvash.store.file.database import Connection
from norvash.store.record import entries
from norvash.work.reading.sheet_now import SheetNow


def insulation_record(conn: Connection, shown: SheetNow) -> tuple[InsulationTest, ...]:
    """Return every test of insulation up to this sheet, the oldest first."""
    kept = entries.list_kept(conn, shown.row.motor_id, (INSULATION_MOHM.id, INSULATION_C.id))
    return insulation_tests(kept, shown.row.number, shown.context.rules)
