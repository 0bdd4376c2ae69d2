"""A sum's result as lines of a table: words, value, unit; what is not known is left out."""

from collections.abc import Mapping

from norvash.web.result_words import LABELS

_UNITS = {
    "mm2": "mm²",
    "mm_per_kh": "mm/1000 h",
    "mm_per_s": "mm/s",
    "a_per_cm2": "A/cm²",
    "kpa": "kPa",
    "psi": "psi",
    "mm": "mm",
    "h": "h",
    "w": "W",
    "a": "A",
    "v": "V",
    "mohm": "mΩ",
    "bits": "bit",
    "minutes": "min",
    "deg": "°",
    "m_per_s": "m/s",
    "rpm": "r/min",
    "min": "min",
    "megohm": "MΩ",
    "milliohm": "as read",
    "ohm": "Ω",
    "c": "°C",
    "k": "K",
    "g": "g",
    "nm": "N·m",
    "in_lb": "in·lb",
    "ft_lb": "ft·lb",
}


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
    "entropy_bits",
    "next_check_bits",
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
    "saving_share",
    "shares",
)
# What is money: to the last of its decimals.
_MONEY = (
    "landed",
    "price_each",
    "cost",
    "new_landed",
    "new_total",
    "repair_total",
    "repair_with_redo",
    "new_per_y",
    "repair_per_y",
    "totals",
    "per_unit",
)


def table_of(result: Mapping[str, object]) -> list[tuple[str, str, str]]:
    """Return label, value and unit of every result that is known; the unit is the end of its name."""
    lines = []
    for name, value in result.items():
        if name not in _HIDDEN and value is not None:
            share = name in _SHARES and (isinstance(value, float) or _all_figures(value))
            words = _percent(value) if share else _paid(value) if name in _MONEY else _said(value)
            lines.append((LABELS[name], words, "%" if share else _unit(name)))
    return lines


def _all_figures(value: object) -> bool:
    return isinstance(value, tuple | list) and all(isinstance(v, float) or v is None for v in value)


def _percent(value: object) -> str:
    if isinstance(value, tuple | list):
        return "; ".join(_percent(v) for v in value)
    return f"{value * 100:.1f}" if isinstance(value, float) else "–"


def _paid(value: object) -> str:
    if isinstance(value, tuple | list):
        return "; ".join(_paid(v) for v in value)
    return f"{value:.2f}" if isinstance(value, float) else "–"


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
