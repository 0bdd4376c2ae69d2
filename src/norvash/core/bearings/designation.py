"""What a ball bearing's number says: series, bore, outside diameter, width, seals, clearance."""

import re
from dataclasses import dataclass

from norvash.core.bearings.dimensions import BY_BORE, BY_CODE, FIRST_BORES, Size
from norvash.errors import InputError

RUBBING = ("2RS", "2RS1", "2RSH", "2RSR", "DDU", "LLU", "EE", "2RU", "2NSE")
FREE = ("2RSL", "2RZ", "VV", "LLB", "2Z", "ZZ")
ONE_SIDE = ("Z", "RS", "RS1", "RSH", "RSR", "RSL", "RZ", "DU", "LU", "LB", "V")
CLEARANCES = {
    "C2": "less than normal",
    "CN": "normal",
    "C3": "more than normal",
    "C4": "more than C3",
    "C5": "more than C4",
}
# What says nothing of seals: grooves, snap rings, cages, classes of accuracy.
NO_SEAL = ("N", "NR", "J", "M", "TN9", "P5", "P6")
_KNOWN = (*RUBBING, *FREE, *ONE_SIDE, *CLEARANCES, *NO_SEAL)
_NUMBER = re.compile(r"([0-9]+)(?: ([0-9]{1,2})(?![0-9A-Z/]))?(?:/([0-9]+)(?![0-9/]))?")
_INCH = re.compile(r"[0-9]+/[0-9]+")
_LOOK = "Look it up in the maker's list, or give the dimensions."


@dataclass(frozen=True, slots=True, kw_only=True)
class Bearing:
    """A deep-groove ball bearing by its number; lengths [mm].

    `sealed` tells whether both sides are closed, `rubbing` whether its seals rub, `perhaps` whether a suffix may mean a
    seal.
    """

    designation: str
    series: str
    bore_mm: float
    outside_mm: float
    width_mm: float
    seal: str
    sealed: bool
    rubbing: bool
    perhaps: bool
    clearance: str
    unknown: tuple[str, ...]

    @property
    def size(self) -> tuple[float, float, float]:
        """Return its bore, outside and width [mm]."""
        return self.bore_mm, self.outside_mm, self.width_mm

    @property
    def greased(self) -> bool:
        """Tell whether it may take grease: it is open, on one side at least, beyond doubt."""
        return not self.sealed and not self.perhaps

    @property
    def closed(self) -> bool:
        """Tell whether a seal or a shield bounds the heat that it bears, or may do so."""
        return self.perhaps or self.seal != "open"


def decode(text: str) -> Bearing:
    """Return what a number says.

    Raises: InputError for a number that is not in the table, one of another numbering, or one that contradicts itself.

    >>> found = decode("6204-2RS C3")
    >>> (found.bore_mm, found.outside_mm, found.width_mm, found.seal)
    (20.0, 47, 14, 'rubbing seals on both sides')
    >>> found = decode("62206 2Z")
    >>> (found.series, found.bore_mm, found.outside_mm, found.width_mm, found.rubbing)
    ('622', 30.0, 62, 20, False)
    """
    cleaned = " ".join(text.upper().replace("-", " ").split())
    match = _NUMBER.match(cleaned)
    if match is None:
        raise _not_in_table(text)
    digits, behind = match[1] + (match[2] or ""), match[3]
    rest = cleaned[match.end() :]
    if behind is not None and digits not in BY_BORE:
        behind, rest = None, f"/{match[3]}{rest}"
    if _INCH.search(rest):
        raise InputError(
            f"“{text[:30]}” has a bore in inches, not that of its number.",
            "Measure the bore and give it in mm.",
            "designation",
        )
    series, bore, (outside, width) = _size(digits, behind, text)
    parts = [token for piece in re.split(r"[ /]+", rest) if piece for token in _tokens(piece)]
    clearances = [CLEARANCES[p] for p in parts if p in CLEARANCES]
    seals = [p for p in parts if p in (*RUBBING, *FREE, *ONE_SIDE)]
    if len(clearances) > 1 or len(seals) > 1:
        what = "clearances" if len(clearances) > 1 else "seals"
        raise InputError(
            f"“{text[:30]}” names two {what}.", "Read the ring again: one of them stands on it.", "designation"
        )
    unknown = tuple(p for p in parts if p not in _KNOWN)
    seal = seals[0] if seals else ""
    perhaps = bool(unknown) and seal not in (*RUBBING, *FREE)
    return Bearing(
        designation=cleaned,
        series=series,
        bore_mm=bore,
        outside_mm=outside,
        width_mm=width,
        seal=_seal_words(seal, perhaps),
        sealed=seal in (*RUBBING, *FREE),
        rubbing=seal in RUBBING,
        perhaps=perhaps,
        clearance=clearances[0] if clearances else "normal",
        unknown=unknown,
    )


def _not_in_table(text: str) -> InputError:
    return InputError(
        f"“{text[:30]}” is not in the table.",
        f"It knows series 60, 62, 63, 160, 618, 619, 622, 623 and 630, like 6204-2RS or 608 ZZ. {_LOOK}",
        "designation",
    )


def _size(digits: str, behind: str | None, text: str) -> tuple[str, float, Size]:
    """Return series, bore and size; every digit must have its meaning."""
    if behind is not None:
        found = BY_BORE[digits].get(float(behind))
        if found is not None:
            return digits, float(behind), found
    elif len(digits) == 3:
        found = BY_BORE.get(digits[:2], {}).get(float(digits[2]))
        if found is not None:
            return digits[:2], float(digits[2]), found
    else:
        series = next((s for s in BY_CODE if digits.startswith(s) and len(digits) == len(s) + 2), "")
        code = digits[len(series) :]
        if series and code in BY_CODE[series]:
            number = int(code)
            return series, FIRST_BORES[number] if number < len(FIRST_BORES) else number * 5.0, BY_CODE[series][code]
        if series:
            raise InputError(f"The bore code of “{text[:30]}” is not in the table.", _LOOK, "designation")
    raise _not_in_table(text)


def _tokens(piece: str) -> list[str]:
    """Return the suffixes that are written together, the piece as it is where one of them is not known."""
    if not piece:
        return []
    for known in sorted(_KNOWN, key=len, reverse=True):
        if piece.startswith(known):
            rest = _tokens(piece[len(known) :])
            if all(r in _KNOWN for r in rest):
                return [known, *rest]
    return [piece]


def _seal_words(seal: str, perhaps: bool) -> str:
    if seal in RUBBING:
        return "rubbing seals on both sides"
    if seal in FREE:
        return "metal shields on both sides" if seal in ("2Z", "ZZ") else "seals that do not rub on both sides"
    one = {"Z": "one metal shield", "V": "one seal that does not rub"}.get(seal, "one seal") if seal else ""
    return ", ".join(filter(None, (one, "perhaps sealed" if perhaps else ""))) or "open"
