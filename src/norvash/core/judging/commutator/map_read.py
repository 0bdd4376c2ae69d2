"""What a bar map is read against, and what it says."""

from dataclasses import dataclass

from norvash.core.commutator.armature import Armature
from norvash.core.commutator.pattern import Searched
from norvash.core.sheet.finding import Finding


@dataclass(frozen=True, slots=True, kw_only=True)
class Wound:
    """What a map is read against; arms are the angles of the brush arms [°], covered the bars under one brush."""

    bars: int
    poles: int | None = None
    slots: int | None = None
    winding: str = "unknown"
    pitch: int | None = None
    arms_deg: tuple[float, ...] = ()
    covered_bars: float | None = None

    @property
    def pairs(self) -> int:
        """Return the pole pairs, one where the poles are not known."""
        return max((self.poles or 2) // 2, 1)

    @property
    def armature(self) -> Armature:
        """Return the same armature as a bar test sees it."""
        return Armature(bars=self.bars, pole_pairs=self.pairs, winding=self.winding, pitch=self.pitch, slots=self.slots)


@dataclass(frozen=True, slots=True)
class Saying:
    """One thing that a map says: its words, the finding it stands for, None without one, the bars, and rules."""

    words: str
    finding: Finding | None = None
    bars: tuple[int, ...] = ()
    rules: tuple[str, ...] = ()

    @property
    def brief(self) -> str:
        """Return what it says without its reasons."""
        first = self.words.split(":")[0].split(";")[0]
        return f"marked {first}" if first.startswith("every ") else first


@dataclass(frozen=True, slots=True)
class MapRead:
    """A map as read: spots, the search for spacings, the name of the pattern, sayings, and why the bar test is needed,
    if it is.
    """

    spots: tuple[int, ...]
    searched: Searched
    pattern: str
    sayings: tuple[Saying, ...]
    bar_test: str
