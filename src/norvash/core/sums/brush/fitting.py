"""Sums about holders and new faces."""

from dataclasses import dataclass
from math import inf

from norvash.core.brush.holders import FITS, gap_reason, side_fit
from norvash.core.brush.seating import Face, sagitta_mm, seating_method, widest_face_radius_mm
from norvash.core.edges import over, under, within
from norvash.core.rules.book import MotorRules
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class FitIn:
    """A brush and the box it should run in."""

    thickness_mm: float = ask("Brush thickness t", "length", above_low=True, high=500)
    width_mm: float = ask("Brush width a", "length", above_low=True, high=500)
    box_thickness_mm: float = ask("Box, along the rotation", "length", above_low=True, high=500)
    box_width_mm: float = ask("Box, along the shaft", "length", above_low=True, high=500)
    holder_gap_mm: float | None = ask("Holder gap", "length", default=None, high=100)
    motor_class: str | None = ask_class()


@dataclass(frozen=True, slots=True, kw_only=True)
class FitOut:
    """Whether the brush fits, dimension by dimension."""

    answer: str = gives("answer")
    allowed: bool = gives("allowed")
    clearance_thickness_mm: float = gives("clearance along the rotation")
    clearance_width_mm: float = gives("clearance along the shaft")
    dress_thickness_mm: float = gives("to dress along the rotation")
    dress_width_mm: float = gives("to dress along the shaft")
    gap_ok: bool | None = gives("holder gap right")
    gap_low_mm: float = gives("holder gap from")
    gap_high_mm: float = gives("holder gap up to")
    advice: str
    reasons: tuple[str, ...]
    rules: tuple[str, ...]


def holder_fit(given: FitIn, rules: MotorRules) -> FitOut:
    """Return whether a brush runs freely in its box without tilting."""
    rules = for_class(rules, given.motor_class)
    t = side_fit("thickness", given.thickness_mm, given.box_thickness_mm, rules)
    a = side_fit("width", given.width_mm, given.box_width_mm, rules)
    gap_ok, gap_words = (None, None) if given.holder_gap_mm is None else gap_reason(given.holder_gap_mm, rules)
    answer = max(t.fit, a.fit, key=FITS.index)
    reasons = (t.reason, a.reason, *((gap_words,) if gap_words else ()))
    return FitOut(
        answer=answer,
        allowed=answer != "do not use",
        clearance_thickness_mm=t.clearance_mm,
        clearance_width_mm=a.clearance_mm,
        dress_thickness_mm=t.dress_mm,
        dress_width_mm=a.dress_mm,
        gap_ok=gap_ok,
        gap_low_mm=rules["gap.low"],
        gap_high_mm=rules["gap.high"],
        advice=f"{answer}{' in its box, but the holder is wrong' if gap_ok is False else ''}: {'; '.join(reasons)}",
        reasons=reasons,
        rules=(
            "fit.small",
            "fit.large",
            "fit.clearance-least",
            "fit.clearance-most",
            "fit.dressing",
            "gap.low",
            "gap.high",
        ),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class SeatingIn:
    """A new face on a commutator."""

    commutator_d_mm: float = ask("Commutator diameter", "length", above_low=True, high=5000)
    thickness_mm: float = ask("Thickness t", "length", above_low=True, high=500)
    new_mm: float | None = ask("New length", "length", default=None, above_low=True)
    limit_mm: float | None = ask("Limit", "length", default=None)
    worn_mm: float = ask("Bedding wear so far", "length", default=0.0)
    face_radius_mm: float | None = ask("Radius of the face", "length", default=None, above_low=True, hint="empty: flat")
    rod_d_mm: float | None = ask("or shaped on a rod of", "length", default=None, above_low=True, high=5000)
    paper_mm: float = ask("Paper on the rod, its thickness", "length", default=0.0, high=5)
    brush_count: int = ask("Number of brushes", "count", default=2, low=1, high=400)
    steady_rate_mm_per_kh: float | None = ask("Steady wear rate", "rate", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class SeatingOut:
    """How far a face is from seated, and how to get it there."""

    allowed: bool = gives("allowed")
    sagitta_mm: float = gives("depth of the curve")
    depth_mm: float = gives("to wear until all of it touches")
    contact_share: float = gives("touches now", share=True)
    worn_at_three_quarters_mm: float | None = gives("wear until three quarters touch")
    worn_at_ready_mm: float | None = gives("wear until ready for load")
    mean_worn_at_full_mm: float | None = gives("mean carbon lost when seated")
    bedding_h: float | None = gives("bedding-in still takes about")
    life_share: float | None = gives("share of a life spent on it", share=True)
    rod_sagitta_mm: float | None = gives("depth of the rod's curve")
    rod_error_mm: float | None = gives("the rod misses it by")
    rod_fits: bool | None = gives("the rod may be used")
    face_radius_least_mm: float = gives("radius of a shaped face from")
    face_radius_most_mm: float = gives("radius of a shaped face up to")
    method: str = gives("way to do it")
    advice: str
    rules: tuple[str, ...]


def seating(given: SeatingIn, rules: MotorRules) -> SeatingOut:
    """Return the seating of a face; a face curved more than the commutator is refused.

    Raises: InputError that names the field which cannot be so.
    """
    together(given, "new_mm", "limit_mm")
    if over(given.worn_mm, given.new_mm or given.worn_mm):
        raise InputError("More has worn than the brush was long.", "Check the two figures.", "worn_mm")
    radius = _radius_of(given)
    face = Face(given.commutator_d_mm, given.thickness_mm, radius)
    depth, curved = face.depth_mm(), face.over_shaped()
    method = seating_method(depth, given.brush_count, rules)
    ready = face.worn_for_mm(rules["seating.ready"])
    rate, curve = given.steady_rate_mm_per_kh, sagitta_mm(given.commutator_d_mm, given.thickness_mm)
    on_rod = None if given.rod_d_mm is None else sagitta_mm(2 * radius, given.thickness_mm)
    return SeatingOut(
        allowed=not curved,
        sagitta_mm=curve,
        depth_mm=depth,
        contact_share=0.0 if curved else face.share(given.worn_mm),
        worn_at_three_quarters_mm=None if curved else face.worn_for_mm(0.75),
        worn_at_ready_mm=None if curved else ready,
        mean_worn_at_full_mm=None if curved else 2 * depth / 3,
        bedding_h=(
            None if rate is None or curved else max(ready - given.worn_mm, 0) / (rules["seating.rate"] * rate) * 1000
        ),
        life_share=None if curved else _life_share(depth, given),
        rod_sagitta_mm=on_rod,
        rod_error_mm=None if on_rod is None else abs(curve - on_rod),
        rod_fits=_rod_fits(given, rules),
        face_radius_least_mm=given.commutator_d_mm / 2,
        face_radius_most_mm=widest_face_radius_mm(given.commutator_d_mm, rules),
        method="refused: shape it again" if curved else method,
        advice=_seating_advice(curved, face, given, rules),
        rules=("seating.alone", "seating.paper", "seating.count", "seating.ready", "seating.rate"),
    )


def _life_share(depth: float, given: SeatingIn) -> float | None:
    if given.new_mm is None or given.limit_mm is None:
        return None
    if not under(given.limit_mm, given.new_mm):
        raise InputError("The limit is not below the new length.", "Check the two figures.", "limit_mm")
    return depth / (given.new_mm - given.limit_mm)


def _radius_of(given: SeatingIn) -> float:
    """Return the radius of the face: as given, or of the rod with its paper that it was shaped on, infinite for a flat
    one.
    """
    if given.face_radius_mm is not None and given.rod_d_mm is not None:
        raise InputError("A face has one radius: its own, or that of a rod.", "Give the one or the other.", "rod_d_mm")
    if given.rod_d_mm is None and given.paper_mm:
        raise InputError("Paper says nothing without a rod.", "Give the rod too.", "paper_mm")
    if given.face_radius_mm is not None:
        return given.face_radius_mm
    return inf if given.rod_d_mm is None else given.rod_d_mm / 2 + given.paper_mm


def _rod_fits(given: SeatingIn, rules: MotorRules) -> bool | None:
    """Tell whether a face may be shaped on the rod, None without one."""
    if given.rod_d_mm is None:
        return None
    return within(given.commutator_d_mm / 2, _radius_of(given), widest_face_radius_mm(given.commutator_d_mm, rules))


def _seating_advice(curved: bool, face: Face, given: SeatingIn, rules: MotorRules) -> str:
    if curved:
        return "the face is curved more than the commutator and touches at two edges only: shape it to the radius"
    share, ready = face.share(given.worn_mm), rules["seating.ready"]
    if _rod_fits(given, rules) is False:
        most = 2 * (widest_face_radius_mm(given.commutator_d_mm, rules) - given.paper_mm)
        wrong = f"the wrong rod: at most {most:.1f} mm for a commutator of {given.commutator_d_mm:g} mm"
        return f"{wrong}; {share:.0%} of the face touches"
    if under(share, ready):
        return f"{share:.0%} of the face touches: no full load before {ready:.0%}"
    return f"{share:.0%} of the face touches: load in steps"


SUMS = (
    Sum(
        name="holder-fit",
        title="Brush in its box",
        words="Clearance of a brush in its holder, what may be dressed and what is the wrong part.",
        inputs=FitIn,
        compute=holder_fit,
        example={"thickness_mm": 12.48, "width_mm": 24.9, "box_thickness_mm": 12.6, "box_width_mm": 25.02},
    ),
    Sum(
        name="seating",
        title="Seating a face",
        words="How much must wear or be shaped until a new face touches all over, and the way to do it.",
        inputs=SeatingIn,
        compute=seating,
        example={"commutator_d_mm": 62.0, "thickness_mm": 9.0, "new_mm": 23.0, "limit_mm": 9.0, "worn_mm": 0.08},
    ),
)
