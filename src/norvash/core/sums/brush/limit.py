"""The limit of a brush as a sum: by its parts, by its maker, or by habit."""

from dataclasses import dataclass, replace

from norvash.core.brush.carbon import centre_limit_mm
from norvash.core.brush.limits import (
    Limit,
    Parts,
    estimated_limit,
    habit_limit_mm,
    limit_from_parts,
    sorted_terms,
    warned,
)
from norvash.core.edges import under
from norvash.core.rules.book import MotorRules
from norvash.core.sums.brush.loading import ask_class, for_class
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class LimitIn:
    """What is known of a brush and its holder; whatever is left out is not used."""

    new_mm: float = ask("New length", "length", above_low=True)
    motor_class: str | None = ask_class()
    maker_limit_mm: float | None = ask(
        "Maker's limit", "length", default=None, above_low=True, hint="wins over everything"
    )
    face_angle_deg: float = ask("Face angle", "angle", default=0.0, high=60, hint="maker's limit at the longest edge")
    thickness_mm: float | None = ask("Thickness t", "length", default=None, above_low=True)
    width_mm: float | None = ask("Width a", "length", default=None, above_low=True)
    holder_gap_mm: float | None = ask("Holder gap", "length", default=None)
    lead_root_depth_mm: float | None = ask("Lead root below the top", "length", default=None)
    lead_taut_length_mm: float | None = ask("Length at which the lead is taut", "length", default=None)
    spring_stop_length_mm: float | None = ask("Length at the spring's stop", "length", default=None)
    force_new_n: float | None = ask("Spring force when new", "force", default=None)
    force_nominal_n: float | None = ask("Nominal spring force", "force", default=None, above_low=True)
    spring_rate_n_per_mm: float | None = ask("Spring rate", "spring rate", default=None)
    band_low_kpa: float | None = ask("Pressure band from", "pressure", default=None)
    sunk_mm: float = ask("Surface sunk by", "length", default=0.0)
    habit_gone_share: float | None = ask("Habit: share of length gone", "share", default=None, high=1)
    habit_at_h: float | None = ask("Habit: at hours", "hours", default=None, above_low=True)
    habit_set_h: float | None = ask("Habit: a set ran for", "hours", default=None, above_low=True)


@dataclass(frozen=True, slots=True, kw_only=True)
class LimitOut:
    """The limit, the term that governs it, and every term."""

    limit_mm: float = gives("limit")
    governed_by: str = gives("governed by")
    source: str = gives("source")
    estimated: bool = gives("an estimate")
    lead_root_limit_mm: float | None = gives("limit by the lead's root")
    lead_reach_limit_mm: float | None = gives("limit by the lead's reach")
    spring_limit_mm: float | None = gives("limit by the spring")
    guidance_limit_mm: float | None = gives("limit by guidance in the holder")
    estimate_mm: float = gives("estimate, if nothing were known")
    habit_limit_mm: float | None = gives("your own habit")
    usable_mm: float = gives("carbon to wear")
    not_known: tuple[str, ...] = gives("not known")
    left_out: tuple[str, ...] = gives("left out")
    advice: str
    rules: tuple[str, ...]


def brush_limit(given: LimitIn, rules: MotorRules) -> LimitOut:
    """Return the limit from the best source that is given.

    Raises: InputError where it would leave no carbon, or could never be reached.
    """
    together(given, "habit_gone_share", "habit_at_h", "habit_set_h")
    rules = for_class(rules, given.motor_class)
    parts = Parts(**{n: getattr(given, n) for n in Parts.__dataclass_fields__})
    estimate = estimated_limit(given.new_mm, rules)
    if given.maker_limit_mm is not None:
        best = Limit(
            limit_mm=_maker(given, given.maker_limit_mm), source="maker's figure", estimated=False, governed_by="maker"
        )
        best = replace(best, remark=warned(best, parts, rules))
    else:
        best = limit_from_parts(parts, rules) or estimate
    limit_mm = best.limit_mm + given.sunk_mm
    if not under(limit_mm, given.new_mm):
        raise InputError(
            f"A limit of {limit_mm:.2f} mm leaves no carbon of {given.new_mm:g} mm.",
            "Check the new length and the limit.",
            "new_mm",
        )
    terms = sorted_terms(parts, rules)
    return LimitOut(
        limit_mm=limit_mm,
        governed_by=best.governed_by,
        source=best.source,
        estimated=best.estimated,
        lead_root_limit_mm=terms.known_mm.get("lead root"),
        lead_reach_limit_mm=terms.known_mm.get("lead reach"),
        spring_limit_mm=terms.known_mm.get("spring"),
        guidance_limit_mm=terms.known_mm.get("guidance"),
        estimate_mm=estimate.limit_mm,
        habit_limit_mm=_habit(given),
        usable_mm=given.new_mm - limit_mm,
        not_known=tuple(sorted(terms.unknown)),
        left_out=tuple(sorted(terms.dropped_mm)),
        advice=_limit_advice(limit_mm, best),
        rules=best.rule_ids,
    )


def _limit_advice(limit_mm: float, best: Limit) -> str:
    more = f"; {best.remark}" if best.remark else ""
    if best.source == "estimate":
        return f"out at {limit_mm:.2f} mm, an estimate: ask the maker for the figure"
    if best.estimated:
        return (
            f"out at {limit_mm:.2f} mm, provisional{more}; so the estimate holds as the least, ask the maker for the"
            " figure"
        )
    return (
        f"out at {limit_mm:.2f} mm,"
        f" {best.source}{'' if best.governed_by == 'maker' else f', governed by the {best.governed_by}'}{more}"
    )


def _maker(given: LimitIn, limit_mm: float) -> float:
    if not given.face_angle_deg:
        return limit_mm
    if given.thickness_mm is None:
        raise InputError("An angled face needs its thickness.", "Give t in mm.", "thickness_mm")
    centre = centre_limit_mm(limit_mm, given.thickness_mm, given.face_angle_deg)
    if not centre > 0:
        raise InputError(
            f"Moved to the centre line the limit would be {centre:.2f} mm, which is not possible.",
            "Check limit, thickness and angle.",
            "face_angle_deg",
        )
    return centre


def _habit(given: LimitIn) -> float | None:
    share, at_h, set_h = given.habit_gone_share, given.habit_at_h, given.habit_set_h
    if share is None or at_h is None or set_h is None:
        return None
    return habit_limit_mm(given.new_mm, share, at_h, set_h)


SUMS = (
    Sum(
        name="brush-limit",
        title="Brush limit",
        words="The length at which a brush must come out, from the parts around it, when no maker's figure is at hand.",
        inputs=LimitIn,
        compute=brush_limit,
        example={
            "new_mm": 22.0,
            "thickness_mm": 8.0,
            "width_mm": 12.5,
            "holder_gap_mm": 1.5,
            "lead_root_depth_mm": 5.0,
        },
    ),
)
