"""What the carbon ruler shows of one set: lengths, limit and the length at the next look."""

from dataclasses import dataclass, fields
from typing import TYPE_CHECKING

from norvash.core.motor.figure_fields import LENGTH_UNIT, NEW_MM
from norvash.core.text.words import length_words

if TYPE_CHECKING:
    from norvash.core.state.findings import Findings
    from norvash.core.state.motor_state import MotorState


@dataclass(frozen=True, slots=True)
class RulerBrush:
    """One brush on the ruler; lengths [mm], None where it was not measured or nothing is foreseen."""

    label: str
    length_mm: float | None
    next_mm: float | None
    old: bool = False


@dataclass(frozen=True, slots=True, kw_only=True)
class Ruler:
    """A set drawn against its new length and its limit [mm]; unit is the person's unit of length.

    `both_mm` is what depth and length add up to where only the depth gauge's scale is known: it is shown by depths.
    """

    new_mm: float
    limit_mm: float
    estimated: bool
    unit: str
    brushes: tuple[RulerBrush, ...]
    both_mm: float | None = None

    def said(self, mm: float | None) -> str:
        """Return a length in the person's unit, a depth where only that is known; a dash without one."""
        if mm is None:
            return "–"
        if self.both_mm is None:
            return length_words(mm, self.unit)
        return f"{length_words(self.both_mm - mm, self.unit)} deep"

    @property
    def shortest(self) -> RulerBrush | None:
        """Return the shortest measured brush, None where nothing is measured."""
        measured = [b for b in self.brushes if b.length_mm is not None]
        return min(measured, key=lambda b: b.length_mm or 0.0, default=None)

    def as_plain(self) -> dict[str, object]:
        """Return the ruler as plain data, to be kept."""
        made: dict[str, object] = {f.name: getattr(self, f.name) for f in fields(self)}
        return made | {"brushes": [{f.name: getattr(b, f.name) for f in fields(b)} for b in self.brushes]}


def ruler_of(found: "Findings", state: "MotorState") -> Ruler:
    """Return the ruler of the fitted set."""
    from norvash.core.brush.gauged import depth_and_length_mm, shows_depths

    brushes = tuple(
        RulerBrush(b.label, b.last.length_mm if b.last else None, b.next_mm, b.last is not None and not b.in_round)
        for b in found.brushes
    )
    unit = LENGTH_UNIT.of(state.figures) or "mm"
    return Ruler(
        new_mm=NEW_MM.need(state.figures),
        limit_mm=found.limit.limit_mm,
        estimated=found.limit.estimated,
        unit=unit,
        brushes=brushes,
        both_mm=depth_and_length_mm(state.figures) if shows_depths(state.figures) else None,
    )


def ruler_from(plain: dict[str, object]) -> Ruler:
    """Return a kept ruler; what else is kept with it is left."""
    own = {f.name: plain[f.name] for f in fields(Ruler) if f.name in plain}
    brushes = tuple(RulerBrush(**b) for b in own.pop("brushes"))  # type: ignore[attr-defined]
    return Ruler(brushes=brushes, **own)  # type: ignore[arg-type]
