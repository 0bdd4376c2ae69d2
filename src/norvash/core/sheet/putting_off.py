"""How long a finding may be put off, and how often: no stop ever, a change for days, moved once and by another."""

from dataclasses import dataclass, replace
from datetime import date, datetime, timedelta

from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.records import PutBy, PutOff, Record
from norvash.core.text.words import day_words
from norvash.errors import JudgedAgainst


@dataclass(frozen=True, slots=True)
class By:
    """Who enters something, on which day and `at` which time; `alone` tells that nobody else works here."""

    person: str = ""
    today: date = date.min
    alone: bool = True
    at: datetime | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Asked:
    """An entry as it is made: its word or number, what belongs to it, and by whom."""

    word: str
    number: float | None
    record: Record | None = None
    by: By = By()


def last_day(today: date, rules: MotorRules) -> date:
    """Return the last day to which a change is put off while its motor is in use. Source: rule putoff.days"""
    return today + timedelta(days=rules["putoff.days"])


def put_off_anew(
    words: str, grade: Grade, asked: Asked, before: PutOff | None, *, in_use: bool, rules: MotorRules
) -> Record | None:
    """Return what is put off, with who has decided so and how often its day was moved.

    Raises: InputError for what must not be put off: a stop at all, a change beyond its days, twice, or by the same
    person again, with what is possible. Source: rule putoff.days
    """
    put_off, by = asked.record, asked.by
    if grade == "stop":
        raise JudgedAgainst(
            f"“{words}” takes it out of service: that is not put off.",
            "Mend it, send it away, or let it wait for its part out of service.",
            "value",
        )
    if not isinstance(put_off, PutOff):
        return put_off
    moved = before is not None and _is_moved(before, put_off, by.today)
    if grade == "change":
        _change(words, put_off, asked, before if moved else None, in_use=in_use, rules=rules)
    times = 0 if before is None else before.by.moved + moved
    return replace(put_off, by=PutBy(by.person, by.today, times))


def _change(
    words: str, put_off: PutOff, asked: Asked, before: PutOff | None, *, in_use: bool, rules: MotorRules
) -> None:
    """Refuse to put off a change too far, or to move it again; `before` is what stands, None where nothing is moved."""
    last, by = last_day(asked.by.today, rules), asked.by
    if in_use and put_off.day > last:
        raise JudgedAgainst(
            f"“{words}” must be mended now: while it is in use it waits until {day_words(last)} at the latest.",
            "Give an earlier day, or let it wait for its part out of service.",
            "day",
        )
    if before is not None and before.by.moved:
        raise JudgedAgainst(
            f"“{words}” was put off and moved once already.",
            "Mend it, or let it wait for its part out of service.",
            "value",
        )
    if before is not None and before.by.person == by.person and not by.alone:
        raise JudgedAgainst(
            f"{by.person} has put off “{words}”: another person moves it.",
            "Let somebody else look at it and decide.",
            "value",
        )


def _is_moved(before: PutOff, now: PutOff, today: date) -> bool:
    """Tell whether a day is moved on: one given on the same day is only mended."""
    return now.day > before.day and before.by.since < today
