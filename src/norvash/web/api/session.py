"""Signing in as JSON: a session in a cookie."""

from datetime import datetime

from fastapi import APIRouter, Request, Response
from pydantic import BaseModel, ConfigDict, Field

from norvash.web.door.entering import enter_by_password, leave
from norvash.web.served.deps import Conn, Signed, device_of, remember

router = APIRouter(prefix="/api/v1/session", tags=["session"])


class SignInBody(BaseModel):
    model_config = ConfigDict(extra="forbid", strict=True)

    name: str = Field(max_length=120)
    password: str = Field(max_length=200)


@router.post("", response_model=None)
def begin(*, request: Request, answer: Response, conn: Conn, body: SignInBody) -> dict[str, object]:
    """Sign in; the session is in a cookie that comes with the answer."""
    device = device_of(request)
    entered = enter_by_password(request, conn, body.name, body.password, device)
    remember(request, answer, entered, device)
    wrong = {"wrong_attempts": entered.wrong, "last_wrong_at": entered.wrong_at}
    return {"person": entered.member.name, "role": entered.member.role, **wrong}


@router.get("", response_model=None)
def now(*, signed: Signed) -> dict[str, object]:
    """Return who is signed in."""
    return {"person": signed.name, "role": signed.role} if signed is not None else {}


@router.delete("", response_model=None, status_code=204)
def end(*, request: Request, conn: Conn, signed: Signed) -> None:
    """Sign out."""
    if signed is not None:
        leave(request, conn, signed, datetime.now())
