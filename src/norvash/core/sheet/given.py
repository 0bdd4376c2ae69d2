"""What was entered on a sheet, one entry at a time."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime
from types import MappingProxyType
from typing import Literal

Kind = Literal["full", "quick"]


@dataclass(frozen=True, slots=True, kw_only=True)
class Given:
    """One entry that counts: its word or number, as typed, by whom and when.

    `more` holds what belongs to a decision.
    """

    id: str
    typed: str
    word: str
    number: float | None
    person: str
    at: datetime
    more: Mapping[str, str] = field(default_factory=lambda: MappingProxyType({}))

    @property
    def stands(self) -> bool:
        """Tell whether something stands there: an entry that was emptied again says nothing."""
        return bool(self.word) or self.number is not None


@dataclass(frozen=True, slots=True)
class Earlier:
    """What was entered in a field on the last sheet before this one that has it."""

    sheet: int
    given: Given
