"""What a recorded cut changes for everything else: figures in force since then, until the holders are set again."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from norvash.core.motor.figure_fields import (
    COMMUTATOR_NOW_MM,
    DEPTH_CONSTANT_MM,
    DEPTH_NEW_MM,
    HOLDER_GAP_MM,
    LEAD_TAUT_LENGTH_MM,
    LIMIT_MM,
    PROTECTION,
    PROTRUSION_CONSTANT_MM,
    SPRING_STOP_LENGTH_MM,
    SUNK_MM,
)
from norvash.core.motor.figures import Figures

# Lengths that the holder's distance from the copper goes into: each grows by what the surface has sunk.
_GROW = (
    LIMIT_MM,
    HOLDER_GAP_MM,
    SPRING_STOP_LENGTH_MM,
    LEAD_TAUT_LENGTH_MM,
    DEPTH_NEW_MM,
    DEPTH_CONSTANT_MM,
    PROTRUSION_CONSTANT_MM,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Mark:
    """What a sheet says of a motor for good: a cut with the track's diameter after it and how far the surface sank
    [mm], the setting of the holders after one, or in a `word` how it protects against shock.
    """

    kind: str
    day: date
    sheet: int
    diameter_mm: float | None = None
    sunk_mm: float = 0.0
    word: str = ""


def sunk_since(marks: Sequence[Mark]) -> tuple[float, Mark | None]:
    """Return how far the surface has sunk since the holders were set [mm], and the last cut of it; marks in order.

    Units: marks with their depths [mm] -> [mm]
    Source: each cut sinks the surface by its radial depth
    """
    sunk, last = 0.0, None
    for mark in (m for m in marks if m.kind in ("cut", "set")):
        sunk, last = (0.0, None) if mark.kind == "set" else (sunk + mark.sunk_mm, mark)
    return sunk, last


def figures_since(figures: Figures, marks: Sequence[Mark]) -> Figures:
    """Return the figures in force after what sheets said: how it protects against shock where nobody states it, after
    cuts the track's diameter, and while the holders are not set what depends on their gap.

    A figure that the class lends is left as it is: it is an estimate anyway.
    """
    said = next((m for m in reversed(marks) if m.kind == "protection" and m.word), None)
    if said is not None and not PROTECTION.stated(figures):
        figures = figures.changed({PROTECTION.name: said.word}, f"said on sheet {said.sheet}")
    cuts = [m for m in marks if m.kind == "cut" and m.diameter_mm is not None]
    if not cuts:
        return figures
    changed: dict[str, float] = {COMMUTATOR_NOW_MM.name: cuts[-1].diameter_mm or 0.0}
    sunk, last = sunk_since(marks)
    if last is not None and sunk > 0:
        changed[SUNK_MM.name] = sunk
        changed |= {f.name: value + sunk for f in _GROW if (value := f.stated(figures)) is not None}
    return figures.changed(changed, f"since the cut on sheet {cuts[-1].sheet}")
