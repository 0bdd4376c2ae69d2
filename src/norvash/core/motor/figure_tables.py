"""Figures that are small tables as people type them: speed settings, the scale of a spring."""

from itertools import pairwise

from norvash.core.text.quantities import parse
from norvash.errors import InputError


def speed_taps(text: str) -> tuple[float, ...]:
    """Return the expected shares of the supply of the speed settings, lowest first; empty text gives none.

    Raises: InputError unless they rise.
    """
    if not text.strip():
        return ()
    try:
        shares = tuple(parse(part, "share").value for part in text.split(";"))
    except InputError:
        raise InputError(f"“{text}” is not a list of shares.", "Write it like 0.45; 0.62; 1.", "speed_taps") from None
    if len(shares) > 12 or not all(0 < a <= 1.5 for a in shares) or any(b <= a for a, b in pairwise(shares)):
        raise InputError(
            "The shares do not rise from setting to setting.",
            "Write the lowest first, like 0.45; 0.62; 1.",
            "speed_taps",
        )
    return shares


def spring_table(text: str) -> tuple[tuple[float, float], ...]:
    """Return the calibrated points (scale, length [mm]) of a spring position scale, by rising scale.

    Raises: InputError unless there are two points or more and the length only falls or only rises.
    """
    try:
        points = sorted(
            (parse(a, "scale").value, parse(b, "length").value) for a, b in (p.split("=") for p in text.split(";"))
        )
    except (ValueError, InputError):
        raise InputError(
            f"“{text}” is not a table of scale and length.", "Write it like 0=22; 5=14; 10=6.", "spring_table"
        ) from None
    lengths = [mm for _, mm in points]
    if len({s for s, _ in points}) < max(len(points), 2) or lengths not in (
        sorted(set(lengths)),
        sorted(set(lengths), reverse=True),
    ):
        raise InputError(
            "The lengths of the table go up and down, or a mark stands twice.", "Give each mark once.", "spring_table"
        )
    return tuple(points)
