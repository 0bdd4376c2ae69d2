"""The limit that holds for one motor: from its best source, on the scale of length."""

from dataclasses import replace

from norvash.core.brush.carbon import centre_limit_mm
from norvash.core.brush.limits import Limit, Parts, estimated_limit, limit_from_parts, warned
from norvash.core.motor.figure_fields import LIMIT_SOURCES
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


def motor_limit(figures: Figures, rules: MotorRules) -> Limit:
    """Return the limit from its best source, on the scale of length; of a stated length and depth, the first reached.

    While the surface has sunk and the holders are not set, the spring must reach that much further.
    Raises: InputError when figures contradict each other.
    Source: rules limit.*
    """
    limit, sunk = _limit(figures, rules), figures.number("sunk_mm")
    if sunk is None:
        return limit
    further = limit.limit_mm + (sunk if limit.governed_by in ("estimate", "wear line") else 0.0)
    why = f"{sunk:.2f} mm further {figures.basis('sunk_mm')}, until the holders are set"
    return replace(limit, limit_mm=further, remark="; ".join(filter(None, (limit.remark, why))))


def _limit(figures: Figures, rules: MotorRules) -> Limit:
    new_mm, stated = figures.need("new_mm"), figures.number("limit_mm")
    given = [limit for limit in (_stated(stated, figures) if stated is not None else None, _by_depth(figures)) if limit]
    third = figures.number("wear_line_3_mm")
    if third is not None and not given:
        given = [Limit(limit_mm=third, source="wear line on the brush", estimated=False, governed_by="wear line")]
    parts = Parts(
        new_mm=new_mm,
        **{n: figures.stated(n) for n in Parts.__dataclass_fields__ if n in figures.known and n != "new_mm"},
    )
    if not given:
        return limit_from_parts(parts, rules) or estimated_limit(new_mm, rules)
    limit = max(given, key=lambda limit: limit.limit_mm)
    if not limit.limit_mm > 0:
        raise InputError(
            f"A limit of {limit.limit_mm:.2f} mm cannot be.",
            "Check the limit and the figures that it is worked out from.",
            "limit_mm",
        )
    return replace(limit, remark="; ".join(filter(None, (limit.remark, warned(limit, parts, rules)))))


def _by_depth(figures: Figures) -> Limit | None:
    """Return the limit that a depth gauge's own limit sets, on the scale of length; it watches the spring."""
    depth_limit, depth_new = figures.number("depth_limit_mm"), figures.number("depth_new_mm")
    if figures.word("method") != "depth" or depth_limit is None or depth_new is None:
        return None
    constant = figures.number("depth_constant_mm")
    limit_mm = (figures.need("new_mm") + depth_new if constant is None else constant) - depth_limit
    return Limit(
        limit_mm=limit_mm,
        source="maker's figure, as a depth",
        estimated=False,
        governed_by="maker",
        terms=(("depth limit", depth_limit),),
    )


def _stated(limit_mm: float, figures: Figures) -> Limit:
    source = figures.word("limit_source") or "maker"
    words = LIMIT_SOURCES.get(source, source)
    angle = figures.number("face_angle_deg") or 0.0
    if source == "maker" and angle:
        told, thickness_mm = (
            f"given as {limit_mm:g} mm at the longest edge of a face angled by {angle:g}°",
            figures.stated("thickness_mm"),
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
