"""A sum's result as lines of a table: words, value, unit."""

from collections.abc import Mapping

_UNITS = {
    "mm_per_kh": "mm/1000 h", "a_per_cm2": "A/cm²", "kpa": "kPa", "psi": "psi", "mm": "mm", "h": "h", "n": "N", "a": "A",
    "deg": "°",
}  # fmt: skip
_HIDDEN = ("sum", "rules", "advice", "note")


def table_of(result: Mapping[str, object]) -> list[tuple[str, str, str]]:
    """Return label, value and unit of every result; the unit is the end of its name."""
    lines = []
    for name, value in result.items():
        if name not in _HIDDEN:
            words, unit = _named(name)
            lines.append((words, _said(value), unit))
    return lines


def _named(name: str) -> tuple[str, str]:
    for ending, unit in _UNITS.items():
        if name.endswith(f"_{ending}"):
            return name.removesuffix(f"_{ending}").replace("_", " "), unit
    return name.replace("_", " "), ""


def _said(value: object) -> str:
    if value is None:
        return "–"
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, float):
        return f"{value:.4g}" if abs(value) < 1000 else f"{value:.1f}"
    if isinstance(value, tuple | list):
        return "; ".join(_said(v) for v in value) or "none"
    return str(value)
