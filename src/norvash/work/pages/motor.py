"""All that a motor's page shows."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date

from norvash.core.record.record import SheetRow
from norvash.core.sheet.life import Life
from norvash.core.sheet.sheet import Sheet
from norvash.core.state.findings import Findings
from norvash.core.verdict.sentence import Verdict
from norvash.core.visit.visit import Visit
from norvash.store.file.database import Connection
from norvash.store.record import rounds, sheets
from norvash.store.record.rounds import ReadingRow
from norvash.store.record.stood import list_moves
from norvash.work.motors.confirming import RestsOn, rests_on
from norvash.work.pages.record import Sheets, lines_of, sheets_of
from norvash.work.reading.context import Context
from norvash.work.reading.history import HistoryLine
from norvash.work.reading.loading import load
from norvash.work.reading.ran_where import ran_where, where_words
from norvash.work.reading.sheet_state import put_together
from norvash.work.reading.standing import judge

_SHEETS = 8


@dataclass(frozen=True, slots=True, kw_only=True)
class MotorPage:
    """A motor, judged now, with its sheets, what stands on it between visits, its history, and the `visit`
    of the newest `whole` sheet, on which its parts were looked at; `ran_where` says of each set where it ran, where its
    motor was moved.
    """

    context: Context
    today: date
    found: Findings
    said: Verdict
    open_sheet: SheetRow | None
    sheets: tuple[SheetRow, ...]
    sheets_below: int | None
    standing: tuple[Life, ...]
    history: tuple[HistoryLine, ...]
    history_below: int | None
    answered: list[ReadingRow]
    rests: tuple[RestsOn, ...]
    visit: Visit | None
    whole: SheetRow | None
    ran_where: Mapping[str, str]


def motor_page(conn: Connection, motor_id: str, today: date) -> MotorPage:
    """Return all that a motor's page shows.

    Raises: NotFound.
    """
    made = judge(load(conn, motor_id), today)
    context, found = made.context, made.found
    left_open = context.row if context.row is not None and context.row.signed_at is None else None
    listed, told = sheets_of(conn, motor_id, most=_SHEETS), lines_of(conn, motor_id, context.unit)
    whole = next((s for s in listed.sheets if s.kind == "full"), None) or _whole_before(conn, motor_id, listed)
    moves = list_moves(conn, motor_id)
    return MotorPage(
        context=context,
        ran_where={s.id: where_words(ran_where(s, context.state, moves), context.unit) for s in context.sets},
        today=today,
        found=found,
        said=made.said,
        open_sheet=left_open,
        sheets=listed.sheets,
        sheets_below=listed.below,
        standing=tuple(x for x in found.lives if x.stands) if left_open is None else (),
        history=told.lines,
        history_below=told.below,
        answered=rounds.list_answered(conn, motor_id),
        rests=rests_on(conn, made),
        visit=None if whole is None else context.visit(_sheet_of(conn, context, whole), found),
        whole=whole,
    )


def _whole_before(conn: Connection, motor_id: str, listed: Sheets) -> SheetRow | None:
    """Return the newest whole sheet of a motor before those that are listed, None without one."""
    return None if listed.below is None else sheets.newest_sheet_of(conn, motor_id, kind="full")


def _sheet_of(conn: Connection, context: Context, row: SheetRow) -> Sheet:
    """Return what stands on a sheet of a motor."""
    own = context.sheet if context.row is not None and context.row.id == row.id else None
    return own or put_together(conn, row, context.facts)
