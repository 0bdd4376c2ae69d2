"""What a brush carries: spring pressure, current density, contact drop, bars covered."""

from dataclasses import dataclass
from math import pi

from norvash.core.edges import over, under, within
from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError

KPA_PER_PSI = 6.894757


def pressure_kpa(force_n: float, thickness_mm: float, width_mm: float) -> float:
    """Return the spring pressure on the full section.

    Units: force_n [N], thickness_mm, width_mm [mm] -> [kPa]
    Source: force over area

    >>> round(pressure_kpa(6.3, 9.4, 12.55), 2)
    53.4
    """
    return 1000 * force_n / (thickness_mm * width_mm)


@dataclass(frozen=True, slots=True)
class SpringJudged:
    """A spring's severity with its reason; deviation from the nominal [1] where there is one."""

    grade: Grade
    deviation: float | None
    reason: str


def judge_spring(
    force_n: float, kpa: float | None, band_kpa: tuple[float, float], nominal_n: float | None, rules: MotorRules
) -> SpringJudged:
    """Judge one spring: a nominal force decides and the band is said beside it; without one the band of its class does.

    Units: force_n, nominal_n [N], kpa, band_kpa [kPa]; kpa None where the section is not known.
    Source: rules spring.plan, spring.change, spring.stop
    """
    plan, change, stop = rules["spring.plan"], rules["spring.change"], rules["spring.stop"]
    low, high = band_kpa
    side = "" if kpa is None else "inside" if within(low, kpa, high) else "under" if under(kpa, low) else "over"
    band = f"{side} the band of {low:g} to {high:g} kPa"
    if nominal_n is not None:
        off = force_n / nominal_n - 1
        grade: Grade = "fit" if under(abs(off), plan) else "change" if over(abs(off), change) else "plan"
        grade = "stop" if under(1 + off, stop) else grade
        return SpringJudged(
            grade,
            off,
            f"{abs(off):.0%} {'over' if off > 0 else 'under'} the nominal {nominal_n:g} N"
            + ("" if kpa is None else f"; {kpa:.3g} kPa, {band}"),
        )
    if kpa is None:
        raise LookupError("a spring without a nominal force or a pressure")
    if side == "inside":
        return SpringJudged("fit", None, f"{kpa:.3g} kPa, {band}")
    out = under(kpa, (1 - change) * low) or over(kpa, (1 + change) * high)
    if under(kpa, stop * low):
        return SpringJudged("stop", None, f"{kpa:.3g} kPa, {band}")
    return SpringJudged("change" if out else "plan", None, f"{kpa:.3g} kPa, {band}")


def current_density_a_per_cm2(current_a: float, brush_count: int, section_mm2: float) -> float:
    """Return the current density in brushes of which half are of one polarity.

    Units: current_a [A], section_mm2 of one brush [mm²] -> [A/cm²]
    Raises: InputError for an odd number of brushes.
    Source: half of the brushes carry the current in, half out

    >>> round(current_density_a_per_cm2(87, 8, 12.4 * 26.6), 3)
    6.594
    """
    if brush_count < 2 or brush_count % 2:
        raise InputError(
            f"{brush_count} brushes cannot be split evenly between the polarities.",
            "Give an even number.",
            "brush_count",
        )
    return current_a / (brush_count / 2 * section_mm2 / 100)


def contact_loss_w(
    drop_v: float, current_a: float, brush_count: int, *, force_n: float, speed_m_per_s: float, rules: MotorRules
) -> float:
    """Return the heat at the brushes: contact drop of the pair, and friction.

    Units: drop_v [V], current_a [A], force_n of one brush [N], speed_m_per_s [m/s] -> [W]. Source: rule brush.friction
    """
    return drop_v * current_a + brush_count * rules["brush.friction"] * force_n * speed_m_per_s


def bars_covered(thickness_mm: float, commutator_d_mm: float, bars: int) -> float:
    """Return how many bars a brush covers.

    Units: thickness_mm, commutator_d_mm [mm] -> [bars]
    Source: thickness over the bar pitch

    >>> round(bars_covered(12.5, 120.0, 87), 2)
    2.88
    """
    return thickness_mm / (pi * commutator_d_mm / bars)
