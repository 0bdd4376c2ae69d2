"""What the stage of the brushes shows."""

from typing import Any

from norvash.core.brush.doubts import ANSWERS
from norvash.core.brush.readings import on_the_gauge_mm
from norvash.core.brush.ruler import ruler_of
from norvash.core.motor.figure_fields import INSTRUMENTS, METHOD_HINTS, METHODS
from norvash.core.sheet.stages.brushes.findings import dust_expected_g
from norvash.core.sheet.stages.brushes.geometry import geometry
from norvash.core.sheet.stages.brushes.stage import PICTURES
from norvash.core.sheet.stages.commutator.cut import CUT_DONE
from norvash.drawing.carbon_ruler import carbon_ruler
from norvash.web.motor_drawings import sheet_view
from norvash.web.stage_at import DRAWN, At
from norvash.work.sheet_page import SheetPage


def brushes_stage(at: At) -> dict[str, Any]:
    """Return what the stage of the brushes shows: the ruler, the end view, and how the next one is measured."""
    shown, position, typed, brushes = at.shown, at.position, at.typed, at.brushes
    if brushes is None:
        raise LookupError("the stage of the brushes needs its lines")
    figures = shown.context.figures
    method = typed.get("method") if typed.get("method") in METHODS else figures.word("method")
    instrument = typed.get("instrument") if typed.get("instrument") in INSTRUMENTS else figures.word("instrument")
    gauges = {
        x.plan.number: on_the_gauge_mm(x.before.length_mm, figures, method or "") for x in brushes.lines if x.before
    }
    ruler = carbon_ruler(
        ruler_of(shown.found, shown.context.state), DRAWN, max(36.0, 11.0 * len(brushes.lines)), dimensions=True
    )
    worn = tuple(b.wear_mm for b in shown.found.brushes if b.wear_mm is not None)
    chosen = position or brushes.at
    line = next((x for x in brushes.lines if x.plan.number == position), None)
    return {
        "b": brushes,
        "method": method,
        "instrument": instrument,
        "methods": METHODS,
        "instruments": INSTRUMENTS,
        "hint": METHOD_HINTS.get(method or "", ""),
        "gauges": gauges,
        "ruler": ruler,
        "view": sheet_view(shown, brushes, chosen, 330),
        "changes": _cut_changes(shown),
        "answers": ANSWERS,
        "line": line,
        "pictures": PICTURES if line is not None else (),
        "geometry": geometry(shown.sheet, shown.found, shown.context.rules),
        "dust_expected": (
            dust_expected_g(shown.context.facts, worn, shown.context.rules)
            if shown.context.state.current.fitted_known
            else None
        ),
    }


def _cut_changes(shown: SheetPage) -> Any:
    """Return what a cut on this sheet changed, nothing without one."""
    if CUT_DONE.given(shown.sheet) is None:
        return ()
    from norvash.web.copper_stage import cut_changes_of

    return cut_changes_of(shown)
