"""Looking ahead over many motors: when each will want a look and a change, and in which window the change fits."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta

from norvash.core.text.words import day_words
from norvash.core.use.season import Window

_DAY = timedelta(days=1)
_WEEK = timedelta(weeks=1)


@dataclass(frozen=True, slots=True)
class Proposal:
    """A day for a change, and why that day."""

    on: date
    words: str
    window: str


def propose(early_on: date, windows: Sequence[Window], place: str, today: date) -> Proposal:
    """Return the day for a change: the end of the last dark window before the early bound, else the week before it.

    A bound that has passed, or is only days away, asks for a change now.
    """
    fits = [
        (min(last, early_on - _DAY), w.name)
        for w in windows
        if w.covers(place)
        for first, last in w.spans(today, early_on)
        if first < early_on and last >= today
    ]
    if fits:
        on, name = max(fits)
        return Proposal(on, f"in the last window before {day_words(early_on)}: {name}", name)
    if early_on - _WEEK <= today:
        return Proposal(today, "now: the early bound is less than a week away", "")
    return Proposal(early_on - _WEEK, f"no dark window before {day_words(early_on)}: the week before", "")
