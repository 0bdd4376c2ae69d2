"""A counter that is typed where something else was asked for: told by what the counter can show by now."""

from collections.abc import Sequence
from datetime import datetime, timedelta

from norvash.core.edges import within
from norvash.core.text.words import counter_words, day_words
from norvash.core.use.log_entry import Entry

# What a counter of anything but hours may have gone on since it was read, as a share of what it showed.
_GONE_ON = 0.25
_HOUR = timedelta(hours=1)


def counter_meant(text: str, entries: Sequence[Entry], at: datetime, unit: str) -> str:
    """Return what to do where a bare number is what the counter showed at its last reading, or can show at a time
    since; empty where it is not.

    >>> read = Entry(datetime(2026, 5, 3), 395.0, 395.0)
    >>> [bool(counter_meant(t, [read], datetime(2026, 5, 4), "hours")) for t in ("412", "395", "430", "12.4")]
    [True, True, False, False]
    """
    if not entries:
        return ""
    last = entries[-1]
    bare = "".join(text.split()).replace(",", ".")
    if not bare.replace(".", "", 1).isdecimal() or unit == "years" or not last.counter_units:
        return ""
    gone_on = (at - last.at) / _HOUR if unit == "hours" else _GONE_ON * last.counter_units
    if not within(last.counter_units, float(bare), last.counter_units + gone_on):
        return ""
    shown = counter_words(last.counter_units, unit)
    return (
        f"The counter showed {shown} on {day_words(last.at.date())}: was that meant? It is logged under “Hours”;"
        " here measure the brush."
    )
