"""What was measured at a visit as a table for a spreadsheet: one line a value and sight, with its band."""

from collections.abc import Iterable
from datetime import date

from norvash.core.sheet.kept_value import KeptValue
from norvash.exchange.sheets import write_sheet
from norvash.store.file.database import Connection
from norvash.work.reading.measured_table import values_of
from norvash.work.reading.sheet_now import sheet_now

COLUMNS = (
    *("stage", "id", "spot", "sight", "what", "said", "value", "unit", "low", "high", "basis", "standing", "grade"),
    *("words", "by", "at"),
)


def measured_csv(conn: Connection, sheet_id: str, today: date) -> bytes:
    """Return what was measured on a sheet as CSV: of a signed one as it was kept with its signature.

    Raises: NotFound.
    """
    return as_csv(values_of(conn, sheet_now(conn, sheet_id, today)))


def as_csv(values: Iterable[KeptValue]) -> bytes:
    """Return kept values as CSV."""
    lines = ([v.as_plain()[c] for c in COLUMNS] for v in values)
    return write_sheet([list(COLUMNS), *(["" if x is None else str(x) for x in line] for line in lines)])
