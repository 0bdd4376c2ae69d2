"""Motors as JSON: verdict, use, rounds and readings."""

from typing import Annotated

from fastapi import APIRouter
from pydantic import AliasChoices, BaseModel, ConfigDict, Field

from norvash.core.sheet.moved import Explained
from norvash.core.text.texts import compared
from norvash.errors import Conflict
from norvash.exchange.said.brushes import Fit, Measure, Renew, See
from norvash.exchange.said.motor import Move, Rename, Use
from norvash.exchange.said.sheet import Enter, Open, SignSheet
from norvash.exchange.said.told import At, Seen, Words
from norvash.web.api.motor_told import motor_told
from norvash.web.served.deps import Conn, Now, Who, in_session
from norvash.work.act.acting import Act
from norvash.work.act.may import NotSignedIn
from norvash.work.reading.loading import load
from norvash.work.reading.standing import judge
from norvash.work.told.sheet import sheet_told

_SEEN = Seen(program=True)
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
    """A write: an id made by the client; where it names a person, that is whoever is signed in.

    What it would end or soften of what was found is answered with 409 and the list; sent again with its `ground`.
    """

    model_config = ConfigDict(extra="forbid", strict=True, populate_by_name=False)

    act_id: str
    person: str = ""
    ground: GroundBody = GroundBody()


class UseBody(Use, ActBody):
    value: str


class MoveBody(Move, ActBody):
    place: Words


class RenameBody(Rename, ActBody):
    name: Words


class SheetBody(Open, ActBody):
    kind: str = Field(default="quick", alias="sheet")
    round: str = Field(default="check", validation_alias=AliasChoices("round", "kind"))


class EntryBody(Enter, ActBody):
    """One entry: its field, its place where there are several, and what belongs to a decision.

    `sight` is “found” or “left”: as found before work on its place, as left after it. `answer` settles what was asked;
    of a slip `slip_why` says why it was one.
    """

    field: str
    value: str
    replaces: str = ""
    why: Words = Field(default="", alias="slip_why")
    with_it: dict[str, str] = Field(default={}, alias="more")


class SignBody(SignSheet, ActBody):
    pass


class ReadingBody(Measure, ActBody):
    place: int = Field(alias="position")
    value: str
    replaces: str = ""
    why: Words = Field(default="", alias="slip_why")


class SeenBody(See, ActBody):
    place: int = Field(alias="position", ge=1, le=40)
    value: Words


class SetBody(Fit, ActBody):
    reason: Words
    also: Annotated[tuple[Words, ...], Field(max_length=40, strict=False)] = ()


class RenewalBody(Renew, ActBody):
    reason: Words


def act_by(body: ActBody, who: Who, now: Now) -> Act:
    """Return a write as its body has it, by whoever is signed in.

    Raises: NotSignedIn; Conflict where the body names somebody else.
    """
    if who is None:
        raise NotSignedIn("Nobody is signed in here.", "Sign in by POST /api/v1/session.")
    if body.person and compared(body.person) != compared(who.name):
        raise Conflict(f"{who.name} is signed in, not {body.person[:40]}.", "Sign in as whoever does it.", "person")
    explained = Explained(body.ground.answer, body.ground.source, body.ground.listed)
    return Act(body.act_id, who.id, now, in_session(who), explained)


@router.get("/motors/{motor_id}", response_model=None)
def verdict(*, conn: Conn, now: Now, motor_id: str) -> dict[str, object]:
    """Return a motor's verdict with its reasons and the rules they rest on."""
    return motor_told(judge(load(conn, motor_id), now.date()))


@router.post("/motors/{motor_id}/use", response_model=None)
def use(*, conn: Conn, now: Now, who: Who, motor_id: str, body: UseBody) -> dict[str, object]:
    """Log use; the same act again changes nothing."""
    made = body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))
    return {"entry": made, **verdict(conn=conn, now=now, motor_id=motor_id)}


@router.post("/motors/{motor_id}/place", response_model=None)
def place(*, conn: Conn, now: Now, who: Who, motor_id: str, body: MoveBody) -> dict[str, object]:
    """Keep that the motor stands elsewhere from a day on."""
    body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))
    return verdict(conn=conn, now=now, motor_id=motor_id)


@router.post("/motors/{motor_id}/name", response_model=None)
def name(*, conn: Conn, now: Now, who: Who, motor_id: str, body: RenameBody) -> dict[str, object]:
    """Keep that the motor is called otherwise."""
    body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))
    return verdict(conn=conn, now=now, motor_id=motor_id)


@router.post("/motors/{motor_id}/sheets", response_model=None)
def open_one(*, conn: Conn, now: Now, who: Who, motor_id: str, body: SheetBody) -> dict[str, str]:
    """Open a sheet, or return the one left open."""
    return {"sheet": body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))}


@router.get("/sheets/{sheet_id}", response_model=None)
def sheet_of(*, conn: Conn, now: Now, sheet_id: str) -> dict[str, object]:
    """Return a sheet with all that stands on it and the story of the visit, as it was signed or so far."""
    return sheet_told(conn, sheet_id, now.date())


@router.post("/sheets/{sheet_id}/readings", response_model=None)
def reading(*, conn: Conn, now: Now, who: Who, sheet_id: str, body: ReadingBody) -> dict[str, str]:
    """Keep one reading."""
    seen = Seen(replaces=body.replaces, program=True)
    return {"reading": body.done(act_by(body, who, now), At(conn, "", sheet_id, seen))}


@router.post("/sheets/{sheet_id}/seen", response_model=None)
def seen_on(*, conn: Conn, now: Now, who: Who, sheet_id: str, body: SeenBody) -> dict[str, str]:
    """Keep what is seen on a brush, or take it back."""
    return {"seen": body.done(act_by(body, who, now), At(conn, "", sheet_id, _SEEN))}


@router.post("/motors/{motor_id}/sets", response_model=None)
def new_set(*, conn: Conn, now: Now, who: Who, motor_id: str, body: SetBody) -> dict[str, object]:
    """Fit a new set, on the open sheet while there is one."""
    made = body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))
    return {"set": made, **verdict(conn=conn, now=now, motor_id=motor_id)}


@router.post("/motors/{motor_id}/renewals", response_model=None)
def renewal(*, conn: Conn, now: Now, who: Who, motor_id: str, body: RenewalBody) -> dict[str, object]:
    """Renew single brushes while the others of their set stay."""
    made = body.done(act_by(body, who, now), At(conn, motor_id, "", _SEEN))
    return {"renewed": made, **verdict(conn=conn, now=now, motor_id=motor_id)}


@router.post("/sheets/{sheet_id}/entries", response_model=None)
def entry(*, conn: Conn, now: Now, who: Who, sheet_id: str, body: EntryBody) -> dict[str, str]:
    """Keep one entry of a sheet, as it would be typed or picked."""
    seen = Seen(replaces=body.replaces, program=True)
    return {"entry": body.done(act_by(body, who, now), At(conn, "", sheet_id, seen))}


@router.post("/sheets/{sheet_id}/sign", response_model=None)
def sign_one(*, conn: Conn, now: Now, who: Who, sheet_id: str, body: SignBody) -> dict[str, str]:
    """Sign a sheet; what is still open needs a reason. Where the shop asks for the PIN, one signs in a browser."""
    return {"motor": body.done(act_by(body, who, now), At(conn, "", sheet_id, _SEEN))}
