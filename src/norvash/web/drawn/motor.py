"""The drawings of one motor, as its pages show them."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.grades import WORDS
from norvash.core.motor.figure_fields import (
    BARS,
    COMMUTATOR_D_MM,
    LEAD_ROOT_DEPTH_MM,
    LENGTH_UNIT,
    NEW_MM,
    THICKNESS_MM,
    WEAR_LINES,
    WIDTH_MM,
)
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.motor.figures import Figures
from norvash.core.motor.positions import PositionPlan
from norvash.core.rules.book import MotorRules
from norvash.core.state.findings import Findings
from norvash.core.state.laid import measured_words
from norvash.core.state.ruler import ruler_of
from norvash.drawing.brush.brush_sheet import BrushPlan, brush_sheet
from norvash.drawing.brush.carbon_ruler import carbon_ruler
from norvash.drawing.commutator.end_view import EndBrush, EndPlate, end_view
from norvash.drawing.days.life_line import life_line
from norvash.drawing.days.use_curve import use_curve
from norvash.drawing.days.when_bar import when_bar
from norvash.drawing.svg import Drawing
from norvash.errors import NotFound
from norvash.work.pages.motor import MotorPage
from norvash.work.reading.brush_lines import BrushLines
from norvash.work.reading.sheet_now import SheetNow

_PHONE = 346.0


def drawing_of(shown: MotorPage, name: str, *, narrow: bool = False) -> Drawing:
    """Return one of the motor's drawings, for a page or for a phone.

    Raises: NotFound for another name, or for a use curve without a log.
    """
    if name not in _MAKERS or (name == "use-curve" and not shown.context.state.entries):
        raise NotFound("There is no such drawing.", "Save it from the motor's page.")
    maker, wide = _MAKERS[name]
    known = shown.context.drawn.get((name, narrow))
    if isinstance(known, _Drawn) and known.found is shown.found:
        return known.drawing
    made = maker(shown, min(wide, _PHONE) if narrow else wide)
    shown.context.drawn[name, narrow] = _Drawn(shown.found, made)
    return made


@dataclass(frozen=True, slots=True)
class _Drawn:
    """A drawing of a motor as it was judged on a day."""

    found: Findings
    drawing: Drawing


def _life_line(shown: MotorPage, width: float) -> Drawing:
    return life_line(shown.found, shown.context.state, width, 285, table=width > _PHONE)


def _when_bar(shown: MotorPage, width: float) -> Drawing:
    context = shown.context
    return when_bar(
        shown.found, context.state, shown.today, windows=context.windows, place=context.motor.place, width=width
    )


def _carbon_ruler(shown: MotorPage, width: float) -> Drawing:
    state = shown.context.state
    return carbon_ruler(ruler_of(shown.found, state), width, max(44.0, 11.0 * len(state.positions)), dimensions=True)


def _use_curve(shown: MotorPage, width: float) -> Drawing:
    state = shown.context.state
    return use_curve(state.entries, state.rate, state.unit, width, 250)


def brush_drawn(figures: Figures, rules: MotorRules) -> Drawing:
    """Return the brush that figures stand for.

    Raises: InputError when the figures contradict each other.
    """
    limit, new_mm, unit = motor_limit(figures, rules), NEW_MM.need(figures), LENGTH_UNIT.of(figures)
    lines = [line.of(figures) for line in WEAR_LINES]
    plan = BrushPlan(
        new_mm=new_mm,
        thickness_mm=THICKNESS_MM.need(figures),
        width_mm=WIDTH_MM.need(figures),
        limit_mm=limit.limit_mm,
        limit_basis=limit.source,
        estimated=limit.estimated,
        commutator_d_mm=track_d_mm(figures) or COMMUTATOR_D_MM.need(figures),
        wear_lines_mm=tuple(x for x in lines if x is not None),
        lead_root_mm=LEAD_ROOT_DEPTH_MM.of(figures),
        unit=unit,
    )
    return brush_sheet(plan, 470, 300)


def end_view_new(
    figures: Figures, plans: Sequence[PositionPlan], rules: MotorRules, size: float, px_per_mm: float | None = None
) -> Drawing:
    """Return the end view that figures stand for, with new brushes; px_per_mm draws several to one scale."""
    fitted = [EndBrush(plan=p, length_mm=NEW_MM.need(figures), in_round=True, word="new") for p in plans]
    return end_view(plate_of(figures, motor_limit(figures, rules).limit_mm), fitted, size, px_per_mm)


def plate_of(figures: Figures, limit_mm: float) -> EndPlate:
    """Return the parts of the end view."""
    return EndPlate(
        commutator_d_mm=track_d_mm(figures) or COMMUTATOR_D_MM.need(figures),
        bars=int(BARS.need(figures)),
        thickness_mm=THICKNESS_MM.need(figures),
        new_mm=NEW_MM.need(figures),
        limit_mm=limit_mm,
        unit=LENGTH_UNIT.of(figures),
        lent=COMMUTATOR_D_MM.basis(figures) == "class default",
    )


def _end_view(shown: MotorPage, width: float) -> Drawing:
    brushes = [
        EndBrush(
            plan=plan,
            length_mm=b.last.length_mm if b.last else None,
            said=measured_words(b.last) if b.last and shown.found.limit.gauge_mm is not None else "",
            in_round=b.in_round,
            word=WORDS[b.graded.grade] if b.graded else "not measured",
            href=f"/motors/{shown.context.motor.id}/sheet?position={plan.number}",
        )
        for plan, b in zip(shown.context.state.positions, shown.found.brushes, strict=True)
    ]
    return end_view(plate_of(shown.context.figures, shown.found.limit.limit_mm), brushes, width)


def sheet_view(shown: SheetNow, brushes: BrushLines, at: int, size: float) -> Drawing:
    """Return the end view of a sheet's brushes, the position at hand marked."""
    drawn = [
        EndBrush(
            plan=x.plan,
            length_mm=x.reading.length_mm if x.reading else x.before.length_mm if x.before else None,
            said=f"{x.reading.said} deep" if x.reading and shown.found.limit.gauge_mm is not None else "",
            in_round=x.reading is not None,
            word=x.word,
            href=f"brushes?position={x.plan.number}",
            chosen=x.plan.number == at,
        )
        for x in brushes.lines
    ]
    return end_view(plate_of(shown.context.figures, shown.found.limit.limit_mm), drawn, size)


_MAKERS: dict[str, tuple[Callable[[MotorPage, float], Drawing], float]] = {
    "end-view": (_end_view, 330.0),
    "life-line": (_life_line, 790.0),
    "when-bar": (_when_bar, 1200.0),
    "carbon-ruler": (_carbon_ruler, 790.0),
    "use-curve": (_use_curve, 580.0),
}
