"""Notes of the past as JSON: since when a set has run, rounds, uses, sets that are gone; taken back together."""

from collections.abc import Sequence

from fastapi import APIRouter
from pydantic import BaseModel, ConfigDict

from norvash.core.motor.notes import Note, NotedRound, NotedSet, NotedUse
from norvash.web.api.motors import ActBody, act_by
from norvash.web.deps import Conn, Now
from norvash.work.noting import enter_notes
from norvash.work.noting_tables import take_back_notes
from norvash.work.stating import SinceTyped, state_since

router = APIRouter(prefix="/api/v1", tags=["notes"])


class SinceBody(ActBody):
    """Since when the set in a motor has run, as it would be typed; any part may be empty."""

    day: str = ""
    counter: str = ""
    ran: str = ""
    lengths: str = ""


class _Told(BaseModel):
    model_config = ConfigDict(extra="forbid")


class RoundTold(_Told):
    """A round: readings by the number of the position, as they would be typed."""

    day: str
    counter: str = ""
    ran: str = ""
    readings: dict[str, str] = {}
    method: str = ""
    instrument: str = ""
    by: str = ""
    shortest: bool = False


class UseTold(_Told):
    """What a counter showed on a day."""

    day: str
    counter: str


class SetTold(_Told):
    """A set that is gone; lengths at its end by the number of the position."""

    ended: str
    fitted: str = ""
    ended_counter: str = ""
    fitted_counter: str = ""
    lasted: str = ""
    gone: str = ""
    lengths: dict[str, str] = {}
    why: str = ""


class NotesBody(ActBody):
    """Notes of one motor that are entered together; `answer` settles what was asked."""

    rounds: Sequence[RoundTold] = ()
    uses: Sequence[UseTold] = ()
    sets: Sequence[SetTold] = ()
    answer: str = ""


@router.post("/motors/{motor_id}/since", status_code=201)
def say_since(*, conn: Conn, now: Now, motor_id: str, body: SinceBody) -> dict[str, str]:
    """Say since when the set in a motor has run."""
    given = SinceTyped(day=body.day, counter=body.counter, ran=body.ran, lengths=body.lengths)
    return {"motor": state_since(conn, act_by(body, conn, now), motor_id, given)}


@router.post("/motors/{motor_id}/notes", status_code=201)
def add_notes(*, conn: Conn, now: Now, motor_id: str, body: NotesBody) -> dict[str, str]:
    """Keep notes of one motor, all of them or none; lines count from 1 through rounds, uses and sets."""
    made: list[Note] = [
        NotedRound(line=n, **{**r.model_dump(), "readings": _numbered(r.readings)})
        for n, r in enumerate(body.rounds, 1)
    ]
    made += [NotedUse(line=n, **u.model_dump()) for n, u in enumerate(body.uses, len(made) + 1)]
    made += [
        NotedSet(line=n, **{**s.model_dump(), "lengths": _numbered(s.lengths)})
        for n, s in enumerate(body.sets, len(made) + 1)
    ]
    notes_id = enter_notes(conn, act_by(body, conn, now), motor_id, made, source="form", answer=body.answer)
    return {"notes": notes_id}


def _numbered(given: dict[str, str]) -> dict[int, str]:
    """Return readings by position; a key that is no number is none that a motor has."""
    return {int(n) if n.isascii() and n.isdigit() and len(n) < 4 else 0: text for n, text in given.items()}


@router.post("/notes/{notes_id}/take-back", status_code=201)
def take_back(*, conn: Conn, now: Now, notes_id: str, body: ActBody) -> dict[str, str]:
    """Take back what was entered together."""
    return {"motor": take_back_notes(conn, act_by(body, conn, now), notes_id)}
