"""Log hours or starts for one motor; take an entry back."""

from datetime import datetime, time

from norvash.core.motor.use_typed import read_use
from norvash.core.record.used import UseLogged, UseStruck
from norvash.core.state.since import in_years
from norvash.core.text.days import near_day
from norvash.core.use.counting import Counted, read_counter, read_increment, weighted
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import use
from norvash.work.act.acting import Act, Change
from norvash.work.reading.context import Context
from norvash.work.reading.ground import Settled, settle
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee

_NOON = time(12)
MODES = {"counter": "the counter shows", "increment": "it ran since the last entry"}


def moment(day: str, now: datetime) -> datetime:
    """Return the time of an entry: now for today or no day, noon for an earlier day.

    Raises: InputError for a day that cannot be read.
    """
    given = near_day(day, now.date()) if day.strip() else now.date()
    if given is not None:
        return now if given == now.date() else datetime.combine(given, _NOON)
    raise InputError(f"“{day}” is not a day.", f"Write it like {now:%Y-%m-%d}, {now:%d/%m/%Y} or yesterday.", "day")


def count(context: Context, text: str, mode: str, *, at: datetime, now: datetime, answer: str) -> Counted:
    """Return what a typed use means for a motor, without keeping it."""
    if context.unit == "years":
        raise InputError("This motor counts years: there is nothing to log.", "The calendar tells its use.", "value")
    if mode not in MODES:
        raise InputError("It is not clear what the number means.", "Choose counter or increment.", "mode")
    typed = read_use(text, context.unit, context.figures, context.state.rate)
    if mode == "increment":
        counted = read_increment(typed.value, at, now, entries=context.entries, unit=context.unit, rules=context.rules)
    else:
        counted = read_counter(
            typed.value, at, now, entries=context.entries, unit=context.unit, rules=context.rules, answer=answer
        )
    return weighted(counted, typed.weight, at, context.entries)


def log_use(
    conn: Connection, act: Act, motor_id: str, *, text: str, mode: str = "counter", day: str = "", answer: str = ""
) -> str:
    """Keep one entry of use and judge the motor anew; return the entry's id.

    Raises: InputError, Conflict or NeedsAnswer, each with its remedy; then nothing is kept.
    """

    def prepare(now: Act) -> Saying:
        context, at = load(conn, motor_id), moment(day, now.at)
        strikes = answer == "last was wrong"
        struck = (_last_struck(conn, context),) if strikes else ()
        left = context.after(*struck)
        counted = count(left, text, mode, at=at, now=now.at, answer=answer)
        logged = UseLogged(id=now.id, use=counted.logged(at), typed=text.strip(), event=counted.event)
        judged = foresee(conn, [left.after(logged)], now.at.date())[0]
        settled = settle(conn, now, [(context, judged.context)]) if strikes else Settled()
        after = {
            "counter": counted.counter_units,
            "total": counted.total_units,
            "typed": logged.typed,
            "day": at.date(),
            "event": counted.event,
            "struck": struck[0].id if struck else "",
            **settled.explained,
        }
        change = Change(now.id, _last(context), after, motor_id)
        return Saying(context=context, said=(*struck, logged), change=change, judged=judged, settled=settled)

    typed = {"motor": motor_id, "text": text, "mode": mode, "day": day, "answer": answer}
    return say(conn, act, "log use", typed=typed, prepare=prepare)


def take_back(conn: Connection, act: Act, motor_id: str) -> str:
    """Strike the newest entry of the log; it stays visible and counts for nothing.

    Raises: InputError when a round was measured at it.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        struck = _last_struck(conn, context)
        judged = foresee(conn, [context.after(struck)], now.at.date())[0]
        settled = settle(conn, now, [(context, judged.context)])
        after = {**_last(judged.context), **settled.explained}
        change = Change(struck.id, _last(context), after, motor_id)
        return Saying(context=context, said=(struck,), change=change, judged=judged, settled=settled)

    return say(conn, act, "take back use", typed={"motor": motor_id}, prepare=prepare)


def _last(context: Context) -> dict[str, object]:
    if not context.entries:
        return {}
    last = context.entries[-1]
    return {"counter": last.counter_units, "total": last.total_units, "day": last.at.date()}


def _last_struck(conn: Connection, context: Context) -> UseStruck:
    """Return the newest entry of the log as it is struck.

    Raises: InputError where something rests on that entry.
    """
    entries = context.entries
    floor_units = entries[-2].total_units if len(entries) > 1 else 0.0
    current = context.state.current
    measured = [*(r.total_units for r in current.rounds), current.fitted_units]
    if max(measured) > floor_units + 1e-9 or len(entries) <= 1:
        raise InputError(
            "Brushes were measured or fitted at this entry, so it cannot be taken back.",
            "Log the counter as it is and say what happened to it.",
            "value",
        )
    return UseStruck(use.last_entry_id(conn, context.motor.id))


def _by_calendar(context: Context, text: str, now: datetime) -> Counted:
    """Return the use in years now, which nobody has to read from anything."""
    if text.strip():
        raise InputError("This motor counts years: the calendar tells its use.", "Leave this empty.", "counter")
    last = context.entries[-1]
    ran = max(in_years(last.at, now), 0.0)
    return Counted(last.total_units + ran, last.counter_units + ran, "calendar")


def settled(context: Context, text: str, now: Act, answer: str) -> tuple[Counted, tuple[UseLogged, ...]]:
    """Return the use that the counter shows at a measurement, and what of that is news that goes into the log.

    Raises: InputError or NeedsAnswer about the counter.
    """
    entries = context.entries
    if context.unit == "years":
        return _with_news(_by_calendar(context, text, now.at), text, now)
    stands = Counted(entries[-1].total_units, entries[-1].counter_units, "") if entries else None
    if not text.strip():
        if stands is None:
            raise InputError("No use is logged yet.", "Type what the counter shows.", "counter")
        return stands, ()
    try:
        counted = count(context, text, "counter", at=now.at, now=now.at, answer=answer)
    except InputError as error:
        raise error.at("counter") from None
    if stands is not None and counted.counter_units == stands.counter_units:
        return stands, ()
    return _with_news(counted, text, now)


def _with_news(counted: Counted, text: str, now: Act) -> tuple[Counted, tuple[UseLogged, ...]]:
    use_now = counted.logged(now.at)
    return counted, (UseLogged(id=f"{now.id}.use", use=use_now, typed=text.strip(), event=counted.event),)
