"""A motor's record, page by page: its sheets, and what was done, each line with its sheet."""

from dataclasses import dataclass, replace

from norvash.core.record.record import SheetRow
from norvash.store.file.database import Connection
from norvash.store.record import acts, sheets
from norvash.work.reading.history import HistoryLine, begins_amid, history

_ACTS, _MORE, _SHEETS = 80, 40, 40


@dataclass(frozen=True, slots=True)
class Lines:
    """Some lines of a record, the newest first, and below which place in the order of writing it goes on; None where
    nothing is earlier.
    """

    lines: tuple[HistoryLine, ...]
    below: int | None


@dataclass(frozen=True, slots=True)
class Sheets:
    """Some sheets, the newest first, and below which number there are more; None where there are not."""

    sheets: tuple[SheetRow, ...]
    below: int | None


def lines_of(conn: Connection, motor_id: str, unit: str, below: int | None = None) -> Lines:
    """Return the newest lines of a motor's record, of those below a place in the order of writing if one is given; a
    visit is never cut in two, and of one of hundreds of entries it is said how many more there were.
    """
    done, left_out = acts.list_record(conn, motor_id, _ACTS, below), 0
    if begins_amid(done):
        begun, left_out = acts.list_since_opened(conn, motor_id, done[-1].seq, _MORE)
        done += begun
    if len(done) < _ACTS:
        return Lines(history(done, unit), None)
    first = done[-1].seq
    lines = history(done, unit, acts.sheet_opened_before(conn, motor_id, first))
    if left_out:
        lines = (*lines[:-1], replace(lines[-1], words=f"{lines[-1].words}; and {left_out} more"))
    return Lines(lines, first if acts.list_record(conn, motor_id, 1, first) else None)


def sheets_of(conn: Connection, motor_id: str, below: int | None = None, most: int = _SHEETS) -> Sheets:
    """Return a motor's newest sheets, of those below a number if one is given."""
    found = sheets.list_sheets(conn, motor_id, most + 1, below)
    return Sheets(tuple(found[:most]), found[most - 1].number if len(found) > most else None)
