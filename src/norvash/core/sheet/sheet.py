"""A bench sheet as it was read: one visit to one motor, and what was entered on it."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import datetime
from types import MappingProxyType

from norvash.core.sheet.facts import Facts
from norvash.core.sheet.given import Earlier, Given, Kind


@dataclass(frozen=True, slots=True, kw_only=True)
class Sheet:
    """One visit to one motor; entries by field and place, place 0 where there is only one.

    `earlier` is of fields that are compared.
    """

    id: str
    number: int
    kind: Kind
    at: datetime
    person: str
    facts: Facts
    entries: Mapping[tuple[str, int], Given]
    signed_at: datetime | None = None
    earlier: Mapping[str, Earlier] = field(default_factory=lambda: MappingProxyType({}))
