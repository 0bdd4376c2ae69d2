"""What people have said of a motor, kept: each kind of entry as its rows."""

from dataclasses import dataclass, replace
from datetime import datetime
from functools import singledispatch

from norvash.core.record.brushes import BrushRead, BrushSeen, DoubtAnswered
from norvash.core.record.record import Record, Retired
from norvash.core.record.said import Said, apply
from norvash.core.record.sets import BrushesRenewed, NotesBegun, RoundNoted, SetFitted, SetNoted, SinceSaid
from norvash.core.record.sheet import Entered, KindChanged, Opened, SightSaid, Signed, TakenBack
from norvash.core.record.stated import BackInUse, Called, Confirmed, FiguresStated, Registered
from norvash.core.record.used import UseLogged, UseStruck
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.round import Round
from norvash.store.file.database import Connection
from norvash.store.record import (
    entries,
    lives,
    measured,
    motors,
    moved,
    notes,
    retired,
    rounds,
    seen,
    sets,
    sheets,
    use,
)
from norvash.store.record.restated import restate, restate_figures, restate_fitting, restate_retired


@dataclass(frozen=True, slots=True)
class By:
    """The act that says it, its time, and the record as it was before."""

    act_id: str
    at: datetime
    record: Record

    @property
    def motor_id(self) -> str:
        """Return the motor of which it is said."""
        return self.record.motor.id


def append(conn: Connection, record: Record, *said: Said, act_id: str, at: datetime) -> None:
    """Keep entries, one after the other, on the record as it was before; the caller holds the transaction."""
    for each in said:
        kept(each, conn, By(act_id, at, record))
        record = apply(record, each)


@singledispatch
def kept(said: Said, _conn: Connection, _by: By) -> None:
    """Keep one entry as its rows; each kind says how, here or beside the statements of its own table."""
    raise TypeError(f"nothing is known of how {type(said).__name__} is kept")


@kept.register
def _registered(said: Registered, conn: Connection, by: By) -> None:
    motors.add_motor(conn, said.motor, by.act_id)
    motors.add_positions(conn, said.motor.id, said.positions)
    motors.change_motor_figures(conn, said.motor.id, said.stated.own)
    restate_figures(conn, said.motor.id, said.stated, said.positions, by.act_id)


@kept.register
def _used(said: UseLogged, conn: Connection, by: By) -> None:
    use.add_entry(conn, by.motor_id, said, by.act_id)


@kept.register
def _struck(said: UseStruck, conn: Connection, by: By) -> None:
    use.strike_entry(conn, said.id, by.act_id)


@kept.register
def _stated(said: FiguresStated, conn: Connection, by: By) -> None:
    motors.change_motor_figures(conn, by.motor_id, said.stated.own)
    motors.change_positions(conn, by.motor_id, said.positions)
    motors.change_motor(conn, by.record.motor)
    restate_figures(conn, by.motor_id, said.stated, said.positions, by.act_id)


@kept.register
def _called(said: Called, conn: Connection, by: By) -> None:
    motors.change_motor(conn, replace(by.record.motor, name=said.name, place=said.place))


@kept.register
def _since(said: SinceSaid, conn: Connection, by: By) -> None:
    if by.record.sets:
        _refitted(conn, said.brush_set, by)
        notes.strike_statement(conn, said.brush_set.id, by.act_id)
    else:
        _set(conn, said.brush_set, by)
    if said.first:
        _round(conn, said.brush_set.rounds[0], said.brush_set, by)
        _all_read(said.first, conn, by)
    if said.logged is not None:
        _used(said.logged, conn, by)


def _set(conn: Connection, fitted: BrushSet, by: By) -> None:
    sets.add_set(conn, by.motor_id, fitted, by.act_id)
    restate_fitting(conn, by.motor_id, fitted, by.act_id)


def _refitted(conn: Connection, fitted: BrushSet, by: By) -> None:
    sets.change_fitting(conn, fitted)
    restate_fitting(conn, by.motor_id, fitted, by.act_id)


@kept.register
def _notes(said: NotesBegun, conn: Connection, by: By) -> None:
    notes.add_batch(conn, by.act_id, by.motor_id, said.source, said.digest)


@kept.register
def _set_noted(said: SetNoted, conn: Connection, by: By) -> None:
    _set(conn, said.brush_set, by)


@kept.register
def _round_noted(said: RoundNoted, conn: Connection, by: By) -> None:
    before = next(s for s in by.record.sets if s.id == said.of_set.id)
    if before.fitted_at != said.of_set.fitted_at:
        _refitted(conn, said.of_set, by)
    _round(conn, said.noted, said.of_set, by)
    _all_read(said.read, conn, by)


def _round(conn: Connection, a_round: Round, of_set: BrushSet, by: By) -> None:
    rounds.add_round(conn, by.motor_id, a_round, of_set.id, at=by.at, act_id=by.act_id)


def _all_read(said: tuple[BrushRead, ...], conn: Connection, by: By) -> None:
    for each in said:
        _read(each, conn, by)


@kept.register
def _opened(said: Opened, conn: Connection, by: By) -> None:
    sheets.add_sheet(conn, said.row, by.act_id)
    opened = apply(by.record, said).sets[-1]
    _round(conn, opened.rounds[-1], opened, by)


@kept.register
def _kind(said: KindChanged, conn: Connection, by: By) -> None:
    if by.record.row is not None:
        sheets.change_kind(conn, by.record.row.id, said.kind)
        restate(conn, by.motor_id, "kind", of_id=by.record.row.id, said=said.kind, act_id=by.act_id)


@kept.register
def _read(said: BrushRead, conn: Connection, by: By) -> None:
    rounds.add_reading(conn, said, by.act_id)


@kept.register
def _seen(said: BrushSeen, conn: Connection, by: By) -> None:
    if said.gone:
        seen.strike_finding(conn, said, by.act_id)
    else:
        seen.add_finding(conn, said, by.act_id)


@kept.register
def _entered(said: Entered, conn: Connection, by: By) -> None:
    if said.given is not None:
        entries.add_entry(conn, said.sheet_id, said.spot, said.given, by.act_id)


@kept.register
def _taken_back(said: TakenBack, conn: Connection, by: By) -> None:
    if isinstance(said.then, BrushSeen):
        _seen(said.then, conn, by)
    else:
        entries.take_back(conn, said.id, reading=not isinstance(said.then, Entered))


@kept.register
def _sight(said: SightSaid, conn: Connection, by: By) -> None:
    reading = bool(said.round_id)
    restate(conn, by.motor_id, "sight", of_id=said.id, said=said.sight, act_id=by.act_id)
    if said.sight == "asked":
        entries.let_go(conn, said.id, reading=reading)
    elif reading:
        rounds.move_reading(conn, said.id, said.round_id, said.sight)
    else:
        entries.move_entry(conn, said.id, said.sight)


@kept.register
def _answered(said: DoubtAnswered, conn: Connection, by: By) -> None:
    if said.answer == "mistyped":
        entries.let_go(conn, said.id, reading=True)
    else:
        rounds.answer_doubt(conn, said.id, said.answer)
        restate(conn, by.motor_id, "doubt", of_id=said.id, said=said.answer, act_id=by.act_id)


@kept.register
def _fitted(said: SetFitted, conn: Connection, by: By) -> None:
    for a_round in (r for r in by.record.sets[-1].rounds if not r.finished):
        rounds.finish_round(conn, a_round.id, by.at)
    sets.end_set(conn, said.ended)
    _set(conn, said.fitted, by)
    for a_round in said.fitted.rounds:
        _round(conn, a_round, said.fitted, by)
    _all_read(said.read, conn, by)
    lives.keep_lives(conn, by.record.lives, apply(by.record, said).lives, by.act_id)


@kept.register
def _renewed(said: BrushesRenewed, conn: Connection, by: By) -> None:
    for renewal in said.renewals:
        sets.add_renewal(conn, by.record.sets[-1].id, said.at, renewal, by.act_id)
    lives.keep_lives(conn, by.record.lives, apply(by.record, said).lives, by.act_id)


@kept.register
def _confirmed(said: Confirmed, conn: Connection, by: By) -> None:
    if said.source:
        moved.name_source(conn, said.moved_id, said.source)
    else:
        moved.confirm(conn, said.moved_id, by.act_id)


@kept.register
def _signed(said: Signed, conn: Connection, by: By) -> None:
    for a_round in (r for s in by.record.sets for r in s.rounds if r.sheet_id == said.row.id):
        rounds.finish_round(conn, a_round.id, by.at)
    lives.sign_lives(conn, said.row.id, said.found, by.act_id)
    sheets.sign_sheet(conn, said.row)
    measured.keep_measured(conn, said.row.id, said.measured)
    if said.retired is not None:
        _retired(conn, said.retired, by)


@kept.register
def _in_use(_said: BackInUse, conn: Connection, by: By) -> None:
    _retired(conn, None, by)


def _retired(conn: Connection, gone: Retired | None, by: By) -> None:
    retired.retire(conn, by.motor_id, gone)
    restate_retired(conn, by.motor_id, gone, by.act_id)
