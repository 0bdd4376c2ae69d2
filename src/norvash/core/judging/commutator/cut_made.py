"""A cut as it is recorded on a sheet: what was cut, and what it changed, before and after."""

from math import pi

from norvash.core.commutator.after_cut import Change
from norvash.core.edges import over
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.records import CutRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.commutator.cut import CUT_DONE
from norvash.core.stages.rework import HOLDER_SET
from norvash.errors import InputError


def cut_record(sheet: Sheet, after_mm: float, rules: MotorRules) -> CutRecord:
    """Return what belongs to a cut that is made, by the diameter measured after it [mm].

    One that was made is taken, though the armature is condemned: the copper is what it is.
    Raises: InputError before anything was measured, or for a diameter that no cut can leave.
    """
    now = copper_now(sheet, rules)
    if now.could is None:
        problem = now.trouble["cut"].problem if "cut" in now.trouble else "The diameter before the cut is not measured."
        raise InputError(problem, "Enter the diameter of track or shoulder, then the diameter after the cut.", "value")
    copper = now.could.copper
    track = copper.diameter_mm - 2 * copper.groove_radial_mm
    if not over(after_mm, rules["cut.left-least"] * copper.diameter_mm) or over(after_mm, track):
        raise InputError(
            f"{after_mm:g} mm after a cut of {track:.2f} mm is not possible.",
            "Give the diameter as measured after the cut; it is a diameter, not a depth.",
            "value",
        )
    radial, sunk = (copper.diameter_mm - after_mm) / 2, (track - after_mm) / 2
    earlier = CUT_DONE.given(sheet)
    already = earlier.cut.sunk_radial_mm if earlier is not None and earlier.cut is not None else 0.0
    gap = copper.holder_gap_radial_mm
    if gap is not None and not HOLDER_SET.of(sheet):
        gap -= already
    slot = copper.slot_depth_radial_mm
    return CutRecord(
        radial_mm=_kept(radial),
        sunk_radial_mm=_kept(sunk),
        before_diameter_mm=_kept(track),
        after_diameter_mm=_kept(after_mm),
        least_diameter_mm=_kept(now.could.least_diameter_mm),
        holder_gap_radial_mm=None if gap is None else _kept(gap),
        slot_depth_radial_mm=None if slot is None else _kept(slot),
    )


def _kept(value: float) -> float:
    """Return a length as it is kept, to six digits."""
    return float(f"{value:.6g}")


def cut_changes(done: CutRecord, bars: int | None, limit_mm: float | None, *, holders_set: bool) -> tuple[Change, ...]:
    """Return what a recorded cut changed, before and after; limit_mm is the limit in force now."""
    sunk, before, after = done.sunk_radial_mm, done.before_diameter_mm, done.after_diameter_mm
    gap, slot = done.holder_gap_radial_mm, done.slot_depth_radial_mm
    base = None if limit_mm is None else limit_mm - (0.0 if holders_set else sunk)
    return (
        Change("diameter", "Diameter of the track", "mm", before, after),
        Change("gap", "Holder gap", "mm", gap, gap if gap is None or holders_set else gap + sunk),
        Change("limit", "Shortest length allowed", "mm", base, limit_mm),
        Change("depth", "Depth and protrusion readings", "mm", 0.0, 0.0 if holders_set else sunk),
        Change("slot", "Slot depth", "mm", slot, None if slot is None else slot - done.radial_mm),
        Change("face", "Radius of the brush face", "mm", before / 2, after / 2),
        Change(
            "pitch",
            "Bar pitch",
            "mm",
            None if not bars else pi * before / bars,
            None if not bars else pi * after / bars,
        ),
    )
