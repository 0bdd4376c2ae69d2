"""Values as people type them: decimals, fractions and units, read into SI and refused with a reason."""

import re
import unicodedata
from dataclasses import dataclass

from norvash.errors import InputError

LENGTHS = {"mm": 1.0, "cm": 10.0, "µm": 0.001, "in": 25.4, "thou": 0.0254}
HOURS = {"h": 1.0, "min": 1 / 60}
STARTS = {"starts": 1.0}
YEARS = {"years": 1.0, "months": 1 / 12, "weeks": 7 / 365.25, "days": 1 / 365.25}
FORCES = {"N": 1.0, "gf": 0.00980665, "kgf": 9.80665, "ozf": 0.2780139, "lbf": 4.4482216}
UNITS: dict[str, dict[str, float]] = {
    "length": LENGTHS,
    "hours": HOURS,
    "starts": STARTS,
    "years": YEARS,
    "force": FORCES,
    "torque": {"N·m": 1.0, "cN·m": 0.01, "in·lb": 0.112984829, "ft·lb": 1.355817948, "kgf·cm": 0.0980665},
    "spring rate": {"N/mm": 1.0},
    "voltage": {"V": 1.0, "mV": 0.001},
    "current": {"A": 1.0, "mA": 0.001},
    "power": {"W": 1.0, "kW": 1000.0},
    "speed": {"r/min": 1.0},
    "angle": {"°": 1.0},
    "pressure": {"kPa": 1.0, "psi": 6.894757, "gf/cm²": 0.0980665},
    "share": {"": 1.0, "%": 0.01},
    "density": {"A/cm²": 1.0},
    "area speed": {"m/s": 1.0},
    "count": {"": 1.0},
    "scale": {"": 1.0},
    "rate": {"mm/1000 h": 1.0},
    "metres": {"m": 1.0, "cm": 0.01},
    "area": {"mm²": 1.0},
    "temperature": {"°C": 1.0},
    "resistance": {"Ω": 1.0, "mΩ": 0.001, "kΩ": 1000.0, "MΩ": 1e6},
    "insulation": {"MΩ": 1.0, "kΩ": 0.001, "GΩ": 1000.0},
    "reading": {"": 1.0, "mΩ": 1.0, "mV": 1.0, "Ω": 1000.0, "V": 1000.0, "µΩ": 0.001, "µV": 0.001},
    "vibration": {"mm/s": 1.0},
    "minutes": {"min": 1.0, "h": 60.0},
    "seconds": {"s": 1.0, "min": 60.0},
    "rise": {"K": 1.0},
    "mass": {"kg": 1.0, "g": 0.001, "lb": 0.45359237},
    "dust": {"g": 1.0, "mg": 0.001},
}
_SPELLINGS = {
    '"': "in",
    "″": "in",
    "''": "in",
    "′′": "in",
    "inch": "in",
    "inches": "in",
    "thous": "thou",
    "mil": "thou",
    "mils": "thou",
    "um": "µm",
    "μm": "µm",
    "micron": "µm",
    "microns": "µm",
    "hr": "h",
    "hrs": "h",
    "hour": "h",
    "hours": "h",
    "mins": "min",
    "start": "starts",
    "year": "years",
    "yr": "years",
    "yrs": "years",
    "y": "years",
    "month": "months",
    "week": "weeks",
    "day": "days",
    "rpm": "r/min",
    "deg": "°",
    "percent": "%",
    "n": "N",
    "v": "V",
    "a": "A",
    "w": "W",
    "kw": "kW",
    "kpa": "kPa",
    "kg": "kgf",
    "g": "gf",
    "oz": "ozf",
    "lb": "lbf",
    "ma": "mA",
    "mv": "mV",
    "ohm": "Ω",
    "ohms": "Ω",
    "mohm": "mΩ",
    "kohm": "kΩ",
    "Mohm": "MΩ",
    "Gohm": "GΩ",
    "megohm": "MΩ",
    "Ω": "Ω",
    "mm2": "mm²",
    "c": "°C",
    "°c": "°C",
    "a/cm2": "A/cm²",
    "n/mm": "N/mm",
    "nm": "N·m",
    "n·m": "N·m",
    "cnm": "cN·m",
    "inlb": "in·lb",
    "lb·in": "in·lb",
    "in·lbf": "in·lb",
    "lbf·in": "in·lb",
    "ftlb": "ft·lb",
    "lb·ft": "ft·lb",
    "ft·lbf": "ft·lb",
    "lbf·ft": "ft·lb",
    "millimetre": "mm",
    "millimetres": "mm",
}
_NUMBER = re.compile(
    r"(?P<sign>[+-]?)\s*(?:(?:(?P<whole>[0-9]+)[\s-]+)?(?P<top>[0-9]+)\s*/\s*(?P<bottom>[0-9]+)"
    r"|(?P<decimal>[0-9]+(?:[.,][0-9]*)?|[.,][0-9]+))\s*(?P<unit>[^0-9\s.,+-][^\s]*)?"
)
# As it is written here: thousands apart by a space, and nothing that could be another number or a fraction behind.
_IN_GROUPS = re.compile(r"^[+-]?[0-9]{1,3}(?:\s[0-9]{3})+(?![0-9/]|\s*[0-9/])")
_THOUSANDS = re.compile(r"[0-9][\s'’][0-9]{3}(?![0-9/])|[0-9]*[.,][0-9]*[.,]")
# What an open circuit is called, and where that is read; people write M for MΩ.
_OPENS = ("resistance", "insulation")
_OPEN = ("open", "ol", "o.l", "o.l.", "o l", "∞", "inf", "infinite")
_MEG = re.compile(r"([0-9.,]+)\s*M$")
MOST_OHM = 1e12
_LONGEST_TEXT = 40
_MOST_DIGITS = 12
_EXAMPLES = {
    "length": '12.4, 12,4 mm, 0.488 in, 31/64" or 488 thou',
    "hours": "1240, 12.5 h or 90 min",
    "starts": "1240 or 1240 starts",
    "years": "4.5, 4.5 years or 54 months",
    "torque": "3, 3.0 N·m or 20 in·lb",
}
# What joins the units of a torque, however it is written.
_JOINED = re.compile(r"(?<=[A-Za-z])[\s·*.-]+(?=[A-Za-z])")


@dataclass(frozen=True, slots=True)
class Typed:
    """A value as it was typed: the text, the unit it was meant in, and the value in the SI unit.

    One that is over the range of its meter is `at_least` that; an open circuit is more than any meter shows.
    """

    text: str
    unit: str
    value: float
    at_least: bool = False


def parse(text: str, dimension: str, bare_unit: str | None = None) -> Typed:
    """Return the typed value in the first unit of its dimension (mm, h, N, …).

    Units: a bare number is in bare_unit, or in the first unit of the dimension.
    Raises: InputError with the reason and an example when it cannot be read for certain.

    >>> parse('31/64"', "length").value
    12.303125
    >>> parse("12,4 mm", "length").value
    12.4
    >>> round(parse("20 in-lb", "torque").value, 3)
    2.26
    >>> parse("1\u202f012 h", "hours").value
    1012.0
    """
    cleaned, units = _clean(text), UNITS[dimension]
    if dimension in _OPENS and (cleaned.startswith(">") or cleaned.lower() in _OPEN):
        return _over_range(text, cleaned, dimension)
    if dimension == "torque":
        cleaned = _JOINED.sub("·", cleaned)
    remedy = f"Write it like {_EXAMPLES.get(dimension, '12.4')}."
    if not cleaned:
        raise InputError("Nothing was typed.", remedy)
    if len(cleaned) > _LONGEST_TEXT or sum(c.isdigit() for c in cleaned) > _MOST_DIGITS:
        raise InputError(f"That is too long to be a reading ({len(text)} characters).", remedy)
    cleaned = _IN_GROUPS.sub(lambda number: "".join(number[0].split()), cleaned)
    if _THOUSANDS.search(cleaned):
        raise InputError(f"“{text}” has a thousands separator or two decimal marks.", f"Leave it out. {remedy}")
    match = _NUMBER.fullmatch(cleaned)
    if match is None:
        raise InputError(f"“{text}” cannot be read as a number.", remedy)
    unit = _unit(match["unit"], text, units, bare_unit)
    return Typed(text.strip(), unit, _number(match, text, remedy) * units[unit])


def _over_range(text: str, cleaned: str, dimension: str) -> Typed:
    """Return a resistance over the range of its meter: at least that range, of an open circuit more than any."""
    if cleaned.startswith(">"):
        over = parse(_MEG.sub(r"\1 MΩ", cleaned[1:].strip()), dimension)
        return Typed(text.strip(), over.unit, over.value, at_least=True)
    if dimension == "insulation":
        raise InputError(f"“{text}” says nothing of the meter's range.", "Write it like > 200 MΩ.")
    return Typed(text.strip(), next(iter(UNITS[dimension])), MOST_OHM, at_least=True)


def parse_count(text: str, least: int, most: int) -> int:
    """Return a whole number within bounds.

    Raises: InputError if it is not whole or out of bounds.
    """
    value = parse(text, "count").value
    if value != int(value) or not least <= value <= most:
        raise InputError(f"“{text}” does not fit here.", f"Give a whole number from {least} to {most}.")
    return int(value)


def _clean(text: str) -> str:
    """Fold width, minus signs and single-character fractions into plain characters."""
    spaced = "".join(f" {c}" if "FRACTION" in unicodedata.name(c, "") else c for c in text)
    folded = unicodedata.normalize("NFKC", spaced).replace("⁄", "/").replace("−", "-").replace("–", "-")
    return folded.strip()


def _unit(spelt: str | None, text: str, units: dict[str, float], bare_unit: str | None) -> str:
    if spelt is None:
        return bare_unit if bare_unit in units else next(iter(units))
    folded = _fold(spelt)
    for candidate in (spelt, folded, _SPELLINGS.get(spelt), _SPELLINGS.get(folded.lower()), folded.lower()):
        if candidate in units:
            return candidate
    known = ", ".join(u for u in units if u)
    raise InputError(
        f"The unit “{spelt}” in “{text}” does not belong here.", f"Use {known}." if known else "Leave the unit out."
    )


def _fold(spelt: str) -> str:
    return unicodedata.normalize("NFKC", spelt).replace("μ", "µ")


def _number(match: re.Match[str], text: str, remedy: str) -> float:
    sign = -1.0 if match["sign"] == "-" else 1.0
    if match["decimal"] is not None:
        return sign * float(match["decimal"].replace(",", "."))
    bottom = int(match["bottom"])
    if bottom == 0:
        raise InputError(f"“{text}” divides by nothing.", remedy)
    return sign * (int(match["whole"] or 0) + int(match["top"]) / bottom)


def shown(value: float, unit: str) -> float:
    """Return an SI value in the unit in which the person reads it.

    Raises: InputError for a unit that is not known.

    >>> round(shown(12.7, "in"), 3)
    0.5
    """
    for units in UNITS.values():
        if unit in units:
            return value / units[unit]
    raise InputError(f"The unit “{unit}” is not known.", "Use one of " + ", ".join(LENGTHS) + ".")


def better_units(value: float, low: float, high: float) -> tuple[str, ...]:
    """Return the length units in which a bare number would lie between low and high [mm]."""
    return tuple(unit for unit, factor in LENGTHS.items() if low < value * factor <= high)
