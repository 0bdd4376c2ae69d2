"""The springs of a set: each against its nominal force or its band, else against the stronger half of the set."""

from collections.abc import Mapping
from dataclasses import dataclass
from statistics import median

from norvash.core.brush.loading import judge_spring, pressure_kpa
from norvash.core.edges import over, under
from norvash.core.grades import Grade
from norvash.core.rules.book import MotorRules


@dataclass(frozen=True, slots=True, kw_only=True)
class SpringsHeld:
    """What springs are held against: a nominal force [N], the section of a brush [mm, mm] with the band of its class
    [kPa]; None where nobody states it.
    """

    nominal_n: float | None = None
    section_mm: tuple[float, float] | None = None
    band_kpa: tuple[float, float] = (0.0, 0.0)


@dataclass(frozen=True, slots=True)
class SpringInSet:
    """A spring of a set: its grade, and why."""

    grade: Grade
    reason: str


def band_of(rules: MotorRules, *, magnets: bool) -> tuple[float, float]:
    """Return the band of the pressure of a class, wider for magnet motors.

    Units: -> [kPa]. Source: rules pressure.low, pressure.high, pressure.magnets
    """
    high = rules["pressure.high"]
    return rules["pressure.low"], max(high, rules["pressure.magnets"]) if magnets else high


def stronger_half_n(forces_n: list[float]) -> float:
    """Return the median of the stronger half of a set, 0 for one spring alone.

    Units: [N]. Source: a weak spring moves nothing there

    >>> stronger_half_n([6.0, 6.2, 0.4, 6.1])
    6.15
    """
    ordered = sorted(forces_n, reverse=True)
    return median(ordered[: (len(ordered) + 1) // 2]) if len(ordered) > 1 else 0.0


def judge_springs(forces_n: Mapping[int, float], held: SpringsHeld, rules: MotorRules) -> dict[int, SpringInSet]:
    """Return the springs of a set, judged, by position.

    A nominal force decides, else the band, else the median of the stronger half, by which only a weak one is known: of
    a pair the weaker is the suspect. One that is inside its band, yet under half of a fellow, is to be looked at with
    it.

    Units: forces_n [N], 0 for one that presses nothing. Source: rules spring.plan, spring.change, spring.stop
    """
    reference = stronger_half_n(list(forces_n.values()))
    return {n: _in_set(force, forces_n, reference, held, rules) for n, force in forces_n.items()}


def _in_set(
    force_n: float, forces_n: Mapping[int, float], reference_n: float, held: SpringsHeld, rules: MotorRules
) -> SpringInSet:
    if not force_n > 0:
        return SpringInSet("stop", "no pressure")
    if held.nominal_n is None and held.section_mm is None:
        return _against_fellows(force_n, reference_n, rules)
    section = held.section_mm
    kpa = pressure_kpa(force_n, *section) if section is not None else None
    own = judge_spring(force_n, kpa, held.band_kpa, held.nominal_n, rules)
    strongest = max(forces_n.values())
    if own.grade == "fit" and under(force_n, rules["spring.stop"] * strongest):
        return SpringInSet("watch", f"{force_n:g} N, {force_n / strongest:.0%} of its fellow's {strongest:g} N")
    return SpringInSet(own.grade, own.reason)


def _against_fellows(force_n: float, reference_n: float, rules: MotorRules) -> SpringInSet:
    if not reference_n > 0:
        return SpringInSet("fit", f"{force_n:g} N; neither nominal nor section is known")
    return SpringInSet(
        weak_grade(force_n / reference_n, rules),
        f"{force_n:g} N, {force_n / reference_n:.0%} of the stronger half of the set, {reference_n:g} N",
    )


def weak_grade(share: float, rules: MotorRules) -> Grade:
    """Return how grave a share of the force is that a spring should have.

    Units: [1]. Source: rules spring.*
    """
    if under(share, rules["spring.stop"]):
        return "stop"
    lost = 1 - share
    return "fit" if under(lost, rules["spring.plan"]) else "change" if over(lost, rules["spring.change"]) else "plan"
