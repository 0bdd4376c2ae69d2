"""The hours book: many motors side by side, each with what its counter showed last."""

from collections.abc import Sequence
from dataclasses import dataclass

from norvash.core.use_log import Entry
from norvash.core.words import UNIT_WORDS
from norvash.store import use
from norvash.store.database import Connection
from norvash.work.context import load


@dataclass(frozen=True, slots=True)
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
    last = use.list_last(conn, motor_ids)
    made = []
    for motor_id in motor_ids:
        context = load(conn, motor_id)
        rate = context.state.rate
        made.append(BookRow(motor_id, context.motor.tag, context.motor.name, context.motor.place, last.get(motor_id),
                            rate.per_week if rate else None, UNIT_WORDS[context.unit]))  # fmt: skip
    return made
