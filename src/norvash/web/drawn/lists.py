"""Drawings in lists: each is drawn once for the same values and then kept in memory."""

import json
from datetime import date
from functools import lru_cache

from markupsafe import Markup

from norvash.core.state.ruler import ruler_from
from norvash.drawing.brush.carbon_ruler import carbon_ruler, row_ruler
from norvash.drawing.days.date_span import TimeAxis, date_span

_KEPT = 4096


@lru_cache(_KEPT)
def list_ruler(drawing_json: str, width: float) -> tuple[Markup, str, bool]:
    """Return a kept ruler drawn for a row, the person's unit of length, and whether its limit is an estimate."""
    ruler = ruler_from(json.loads(drawing_json))
    height = min(36.0, max(18.0, 9.0 * len(ruler.brushes)))
    return Markup(carbon_ruler(ruler, width, height).svg()), ruler.unit, ruler.estimated  # noqa: S704


@lru_cache(_KEPT)
def row_ruler_drawn(drawing_json: str, width: float, longest_mm: float) -> Markup:
    """Return a kept ruler drawn for a row of a list whose rows share one scale."""
    return Markup(row_ruler(ruler_from(json.loads(drawing_json)), width, longest_mm).svg())  # noqa: S704


@lru_cache(_KEPT)
def kept_with(drawing_json: str) -> tuple[float, dict[str, str]]:
    """Return the longest of a kept ruler [mm], and what its motor is led with, empty before that was kept."""
    plain = json.loads(drawing_json)
    longest = max(plain["new_mm"], *(b["length_mm"] or 0.0 for b in plain["brushes"]), 1.0)
    return longest, plain.get("lead", {})


@lru_cache(_KEPT)
def list_span(
    axis: TimeAxis, look_on: date | None, limit_on: date | None, early_on: date | None, late_on: date | None
) -> Markup:
    """Return a motor's dates drawn for a row."""
    return Markup(date_span(axis, look_on, limit_on, early_on, late_on).svg())  # noqa: S704


def forget() -> None:
    """Forget what was drawn, to measure a first view."""
    for drawn in (list_ruler, row_ruler_drawn, kept_with):
        drawn.cache_clear()
    list_span.cache_clear()
