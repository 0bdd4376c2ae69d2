"""One thing that a person can say of a motor, as it is told to its record.

It carries what was worked out when it was made: a length with its uncertainty and doubt, the sight of which it speaks,
what a field leaves for good. To apply it nothing else is read, and to keep it nothing else is needed.
"""

from abc import ABC, abstractmethod

from norvash.core.record.record import Record


class Said(ABC):
    """Something that is said of a motor; what it does to the record is said here only."""

    __slots__ = ()

    @abstractmethod
    def applied(self, record: Record) -> Record:
        """Return the record after it; neither rules nor rows nor the clock are read."""


def apply(record: Record, *said: Said) -> Record:
    """Return the record after entries, one after the other."""
    for each in said:
        record = each.applied(record)
    return record
