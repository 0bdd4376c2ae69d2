"""Import a table of notes of many motors, and take back what was entered together."""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, field
from datetime import datetime

from norvash.core.motor.notes import Note
from norvash.core.text.texts import compared
from norvash.errors import InputError, NotFound
from norvash.store.file.database import Connection
from norvash.store.record import motors, notes, standings, use
from norvash.store.record.append import append
from norvash.work.act.acting import Act, Change, once, prepared
from norvash.work.notes.desk import RIGHT, Fault, Laid
from norvash.work.notes.noting import lay
from norvash.work.reading.context import Context
from norvash.work.reading.ground import settle
from norvash.work.reading.loading import load
from norvash.work.reading.standing import foresee, keep, refresh_all

_REFRESH_AT_ONCE = 40
_TELL_EVERY = 20
Told = Callable[[float], None]


@dataclass(frozen=True, slots=True)
class Table:
    """Notes of many motors as a table has them, by the motor as it is written there, and lines that cannot be read."""

    by_motor: Mapping[str, Sequence[Note]]
    faults: Sequence[Fault]
    digest: str


@dataclass(slots=True)
class Found:
    """What a table of notes would add, or has added; then `batch` is its id."""

    batch: str = ""
    laid: list[Laid] = field(default_factory=list)
    faults: list[Fault] = field(default_factory=list)

    @property
    def doubts(self) -> list[Fault]:
        """Return the doubtful lengths, in order of their lines."""
        return sorted((d for x in self.laid for d in x.doubts), key=lambda f: f.line)

    @property
    def there(self) -> int:
        """Return how many rounds are in the record already."""
        return sum(x.there for x in self.laid)

    def count(self, what: str) -> int:
        """Return how many uses, sets or rounds there are."""
        return sum(len(getattr(x, what)) for x in self.laid)


def look_through(
    conn: Connection, table: Table, now: datetime, *, act_id: str, answer: str = "", tell: Told = lambda _: None
) -> Found:
    """Judge a table of notes, motor by motor; nothing is written, and `tell` hears the share done."""
    found, first = Found(faults=list(table.faults)), 1
    by_motor = _by_motor(conn, table, found)
    for done, (motor_id, given) in enumerate(by_motor.items(), 1):
        laid = lay(conn, load(conn, motor_id), given, now, act_id=act_id, answer=answer, first=first)
        first += len(laid.said) + 1
        found.laid.append(laid)
        found.faults += laid.faults
        if done % _TELL_EVERY == 0:
            tell(done / len(by_motor))
    found.faults.sort(key=lambda f: f.line)
    return found


def _by_motor(conn: Connection, table: Table, found: Found) -> dict[str, list[Note]]:
    """Return notes by their motor's id; of a motor that is not there every line is a fault."""
    names, made = motors.names(conn), dict[str, list[Note]]()
    for tag, given in table.by_motor.items():
        motor_id = names.get(compared(tag))
        if motor_id is None:
            unknown = InputError(f"There is no motor “{tag[:40]}”.", "Add it first, or correct the tag.", "motor")
            found.faults += [Fault(n.line, unknown) for n in given]
        else:
            made.setdefault(motor_id, []).extend(given)
    return made


def import_notes(
    conn: Connection, act: Act, table: Table, *, answer: str = "", file_id: str = "", tell: Told = lambda _: None
) -> Found:
    """Keep all good lines of a table of notes in one transaction; its motors are judged anew.

    Doubtful lengths are kept where they were said to be right; else their lines are left out. Raises: InputError where
    nothing new is in it, or where the same table stands already.
    """
    kept = Found()

    def body(act: Act) -> Change:
        nonlocal kept
        if notes.is_known(conn, table.digest):
            raise InputError("This table was imported already.", "Take that import back first, or give another table.")
        kept = look_through(conn, table, act.at, act_id=act.id, answer=answer, tell=lambda s: tell(s * 0.7))
        if answer != RIGHT and kept.doubts:
            kept = _without(conn, table, kept, act)
        if not any(kept.count(w) for w in ("uses", "sets", "rounds")):
            raise InputError("There is nothing new in this table.", "Every good line of it is in the record already.")
        notes.add_batch(conn, act.id, None, "table", table.digest)
        new = [laid for laid in kept.laid if laid.said]
        for laid in new:
            append(conn, laid.begun.record, *laid.said, act_id=act.id, at=act.at)
        touched = [laid.context.motor.id for laid in new]
        tell(0.9)
        judged_anew(conn, touched, act)
        if file_id:
            use.drop_file(conn, file_id)
        kept.batch = act.id
        after = {w: kept.count(w) for w in ("rounds", "sets", "uses")}
        return Change(act.id, {}, {**after, "motors": len(touched), "faulty": len(kept.faults)})

    once(conn, act, "import notes", typed={"table": table.digest, "answer": answer}, body=body)
    tell(1.0)
    return kept


def _without(conn: Connection, table: Table, found: Found, act: Act) -> Found:
    """Return what a table adds without its doubtful lines, which are faults then."""
    doubted = {d.line: d for d in found.doubts}
    fewer = {t: [n for n in given if n.line not in doubted] for t, given in table.by_motor.items()}
    left = Table(fewer, [*table.faults, *doubted.values()], table.digest)
    return look_through(conn, left, act.at, act_id=act.id)


def judged_anew(conn: Connection, motor_ids: Sequence[str], act: Act) -> None:
    """Judge motors anew, many of them in the background; the caller holds the transaction."""
    if len(motor_ids) <= _REFRESH_AT_ONCE:
        refresh_all(conn, motor_ids, act.at.date())
    else:
        standings.mark_stale(conn, motor_ids)


@dataclass(frozen=True)
class _Struck:
    """The motors of notes that are taken back, and whether they were taken back already."""

    batch: notes.Batch
    touched: tuple[str, ...]

    def stands(self, conn: Connection) -> bool:
        """Tell whether they still stand."""
        return notes.fetch_batch(conn, self.batch.id).struck == self.batch.struck


def take_back_notes(conn: Connection, act: Act, batch_id: str) -> str:
    """Take back what was entered together: it stays in the record, counts for nothing, and all is judged anew.

    What was signed meanwhile stays as it was said. Return the motor's id, empty for a table of several.
    Raises: NotFound, InputError where something measured since rests on it, NeedsAnswer where that would end or soften
    what was found.
    """

    def prepare() -> _Struck:
        batch = notes.fetch_batch(conn, batch_id)
        if batch.struck:
            raise NotFound("These notes were taken back already.", "Look at the notes as they are now.")
        touched = tuple(notes.motors_of(conn, batch_id))
        for motor_id in touched:
            _may_go(load(conn, motor_id), batch_id)
        return _Struck(batch, touched)

    def body(act: Act, made: _Struck) -> Change:
        few = made.touched if len(made.touched) <= _REFRESH_AT_ONCE else ()
        before = [load(conn, motor_id) for motor_id in few]
        notes.strike_batch(conn, batch_id, act.id)
        judged = foresee(conn, [load(conn, motor_id) for motor_id in few], act.at.date())
        settled = settle(conn, act, [(b, j.context) for b, j in zip(before, judged, strict=True)])
        for one in judged:
            keep(conn, one, why=settled.why)
        if not few:
            standings.mark_stale(conn, made.touched)
        only = made.touched[0] if len(made.touched) == 1 else None
        return Change(only or "", {"notes of": made.batch.at.date().isoformat()}, settled.explained, only)

    return prepared(conn, act, "take back notes", typed={"notes": batch_id}, prepare=prepare, body=body)


def _may_go(context: Context, batch_id: str) -> None:
    """Refuse to take back a set on which a round stands that was entered otherwise."""
    for brush_set in context.sets:
        if brush_set.id.startswith(f"{batch_id}.") and any(
            not r.id.startswith(f"{batch_id}.") for r in brush_set.rounds
        ):
            raise InputError(
                f"Rounds that were entered later belong to {brush_set.words}.", "Take those back first.", "notes"
            )
