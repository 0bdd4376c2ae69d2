"""What a name looks like to whoever reads it: letters of other scripts, and 1, l, 0, O, that look the same are one."""

import unicodedata
from functools import lru_cache

from norvash.core.text.texts import compared


@lru_cache(4096)
def looks(text: str) -> str:
    """Return what two names are told apart by at a glance; two that look alike have the same.

    Source: the table of characters that look alike of the package confusable-homoglyphs

    >>> looks("T-10") == looks("T-1O") == looks("Т-l0"), looks("T-10") == looks("T-70")
    (True, False)
    """
    plain = unicodedata.normalize("NFKC", text)
    return compared("".join(map(_shape, compared("".join(map(_shape, plain))))))


@lru_cache(4096)
def _shape(letter: str) -> str:
    """Return the one character that stands for all that look like it: the plainest of them."""
    from confusable_homoglyphs.confusables import confusables_data

    same: set[str] = {letter, *(x["c"] for x in confusables_data.get(letter, ()) if len(x["c"]) == 1)}
    return min(same, key=lambda c: (not c.isascii(), not c.isalpha(), c.isupper(), c))
