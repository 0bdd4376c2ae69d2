"""Sums about force, current, fit and seating."""

from dataclasses import dataclass
from math import inf

from norvash.core.holders import FITS, gap_reason, side_fit
from norvash.core.loading import KPA_PER_PSI, bars_covered, current_density_a_per_cm2, judge_spring, pressure_kpa
from norvash.core.rules.book import CLASSES, MotorRules
from norvash.core.rules.fitting import DENSITY
from norvash.core.seating import Face, sagitta_mm, seating_method, widest_face_radius_mm
from norvash.core.sums.registry import Sum, ask
from norvash.errors import InputError


def _for_class(rules: MotorRules, motor_class: str | None) -> MotorRules:
    if motor_class is None:
        return rules
    if motor_class not in CLASSES:
        raise InputError(f"“{motor_class}” is no class of machine.", "Use " + ", ".join(CLASSES) + ".", "motor_class")
    return MotorRules(rules.book, motor_class)


@dataclass(frozen=True, slots=True, kw_only=True)
class PressureIn:
    """A spring force on a section, with the band to hold it against."""

    force_n: float = ask("Spring force", "force", hint="pulled along the brush at its working length")
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Width a", "length", above_low=True, high=500)
    motor_class: str | None = ask("Class of machine", "word", default=None, hint="for the band: " + ", ".join(CLASSES))
    band_low_kpa: float | None = ask("Band from", "pressure", default=None, above_low=True)
    band_high_kpa: float | None = ask("Band up to", "pressure", default=None, above_low=True)
    force_nominal_n: float | None = ask("Nominal force", "force", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class PressureOut:
    """Pressure with its verdict."""

    pressure_kpa: float
    pressure_psi: float
    in_band: bool
    band_low_kpa: float
    band_high_kpa: float
    deviation: float | None
    severity: str
    advice: str
    rules: tuple[str, ...]


def spring_pressure(given: PressureIn, rules: MotorRules) -> PressureOut:
    """Return the pressure on the full section and what it means."""
    rules = _for_class(rules, given.motor_class)
    low = rules["pressure.low"] if given.band_low_kpa is None else given.band_low_kpa
    high = rules["pressure.high"] if given.band_high_kpa is None else given.band_high_kpa
    if not low < high:
        raise InputError(
            f"The band from {low:g} to {high:g} kPa is empty.", "Give the lower edge first.", "band_high_kpa"
        )
    kpa = pressure_kpa(given.force_n, given.thickness_mm, given.width_mm)
    judged = judge_spring(given.force_n, kpa, (low, high), given.force_nominal_n, rules)
    act = {"fit": "keep", "plan": "plan new springs as a set", "change": "renew the springs as a set now"}
    return PressureOut(
        pressure_kpa=kpa, pressure_psi=kpa / KPA_PER_PSI, in_band=low <= kpa <= high, band_low_kpa=low,
        band_high_kpa=high, deviation=judged.deviation, severity=judged.stage,
        advice=f"{act[judged.stage]}: {judged.reason}",
        rules=("pressure.low", "pressure.high", "spring.plan", "spring.change"),
    )  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class DensityIn:
    """A current through a set of equal brushes, half of each polarity."""

    current_a: float = ask("Current", "current")
    brush_count: int = ask("Number of brushes", "count", low=2, high=400)
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Width a", "length", above_low=True, high=500)
    contact_share: float = ask("Contact share", "share", default=1.0, high=1, above_low=True, hint="while bedding in")
    grade: str | None = ask("Grade family", "word", default=None, hint=", ".join(DENSITY))
    guide_low_a_per_cm2: float | None = ask("Guide from", "density", default=None, above_low=True)
    guide_high_a_per_cm2: float | None = ask("Guide up to", "density", default=None, above_low=True)
    commutator_d_mm: float | None = ask("Commutator diameter", "length", default=None, above_low=True)
    bars: int | None = ask("Bars", "count", default=None, low=3, high=2000)


@dataclass(frozen=True, slots=True, kw_only=True)
class DensityOut:
    """Current density, seated and while bedding; None against a guide that is not known."""

    density_a_per_cm2: float
    density_bedding_a_per_cm2: float
    current_cap_a: float
    guide_low_a_per_cm2: float | None
    guide_high_a_per_cm2: float | None
    below_third_of_guide: bool | None
    over_guide: bool | None
    bars_covered: float | None
    advice: str
    rules: tuple[str, ...]


def current_density(given: DensityIn, rules: MotorRules) -> DensityOut:
    """Return the current density against the guide of the grade."""
    seated = current_density_a_per_cm2(given.current_a, given.brush_count, given.thickness_mm * given.width_mm)
    low, high, ids = _guide(given, rules)
    below = None if low is None else seated < rules["density.least-share"] * low
    over = None if high is None else seated > high
    covered = None
    if given.commutator_d_mm and given.bars:
        covered = bars_covered(given.thickness_mm, given.commutator_d_mm, given.bars)
    return DensityOut(
        density_a_per_cm2=seated, density_bedding_a_per_cm2=seated / given.contact_share,
        current_cap_a=given.current_a * given.contact_share, guide_low_a_per_cm2=low, guide_high_a_per_cm2=high,
        below_third_of_guide=below, over_guide=over, bars_covered=covered,
        advice=_density_advice(below, over, given), rules=ids,
    )  # fmt: skip


def _guide(given: DensityIn, rules: MotorRules) -> tuple[float | None, float | None, tuple[str, ...]]:
    low, high = given.guide_low_a_per_cm2, given.guide_high_a_per_cm2
    if low is not None and high is not None and not low < high:
        raise InputError("The guide is empty.", "Give the lower figure first.", "guide_high_a_per_cm2")
    if given.grade is None:
        return low, high, ("density.least-share",)
    if given.grade not in DENSITY:
        raise InputError(f"“{given.grade}” is no grade family.", "Use " + ", ".join(DENSITY) + ".", "grade")
    ids = (f"density.{given.grade}.low", f"density.{given.grade}.high")
    return (
        rules[ids[0]] if low is None else low,
        rules[ids[1]] if high is None else high,
        (*ids, "density.least-share"),
    )


def _density_advice(below: bool | None, over: bool | None, given: DensityIn) -> str:
    if over:
        return "over the guide for continuous running: check load, grade and number of brushes"
    if below:
        return "under a third of the guide: the film suffers in long running, look for threading"
    if given.contact_share < 1:
        return f"hold the current to {given.current_a * given.contact_share:.3g} A until the faces are seated"
    return "within the guide" if over is not None else "no guide given: name the grade family to judge it"


@dataclass(frozen=True, slots=True, kw_only=True)
class FitIn:
    """A brush and the box it should run in."""

    thickness_mm: float = ask("Brush thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Brush width a", "length", above_low=True, high=500)
    box_thickness_mm: float = ask("Box, along the rotation", "length", above_low=True, high=500)
    box_width_mm: float = ask("Box, along the shaft", "length", above_low=True, high=500)
    holder_gap_mm: float | None = ask("Holder gap", "length", default=None, high=100)
    motor_class: str | None = ask("Class of machine", "word", default=None, hint="for the gap: " + ", ".join(CLASSES))


@dataclass(frozen=True, slots=True, kw_only=True)
class FitOut:
    """Whether the brush fits, dimension by dimension."""

    answer: str
    allowed: bool
    clearance_thickness_mm: float
    clearance_width_mm: float
    dress_thickness_mm: float
    dress_width_mm: float
    gap_ok: bool | None
    reasons: tuple[str, ...]
    rules: tuple[str, ...]


def holder_fit(given: FitIn, rules: MotorRules) -> FitOut:
    """Return whether a brush runs freely in its box without tilting."""
    rules = _for_class(rules, given.motor_class)
    t = side_fit("thickness", given.thickness_mm, given.box_thickness_mm, rules)
    a = side_fit("width", given.width_mm, given.box_width_mm, rules)
    gap_ok, gap_words = (None, None) if given.holder_gap_mm is None else gap_reason(given.holder_gap_mm, rules)
    answer = max(t.fit, a.fit, key=FITS.index)
    reasons = (t.reason, a.reason, *((gap_words,) if gap_words else ()))
    return FitOut(
        answer=answer, allowed=answer != "do not use", clearance_thickness_mm=t.clearance_mm,
        clearance_width_mm=a.clearance_mm, dress_thickness_mm=t.dress_mm, dress_width_mm=a.dress_mm, gap_ok=gap_ok,
        reasons=reasons,
        rules=("fit.clearance-least", "fit.clearance-most", "fit.dressing", "gap.low", "gap.high"),
    )  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class SeatingIn:
    """A new face on a commutator."""

    commutator_d_mm: float = ask("Commutator diameter", "length", above_low=True, high=5000)
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    new_mm: float | None = ask("New length", "length", default=None, above_low=True)
    limit_mm: float | None = ask("Limit", "length", default=None)
    worn_mm: float = ask("Bedding wear so far", "length", default=0.0)
    face_radius_mm: float | None = ask("Radius of the face", "length", default=None, above_low=True, hint="empty: flat")
    brush_count: int = ask("Number of brushes", "count", default=2, low=1, high=400)
    steady_rate_mm_per_kh: float | None = ask("Steady wear rate", "rate", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class SeatingOut:
    """How far a face is from seated, and how to get it there."""

    allowed: bool
    sagitta_mm: float
    depth_mm: float
    contact_share: float
    worn_at_three_quarters_mm: float
    worn_at_ready_mm: float
    mean_worn_at_full_mm: float
    bedding_h: float | None
    life_share: float | None
    face_radius_least_mm: float
    face_radius_most_mm: float
    method: str
    advice: str
    rules: tuple[str, ...]


def seating(given: SeatingIn, rules: MotorRules) -> SeatingOut:
    """Return the seating of a face; a face curved more than the commutator is refused."""
    radius = inf if given.face_radius_mm is None else given.face_radius_mm
    face = Face(given.commutator_d_mm, given.thickness_mm, radius)
    depth, over = face.depth_mm(), face.over_shaped()
    method = seating_method(depth, given.brush_count, rules)
    ready = face.worn_for_mm(rules["seating.ready"])
    rate = given.steady_rate_mm_per_kh
    return SeatingOut(
        allowed=not over, sagitta_mm=sagitta_mm(given.commutator_d_mm, given.thickness_mm), depth_mm=depth,
        contact_share=0.0 if over else face.share(given.worn_mm), worn_at_three_quarters_mm=face.worn_for_mm(0.75),
        worn_at_ready_mm=ready, mean_worn_at_full_mm=2 * depth / 3,
        bedding_h=None if rate is None else max(ready - given.worn_mm, 0) / (rules["seating.rate"] * rate) * 1000,
        life_share=_life_share(depth, given), face_radius_least_mm=given.commutator_d_mm / 2,
        face_radius_most_mm=widest_face_radius_mm(given.commutator_d_mm, rules),
        method="refused: shape it again" if over else method, advice=_seating_advice(over, face, given, rules),
        rules=("seating.alone", "seating.paper", "seating.count", "seating.ready", "seating.rate"),
    )  # fmt: skip


def _life_share(depth: float, given: SeatingIn) -> float | None:
    if given.new_mm is None or given.limit_mm is None:
        return None
    if not given.limit_mm < given.new_mm:
        raise InputError("The limit is not below the new length.", "Check the two figures.", "limit_mm")
    return depth / (given.new_mm - given.limit_mm)


def _seating_advice(over: bool, face: Face, given: SeatingIn, rules: MotorRules) -> str:
    if over:
        return "the face is curved more than the commutator and touches at two edges only: shape it to the radius"
    share, ready = face.share(given.worn_mm), rules["seating.ready"]
    if share < ready:
        return f"{share:.0%} of the face touches: no full load before {ready:.0%}"
    return f"{share:.0%} of the face touches: load in steps"


SUMS = (
    Sum("spring-pressure", "Spring pressure",
        "Force over the full section, against the band of the machine's class or a nominal force.",
        PressureIn, spring_pressure, {"force_n": 6.2, "thickness_mm": 9.5, "width_mm": 12.5, "motor_class": "tool"}),
    Sum("current-density", "Current density",
        "Ampere per square centimetre of brush, seated and while bedding in, against the guide of the grade.",
        DensityIn, current_density,
        {"current_a": 86, "brush_count": 8, "thickness_mm": 12.5, "width_mm": 26.5, "contact_share": 0.6,
         "grade": "electrographite"}),
    Sum("holder-fit", "Brush in its box",
        "Clearance of a brush in its holder, what may be dressed and what is the wrong part.",
        FitIn, holder_fit,
        {"thickness_mm": 12.48, "width_mm": 24.9, "box_thickness_mm": 12.6, "box_width_mm": 25.02}),
    Sum("seating", "Seating a face",
        "How much must wear or be shaped until a new face touches all over, and the way to do it.",
        SeatingIn, seating,
        {"commutator_d_mm": 62.0, "thickness_mm": 9.0, "new_mm": 23.0, "limit_mm": 9.0, "worn_mm": 0.08}),
)  # fmt: skip
