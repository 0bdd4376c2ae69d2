"""Sums about force and current."""

from dataclasses import dataclass
from math import sqrt
from typing import Any

from norvash.core.brush.loading import (
    KPA_PER_PSI,
    bars_covered,
    contact_loss_w,
    current_density_a_per_cm2,
    judge_spring,
    pressure_kpa,
)
from norvash.core.edges import over, under, within
from norvash.core.rules.book import CLASSES, GEARED, MotorRules
from norvash.core.rules.fitting import (
    CONTACT_DROP,
    DENSITY_HIGH,
    DENSITY_LOW,
    FORM_FACTOR,
    FORM_FACTOR_OF,
    GRADE_FAMILIES,
)
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.errors import InputError


def ask_class() -> Any:
    """Return the question for the class of machine."""
    return ask("Class of machine", "word", default=None, choices=tuple((c, c) for c in (*CLASSES, GEARED)))


def for_class(rules: MotorRules, motor_class: str | None) -> MotorRules:
    """Return the rules as they apply to a class, or to a starter with a gear reduction.

    Raises: InputError for a class that is not known.
    """
    if motor_class is None:
        return rules
    if motor_class == GEARED:
        return MotorRules(rules.book, "starter", variant=GEARED)
    if motor_class not in CLASSES:
        raise InputError(
            f"“{motor_class}” is not a class of machine.", "Use " + ", ".join((*CLASSES, GEARED)) + ".", "motor_class"
        )
    return MotorRules(rules.book, motor_class)


@dataclass(frozen=True, slots=True, kw_only=True)
class PressureIn:
    """A spring force on a section, with the band to hold it against."""

    force_n: float = ask("Spring force", "force", hint="pulled along the brush at its working length")
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Width a", "length", above_low=True, high=500)
    motor_class: str | None = ask_class()
    band_low_kpa: float | None = ask("Band from", "pressure", default=None, above_low=True)
    band_high_kpa: float | None = ask("Band up to", "pressure", default=None, above_low=True)
    force_nominal_n: float | None = ask("Nominal force", "force", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class PressureOut:
    """Pressure with its verdict."""

    pressure_kpa: float = gives("pressure")
    pressure_psi: float = gives("pressure")
    in_band: bool = gives("inside the band")
    band_low_kpa: float = gives("band from")
    band_high_kpa: float = gives("band up to")
    deviation: float | None = gives("off the nominal force", share=True)
    severity: str = gives("severity")
    advice: str
    rules: tuple[str, ...]


def spring_pressure(given: PressureIn, rules: MotorRules) -> PressureOut:
    """Return the pressure on the full section and what it means.

    Raises: InputError that names the field which cannot be so.
    """
    rules = for_class(rules, given.motor_class)
    low = rules["pressure.low"] if given.band_low_kpa is None else given.band_low_kpa
    high = rules["pressure.high"] if given.band_high_kpa is None else given.band_high_kpa
    if not low < high:
        raise InputError(
            f"The band from {low:g} to {high:g} kPa is empty.", "Give the lower edge first.", "band_high_kpa"
        )
    kpa = pressure_kpa(given.force_n, given.thickness_mm, given.width_mm)
    judged = judge_spring(given.force_n, kpa, (low, high), given.force_nominal_n, rules)
    act = {
        "fit": "keep",
        "plan": "plan new springs as a set",
        "change": "renew the springs as a set now",
        "stop": "not to be run: renew all springs",
    }
    return PressureOut(
        pressure_kpa=kpa,
        pressure_psi=kpa / KPA_PER_PSI,
        in_band=within(low, kpa, high),
        band_low_kpa=low,
        band_high_kpa=high,
        deviation=judged.deviation,
        severity=judged.grade,
        advice=f"{act[judged.grade]}: {judged.reason}",
        rules=("pressure.low", "pressure.high", "spring.plan", "spring.change", "spring.stop"),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class DensityIn:
    """A current through a set of equal brushes, half of each polarity."""

    current_a: float = ask("Current", "current")
    brush_count: int = ask("Number of brushes", "count", low=2, high=400)
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Width a", "length", above_low=True, high=500)
    contact_share: float = ask("Contact share", "share", default=1.0, high=1, above_low=True, hint="while bedding in")
    grade: str | None = ask("Grade family", "word", default=None, hint=", ".join(GRADE_FAMILIES))
    guide_low_a_per_cm2: float | None = ask("Guide from", "density", default=None, above_low=True)
    guide_high_a_per_cm2: float | None = ask("Guide up to", "density", default=None, above_low=True)
    commutator_d_mm: float | None = ask("Commutator diameter", "length", default=None, above_low=True)
    bars: int | None = ask("Bars", "count", default=None, low=3, high=2000)
    supply_v: float | None = ask("Supply", "voltage", default=None, above_low=True)
    force_n: float | None = ask("Spring force", "force", default=None, hint="with the speed, for the heat")
    mean_of: str | None = ask(
        "The current is a mean reading, fed by",
        "word",
        default=None,
        hint=", ".join(FORM_FACTOR_OF),
        choices=tuple((k, k) for k in FORM_FACTOR_OF),
    )
    on_s: float | None = ask("Each run lasts", "seconds", default=None, above_low=True, high=86_400, hint="short duty")
    rest_s: float | None = ask("then it rests for", "seconds", default=None, high=86_400)
    speed_m_per_s: float | None = ask("Surface speed", "area speed", default=None, high=200)


@dataclass(frozen=True, slots=True, kw_only=True)
class DensityOut:
    """Current density, seated and while bedding; None against a guide that is not known."""

    current_rms_a: float = gives("current that heats")
    density_a_per_cm2: float = gives("current density, seated")
    density_lasting_a_per_cm2: float = gives("current density that lasts")
    density_bedding_a_per_cm2: float = gives("current density, as it touches now")
    current_cap_a: float = gives("hold the current to")
    guide_low_a_per_cm2: float | None = gives("guide from")
    guide_high_a_per_cm2: float | None = gives("guide up to")
    below_third_of_guide: bool | None = gives("far under the guide")
    over_guide: bool | None = gives("over the guide")
    bars_covered: float | None = gives("bars covered")
    bars_usual: bool | None = gives("usual number of bars")
    contact_drop_v: float | None = gives("contact drop of a pair")
    contact_drop_share: float | None = gives("contact drop, of the supply", share=True)
    heat_w: float | None = gives("heat at the brushes")
    advice: str
    rules: tuple[str, ...]


def current_density(given: DensityIn, rules: MotorRules) -> DensityOut:
    """Return the current density against the guide of the grade; of a short duty what lasts is held against it.

    Raises: InputError that names the field which cannot be so.
    """
    together(given, "on_s", "rest_s")
    rms, share = given.current_a * _form_factor(given, rules), _share_on(given)
    seated = current_density_a_per_cm2(rms, given.brush_count, given.thickness_mm * given.width_mm)
    lasting = seated * share
    low, high, ids = _guide(given, rules)
    together(given, "commutator_d_mm", "bars")
    together(given, "force_n", "speed_m_per_s")
    below = None if low is None else under(lasting, rules["density.least-share"] * low)
    beyond = None if high is None else over(lasting, high)
    drop = None if given.grade is None else rules[CONTACT_DROP.of(given.grade)]
    covered = None
    if given.commutator_d_mm and given.bars:
        covered = bars_covered(given.thickness_mm, given.commutator_d_mm, given.bars)
    return DensityOut(
        current_rms_a=rms,
        density_a_per_cm2=seated,
        density_lasting_a_per_cm2=lasting,
        density_bedding_a_per_cm2=seated / given.contact_share,
        current_cap_a=given.current_a * given.contact_share,
        guide_low_a_per_cm2=low,
        guide_high_a_per_cm2=high,
        below_third_of_guide=below,
        over_guide=beyond,
        bars_covered=covered,
        bars_usual=None if covered is None else within(rules["bars.low"], covered, rules["bars.high"]),
        contact_drop_v=drop,
        contact_drop_share=drop / given.supply_v if drop is not None and given.supply_v else None,
        heat_w=_heat_w(drop, given, rules),
        advice=_density_advice(lasting, low, high, given, rules),
        rules=ids,
    )


def _form_factor(given: DensityIn, rules: MotorRules) -> float:
    """Return by how much the current that heats is more than its mean [1], 1 for one that is no mean reading.

    Source: rules form.*
    """
    if given.mean_of is None:
        return 1.0
    if given.mean_of not in FORM_FACTOR_OF:
        raise InputError(f"“{given.mean_of[:40]}” is not known.", f"Use one of {', '.join(FORM_FACTOR_OF)}.", "mean_of")
    return rules[FORM_FACTOR.of(FORM_FACTOR_OF[given.mean_of])]


def _share_on(given: DensityIn) -> float:
    """Return the share of a current that heats for long where it runs and rests in turns [1]."""
    if given.on_s is None or given.rest_s is None:
        return 1.0
    return sqrt(given.on_s / (given.on_s + given.rest_s))


def _guide(given: DensityIn, rules: MotorRules) -> tuple[float | None, float | None, tuple[str, ...]]:
    low, high = given.guide_low_a_per_cm2, given.guide_high_a_per_cm2
    if low is not None and high is not None and not low < high:
        raise InputError("The guide is empty.", "Give the lower figure first.", "guide_high_a_per_cm2")
    if given.grade is None:
        return low, high, ("density.least-share",)
    if given.grade not in GRADE_FAMILIES:
        raise InputError(f"“{given.grade}” is not a grade family.", "Use " + ", ".join(GRADE_FAMILIES) + ".", "grade")
    ids = (DENSITY_LOW.of(given.grade), DENSITY_HIGH.of(given.grade))
    return (
        rules[ids[0]] if low is None else low,
        rules[ids[1]] if high is None else high,
        (*ids, "density.least-share"),
    )


def _heat_w(drop: float | None, given: DensityIn, rules: MotorRules) -> float | None:
    if drop is None or given.force_n is None or given.speed_m_per_s is None:
        return None
    return contact_loss_w(
        drop, given.current_a, given.brush_count, force_n=given.force_n, speed_m_per_s=given.speed_m_per_s, rules=rules
    )


def _density_advice(seated: float, low: float | None, high: float | None, given: DensityIn, rules: MotorRules) -> str:
    guide = "" if low is None or high is None else f" of {low:g} to {high:g} A/cm²"
    shown = f"{seated:.3g} A/cm²"
    if high is not None and over(seated, high):
        return f"{shown}, over the guide{guide} for continuous running: check load, grade and number of brushes"
    if low is not None and under(seated, rules["density.least-share"] * low):
        return f"{shown}, under a third of the guide{guide}: the film suffers in long running, look for threading"
    if given.contact_share < 1:
        return f"hold the current to {given.current_a * given.contact_share:.3g} A until the faces are seated"
    if low is not None and under(seated, low):
        return f"{shown}, under the guide{guide}: right for light or short running, watch the film"
    return (
        f"{shown}, within the guide{guide}"
        if high is not None
        else f"{shown}; no guide given: name the grade family to judge it"
    )


SUMS = (
    Sum(
        name="spring-pressure",
        title="Spring pressure",
        words="Force over the full section, against the band of the machine's class or a nominal force.",
        inputs=PressureIn,
        compute=spring_pressure,
        example={"force_n": 6.2, "thickness_mm": 9.5, "width_mm": 12.5, "motor_class": "tool"},
    ),
    Sum(
        name="current-density",
        title="Current density",
        words="Ampere per square centimetre of brush, seated and while bedding in, against the guide of the grade.",
        inputs=DensityIn,
        compute=current_density,
        example={
            "current_a": 86,
            "brush_count": 8,
            "thickness_mm": 12.5,
            "width_mm": 26.5,
            "contact_share": 0.6,
            "grade": "electrographite",
        },
    ),
)
