"""Drawings in lists: each is drawn once for the same values and then kept in memory."""

import json
from datetime import date
from functools import lru_cache

from markupsafe import Markup

from norvash.core.brush.ruler import ruler_from
from norvash.drawing.carbon_ruler import carbon_ruler
from norvash.drawing.date_span import TimeAxis, date_span

_KEPT = 4096


@lru_cache(_KEPT)
def list_ruler(drawing_json: str, width: float) -> tuple[Markup, str, bool]:
    """Return a kept ruler drawn for a row, the person's unit of length, and whether its limit is an estimate."""
    ruler = ruler_from(json.loads(drawing_json))
    height = min(36.0, max(18.0, 9.0 * len(ruler.brushes)))
    return Markup(carbon_ruler(ruler, width, height).svg()), ruler.unit, ruler.estimated  # noqa: S704


@lru_cache(_KEPT)
def list_span(
    axis: TimeAxis, look_on: date | None, limit_on: date | None, early_on: date | None, late_on: date | None
) -> Markup:
    """Return a motor's dates drawn for a row."""
    return Markup(date_span(axis, look_on, limit_on, early_on, late_on).svg())  # noqa: S704


def forget() -> None:
    """Forget what was drawn, to measure a first view."""
    list_ruler.cache_clear()
    list_span.cache_clear()
