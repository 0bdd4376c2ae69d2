"""Motors as JSON: verdict, use, rounds and readings."""

from fastapi import APIRouter
from pydantic import BaseModel, ConfigDict, Field

from norvash.core.sheet.moved import Explained
from norvash.store import people
from norvash.web.api.motor_told import motor_told
from norvash.web.deps import Conn, Now
from norvash.work.acting import Act
from norvash.work.loading import load
from norvash.work.logging_use import log_use
from norvash.work.measuring import record
from norvash.work.opening import open_sheet
from norvash.work.sheet_told import sheet_told
from norvash.work.sheets import enter
from norvash.work.sighting import Seeing
from norvash.work.signing import sign
from norvash.work.standing import judge

router = APIRouter(prefix="/api/v1", tags=["motors"])


class GroundBody(BaseModel):
    """How a change of what motors are judged on is explained: which it is, where it comes from, and the mark of the
    list of what it would end or soften.
    """

    model_config = ConfigDict(extra="forbid", strict=True)

    answer: str = ""
    source: str = Field(default="", max_length=200)
    listed: str = ""


class ActBody(BaseModel):
    """A write: an id made by the client, and the person's name.

    What it would end or soften of what was found is answered with 409 and the list; sent again with its `ground`.
    """

    model_config = ConfigDict(extra="forbid", strict=True)

    act_id: str
    person: str
    ground: GroundBody = GroundBody()


class UseBody(ActBody):
    """One entry of use, as it would be typed."""

    value: str
    mode: str = "counter"
    day: str = ""
    answer: str = ""


class SheetBody(ActBody):
    """The head of a sheet; `safe` says that it is isolated and made safe, for a quick look."""

    counter: str = ""
    sheet: str = "quick"
    kind: str = "check"
    answer: str = ""
    safe: bool = False


class EntryBody(ActBody):
    """One entry: its field, its place where there are several, and what belongs to a decision.

    `sight` is “found” or “left”: as found before work on its place, as left after it. `answer` settles what was asked;
    of a slip `slip_why` says why it was one.
    """

    field: str
    value: str
    place: int = 0
    replaces: str = ""
    sight: str = ""
    answer: str = ""
    slip_why: str = ""
    more: dict[str, str] = {}


class SignBody(ActBody):
    """A signature: why it is signed with something open, and that a quick look's motor is back to service."""

    why: str = ""
    service: bool = False


class ReadingBody(ActBody):
    """One reading, as it would be typed."""

    position: int
    value: str
    method: str = ""
    instrument: str = ""
    replaces: str = ""
    sight: str = ""
    answer: str = ""
    slip_why: str = ""


def act_by(body: ActBody, conn: Conn, now: Now) -> Act:
    """Return a write as its body has it, by the person of that name."""
    alike = people.list_alike(conn, body.person)
    known = next((p for p in alike if p.name == body.person), alike[0] if len(alike) == 1 else None)
    ground = body.ground
    explained = Explained(ground.answer, ground.source, ground.listed)
    return Act(body.act_id, known.id if known else "", now, explained=explained)


@router.get("/motors/{motor_id}", response_model=None)
def verdict(*, conn: Conn, now: Now, motor_id: str) -> dict[str, object]:
    """Return a motor's verdict with its reasons and the rules they rest on."""
    return motor_told(judge(load(conn, motor_id), now.date()))


@router.post("/motors/{motor_id}/use", response_model=None)
def use(*, conn: Conn, now: Now, motor_id: str, body: UseBody) -> dict[str, object]:
    """Log use; the same act again changes nothing."""
    made = log_use(
        conn, act_by(body, conn, now), motor_id, text=body.value, mode=body.mode, day=body.day, answer=body.answer
    )
    return {"entry": made, **verdict(conn=conn, now=now, motor_id=motor_id)}


@router.post("/motors/{motor_id}/sheets", response_model=None)
def open_one(*, conn: Conn, now: Now, motor_id: str, body: SheetBody) -> dict[str, str]:
    """Open a sheet, or return the one left open."""
    act = act_by(body, conn, now)
    return {
        "sheet": open_sheet(
            conn,
            act,
            motor_id,
            kind=body.sheet,
            counter=body.counter,
            round_kind=body.kind,
            answer=body.answer,
            safe=body.safe,
        )
    }


@router.get("/sheets/{sheet_id}", response_model=None)
def sheet_of(*, conn: Conn, now: Now, sheet_id: str) -> dict[str, object]:
    """Return a sheet with all that stands on it and the story of the visit, as it was signed or so far."""
    return sheet_told(conn, sheet_id, now.date())


@router.post("/sheets/{sheet_id}/readings", response_model=None)
def reading(*, conn: Conn, now: Now, sheet_id: str, body: ReadingBody) -> dict[str, str]:
    """Keep one reading."""
    made = record(
        conn,
        act_by(body, conn, now),
        sheet_id,
        position=body.position,
        text=body.value,
        method=body.method,
        instrument=body.instrument,
        replaces=body.replaces,
        seeing=Seeing(sight=body.sight, program=True, answer=body.answer, why=body.slip_why[:200]),
    )
    return {"reading": made}


@router.post("/sheets/{sheet_id}/entries", response_model=None)
def entry(*, conn: Conn, now: Now, sheet_id: str, body: EntryBody) -> dict[str, str]:
    """Keep one entry of a sheet, as it would be typed or picked."""
    return {
        "entry": enter(
            conn,
            act_by(body, conn, now),
            sheet_id,
            field_id=body.field,
            place=body.place,
            text=body.value,
            replaces=body.replaces,
            more=body.more,
            seeing=Seeing(sight=body.sight, program=True, answer=body.answer, why=body.slip_why[:200]),
        )
    }


@router.post("/sheets/{sheet_id}/sign", response_model=None)
def sign_one(*, conn: Conn, now: Now, sheet_id: str, body: SignBody) -> dict[str, str]:
    """Sign a sheet; what is still open needs a reason."""
    return {"motor": sign(conn, act_by(body, conn, now), sheet_id, body.why, service=body.service)}
