"""Read a motor whole, as it is in the record at one moment, or as it will be."""

from dataclasses import replace

from norvash.core.brush.gauged import sets_laid
from norvash.core.motor.figure_reading import variant_of
from norvash.core.motor.figures import Figures
from norvash.core.motor.in_force import figures_in_force
from norvash.core.motor.positions import PositionPlan
from norvash.core.rules.book import MotorRules, Rulebook
from norvash.core.use.log_entry import Entry
from norvash.store import entries, lives, motors, moved, policies, sets, sheets, use
from norvash.store.database import Connection, snapshot
from norvash.store.motors import Motor
from norvash.store.stamps import Stamp, stamp_of
from norvash.work.context import Context
from norvash.work.marks import marks_of
from norvash.work.rulebook import rulebook
from norvash.work.sheet_state import SinceWithdrawn, put_together

_REMEMBERED = 32


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
        read = _read(conn, motor_id, stamp, rulebook(conn))
    conn.memory[motor_id] = read
    while len(conn.memory) > _REMEMBERED:
        conn.memory.popitem(last=False)
    return read


def _read(conn: Connection, motor_id: str, stamp: Stamp, book: Rulebook) -> Context:
    motor, kind, ahead = motors.fetch_whole(conn, motor_id)
    own, of_type = motors.list_figures(conn, motor)
    stated = figures_in_force(motor.motor_class, own, of_type)
    applied = rules_of(book, motor, stated)
    row = sheets.newest_sheet_of(conn, motor_id)
    written = entries.list_entries(conn, row.id) if row is not None else {}
    moves, kept = moved.list_unconfirmed(conn, motor), lives.list_standing(conn, motor_id)
    since = None
    if row is not None and (moves or any(k.withdrawn is not None for k in kept)):
        newest = entries.list_newest(conn, motor_id)
        since = SinceWithdrawn(newest, tuple(entries.list_read_at(conn, row.id)))
    read = Context(
        stamp=stamp,
        motor=motor,
        type=kind,
        stated=stated,
        marks=marks_of(conn, motor_id),
        positions=motors.positions(conn, motor_id),
        sets=sets_laid(sets.list_sets(conn, motor_id), stated),
        entries=use.list_entries(conn, motor_id),
        windows=policies.list_windows(conn),
        policies=policies.list_policies(conn, motor_id, motor.type_id),
        ahead=ahead,
        lives=kept,
        row=row,
        written=written,
        sheet=None,
        rules=applied,
        of_type=of_type,
        moved=moves,
        since=since,
    )
    return read if row is None else replace(read, sheet=put_together(conn, row, read.facts, written))


def begin(
    conn: Connection, motor: Motor, stated: Figures, *, positions: tuple[PositionPlan, ...], entry: Entry
) -> Context:
    """Return a motor that is not in the record yet, with the use it begins with; its set is still to be said."""
    with snapshot(conn):
        kind = motors.fetch_type(conn, motor.type_id) if motor.type_id else None
        applied = rules_of(rulebook(conn), motor, stated)
        return Context(
            stamp=stamp_of(conn, motor.id),
            motor=motor,
            type=kind,
            stated=stated,
            marks=(),
            positions=positions,
            sets=(),
            entries=(entry,),
            windows=policies.list_windows(conn),
            policies=policies.list_policies(conn, motor.id, motor.type_id),
            ahead=None,
            lives=(),
            row=None,
            written={},
            sheet=None,
            rules=applied,
            of_type=motors.type_figures(conn, motor.type_id) if motor.type_id else {},
        )
