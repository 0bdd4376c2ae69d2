"""What a ball bearing's number says: series, bore, outside diameter, width, seals, clearance."""

import re
from dataclasses import dataclass

from norvash.errors import InputError

# Outside diameter and width by bore code, from the standard plan of boundary dimensions of deep-groove ball bearings [mm].
_BIG: dict[str, tuple[tuple[float, float], ...]] = {
    "60": ((26, 8), (28, 8), (32, 9), (35, 10), (42, 12), (47, 12), (55, 13), (62, 14), (68, 15), (75, 16), (80, 16), (90, 18), (95, 18),
           (100, 18), (110, 20), (115, 20), (125, 22), (130, 22), (140, 24), (145, 24), (150, 24)),
    "62": ((30, 9), (32, 10), (35, 11), (40, 12), (47, 14), (52, 15), (62, 16), (72, 17), (80, 18), (85, 19), (90, 20), (100, 21), (110, 22),
           (120, 23), (125, 24), (130, 25), (140, 26), (150, 28), (160, 30), (170, 32), (180, 34)),
    "63": ((35, 11), (37, 12), (42, 13), (47, 14), (52, 15), (62, 17), (72, 19), (80, 21), (90, 23), (100, 25), (110, 27), (120, 29), (130, 31),
           (140, 33), (150, 35), (160, 37), (170, 39), (180, 41), (190, 43), (200, 45), (215, 47)),
}  # fmt: skip
_SMALL: dict[str, dict[int, tuple[float, float]]] = {
    "60": {3: (9, 3), 4: (12, 4), 5: (14, 5), 6: (17, 6), 7: (19, 6), 8: (22, 7), 9: (24, 7)},
    "62": {3: (10, 4), 4: (13, 5), 5: (16, 5), 6: (19, 6), 7: (22, 7), 8: (24, 8), 9: (26, 8)},
    "63": {4: (16, 5), 5: (19, 6)},
}
_FIRST_BORES = (10.0, 12.0, 15.0, 17.0)
_SEALS = {
    "Z": "one metal shield", "2Z": "metal shields on both sides", "ZZ": "metal shields on both sides", "RS": "one rubber seal",
    "2RS": "rubber seals on both sides", "RS1": "one rubber seal", "2RS1": "rubber seals on both sides", "RZ": "one non-rubbing seal",
    "2RZ": "non-rubbing seals on both sides",
}  # fmt: skip
_CLEARANCES = {
    "C2": "less than normal",
    "CN": "normal",
    "C3": "more than normal",
    "C4": "more than C3",
    "C5": "more than C4",
}
_BOTH = ("2Z", "ZZ", "2RS", "2RS1", "2RZ")
_FORM = re.compile(r"(60|62|63)([0-9]{1,2})(.*)")


@dataclass(frozen=True, slots=True)
class Bearing:
    """A deep-groove ball bearing by its number; lengths [mm]."""

    designation: str
    series: str
    bore_mm: float
    outside_mm: float
    width_mm: float
    seal: str
    sealed: bool
    clearance: str
    unknown: tuple[str, ...]


def decode(text: str) -> Bearing:
    """Return what a number says.

    Raises: InputError for a series or bore code that is not in the table.

    >>> found = decode("6204-2RS C3")
    >>> (found.bore_mm, found.outside_mm, found.width_mm, found.seal)
    (20.0, 47, 14, 'rubber seals on both sides')
    """
    cleaned = " ".join(text.upper().replace("/", " ").replace("-", " ").split())
    match = _FORM.match(cleaned.replace(" ", "", 1) if re.match(r"6[023] [0-9]", cleaned) else cleaned)
    if match is None:
        raise InputError(f"“{text[:30]}” is not in the table.", "It knows series 60, 62 and 63, like 6204-2RS or 608 ZZ; else give the dimensions.", "designation")  # fmt: skip
    series, code, rest = match[1], match[2], match[3]
    bore, (outside, width) = _dimensions(series, code, text)
    seal, clearance, unknown = "open", "normal", []
    for part in _suffixes(rest):
        if part in _SEALS:
            seal = _SEALS[part]
        elif part in _CLEARANCES:
            clearance = _CLEARANCES[part]
        else:
            unknown.append(part)
    sealed = any(part in _BOTH for part in _suffixes(rest))
    return Bearing(cleaned, series, bore, outside, width, seal, sealed, clearance, tuple(unknown))


def _suffixes(rest: str) -> list[str]:
    spaced = re.sub(r"(C[2-5N])\b", r" \1 ", rest)
    return spaced.split()


def _dimensions(series: str, code: str, text: str) -> tuple[float, tuple[float, float]]:
    if len(code) == 1:
        small = _SMALL[series].get(int(code))
        if small is not None:
            return float(code), small
    elif int(code) < len(_BIG[series]):
        number = int(code)
        return _FIRST_BORES[number] if number < 4 else number * 5.0, _BIG[series][number]
    raise InputError(f"The bore code of “{text[:30]}” is not in the table.", "It goes up to code 20, a bore of 100 mm; else give the dimensions.", "designation")  # fmt: skip
