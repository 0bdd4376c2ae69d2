"""The limit that holds for one motor: from its best source, on the scale of length."""

from dataclasses import replace

from norvash.core.brush.carbon import centre_limit_mm
from norvash.core.brush.gauged import depth_and_length_mm, shows_depths
from norvash.core.brush.limits import Limit, Parts, estimated_limit, limit_from_parts, warned
from norvash.core.motor.figure_fields import (
    DEPTH_LIMIT_MM,
    FACE_ANGLE_DEG,
    FORCE_NEW_N,
    FORCE_NOMINAL_N,
    HOLDER_GAP_MM,
    LEAD_ROOT_DEPTH_MM,
    LEAD_TAUT_LENGTH_MM,
    LIMIT_MM,
    LIMIT_SOURCE,
    LIMIT_SOURCES,
    MEASURED_BY,
    NEW_MM,
    SPRING_RATE_N_PER_MM,
    SPRING_STOP_LENGTH_MM,
    SUNK_MM,
    THICKNESS_MM,
    WEAR_LINE_3_MM,
    WIDTH_MM,
)
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


def motor_limit(figures: Figures, rules: MotorRules) -> Limit:
    """Return the limit from its best source, on the scale of length; of a stated length and depth, the first reached.

    While the surface has sunk and the holders are not set, the spring must reach that much further.
    Raises: InputError when figures contradict each other.
    Source: rules limit.*
    """
    limit, sunk = _limit(figures, rules), SUNK_MM.of(figures)
    if sunk is None:
        return limit
    further = limit.limit_mm + (sunk if limit.governed_by in ("estimate", "wear line") else 0.0)
    why = f"{sunk:.2f} mm further {SUNK_MM.basis(figures)}, until the holders are set"
    return replace(limit, limit_mm=further, remark="; ".join(filter(None, (limit.remark, why))))


def _limit(figures: Figures, rules: MotorRules) -> Limit:
    new_mm, stated = NEW_MM.need(figures), LIMIT_MM.of(figures)
    by_length = _stated(stated, figures) if stated is not None and not shows_depths(figures) else None
    given = [limit for limit in (by_length, _by_depth(figures)) if limit]
    third = WEAR_LINE_3_MM.of(figures)
    if third is not None and not given:
        given = [Limit(limit_mm=third, source="wear line on the brush", estimated=False, governed_by="wear line")]
    parts = Parts(
        new_mm=new_mm,
        thickness_mm=THICKNESS_MM.stated(figures),
        width_mm=WIDTH_MM.stated(figures),
        holder_gap_mm=HOLDER_GAP_MM.stated(figures),
        lead_root_depth_mm=LEAD_ROOT_DEPTH_MM.stated(figures),
        lead_taut_length_mm=LEAD_TAUT_LENGTH_MM.stated(figures),
        spring_stop_length_mm=SPRING_STOP_LENGTH_MM.stated(figures),
        force_new_n=FORCE_NEW_N.stated(figures),
        force_nominal_n=FORCE_NOMINAL_N.stated(figures),
        spring_rate_n_per_mm=SPRING_RATE_N_PER_MM.stated(figures),
    )
    if not given:
        return limit_from_parts(parts, rules) or estimated_limit(new_mm, rules)
    limit = max(given, key=lambda limit: limit.limit_mm)
    if not limit.limit_mm > 0:
        raise InputError(
            f"A limit of {limit.limit_mm:.2f} mm is not possible.",
            "Check the limit and the figures that it is worked out from.",
            "limit_mm",
        )
    return replace(limit, remark="; ".join(filter(None, (limit.remark, warned(limit, parts, rules)))))


def _by_depth(figures: Figures) -> Limit | None:
    """Return the limit that a depth gauge's own limit sets, on the scale of length; it watches the spring."""
    depth_limit = DEPTH_LIMIT_MM.of(figures)
    both = depth_and_length_mm(figures)
    if MEASURED_BY.of(figures) != "depth" or depth_limit is None or both is None:
        return None
    limit_mm = both - depth_limit
    return Limit(
        limit_mm=limit_mm,
        source="maker's figure, as a depth",
        estimated=False,
        governed_by="maker",
        terms=(("depth limit", depth_limit),),
        gauge_mm=depth_limit if shows_depths(figures) else None,
    )


def _stated(limit_mm: float, figures: Figures) -> Limit:
    said = LIMIT_SOURCE.of(figures)
    source, words = said or "maker", LIMIT_SOURCES.get(said or "", said or "stated, not said by whom")
    angle = FACE_ANGLE_DEG.of(figures) or 0.0
    if source == "maker" and angle:
        told, thickness_mm = (
            f"given as {limit_mm:g} mm at the longest edge of a face angled by {angle:g}°",
            THICKNESS_MM.stated(figures),
        )
        if thickness_mm is None:
            return Limit(
                limit_mm=limit_mm,
                source=words,
                estimated=False,
                governed_by="maker",
                terms=(),
                rule_ids=(),
                remark=f"{told}; held at the centre too, to the safe side, while nobody has stated the thickness",
            )
        return Limit(
            limit_mm=centre_limit_mm(limit_mm, thickness_mm, angle),
            source=words,
            estimated=False,
            governed_by="maker",
            terms=(("longest edge", limit_mm),),
            rule_ids=(),
            remark=told,
        )
    return Limit(limit_mm=limit_mm, source=words, estimated=False, governed_by=source)
