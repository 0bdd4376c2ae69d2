"""A sum's result as lines of a table: words, value, unit; what is not known is left out."""

from dataclasses import fields
from typing import Any

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


def table_of(result: Any) -> list[tuple[str, str, str]]:
    """Return label, value and unit of every figure of a result that has words; the unit is the end of its name."""
    lines = []
    for f in fields(result):
        value, gives = getattr(result, f.name), f.metadata.get("gives")
        if gives is not None and value is not None:
            share = gives.share and (isinstance(value, float) or _all_figures(value))
            words = _percent(value) if share else _paid(value) if gives.money else _said(value)
            lines.append((gives.words, words, "%" if share else _unit(f.name)))
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
