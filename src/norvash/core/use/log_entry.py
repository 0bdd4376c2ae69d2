"""One line of the use log."""

from dataclasses import dataclass
from datetime import datetime


@dataclass(frozen=True, slots=True)
class Entry:
    """Total use since the record began, and what the counter showed, at a moment."""

    at: datetime
    total_units: float
    counter_units: float
