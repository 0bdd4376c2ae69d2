"""One reading of a brush, and the round in which a set was measured."""

from collections.abc import Collection, Mapping
from dataclasses import dataclass, field, replace
from datetime import datetime
from types import MappingProxyType

from norvash.core.sheet.finding import Noted
from norvash.core.sheet.given import Sight


@dataclass(frozen=True, slots=True, kw_only=True)
class Measured:
    """One position's reading in a round, as a length with its uncertainty [mm], any open doubt, and its id.

    `bare_mm` is the depth that was read where nothing told which length that is, `reference_mm` what a reading by its
    `method` was counted from where that was stated. `swapped` is the position at which its brush was before, 0 where it
    stayed at its own.
    """

    length_mm: float
    sd_mm: float
    low_mm: float
    high_mm: float
    lines: int | None = None
    doubt: str = ""
    doubt_rule: str = ""
    id: str = ""
    bare_mm: float | None = None
    method: str = ""
    reference_mm: float | None = None
    swapped: int = 0


@dataclass(frozen=True, slots=True, kw_only=True)
class Round:
    """One measured round of a set; total_units is the use when it was measured, `seen` are findings by position.

    It belongs to a sheet, unless it is older than those or `noted`, from notes, and then `by` says who measured. Of a
    round of the `shortest` only one brush was measured, and it stands for its set. Where a brush was measured again as
    it was left, `found` holds what was read before; `left` are the positions read then, `seen_left` is what was seen
    then, `seen_both` what was seen before too.
    """

    id: str
    at: datetime
    total_units: float
    kind: str
    finished: bool
    readings: dict[int, Measured]
    seen: tuple[Noted, ...] = ()
    sheet_id: str = ""
    found: Mapping[int, Measured] = field(default_factory=lambda: MappingProxyType({}))
    left: frozenset[int] = frozenset()
    seen_left: frozenset[tuple[int, str]] = frozenset()
    seen_both: frozenset[tuple[int, str]] = frozenset()
    noted: bool = False
    by: str = ""
    shortest: bool = False

    @property
    def as_found(self) -> "Round":
        """Return the round as its brushes were found."""
        seen = tuple((n, f) for n, f in self.seen if (n, f.id) not in self.seen_left - self.seen_both)
        readings = {n: m for n, m in self.readings.items() if n not in self.left} | dict(self.found)
        return replace(self, readings=dict(sorted(readings.items())), seen=seen, found={}, left=frozenset())

    def shows(self, position: int, finding_id: str, sight: Sight) -> bool:
        """Tell whether something was seen on the brush at a position in one sight."""
        this = (position, finding_id)
        if sight == "left":
            return this in self.seen_left
        seen = any((n, f.id) == this for n, f in self.seen)
        return seen and (this not in self.seen_left or this in self.seen_both)

    def without(self, positions: Collection[int]) -> "Round":
        """Return the round after some brushes were renewed: what was read of those before is only as found."""
        old = {n: m for n, m in self.readings.items() if n in positions and n not in self.left}
        if not old:
            return self
        readings = {n: m for n, m in self.readings.items() if n not in old}
        return replace(self, readings=readings, found={**self.found, **old})

    @property
    def stands_alone(self) -> bool:
        """Tell whether its one reading, of the shortest brush, stands for the set."""
        return self.shortest and len(self.readings) == 1

    @property
    def least(self) -> Measured:
        """Return the shortest of what was read."""
        return min(self.readings.values(), key=lambda m: m.length_mm)

    @property
    def held(self) -> frozenset[int]:
        """Return the positions at which the brush does not follow its wear: its reading proves nothing, until it is
        measured again as it was left.
        """
        return frozenset(n for n, f in self.seen if "holds-brush" in f.kinds and n not in self.left)

    @property
    def proving(self) -> "Round":
        """Return the round with those readings only that prove something."""
        if not self.held:
            return self
        return replace(self, readings={n: m for n, m in self.readings.items() if n not in self.held})
