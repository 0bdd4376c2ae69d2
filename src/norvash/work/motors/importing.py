"""Import readings of use: every line judged as if it were typed, all or nothing, the same file twice changes
nothing.
"""

from bisect import insort
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field, replace
from datetime import date, datetime, time

from norvash.core.text.texts import compared
from norvash.core.use.counting import Counted, read_counter, read_increment
from norvash.core.use.log_entry import Entry
from norvash.errors import Conflict, InputError, NeedsAnswer, NorvashError
from norvash.store.file.database import Connection
from norvash.store.record import motors, standings, use
from norvash.work.act.acting import Act, Change, once
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.standing import refresh_all

_MOST_FAULTS = 200
_REFRESH_AT_ONCE = 40
_TELL_EVERY = 1000
_NOON = time(12)


@dataclass(frozen=True, slots=True)
class Line:
    """One line of a file: its number, the motor as written, the moment, the value and how it was typed."""

    line: int
    motor: str
    at: datetime
    value: float
    typed: str


@dataclass(frozen=True, slots=True)
class Faulty:
    """A line that cannot be kept: its number, the column, what is wrong and what to do."""

    line: int
    column: str
    problem: str
    remedy: str


@dataclass(frozen=True, slots=True)
class New:
    """An entry to be kept."""

    motor_id: str
    at: datetime
    counted: Counted
    typed: str


@dataclass(slots=True)
class JudgedLine:
    """What a file would do: new entries, lines already there, and faulty lines (the first 200 kept)."""

    new: list[New] = field(default_factory=list)
    there: int = 0
    faulty: int = 0
    faults: list[Faulty] = field(default_factory=list)
    motors: int = 0

    def fault(self, line: int, column: str, error: NorvashError) -> None:
        """Count a faulty line."""
        self.faulty += 1
        if len(self.faults) < _MOST_FAULTS:
            self.faults.append(Faulty(line, column, error.problem, error.remedy))


Told = Callable[[float], None]


def judge(
    conn: Connection,
    lines: Sequence[Line],
    faults: Sequence[Faulty],
    *,
    mode: str,
    now: datetime,
    tell: Told = lambda _: None,
) -> JudgedLine:
    """Judge every line against its motor's log and against the lines before it; `tell` hears the share done."""
    made = JudgedLine(faulty=len(faults), faults=list(faults[:_MOST_FAULTS]))
    by_motor: dict[str, list[Line]] = {}
    names = motors.names(conn)
    for line in lines:
        motor_id = names.get(compared(line.motor))
        if motor_id is None:
            made.fault(
                line.line,
                "motor",
                InputError(f"There is no motor “{line.motor[:40]}”.", "Add it first, or correct the tag."),
            )
        else:
            by_motor.setdefault(motor_id, []).append(line)
    done = 0
    for motor_id, own in by_motor.items():
        before = len(made.new)
        for count in _judge_motor(conn, motor_id, own, mode=mode, now=now, made=made):
            tell((done + count) / max(len(lines), 1))
        done += len(own)
        made.motors += len(made.new) > before
    made.faults.sort(key=lambda f: f.line)
    return made


def _judge_motor(
    conn: Connection, motor_id: str, lines: Sequence[Line], *, mode: str, now: datetime, made: JudgedLine
) -> Iterator[int]:
    """Judge one motor's lines in order of time, yielding how many are done now and then."""
    context = load(conn, motor_id)
    rows = use.list_rows(conn, motor_id)
    entries = [r.entry for r in rows]
    counted_alike = mode == "counter"
    known = {(r.entry.at, r.entry.counter_units if counted_alike else r.typed) for r in rows}
    days: set[tuple[date, float | str]] = {(at.date(), what) for at, what in known}
    for count, given in enumerate(sorted(lines, key=lambda x: (x.at, x.line)), start=1):
        line, what = _by_now(given, now), given.value if counted_alike else given.typed
        if (given.at, what) in known or (given.at.time() == _NOON and (given.at.date(), what) in days):
            made.there += 1
        else:
            try:
                counted = _counted(context, entries, line, mode, now)
            except NeedsAnswer as error:
                asked = InputError(error.problem, "Log this one by hand and say which it is; then import the rest.")
                made.fault(line.line, "value", asked)
            except (InputError, Conflict) as error:
                made.fault(line.line, "day" if error.field == "day" else "value", error)
            else:
                known.add((given.at, what))
                insort(entries, counted.logged(line.at), key=lambda e: e.at)
                made.new.append(New(motor_id, line.at, counted, line.typed))
        if count % _TELL_EVERY == 0:
            yield count


def _by_now(line: Line, now: datetime) -> Line:
    """Return a line of today without a time as read just now, where its noon is still to come."""
    of_today = line.at > now and line.at == datetime.combine(now.date(), _NOON)
    return replace(line, at=now) if of_today else line


def _counted(context: Context, entries: list[Entry], line: Line, mode: str, now: datetime) -> Counted:
    if line.value < 0:
        raise InputError(f"“{line.typed}” is below 0.", "Give what was read.", "value")
    if mode == "increment":
        return read_increment(line.value, line.at, now, entries=entries, unit=context.unit, rules=context.rules)
    return read_counter(line.value, line.at, now, entries=entries, unit=context.unit, rules=context.rules)


def take(
    conn: Connection,
    act: Act,
    file_id: str,
    *,
    sha256: str,
    lines: Sequence[Line],
    faults: Sequence[Faulty],
    mode: str,
    tell: Told = lambda _: None,
) -> JudgedLine:
    """Keep all good lines of a file in one transaction; its motors are judged anew, many of them in the background.

    Raises: InputError when there is nothing new in it.
    """
    kept = JudgedLine()

    def body(act: Act) -> Change:
        nonlocal kept
        kept = judge(conn, lines, faults, mode=mode, now=act.at, tell=lambda share: tell(share * 0.8))
        if not kept.new:
            raise InputError("There is nothing new in this file.", "Every good line of it is already in the log.")
        use.add_entries(conn, act.id, [(n.motor_id, n.at, n.counted, n.typed) for n in kept.new])
        tell(0.9)
        touched = sorted({n.motor_id for n in kept.new})
        if len(touched) <= _REFRESH_AT_ONCE:
            refresh_all(conn, touched, act.at.date())
        else:
            standings.mark_stale(conn, touched)
        use.drop_file(conn, file_id)
        return Change(act.id, {}, {"lines": len(kept.new), "motors": len(touched), "faulty": kept.faulty})

    once(conn, act, "import hours", typed={"file": sha256, "mode": mode}, body=body)
    tell(1.0)
    return kept
