"""What motors are judged on, as JSON: figures and rules, and changes of them confirmed."""

from fastapi import APIRouter

from norvash.core.rules.catalogue import SCHOOLS_BY_ID
from norvash.store.record import motors
from norvash.web.api.motors import ActBody, act_by, verdict
from norvash.web.served.deps import Conn, Now, Who
from norvash.work.motors.changing_figures import change_figures
from norvash.work.motors.confirming import confirm
from norvash.work.motors.ruling import clear_rule, set_rule, set_school
from norvash.work.reading.loading import load

router = APIRouter(prefix="/api/v1", tags=["ground"])


class FiguresBody(ActBody):
    """Figures that a motor states itself, as they would be typed; an empty one falls back to its type or class."""

    figures: dict[str, str]


class RuleBody(ActBody):
    """A rule or a school within a scope, as it would be typed; an empty value goes back to what else holds."""

    value: str
    scope: str = "site"
    of: str = ""
    why: str = ""


class ConfirmBody(ActBody):
    """A change that somebody else confirms; whoever made it names its source."""

    source: str = ""


@router.post("/motors/{motor_id}/figures", response_model=None)
def figures(*, conn: Conn, now: Now, who: Who, motor_id: str, body: FiguresBody) -> dict[str, object]:
    """State figures of a motor."""
    version, own = motors.fetch_motor(conn, motor_id).version, load(conn, motor_id).stated.own_words
    typed = {**own, **body.figures}
    change_figures(conn, act_by(body, who, now), motor_id, typed, version)
    return verdict(conn=conn, now=now, motor_id=motor_id)


@router.post("/motors/{motor_id}/changes/{moved_id}", response_model=None)
def confirm_one(*, conn: Conn, now: Now, who: Who, motor_id: str, moved_id: str, body: ConfirmBody) -> dict[str, str]:
    """Confirm a change that something of a motor rests on."""
    return {"change": confirm(conn, act_by(body, who, now), motor_id, moved_id, body.source)}


@router.post("/rules/{rule_id}", response_model=None)
def rule(*, conn: Conn, now: Now, who: Who, rule_id: str, body: RuleBody) -> dict[str, str]:
    """Set a rule or a school within a scope, or take it back."""
    act = act_by(body, who, now)
    if not body.value:
        return {"rule": clear_rule(conn, act, rule_id, body.scope, body.of)}
    within = {"scope": body.scope, "scope_id": body.of, "why": body.why}
    if rule_id in SCHOOLS_BY_ID:
        return {"rule": set_school(conn, act, rule_id, key=body.value, **within)}
    return {"rule": set_rule(conn, act, rule_id, text=body.value, **within)}
