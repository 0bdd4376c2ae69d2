"""What belongs to an entry of a run-in: its points, and the plan that held when they were read."""

from dataclasses import dataclass

from norvash.core.running.log_typed import LogPoint


@dataclass(frozen=True, slots=True, kw_only=True)
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
