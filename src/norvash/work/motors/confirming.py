"""Confirm a change of the ground of a judgement, or name where it comes from."""

from dataclasses import dataclass

from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.record.stated import Confirmed
from norvash.core.sheet.ground import said
from norvash.core.sheet.life import Life
from norvash.core.sheet.moved import Moved
from norvash.errors import Conflict, InputError
from norvash.store.access import members as access
from norvash.store.file.database import Connection
from norvash.store.record import moved, people
from norvash.work.act.acting import Act, Change
from norvash.work.reading.cut_waits import cut_waits
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import Judged, judge

_MOST, _SHOWN = 200, 12


@dataclass(frozen=True, slots=True)
class RestsOn:
    """A change of ground with what rests on it: what it was before, in words."""

    change: Moved
    words: str
    lives: tuple[Life, ...]


def rests_on(conn: Connection, judged: Judged) -> tuple[RestsOn, ...]:
    """Return the changes on which something of a motor rests, or for which its cut waits, the newest first, confirmed
    ones too.
    """
    context, lives = judged.context, [x for x in judged.found.lives if x.moves]
    sheet = context.open_sheet if context.grounds else None
    waits = cut_waits(context, sheet, copper_now(sheet, context.rules)) if sheet is not None else ()
    kept = {m.id: m for m in moved.list_of_motor(conn, context.motor, _SHOWN)}
    found = kept | {m.id: kept.get(m.id, m) for x in lives for m in x.moves} | {m.id: m for m in waits}
    return tuple(
        RestsOn(m, said(m), tuple(x for x in lives if m.id in {y.id for y in x.moves}))
        for m in sorted(found.values(), key=lambda m: m.at, reverse=True)
    )


def confirm(conn: Connection, act: Act, motor_id: str, moved_id: str, source: str = "") -> str:
    """Confirm a change that something of a motor rests on; whoever made it names its source instead, where nobody else
    here may confirm it. Return its id.

    Raises: Conflict where there is none any more, where somebody else may confirm one's own, or where a file says so;
    InputError where whoever made it names no source.
    """

    def prepare(now: Act) -> Saying:
        context, words = load(conn, motor_id), " ".join(source.split())[:_MOST]
        judged = judge(context, now.at.date())
        resting = rests_on(conn, judged)
        change = next((r.change for r in resting if r.change.id == moved_id), None)
        if change is None:
            raise Conflict("This change is put back, or nothing of this motor rests on it.", "Look at the motor again.")
        if change.confirmed_by:
            raise Conflict(f"{change.confirmed_by} has confirmed it already.", "Look at the motor as it is now.")
        if now.record is not None and not change.from_file:
            raise Conflict(
                "A file confirms nothing that was changed here.",
                "Somebody who is signed in here confirms it; until then it rests.",
            )
        own = people.fetch_person(conn, now.person_id).name == change.person
        others = [m.name for m in access.list_members(conn) if m.may_write and m.id != now.person_id] if own else []
        if others:
            raise Conflict(
                f"{change.person} made this change: somebody else confirms it.",
                f"Ask {' or '.join(others[:3])}; until then it stands unconfirmed.",
            )
        if own and not words:
            raise InputError(
                f"{change.person} made this change: somebody else confirms it.",
                "Name its source instead, plate, maker's sheet or measurement, and read the place once more.",
                "source",
            )
        after = {"change": said(change), "name": change.name, "source": words, "confirmed": not own}
        made = Change(moved_id, {}, after, motor_id if change.scope == "motor" else None)
        # What rests on a rule is kept with its motors later, so it is kept here first.
        return Saying(context=context, said=(Confirmed(moved_id, words if own else ""),), change=made, first=judged)

    typed = {"motor": motor_id, "change": moved_id, "source": source}
    return say(conn, act, "confirm a change", typed=typed, prepare=prepare)
