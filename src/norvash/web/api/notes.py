"""Notes of the past as JSON: since when a set has run, rounds, uses, sets that are gone; taken back together."""

from fastapi import APIRouter

from norvash.exchange.said.notes import Notes, Since
from norvash.exchange.said.told import At, Seen
from norvash.web.api.motors import ActBody, act_by
from norvash.web.served.deps import Conn, Now, Who
from norvash.work.notes.noting_tables import take_back_notes

router = APIRouter(prefix="/api/v1", tags=["notes"])


class SinceBody(Since, ActBody):
    pass


class NotesBody(Notes, ActBody):
    pass


@router.post("/motors/{motor_id}/since", status_code=201)
def say_since(*, conn: Conn, now: Now, who: Who, motor_id: str, body: SinceBody) -> dict[str, str]:
    """Say since when the set in a motor has run."""
    return {"motor": body.done(act_by(body, who, now), At(conn, motor_id, "", Seen(program=True)))}


@router.post("/motors/{motor_id}/notes", status_code=201)
def add_notes(*, conn: Conn, now: Now, who: Who, motor_id: str, body: NotesBody) -> dict[str, str]:
    """Keep notes of one motor, all of them or none."""
    return {"notes": body.done(act_by(body, who, now), At(conn, motor_id, "", Seen(program=True)))}


@router.post("/notes/{notes_id}/take-back", status_code=201)
def take_back(*, conn: Conn, now: Now, who: Who, notes_id: str, body: ActBody) -> dict[str, str]:
    """Take back what was entered together."""
    return {"motor": take_back_notes(conn, act_by(body, who, now), notes_id)}
