"""The drawings of one motor, as its pages show them."""

from norvash.core.ruler import ruler_of
from norvash.core.stages import WORDS
from norvash.drawing.carbon_ruler import carbon_ruler
from norvash.drawing.end_view import EndBrush, EndPlate, end_view
from norvash.drawing.life_line import life_line
from norvash.drawing.svg import Drawing
from norvash.work.context import Context
from norvash.work.motor_page import MotorPage
from norvash.work.round_page import RoundPage


def drawings_of(shown: MotorPage, wide: float = 790) -> dict[str, Drawing]:
    """Return the motor's drawings by name."""
    state = shown.context.state
    return {
        "end-view": _end_view(shown, 330),
        "life-line": life_line(shown.found, state, wide, 285),
        "carbon-ruler": carbon_ruler(ruler_of(shown.found, state), wide, max(44.0, 11.0 * len(state.positions)), dimensions=True),
    }  # fmt: skip


def plate_of(context: Context, limit_mm: float) -> EndPlate:
    """Return the parts of the end view."""
    figures = context.figures
    return EndPlate(figures.need("commutator_d_mm"), int(figures.need("bars")), figures.need("thickness_mm"),
                    figures.need("new_mm"), limit_mm, figures.word("length_unit"),
                    figures.basis("commutator_d_mm") == "class default")  # fmt: skip


def _end_view(shown: MotorPage, size: float) -> Drawing:
    brushes = [
        EndBrush(plan, b.last.length_mm if b.last else None, b.in_round, WORDS[b.staged.stage] if b.staged else "not measured",
                 f"/motors/{shown.context.motor.id}/measure?position={plan.number}")
        for plan, b in zip(shown.context.state.positions, shown.found.brushes, strict=True)
    ]  # fmt: skip
    return end_view(plate_of(shown.context, shown.found.limit.limit_mm), brushes, size)


def round_view(shown: RoundPage, size: float) -> Drawing:
    """Return the end view of a round, the position to measure marked."""
    brushes = [
        EndBrush(x.plan, x.reading.length_mm if x.reading else x.before.length_mm if x.before else None,
                 x.reading is not None, x.word, f"/rounds/{shown.row.id}?position={x.plan.number}", x.plan.number == shown.at)
        for x in shown.lines
    ]  # fmt: skip
    return end_view(plate_of(shown.context, shown.found.limit.limit_mm), brushes, size)
