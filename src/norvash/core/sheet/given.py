"""What was entered on a sheet, one entry at a time."""

from dataclasses import dataclass, field
from datetime import datetime
from typing import Literal

from norvash.core.sheet.records import CutRecord, PermitRecord, PutOff, Record, Why
from norvash.core.sheet.records_of_parts import TakenFor

Kind = Literal["full", "quick"]
# Of what a value speaks: the part as it was found, or as it was left after work on it; “asked” is not said yet.
Sight = Literal["found", "left", "asked"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Given:
    """One entry that counts: its word or number, as typed, by whom and when.

    `record` is what belongs to it: of a decision, a permit, a cut, a column, a map. `sight` says of what it speaks, and
    `slip` that what it replaced was mistyped; `from_file` that it was played in and not entered here; `seq` is its
    place in the order of writing, 0 before it is written.
    """

    id: str
    typed: str
    word: str
    number: float | None
    person: str
    at: datetime
    record: Record | None = None
    sight: Sight = "found"
    slip: bool = False
    from_file: bool = False
    seq: int = field(default=0, compare=False)

    @property
    def stands(self) -> bool:
        """Tell whether something stands there: an entry that was emptied again says nothing."""
        return bool(self.word) or self.number is not None

    @property
    def put_off(self) -> PutOff | None:
        """Return who sees to it by when, None unless it is put off."""
        return self.record if isinstance(self.record, PutOff) else None

    @property
    def why(self) -> str:
        """Return its reason, empty without one."""
        return self.record.why if isinstance(self.record, Why | TakenFor | PutOff) else ""

    @property
    def cut(self) -> CutRecord | None:
        """Return the cut that it records, None for another entry."""
        return self.record if isinstance(self.record, CutRecord) else None

    @property
    def permit(self) -> PermitRecord | None:
        """Return the test with power on that it permits, None for another entry."""
        return self.record if isinstance(self.record, PermitRecord) else None


@dataclass(frozen=True, slots=True)
class Earlier:
    """What was entered in a field on the last sheet before this one that has it."""

    sheet: int
    given: Given
