"""One thing that keeps a gate shut: its id, its words, and whether somebody may waive it."""

from dataclasses import dataclass

from norvash.core.sheet.field import Field, Pick, Text


@dataclass(frozen=True, slots=True, kw_only=True)
class Held:
    """One thing that keeps a gate, or the signature, shut.

    Only what is not known has a `waiver`: the field in which somebody waives it, by name and with a reason. `read` are
    the fields that would tell it: where something in them was taken back at this visit, it is not waived before another
    reading. What is `of_run` was shown by the run itself: no other run before it is mended, yet what is left to be read
    of that one is still entered.
    """

    id: str
    words: str
    waiver: Text | Pick | None = None
    read: tuple[Field, ...] = ()
    of_run: bool = False


def held(words: str) -> Held:
    """Return what keeps something shut and is never waived: it is settled, and known by its words."""
    return Held(id=words, words=words)
