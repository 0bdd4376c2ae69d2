"""Shares as people type them: in per cent, with its sign or without."""

import re

from norvash.errors import InputError

# Over this a bare number is in per cent; up to it could be either.
_MOST_BARE = 1.5
_BARE = re.compile(r"[+-]?(?:[0-9]+(?:[.,][0-9]*)?|[.,][0-9]+)")


def in_per_cent(dimension: str, high: float) -> bool:
    """Tell whether what goes up to `high` is a share of a whole, which people type in per cent; one over it is a
    multiple.
    """
    return dimension == "share" and high <= 1


def with_sign(text: str) -> str:
    """Return a share with its sign where it can only be in per cent: a bare number over 1.5.

    >>> with_sign("85"), with_sign("85 %"), with_sign("0.85"), with_sign("5/8")
    ('85 %', '85 %', '0.85', '5/8')
    """
    bare = text.strip()
    return f"{bare} %" if _BARE.fullmatch(bare) and _value(bare) > _MOST_BARE else text


def asked_sign(text: str) -> None:
    """Ask which is meant by a bare number that could be a share or per cent.

    Raises: InputError at “value”.
    """
    bare = text.strip()
    if _BARE.fullmatch(bare) and 0 < _value(bare) <= _MOST_BARE:
        whole = f"{100 * _value(bare):.6g} %"
        raise InputError(f"Is “{bare}” meant as {bare} % or as {whole}?", "Type it with the sign: %.", "value")


def _value(bare: str) -> float:
    return float(bare.replace(",", "."))
