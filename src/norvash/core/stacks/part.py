"""One part that came off, or that goes back: its kind, how many, its sizes, how it lies."""

from dataclasses import dataclass

from norvash.core.stacks.kinds import KINDS, PartKind, Where


@dataclass(frozen=True, slots=True, kw_only=True)
class StackPart:
    """Parts of one kind that lie together: `count` of them, each so long along the axis and so wide across it [mm],
    None where nobody measured it; a thread `size` like M8 × 25; how they lie `round`; what they are made of; whether
    they stay on the shaft. `name` is what the person calls them, empty where the kind says it. A count of 0 says that
    it is not there.
    """

    where: Where
    kind: str
    count: int = 1
    long_mm: float | None = None
    across_mm: float | None = None
    size: str = ""
    round: str = ""
    material: str = ""
    stays: bool = False
    name: str = ""

    @property
    def of(self) -> PartKind:
        """Return its kind."""
        return KINDS[self.where][self.kind]

    @property
    def called(self) -> str:
        """Return what it is called, in the plural of several."""
        name = self.name or self.kind
        return name if self.count == 1 or name.endswith("s") else f"{name}s"

    @property
    def sizes(self) -> str:
        """Return its sizes, empty where none is known."""
        if self.size:
            return self.size
        if self.long_mm is None and self.across_mm is None:
            return ""
        long = "–" if self.long_mm is None else f"{self.long_mm:g}"
        return f"{long} × {self.across_mm:g}" if self.across_mm is not None else long

    @property
    def reach_mm(self) -> float:
        """Return how long a counted part is: its thread's length, its own, or a usual one [mm]."""
        _, _, long = self.size.partition("× ")
        return float(long) if long else self.long_mm or self.of.long_mm

    @property
    def lies(self) -> str:
        """Return how it lies and what it is made of."""
        return ", ".join(filter(None, (self.round, self.material, "stays on the shaft" if self.stays else "")))

    @property
    def words(self) -> str:
        """Return it in words, as somebody would write it."""
        if self.count == 0:
            return f"{self.name or self.kind}: not there"
        count = f"{self.count} " if self.count > 1 else ""
        return ", ".join(filter(None, (f"{count}{self.called} {self.sizes}".strip(), self.lies)))
