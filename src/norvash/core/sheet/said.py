"""One thing that was worked out at a stage."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Said:
    """One thing that was worked out: words, whether it is right (None says nothing), and its rules; one that could not
    be judged says what that lacks.
    """

    words: str
    right: bool | None = None
    rules: tuple[str, ...] = ()
    unjudged: bool = False
