"""What is waited for on a sheet, as its page shows it."""

from dataclasses import dataclass
from datetime import datetime

from norvash.core.judging.timers import timers
from norvash.core.text.words import day_words
from norvash.work.reading.sheet_now import SheetNow


@dataclass(frozen=True, slots=True, kw_only=True)
class TimerShown:
    """A timer: what is waited for, its end as a time and as an hour, and what is done then."""

    words: str
    until: str
    at: str
    then: str


def timers_shown(page: SheetNow, now: datetime) -> list[TimerShown]:
    """Return what is waited for on an open sheet: the same on every device, whoever began it."""
    if page.row.signed_at is not None:
        return []
    made = []
    for timer in timers(page.sheet, page.context.rules, now):
        day = "" if timer.until.date() == now.date() else f" on {day_words(timer.until.date())}"
        made.append(
            TimerShown(
                words=timer.words,
                until=f"{timer.until:%Y-%m-%dT%H:%M:%S}",
                at=f"{timer.until:%H:%M}{day}",
                then=timer.then,
            )
        )
    return made
