"""Hours and starts: what a counter may show, and what it means when it falls."""

from bisect import bisect_left, bisect_right
from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime, time
from math import floor, log

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.core.text.words import counter_words
from norvash.core.use.happened import CHANGED, NOTHING, STOOD_STILL, UNKNOWN, Happened, across
from norvash.core.use.log_entry import Basis, Entry
from norvash.errors import Conflict, InputError, NeedsAnswer


@dataclass(frozen=True, slots=True)
class Counted:
    """What a new entry means: total use, counter value, the event that explains a step, and what its use rests on."""

    total_units: float
    counter_units: float
    event: str
    basis: Basis = ""

    def logged(self, at: datetime, *, noted: bool = False) -> Entry:
        """Return it as an entry of the log of use."""
        return Entry(at, self.total_units, self.counter_units, noted, self.basis)


def neighbours(entries: Sequence[Entry], at: datetime) -> tuple[Entry | None, Entry | None]:
    """Return the entries before (or at) and after a moment, of entries in order of time."""
    place = bisect_right(entries, at, key=_moment)
    return (entries[place - 1] if place else None), (entries[place] if place < len(entries) else None)


def _moment(entry: Entry) -> datetime:
    return entry.at


def read_counter(
    value: float,
    at: datetime,
    now: datetime,
    *,
    entries: Sequence[Entry],
    unit: str,
    rules: MotorRules,
    said: Happened = NOTHING,
) -> Counted:
    """Judge a counter value against the log; `said` is what happened to the counter since.

    Units: value in the motor's unit of use.
    Raises: InputError for the impossible, Conflict for another value at the same moment,
    NeedsAnswer when the counter went down and nobody has said why.
    """
    _not_future(at, now)
    before, after = neighbours(entries, at)
    if before is None:
        counted = _before_all(value, after, unit=unit, answer=said.answer)
    elif before.at == at and before.counter_units != value:
        raise Conflict(
            f"At that moment the counter was already logged as {counter_words(before.counter_units, unit)}.",
            "Take that entry back first, or give another time.",
            "value",
        )
    elif not under(value, before.counter_units) and not _is_another(said, before, unit):
        counted = Counted(before.total_units + (value - before.counter_units), value, "")
    else:
        counted = _explained(value, before, entries, unit=unit, at=at, rules=rules, said=said)
    possible(counted.total_units, at, entries, unit, rules)
    return counted


def _before_all(value: float, after: Entry | None, *, unit: str, answer: str) -> Counted:
    """Return a counter value from before all that is logged: use that lies before it, on the motor's own scale.

    A counter that showed more then was changed since, and how is asked.
    """
    if after is None:
        return Counted(value, value, "first")
    if not over(value, after.counter_units):
        return Counted(after.total_units - (after.counter_units - value), value, "first")
    if answer == "rolled over":
        return Counted(after.total_units - (rollover(value) - value + after.counter_units), value, "first")
    if answer in CHANGED:
        return Counted(after.total_units - after.counter_units, value, "first")
    raise NeedsAnswer(
        f"The counter showed {counter_words(value, unit)} then and {counter_words(after.counter_units, unit)} on"
        f" {after.at:%Y-%m-%d}.",
        "Say what happened to it between the two; what you typed is kept.",
        "value",
        tuple((k, w) for k, w in EVENTS.items() if k not in ("last was wrong", "earlier")),
        "replaced",
    )


def read_increment(
    value: float, at: datetime, now: datetime, *, entries: Sequence[Entry], unit: str, rules: MotorRules
) -> Counted:
    """Judge an amount of use since the last entry.

    Raises: InputError for the impossible or for an amount before later entries.
    """
    _not_future(at, now)
    if value < 0:
        raise InputError(f"{counter_words(value, unit)} is below 0.", "Give what it ran since the last entry.", "value")
    before, after = neighbours(entries, at)
    if after is not None:
        raise InputError(
            f"There is a later entry, of {after.at:%Y-%m-%d}.",
            "Log the counter value of that day instead, or take the later entry back.",
            "value",
        )
    total, counter = (before.total_units + value, before.counter_units + value) if before else (value, value)
    possible(total, at, entries, unit, rules)
    return Counted(total, counter, "increment")


def weighted(counted: Counted, weight: float, at: datetime, entries: Sequence[Entry]) -> Counted:
    """Return what was counted with the use since the entry before weighted, as by the speed it ran at.

    The counter is as read.
    """
    before, _ = neighbours(entries, at)
    if weight == 1 or before is None:
        return counted
    return replace(counted, total_units=before.total_units + weight * (counted.total_units - before.total_units))


def _not_future(at: datetime, now: datetime) -> None:
    if at > now and at.date() == now.date():
        raise InputError(f"{at:%H:%M} is still to come.", f"It is {now:%H:%M}: give that or an earlier time.", "day")
    if at > now:
        raise InputError(
            f"{at:%Y-%m-%d} is in the future.", f"Today is {now:%Y-%m-%d}: give that or an earlier day.", "day"
        )


EVENTS = {
    "rolled over": "It rolled over",
    "replaced": "Another counter in its place",
    "reset": "It was reset to 0",
    "slip": "Slip of the pen: I type it again",
    "last was wrong": "The last entry was wrong: take that back",
    "earlier": "This is an earlier round from my notes",
}
# What may have happened to a counter that nobody is asked about.
HAPPENED = {
    "": "Nothing: it is the same one and runs",
    "replaced": EVENTS["replaced"],
    "reset": EVENTS["reset"],
    STOOD_STILL: "It stood still, and does or did so since",
}


def _is_another(said: Happened, before: Entry, unit: str) -> bool:
    """Tell whether a value that did not fall is of another counter, or of one that was set to 0.

    Raises: InputError where that is said, and not where the old one ended.
    """
    if said.answer not in CHANGED:
        return False
    if not said.names_an_end:
        raise InputError(
            f"The counter did not fall: it showed {counter_words(before.counter_units, unit)} on {before.at:%Y-%m-%d}.",
            f"Say what the old one showed at last, or {UNKNOWN} where nobody knows; else say that nothing happened.",
            "old_last",
        )
    return True


def _explained(
    value: float, before: Entry, entries: Sequence[Entry], *, unit: str, at: datetime, rules: MotorRules, said: Happened
) -> Counted:
    last, answer = before.counter_units, said.answer
    if answer == "rolled over":
        return Counted(before.total_units + (rollover(last) - last + value), value, answer)
    if answer in CHANGED:
        ran, known = across(value, before, said, unit)
        return Counted(before.total_units + ran, value, answer, "" if known else "least")
    if answer == "earlier":
        raise InputError(
            f"{counter_words(value, unit)} from an earlier day is a note.",
            "Enter it with its day under “From notes” on the motor's page.",
            "value",
        )
    raise _went_down(value, before, entries, unit=unit, at=at, rules=rules)


def rollover(last: float) -> float:
    """Return the value at which a counter that showed `last` starts again at 0.

    >>> rollover(9987.0)
    10000.0
    """
    return float(10 ** len(str(floor(last))))


def _went_down(
    value: float, before: Entry, entries: Sequence[Entry], *, unit: str, at: datetime, rules: MotorRules
) -> NeedsAnswer:
    """Return the question, with the likeliest answer by the use that each would imply."""
    last = before.counter_units
    per_day = daily_rate(entries)
    days = max((at - before.at).total_seconds() / 86400, 0.5)
    implied = {"rolled over": rollover(last) - last + value, "replaced": value}
    likely, best = "slip", -6.0
    for key, ran in implied.items():
        if per_day and ran > 0:
            score = -0.5 * (log(ran / (per_day * days)) / rules["use.slip"]) ** 2
            likely, best = (key, score) if score > best else (likely, best)
    return NeedsAnswer(
        f"The counter showed {counter_words(last, unit)} on {before.at:%Y-%m-%d} and shows {counter_words(value, unit)}"
        " now.",
        "Say which it is; what you typed is kept.",
        "value",
        tuple(EVENTS.items()),
        likely,
    )


def daily_rate(entries: Sequence[Entry]) -> float | None:
    """Return use per day over a whole log, None without two different days."""
    if len(entries) < 2:
        return None
    days = (entries[-1].at - entries[0].at).total_seconds() / 86400
    return (entries[-1].total_units - entries[0].total_units) / days if days > 0 else None


def possible(total: float, at: datetime, entries: Sequence[Entry], unit: str, rules: MotorRules) -> None:
    """Refuse more use than the days between two entries have, on either side of the new one.

    Units: total in the motor's unit of use. Raises: InputError at “value”
    """
    most = rules["use.hours-a-day"] if unit == "hours" else rules["use.starts-a-day"]
    midnight = datetime.combine(at.date(), time())
    place = bisect_left(entries, midnight, key=_moment)
    first_today = entries[place : place + 1] if place < len(entries) and entries[place].at.date() == at.date() else ()
    _, later = neighbours(entries, at)
    for entry in (*entries[max(place - 1, 0) : place], *first_today, *((later,) if later else ())):
        days = max(abs((at.date() - entry.at.date()).days), 1)
        ran = abs(total - entry.total_units)
        if over(ran, most * days):
            raise InputError(
                f"{counter_words(ran, unit)} between {min(at, entry.at):%Y-%m-%d} and {max(at, entry.at):%Y-%m-%d} is"
                f" more than {counter_words(most * days, unit)}, all that {days} day{'s' * (days > 1)} can hold.",
                "Check the value and the day.",
                "value",
            )
    if later and total > later.total_units:
        raise InputError(
            f"That is more than the {counter_words(later.total_units, unit)} logged later, on {later.at:%Y-%m-%d}.",
            "Check the value and the day.",
            "value",
        )
