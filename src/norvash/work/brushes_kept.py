"""The brushes that a visit has measured and left in, in words."""

from norvash.core.motor.figure_fields import LENGTH_UNIT
from norvash.core.text.words import length_words
from norvash.core.verdict.values import BrushNow
from norvash.work.sheet_page import SheetPage


def brushes_kept(page: SheetPage) -> list[str]:
    """Return the brushes that were measured and stay, each with the carbon that it has left."""
    here = page.row.id
    if page.context.sets[-1].sheet_id == here or page.found.round is None or page.found.round.sheet_id != here:
        return []
    unit = LENGTH_UNIT.of(page.context.figures)
    read = [b for b in page.found.brushes if b.in_round and b.last is not None and b.number not in page.found.new]
    return [f"{b.label} {_measured(b, unit)}" for b in read]


def _measured(brush: BrushNow, unit: str) -> str:
    """Return what was measured of a brush, and the share of its carbon that is left where that is known."""
    last = brush.last
    if last is None:
        return "not measured"
    shown = length_words(last.length_mm, unit) if last.bare_mm is None else f"{length_words(last.bare_mm, unit)} deep"
    return shown if brush.usable is None else f"{shown}, {brush.usable:.0%} of its usable carbon"
