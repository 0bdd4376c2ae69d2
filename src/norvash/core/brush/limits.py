"""The length at which a brush must be out of service, and where that figure comes from."""

from dataclasses import dataclass

from norvash.core.edges import over, under
from norvash.core.rules.book import MotorRules
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Parts:
    """What is known of the parts that end a brush's life; None where nothing is known.

    Units: lengths [mm], forces [N], spring rate [N/mm], pressure [kPa].
    """

    new_mm: float
    thickness_mm: float | None = None
    width_mm: float | None = None
    holder_gap_mm: float | None = None
    lead_root_depth_mm: float | None = None
    lead_taut_length_mm: float | None = None
    spring_stop_length_mm: float | None = None
    force_new_n: float | None = None
    force_nominal_n: float | None = None
    spring_rate_n_per_mm: float | None = None
    band_low_kpa: float | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Limit:
    """A limit with its source; `terms` are the figures it was chosen from, `rule_ids` what it rests on.

    `estimated` marks one that rests on the estimate, in whole or because the figure of a part is not known. `gauge_mm`
    is what a depth gauge shows at it [mm], where no length is known.
    """

    limit_mm: float
    source: str
    estimated: bool
    governed_by: str
    terms: tuple[tuple[str, float], ...] = ()
    rule_ids: tuple[str, ...] = ()
    remark: str = ""
    gauge_mm: float | None = None


_FROM_PARTS = "worked out from the parts"


def least_force_n(parts: Parts, rules: MotorRules) -> float | None:
    """Return the least spring force allowed [N]: a share of the nominal, else the band's lower edge.

    Units: parts with forces [N], pressure [kPa] and section [mm] -> [N]
    Source: rules limit.spring-share, pressure.low
    """
    if parts.force_nominal_n is not None:
        return rules["limit.spring-share"] * parts.force_nominal_n
    if parts.thickness_mm is None or parts.width_mm is None or parts.force_new_n is None:
        return None
    low_kpa = rules["pressure.low"] if parts.band_low_kpa is None else parts.band_low_kpa
    return low_kpa * parts.thickness_mm * parts.width_mm / 1000


def force_ends_mm(parts: Parts, rules: MotorRules) -> float | None:
    """Return the length [mm] at which the spring's force falls under the least allowed.

    Units: parts with forces [N] and the spring rate [N/mm] -> [mm]
    Source: a straight spring: force falls by its rate
    """
    least_n = least_force_n(parts, rules)
    if least_n is None or parts.force_new_n is None or parts.spring_rate_n_per_mm is None:
        return None
    if parts.spring_rate_n_per_mm == 0:
        return None if not under(parts.force_new_n, least_n) else parts.new_mm
    return parts.new_mm - (parts.force_new_n - least_n) / parts.spring_rate_n_per_mm


def limit_terms(parts: Parts, rules: MotorRules) -> dict[str, float]:
    """Return the limit that each known part sets, by its name [mm].

    Units: parts with lengths [mm] -> [mm] by name
    Source: rules limit.*
    """
    terms: dict[str, float] = {}
    if parts.lead_root_depth_mm is not None:
        terms["lead root"] = parts.lead_root_depth_mm + rules["limit.lead-root"]
    if parts.lead_taut_length_mm is not None:
        terms["lead reach"] = parts.lead_taut_length_mm + rules["limit.lead-reach"]
    ends = [x for x in (parts.spring_stop_length_mm, force_ends_mm(parts, rules)) if x is not None]
    if ends:
        terms["spring"] = max(ends) + rules["limit.spring"]
    if parts.thickness_mm is not None and parts.holder_gap_mm is not None:
        terms["guidance"] = rules["limit.guidance"] * parts.thickness_mm + parts.holder_gap_mm
    return terms


_TERM_RULES = {
    "lead root": "limit.lead-root",
    "lead reach": "limit.lead-reach",
    "spring": "limit.spring",
    "guidance": "limit.guidance",
}
_ESTIMATE_RULES = ("limit.estimate-share", "limit.estimate-least", "limit.estimate-most")


@dataclass(frozen=True, slots=True)
class Terms:
    """The limits that the parts set, by name [mm]: those that can be, those that cannot, and the parts that are not
    known.
    """

    known_mm: dict[str, float]
    dropped_mm: dict[str, float]
    unknown: tuple[str, ...]

    @property
    def words(self) -> str:
        """Return what was left out and what is not known, empty where nothing is."""
        said = [f"the {n} would set {mm:.2f} mm, which is not possible: left out" for n, mm in self.dropped_mm.items()]
        if self.unknown:
            said.append(f"not known: {', '.join(self.unknown)}")
        return "; ".join(said)


def sorted_terms(parts: Parts, rules: MotorRules) -> Terms:
    """Return the limits that the parts set; one at or below nothing cannot be and is left out.

    Raises: InputError when the parts leave no carbon at all.
    """
    terms = limit_terms(parts, rules)
    known = {n: mm for n, mm in terms.items() if over(mm, 0.0)}
    name = max(known, key=lambda k: known[k], default="")
    if name and not under(known[name], parts.new_mm):
        raise InputError(
            f"The {name} would set the limit at {known[name]:.2f} mm, not below the new length of {parts.new_mm:g} mm.",
            "Check the new length and the figures of that part.",
            "new_mm",
        )
    return Terms(
        known, {n: mm for n, mm in terms.items() if n not in known}, tuple(n for n in _TERM_RULES if n not in terms)
    )


def limit_from_parts(parts: Parts, rules: MotorRules) -> Limit | None:
    """Return the greatest limit that the parts set, or None when no part is known.

    While a part is not known the estimate holds as the least, and the limit is marked as one.
    Raises: InputError when the parts leave no carbon at all.
    """
    found = sorted_terms(parts, rules)
    if not found.known_mm:
        return None
    name = max(found.known_mm, key=lambda k: found.known_mm[k])
    ids = tuple(_TERM_RULES[n] for n in found.known_mm)
    if not found.unknown:
        return Limit(
            limit_mm=found.known_mm[name],
            source=_FROM_PARTS,
            estimated=False,
            governed_by=name,
            terms=tuple(found.known_mm.items()),
            rule_ids=ids,
            remark=found.words,
        )
    least = estimated_limit(parts.new_mm, rules)
    terms = (*found.known_mm.items(), ("estimate", least.limit_mm))
    by, limit_mm = max(((n, mm) for n, mm in terms if n in (name, "estimate")), key=lambda t: t[1])
    return Limit(
        limit_mm=limit_mm,
        source=_FROM_PARTS,
        estimated=True,
        governed_by=by,
        terms=terms,
        rule_ids=(*ids, *_ESTIMATE_RULES),
        remark=found.words,
    )


def warned(limit: Limit, parts: Parts, rules: MotorRules) -> str:
    """Return the warning that a stated limit is below what the parts need, empty where it is not."""
    known = limit_terms(parts, rules)
    name = max(known, key=lambda k: known[k], default="")
    if not name or not over(known[name], limit.limit_mm):
        return ""
    return f"the {name} needs {known[name]:.2f} mm: ask the maker, the stated limit may be too short"


def estimated_limit(new_mm: float, rules: MotorRules) -> Limit:
    """Return the limit to use when nothing is known; always marked as an estimate.

    Units: new_mm [mm]. Source: rules limit.estimate-*
    """
    least = max(rules["limit.estimate-share"] * new_mm, rules["limit.estimate-least"])
    limit_mm = min(least, rules["limit.estimate-most"] * new_mm)
    return Limit(
        limit_mm=limit_mm,
        source="estimate",
        estimated=True,
        governed_by="estimate",
        terms=(("estimate", limit_mm),),
        rule_ids=_ESTIMATE_RULES,
    )


def habit_limit_mm(new_mm: float, gone_share: float, at_h: float, set_h: float) -> float | None:
    """Return the limit that was really used by earlier sets, or None where the figure is no use.

    Units: new_mm [mm], gone_share of the length [1] at at_h [h], sets changed at set_h [h] -> [mm]
    Raises: InputError without hours.
    Source: straight line of wear

    >>> habit_limit_mm(20.0, 0.3, 500, 1000)
    8.0
    """
    if not at_h > 0 or not set_h > 0:
        raise InputError("The habit needs hours above 0.", "Give the hours of the look and of the set.", "at_h")
    limit_mm = new_mm * (1 - gone_share * set_h / at_h)
    return limit_mm if limit_mm > 0 and under(limit_mm, new_mm) else None
