"""A sum's result as lines of a table: words, value, unit; what is not known is left out."""

from collections.abc import Mapping

_UNITS = {
    "mm_per_kh": "mm/1000 h", "a_per_cm2": "A/cm²", "kpa": "kPa", "psi": "psi", "mm": "mm", "h": "h", "w": "W", "a": "A",
    "v": "V", "mohm": "mΩ", "bits": "bit", "minutes": "min",
}  # fmt: skip
_HIDDEN = ("sum", "rules", "advice", "note", "stage", "reasons", "fault", "causes", "checks", "cause_words", "chances")
_SHARES = (
    "usable",
    "length_share",
    "spread",
    "spread_limit",
    "deviation",
    "contact_share",
    "contact_drop_share",
    "life_share",
    "share",
    "expected_share",
    "top_drop_share",
    "drop_share",
    "chances",
    "upstream_chance",
)
LABELS = {
    "usable": "usable carbon", "length_share": "share of the length", "length_mm": "length", "wear_mm": "worn off",
    "left_to_limit_mm": "left to the limit", "stage_words": "stage", "limit_mm": "limit", "governed_by": "governed by",
    "source": "source", "estimated": "an estimate", "lead_root_limit_mm": "limit by the lead's root",
    "lead_reach_limit_mm": "limit by the lead's reach", "spring_limit_mm": "limit by the spring",
    "guidance_limit_mm": "limit by guidance in the holder", "estimate_mm": "estimate, if nothing were known",
    "habit_limit_mm": "your own habit", "usable_mm": "carbon to wear", "not_known": "not known",
    "life_rate_mm_per_kh": "rate over its life", "interval_rate_mm_per_kh": "rate since last time",
    "rate_mm_per_kh": "rate used, the faster", "left_mm": "left to the limit", "left_h": "use left",
    "left_sd_h": "± from the readings alone", "left_h_by_position": "use left of each brush",
    "do_not_exceed_h": "do not exceed", "plan_by_h": "plan by", "look_again_h": "look again by",
    "governing_position": "governed by brush", "missing_positions": "not measured", "faster_note": "wear is speeding up",
    "answer": "answer", "spread": "spread of wear", "spread_limit": "allowed", "mean_wear_mm": "mean wear",
    "median_wear_mm": "median wear", "uneven": "uneven", "outliers": "stand out", "most_worn_position": "most worn is brush",
    "least_worn_position": "least worn is brush", "polarity_ratio": "ratio of the polarities",
    "polarity_note": "polarity worth a note", "above_noise": "more than the instrument's noise",
    "pressure_kpa": "pressure", "pressure_psi": "pressure", "in_band": "inside the band", "band_low_kpa": "band from",
    "band_high_kpa": "band up to", "deviation": "off the nominal force", "severity": "severity",
    "density_a_per_cm2": "current density, seated", "density_bedding_a_per_cm2": "current density, as it touches now",
    "current_cap_a": "hold the current to", "guide_low_a_per_cm2": "guide from", "guide_high_a_per_cm2": "guide up to",
    "below_third_of_guide": "far under the guide", "over_guide": "over the guide", "bars_covered": "bars covered",
    "bars_usual": "usual number of bars", "contact_drop_v": "contact drop of a pair",
    "contact_drop_share": "contact drop, of the supply", "heat_w": "heat at the brushes", "allowed": "allowed",
    "clearance_thickness_mm": "clearance along the rotation", "clearance_width_mm": "clearance along the shaft",
    "dress_thickness_mm": "to dress along the rotation", "dress_width_mm": "to dress along the shaft",
    "gap_ok": "holder gap right", "gap_low_mm": "holder gap from", "gap_high_mm": "holder gap up to",
    "sagitta_mm": "depth of the curve", "depth_mm": "to wear until all of it touches", "contact_share": "touches now",
    "worn_at_three_quarters_mm": "wear until three quarters touch", "worn_at_ready_mm": "wear until ready for load",
    "mean_worn_at_full_mm": "mean carbon lost when seated", "bedding_h": "bedding-in still takes about",
    "worst_depth_mm": "greatest depth", "worst_length_mm": "shortest length", "row_h": "row", "column_mm": "column",
    "interval_h": "longest use to the next check", "next_check_h": "next check by",
    "life_share": "share of a life spent on it", "face_radius_least_mm": "radius of a shaped face from",
    "face_radius_most_mm": "radius of a shaped face up to", "method": "way to do it",
    "share": "share of the supply", "expected_share": "expected", "rising": "rises from step to step", "top_drop_share": "top step under the supply",
    "top_ok": "top step right", "bad_steps": "bad steps", "dead_steps": "dead steps", "drop_v": "drop", "drop_share": "share of the voltage",
    "allowed_v": "allowed", "drop_ok": "inside what is allowed", "loss_w": "heat in the cable", "rest_ok": "rest voltage right",
    "cranking_ok": "cranking voltage right", "least_v": "least while cranking", "inner_mohm": "inner resistance",
    "cause_words": "causes, the likeliest first", "chances": "their chances", "first_cause": "first to think of", "reasons_for": "for it",
    "reasons_against": "against it", "upstream_chance": "the fault lies before the motor", "entropy_bits": "not known yet",
    "next_check": "next check", "next_check_minutes": "takes about", "next_check_bits": "expected to tell", "danger": "mind",
}  # fmt: skip


def table_of(result: Mapping[str, object]) -> list[tuple[str, str, str]]:
    """Return label, value and unit of every result that is known; the unit is the end of its name."""
    lines = []
    for name, value in result.items():
        if name not in _HIDDEN and value is not None:
            share = name in _SHARES and (isinstance(value, float) or _all_figures(value))
            lines.append((LABELS[name], _percent(value) if share else _said(value), "%" if share else _unit(name)))
    return lines


def _all_figures(value: object) -> bool:
    return isinstance(value, tuple | list) and all(isinstance(v, float) or v is None for v in value)


def _percent(value: object) -> str:
    if isinstance(value, tuple | list):
        return "; ".join(_percent(v) for v in value)
    return f"{value * 100:.1f}" if isinstance(value, float) else "–"


def _unit(name: str) -> str:
    return next((unit for ending, unit in _UNITS.items() if name.endswith(f"_{ending}")), "h" if "_h_" in name else "")


def _said(value: object) -> str:
    if value is None:
        return "–"
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return f"{value:.4g}" if abs(value) < 1000 else f"{value:.1f}"
    if isinstance(value, tuple | list):
        return "; ".join(_said(v) for v in value if v != "") or "none"
    return str(value)
