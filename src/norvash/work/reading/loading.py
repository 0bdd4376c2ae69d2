"""Read a motor whole, as it is in the record at one moment, or as it will be."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.in_force import figures_in_force
from norvash.core.record.record import Motor, Record, SheetRow
from norvash.core.record.stated import Registered
from norvash.core.rules.book import MotorRules, Rulebook
from norvash.core.running.ran import ran_min
from norvash.core.sheet.given import Given
from norvash.core.sheet.life import KeptLife
from norvash.core.sheet.moved import Moved
from norvash.core.sheet.sheet import Spot
from norvash.core.state.laid import sets_laid
from norvash.store.file.database import Connection, snapshot
from norvash.store.record import bedding, entries, lives, motors, moved, policies, sets, sheets, use
from norvash.store.record.stamps import Stamp, stamp_of
from norvash.work.act.remembered import told_of
from norvash.work.reading.context import Context
from norvash.work.reading.marks import marks_of
from norvash.work.reading.rulebook import rulebook
from norvash.work.reading.sheet_state import NOT_COMPARED, SinceWithdrawn, compared_with


def rules_of(book: Rulebook, motor: Motor, figures: Figures) -> MotorRules:
    """Return the rulebook as it applies to a motor with these figures."""
    return MotorRules(book, motor.motor_class, motor.type_id or "", motor.id, variant_of(motor.motor_class, figures))


def figures_of(conn: Connection, motor: Motor) -> Figures:
    """Return the figures that a motor, its type and its class state."""
    own, of_type = motors.list_figures(conn, motor)
    return figures_in_force(motor.motor_class, own, of_type)


def load(conn: Connection, motor_id: str, book: Rulebook | None = None) -> Context:
    """Return everything about a motor, all of it of one moment: as it was read last, where nothing has moved since.

    Raises: NotFound.
    """
    if book is not None or conn.in_transaction:  # what is not kept yet is not remembered
        with snapshot(conn):
            return _read(conn, motor_id, stamp_of(conn, motor_id), book or rulebook(conn))
    with snapshot(conn):
        stamp, known = stamp_of(conn, motor_id), conn.memory.get(motor_id)
        if isinstance(known, Context) and known.stamp == stamp:
            return known
        told = told_of(conn, motor_id, stamp)
        known = told if isinstance(told, Context) else None
        read = _read(conn, motor_id, stamp, rulebook(conn)) if known is None else _written_as(conn, known, stamp)
    conn.memory.put(motor_id, read)
    return read


def bedded_of(conn: Connection, motor_id: str) -> Mapping[str, float]:
    """Return how long faces of a motor were run in on each of its sheets, as far as the clock has stood still [h]."""
    return {sheet: (ran_min(t, t[-1][0]) or 0.0) / 60 for sheet, t in bedding.list_bedding(conn, motor_id).items()}


def _written_as(conn: Connection, told: Context, stamp: Stamp) -> Context:
    """Return a motor as its last job told it and wrote it: what the writing itself adds is read again."""
    motor, kind, ahead = motors.fetch_whole(conn, told.motor.id)
    beside = _beside(conn, motor)
    row, written = beside.row, beside.written
    return replace(
        told,
        stamp=stamp,
        record=replace(told.record, motor=motor, lives=beside.lives, row=row, written=written),
        type=kind,
        ahead=ahead,
        moved=beside.moved,
        since=beside.since,
        bedded=bedded_of(conn, told.motor.id),
        compared=NOT_COMPARED if row is None else compared_with(conn, row, written),
    )


@dataclass(frozen=True)
class _Beside:
    """What stands beside a motor's readings: the head of its newest sheet and what is written on it, its lives, changes
    that nobody has confirmed, and what was read since something was withdrawn.
    """

    row: SheetRow | None
    written: Mapping[Spot, Given]
    lives: tuple[KeptLife, ...]
    moved: tuple[Moved, ...]
    since: SinceWithdrawn | None


def _beside(conn: Connection, motor: Motor) -> _Beside:
    row = sheets.newest_sheet_of(conn, motor.id)
    written = entries.list_entries(conn, row.id) if row is not None else {}
    moves, kept = moved.list_unconfirmed(conn, motor), lives.list_standing(conn, motor.id)
    since = None
    moved_here = bool(moves) and row is not None and row.signed_at is None
    if row is not None and (moved_here or any(k.withdrawn is not None for k in kept)):
        newest = entries.list_newest(conn, motor.id)
        since = SinceWithdrawn(newest, tuple(entries.list_read_at(conn, row.id)))
    return _Beside(row, written, kept, moves, since)


def _read(conn: Connection, motor_id: str, stamp: Stamp, book: Rulebook) -> Context:
    motor, kind, ahead = motors.fetch_whole(conn, motor_id)
    own, of_type = motors.list_figures(conn, motor)
    stated = figures_in_force(motor.motor_class, own, of_type)
    applied = rules_of(book, motor, stated)
    beside = _beside(conn, motor)
    record = Record(
        motor=motor,
        stated=stated,
        positions=motors.positions(conn, motor_id),
        marks=marks_of(conn, motor_id),
        sets=sets_laid(sets.list_sets(conn, motor_id), stated),
        uses=use.list_entries(conn, motor_id),
        lives=beside.lives,
        row=beside.row,
        written=beside.written,
    )
    return Context(
        stamp=stamp,
        record=record,
        type=kind,
        windows=policies.list_windows(conn),
        policies=policies.list_policies(conn, motor_id, motor.type_id),
        ahead=ahead,
        rules=applied,
        of_type=of_type,
        moved=beside.moved,
        since=beside.since,
        bedded=bedded_of(conn, motor_id),
        compared=NOT_COMPARED if beside.row is None else compared_with(conn, beside.row, beside.written),
    )


def begin(conn: Connection, said: Registered) -> Context:
    """Return a motor as it is registered and not in the record yet; its use and its set are still to be said."""
    motor = said.motor
    with snapshot(conn):
        kind = motors.fetch_type(conn, motor.type_id) if motor.type_id else None
        return Context(
            stamp=stamp_of(conn, motor.id),
            record=Record(motor=motor, stated=said.stated, positions=said.positions, written={}),
            type=kind,
            windows=policies.list_windows(conn),
            policies=policies.list_policies(conn, motor.id, motor.type_id),
            ahead=None,
            rules=rules_of(rulebook(conn), motor, said.stated),
            of_type=motors.type_figures(conn, motor.type_id) if motor.type_id else {},
        )
