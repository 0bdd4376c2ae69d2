"""One figure under the line."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class LineFigure:
    """One figure of the line: its value with its unit, what it is of, and what stands beside it, which may be empty."""

    value: str
    words: str
    beside: str = ""

    def as_plain(self) -> dict[str, str]:
        """Return it as JSON has it."""
        return {"value": self.value, "words": self.words, "beside": self.beside}
