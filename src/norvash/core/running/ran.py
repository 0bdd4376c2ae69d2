"""How long something has run that was begun, put aside and gone on with."""

from collections.abc import Iterable
from datetime import datetime

ON = "on"
_SECONDS = 60.0


def ran_min(turns: Iterable[tuple[datetime, str]], at: datetime) -> float | None:
    """Return how long it has run by a time, without what it was put aside; None where it never began by then.

    Units: -> [min]. Source: the clock of each turn, from on to what ends it
    Shape: turns as (time, word) in the order of time; whatever is not `ON` ends or stops it.

    >>> ran_min([(datetime(2026, 3, 2, 8), "on"), (datetime(2026, 3, 2, 9), "over")], datetime(2026, 3, 3))
    60.0
    """
    total, since, begun = 0.0, None, False
    for when, word in turns:
        if when > at:
            break
        begun = True
        if since is not None and word != ON:
            total, since = total + (when - since).total_seconds(), None
        elif since is None and word == ON:
            since = when
    total += (at - since).total_seconds() if since is not None else 0.0
    return total / _SECONDS if begun else None
