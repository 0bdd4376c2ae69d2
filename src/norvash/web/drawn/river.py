"""The river of the outlook: a page of it is drawn once for the same values and then kept in memory."""

from datetime import date
from functools import lru_cache

from norvash.drawing.days.outlook_river import Flow, outlook_river
from norvash.drawing.svg import Drawing

_RIVERS = 32


@lru_cache(_RIVERS)
def river(
    flows: tuple[Flow, ...], first: date, last: date, dark: tuple[tuple[date, date, str], ...], width: float
) -> Drawing:
    """Return the motors of a page of the outlook drawn over its days."""
    return outlook_river(flows, first, last, dark, width)
