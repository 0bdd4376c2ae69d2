"""Log hours or starts for one motor; take an entry back."""

from dataclasses import dataclass
from datetime import datetime, time, timedelta

from norvash.core.record.entries import UseCorrected, UseLogged
from norvash.core.use.counting import Counted, read_counter, read_increment, weighted
from norvash.core.use.since import in_years
from norvash.core.use.typed import read_use
from norvash.errors import InputError
from norvash.store import use
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, in_order, prepared
from norvash.work.context import Context, Prepared
from norvash.work.ground import Settled, settle
from norvash.work.loading import load
from norvash.work.standing import Judged, foresee, keep

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


@dataclass(frozen=True)
class _Logged(Prepared):
    """A log of use as it is to be: what stood there, what is struck, what is added, and the motor judged by that."""

    strikes: bool
    counted: Counted | None
    judged: Judged
    settled: Settled = Settled()


def log_use(
    conn: Connection, act: Act, motor_id: str, *, text: str, mode: str = "counter", day: str = "", answer: str = ""
) -> str:
    """Keep one entry of use and judge the motor anew; return the entry's id.

    Raises: InputError, Conflict or NeedsAnswer, each with its remedy; then nothing is kept.
    """

    def prepare() -> _Logged:
        now = in_order(conn, act).at
        context, at, strikes = load(conn, motor_id), moment(day, now), answer == "last was wrong"
        left = _without_last(context) if strikes else context
        counted = count(left, text, mode, at=at, now=now, answer=answer)
        judged = foresee(conn, [left.after(UseLogged(use=counted.logged(at)))], now.date())[0]
        settled = settle(conn, act, [(context, judged.context)]) if strikes else Settled()
        return _Logged(context, strikes, counted, judged, settled)

    def body(act: Act, made: _Logged) -> Change:
        counted = made.counted
        if counted is None:
            raise AssertionError
        struck = _strike_last(conn, motor_id, act.id) if made.strikes else ""
        at = moment(day, act.at)
        use.add_entry(conn, act.id, motor_id, at=at, counted=counted, typed=text.strip(), act_id=act.id)
        keep(conn, made.judged, why=made.settled.why)
        after = {
            "counter": counted.counter_units,
            "total": counted.total_units,
            "typed": text.strip(),
            "day": at.date(),
            "event": counted.event,
            "struck": struck,
            **made.settled.explained,
        }
        return Change(act.id, _last(made.context), after, motor_id)

    typed = {"motor": motor_id, "text": text, "mode": mode, "day": day, "answer": answer}
    return prepared(conn, act, "log use", typed=typed, prepare=prepare, body=body)


def take_back(conn: Connection, act: Act, motor_id: str) -> str:
    """Strike the newest entry of the log; it stays visible and counts for nothing.

    Raises: InputError when a round was measured at it.
    """

    def prepare() -> _Logged:
        context = load(conn, motor_id)
        judged = foresee(conn, [_without_last(context)], act.at.date())[0]
        return _Logged(context, True, None, judged, settle(conn, act, [(context, judged.context)]))

    def body(act: Act, made: _Logged) -> Change:
        struck = _strike_last(conn, motor_id, act.id)
        keep(conn, made.judged, why=made.settled.why)
        after = {**_last(made.judged.context), **made.settled.explained}
        return Change(struck, _last(made.context), after, motor_id)

    return prepared(conn, act, "take back use", typed={"motor": motor_id}, prepare=prepare, body=body)


def _last(context: Context) -> dict[str, object]:
    if not context.entries:
        return {}
    last = context.entries[-1]
    return {"counter": last.counter_units, "total": last.total_units, "day": last.at.date()}


def _without_last(context: Context) -> Context:
    """Return the motor without the newest entry of its log.

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
    return context.after(UseCorrected(uses=entries[:-1]))


def _strike_last(conn: Connection, motor_id: str, act_id: str) -> str:
    last_id = use.last_entry_id(conn, motor_id)
    use.strike_entry(conn, last_id, act_id)
    return last_id


def _by_calendar(context: Context, text: str, now: datetime) -> Counted:
    """Return the use in years now, which nobody has to read from anything."""
    if text.strip():
        raise InputError("This motor counts years: the calendar tells its use.", "Leave this empty.", "counter")
    last = context.entries[-1]
    ran = max(in_years(last.at, now), 0.0)
    return Counted(last.total_units + ran, last.counter_units + ran, "calendar")


def settled(context: Context, text: str, now: datetime, answer: str) -> tuple[Counted, bool]:
    """Return the use that the counter shows at a measurement, and whether it is news that goes into the log.

    Raises: InputError or NeedsAnswer about the counter.
    """
    entries = context.entries
    if context.unit == "years":
        return _by_calendar(context, text, now), True
    stands = Counted(entries[-1].total_units, entries[-1].counter_units, "") if entries else None
    if not text.strip():
        if stands is None:
            raise InputError("No use is logged yet.", "Type what the counter shows.", "counter")
        return stands, False
    try:
        counted = count(context, text, "counter", at=now, now=now, answer=answer)
    except InputError as error:
        raise error.at("counter") from None
    if stands is not None and counted.counter_units == stands.counter_units:
        return stands, False
    return counted, True
