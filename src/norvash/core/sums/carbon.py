"""Sums about length: usable carbon and the limit."""

from dataclasses import dataclass

from norvash.core.brushes import DepthScale, centre_limit_mm, usable_carbon
from norvash.core.limits import Parts, estimated_limit, habit_limit_mm, limit_from_parts, limit_terms
from norvash.core.rules.book import MotorRules
from norvash.core.stages import WORDS, Staged, stage_of
from norvash.core.sums.registry import Sum, ask
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class CarbonIn:
    """A length, or a depth, with its new value and its limit."""

    length_mm: float | None = ask("Length now", "length", default=None)
    new_mm: float | None = ask("New length", "length", default=None, above_low=True)
    limit_mm: float | None = ask("Limit", "length", default=None)
    depth_mm: float | None = ask("Depth now", "length", default=None, low=-1e3, hint="instead of a length")
    depth_new_mm: float | None = ask("Depth when new", "length", default=None, low=-1e3)
    depth_limit_mm: float | None = ask("Depth limit", "length", default=None, low=-1e3)
    depth_constant_mm: float | None = ask("Depth gauge constant", "length", default=None, hint="length plus depth")
    protrusion_mm: float | None = ask("Protrusion now", "length", default=None, low=-1e3, hint="may be negative")
    protrusion_constant_mm: float | None = ask("Protrusion constant", "length", default=None, low=-1e3)
    sunk_mm: float = ask("Surface sunk by", "length", default=0.0, hint="after a skim, holder not moved")


@dataclass(frozen=True, slots=True, kw_only=True)
class CarbonOut:
    """Usable carbon with its stage and the words for it."""

    usable: float | None
    length_share: float | None
    length_mm: float | None
    wear_mm: float | None
    left_to_limit_mm: float | None
    stage: str | None
    stage_words: str | None
    note: str
    rules: tuple[str, ...]


def _staged(usable: float | None, at_limit: bool, rules: MotorRules) -> Staged | None:
    if at_limit:
        return Staged("stop", "stage.stop")
    return None if usable is None else stage_of(usable, rules)


def given_or_refuse(name: str, value: float | None) -> float:
    """Return a figure that must be given.

    Raises: InputError at its field.
    """
    if value is None:
        raise InputError("A figure is missing.", "Give length, new length and limit, or the depths.", name)
    return value


def carbon(given: CarbonIn, rules: MotorRules) -> CarbonOut:
    """Return usable carbon from a length, a depth or a protrusion."""
    if given.depth_mm is not None:
        return _from_depth(given, given.depth_mm, rules)
    length_mm = given.length_mm
    if given.protrusion_mm is not None:
        if given.protrusion_constant_mm is None:
            raise InputError("A protrusion needs its constant.", "Give length minus protrusion of one brush.",
                             "protrusion_constant_mm")  # fmt: skip
        length_mm = given.protrusion_mm + given.protrusion_constant_mm + given.sunk_mm
    length_mm, new_mm = given_or_refuse("length_mm", length_mm), given_or_refuse("new_mm", given.new_mm)
    limit_mm = given_or_refuse("limit_mm", given.limit_mm) + given.sunk_mm
    usable = usable_carbon(length_mm, new_mm, limit_mm)
    share = length_mm / new_mm
    staged = _staged(usable, length_mm <= limit_mm, rules)
    note = f"{share:.0%} of the length is left, but {max(usable, 0):.0%} of what may be used"
    if length_mm > new_mm + rules["new.tolerance"]:
        note = "longer than new beyond its tolerance: mistyped, or another brush?"
    return _carbon_out(usable, share, length_mm, new_mm - length_mm, length_mm - limit_mm, staged, note)


def _from_depth(given: CarbonIn, depth_mm: float, rules: MotorRules) -> CarbonOut:
    if given.depth_new_mm is None:
        raise InputError("A depth needs the depth when new.", "Give it in mm.", "depth_new_mm")
    scale = DepthScale(given.depth_new_mm, given.depth_limit_mm, given.depth_constant_mm, given.sunk_mm)
    usable, length_mm, left = scale.usable(depth_mm), scale.length_mm(depth_mm), scale.left_mm(depth_mm)
    share = None
    if length_mm is not None and given.depth_constant_mm is not None:
        share = length_mm / (given.depth_constant_mm - given.depth_new_mm)
    staged = _staged(usable, left is not None and left <= 0, rules)
    note = "the depth limit is compared with the raw reading; wear is without what the surface has sunk"
    return _carbon_out(usable, share, length_mm, scale.wear_mm(depth_mm), left, staged, note)


def _carbon_out(
    usable: float | None, share: float | None, length_mm: float | None, wear_mm: float, left: float | None,
    staged: Staged | None, note: str,
) -> CarbonOut:  # fmt: skip
    return CarbonOut(
        usable=usable, length_share=share, length_mm=length_mm, wear_mm=wear_mm, left_to_limit_mm=left,
        stage=staged.stage if staged else None, stage_words=WORDS[staged.stage] if staged else None, note=note,
        rules=(staged.rule_id,) if staged else (),
    )  # fmt: skip


@dataclass(frozen=True, slots=True, kw_only=True)
class LimitIn:
    """What is known of a brush and its holder; whatever is left out is not used."""

    new_mm: float = ask("New length", "length", above_low=True)
    maker_limit_mm: float | None = ask("Maker's limit", "length", default=None, hint="wins over everything")
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

    limit_mm: float
    governed_by: str
    source: str
    estimated: bool
    lead_root_limit_mm: float | None
    lead_reach_limit_mm: float | None
    spring_limit_mm: float | None
    guidance_limit_mm: float | None
    estimate_mm: float
    habit_limit_mm: float | None
    usable_mm: float
    not_known: tuple[str, ...]
    advice: str
    rules: tuple[str, ...]


def brush_limit(given: LimitIn, rules: MotorRules) -> LimitOut:
    """Return the limit from the best source that is given."""
    names = Parts.__dataclass_fields__
    parts = Parts(**{n: getattr(given, n) for n in names})
    estimate = estimated_limit(given.new_mm, rules)
    if given.maker_limit_mm is not None:
        limit_mm, by, source, ids = _maker(given, given.maker_limit_mm), "maker", "maker's figure", ()
    else:
        best = limit_from_parts(parts, rules) or estimate
        limit_mm, by, source, ids = best.limit_mm, best.governed_by, best.source, best.rule_ids  # type: ignore[assignment]
    limit_mm += given.sunk_mm
    if not limit_mm < given.new_mm:
        raise InputError(f"A limit of {limit_mm:.2f} mm leaves no carbon of {given.new_mm:g} mm.",
                         "Check the new length and the limit.", "new_mm")  # fmt: skip
    terms = limit_terms(parts, rules)
    known = {"lead root", "lead reach", "spring", "guidance"}
    return LimitOut(
        limit_mm=limit_mm, governed_by=by, source=source, estimated=by == "estimate",
        lead_root_limit_mm=terms.get("lead root"), lead_reach_limit_mm=terms.get("lead reach"),
        spring_limit_mm=terms.get("spring"), guidance_limit_mm=terms.get("guidance"),
        estimate_mm=estimate.limit_mm, habit_limit_mm=_habit(given), usable_mm=given.new_mm - limit_mm,
        not_known=tuple(sorted(known - terms.keys())), advice=_limit_advice(limit_mm, by, source), rules=ids,
    )  # fmt: skip


def _limit_advice(limit_mm: float, by: str, source: str) -> str:
    if by == "estimate":
        return f"out at {limit_mm:.2f} mm, an estimate: ask the maker for the figure"
    return f"out at {limit_mm:.2f} mm, {source}{'' if by == 'maker' else f', governed by the {by}'}"


def _maker(given: LimitIn, limit_mm: float) -> float:
    if not given.face_angle_deg:
        return limit_mm
    if given.thickness_mm is None:
        raise InputError("An angled face needs its thickness.", "Give t in mm.", "thickness_mm")
    return centre_limit_mm(limit_mm, given.thickness_mm, given.face_angle_deg)


def _habit(given: LimitIn) -> float | None:
    share, at_h, set_h = given.habit_gone_share, given.habit_at_h, given.habit_set_h
    if share is None or at_h is None or set_h is None:
        return None
    return habit_limit_mm(given.new_mm, share, at_h, set_h)


SUMS = (
    Sum("usable-carbon", "Usable carbon",
        "How much of a brush may still be used, from its length or a depth. Half the length is not half the life.",
        CarbonIn, carbon, {"length_mm": 13.1, "new_mm": 25.0, "limit_mm": 9.5}),
    Sum("brush-limit", "Brush limit",
        "The length at which a brush must come out, from the parts around it, when no maker's figure is at hand.",
        LimitIn, brush_limit, {"new_mm": 22.0, "thickness_mm": 8.0, "width_mm": 12.5, "holder_gap_mm": 1.5, "lead_root_depth_mm": 5.0}),
)  # fmt: skip
