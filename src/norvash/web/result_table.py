"""A sum's result as lines of a table: words, value, unit; what is not known is left out."""

from collections.abc import Mapping

_UNITS = {
    "mm2": "mm²", "mm_per_kh": "mm/1000 h", "mm_per_s": "mm/s", "a_per_cm2": "A/cm²", "kpa": "kPa", "psi": "psi", "mm": "mm", "h": "h", "w": "W", "a": "A",
    "v": "V", "mohm": "mΩ", "bits": "bit", "minutes": "min",
    "deg": "°", "m_per_s": "m/s", "rpm": "r/min", "min": "min", "megohm": "MΩ", "milliohm": "as read", "ohm": "Ω", "c": "°C", "k": "K", "g": "g",
}  # fmt: skip
_HIDDEN = (
    "sum",
    "rules",
    "advice",
    "note",
    "stage",
    "reasons",
    "fault",
    "causes",
    "checks",
    "cause_words",
    "chances",
    "deviations",
    "sayings",
    "faults",
    "pairs",
    "clearances_mm",
    "pair_fits",
    "at_20_ohm",
    "coil_deviation",
    "cause",
    "how",
    "given",
)
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
    "pass_band",
    "largest_other_deviation",
    "share_of_previous",
    "coil_spread",
    "squeeze",
    "grown_share",
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
    "pattern": "pattern", "proven": "proven by chance", "period_bars": "spacing in bars", "repeats": "times a turn", "hits": "spots that fit",
    "offset_bar": "first bar of it", "chance": "chance of it at this place", "corrected_chance": "chance, every spacing counted", "spots": "spots, middle bars",
    "bar_test_needed": "bar test before any machining", "tir_mm": "total run-out", "tir_limit_mm": "total run-out allowed", "eccentricity_mm": "off centre by",
    "high_point_deg": "high point at", "ovality_mm": "oval by", "largest_remainder_mm": "most left after the fit", "largest_remainder_reading": "at reading",
    "surface_speed_m_per_s": "surface speed", "bar_step": "step from bar to bar", "step_mm": "greatest step", "step_limit_mm": "step allowed",
    "odd_bars": "bars that stand out", "over_limit": "over its limit", "median_milliohm": "median", "pass_band": "may differ from it by",
    "high_readings": "high readings", "low_readings": "low readings", "suspect_readings": "suspect readings", "missing_readings": "missing readings",
    "largest_other_deviation": "most that another differs", "open_coils": "open coils", "coil_from_bar": "from bar", "coil_to_bar": "to bar", "release": "may run",
    "radial_mm": "depth to clean up, radial", "diameter_after_mm": "diameter after", "under_minimum_by_mm": "under the least diameter by",
    "deepest_cut_mm": "deepest cut allowed, radial", "diameter_min_used_mm": "least diameter used", "provisional": "least diameter is an estimate",
    "radial_leaving_pits_mm": "depth with pits left, radial", "diameter_after_leaving_pits_mm": "diameter after that", "allowed_leaving_pits": "that is allowed",
    "skims_left_leaving_pits": "cuts of that depth left", "infeed_from_touch_mm": "infeed from first touch, radial", "rough_passes": "rough passes",
    "rough_pass_mm": "each, radial", "finish_passes": "finish passes", "speed_max_rpm": "fastest for the tool", "speed_rpm": "speed of the machine",
    "rough_pass_min": "a rough pass takes", "finish_pass_min": "the finish pass takes", "cutting_min": "cutting takes", "total_min": "with setting up",
    "slot_min": "slots take", "copper_left_radial_mm": "copper left, radial", "skims_left": "cuts of this depth left", "slot_depth_after_mm": "slot depth after",
    "undercut_by_mm": "undercut by", "sunk_mm": "brush sinks by", "holder_gap_after_mm": "holder gap after", "face_radius_after_mm": "radius of the face after",
    "warnings": "mind", "r40_megohm": "insulation at 40 °C", "minimum_used_megohm": "at least", "passes": "passes", "share_of_previous": "of last time",
    "raise_stage": "raised by one stage", "polarization_index": "polarization index", "polarization": "which is", "coil_spread": "spread of the coils",
    "off_coils": "coils that are off", "winding_c": "winding", "rise_k": "over the air", "life_h": "life that nine in ten reach", "mean_d_mm": "mean diameter",
    "speed_factor": "speed factor", "speed_warning": "too fast for grease", "grease_g": "grease", "renew": "renew when reached", "bearing_series": "series",
    "bore_mm": "bore", "outside_mm": "outside diameter", "width_mm": "width", "seal": "seals", "sealed": "sealed on both sides", "inner_clearance": "clearance inside",
    "makers_own": "maker's own marks", "squeeze": "O-ring squeezed by", "fits_all": "all of it fits",
    "float_ok": "inside its band", "shim_add_mm": "shim to the middle, negative out", "shim_least_mm": "shim at least", "shim_most_mm": "shim at most",
    "shims_used_mm": "of those there", "float_after_mm": "end float then", "greatest_mm_per_s": "greatest", "greatest_place": "at measuring place",
    "grown_share": "more than last time", "work": "work", "because": "for", "mind": "mind", "cleaned_by": "cleaned here by",
    "abrasive_may": "the abrasive is", "abrasive_why": "because",
    "left_out": "left out", "rod_sagitta_mm": "depth of the rod's curve", "rod_error_mm": "the rod misses it by", "rod_fits": "the rod may be used",
    "steady_a": "current that it carries on average", "load_a": "current that it may carry for long", "burst_section_mm2": "least section for the burst", "load_ok": "thick enough for it",
    "even": "every reading even", "shorts_excluded": "single shorted turns excluded", "judged_megohm": "insulation that counts", "test_again": "to be tested again",
    "grease_life_h": "life of the grease inside", "lasts_h": "so it lasts", "rubbing": "its seals rub", "perhaps_sealed": "perhaps sealed", "heat_c": "warmed for fitting to, at most",
    "worst_line_mm_per_s": "mended over", "next_check": "next check", "next_check_minutes": "takes about", "next_check_bits": "expected to tell", "danger": "mind",
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
