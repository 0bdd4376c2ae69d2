"""One thing that was worked out at a stage."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Said:
    """One thing that was worked out: words, whether it is right (None says nothing), and its rules."""

    words: str
    right: bool | None = None
    rules: tuple[str, ...] = ()


class Unjudged(Said):
    """One that could not be judged: its words say what that lacks."""
