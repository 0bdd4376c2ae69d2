"""Enter notes of the past of one motor: rounds, sets that are gone, readings of use."""

import json
from collections.abc import Iterable, Sequence
from dataclasses import asdict
from datetime import datetime
from hashlib import sha256

from norvash.core.motor.notes import Note, NotedSet, NotedUse
from norvash.core.record.sets import NotesBegun
from norvash.errors import InputError, NorvashError, SeveralErrors
from norvash.store.file.database import Connection
from norvash.store.record import sets
from norvash.work.act.acting import Act, Change
from norvash.work.notes.desk import Desk, Fault, Laid
from norvash.work.notes.rounds import lay_round
from norvash.work.notes.sets import lay_set
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

SOURCES = ("form", "grid", "table")


def lay(
    conn: Connection,
    context: Context,
    given: Iterable[Note],
    now: datetime,
    *,
    act_id: str,
    answer: str = "",
    first: int = 1,
) -> Laid:
    """Return what notes would add to a motor: readings of use first, then sets, then rounds, each in order of time.

    A note that cannot be is a fault at its line, one that is in the record already is left out. `answer` says what
    happened to a counter, or that doubtful lengths are right; ids count from `first`, sets downwards from
    the least number that one has. Nothing is written.
    """
    number = min(sets.least_number(conn, context.motor.id), 1) - 1
    desk = Desk(Laid(begun=context, context=context, number=number), now, act_id, answer, first)
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


def enter_notes(
    conn: Connection, act: Act, motor_id: str, given: Sequence[Note], *, source: str = "form", answer: str = ""
) -> str:
    """Keep notes of one motor, all or none, and judge it anew; return the id of what was entered together.

    Raises: InputError or SeveralErrors, each at `FIELD.LINE`; NeedsAnswer about a counter or a doubtful length.
    """
    typed = {"motor": motor_id, "notes": [_plain(n) for n in given], "source": source}
    typed |= {"answer": answer} if answer else {}

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        laid = lay(conn, context, given, now.at, act_id=now.id, answer=answer)
        _raise_any(laid)
        if not laid.said:
            raise InputError(
                "There is nothing new in these notes." if laid.there else "Nothing is entered.",
                "All of it is in the record already." if laid.there else "Give a day with what was read on it.",
                "day.1",
            )
        digest = sha256(json.dumps(typed, sort_keys=True).encode()).hexdigest()
        begun = NotesBegun(source if source in SOURCES else "form", digest)
        change = Change(now.id, {}, {"noted": _told(laid)}, motor_id)
        judged = foresee(conn, [laid.context], now.at.date())[0]
        return Saying(context=context, said=(begun, *laid.said), change=change, judged=judged)

    return say(conn, act, "enter notes", typed=typed, prepare=prepare)


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
    days = sorted({r.at.date() for r in laid.rounds} | {s.ended_at.date() for s in laid.sets if s.ended_at})
    days = sorted({*days, *(u.use.at.date() for u in laid.uses)})
    return {
        "rounds": len(laid.rounds),
        "sets": len(laid.sets),
        "uses": len(laid.uses),
        "first": days[0].isoformat() if days else "",
        "last": days[-1].isoformat() if days else "",
    }
