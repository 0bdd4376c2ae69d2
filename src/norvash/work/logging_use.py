"""Log hours or starts for one motor; take an entry back."""

from datetime import datetime, time, timedelta

from norvash.core.use import Counted, read_counter, read_increment, weighted
from norvash.core.use_typed import read_use
from norvash.errors import InputError
from norvash.store import use
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.context import Context, load
from norvash.work.standing import refresh

_NOON = time(12)
_DAYS = ("%Y-%m-%d", "%d/%m/%Y", "%d.%m.%Y", "%d %B %Y", "%d %b %Y")
MODES = {"counter": "the counter shows", "increment": "it ran since the last entry"}


def moment(day: str, now: datetime) -> datetime:
    """Return the time of an entry: now for today or no day, noon for an earlier day.

    Raises: InputError for a day that cannot be read.
    """
    text = " ".join(day.split()).lower()
    if text in ("", "today"):
        return now
    if text == "yesterday":
        return datetime.combine(now.date() - timedelta(days=1), _NOON)
    for form in _DAYS:
        try:
            given = datetime.strptime(text, form).date()
        except ValueError:
            continue
        return now if given == now.date() else datetime.combine(given, _NOON)
    raise InputError(f"“{day}” is not a day.", f"Write it like {now:%Y-%m-%d}, {now:%d/%m/%Y} or yesterday.", "day")


def count(
    conn: Connection, context: Context, text: str, mode: str, at: datetime, now: datetime, answer: str
) -> Counted:
    """Return what a typed use means for a motor, without keeping it."""
    if mode not in MODES:
        raise InputError("It is not clear what the number means.", "Choose counter or increment.", "mode")
    typed = read_use(text, context.unit, context.figures)
    entries = use.list_entries(conn, context.motor.id)
    if mode == "increment":
        counted = read_increment(typed.value, at, now, entries, context.unit, context.rules)
    else:
        counted = read_counter(typed.value, at, now, entries, context.unit, context.rules, answer)
    return weighted(counted, typed.weight, at, entries)


def log_use(
    conn: Connection, act: Act, motor_id: str, text: str, mode: str = "counter", day: str = "", answer: str = ""
) -> str:
    """Keep one entry of use and judge the motor anew; return the entry's id.

    Raises: InputError, Conflict or NeedsAnswer, each with its remedy; then nothing is kept.
    """

    def body(act: Act) -> Change:
        context, at, last_struck = load(conn, motor_id), moment(day, act.at), ""
        if answer == "last was wrong":
            last_struck = _strike_last(conn, motor_id, act.id)
        before = _last(context)
        counted = count(conn, context, text, mode, at, act.at, answer)
        use.add_entry(conn, act.id, motor_id, at, counted, text.strip(), act.id)
        refresh(conn, motor_id, act.at.date())
        after = {"counter": counted.counter_units, "total": counted.total_units, "typed": text.strip(),
                 "day": at.date(), "event": counted.event, "struck": last_struck}  # fmt: skip
        return Change(act.id, before, after, motor_id)

    return once(
        conn, act, "log use", {"motor": motor_id, "text": text, "mode": mode, "day": day, "answer": answer}, body
    )


def take_back(conn: Connection, act: Act, motor_id: str) -> str:
    """Strike the newest entry of the log; it stays visible and counts for nothing.

    Raises: InputError when a round was measured at it.
    """

    def body(act: Act) -> Change:
        before = _last(load(conn, motor_id))
        struck = _strike_last(conn, motor_id, act.id)
        refresh(conn, motor_id, act.at.date())
        return Change(struck, before, _last(load(conn, motor_id)), motor_id)

    return once(conn, act, "take back use", {"motor": motor_id}, body)


def _last(context: Context) -> dict[str, object]:
    if not context.state.entries:
        return {}
    last = context.state.entries[-1]
    return {"counter": last.counter_units, "total": last.total_units, "day": last.at.date()}


def _strike_last(conn: Connection, motor_id: str, act_id: str) -> str:
    context = load(conn, motor_id)
    last_id = use.last_entry_id(conn, motor_id)
    entries = context.state.entries
    floor_units = entries[-2].total_units if len(entries) > 1 else 0.0
    measured = [r.total_units for r in context.state.current.rounds] + [context.state.current.fitted_units]
    if max(measured) > floor_units + 1e-9 or len(entries) == 1:
        raise InputError("Brushes were measured or fitted at this entry, so it cannot be taken back.",
                         "Log the counter as it is and say what happened to it.", "value")  # fmt: skip
    use.strike_entry(conn, last_id, act_id)
    return last_id


def settle_use(conn: Connection, act: Act, context: Context, text: str, answer: str) -> Counted:
    """Log the counter as read at a measurement, unless it stands as logged; return the use now."""
    entries = context.state.entries
    stands = Counted(entries[-1].total_units, entries[-1].counter_units, "") if entries else None
    if not text.strip():
        if stands is None:
            raise InputError("No use is logged yet.", "Type what the counter shows.", "counter")
        return stands
    try:
        counted = count(conn, context, text, "counter", act.at, act.at, answer)
    except InputError as error:
        raise error.at("counter") from None
    if stands is not None and counted.counter_units == stands.counter_units:
        return stands
    use.add_entry(conn, f"{act.id}.use", context.motor.id, act.at, counted, text.strip(), act.id)
    return counted
