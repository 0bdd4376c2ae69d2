"""What the stage of the brushes shows: the ruler, the end view, and how the next one is measured."""

from collections.abc import Mapping
from dataclasses import dataclass

from norvash.core.brush.doubts import ANSWERS
from norvash.core.brush.gauged import on_the_gauge_mm, shows_depths
from norvash.core.brush.readings import edge_words
from norvash.core.commutator.after_cut import Change
from norvash.core.grades import GRADES
from norvash.core.judging.brushes.geometry import geometry
from norvash.core.judging.brushes.set_figures import set_figures
from norvash.core.judging.brushes.values import dust_expected_g
from norvash.core.motor.figure_fields import (
    BRUSH_GRADE,
    INSTRUMENTS,
    MEASURED_BY,
    MEASURED_WITH,
    METHOD_HINTS,
    METHODS,
    VOLTAGE_VARIANT,
)
from norvash.core.sheet.finding import Finding
from norvash.core.sheet.measured import Measured
from norvash.core.sheet.task import Task
from norvash.core.stages.brushes.fitting import ALSO
from norvash.core.stages.brushes.stage import PICTURES
from norvash.core.stages.commutator.cut import CUT_DONE
from norvash.core.state.motor_state import BrushSet
from norvash.core.state.ruler import ruler_of
from norvash.drawing.brush.carbon_ruler import carbon_ruler
from norvash.drawing.svg import Drawing
from norvash.web.drawn.motor import sheet_view
from norvash.web.stages.shown.at import DRAWN, At
from norvash.web.stages.shown.polarity import Polarity, polarity_wrong_shown
from norvash.web.stages.shown.written import Written, written
from norvash.work.on_sheet.brushes_used import END_REASONS
from norvash.work.reading.brush_lines import BrushLine, BrushLines, brush_lines
from norvash.work.reading.sheet_now import SheetNow

_VIEW = 330


@dataclass(frozen=True, slots=True, kw_only=True)
class Fit:
    """What is asked when a new set goes in on this sheet: why the old one came out, its part and variant, what else was
    renewed; and the set that was fitted on it already, None without one.
    """

    reasons: Mapping[str, str]
    likely: str
    part: str
    variant: str
    also: tuple[Task, ...]
    fitted: BrushSet | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Brushes:
    """The lines of all brushes, how they are measured, the drawings, and what is known of springs, holders and dust.

    `line` is the brush that is looked at closely, None for none; `gauges` what a gauge showed last, by position [mm],
    which is a length only where it is not `floating`; `polarity` is how the boxes must be wired where they are not;
    `beside` the figures of springs and holders as found beside as
    left.
    """

    lines: BrushLines
    method: str
    instrument: str
    own_way: bool
    methods: Mapping[str, str]
    instruments: Mapping[str, str]
    hint: str
    edge: str
    floating: bool
    gauges: Mapping[int, float | None]
    ruler: Drawing
    end_view: Drawing
    polarity: Polarity | None
    changes: tuple[Change, ...]
    answers: tuple[tuple[str, str], ...]
    line: BrushLine | None
    pictures: tuple[tuple[str, tuple[Finding, ...]], ...]
    figures: tuple[Measured, ...]
    dust_expected_g: float | None
    fitting: Fit | None
    beside: list[Written]


def view(at: At) -> Brushes:
    """Return what the stage of the brushes shows."""
    shown, lines = at.shown, brush_lines(at.conn, at.shown)
    figures = shown.context.figures
    method = _chosen(at, "method", METHODS) or MEASURED_BY.of(figures)
    line = next((x for x in lines.lines if x.plan.number == at.position), None)
    height = max(36.0, 11.0 * len(lines.lines))
    return Brushes(
        lines=lines,
        beside=[w for _, of_stage in written(shown, at.stage) for w in of_stage if w.sighted],
        method=method,
        instrument=_chosen(at, "instrument", INSTRUMENTS) or MEASURED_WITH.of(figures),
        own_way=bool(_chosen(at, "method", METHODS) or _chosen(at, "instrument", INSTRUMENTS)),
        methods=METHODS,
        instruments=INSTRUMENTS,
        hint=METHOD_HINTS.get(method, ""),
        edge=edge_words(figures),
        floating=shows_depths(figures),
        gauges={x.plan.number: on_the_gauge_mm(x.before.length_mm, figures, method) for x in lines.lines if x.before},
        ruler=carbon_ruler(ruler_of(shown.found, shown.context.state), DRAWN, height, dimensions=True),
        end_view=sheet_view(shown, lines, at.position or lines.at, _VIEW),
        polarity=polarity_wrong_shown(shown),
        changes=_cut_changes(shown),
        answers=ANSWERS,
        line=line,
        pictures=PICTURES if line is not None else (),
        figures=(
            *set_figures(shown.found, shown.context.state),
            *geometry(shown.sheet, shown.found, shown.context.rules),
        ),
        dust_expected_g=_dust_expected(shown),
        fitting=_fit(shown),
    )


def _fit(shown: SheetNow) -> Fit | None:
    """Return what fitting a set asks for, None on a signed sheet."""
    if shown.row.signed_at is not None:
        return None
    current, figures = shown.context.sets[-1], shown.context.figures
    worn = shown.found.by_all is not None and shown.found.by_all.rank >= GRADES.index("change")
    return Fit(
        reasons=END_REASONS,
        likely="at its limit" if worn else "",
        part=BRUSH_GRADE.of(figures),
        variant=VOLTAGE_VARIANT.of(figures),
        also=ALSO,
        fitted=current if current.sheet_id == shown.row.id else None,
    )


def _chosen(at: At, name: str, known: Mapping[str, str]) -> str:
    return at.typed[name] if at.typed.get(name) in known else ""


def _dust_expected(shown: SheetNow) -> float | None:
    """Return the dust that the set has made by its readings [g], None for a set of unknown age."""
    if not shown.context.state.current.fitted_known:
        return None
    worn = tuple(b.wear_mm for b in shown.found.brushes if b.wear_mm is not None)
    return dust_expected_g(shown.context.facts, worn, shown.context.rules)


def _cut_changes(shown: SheetNow) -> tuple[Change, ...]:
    """Return what a cut on this sheet changed, nothing without one; its modules are only loaded then."""
    if CUT_DONE.given(shown.sheet) is None:
        return ()
    from norvash.web.stages.commutator import cut_changes_of

    return cut_changes_of(shown)
