"""What is known as a whole, or not at all."""

from typing import TypeVar

T = TypeVar("T")


def all_known(*values: T | None) -> tuple[T, ...] | None:
    """Return the values in their order, None where one of them is not known.

    >>> all_known(1.5, 0.0), all_known(1.5, None)
    ((1.5, 0.0), None)
    """
    known = tuple(v for v in values if v is not None)
    return known if len(known) == len(values) else None
