"""Figures as they are typed, and held against each other."""

from norvash.core.edges import over, under, within
from norvash.core.kept_names import answer_now
from norvash.core.motor.figure import Number, Word
from norvash.core.motor.figure_fields import (
    ACTIVE_MONTHS,
    BUILD_MATRIX,
    BY_NAME,
    COMMUTATOR_D_MIN_MM,
    COMMUTATOR_D_MM,
    COMMUTATOR_NOW_MM,
    CONSTRUCTION,
    DEPTH_LIMIT_MM,
    DEPTH_NEW_MM,
    EXCITATION,
    FIELD_A,
    FIELD_OHM,
    FIELD_V,
    GEAR_REDUCTION,
    LIMIT_MM,
    NEW_MM,
    PERMITTED_RPM,
    RATED_RPM,
    SPEED_TAPS,
    SPRING_TABLE,
    UNIT_OF_USE,
    USE_PER_WEEK_UNITS,
    WEAR_LINES,
)
from norvash.core.motor.figure_tables import speed_taps, spring_table
from norvash.core.motor.figures import Figures
from norvash.core.motor.matrix import read_matrix, written
from norvash.core.rules.book import GEARED
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.core.use.season import read_months
from norvash.errors import InputError

# How far a field's current on its plate may be from volts over resistance at 20 °C: it is stated hot, or a little off.
_HOT_FIELD, _COLD_FIELD = 0.5, 1.15
_HOURS_A_WEEK = 168.0


def track_d_mm(figures: Figures) -> float | None:
    """Return the commutator's diameter now [mm]: after the last recorded cut, else when new."""
    return COMMUTATOR_NOW_MM.of(figures) or COMMUTATOR_D_MM.of(figures)


def variant_of(motor_class: str, figures: Figures) -> str:
    """Return the kind of machine inside its class whose defaults differ, empty without one."""
    return GEARED if motor_class == "starter" and GEAR_REDUCTION.of(figures) == "yes" else ""


def read_figure(name: str, text: str) -> float | str:
    """Return a figure as typed, checked against what it can be.

    Raises: InputError at the field.
    """
    field = BY_NAME[name]
    if field is BUILD_MATRIX:
        try:
            return written(read_matrix(clean(text, name, note=True)))
        except InputError as error:
            raise error.at(name) from None
    return _word(field, clean(text, name)) if isinstance(field, Word) else _number(field, text)


def _number(field: Number, text: str) -> float:
    try:
        value = parse(text, field.dimension).value
    except InputError as error:
        raise error.at(field.name) from None
    if not field.low <= value <= field.high:
        raise InputError(
            f"{field.label}: “{text.strip()}” cannot be right.",
            f"Give a value from {field.low:g} to {field.high:g}.",
            field.name,
        )
    return value


def _word(field: Word, typed: str) -> str:
    text = answer_now("word", field.name, typed)
    if field is SPRING_TABLE:
        spring_table(text)
    if field is SPEED_TAPS:
        speed_taps(text)
    if field is ACTIVE_MONTHS:
        read_months(text)
    if not field.allows(text):
        use = f"Use {', '.join(field.choices)}{'; several with “;” between' if field.several else ''}."
        raise InputError(f"“{text}” is not a choice for “{field.label}”.", use, field.name)
    if len(text) > 120:
        raise InputError(f"{field.label} is too long.", "Use at most 120 characters.", field.name)
    return field.ordered(text)


def as_length(text: str, new_mm: float | None) -> str:
    """Return a limit typed as a share of the new length (“20 %”) as the length that it is, anything else as typed.

    Raises: InputError where the new length is not known, or the share cannot be.
    """
    bare = text.strip()
    if not bare.endswith("%"):
        return text
    share = _number(Number(name="limit_mm", group="", label="Limit", dimension="share", low=0.01, high=0.95), bare)
    if new_mm is None:
        raise InputError("A share of the new length needs that length.", "Give the new length too.", "limit_mm")
    return f"{share * new_mm:g} mm"


def check_together(figures: Figures) -> None:
    """Refuse figures that contradict each other.

    Raises: InputError at the field to mend.
    """
    _check_running(figures)
    new_mm, limit_mm = NEW_MM.need(figures), LIMIT_MM.of(figures)
    if limit_mm is not None and not under(limit_mm, new_mm):
        raise InputError(
            f"The limit of {limit_mm:g} mm is not below the new length of {new_mm:g} mm.",
            "Correct one of them, or say that the limit is unknown.",
            "limit_mm",
        )
    d_new, d_least = COMMUTATOR_D_MM.stated(figures), COMMUTATOR_D_MIN_MM.stated(figures)
    if d_new is not None and d_least is not None and not d_least < d_new:
        raise InputError(
            f"The least diameter of {d_least:g} mm is not under the new one of {d_new:g} mm.",
            "Check which of the two is wrong.",
            "commutator_d_min_mm",
        )
    depth_new, depth_limit = DEPTH_NEW_MM.of(figures), DEPTH_LIMIT_MM.of(figures)
    if depth_new is not None and depth_limit is not None and not depth_limit > depth_new:
        raise InputError(
            "The depth limit is not beyond the depth when new.",
            "A depth grows as the brush wears: check both.",
            "depth_limit_mm",
        )
    lines = [line.of(figures) for line in WEAR_LINES]
    seen = [x for x in lines if x is not None]
    if seen != sorted(seen, reverse=True) or len(set(seen)) != len(seen) or any(not under(x, new_mm) for x in seen):
        raise InputError(
            "The wear lines do not fall from the new length.",
            "The first line shows first: it has the greatest length.",
            "wear_line_1_mm",
        )


def _check_running(figures: Figures) -> None:
    """Refuse more hours than a week has, a permitted speed under the plate's, a field that excites itself and is fed
    apart, and a field current that its volts and resistance cannot give.
    """
    a_week = USE_PER_WEEK_UNITS.stated(figures)
    if a_week is not None and UNIT_OF_USE.of(figures) == "hours" and over(a_week, _HOURS_A_WEEK):
        raise InputError(
            f"A week has {_HOURS_A_WEEK:g} hours, not {a_week:g}.",
            "Give the hours that it runs in a week.",
            "use_per_week_units",
        )
    if CONSTRUCTION.stated(figures) == "separately excited" and EXCITATION.of(figures) == "self-excited":
        raise InputError("Separately excited and self-excited contradict each other.", "Say which it is.", "excitation")
    rated, most = RATED_RPM.stated(figures), PERMITTED_RPM.stated(figures)
    if rated is not None and most is not None and under(most, rated):
        raise InputError(
            f"The permitted speed of {most:g} r/min is under the plate's {rated:g}.",
            "Check which of the two is wrong.",
            "permitted_rpm",
        )
    volts, ohm, current = FIELD_V.stated(figures), FIELD_OHM.stated(figures), FIELD_A.stated(figures)
    if volts is None or ohm is None or current is None:
        return
    cold_a = volts / ohm
    if not within(_HOT_FIELD * cold_a, current, _COLD_FIELD * cold_a):
        raise InputError(
            f"A field of {ohm:g} Ω at {volts:g} V carries {cold_a:.3g} A cold, not {current:g} A.",
            "Check voltage, resistance and current of the field.",
            "field_a",
        )
