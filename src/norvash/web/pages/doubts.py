"""Doubtful readings: the answer to a doubt, and its way back."""

from fastapi import APIRouter
from fastapi.responses import Response

from norvash.store.record import rounds
from norvash.web.served.answers import go_to
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of
from norvash.work.on_sheet.settling import settle_doubt, take_back_answer

router = APIRouter()


@router.post("/readings/{reading_id}/doubt")
def doubt(*, conn: Conn, now: Now, who: Who, reading_id: str, typed: Typed) -> Response:
    """Keep the answer to a doubt, and go on from where it was given."""
    answer, act = typed.get("answer", ""), act_of(typed, who, now)
    row = rounds.fetch_round(conn, settle_doubt(conn, act, reading_id, answer, typed.get("why", "")[:200]))
    if answer == "new set":
        return go_to(f"/motors/{row.motor_id}/new-set")
    if row.finished or typed.get("back") == "motor":
        return go_to(f"/motors/{row.motor_id}{'/sheet' if answer == 'mistyped' else ''}")
    return go_to(f"/sheets/{row.sheet_id}/brushes")


@router.post("/readings/{reading_id}/answer")
def reopen(*, conn: Conn, now: Now, who: Who, reading_id: str, typed: Typed) -> Response:
    """Take the answer to a doubt back, so that it is asked again."""
    return go_to(f"/motors/{take_back_answer(conn, act_of(typed, who, now), reading_id)}")
