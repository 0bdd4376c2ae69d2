"""Texts as people type them: kept in one form of Unicode, refused where something unseen stands in them, compared by
what is read.
"""

import unicodedata
from functools import lru_cache

from norvash.errors import InputError

_LONGEST = 80
_JOINERS = "\u200c\u200d"
# Scripts whose letters are written otherwise with a joiner between them, by the first word of a letter's name.
_JOINED = frozenset(
    (
        "ARABIC",
        "BENGALI",
        "DEVANAGARI",
        "GUJARATI",
        "GURMUKHI",
        "KANNADA",
        "KHMER",
        "MALAYALAM",
        "MANDAIC",
        "MONGOLIAN",
        "MYANMAR",
        "NKO",
        "ORIYA",
        "SINHALA",
        "SYRIAC",
        "TAMIL",
        "TELUGU",
        "TIBETAN",
    )
)
_BREAKS = "\t\n\r\u2028\u2029"
_UNSEEN = ("Cc", "Cf", "Cs")
# Characters that show nothing although they count as letters or marks: fillers, a blank of Braille, choosers of a form.
_BLANK = frozenset(
    "\u034f\u115f\u1160\u17b4\u17b5\u180b\u180c\u180d\u180f\u2800\u3164\uffa0"
    + "".join(map(chr, (*range(0xFE00, 0xFE10), *range(0xE0100, 0xE01F0))))
)
_SAID = {
    "\x00": "a zero byte",
    "\ufeff": "a byte order mark",
    "\u00ad": "a soft hyphen",
    "\u200b": "a space without width",
}


def clean(text: str, field: str | None = None, *, note: bool = False) -> str:
    """Return a text as typed, without blanks around it, in Unicode's form NFC.

    In a `note` line breaks and tabs may stand, and what chooses the form of a sign. Raises: InputError for control
    characters, marks that turn the direction of writing, fillers and other characters that nobody sees; joiners may
    stand between letters of scripts that need them.

    >>> clean(" Cafe\\u0301 ")
    'Café'
    """
    made = unicodedata.normalize("NFC", text.strip(" " + _BREAKS))
    for at, c in enumerate(made):
        unseen = unicodedata.category(c) in _UNSEEN or c in "\u2028\u2029"
        if not unseen and (note or c not in _BLANK):
            continue
        joins = c in _JOINERS and _joins(made, at)
        if joins or (note and c in _BREAKS):
            continue
        what = _SAID.get(c, "a line break or a tab" if c in _BREAKS else f"the unseen character U+{ord(c):04X}")
        raise InputError(f"Character {at + 1} of the text is {what}.", "Type it again instead of pasting it.", field)
    return made


def _joins(text: str, at: int) -> bool:
    """Tell whether a joiner stands between two letters of a script that needs it."""
    around = text[at - 1 : at] + text[at + 1 : at + 2]
    scripts = {unicodedata.name(c, "").split(" ")[0] for c in around if unicodedata.category(c)[0] in "LM"}
    return len(around) == 2 and len(scripts) == 1 and scripts <= _JOINED


@lru_cache(2048)
def compared(text: str) -> str:
    """Return what two names are compared by: compatible letters are one, and case, blanks and punctuation do not count.

    A text of nothing else is compared by itself.

    >>> compared("T-11"), compared("t 11"), compared("Ｔ１１")
    ('t11', 't11', 't11')
    """
    folded = unicodedata.normalize("NFKC", unicodedata.normalize("NFKC", text).casefold())
    read = "".join(c for c in folded if unicodedata.category(c)[0] not in "PZC")
    return unicodedata.normalize("NFKC", read) or folded.strip()


def words_of(field: str, text: str, what: str) -> str:
    """Return a short text as typed.

    Raises: InputError if it is empty or too long, or holds what nobody sees.
    """
    text = clean(text, field)
    if not text:
        raise InputError(f"{what} is missing.", "Type it here.", field)
    if len(text) > _LONGEST:
        raise InputError(f"{what} has {len(text)} characters.", f"Use at most {_LONGEST}.", field)
    return text
