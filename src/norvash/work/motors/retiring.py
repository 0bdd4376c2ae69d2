"""Take a motor that was retired back into use."""

from norvash.core.record.stated import BackInUse
from norvash.core.text.texts import clean
from norvash.core.visit.permit import MOST_TEXT
from norvash.errors import Conflict, InputError
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act, Change
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee


def take_back_into_use(conn: Connection, act: Act, motor_id: str, why: str) -> str:
    """Take a retired motor back into use and return its id: what was found on it is open again.

    Raises: InputError at “why”, Conflict of one that is in use.
    """
    reason = " ".join(clean(why, "why", note=True).split())[:MOST_TEXT]

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        gone = context.motor.retired
        if gone is None:
            raise Conflict("It is in use already.", "Look at its page.", "why")
        if not reason:
            raise InputError("Nobody has said why.", "Say why it is used again.", "why")
        change = Change(motor_id, {"retired": gone.at.date().isoformat(), "by": gone.by}, {"why": reason}, motor_id)
        judged = foresee(conn, [context.after(BackInUse())], now.at.date())[0]
        return Saying(context=context, said=(BackInUse(),), change=change, judged=judged)

    return say(conn, act, "take back into use", typed={"motor": motor_id, "why": why}, prepare=prepare)
