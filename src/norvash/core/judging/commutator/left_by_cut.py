"""What a cut leaves at holders and faces, and whether that is right as it is: then nothing has to be set or shaped."""

from collections.abc import Iterator

from norvash.core.brush.holders import gap_reason
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, follows
from norvash.core.sheet.records import CutRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.holders import HOLDER_GAP


def gaps_now_mm(sheet: Sheet, done: CutRecord) -> tuple[tuple[float, float], ...]:
    """Return every holder gap before a cut and after it: as measured after it, else as much wider as the brush sinks;
    where none was measured at this visit that of the motor. None where it is not known.

    Units: -> [mm]
    """
    made = []
    for plan in sheet.facts.positions:
        read = [g.number for s in ("found", "left") if (g := sheet.given(HOLDER_GAP.id, plan.number, s)) is not None]
        known = [x for x in read if x is not None]
        if known:
            made.append((known[0], known[1] if len(known) > 1 else known[0] + done.sunk_radial_mm))
    if made:
        return tuple(made)
    gap = done.holder_gap_radial_mm
    return ((gap, gap + done.sunk_radial_mm),) if gap is not None else ()


def gaps_right(sheet: Sheet, done: CutRecord, rules: MotorRules) -> bool:
    """Tell whether every holder gap is inside its own band after a cut, without being set. Source: rules gap.*"""
    gaps = gaps_now_mm(sheet, done)
    return bool(gaps) and all(gap_reason(after, rules)[0] for _, after in gaps)


def faces_off(done: CutRecord) -> float:
    """Return how far the radius of the faces is off that of the track after a cut [1]."""
    return done.before_diameter_mm / done.after_diameter_mm - 1


def faces_right(done: CutRecord, rules: MotorRules) -> bool:
    """Tell whether faces that were shaped to the old radius only have to be run in. Source: rule face.radius"""
    return not over(abs(faces_off(done)), rules["face.radius"])


def left_says(sheet: Sheet, done: CutRecord, rules: MotorRules) -> Iterator[Measured]:
    """Yield what a cut leaves right as it is, with its figures."""
    if done.sunk_radial_mm > 0 and gaps_right(sheet, done, rules):
        before, after = max(gaps_now_mm(sheet, done), key=lambda g: g[1])
        band = f"{rules['gap.low']:g} to {rules['gap.high']:g} mm"
        words = f"After the cut the brush sinks by {done.sunk_radial_mm:.3f} mm, gap {before:.2f} to {after:.2f} mm"
        yield follows(f"{words}: right, {band}", True, rests_on=("gap.low", "gap.high"))
    if faces_right(done, rules):
        before, after = done.before_diameter_mm / 2, done.after_diameter_mm / 2
        words = f"Faces shaped to {before:.2f} mm, the radius is {after:.2f} mm now, {faces_off(done):.1%} off"
        yield follows(f"{words}: run them in", True, rests_on=("face.radius",))
