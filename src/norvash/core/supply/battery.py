"""A battery: what it must hold at rest and while it cranks."""

from dataclasses import dataclass
from itertools import pairwise

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

_WARM_C, _FROST_C = 20.0, -18.0


def least_cranking_v(rated_v: float, temperature_c: float, rules: MotorRules) -> float | None:
    """Return the least battery voltage while cranking, None in a cold that is not judged; only cold lowers it.

    Units: rated_v [V], temperature_c of the battery [°C] -> [V]. Source: rules battery.cranking, battery.cranking-zero,
    battery.cranking-frost

    >>> from norvash.core.rules.catalogue import shipped
    >>> [round(least_cranking_v(12, t, shipped()) or 0, 3) for t in (30, 10, -9, -18.5)]
    [9.6, 9.35, 8.8, 0]
    """
    points = [
        (_FROST_C, rules["battery.cranking-frost"]),
        (0.0, rules["battery.cranking-zero"]),
        (_WARM_C, rules["battery.cranking"]),
    ]
    if under(temperature_c, _FROST_C):
        return None
    for (cold, low), (warm, high) in pairwise(points):
        if not over(temperature_c, warm):
            return (low + (high - low) * (max(temperature_c, cold) - cold) / (warm - cold)) * rated_v / 12
    return rules["battery.cranking"] * rated_v / 12


@dataclass(frozen=True, slots=True)
class Battery:
    """A battery before a starter is condemned; None where it was not measured or cannot be judged."""

    rest_ok: bool | None
    cranking_ok: bool | None
    least_v: float | None
    inner_mohm: float | None
    advice: str


def judge_battery(
    rated_v: float,
    rest_v: float | None,
    cranking_v: float | None,
    *,
    current_a: float | None,
    temperature_c: float,
    rules: MotorRules,
) -> Battery:
    """Judge a battery by its volts at rest and while cranking.

    Units: [V], [A], [°C]. Raises: InputError when the volts rise under load, or do not go with the nominal voltage.
    Source: rules battery.*
    """
    _goes_with(rated_v, rest_v, cranking_v, rules)
    least = least_cranking_v(rated_v, temperature_c, rules)
    if rest_v is not None and cranking_v is not None and over(cranking_v, rest_v):
        raise InputError("The volts rise while cranking.", "Check which value is which.", "cranking_v")
    rest_ok = None if rest_v is None else not under(rest_v, rules["battery.rest"] * rated_v / 12)
    fall = None if rest_v is None or cranking_v is None else rest_v - cranking_v
    idle = fall is not None and under(fall, rules["battery.fall"] * rated_v / 12)
    cranking_ok = None if cranking_v is None or idle or least is None else not under(cranking_v, least)
    inner = 1000 * fall / current_a if fall is not None and current_a and not idle else None
    return Battery(rest_ok, cranking_ok, least, inner, _battery_advice(rest_ok, cranking_ok, cranking_v, least, idle))


def _goes_with(rated_v: float, rest_v: float | None, cranking_v: float | None, rules: MotorRules) -> None:
    """Refuse volts that no battery of the nominal voltage has."""
    much = max((v for v in (rest_v, cranking_v) if v is not None), default=0.0) / rated_v
    little = 1.0 if rest_v is None else rest_v / rated_v
    if over(much, rules["battery.most"]) or under(little, rules["battery.least"]):
        volts = rest_v if rest_v is not None else cranking_v
        raise InputError(
            f"{volts:g} V do not go with a battery of {rated_v:g} V.", "Give its nominal voltage.", "rated_v"
        )


def _battery_advice(
    rest_ok: bool | None, cranking_ok: bool | None, cranking_v: float | None, least_v: float | None, idle: bool
) -> str:
    if rest_ok is False:
        return "charge the battery and try again before anything is condemned"
    if idle:
        return "not judged: the volts hardly fell, so no heavy current flowed; look at solenoid, joints and brushes"
    if cranking_ok is False:
        return f"under {least_v:.1f} V while cranking: battery, cables and joints first, not the starter"
    if cranking_ok:
        return "the battery holds up while cranking: look further on"
    if cranking_v is not None:
        return f"not judged: a battery under {_FROST_C:g} °C says nothing; warm it and try again"
    return "measure it while cranking: volts at rest prove little"
