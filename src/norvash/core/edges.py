"""When a value is at a limit: one tolerance for every sum, every judgement and every unit that a value was typed in."""

from math import ceil, floor, isclose

_RELATIVE = 1e-9
# What adding up and converting leave of a difference, in mm, N, V and their like.
_NOTHING = 1e-9


def same(value: float, limit: float) -> bool:
    """Tell whether a value is the limit, to a thousand millionth of it or of one.

    >>> same(0.1 + 0.2, 0.3), same(0.3001, 0.3)
    (True, False)
    """
    return isclose(value, limit, rel_tol=_RELATIVE, abs_tol=_NOTHING)


def over(value: float, limit: float) -> bool:
    """Tell whether a value is over its limit; one that is the limit is not."""
    return value > limit and not same(value, limit)


def under(value: float, limit: float) -> bool:
    """Tell whether a value is under its limit; one that is the limit is not."""
    return value < limit and not same(value, limit)


def within(low: float, value: float, high: float) -> bool:
    """Tell whether a value lies in a band; its edges belong to it."""
    return not under(value, low) and not over(value, high)


def whole_up(value: float) -> int:
    """Return the least whole number that is not under a value.

    >>> whole_up(3.0000000001), whole_up(3.1)
    (3, 4)
    """
    near = round(value)
    return near if same(value, near) else ceil(value)


def whole_down(value: float) -> int:
    """Return the greatest whole number that is not over a value.

    >>> whole_down(2.9999999999), whole_down(2.9)
    (3, 2)
    """
    near = round(value)
    return near if same(value, near) else floor(value)
