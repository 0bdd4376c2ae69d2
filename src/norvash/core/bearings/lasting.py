"""How long a ball bearing lasts, how fast it may turn, how much grease it takes, and when it is renewed anyway."""

from dataclasses import dataclass

from norvash.core.rules.book import MotorRules
from norvash.core.stages import Stage
from norvash.errors import InputError


@dataclass(frozen=True, slots=True)
class Lasting:
    """Life that nine in ten reach [h], mean diameter [mm], speed factor [mm·r/min] and whether it is too fast for grease, grease [g]."""

    life_h: float
    mean_d_mm: float | None
    speed_factor: float | None
    too_fast: bool
    grease_g: float | None


def life_h(capacity_kn: float, load_kn: float, speed_rpm: float) -> float:
    """Return the rating life of a ball bearing that nine in ten reach.

    Units: capacity_kn, load_kn [kN], speed_rpm [r/min] -> [h]. Raises: InputError without load or speed.

    >>> round(life_h(14.1, 0.64, 2870), 0)
    62099.0
    """
    for name, value in (("load_kn", load_kn), ("speed_rpm", speed_rpm), ("capacity_kn", capacity_kn)):
        if not value > 0:
            raise InputError("A life needs load, capacity and speed.", "Give each more than nothing.", name)
    return float(1e6 / (60 * speed_rpm) * (capacity_kn / load_kn) ** 3)


def lasting(
    capacity_kn: float, load_kn: float, speed_rpm: float, bore_mm: float | None, outside_mm: float | None, width_mm: float | None,
    sealed: bool, rules: MotorRules,
) -> Lasting:  # fmt: skip
    """Return life, speed factor and grease of a ball bearing; a sealed one takes none.

    Source: rules bearing.speed-factor, bearing.grease
    """
    if bore_mm is not None and outside_mm is not None and not bore_mm < outside_mm:
        raise InputError("The bore is not smaller than the outside diameter.", "Check the two.", "outside_mm")
    mean = None if bore_mm is None or outside_mm is None else (bore_mm + outside_mm) / 2
    factor = None if mean is None else speed_rpm * mean
    grease = (
        None if sealed or outside_mm is None or width_mm is None else rules["bearing.grease"] * outside_mm * width_mm
    )
    return Lasting(life_h(capacity_kn, load_kn, speed_rpm), mean, factor, factor is not None and factor > rules["bearing.speed-factor"], grease)  # fmt: skip


def renew_anyway(run_h: float | None, expected_h: float | None, years: float | None, rules: MotorRules) -> str:
    """Return why a sealed bearing that was reached is renewed anyway, empty where it may stay.

    Source: rules bearing.hours-share, bearing.years
    """
    if run_h is not None and expected_h and run_h > rules["bearing.hours-share"] * expected_h:
        return f"{run_h:.0f} h are over {rules['bearing.hours-share']:.0%} of its expected {expected_h:.0f} h"
    if years is not None and years > rules["bearing.years"]:
        return f"{years:.0f} years are over {rules['bearing.years']:g}"
    return ""


def judge_vibration(mm_per_s: float, rules: MotorRules) -> tuple[Stage, str]:
    """Return the stage and words for the vibration of a housing.

    Units: [mm/s rms], machines under 15 kW. Source: rules vibration.*
    """
    if mm_per_s <= rules["vibration.good"]:
        return "fit", "good"
    if mm_per_s <= rules["vibration.acceptable"]:
        return "fit", "acceptable"
    return (
        ("watch", "to be watched")
        if mm_per_s <= rules["vibration.watch"]
        else ("plan", "too much: balance, bearings, coupling")
    )
