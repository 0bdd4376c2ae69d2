"""Move a motor to another place, or call it otherwise: its sets, its record and its use stay with it."""

from datetime import date

from norvash.core.record.stated import Called
from norvash.core.text.days import near_day
from norvash.core.text.texts import words_of
from norvash.core.text.words import day_words
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.work.act.acting import Act, Change
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee


def move(conn: Connection, act: Act, motor_id: str, *, place: str, day: str = "") -> str:
    """Keep that a motor stands elsewhere from a day on; return its id. What it has run stays where it ran.

    Raises: InputError at “place” or “day”, also for a day before its last reading.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        motor, words = context.motor, words_of("place", place, "The place")
        if words == motor.place:
            raise InputError(f"It stands there: {motor.place}.", "Give the place to which it was moved.", "place")
        on = _day(context, day, now.at.date())
        total = context.entries[-1].total_units if context.entries else 0.0
        after = {"place": words, "day": on.isoformat(), "total": total}
        change = Change(motor_id, {"place": motor.place}, after, motor_id)
        return _called(conn, now, context, Called(name=motor.name, place=words), change)

    return say(conn, act, "move a motor", typed={"motor": motor_id, "place": place, "day": day}, prepare=prepare)


def rename(conn: Connection, act: Act, motor_id: str, *, name: str) -> str:
    """Keep that a motor is called otherwise from now on; return its id.

    Raises: InputError at “name”.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        motor, words = context.motor, words_of("name", name, "The name")
        if words == motor.name:
            raise InputError(f"It is called {motor.name}.", "Give the name that it has now.", "name")
        change = Change(motor_id, {"name": motor.name}, {"name": words}, motor_id)
        return _called(conn, now, context, Called(name=words, place=motor.place), change)

    return say(conn, act, "rename a motor", typed={"motor": motor_id, "name": name}, prepare=prepare)


def _called(conn: Connection, now: Act, context: Context, said: Called, change: Change) -> Saying:
    """Return the motor as it is called and where it stands from now on, judged there: a place may be dark for weeks."""
    judged = foresee(conn, [context.after(said)], now.at.date())[0]
    return Saying(context=context, said=(said,), change=change, judged=judged)


def _day(context: Context, text: str, today: date) -> date:
    """Return the day of a move: today where none is given, and none before what was read at the old place.

    Raises: InputError at “day”.
    """
    on = near_day(text, today) if text.strip() else today
    if on is None:
        raise InputError(f"“{text.strip()[:30]}” is not a day.", f"Write it like {today:%Y-%m-%d} or yesterday.", "day")
    if on > today:
        raise InputError(f"{day_words(on)} is in the future.", "Give a day that has been.", "day")
    last = max((e.at.date() for e in context.entries), default=on)
    if on < last:
        raise InputError(
            f"Its counter was read on {day_words(last)}, after that.",
            f"Give {day_words(last)} or a later day: what ran up to it was logged where it stood.",
            "day",
        )
    return on
