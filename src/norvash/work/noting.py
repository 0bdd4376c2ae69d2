"""Enter notes of the past of one motor: rounds, sets that are gone, readings of use."""

import json
from collections.abc import Iterable, Sequence
from dataclasses import asdict, dataclass
from datetime import datetime
from hashlib import sha256

from norvash.core.motor.notes import Note, NotedSet, NotedUse
from norvash.errors import InputError, NorvashError, SeveralErrors
from norvash.store import notes, sets, use
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.context import Context, Prepared
from norvash.work.loading import load
from norvash.work.notes_desk import Desk, Fault, Laid
from norvash.work.notes_rounds import lay_round
from norvash.work.notes_sets import lay_set
from norvash.work.standing import Judged, foresee, keep

SOURCES = ("form", "grid", "table")


def lay(
    context: Context, given: Iterable[Note], now: datetime, *, act_id: str, answer: str = "", first: int = 1
) -> Laid:
    """Return what notes would add to a motor: readings of use first, then sets, then rounds, each in order of time.

    A note that cannot be is a fault at its line, one that is in the record already is left out. `answer` says what
    happened to a counter, or that doubtful lengths are right; ids count from `first`. Nothing is written.
    """
    desk = Desk(Laid(context=context), now, act_id, answer, first)
    for at, note in _in_time(desk, given):
        before = desk.made.kept()
        try:
            if isinstance(note, NotedUse):
                desk.use(at, note.counter, "counter")
            elif isinstance(note, NotedSet):
                lay_set(desk, at, note)
            else:
                lay_round(desk, at, note)
        except NorvashError as error:
            desk.made.go_back(before)
            desk.made.faults.append(Fault(note.line, error))
    desk.made.faults.sort(key=lambda f: f.line)
    return desk.made


def _in_time(desk: Desk, given: Iterable[Note]) -> list[tuple[datetime, Note]]:
    """Return notes with their moments: uses, then sets, then rounds; one whose day cannot be read is a fault."""
    dated: list[tuple[datetime, Note]] = []
    for note in given:
        try:
            dated.append((desk.moment(note), note))
        except NorvashError as error:
            desk.made.faults.append(Fault(note.line, error))
    order = (NotedUse, NotedSet)
    return sorted(dated, key=lambda x: (order.index(type(x[1])) if type(x[1]) in order else len(order), x[0]))


@dataclass(frozen=True)
class _Noted(Prepared):
    """Notes as they are laid, and their motor judged with them."""

    laid: Laid
    judged: Judged


def enter_notes(
    conn: Connection, act: Act, motor_id: str, given: Sequence[Note], *, source: str = "form", answer: str = ""
) -> str:
    """Keep notes of one motor, all or none, and judge it anew; return the id of what was entered together.

    Raises: InputError or SeveralErrors, each at `FIELD.LINE`; NeedsAnswer about a counter or a doubtful length.
    """
    typed = {"motor": motor_id, "notes": [_plain(n) for n in given], "source": source}
    typed |= {"answer": answer} if answer else {}

    def prepare() -> _Noted:
        now, context = in_order(conn, act), load(conn, motor_id)
        laid = lay(context, given, now.at, act_id=act.id, answer=answer)
        _raise_any(laid)
        if not (laid.uses or laid.sets or laid.rounds):
            raise InputError(
                "There is nothing new in these notes." if laid.there else "Nothing is entered.",
                "All of it is in the record already." if laid.there else "Give a day with what was read on it.",
                "day.1",
            )
        return _Noted(context, laid, foresee(conn, [laid.context], now.at.date())[0])

    def body(act: Act, made: _Noted) -> Change:
        digest = sha256(json.dumps(typed, sort_keys=True).encode()).hexdigest()
        notes.add_batch(conn, act.id, motor_id, source if source in SOURCES else "form", digest)
        write(conn, act, made.laid)
        keep(conn, made.judged)
        return Change(act.id, {}, {"noted": _told(made.laid)}, motor_id)

    return prepared(conn, act, "enter notes", typed=typed, prepare=prepare, body=body)


def _plain(note: Note) -> dict[str, object]:
    return {"kind": type(note).__name__, **{k: v for k, v in asdict(note).items() if v}}


def _raise_any(laid: Laid) -> None:
    """Raise what is wrong with notes, each at its field and line; then what is to be asked."""
    asked = [f for f in laid.faults if hasattr(f.error, "choices")]
    wrong = [f.error.at(f"{f.error.field or 'day'}.{f.line}") for f in laid.faults if f not in asked]
    if wrong:
        raise wrong[0] if len(wrong) == 1 else SeveralErrors(wrong)
    for fault in (*asked, *laid.doubts):
        raise fault.error.at(f"{fault.error.field}.{fault.line}")


def _told(laid: Laid) -> dict[str, object]:
    """Return what notes added, as the record tells it."""
    days = sorted({r.made.at.date() for r in laid.rounds} | {s.ended_at.date() for s in laid.sets if s.ended_at})
    days = sorted({*days, *(u.at.date() for u in laid.uses)})
    return {
        "rounds": len(laid.rounds),
        "sets": len(laid.sets),
        "uses": len(laid.uses),
        "first": days[0].isoformat() if days else "",
        "last": days[-1].isoformat() if days else "",
    }


def write(conn: Connection, act: Act, laid: Laid) -> None:
    """Keep what was laid of one motor; the caller holds the transaction."""
    motor_id = laid.context.motor.id
    for laid_use in laid.uses:
        use.add_entry(
            conn,
            f"{act.id}.{laid_use.number}",
            motor_id,
            at=laid_use.at,
            counted=laid_use.counted,
            typed=laid_use.typed,
            act_id=act.id,
            noted=True,
        )
    number = min(sets.least_number(conn, motor_id), 1)
    for made in laid.sets:
        number -= 1
        sets.add_set(conn, motor_id, made.numbered(number), act.id)
    if laid.refitted is not None:
        sets.change_fitting(conn, laid.refitted)
    for laid_round in laid.rounds:
        a_round = laid_round.made
        notes.add_noted_round(
            conn,
            a_round.id,
            motor_id,
            set_id=laid_round.set_id,
            kind=a_round.kind,
            at=a_round.at,
            units=a_round.total_units,
            by=a_round.by,
            shortest=a_round.shortest,
            now=act.at,
            act_id=act.id,
        )
        for position, one in laid_round.readings.items():
            notes.add_noted_reading(
                conn,
                f"{a_round.id}.{position}",
                a_round.id,
                position=position,
                reading=one.reading,
                method=one.method,
                instrument=one.instrument,
                doubt=one.doubt.words if one.doubt else "",
                doubt_rule=one.doubt.rule_id if one.doubt else "",
                act_id=act.id,
            )
