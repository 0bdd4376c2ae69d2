"""The hours book: many motors side by side, each with what its counter showed last."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.motor.figure_fields import UNIT_OF_USE
from norvash.core.text.words import UNIT_WORDS
from norvash.core.use.log_entry import Entry
from norvash.store.file.database import Connection
from norvash.store.record import motors, policies, use
from norvash.store.record.use import UseRow
from norvash.work.reading.context import rate_in_season
from norvash.work.reading.loading import figures_of, rules_of
from norvash.work.reading.rulebook import rulebook

_LATEST = 40


@dataclass(frozen=True, slots=True, kw_only=True)
class BookRow:
    """One motor in the book: its newest entry, its use in an active week, its unit in words."""

    motor_id: str
    tag: str
    name: str
    place: str
    last: Entry | None
    per_week: float | None
    unit_words: str


def book_rows(conn: Connection, motor_ids: Sequence[str]) -> list[BookRow]:
    """Return the rows of motors, in their order."""
    book, windows, made = rulebook(conn), policies.list_windows(conn), []
    for motor_id in motor_ids:
        motor = motors.fetch_motor(conn, motor_id)
        figures = figures_of(conn, motor)
        applied = rules_of(book, motor, figures)
        entries = use.list_entries(conn, motor_id)
        rate = rate_in_season(motor, figures, entries, windows, applied)
        made.append(
            BookRow(
                motor_id=motor_id,
                tag=motor.tag,
                name=motor.name,
                place=motor.place,
                last=entries[-1] if entries else None,
                per_week=rate.per_week if rate else None,
                unit_words=UNIT_WORDS[UNIT_OF_USE.of(figures)],
            )
        )
    return made


def latest_entries(conn: Connection, motor_id: str) -> list[UseRow]:
    """Return the end of a motor's log, newest first, what was taken back included."""
    return use.list_log(conn, motor_id, _LATEST)
