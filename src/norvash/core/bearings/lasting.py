"""How long a ball bearing lasts, how fast it may turn, how much grease it takes, and when it is renewed anyway."""

from dataclasses import dataclass

from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Running:
    """A bearing as it runs: capacity and load [kN], speed [r/min], size [mm], seals, temperature [°C].

    None where it is not known.
    """

    capacity_kn: float
    load_kn: float
    speed_rpm: float
    bore_mm: float | None = None
    outside_mm: float | None = None
    width_mm: float | None = None
    sealed: bool = False
    rubbing: bool = False
    temperature_c: float | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Lasting:
    """Life that nine in ten reach and life of the grease inside [h], the lesser of them, mean diameter [mm], speed
    factor [mm·r/min], grease [g].

    `too_fast` tells whether grease or seals do not bear the speed, `look_up` whether it is too hot for the life of
    grease.
    """

    life_h: float
    grease_life_h: float | None
    lasts_h: float
    mean_d_mm: float | None
    speed_factor: float | None
    too_fast: bool
    grease_g: float | None
    look_up: bool


def life_h(capacity_kn: float, load_kn: float, speed_rpm: float) -> float:
    """Return the rating life of a ball bearing that nine in ten reach.

    Units: capacity_kn, load_kn [kN], speed_rpm [r/min] -> [h]
    Source: a million turns times (capacity over load)³
    Raises: InputError without load or speed.

    >>> round(life_h(14.1, 0.64, 2870), 0)
    62099.0
    """
    for name, value in (("load_kn", load_kn), ("speed_rpm", speed_rpm), ("capacity_kn", capacity_kn)):
        if not value > 0:
            raise InputError("A life needs load, capacity and speed.", "Give each above 0.", name)
    return float(1e6 / (60 * speed_rpm) * (capacity_kn / load_kn) ** 3)


def grease_life_h(speed_factor: float, temperature_c: float, rules: MotorRules) -> float | None:
    """Return the life of the grease in a sealed bearing, None where it is so hot that it must be looked up.

    Units: speed_factor [mm·r/min], temperature_c [°C] -> [h]. Source: rules bearing.grease-*

    >>> from norvash.core.rules.catalogue import shipped
    >>> grease_life_h(150000, 70, shipped()), grease_life_h(100000, 85, shipped()), grease_life_h(550000, 20, shipped())
    (20000.0, 10000.0, 4000.0)
    """
    if over(temperature_c, rules["bearing.grease-hot"]):
        return None
    faster = max(speed_factor - rules["bearing.grease-slow"], 0.0) / rules["bearing.grease-tenth"]
    warmer = max((temperature_c - rules["bearing.grease-warm"]) / rules["bearing.grease-half"], -1.0)
    return float(rules["bearing.grease-life"] * 10**-faster * 0.5**warmer)


def lasting(runs: Running, rules: MotorRules) -> Lasting:
    """Return life, speed factor and grease of a ball bearing.

    A sealed one takes none, and lasts no longer than its own.

    Raises: InputError for a bore that is not inside. Source: rules bearing.*
    """
    bore, outside, width = runs.bore_mm, runs.outside_mm, runs.width_mm
    if bore is not None and outside is not None and not bore < outside:
        raise InputError("The bore is not smaller than the outside diameter.", "Check the two.", "outside_mm")
    mean = None if bore is None or outside is None else (bore + outside) / 2
    factor = None if mean is None else runs.speed_rpm * mean
    most = rules["bearing.speed-rubbing" if runs.rubbing else "bearing.speed-factor"]
    closed = runs.sealed or runs.rubbing
    grease = None if closed or outside is None or width is None else rules["bearing.grease"] * outside * width
    warm = rules["bearing.grease-warm"] if runs.temperature_c is None else runs.temperature_c
    greased = grease_life_h(factor, warm, rules) if closed and factor is not None else None
    life = life_h(runs.capacity_kn, runs.load_kn, runs.speed_rpm)
    return Lasting(
        life_h=life,
        grease_life_h=greased,
        lasts_h=life if greased is None else min(life, greased),
        mean_d_mm=mean,
        speed_factor=factor,
        too_fast=factor is not None and over(factor, most),
        grease_g=grease,
        look_up=closed and over(warm, rules["bearing.grease-hot"]),
    )


def renew_anyway(run_h: float | None, expected_h: float | None, years: float | None, rules: MotorRules) -> str:
    """Return why a sealed bearing that was reached is renewed anyway, empty where it may stay.

    Units: run_h, expected_h [h], years [a]
    Source: rules bearing.hours-share, bearing.years
    """
    if run_h is not None and expected_h and over(run_h, rules["bearing.hours-share"] * expected_h):
        return f"{run_h:.0f} h are over {rules['bearing.hours-share']:.0%} of its expected {expected_h:.0f} h"
    if years is not None and over(years, rules["bearing.years"]):
        return f"{years:.0f} years are over {rules['bearing.years']:g}"
    return ""
