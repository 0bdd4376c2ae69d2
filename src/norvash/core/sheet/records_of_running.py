"""What belongs to an entry of a run-in: its points, and the plan that held when they were read."""

from dataclasses import dataclass
from functools import cached_property

from norvash.core.edges import over
from norvash.core.running.log_typed import LogPoint


@dataclass(frozen=True, kw_only=True)
class RunLog:
    """Points of a run-in, each at its minute, with the most volts [V] and amps [A] of the plan at each of them then,
    None where nothing said it.
    """

    points: tuple[LogPoint, ...]
    most: tuple[tuple[float | None, float | None], ...] = ()

    @property
    def words(self) -> str:
        """Return it in words."""
        return "; ".join(p.words for p in self.points)

    @cached_property
    def beyond(self) -> tuple[int, ...]:
        """Return which of its points are over the plan as it was then."""
        pairs = enumerate(zip(self.points, self.most, strict=False))
        return tuple(n for n, (p, (v, a)) in pairs if _more(p.v, v) or _more(p.a, a))

    @cached_property
    def worst_sparks(self) -> int:
        """Return the strongest sparks of it, 0 where none were seen."""
        return max((p.sparks for p in self.points if p.sparks is not None), default=0)

    @cached_property
    def fastest_rpm(self) -> float | None:
        """Return the fastest speed of it [r/min], None where none was read."""
        return max((p.rpm for p in self.points if p.rpm is not None), default=None)


def _more(value: float | None, most: float | None) -> bool:
    return value is not None and most is not None and over(value, most)
