"""Use as it is typed: in the motor's own unit, in starts or hours that become it, or with the speed it ran at."""

from dataclasses import dataclass

from norvash.core.motor.figure_fields import REFERENCE_RPM, SECONDS_PER_START, STARTS_PER_HOUR
from norvash.core.motor.figures import Figures
from norvash.core.text.quantities import parse
from norvash.core.use.rate import Rate
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class TypedUse:
    """Use in the motor's unit, and the weight by which it counts: 1, or the speed it ran at over the reference
    speed.
    """

    value: float
    weight: float


def read_use(text: str, unit: str, figures: Figures | None = None, rate: Rate | None = None) -> TypedUse:
    """Return typed use in the motor's unit, with its weight by speed.

    `12 h @ 900` ran at 900 r/min; `40 starts` of a motor that counts hours, or `3 h` of one that counts starts,
    become its own unit by its figures; `4.5 years` become it by its usual use (`rate`), standstill included.
    Raises: InputError, also below nothing or for a broken start.
    """
    amount, _, speed = text.partition("@")
    weight = _weight(speed, figures) if "@" in text else 1.0
    value = _converted(amount, unit, figures, rate)
    if value < 0:
        raise InputError(f"“{text.strip()}” is below 0.", "Type what the counter shows.", "value")
    if unit == "starts" and value != int(value):
        raise InputError(f"“{text.strip()}” is not a whole number of starts.", "Starts are counted whole.", "value")
    return TypedUse(value, weight)


def _converted(text: str, unit: str, figures: Figures | None, rate: Rate | None) -> float:
    try:
        return parse(text, unit).value
    except InputError as refused:
        if figures is None or not any(c.isalpha() for c in text):
            raise refused.at("value") from None
        years, other = _years(text), "starts" if unit == "hours" else "hours"
        if years is not None:
            return use_of_years(years, unit, rate)
        if unit == "years":
            raise refused.at("value") from None
        try:
            given = parse(text, other).value
        except InputError:
            raise refused.at("value") from None
    asked = SECONDS_PER_START if unit == "hours" else STARTS_PER_HOUR
    factor = asked.of(figures)
    if factor is None:
        raise InputError(
            f"This motor counts {unit}, and what {other} make of them is not known.",
            "Give it under Figures, or type the use in its own unit.",
            "value",
        )
    return given * factor / 3600 if unit == "hours" else float(round(given * factor))


def _years(text: str) -> float | None:
    try:
        return parse(text, "years").value
    except InputError:
        return None


def use_of_years(years: float, unit: str, rate: Rate | None) -> float:
    """Return the use of so many years of the calendar at a motor's usual use, standstill included.

    Units: years, and the motor's unit of use.
    Raises: InputError where the usual use is not known.
    """
    if rate is None:
        raise InputError(
            f"What {years:g} years make in {unit} is not known.",
            "Give about how much it runs in a week, or the use in its own unit.",
            "value",
        )
    used = years * rate.units_a_year
    return float(round(used)) if unit == "starts" else used


def _weight(text: str, figures: Figures | None) -> float:
    reference = REFERENCE_RPM.of(figures) if figures is not None else None
    if reference is None:
        raise InputError(
            "Use of this motor is not weighted by speed.",
            "Give its reference speed under Figures, or leave the speed out.",
            "value",
        )
    try:
        speed = parse(text, "speed").value
    except InputError as error:
        raise error.at("value") from None
    if not 0 < speed <= 10 * reference:
        raise InputError(
            f"{text.strip()} r/min cannot be right beside {reference:g} r/min.", "Check the speed.", "value"
        )
    return speed / reference
