"""One line of the use log."""

from dataclasses import dataclass
from datetime import datetime
from typing import Literal

Basis = Literal["", "least", "estimated"]


@dataclass(frozen=True, slots=True)
class Entry:
    """Total use on the motor's own scale, and what the counter showed, at a moment; `noted` where it is from notes.

    Use from before the register may lie below zero of that scale. `basis` is what the use since the entry before rests
    on: read, or at `least` that where a counter ended or began at a figure nobody knows, or `estimated`.
    """

    at: datetime
    total_units: float
    counter_units: float
    noted: bool = False
    basis: Basis = ""
