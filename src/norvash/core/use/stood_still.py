"""What ran while a counter stood still: its usual use, as an estimate."""

from datetime import datetime, time, timedelta

from norvash.core.use.happened import Happened
from norvash.core.use.log_entry import Entry
from norvash.core.use.rate import Rate
from norvash.core.use.spans import middle, read_span
from norvash.errors import InputError

_NOON = time(12)


def ran_while_it_stood(said: Happened, before: Entry | None, at: datetime, *, rate: Rate | None, unit: str) -> float:
    """Return about what ran from the day since when a counter stood still, the last reading at the earliest, to a
    moment: the usual use, standstill of the season included.

    Units: the motor's unit of use.
    Raises: InputError at “since” where the usual use or the day is not known.
    """
    if rate is None or before is None:
        raise InputError(
            "What it ran while its counter stood still is not known: it has no usual use.",
            "Give about how much it runs in a week under Figures, or log what it ran as “it ran since the last entry”.",
            "since",
        )
    if not said.since.strip():
        raise InputError("Since when it stood still is missing.", "Give about the day, the month or the year.", "since")
    stood = max(datetime.combine(middle(read_span(said.since, at.date(), "since")), _NOON), before.at)
    days = (at - stood) / timedelta(days=1)
    if rate.season is not None:
        days = rate.season.active_days(stood.date(), at.date())
    ran = rate.per_week * max(days, 0.0) / 7
    return float(round(ran)) if unit == "starts" else ran
