"""One thing to decide on a sheet."""

from dataclasses import dataclass

from norvash.core.sheet.finding import Finding
from norvash.core.sheet.given import Given


@dataclass(frozen=True, slots=True)
class Matter:
    """One thing to decide: where, what, how grave, and what was decided, None while it is open."""

    place: str
    finding: Finding
    position: int
    decided: Given | None

    @property
    def settled(self) -> bool:
        """Tell whether it is decided, and who sees to it and when if it is put off."""
        if self.decided is None:
            return False
        return self.decided.word != "deferred" or self.decided.put_off is not None
