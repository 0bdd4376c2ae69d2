"""Log hours or starts for one motor; take an entry back."""

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime, time, timedelta

from norvash.core.motor.use_typed import read_use
from norvash.core.record.used import UseLogged, UseStruck
from norvash.core.state.since import in_years
from norvash.core.text.days import day_and_time
from norvash.core.use.counting import Counted, neighbours, possible, read_counter, read_increment, weighted
from norvash.core.use.happened import CHANGED, NOTHING, STOOD_STILL, Happened, said_by
from norvash.core.use.log_entry import Entry
from norvash.core.use.stood_still import ran_while_it_stood
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
_NEXT = timedelta(minutes=1)
MODES = {"counter": "the counter shows", "increment": "it ran since the last entry"}


def moment(day: str, now: datetime, entries: Sequence[Entry] = ()) -> datetime:
    """Return the time of an entry: as it was typed; without a time now for today or no day, noon for an earlier day, or
    just after what is logged of that day's afternoon already: readings of one day stand in the order of writing.

    Raises: InputError for a day that cannot be read.
    """
    found = day_and_time(day, now.date()) if day.strip() else (now.date(), None)
    if found is None:
        raise InputError(
            f"“{day}” is not a day.", f"Write it like {now:%Y-%m-%d}, {now:%d/%m/%Y %H:%M} or yesterday.", "day"
        )
    given, at = found
    if at is not None:
        return datetime.combine(given, at)
    if given == now.date():
        return now
    noon, night = datetime.combine(given, _NOON), datetime.combine(given, time(23, 59, 59))
    last = max((e.at for e in entries if e.at.date() == given and e.at >= noon), default=None)
    return noon if last is None else min(last + _NEXT, night)


def count(context: Context, text: str, mode: str, *, at: datetime, now: datetime, said: Happened) -> Counted:
    """Return what a typed use means for a motor, without keeping it."""
    if context.unit == "years":
        raise InputError("This motor counts years: there is nothing to log.", "The calendar tells its use.", "value")
    if mode not in MODES:
        raise InputError("It is not clear what the number means.", "Choose counter or increment.", "mode")
    said.check()
    if mode == "increment" and said.answer in (*CHANGED, STOOD_STILL):
        raise InputError(
            "What it ran since the last entry tells nothing of a counter that was changed or stood still.",
            "Give what the counter shows, or say that nothing happened to it.",
            "mode",
        )
    typed = read_use(text, context.unit, context.figures, context.state.rate)
    if mode == "increment":
        counted = read_increment(typed.value, at, now, entries=context.entries, unit=context.unit, rules=context.rules)
    else:
        counted = read_counter(
            typed.value, at, now, entries=context.entries, unit=context.unit, rules=context.rules, said=said
        )
        if said.answer == STOOD_STILL:
            before, _ = neighbours(context.entries, at)
            ran = ran_while_it_stood(said, before, at, rate=context.state.rate, unit=context.unit)
            total = counted.total_units + ran
            possible(total, at, context.entries, context.unit, context.rules)
            return replace(counted, total_units=total, event=STOOD_STILL, basis="estimated")
    return weighted(counted, typed.weight, at, context.entries)


def log_use(
    conn: Connection,
    act: Act,
    motor_id: str,
    *,
    text: str,
    mode: str = "counter",
    day: str = "",
    happened: Happened = NOTHING,
) -> str:
    """Keep one entry of use and judge the motor anew; return the entry's id. `happened` says what became of the
    counter since it was read.

    Raises: InputError, Conflict or NeedsAnswer, each with its remedy; then nothing is kept.
    """

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        strikes = happened.answer == "last was wrong"
        struck = (_last_struck(conn, context),) if strikes else ()
        left = context.after(*struck)
        at = moment(day, now.at, left.entries)
        counted = count(left, text, mode, at=at, now=now.at, said=happened)
        logged = _logged(now.id, counted, at, text, happened)
        judged = foresee(conn, [left.after(logged)], now.at.date())[0]
        settled = settle(conn, now, [(context, judged.context)]) if strikes else Settled()
        after = {
            "counter": counted.counter_units,
            "total": counted.total_units,
            "typed": logged.typed,
            "day": at.date(),
            **({"time": f"{at:%H:%M}"} if ":" in day else {}),
            "event": counted.event,
            "struck": struck[0].id if struck else "",
            **logged.happened.typed,
            **({"basis": counted.basis} if counted.basis else {}),
            **settled.explained,
        }
        change = Change(now.id, _last(context), after, motor_id)
        return Saying(context=context, said=(*struck, logged), change=change, judged=judged, settled=settled)

    typed = {"motor": motor_id, "text": text, "mode": mode, "day": day, "answer": happened.answer}
    typed |= happened.typed
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


def settled(context: Context, text: str, now: Act, said: Happened) -> tuple[Counted, tuple[UseLogged, ...]]:
    """Return the use that the counter shows at a measurement, and what of that is news that goes into the log.

    Raises: InputError or NeedsAnswer about the counter.
    """
    entries = context.entries
    if context.unit == "years":
        return _with_news(_by_calendar(context, text, now.at), text, now, NOTHING)
    stands = Counted(entries[-1].total_units, entries[-1].counter_units, "") if entries else None
    if not text.strip():
        if stands is None:
            raise InputError("No use is logged yet.", "Type what the counter shows.", "counter")
        return stands, ()
    try:
        counted = count(context, text, "counter", at=now.at, now=now.at, said=said)
    except InputError as error:
        raise (error.at("counter") if error.field in ("value", "mode", "day") else error) from None
    if stands is not None and counted.counter_units == stands.counter_units:
        return stands, ()
    return _with_news(counted, text, now, said)


def _with_news(counted: Counted, text: str, now: Act, said: Happened) -> tuple[Counted, tuple[UseLogged, ...]]:
    return counted, (_logged(f"{now.id}.use", counted, now.at, text, said),)


def _logged(entry_id: str, counted: Counted, at: datetime, text: str, said: Happened) -> UseLogged:
    """Return use as it goes into the log; what was said of a counter to which nothing happened says nothing."""
    happened = replace(said, said_by=said_by(said)) if counted.event in (*CHANGED, STOOD_STILL) else NOTHING
    return UseLogged(id=entry_id, use=counted.logged(at), typed=text.strip(), event=counted.event, happened=happened)
