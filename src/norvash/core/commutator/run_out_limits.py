"""What run-out is allowed: by the speed of the surface, and after a cut."""

from dataclasses import dataclass
from math import pi

from norvash.core.edges import over, under
from norvash.core.rules.book import GEARED, MotorRules


def surface_speed_m_per_s(diameter_mm: float, speed_rpm: float) -> float:
    """Return the speed of the surface.

    Units: diameter_mm [mm], speed_rpm [r/min] -> [m/s]
    Source: circumference by speed

    >>> round(surface_speed_m_per_s(132.0, 1480.0), 3)
    10.229
    """
    return pi * diameter_mm / 1000 * speed_rpm / 60


def usual_speed_m_per_s(rules: MotorRules) -> tuple[float, str]:
    """Return the surface speed that is assumed where the machine's is not known, and what it is assumed for.

    Units: -> [m/s]. Source: rules runout.speed, runout.fast
    """
    kind = rules.variant or rules.motor_class
    if kind is None:
        return rules["runout.speed"], "an unknown class"
    words = {"starter": "a direct starter", GEARED: "a starter with a gear reduction"}.get(kind, f"class {kind}")
    return rules["runout.speed"], words


def limits_mm(speed_m_per_s: float, rules: MotorRules) -> tuple[float, float, str]:
    """Return the total run-out and the step allowed at a surface speed [mm], with the band they come from.

    Units: speed_m_per_s [m/s] -> [mm], [mm]
    Source: rules runout.*
    """
    if under(speed_m_per_s, rules["runout.middle"]):
        return rules["runout.tir-slow"], rules["runout.step-slow"], "slow"
    if not over(speed_m_per_s, rules["runout.fast"]):
        return rules["runout.tir-middle"], rules["runout.step-middle"], "middle"
    return rules["runout.tir-fast"], rules["runout.step-fast"], "fast"


def fine_cut(diameter_mm: float | None, speed_m_per_s: float, rules: MotorRules) -> bool:
    """Tell whether a cut of this commutator is held to the finest limits: small, and fast or in a tool or an appliance.

    Units: [mm], [m/s]. Source: rules runout.cut-small, runout.fast
    """
    small = diameter_mm is not None and not over(diameter_mm, rules["runout.cut-small"])
    return small and (over(speed_m_per_s, rules["runout.fast"]) or rules.motor_class in ("tool", "appliance"))


def limits_after_cut_mm(diameter_mm: float | None, speed_m_per_s: float, rules: MotorRules) -> tuple[float, float, str]:
    """Return the total run-out and the step that a fresh cut must reach [mm], with the band they come from.

    Units: diameter_mm [mm], speed_m_per_s [m/s] -> [mm], [mm]
    Source: rules runout.cut-*
    """
    if fine_cut(diameter_mm, speed_m_per_s, rules):
        return rules["runout.cut-tir-fine"], rules["runout.cut-step-fine"], "fine cut"
    return rules["runout.cut-tir"], rules["runout.cut-step"], "cut"


@dataclass(frozen=True, slots=True, kw_only=True)
class Allowed:
    """The total run-out and the step that are allowed [mm], by which band; the speed of the surface [m/s] where it is
    known, else what is `assumed`.
    """

    tir_mm: float
    step_mm: float
    band: str
    speed_m_per_s: float | None
    assumed: str

    @property
    def by(self) -> str:
        """Return in words what it goes by."""
        return self.assumed or f"{self.speed_m_per_s:.1f} m/s at the surface"


def allowed(diameter_mm: float | None, speed_rpm: float | None, rules: MotorRules, *, after_cut: bool) -> Allowed:
    """Return what is allowed of a commutator; one that is cut is held to what a fresh cut must reach.

    Units: diameter_mm [mm], speed_rpm [r/min]. Source: rules runout.*
    """
    speed, assumed = None, ""
    if diameter_mm is not None and speed_rpm is not None:
        counted = speed = surface_speed_m_per_s(diameter_mm, speed_rpm)
    else:
        counted, kind = usual_speed_m_per_s(rules)
        assumed = f"the surface speed is not known, so {counted:g} m/s is assumed, for {kind}"
    limits = limits_after_cut_mm(diameter_mm, counted, rules) if after_cut else limits_mm(counted, rules)
    return Allowed(tir_mm=limits[0], step_mm=limits[1], band=limits[2], speed_m_per_s=speed, assumed=assumed)


RULES_OF = {
    "slow": ("runout.tir-slow", "runout.step-slow"),
    "middle": ("runout.tir-middle", "runout.step-middle"),
    "fast": ("runout.tir-fast", "runout.step-fast"),
    "cut": ("runout.cut-tir", "runout.cut-step"),
    "fine cut": ("runout.cut-tir-fine", "runout.cut-step-fine"),
}
