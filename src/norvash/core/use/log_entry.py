"""One line of the use log."""

from dataclasses import dataclass
from datetime import datetime


@dataclass(frozen=True, slots=True)
class Entry:
    """Total use on the motor's own scale, and what the counter showed, at a moment; `noted` where it is from notes.

    Use from before the register may lie below zero of that scale.
    """

    at: datetime
    total_units: float
    counter_units: float
    noted: bool = False
