"""A fan's shroud in the middle: half the difference of opposite gaps is how far it is out."""

from collections.abc import Sequence

from norvash.core.edges import over

_SIDES = ("the top", "the right", "the bottom", "the left")
_TURN = 4
# What nobody can set by hand is left [mm].
_LEAST_MM = 0.05


def shroud_words(gaps_mm: Sequence[float | None]) -> str:
    """Return how to shift a shroud whose gaps were read from the top with the clock [mm]; empty without all four.

    Units: [mm]. Source: half the difference of gaps that face each other

    >>> shroud_words((3.0, 2.0, 2.0, 2.0))
    'shift the shroud by 0.50 mm to the bottom'
    >>> shroud_words((2.0, 2.0, 2.0, 2.05))
    'the shroud is in the middle'
    """
    read = [x for x in gaps_mm if x is not None]
    if len(gaps_mm) != _TURN or len(read) != _TURN:
        return ""
    shifts = []
    for n in (0, 1):
        out = (read[n] - read[n + 2]) / 2
        if over(abs(out), _LEAST_MM):
            shifts.append(f"{abs(out):.2f} mm to {_SIDES[n + 2] if out > 0 else _SIDES[n]}")
    return f"shift the shroud by {' and '.join(shifts)}" if shifts else "the shroud is in the middle"
