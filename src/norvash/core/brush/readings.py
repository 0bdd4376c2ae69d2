"""A reading by any method becomes a length with its uncertainty."""

from dataclasses import dataclass, replace
from itertools import pairwise
from math import sqrt

from norvash.core.brush.carbon import taper_deg
from norvash.core.brush.gauged import depth_and_length_mm, reference_mm, shows_depths, tells_length
from norvash.core.edges import over
from norvash.core.motor.figure_fields import (
    DEPTH_LIMIT_MM,
    FACE_ANGLE_DEG,
    LENGTH_UNIT,
    MEASURED_BY,
    MEASURED_WITH,
    NEW_MM,
    PROTRUSION_CONSTANT_MM,
    SPRING_TABLE,
    THICKNESS_MM,
    WEAR_LINES,
)
from norvash.core.motor.figure_tables import spring_table
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.core.rules.readings import INSTRUMENT
from norvash.core.text.quantities import Typed, better_units, parse, parse_count
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Reading:
    """A length as read: raw value and unit as typed, length and standard uncertainty, interval if it is one.

    Units: raw_value in the method's own unit (mm, lines, share, scale), all others [mm].
    `bare_mm` is what a depth gauge showed where nothing tells which length that is: then its length is one on a scale
    of which only differences and the limit are true. `reference_mm` is what a reading by its `method`
    is counted from.
    """

    typed: str
    unit: str
    raw_value: float
    length_mm: float
    sd_mm: float
    low_mm: float
    high_mm: float
    lines: int | None = None
    taper_deg: float | None = None
    bare_mm: float | None = None
    method: str = ""
    reference_mm: float | None = None


def uncertainty_mm(instrument: str, new_mm: float, rules: MotorRules) -> float:
    """Return the standard uncertainty of one reading [mm].

    Units: new_mm [mm] -> [mm]
    Source: rules instrument.*
    """
    figure = rules[INSTRUMENT.of(instrument)]
    return figure * new_mm if instrument == "eye" else figure


def read(text: str, figures: Figures, rules: MotorRules, method: str = "", instrument: str = "") -> Reading:
    """Return what was typed as a length, by the motor's way of measuring or the one named.

    Raises: InputError when it cannot be read or cannot be right, with suggestions where another unit fits.
    """
    method = method or MEASURED_BY.of(figures) or "length"
    instrument = instrument or MEASURED_WITH.of(figures) or "digital-caliper"
    readers = {
        "length": _length,
        "depth": _depth,
        "protrusion": _protrusion,
        "wear line": _wear_line,
        "compare": _compare,
        "spring position": _spring,
    }
    if method not in readers or instrument not in INSTRUMENT.members:
        raise InputError("This way of measuring is not known.", "Choose one from the list.", "method")
    _one_scale(method, figures)
    made = readers[method](text, figures, rules, instrument)
    return replace(made, method=method, reference_mm=reference_mm(method, figures))


def _one_scale(method: str, figures: Figures) -> None:
    """Refuse a second scale where nothing tells how the two go together: between them no wear is known."""
    by_depth = method == "depth"
    if shows_depths(figures) if not by_depth else not (shows_depths(figures) or tells_length(figures)):
        raise InputError(
            "Nobody has stated which length a depth is here, so this is a second scale.",
            "Read it as before; or read one brush both ways, and state depth plus length under Figures.",
            "value",
        )


def edge_words(figures: Figures) -> str:
    """Return along which edge a brush is measured."""
    angle = FACE_ANGLE_DEG.of(figures)
    if angle:
        return f"The face is angled by {angle:g}° by design: measure along the centre line."
    return "Measure along the edge. Where the two edges differ type both, like 12.4; 12.9: the shorter one counts."


def _length(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    new_mm, edges = NEW_MM.need(figures), text.split(";")
    if len(edges) > 2:
        raise InputError("More than two edges were typed.", "Write one length, or both edges as 12.4; 12.9.", "value")
    typed = [parse(e, "length", LENGTH_UNIT.of(figures)) for e in edges]
    for value in typed:
        _believable(value, new_mm, rules)
    shorter, longer = min(t.value for t in typed), max(t.value for t in typed)
    taper = taper_deg(shorter, longer, THICKNESS_MM.need(figures)) if len(typed) == 2 else None
    return _point(
        text,
        typed[0].unit,
        shorter,
        length_mm=shorter,
        sd_mm=uncertainty_mm(instrument, new_mm, rules),
        taper_deg=taper,
    )


def _believable(typed: Typed, new_mm: float, rules: MotorRules) -> None:
    """Refuse a length that no such brush can have; propose the unit in which it would fit."""
    most = rules["reading.believable"] * new_mm
    if 0 < typed.value <= most:
        return
    if typed.value <= 0:
        raise InputError(f"A length of {typed.text} is not above 0.", "Type what the caliper shows.", "value")
    bare = typed.text.strip()
    plain = not any(c.isalpha() or c in "\"'″µ" for c in bare)
    units = better_units(parse(bare, "length", "mm").value, 0.05 * new_mm, most) if plain else ()
    asked = tuple(f"{bare} {u}" for u in units if u != typed.unit)
    problem = f"{bare} {typed.unit if plain else ''}".strip() + f" is too long for a brush of {new_mm:g} mm new."
    remedy = f"Did you mean {' or '.join(asked)}? Choose it, or type it again." if asked else "Type it again."
    raise InputError(problem, remedy, "value", asked)


def _depth(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    typed = parse(text, "length", LENGTH_UNIT.of(figures))
    new_mm, both = NEW_MM.need(figures), depth_and_length_mm(figures)
    length_mm = (both or DEPTH_LIMIT_MM.need(figures)) - typed.value
    made = _plausible(text, typed, length_mm, new_mm=new_mm, rules=rules, instrument=instrument)
    return replace(made, bare_mm=typed.value) if shows_depths(figures) else made


def _protrusion(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    typed = parse(text, "length", LENGTH_UNIT.of(figures))
    length = typed.value + PROTRUSION_CONSTANT_MM.need(figures)
    return _plausible(text, typed, length, new_mm=NEW_MM.need(figures), rules=rules, instrument=instrument)


def _plausible(
    text: str, typed: Typed, length_mm: float, *, new_mm: float, rules: MotorRules, instrument: str
) -> Reading:
    if not length_mm > 0 or over(length_mm, rules["reading.believable"] * new_mm):
        raise InputError(
            f"“{text.strip()}” would make the brush {length_mm:.1f} mm long; new it is {new_mm:g} mm.",
            "Read the gauge again, or check the constants under Figures.",
            "value",
        )
    return _point(
        text,
        typed.unit,
        typed.value,
        length_mm=length_mm,
        sd_mm=uncertainty_mm(instrument, new_mm, rules),
        taper_deg=None,
    )


def _point(text: str, unit: str, raw: float, *, length_mm: float, sd_mm: float, taper_deg: float | None) -> Reading:
    return Reading(
        typed=text.strip(),
        unit=unit,
        raw_value=raw,
        length_mm=length_mm,
        sd_mm=sd_mm,
        low_mm=length_mm,
        high_mm=length_mm,
        lines=None,
        taper_deg=taper_deg,
    )


_NONE_SEEN = ("none", "no line", "no", "nothing")


def _wear_line(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    """Return the interval between two lines: its middle, and spacing over √12 as uncertainty."""
    bare = " ".join(text.lower().split())
    seen = 0 if bare in _NONE_SEEN else parse_count(bare.removeprefix("line").removesuffix("lines").strip(), 0, 3)
    marks = [NEW_MM.need(figures), *(line.need(figures) for line in WEAR_LINES)]
    low = marks[seen + 1] if seen < 3 else max(marks[3] - (marks[2] - marks[3]), 0.0)
    high = marks[seen]
    middle = (low + high) / 2
    return Reading(
        typed=text.strip(),
        unit="line",
        raw_value=seen,
        length_mm=middle,
        sd_mm=(high - low) / sqrt(12),
        low_mm=low,
        high_mm=high,
        lines=seen,
    )


def _compare(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    bare = text.strip()
    typed = parse(bare if bare.endswith("%") else f"{bare} %", "share")
    new_mm = NEW_MM.stated(figures)
    if new_mm is None:
        raise InputError(
            "A share is counted from the new length, and nobody has stated that.",
            "State the new length under Figures: measure the new brush that it is compared with.",
            "value",
        )
    if not typed.value > 0 or over(typed.value, rules["reading.believable"]):
        raise InputError(
            f"{bare} of a new brush is not possible.", "Give the share that is left in per cent, like 60 %.", "value"
        )
    length = typed.value * new_mm
    return _point(text, "%", typed.value, length_mm=length, sd_mm=uncertainty_mm("eye", new_mm, rules), taper_deg=None)


def _spring(text: str, figures: Figures, rules: MotorRules, instrument: str) -> Reading:
    """Return the length between two marks of the calibrated scale, never beyond its ends."""
    typed = parse(text, "scale")
    if not SPRING_TABLE.of(figures):
        raise InputError(
            "The spring's scale is not calibrated.", "Give its table under Figures on the motor's page.", "spring_table"
        )
    points = spring_table(SPRING_TABLE.of(figures))
    for (s1, mm1), (s2, mm2) in pairwise(points):
        if s1 <= typed.value <= s2:
            length = mm1 + (typed.value - s1) / (s2 - s1) * (mm2 - mm1)
            per_mark = abs(mm2 - mm1) / (s2 - s1)
            sd = max(uncertainty_mm(instrument, NEW_MM.need(figures), rules), per_mark / sqrt(12))
            return _point(text, "scale", typed.value, length_mm=length, sd_mm=sd, taper_deg=None)
    raise InputError(
        f"The scale has no mark {text.strip()}.", f"It goes from {points[0][0]:g} to {points[-1][0]:g}.", "value"
    )
