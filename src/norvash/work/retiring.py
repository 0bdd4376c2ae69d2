"""Take a motor that was retired back into use."""

from norvash.core.sheet.visit.permit import MOST_TEXT
from norvash.core.text.texts import clean
from norvash.errors import Conflict, InputError
from norvash.store import motors
from norvash.store.database import Connection
from norvash.store.retired import retire
from norvash.work.acting import Act, Change, once
from norvash.work.standing import refresh


def take_back_into_use(conn: Connection, act: Act, motor_id: str, why: str) -> str:
    """Take a retired motor back into use and return its id: what was found on it is open again.

    Raises: InputError at “why”, Conflict of one that is in use.
    """
    reason = " ".join(clean(why, "why", note=True).split())[:MOST_TEXT]

    def body(act: Act) -> Change:
        motor = motors.fetch_motor(conn, motor_id)
        if motor.retired is None:
            raise Conflict("It is in use already.", "Look at its page.", "why")
        if not reason:
            raise InputError("Nobody has said why.", "Say why it is used again.", "why")
        retire(conn, motor_id, None)
        refresh(conn, motor_id, act.at.date())
        before = {"retired": motor.retired.at.date().isoformat(), "by": motor.retired.by}
        return Change(motor_id, before, {"why": reason}, motor_id)

    return once(conn, act, "take back into use", typed={"motor": motor_id, "why": why}, body=body)
