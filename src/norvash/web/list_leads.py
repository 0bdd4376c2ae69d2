"""What leads a motor in a list, and why one that something else than its carbon holds has no day."""

from collections.abc import Mapping
from typing import Any

from norvash.core.sheet.part import BRUSHES, LOOK
from norvash.web.drawn.lists import kept_with
from norvash.work.pages.bench import BenchRow

_HELD = ("stop", "change")
# Why a motor that something else than its carbon holds has no day.
_WAITS = {"Prove": "measure, then a date", "Measure": "no date until then", "Settle": "no date until then"}


def _risen(row: BenchRow) -> Mapping[str, Any] | None:
    """Return what leads a motor that has risen by a day for something else than its carbon."""
    if row.risen_part in ("", BRUSHES.id):
        return None
    value = "Measure" if row.risen_part == LOOK.id else "Mend" if row.grade in _HELD else "Plan"
    return {"value": value, "unit": "", "words": row.note, "carbon": row.risen_part == LOOK.id}


def _led_before(row: BenchRow) -> Mapping[str, Any]:
    """Return what leads a motor that was judged before its lead was kept: its carbon."""
    left = row.listed.standing.left_mm
    value = "–" if left is None else f"{left:.1f}"
    return {"value": value, "unit": "mm", "words": "to its limit" if left is not None else "no length", "carbon": True}


def lead_of_row(row: BenchRow) -> Mapping[str, Any]:
    """Return what leads a motor: what it has risen for, else what was kept with its verdict."""
    return _risen(row) or kept_with(row.listed.standing.drawing_json)[1] or _led_before(row)


def waits_for(row: BenchRow, lead: Mapping[str, Any]) -> str:
    """Return what stands in place of a day that its carbon alone would have, empty where its day counts."""
    return "" if lead["carbon"] else _WAITS.get(lead["value"], "when it is mended" if row.grade in _HELD else "")
